using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>The multiplier on draw weight in the spine rule, with its reason and the model's own uncertainty.</summary>
/// <param name="Factor">Multiplier on the draw weight.</param>
/// <param name="ModelSpread">Relative standard uncertainty f of the fit.</param>
/// <param name="Why">Where it comes from, in words.</param>
public readonly record struct BowFactor(double Factor, double ModelSpread, string Why)
{
    private const double FingersExtraPounds = 5;
    private const double SoftCams = 0.95;
    private const double HardCams = 1.05;
    private const double LongbowShelf = 0.85;
    private const double UsualSpread = 0.05;
    private const double LongbowSpread = 0.12;

    /// <summary>
    /// The stated default for a bow, or what the user has set. All defaults are from memory of common practice:
    /// fingers on a compound count about 5 lb more, soft cams 5 % less, hard cams 5 % more, a longbow's shelf not cut to centre 0.85.
    /// Recurve spine charts already assume fingers, so a recurve counts 1.
    /// </summary>
    public static BowFactor For(Bow bow)
    {
        var spread = bow.Kind == BowKind.Longbow ? LongbowSpread : UsualSpread;
        if (bow.FactorSet is { } set)
        {
            return new BowFactor(set, spread, "set on the bow");
        }

        return bow.Kind switch
        {
            BowKind.Longbow => new BowFactor(LongbowShelf, spread, "longbow shelf not cut to centre, from memory"),
            BowKind.Recurve or BowKind.Barebow => new BowFactor(1, spread, "recurve with fingers, as charts assume"),
            _ => Compound(bow, spread),
        };
    }

    private static BowFactor Compound(Bow bow, double spread)
    {
        var (cams, word) = bow.CamDraw switch
        {
            CamDraw.Soft => (SoftCams, "soft cams"),
            CamDraw.Hard => (HardCams, "hard cams"),
            _ => (1.0, "medium cams"),
        };
        return bow.Release == Release.Fingers
            ? new BowFactor(cams * (bow.DrawWeight + FingersExtraPounds) / bow.DrawWeight, spread, $"{word}, fingers count {Show.Number(FingersExtraPounds, 0)} lb more, from memory")
            : new BowFactor(cams, spread, $"{word}, release aid, from memory");
    }
}
