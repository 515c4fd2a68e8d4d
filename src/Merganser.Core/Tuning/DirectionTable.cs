using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>One row of trade practice: who reaches for which adjuster, in which order, and why.</summary>
/// <param name="School">The school, or null for every school.</param>
/// <param name="Axis">The axis of the tear.</param>
/// <param name="Kind">The adjuster.</param>
/// <param name="Rank">Lower is reached for first.</param>
/// <param name="Disputed">True where the direction is disputed.</param>
/// <param name="OnlyTailLow">True for a last resort that only answers a tail that stays low.</param>
/// <param name="Reason">Why, in words.</param>
public sealed record DirectionRow(School? School, TearAxis Axis, AdjusterKind Kind, int Rank, bool Disputed, bool OnlyTailLow, string Reason);

/// <summary>
/// The direction table (common practice, no source; finger rows from memory of long-published tuning practice).
/// The way itself is in <see cref="AdjusterTable"/>: a + step drives the tail right, or up, so a tail left or low asks for + steps.
/// </summary>
public static class DirectionTable
{
    private const string Cams = "The cams go toward the tail";

    /// <summary>Why the rest's sideways way is disputed.</summary>
    public const string RestDispute =
        "Some move the rest toward the tail, some away; charts for release aids mostly say away. It depends on when this rest lets go, so try it small, shoot again, keep it or go back.";

    /// <summary>Rows for a release aid.</summary>
    public static IReadOnlyList<DirectionRow> ReleaseAid { get; } =
    [
        new(null, TearAxis.Height, AdjusterKind.RestHeight, 1, false, false, "All agree: tail high, rest up; tail low, rest down"),
        new(null, TearAxis.Height, AdjusterKind.NockingPoint, 2, false, false, "All agree: tail high, nocking point down; tail low, up"),
        new(School.Ladder, TearAxis.Height, AdjusterKind.BottomLimbBolt, 3, false, true, "A last resort of a few, for a tail that stays low with good timing"),

        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.YokePair, 1, false, false, Cams + ": the yoke leg on the tail's side shorter, the other longer the same"),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.CamSpacer, 2, false, false, Cams + ": spacers, top cam first, one size, then bottom"),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.LimbPocket, 3, false, false, "Pocket screws tilt the limbs; in one common pattern clockwise answers a tail right, the maker's sheet decides"),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.RestSideways, 4, true, false, "Centre first leaves the rest only the last few clicks"),

        new(School.Ladder, TearAxis.Sideways, AdjusterKind.RestSideways, 1, true, false, "The ladder starts with the rest, inside 1/8 in of centre shot"),
        new(School.Ladder, TearAxis.Sideways, AdjusterKind.YokePair, 2, false, false, Cams + ": the yoke leg on the tail's side shorter, the other longer the same"),
        new(School.Ladder, TearAxis.Sideways, AdjusterKind.CamSpacer, 3, false, false, Cams + ": spacers come after form and a control arrow"),

        new(School.RestOnly, TearAxis.Sideways, AdjusterKind.RestSideways, 1, true, false, "Rest only: when its window is used up, a shop goes on"),
        new(School.WalkBack, TearAxis.Sideways, AdjusterKind.RestSideways, 1, true, false, "Paper only starts it: the target at 20, 40 and 60 yd decides"),
    ];

    /// <summary>Rows for fingers: a right-handed tail right reads stiff, a tail left weak; mirrored for the left hand.</summary>
    public static IReadOnlyList<DirectionRow> Fingers { get; } =
    [
        new(null, TearAxis.Height, AdjusterKind.NockingPoint, 1, false, false, "Height belongs to the nocking point, and comes before the sides"),
        new(null, TearAxis.Height, AdjusterKind.RestHeight, 2, false, false, "The rest's height does the same as the nocking point"),
        new(null, TearAxis.Sideways, AdjusterKind.PlungerTension, 1, false, false, "A softer plunger cures stiff, a stiffer one weak"),
        new(null, TearAxis.Sideways, AdjusterKind.PointWeight, 2, false, false, "A heavier point cures stiff, a lighter one weak"),
        new(null, TearAxis.Sideways, AdjusterKind.DrawWeight, 3, false, false, "More draw weight cures stiff, less cures weak"),
        new(null, TearAxis.Sideways, AdjusterKind.PlungerPosition, 5, false, false, "The plunger's place is the bow's centre shot: only when the others are used up"),
        new(null, TearAxis.Sideways, AdjusterKind.BraceHeight, 4, false, false, "A lower brace cures stiff, a higher one weak, a little"),
    ];

    /// <summary>The rows that hold for a bow and a school on one axis, in the order of reaching for them.</summary>
    public static IEnumerable<DirectionRow> For(Release release, School school, TearAxis axis, bool tailLow) =>
        (release == Release.Fingers ? Fingers : ReleaseAid)
        .Where(r => r.Axis == axis && (r.School is null || r.School == school) && (!r.OnlyTailLow || tailLow))
        .OrderBy(r => r.Rank);
}
