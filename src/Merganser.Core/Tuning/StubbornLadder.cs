using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>Something to look at when moves do not help.</summary>
public enum RungKind
{
    ControlArrow,
    Grip,
    Face,
    Archer,
    Screws,
    Draw,
    Clearance,
    Timing,
    Tiller,
    Spine,
    Plunger,
}

/// <summary>
/// What to look at when moves do not help, in the school's order (common practice, no source). Nothing is asked twice.
/// </summary>
public static class StubbornLadder
{
    /// <summary>True for a rung that is a set of shots with the bow left alone.</summary>
    public static bool Control(RungKind rung) =>
        rung is RungKind.ControlArrow or RungKind.Grip or RungKind.Face or RungKind.Archer or RungKind.Spine;

    /// <summary>The rungs of a bow in the order of a school.</summary>
    public static IReadOnlyList<RungKind> For(Release release, School school)
    {
        if (release == Release.Fingers)
        {
            return
            [
                RungKind.Spine,
                RungKind.Face,
                RungKind.Grip,
                RungKind.ControlArrow,
                RungKind.Plunger,
                RungKind.Clearance,
                RungKind.Archer,
                RungKind.Draw,
                RungKind.Tiller,
            ];
        }

        return school == School.Ladder
            ?
            [
                RungKind.Grip,
                RungKind.Face,
                RungKind.ControlArrow,
                RungKind.Screws,
                RungKind.Draw,
                RungKind.Clearance,
                RungKind.Timing,
                RungKind.Archer,
                RungKind.Tiller,
            ]
            :
            [
                RungKind.ControlArrow,
                RungKind.Grip,
                RungKind.Face,
                RungKind.Screws,
                RungKind.Clearance,
                RungKind.Timing,
                RungKind.Draw,
                RungKind.Archer,
                RungKind.Tiller,
            ];
    }

    /// <summary>
    /// The rungs that this bow and this archer can climb: no draw board without one or a press, and the bottom bolt
    /// only for a tail that is low.
    /// </summary>
    public static IReadOnlyList<RungKind> For(Release release, School school, Archer archer, bool tailLow) =>
        [
            .. For(release, school)
                .Where(r => r != RungKind.Timing || archer.MayPress || archer.HasDrawBoard)
                .Where(r => r != RungKind.Tiller || tailLow),
        ];

    /// <summary>The first that was not done, or null.</summary>
    public static RungKind? Next(IReadOnlyList<RungKind> rungs, IReadOnlyCollection<RungKind> done) =>
        rungs.Where(r => !done.Contains(r)).Cast<RungKind?>().FirstOrDefault();

    /// <summary>True when moves do not help, or the shots themselves speak of clearance.</summary>
    public static bool Wanted(IReadOnlyList<Reading> readings, AdviceKind advice) =>
        advice is AdviceKind.NotReachable or AdviceKind.MovesDoNotHelp or AdviceKind.StopAsking
        || readings.Any(r => r is { Cause: Cause.Clearance, Suspected: true });
}
