namespace Merganser.Core.Dozens;

/// <summary>
/// Which piece lies in which arrow, and what the arrows weigh then. A glued shaft takes its insert along.
/// </summary>
internal sealed class MatchAssignment
{
    private readonly MatchProblem problem;
    private readonly int n;
    private readonly int[][] weights;
    private readonly int[][] slots;
    private readonly int[][] spares;
    private readonly bool[] gluedFirst;
    private readonly bool[] gluedSecond;
    private readonly int[] totals;
    private long sum;

    public MatchAssignment(MatchProblem problem)
    {
        this.problem = problem;
        n = problem.Arrows;
        weights = [.. problem.Classes.Select(c => c.Tenths.ToArray())];
        slots = [.. problem.Classes.Select(c => new int[n * c.PerArrow])];
        spares = [.. problem.Classes.Select(c => new int[problem.Spare(c)])];
        gluedFirst = new bool[weights[0].Length];
        gluedSecond = new bool[problem.Classes.Count > 1 ? weights[1].Length : 0];
        foreach (var (first, second) in problem.Glued)
        {
            gluedFirst[first] = true;
            gluedSecond[second] = true;
        }

        totals = new int[n];
        Opposite();
        sum = SumOfAll();
    }

    private long SumOfAll() => totals.Sum(t => (long)t) + (problem.Kept?.Sum(t => (long)t) ?? 0);

    /// <summary>What each arrow weighs, tenths of a grain.</summary>
    public IReadOnlyList<int> Totals => totals;

    /// <summary>How many places a class has in all arrows.</summary>
    public int Slots(int c) => slots[c].Length;

    /// <summary>How many pieces of a class are left over.</summary>
    public int Spares(int c) => spares[c].Length;

    /// <summary>Swaps two pieces of a class when that makes the sum of squared deviations smaller.</summary>
    public bool TrySwap(int c, int a, int b)
    {
        var (i, j) = (ArrowOf(c, a), ArrowOf(c, b));
        if (i == j || !MaySwap(c, a, b))
        {
            return false;
        }

        long d = weights[c][slots[c][b]] - weights[c][slots[c][a]];
        if (c == 0 && Together(a, b))
        {
            d += weights[1][slots[1][j]] - weights[1][slots[1][i]];
        }

        if (d == 0 || d * (totals[i] - totals[j] + d) >= 0)
        {
            return false;
        }

        Swap(c, a, b, i, j);
        return true;
    }

    /// <summary>Takes a spare piece in place of another when that does.</summary>
    public bool TrySpare(int c, int a, int s)
    {
        if (IsGlued(c, slots[c][a]) || IsGlued(c, spares[c][s]))
        {
            return false;
        }

        var i = ArrowOf(c, a);
        long d = weights[c][spares[c][s]] - weights[c][slots[c][a]];
        // n·variance after less before, multiplied by n: the mean moves with the total.
        var all = n + (problem.Kept?.Count ?? 0);
        var change = (all * ((2 * d * totals[i]) + (d * d))) - ((2 * sum * d) + (d * d));
        if (d == 0 || change >= 0)
        {
            return false;
        }

        (slots[c][a], spares[c][s]) = (spares[c][s], slots[c][a]);
        totals[i] += (int)d;
        sum += d;
        return true;
    }

    /// <summary>Swaps two pieces of a class, whatever it does, where glue lets it.</summary>
    public void TryAny(int c, int a, int b)
    {
        var (i, j) = (ArrowOf(c, a), ArrowOf(c, b));
        if (i != j && MaySwap(c, a, b))
        {
            Swap(c, a, b, i, j);
        }
    }

    private int ArrowOf(int c, int slot) => slot / problem.Classes[c].PerArrow;

    private bool IsGlued(int c, int piece) =>
        (c == 0 && gluedFirst[piece]) || (c == 1 && gluedSecond.Length > 0 && gluedSecond[piece]);

    private void Swap(int c, int a, int b, int i, int j)
    {
        Exchange(c, a, b, i, j);
        if (c == 0 && Together(a, b))
        {
            Exchange(1, i, j, i, j);
        }
    }

    private void Exchange(int c, int a, int b, int i, int j)
    {
        var d = weights[c][slots[c][b]] - weights[c][slots[c][a]];
        (slots[c][a], slots[c][b]) = (slots[c][b], slots[c][a]);
        totals[i] += d;
        totals[j] -= d;
    }

    /// <summary>A glued shaft takes its insert along; an insert that is glued goes nowhere by itself.</summary>
    private bool Together(int a, int b) =>
        gluedSecond.Length > 0 && (gluedFirst[slots[0][a]] || gluedFirst[slots[0][b]]);

    private bool MaySwap(int c, int a, int b) =>
        c != 1 || gluedSecond.Length == 0 || !(gluedSecond[slots[1][a]] || gluedSecond[slots[1][b]]);

    /// <summary>
    /// Light with heavy: each class in turn, its heaviest pieces to the lightest arrows; of too many, those that lie
    /// closest together.
    /// </summary>
    private void Opposite()
    {
        Array.Clear(totals);
        for (var c = 0; c < weights.Length; c++)
        {
            var per = problem.Classes[c].PerArrow;
            var order = Enumerable.Range(0, weights[c].Length).OrderBy(p => weights[c][p]).ToList();
            var used = Used(order, c);
            spares[c] = [.. order.Except(used)];
            if (c == 1 && gluedSecond.Length > 0)
            {
                PlaceGlued();
            }

            var free = used.Where(p => !(c == 1 && gluedSecond.Length > 0 && gluedSecond[p]))
                .OrderByDescending(p => weights[c][p])
                .ToList();
            for (var round = 0; round < per; round++)
            {
                var arrows = Enumerable
                    .Range(0, n)
                    .Where(i => c != 1 || gluedSecond.Length == 0 || !gluedFirst[slots[0][i]])
                    .OrderBy(i => totals[i])
                    .ToArray();
                for (var k = 0; k < arrows.Length; k++)
                {
                    var piece = free[(round * arrows.Length) + k];
                    slots[c][(arrows[k] * per) + round] = piece;
                    totals[arrows[k]] += weights[c][piece];
                }
            }
        }
    }

    /// <summary>
    /// The pieces of a class that are used. Of shafts without an insert no more than there are loose inserts; of
    /// inserts those that are glued into these shafts, and loose ones: one that is glued into another shaft stays with
    /// it.
    /// </summary>
    private List<int> Used(List<int> order, int c)
    {
        if (problem.Glued.Count == 0 || c > 1)
        {
            return Closest(order, c, slots[c].Length);
        }

        if (c == 1)
        {
            int[] placed = [.. problem.Glued.Where(g => slots[0].Contains(g.First)).Select(g => g.Second)];
            return [.. placed, .. Closest([.. order.Where(p => !gluedSecond[p])], c, slots[c].Length - placed.Length)];
        }

        var used = Closest(order, c, slots[c].Length);
        foreach (var over in used.Where(p => !gluedFirst[p]).Skip(problem.LooseInserts).ToArray())
        {
            used.Remove(over);
            used.Add(order.First(p => gluedFirst[p] && !used.Contains(p)));
        }

        return used;
    }

    /// <summary>Glued inserts go where their shafts are.</summary>
    private void PlaceGlued()
    {
        foreach (var (first, second) in problem.Glued)
        {
            if (Array.IndexOf(slots[0], first) is var arrow and >= 0)
            {
                slots[1][arrow] = second;
                totals[arrow] += weights[1][second];
            }
        }
    }

    /// <summary>So many of a class that lie closest together.</summary>
    private List<int> Closest(List<int> order, int c, int need)
    {
        var first = Enumerable
            .Range(0, order.Count - need + 1)
            .MinBy(from => need == 0 ? 0 : weights[c][order[from + need - 1]] - weights[c][order[from]]);
        return [.. order.Skip(first).Take(need)];
    }

    /// <summary>Heaviest less lightest, tenths.</summary>
    public int Spread() => problem.SpreadOf(totals);

    /// <summary>Keeps it as it stands.</summary>
    public (int[][] Slots, int[][] Spares, int[] Totals) Save() =>
        ([.. slots.Select(s => (int[])s.Clone())], [.. spares.Select(s => (int[])s.Clone())], (int[])totals.Clone());

    /// <summary>Goes back to what was kept.</summary>
    public void Load((int[][] Slots, int[][] Spares, int[] Totals) saved)
    {
        for (var c = 0; c < slots.Length; c++)
        {
            saved.Slots[c].CopyTo(slots[c], 0);
            spares[c] = (int[])saved.Spares[c].Clone();
        }

        saved.Totals.CopyTo(totals, 0);
        sum = SumOfAll();
    }

    /// <summary>By arrow, then class: the pieces' places in their class.</summary>
    public int[][][] Pieces() =>
        [
            .. Enumerable
                .Range(0, n)
                .Select(i =>
                    slots
                        .Select(
                            (s, c) =>
                                s.Skip(i * problem.Classes[c].PerArrow).Take(problem.Classes[c].PerArrow).ToArray()
                        )
                        .ToArray()
                ),
        ];
}
