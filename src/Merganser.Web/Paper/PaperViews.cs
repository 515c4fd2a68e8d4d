using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Web.Bows;

namespace Merganser.Web.Paper;

/// <summary>A shot with its tear, and where its tail lies.</summary>
public sealed record ShotView(
    string Id,
    int Number,
    Hole Point,
    Hole Tail,
    SheetSide Side,
    Tear Tear,
    Message? VoidReason,
    bool Doubtful,
    string? ArrowNumber,
    Message? Words,
    DateTimeOffset ShotAt,
    Message Place,
    ArrowKind? Arrow,
    Flight? Flight,
    double? Yards,
    Message? From
)
{
    public static ShotView Of(ShotReading shot)
    {
        var at = shot.Marked.Impact;
        Message place = shot.Marked.Arrow is null
            ? shot.Tear.Place
            : new StruckAt(Measure.Inches(at.X), Measure.Inches(at.Y));
        Message? reason = shot.VoidReason is { } why ? Said(why) : null;
        var tail = new TailAsSaid(Measure.Inches(shot.Tear.X), Measure.Inches(shot.Tear.Y));
        var marked = shot.Marked;
        return new ShotView(
            shot.Id,
            shot.Number,
            marked.Point,
            marked.Tail,
            marked.Side,
            shot.Tear,
            reason,
            shot.Doubtful,
            shot.ArrowNumber,
            marked.Said ? tail : null,
            shot.At,
            place,
            marked.Arrow,
            marked.Flight,
            marked.Yards,
            marked.Yards is { } yards ? new Amount(Measure.Yards(yards)) : null
        );
    }

    private static Message Said(string reason) =>
        reason == SessionActs.Settles ? PaperSays.SettlesStringWork : new Verbatim(reason);
}

/// <summary>The mean of a set to draw.</summary>
public sealed record MeanView(
    Tear Mean,
    double Radius,
    double Spread,
    int Count,
    bool SpreadAssumed,
    Message Words,
    Message Sideways,
    Message Plus
)
{
    public static MeanView Of(MeanTear mean) =>
        new(
            mean.Mean,
            mean.Radius,
            mean.Spread,
            mean.Count,
            mean.SpreadAssumed,
            mean.Reading,
            new TailSideways(Measure.Inches(mean.Mean.X)),
            new Amount(Measure.Inches(mean.Radius))
        );
}

/// <summary>
/// A group to draw: its centre from the aiming point, and the circle that holds the true one with 95 %.
/// </summary>
public sealed record GroupView(Hole Centre, double Radius, int Count)
{
    public static GroupView Of(ArrowGroup group, double lower) =>
        new(new Hole(group.Centre.X, group.Centre.Y + lower), group.Radius, group.Count);
}

/// <summary>Chance that so many pairs show an offset as long as the tolerance.</summary>
public sealed record PowerView(int Pairs, double Chance, Message Words);

/// <summary>Two groups of one set, to draw: bare against fletched, or heads against field points.</summary>
/// <param name="Tolerance">Good enough here, inches.</param>
/// <param name="Heads">True for heads against field points.</param>
/// <param name="Tested">Bare shafts, or heads, that count.</param>
/// <param name="Reference">Fletched arrows, or field points, that count.</param>
/// <param name="Pairs">Complete pairs, which alone are read.</param>
/// <param name="Offset">Tested less reference, the height of the lighter shaft taken off; null below two pairs.</param>
/// <param name="BareHigh">How much was taken off; null where it is nothing.</param>
/// <param name="Powers">What more pairs would show.</param>
/// <param name="More">How many more would decide, in words; null where nothing is read, or it is shown.</param>
public sealed record GroupsView(
    double Tolerance,
    Message ToleranceText,
    bool Heads,
    int Tested,
    int Reference,
    int Pairs,
    GroupView? TestedGroup,
    GroupView? ReferenceGroup,
    Hole? Offset,
    double? Radius,
    GroupVerdict? Verdict,
    Message? BareHigh,
    IReadOnlyList<PowerView> Powers,
    Message? More
)
{
    public static GroupsView Of(GroupReading groups)
    {
        var offset = groups.Offset;
        var tolerance = Measure.Inches(groups.Tolerance);
        return new GroupsView(
            groups.Tolerance,
            new Amount(tolerance),
            groups.Heads,
            groups.Tested,
            groups.Reference,
            groups.Pairs,
            offset is null ? null : GroupView.Of(offset.Group, groups.BareHigh),
            offset is null ? null : GroupView.Of(offset.Other, 0),
            offset is null ? null : new Hole(offset.Offset.X, offset.Offset.Y),
            offset?.Radius,
            groups.Verdict,
            groups.BareHigh >= LeastSaid ? new BareIsLighter(Measure.Inches(groups.BareHigh)) : null,
            [
                .. groups.Powers.Select(p => new PowerView(
                    p.Pairs,
                    p.Chance,
                    new PairsShow(p.Pairs, tolerance, new Chance(p.Chance))
                )),
            ],
            groups.Verdict is { } verdict && verdict != GroupVerdict.Clear ? groups.More() : null
        );
    }

    /// <summary>Less than this is not said, inches.</summary>
    private const double LeastSaid = 0.005;
}

/// <summary>How a set was shot: the wind in the archer's words, from a seat or standing.</summary>
/// <param name="Across">The wind across, miles an hour from the left; 0 for none said.</param>
public sealed record ConditionsView(string Wind, bool Seated, double Across, Message Words)
{
    public static ConditionsView Of(ConditionsNoted shot)
    {
        var across = shot.Across == 0 ? (Measure?)null : Measure.Wind(shot.Across);
        return new ConditionsView(shot.Wind, shot.Seated, shot.Across, new ShotIn(shot.Wind, shot.Seated, across));
    }
}

/// <summary>A rung or a note after a set.</summary>
public sealed record NoteView(string Id, RungKind? Rung, string? Outcome, string Note, DateTimeOffset NotedAt);

/// <summary>
/// A set with its reading, the moves that were made before it, and the moves that would lead back to it.
/// </summary>
/// <param name="MovesBefore">The newest of them, in order.</param>
/// <param name="Conditions">How it was shot; null where nothing was said.</param>
/// <param name="Walk">A walk-back as it was read with this set; null for another stage.</param>
/// <param name="Sighting">A distance that is sighted in; null for another stage.</param>
/// <param name="MarkBefore">How the sight was moved before it, for heads or for all arrows; null where it was
/// not.</param>
/// <param name="MovesNotShown">How many stand before those; the bow's list of moves has them.</param>
/// <param name="NotesAfter">The newest of them, in order.</param>
/// <param name="NotesNotShown">How many stand before those.</param>
public sealed record SetView(
    string Id,
    int Number,
    string DistanceTyped,
    double Distance,
    bool Fletched,
    Message Stage,
    SetPurpose Purpose,
    string ArrowName,
    DateTimeOffset StartedAt,
    IReadOnlyList<ShotView> Shots,
    MeanView? Mean,
    Message Headline,
    IReadOnlyList<Figure> Figures,
    IReadOnlyList<MoveView> MovesBefore,
    int MovesNotShown,
    IReadOnlyList<NoteView> NotesAfter,
    int NotesNotShown,
    IReadOnlyList<WayBackMove> WayBack,
    GroupsView? Groups,
    WalkView? Walk,
    SightingView? Sighting,
    Message? MarkBefore,
    ConditionsView? Conditions
);

/// <summary>How one stage of the session stands; results are kept for each distance.</summary>
public sealed record StageView(
    Message Words,
    double Distance,
    bool Fletched,
    bool AtTarget,
    bool Heads,
    WalkPins? Walk,
    bool Sighting,
    bool Planned,
    bool InWork,
    int Shots,
    Message? Reading,
    double? Chance
);

/// <summary>A stage that comes next, named.</summary>
public sealed record NextStageView(
    double Distance,
    bool Fletched,
    bool AtTarget,
    bool Heads,
    WalkPins? Walk,
    bool Sighting,
    Message Words
);

/// <summary>The plan and where in it the session is.</summary>
public sealed record PlanView(
    SessionKind Kind,
    School School,
    bool OwnSchool,
    int ShotsPerDecision,
    bool ByMachine,
    bool BothAxes,
    string? DozenId,
    IReadOnlyList<StageView> Stages,
    NextStageView? NextStage,
    IReadOnlyList<string> ArrowNumbers
);

/// <summary>The spine question: the fit as computed, and what each cure would do to it.</summary>
public sealed record SpineCheckView(
    double Ratio,
    Message Words,
    double Low,
    double High,
    IReadOnlyList<ArrowTry> Tries
);

/// <summary>What a trial of a bow found of the points its shafts tolerate.</summary>
public sealed record ToleratedView(string PaperId, DateTimeOffset StartedAt, IReadOnlyList<ToleratedRange> Ranges);

/// <summary>A paper session as its page shows it.</summary>
/// <param name="FormSchools">What two schools do where the form is suspected; empty where it is not.</param>
/// <param name="Heads">What the heads of the set in work ask for; null where none are shot.</param>
/// <param name="SightAnswer">What the sight answers for all arrows: of the walk in work, or of a pin that is set; null
/// elsewhere.</param>
/// <param name="LastMoves">The moves of this bow that were logged last, in one act: what undo takes back.</param>
public sealed record PaperView(
    string Id,
    string BowId,
    string ArrowVersionId,
    string ArrowName,
    int ArrowVersionNumber,
    int VaneCount,
    double Tolerance,
    Message ToleranceText,
    DateTimeOffset StartedAt,
    DateTimeOffset? AcceptedAt,
    PlanView Plan,
    IReadOnlyList<SetView> Sets,
    Advice Advice,
    IReadOnlyList<Reading> Readings,
    SessionLadder Ladder,
    Trial? Trial,
    SpineCheckView? SpineCheck,
    Next Next,
    int Version,
    IReadOnlyList<MoveView> LastMoves,
    IReadOnlyList<Message> FormSchools,
    HeadsView? Heads,
    SightAnswerView? SightAnswer
);
