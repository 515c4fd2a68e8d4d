using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>
/// Where each unknown of a bow's response stands in θ: the tear as it stands right and up, then a gain for each
/// adjuster on its own axis, then a cross gain for each on the other.
/// </summary>
/// <param name="prior">The prior that names the adjusters.</param>
public sealed class Unknowns(ResponsePrior prior)
{
    /// <summary>The tear to the right before anything was moved.</summary>
    public const int TearX = 0;

    /// <summary>The tear upward before anything was moved.</summary>
    public const int TearY = 1;

    private const int FirstGain = 2;
    private readonly bool[] sideways = [.. prior.Gains.Select(g => g.Axis == TearAxis.Sideways)];

    /// <summary>How many adjusters.</summary>
    public int Levers => sideways.Length;

    /// <summary>How many unknowns.</summary>
    public int Size => FirstGain + (2 * Levers);

    /// <summary>True for an adjuster whose own axis is sideways.</summary>
    public bool Sideways(int lever) => sideways[lever];

    /// <summary>The gain of an adjuster on its own axis.</summary>
    public int Gain(int lever) => FirstGain + lever;

    /// <summary>Its gain on the other axis.</summary>
    public int Cross(int lever) => FirstGain + Levers + lever;

    /// <summary>True for the gain of some adjuster on its own axis.</summary>
    public bool IsGain(int unknown) => unknown >= FirstGain && unknown < FirstGain + Levers;

    /// <summary>The adjuster of a gain.</summary>
    public static int LeverOf(int gain) => gain - FirstGain;

    /// <summary>The gain by which an adjuster moves the tear to the right.</summary>
    public int AlongX(int lever) => sideways[lever] ? Gain(lever) : Cross(lever);

    /// <summary>The gain by which an adjuster moves the tear upward.</summary>
    public int AlongY(int lever) => sideways[lever] ? Cross(lever) : Gain(lever);

    /// <summary>How the tear at a setting follows each unknown, for gains in inches a step.</summary>
    public void Slope(ReadOnlySpan<int> setting, Span<double> x, Span<double> y)
    {
        x.Clear();
        y.Clear();
        (x[TearX], y[TearY]) = (1, 1);
        for (var lever = 0; lever < Levers; lever++)
        {
            x[AlongX(lever)] = setting[lever];
            y[AlongY(lever)] = setting[lever];
        }
    }
}
