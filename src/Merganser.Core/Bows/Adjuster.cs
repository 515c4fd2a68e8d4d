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
}

/// <summary>One adjuster as this bow has it. Positions are whole steps, signed by their nominal effect: + drives the tail right, or up.</summary>
/// <param name="Kind">Which adjuster.</param>
/// <param name="Position">Steps from the mark at which it was recorded.</param>
/// <param name="Lower">Lowest step that can be reached.</param>
/// <param name="Upper">Highest step that can be reached.</param>
/// <param name="NeedsPress">True when a bow press is needed to move it.</param>
/// <param name="InchesPerStep">What one step moves on this bow, where known: inches at the part itself, not of tear.</param>
/// <param name="Seats">The four seats of cam spacers; null for everything else.</param>
public sealed record Adjuster(AdjusterKind Kind, int Position, int Lower, int Upper, bool NeedsPress, double? InchesPerStep = null, SpacerSeats? Seats = null)
{
    /// <summary>Steps left down and up.</summary>
    public (int Down, int Up) Left => (Position - Lower, Upper - Position);

    /// <summary>True when the step can be reached.</summary>
    public bool Reaches(int position) => position >= Lower && position <= Upper;
}

/// <summary>Which way the tail is driven.</summary>
public enum TearAxis { Sideways, Height }

/// <summary>The trade's facts on one kind of adjuster.</summary>
/// <param name="Kind">Which adjuster.</param>
/// <param name="Axis">What it steers.</param>
/// <param name="Name">Its name on the bench.</param>
/// <param name="StepUnit">What one step is, singular.</param>
/// <param name="NominalGain">Inches of tear at close range a step is expected to move; 0 for one that no tear is answered with. Trade-like guesses, no source.</param>
/// <param name="Lower">Usual lower limit in steps.</param>
/// <param name="Upper">Usual upper limit in steps.</param>
/// <param name="NeedsPress">Usually needs a press.</param>
/// <param name="PlusWords">What a + step is, in the technician's words; {0} is the count with its unit.</param>
/// <param name="MinusWords">What a − step is.</param>
/// <param name="PlusWay">The way of a + step alone: the hand's own word for it.</param>
/// <param name="MinusWay">The way of a − step.</param>
public sealed record AdjusterFact(
    AdjusterKind Kind, TearAxis Axis, string Name, string StepUnit, double NominalGain, int Lower, int Upper, bool NeedsPress,
    string PlusWords, string MinusWords, string PlusWay, string MinusWay)
{
    /// <summary>A count of steps with its unit: <c>2 half twists</c>, <c>3/16 in</c>.</summary>
    public string Steps(int count) => Kind switch
    {
        AdjusterKind.NockingPoint or AdjusterKind.Tiller => $"{count}/16 in",
        AdjusterKind.PointWeight => $"{10 * count} gr",
        AdjusterKind.DrawWeight => $"{count} lb",
        _ => Show.Count(count, StepUnit),
    };

    /// <summary>
    /// What so many steps are, as an order to the technician. A + step drives the tail right or up; adjusters that work through
    /// the arrow's stiffness turn with the hand, and in/out is added for the rest.
    /// </summary>
    public string Order(int steps, Hand hand)
    {
        var plus = steps > 0;
        var words = string.Format(plus != Turned(hand) ? PlusWords : MinusWords, Steps(Math.Abs(steps)));
        return Kind == AdjusterKind.RestSideways ? $"{words} ({InOut(plus, hand)})" : words;
    }

    /// <summary>Where it stands from its mark, in the hand's own words: <c>2 clicks right (in)</c>, <c>30 gr lighter</c>.</summary>
    public string Standing(int position, Hand hand) => position == 0 ? "at its mark" : $"{Steps(Math.Abs(position))} {Way(position > 0, hand)}";

    /// <summary>What is left of its travel each way, in the same words.</summary>
    public string Room(Adjuster adjuster, Hand hand)
    {
        var (down, up) = adjuster.Left;
        return (down, up) switch
        {
            (0, 0) => "no travel",
            (0, _) => $"at its end; {Steps(up)} {Way(true, hand)} to go",
            (_, 0) => $"at its end; {Steps(down)} {Way(false, hand)} to go",
            _ => $"to go: {Steps(down)} {Way(false, hand)}, {Steps(up)} {Way(true, hand)}",
        };
    }

    /// <summary>The way of a + or − step, as the hand has it.</summary>
    private string Way(bool plus, Hand hand)
    {
        var words = plus != Turned(hand) ? PlusWay : MinusWay;
        return Kind == AdjusterKind.RestSideways ? $"{words} ({InOut(plus, hand)})" : words;
    }

    private bool Turned(Hand hand) => hand == Hand.Left && AdjusterTable.TurnsWithHand(Kind);

    private static string InOut(bool plus, Hand hand) => plus == (hand == Hand.Right) ? "in" : "out";
}

/// <summary>The table of adjusters. A + step nominally drives the tail right, or up (right-handed bow; finger adjusters turn with the hand).</summary>
public static class AdjusterTable
{
    /// <summary>Inches that one click of a usual rest moves: its travel of ±25 clicks is the legal centre-shot window of ±1/8 in.</summary>
    public const double RestClickInches = 0.005;

    private static readonly AdjusterFact[] Rows =
    [
        new(AdjusterKind.RestSideways, TearAxis.Sideways, "Rest in/out", "click", 0.03, -25, 25, false, "Rest {0} right", "Rest {0} left", "right", "left"),
        new(AdjusterKind.RestHeight, TearAxis.Height, "Rest up/down", "click", 0.03, -60, 60, false, "Rest {0} down", "Rest {0} up", "down", "up"),
        new(AdjusterKind.NockingPoint, TearAxis.Height, "Nocking point", "1/16 in", 0.25, -6, 6, false, "Nocking point {0} up", "Nocking point {0} down", "up", "down"),
        new(AdjusterKind.YokePair, TearAxis.Sideways, "Yoke pair", "half twist", 0.40, -8, 8, true, "Left yoke leg {0} shorter, right leg {0} longer", "Right yoke leg {0} shorter, left leg {0} longer", "left leg shorter", "right leg shorter"),
        new(AdjusterKind.CamSpacer, TearAxis.Sideways, "Cam spacers", "size", 0.50, -2, 2, true, "Cams {0} left, top cam first", "Cams {0} right, top cam first", "left", "right"),
        new(AdjusterKind.LimbPocket, TearAxis.Sideways, "Limb-pocket screws", "quarter turn", 0.30, -4, 4, false, "Pocket screws {0} counter-clockwise, top and bottom", "Pocket screws {0} clockwise, top and bottom", "counter-clockwise", "clockwise"),
        new(AdjusterKind.BottomLimbBolt, TearAxis.Height, "Bottom limb bolt", "quarter turn", 0.12, 0, 2, false, "Bottom limb bolt {0} out", "Bottom limb bolt {0} in", "out", "in"),
        new(AdjusterKind.PlungerTension, TearAxis.Sideways, "Plunger tension", "half turn", 0.10, -10, 10, false, "Plunger {0} stiffer", "Plunger {0} softer", "stiffer", "softer"),
        new(AdjusterKind.PlungerPosition, TearAxis.Sideways, "Plunger position", "half turn", 0.08, -6, 6, false, "Plunger {0} to the right", "Plunger {0} to the left", "to the right", "to the left"),
        new(AdjusterKind.BraceHeight, TearAxis.Sideways, "Brace height", "full twist", 0.04, -12, 12, false, "Brace height {0} higher", "Brace height {0} lower", "higher", "lower"),
        new(AdjusterKind.DrawWeight, TearAxis.Sideways, "Draw weight", "pound", 0.12, -4, 4, false, "Draw weight {0} down", "Draw weight {0} up", "down", "up"),
        new(AdjusterKind.PointWeight, TearAxis.Sideways, "Point weight", "10 gr", 0.10, -6, 6, false, "Point {0} lighter", "Point {0} heavier", "lighter", "heavier"),
        new(AdjusterKind.Tiller, TearAxis.Height, "Tiller", "1/16 in", 0.04, -8, 8, false, "Tiller {0} more positive", "Tiller {0} less positive", "more positive", "less positive"),
        new(AdjusterKind.YokeLeftLeg, TearAxis.Sideways, "Left yoke leg alone", "half twist", 0, -8, 8, true, "Left yoke leg alone {0} shorter", "Left yoke leg alone {0} longer", "shorter", "longer"),
        new(AdjusterKind.YokeRightLeg, TearAxis.Sideways, "Right yoke leg alone", "half twist", 0, -8, 8, true, "Right yoke leg alone {0} shorter", "Right yoke leg alone {0} longer", "shorter", "longer"),
        new(AdjusterKind.TopCable, TearAxis.Height, "Top cam's cable", "full twist", 0, -10, 10, true, "Top cam's cable {0} shorter", "Top cam's cable {0} longer", "shorter", "longer"),
        new(AdjusterKind.BottomCable, TearAxis.Height, "Bottom cam's cable", "full twist", 0, -10, 10, true, "Bottom cam's cable {0} shorter", "Bottom cam's cable {0} longer", "shorter", "longer"),
        new(AdjusterKind.StringTwists, TearAxis.Height, "String", "full twist", 0, -12, 12, true, "String {0} in", "String {0} out", "in", "out"),
        new(AdjusterKind.LimbBolts, TearAxis.Height, "Limb bolts, both", "quarter turn", 0, -20, 8, false, "Both limb bolts {0} in, evenly", "Both limb bolts {0} out, evenly", "in", "out"),
        new(AdjusterKind.DrawModule, TearAxis.Height, "Draw length module", "setting", 0, -12, 12, false, "Draw length module {0} longer", "Draw length module {0} shorter", "longer", "shorter"),
        new(AdjusterKind.LetOffModule, TearAxis.Height, "Let-off module", "setting", 0, -4, 4, false, "Let-off module {0} more", "Let-off module {0} less", "more", "less"),
    ];

    /// <summary>All rows.</summary>
    public static IReadOnlyList<AdjusterFact> All => Rows;

    /// <summary>The row of a kind.</summary>
    public static AdjusterFact Of(AdjusterKind kind) => Rows.First(r => r.Kind == kind);

    /// <summary>True for adjusters that work through the arrow's stiffness on a finger shot and so turn with the hand.</summary>
    public static bool TurnsWithHand(AdjusterKind kind) =>
        kind is AdjusterKind.PlungerTension or AdjusterKind.BraceHeight or AdjusterKind.DrawWeight or AdjusterKind.PointWeight;

    /// <summary>The kinds a bow usually has, following from its kind and cam system (trade practice).</summary>
    public static IReadOnlyList<AdjusterKind> Usual(BowKind kind, CamSystem cams)
    {
        if (kind == BowKind.Longbow)
        {
            return [AdjusterKind.NockingPoint, AdjusterKind.BraceHeight, AdjusterKind.PointWeight];
        }

        if (kind is BowKind.Recurve or BowKind.Barebow)
        {
            return [AdjusterKind.NockingPoint, AdjusterKind.PlungerTension, AdjusterKind.PlungerPosition, AdjusterKind.BraceHeight, AdjusterKind.DrawWeight, AdjusterKind.PointWeight, AdjusterKind.Tiller];
        }

        AdjusterKind[] always = [AdjusterKind.RestSideways, AdjusterKind.RestHeight, AdjusterKind.NockingPoint];
        AdjusterKind[] strings = [AdjusterKind.StringTwists, AdjusterKind.LimbBolts, AdjusterKind.DrawModule];
        AdjusterKind[] yoke = [AdjusterKind.YokePair, AdjusterKind.YokeLeftLeg, AdjusterKind.YokeRightLeg];
        return cams switch
        {
            CamSystem.TwinYoke => [.. always, .. yoke, .. strings],
            CamSystem.Hybrid or CamSystem.Single => [.. always, .. yoke, AdjusterKind.BottomCable, .. strings],
            CamSystem.Binary => [.. always, AdjusterKind.CamSpacer, AdjusterKind.TopCable, AdjusterKind.BottomCable, .. strings],
            _ => always,
        };
    }

    /// <summary>The kinds that may be fitted to a bow, the usual ones among them.</summary>
    public static IReadOnlyList<AdjusterKind> Possible(BowKind kind) => kind switch
    {
        BowKind.Compound => [.. Rows.Select(r => r.Kind).Where(k => k <= AdjusterKind.BottomLimbBolt || k >= AdjusterKind.YokeLeftLeg), AdjusterKind.PlungerTension, AdjusterKind.PointWeight, AdjusterKind.Tiller],
        BowKind.Longbow => [AdjusterKind.NockingPoint, AdjusterKind.BraceHeight, AdjusterKind.PointWeight],
        _ => [AdjusterKind.RestHeight, .. Usual(BowKind.Recurve, CamSystem.None)],
    };

    /// <summary>An adjuster of this kind at its mark, with the usual travel.</summary>
    public static Adjuster Fresh(AdjusterKind kind)
    {
        var fact = Of(kind);
        return new Adjuster(kind, 0, fact.Lower, fact.Upper, fact.NeedsPress, Seats: kind == AdjusterKind.CamSpacer ? SpacerSeats.Middle : null);
    }
}
