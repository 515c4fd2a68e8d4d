using Merganser.Core.Bows;
using Merganser.Core.Groups;

namespace Merganser.Core.Simulation;

/// <summary>
/// A bow that exists only in numbers, at a target: where bare and fletched shafts strike at a setting. Adjusters and
/// limits are those of the paper's simulated bow of the same seed; gains, first offset and spreads are drawn apart. All
/// sizes are trade-like guesses, no source; it never gives an instruction.
/// </summary>
public sealed class SimulatedTarget
{
    /// <summary>Inches of offset for each inch of nominal tear.</summary>
    private const double Factor = 3.0;

    /// <summary>First offsets are this widely spread, in tolerances on each axis.</summary>
    private const double OffsetSd = 1.5;

    /// <summary>And at least this long, in tolerances.</summary>
    private const double LeastOffset = 1.4;

    private const double CrossSd = 0.08;
    private const double BareSpread = 1.25;
    private const double FlyerShare = 0.1;
    private const double FlyerSpread = 3;
    private const int TargetsApart = 50_000_000;

    private readonly Random random;
    private readonly double[] gainX;
    private readonly double[] gainY;
    private readonly Impact start;
    private readonly double spread;

    /// <param name="seed">Which bow.</param>
    /// <param name="spread">The archer's stated spread at this distance, inches per axis.</param>
    /// <param name="tolerance">Good enough, inches.</param>
    /// <param name="reversed">Share of agreed adjusters that answer the other way, 0 to 1.</param>
    public SimulatedTarget(int seed, double spread, double tolerance, double reversed = 0)
    {
        Bow = new SimulatedBow(seed);
        random = new Random(seed + TargetsApart);
        var shared = Math.Exp(0.4 * Normal());
        (gainX, gainY) = (new double[Bow.Kinds.Count], new double[Bow.Kinds.Count]);
        for (var j = 0; j < gainX.Length; j++)
        {
            var fact = AdjusterTable.Of(Bow.Kinds[j]);
            var nominal = Factor * fact.NominalGain;
            var own =
                nominal
                * Math.Exp(0.4 * Normal())
                * Math.Exp(0.35 * Normal())
                * shared
                * Math.Max(0.1, 1 + (0.4 * Normal()));
            var turned = random.NextDouble();
            own *= turned < (fact.Kind == AdjusterKind.RestSideways ? 0.5 : reversed) ? -1 : 1;
            var cross = CrossSd * nominal * Normal();
            (gainX[j], gainY[j]) = fact.Axis == TearAxis.Sideways ? (own, cross) : (cross, own);
        }

        do
        {
            start = new Impact(OffsetSd * tolerance * Normal(), OffsetSd * tolerance * Normal());
        } while (start.Length < LeastOffset * tolerance);

        this.spread = spread * Math.Exp(0.15 * Normal());
    }

    /// <summary>What can be moved on it.</summary>
    public SimulatedBow Bow { get; }

    /// <summary>
    /// The true offset, bare less fletched, inches: a step that drives the tail right drives bare left.
    /// </summary>
    public Impact TrueOffset(IReadOnlyList<int> setting)
    {
        var (x, y) = (start.X, start.Y);
        for (var j = 0; j < gainX.Length; j++)
        {
            (x, y) = (x - (gainX[j] * setting[j]), y - (gainY[j] * setting[j]));
        }

        return new Impact(x, y);
    }

    /// <summary>Shoots one arrow, from the aiming point of its kind.</summary>
    public Impact Shoot(ArrowKind kind, IReadOnlyList<int> setting)
    {
        var mean = kind == ArrowKind.Bare ? TrueOffset(setting) : new Impact(0, 0);
        var flyer = random.NextDouble() < FlyerShare ? FlyerSpread : 1;
        var own = flyer * spread * (kind == ArrowKind.Bare ? BareSpread : 1);
        return new Impact(mean.X + (own * Normal()), mean.Y + (own * Normal()));
    }

    private double Normal() => SimulatedBow.Normal(random);
}
