using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>The advised move in words: its order, its reason, what lost, what is doubted, where it leads.</summary>
public sealed partial record Adviser
{
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
        Message[] reasons =
        [
            .. chosen.Beyond ? new Message[] { new BeyondSchool(School) } : [],
            .. row is null || chosen.Beyond ? new Message[0] : [new TradeReason(row.Reason)],
            why,
        ];
        Message reason = reasons.Length == 1 ? why : new Sentences(reasons);
        var also = decision.Also is { } second ? MoveOf(state, second, state.Prior.Gains[second.Lever].Kind) : null;
        var after = decision.Also?.After(state.At(chosen)) ?? state.At(chosen);
        Message order = also is null ? move.Order : new BothOrders(move.Order, also.Order);
        return new Advice(
            test ? AdviceKind.SmallTest : AdviceKind.Move,
            new MoveThenShoot(order),
            reason,
            move,
            Dispute(state, chosen.Lever),
            RunnerUp(state, chosen, reach),
            evidence,
            Ghosts(state, chosen, test, after),
            ChanceAfter: state.Belief.CollapsedChance(after, Tolerance),
            Also: also
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
            new FromTo(kind, adjuster.Position, to),
            GoesBy(adjuster, to - adjuster.Position)
        );
    }

    private static RestGoes? GoesBy(Adjuster rest, double steps) =>
        rest.Kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight
            ? new RestGoes(
                Measure.Inches(Math.Abs(steps) * (rest.InchesPerStep ?? AdjusterTable.RestClickInches), 3),
                rest.Kind == AdjusterKind.RestSideways
            )
            : null;

    private static Predicted[] Ghosts(TuningState state, Candidate chosen, bool test, double[] after)
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
    private static Predicted OfWay(TuningState state, double[] after, int lever, int way, double share)
    {
        var mask = state.Belief.Masks.Where(m => !m.Mask.Deaf && m.Mask.Sign(lever) == way).MaxBy(m => m.Weight);
        var at = state.Belief.At(mask ?? state.Belief.All, after);
        return Ghost(at, share, new IfItDrives(state.Prior.Gains[lever].Kind, way > 0));
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

    /// <summary>What is to be said of an adjuster's way: the rest's always, another's where it is doubted.</summary>
    private Message? Dispute(TuningState state, int lever)
    {
        var gain = state.Prior.Gains[lever];
        if (gain.Kind == AdjusterKind.RestSideways)
        {
            var click = state.Belief.GainOf(state.Belief.Likelier(lever), lever).Gain;
            return state.Belief.IsOpen(lever)
                ? new RestDisputed(RestType)
                : new RestSettled(click > 0, Measure.Inches(Math.Abs(click), 3));
        }

        var agreed = gain.AgreedWay > 0 ? state.Belief.PlusChance(lever) : 1 - state.Belief.PlusChance(lever);
        var name = new AdjusterName(gain.Kind);
        if (agreed < Doubted)
        {
            return new AnsweredOtherWay(name);
        }

        return state.Belief.IsOpen(lever) ? new WayDoubted(name, new Chance(agreed)) : null;
    }

    /// <summary>Less likely than not.</summary>
    private const double Doubted = 0.5;
}
