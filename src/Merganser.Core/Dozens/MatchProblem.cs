using Merganser.Core.Figures;

namespace Merganser.Core.Dozens;

/// <summary>The pieces of one class, in tenths of a grain.</summary>
/// <param name="Name">Shaft, point, insert …</param>
/// <param name="PerArrow">How many an arrow takes: one, or three or four vanes.</param>
/// <param name="Tenths">Weights in tenths of a grain, one a piece.</param>
public sealed record MatchClass(string Name, int PerArrow, IReadOnlyList<int> Tenths);

/// <summary>
/// So many arrows from weighed pieces; more pieces than needed may be left over. Glued pairs (first class, second
/// class) stay together.
/// </summary>
/// <param name="Arrows">1 to 144.</param>
/// <param name="Classes">At least one; the first is the shafts.</param>
/// <param name="Glued">Pairs of a piece of the first class and one of the second that are glued already.</param>
/// <param name="Kept">Totals of arrows that stand already and stay, tenths; null for none.</param>
public sealed record MatchProblem(
    int Arrows,
    IReadOnlyList<MatchClass> Classes,
    IReadOnlyList<(int First, int Second)> Glued,
    IReadOnlyList<int>? Kept = null
)
{
    /// <summary>Most arrows at once: a gross.</summary>
    public const int MostArrows = 144;

    /// <summary>How many arrows may be matched.</summary>
    public static AllowedRange Arrow { get; } = new(1, MostArrows, Units.Unit.None, Why.AGross);

    /// <summary>The problem, when it can be solved.</summary>
    /// <exception cref="RefusedException">Too few pieces of some class, or a count out of range.</exception>
    public MatchProblem Checked()
    {
        var fields = new FieldReader();
        fields.Check(Arrows is >= 1 and <= MostArrows, "arrows", "range", new Outside(Arrow));
        fields.Check(Classes.Count > 0, "classes", "missing", DozenSays.NothingWeighed);
        foreach (var kind in Classes)
        {
            var needed = Arrows * kind.PerArrow;
            fields.Check(
                kind.Tenths.Count >= needed,
                kind.Name,
                "too-few",
                new PiecesMissing(needed, kind.Tenths.Count)
            );
        }

        if (fields.Problems.Count == 0 && Glued.Count > 0)
        {
            fields.Check(MostWithGlue >= Arrows, Classes[1].Name, "too-few", new PiecesMissing(Arrows, MostWithGlue));
        }

        fields.ThrowIfAny();
        return this;
    }

    /// <summary>Pieces of the second class that are not glued: no more shafts without one can be used.</summary>
    internal int LooseInserts => Classes[1].Tenths.Count - Glued.Count;

    /// <summary>Arrows that glued pairs, and what is loose, make at the most.</summary>
    private int MostWithGlue => Glued.Count + Math.Min(LooseInserts, Classes[0].Tenths.Count - Glued.Count);

    /// <summary>The same problem with its glued pairs as pieces of one class, where every shaft is in one.</summary>
    internal MatchProblem Joined =>
        Glued.Count == 0 || Glued.Count < Classes[0].Tenths.Count
            ? this
            : new MatchProblem(
                Arrows,
                [
                    new MatchClass(
                        $"{Classes[0].Name} with {Classes[1].Name}",
                        1,
                        [.. Glued.Select(g => Classes[0].Tenths[g.First] + Classes[1].Tenths[g.Second])]
                    ),
                    .. Classes.Skip(2),
                ],
                [],
                Kept
            );

    /// <summary>A weight as a match sees it, tenths of a grain.</summary>
    public static int TenthsOf(double grains) => (int)Math.Round(grains * 10);

    /// <summary>Heaviest less lightest of some totals, and of what stands already.</summary>
    internal int SpreadOf(IReadOnlyCollection<int> totals)
    {
        IEnumerable<int> all = Kept is null ? totals : totals.Concat(Kept);
        return all.Max() - all.Min();
    }

    /// <summary>Pieces of a class that are left over.</summary>
    public int Spare(MatchClass kind) => kind.Tenths.Count - (Arrows * kind.PerArrow);
}

/// <summary>A lower bound of the spread, in tenths, with the class that binds.</summary>
/// <param name="Tenths">No assignment has a smaller spread.</param>
/// <param name="Binds">The class that keeps it from being less, or null when only the grid does.</param>
public sealed record MatchBound(int Tenths, string? Binds)
{
    /// <summary>
    /// Glued pairs are one piece where all shafts are glued. One tenth when the total does not divide, and H − L: H is
    /// the most, over class and k, of the mean weight that the k arrows with the k heaviest pieces of the class must
    /// have at the least; L its mirror. With pieces to spare the heaviest may be left out, so they are passed over.
    /// </summary>
    public static MatchBound Of(MatchProblem given)
    {
        var problem = given.Joined;
        var sorted = problem.Classes.Select(c => c.Tenths.Order().ToArray()).ToArray();
        var high = int.MinValue;
        var low = int.MaxValue;
        string? heavy = null;
        string? light = null;
        for (var c = 0; c < sorted.Length; c++)
        {
            var spare = problem.Spare(problem.Classes[c]);
            for (var k = 1; k <= problem.Arrows; k++)
            {
                var heaviest = Heavy(sorted[c], k, spare) + Light(sorted[c], k * (problem.Classes[c].PerArrow - 1), 0);
                var lightest = Light(sorted[c], k, spare) + Heavy(sorted[c], k * (problem.Classes[c].PerArrow - 1), 0);
                for (var o = 0; o < sorted.Length; o++)
                {
                    if (o != c)
                    {
                        heaviest += Light(sorted[o], k * problem.Classes[o].PerArrow, 0);
                        lightest += Heavy(sorted[o], k * problem.Classes[o].PerArrow, 0);
                    }
                }

                var atLeast = (int)Math.Ceiling(heaviest / (double)k);
                var atMost = (int)Math.Floor(lightest / (double)k);
                (high, heavy) = atLeast > high ? (atLeast, problem.Classes[c].Name) : (high, heavy);
                (low, light) = atMost < low ? (atMost, problem.Classes[c].Name) : (low, light);
            }
        }

        foreach (var kept in problem.Kept ?? [])
        {
            (high, heavy) = kept > high ? (kept, Standing) : (high, heavy);
            (low, light) = kept < low ? (kept, Standing) : (low, light);
        }

        var all = problem.Kept is null or [] && problem.Classes.All(c => problem.Spare(c) == 0);
        var grid = all && problem.Classes.Sum(c => c.Tenths.Sum(t => (long)t)) % problem.Arrows != 0 ? 1 : 0;
        var bound = Math.Max(0, high - low);
        var binds = heavy == light ? heavy : $"{heavy} and {light}";
        return bound > grid ? new MatchBound(bound, binds) : new MatchBound(grid, null);
    }

    /// <summary>What binds where it is arrows that stay.</summary>
    private const string Standing = "arrows that stay";

    private static long Heavy(int[] sorted, int count, int passOver) =>
        Sum(sorted, sorted.Length - passOver - count, count);

    private static long Light(int[] sorted, int count, int passOver) => Sum(sorted, passOver, count);

    private static long Sum(int[] sorted, int from, int count)
    {
        long sum = 0;
        for (var i = Math.Max(0, from); i < Math.Min(sorted.Length, from + count); i++)
        {
            sum += sorted[i];
        }

        return sum;
    }
}

/// <summary>The best assignment that was found.</summary>
/// <param name="Pieces">By arrow, then class: the pieces' places in their class.</param>
/// <param name="Totals">Total of each arrow, tenths of a grain.</param>
/// <param name="Spread">Heaviest less lightest, tenths.</param>
/// <param name="Bound">What cannot be beaten.</param>
/// <param name="ByChance">Mean spread of random assignments, tenths.</param>
/// <param name="OppositeOrder">Spread of light with heavy, tenths.</param>
public sealed record MatchResult(
    IReadOnlyList<IReadOnlyList<IReadOnlyList<int>>> Pieces,
    IReadOnlyList<int> Totals,
    int Spread,
    MatchBound Bound,
    double ByChance,
    int OppositeOrder
)
{
    /// <summary>True when no assignment can be better.</summary>
    public bool Proven => Spread <= Bound.Tenths;
}
