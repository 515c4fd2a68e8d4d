using Merganser.Core.Bows;
using Merganser.Core.Paper;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Tuning;

/// <summary>
/// The engine at one bow: who shoots it, what may be moved, and what its other stages have taught. Everything follows from what is given,
/// so that an edited shot or move changes the rest by itself.
/// </summary>
/// <param name="Hand">The hand that draws the bow.</param>
/// <param name="Release">Release aid or fingers.</param>
/// <param name="School">The school they tune by.</param>
/// <param name="MayPress">True when a press may be advised.</param>
/// <param name="RestType">How the rest lets go: it explains a dispute, and decides nothing.</param>
/// <param name="Adjusters">The bow's adjusters as they stand.</param>
/// <param name="Tolerance">Good enough, inches.</param>
/// <param name="ShotsPerDecision">Shots at a setting before a move is thought of: 1, 2 as a rule, 3 or 5.</param>
public sealed record TuningBench(
    Hand Hand, Release Release, School School, bool MayPress, RestType RestType, IReadOnlyList<Adjuster> Adjusters,
    double Tolerance = Tolerances.Usual, int ShotsPerDecision = 2)
{
    /// <summary>What other stages of this bow have taught, this session's among them.</summary>
    public IReadOnlyList<StageFit> Others { get; init; } = [];

    /// <summary>True when this adjuster may be advised as far as the press goes.</summary>
    public bool May(Adjuster adjuster) => MayPress || !adjuster.NeedsPress;

    /// <summary>Where every adjuster stands.</summary>
    public IReadOnlyDictionary<AdjusterKind, int> Positions => Adjusters.ToDictionary(a => a.Kind, a => a.Position);

    /// <summary>The prior of a stage.</summary>
    public ResponsePrior PriorOf(Stage stage) => StagePool.For(ResponsePrior.Of(Adjusters), stage, Others);

    /// <summary>What is believed of a stage.</summary>
    /// <param name="stage">The stage.</param>
    /// <param name="shots">Its shots that count, in the order in which they were shot.</param>
    public TuningState Read(Stage stage, IReadOnlyList<SessionShot> shots)
    {
        var prior = PriorOf(stage);
        var model = ResponseModel.Of(prior, Settings.Of(prior, shots));
        var belief = model.Read();
        var figures = RuleFigures.For(Tolerance, Math.Sqrt(belief.Spread2), ShotsPerDecision);
        var setting = Settings.From(prior, shots.Count > 0 ? shots[0].Positions : Positions, Positions);
        var here = shots.Count(s => Settings.From(prior, shots[0].Positions, s.Positions).AsSpan().SequenceEqual(setting));
        return new TuningState(prior, belief.Wider(figures.Inflate), figures, setting, here, shots);
    }

    /// <summary>The one thing to do next.</summary>
    /// <param name="state">What is believed.</param>
    /// <param name="before">Evidence that is already said of the session, put first.</param>
    public Advice Advise(TuningState state, IReadOnlyList<Evidence>? before = null)
    {
        if (state.ShotsHere == 0)
        {
            return new Advice(AdviceKind.NoShots, state.Shots.Count == 0 ? "Shoot one arrow through the paper and mark its holes." : "Shoot two at the new setting and mark their holes.",
                "Paper taut, arrow level, target a yard or more behind it.", null, null, null, before ?? [], Expected(state));
        }

        var rule = new DecisionRule(state.Figures);
        var reach = Reach.Of(this, state.Prior, state.Belief, state.Setting);
        var decision = rule.Decide(state.Prior, state.Belief, state.Setting, reach.Levers, state.ShotsHere);
        IReadOnlyList<Evidence> evidence = [ChanceLine(state, decision), .. before ?? [], .. GainLines(state, decision)];
        var advice = decision.Kind switch
        {
            DecisionKind.Done => Done(state, decision, evidence),
            DecisionKind.NotReachable => NotReachable(state, reach, evidence),
            DecisionKind.Shoot => Shoot(state, decision, reach, evidence),
            _ => Moving(state, decision, reach, rule, evidence),
        };
        return advice with { Chance = decision.Chance, Enough = decision.Enough };
    }

    private Advice Done(TuningState state, Decision decision, IReadOnlyList<Evidence> evidence)
    {
        var sure = state.ShotsHere == 1 ? "A clean first hole may be accepted; two more would confirm it." : $"Inside {Number(Tolerance, 2)} in with a chance of {Percent(decision.Chance)}.";
        return new Advice(AdviceKind.GoodEnough, "Good enough: accept this, or shoot more to be surer.", sure, null, null, null, evidence, []);
    }

    private Advice Shoot(TuningState state, Decision decision, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        if (state.ShotsHere < ShotsPerDecision)
        {
            var more = ShotsPerDecision - state.ShotsHere;
            return new Advice(AdviceKind.ShootMore, $"Shoot {(more == 1 ? "one" : Number(more, 0))} more before anything is moved.", "One odd hole is no evidence; the same hole twice is.", null, null, null, evidence, []);
        }

        if (reach.Levers.Count == 0 && decision.Chance < 0.5)
        {
            return NotReachable(state, reach, evidence);
        }

        var near = decision.Chance >= state.Figures.FarChance;
        return new Advice(AdviceKind.ShootMore, near ? "Shoot one more: it is close." : "Shoot two more: not enough yet to choose a move.",
            near ? $"Chance of being inside {Percent(decision.Chance)}; {Percent(decision.Enough)} calls it done." : $"The mean may still be {Number(MeanTear.RegionInSds * decision.Now.WiderSd, 2)} in off what was read.", null, null, null, evidence, []);
    }

    private Advice Moving(TuningState state, Decision decision, Reach reach, DecisionRule rule, IReadOnlyList<Evidence> evidence)
    {
        var chosen = decision.Chosen!;
        var gain = state.Prior.Gains[chosen.Lever];
        var adjuster = Adjusters.First(a => a.Kind == gain.Kind);
        var to = adjuster.Position + chosen.To - state.Setting[chosen.Lever];
        var fact = AdjusterTable.Of(gain.Kind);
        var order = fact.Order(to - adjuster.Position, Hand);
        var move = new AdvisedMove(gain.Kind, adjuster.Position, to, order, adjuster.NeedsPress, MoveEffects.After(gain.Kind),
            $"From {fact.Standing(adjuster.Position, Hand)} to {fact.Standing(to, Hand)}.");
        var after = state.At(chosen);
        var test = decision.Kind == DecisionKind.SmallTest;
        var ghosts = test
            ? state.Belief.Signs.Select(s => Ghost(state.Belief.At(s, after), s.Weight, s.Sign > 0 ? "if a click to the right drives the tail right" : "if it drives the tail left")).ToArray()
            : [Ghost(state.Belief.At(after), 1, state.Taught(chosen.Lever) ? "by what this bow has shown" : "by the trade's usual response")];
        var row = DirectionTable.For(Release, School, gain.Axis, decision.Now.Y < 0).First(r => r.Kind == gain.Kind);
        var (size, _) = state.Belief.GainOf(chosen.Lever);
        var why = test
            ? "A small test: about what two shots can tell apart, no more."
            : $"{Number(Math.Abs(gain.Axis == TearAxis.Sideways ? decision.Now.X : decision.Now.Y), 2)} in at about {Number(Math.Abs(size), Math.Abs(size) < 0.1 ? 3 : 2)} in a step.";
        return new Advice(test ? AdviceKind.SmallTest : AdviceKind.Move, $"{order}, then shoot two.", $"{row.Reason}. {why}", move,
            gain.Kind == AdjusterKind.RestSideways ? Dispute(state, chosen.Lever) : null, RunnerUp(state, decision, reach, rule), evidence, ghosts,
            ChanceAfter: state.Belief.CollapsedChance(after, Tolerance));
    }

    private Advice NotReachable(TuningState state, Reach reach, IReadOnlyList<Evidence> evidence)
    {
        var now = state.Belief.At(state.Setting);
        var axis = Math.Abs(now.Y) >= Math.Abs(now.X) ? TearAxis.Height : TearAxis.Sideways;
        var shop = reach.Withheld.Any(w => w.Why == Reach.PressWanted);
        var reason = axis == TearAxis.Height
            ? "Rest and nocking point are at the end of their travel: look at timing, clearance, a rest that does not drop."
            : shop ? "What is left needs a press: a shop with the maker's manual goes on from here." : "Look at form, face contact and clearance, then a control arrow.";
        return new Advice(AdviceKind.NotReachable, "Not reachable with the adjusters at hand.", reason, null, null, null, evidence, []);
    }

    private string? RunnerUp(TuningState state, Decision decision, Reach reach, DecisionRule rule)
    {
        var chosen = decision.Chosen!;
        var all = rule.BySquare(state.Prior, state.Belief, state.Setting, Reach.Everything(this, state.Prior, state.Setting));
        var best = DecisionRule.Best(all.Where(c => c.Lever != chosen.Lever));
        if (best is null)
        {
            return null;
        }

        var kind = state.Prior.Gains[best.Lever].Kind;
        var name = AdjusterTable.Of(kind).Name;
        if (reach.WhyNot(kind) is { } why)
        {
            return $"{name}: {why}.";
        }

        var here = Math.Sqrt(Math.Max(0, state.Belief.At(state.At(chosen)).Square));
        var there = Math.Sqrt(Math.Max(0, state.Belief.At(state.At(best)).Square));
        var open = reach.Levers.First(l => l.Index == best.Lever);
        return best.To < open.Lower || best.To > open.Upper
            ? $"{name}: this school leaves it too few steps."
            : $"{name}, {AdjusterTable.Of(kind).Order(best.To - state.Setting[best.Lever], Hand).ToLowerInvariant()}: would leave about {Number(there, 2)} in where this leaves {Number(here, 2)}.";
    }

    private string Dispute(TuningState state, int lever)
    {
        if (state.Belief.SignDoubt < DecisionRule.OpenSign)
        {
            var gain = state.Belief.GainOf(lever).Gain;
            return $"Settled on this bow: a click to the right drives the tail {(gain > 0 ? "right" : "left")}, about {Number(Math.Abs(gain), 3)} in.";
        }

        var model = RestType switch
        {
            RestType.DropAwayEarly => "In a model of the shot a rest that lets go early drives the tail the other way in 91 of 100 bows.",
            RestType.DropAwayLate => "In a model of the shot a rest that lets go late drives the tail the other way in 77 of 100 bows.",
            RestType.Containment or RestType.Launcher => "In a model of the shot a rest that carries the arrow to the end drives the tail the other way in only 41 of 100 bows.",
            _ => "",
        };
        return $"{DirectionTable.RestDispute} {model}".TrimEnd();
    }

    private IReadOnlyList<Predicted> Expected(TuningState state) =>
        state.Shots.Count == 0 ? [] : [Ghost(state.Belief.At(state.Setting), 1, "expected at the new setting")];

    private static Predicted Ghost(TearMoments at, double share, string words) =>
        new(new Tear(at.X, at.Y), MeanTear.RegionInSds * Math.Sqrt(at.VarianceX), MeanTear.RegionInSds * Math.Sqrt(at.VarianceY), share, words);

    private Evidence ChanceLine(TuningState state, Decision decision) => new(
        $"Chance of being inside {Number(Tolerance, 2)} in.",
        $"{Percent(decision.Chance)}: {Count(state.ShotsHere, "shot")} here and {state.Shots.Count - state.ShotsHere} at other settings of this stage; mean {new Tear(decision.Now.X, decision.Now.Y).Words}, ± {Number(MeanTear.RegionInSds * decision.Now.WiderSd, 2)} in.",
        $"More shots here; {Percent(decision.Enough)} calls it done");

    /// <summary>What this bow has shown of the adjuster in question, or of all that were moved.</summary>
    private static IEnumerable<Evidence> GainLines(TuningState state, Decision decision) => state.Prior.Gains
        .Select((g, i) => (Prior: g, Index: i))
        .Where(g => state.Taught(g.Index) && (decision.Chosen is null || decision.Chosen.Lever == g.Index))
        .Select(g =>
        {
            var (gain, sd) = state.Belief.GainOf(g.Index);
            var fact = AdjusterTable.Of(g.Prior.Kind);
            return new Evidence(
                $"{fact.Name}: one {fact.StepUnit} moves the tail {Number(Math.Abs(gain), 3)} in on this bow{(gain < 0 ? ", the other way than usual" : "")}.", $"± {Number(sd, 3)}, learned from {state.SettingsOf(g.Index)} positions; the trade's guess was {Number(g.Prior.Expected, 3)}.",
                "A move of it that answers otherwise");
        });

    /// <summary>A chance in words: never 0 or 100 %.</summary>
    public static string Percent(double chance) => chance > 0.99 ? "over 99 %" : chance < 0.01 ? "under 1 %" : $"{Number(100 * chance, 0)} %";
}

/// <summary>What is believed of a stage, and where its adjusters stand.</summary>
/// <param name="Prior">Believed before.</param>
/// <param name="Belief">Believed now.</param>
/// <param name="Figures">The figures of the rule.</param>
/// <param name="Setting">Where the adjusters stand, in steps from where the stage began.</param>
/// <param name="ShotsHere">Shots at this setting that count.</param>
/// <param name="Shots">All shots of the stage that count.</param>
public sealed record TuningState(ResponsePrior Prior, Belief Belief, RuleFigures Figures, int[] Setting, int ShotsHere, IReadOnlyList<SessionShot> Shots)
{
    /// <summary>Different positions of an adjuster that were shot.</summary>
    public int SettingsOf(int lever) => Shots.Select(s => s.Positions.GetValueOrDefault(Prior.Gains[lever].Kind)).Distinct().Count();

    /// <summary>True when this stage has shots at two positions of it or more.</summary>
    public bool Taught(int lever) => SettingsOf(lever) > 1;

    /// <summary>The setting after a move.</summary>
    public int[] At(Candidate move)
    {
        var after = (int[])Setting.Clone();
        after[move.Lever] = move.To;
        return after;
    }
}
