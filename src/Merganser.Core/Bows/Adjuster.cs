using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>What can be turned, moved or changed on a bow to steer the arrow's tail.</summary>
public enum AdjusterKind
{
    RestSideways,
    RestHeight,
    NockingPoint,
    YokePair,
    CamSpacer,
    LimbPocket,
    BottomLimbBolt,
    PlungerTension,
    PlungerPosition,
    BraceHeight,
    DrawWeight,
    PointWeight,
    Tiller,
    YokeLeftLeg,
    YokeRightLeg,
    TopCable,
    BottomCable,
    StringTwists,
    LimbBolts,
    DrawModule,
    LetOffModule,
    StrikePlate,
}

/// <summary>
/// Which way an adjuster's steps drive the tail: a fact of the bow for pockets and spacers, where makers differ.
/// </summary>
public enum AdjusterWay
{
    /// <summary>As the trade tells it: + drives the tail right, or up.</summary>
    Agreed,

    /// <summary>The other way, by the maker's sheet.</summary>
    Reversed,

    /// <summary>Nobody knows yet: the shots tell.</summary>
    NotKnown,
}

/// <summary>
/// One adjuster as this bow has it. Positions are whole steps, of a rest half clicks as well, signed by their nominal
/// effect: + drives the tail right, or up.
/// </summary>
/// <param name="Kind">Which adjuster.</param>
/// <param name="Position">Steps from the mark at which it was recorded.</param>
/// <param name="Lower">Lowest step that can be reached.</param>
/// <param name="Upper">Highest step that can be reached.</param>
/// <param name="NeedsPress">True when a bow press is needed to move it.</param>
/// <param name="InchesPerStep">What one step moves on this bow, where known: inches at the part itself, not of
/// tear.</param>
/// <param name="Seats">The four seats of cam spacers, once somebody said which piece stands in each.</param>
/// <param name="Way">Which way its steps drive the tail on this bow, by the maker's sheet.</param>
public sealed record Adjuster(
    AdjusterKind Kind,
    double Position,
    int Lower,
    int Upper,
    bool NeedsPress,
    double? InchesPerStep = null,
    SpacerSeats? Seats = null,
    AdjusterWay Way = AdjusterWay.Agreed
)
{
    /// <summary>Highest step that can be reached.</summary>
    public int Upper { get; init; } =
        Upper >= Lower ? Upper : throw new ArgumentOutOfRangeException(nameof(Upper), Upper, "Not below the lowest.");

    /// <summary>Inches at the part itself that one step moves on this bow, or null.</summary>
    public double? InchesPerStep
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(InchesPerStep);

    /// <summary>Steps left down and up.</summary>
    public (double Down, double Up) Left => (Position - Lower, Upper - Position);

    /// <summary>True when it can be moved and stands at the end of its travel.</summary>
    public bool AtEnd => Lower < Upper && (Position == Lower || Position == Upper);

    /// <summary>True when the step can be reached.</summary>
    public bool Reaches(double position) => position >= Lower && position <= Upper;

    /// <summary>True when it can stand there: at a whole step, or between two clicks.</summary>
    public bool Holds(double position) =>
        position == Math.Floor(position) || (AdjusterTable.HasHalves(Kind) && position == Math.Floor(position) + 0.5);
}

/// <summary>Which way the tail is driven.</summary>
public enum TearAxis
{
    Sideways,
    Height,
}

/// <summary>The trade's facts on one kind of adjuster. Its words are in the words table.</summary>
/// <param name="Kind">Which adjuster.</param>
/// <param name="Axis">What it steers.</param>
/// <param name="NominalGain">Inches of tear at close range a step is expected to move; 0 for one that no tear is
/// answered with. Trade-like guesses, no source.</param>
/// <param name="Lower">Usual lower limit in steps.</param>
/// <param name="Upper">Usual upper limit in steps.</param>
/// <param name="NeedsPress">Usually needs a press.</param>
/// <param name="Step">What a step is, where it is a quantity and not a count of clicks or twists.</param>
public sealed record AdjusterFact(
    AdjusterKind Kind,
    TearAxis Axis,
    double NominalGain,
    int Lower,
    int Upper,
    bool NeedsPress,
    Measure? Step = null
);

/// <summary>
/// The table of adjusters. A + step nominally drives the tail right, or up (right-handed bow; finger adjusters turn
/// with the hand).
/// </summary>
public static class AdjusterTable
{
    /// <summary>
    /// Inches that one click of a usual rest moves: its travel of ±25 clicks is the legal centre-shot window of ±1/8
    /// in.
    /// </summary>
    public const double RestClickInches = 0.005;

    private static readonly AdjusterFact[] Rows =
    [
        new(AdjusterKind.RestSideways, TearAxis.Sideways, 0.03, -25, 25, false),
        new(AdjusterKind.RestHeight, TearAxis.Height, 0.03, -60, 60, false),
        new(AdjusterKind.NockingPoint, TearAxis.Height, 0.25, -6, 6, false, Measure.Ruled(1.0 / 16)),
        new(AdjusterKind.YokePair, TearAxis.Sideways, 0.40, -8, 8, true),
        new(AdjusterKind.CamSpacer, TearAxis.Sideways, 0.50, -2, 2, true),
        new(AdjusterKind.LimbPocket, TearAxis.Sideways, 0.30, -4, 4, false),
        new(AdjusterKind.BottomLimbBolt, TearAxis.Height, 0.12, 0, 2, false),
        new(AdjusterKind.PlungerTension, TearAxis.Sideways, 0.10, -10, 10, false),
        new(AdjusterKind.PlungerPosition, TearAxis.Sideways, 0.08, -6, 6, false),
        new(AdjusterKind.BraceHeight, TearAxis.Sideways, 0.04, -12, 12, false),
        new(AdjusterKind.DrawWeight, TearAxis.Sideways, 0.12, -4, 4, false, Measure.Pounds(1, 0)),
        new(AdjusterKind.PointWeight, TearAxis.Sideways, 0.10, -6, 6, false, Measure.Grains(10, 0)),
        new(AdjusterKind.Tiller, TearAxis.Height, 0.04, -8, 8, false, Measure.Ruled(1.0 / 16)),
        new(AdjusterKind.YokeLeftLeg, TearAxis.Sideways, 0, -8, 8, true),
        new(AdjusterKind.YokeRightLeg, TearAxis.Sideways, 0, -8, 8, true),
        new(AdjusterKind.TopCable, TearAxis.Height, 0, -10, 10, true),
        new(AdjusterKind.BottomCable, TearAxis.Height, 0, -10, 10, true),
        new(AdjusterKind.StringTwists, TearAxis.Height, 0, -12, 12, true),
        new(AdjusterKind.LimbBolts, TearAxis.Height, 0, -20, 8, false),
        new(AdjusterKind.DrawModule, TearAxis.Height, 0, -12, 12, false),
        new(AdjusterKind.LetOffModule, TearAxis.Height, 0, -4, 4, false),
        new(AdjusterKind.StrikePlate, TearAxis.Sideways, 0.06, -4, 6, false, Measure.Ruled(1.0 / 32)),
    ];

    /// <summary>All rows.</summary>
    public static IReadOnlyList<AdjusterFact> All => Rows;

    /// <summary>The row of a kind.</summary>
    public static AdjusterFact Of(AdjusterKind kind) => Rows.First(r => r.Kind == kind);

    /// <summary>True for one whose way is a fact of the bow: makers build pockets and spacers both ways.</summary>
    public static bool WayIsAFact(AdjusterKind kind) => kind is AdjusterKind.LimbPocket or AdjusterKind.CamSpacer;

    /// <summary>True for a rest: between two clicks it holds as well (common practice, no source).</summary>
    public static bool HasHalves(AdjusterKind kind) => kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight;

    /// <summary>
    /// True for adjusters that work through the arrow's stiffness on a finger shot and so turn with the hand.
    /// </summary>
    public static bool TurnsWithHand(AdjusterKind kind) =>
        kind
            is AdjusterKind.PlungerTension
                or AdjusterKind.BraceHeight
                or AdjusterKind.DrawWeight
                or AdjusterKind.PointWeight
                or AdjusterKind.StrikePlate;

    /// <summary>The kinds a bow usually has, following from its kind and cam system (trade practice).</summary>
    public static IReadOnlyList<AdjusterKind> Usual(BowKind kind, CamSystem cams)
    {
        if (kind == BowKind.Longbow)
        {
            return OfLongbow;
        }

        if (kind is BowKind.Recurve or BowKind.Barebow)
        {
            return [AdjusterKind.NockingPoint, .. OnlyWithoutCams];
        }

        AdjusterKind[] always = [AdjusterKind.RestSideways, AdjusterKind.RestHeight, AdjusterKind.NockingPoint];
        AdjusterKind[] strings = [AdjusterKind.StringTwists, AdjusterKind.LimbBolts, AdjusterKind.DrawModule];
        AdjusterKind[] yoke = [AdjusterKind.YokePair, AdjusterKind.YokeLeftLeg, AdjusterKind.YokeRightLeg];
        return cams switch
        {
            CamSystem.TwinYoke => [.. always, .. yoke, .. strings],
            CamSystem.Hybrid or CamSystem.Single => [.. always, .. yoke, AdjusterKind.BottomCable, .. strings],
            CamSystem.Binary =>
            [
                .. always,
                AdjusterKind.CamSpacer,
                AdjusterKind.LimbPocket,
                AdjusterKind.TopCable,
                AdjusterKind.BottomCable,
                .. strings,
            ],
            _ => always,
        };
    }

    /// <summary>What a longbow has: the plate that the arrow lies against does what a plunger does.</summary>
    private static readonly AdjusterKind[] OfLongbow =
    [
        AdjusterKind.NockingPoint,
        AdjusterKind.StrikePlate,
        AdjusterKind.BraceHeight,
        AdjusterKind.PointWeight,
    ];

    /// <summary>What a recurve has beside its nocking point: a compound has it not, or by another adjuster.</summary>
    private static readonly AdjusterKind[] OnlyWithoutCams =
    [
        AdjusterKind.PlungerTension,
        AdjusterKind.PlungerPosition,
        AdjusterKind.BraceHeight,
        AdjusterKind.DrawWeight,
        AdjusterKind.PointWeight,
        AdjusterKind.Tiller,
    ];

    /// <summary>The place of a kind in the table, and so in every list of adjusters.</summary>
    public static int PlaceOf(AdjusterKind kind) => Array.FindIndex(Rows, r => r.Kind == kind);

    /// <summary>The kinds that may be fitted to a bow, the usual ones among them.</summary>
    public static IReadOnlyList<AdjusterKind> Possible(BowKind kind) =>
        kind switch
        {
            BowKind.Compound =>
            [
                .. Rows.Select(r => r.Kind).Except([.. OnlyWithoutCams, AdjusterKind.StrikePlate]),
                AdjusterKind.PlungerTension,
                AdjusterKind.PointWeight,
                AdjusterKind.Tiller,
            ],
            BowKind.Longbow => OfLongbow,
            _ => [AdjusterKind.RestHeight, .. Usual(BowKind.Recurve, CamSystem.None)],
        };

    /// <summary>An adjuster of this kind at its mark, with the usual travel.</summary>
    public static Adjuster Fresh(AdjusterKind kind)
    {
        var fact = Of(kind);
        return new Adjuster(kind, 0, fact.Lower, fact.Upper, fact.NeedsPress);
    }
}
