using Merganser.Core.Paper;

namespace Merganser.Core.Groups;

/// <summary>What two groups show of their offset.</summary>
public enum GroupVerdict
{
    /// <summary>Nothing is shown: the region of the offset holds nought, or nearly.</summary>
    NoDifferenceShown,

    /// <summary>p is below 5 % at this look. Over a whole session one in six would say so by chance.</summary>
    Likely,

    /// <summary>p is below what holds 5 % over all the looks of a session.</summary>
    Clear,
}

/// <summary>How often it is looked while the groups grow.</summary>
public enum LookingRule
{
    /// <summary>After each pair, to ten and ten.</summary>
    EachPair,

    /// <summary>After each arrow, to ten and ten.</summary>
    EachArrow,

    /// <summary>Beyond ten in a group.</summary>
    Beyond,
}

/// <summary>
/// The offset of one group from another, d = centre − centre of the other, with the region that holds it with 95 % and
/// its test: F = nm/(n+m)·|d|²/2/s², p = (1 + 2F/ν)^(−ν/2), ν = 2(n+m−2), the F(2, ν) test of two means of one spread
/// in closed form. A spread 1.3 times as wide in one group leaves the error where it is (.0493 for .05, simulated).
/// </summary>
public sealed class GroupOffset
{
    /// <param name="group">The bare shafts, or the heads.</param>
    /// <param name="other">The fletched arrows, or the field points.</param>
    public GroupOffset(ArrowGroup group, ArrowGroup other)
    {
        (Group, Other) = (group, other);
        Offset = group.Centre - other.Centre;
        Freedom = group.Freedom + other.Freedom;
        Spread = Math.Max(ArrowGroup.MarkedTo, Math.Sqrt((group.Squares + other.Squares) / Freedom));
        Pairs = PairsOf(group.Count, other.Count);
        F = Pairs * Offset.Square / 2 / (Spread * Spread);
        P = ChanceOf(F, Freedom);
        Radius = MeanTear.RegionRadius(Spread, Freedom, Pairs);
    }

    /// <summary>The group.</summary>
    public ArrowGroup Group { get; }

    /// <summary>What it is held against.</summary>
    public ArrowGroup Other { get; }

    /// <summary>Centre less the other's centre, inches.</summary>
    public Impact Offset { get; }

    /// <summary>Degrees of freedom.</summary>
    public int Freedom { get; }

    /// <summary>The common spread on one axis, inches.</summary>
    public double Spread { get; }

    /// <summary>nm/(n+m).</summary>
    public double Pairs { get; }

    /// <summary>F(2, ν) of the offset.</summary>
    public double F { get; }

    /// <summary>Chance of an offset at least as long by chance alone.</summary>
    public double P { get; }

    /// <summary>Radius of the circle about the offset that holds the true one with 95 %, inches.</summary>
    public double Radius { get; }

    /// <summary>
    /// The same without one spread for both axes: Hotelling's T² with its p, from five arrows a group, else null.
    /// </summary>
    public (double T2, double P)? Hotelling
    {
        get
        {
            var enough = Math.Min(Group.Count, Other.Count) >= LeastForHotelling;
            return enough ? HotellingOf(Group, Other) : null;
        }
    }

    /// <summary>What is shown, held to 5 % over all the looks of a session.</summary>
    public GroupVerdict Verdict(LookingRule looks) => VerdictOf(P, Threshold(looks));

    /// <summary>What a p shows that is clear below a threshold.</summary>
    internal static GroupVerdict VerdictOf(double p, double threshold) =>
        p < threshold ? GroupVerdict.Clear
        : p < LikelyBelow ? GroupVerdict.Likely
        : GroupVerdict.NoDifferenceShown;

    /// <summary>The p that holds 5 % over the looks of a session, by 400,000 sessions without any offset.</summary>
    public static double Threshold(LookingRule looks) =>
        looks switch
        {
            LookingRule.EachPair => .012,
            LookingRule.EachArrow => .010,
            _ => .008,
        };

    /// <summary>
    /// How many more arrows in each group would show an offset with four chances in five, at a single look: at a
    /// planned offset, never at the one that was seen.
    /// </summary>
    /// <param name="offset">The offset that matters, in spreads of one axis, above 0.</param>
    /// <param name="looks">The rule.</param>
    public int MoreToDecide(double offset, LookingRule looks)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(offset);
        for (var more = 0; more < Most; more++)
        {
            if (Power(Group.Count + more, Other.Count + more, offset, Threshold(looks)) >= NoncentralF.Wanted)
            {
                return more;
            }
        }

        return Most;
    }

    /// <summary>
    /// Chance that groups of n and m show an offset of δ spreads: Σ Poisson(λ/2) (1 − I_x(1 + j, ν/2)), with
    /// λ = nm/(n+m) δ², x = q/(1 + q), q = α^(−2/ν) − 1 (the noncentral F of the same test).
    /// </summary>
    public static double Power(int n, int m, double offset, double alpha) =>
        NoncentralF.Power(2, 2.0 * (n + m - 2), PairsOf(n, m) * offset * offset, alpha);

    /// <summary>
    /// T² = nm/(n+m) d'S⁻¹d with the pooled covariance S, and the p of F = T² (n+m−3) / (2(n+m−2)) ~ F(2, n+m−3)
    /// (Hotelling 1931; critical values NIST/SEMATECH e-Handbook).
    /// </summary>
    public static (double T2, double P) HotellingOf(ArrowGroup group, ArrowGroup other)
    {
        var (n, m) = (group.Count, other.Count);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        foreach (var of in new[] { group, other })
        {
            foreach (var from in of.Impacts.Select(i => i - of.Centre))
            {
                (xx, xy, yy) = (xx + (from.X * from.X), xy + (from.X * from.Y), yy + (from.Y * from.Y));
            }
        }

        var d = group.Centre - other.Centre;
        var within = n + m - 2;
        var form = ((d.X * d.X * yy) - (2 * d.X * d.Y * xy) + (d.Y * d.Y * xx)) / ((xx * yy) - (xy * xy));
        var t2 = PairsOf(n, m) * form * within;
        var f = t2 * (n + m - 3) / (2.0 * within);
        return (t2, ChanceOf(f, n + m - 3));
    }

    private const int LeastForHotelling = 5;
    private const int Most = 60;
    private const double LikelyBelow = .05;

    /// <summary>The chance of passing F(2, ν): (1 + 2F/ν)^(−ν/2).</summary>
    private static double ChanceOf(double f, double freedom) => Math.Pow(1 + (2 * f / freedom), -freedom / 2);

    private static double PairsOf(int n, int m) => (double)n * m / (n + m);
}
