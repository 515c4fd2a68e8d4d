using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Finder;

/// <summary>A figure by which builds are wanted, ranked and drawn against each other.</summary>
public enum FoundFigure
{
    /// <summary>R = needed/actual spine.</summary>
    Fit,

    /// <summary>Grains.</summary>
    Weight,

    /// <summary>Grains a pound.</summary>
    GrainsPerPound,

    /// <summary>Per cent.</summary>
    FrontOfCenter,

    /// <summary>Launch speed, ft/s.</summary>
    Speed,

    /// <summary>Kinetic energy at launch, ft·lb.</summary>
    KineticEnergy,

    /// <summary>Momentum at launch, slug·ft/s.</summary>
    Momentum,

    /// <summary>Of one arrow, in the bench's own money; parts without a price cost nothing.</summary>
    Cost,

    /// <summary>How far a shot is honest, yards; asked only of builds that are inside all else.</summary>
    HonestRange,
}

/// <summary>From where to where a figure is wanted.</summary>
/// <param name="Figure">Which.</param>
/// <param name="Low">At the least; null for open.</param>
/// <param name="High">At the most; null for open.</param>
public readonly record struct WantedRange(FoundFigure Figure, double? Low, double? High)
{
    /// <summary>A range with one end is as wide as this share of its end, for the size of a miss.</summary>
    private const double WidthOfOpen = .1;

    /// <summary>True inside, ends included.</summary>
    public bool Holds(double value) => !(value < Low) && !(value > High);

    /// <summary>How far outside, in widths of the range; 0 inside.</summary>
    public double Miss(double value)
    {
        var width =
            Low is { } low && High is { } high && high > low ? high - low : WidthOfOpen * Math.Abs(Low ?? High ?? 1);
        return value < Low ? (Low.Value - value) / width
            : value > High ? (value - High.Value) / width
            : 0;
    }
}

/// <summary>Whose parts are looked at.</summary>
public enum FinderParts
{
    /// <summary>All; builds with fewer parts to buy stand first.</summary>
    MineFirst,

    /// <summary>All, whoever has them.</summary>
    Any,

    /// <summary>Only what is owned.</summary>
    MineOnly,
}

/// <summary>What an arrow carries in front.</summary>
public enum FinderHeads
{
    /// <summary>Target and field points.</summary>
    Points,

    /// <summary>Heads with blades.</summary>
    Heads,

    /// <summary>Either.</summary>
    Both,
}

/// <summary>What is looked for.</summary>
/// <param name="Ranges">At most one for a figure.</param>
/// <param name="Parts">Whose parts.</param>
/// <param name="MostToBuy">At most so many kinds of parts to buy; null for any number.</param>
/// <param name="Heads">What is in front.</param>
public sealed record FinderWish(
    IReadOnlyList<WantedRange> Ranges,
    FinderParts Parts = FinderParts.MineFirst,
    int? MostToBuy = null,
    FinderHeads Heads = FinderHeads.Both
)
{
    /// <summary>What a range may be asked for, in its trade unit.</summary>
    public static AllowedRange Allowed(FoundFigure figure) =>
        figure switch
        {
            FoundFigure.Fit => new(.5, 2, Unit.None, Why.NobodyCallsItAFit),
            FoundFigure.Weight => new(100, 2000, Unit.Grain, Why.LightestToHeaviest),
            FoundFigure.GrainsPerPound => new(2, 40, Unit.GrainPerPound, Why.LightestToHeaviest),
            FoundFigure.FrontOfCenter => new(-10, 40, Unit.Percent, Why.WhatAnArrowFlies),
            FoundFigure.Speed => new(50, 450, Unit.FootPerSecond, Why.WhatAnArrowFlies),
            FoundFigure.KineticEnergy => new(1, 200, Unit.FootPound, Why.WhatAnArrowFlies),
            FoundFigure.Momentum => new(.01, 2, Unit.SlugFootPerSecond, Why.WhatAnArrowFlies),
            FoundFigure.HonestRange => new(1, Ballistics.HonestRange.Farthest, Unit.Yard, Why.WhatAnArrowFlies),
            _ => new(0, 10_000, Unit.None, Why.PriceOfOne),
        };

    /// <summary>What is typed for a figure.</summary>
    public static Quantity QuantityOf(FoundFigure figure) =>
        figure switch
        {
            FoundFigure.Weight => Quantity.Weight,
            FoundFigure.GrainsPerPound => Quantity.WeightPerForce,
            FoundFigure.Speed => Quantity.Speed,
            FoundFigure.KineticEnergy => Quantity.Energy,
            FoundFigure.Momentum => Quantity.Momentum,
            FoundFigure.HonestRange => Quantity.Distance,
            _ => Quantity.Number,
        };

    /// <summary>A figure as it is said.</summary>
    public static Measure Said(FoundFigure figure, double value) =>
        new(
            value,
            Allowed(figure).Unit,
            figure switch
            {
                FoundFigure.Weight or FoundFigure.Speed or FoundFigure.HonestRange => 0,
                FoundFigure.Fit or FoundFigure.Cost => 2,
                FoundFigure.Momentum => 3,
                _ => 1,
            }
        );
}
