using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What one change would do, computed exactly and not by a derivative.</summary>
/// <param name="Label">The change in words.</param>
/// <param name="Ratio">Fit R after it.</param>
/// <param name="Band">Its band.</param>
/// <param name="Words">The band in words.</param>
/// <param name="Grains">Total weight after it.</param>
/// <param name="FrontOfCenter">FOC after it, per cent.</param>
/// <param name="Refused">True when the arrow would be unsafe.</param>
public sealed record WhatIf(
    Message Label,
    double Ratio,
    FitBand Band,
    Message Words,
    double Grains,
    double FrontOfCenter,
    bool Refused
)
{
    /// <summary>
    /// How far a bow is turned down to spare a weak shaft, pounds: what two turns of both bolts give, about (common
    /// practice, no source).
    /// </summary>
    public const double TurnedDown = -2;

    /// <summary>What the bow turned up or down by so many pounds would do.</summary>
    public static WhatIf OfBow(double pounds, Bow bow, Arrow arrow) =>
        Of(new BowBy(Measure.Pounds(pounds, 0)), bow.By(pounds), arrow);

    /// <summary>What an arrow on a bow would be.</summary>
    public static WhatIf Of(Message label, Bow bow, Arrow arrow)
    {
        var numbers = new ArrowNumbers(bow, arrow);
        var refused = ArrowCautions.Of(numbers).Any(c => c.Refused);
        return new WhatIf(
            label,
            numbers.Fit.Ratio,
            numbers.Fit.Band,
            new FitIs(numbers.Fit.Band, []),
            numbers.Balance.Grains,
            numbers.Balance.FrontOfCenter,
            refused
        );
    }
}

/// <summary>One line of the strip that lays arrows under each other.</summary>
public sealed record ArrowSummary(
    double Grains,
    double GrainsPerPound,
    double FrontOfCenter,
    double Ratio,
    Message Words,
    double Speed,
    double KineticEnergy,
    double BalancePoint,
    IReadOnlyList<string> Cautions
)
{
    /// <summary>An arrow on a bow in short.</summary>
    public static ArrowSummary Of(Bow bow, Arrow arrow)
    {
        var n = new ArrowNumbers(bow, arrow);
        return new ArrowSummary(
            n.Balance.Grains,
            n.GrainsPerPound,
            n.Balance.FrontOfCenter,
            n.Fit.Ratio,
            new FitIs(n.Fit.Band, []),
            n.Launch.Speed,
            Core.Speed.LaunchSpeed.KineticEnergy(n.Balance.Grains, n.Launch.Speed),
            n.Balance.Point,
            [.. ArrowCautions.Of(n).Select(c => c.Code)]
        );
    }
}
