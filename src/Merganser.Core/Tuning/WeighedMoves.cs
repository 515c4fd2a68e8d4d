namespace Merganser.Core.Tuning;

/// <summary>
/// The moves that may be made, each at its best step and weighed; and the test of each way that is not settled, scored
/// as the first of two moves.
/// </summary>
/// <param name="figures">The figures of the rule.</param>
public sealed class WeighedMoves(RuleFigures figures)
{
    /// <summary>Decimals of a score that are compared, for the same reason.</summary>
    private const int AlikeDecimals = 9;

    /// <summary>Two chances are alike within this, so that rounding never decides.</summary>
    private const double Alike = 1e-9;

    /// <summary>E|t|² as expected after the best step of each lever, and after a test of each open way.</summary>
    public IReadOnlyList<Candidate> BySquare(
        ResponsePrior prior,
        Belief belief,
        double[] setting,
        IReadOnlyList<Lever> levers
    )
    {
        List<Candidate> found = [];
        foreach (var lever in levers)
        {
            var at = setting[lever.Index];
            var price = figures.MoveCost + (lever.Beyond ? figures.BeyondCost : 0);
            var (c, b, a) = Square(belief, belief.Masks, setting, lever.Index);
            if (BestStep(at, lever, b, a) is { } step)
            {
                found.Add(new(lever.Index, at + step, c + (b * step) + (a * step * step) + price, false, lever.Beyond));
            }
        }

        foreach (var open in Open(prior, belief, levers))
        {
            var ways = Ways(belief, open.Index);
            var parts = ways.Select(w => Square(belief, w, setting, open.Index)).ToArray();
            var steps = parts.Select(p => BestStep(setting[open.Index], open, p.B, p.A) ?? 0).ToArray();
            var score = parts.Select((p, i) => p.C + (p.B * steps[i]) + (p.A * steps[i] * steps[i])).Sum();
            var price = Twice(figures.MoveCost, belief, open.Index) + (Onward(open) ? figures.BeyondCost : 0);
            AddTest(found, belief, setting, open, ways, steps, score + price);
        }

        return found;
    }

    /// <summary>
    /// −(chance of being inside) as expected after the best step of each lever, and after a test of each open way.
    /// </summary>
    public IReadOnlyList<Candidate> ByChance(
        ResponsePrior prior,
        Belief belief,
        double[] setting,
        IReadOnlyList<Lever> levers
    )
    {
        List<Candidate> found = [];
        foreach (var lever in levers)
        {
            var price = figures.MoveChance + (lever.Beyond ? figures.BeyondChance : 0);
            var (to, chance) = BestChance(setting, lever, at => belief.CollapsedChance(at, figures.Tolerance));
            if (to != setting[lever.Index])
            {
                found.Add(new Candidate(lever.Index, to, price - chance, false, lever.Beyond));
            }
        }

        foreach (var open in Open(prior, belief, levers))
        {
            var ways = Ways(belief, open.Index);
            var best = ways.Select(way =>
                    BestChance(setting, open, at => belief.CollapsedChance(way, at, figures.Tolerance))
                )
                .ToArray();
            int[] steps = [.. best.Select(b => (int)(b.To - setting[open.Index]))];
            var price = Twice(figures.MoveChance, belief, open.Index) + (Onward(open) ? figures.BeyondChance : 0);
            AddTest(found, belief, setting, open, ways, steps, price - best.Sum(b => b.Chance));
        }

        return found;
    }

    /// <summary>
    /// The least score; where two are alike the one that is reached for first, so that rounding never decides.
    /// </summary>
    public static Candidate? Best(IEnumerable<Candidate> moves) => moves.MinBy(c => Math.Round(c.Score, AlikeDecimals));

    /// <summary>What a test costs: a move, and another where it went the wrong way.</summary>
    private static double Twice(double cost, Belief belief, int lever) => cost * (1 + belief.Doubt(lever));

    /// <summary>The ways to answer under which + drives right, or up, then the others.</summary>
    private static Component[][] Ways(Belief belief, int lever) =>
        [
            [.. belief.Masks.Where(m => m.Mask.Sign(lever) > 0)],
            [.. belief.Masks.Where(m => m.Mask.Sign(lever) < 0)],
        ];

    /// <summary>E|t(u + δ e)|² of some ways to answer, weighed: c + bδ + aδ².</summary>
    private static (double C, double B, double A) Square(
        Belief belief,
        IEnumerable<Component> masks,
        double[] setting,
        int lever
    )
    {
        var (c, b, a) = (0.0, 0.0, 0.0);
        foreach (var mask in masks)
        {
            var part = belief.Square(mask, setting, lever);
            (c, b, a) = (c + (mask.Weight * part.C), b + (mask.Weight * part.B), a + (mask.Weight * part.A));
        }

        return (c, b, a);
    }

    private void AddTest(
        List<Candidate> found,
        Belief belief,
        double[] setting,
        Lever open,
        Component[][] ways,
        int[] steps,
        double score
    )
    {
        var likelierWay = belief.LikelierWay(open.Index) > 0 ? 0 : 1;
        var step = steps[likelierWay];
        if (figures.TestInSpreads is { } spreads)
        {
            var likelier = ways[likelierWay];
            var gain =
                likelier.Sum(m => m.Weight * Math.Abs(belief.GainOf(m, open.Index).Gain)) / likelier.Sum(m => m.Weight);
            // What a step does was seen once it was moved: then it is the expected effect alone that bounds a test.
            var window = figures.TestsOnward && setting[open.Index] != 0 ? int.MaxValue : open.MostTest;
            var most = Math.Min((int)Math.Ceiling(spreads * Math.Sqrt(belief.Spread2) / gain), window);
            step = Math.Clamp(step, -Math.Max(1, most), Math.Max(1, most));
        }

        if (step != 0)
        {
            found.Add(new Candidate(open.Index, setting[open.Index] + step, score, true, open.Beyond));
        }
    }

    /// <summary>
    /// Adjusters whose way is worth a test, each once, as far as the school reaches for it; where tests go onward also
    /// beyond, at a price: else a rest whose few clicks do not tell its way would be left there.
    /// </summary>
    private IEnumerable<Lever> Open(ResponsePrior prior, Belief belief, IReadOnlyList<Lever> levers)
    {
        var open = levers.Where(l => prior.Gains[l.Index].AgreedChance < 1 && belief.IsOpen(l.Index));
        return figures.TestsOnward
            ? open.OrderBy(l => l.Beyond)
            : open.GroupBy(l => l.Index).Select(same => same.OrderBy(l => l.Beyond).First());
    }

    private bool Onward(Lever open) => figures.TestsOnward && open.Beyond;

    /// <summary>The whole step that makes bδ + aδ² least, inside the limits; null when that is none.</summary>
    private static int? BestStep(double at, Lever lever, double b, double a)
    {
        var ideal = -b / (2 * a);
        var (low, high) = lever.From(at);
        var down = Math.Clamp((int)Math.Floor(Math.Clamp(ideal, low, high)), low, high);
        var up = Math.Clamp(down + 1, low, high);
        var best = (b * down) + (a * down * down) <= (b * up) + (a * up * up) ? down : up;
        return best == 0 ? null : best;
    }

    private static (double To, double Chance) BestChance(double[] setting, Lever lever, Func<double[], double> chanceAt)
    {
        var (at, stands) = ((double[])setting.Clone(), setting[lever.Index]);
        var best = (To: stands, Chance: double.NegativeInfinity);
        var (low, high) = lever.From(stands);
        for (var to = stands + low; to <= stands + high; to++)
        {
            at[lever.Index] = to;
            var chance = chanceAt(at);
            var nearer = Math.Abs(to - stands) < Math.Abs(best.To - stands);
            if (chance > best.Chance + (nearer ? -Alike : Alike))
            {
                best = (to, chance);
            }
        }

        return best;
    }
}
