using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
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
    Message Place
)
{
    public static ShotView Of(ShotReading shot)
    {
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
            shot.Tear.Place
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

/// <summary>A rung or a note after a set.</summary>
public sealed record NoteView(string Id, RungKind? Rung, string? Outcome, string Note, DateTimeOffset NotedAt);

/// <summary>
/// A set with its reading, the moves that were made before it, and the moves that would lead back to it.
/// </summary>
/// <param name="MovesBefore">The newest of them, in order.</param>
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
    IReadOnlyList<Figure> Figures,
    IReadOnlyList<MoveView> MovesBefore,
    int MovesNotShown,
    IReadOnlyList<NoteView> NotesAfter,
    int NotesNotShown,
    IReadOnlyList<WayBackMove> WayBack
);

/// <summary>How one stage of the session stands; results are kept for each distance.</summary>
public sealed record StageView(
    Message Words,
    double Distance,
    bool Fletched,
    bool Planned,
    bool InWork,
    int Shots,
    Message? Reading,
    double? Chance
);

/// <summary>A stage that comes next, named.</summary>
public sealed record NextStageView(double Distance, bool Fletched, Message Words);

/// <summary>The plan and where in it the session is.</summary>
public sealed record PlanView(
    SessionKind Kind,
    School School,
    bool OwnSchool,
    int ShotsPerDecision,
    bool ByMachine,
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
/// <param name="LastMove">The move of this bow that was logged last: what undo takes back after it.</param>
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
    MoveView? LastMove
);

/// <summary>Maps a paper's session to its page.</summary>
public sealed class PaperDesk(
    PaperStore papers,
    BowStore bows,
    ArrowStore arrows,
    DozenStore dozens,
    ComponentStore components
)
{
    private const int TrialsRemembered = 5;

    public PaperView View(string paperId) => View(papers.Get(paperId));

    public PaperView View(PaperRow paper)
    {
        var session = paper.Session;
        var version = arrows.Version(paper.ArrowVersionId);
        return new PaperView(
            paper.Id,
            paper.Bow.Id,
            paper.ArrowVersionId,
            version.Typed.Name,
            version.Number,
            version.Arrow.VaneCount,
            session.Tolerance,
            new Amount(Measure.Inches(session.Tolerance)),
            paper.StartedAt,
            session.AcceptedAt,
            PlanOf(session),
            [.. session.Sets.Select(s => SetOf(paper, s))],
            session.Advice,
            session.Readings,
            session.Ladder,
            session.Trial,
            session.SuspectsSpine ? SpineOf(paper.Bow.Bow, version) : null,
            session.Next,
            paper.Version,
            bows.Moves(paper.Bow.Id, most: 1).Select(MoveView.Of).FirstOrDefault()
        );
    }

    /// <summary>
    /// The points that shafts tolerated in this bow's trials, the newest first: for whoever chooses the next arrow.
    /// </summary>
    public IReadOnlyList<ToleratedView> Tolerated(string bowId) =>
        [
            .. from paper in papers.Trials(bowId, TrialsRemembered)
            let trial = paper.Session.Trial
            where trial is { Ranges.Count: > 0 }
            select new ToleratedView(paper.Id, paper.StartedAt, trial.Ranges),
        ];

    /// <summary>Nobody makes more moves, or writes more notes, between two sets of one sitting.</summary>
    private const int ShownBetweenSets = 12;

    private static SetView SetOf(PaperRow paper, SessionSet set)
    {
        var session = paper.Session;
        var stage = set.Begun.Stage;
        var before = session.MovesBefore(set);
        SessionNote[] notes = [.. session.Notes.Where(n => n.AfterSet == set.Number)];
        return new SetView(
            set.Id,
            set.Number,
            set.Begun.DistanceTyped,
            stage.Distance,
            stage.Fletched,
            stage.Name,
            set.Begun.Purpose,
            session.Arrows.First(a => a.Version == set.Begun.Arrow).Name,
            set.At,
            [.. set.Shots.Select(ShotView.Of)],
            set.Mean is null ? null : MeanView.Of(set.Mean),
            set.Mean is null ? [] : TearFigures.Of(set.Mean, session.MeanBefore(set)),
            [.. before.TakeLast(ShownBetweenSets).Select(m => MoveView.Of(paper.Moves.First(r => r.Id == m.Id)))],
            Math.Max(0, before.Count - ShownBetweenSets),
            [.. notes.TakeLast(ShownBetweenSets).Select(n => new NoteView(n.Id, n.Rung, n.Outcome, n.Note, n.At))],
            Math.Max(0, notes.Length - ShownBetweenSets),
            session.WayBack(set)
        );
    }

    private PlanView PlanOf(TuningSession session)
    {
        var plan = session.Plan;
        var stages = session
            .Stages()
            .Select(s => new StageView(
                s.Stage.Name,
                s.Stage.Distance,
                s.Stage.Fletched,
                s.Planned,
                s.InWork,
                s.Shots,
                s.Reading,
                s.Chance
            ));
        var numbers = Enumerable.Range(1, dozens.ArrowsOf(plan.DozenId) ?? 0).Select(n => $"{n}");
        var next = session.NextStage;
        return new PlanView(
            plan.Kind,
            session.School,
            plan.School is null,
            plan.ShotsPerDecision,
            plan.ByMachine,
            plan.DozenId,
            [.. stages],
            next is null ? null : new NextStageView(next.Distance, next.Fletched, next.Name),
            [.. numbers]
        );
    }

    /// <summary>A stiffer shaft, a lighter point, a shorter arrow, less weight: what each does to the fit.</summary>
    private SpineCheckView SpineOf(Bow bow, ArrowVersion version)
    {
        var fit = new ArrowNumbers(bow, version.Arrow).Fit;
        var stiffer = Tries
            .Of(bow, version.Arrow, version.Typed, components.All())
            .Where(t => t.Effect.Ratio > fit.Ratio);
        var down = new ArrowTry(WhatIf.OfBow(WhatIf.TurnedDown, bow, version.Arrow), null);
        return new SpineCheckView(fit.Ratio, fit.Words, fit.Low, fit.High, [.. stiffer, down]);
    }
}
