using Merganser.Core.Dozens;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Paper;

/// <summary>Where the true offset of heads may lie, and what each place asks for.</summary>
/// <param name="Leave">Chance that nothing is to be done.</param>
/// <param name="Sight">Chance that the sight answers it.</param>
/// <param name="Tune">Chance that the bow answers it.</param>
/// <param name="HalfSector">Half the angle of a straight sector, degrees.</param>
public sealed record HeadMapView(
    double Leave,
    double Sight,
    double Tune,
    double HalfSector,
    StraightMiss Straight,
    Message Words
)
{
    public static HeadMapView Of(HeadMap map, double tolerance, StraightMiss straight) =>
        new(
            map.Leave,
            map.Sight,
            map.Tune,
            HeadMap.HalfSector,
            straight,
            new HeadPlaces(Measure.Inches(tolerance), HeadMap.HalfSector, straight)
        );
}

/// <summary>One head by its number.</summary>
/// <param name="Grains">What it weighs in the session's dozen; null where it was not weighed there.</param>
public sealed record HeadView(string Number, double? Grains, int Count, Message FromAll, Message Flight, bool Apart);

/// <summary>The sight, as measured or as usual.</summary>
public sealed record SightView(string EyeToPinTyped, string ClickTyped, Message Words)
{
    public static SightView Of(SightRow? row)
    {
        var sight = row?.Sight ?? Sight.Usual;
        var click = sight.Click is { } inches ? Measure.Inches(inches, 3) : (Measure?)null;
        return new SightView(
            row?.EyeToPinTyped ?? "",
            row?.ClickTyped ?? "",
            new SightUsed(Measure.Inches(sight.EyeToPin, 1), click, row is not null)
        );
    }
}

/// <summary>What the heads of the set in work ask for.</summary>
/// <param name="Map">Null below three of each.</param>
/// <param name="Compared">Whether one stands apart; null while it cannot be told.</param>
/// <param name="Pin">The advised way of the pin, inches; null where none is advised.</param>
/// <param name="Mark">Where the heads' own mark stands from the field points'; null before it was set.</param>
/// <param name="Sight">The sight, or null where the bow has none.</param>
/// <param name="NoSight">Said where it has none.</param>
/// <param name="Drag">How much lower a head strikes for its own drag; null where it is nothing.</param>
public sealed record HeadsView(
    HeadMapView? Map,
    IReadOnlyList<HeadView> Each,
    Message? Compared,
    Message? Test,
    SightMove? Pin,
    Message? Mark,
    SightMove MarkAt,
    Message? Drag,
    SightView? Sight,
    Message? NoSight
)
{
    /// <summary>Less than this is not said, inches.</summary>
    private const double LeastSaid = 0.05;

    /// <param name="session">The session.</param>
    /// <param name="sight">The bow's sight as measured, or null.</param>
    /// <param name="weighed">The heads of its dozen, as they were weighed.</param>
    public static HeadsView? Of(TuningSession session, SightRow? sight, IReadOnlyList<Piece> weighed)
    {
        if (session.Now.Groups is not { EachHead: { } heads } groups)
        {
            return null;
        }

        var straight = session.Straight;
        var map = groups.Map(straight);
        var stands = session.HeadMark;
        var drag = session.HeadDrag;
        return new HeadsView(
            map is null ? null : HeadMapView.Of(map, groups.Tolerance, straight),
            [.. heads.Heads.Select(h => Of(h, heads.Apart, weighed))],
            heads.P is null ? null : new HeadsCompared(heads.Apart?.Number),
            heads is { F: { } f, P: { } p }
                ? new HeadsTest(new(f, heads.Freedom.Between, heads.Freedom.Within, p))
                : null,
            session.Advice.Kind == Core.Tuning.AdviceKind.MoveTheSight ? groups.SightAnswer(sight?.Sight) : null,
            stands.IsMove ? new HeadMarkStands(Measure.Inches(stands.Right, 3), Measure.Inches(stands.Up, 3)) : null,
            stands,
            drag >= LeastSaid ? new HeadsDrag(Measure.Inches(drag)) : null,
            session.Bow.Bow.HasSight ? SightView.Of(sight) : null,
            session.Bow.Bow.HasSight ? null : GroupSays.NoSight
        );
    }

    private static HeadView Of(HeadHits head, HeadHits? apart, IReadOnlyList<Piece> weighed)
    {
        var practice = head.Number.Equals(HeadComparison.Practice, StringComparison.OrdinalIgnoreCase);
        return new HeadView(
            head.Number,
            weighed.FirstOrDefault(p => $"{p.Number}" == head.Number)?.Grains,
            head.Count,
            new FromAllHeads(Measure.Inches(head.FromAll.X), Measure.Inches(head.FromAll.Y)),
            new HeadFlight(head.Rough, head.Seen, practice),
            head == apart
        );
    }
}
