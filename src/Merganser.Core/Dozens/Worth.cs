using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
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
            [new("arrows", 1, [.. arrows.Select(Tenths)]), new("heads", 1, [.. usable.Select(h => Tenths(heads[h]))])],
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

    private static int Tenths(double grains) => (int)Math.Round(grains * 10);
}

/// <summary>The steps of an arrow's assembly.</summary>
public enum AssemblyCode
{
    Cut,
    Square,
    Clean,
    Insert,
    Pin,
    Bare,
    Wrap,
    Fletch,
    Cure,
    Weigh,
    Verify,
}

/// <summary>One step of the assembly (trade practice).</summary>
/// <param name="Code">Which.</param>
/// <param name="State">The state the arrow has after it.</param>
public sealed record AssemblyStep(AssemblyCode Code, ArrowState State)
{
    /// <summary>What is done.</summary>
    public Message Words => new StepWords(Code);

    /// <summary>What is said where the act is, or nothing.</summary>
    public Message Caution => new StepCaution(Code);
}

/// <summary>How far an arrow is.</summary>
public enum ArrowState
{
    Parts,
    Cut,
    Bare,
    Fletched,
    Verified,
}

/// <summary>The order of assembly (trade practice).</summary>
public static class Assembly
{
    public static IReadOnlyList<AssemblyStep> Steps { get; } =
    [
        new(AssemblyCode.Cut, ArrowState.Cut),
        new(AssemblyCode.Square, ArrowState.Cut),
        new(AssemblyCode.Clean, ArrowState.Cut),
        new(AssemblyCode.Insert, ArrowState.Cut),
        new(AssemblyCode.Pin, ArrowState.Bare),
        new(AssemblyCode.Bare, ArrowState.Bare),
        new(AssemblyCode.Wrap, ArrowState.Bare),
        new(AssemblyCode.Fletch, ArrowState.Fletched),
        new(AssemblyCode.Cure, ArrowState.Fletched),
        new(AssemblyCode.Weigh, ArrowState.Fletched),
        new(AssemblyCode.Verify, ArrowState.Verified),
    ];

    /// <summary>The steps at which something is said.</summary>
    public static IReadOnlySet<AssemblyCode> Cautioned { get; } =
        new HashSet<AssemblyCode>
        {
            AssemblyCode.Cut,
            AssemblyCode.Square,
            AssemblyCode.Insert,
            AssemblyCode.Pin,
            AssemblyCode.Bare,
        };

    /// <summary>A step by its code as it is kept, or null.</summary>
    public static AssemblyStep? Of(string? code) =>
        Steps.FirstOrDefault(s => s.Code.ToString().Equals(code, StringComparison.OrdinalIgnoreCase));

    /// <summary>The state after the steps that were ticked.</summary>
    public static ArrowState StateOf(IReadOnlyCollection<string> ticked)
    {
        ArrowState[] states =
        [
            .. Steps
                .Where(s => ticked.Contains(s.Code.ToString(), StringComparer.OrdinalIgnoreCase))
                .Select(s => s.State),
        ];
        ArrowState[] farthestFirst = [ArrowState.Verified, ArrowState.Fletched, ArrowState.Bare];
        return farthestFirst
            .Where(states.Contains)
            .Append(states.Length > 0 ? ArrowState.Cut : ArrowState.Parts)
            .First();
    }
}
