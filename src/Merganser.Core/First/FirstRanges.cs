using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Core.First;

/// <summary>
/// What "I don't know" stands for: the range in which nearly every bow and arrow of the kind lies. All of them are
/// guesses from common practice, no source; decision 0021 says so.
/// </summary>
public static class FirstRanges
{
    /// <summary>Armspan over this is a first estimate of the draw length (common practice, no source).</summary>
    public const double SpanOfDraw = 2.5;

    /// <summary>How far such an estimate is off at the most, inches (a guess).</summary>
    public const double SpanBand = 1;

    /// <summary>A shaft that nobody measured ends within this of the draw length, inches.</summary>
    public static Span BesideDraw { get; } = new(-1, 0.5);

    /// <summary>Armspans that are read, inches.</summary>
    public static readonly Figures.AllowedRange ArmSpan = new(40, 90, Unit.Inch, Figures.Why.ArmSpanOfArchers);

    /// <summary>Point, grains.</summary>
    public static Span Point { get; } = new(85, 125);

    /// <summary>Insert, grains.</summary>
    public static Span Insert { get; } = new(12, 35);

    /// <summary>Nock, grains.</summary>
    public static Span Nock { get; } = new(5, 13);

    /// <summary>One vane with its glue, grains; three of them.</summary>
    public static Span Vane { get; } = new(5, 9);

    /// <summary>Spine of a shaft whose number cannot be read.</summary>
    public static string Spine(BowKind kind) => kind == BowKind.Compound ? "300 to 500" : "500 to 1000";

    /// <summary>Draw weight, lb.</summary>
    public static Span DrawWeight(BowKind kind) =>
        kind switch
        {
            BowKind.Compound => new Span(40, 70),
            BowKind.Longbow => new Span(30, 55),
            _ => new Span(20, 44),
        };

    /// <summary>AMO draw length of a grown archer, inches.</summary>
    public static Span DrawLength { get; } = new(26, 30.5);

    /// <summary>Brace height, inches.</summary>
    public static Span BraceHeight(BowKind kind) =>
        kind switch
        {
            BowKind.Compound => new Span(6, 8),
            BowKind.Longbow => new Span(6.5, 7.5),
            _ => new Span(8, 9.5),
        };
}
