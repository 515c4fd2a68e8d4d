namespace Merganser.Core.Tuning;

/// <summary>
/// The fit of every hypothesis to the shots: each is a Gaussian in θ, fitted by reweighted least squares to all shots
/// at once; their weights are the evidence. Expected propagation of flyers by their probability is the usual EM for a
/// contaminated normal (Little and Rubin, Statistical Analysis with Missing Data, from memory).
/// </summary>
internal sealed class ResponseFit
{
    private const double FirstDoubt = 0.5;

    /// <summary>
    /// Passes of a fit: after twelve the mean stands still to a few ten-thousandths of an inch (measured).
    /// </summary>
    private const int Passes = 12;

    /// <summary>After so many a hypothesis that is not believed is left as it is.</summary>
    private const int FirstPasses = 3;

    private static readonly double LogNegligible = Math.Log(1e-6);

    private readonly ResponsePrior prior;
    private readonly Unknowns unknowns;
    private readonly Hypothesis[] hypotheses;
    private readonly ShotGroup[] groups;
    private readonly SymmetricSolver solver;
    private readonly SymmetricMatrix precision;
    private readonly Prediction predicted;
    private readonly double[] right;

    /// <param name="prior">What is believed of what was moved.</param>
    /// <param name="shots">The shots; none leaves what was believed.</param>
    public ResponseFit(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        this.prior = prior;
        unknowns = new Unknowns(prior, shots);
        solver = new SymmetricSolver(unknowns.Size);
        precision = new SymmetricMatrix(unknowns.Size);
        predicted = new Prediction(unknowns.Size);
        right = new double[unknowns.Size];
        groups = GroupsOf(shots);
        var start = new ResponseStart(prior, unknowns, solver);
        var deaf = prior.DeafChance > 0 ? new ResponseStart(prior, unknowns, solver, deaf: true) : start;
        hypotheses =
        [
            .. from mask in SignMask.Of(prior, _ => true)
            from spread in ResponsePrior.Spreads
            select new Hypothesis(prior, unknowns, mask.Deaf ? deaf : start, mask, spread),
        ];
        if (shots.Count > 0)
        {
            Fit();
        }
    }

    /// <summary>Every hypothesis as fitted: way by way, each with every shot spread.</summary>
    public IReadOnlyList<Hypothesis> Hypotheses => hypotheses;

    /// <summary>How likely each shot is a flyer under one hypothesis.</summary>
    public IEnumerable<(Observation Shot, double Chance)> Flyers(Hypothesis hypothesis)
    {
        foreach (var group in groups)
        {
            var odds = OddsAt(hypothesis, group);
            foreach (var shot in group.Shots)
            {
                yield return (shot, odds.Chance(shot, shot.X - predicted.X, shot.Y - predicted.Y));
            }
        }
    }

    private static ShotGroup[] GroupsOf(IReadOnlyList<Observation> shots)
    {
        List<ShotGroup> groups = [];
        foreach (var shot in shots)
        {
            var group = groups.Find(g => g.DaysAgo == shot.DaysAgo && g.Shots[0].StandsAs(shot));
            if (group is null)
            {
                groups.Add(group = new ShotGroup(shot.Setting, shot.Rig, shot.DaysAgo, []));
            }

            group.Shots.Add(shot);
        }

        return [.. groups];
    }

    private void Fit()
    {
        foreach (var hypothesis in hypotheses)
        {
            Fit(hypothesis, FirstPasses);
        }

        var best = hypotheses.Max(h => h.LogEvidence);
        foreach (var hypothesis in hypotheses.Where(h => h.LogEvidence > best + LogNegligible))
        {
            Fit(hypothesis, Passes - FirstPasses);
        }
    }

    private void Fit(Hypothesis hypothesis, int passes)
    {
        for (var pass = 0; pass < passes; pass++)
        {
            Refit(hypothesis);
        }

        hypothesis.LogEvidence = Evidence(hypothesis);
    }

    /// <summary>Predicts a group's setting, and how flyers are told there.</summary>
    private FlyerOdds OddsAt(Hypothesis hypothesis, ShotGroup group)
    {
        predicted.Of(hypothesis, group);
        return hypothesis.Fitted
            ? new FlyerOdds(
                prior.FlyerShare,
                hypothesis.Variance,
                hypothesis.Covariance.Quadratic(predicted.SlopeX),
                hypothesis.Covariance.Quadratic(predicted.SlopeY)
            )
            : new FlyerOdds(prior.FlyerShare, hypothesis.Variance, FirstDoubt, FirstDoubt);
    }

    /// <summary>
    /// One pass: each shot weighed by how likely it is good, the tear taken as linear about the last θ, and the normal
    /// equations (Σ w slope slopeᵀ + prior) θ = Σ w slope tear + prior solved.
    /// </summary>
    private void Refit(Hypothesis hypothesis)
    {
        precision.CopyFrom(hypothesis.Start.Precision);
        hypothesis.Start.Pull.CopyTo(right, 0);
        foreach (var group in groups)
        {
            AddTo(hypothesis, group);
        }

        solver.Invert(precision, hypothesis.Covariance);
        hypothesis.LogDeterminant = solver.LogDeterminant;
        hypothesis.Fitted = true;
        hypothesis.Solve(right);
    }

    private void AddTo(Hypothesis hypothesis, ShotGroup group)
    {
        var odds = OddsAt(hypothesis, group);
        var fromX = SymmetricMatrix.Dot(predicted.SlopeX, hypothesis.Mean) - predicted.X;
        var fromY = SymmetricMatrix.Dot(predicted.SlopeY, hypothesis.Mean) - predicted.Y;
        var (weight, sumX, sumY) = (0.0, 0.0, 0.0);
        foreach (var shot in group.Shots)
        {
            var flyer = odds.Chance(shot, shot.X - predicted.X, shot.Y - predicted.Y);
            var good = hypothesis.Variance + shot.ReadVariance;
            var w = ((1 - flyer) / good) + (flyer / FlyerOdds.Wide(good));
            weight += w;
            sumX += w * (shot.X + fromX);
            sumY += w * (shot.Y + fromY);
        }

        for (var i = 0; i < right.Length; i++)
        {
            right[i] += (predicted.SlopeX[i] * sumX) + (predicted.SlopeY[i] * sumY);
        }

        precision.AddLower(weight, predicted.SlopeX, predicted.SlopeY);
    }

    /// <summary>ln of the evidence by Laplace's approximation, without a constant.</summary>
    private double Evidence(Hypothesis hypothesis)
    {
        var start = hypothesis.Start;
        var log = hypothesis.LogPrior - (0.5 * (hypothesis.LogDeterminant - start.LogDeterminant));
        foreach (var group in groups)
        {
            predicted.Of(hypothesis, group);
            foreach (var shot in group.Shots)
            {
                log += Math.Log(Likelihood(hypothesis, shot));
            }
        }

        for (var i = 0; i < unknowns.Size; i++)
        {
            for (var j = 0; j < unknowns.Size; j++)
            {
                var (di, dj) = (hypothesis.Mean[i] - start.Mean[i], hypothesis.Mean[j] - start.Mean[j]);
                log -= 0.5 * di * start.Precision[i, j] * dj;
            }
        }

        return log;
    }

    private double Likelihood(Hypothesis hypothesis, Observation shot)
    {
        var squared = Math.Pow(shot.X - predicted.X, 2) + Math.Pow(shot.Y - predicted.Y, 2);
        var share = shot.Doubtful ? FlyerOdds.DoubtfulShare : prior.FlyerShare;
        var good = hypothesis.Variance + shot.ReadVariance;
        var wide = FlyerOdds.Wide(good);
        return ((1 - share) * Density(squared, good)) + (share * Density(squared, wide));
    }

    private static double Density(double squared, double variance) =>
        Math.Exp(-0.5 * squared / variance) / (2 * Math.PI * variance);
}
