namespace Merganser.Core.Tuning;

/// <summary>
/// How the gains of the adjusters that were not moved follow from the others: x_u = μ_u + A (x_m − μ_m) + rest, where
/// A = Σ_um Σ_mm⁻¹ and the rest has R = Σ_uu − A Σ_mu as before. The conditional of a Gaussian (Bishop, Pattern
/// Recognition and Machine Learning, 2.3.1, from memory).
/// </summary>
internal sealed class UnmovedGains
{
    private readonly Unknowns unknowns;

    /// <summary>Where each unknown of the fit stands among all.</summary>
    private readonly int[] fitted;

    /// <summary>The gains that were not fitted, among all.</summary>
    private readonly int[] others;
    private readonly Dictionary<ResponseStart, (ResponseStart Whole, double[][] Following)> starts = [];
    private readonly ResponseStart answering;
    private readonly ResponseStart deaf;

    /// <param name="prior">What is believed of every adjuster.</param>
    /// <param name="unknowns">Where each unknown stands.</param>
    /// <param name="moved">The adjusters that were fitted, in order.</param>
    public UnmovedGains(ResponsePrior prior, Unknowns unknowns, int[] moved)
    {
        this.unknowns = unknowns;
        fitted =
        [
            Unknowns.TearX,
            Unknowns.TearY,
            .. moved.Select(unknowns.Gain),
            .. moved.Select(unknowns.Cross),
            .. unknowns.OtherTears,
            .. unknowns.Days,
        ];
        others = [.. Enumerable.Range(0, unknowns.Levers).Except(moved).Select(unknowns.Gain)];
        var solver = new SymmetricSolver(unknowns.Size);
        answering = new ResponseStart(prior, unknowns, solver);
        deaf = new ResponseStart(prior, unknowns, solver, deaf: true);
    }

    /// <summary>A hypothesis with what was not moved.</summary>
    public WholeResponse With(Hypothesis hypothesis)
    {
        var (start, following) = Of(hypothesis);
        double[] mean = [.. start.Mean];
        var covariance = start.Covariance.Copy();
        for (var i = 0; i < fitted.Length; i++)
        {
            mean[fitted[i]] = hypothesis.Mean[i];
            for (var j = 0; j < fitted.Length; j++)
            {
                covariance[fitted[i], fitted[j]] = hypothesis.Covariance[i, j];
            }
        }

        for (var k = 0; k < others.Length; k++)
        {
            var (other, follows) = (others[k], following[k]);
            for (var i = 0; i < fitted.Length; i++)
            {
                mean[other] += follows[i] * (hypothesis.Mean[i] - hypothesis.Start.Mean[i]);
                var shared = hypothesis.Covariance.RowTimes(i, follows);
                (covariance[other, fitted[i]], covariance[fitted[i], other]) = (shared, shared);
            }

            for (var l = 0; l <= k; l++)
            {
                var learned =
                    hypothesis.Covariance.Between(follows, following[l])
                    - hypothesis.Start.Covariance.Between(follows, following[l]);
                var shared = start.Covariance[other, others[l]] + learned;
                (covariance[other, others[l]], covariance[others[l], other]) = (shared, shared);
            }
        }

        return new WholeResponse(unknowns, mean, covariance);
    }

    /// <summary>The whole prior that a hypothesis is of, and its A: two for all hypotheses.</summary>
    private (ResponseStart Whole, double[][] Following) Of(Hypothesis hypothesis)
    {
        if (!starts.TryGetValue(hypothesis.Start, out var known))
        {
            var whole = hypothesis.Mask.Deaf ? deaf : answering;
            known = (whole, [.. others.Select(other => Following(whole, hypothesis.Start, other))]);
            starts[hypothesis.Start] = known;
        }

        return known;
    }

    /// <summary>A row of A.</summary>
    private double[] Following(ResponseStart whole, ResponseStart start, int other)
    {
        double[] shared = [.. fitted.Select(i => whole.Covariance[other, i])];
        return [.. Enumerable.Range(0, fitted.Length).Select(i => start.Precision.RowTimes(i, shared))];
    }
}

/// <summary>A Gaussian in θ of every adjuster; gains in logs.</summary>
internal sealed record WholeResponse(Unknowns Unknowns, double[] Mean, SymmetricMatrix Covariance)
{
    /// <summary>The same in natural units, under a way to answer.</summary>
    public Component Weighed(ResponsePrior prior, SignMask mask, double spread, double weight)
    {
        var mean = new double[Unknowns.Size];
        var slope = new double[Unknowns.Size];
        for (var i = 0; i < Unknowns.Size; i++)
        {
            var gain = Unknowns.IsGain(i);
            mean[i] = gain ? mask.Gain(prior, Unknowns.LeverOf(i), Mean[i]) : Mean[i];
            slope[i] = gain ? mean[i] : 1;
        }

        return new Component(weight, mask, spread, mean, Covariance.Scaled(slope));
    }
}
