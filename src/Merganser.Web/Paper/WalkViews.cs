using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Paper;

/// <summary>One distance of a walk-back to draw.</summary>
/// <param name="Mean">Right of the plumb line, inches; null before the first hit.</param>
/// <param name="Plus">Half width of its 95 %; null below three at each distance.</param>
/// <param name="Drop">How far an arrow drops there on one pin, inches; null where each has its own.</param>
public sealed record WalkDistanceView(
    double Yards,
    Message Name,
    int Count,
    double? Mean,
    double? Plus,
    double? Drop,
    Message Words
);

/// <summary>The fitted drift at a distance: its place and the half width of its 95 %, inches.</summary>
public sealed record DriftPoint(double Yards, double At, double Plus);

/// <summary>One walk by itself.</summary>
public sealed record WalkAloneView(int Set, double Drift, double Plus, Message Words);

/// <summary>A cause of drift, and whether it is there.</summary>
public sealed record CauseView(DriftCause Cause, CauseSeen Seen, Message Words);

/// <summary>A walk-back as it is read: the walks of one day with bow and sight as they stood, together.</summary>
/// <param name="Pooled">The numbers of the sets that are read together.</param>
/// <param name="Shown">Null while it is too few to read.</param>
/// <param name="Line">The fitted drift over the distances; empty while it is too few.</param>
/// <param name="Together">The drift of all of them; null while it is too few.</param>
/// <param name="Among">Whether the walks agree; null below two.</param>
/// <param name="Wind">What the wind that was noted does at the least; null where none was.</param>
public sealed record WalkView(
    WalkPins Pins,
    IReadOnlyList<int> Pooled,
    DriftVerdict? Shown,
    DriftShape? Shape,
    IReadOnlyList<WalkDistanceView> Distances,
    IReadOnlyList<DriftPoint> Line,
    IReadOnlyList<WalkAloneView> Alone,
    WalkAloneView? Together,
    Message? Among,
    IReadOnlyList<CauseView> Causes,
    Message? Drop,
    Message? Wind,
    Message? More
)
{
    /// <summary>Points of a drawn line between two distances: enough for a curve.</summary>
    private const int Points = 12;

    /// <summary>So much of the walked span is drawn beyond its ends.</summary>
    private const double Beyond = 0.1;

    public static WalkView Of(WalkReading walk, TuningSession session)
    {
        var fit = walk.Fit;
        var farthest = Measure.Yards(walk.Farthest);
        return new WalkView(
            walk.Pins,
            walk.Pooled,
            fit?.Verdict,
            fit?.Shape,
            [.. walk.Distances.Select(d => Of(d, walk.DropAt(d.Yards)))],
            fit is null ? [] : [.. LineOf(fit, walk.Farthest)],
            [.. walk.Alone.Select(Of)],
            fit is null ? null : Of(AllOf(walk, fit)),
            walk.AmongWords,
            [.. CausesOf(walk, session)],
            walk.DropAt(walk.Farthest) is { } drop ? new DropsOnOnePin(Measure.Inches(drop, 0), farthest) : null,
            walk.WindTakenOff,
            fit is null || walk.WouldHaveShown || fit.Verdict == DriftVerdict.Clear ? null : walk.MoreShow()
        );
    }

    private static WalkAlone AllOf(WalkReading walk, WalkFit fit)
    {
        var (drift, plus) = fit.Between(walk.Zero, walk.Farthest);
        return new WalkAlone(walk.Number, drift, plus);
    }

    private static WalkAloneView Of(WalkAlone walk) =>
        new(walk.Set, walk.Drift, walk.Plus, new WalkDrift(Measure.Inches(walk.Drift, 1)));

    private static WalkDistanceView Of(WalkedDistance at, double? drop)
    {
        var mean = Measure.Inches(at.Mean, 1);
        Measure? plus = at.Plus is { } wide ? Measure.Inches(wide, 1) : null;
        return new WalkDistanceView(
            at.Yards,
            new Amount(Measure.Yards(at.Yards)),
            at.Count,
            at.Count == 0 ? null : at.Mean,
            at.Plus,
            drop,
            new HitsLie(at.Count, mean, plus)
        );
    }

    private static IEnumerable<DriftPoint> LineOf(WalkFit fit, double farthest)
    {
        var from = fit.Distances[0] - (Beyond * (farthest - fit.Distances[0]));
        var to = farthest + (Beyond * (farthest - fit.Distances[0]));
        for (var i = 0; i <= Points; i++)
        {
            var yards = from + ((to - from) * i / Points);
            var (at, plus) = fit.At(yards);
            yield return new DriftPoint(yards, at, plus);
        }
    }

    private static IEnumerable<CauseView> CausesOf(WalkReading walk, TuningSession session)
    {
        var fit = walk.Fit;
        CauseSeen By(bool shown) => shown ? CauseSeen.Shown : CauseSeen.NotShown;
        var clear = fit?.Verdict == DriftVerdict.Clear;
        (DriftCause Cause, CauseSeen Seen)[] causes =
        [
            (DriftCause.Windage, fit is null ? CauseSeen.NotTested : By(clear && fit.Shape == DriftShape.Straight)),
            (DriftCause.Curve, fit?.CurveP is null ? CauseSeen.NotTested : By(clear && fit.Shape == DriftShape.Curved)),
            (DriftCause.Wind, walk.Wind == 0 ? CauseSeen.NotTested : CauseSeen.Shown),
            (DriftCause.CentreShot, session.CentreShotSeen is { } seen ? By(seen) : CauseSeen.NotTested),
        ];
        return causes.Select(c => new CauseView(c.Cause, c.Seen, new CauseOfDrift(c.Cause, c.Seen)));
    }
}

/// <summary>A distance that is sighted in, to draw: the middle of its hits, and what is good enough.</summary>
/// <param name="Group">Null below two hits.</param>
/// <param name="Earlier">Hits before a move of the sight, shifted by it.</param>
public sealed record SightingView(
    double Tolerance,
    Message ToleranceText,
    GroupView? Group,
    IReadOnlyList<Hole> Earlier
)
{
    public static SightingView Of(SightingReading reading) =>
        new(
            reading.Tolerance,
            new Amount(Measure.Inches(reading.Tolerance, 1)),
            reading is { Group: { } group, Fresh: > 0 }
                ? new GroupView(new(group.Centre.X, group.Centre.Y), reading.Radius, group.Count)
                : null,
            [.. reading.Earlier.Select(h => new Hole(h.X, h.Y))]
        );
}

/// <summary>What the sight answers for all arrows.</summary>
/// <param name="Pin">The advised way of the pin, inches; null where none is advised.</param>
/// <param name="At">Where it stands from the first set of the session, as far as its moves are known.</param>
/// <param name="Sight">The sight, or null where the bow has none.</param>
public sealed record SightAnswerView(SightMove? Pin, SightMove At, SightView? Sight)
{
    public static SightAnswerView? Of(TuningSession session, SightRow? sight)
    {
        if (!session.Now.Begun.Stage.OfSight)
        {
            return null;
        }

        var advised = session.Advice.Kind == AdviceKind.MoveTheSight;
        return new SightAnswerView(
            !advised ? null : session.Walk?.SightAnswer(sight?.Sight) ?? session.Sighting?.SightAnswer(sight?.Sight),
            session.SightAt,
            session.Bow.Bow.HasSight ? SightView.Of(sight) : null
        );
    }
}
