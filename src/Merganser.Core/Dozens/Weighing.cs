namespace Merganser.Core.Dozens;

/// <summary>One reading of a scale.</summary>
/// <param name="At">When.</param>
/// <param name="Grains">What it shows.</param>
/// <param name="Stable">True when the scale itself calls it stable.</param>
public readonly record struct ScaleReading(DateTimeOffset At, double Grains, bool Stable);

/// <summary>
/// Watches the pan: a piece is taken after one second of stable readings that agree, and only if the pan was empty
/// since the last piece.
/// </summary>
public sealed class PanWatch
{
    /// <summary>How long a reading must stand still (trade practice).</summary>
    public static readonly TimeSpan StandStill = TimeSpan.FromSeconds(1);

    /// <summary>Below this the pan is empty, grains.</summary>
    public const double Empty = 0.5;

    /// <summary>Readings that agree differ by no more than this, grains: the scale's last digit.</summary>
    public const double Agree = 0.1001;

    private bool wasEmpty = true;
    private DateTimeOffset? since;
    private double at;

    /// <summary>True while the last piece still lies on the pan.</summary>
    public bool WaitsForEmpty => !wasEmpty;

    /// <summary>The weight to take, rounded to a tenth, or null.</summary>
    public double? See(ScaleReading reading)
    {
        if (Math.Abs(reading.Grains) < Empty)
        {
            wasEmpty = true;
            since = null;
            return null;
        }

        if (!reading.Stable || since is null || Math.Abs(reading.Grains - at) > Agree)
        {
            since = reading.Stable ? reading.At : null;
            at = reading.Grains;
            return null;
        }

        return wasEmpty && reading.At - since >= StandStill ? Take(reading.Grains) : null;
    }

    /// <summary>Takes what lies there at once (Enter), if the pan was empty before it.</summary>
    public double? TakeNow(double grains) => wasEmpty && Math.Abs(grains) >= Empty ? Take(grains) : null;

    private double Take(double grains)
    {
        wasEmpty = false;
        since = null;
        return Math.Round(grains, 1, MidpointRounding.AwayFromZero);
    }
}

/// <summary>Weights that stand apart and are asked to be weighed again.</summary>
public static class Outliers
{
    /// <summary>Modified z above this stands apart (Iglewicz and Hoaglin; NIST/SEMATECH e-Handbook 1.3.5.17).</summary>
    public const double Limit = 3.5;

    /// <summary>Least median deviation, grains: the scale's own grain.</summary>
    public const double LeastDeviation = 0.05;

    private const double Consistency = 0.6745;

    /// <summary>
    /// Places of the weights whose robust z, 0.6745 (x − median)/MAD, is above the limit. Under four weights nothing
    /// stands apart.
    /// </summary>
    public static IReadOnlyList<int> Of(IReadOnlyList<double> weights)
    {
        if (weights.Count < 4)
        {
            return [];
        }

        var median = Median(weights);
        var deviation = Math.Max(LeastDeviation, Median([.. weights.Select(w => Math.Abs(w - median))]));
        return
        [
            .. Enumerable
                .Range(0, weights.Count)
                .Where(i => Consistency * Math.Abs(weights[i] - median) / deviation > Limit),
        ];
    }

    /// <summary>The median; the mean of the two middle ones for an even count.</summary>
    public static double Median(IReadOnlyList<double> values)
    {
        var sorted = values.Order().ToArray();
        return sorted.Length % 2 == 1
            ? sorted[sorted.Length / 2]
            : (sorted[(sorted.Length / 2) - 1] + sorted[sorted.Length / 2]) / 2;
    }
}

/// <summary>A scale against a check weight.</summary>
/// <param name="Nominal">The check weight, grains.</param>
/// <param name="Reading">What the scale showed.</param>
public sealed record ScaleCheck(double Nominal, double Reading)
{
    /// <summary>Off by more than this is asked about, kept and marked, grains.</summary>
    public const double Limit = 0.2;

    /// <summary>Reading less nominal, grains.</summary>
    public double Error => Reading - Nominal;

    /// <summary>True when the scale is off.</summary>
    public bool Off => Math.Abs(Error) > Limit + 1e-9;
}
