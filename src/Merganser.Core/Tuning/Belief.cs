using MathNet.Numerics;
using MathNet.Numerics.Integration;

namespace Merganser.Core.Tuning;

/// <summary>Mean and variance of the true mean tear at a setting, inches.</summary>
public readonly record struct TearMoments(double X, double Y, double VarianceX, double VarianceY)
{
    /// <summary>E|t|²: what a move tries to make small.</summary>
    public double Square => (X * X) + (Y * Y) + VarianceX + VarianceY;

    /// <summary>Length of the mean.</summary>
    public double Length => Math.Sqrt((X * X) + (Y * Y));

    /// <summary>Sd along the less certain axis.</summary>
    public double WiderSd => Math.Sqrt(Math.Max(VarianceX, VarianceY));
}

/// <summary>What is believed of a bow's tear at any setting: a mixture of Gaussians, one for each hypothesis.</summary>
public sealed partial class Belief
{
    private const int Points = 20;
    private const double Reach = 6;
    private const double Negligible = 1e-9;

    /// <summary>A way to answer that is believed less is left out where moves are weighed.</summary>
    private const double NegligibleMask = 2e-4;

    private static readonly (double X, double W)[] Rule = GaussRule();

    private readonly ResponsePrior prior;
    private readonly Unknowns unknowns;
    private readonly double inflate;
    private readonly IReadOnlyList<Component> components;

    /// <param name="prior">The prior, for the axes of its adjusters.</param>
    /// <param name="unknowns">Where each unknown of the components stands.</param>
    /// <param name="components">The hypotheses as fitted; their weights sum to 1.</param>
    public Belief(ResponsePrior prior, Unknowns unknowns, IReadOnlyList<Component> components)
    {
        (this.prior, this.unknowns, this.components) = (prior, unknowns, components);
        inflate = 1;
        Masks = [.. components.GroupBy(c => c.Mask).Where(g => g.Sum(c => c.Weight) > NegligibleMask).Select(Collapse)];
        All = Collapse(components);
        Spread2 = components.Sum(c => c.Weight * c.Spread * c.Spread);
    }

    private Belief(Belief of, double inflate)
    {
        (prior, components, unknowns, this.inflate) = (of.prior, of.components, of.unknowns, inflate);
        (Masks, All, Spread2) = (of.Masks, of.All, of.Spread2);
    }

    /// <summary>Every hypothesis as fitted.</summary>
    public IReadOnlyList<Component> Components => components;

    /// <summary>One Gaussian for each way to answer that is worth weighing.</summary>
    public IReadOnlyList<Component> Masks { get; }

    /// <summary>All in one Gaussian.</summary>
    public Component All { get; }

    /// <summary>S²: the expected square of the shot spread, in² per axis.</summary>
    public double Spread2 { get; }

    /// <summary>Chance that moves do not help.</summary>
    public double Deaf => components.Where(c => c.Mask.Deaf).Sum(c => c.Weight);

    /// <summary>Chance that + steps of an adjuster drive the tail right, or up, where the bow answers at all.</summary>
    public double PlusChance(int lever)
    {
        var answering = components.Where(c => !c.Mask.Deaf).ToArray();
        return answering.Where(c => c.Mask.Sign(lever) > 0).Sum(c => c.Weight) / answering.Sum(c => c.Weight);
    }

    /// <summary>The ways to answer in which an adjuster drives its likelier way, in one Gaussian.</summary>
    public Component Likelier(int lever)
    {
        var way = LikelierWay(lever);
        return Collapse(components.Where(c => !c.Mask.Deaf && Math.Sign(c.Mask.Sign(lever)) == way));
    }

    /// <summary>The likelier way of an adjuster, the agreed one where both are alike.</summary>
    public int LikelierWay(int lever) => PlusChance(lever) >= 0.5 - Alike ? 1 : -1;

    /// <summary>Rounding never decides between two ways.</summary>
    private const double Alike = 1e-9;

    /// <summary>How much the less likely way of an adjuster is still believed.</summary>
    public double Doubt(int lever) => PlusChance(lever) is var plus && plus < 0.5 ? plus : 1 - plus;

    /// <summary>True while a test of an adjuster's way is worth a move.</summary>
    public bool IsOpen(int lever) => Doubt(lever) >= (prior.Gains[lever].Free ? OpenFree : OpenFirm);

    /// <summary>A way that was never agreed is open while the less likely one is believed this much.</summary>
    public const double OpenFree = 0.03;

    /// <summary>And one that is.</summary>
    private const double OpenFirm = 0.10;

    /// <summary>The same belief with wider variances.</summary>
    /// <param name="by">What variances are multiplied by: more than 1 where the fit is known to be optimistic.</param>
    public Belief Wider(double by) => new(this, by);

    /// <summary>Gain of an adjuster on its own axis with its sd, inches a step.</summary>
    public (double Gain, double Sd) GainOf(int lever) => GainOf(All, lever);

    /// <summary>The same under one sign.</summary>
    public (double Gain, double Sd) GainOf(Component of, int lever)
    {
        var gain = unknowns.Gain(lever);
        return (of.Mean[gain], Math.Sqrt(inflate * of.Covariance[gain, gain]));
    }

    /// <summary>Mean tear at a setting.</summary>
    public TearMoments At(ReadOnlySpan<double> setting) => At(All, setting);

    /// <summary>Mean tear at a setting under one component.</summary>
    public TearMoments At(Component component, ReadOnlySpan<double> setting)
    {
        Span<double> slopeX = stackalloc double[unknowns.Size];
        Span<double> slopeY = stackalloc double[unknowns.Size];
        unknowns.Slope(setting, slopeX, slopeY);
        return Moments(component, slopeX, slopeY);
    }

    /// <summary>
    /// The chance that the mean of all days lies inside: what one day's shooting added does not count, and how much
    /// that may be is not known from one day alone.
    /// </summary>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="tolerance">Radius of the circle, inches.</param>
    public double LastingChance(ReadOnlySpan<double> setting, double tolerance)
    {
        Span<double> slopeX = stackalloc double[unknowns.Size];
        Span<double> slopeY = stackalloc double[unknowns.Size];
        unknowns.SlopeOfAllDays(setting, slopeX, slopeY);
        var unseen = unknowns.SeveralDays ? 0 : prior.DaySd * prior.DaySd;
        var chance = 0.0;
        foreach (var component in components)
        {
            if (component.Weight > Negligible)
            {
                var at = Moments(component, slopeX, slopeY);
                var wider = at with { VarianceX = at.VarianceX + unseen, VarianceY = at.VarianceY + unseen };
                chance += component.Weight * Inside(wider, tolerance);
            }
        }

        return chance;
    }

    private TearMoments Moments(Component component, ReadOnlySpan<double> slopeX, ReadOnlySpan<double> slopeY) =>
        new(
            SymmetricMatrix.Dot(slopeX, component.Mean),
            SymmetricMatrix.Dot(slopeY, component.Mean),
            inflate * component.Covariance.Between(slopeX, slopeX),
            inflate * component.Covariance.Between(slopeY, slopeY)
        );

    /// <summary>P(in): chance that the true mean lies inside the circle, all hypotheses weighed.</summary>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="tolerance">Radius of the circle, inches.</param>
    public double ChanceInside(ReadOnlySpan<double> setting, double tolerance)
    {
        var chance = 0.0;
        foreach (var component in components)
        {
            if (component.Weight > Negligible)
            {
                chance += component.Weight * Inside(At(component, setting), tolerance);
            }
        }

        return chance;
    }

    /// <summary>PC: the same from one Gaussian for each way to answer; quicker, for candidates.</summary>
    public double CollapsedChance(ReadOnlySpan<double> setting, double tolerance) =>
        CollapsedChance(Masks, setting, tolerance);

    /// <summary>The same from some ways to answer.</summary>
    public double CollapsedChance(IEnumerable<Component> masks, ReadOnlySpan<double> setting, double tolerance)
    {
        var chance = 0.0;
        foreach (var mask in masks)
        {
            chance += mask.Weight * Inside(At(mask, setting), tolerance);
        }

        return chance;
    }

    /// <summary>
    /// E|t(u + δ e)|² as a quadratic c + bδ + aδ² in the steps δ of one adjuster, under one component.
    /// </summary>
    public (double C, double B, double A) Square(Component component, ReadOnlySpan<double> setting, int lever)
    {
        Span<double> slopeX = stackalloc double[unknowns.Size];
        Span<double> slopeY = stackalloc double[unknowns.Size];
        unknowns.Slope(setting, slopeX, slopeY);
        var (now, covariance) = (At(component, setting), component.Covariance);
        var (x, y) = (unknowns.AlongX(lever), unknowns.AlongY(lever));
        var (gainX, gainY) = (component.Mean[x], component.Mean[y]);
        var shared = covariance.RowTimes(x, slopeX) + covariance.RowTimes(y, slopeY);
        return (
            now.Square,
            2 * ((now.X * gainX) + (now.Y * gainY) + (inflate * shared)),
            (gainX * gainX) + (gainY * gainY) + (inflate * (covariance[x, x] + covariance[y, y]))
        );
    }

    /// <summary>
    /// Chance that a Gaussian mean lies inside a circle about zero, axes taken as independent: 20-point Gauss–Legendre
    /// over x.
    /// </summary>
    public static double Inside(TearMoments at, double tolerance)
    {
        var (sdX, sdY) = (Math.Sqrt(at.VarianceX), Math.Sqrt(at.VarianceY));
        var low = Math.Max(-tolerance, at.X - (Reach * sdX));
        var high = Math.Min(tolerance, at.X + (Reach * sdX));
        if (low >= high)
        {
            return 0;
        }

        var (half, middle) = ((high - low) / 2, (high + low) / 2);
        var sum = 0.0;
        foreach (var (x, w) in Rule)
        {
            var place = middle + (half * x);
            var across = Math.Sqrt(Math.Max(0, (tolerance * tolerance) - (place * place)));
            var z = (place - at.X) / sdX;
            sum += w * Math.Exp(-0.5 * z * z) * (Normal((across - at.Y) / sdY) - Normal((-across - at.Y) / sdY));
        }

        return sum * half / (sdX * Math.Sqrt(2 * Math.PI));
    }

    private static double Normal(double z) => 0.5 * SpecialFunctions.Erfc(-z / Math.Sqrt(2));

    private static (double, double)[] GaussRule()
    {
        var rule = new GaussLegendreRule(-1, 1, Points);
        return [.. Enumerable.Range(0, Points).Select(i => (rule.GetAbscissa(i), rule.GetWeight(i)))];
    }

    /// <summary>Several Gaussians as one with their mean and covariance.</summary>
    private Component Collapse(IEnumerable<Component> some)
    {
        Component[] parts = [.. some];
        var weight = parts.Sum(p => p.Weight);
        var mean = new double[unknowns.Size];
        foreach (var part in parts)
        {
            for (var i = 0; i < mean.Length; i++)
            {
                mean[i] += part.Weight / weight * part.Mean[i];
            }
        }

        var covariance = new SymmetricMatrix(mean.Length);
        foreach (var part in parts)
        {
            for (var i = 0; i < mean.Length; i++)
            {
                for (var j = 0; j < mean.Length; j++)
                {
                    var apart = (part.Mean[i] - mean[i]) * (part.Mean[j] - mean[j]);
                    covariance[i, j] += part.Weight / weight * (part.Covariance[i, j] + apart);
                }
            }
        }

        return new Component(
            weight,
            parts[0].Mask,
            Math.Sqrt(parts.Sum(p => p.Weight / weight * p.Spread * p.Spread)),
            mean,
            covariance
        );
    }
}
