namespace Merganser.Core.Dozens;

/// <summary>
/// Assigns weighed pieces to arrows so that the totals lie as close together as can be. Starts from light-with-heavy;
/// swaps pieces of a class between two arrows, or one for a spare, while the sum of squares falls; kicks (4 + n/8
/// random swaps) and repeats; stops at the bound. Deterministic for a seed; bounded by rounds, not by time.
/// </summary>
public sealed class Matcher
{
    private const int MostRounds = 1500;
    private const int RoundsTimesArrows = 108_000;

    private const int ChanceDraws = 200;

    private readonly MatchProblem problem;
    private readonly Random random;
    private readonly int n;
    private readonly int[][] weights;
    private readonly int[][] slots;
    private readonly int[][] spares;
    private readonly bool[] gluedFirst;
    private readonly bool[] gluedSecond;
    private readonly int[] totals;
    private long sum;

    private Matcher(MatchProblem problem, int seed)
    {
        this.problem = problem;
        random = new Random(seed);
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
    }

    /// <summary>Finds the assignment.</summary>
    /// <param name="problem">Checked.</param>
    /// <param name="seed">The same seed, the same answer.</param>
    /// <param name="rounds">How often it kicks at the most; fewer for more arrows when nothing is said.</param>
    /// <param name="progress">Told the round and the best spread so far, now and then.</param>
    /// <param name="cancel">Ends it early; the best so far is thrown away.</param>
    public static MatchResult Find(
        MatchProblem problem,
        int seed = 1,
        int? rounds = null,
        Action<int, int>? progress = null,
        CancellationToken cancel = default
    )
    {
        problem.Checked();
        cancel.ThrowIfCancellationRequested();
        var bound = MatchBound.Of(problem);
        var matcher = new Matcher(problem, seed);
        var chance = matcher.Chance();
        matcher.Opposite();
        matcher.sum = matcher.totals.Sum(t => (long)t);
        var opposite = matcher.Spread();
        matcher.Search(
            bound.Tenths,
            rounds ?? Math.Min(MostRounds, RoundsTimesArrows / problem.Arrows),
            progress,
            cancel
        );
        return new MatchResult(matcher.Pieces(), [.. matcher.totals], matcher.Spread(), bound, chance, opposite);
    }

    private void Search(int bound, int rounds, Action<int, int>? progress, CancellationToken cancel)
    {
        Descend();
        var best = Save();
        var spread = Spread();
        for (var round = 0; round < rounds && spread > bound; round++)
        {
            if (round % 16 == 0)
            {
                cancel.ThrowIfCancellationRequested();
                progress?.Invoke(round, spread);
            }

            Load(best);
            Kick(4 + (n / 8));
            Descend();
            var now = Spread();
            if (now <= spread)
            {
                best = Save();
                spread = now;
            }
        }

        Load(best);
        progress?.Invoke(rounds, spread);
    }

    /// <summary>Swaps while some swap makes the sum of squared deviations smaller.</summary>
    private void Descend()
    {
        var better = true;
        while (better)
        {
            better = false;
            for (var c = 0; c < weights.Length; c++)
            {
                var per = problem.Classes[c].PerArrow;
                for (var a = 0; a < slots[c].Length; a++)
                {
                    for (var b = a + 1; b < slots[c].Length; b++)
                    {
                        better |= TrySwap(c, a, b, per);
                    }

                    for (var s = 0; s < spares[c].Length; s++)
                    {
                        better |= TrySpare(c, a, s, per);
                    }
                }
            }
        }
    }

    private bool TrySwap(int c, int a, int b, int per)
    {
        var i = a / per;
        var j = b / per;
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

    private bool TrySpare(int c, int a, int s, int per)
    {
        if (
            (c == 0 && gluedFirst[slots[0][a]])
            || (c == 1 && gluedSecond.Length > 0 && gluedSecond[slots[1][a]])
            || (c == 0 && gluedFirst[spares[0][s]])
            || (c == 1 && gluedSecond.Length > 0 && gluedSecond[spares[1][s]])
        )
        {
            return false;
        }

        var i = a / per;
        long d = weights[c][spares[c][s]] - weights[c][slots[c][a]];
        // n·variance after less before, multiplied by n: the mean moves with the total.
        var change = (n * ((2 * d * totals[i]) + (d * d))) - ((2 * sum * d) + (d * d));
        if (d == 0 || change >= 0)
        {
            return false;
        }

        (slots[c][a], spares[c][s]) = (spares[c][s], slots[c][a]);
        totals[i] += (int)d;
        sum += d;
        return true;
    }

    private void Kick(int swaps)
    {
        for (var k = 0; k < swaps; k++)
        {
            var c = random.Next(weights.Length);
            var per = problem.Classes[c].PerArrow;
            var a = random.Next(slots[c].Length);
            var b = random.Next(slots[c].Length);
            if (a / per != b / per && MaySwap(c, a, b))
            {
                Swap(c, a, b, a / per, b / per);
            }
        }
    }

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

    /// <summary>Mean spread of pieces put together as they come.</summary>
    private double Chance()
    {
        var spreads = 0.0;
        for (var draw = 0; draw < ChanceDraws; draw++)
        {
            var totalsNow = new int[n];
            for (var c = 0; c < weights.Length; c++)
            {
                var order = Enumerable.Range(0, weights[c].Length).ToArray();
                random.Shuffle(order);
                for (var a = 0; a < slots[c].Length; a++)
                {
                    totalsNow[a / problem.Classes[c].PerArrow] += weights[c][order[a]];
                }
            }

            spreads += totalsNow.Max() - totalsNow.Min();
        }

        return spreads / ChanceDraws;
    }

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
            var first = Closest(order, c);
            var used = order.Skip(first).Take(n * per).ToList();
            spares[c] = [.. order.Except(used)];
            if (c == 1 && gluedSecond.Length > 0)
            {
                PlaceGlued(used);
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

    /// <summary>Glued inserts go where their shafts are; a glued insert that was passed over comes back.</summary>
    private void PlaceGlued(List<int> used)
    {
        foreach (var (first, second) in problem.Glued)
        {
            var arrow = Array.IndexOf(slots[0], first);
            if (arrow < 0)
            {
                continue;
            }

            if (!used.Contains(second))
            {
                var out_ = used.First(p => !gluedSecond[p]);
                used.Remove(out_);
                used.Add(second);
                spares[1] = [.. spares[1].Where(p => p != second), out_];
            }

            slots[1][arrow] = second;
            totals[arrow] += weights[1][second];
        }
    }

    private int Closest(List<int> order, int c)
    {
        var need = slots[c].Length;
        return Enumerable
            .Range(0, order.Count - need + 1)
            .MinBy(from => weights[c][order[from + need - 1]] - weights[c][order[from]]);
    }

    private int Spread() => totals.Max() - totals.Min();

    private (int[][] Slots, int[][] Spares, int[] Totals) Save() =>
        ([.. slots.Select(s => (int[])s.Clone())], [.. spares.Select(s => (int[])s.Clone())], (int[])totals.Clone());

    private void Load((int[][] Slots, int[][] Spares, int[] Totals) saved)
    {
        for (var c = 0; c < slots.Length; c++)
        {
            saved.Slots[c].CopyTo(slots[c], 0);
            spares[c] = (int[])saved.Spares[c].Clone();
        }

        saved.Totals.CopyTo(totals, 0);
        sum = totals.Sum(t => (long)t);
    }

    private int[][][] Pieces() =>
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
