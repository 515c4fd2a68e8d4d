namespace Merganser.Core.Dozens;

/// <summary>
/// Assigns weighed pieces to arrows so that the totals lie as close together as can be. Starts from light-with-heavy;
/// swaps pieces of a class between two arrows, or one for a spare, while the sum of squares falls; kicks (4 + n/8
/// random swaps) and repeats; stops at the bound. Deterministic for a seed; bounded by rounds, not by time.
/// </summary>
public sealed class Matcher
{
    private const int MostRounds = 1500;
    private const int RoundsTimesArrows = 108_000;

    private const int ChanceDraws = 200;

    private readonly MatchProblem problem;
    private readonly Random random;
    private readonly MatchAssignment arrows;

    private Matcher(MatchProblem problem, Random random)
    {
        (this.problem, this.random) = (problem, random);
        arrows = new MatchAssignment(problem);
    }

    /// <summary>Finds the assignment.</summary>
    /// <param name="problem">Checked.</param>
    /// <param name="seed">The same seed, the same answer.</param>
    /// <param name="rounds">How often it kicks at the most; fewer for more arrows when nothing is said.</param>
    /// <param name="progress">Told the round and the best spread so far, now and then.</param>
    /// <param name="cancel">Ends it early; the best so far is thrown away.</param>
    public static MatchResult Find(
        MatchProblem problem,
        int seed = 1,
        int? rounds = null,
        Action<int, int>? progress = null,
        CancellationToken cancel = default
    )
    {
        problem.Checked();
        cancel.ThrowIfCancellationRequested();
        var bound = MatchBound.Of(problem);
        var random = new Random(seed);
        var chance = Chance(problem, random);
        var matcher = new Matcher(problem, random);
        var arrows = matcher.arrows;
        var opposite = arrows.Spread();
        var most = rounds ?? Math.Min(MostRounds, RoundsTimesArrows / problem.Arrows);
        matcher.Search(bound.Tenths, most, progress, cancel);
        return new MatchResult(arrows.Pieces(), [.. arrows.Totals], arrows.Spread(), bound, chance, opposite);
    }

    private void Search(int bound, int rounds, Action<int, int>? progress, CancellationToken cancel)
    {
        Descend();
        var best = arrows.Save();
        var spread = arrows.Spread();
        for (var round = 0; round < rounds && spread > bound; round++)
        {
            if (round % 16 == 0)
            {
                cancel.ThrowIfCancellationRequested();
                progress?.Invoke(round, spread);
            }

            arrows.Load(best);
            Kick(4 + (problem.Arrows / 8));
            Descend();
            var now = arrows.Spread();
            if (now <= spread)
            {
                best = arrows.Save();
                spread = now;
            }
        }

        arrows.Load(best);
        progress?.Invoke(rounds, spread);
    }

    /// <summary>Swaps while some swap makes the sum of squared deviations smaller.</summary>
    private void Descend()
    {
        var better = true;
        while (better)
        {
            better = false;
            for (var c = 0; c < problem.Classes.Count; c++)
            {
                for (var a = 0; a < arrows.Slots(c); a++)
                {
                    for (var b = a + 1; b < arrows.Slots(c); b++)
                    {
                        better |= arrows.TrySwap(c, a, b);
                    }

                    for (var s = 0; s < arrows.Spares(c); s++)
                    {
                        better |= arrows.TrySpare(c, a, s);
                    }
                }
            }
        }
    }

    private void Kick(int swaps)
    {
        for (var k = 0; k < swaps; k++)
        {
            var c = random.Next(problem.Classes.Count);
            var a = random.Next(arrows.Slots(c));
            var b = random.Next(arrows.Slots(c));
            arrows.TryAny(c, a, b);
        }
    }

    /// <summary>Mean spread of pieces put together as they come.</summary>
    private static double Chance(MatchProblem problem, Random random)
    {
        var spreads = 0.0;
        for (var draw = 0; draw < ChanceDraws; draw++)
        {
            var totals = new int[problem.Arrows];
            foreach (var kind in problem.Classes)
            {
                var order = Enumerable.Range(0, kind.Tenths.Count).ToArray();
                random.Shuffle(order);
                for (var a = 0; a < problem.Arrows * kind.PerArrow; a++)
                {
                    totals[a / kind.PerArrow] += kind.Tenths[order[a]];
                }
            }

            spreads += problem.SpreadOf(totals);
        }

        return spreads / ChanceDraws;
    }
}
