using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>
/// The shots of a stage in order, by the settings that they were shot at: what the moves between did.
/// </summary>
/// <param name="prior">What was believed of each adjuster before.</param>
/// <param name="shots">The shots.</param>
public sealed class ShotTrail(ResponsePrior prior, IReadOnlyList<Observation> shots)
{
    /// <summary>One move goes no further than this of nominal effect, inches (measured: it costs nothing).</summary>
    public const double OneMove = 1;

    /// <summary>A move that changed less than this share of what was expected may be ignored.</summary>
    private const double IgnoredShare = 0.3;

    /// <summary>And falls short of it by so many standard errors.</summary>
    private const double IgnoredSe = 2;

    /// <summary>Variance of a median against a mean's, at a few shots (from memory: π/2 in the limit).</summary>
    private const double MedianVariance = 1.3;

    private readonly Observation[][] runs = [.. RunsOf(shots)];

    /// <summary>Moves between settings that were shot, and to the one where the adjusters stand now.</summary>
    public int MovesTo(double[] now) =>
        runs.Zip(runs.Skip(1)).Count(pair => !pair.First[0].Setting.AsSpan().SequenceEqual(pair.Second[0].Setting))
        + (runs.Length > 0 && !runs[^1][0].Setting.AsSpan().SequenceEqual(now) ? 1 : 0);

    /// <summary>
    /// Inches of nominal effect that the next move may have: after a move that was ignored, no more than that one had.
    /// </summary>
    /// <param name="variance">Square of the shot spread, in².</param>
    public double MostInches(double variance) => Ignored(variance) ?? OneMove;

    private double? Ignored(double variance)
    {
        if (runs.Length < 2 || runs[^2][0].Rig != runs[^1][0].Rig)
        {
            return null;
        }

        var (before, after) = (runs[^2], runs[^1]);
        return Enumerable
            .Range(0, prior.Gains.Count)
            .Where(i => before[0].Setting[i] != after[0].Setting[i])
            .GroupBy(i => prior.Gains[i].Axis)
            .Where(axis => axis.Count() == 1)
            .Select(axis => Ignored(before, after, axis.First(), variance))
            .Min();
    }

    private double? Ignored(Observation[] before, Observation[] after, int moved, double variance)
    {
        var gain = prior.Gains[moved];
        var steps = after[0].Setting[moved] - before[0].Setting[moved];
        var expected = Math.Abs(steps) * gain.Expected;
        var change = (Median(after, gain.Axis) - Median(before, gain.Axis)) * Math.Sign(steps) * gain.AgreedWay;
        var answered = gain.Free ? Math.Abs(change) : change;
        var se = Math.Sqrt(MedianVariance * variance * ((1.0 / before.Length) + (1.0 / after.Length)));
        return answered < IgnoredShare * expected && expected - answered >= IgnoredSe * se
            ? Math.Min(OneMove, Math.Abs(steps) * gain.Nominal)
            : null;
    }

    private static double Median(Observation[] run, TearAxis axis)
    {
        double[] sorted = [.. run.Select(s => axis == TearAxis.Sideways ? s.X : s.Y).Order()];
        return (sorted[(sorted.Length - 1) / 2] + sorted[sorted.Length / 2]) / 2;
    }

    private static IEnumerable<Observation[]> RunsOf(IReadOnlyList<Observation> shots)
    {
        for (var from = 0; from < shots.Count; )
        {
            var to = from + 1;
            while (to < shots.Count && shots[to].StandsAs(shots[from]))
            {
                to++;
            }

            yield return [.. shots.Skip(from).Take(to - from)];
            from = to;
        }
    }
}
