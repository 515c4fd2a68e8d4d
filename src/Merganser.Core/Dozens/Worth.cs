using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Speed;

namespace Merganser.Core.Dozens;

/// <summary>
/// What a spread costs at one distance: inches of height between the lightest and the heaviest arrow.
/// </summary>
public sealed record WorthAt(double Yards, double Inches);

/// <summary>What a spread in weight is worth on this bow: speed, height at distances, front of center.</summary>
/// <param name="SpreadGrains">Heaviest less lightest.</param>
/// <param name="SpeedSpread">Fastest less slowest, ft/s.</param>
/// <param name="Heights">Height between them with the same aim; drop in vacuum, so a lower bound of the
/// difference.</param>
public sealed record Worth(double SpreadGrains, double SpeedSpread, IReadOnlyList<WorthAt> Heights)
{
    /// <summary>What a spread of so many grains is worth at distances in yards.</summary>
    public static Worth Of(Bow bow, double meanGrains, double spreadGrains, IReadOnlyList<double> yards)
    {
        var light = LaunchSpeed.Of(bow, meanGrains - (spreadGrains / 2)).Speed;
        var heavy = LaunchSpeed.Of(bow, meanGrains + (spreadGrains / 2)).Speed;
        return new Worth(
            spreadGrains,
            light - heavy,
            [.. yards.Select(d => new WorthAt(d, SightAxes.Drop(heavy, d) - SightAxes.Drop(light, d)))]
        );
    }

    /// <summary>
    /// FOC of each arrow of a match, per cent: every piece with its own weight in place of the catalogue's.
    /// </summary>
    /// <param name="arrow">The arrow they are built to.</param>
    /// <param name="pieces">By arrow: the class's name with the grains of its pieces together.</param>
    public static IReadOnlyList<double> FrontsOfCenter(
        Arrow arrow,
        IReadOnlyList<IReadOnlyDictionary<string, double>> pieces
    ) =>
        [
            .. pieces.Select(own =>
                new Balance(
                    arrow.CutLength,
                    [
                        .. arrow
                            .Masses()
                            .Select(m => own.TryGetValue(m.Name, out var grains) ? m with { Grains = grains } : m),
                    ]
                ).FrontOfCenter
            ),
        ];
}

/// <summary>Heads onto arrows: lightest arrow with heaviest head, and the optimum where it differs.</summary>
/// <param name="Heads">By arrow: the place of its head.</param>
/// <param name="Spread">Spread of the totals, grains.</param>
/// <param name="BestHeads">The optimum's heads.</param>
/// <param name="BestSpread">Its spread.</param>
/// <param name="Practice">The head kept for practice: the one left over, else the one farthest from the middle, or null
/// when all are needed.</param>
public sealed record HeadMatch(
    IReadOnlyList<int> Heads,
    double Spread,
    IReadOnlyList<int> BestHeads,
    double BestSpread,
    int? Practice
)
{
    /// <param name="arrows">Weights of the arrows without heads, grains, the straightest chosen before.</param>
    /// <param name="heads">Weights of the heads, at least as many.</param>
    public static HeadMatch Of(IReadOnlyList<double> arrows, IReadOnlyList<double> heads)
    {
        var practice = heads.Count > arrows.Count ? Farthest(heads) : (int?)null;
        var usable = Enumerable.Range(0, heads.Count).Where(h => h != practice).ToArray();
        var byWeight = usable.OrderByDescending(h => heads[h]).Take(arrows.Count).ToArray();
        var order = Enumerable.Range(0, arrows.Count).OrderBy(a => arrows[a]).ToArray();
        var simple = new int[arrows.Count];
        for (var k = 0; k < order.Length; k++)
        {
            simple[order[k]] = byWeight[k];
        }

        var problem = new MatchProblem(
            arrows.Count,
            [
                new("arrows", 1, [.. arrows.Select(MatchProblem.TenthsOf)]),
                new("heads", 1, [.. usable.Select(h => MatchProblem.TenthsOf(heads[h]))]),
            ],
            []
        );
        var best = Matcher.Find(problem);
        var bestHeads = new int[arrows.Count];
        foreach (var arrow in best.Pieces)
        {
            bestHeads[arrow[0][0]] = usable[arrow[1][0]];
        }

        return new HeadMatch(simple, SpreadOf(simple), bestHeads, best.Spread / 10.0, practice);

        double SpreadOf(int[] given)
        {
            var totals = given.Select((h, a) => arrows[a] + heads[h]).ToArray();
            return totals.Max() - totals.Min();
        }
    }

    private static int Farthest(IReadOnlyList<double> heads)
    {
        var median = Outliers.Median(heads);
        return Enumerable.Range(0, heads.Count).MaxBy(h => Math.Abs(heads[h] - median));
    }
}
