namespace Merganser.Core.Tuning;

/// <summary>
/// How flyers are told: a shot is good, or one in ten strays .75 in wider. What is unsure of the mean where it was shot
/// counts with the spread.
/// </summary>
internal readonly struct FlyerOdds
{
    /// <summary>How far a flyer strays beyond the spread, inches per axis.</summary>
    public const double FlyerSd = 0.75;

    /// <summary>Chance of a flyer that a doubtful shot starts with.</summary>
    public const double DoubtfulShare = 0.5;

    private readonly double share;
    private readonly double variance;
    private readonly double unsureX;
    private readonly double unsureY;
    private readonly double good;
    private readonly double usual;
    private readonly double perSquareX;
    private readonly double perSquareY;

    /// <param name="share">Share of flyers that is expected.</param>
    /// <param name="variance">Square of the shot spread, in².</param>
    /// <param name="unsureX">Variance of the mean to the right, in².</param>
    /// <param name="unsureY">Variance of the mean upward, in².</param>
    public FlyerOdds(double share, double variance, double unsureX, double unsureY)
    {
        (this.share, this.variance, this.unsureX, this.unsureY) = (share, variance, unsureX, unsureY);
        usual = Math.Log((1 - share) / share);
        var wide = Wide(variance);
        var (goodX, goodY) = (variance + unsureX, variance + unsureY);
        var (wideX, wideY) = (wide + unsureX, wide + unsureY);
        good = 0.5 * Math.Log(wideX * wideY / (goodX * goodY));
        perSquareX = 0.5 * ((1 / wideX) - (1 / goodX));
        perSquareY = 0.5 * ((1 / wideY) - (1 / goodY));
    }

    /// <summary>Variance of a flyer, in² per axis.</summary>
    public static double Wide(double variance) => variance + (FlyerSd * FlyerSd);

    /// <summary>
    /// Chance that a shot is a flyer, by how far it lies from the mean; one that was only said may lie farther.
    /// </summary>
    public double Chance(Observation shot, double right, double up) =>
        shot.ReadWithin == 0
            ? AsRead(shot, right, up)
            : new FlyerOdds(share, variance + shot.ReadVariance, unsureX, unsureY).AsRead(shot, right, up);

    private double AsRead(Observation shot, double right, double up)
    {
        var odds = good + (perSquareX * right * right) + (perSquareY * up * up) + (shot.Doubtful ? 0 : usual);
        return 1 / (1 + Math.Exp(odds));
    }
}
