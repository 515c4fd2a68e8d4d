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
    Tear Shoot(IReadOnlyList<double> setting);
}

/// <summary>
/// A bow that exists only in numbers: straight-line response with unknown gains, a rest whose sideways sign is a
/// coin's, spread and flyers. The same seed gives the same bow and the same shots. Sizes are trade-like guesses, no
/// source; it never gives an instruction.
/// </summary>
public sealed class SimulatedBow : IShootingBow
{
    private const double TearSd = 0.7;
    private const double LeastTear = 0.35;

    /// <summary>Shots over which a string settles.</summary>
    private const double SettlingShots = 60;

    /// <summary>By how much a changed grip moves the tear, inches.</summary>
    private const double GripMoves = 0.5;

    private const int VisitsApart = 1_000_000;
    private const int MakesApart = 30_000_000;

    /// <summary>Variance of Student's t with three degrees of freedom.</summary>
    private const double TailVariance = 3;

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
    private static readonly (AdjusterKind Kind, int Lower, int Upper)[] Fingers =
    [
        (AdjusterKind.NockingPoint, -6, 6),
        (AdjusterKind.PlungerTension, -10, 10),
        (AdjusterKind.PlungerPosition, -6, 6),
        (AdjusterKind.PointWeight, -2, 4),
        (AdjusterKind.DrawWeight, -4, 4),
        (AdjusterKind.BraceHeight, -12, 12),
    ];

    private Random random;

    /// <summary>What a variant of the world draws, so that the bow and its shots stay those of the seed.</summary>
    private readonly Random apart;
    private readonly SimulatedWorld world;
    private readonly double[] gainX;
    private readonly double[] gainY;
    private readonly Tear start;
    private Tear today = new(0, 0);
    private readonly Tear drifts;
    private readonly Tear grip;
    private readonly SimulatedHand hand;
    private int shots;

    /// <param name="seed">Which bow.</param>
    /// <param name="world">The world it is drawn from.</param>
    public SimulatedBow(int seed, SimulatedWorld? world = null)
    {
        this.world = world ?? SimulatedWorld.Benchmark;
        random = new Random(seed);
        apart = new Random(seed + 1_000_003);
        (AdjusterKind Kind, int Lower, int Upper)[] has = this.world.Adjusters switch
        {
            SimulatedAdjusters.RestAndNock => Rest,
            SimulatedAdjusters.Fingers => Fingers,
            SimulatedAdjusters.Compound => [.. Rest, Bolt, Sides[random.Next(Sides.Length)]],
            var side => [.. Rest, Bolt, Sides[side - SimulatedAdjusters.Yokes]],
        };
        Kinds = [.. has.Select(h => h.Kind)];
        Levers = [.. has.Select((h, i) => new Lever(i, h.Lower, h.Upper))];
        (gainX, gainY) = (new double[has.Length], new double[has.Length]);
        var shared = Math.Exp(this.world.BowSd * Normal());
        var bow = new Random(seed + (MakesApart * this.world.BowOfMake));
        for (var j = 0; j < has.Length; j++)
        {
            var fact = AdjusterTable.Of(has[j].Kind);
            var own =
                fact.NominalGain
                * Math.Exp(this.world.GainSd * Normal())
                * shared
                * (1 + (this.world.GainSd * Normal()));
            own *= has[j].Kind == AdjusterKind.RestSideways && random.Next(2) == 0 ? -1 : 1;
            own *= this.world.BowOfMake > 0 ? Math.Exp(this.world.MakeSd * Normal(bow)) : 1;
            own *= has[j].Kind == this.world.Reversed ? -this.world.Answer : this.world.Answer;
            var cross = this.world.Answer * this.world.CrossSd * fact.NominalGain * Normal();
            (gainX[j], gainY[j]) = fact.Axis == TearAxis.Sideways ? (own, cross) : (cross, own);
        }

        start = FirstTear();
        Spread = this.world.SpreadLow + ((this.world.SpreadHigh - this.world.SpreadLow) * random.NextDouble());
        if (this.world.Visit > 1 || this.world.BowOfMake > 0)
        {
            random = new Random(seed + (VisitsApart * this.world.Visit) + (MakesApart * this.world.BowOfMake));
            start = FirstTear();
        }

        NextDay();
        drifts = Somewhere(this.world.Drift);
        grip = Somewhere(GripMoves);
        hand = new SimulatedHand(this.world, apart, has.Length);
    }

    /// <summary>Another day of shooting: what it adds to every tear is drawn anew.</summary>
    public void NextDay() => today = new Tear(world.DayBias * Normal(apart), world.DayBias * Normal(apart));

    /// <summary>The true mean tear as it is shot today.</summary>
    public Tear TodaysMean(IReadOnlyList<double> setting)
    {
        var mean = TrueMean(setting);
        return new Tear(mean.X + today.X, mean.Y + today.Y);
    }

    /// <summary>The adjusters it has, in the order of a setting.</summary>
    public IReadOnlyList<AdjusterKind> Kinds { get; }

    /// <inheritdoc/>
    public IReadOnlyList<Lever> Levers { get; }

    /// <summary>Shot spread, inches per axis.</summary>
    public double Spread { get; }

    /// <summary>A compound's record for the session that tunes it: its figures decide nothing there.</summary>
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

    /// <summary>The record of the session that tunes it.</summary>
    public Bow Record =>
        world.Adjusters == SimulatedAdjusters.Fingers
            ? Measured with
            {
                Kind = BowKind.Recurve,
                Release = Release.Fingers,
            }
            : Measured;

    /// <summary>Its adjusters at a setting.</summary>
    public IReadOnlyList<Adjuster> Adjusters(IReadOnlyList<double> setting) =>
        [
            .. Levers.Select(
                (l, i) =>
                    AdjusterTable.Fresh(Kinds[i]) with
                    {
                        Position = setting[i],
                        Lower = (int)l.Lower,
                        Upper = (int)l.Upper,
                    }
            ),
        ];

    /// <summary>True gain of an adjuster, inches a step: right and up.</summary>
    public (double X, double Y) TrueGain(int lever) => (gainX[lever], gainY[lever]);

    /// <summary>True where no setting of these adjusters brings the tear inside, one axis by the other.</summary>
    /// <param name="kinds">Which may be moved.</param>
    /// <param name="tolerance">Inches.</param>
    public bool OutOfReach(IReadOnlyCollection<AdjusterKind> kinds, double tolerance)
    {
        var (x, y) = (Left(start.X, gainX, TearAxis.Sideways), Left(start.Y, gainY, TearAxis.Height));
        return Math.Sqrt((x * x) + (y * y)) >= tolerance;

        double Left(double tear, double[] gains, TearAxis axis)
        {
            var (low, high) = (tear, tear);
            for (var j = 0; j < gains.Length; j++)
            {
                if (kinds.Contains(Kinds[j]) && AdjusterTable.Of(Kinds[j]).Axis == axis)
                {
                    var (one, other) = (gains[j] * Levers[j].Lower, gains[j] * Levers[j].Upper);
                    (low, high) = (low + Math.Min(one, other), high + Math.Max(one, other));
                }
            }

            return Math.Max(0, Math.Max(low, -high));
        }
    }

    /// <summary>
    /// The true mean tear at a setting, without what is of today or of this shot: what no archer ever sees.
    /// </summary>
    public Tear TrueMean(IReadOnlyList<double> setting)
    {
        var (x, y) = (start.X, start.Y);
        for (var j = 0; j < gainX.Length; j++)
        {
            var steps = Answered(j, setting[j] + hand.Off(j));
            x += gainX[j] * steps;
            y += gainY[j] * steps;
        }

        return new Tear(x, y);
    }

    /// <inheritdoc/>
    public Tear Shoot(IReadOnlyList<double> setting)
    {
        hand.Turn(setting);
        var mean = TrueMean(setting);
        var tired = 1 + (world.Fatigue * shots);
        var (spread, tail) =
            random.NextDouble() < world.FlyerShare ? (FlyerOdds.FlyerSd, 1.0) : (Spread * tired, Tail());
        var (dx, dy) = (spread * tail * Normal(), spread * tail * world.HeightSpread * Normal());
        var (gripX, gripY) = world.GripChangesAt > 0 && shots >= world.GripChangesAt ? (grip.X, grip.Y) : (0, 0);
        var settled = world.Settling * Math.Min(1, shots / SettlingShots);
        var (x, y) = (
            mean.X + dx + today.X + (drifts.X * shots) + gripX,
            mean.Y + dy + today.Y + (drifts.Y * shots) + gripY + settled
        );
        shots++;
        return new Tear(Read(x), Read(y));
    }

    /// <summary>Steps as they answer: those far from the middle less, where the world says so.</summary>
    private double Answered(int lever, double steps)
    {
        double range = Levers[lever].Upper;
        return world.Saturating ? range * Math.Tanh(steps / range) : steps;
    }

    private double Read(double place) => world.ReadTo > 0 ? Math.Round(place / world.ReadTo) * world.ReadTo : place;

    /// <summary>What makes a normal shot one of Student's t of the same variance.</summary>
    private double Tail()
    {
        if (!world.HeavyTails)
        {
            return 1;
        }

        var sum = Enumerable.Range(0, (int)TailVariance).Sum(_ => Math.Pow(Normal(apart), 2));
        return 1 / Math.Sqrt(sum);
    }

    private Tear FirstTear()
    {
        Tear tear;
        do
        {
            tear = new Tear(TearSd * Normal(), TearSd * Normal());
        } while (tear.Length < LeastTear);

        return new Tear(world.TearScale * tear.X, world.TearScale * tear.Y);
    }

    private Tear Somewhere(double length)
    {
        var angle = 2 * Math.PI * apart.NextDouble();
        return new Tear(length * Math.Cos(angle), length * Math.Sin(angle));
    }

    private double Normal() => Normal(random);

    /// <summary>Box and Muller's normal numbers (from memory), so that a seed always gives the same shots.</summary>
    internal static double Normal(Random from) =>
        Math.Sqrt(-2 * Math.Log(1 - from.NextDouble())) * Math.Cos(2 * Math.PI * from.NextDouble());
}
