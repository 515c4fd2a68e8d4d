using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>
/// Where each unknown of a bow's response stands in θ: the tear as it stands right and up, then a gain for each
/// adjuster on its own axis, then a cross gain for each on the other; then the tears that other rigs of the bow began
/// from, and what each day of shooting added, where there was more than one.
/// </summary>
public sealed class Unknowns
{
    /// <summary>The tear to the right before anything was moved.</summary>
    public const int TearX = 0;

    /// <summary>The tear upward before anything was moved.</summary>
    public const int TearY = 1;

    private const int FirstGain = 2;
    private const int Axes = 2;
    private readonly bool[] sideways;
    private readonly int rigs;
    private readonly int days;

    /// <param name="prior">The prior that names the adjusters.</param>
    /// <param name="shots">The shots that are read; none as the bow stands before them.</param>
    public Unknowns(ResponsePrior prior, IReadOnlyList<Observation>? shots = null)
    {
        sideways = [.. prior.Gains.Select(g => g.Axis == TearAxis.Sideways)];
        rigs = shots is { Count: > 0 } ? shots.Max(s => s.Rig) : 0;
        days = shots is { Count: > 0 } ? shots.Max(s => s.DaysAgo) + 1 : 1;
    }

    /// <summary>How many adjusters.</summary>
    public int Levers => sideways.Length;

    /// <summary>How many unknowns.</summary>
    public int Size => FirstDay + (SeveralDays ? Axes * days : 0);

    /// <summary>True where it was shot on several days: each has an offset of its own.</summary>
    public bool SeveralDays => days > 1;

    private int FirstRig => FirstGain + (Axes * Levers);

    private int FirstDay => FirstRig + (Axes * rigs);

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

    /// <summary>The tears that other rigs began from, right and up in turn.</summary>
    public IEnumerable<int> OtherTears => Enumerable.Range(FirstRig, Axes * rigs);

    /// <summary>What the days added, right and up in turn.</summary>
    public IEnumerable<int> Days => Enumerable.Range(FirstDay, Size - FirstDay);

    /// <summary>The unknowns that a shot's tear holds besides what the adjusters do: they add up.</summary>
    public void Begin(int rig, int daysAgo, Span<double> x, Span<double> y)
    {
        x.Clear();
        y.Clear();
        var tear = rig == 0 ? TearX : FirstRig + (Axes * (rig - 1));
        (x[tear], y[tear + 1]) = (1, 1);
        if (SeveralDays)
        {
            var day = FirstDay + (Axes * daysAgo);
            (x[day], y[day + 1]) = (1, 1);
        }
    }

    /// <summary>How the tear at a setting today follows each unknown, for gains in inches a step.</summary>
    public void Slope(ReadOnlySpan<double> setting, Span<double> x, Span<double> y)
    {
        Begin(0, 0, x, y);
        for (var lever = 0; lever < Levers; lever++)
        {
            x[AlongX(lever)] = setting[lever];
            y[AlongY(lever)] = setting[lever];
        }
    }

    /// <summary>The same without what today added: as it lasts.</summary>
    public void SlopeOfAllDays(ReadOnlySpan<double> setting, Span<double> x, Span<double> y)
    {
        Slope(setting, x, y);
        x[FirstDay..].Clear();
        y[FirstDay..].Clear();
    }
}
