using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>A distance for an archer who aims over the point.</summary>
/// <param name="Yards">The distance, yards.</param>
/// <param name="Crawl">From the nock down to the hand, inches; null where even the hand at the nock is too low.</param>
/// <param name="Gap">How far over its target the point is held with the hand at the nock, inches at the target;
/// negative below it.</param>
public sealed record PointAimed(double Yards, double? Crawl, double? Gap);

/// <summary>
/// Aiming over the point without a sight. The eye stands over the nock by the height of the anchor, less the crawl; the
/// line of sight goes over the point, so that it holds the arrow up by that height over the arrow's length (similar
/// triangles). What a crawl does to the bow's speed and tiller is left out.
/// </summary>
public sealed class PointAim
{
    private const double Near = .0005;

    /// <summary>Eye over nock until it is known, inches, and its error (a guess, no source).</summary>
    public const double UsualEye = 4.5;

    private const double UsualError = .7;

    /// <summary>A crawl is as sharp as this, inches (a guess, no source).</summary>
    private const double CrawlError = .06;

    private readonly FlyingArrow arrow;
    private readonly double speed;
    private readonly double length;

    /// <param name="arrow">The arrow.</param>
    /// <param name="feetPerSecond">Launch speed, ft/s.</param>
    /// <param name="nockToPoint">Inches, above 0.</param>
    /// <param name="proven">Crawls that the archer proved, by distance in yards.</param>
    public PointAim(
        FlyingArrow arrow,
        double feetPerSecond,
        double nockToPoint,
        IReadOnlyList<(double Yards, double Crawl)> proven
    )
    {
        (this.arrow, speed, length) = (arrow, feetPerSecond, Possible.Positive(nockToPoint));
        EyeAboveNock = FitEye(proven);
        Proven = proven.Count;
    }

    /// <summary>Eye over nock with the hand at the nock, inches.</summary>
    public double EyeAboveNock { get; }

    /// <summary>Crawls that it was fitted to.</summary>
    public int Proven { get; }

    /// <summary>
    /// The distance at which the point is held on the target with the hand at the nock, yards, or null.
    /// </summary>
    public double? PointOn
    {
        get
        {
            var (low, high) = (5.0, HonestRange.Farthest * 1.5);
            if (Held(high, 0) > 0 || Held(low, 0) < 0)
            {
                return null;
            }

            while (high - low > Near * 10)
            {
                var middle = (low + high) / 2;
                (low, high) = Held(middle, 0) > 0 ? (middle, high) : (low, middle);
            }

            return low;
        }
    }

    /// <summary>What to hold at a distance.</summary>
    public PointAimed At(double yards) =>
        new(
            yards,
            CrawlAt(yards, EyeAboveNock),
            Held(yards, 0) is { } high && double.IsFinite(high) ? -high * yards * 36 : null
        );

    /// <summary>How much steeper the arrow points than the distance asks for.</summary>
    private double Held(double yards, double crawl, double? eye = null)
    {
        var above = Math.Max(0, (eye ?? EyeAboveNock) - crawl);
        return new Trajectory(arrow, speed, above).Zero(yards) is { } asked
            ? (above / length) - asked
            : double.NegativeInfinity;
    }

    private double? CrawlAt(double yards, double eye)
    {
        if (Held(yards, 0, eye) < 0)
        {
            return null;
        }

        var (low, high) = (0.0, eye);
        while (high - low > Near)
        {
            var middle = (low + high) / 2;
            (low, high) = Held(yards, middle, eye) > 0 ? (middle, high) : (low, middle);
        }

        return low;
    }

    /// <summary>The height of the eye that fits the proven crawls best, the usual one counted as one of them.</summary>
    private double FitEye(IReadOnlyList<(double Yards, double Crawl)> proven)
    {
        if (proven.Count == 0)
        {
            return UsualEye;
        }

        double Badness(double eye) =>
            Math.Pow((eye - UsualEye) / UsualError, 2)
            + proven.Sum(p => Math.Pow(((CrawlAt(p.Yards, eye) ?? 0) - p.Crawl) / CrawlError, 2));
        var (low, high) = (1.5, 8.0);
        var golden = (Math.Sqrt(5) - 1) / 2;
        while (high - low > Near)
        {
            var (left, right) = (high - (golden * (high - low)), low + (golden * (high - low)));
            (low, high) = Badness(left) < Badness(right) ? (low, right) : (left, high);
        }

        return (low + high) / 2;
    }
}
