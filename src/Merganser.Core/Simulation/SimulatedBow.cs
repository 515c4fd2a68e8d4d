using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Simulation;

/// <summary>
/// Something that leaves a tear when it is shot at a setting: a simulated bow, a recorded one, or a real session behind
/// the same two calls.
/// </summary>
public interface IShootingBow
{
    /// <summary>What can be moved, with the limits in steps from where the session began.</summary>
    IReadOnlyList<Lever> Levers { get; }

    /// <summary>Shoots one arrow through the paper.</summary>
    Tear Shoot(IReadOnlyList<int> setting);
}

/// <summary>The world that simulated bows are drawn from: the benchmark world and its variants.</summary>
/// <param name="GainSd">Sd of the log gain of one adjuster, and of its linear factor.</param>
/// <param name="BowSd">Sd of the log gain that all adjusters of a bow share.</param>
/// <param name="SpreadLow">Smallest shot spread, inches per axis.</param>
/// <param name="SpreadHigh">Largest.</param>
/// <param name="FlyerShare">Share of flyers.</param>
/// <param name="RestAndNockOnly">True for a bow on which only rest and nocking point can be moved.</param>
public sealed record SimulatedWorld(
    double GainSd = 0.4,
    double BowSd = 0.25,
    double SpreadLow = 0.10,
    double SpreadHigh = 0.25,
    double FlyerShare = 0.1,
    bool RestAndNockOnly = false
)
{
    /// <summary>The world of the benchmark.</summary>
    public static SimulatedWorld Benchmark { get; } = new();
}

/// <summary>
/// A bow that exists only in numbers: straight-line response with unknown gains, a rest whose sideways sign is a
/// coin's, spread and flyers. The same seed gives the same bow and the same shots. Sizes are trade-like guesses, no
/// source; it never gives an instruction.
/// </summary>
public sealed class SimulatedBow : IShootingBow
{
    private const double CrossSd = 0.08;
    private const double TearSd = 0.7;
    private const double LeastTear = 0.35;

    private static readonly (AdjusterKind Kind, int Lower, int Upper)[] Rest =
    [
        (AdjusterKind.RestSideways, -25, 25),
        (AdjusterKind.RestHeight, -60, 60),
        (AdjusterKind.NockingPoint, -6, 6),
    ];
    private static readonly (AdjusterKind Kind, int Lower, int Upper)[] Sides =
    [
        (AdjusterKind.YokePair, -8, 8),
        (AdjusterKind.CamSpacer, -2, 2),
        (AdjusterKind.LimbPocket, -4, 4),
    ];
    private static readonly (AdjusterKind Kind, int Lower, int Upper) Bolt = (AdjusterKind.BottomLimbBolt, 0, 3);

    private readonly Random random;
    private readonly SimulatedWorld world;
    private readonly double[] gainX;
    private readonly double[] gainY;
    private readonly Tear start;

    /// <param name="seed">Which bow.</param>
    /// <param name="world">The world it is drawn from.</param>
    public SimulatedBow(int seed, SimulatedWorld? world = null)
    {
        this.world = world ?? SimulatedWorld.Benchmark;
        random = new Random(seed);
        (AdjusterKind Kind, int Lower, int Upper)[] has = this.world.RestAndNockOnly
            ? Rest
            : [.. Rest, Bolt, Sides[random.Next(Sides.Length)]];
        Kinds = [.. has.Select(h => h.Kind)];
        Levers = [.. has.Select((h, i) => new Lever(i, h.Lower, h.Upper))];
        (gainX, gainY) = (new double[has.Length], new double[has.Length]);
        var shared = Math.Exp(this.world.BowSd * Normal());
        for (var j = 0; j < has.Length; j++)
        {
            var fact = AdjusterTable.Of(has[j].Kind);
            var own =
                fact.NominalGain
                * Math.Exp(this.world.GainSd * Normal())
                * shared
                * (1 + (this.world.GainSd * Normal()));
            own *= has[j].Kind == AdjusterKind.RestSideways && random.Next(2) == 0 ? -1 : 1;
            var cross = CrossSd * fact.NominalGain * Normal();
            (gainX[j], gainY[j]) = fact.Axis == TearAxis.Sideways ? (own, cross) : (cross, own);
        }

        do
        {
            start = new Tear(TearSd * Normal(), TearSd * Normal());
        } while (start.Length < LeastTear);
        Spread = this.world.SpreadLow + ((this.world.SpreadHigh - this.world.SpreadLow) * random.NextDouble());
    }

    /// <summary>The adjusters it has, in the order of a setting.</summary>
    public IReadOnlyList<AdjusterKind> Kinds { get; }

    /// <inheritdoc/>
    public IReadOnlyList<Lever> Levers { get; }

    /// <summary>Shot spread, inches per axis.</summary>
    public double Spread { get; }

    /// <summary>A bow's record for the session that tunes it: its figures decide nothing there.</summary>
    public static Bow Measured { get; } =
        new(
            "Simulated",
            BowKind.Compound,
            Hand.Right,
            Release.ReleaseAid,
            60,
            60,
            29,
            33,
            7,
            null,
            RestType.DropAwayEarly,
            CamSystem.TwinYoke,
            CamDraw.Medium,
            0
        );

    /// <summary>Who shoots it: with a press, by the trade's default school.</summary>
    public static Archer Archer { get; } = new("Simulated", Hand.Right, true, School.CentreFirst);

    /// <summary>Its adjusters at a setting.</summary>
    public IReadOnlyList<Adjuster> Adjusters(IReadOnlyList<int> setting) =>
        [
            .. Levers.Select(
                (l, i) => AdjusterTable.Fresh(Kinds[i]) with { Position = setting[i], Lower = l.Lower, Upper = l.Upper }
            ),
        ];

    /// <summary>True gain of an adjuster, inches a step: right and up.</summary>
    public (double X, double Y) TrueGain(int lever) => (gainX[lever], gainY[lever]);

    /// <summary>The true mean tear at a setting: what no archer ever sees.</summary>
    public Tear TrueMean(IReadOnlyList<int> setting)
    {
        var (x, y) = (start.X, start.Y);
        for (var j = 0; j < gainX.Length; j++)
        {
            x += gainX[j] * setting[j];
            y += gainY[j] * setting[j];
        }

        return new Tear(x, y);
    }

    /// <inheritdoc/>
    public Tear Shoot(IReadOnlyList<int> setting)
    {
        var mean = TrueMean(setting);
        var sd = random.NextDouble() < world.FlyerShare ? FlyerOdds.FlyerSd : Spread;
        return new Tear(mean.X + (sd * Normal()), mean.Y + (sd * Normal()));
    }

    /// <summary>Box and Muller's normal numbers (from memory), so that a seed always gives the same shots.</summary>
    private double Normal() =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
