using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>Why the trade reaches for an adjuster.</summary>
public enum DirectionReason
{
    AllAgreeRest,
    AllAgreeNock,
    LastResort,
    Yokes,
    Spacers,
    SpacersLate,
    Pockets,
    LastClicks,
    LadderRest,
    RestOnly,
    WalkBackRest,
    FingersHeight,
    FingersRest,
    Plunger,
    Point,
    Weight,
    PlungerPlace,
    Brace,
    StrikePlate,
}

/// <summary>One row of trade practice: who reaches for which adjuster, in which order, and why.</summary>
/// <param name="School">The school, or null for every school.</param>
/// <param name="Axis">The axis of the tear.</param>
/// <param name="Kind">The adjuster.</param>
/// <param name="Rank">Lower is reached for first.</param>
/// <param name="Disputed">True where the direction is disputed.</param>
/// <param name="OnlyTailLow">True for a last resort that only answers a tail that stays low.</param>
/// <param name="Reason">Why.</param>
public sealed record DirectionRow(
    School? School,
    TearAxis Axis,
    AdjusterKind Kind,
    int Rank,
    bool Disputed,
    bool OnlyTailLow,
    DirectionReason Reason
);

/// <summary>
/// The direction table (common practice, no source; finger rows from memory of long-published tuning practice).
/// The way itself is in <see cref="AdjusterTable"/>: a + step drives the tail right, or up, so a tail left or low asks
/// for + steps.
/// </summary>
public static class DirectionTable
{
    /// <summary>Rows for a release aid.</summary>
    public static IReadOnlyList<DirectionRow> ReleaseAid { get; } =
    [
        new(null, TearAxis.Height, AdjusterKind.RestHeight, 1, false, false, DirectionReason.AllAgreeRest),
        new(null, TearAxis.Height, AdjusterKind.NockingPoint, 2, false, false, DirectionReason.AllAgreeNock),
        new(School.Ladder, TearAxis.Height, AdjusterKind.BottomLimbBolt, 3, false, true, DirectionReason.LastResort),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.YokePair, 1, false, false, DirectionReason.Yokes),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.CamSpacer, 2, false, false, DirectionReason.Spacers),
        new(School.CentreFirst, TearAxis.Sideways, AdjusterKind.LimbPocket, 3, false, false, DirectionReason.Pockets),
        new(
            School.CentreFirst,
            TearAxis.Sideways,
            AdjusterKind.RestSideways,
            4,
            true,
            false,
            DirectionReason.LastClicks
        ),
        new(School.Ladder, TearAxis.Sideways, AdjusterKind.RestSideways, 1, true, false, DirectionReason.LadderRest),
        new(School.Ladder, TearAxis.Sideways, AdjusterKind.YokePair, 2, false, false, DirectionReason.Yokes),
        new(School.Ladder, TearAxis.Sideways, AdjusterKind.CamSpacer, 3, false, false, DirectionReason.SpacersLate),
        new(School.RestOnly, TearAxis.Sideways, AdjusterKind.RestSideways, 1, true, false, DirectionReason.RestOnly),
        new(
            School.WalkBack,
            TearAxis.Sideways,
            AdjusterKind.RestSideways,
            1,
            true,
            false,
            DirectionReason.WalkBackRest
        ),
    ];

    /// <summary>
    /// Rows for fingers: a right-handed tail right reads stiff, a tail left weak; mirrored for the left hand.
    /// </summary>
    public static IReadOnlyList<DirectionRow> Fingers { get; } =
    [
        new(null, TearAxis.Height, AdjusterKind.NockingPoint, 1, false, false, DirectionReason.FingersHeight),
        new(null, TearAxis.Height, AdjusterKind.RestHeight, 2, false, false, DirectionReason.FingersRest),
        new(null, TearAxis.Sideways, AdjusterKind.PlungerTension, 1, false, false, DirectionReason.Plunger),
        new(null, TearAxis.Sideways, AdjusterKind.PlungerPosition, 2, false, false, DirectionReason.PlungerPlace),
        new(null, TearAxis.Sideways, AdjusterKind.StrikePlate, 2, false, false, DirectionReason.StrikePlate),
        new(null, TearAxis.Sideways, AdjusterKind.BraceHeight, 3, false, false, DirectionReason.Brace),
        new(null, TearAxis.Sideways, AdjusterKind.PointWeight, 4, false, false, DirectionReason.Point),
        new(null, TearAxis.Sideways, AdjusterKind.DrawWeight, 5, false, false, DirectionReason.Weight),
    ];

    /// <summary>The rows that hold for a bow and a school on one axis, in the order of reaching for them.</summary>
    public static IEnumerable<DirectionRow> For(Release release, School school, TearAxis axis, bool tailLow) =>
        (release == Release.Fingers ? Fingers : ReleaseAid)
            .Where(r => r.Axis == axis && (r.School is null || r.School == school) && (!r.OnlyTailLow || tailLow))
            .OrderBy(r => r.Rank);
}
