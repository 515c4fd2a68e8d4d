namespace Merganser.Core.Tuning;

/// <summary>
/// Done, move, test or shoot: the first that holds, in this order. (a) done when the chance of being inside is enough
/// for what a shot is worth; (b) far out and sure of it: the one move that leaves the least E|t|²; (c) else the move
/// that wins the most chance; (d) not reachable; (e) shoot. While the disputed sign is open its test is one more
/// candidate, scored as the first of two moves.
/// </summary>
/// <param name="figures">The figures of the rule.</param>
public sealed class DecisionRule(RuleFigures figures)
{
    /// <summary>The sign is open while the less likely one is believed this much.</summary>
    public const double OpenSign = 0.03;

    /// <summary>
    /// What a move must win at the least, in²: a move of rounding is none (no source).
    /// </summary>
    private const double LeastGain = 0.001;

    /// <summary>
    /// Sure of the mean: its wider sd is at most this share of the tolerance. This and what follows comes from the
    /// prototype of the rule, no source; the rule as a whole is measured (docs/decisions/0009).
    /// </summary>
    private const double SureInTolerances = 0.48;

    /// <summary>Or at most this share of the mean's own length: a tear far out needs no sharper mean.</summary>
    private const double SureInTears = 0.35;

    /// <summary>Shots at a setting after which a mean that is clearly out is moved, sure or not.</summary>
    private const int StopAsking = 8;

    /// <summary>Clearly out: longer than this share of the tolerance.</summary>
    private const double ClearlyOut = 0.72;

    /// <summary>Shots at a setting before it is called not reachable.</summary>
    private const int ShotsForUnreachable = 15;

    /// <summary>And the chance of being inside is below this, as small as the least risk that is taken.</summary>
    private const double HopelessChance = 0.03;

    /// <summary>Two chances are alike within this, so that rounding never decides.</summary>
    private const double Alike = 1e-9;

    /// <summary>Decimals of a score that are compared, for the same reason.</summary>
    private const int AlikeDecimals = 9;

    /// <summary>Decides.</summary>
    /// <param name="prior">The prior, for the disputed adjuster.</param>
    /// <param name="belief">What is believed now.</param>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="levers">What may be moved, and how far.</param>
    /// <param name="shotsHere">Shots at this setting.</param>
    public Decision Decide(
        ResponsePrior prior,
        Belief belief,
        int[] setting,
        IReadOnlyList<Lever> levers,
        int shotsHere
    )
    {
        var tolerance = figures.Tolerance;
        var now = belief.At(setting);
        var chance = belief.ChanceInside(setting, tolerance);
        var enough =
            1
            - Math.Clamp(
                figures.ShotCost * belief.Spread2 / (tolerance * tolerance),
                figures.LeastRisk,
                figures.MostRisk
            );
        Decision Say(DecisionKind kind) => new(kind, null, chance, enough, now);
        Decision Go(Candidate to) => new(to.Test ? DecisionKind.SmallTest : DecisionKind.Move, to, chance, enough, now);

        if (shotsHere > 0 && chance >= enough)
        {
            return Say(DecisionKind.Done);
        }

        var far =
            (
                shotsHere >= figures.MinimumShots
                && chance < figures.FarChance
                && now.WiderSd <= Math.Max(SureInTolerances * tolerance, SureInTears * now.Length)
            ) || (shotsHere >= StopAsking && now.Length > ClearlyOut * tolerance);
        if (far)
        {
            var moves = BySquare(prior, belief, setting, levers);
            if (Best(moves.Where(c => c.Score <= now.Square - LeastGain)) is { } best)
            {
                return Go(best);
            }

            if (shotsHere < ShotsForUnreachable || chance >= HopelessChance)
            {
                return Say(DecisionKind.Shoot);
            }

            return FirstOfTwo(belief, setting, levers, now) is { } first ? Go(first) : Say(DecisionKind.NotReachable);
        }

        if (shotsHere >= Math.Max(figures.ShotsForChance, figures.MinimumShots))
        {
            var moves = ByChance(prior, belief, setting, levers);
            var stay = belief.CollapsedChance(setting, tolerance);
            if (Best(moves) is { } best && -best.Score - stay >= figures.ChanceGain)
            {
                return Go(best);
            }
        }

        return Say(DecisionKind.Shoot);
    }

    /// <summary>E|t|² as expected after the best step of each lever, and after a test of the open sign.</summary>
    public IReadOnlyList<Candidate> BySquare(
        ResponsePrior prior,
        Belief belief,
        int[] setting,
        IReadOnlyList<Lever> levers
    )
    {
        List<Candidate> found = [];
        foreach (var lever in levers)
        {
            var (c, b, a) = (0.0, 0.0, 0.0);
            foreach (var sign in belief.Signs)
            {
                var part = belief.Square(sign, setting, lever.Index);
                (c, b, a) = (c + (sign.Weight * part.C), b + (sign.Weight * part.B), a + (sign.Weight * part.A));
            }

            if (BestStep(setting[lever.Index], lever, b, a) is { } step)
            {
                found.Add(
                    new Candidate(
                        lever.Index,
                        setting[lever.Index] + step,
                        c + (b * step) + (a * step * step) + figures.MoveCost,
                        false
                    )
                );
            }
        }

        if (Disputed(prior, belief, levers) is { } open)
        {
            var parts = belief.Signs.Select(s => (s.Weight, Square: belief.Square(s, setting, open.Index))).ToArray();
            var steps = parts.Select(p => BestStep(setting[open.Index], open, p.Square.B, p.Square.A) ?? 0).ToArray();
            var score = parts
                .Select(
                    (p, i) => p.Weight * (p.Square.C + (p.Square.B * steps[i]) + (p.Square.A * steps[i] * steps[i]))
                )
                .Sum();
            AddTest(found, belief, setting, open, steps, score + (figures.MoveCost * (2 - parts.Max(p => p.Weight))));
        }

        return found;
    }

    /// <summary>
    /// −(chance of being inside) as expected after the best step of each lever, and after a test of the open sign.
    /// </summary>
    private List<Candidate> ByChance(ResponsePrior prior, Belief belief, int[] setting, IReadOnlyList<Lever> levers)
    {
        List<Candidate> found = [];
        foreach (var lever in levers)
        {
            var (to, chance) = BestChance(setting, lever, at => belief.CollapsedChance(at, figures.Tolerance));
            if (to != setting[lever.Index])
            {
                found.Add(new Candidate(lever.Index, to, figures.MoveChance - chance, false));
            }
        }

        if (Disputed(prior, belief, levers) is { } open)
        {
            var best = belief
                .Signs.Select(s => BestChance(setting, open, at => Belief.Inside(belief.At(s, at), figures.Tolerance)))
                .ToArray();
            var score = -best.Select((b, i) => belief.Signs[i].Weight * b.Chance).Sum();
            AddTest(
                found,
                belief,
                setting,
                open,
                [.. best.Select(b => b.To - setting[open.Index])],
                score + (figures.MoveChance * (2 - belief.Signs.Max(s => s.Weight)))
            );
        }

        return found;
    }

    /// <summary>
    /// The least score; where two are alike the one that is reached for first, so that rounding never decides.
    /// </summary>
    public static Candidate? Best(IEnumerable<Candidate> moves) => moves.MinBy(c => Math.Round(c.Score, AlikeDecimals));

    private void AddTest(List<Candidate> found, Belief belief, int[] setting, Lever open, int[] steps, double score)
    {
        var likelier = belief.Signs[1].Weight > belief.Signs[0].Weight ? 1 : 0;
        var step = steps[likelier];
        if (figures.TestInSpreads is { } spreads)
        {
            var gain = Math.Abs(belief.GainOf(belief.Signs[likelier], open.Index).Gain);
            var most = Math.Max(1, (int)Math.Ceiling(spreads * Math.Sqrt(belief.Spread2) / gain));
            step = Math.Clamp(step, -most, most);
        }

        if (step != 0)
        {
            found.Add(new Candidate(open.Index, setting[open.Index] + step, score, true));
        }
    }

    private static Lever? Disputed(ResponsePrior prior, Belief belief, IReadOnlyList<Lever> levers) =>
        belief.SignDoubt >= OpenSign ? levers.FirstOrDefault(l => l.Index == prior.DisputedIndex) : null;

    /// <summary>The whole step that makes bδ + aδ² least, inside the limits; null when that is none.</summary>
    private static int? BestStep(int at, Lever lever, double b, double a)
    {
        var ideal = -b / (2 * a);
        var (low, high) = (lever.Lower - at, lever.Upper - at);
        var down = Math.Clamp((int)Math.Floor(Math.Clamp(ideal, low, high)), low, high);
        var up = Math.Clamp(down + 1, low, high);
        var best = (b * down) + (a * down * down) <= (b * up) + (a * up * up) ? down : up;
        return best == 0 ? null : best;
    }

    private static (int To, double Chance) BestChance(int[] setting, Lever lever, Func<int[], double> chanceAt)
    {
        var at = (int[])setting.Clone();
        var best = (To: setting[lever.Index], Chance: double.NegativeInfinity);
        for (var to = lever.Lower; to <= lever.Upper; to++)
        {
            at[lever.Index] = to;
            var chance = chanceAt(at);
            var nearer = Math.Abs(to - setting[lever.Index]) < Math.Abs(best.To - setting[lever.Index]);
            if (chance > best.Chance + (nearer ? -Alike : Alike))
            {
                best = (to, chance);
            }
        }

        return best;
    }

    /// <summary>Where no single move helps: the first of two that together would.</summary>
    private Candidate? FirstOfTwo(Belief belief, int[] setting, IReadOnlyList<Lever> levers, TearMoments now)
    {
        Candidate? best = null;
        var at = (int[])setting.Clone();
        foreach (var one in levers)
        {
            for (var to = one.Lower; to <= one.Upper; to++)
            {
                at[one.Index] = to;
                foreach (var two in levers)
                {
                    if (two.Index == one.Index)
                    {
                        continue;
                    }

                    var (c, b, a) = belief.Square(belief.All, at, two.Index);
                    var step = BestStep(at[two.Index], two, b, a) ?? 0;
                    var score = c + (b * step) + (a * step * step) + (2 * figures.MoveCost);
                    if (
                        to != setting[one.Index]
                        && score <= now.Square - LeastGain
                        && (best is null || score < best.Score)
                    )
                    {
                        best = new Candidate(one.Index, to, score, false);
                    }
                }
            }

            at[one.Index] = setting[one.Index];
        }

        return best;
    }
}
