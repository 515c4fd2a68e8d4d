using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>The multiplier on draw weight in the spine rule, with its reason and the model's own uncertainty.</summary>
/// <param name="Factor">Multiplier on the draw weight.</param>
/// <param name="ModelSpread">Relative standard uncertainty f of the fit.</param>
/// <param name="Why">Where it comes from.</param>
public readonly record struct BowFactor(double Factor, double ModelSpread, Message Why)
{
    private const double FingersExtraPounds = 5;
    private const double SoftCams = 0.95;
    private const double HardCams = 1.05;
    private const double LongbowShelf = 0.85;
    private const double UsualSpread = 0.05;
    private const double LongbowSpread = 0.12;

    /// <summary>
    /// The stated default for a bow, or what the user has set. All defaults are from memory of common practice:
    /// fingers on a compound count about 5 lb more, soft cams 5 % less, hard cams 5 % more, a longbow's shelf not cut
    /// to centre 0.85. Recurve spine charts already assume fingers, so a recurve counts 1.
    /// </summary>
    public static BowFactor For(Bow bow)
    {
        var spread = bow.Kind == BowKind.Longbow ? LongbowSpread : UsualSpread;
        var fingers = bow.Kind == BowKind.Compound && bow.Release == Release.Fingers;
        var why = new FactorReason(
            bow.Kind,
            bow.CamDraw,
            fingers ? Measure.Pounds(FingersExtraPounds, 0) : null,
            bow.FactorSet is not null
        );
        if (bow.FactorSet is { } set)
        {
            return new BowFactor(set, spread, why);
        }

        var cams = bow.CamDraw switch
        {
            CamDraw.Soft => SoftCams,
            CamDraw.Hard => HardCams,
            _ => 1.0,
        };
        var factor = bow.Kind switch
        {
            BowKind.Longbow => LongbowShelf,
            BowKind.Recurve or BowKind.Barebow => 1,
            _ => fingers ? cams * (bow.DrawWeight + FingersExtraPounds) / bow.DrawWeight : cams,
        };
        return new BowFactor(factor, spread, why);
    }
}
