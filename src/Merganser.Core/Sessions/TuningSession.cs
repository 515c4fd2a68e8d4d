using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>
/// A session is its bow, arrow, archer and plan, what earlier papers taught, and one ordered list of events. Everything
/// else follows from these and from nothing besides: sets and settings, means, readings, the ladder, the advice and the
/// next step.
/// </summary>
public sealed partial class TuningSession
{
    private readonly Replay replay;
    private readonly Lazy<Adviser> adviser;
    private readonly Lazy<TuningState> state;
    private readonly Lazy<IReadOnlyList<Reading>> readings;
    private readonly Lazy<Advice> advice;
    private readonly Lazy<SessionLadder> ladder;

    /// <param name="bow">The bow, its archer, its adjusters as they stand.</param>
    /// <param name="arrows">The arrows that are shot; those of a trial all of them.</param>
    /// <param name="plan">What it is to be.</param>
    /// <param name="tolerance">Good enough, inches, above 0.</param>
    /// <param name="known">What earlier papers taught.</param>
    /// <param name="events">What happened, in order; the first begins a set.</param>
    /// <param name="engine">Another engine than the shipped one, or null.</param>
    public TuningSession(
        SessionBow bow,
        IReadOnlyList<SessionArrow> arrows,
        SessionPlan plan,
        double tolerance,
        Knowledge known,
        IReadOnlyList<SessionEvent> events,
        EngineChoice? engine = null
    )
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(tolerance);
        (Bow, Arrows, Plan, Tolerance, Known, Events) = (bow, arrows, plan, tolerance, known, events);
        replay = new Replay(bow.Adjusters, events, bow.Worked, BareHigh, tolerance);
        var last = Sets.LastOrDefault(s => s.OfSession) ?? Sets.LastOrDefault();
        Stage = last?.Stage ?? throw new ArgumentException("A session begins with a set.", nameof(events));
        Shots = ShotsThatTeach();
        Here = [.. Shots.Where(s => s.Stage == Stage)];
        Usual = UsualSpread.Of(known.Fits);
        Made = MoveHistory.Made(
            Moves,
            Sets.Where(s => s.OfSession && s.Stage == Stage).ToDictionary(s => s.Number, s => s.Mean)
        );
        adviser = new(() =>
            new Adviser(
                bow.Bow.Release,
                School,
                bow.Archer.MayPress,
                bow.Bow.RestType,
                bow.Adjusters,
                tolerance,
                plan.ShotsPerDecision
            )
            {
                Others = [.. known.Fits, .. FitsOf(Shots.Where(s => s.Stage != Stage))],
                ControlDone = Sets.Any(s =>
                    s.Begun.Purpose == SetPurpose.ControlArrow
                    && s.Mean is not null
                    && s.Stage.Distance == Stage.Distance
                ),
                Rig = replay.Rig,
                BothAxes = plan.BothAxes,
                Engine = engine,
            }
        );
        state = new(() => Adviser.Read(Stage, Here));
        readings = new(() =>
            Stage.AtTarget ? [] : [.. SessionReadings.Of(Here, ShotsAtPaper, Made, bow.Adjusters, Usual), .. Controls()]
        );
        advice = new(Advised);
        ladder = new(() => SessionLadder.Of(this, advice.Value.Kind));
    }

    /// <summary>Its bow, archer and adjusters.</summary>
    public SessionBow Bow { get; }

    /// <summary>The arrows that were shot.</summary>
    public IReadOnlyList<SessionArrow> Arrows { get; }

    /// <summary>What was planned.</summary>
    public SessionPlan Plan { get; }

    /// <summary>Good enough, inches.</summary>
    public double Tolerance { get; }

    /// <summary>What earlier papers taught.</summary>
    public Knowledge Known { get; }

    /// <summary>Everything that happened, in order.</summary>
    public IReadOnlyList<SessionEvent> Events { get; }

    /// <summary>The engine at this bow.</summary>
    public Adviser Adviser => adviser.Value;

    /// <summary>The school in use: the plan's, or the archer's own.</summary>
    public School School => Plan.School ?? Bow.Archer.School;

    /// <summary>True for a trial: the bow is left alone.</summary>
    public bool IsTrial => Plan.Kind == SessionKind.Trial;

    /// <summary>How everything of the bow is that no tear is answered with.</summary>
    public string Rig => replay.Rig;

    /// <summary>The sets, with their shots.</summary>
    public IReadOnlyList<SessionSet> Sets => replay.Sets;

    /// <summary>The moves, corrections among them.</summary>
    public IReadOnlyList<SessionMove> Moves => replay.Moves;

    /// <summary>Answered rungs and notes.</summary>
    public IReadOnlyList<SessionNote> Notes => replay.Notes;

    /// <summary>When it was accepted; null while it is open.</summary>
    public DateTimeOffset? AcceptedAt => replay.AcceptedAt;

    /// <summary>The set that is shot now.</summary>
    public SessionSet Now => Sets[^1];

    /// <summary>The stage in work.</summary>
    public Stage Stage { get; }

    /// <summary>The shots that count and teach, in order.</summary>
    public IReadOnlyList<ShotReading> Shots { get; }

    /// <summary>Those of the stage in work.</summary>
    public IReadOnlyList<ShotReading> Here { get; }

    /// <summary>How widely this archer's shots usually stray.</summary>
    public UsualSpread Usual { get; }

    /// <summary>Moves of this stage with the mean before and after.</summary>
    public IReadOnlyList<MadeMove> Made { get; }

    /// <summary>What is believed of the stage in work.</summary>
    public TuningState State => state.Value;

    /// <summary>Bow, arrow or archer.</summary>
    public IReadOnlyList<Reading> Readings => readings.Value;

    /// <summary>The one thing to do next at the paper; nothing is shot while the bow is unsound.</summary>
    public Advice Advice =>
        Bow.Unsound is { } unsound
            ? Advice.To(AdviceKind.Unsound, TuningSays.DoNotShoot, unsound.Words, [])
            : advice.Value;

    /// <summary>The ladder for when moves do not help.</summary>
    public SessionLadder Ladder => ladder.Value;

    /// <summary>
    /// The last set of the session itself with a shot that counts: what can be accepted is its setting.
    /// </summary>
    public SessionSet? LastRead => Sets.LastOrDefault(s => s.OfSession && s.IsShot);

    /// <summary>True when the bow stands otherwise than at the last set that was read, or nothing was read.</summary>
    public bool MovedSinceShot => LastRead is not { } read || !StandsAs(read);

    /// <summary>The stage that comes after the one in work, or null.</summary>
    public PlannedStage? NextStage => Plan.After(Stage.Planned);

    /// <summary>The next step on the paper's page.</summary>
    public Next Next => Unsound.Guard(Bow.Unsound, SessionNext.Of(this));

    /// <summary>The same session, with nothing worked out of its record yet.</summary>
    public TuningSession AsRecorded() => new(Bow, Arrows, Plan, Tolerance, Known, Events);

    /// <summary>Every stage, planned or shot.</summary>
    public IReadOnlyList<StageState> Stages()
    {
        var shot = Shots.GroupBy(s => s.Stage.Planned).ToDictionary(g => g.Key, g => g.ToArray());
        var all = Plan
            .Stages.Union(shot.Keys)
            .Union(Sets.Where(s => s is { OfSession: true, IsShot: true }).Select(s => s.Begun.Stage));
        return [.. all.Select(stage => StateOf(stage, shot.GetValueOrDefault(stage) ?? []))];
    }

    /// <summary>The moves that were made between a set and the one before it.</summary>
    public IReadOnlyList<SessionMove> MovesBefore(SessionSet set) =>
        set.Number == 1 ? [] : [.. Moves.Where(m => m.AfterSet == set.Number - 1)];

    /// <summary>How a set was shot, or null where nothing was said.</summary>
    public ConditionsNoted? ConditionsOf(SessionSet set) => replay.ConditionsOf(set);

    /// <summary>The mean before a set, or null.</summary>
    public MeanTear? MeanBefore(SessionSet set) =>
        Sets.Where(s => s.Number < set.Number && s.Stage.AtTarget == set.Stage.AtTarget)
            .Select(s => s.Mean)
            .LastOrDefault(m => m is not null);

    /// <summary>The moves that lead back to a set's setting.</summary>
    public IReadOnlyList<WayBackMove> WayBack(SessionSet set) => StateDiff.WayBack(Bow.Adjusters, AsAt(set.Positions));

    /// <summary>True when the record suspects the shaft.</summary>
    public bool SuspectsSpine => Readings.Any(r => r is { Cause: Cause.Spine, Suspected: true });

    /// <summary>What this session teaches of the bow, a fit for each stage.</summary>
    public Knowledge Learned() =>
        new([.. FitsOf(Shots).Select(f => f with { Gains = [.. f.Gains.Where(g => !replay.Lost.Contains(g.Kind))] })]);

    private StageState StateOf(PlannedStage stage, ShotReading[] shots)
    {
        var inWork = stage == Stage.Planned;
        if (stage.FletchedAlone)
        {
            return StateOfFletched(stage, inWork);
        }

        var last = shots.Length == 0 ? null : Sets[shots[^1].Set - 1].Reading;
        var chance = inWork ? advice.Value.Chance : ChanceAt(shots);
        return new StageState(stage, Plan.Stages.Contains(stage), inWork, shots.Length, last, chance);
    }

    /// <summary>The chance of being inside as the bow stood at a stage's last shot.</summary>
    private double? ChanceAt(ShotReading[] shots)
    {
        if (shots.Length == 0)
        {
            return null;
        }

        var then = Adviser with { Adjusters = AsAt(shots[^1].Positions), Rig = shots[^1].Rig };
        var read = then.Read(shots[^1].Stage, [.. shots.Where(s => s.Stage == shots[^1].Stage)]);
        return read.Belief.ChanceInside(read.Setting, then.Tolerance);
    }

    private Adjuster[] AsAt(IReadOnlyDictionary<AdjusterKind, double> positions) =>
        [.. Bow.Adjusters.Select(a => a with { Position = positions.GetValueOrDefault(a.Kind) })];

    /// <summary>What was marked after the last forgetting and counts; a pair is marked with its later shot.</summary>
    private ShotReading[] ShotsThatTeach()
    {
        List<ShotReading> teach = [];
        var before = 0;
        foreach (var set in Sets)
        {
            if (set.OfSession)
            {
                teach.AddRange(set.Read.Where(s => s.Counts && before + s.Number > replay.Forgotten));
            }

            before += set.Shots.Count;
        }

        return [.. teach];
    }

    private ShotReading[] ShotsAtPaper => [.. Shots.Where(s => !s.Stage.AtTarget)];

    private double BareHigh(SetBegun set) =>
        Arrows.FirstOrDefault(a => a.Version == set.Arrow) is { } shot
            ? BareHeight.Of(Bow.Bow, shot.Arrow, set.Stage.Distance)
            : 0;

    private IEnumerable<StageFit> FitsOf(IEnumerable<ShotReading> shots)
    {
        var trade = ResponsePrior.Of(Bow.Adjusters);
        return shots.GroupBy(s => s.Stage).Select(g => StageFit.Of(StagePool.For(trade, g.Key, []), [.. g]));
    }

    private IEnumerable<Reading> Controls() =>
        Sets.Where(s => !s.OfSession)
            .Select(s => ControlReading.Of(s.Begun.Purpose, AtSettingOf(s), s.Tears))
            .OfType<Reading>();

    private Tear[] AtSettingOf(SessionSet set) =>
        [
            .. Shots
                .Where(s => s.Stage.Planned == set.Begun.Stage)
                .Where(s => s.Rig == set.Rig)
                .Where(s => set.Positions.All(p => s.Positions.GetValueOrDefault(p.Key) == p.Value))
                .Select(s => s.Tear),
        ];
}
