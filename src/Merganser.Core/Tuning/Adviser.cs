using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>
/// The engine at one bow: who shoots it, what may be moved, and what its other stages have taught. Everything follows
/// from what is given, so that an edited shot or move changes the rest by itself.
/// </summary>
/// <param name="Release">Release aid or fingers.</param>
/// <param name="School">The school they tune by.</param>
/// <param name="MayPress">True when a press may be advised.</param>
/// <param name="RestType">How the rest lets go: it explains a dispute, and decides nothing.</param>
/// <param name="Adjusters">The bow's adjusters as they stand.</param>
/// <param name="Tolerance">Good enough, inches.</param>
/// <param name="ShotsPerDecision">Shots at a setting before a move is thought of: 1, 2 as a rule, 3 or 5.</param>
public sealed record Adviser(
    Release Release,
    School School,
    bool MayPress,
    RestType RestType,
    IReadOnlyList<Adjuster> Adjusters,
    double Tolerance = Tolerances.Usual,
    int ShotsPerDecision = SessionPlan.UntilClear
)
{
    /// <summary>What other stages of this bow have taught, this session's among them.</summary>
    public IReadOnlyList<StageFit> Others { get; init; } = [];

    /// <summary>True when a control arrow was shot at this stage.</summary>
    public bool ControlDone { get; init; }

    /// <summary>The engine as it is asked for; null is the shipped one.</summary>
    public EngineChoice? Engine { get; init; }

    /// <summary>True when this adjuster may be advised as far as the press goes.</summary>
    public bool May(Adjuster adjuster) => MayPress || !adjuster.NeedsPress;

    /// <summary>Where every adjuster stands.</summary>
    public IReadOnlyDictionary<AdjusterKind, int> Positions => Adjusters.ToDictionary(a => a.Kind, a => a.Position);

    /// <summary>The prior of a stage.</summary>
    public ResponsePrior PriorOf(Stage stage) =>
        Engine?.Prior ?? StagePool.For(ResponsePrior.Of(Adjusters), stage, Others);

    /// <summary>What is believed of a stage.</summary>
    /// <param name="stage">The stage.</param>
    /// <param name="shots">Its shots that count, in the order in which they were shot.</param>
    public TuningState Read(Stage stage, IReadOnlyList<ShotReading> shots)
    {
        var prior = PriorOf(stage);
        var belief = FittedModels.Of(prior, Settings.Of(prior, shots));
        var figures = Engine?.Figures ?? RuleFigures.For(Tolerance, Math.Sqrt(belief.Spread2), ShotsPerDecision);
        var setting = Settings.From(prior, shots.Count > 0 ? shots[0].Positions : Positions, Positions);
        var seen = Settings.Of(prior, shots);
        var here = seen.Count(s => s.Setting.AsSpan().SequenceEqual(setting));
        var trail = new ShotTrail(prior, seen);
        return new TuningState(
            prior,
            belief.Wider(figures.Inflate),
            figures,
            setting,
            here,
            shots,
            trail.MovesTo(setting),
            trail.MostInches(belief.Spread2)
        );
    }

    /// <summary>The one thing to do next.</summary>
    /// <param name="state">What is believed.</param>
    /// <param name="before">Evidence that is already said of the session, put first.</param>
    public Advice Advise(TuningState state, IReadOnlyList<Evidence>? before = null)
    {
        if (state.ShotsHere == 0)
        {
            var sentence = state.Shots.Count == 0 ? TuningSays.ShootFirst : TuningSays.ShootAtNewSetting;
            return Advice.To(AdviceKind.NoShots, sentence, TuningSays.PaperTautTargetBehind, before ?? []) with
            {
                Ghosts = Expected(state),
            };
        }

        var rule = new DecisionRule(state.Figures);
        var reach = Engine is { Everything: true }
            ? new Reach(Reach.Everything(this, state), Reach.Everything(this, state), [])
            : Reach.Of(this, state);
        var done = new DoneSoFar(state.ShotsHere, state.Moves, ControlDone);
        var decision = rule.Decide(state.Prior, state.Belief, state.Setting, reach.Levers, done, reach.InTime);
        IReadOnlyList<Evidence> evidence =
        [
            AdviceEvidence.Chance(state, decision, Tolerance),
            .. before ?? [],
            .. AdviceEvidence.Gains(state, decision),
        ];
        var advice = decision.Kind switch
        {
            DecisionKind.Done => Done(state, decision, evidence),
            DecisionKind.OutOfTravel => NotReachable(state, reach, evidence),
            DecisionKind.MovesDoNotHelp => MovesDoNotHelp(state, evidence),
            DecisionKind.StopAsking => Advice.To(
                AdviceKind.StopAsking,
                TuningSays.StopAsking,
                TuningSays.NoMoveHelps,
                evidence
            ),
            DecisionKind.Shoot => Shoot(state, decision, reach, evidence),
            _ => Moving(state, decision, reach, evidence),
        };
        return advice with { Chance = decision.Chance, Enough = decision.Enough };
    }

    private Advice Done(TuningState state, Decision decision, IReadOnlyList<Evidence> evidence)
    {
        Message sure =
            state.ShotsHere == 1
                ? TuningSays.CleanFirstHole
                : new InsideWithChance(Measure.Inches(Tolerance), new Chance(decision.Chance));
        return Advice.To(AdviceKind.GoodEnough, TuningSays.GoodEnough, sure, evidence);
    }

    private static Advice MovesDoNotHelp(TuningState state, IReadOnlyList<Evidence> evidence) =>
        Advice.To(
            AdviceKind.MovesDoNotHelp,
            TuningSays.MovesDoNotHelp,
            new MovesIgnored(state.Moves, new Chance(state.Belief.Deaf)),
            evidence
        );

    private Advice Shoot(TuningState state, Decision decision, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        if (state.ShotsHere < ShotsPerDecision)
        {
            var more = new ShootBeforeMoving(ShotsPerDecision - state.ShotsHere);
            return Advice.To(AdviceKind.ShootMore, more, TuningSays.OneOddHole, evidence);
        }

        if (decision.Chance >= state.Figures.FarChance)
        {
            var close = new ChanceAndEnough(new Chance(decision.Chance), new Chance(decision.Enough));
            return Advice.To(AdviceKind.ShootMore, TuningSays.ShootOneMoreClose, close, evidence);
        }

        var off = new MeanMayBeOff(Measure.Inches(MeanTear.RegionInSds * decision.Now.WiderSd));
        return Advice.To(AdviceKind.ShootMore, TuningSays.ShootTwoMore, off, evidence);
    }

    private Advice Moving(TuningState state, Decision decision, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        var chosen = decision.Chosen!;
        var gain = state.Prior.Gains[chosen.Lever];
        var test = decision.Kind == DecisionKind.SmallTest;
        var move = MoveOf(state, chosen, gain.Kind);
        var row = DirectionTable
            .For(Release, School, gain.Axis, decision.Now.Y < 0)
            .FirstOrDefault(r => r.Kind == gain.Kind);
        var size = Math.Abs(state.Belief.GainOf(chosen.Lever).Gain);
        var off = gain.Axis == TearAxis.Sideways ? decision.Now.X : decision.Now.Y;
        var perStep = Measure.Inches(size, size < 0.1 ? 3 : 2);
        Message why = test ? TuningSays.SmallTestWhy : new SizeOfMove(Measure.Inches(Math.Abs(off)), perStep);
        Message reason = row is null ? why : new Sentences([new TradeReason(row.Reason), why]);
        var after = state.At(chosen);
        return new Advice(
            test ? AdviceKind.SmallTest : AdviceKind.Move,
            new MoveThenShoot(OrderOf(gain.Kind, move)),
            reason,
            move,
            gain.Kind == AdjusterKind.RestSideways ? Dispute(state, chosen.Lever) : null,
            RunnerUp(state, chosen, reach),
            evidence,
            Ghosts(state, chosen, test, after),
            ChanceAfter: state.Belief.CollapsedChance(after, Tolerance)
        );
    }

    private AdvisedMove MoveOf(TuningState state, Candidate chosen, AdjusterKind kind)
    {
        var adjuster = Adjusters.First(a => a.Kind == kind);
        var to = adjuster.Position + chosen.To - state.Setting[chosen.Lever];
        return new AdvisedMove(
            kind,
            adjuster.Position,
            to,
            new Order(kind, to - adjuster.Position),
            adjuster.NeedsPress,
            MoveEffects.After(kind),
            new FromTo(kind, adjuster.Position, to)
        );
    }

    private static Order OrderOf(AdjusterKind kind, AdvisedMove move) => new(kind, move.To - move.From);

    private static Predicted[] Ghosts(TuningState state, Candidate chosen, bool test, int[] after)
    {
        if (!test)
        {
            return
            [
                Ghost(
                    state.Belief.At(after),
                    1,
                    state.Taught(chosen.Lever) ? TuningSays.ByThisBow : TuningSays.ByTheTrade
                ),
            ];
        }

        var plus = state.Belief.PlusChance(chosen.Lever);
        return [OfWay(state, after, chosen.Lever, 1, plus), OfWay(state, after, chosen.Lever, -1, 1 - plus)];
    }

    /// <summary>Where the mean is expected if an adjuster answers one way.</summary>
    private static Predicted OfWay(TuningState state, int[] after, int lever, int way, double share)
    {
        var mask = state.Belief.Masks.Where(m => !m.Mask.Deaf && m.Mask.Sign(lever) == way).MaxBy(m => m.Weight);
        var at = state.Belief.At(mask ?? state.Belief.All, after);
        return Ghost(at, share, new IfItDrives(state.Prior.Gains[lever].Kind, way > 0));
    }

    private static Advice NotReachable(TuningState state, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        var now = state.Belief.At(state.Setting);
        var shop = reach.Withheld.Any(w => w.Why == WithheldWhy.PressWanted);
        var sideways = shop ? TuningSays.ShopGoesOn : TuningSays.LookAtForm;
        var reason = Math.Abs(now.Y) >= Math.Abs(now.X) ? TuningSays.HeightAtItsEnd : sideways;
        return Advice.To(AdviceKind.NotReachable, TuningSays.NotReachable, reason, evidence);
    }

    private Message? RunnerUp(TuningState state, Candidate chosen, Reach reach)
    {
        var all = new WeighedMoves(state.Figures).BySquare(
            state.Prior,
            state.Belief,
            state.Setting,
            Reach.Everything(this, state)
        );
        if (WeighedMoves.Best(all.Where(c => c.Lever != chosen.Lever)) is not { } best)
        {
            return null;
        }

        var kind = state.Prior.Gains[best.Lever].Kind;
        var name = new AdjusterName(kind);
        if (reach.WhyNot(kind) is { } why)
        {
            return new WithheldFor(name, why.Why);
        }

        if (
            reach.Levers.FirstOrDefault(l => l.Index == best.Lever) is not { } open
            || best.To < open.Lower
            || best.To > open.Upper
        )
        {
            return new TooFewSteps(name);
        }

        var order = new Order(kind, best.To - state.Setting[best.Lever]);
        return new WouldLeave(name, order, LeftAt(state, best), LeftAt(state, chosen));
    }

    private static Measure LeftAt(TuningState state, Candidate move) =>
        Measure.Inches(Math.Sqrt(Math.Max(0, state.Belief.At(state.At(move)).Square)));

    private Message Dispute(TuningState state, int lever)
    {
        if (state.Belief.IsOpen(lever))
        {
            return new RestDisputed(RestType);
        }

        var gain = state.Belief.GainOf(lever).Gain;
        return new RestSettled(gain > 0, Measure.Inches(Math.Abs(gain), 3));
    }

    private static IReadOnlyList<Predicted> Expected(TuningState state) =>
        state.Shots.Count == 0 ? [] : [Ghost(state.Belief.At(state.Setting), 1, TuningSays.ExpectedAtNewSetting)];

    private static Predicted Ghost(TearMoments at, double share, Message words) =>
        new(
            new Tear(at.X, at.Y),
            MeanTear.RegionInSds * Math.Sqrt(at.VarianceX),
            MeanTear.RegionInSds * Math.Sqrt(at.VarianceY),
            share,
            words
        );
}
