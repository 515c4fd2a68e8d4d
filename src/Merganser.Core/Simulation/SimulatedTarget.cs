using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Simulation;

/// <summary>
/// What is shot at a simulated target, and how it answers. All sizes are trade-like guesses, no source.
/// </summary>
/// <param name="Stage">Distance and kinds.</param>
/// <param name="Tolerance">Good enough, inches.</param>
/// <param name="Factor">Inches of offset for each inch of nominal tear.</param>
/// <param name="OffsetSd">First offsets are this widely spread on each axis, inches.</param>
/// <param name="Spread">Spread here for each inch of the archer's at 20 yd.</param>
/// <param name="TestedSpread">Spread of the tested kind for each inch of the other's.</param>
public sealed record TargetWorld(
    PlannedStage Stage,
    double Tolerance,
    double Factor,
    double OffsetSd,
    double Spread,
    double TestedSpread
)
{
    /// <summary>Which kind is tested, and against which.</summary>
    public (ArrowKind Tested, ArrowKind Reference) Kinds => GroupPairs.KindsOf(Stage.Heads);

    /// <summary>How the engine sees it.</summary>
    public TargetScale Scale => new(Stage.Distance, Stage.Heads);

    /// <summary>Bare against fletched at 20 yd.</summary>
    public static TargetWorld Bare { get; } = new(new PlannedStage(20, false, true), 2, 3.0, 3.0, 1, 1.25);

    /// <summary>Broadheads against field points at 30 yd.</summary>
    public static TargetWorld Heads { get; } = new(new PlannedStage(30, false, true, true), 3, 3.5, 3.5, 1.5, 1.2);
}

/// <summary>
/// A bow that exists only in numbers, at a target: where two kinds of arrow strike at a setting. Adjusters and
/// limits are those of the paper's simulated bow of the same seed; gains, first offset and spreads are drawn apart. All
/// sizes are trade-like guesses, no source; it never gives an instruction.
/// </summary>
public sealed class SimulatedTarget
{
    /// <summary>First offsets are at least this long, in tolerances.</summary>
    private const double LeastOffset = 1.4;

    private const double CrossSd = 0.08;
    private const double FlyerShare = 0.1;
    private const double FlyerSpread = 3;
    private const int TargetsApart = 50_000_000;
    private const int PapersApart = 70_000_000;
    private const double PaperSd = 0.2;
    private const double SureOfWay = 0.97;

    private readonly Random random;
    private readonly double[] gainX;
    private readonly double[] gainY;
    private readonly LearnedGain[] atPaper;
    private readonly Impact start;
    private readonly double spread;

    /// <param name="seed">Which bow.</param>
    /// <param name="spread">The archer's stated spread at 20 yd, inches per axis.</param>
    /// <param name="world">What is shot, and how it answers.</param>
    /// <param name="reversed">Share of agreed adjusters that answer the other way, 0 to 1.</param>
    public SimulatedTarget(int seed, double spread, TargetWorld world, double reversed = 0)
    {
        World = world;
        Bow = new SimulatedBow(seed);
        random = new Random(seed + TargetsApart);
        var shared = Math.Exp(0.4 * Normal());
        (gainX, gainY) = (new double[Bow.Kinds.Count], new double[Bow.Kinds.Count]);
        atPaper = new LearnedGain[Bow.Kinds.Count];
        var papers = new Random(seed + PapersApart);
        var trade = ResponsePrior.Of(Bow.Adjusters(new double[Bow.Levers.Count])).Gains;
        for (var j = 0; j < gainX.Length; j++)
        {
            var fact = AdjusterTable.Of(Bow.Kinds[j]);
            var nominal = world.Factor * fact.NominalGain;
            var (paper, ratio) = (shared * Math.Exp(0.4 * Normal()), Math.Exp(0.35 * Normal()));
            paper *= Math.Max(0.1, 1 + (0.4 * Normal()));
            var own = nominal * paper * ratio;
            var turned = random.NextDouble();
            own *= turned < (fact.Kind == AdjusterKind.RestSideways ? 0.5 : reversed) ? -1 : 1;
            atPaper[j] = LearnedAtPaper(trade[j], Math.Log(paper) + (PaperSd * SimulatedBow.Normal(papers)), own > 0);
            var cross = CrossSd * nominal * Normal();
            (gainX[j], gainY[j]) = fact.Axis == TearAxis.Sideways ? (own, cross) : (cross, own);
        }

        do
        {
            start = new Impact(world.OffsetSd * Normal(), world.OffsetSd * Normal());
        } while (start.Length < LeastOffset * world.Tolerance);

        this.spread = spread * world.Spread * Math.Exp(0.15 * Normal());
    }

    /// <summary>What is shot.</summary>
    public TargetWorld World { get; }

    /// <summary>
    /// What a paper that was shot to the end would have taught of its adjusters: each log gain within .2.
    /// </summary>
    public Knowledge PaperTaught(string arrow) =>
        new([new StageFit(new Stage(3, false, arrow), atPaper, new ResponsePrior([]).SpreadCentre, 1)]);

    /// <summary>What can be moved on it.</summary>
    public SimulatedBow Bow { get; }

    /// <summary>
    /// By how much a step of an adjuster moves the offset against its own way, inches right and up; nobody knows it.
    /// </summary>
    public (double X, double Y) TrueGain(int lever) => (gainX[lever], gainY[lever]);

    /// <summary>
    /// The true offset, tested less the other, inches: a step that drives the tail right drives bare left.
    /// </summary>
    public Impact TrueOffset(IReadOnlyList<double> setting)
    {
        var (x, y) = (start.X, start.Y);
        for (var j = 0; j < gainX.Length; j++)
        {
            (x, y) = (x - (gainX[j] * setting[j]), y - (gainY[j] * setting[j]));
        }

        return new Impact(x, y);
    }

    /// <summary>Shoots one arrow, from the aiming point of its kind.</summary>
    public Impact Shoot(ArrowKind kind, IReadOnlyList<double> setting)
    {
        var tested = kind is ArrowKind.Bare or ArrowKind.Broadhead;
        var mean = tested ? TrueOffset(setting) : new Impact(0, 0);
        var flyer = random.NextDouble() < FlyerShare ? FlyerSpread : 1;
        var own = flyer * spread * (tested ? World.TestedSpread : 1);
        return new Impact(mean.X + (own * Normal()), mean.Y + (own * Normal()));
    }

    private static LearnedGain LearnedAtPaper(GainPrior trade, double log, bool plus) =>
        new(trade.Kind, trade, log, PaperSd, plus ? SureOfWay : 1 - SureOfWay, 3);

    private double Normal() => SimulatedBow.Normal(random);
}
