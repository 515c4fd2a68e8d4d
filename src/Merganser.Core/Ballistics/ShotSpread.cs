using MathNet.Numerics;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>Where a spread comes from.</summary>
public enum SpreadSource
{
    /// <summary>Hits of this archer with this bow.</summary>
    Measured,

    /// <summary>Typed by the archer.</summary>
    Typed,

    /// <summary>By experience: shoots small groups.</summary>
    Steady,

    /// <summary>By experience: as most of a club.</summary>
    Usual,

    /// <summary>By experience: a beginner, or a bow not shot for long.</summary>
    Wide,
}

/// <summary>How far single shots of an archer stray, on one axis, inches for each yard of distance.</summary>
/// <param name="PerYard">sd of a shot on one axis, inches in a yard.</param>
/// <param name="Low">Lower end of its 95 %.</param>
/// <param name="High">Upper end.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="Hits">Hits behind it; 0 for none.</param>
public sealed record ShotSpread(double PerYard, double Low, double High, SpreadSource Source, int Hits = 0)
{
    /// <summary>Spreads that can be typed, inches in a yard.</summary>
    public static AllowedRange PerYards { get; } = new(.005, .5, Unit.Inch, Why.SpreadOfAnArcher);

    /// <summary>A ring of this many sd holds nine shots in ten: √(2 ln 10), Rayleigh.</summary>
    public static double NineInTen { get; } = Math.Sqrt(2 * Math.Log(10));

    /// <summary>What is not measured may be this many times as wide, or as narrow (a guess, no source).</summary>
    private const double Unsure = 1.6;

    /// <summary>Radius of the ring that holds nine shots in ten, inches.</summary>
    public double RingAt(double yards) => PerYard * NineInTen * yards;

    /// <summary>By hits of one archer, days pooled; null where there are too few.</summary>
    public static ShotSpread? Measured(GroupSizes sizes)
    {
        ArrowGroup[] ends = [.. sizes.Days.SelectMany(day => day.Ends)];
        var freedom = ends.Sum(end => end.Freedom);
        if (freedom == 0)
        {
            return null;
        }

        var squares = ends.Sum(end => end.Squares);
        var (low, high) = ArrowGroup.BandOf(squares, freedom);
        return new ShotSpread(
            ArrowGroup.SpreadOf(squares, freedom),
            low,
            high,
            SpreadSource.Measured,
            sizes.Days.Sum(day => day.Hits)
        );
    }

    /// <summary>As typed: taken as it is, and no better known than a guess.</summary>
    public static ShotSpread Typed(double perYard) => Guess(perYard, SpreadSource.Typed);

    /// <summary>By experience: .03, .05 or .08 in a yard (a guess, no source).</summary>
    public static ShotSpread ByExperience(SpreadSource source) =>
        Guess(
            source switch
            {
                SpreadSource.Steady => .03,
                SpreadSource.Wide => .08,
                _ => .05,
            },
            source
        );

    /// <summary>The same archer with a spread so many times as wide.</summary>
    public ShotSpread Times(double share) =>
        this with
        {
            PerYard = PerYard * share,
            Low = Low * share,
            High = High * share,
        };

    /// <summary>
    /// Chance that a shot falls into a circle when its middle is off the circle's: with λ = miss²/2s² and b = R²/2s²,
    /// Σ e^(−λ) λʲ/j! · P(j + 1, b) (the noncentral χ² of two degrees of freedom; Abramowitz and Stegun 26.4.25).
    /// </summary>
    /// <param name="miss">How far off, inches.</param>
    /// <param name="spread">sd of a shot on one axis, inches, above 0.</param>
    /// <param name="radius">Of the circle, inches, above 0.</param>
    public static double ChanceInside(double miss, double spread, double radius)
    {
        var (far, wide) = (miss * miss / (2 * spread * spread), radius * radius / (2 * spread * spread));
        var (share, chance, told) = (Math.Exp(-far), 0.0, 0.0);
        if (share == 0)
        {
            return Math.Abs(miss) < radius ? 1 : 0;
        }

        for (var j = 0; told < 1 - 1e-12 && j < 10_000; j++)
        {
            chance += share * SpecialFunctions.GammaLowerRegularized(j + 1, wide);
            told += share;
            share *= far / (j + 1);
        }

        return chance;
    }

    private static ShotSpread Guess(double perYard, SpreadSource source) =>
        new(Possible.Positive(perYard), perYard / Unsure, perYard * Unsure, source);
}
