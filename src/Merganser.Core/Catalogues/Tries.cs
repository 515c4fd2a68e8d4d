using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>
/// A change to try: what it would do, and the draft that does it (null when it is a change of the bow).
/// </summary>
public sealed record ArrowTry(WhatIf Effect, ArrowDraft? Draft)
{
    /// <summary>Another point.</summary>
    public static ArrowTry Of(Message label, Bow bow, Arrow arrow, ArrowDraft draft, Stocked<Point> point) =>
        new(
            WhatIf.Of(label, bow, arrow with { Point = point.Part }),
            draft with
            {
                PointId = point.Id,
                PointBroken = 0,
            }
        );

    /// <summary>Another shaft.</summary>
    public static ArrowTry Of(Message label, Bow bow, Arrow arrow, ArrowDraft draft, Stocked<Shaft> shaft) =>
        new(WhatIf.Of(label, bow, arrow with { Shaft = shaft.Part }), draft with { ShaftId = shaft.Id });

    /// <summary>Another length.</summary>
    public static ArrowTry Of(Message label, Bow bow, Arrow arrow, ArrowDraft draft, double cutLength) =>
        new(
            WhatIf.Of(label, bow, arrow with { CutLength = cutLength }),
            draft with
            {
                CutLength = Show.Number(cutLength, 4).TrimEnd('0').TrimEnd('.'),
            }
        );
}

/// <summary>The neighbours of a build: a little shorter, the next points, the next spines, a pound more.</summary>
public static class Tries
{
    private const double QuarterInch = 0.25;

    /// <summary>Every neighbour that can be built.</summary>
    public static IReadOnlyList<ArrowTry> Of(Bow bow, Arrow arrow, ArrowDraft draft, Catalogue catalogue)
    {
        var points = catalogue.Points.Where(p => p.Part.Kind == arrow.Point.Kind).OrderBy(p => p.Part.Weight).ToArray();
        var family = FamilyOf(arrow.Shaft, catalogue);
        var weight = arrow.Point.Weight;
        var spine = arrow.Shaft.SpineInUse;
        return
        [
            .. Shorter(bow, arrow, draft),
            .. Point(points.LastOrDefault(p => p.Part.Weight < weight)),
            .. Point(points.FirstOrDefault(p => p.Part.Weight > weight)),
            new ArrowTry(WhatIf.OfBow(1, bow, arrow), null),
            .. Shaft(family.LastOrDefault(s => s.Part.SpineInUse < spine)),
            .. Shaft(family.FirstOrDefault(s => s.Part.SpineInUse > spine)),
        ];

        IEnumerable<ArrowTry> Point(Stocked<Point>? point) =>
            point is null
                ? []
                :
                [
                    ArrowTry.Of(
                        new PointBy(Measure.Grains(point.Part.Weight - weight, 0), point.Part.Name),
                        bow,
                        arrow,
                        draft,
                        point
                    ),
                ];

        IEnumerable<ArrowTry> Shaft(Stocked<Shaft>? shaft) =>
            shaft is null || arrow.TubeLength > shaft.Part.MaxLength
                ? []
                : [ArrowTry.Of(new NextSpine(Measure.Spine(shaft.Part.SpineInUse)), bow, arrow, draft, shaft)];
    }

    /// <summary>Shafts of one maker and one family, the stiffest first: the first word of a shaft's name.</summary>
    public static IReadOnlyList<Stocked<Shaft>> FamilyOf(Shaft shaft, Catalogue catalogue) =>
        [
            .. catalogue
                .Shafts.Where(s => s.Part.Maker == shaft.Maker && FirstWord(s.Part) == FirstWord(shaft))
                .OrderBy(s => s.Part.SpineInUse),
        ];

    private static string FirstWord(Shaft shaft) => shaft.Name.Split(' ')[0];

    private static IEnumerable<ArrowTry> Shorter(Bow bow, Arrow arrow, ArrowDraft draft)
    {
        var shorter = arrow.CutLength - QuarterInch;
        return ArrowRanges.CutLength.Holds(shorter)
            ? [ArrowTry.Of(new CutOff(Measure.Ruled(QuarterInch)), bow, arrow, draft, shorter)]
            : [];
    }
}
