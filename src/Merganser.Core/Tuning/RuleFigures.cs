namespace Merganser.Core.Tuning;

/// <summary>The figures of the rule; those of a user are the tolerance and the shots per decision.</summary>
/// <param name="Tolerance">Good enough, inches.</param>
/// <param name="MinimumShots">Shots at a setting before a move is thought of.</param>
/// <param name="ShotCost">κ: what a shot is worth against a false "done".</param>
/// <param name="Inflate">Variances are multiplied by this, because the fit is a little too sure of itself: see
/// docs/decisions/0009.</param>
public sealed record RuleFigures(
    double Tolerance,
    int MinimumShots = 2,
    double ShotCost = 0.05,
    double Inflate = RuleFigures.UsualInflation
)
{
    /// <summary>Found by the calibration of 1,000 seeded bows (docs/decisions/0009).</summary>
    public const double UsualInflation = 1.1;

    /// <summary>
    /// Under the trade's quarter inch a fit that is too sure of itself costs more (docs/decisions/0009).
    /// </summary>
    public const double StrictInflation = 1.2;

    /// <summary>And more with shots that stray widely.</summary>
    public const double PoorInflation = 1.35;

    /// <summary>Inches an axis from which shots stray widely (no source).</summary>
    private const double PoorSpread = 0.28;

    /// <summary>
    /// The figures for a tolerance, in inches, and an archer whose shots stray by so much, in inches.
    /// </summary>
    public static RuleFigures For(double tolerance, double spread = Paper.MeanTear.UsualSpread, int minimumShots = 2) =>
        new(tolerance, minimumShots, Inflate: InflationFor(tolerance, spread));

    private static double InflationFor(double tolerance, double spread)
    {
        if (spread > PoorSpread)
        {
            return PoorInflation;
        }

        return tolerance < Paper.Tolerances.Usual ? StrictInflation : UsualInflation;
    }

    /// <summary>The trade's quarter inch.</summary>
    public static RuleFigures Usual { get; } = For(Paper.Tolerances.Usual);

    /// <summary>Lowest of clamp(κ S²/tol²): never surer than 97 % is asked for.</summary>
    public double LeastRisk { get; init; } = 0.03;

    /// <summary>Highest: never less than 60 %.</summary>
    public double MostRisk { get; init; } = 0.40;

    /// <summary>A move is thought of while the chance of being inside is below this.</summary>
    public double FarChance { get; init; } = 0.35;

    /// <summary>Shots at a setting before a move on its chance alone is thought of.</summary>
    public int ShotsForChance { get; init; } = 2;

    /// <summary>What a move costs in squared inches.</summary>
    public double MoveCost { get; init; } = 0.0015;

    /// <summary>What a move costs in chance.</summary>
    public double MoveChance { get; init; } = 0.05;

    /// <summary>A move on its chance alone must win this much.</summary>
    public double ChanceGain { get; init; } = 0.1;

    /// <summary>And this much once a setting was shot so often that more shots say little.</summary>
    public double LateGain { get; init; }

    /// <summary>Sds of a shot that a test of a way may move the tear; null leaves it as large as it likes.</summary>
    public double? TestInSpreads { get; init; } = 2;

    /// <summary>A tear so many sds of the mean long needs no second shot; null always wants it.</summary>
    public double? OneShotInSds { get; init; } = 3;

    /// <summary>Chance of reaching the circle below which it is said to be out of travel.</summary>
    public double HopelessReach { get; init; } = 0.10;

    /// <summary>Shots here and moves before "out of travel" is said.</summary>
    public int TriesBeforeOutOfTravel { get; init; } = 8;

    /// <summary>Shots at a setting after which no more are asked for.</summary>
    public int StopAfter { get; init; } = 12;

    /// <summary>What it costs, in squared inches, to go beyond the school's own choice.</summary>
    public double BeyondCost { get; init; } = 0.02;

    /// <summary>And in chance.</summary>
    public double BeyondChance { get; init; } = 0.05;

    /// <summary>
    /// True where a far move may have one on the other axis beside it: one visit to the press, then shots.
    /// </summary>
    public bool BothAxes { get; init; }

    /// <summary>Squared inches that the second of two moves must win.</summary>
    public double AlsoGain { get; init; } = 0.005;

    /// <summary>
    /// True where a test of a way that did not tell is followed by a longer one: by what its steps were seen to do, and
    /// beyond the school's own clicks at their price.
    /// </summary>
    public bool TestsOnward { get; init; }

    /// <summary>
    /// The same for two groups at a target: a pair is four arrows, so that a smaller gain is worth a move, a test goes
    /// onward, and what is out of reach is said when it is surer (measured, docs/benchmarks.md).
    /// </summary>
    public RuleFigures AtTarget =>
        this with
        {
            ChanceGain = GainAtTarget,
            HopelessReach = HopelessAtTarget,
            TestsOnward = true,
        };

    private const double GainAtTarget = 0.03;

    private const double HopelessAtTarget = 0.02;

    /// <summary>
    /// The rule as it was first written down, before it was measured against others here: the check session is told in
    /// it.
    /// </summary>
    public RuleFigures AsFirstWritten =>
        this with
        {
            Inflate = 1,
            ShotsForChance = 3,
            ChanceGain = 0.2,
            LateGain = 0.2,
            TestInSpreads = null,
            OneShotInSds = null,
            HopelessReach = 0,
            StopAfter = int.MaxValue,
        };
}
