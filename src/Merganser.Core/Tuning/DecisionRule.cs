namespace Merganser.Core.Tuning;

/// <summary>
/// What to do next: the first that holds, in this order. (a) done when the chance of being inside is enough for what a
/// shot is worth; (b) moves do not help; (c) out of travel; (d) far out and sure of it: the one move that leaves the
/// least E|t|²; (e) else the move that wins the most chance; (f) stop asking; (g) shoot. While the way of an adjuster
/// is open its test is one more candidate, scored as the first of two moves. Measured in docs/benchmarks.md; what was
/// tried is told in docs/decisions/0013.
/// </summary>
/// <param name="figures">The figures of the rule.</param>
public sealed class DecisionRule(RuleFigures figures)
{
    /// <summary>
    /// What a move must win at the least, in²: a move of rounding is none (no source).
    /// </summary>
    private const double LeastGain = 0.001;

    /// <summary>
    /// Sure of the mean: its wider sd is at most this share of the tolerance. This and what follows comes from the
    /// prototype of the rule, no source; the rule as a whole is measured (docs/decisions/0009, 0013).
    /// </summary>
    private const double SureInTolerances = 0.48;

    /// <summary>Or at most this share of the mean's own length: a tear far out needs no sharper mean.</summary>
    private const double SureInTears = 0.35;

    /// <summary>Shots at a setting after which a mean that is clearly out is moved, sure or not.</summary>
    private const int ShotsUntilClear = 8;

    /// <summary>Clearly out: longer than this share of the tolerance.</summary>
    private const double ClearlyOut = 0.72;

    /// <summary>"Moves do not help" is said from this chance and so many moves on.</summary>
    private const double DeafEnough = 0.6;

    private const int MovesBeforeDeaf = 2;

    /// <summary>While it is this likely, a moved bow is shot four times before it is moved again.</summary>
    private const double DeafSuspected = 0.25;

    private const int ShotsWhileDeaf = 4;

    private readonly WeighedMoves weighed = new(figures);

    /// <summary>Decides.</summary>
    /// <param name="prior">The prior, for ways that are not settled.</param>
    /// <param name="belief">What is believed now.</param>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="levers">What may be moved, and how far.</param>
    /// <param name="done">What was done so far.</param>
    /// <param name="reach">What may be moved at any time, where that is more.</param>
    public Decision Decide(
        ResponsePrior prior,
        Belief belief,
        double[] setting,
        IReadOnlyList<Lever> levers,
        DoneSoFar done,
        IReadOnlyList<Lever>? reach = null
    )
    {
        var (tolerance, here, inTime) = (figures.Tolerance, done.ShotsHere, reach ?? levers);
        var now = belief.At(setting);
        var chance = belief.ChanceInside(setting, tolerance);
        var enough = Enough(belief);
        var deaf = done.ControlDone ? 0 : belief.Deaf;
        Decision Say(DecisionKind kind) => new(kind, null, chance, enough, now);
        Decision Go(Candidate to) => new(to.Test ? DecisionKind.SmallTest : DecisionKind.Move, to, chance, enough, now);

        if (here > 0 && chance >= enough)
        {
            return Say(DecisionKind.Done);
        }

        if (deaf >= DeafEnough && done.Moves >= MovesBeforeDeaf)
        {
            return Say(DecisionKind.MovesDoNotHelp);
        }

        var deafSuspected = deaf >= DeafSuspected && done.Moves > 0;
        if (
            here >= figures.MinimumShots
            && chance < figures.FarChance
            && (here + done.Moves >= figures.TriesBeforeOutOfTravel || !CanMove(setting, inTime))
            && belief.ChanceOfReach(setting, inTime, tolerance, deafToo: !done.ControlDone) < figures.HopelessReach
        )
        {
            return Say(deafSuspected ? DecisionKind.MovesDoNotHelp : DecisionKind.OutOfTravel);
        }

        Lever[] open = [.. levers.Where(l => !l.Beyond || here >= figures.MinimumShots)];
        if (!(deafSuspected && here < ShotsWhileDeaf))
        {
            if (IsFar(now, chance, here))
            {
                var moves = weighed
                    .BySquare(prior, belief, setting, open)
                    .Where(c => c.Score <= now.Square - LeastGain);
                if (WeighedMoves.Best(moves.Where(c => Helps(belief, setting, c, chance))) is { } best)
                {
                    return Go(best) with { Also = figures.BothAxes ? Also(prior, belief, setting, open, best) : null };
                }
            }
            else if (here >= Math.Max(figures.ShotsForChance, figures.MinimumShots))
            {
                var moves = weighed.ByChance(prior, belief, setting, open);
                var stay = belief.CollapsedChance(setting, tolerance);
                var wanted = here >= ShotsUntilClear ? figures.LateGain : figures.ChanceGain;
                if (WeighedMoves.Best(moves) is { } best && -best.Score - stay >= wanted)
                {
                    return Go(best);
                }
            }
        }

        return Say(
            here >= figures.StopAfter && chance < figures.FarChance ? DecisionKind.StopAsking : DecisionKind.Shoot
        );
    }

    /// <summary>
    /// The best move of the other axis after a far one, where it wins enough: both are seen apart on the paper.
    /// </summary>
    private Candidate? Also(
        ResponsePrior prior,
        Belief belief,
        double[] setting,
        IReadOnlyList<Lever> levers,
        Candidate first
    )
    {
        var (axis, after) = (prior.Gains[first.Lever].Axis, first.After(setting));
        Lever[] others = [.. levers.Where(l => prior.Gains[l.Index].Axis != axis)];
        var stays = belief.Masks.Sum(m => m.Weight * belief.At(m, after).Square);
        return
            WeighedMoves.Best(weighed.BySquare(prior, belief, after, others).Where(c => !c.Test)) is { } best
            && best.Score <= stays - figures.AlsoGain
            ? best
            : null;
    }

    /// <summary>The chance at which it is called done: what one more shot is worth.</summary>
    private double Enough(Belief belief) =>
        1
        - Math.Clamp(
            figures.ShotCost * belief.Spread2 / (figures.Tolerance * figures.Tolerance),
            figures.LeastRisk,
            figures.MostRisk
        );

    private static bool CanMove(double[] setting, IReadOnlyList<Lever> levers) =>
        levers.Any(l => l.From(setting[l.Index]) is var (down, up) && (down < 0 || up > 0));

    private bool IsFar(TearMoments now, double chance, int here)
    {
        var plain = figures.OneShotInSds is { } sds && now.Length > sds * now.WiderSd && figures.MinimumShots <= 2;
        var sure = now.WiderSd <= Math.Max(SureInTolerances * figures.Tolerance, SureInTears * now.Length);
        return (here >= (plain ? 1 : figures.MinimumShots) && chance < figures.FarChance && sure)
            || (here >= ShotsUntilClear && now.Length > ClearlyOut * figures.Tolerance);
    }

    /// <summary>
    /// A bow that may well be inside is not moved for a smaller tear alone: the chance must rise by what a move wants.
    /// </summary>
    private bool Helps(Belief belief, double[] setting, Candidate move, double chance) =>
        chance < figures.FarChance
        || belief.CollapsedChance(move.After(setting), figures.Tolerance) >= chance + figures.ChanceGain;
}
