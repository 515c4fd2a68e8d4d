using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// Two groups at one distance as the tuning engine sees them: bare shafts against fletched arrows, or broadheads
/// against field points. A bare shaft and a broadhead land against the tear: tail right at the paper is bare to the
/// left at the target. So the engine's tear is −offset, on a scale at which the tolerance here is the paper's quarter
/// inch; one observation is one pair. The factor of a distance serves every adjuster. Factors, spreads and the prior
/// are medians of 500 simulated compound set-ups and of 600 seeded bows a row (docs/how-it-computes.md); practice may
/// answer otherwise, and the bow's own answer wins.
/// </summary>
/// <param name="Yards">Bow to target, yards, inside <see cref="DistancesOf"/>.</param>
/// <param name="Heads">True for broadheads against field points.</param>
public sealed record TargetScale(double Yards, bool Heads = false)
{
    private static readonly AllowedRange DistancesOfBare = new(10, 40, Unit.Yard, Why.GroupDistance);
    private static readonly AllowedRange DistancesOfHeads = new(20, 60, Unit.Yard, Why.GroupDistance);

    /// <summary>
    /// From where offsets are read, yards: nearer the impact is nearly blind, farther no factor is known.
    /// </summary>
    public static AllowedRange DistancesOf(bool heads) => heads ? DistancesOfHeads : DistancesOfBare;

    /// <summary>Bow to target, yards.</summary>
    public double Yards { get; } =
        DistancesOf(Heads).Holds(Yards) ? Yards : throw new ArgumentOutOfRangeException(nameof(Yards));

    /// <summary>Sd of ln of the ratio between what an adjuster does at the paper and at the target.</summary>
    public const double RatioSd = 0.47;

    /// <summary>The same between heads and all else: it differs by head and by vanes (groups of 500 simulated
    /// bows).</summary>
    public const double RatioOfHeads = 0.60;

    /// <summary>The same between two distances of groups.</summary>
    public const double RatioOfDistances = 0.25;

    /// <summary>Offset for each inch of bare tear at 3 yd: distance, inches.</summary>
    private static readonly (double Yards, double Value)[] Factors =
    [
        (7, .23),
        (10, .55),
        (15, 1.4),
        (20, 2.8),
        (30, 6.5),
        (40, 10.8),
    ];

    /// <summary>The same for heads: vanes halve it, a longer blade doubles it.</summary>
    private static readonly (double Yards, double Value)[] FactorsOfHeads =
    [
        (20, 2.2),
        (30, 3.2),
        (40, 4.4),
        (60, 6.8),
    ];

    /// <summary>Good enough for heads, inches for each yard (common practice, no source).</summary>
    private const double EnoughOfHeads = 0.1;

    /// <summary>Good enough: distance, inches (common practice, no source; 40 yd guessed).</summary>
    private static readonly (double Yards, double Value)[] Enough = [(10, .5), (15, 1.2), (20, 2), (30, 4), (40, 6)];

    /// <summary>
    /// Half of the factor is believed at first: a step that is too big costs more than one too small (measured, half
    /// against two thirds: docs/benchmarks.md).
    /// </summary>
    private const double Believed = 0.5;

    /// <summary>
    /// Chance of an offset that no move answers: paper finds most of those first (measured against the paper's .3 and
    /// against 0: docs/benchmarks.md).
    /// </summary>
    private const double DeafChance = 0.1;

    /// <summary>Sd of the offset before anything was shot at 20 yd, inches.</summary>
    private const double OffsetSd = 3.6;

    private const double GainSd = 0.75;
    private const double SharedSd = 0.50;
    private const double SharedByPaper = 0.31;

    /// <summary>How much of what the paper taught of a way goes over (the model shows them alike in 98 %).</summary>
    private const double SignShare = 0.95;
    private const double SpreadCentre = 0.20;
    private const double SpreadLogSd = 0.30;

    /// <summary>Inches of offset for each inch of bare tear at 3 yd.</summary>
    public double Factor => At(Heads ? FactorsOfHeads : Factors, Yards);

    /// <summary>Good enough here as a rule, inches of offset.</summary>
    public double Tolerance => Heads ? EnoughOfHeads * Yards : At(Enough, Yards);

    /// <summary>Inches at the target for one inch of the engine.</summary>
    public double Scale => Tolerance / Tolerances.Usual;

    /// <summary>Good enough here, inches of offset, for what is good enough at the paper: half of it, half.</summary>
    /// <param name="atPaper">Inches at the paper.</param>
    public double Within(double atPaper) => Scale * atPaper;

    /// <summary>An offset as the tear that would make it, in the engine's inches.</summary>
    public Tear TearOf(Impact offset) => new(-offset.X / Scale, -offset.Y / Scale);

    /// <summary>And back.</summary>
    public Impact OffsetOf(Tear tear) => new(-tear.X * Scale, -tear.Y * Scale);

    /// <summary>
    /// What is believed here: by the trade alone, or by what the paper taught of an adjuster, which goes over with an
    /// honest ratio between the two.
    /// </summary>
    /// <param name="paper">What is believed at the paper.</param>
    public ResponsePrior Prior(ResponsePrior paper) =>
        paper with
        {
            Gains =
            [
                .. paper.Gains.Select(g =>
                    g.From == GainSource.Trade
                        ? g with
                        {
                            Nominal = g.Nominal * Factor / Scale,
                            LogMean = Math.Log(Believed),
                            LogSd = GainSd,
                            SharedSd = SharedSd,
                        }
                        : g with
                        {
                            Nominal = g.Nominal * Factor / Scale,
                            LogSd = Math.Sqrt((g.LogSd * g.LogSd) + (Ratio * Ratio)),
                            SharedSd = SharedByPaper,
                            PlusChance = 0.5 + (SignShare * (g.PlusChance - 0.5)),
                        }
                ),
            ],
            CrossShare = paper.CrossShare * Believed,
            DeafChance = DeafChance,
            TearSd = OffsetSd * Factor / At(Factors, 20) / Scale,
            SpreadCentre = SpreadCentre,
            SpreadLogSd = SpreadLogSd,
        };

    private double Ratio => Heads ? RatioOfHeads : RatioSd;

    private static double At((double Yards, double Value)[] table, double yards) => Between(table, yards);

    /// <summary>Between two distances straight in both logarithms, beyond the last as between the last two.</summary>
    internal static double Between((double Yards, double Value)[] table, double yards)
    {
        var above = Math.Clamp(Array.FindIndex(table, t => t.Yards >= yards), 1, table.Length - 1);
        var (from, to) = (table[above - 1], table[above]);
        var share = Math.Log(yards / from.Yards) / Math.Log(to.Yards / from.Yards);
        return from.Value * Math.Pow(to.Value / from.Value, share);
    }
}
