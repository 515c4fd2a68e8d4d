using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Data;
using Merganser.Web.Arrows;
using Merganser.Web.Bows;

namespace Merganser.Web.Paper;

/// <summary>A shot with its tear, and where its tail lies in words.</summary>
public sealed record ShotView(
    string Id, int Number, Hole Point, Hole Tail, SheetSide Side, Tear Tear, string? VoidReason, bool Doubtful, string? ArrowNumber, string? Words, DateTimeOffset ShotAt, string Place);

/// <summary>The mean of a set to draw.</summary>
public sealed record MeanView(Tear Mean, double Radius, double Spread, int Count, bool SpreadAssumed, string Words);

/// <summary>A set with its reading, the moves that were made before it, and the moves that would lead back to it.</summary>
public sealed record SetView(
    string Id, int Number, string DistanceTyped, double Distance, bool Fletched, SetPurpose Purpose, string ArrowName, DateTimeOffset StartedAt, IReadOnlyList<ShotView> Shots,
    MeanView? Mean, IReadOnlyList<Figure> Figures, IReadOnlyList<MoveView> MovesBefore, IReadOnlyList<NoteRow> NotesAfter, IReadOnlyList<WayBackMove> WayBack);

/// <summary>How one stage of the session stands; results are kept for each distance.</summary>
public sealed record StageView(string Words, double Distance, bool Fletched, bool Planned, bool InWork, int Shots, string? Reading, double? Chance);

/// <summary>The plan and where in it the session is.</summary>
public sealed record PlanView(
    SessionKind Kind, School School, bool OwnSchool, int ShotsPerDecision, bool ByMachine, string? DozenId, IReadOnlyList<StageView> Stages, PlannedStage? NextStage,
    IReadOnlyList<string> ArrowNumbers);

/// <summary>A rung with what was answered.</summary>
public sealed record RungView(string Code, string Title, string How, string Tells, bool Control, string? NoteId, string? Outcome, string? Note);

/// <summary>The ladder for when moves do not help.</summary>
public sealed record LadderView(bool Wanted, IReadOnlyList<RungView> Rungs, string? Next);

/// <summary>The spine question: the fit as computed, and what each cure would do to it.</summary>
public sealed record SpineCheckView(double Ratio, string Words, double Low, double High, IReadOnlyList<TryView> Tries);

/// <summary>What a trial of a bow found of the points its shafts tolerate.</summary>
public sealed record ToleratedView(string PaperId, DateTimeOffset StartedAt, IReadOnlyList<ToleratedRange> Ranges);

/// <summary>A paper session as its page shows it.</summary>
/// <param name="LastMove">The move of this bow that was logged last: what undo takes back after it.</param>
public sealed record PaperView(
    string Id, string BowId, string ArrowVersionId, string ArrowName, int ArrowVersionNumber, int VaneCount, double Tolerance, DateTimeOffset StartedAt,
    DateTimeOffset? AcceptedAt, PlanView Plan, IReadOnlyList<SetView> Sets, Advice Advice, IReadOnlyList<Reading> Readings, LadderView Ladder, Trial? Trial,
    SpineCheckView? SpineCheck, Next Next, int Version, MoveView? LastMove);

/// <summary>Puts a paper's rows and the Core's reading together.</summary>
public sealed class PaperDesk(PaperStore papers, ArrowStore arrows, DozenStore dozens, ComponentStore components, TuningDesk tuning)
{
    private const int ControlShots = 3;

    public PaperView View(string paperId) => View(papers.Get(paperId));

    public PaperView View(PaperRow paper)
    {
        var read = tuning.Read(paper);
        var (bow, moves) = (read.Bow, read.Moves);
        var version = arrows.Version(paper.ArrowVersionId);
        var now = paper.Sets[^1];
        var trial = paper.Plan.Kind == SessionKind.Trial ? Trial.Of(TrialArrows(paper), paper.Tolerance) : null;
        var advice = trial is null ? read.Bench.Advise(read.State, [.. read.Readings.Select(r => r.Evidence)]) : TrialAdvice(trial);
        var ladder = LadderOf(paper, bow, read, advice, trial is not null);
        var plan = PlanOf(paper, read, advice);
        var accepted = paper.AcceptedAt is not null;
        if (bow.Unsound is { } unsound)
        {
            advice = new Advice(AdviceKind.Unsound, "Do not shoot this bow until it is repaired.", unsound.Words, null, null, null, [], []);
        }

        var unshot = now.Shots.All(s => s.VoidReason is not null) && Moved(read, paper);
        var next = accepted ? PaperNext.Accepted(plan, bow.Bow.Kind, trial is not null)
            : now.Purpose != SetPurpose.Session ? PaperNext.Control(now, ControlShots - now.Shots.Count(s => s.VoidReason is null))
            : PaperNext.Of(advice, now, plan.NextStage, ladder, trial is not null, unshot);
        next = Unsound.Guard(bow.Unsound, next);
        return new PaperView(paper.Id, paper.BowId, paper.ArrowVersionId, version.Typed.Name, version.Number, version.Arrow.VaneCount, paper.Tolerance,
            paper.StartedAt, paper.AcceptedAt, plan, [.. paper.Sets.Select(s => SetOf(paper, s, moves, bow, read))], advice, read.Readings, ladder, trial,
            read.Readings.Any(r => r is { Cause: Cause.Spine, Suspected: true }) ? SpineOf(bow.Bow, version) : null, next, paper.Version,
            moves.Count == 0 ? null : MoveView.Of(moves[^1], bow.Bow.Hand));
    }

    /// <summary>The points that shafts tolerated in this bow's trials, the newest first: for whoever chooses the next arrow.</summary>
    public IReadOnlyList<ToleratedView> Tolerated(string bowId) =>
        [.. papers.Of(bowId).Where(p => p.Plan.Kind == SessionKind.Trial).Select(p => new ToleratedView(p.Id, p.StartedAt, Trial.Of(TrialArrows(p), p.Tolerance).Ranges)).Where(t => t.Ranges.Count > 0)];

    /// <summary>The mean of the shots of a set that count.</summary>
    public static MeanTear? MeanOf(SetRow set)
    {
        var tears = set.Shots.Where(s => s.VoidReason is null).Select(s => s.Tear()).ToArray();
        return tears.Length == 0 ? null : new MeanTear(tears);
    }

    private SetView SetOf(PaperRow paper, SetRow set, IReadOnlyList<MoveRow> moves, BowRow bow, TuningRead read)
    {
        var mean = MeanOf(set);
        var before = paper.Sets.Where(s => s.Number < set.Number).Select(MeanOf).LastOrDefault(m => m is not null);
        var previous = paper.Sets.FirstOrDefault(s => s.Number == set.Number - 1);
        var shots = set.Shots.Select(s => new ShotView(s.Id, s.Number, s.Point, s.Tail, s.Side, s.Tear(), s.VoidReason, s.Doubtful, s.ArrowNumber, s.Words, s.ShotAt, s.Tear().Words)).ToArray();
        Adjuster[] then = [.. bow.Adjusters.Select(a => a with { Position = read.Positions[set.Number].GetValueOrDefault(a.Kind) })];
        return new SetView(set.Id, set.Number, set.DistanceTyped, set.Distance, set.Fletched, set.Purpose, arrows.Version(set.ArrowVersionId).Typed.Name, set.StartedAt, shots,
            mean is null ? null : new MeanView(mean.Mean, mean.Radius, mean.Spread, mean.Count, mean.SpreadAssumed, mean.Words),
            mean is null ? [] : TearFigures.Of(mean, before),
            previous is null ? [] : [.. moves.Where(m => m.AfterSetId == previous.Id || Elsewhere(m, previous, set)).Select(m => MoveView.Of(m, bow.Bow.Hand))],
            [.. paper.Notes.Where(n => n.AfterSetId == set.Id)], StateDiff.WayBack(bow.Adjusters, then, bow.Bow.Hand));
    }

    /// <summary>True when the bow stands otherwise than at the last set that was read.</summary>
    private static bool Moved(TuningRead read, PaperRow paper) =>
        paper.LastRead is not { } last
        || read.Positions[last.Number].Any(p => read.Positions[paper.Sets[^1].Number].GetValueOrDefault(p.Key) != p.Value);

    /// <summary>Logged away from this paper, between the beginnings of two of its sets.</summary>
    private static bool Elsewhere(MoveRow move, SetRow previous, SetRow set) => move.AfterSetId is null && move.Ordinal > previous.AfterMove && move.Ordinal <= set.AfterMove;

    private PlanView PlanOf(PaperRow paper, TuningRead read, Advice advice)
    {
        var current = new PlannedStage(read.Stage.Distance, read.Stage.Fletched);
        var shot = read.Shots.GroupBy(s => new PlannedStage(s.Stage.Distance, s.Stage.Fletched)).ToDictionary(g => g.Key, g => g.ToArray());
        var stages = paper.Plan.Stages.Concat(shot.Keys.Where(k => !paper.Plan.Stages.Contains(k))).Select(stage =>
        {
            var shots = shot.GetValueOrDefault(stage) ?? [];
            var last = shots.Length == 0 ? null : new MeanTear([.. shots.Where(s => s.Set == shots[^1].Set).Select(s => s.Tear)]);
            double? chance = stage == current ? advice.Chance : shots.Length == 0 ? null : ChanceOf(read, shots);
            return new StageView(stage.Words, stage.Distance, stage.Fletched, paper.Plan.Stages.Contains(stage), stage == current, shots.Length, last?.Words, chance);
        });
        IReadOnlyList<string> numbers = paper.Plan.DozenId is { } id && dozens.Of(paper.BowId).FirstOrDefault(d => d.Id == id) is { } dozen ? [.. Enumerable.Range(1, dozen.Plan.Arrows).Select(n => $"{n}")] : [];
        return new PlanView(paper.Plan.Kind, read.Bench.School, paper.Plan.School is null, paper.Plan.ShotsPerDecision, paper.Plan.ByMachine, paper.Plan.DozenId, [.. stages], paper.Plan.After(current), numbers);
    }

    /// <summary>The chance of being inside as the bow stood at a stage's last shot.</summary>
    private static double ChanceOf(TuningRead read, SessionShot[] shots)
    {
        Adjuster[] then = [.. read.Bench.Adjusters.Select(a => a with { Position = shots[^1].Positions.GetValueOrDefault(a.Kind) })];
        var state = (read.Bench with { Adjusters = then }).Read(shots[^1].Stage, [.. shots.Where(s => s.Stage == shots[^1].Stage)]);
        return state.Belief.ChanceInside(state.Setting, read.Bench.Tolerance);
    }

    private static LadderView LadderOf(PaperRow paper, BowRow bow, TuningRead read, Advice advice, bool trial)
    {
        var rungs = StubbornLadder.For(bow.Bow.Release, read.Bench.School);
        var controls = paper.Sets.Where(s => s.Shots.Any(h => h.VoidReason is null)).Select(s => ControlReading.RungOf(s.Purpose)).ToHashSet();
        RungView[] views =
        [
            .. rungs.Select(r =>
            {
                var note = paper.Notes.LastOrDefault(n => n.Rung == r.Code);
                return new RungView(r.Code, r.Title, r.How, r.Tells, r.Control, note?.Id, note?.Outcome ?? (controls.Contains(r.Code) ? "shot" : null), note?.Note);
            }),
        ];
        string[] done = [.. views.Where(v => v.Outcome is not null).Select(v => v.Code)];
        return new LadderView(!trial && StubbornLadder.Wanted(read.Made, read.Readings, advice.Kind), views, StubbornLadder.Next(rungs, done)?.Code);
    }

    private IReadOnlyList<TrialArrow> TrialArrows(PaperRow paper) =>
    [
        .. paper.Sets.GroupBy(s => s.ArrowVersionId).Select(g =>
        {
            var version = arrows.Version(g.Key);
            return new TrialArrow(version.Typed.Name, version.Arrow.Shaft.Name, version.Arrow.Point.Weight, [.. g.SelectMany(s => s.Shots).Where(s => s.VoidReason is null).Select(s => s.Tear())]);
        }),
    ];

    private static Advice TrialAdvice(Trial trial) => new(
        trial.Rows.Count == 0 ? AdviceKind.NoShots : AdviceKind.ShootMore,
        trial.Rows.Count < 2 ? "Shoot two with this arrow, then take the next one." : "Take the next arrow, or end the trial.",
        "The bow is left alone: a trial advises no move.", null, null, null, trial.Because.Length == 0 ? [] : [new Evidence(trial.Cause, trial.Because + ".", "More shots of the arrows that are close")], []);

    private SpineCheckView SpineOf(Bow bow, ArrowVersion version)
    {
        var reading = new ArrowNumbers(bow, version.Arrow).Fit;
        return new SpineCheckView(reading.Ratio, reading.Words, reading.Low, reading.High, Cures(bow, version));
    }

    /// <summary>A stiffer shaft, a lighter point, a shorter arrow, less weight: what each does to the fit.</summary>
    private IReadOnlyList<TryView> Cures(Bow bow, ArrowVersion version)
    {
        var here = new ArrowNumbers(bow, version.Arrow).Fit.Ratio;
        var lighter = bow with { NominalWeight = bow.NominalWeight - 2, MeasuredWeight = bow.MeasuredWeight - 2 };
        return [.. Tries.Of(bow, version.Arrow, version.Typed, components.All()).Where(t => t.Effect.Ratio > here), new TryView(WhatIf.Of("Bow 2 lb down", lighter, version.Arrow), null)];
    }
}

/// <summary>The next step on the paper's page.</summary>
public static class PaperNext
{
    private const double Hopeless = 0.05;

    /// <summary>The paper is done: what was kept, and what remains.</summary>
    public static Next Accepted(PlanView plan, BowKind kind, bool trial)
    {
        string[] open = [.. plan.Stages.Where(s => s.Planned && s.Shots == 0).Select(s => s.Words)];
        var after = kind == BowKind.Compound ? "peep, sight and groups come after paper" : "sight and groups come after paper";
        var remains = trial ? "The bow was left as it is." : $"Marked as shot well with this arrow. Remains: {(open.Length > 0 ? string.Join(", ", open) + "; " : "")}{after}.";
        return new Next("Accepted: this paper is done.", remains, "start", "Back to the rack", "Shoot more: opens it again", "mark");
    }

    /// <summary>A control in work: the bow is left alone.</summary>
    public static Next Control(SetRow set, int left) => left > 0
        ? new Next($"{Name(set.Purpose)}: shoot {left} more, touch nothing.", "Same distance, same bow; one thing is changed.", "mark", "Mark a shot", "Back to the session", "backToSession")
        : new Next("The control is shot: read it, then go on.", "What it says stands among the evidence.", "backToSession", "Back to the session", "Shoot more", "mark");

    /// <summary>What is next while the paper is open.</summary>
    /// <param name="unshot">True while nothing was shot at the setting the bow stands at: there is nothing to accept.</param>
    public static Next Of(Advice advice, SetRow set, PlannedStage? nextStage, LadderView ladder, bool trial, bool unshot)
    {
        if (trial)
        {
            return new Next(advice.Sentence, advice.Reason, "mark", "Mark a shot", "End the trial", "accept");
        }

        var rung = ladder.Wanted ? ladder.Rungs.FirstOrDefault(r => r.Code == ladder.Next) : null;
        var stuck = advice.Kind is AdviceKind.Move or AdviceKind.SmallTest or AdviceKind.NotReachable
            || (advice.Kind == AdviceKind.ShootMore && advice.Chance < Hopeless && set.Shots.Count(s => s.VoidReason is null) > 1);
        if (rung is not null && stuck)
        {
            return new Next($"Moves do not help: {Lower(rung.Title)} first.", rung.Tells, "rung", "Open the ladder", advice.Move is null ? "I accept this" : "Move all the same", advice.Move is null ? "accept" : "madeMove");
        }

        return advice.Kind switch
        {
            AdviceKind.NoShots when unshot => new Next(advice.Sentence, "Point hole first, then the tail. Nobody in front of the line.", "mark", "Mark a shot", "I did something else", "logMove"),
            AdviceKind.NoShots or AdviceKind.ShootMore => new Next(advice.Sentence, advice.Reason, "mark", "Mark a shot", "I accept this", "accept"),
            AdviceKind.GoodEnough when nextStage is not null => new Next($"Good enough here: go on to {nextStage.Words}.", advice.Reason, "nextStage", $"On to {nextStage.Words}", "I accept this", "accept"),
            AdviceKind.GoodEnough => new Next("Good enough: accept this, or shoot more.", advice.Reason, "accept", "I accept this", "Shoot more", "mark"),
            AdviceKind.Unsound => new Next(advice.Sentence, advice.Reason, "check:inspection", "To the inspection"),
            AdviceKind.NotReachable => new Next(advice.Sentence, advice.Reason, "accept", "I accept this", "I did something else", "logMove"),
            _ => new Next(Short(advice), Caution(advice), "madeMove", "I made this move", "I did something else", "logMove"),
        };
    }

    private static string Short(Advice advice) => advice.Sentence.Length <= 70 ? advice.Sentence : advice.Move!.Order + ".";

    private static string Caution(Advice advice) => advice.Move!.NeedsPress
        ? "Only in the right press, by its manual. Log what you did, even if it was something else."
        : "Write down what you did, even if it was something else.";

    private static string Name(SetPurpose purpose) => purpose switch
    {
        SetPurpose.ControlArrow => "Control arrow",
        SetPurpose.ChangedGrip => "Changed grip",
        SetPurpose.OtherArcher => "Another archer",
        _ => "Machine",
    };

    private static string Lower(string words) => char.ToLowerInvariant(words[0]) + words[1..];
}
