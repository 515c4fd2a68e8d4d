using MathNet.Numerics.Distributions;

namespace Merganser.Core.Paper;

/// <summary>
/// Do groups of tears differ: one-way F on both axes together, equal spread, never finer than a hole can be read. With
/// two groups it is the isotropic two-sample test, F = nm/(n+m)·|d|²/2/s² on (2, 2(n+m−2)) (NIST/SEMATECH e-Handbook
/// 7.4.3; critical values 1.3.6.7.3).
/// </summary>
/// <param name="F">Between over within.</param>
/// <param name="Top">Degrees of freedom between.</param>
/// <param name="Bottom">Degrees of freedom within.</param>
/// <param name="P">Chance of so large an F where nothing differs.</param>
public readonly record struct OneWay(double F, double Top, double Bottom, double P)
{
    /// <summary>Compares groups.</summary>
    /// <param name="groups">Two groups or more, none empty.</param>
    /// <param name="centre">What the groups are measured from: their common mean, or zero for what is left after a mean
    /// was taken out.</param>
    /// <param name="lost">Degrees of freedom per axis that were used up before.</param>
    /// <exception cref="ArgumentException">No degree of freedom is left for the spread.</exception>
    public static OneWay Of(IReadOnlyList<IReadOnlyList<Tear>> groups, Tear centre, int lost = 0)
    {
        var means = groups.Select(Tear.Mean).ToArray();
        var between = groups.Select((g, i) => g.Count * means[i].SquareTo(centre)).Sum();
        var within = groups.Select((g, i) => g.Sum(t => t.SquareTo(means[i]))).Sum();
        var (top, bottom) = (2.0 * (groups.Count - 1), 2.0 * (groups.Sum(g => g.Count) - groups.Count - lost));
        if (bottom <= 0)
        {
            throw new ArgumentException("Groups want more shots than there are groups.", nameof(groups));
        }

        var f = between / top / Math.Max(within / bottom, MeanTear.ReadingError * MeanTear.ReadingError);
        return new OneWay(f, top, bottom, 1 - FisherSnedecor.CDF(top, bottom, f));
    }

    /// <summary>The test in a line.</summary>
    public FTest Line => new FTest(F, Top, Bottom, P);
}
