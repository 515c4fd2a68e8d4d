namespace Merganser.Core.Tuning;

/// <summary>
/// The response of one bow, learned from every shot at every setting: tear = t₀ + G u + noise on two axes, where one
/// shot in ten is a flyer. Each hypothesis (sign of the disputed adjuster × shot spread s) is a Gaussian in θ = (t₀,
/// log gains, cross gains), fitted by reweighted least squares; their weights are the evidence. Expected propagation of
/// flyers by their probability is the usual EM for a contaminated normal (Little and Rubin, Statistical Analysis with
/// Missing Data, from memory).
/// </summary>
public sealed class ResponseModel
{
    /// <summary>How far a flyer strays beyond the spread, inches per axis.</summary>
    public const double FlyerSd = 0.75;

    private const double DoubtfulShare = 0.5;
    private const double FirstDoubt = 0.5;
    private const double LogGainBound = 2.5;
    private const int Passes = 3;
    private static readonly double LogNegligible = Math.Log(1e-6);

    private readonly ResponsePrior prior;
    private readonly int levers;
    private readonly int size;
    private readonly double[] priorMean;
    private readonly double[] priorPrecision;
    private readonly double priorLogDeterminant;
    private readonly Hypothesis[] hypotheses;
    private readonly List<Group> groups = [];
    private readonly SymmetricSolver solver;
    private readonly double[] precision;
    private readonly double[] right;
    private readonly double[] alongX;
    private readonly double[] alongY;
    private readonly double[] gains;

    /// <param name="prior">What is believed before the first shot.</param>
    public ResponseModel(ResponsePrior prior)
    {
        this.prior = prior;
        levers = prior.Gains.Count;
        size = 2 + (2 * levers);
        solver = new SymmetricSolver(size);
        (precision, right, alongX, alongY) = (
            new double[size * size],
            new double[size],
            new double[size],
            new double[size]
        );
        gains = new double[levers];
        priorMean = new double[size];
        priorPrecision = new double[size * size];
        var covariance = PriorCovariance();
        solver.Invert(covariance, priorPrecision);
        priorLogDeterminant = -solver.LogDeterminant;
        for (var j = 0; j < levers; j++)
        {
            priorMean[2 + j] = prior.Gains[j].LogMean;
        }

        var disputed = prior.DisputedIndex;
        (double Sign, double Chance)[] signs =
            disputed < 0
                ? [(1, 1)]
                : [(1, prior.Gains[disputed].PlusChance), (-1, 1 - prior.Gains[disputed].PlusChance)];
        hypotheses =
        [
            .. from sign in signs
            from spread in ResponsePrior.Spreads
            select new Hypothesis(
                sign.Sign,
                spread,
                Math.Log(sign.Chance) - (0.5 * Math.Pow(Math.Log(spread / prior.SpreadCentre) / prior.SpreadLogSd, 2)),
                (double[])priorMean.Clone(),
                covariance
            ),
        ];
    }

    /// <summary>Shots taken in.</summary>
    public int Count { get; private set; }

    /// <summary>The model after these shots, in the order in which they were shot.</summary>
    public static ResponseModel Of(ResponsePrior prior, IEnumerable<Observation> shots)
    {
        var model = new ResponseModel(prior);
        foreach (var shot in shots)
        {
            model.Add(shot);
        }

        return model;
    }

    /// <summary>Takes one shot in and fits every hypothesis again to all shots.</summary>
    /// <exception cref="ArgumentException">The setting does not name every adjuster of the prior.</exception>
    public void Add(Observation shot)
    {
        if (shot.Setting.Length != levers)
        {
            throw new ArgumentException(
                $"A setting of {levers} adjusters is wanted, not of {shot.Setting.Length}.",
                nameof(shot)
            );
        }

        var group = groups.Find(g => g.Setting.AsSpan().SequenceEqual(shot.Setting));
        if (group is null)
        {
            groups.Add(group = new Group(shot.Setting, []));
        }

        group.Shots.Add(shot);
        Count++;
        var best = hypotheses.Max(h => h.LogEvidence);
        foreach (var hypothesis in hypotheses)
        {
            // One that is not believed any more is kept up to date with a single pass: it may come back.
            var passes = hypothesis.LogEvidence > best + LogNegligible ? Passes : 1;
            for (var pass = 0; pass < passes; pass++)
            {
                Refit(hypothesis);
            }

            hypothesis.LogEvidence = Evidence(hypothesis);
        }
    }

    /// <summary>What is believed now.</summary>
    public Belief Read()
    {
        var weights = Weights();
        return new Belief(prior, [.. hypotheses.Select((h, i) => Weighed(h, weights[i]))]);
    }

    /// <summary>
    /// How likely each shot is a flyer, averaged over the hypotheses, in the order of settings and shots.
    /// </summary>
    public IReadOnlyDictionary<Observation, double> Flyers()
    {
        var weights = Weights();
        var flyers = new Dictionary<Observation, double>(ReferenceEqualityComparer.Instance);
        for (var h = 0; h < hypotheses.Length; h++)
        {
            TakeGains(hypotheses[h]);
            foreach (var group in groups)
            {
                var (fx, fy) = Predict(hypotheses[h], group.Setting);
                var test = TestOf(hypotheses[h]);
                foreach (var shot in group.Shots)
                {
                    flyers[shot] =
                        flyers.GetValueOrDefault(shot) + (weights[h] * test.Chance(shot, shot.X - fx, shot.Y - fy));
                }
            }
        }

        return flyers;
    }

    private double[] PriorCovariance()
    {
        var covariance = new double[size * size];
        covariance[0] = covariance[size + 1] = prior.TearSd * prior.TearSd;
        for (var i = 0; i < levers; i++)
        {
            for (var j = 0; j < levers; j++)
            {
                covariance[((2 + i) * size) + 2 + j] =
                    i == j ? Math.Pow(prior.Gains[i].LogSd, 2) : prior.Gains[i].SharedSd * prior.Gains[j].SharedSd;
            }

            covariance[((2 + levers + i) * size) + 2 + levers + i] = Math.Pow(
                prior.CrossShare * prior.Gains[i].Nominal,
                2
            );
        }

        return covariance;
    }

    private double[] Weights()
    {
        var best = hypotheses.Max(h => h.LogEvidence);
        var raw = hypotheses.Select(h => Math.Exp(h.LogEvidence - best)).ToArray();
        var sum = raw.Sum();
        return [.. raw.Select(w => w / sum)];
    }

    private Component Weighed(Hypothesis hypothesis, double weight)
    {
        var mean = new double[size];
        var slope = new double[size];
        for (var i = 0; i < size; i++)
        {
            var lever = i - 2;
            var gain = lever >= 0 && lever < levers;
            mean[i] = gain ? Gain(hypothesis, lever) : hypothesis.Mean[i];
            slope[i] = gain ? mean[i] : 1;
        }

        var covariance = new double[size * size];
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j < size; j++)
            {
                covariance[(i * size) + j] = slope[i] * hypothesis.Covariance[(i * size) + j] * slope[j];
            }
        }

        return new Component(weight, hypothesis.Sign, hypothesis.Spread, mean, covariance);
    }

    private double Gain(Hypothesis hypothesis, int lever)
    {
        var fact = prior.Gains[lever];
        var known = fact.PlusChance > 0 ? 1 : -1;
        var sign = fact.Disputed ? hypothesis.Sign : known;
        return sign * fact.Nominal * Math.Exp(hypothesis.Mean[2 + lever]);
    }

    /// <summary>
    /// The tear that is expected at a setting under the gains taken; its slope in θ is left in the buffers.
    /// </summary>
    private (double X, double Y) Predict(Hypothesis hypothesis, int[] setting)
    {
        Array.Clear(alongX);
        Array.Clear(alongY);
        (alongX[0], alongY[1]) = (1, 1);
        var (x, y) = (hypothesis.Mean[0], hypothesis.Mean[1]);
        for (var j = 0; j < levers; j++)
        {
            if (setting[j] == 0)
            {
                continue;
            }

            var own = gains[j] * setting[j];
            var cross = hypothesis.Mean[2 + levers + j] * setting[j];
            var sideways = prior.Gains[j].Axis == Bows.TearAxis.Sideways;
            x += sideways ? own : cross;
            y += sideways ? cross : own;
            (sideways ? alongX : alongY)[2 + j] = own;
            (sideways ? alongY : alongX)[2 + levers + j] = setting[j];
        }

        return (x, y);
    }

    private void TakeGains(Hypothesis hypothesis)
    {
        for (var j = 0; j < levers; j++)
        {
            gains[j] = Gain(hypothesis, j);
        }
    }

    /// <summary>How flyers are told at a setting: what is unsure of the mean there counts with the spread.</summary>
    private FlyerTest TestOf(Hypothesis hypothesis) =>
        hypothesis.Fitted
            ? new FlyerTest(
                prior.FlyerShare,
                hypothesis.Variance,
                Quadratic(alongX, hypothesis.Covariance),
                Quadratic(alongY, hypothesis.Covariance)
            )
            : new FlyerTest(prior.FlyerShare, hypothesis.Variance, FirstDoubt, FirstDoubt);

    private double Quadratic(double[] along, double[] covariance)
    {
        var sum = 0.0;
        for (var i = 0; i < size; i++)
        {
            if (along[i] == 0)
            {
                continue;
            }

            sum += along[i] * along[i] * covariance[(i * size) + i];
            for (var j = 0; j < i; j++)
            {
                sum += 2 * along[i] * covariance[(i * size) + j] * along[j];
            }
        }

        return sum;
    }

    private void Refit(Hypothesis hypothesis)
    {
        priorPrecision.CopyTo(precision, 0);
        TakeGains(hypothesis);
        for (var i = 0; i < size; i++)
        {
            right[i] = 0;
            for (var j = 0; j < size; j++)
            {
                right[i] += priorPrecision[(i * size) + j] * priorMean[j];
            }
        }

        foreach (var group in groups)
        {
            var (fx, fy) = Predict(hypothesis, group.Setting);
            var test = TestOf(hypothesis);
            var (fromX, fromY) = (Dot(alongX, hypothesis.Mean) - fx, Dot(alongY, hypothesis.Mean) - fy);
            var (weight, sumX, sumY) = (0.0, 0.0, 0.0);
            foreach (var shot in group.Shots)
            {
                var flyer = test.Chance(shot, shot.X - fx, shot.Y - fy);
                var w = ((1 - flyer) / hypothesis.Variance) + (flyer / (hypothesis.Variance + (FlyerSd * FlyerSd)));
                weight += w;
                sumX += w * (shot.X + fromX);
                sumY += w * (shot.Y + fromY);
            }

            for (var i = 0; i < size; i++)
            {
                right[i] += (alongX[i] * sumX) + (alongY[i] * sumY);
                if (alongX[i] == 0 && alongY[i] == 0)
                {
                    continue;
                }

                for (var j = 0; j <= i; j++)
                {
                    precision[(i * size) + j] += weight * ((alongX[i] * alongX[j]) + (alongY[i] * alongY[j]));
                }
            }
        }

        solver.Invert(precision, hypothesis.Covariance);
        hypothesis.LogDeterminant = solver.LogDeterminant;
        hypothesis.Fitted = true;
        for (var i = 0; i < size; i++)
        {
            var sum = 0.0;
            for (var j = 0; j < size; j++)
            {
                sum += hypothesis.Covariance[(i * size) + j] * right[j];
            }

            hypothesis.Mean[i] = i >= 2 && i < 2 + levers ? Math.Clamp(sum, -LogGainBound, LogGainBound) : sum;
        }
    }

    private double Dot(double[] a, double[] b)
    {
        var sum = 0.0;
        for (var i = 0; i < size; i++)
        {
            sum += a[i] * b[i];
        }

        return sum;
    }

    private double Evidence(Hypothesis hypothesis)
    {
        TakeGains(hypothesis);
        var log = hypothesis.LogPrior - (0.5 * (hypothesis.LogDeterminant + priorLogDeterminant));
        var (good, flyer) = (hypothesis.Variance, hypothesis.Variance + (FlyerSd * FlyerSd));
        foreach (var group in groups)
        {
            var (fx, fy) = Predict(hypothesis, group.Setting);
            foreach (var shot in group.Shots)
            {
                var squared = Math.Pow(shot.X - fx, 2) + Math.Pow(shot.Y - fy, 2);
                var share = shot.Doubtful ? DoubtfulShare : prior.FlyerShare;
                log += Math.Log(((1 - share) * Density(squared, good)) + (share * Density(squared, flyer)));
            }
        }

        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j < size; j++)
            {
                log -=
                    0.5
                    * (hypothesis.Mean[i] - priorMean[i])
                    * priorPrecision[(i * size) + j]
                    * (hypothesis.Mean[j] - priorMean[j]);
            }
        }

        return log;

        static double Density(double squared, double variance) =>
            Math.Exp(-0.5 * squared / variance) / (2 * Math.PI * variance);
    }

    /// <summary>ln of the odds of a good shot against a flyer, but for what the shot itself brings.</summary>
    private readonly struct FlyerTest
    {
        private readonly double good;
        private readonly double usualOdds;
        private readonly double perSquareX;
        private readonly double perSquareY;

        public FlyerTest(double share, double variance, double qx, double qy)
        {
            usualOdds = Math.Log((1 - share) / share);
            var wide = variance + (FlyerSd * FlyerSd);
            good = 0.5 * Math.Log((wide + qx) * (wide + qy) / ((variance + qx) * (variance + qy)));
            perSquareX = 0.5 * ((1 / (wide + qx)) - (1 / (variance + qx)));
            perSquareY = 0.5 * ((1 / (wide + qy)) - (1 / (variance + qy)));
        }

        public double Chance(Observation shot, double rx, double ry)
        {
            var odds = good + (perSquareX * rx * rx) + (perSquareY * ry * ry) + (shot.Doubtful ? 0 : usualOdds);
            return 1 / (1 + Math.Exp(odds));
        }
    }

    private sealed record Group(int[] Setting, List<Observation> Shots);

    private sealed class Hypothesis(double sign, double spread, double logPrior, double[] mean, double[] covariance)
    {
        public double Sign => sign;
        public double Spread => spread;
        public double Variance { get; } = spread * spread;
        public double LogPrior { get; } = logPrior;
        public double[] Mean => mean;
        public double[] Covariance { get; } = (double[])covariance.Clone();
        public double LogDeterminant { get; set; }
        public double LogEvidence { get; set; } = logPrior;
        public bool Fitted { get; set; }
    }
}

/// <summary>
/// One hypothesis as fitted: a Gaussian in (t₀, gains, cross gains), natural units, inches and inches a step.
/// </summary>
/// <param name="Weight">How much it is believed, 0 to 1.</param>
/// <param name="Sign">Sign of the disputed adjuster's gain.</param>
/// <param name="Spread">Shot spread, inches per axis.</param>
/// <param name="Mean">t₀ right and up, then a gain for each adjuster, then a cross gain for each.</param>
/// <param name="Covariance">Their covariance, row by row.</param>
public sealed record Component(double Weight, double Sign, double Spread, double[] Mean, double[] Covariance);
