using MathNet.Numerics.Distributions;

namespace Merganser.Core.Groups;

/// <summary>
/// Two groups by their size: the t test of their radii, each about its own centre and times √(n/(n−1)) (Levene 1960
/// with means). The F test of two variances would be sharper for arrows that scatter as the normal distribution, and
/// with one flyer in ten three times as wide it calls two like groups different in a third of all sessions; this one in
/// 4 of 100 (simulated: docs/benchmarks.md).
/// </summary>
public sealed class SizeTest
{
    private const double Interval = .975;

    /// <summary>A radius varies by √(4/π − 1) of its mean, where arrows scatter alike both ways (Rayleigh).</summary>
    private static readonly double RadiusVaries = Math.Sqrt((4 / Math.PI) - 1);

    /// <param name="group">One group, of two arrows at least.</param>
    /// <param name="other">The other.</param>
    public SizeTest(ArrowGroup group, ArrowGroup other)
        : this([group], [other]) { }

    /// <param name="groups">Groups of two arrows at least, each about its own centre.</param>
    /// <param name="others">The others.</param>
    public SizeTest(IReadOnlyList<ArrowGroup> groups, IReadOnlyList<ArrowGroup> others)
    {
        var (one, two) = (RadiiOf(groups), RadiiOf(others));
        Freedom = one.Length + two.Length - 2;
        var (mean, meanOther) = (Math.Max(MarkedTo, one.Average()), Math.Max(MarkedTo, two.Average()));
        Ratio = mean / meanOther;
        var (ofOne, ofTwo) = (SumOfSquares.AboutMean(one), SumOfSquares.AboutMean(two));
        var share = (1.0 / one.Length) + (1.0 / two.Length);
        var variance = Math.Max(MarkedTo * MarkedTo, (ofOne + ofTwo) / Freedom);
        F = Math.Pow(one.Average() - two.Average(), 2) / (variance * share);
        P = NoncentralF.Chance(1, Freedom, F);
        var relative = ((ofOne / (mean * mean)) + (ofTwo / (meanOther * meanOther))) / Freedom;
        var plus = StudentT.InvCDF(0, 1, Freedom, Interval) * Math.Sqrt(relative * share);
        (Low, High) = (Ratio * Math.Exp(-plus), Ratio * Math.Exp(plus));
    }

    /// <summary>p below which sizes differ clearly: 5 % over looks after each arrow, with flyers or
    /// without.</summary>
    public const double Threshold = .005;

    /// <summary>p below which sizes differ at one look that was not waited for.</summary>
    public const double OneLook = .01;

    /// <summary>Mean radius of the one for one of the other.</summary>
    public double Ratio { get; }

    /// <summary>Lower end of its 95 %, by the delta method on its logarithm.</summary>
    public double Low { get; }

    /// <summary>Upper end.</summary>
    public double High { get; }

    /// <summary>The wider for one of the tighter, with its 95 %.</summary>
    public (double Ratio, double Low, double High) Wider =>
        Ratio >= 1 ? (Ratio, Low, High) : (1 / Ratio, 1 / High, 1 / Low);

    /// <summary>F(1, ν) = t².</summary>
    public double F { get; }

    /// <summary>ν = n + m − 2.</summary>
    public int Freedom { get; }

    /// <summary>Chance of radii that differ so by chance alone.</summary>
    public double P { get; }

    /// <summary>What is shown.</summary>
    public GroupVerdict Verdict => GroupOffset.VerdictOf(P, Threshold);

    /// <summary>
    /// Chance that so many of each show groups of which one is so many times as wide: the noncentral F of the same test
    /// with λ = nm/(n+m) (ρ − 1)² / (c² (1 + ρ²)/2), c what a radius varies by.
    /// </summary>
    /// <param name="each">Arrows of each way, two at least.</param>
    /// <param name="ratio">ρ, above 0.</param>
    public static double Power(int each, double ratio)
    {
        var spread = RadiusVaries * RadiusVaries * (1 + (ratio * ratio)) / 2;
        var lambda = each / 2.0 * Math.Pow(ratio - 1, 2) / spread;
        return NoncentralF.Power(1, (2 * each) - 2, lambda, Threshold);
    }

    /// <summary>So many of each show a group twice as wide four times in five.</summary>
    public static int WantedForTwice => ForTwice.Value;

    /// <summary>And one half as wide again.</summary>
    public static int WantedForHalfAgain => ForHalfAgain.Value;

    private static readonly Lazy<int> ForTwice = new(() => Wanted(TwoWays.TwiceAsWide));
    private static readonly Lazy<int> ForHalfAgain = new(() => Wanted(TwoWays.HalfAgain));

    /// <summary>So many of each show it four times in five.</summary>
    public static int Wanted(double ratio) =>
        Enumerable
            .Range(TwoWays.LeastOfEach, Most - TwoWays.LeastOfEach)
            .First(each => Power(each, ratio) >= NoncentralF.Wanted);

    private const double MarkedTo = ArrowGroup.MarkedTo;
    private const int Most = 500;

    private static double[] RadiiOf(IReadOnlyList<ArrowGroup> groups) =>
        [.. groups.SelectMany(g => g.Strays).Select(s => s.Length)];
}

/// <summary>
/// Whether hits stand in strings up and down: the t test, arrow by arrow, of how much farther each strays in height
/// than sideways from its own group's centre.
/// </summary>
public sealed class StringTest
{
    /// <param name="groups">Groups, of two arrows at least each.</param>
    public StringTest(IReadOnlyList<ArrowGroup> groups)
    {
        Impact[] strays = [.. groups.SelectMany(g => g.Strays)];
        double[] more = [.. strays.Select(s => Math.Abs(s.Y) - Math.Abs(s.X))];
        Freedom = Math.Max(1, strays.Length - groups.Count);
        var mean = more.Average();
        var variance = Math.Max(1e-6, SumOfSquares.AboutMean(more) / Freedom);
        Ratio = Math.Sqrt(strays.Sum(s => s.Y * s.Y) / Math.Max(1e-6, strays.Sum(s => s.X * s.X)));
        F = mean * mean * strays.Length / variance;
        P = NoncentralF.Chance(1, Freedom, F);
        Strung = mean > 0 && P < SizeTest.Threshold && Ratio >= Least;
        Arrows = strays.Length;
    }

    /// <summary>A string is so many times as tall as wide at the least (common practice, no source).</summary>
    public const double Least = 1.5;

    /// <summary>Arrows before it is told.</summary>
    public const int LeastArrows = 10;

    /// <summary>Spread in height for one sideways.</summary>
    public double Ratio { get; }

    /// <summary>F(1, ν) = t².</summary>
    public double F { get; }

    /// <summary>ν: arrows less groups.</summary>
    public int Freedom { get; }

    /// <summary>Chance of it by chance alone.</summary>
    public double P { get; }

    /// <summary>How many arrows it rests on.</summary>
    public int Arrows { get; }

    /// <summary>True where hits stand in strings up and down.</summary>
    public bool Strung { get; }
}
