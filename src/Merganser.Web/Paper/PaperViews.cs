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
    Message? From,
    WayShot? Way,
    double? SightFor,
    Slant? Slant
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
            marked.Yards is { } yards ? new Amount(Measure.Yards(yards)) : null,
            marked.Way,
            marked.SightFor,
            marked.Slant
        );
    }

    private static Message Said(string reason) =>
        reason switch
        {
            SessionActs.Settles => PaperSays.SettlesStringWork,
            SessionActs.TakenInWrongly => PaperSays.TakenInWrongly,
            _ => new Verbatim(reason),
        };
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

/// <summary>How a set was shot: the wind in the archer's words, from a seat or standing.</summary>
/// <param name="Across">The wind across, miles an hour from the left; 0 for none said.</param>
/// <param name="Face">The face on the butt; null for a plain one.</param>
/// <param name="Taped">True where bare shafts are taped to the weight of the vanes.</param>
public sealed record ConditionsView(
    string Wind,
    bool Seated,
    double Across,
    Message Words,
    TargetFace? Face,
    Message? FaceWords,
    bool Taped,
    Message? TapedWords
)
{
    public static ConditionsView Of(ConditionsNoted shot)
    {
        var across = shot.Across == 0 ? (Measure?)null : Measure.Wind(shot.Across);
        return new ConditionsView(
            shot.Wind,
            shot.Seated,
            shot.Across,
            new ShotIn(shot.Wind, shot.Seated, across),
            shot.Face,
            Hangs(shot.Face),
            shot.Taped,
            shot.Taped ? GroupSays.BareTaped : null
        );
    }

    private static Message? Hangs(TargetFace? face) =>
        face switch
        {
            null => null,
            { RingDiameters: { } rings } => new FaceOfOwnRings(
                Measure.Inches(face.Diameter, 1),
                [.. rings.Select(r => Measure.Inches(r, 1))]
            ),
            _ => new FaceHangs(Measure.Inches(face.Diameter, 1), face.Rings),
        };
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
/// <param name="Ways">Two ways as they compare; null for another stage.</param>
/// <param name="RangeTrial">What a range error costs; null for another stage.</param>
/// <param name="NockEnd">What a nock end beside the point stands for; null for another stage.</param>
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
    WaysView? Ways,
    RangeTrialView? RangeTrial,
    Message? NockEnd,
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
    TwoWays? Ways,
    double? RangeError,
    bool NockEnd,
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
    TwoWays? Ways,
    double? RangeError,
    bool NockEnd,
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
    IReadOnlyList<string> ArrowNumbers,
    IReadOnlyList<StillToShoot> StillToShoot
);

/// <summary>An arrow of a planned trial that is still to be shot.</summary>
public sealed record StillToShoot(string ArrowVersionId, string Name);

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
