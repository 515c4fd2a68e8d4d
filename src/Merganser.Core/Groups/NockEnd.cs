using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// A bare shaft in a near target: at 5 to 10 yd its impact is nearly blind to the bow, its slant is not. How far the
/// nock end stands beside the point is read as the tear that paper would show at 3 yd: 1.55, 2.03 and 2.52 in for each
/// inch at 5, 7 and 10 yd, on the same side in all of 500 simulated set-ups (16 to 84 % at 7 yd: 1.86 to 2.22).
/// Fletched arrows have swung through by then: their slant is never read.
/// </summary>
public static class NockEnd
{
    private static readonly (double Yards, double Value)[] PerInch = [(5, 1.55), (7, 2.03), (10, 2.52)];

    /// <summary>From where it is read, yards.</summary>
    public static AllowedRange Distances { get; } = new(5, 10, Unit.Yard, Why.NockEndDistance);

    /// <summary>Where it is shot as a rule, yards.</summary>
    public const double Usual = 7;

    /// <summary>Inches from the point to the nock end for one inch of tear, inside <see cref="Distances"/>.</summary>
    public static double PerTear(double yards) =>
        Distances.Holds(yards)
            ? TargetScale.Between(PerInch, yards)
            : throw new ArgumentOutOfRangeException(nameof(yards));

    /// <summary>The tear that it stands for, from the place of the nock end beside the point.</summary>
    public static Tear TearOf(Tear nock, double yards) => new(nock.X / PerTear(yards), nock.Y / PerTear(yards));
}
