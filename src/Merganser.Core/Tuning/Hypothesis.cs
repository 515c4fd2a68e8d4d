namespace Merganser.Core.Tuning;

/// <summary>All shots of one rig at one setting on one day: they share a mean.</summary>
internal sealed record ShotGroup(double[] Setting, int Rig, int DaysAgo, List<Observation> Shots);

/// <summary>The tear that is expected at a setting, and how it follows each unknown.</summary>
internal sealed class Prediction(int size)
{
    private readonly double[] slopeX = new double[size];
    private readonly double[] slopeY = new double[size];

    /// <summary>To the right, inches.</summary>
    public double X { get; private set; }

    /// <summary>Upward, inches.</summary>
    public double Y { get; private set; }

    /// <summary>∂X/∂θ.</summary>
    public ReadOnlySpan<double> SlopeX => slopeX;

    /// <summary>∂Y/∂θ.</summary>
    public ReadOnlySpan<double> SlopeY => slopeY;

    /// <summary>Predicts a group of shots under one hypothesis.</summary>
    public void Of(Hypothesis hypothesis, ShotGroup group)
    {
        var (unknowns, mean, setting) = (hypothesis.Unknowns, hypothesis.Mean, group.Setting);
        unknowns.Begin(group.Rig, group.DaysAgo, slopeX, slopeY);
        var (x, y) = (SymmetricMatrix.Dot(slopeX, mean), SymmetricMatrix.Dot(slopeY, mean));
        for (var lever = 0; lever < unknowns.Levers; lever++)
        {
            if (setting[lever] == 0)
            {
                continue;
            }

            // The own gain is m eˣ: its slope in x is the tear that it makes.
            var own = hypothesis.Gain(lever) * setting[lever];
            var cross = mean[unknowns.Cross(lever)] * setting[lever];
            var sideways = unknowns.Sideways(lever);
            x += sideways ? own : cross;
            y += sideways ? cross : own;
            slopeX[unknowns.AlongX(lever)] = sideways ? own : setting[lever];
            slopeY[unknowns.AlongY(lever)] = sideways ? setting[lever] : own;
        }

        (X, Y) = (x, y);
    }
}

/// <summary>One hypothesis of a bow: a way to answer and a shot spread, with a Gaussian in θ.</summary>
internal sealed class Hypothesis
{
    private const double LogGainBound = 2.5;
    private readonly ResponsePrior prior;
    private readonly double[] gains;

    public Hypothesis(ResponsePrior prior, Unknowns unknowns, ResponseStart start, SignMask mask, double spread)
    {
        this.prior = prior;
        (Unknowns, Start, Mask, Spread, Variance) = (unknowns, start, mask, spread, spread * spread);
        Mean = [.. start.Mean];
        Covariance = start.Covariance.Copy();
        gains = new double[unknowns.Levers];
        TakeGains();
        LogPrior = mask.LogPrior - (0.5 * Math.Pow(Math.Log(spread / prior.SpreadCentre) / prior.SpreadLogSd, 2));
        LogEvidence = LogPrior;
    }

    /// <summary>Where each unknown stands.</summary>
    public Unknowns Unknowns { get; }

    /// <summary>What it is believed from.</summary>
    public ResponseStart Start { get; }

    /// <summary>How the bow answers under it.</summary>
    public SignMask Mask { get; }

    /// <summary>Shot spread, inches per axis.</summary>
    public double Spread { get; }

    /// <summary>Its square.</summary>
    public double Variance { get; }

    /// <summary>ln of what it was believed before any shot, without a constant.</summary>
    public double LogPrior { get; }

    /// <summary>θ as fitted; gains in logs.</summary>
    public double[] Mean { get; }

    /// <summary>Its covariance.</summary>
    public SymmetricMatrix Covariance { get; }

    /// <summary>ln |precision| of the last fit.</summary>
    public double LogDeterminant { get; set; }

    /// <summary>ln of what it is believed now, without a constant.</summary>
    public double LogEvidence { get; set; }

    /// <summary>True once it was fitted to a shot.</summary>
    public bool Fitted { get; set; }

    /// <summary>The gain of an adjuster on its own axis, inches a step.</summary>
    public double Gain(int lever) => gains[lever];

    /// <summary>Takes a new mean: Covariance times the right side of the normal equations, log gains bounded.</summary>
    public void Solve(ReadOnlySpan<double> right)
    {
        for (var i = 0; i < Unknowns.Size; i++)
        {
            var value = Covariance.RowTimes(i, right);
            Mean[i] = Unknowns.IsGain(i)
                ? Math.Clamp(value, Start.Mean[i] - LogGainBound, Start.Mean[i] + LogGainBound)
                : value;
        }

        TakeGains();
    }

    private void TakeGains()
    {
        for (var lever = 0; lever < gains.Length; lever++)
        {
            gains[lever] = Mask.Gain(prior, lever, Mean[Unknowns.Gain(lever)]);
        }
    }
}

/// <summary>
/// One hypothesis as fitted: a Gaussian in (t₀, gains, cross gains), natural units, inches and inches a step.
/// </summary>
/// <param name="Weight">How much it is believed, 0 to 1.</param>
/// <param name="Mask">How the bow answers under it.</param>
/// <param name="Spread">Shot spread, inches per axis.</param>
/// <param name="Mean">In the order of <see cref="Unknowns"/>.</param>
/// <param name="Covariance">Of the same.</param>
public sealed record Component(double Weight, SignMask Mask, double Spread, double[] Mean, SymmetricMatrix Covariance);
