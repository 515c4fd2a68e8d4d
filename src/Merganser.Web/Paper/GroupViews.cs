using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Web.Paper;

/// <summary>
/// A group to draw: its centre from the aiming point, and the circle that holds the true one with 95 %.
/// </summary>
public sealed record GroupView(Hole Centre, double Radius, int Count)
{
    public static GroupView Of(ArrowGroup group, double lower) =>
        new(new Hole(group.Centre.X, group.Centre.Y + lower), group.Radius, group.Count);
}

/// <summary>Chance that so many pairs show an offset as long as the tolerance.</summary>
public sealed record PowerView(int Pairs, double Chance, Message Words);

/// <summary>Two groups of one set, to draw: bare against fletched, or heads against field points.</summary>
/// <param name="Tolerance">Good enough here, inches.</param>
/// <param name="Heads">True for heads against field points.</param>
/// <param name="Tested">Bare shafts, or heads, that count.</param>
/// <param name="Reference">Fletched arrows, or field points, that count.</param>
/// <param name="Pairs">Complete pairs, which alone are read.</param>
/// <param name="Offset">Tested less reference, the height of the lighter shaft taken off; null below two pairs.</param>
/// <param name="BareHigh">How much was taken off; null where it is nothing.</param>
/// <param name="Powers">What more pairs would show.</param>
/// <param name="More">How many more would decide, in words; null where nothing is read, or it is shown.</param>
/// <param name="Slants">How the tested shafts stand in the target; null where nobody looked.</param>
public sealed record GroupsView(
    double Tolerance,
    Message ToleranceText,
    bool Heads,
    int Tested,
    int Reference,
    int Pairs,
    GroupView? TestedGroup,
    GroupView? ReferenceGroup,
    Hole? Offset,
    double? Radius,
    GroupVerdict? Verdict,
    Message? BareHigh,
    IReadOnlyList<PowerView> Powers,
    Message? More,
    Message? Slants
)
{
    public static GroupsView Of(GroupReading groups)
    {
        var offset = groups.Offset;
        var tolerance = Measure.Inches(groups.Tolerance);
        return new GroupsView(
            groups.Tolerance,
            new Amount(tolerance),
            groups.Heads,
            groups.Tested,
            groups.Reference,
            groups.Pairs,
            offset is null ? null : GroupView.Of(offset.Group, groups.BareHigh),
            offset is null ? null : GroupView.Of(offset.Other, 0),
            offset is null ? null : new Hole(offset.Offset.X, offset.Offset.Y),
            offset?.Radius,
            groups.Verdict,
            groups.BareHigh >= LeastSaid ? new BareIsLighter(Measure.Inches(groups.BareHigh)) : null,
            [
                .. groups.Powers.Select(p => new PowerView(
                    p.Pairs,
                    p.Chance,
                    new PairsShow(p.Pairs, tolerance, new Chance(p.Chance))
                )),
            ],
            groups.Verdict is { } verdict && verdict != GroupVerdict.Clear ? groups.More() : null,
            groups.Slants
        );
    }

    /// <summary>Less than this is not said, inches.</summary>
    private const double LeastSaid = 0.005;
}
