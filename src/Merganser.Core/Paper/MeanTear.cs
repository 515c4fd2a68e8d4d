using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>
/// The mean of one set of tears and the circle that holds the true mean with 95 %: radius s √(2F/n) with
/// s² = SS/(2(n−1)), ν = 2(n−1), F = (0.05^(−2/ν) − 1)ν/2, the 95 % point of F(2, ν) in closed form
/// (critical values: NIST/SEMATECH e-Handbook 1.3.6.7.3). Shots that were only said widen it by their reading error.
/// </summary>
public sealed class MeanTear
{
    /// <summary>
    /// Shot spread per axis that is assumed until this archer's own is known, inches (trade-like guess, no source).
    /// </summary>
    public const double UsualSpread = 0.18;

    /// <summary>
    /// How well a hole is read at best, inches per axis: shots that look alike are not closer than this (trade-like
    /// guess, no source).
    /// </summary>
    public const double ReadingError = 0.02;

    private const double Miss = 0.05;

    /// <summary>Half width of a 95 % region in two dimensions, in sds of one: √(−2 ln .05).</summary>
    public static readonly double RegionInSds = Math.Sqrt(-2 * Math.Log(Miss));

    /// <param name="tears">At least one tear.</param>
    /// <param name="usualSpread">Spread per axis to use for a single shot, inches.</param>
    /// <exception cref="ArgumentException">No tears.</exception>
    public MeanTear(IReadOnlyList<Tear> tears, double usualSpread = UsualSpread)
    {
        Count =
            tears.Count > 0
                ? tears.Count
                : throw new ArgumentException("A mean needs at least one tear.", nameof(tears));
        Mean = Tear.Mean(tears);
        ReadWithin = Math.Sqrt(tears.Average(t => t.ReadWithin * t.ReadWithin) / Count);
        if (Count == 1)
        {
            Spread = usualSpread;
            SpreadAssumed = true;
            Radius = WithReading(usualSpread * RegionInSds);
            return;
        }

        var squares = tears.Sum(t => t.SquareTo(Mean));
        var freedom = 2.0 * (Count - 1);
        Spread = Math.Max(ReadingError, Math.Sqrt(squares / freedom));
        Radius = WithReading(RegionRadius(Spread, freedom, Count));

        // How shots lie and how well they were read have nothing to do with each other: they add as squares.
        double WithReading(double radius) =>
            ReadWithin == 0 ? radius : Math.Sqrt((radius * radius) + Math.Pow(ReadWithin * RegionInSds, 2));
    }

    /// <summary>How far off the mean is for shots that were only said, inches per axis and one sd.</summary>
    public double ReadWithin { get; }

    /// <summary>Shots read.</summary>
    public int Count { get; }

    /// <summary>The mean tear.</summary>
    public Tear Mean { get; }

    /// <summary>Spread per axis, inches.</summary>
    public double Spread { get; }

    /// <summary>True when the spread is the usual one, since one shot shows none.</summary>
    public bool SpreadAssumed { get; }

    /// <summary>Radius of the 95 % region, inches.</summary>
    public double Radius { get; }

    /// <summary>True when the region along this axis holds zero.</summary>
    public bool Level(TearAxis axis) => Math.Abs(Mean.Along(axis)) <= Radius;

    /// <summary>The point of F(2, ν) that is passed with this chance, 5 % unless another is named.</summary>
    public static double CriticalF(double freedom, double chance = Miss) =>
        (Math.Pow(chance, -2 / freedom) - 1) * freedom / 2;

    /// <summary>Radius of the circle that holds a true mean with 95 %: s √(2F/n).</summary>
    /// <param name="spread">s on one axis, of ν degrees of freedom.</param>
    /// <param name="freedom">ν.</param>
    /// <param name="count">n; of the difference of two means nm/(n+m).</param>
    public static double RegionRadius(double spread, double freedom, double count) =>
        spread * Math.Sqrt(2 * CriticalF(freedom) / count);

    /// <summary>The reading, always by the tail.</summary>
    public Message Reading =>
        Count == 1 && ReadWithin > 0
            ? new OneSaid(new TailAsSaid(Measure.Inches(Mean.X), Measure.Inches(Mean.Y)))
            : new MeanTail(
                Level(TearAxis.Sideways) ? null : Measure.Inches(Mean.X),
                Level(TearAxis.Height) ? null : Measure.Inches(Mean.Y),
                Measure.Inches(Tolerances.Usual)
            )
            {
                Known = Radius <= MostForLevel,
            };

    /// <summary>
    /// A region wider than this says of no axis that it is level: twice the usual tolerance (no source).
    /// </summary>
    private const double MostForLevel = 2 * Tolerances.Usual;
}

/// <summary>How close to one clean hole is good enough, inches (common practice, no source).</summary>
public static class Tolerances
{
    /// <summary>Tail within a quarter inch at close range: the default.</summary>
    public const double Usual = 0.25;

    /// <summary>Half a shaft: the strict school.</summary>
    public const double Strict = 0.125;
}
