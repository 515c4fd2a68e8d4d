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
    private const int MovesBeforeDoubt = 3;

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

    /// <summary>The first that was not done, or null.</summary>
    public static RungKind? Next(IReadOnlyList<RungKind> rungs, IReadOnlyCollection<RungKind> done) =>
        rungs.Where(r => !done.Contains(r)).Cast<RungKind?>().FirstOrDefault();

    /// <summary>
    /// True when the moves made so far have not helped: two or more, and the tear no smaller beyond chance; or one
    /// ignored.
    /// </summary>
    public static bool Wanted(IReadOnlyList<MadeMove> made, IReadOnlyList<Reading> readings, AdviceKind advice) =>
        advice == AdviceKind.NotReachable
        || readings.Any(r => r is { Cause: Cause.Clearance, Suspected: true })
        || (
            made.Count >= MovesBeforeDoubt
            && advice is not AdviceKind.GoodEnough
            && made[^1].After.Mean.Length > made[0].Before.Mean.Length - made[^1].After.Radius
        );
}
