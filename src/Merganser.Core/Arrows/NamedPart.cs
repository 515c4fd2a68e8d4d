using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>One part of an arrow, named.</summary>
public sealed record NamedPart(ArrowPart Part, Message Words)
{
    /// <summary>What it is.</summary>
    public Message Name => new ArrowPartName(Part);

    /// <summary>The parts of an arrow, each named.</summary>
    public static IReadOnlyList<NamedPart> Of(Arrow arrow) =>
        [
            new(ArrowPart.Shaft, new Verbatim(arrow.Shaft.Name)),
            new(
                ArrowPart.CutLength,
                arrow.CutLengthBand > 0
                    ? new AboutLength(Measure.Inches(arrow.CutLength, 1), Measure.Inches(arrow.CutLengthBand))
                    : new Amount(Measure.Inches(arrow.CutLength, 3))
            ),
            new(
                ArrowPart.Insert,
                arrow.Insert is { } insert ? new InStock(insert.Name, Measure.Grains(insert.Weight)) : ArrowSays.None
            ),
            new(ArrowPart.Point, new InStock(arrow.Point.Name, Measure.Grains(arrow.Point.Weight))),
            new(ArrowPart.Nock, new InStock(arrow.Nock.Name, Measure.Grains(arrow.Nock.Weight))),
            new(ArrowPart.Vanes, arrow.Vane is { } vane ? new VanesOf(arrow.VaneCount, vane.Name) : ArrowSays.None),
            new(ArrowPart.Wrap, arrow.Wrap is { } wrap ? new Verbatim(wrap.Name) : ArrowSays.None),
            new(ArrowPart.Glue, new Amount(Measure.Grains(arrow.Glue))),
            new(ArrowPart.Front, Ends(arrow, inFront: true)),
            new(ArrowPart.Rear, Ends(arrow, inFront: false)),
        ];

    private static Message Ends(Arrow arrow, bool inFront) =>
        arrow
            .AtEnds.Where(p => p.InFront == inFront)
            .Select(Message (p) => new InStock(p.Name, Measure.Grains(p.Weight)))
            .DefaultIfEmpty(ArrowSays.None)
            .Aggregate((first, next) => new AndAlso(first, next));

    /// <summary>What changed from one version to the next.</summary>
    public static PartsChanged Changed(Arrow before, Arrow now) =>
        new([
            .. Of(before)
                .Zip(Of(now))
                .Where(p => p.First.Words != p.Second.Words)
                .Select(p => new PartChange(p.First.Part, p.First.Words, p.Second.Words)),
        ]);

    /// <summary>The parts in which several arrows differ.</summary>
    public static IReadOnlyList<ArrowPart> Differing(IReadOnlyList<IReadOnlyList<NamedPart>> arrows) =>
        [
            .. arrows
                .SelectMany(parts => parts)
                .GroupBy(p => p.Part, p => p.Words)
                .Where(g => g.Distinct().Count() > 1)
                .Select(g => g.Key),
        ];
}

/// <summary>One part of an end and the next.</summary>
public sealed record AndAlso(Message First, Message Next) : ArrowMessage;

/// <summary>More parts at the ends than an arrow can have.</summary>
public sealed record EndPartsAtMost(int Most) : ArrowMessage;

/// <summary>A length that nobody measured.</summary>
public sealed record AboutLength(Measure Length, Measure Band) : ArrowMessage;
