using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Arrows;

/// <summary>
/// A change to try: what it would do, and the draft that does it (null when it is a change of the bow).
/// </summary>
public sealed record TryView(WhatIf Effect, ArrowDraft? Draft);

/// <summary>The neighbours of a build: a little shorter, the next points, the next spines, a pound more.</summary>
public static class Tries
{
    private const double QuarterInch = 0.25;

    public static IReadOnlyList<TryView> Of(Bow bow, Arrow arrow, ArrowDraft draft, Catalogue catalogue)
    {
        List<TryView> tries = [];
        var shorter = arrow.CutLength - QuarterInch;
        if (ArrowRanges.CutLength.Holds(shorter))
        {
            Add(
                new CutOff(Measure.Ruled(QuarterInch)),
                bow,
                arrow with
                {
                    CutLength = shorter,
                },
                draft with
                {
                    CutLength = Show.Number(shorter, 3).TrimEnd('0').TrimEnd('.'),
                }
            );
        }

        var points = catalogue.Points.Where(p => p.Part.Kind == arrow.Point.Kind).OrderBy(p => p.Part.Weight).ToArray();
        AddPoint(points.LastOrDefault(p => p.Part.Weight < arrow.Point.Weight));
        AddPoint(points.FirstOrDefault(p => p.Part.Weight > arrow.Point.Weight));
        tries.Add(new TryView(WhatIf.OfBow(1, bow, arrow), null));
        var family = catalogue
            .Shafts.Where(s => s.Part.Maker == arrow.Shaft.Maker && Family(s.Part) == Family(arrow.Shaft))
            .OrderBy(s => s.Part.SpineInUse)
            .ToArray();
        AddShaft(family.LastOrDefault(s => s.Part.SpineInUse < arrow.Shaft.SpineInUse));
        AddShaft(family.FirstOrDefault(s => s.Part.SpineInUse > arrow.Shaft.SpineInUse));
        return tries;

        void Add(Message label, Bow on, Arrow build, ArrowDraft? change) =>
            tries.Add(new TryView(WhatIf.Of(label, on, build), change));

        void AddPoint(Stocked<Point>? point)
        {
            if (point is not null)
            {
                Add(
                    new PointBy(Measure.Grains(point.Part.Weight - arrow.Point.Weight, 0), point.Part.Name),
                    bow,
                    arrow with
                    {
                        Point = point.Part,
                    },
                    draft with
                    {
                        PointId = point.Id,
                    }
                );
            }
        }

        void AddShaft(Stocked<Shaft>? shaft)
        {
            if (shaft is not null && arrow.TubeLength <= shaft.Part.MaxLength)
            {
                Add(
                    new NextSpine(Measure.Spine(shaft.Part.SpineInUse)),
                    bow,
                    arrow with
                    {
                        Shaft = shaft.Part,
                    },
                    draft with
                    {
                        ShaftId = shaft.Id,
                    }
                );
            }
        }
    }

    internal static string Family(Shaft shaft) => shaft.Name.Split(' ')[0];
}
