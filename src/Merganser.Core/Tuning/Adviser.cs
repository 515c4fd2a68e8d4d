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
public sealed partial record Adviser(
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

    /// <summary>True where a move for each axis may be advised for one visit to the press.</summary>
    public bool BothAxes { get; init; }

    /// <summary>The rest of the bow as it is now: only what was shot with it shares its mean.</summary>
    public string Rig { get; init; } = "";

    /// <summary>The engine as it is asked for; null is the shipped one.</summary>
    public EngineChoice? Engine { get; init; }

    /// <summary>True when this adjuster may be advised as far as the press goes.</summary>
    public bool May(Adjuster adjuster) => MayPress || !adjuster.NeedsPress;

    /// <summary>Where every adjuster stands.</summary>
    public IReadOnlyDictionary<AdjusterKind, double> Positions => Adjusters.ToDictionary(a => a.Kind, a => a.Position);

    /// <summary>The prior of a stage.</summary>
    public ResponsePrior PriorOf(Stage stage) =>
        Engine?.Prior ?? StagePool.For(ResponsePrior.Of(Adjusters), stage, Others);

    /// <summary>What is believed of a stage.</summary>
    /// <param name="stage">The stage.</param>
    /// <param name="shots">Its shots that count, in the order in which they were shot.</param>
    public TuningState Read(Stage stage, IReadOnlyList<ShotReading> shots)
    {
        var prior = PriorOf(stage);
        var seen = Settings.Of(prior, shots, Rig);
        var belief = FittedModels.Of(prior, seen);
        var usual = RuleFigures.For(Tolerance, Math.Sqrt(belief.Spread2), ShotsPerDecision) with
        {
            BothAxes = BothAxes,
        };
        var figures = Engine?.Figures ?? (stage.Compares ? usual.AtTarget : usual);
        var setting = Settings.From(prior, shots.Count > 0 ? shots[0].Positions : Positions, Positions);
        var here = seen.Where(s => s.Rig == 0 && s.Setting.AsSpan().SequenceEqual(setting)).ToArray();
        var trail = new ShotTrail(prior, seen);
        return new TuningState(
            prior,
            belief.Wider(figures.Inflate),
            figures,
            setting,
            here.Length,
            shots,
            trail.MovesTo(setting),
            trail.MostInches(belief.Spread2)
        )
        {
            DaysHere = here.Select(s => s.DaysAgo).Distinct().Count(),
        };
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
        var reach = Engine is { Everything: true } ? Reach.Unlimited(this, state) : Reach.Of(this, state);
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
            DecisionKind.Shoot => Shoot(state, decision, evidence),
            _ => Moving(state, decision, reach, evidence),
        };
        return advice with { Chance = decision.Chance, Enough = decision.Enough };
    }

    private Advice Done(TuningState state, Decision decision, IReadOnlyList<Evidence> evidence)
    {
        var lasting = state.Belief.LastingChance(state.Setting, Tolerance);
        Message sure =
            state.ShotsHere == 1
                ? TuningSays.CleanFirstHole
                : new InsideWithChance(
                    Measure.Inches(Tolerance),
                    new Chance(decision.Chance),
                    new Chance(lasting),
                    state.DaysHere
                );
        return Advice.To(AdviceKind.GoodEnough, TuningSays.GoodEnough, sure, evidence) with { Lasting = lasting };
    }

    private static Advice MovesDoNotHelp(TuningState state, IReadOnlyList<Evidence> evidence) =>
        Advice.To(
            AdviceKind.MovesDoNotHelp,
            TuningSays.MovesDoNotHelp,
            new MovesIgnored(state.Moves, new Chance(state.Belief.Deaf)),
            evidence
        );

    private Advice Shoot(TuningState state, Decision decision, IReadOnlyList<Evidence> evidence)
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

    private Advice NotReachable(TuningState state, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        var now = state.Belief.At(state.Setting);
        var axis = Math.Abs(now.Y) >= Math.Abs(now.X) ? TearAxis.Height : TearAxis.Sideways;
        StepsLeft[] aside =
        [
            .. Adjusters
                .Where(a => state.Prior.IndexOf(a.Kind) >= 0 && AdjusterTable.Of(a.Kind).Axis == axis && May(a))
                .Where(a => a.Lower < a.Upper && reach.InTime.All(l => state.Prior.Gains[l.Index].Kind != a.Kind))
                .Where(a => a.Kind != AdjusterKind.BottomLimbBolt)
                .Select(a => new StepsLeft(new AdjusterName(a.Kind), new Room(a.Kind, a.Left.Down, a.Left.Up))),
        ];
        var shop = reach.Withheld.Any(w => w.Why == WithheldWhy.PressWanted && AdjusterTable.Of(w.Kind).Axis == axis);
        Message form = axis == TearAxis.Height ? TuningSays.HeightAtItsEnd : TuningSays.LookAtForm;
        var reason = shop ? TuningSays.ShopGoesOn : form;
        return Advice.To(
            AdviceKind.NotReachable,
            TuningSays.NotReachable,
            aside.Length > 0 ? new LeftAside(School, aside) : reason,
            evidence
        );
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
