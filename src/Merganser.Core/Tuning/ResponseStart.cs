namespace Merganser.Core.Tuning;

/// <summary>The prior as a Gaussian in θ = (tear, log gains, cross gains).</summary>
internal sealed class ResponseStart
{
    /// <summary>ln of how much less a bow that is deaf to moves answers (docs/decisions/0013).</summary>
    private static readonly double DeafLog = Math.Log(10);

    /// <summary>And how much less on the other axis.</summary>
    private const double DeafCross = 0.3;

    /// <param name="prior">What is believed.</param>
    /// <param name="unknowns">Where each unknown stands.</param>
    /// <param name="solver">Inverts.</param>
    /// <param name="deaf">For a bow that answers no move.</param>
    public ResponseStart(ResponsePrior prior, Unknowns unknowns, SymmetricSolver solver, bool deaf = false)
    {
        var (less, crossShare) = deaf ? (DeafLog, DeafCross * prior.CrossShare) : (0, prior.CrossShare);
        Mean = new double[unknowns.Size];
        Covariance = new SymmetricMatrix(unknowns.Size);
        Covariance[Unknowns.TearX, Unknowns.TearX] = prior.TearSd * prior.TearSd;
        Covariance[Unknowns.TearY, Unknowns.TearY] = prior.TearSd * prior.TearSd;
        for (var i = 0; i < unknowns.Levers; i++)
        {
            var (gain, cross) = (unknowns.Gain(i), unknowns.Cross(i));
            Mean[gain] = prior.Gains[i].LogMean - less;
            for (var j = 0; j < unknowns.Levers; j++)
            {
                Covariance[gain, unknowns.Gain(j)] =
                    i == j ? Math.Pow(prior.Gains[i].LogSd, 2) : prior.Gains[i].SharedSd * prior.Gains[j].SharedSd;
            }

            Covariance[cross, cross] = Math.Pow(crossShare * prior.Gains[i].Nominal, 2);
        }

        foreach (var tear in unknowns.OtherTears)
        {
            Covariance[tear, tear] = prior.TearSd * prior.TearSd;
        }

        foreach (var day in unknowns.Days)
        {
            Covariance[day, day] = prior.DaySd * prior.DaySd;
        }

        Precision = new SymmetricMatrix(unknowns.Size);
        solver.Invert(Covariance, Precision);
        LogDeterminant = -solver.LogDeterminant;
        Pull = [.. Enumerable.Range(0, unknowns.Size).Select(i => Precision.RowTimes(i, Mean))];
    }

    /// <summary>Its mean.</summary>
    public double[] Mean { get; }

    /// <summary>Its covariance.</summary>
    public SymmetricMatrix Covariance { get; }

    /// <summary>The inverse of the covariance.</summary>
    public SymmetricMatrix Precision { get; }

    /// <summary>ln |precision|, negative.</summary>
    public double LogDeterminant { get; }

    /// <summary>Precision times mean: what the prior adds to the right side of the normal equations.</summary>
    public double[] Pull { get; }
}
