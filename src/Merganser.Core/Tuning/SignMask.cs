namespace Merganser.Core.Tuning;

/// <summary>
/// One way in which a bow may answer: a sign for every adjuster, or no answer worth the name. Free signs stand both
/// ways; of the firm ones at most one is reversed, and only once that adjuster was moved: before that nothing could
/// tell.
/// </summary>
public sealed class SignMask
{
    private readonly double[] signs;

    private SignMask(double[] signs, double logPrior, bool deaf = false) =>
        (this.signs, LogPrior, Deaf) = (signs, logPrior, deaf);

    /// <summary>ln of what it is believed before any shot, without a constant.</summary>
    public double LogPrior { get; }

    /// <summary>True where every gain is a tenth: moves do not help.</summary>
    public bool Deaf { get; }

    /// <summary>The sign of an adjuster's gain.</summary>
    public double Sign(int lever) => signs[lever];

    /// <summary>All of them, in the order of the prior.</summary>
    public IReadOnlyList<double> Signs => signs;

    /// <summary>The gain of an adjuster on its own axis, inches a step.</summary>
    /// <param name="prior">The prior that the mask was made of.</param>
    /// <param name="lever">The adjuster.</param>
    /// <param name="log">ln of its gain against the nominal one.</param>
    public double Gain(ResponsePrior prior, int lever, double log) =>
        signs[lever] * prior.Gains[lever].Nominal * Math.Exp(log);

    /// <summary>The masks of a bow.</summary>
    /// <param name="prior">What is believed of each adjuster.</param>
    /// <param name="moved">True for an adjuster that was moved.</param>
    public static IReadOnlyList<SignMask> Of(ResponsePrior prior, Func<int, bool> moved)
    {
        List<SignMask> masks = [new([.. prior.Gains.Select(g => (double)g.AgreedWay)], 0)];
        for (var lever = 0; lever < prior.Gains.Count; lever++)
        {
            if (prior.Gains[lever] is { Free: true } free)
            {
                masks = [.. masks.SelectMany(m => m.BothWays(lever, free))];
            }
        }

        SignMask[] roots = [.. masks];
        for (var lever = 0; lever < prior.Gains.Count; lever++)
        {
            if (prior.Gains[lever] is { Free: false, AgreedChance: < 1 } firm && moved(lever))
            {
                masks.AddRange(roots.Select(m => m.Against(lever, (1 - firm.AgreedChance) / firm.AgreedChance)));
            }
        }

        if (prior.DeafChance > 0)
        {
            var odds = Math.Log(prior.DeafChance / (1 - prior.DeafChance));
            masks.AddRange(roots.Select(m => new SignMask(m.signs, m.LogPrior + odds, deaf: true)));
        }

        return masks;
    }

    private IEnumerable<SignMask> BothWays(int lever, GainPrior free) =>
        new[] { (Sign: 1.0, Chance: free.PlusChance), (Sign: -1.0, Chance: 1 - free.PlusChance) }
            .Where(way => way.Chance > 0)
            .Select(way => new SignMask(With(lever, way.Sign), LogPrior + Math.Log(way.Chance)));

    private SignMask Against(int lever, double odds) => new(With(lever, -signs[lever]), LogPrior + Math.Log(odds));

    private double[] With(int lever, double sign)
    {
        var other = (double[])signs.Clone();
        other[lever] = sign;
        return other;
    }
}
