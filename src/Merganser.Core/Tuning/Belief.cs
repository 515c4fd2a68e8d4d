using MathNet.Numerics;
using MathNet.Numerics.Integration;
using Merganser.Core.Bows;

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
public sealed class Belief
{
    private const int Points = 20;
    private const double Reach = 6;
    private const double Negligible = 1e-9;
    private static readonly (double X, double W)[] Rule = GaussRule();

    private readonly ResponsePrior prior;
    private readonly int levers;
    private readonly int size;
    private readonly double inflate;
    private readonly IReadOnlyList<Component> components;

    /// <param name="prior">The prior, for the axes of its adjusters.</param>
    /// <param name="components">The hypotheses as fitted; their weights sum to 1.</param>
    /// <param name="inflate">What variances are multiplied by: 1, or 1.2 for ⅛ in or a poor archer, where the fit is
    /// known to be optimistic.</param>
    public Belief(ResponsePrior prior, IReadOnlyList<Component> components, double inflate = 1)
    {
        this.prior = prior;
        this.inflate = inflate;
        this.components = components;
        levers = prior.Gains.Count;
        size = 2 + (2 * levers);
        Signs =
        [
            .. components
                .GroupBy(c => c.Sign)
                .Where(g => g.Sum(c => c.Weight) > Negligible)
                .OrderByDescending(g => g.Key)
                .Select(Collapse),
        ];
        All = Collapse(components);
        Spread2 = components.Sum(c => c.Weight * c.Spread * c.Spread);
    }

    /// <summary>Every hypothesis as fitted.</summary>
    public IReadOnlyList<Component> Components => components;

    /// <summary>One Gaussian for each sign of the disputed adjuster, + first.</summary>
    public IReadOnlyList<Component> Signs { get; }

    /// <summary>All in one Gaussian.</summary>
    public Component All { get; }

    /// <summary>S²: the expected square of the shot spread, in² per axis.</summary>
    public double Spread2 { get; }

    /// <summary>How much the less likely sign is still believed; 0 when nothing is disputed.</summary>
    public double SignDoubt => Signs.Count < 2 ? 0 : Signs.Min(s => s.Weight);

    /// <summary>The same belief with wider variances.</summary>
    public Belief Wider(double by) => new(prior, components, by);

    /// <summary>Gain of an adjuster on its own axis with its sd, inches a step.</summary>
    public (double Gain, double Sd) GainOf(int lever) => GainOf(All, lever);

    /// <summary>The same under one sign.</summary>
    public (double Gain, double Sd) GainOf(Component of, int lever) =>
        (of.Mean[2 + lever], Math.Sqrt(inflate * of.Covariance[((2 + lever) * size) + 2 + lever]));

    /// <summary>Mean tear at a setting.</summary>
    public TearMoments At(ReadOnlySpan<int> setting) => At(All, setting);

    /// <summary>Mean tear at a setting under one component.</summary>
    public TearMoments At(Component component, ReadOnlySpan<int> setting)
    {
        Span<double> alongX = stackalloc double[size];
        Span<double> alongY = stackalloc double[size];
        Along(setting, alongX, alongY);
        var (x, y) = (0.0, 0.0);
        for (var i = 0; i < size; i++)
        {
            x += alongX[i] * component.Mean[i];
            y += alongY[i] * component.Mean[i];
        }

        return new TearMoments(
            x,
            y,
            inflate * Bilinear(alongX, component.Covariance, alongX),
            inflate * Bilinear(alongY, component.Covariance, alongY)
        );
    }

    /// <summary>P(in): chance that the true mean lies inside the circle, all hypotheses weighed.</summary>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="tolerance">Radius of the circle, inches.</param>
    public double ChanceInside(ReadOnlySpan<int> setting, double tolerance)
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

    /// <summary>PC: the same from one Gaussian for each sign; quicker, for candidates.</summary>
    public double CollapsedChance(ReadOnlySpan<int> setting, double tolerance)
    {
        var chance = 0.0;
        foreach (var sign in Signs)
        {
            chance += sign.Weight * Inside(At(sign, setting), tolerance);
        }

        return chance;
    }

    /// <summary>
    /// E|t(u + δ e)|² as a quadratic c + bδ + aδ² in the steps δ of one adjuster, under one component.
    /// </summary>
    public (double C, double B, double A) Square(Component component, ReadOnlySpan<int> setting, int lever)
    {
        Span<double> alongX = stackalloc double[size];
        Span<double> alongY = stackalloc double[size];
        Along(setting, alongX, alongY);
        var now = At(component, setting);
        var sideways = prior.Gains[lever].Axis == TearAxis.Sideways;
        var (own, cross) = (2 + lever, 2 + levers + lever);
        var (gx, gy) = sideways ? (own, cross) : (cross, own);
        var (gainX, gainY) = (component.Mean[gx], component.Mean[gy]);
        var (covX, covY) = (0.0, 0.0);
        for (var i = 0; i < size; i++)
        {
            covX += alongX[i] * component.Covariance[(i * size) + gx];
            covY += alongY[i] * component.Covariance[(i * size) + gy];
        }

        return (
            now.Square,
            2 * ((now.X * gainX) + (now.Y * gainY) + (inflate * (covX + covY))),
            (gainX * gainX)
                + (gainY * gainY)
                + (inflate * (component.Covariance[(gx * size) + gx] + component.Covariance[(gy * size) + gy]))
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

    private void Along(ReadOnlySpan<int> setting, Span<double> alongX, Span<double> alongY)
    {
        alongX.Clear();
        alongY.Clear();
        (alongX[0], alongY[1]) = (1, 1);
        for (var j = 0; j < levers; j++)
        {
            var sideways = prior.Gains[j].Axis == TearAxis.Sideways;
            (sideways ? alongX : alongY)[2 + j] = setting[j];
            (sideways ? alongY : alongX)[2 + levers + j] = setting[j];
        }
    }

    private double Bilinear(ReadOnlySpan<double> left, double[] matrix, ReadOnlySpan<double> right)
    {
        var sum = 0.0;
        for (var i = 0; i < size; i++)
        {
            if (left[i] == 0)
            {
                continue;
            }

            var row = 0.0;
            for (var j = 0; j < size; j++)
            {
                row += matrix[(i * size) + j] * right[j];
            }

            sum += left[i] * row;
        }

        return sum;
    }

    private Component Collapse(IEnumerable<Component> some)
    {
        Component[] parts = [.. some];
        var weight = parts.Sum(p => p.Weight);
        var mean = new double[size];
        var covariance = new double[size * size];
        foreach (var part in parts)
        {
            for (var i = 0; i < size; i++)
            {
                mean[i] += part.Weight / weight * part.Mean[i];
            }
        }

        foreach (var part in parts)
        {
            for (var i = 0; i < size; i++)
            {
                for (var j = 0; j < size; j++)
                {
                    covariance[(i * size) + j] +=
                        part.Weight
                        / weight
                        * (part.Covariance[(i * size) + j] + ((part.Mean[i] - mean[i]) * (part.Mean[j] - mean[j])));
                }
            }
        }

        return new Component(
            weight,
            parts[0].Sign,
            Math.Sqrt(parts.Sum(p => p.Weight / weight * p.Spread * p.Spread)),
            mean,
            covariance
        );
    }
}
