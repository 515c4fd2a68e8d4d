namespace Merganser.Core.Dozens;

/// <summary>What pieces do to an arrow besides their weight.</summary>
/// <param name="Levers">By class: inches from the nock's throat to where its pieces lie.</param>
/// <param name="RestGrains">What an arrow has besides, grains.</param>
/// <param name="RestMoment">The moment of that about the nock's throat, gr·in.</param>
/// <param name="Crookedness">By the place of a shaft in its class: its run-out, inches.</param>
public sealed record PieceEffects(
    IReadOnlyList<double> Levers,
    double RestGrains,
    double RestMoment,
    IReadOnlyList<double> Crookedness
);

/// <summary>
/// Among assignments that weigh the same, one whose arrows balance more alike: pieces of one class, or of two, are
/// exchanged between two arrows while their weights stay (or change places) and the balance points draw together. Then
/// a straighter spare shaft goes in where it weighs the same. A local search: what it finds is better, not proven best.
/// </summary>
public sealed class TieBreak
{
    /// <summary>So often all pairs are gone through at the most.</summary>
    private const int MostRounds = 20;

    private readonly MatchProblem problem;
    private readonly PieceEffects effects;
    private readonly int[][][] pieces;
    private readonly int[] totals;
    private readonly double[] moments;
    private readonly HashSet<int> gluedShafts;

    /// <summary>Of all balance points.</summary>
    private double sum;

    private TieBreak(MatchProblem problem, MatchResult found, PieceEffects effects)
    {
        (this.problem, this.effects) = (problem, effects);
        pieces = [.. found.Pieces.Select(arrow => arrow.Select(of => of.ToArray()).ToArray())];
        totals = [.. found.Totals];
        moments = [.. pieces.Select(MomentOf)];
        sum = totals.Zip(moments, Balance).Sum();
        gluedShafts = [.. problem.Glued.Select(g => g.First)];
    }

    /// <summary>The same match, or one as heavy that balances more alike.</summary>
    public static MatchResult Of(MatchProblem problem, MatchResult found, PieceEffects effects)
    {
        var tie = new TieBreak(problem, found, effects);
        tie.Search();

        tie.Straighten();
        return found with { Pieces = [.. tie.pieces], Totals = [.. tie.totals] };
    }

    private void Search()
    {
        var rounds = 0;
        while (rounds < MostRounds && Round())
        {
            rounds++;
        }
    }

    private bool Round()
    {
        var better = false;
        for (var i = 0; i < pieces.Length; i++)
        {
            for (var j = i + 1; j < pieces.Length; j++)
            {
                better |= TryPair(i, j);
            }
        }

        return better;
    }

    /// <summary>Every exchange of one class or of two between two arrows; the first that helps is made.</summary>
    private bool TryPair(int i, int j)
    {
        var swaps = Swaps(i, j);
        for (var a = 0; a < swaps.Count; a++)
        {
            if (Try(i, j, swaps[a], null))
            {
                return true;
            }

            for (var b = a + 1; b < swaps.Count; b++)
            {
                if (swaps[a].Class != swaps[b].Class && Try(i, j, swaps[a], swaps[b]))
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>
    /// What can be exchanged between two arrows, a piece for a piece; a glued shaft takes its insert along, and the
    /// insert of a glued shaft goes nowhere by itself.
    /// </summary>
    private List<Swap> Swaps(int i, int j)
    {
        List<Swap> swaps = [];
        var glued =
            gluedShafts.Count > 0 && (gluedShafts.Contains(pieces[i][0][0]) || gluedShafts.Contains(pieces[j][0][0]));
        for (var c = 0; c < problem.Classes.Count; c++)
        {
            if (glued && c == 1)
            {
                continue;
            }

            for (var a = 0; a < problem.Classes[c].PerArrow; a++)
            {
                for (var b = 0; b < problem.Classes[c].PerArrow; b++)
                {
                    var tenths = Tenths(c, pieces[j][c][b]) - Tenths(c, pieces[i][c][a]);
                    var moment = effects.Levers[c] * tenths / 10;
                    var along = glued && c == 0;
                    var more = along ? Tenths(1, pieces[j][1][0]) - Tenths(1, pieces[i][1][0]) : 0;
                    var by = along ? effects.Levers[1] * more / 10 : 0;
                    swaps.Add(new Swap(c, a, b, along, tenths + more, moment + by));
                }
            }
        }

        return swaps;
    }

    private bool Try(int i, int j, Swap one, Swap? two)
    {
        var tenths = one.Tenths + (two?.Tenths ?? 0);
        if (tenths != 0 && tenths != totals[j] - totals[i])
        {
            return false;
        }

        var moment = one.Moment + (two?.Moment ?? 0);
        var before = (Balance(totals[i], moments[i]), Balance(totals[j], moments[j]));
        var after = (
            Balance(totals[i] + tenths, moments[i] + moment),
            Balance(totals[j] - tenths, moments[j] - moment)
        );
        if (!CloserTogether(before, after))
        {
            return false;
        }

        Make(i, j, one);
        if (two is { } other)
        {
            Make(i, j, other);
        }

        sum += after.Item1 + after.Item2 - before.Item1 - before.Item2;
        totals[i] += tenths;
        totals[j] -= tenths;
        moments[i] += moment;
        moments[j] -= moment;
        return true;
    }

    private const double Gain = 1e-9;

    /// <summary>True when the variance of all balance points falls: n times it, by the two that change.</summary>
    private bool CloserTogether((double I, double J) before, (double I, double J) after)
    {
        var n = pieces.Length;
        var change = after.I + after.J - before.I - before.J;
        var squares = (after.I * after.I) + (after.J * after.J) - (before.I * before.I) - (before.J * before.J);
        return (n * squares) - (change * ((2 * sum) + change)) < -Gain;
    }

    private void Make(int i, int j, Swap swap)
    {
        var c = swap.Class;
        (pieces[i][c][swap.Own], pieces[j][c][swap.Other]) = (pieces[j][c][swap.Other], pieces[i][c][swap.Own]);
        if (swap.Along)
        {
            (pieces[i][1][0], pieces[j][1][0]) = (pieces[j][1][0], pieces[i][1][0]);
        }
    }

    /// <summary>The straightest spare shafts first, each in place of the most crooked that weighs the same.</summary>
    private void Straighten()
    {
        var used = pieces.Select(arrow => arrow[0][0]).ToHashSet();
        var spares = Enumerable
            .Range(0, problem.Classes[0].Tenths.Count)
            .Where(s => !used.Contains(s) && !gluedShafts.Contains(s))
            .OrderBy(s => effects.Crookedness[s]);
        foreach (var spare in spares.ToArray())
        {
            var worst = pieces
                .Where(arrow => !gluedShafts.Contains(arrow[0][0]) && Tenths(0, arrow[0][0]) == Tenths(0, spare))
                .MaxBy(arrow => effects.Crookedness[arrow[0][0]]);
            if (worst is not null && effects.Crookedness[worst[0][0]] > effects.Crookedness[spare])
            {
                worst[0][0] = spare;
            }
        }
    }

    private int Tenths(int c, int piece) => problem.Classes[c].Tenths[piece];

    private double MomentOf(int[][] arrow) =>
        effects.RestMoment + arrow.Select((of, c) => effects.Levers[c] * of.Sum(p => Tenths(c, p)) / 10).Sum();

    private double Balance(int tenths, double moment) => moment / (effects.RestGrains + (tenths / 10.0));

    /// <summary>A piece of one arrow for one of another.</summary>
    /// <param name="Class">Of which class.</param>
    /// <param name="Own">Its place among the one's.</param>
    /// <param name="Other">Among the other's.</param>
    /// <param name="Along">True where the inserts go along.</param>
    /// <param name="Tenths">What the one gains.</param>
    /// <param name="Moment">What its moment gains, gr·in.</param>
    private readonly record struct Swap(int Class, int Own, int Other, bool Along, int Tenths, double Moment);
}
