using System.Text.RegularExpressions;

namespace Merganser.Core.Units;

/// <summary>
/// What is known of a value: the value itself, or the range in which it lies, as "60 to 70". A weight printed on a limb
/// is such a range.
/// </summary>
/// <param name="Low">Lower end in the trade unit.</param>
/// <param name="High">Upper end; the lower one for a known value.</param>
public sealed partial record Span(double Low, double High)
{
    /// <summary>The value to reckon with.</summary>
    public double Middle => (Low + High) / 2;

    /// <summary>Half of the range, 0 for a known value.</summary>
    public double Band => (High - Low) / 2;

    /// <summary>
    /// Reads <c>65</c>, <c>60 to 70</c>, <c>60–70 lb</c>. A unit at the end is that of both; a plain hyphen between two
    /// numbers is not read as a range, since it joins a whole number to its fraction.
    /// </summary>
    /// <exception cref="EntryException">An end cannot be read, or the ends stand the wrong way round.</exception>
    public static Span Parse(string? text, Quantity quantity)
    {
        var match = Range().Match(text ?? "");
        if (!match.Success)
        {
            var value = Entry.Parse(text, quantity).Value;
            return new Span(value, value);
        }

        var (from, to) = (match.Groups["from"].Value, match.Groups["to"].Value);
        var high = Entry.Parse(to, quantity).Value;
        var unit = Unitless().IsMatch(from) ? Ending().Match(to).Value : "";
        var low = Entry.Parse(from + unit, quantity).Value;
        return low <= high ? new Span(low, high) : throw new EntryException("reversed", new EndsReversed(text!.Trim()));
    }

    [GeneratedRegex(@"^\s*(?<from>\S.*?)\s*(?:\bto\b|–|…)\s*(?<to>.*\S)\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Range();

    [GeneratedRegex(@"\d\s*$")]
    private static partial Regex Unitless();

    [GeneratedRegex(@"[^\d\s.,/]+\s*$")]
    private static partial Regex Ending();
}

/// <summary>A range whose larger end comes first.</summary>
public sealed record EndsReversed(string Typed) : Messages.Message;
