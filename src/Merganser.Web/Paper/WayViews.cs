using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Web.Paper;

/// <summary>One of two ways, to draw.</summary>
/// <param name="Words">What the archer calls it, and how many arrows.</param>
/// <param name="Group">Its centre with 95 %; null below two arrows.</param>
/// <param name="MeanRadius">Mean distance from its own centre, inches; null below two arrows.</param>
public sealed record WayView(WayShot Way, string Name, int Count, Message Words, GroupView? Group, double? MeanRadius)
{
    public static WayView Of(WayGroup way)
    {
        var group = way.Group;
        return new WayView(
            way.Way,
            way.Name,
            way.Count,
            new WayNamed(way.Name, way.Count),
            group is null ? null : GroupView.Of(group, 0),
            group?.MeanRadius
        );
    }
}

/// <summary>Two ways as they compare: the hits of one day with the bow as it stood.</summary>
/// <param name="Pooled">The numbers of the sets that are read together.</param>
/// <param name="Next">Which is shot next.</param>
/// <param name="Shown">What is shown of their sizes; null below five of each.</param>
public sealed record WaysView(
    TwoWays Ways,
    IReadOnlyList<int> Pooled,
    WayShot Next,
    IReadOnlyList<WayView> Each,
    GroupVerdict? Shown
)
{
    public static WaysView Of(WaysReading ways) =>
        new(ways.Ways, ways.Sets, ways.Next, [WayView.Of(ways.First), WayView.Of(ways.Second)], ways.Size?.Verdict);
}

/// <summary>The hits with the sight set for one distance.</summary>
/// <param name="Yards">Set for, yards.</param>
/// <param name="Name">The same in words.</param>
/// <param name="Up">Mean height from the aiming point, inches; null for none.</param>
/// <param name="Computed">Where they should strike by weight and speed, inches; null where they are not
/// known.</param>
public sealed record SettingView(double Yards, Message Name, int Count, Message Words, double? Up, double? Computed)
{
    public static SettingView Of(SetForDistance set) =>
        new(
            set.Yards,
            new Amount(Measure.Yards(set.Yards)),
            set.Count,
            new SetFor(Measure.Yards(set.Yards), set.Count),
            set.Count == 0 ? null : set.Up,
            set.Computed
        );
}

/// <summary>What a range error costs, to draw.</summary>
/// <param name="Pooled">The numbers of the sets that are read together.</param>
/// <param name="Next">For which distance the sight is set for the next arrow, yards.</param>
/// <param name="Settings">Set for more, and for less.</param>
/// <param name="Allowed">What a range error alone may cost either way, inches.</param>
/// <param name="Plus">Half width of the 95 % of each mean, inches; null until it is read.</param>
/// <param name="Affords">The range error that uses it up, yards; null until it is told.</param>
public sealed record RangeTrialView(
    double Yards,
    double Error,
    IReadOnlyList<int> Pooled,
    double Next,
    IReadOnlyList<SettingView> Settings,
    double Allowed,
    double? Plus,
    double? Affords
)
{
    public static RangeTrialView Of(RangeReading trial) =>
        new(
            trial.Yards,
            trial.Error,
            trial.Sets,
            trial.Next,
            [SettingView.Of(trial.Far), SettingView.Of(trial.Near)],
            RangeTrial.Allowed,
            trial.Cost?.Plus,
            trial.Affords?.Yards
        );
}
