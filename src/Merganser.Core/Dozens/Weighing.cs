namespace Merganser.Core.Dozens;

/// <summary>One reading of a scale.</summary>
/// <param name="At">When.</param>
/// <param name="Grains">What it shows.</param>
/// <param name="Stable">True when the scale itself calls it stable.</param>
public readonly record struct ScaleReading(DateTimeOffset At, double Grains, bool Stable);

/// <summary>What is known of the pan.</summary>
public enum PanState
{
    /// <summary>Something lies there since before anybody looked: it may have been taken already.</summary>
    Unknown,

    /// <summary>The pan was empty since the last piece was taken.</summary>
    Free,

    /// <summary>The last piece was taken and still lies there.</summary>
    Taken,
}

/// <summary>
/// Watches the pan: a piece is taken after one second of stable readings that agree, and only if the pan was seen empty
/// since the last piece. The watch belongs to the scale, whatever page or class asks.
/// </summary>
public sealed class PanWatch
{
    /// <summary>How long a reading must stand still (trade practice).</summary>
    public static readonly TimeSpan StandStill = TimeSpan.FromSeconds(1);

    /// <summary>Below this the pan is empty, grains.</summary>
    public const double Empty = 0.5;

    /// <summary>Readings that agree differ by no more than this, grains: the scale's last digit.</summary>
    public const double Agree = 0.1001;

    private readonly Lock gate = new();
    private DateTimeOffset? since;
    private double at;

    /// <summary>What is known of the pan.</summary>
    public PanState State { get; private set; } = PanState.Unknown;

    /// <summary>The weight to take, rounded to a tenth, or null. Less than nothing is never a piece.</summary>
    public double? See(ScaleReading reading)
    {
        lock (gate)
        {
            if (reading.Grains < Empty)
            {
                State = reading.Grains > -Empty ? PanState.Free : State;
                since = null;
                return null;
            }

            if (!reading.Stable || since is null || Math.Abs(reading.Grains - at) > Agree)
            {
                since = reading.Stable ? reading.At : null;
                at = reading.Grains;
                return null;
            }

            return State == PanState.Free && reading.At - since >= StandStill ? Take(reading.Grains) : null;
        }
    }

    /// <summary>Takes what lies there at once (Enter), if it was not taken before.</summary>
    public double? TakeNow(double grains)
    {
        lock (gate)
        {
            return State != PanState.Taken && grains >= Empty ? Take(grains) : null;
        }
    }

    private double Take(double grains)
    {
        State = PanState.Taken;
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

/// <summary>
/// What a piece of a class should weigh about: a reading far from it is more likely a piece of another class, and is
/// asked about.
/// </summary>
public static class ExpectedWeight
{
    /// <summary>Farther off than this share is far (trade-like guess, no source): makers hold a tenth.</summary>
    public const double Share = 0.15;

    /// <summary>Nearer than this is never far, grains (trade-like guess, no source).</summary>
    public const double Least = 2;

    /// <summary>So many pieces of the class say it themselves, whatever the catalogue says.</summary>
    public const int Enough = 3;

    /// <summary>
    /// Grains: the median of the class once <see cref="Enough"/> are weighed, else the catalogue's; null where neither
    /// says it.
    /// </summary>
    public static double? Of(Dozen dozen, string name)
    {
        if (dozen.Classes.Append(dozen.Heads).FirstOrDefault(c => c.Name == name) is not { } of)
        {
            return null;
        }

        return of.Pieces.Count >= Enough
            ? Outliers.Median([.. of.Pieces.Select(p => p.Grains)])
            : dozen.Arrow.Masses().FirstOrDefault(m => m.Name == name)?.Grains / of.PerArrow;
    }

    /// <summary>True for a weight that is asked about.</summary>
    public static bool IsFar(double grains, double? expected) =>
        expected is { } about && Math.Abs(grains - about) > Math.Max(Least, Share * about);
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
