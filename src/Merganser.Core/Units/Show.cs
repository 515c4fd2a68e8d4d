using System.Globalization;

namespace Merganser.Core.Units;

/// <summary>Numbers as the trade writes them in a sentence or a working: decimal point, U+2212 for minus.</summary>
public static class Show
{
    /// <summary>The value with a fixed number of decimals.</summary>
    public static string Number(double value, int decimals)
    {
        var rounded = Math.Round(value, decimals, MidpointRounding.AwayFromZero);
        return (rounded == 0 ? 0 : rounded).ToString("F" + decimals, CultureInfo.InvariantCulture).Replace('-', '−');
    }

    /// <summary>The value with a sign always shown.</summary>
    public static string Signed(double value, int decimals) => (value > 0 ? "+" : "") + Number(value, decimals);

    /// <summary>A spine deflection as the trade names it: <c>.340</c>.</summary>
    public static string Spine(double inches) => Number(inches, 3).TrimStart('0');

    /// <summary>A probability of a test: <c>p = .031</c>, <c>p &lt; .001</c>.</summary>
    public static string Probability(double p) => p < 0.001 ? "p < .001" : $"p = {Number(p, 3).TrimStart('0')}";

    /// <summary>A count with its noun: <c>1 shot</c>, <c>3 shots</c>.</summary>
    public static string Count(int count, string noun) => count == 1 ? $"1 {noun}" : $"{count} {noun}s";

    /// <summary>The same with halves: <c>½ click</c>, <c>2½ clicks</c>.</summary>
    public static string Halves(double count, string noun)
    {
        var whole = (int)Math.Floor(count);
        return count == whole ? Count(whole, noun) : $"{(whole == 0 ? "" : whole)}½ {noun}{(whole == 0 ? "" : "s")}";
    }
}
