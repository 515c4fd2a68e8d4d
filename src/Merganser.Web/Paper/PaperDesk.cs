using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;

namespace Merganser.Web.Paper;

/// <summary>Maps a paper's session to its page.</summary>
public sealed class PaperDesk(
    PaperStore papers,
    BowStore bows,
    ArrowStore arrows,
    DozenStore dozens,
    ComponentStore components
)
{
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
            LastMoves(paper.Bow.Id),
            session.Readings.Any(r => r is { Cause: Cause.Form, Suspected: true })
                ? [PaperSays.TuneToTheHand, PaperSays.MendTheForm]
                : [],
            session.Now.Stage.Heads ? HeadsView.Of(session, paper.Sight, dozens.HeadsOf(session.Plan.DozenId)) : null,
            SightAnswerView.Of(session, paper.Sight)
        );
    }

    /// <summary>The last act: a move, a yoke's legs, or a move for each axis.</summary>
    private MoveView[] LastMoves(string bowId)
    {
        var newest = bows.Moves(bowId, MostInAnAct);
        return [.. newest.Where(m => SessionActs.OfOneAct(m.Id, newest[^1].Id)).Select(MoveView.Of)];
    }

    private const int MostInAnAct = 3;

    /// <summary>
    /// The points that shafts tolerated in this bow's trials, the newest first: for whoever chooses the next arrow.
    /// </summary>
    public IReadOnlyList<ToleratedView> Tolerated(string bowId) =>
        [
            .. from paper in papers.Trials(bowId)
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
        var (before, walk) = (session.MovesBefore(set), session.WalkOf(set));
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
            set.Mean is null || set.Groups is not null ? null : MeanView.Of(set.Mean),
            session.Headline(set),
            FiguresOf(session, set, walk),
            [.. before.TakeLast(ShownBetweenSets).Select(m => MoveView.Of(paper.Moves.First(r => r.Id == m.Id)))],
            Math.Max(0, before.Count - ShownBetweenSets),
            [.. notes.TakeLast(ShownBetweenSets).Select(n => new NoteView(n.Id, n.Rung, n.Outcome, n.Note, n.At))],
            Math.Max(0, notes.Length - ShownBetweenSets),
            session.WayBack(set),
            set.Groups is null ? null : GroupsView.Of(set.Groups),
            walk is null ? null : WalkView.Of(walk, session),
            session.SightingOf(set) is { } zero ? SightingView.Of(zero) : null,
            session.WaysOf(set) is { } ways ? WaysView.Of(ways) : null,
            session.RangeTrialOf(set) is { } trial ? RangeTrialView.Of(trial) : null,
            stage.NockEnd ? NockEndWords(stage.Distance, session.Tolerance) : null,
            MarkBefore(session, set),
            session.ConditionsOf(set) is { } shot ? ConditionsView.Of(shot) : null
        );
    }

    /// <summary>What good enough is of a nock end beside the point.</summary>
    internal static NockEndStandsFor NockEndWords(double yards, double tolerance) =>
        new(Measure.Inches(tolerance * NockEnd.PerTear(yards), 1), Measure.Ruled(tolerance), Measure.Yards(yards));

    /// <summary>How the sight was moved before a set, for heads or for all arrows.</summary>
    private static Message? MarkBefore(TuningSession session, SessionSet set)
    {
        if (session.MarkBefore(set) is { } mark)
        {
            return new HeadMarkMovedBy(Measure.Inches(mark.Right, 3), Measure.Inches(mark.Up, 3));
        }

        var moved = session.SightBefore(set);
        var (right, up) = (moved.Sum(m => m.Right), moved.Sum(m => m.Up));
        return moved.Count == 0 ? null
            : moved.Any(m => !m.IsMove) ? WalkSays.IMovedOtherwise
            : new SightMovedBy(Measure.Inches(right, 3), Measure.Inches(up, 3));
    }

    private static IReadOnlyList<Figure> FiguresOf(TuningSession session, SessionSet set, WalkReading? walk) =>
        set switch
        {
            _ when walk is not null => WalkFigures.Of(walk),
            _ when session.SightingOf(set) is { } zero => SightingFigures.Of(zero),
            _ when session.WaysOf(set) is { } ways => WaysFigures.Of(ways),
            _ when session.RangeTrialOf(set) is { } trial => RangeFigures.Of(trial),
            { Groups: { } groups } => GroupFigures.Of(groups),
            { Mean: { } mean } => TearFigures.Of(mean, session.MeanBefore(set)),
            _ => [],
        };

    private PlanView PlanOf(TuningSession session)
    {
        var plan = session.Plan;
        var stages = session
            .Stages()
            .Select(s => new StageView(
                s.Stage.Name,
                s.Stage.Distance,
                s.Stage.Fletched,
                s.Stage.AtTarget,
                s.Stage.Heads,
                s.Stage.Walk,
                s.Stage.Sighting,
                s.Stage.Ways,
                s.Stage.RangeError,
                s.Stage.NockEnd,
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
            plan.BothAxes,
            plan.DozenId,
            [.. stages],
            next is null
                ? null
                : new NextStageView(
                    next.Distance,
                    next.Fletched,
                    next.AtTarget,
                    next.Heads,
                    next.Walk,
                    next.Sighting,
                    next.Ways,
                    next.RangeError,
                    next.NockEnd,
                    next.Name
                ),
            [.. numbers],
            [.. session.StillToShoot.Select(a => new StillToShoot(a.Version, a.Name))]
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
