using Merganser.Core.Paper;

namespace Merganser.Core.Sessions;

/// <summary>What a session knows of a trial: several arrows, the bow left alone.</summary>
public sealed partial class TuningSession
{
    /// <summary>The trial's reading, or null.</summary>
    public Trial? Trial => IsTrial ? Trial.Of(TrialArrows(), Tolerance) : null;

    /// <summary>The arrows of a planned trial that are still to be shot, in order.</summary>
    public IReadOnlyList<SessionArrow> StillToShoot =>
        [
            .. (Plan.Order ?? [])
                .Where(version => Sets.All(s => s.Begun.Arrow != version))
                .Select(version => Arrows.First(a => a.Version == version)),
        ];

    private TrialArrow[] TrialArrows() =>
        [
            .. Sets.GroupBy(s => s.Begun.Arrow)
                .Select(sets =>
                {
                    var arrow = Arrows.First(a => a.Version == sets.Key);
                    return new TrialArrow(
                        arrow.Name,
                        arrow.Arrow.Shaft.Name,
                        arrow.Arrow.Point.Weight,
                        [.. sets.SelectMany(s => s.Tears)]
                    );
                }),
        ];
}
