using System.Globalization;

namespace Merganser.Instruments;

/// <summary>What an instrument measures.</summary>
public enum InstrumentKind
{
    Scale,
    Chronograph,
}

/// <summary>One reading as it comes over the wire: <c>scale 253.1 gr stable 17</c>. See docs/instruments.md.</summary>
/// <param name="Kind">What measured.</param>
/// <param name="Value">The value in its unit: gr for a scale, ft/s for a chronograph.</param>
/// <param name="Stable">True when the instrument calls it stable.</param>
/// <param name="Sequence">Counts up by one a reading.</param>
public sealed record InstrumentLine(InstrumentKind Kind, double Value, bool Stable, long Sequence)
{
    /// <summary>Longest line that is looked at; what is longer is garbage.</summary>
    public const int LongestLine = 80;

    private const double HeaviestPan = 3000;
    private const double FastestArrow = 600;

    /// <summary>The unit a kind speaks in.</summary>
    public static string UnitOf(InstrumentKind kind) => kind == InstrumentKind.Scale ? "gr" : "ft/s";

    /// <summary>The line without its end.</summary>
    public string Write() =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Word(Kind)} {Value:0.0} {UnitOf(Kind)} {(Stable ? "stable" : "unstable")} {Sequence}"
        );

    /// <summary>Reads a line; a line that is no reading says why.</summary>
    /// <returns>The reading, or null with the reason.</returns>
    public static (InstrumentLine? Line, string? Problem) Read(string text)
    {
        if (text.Length > LongestLine)
        {
            return (null, "a line that is too long");
        }

        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length != 5)
        {
            return (null, "a line that is no reading");
        }

        if (words[0] is not ("scale" or "chronograph"))
        {
            return (null, "a reading of an unknown instrument");
        }

        var kind = words[0] == "scale" ? InstrumentKind.Scale : InstrumentKind.Chronograph;
        if (
            words[2] != UnitOf(kind)
            || words[3] is not ("stable" or "unstable")
            || !double.TryParse(
                words[1],
                NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var value
            )
            || !long.TryParse(words[4], NumberStyles.None, CultureInfo.InvariantCulture, out var sequence)
        )
        {
            return (null, "a line that is no reading");
        }

        var inRange = kind == InstrumentKind.Scale ? Math.Abs(value) <= HeaviestPan : value is > 0 and <= FastestArrow;
        return inRange
            ? (new InstrumentLine(kind, value, words[3] == "stable", sequence), null)
            : (null, "a reading out of range");
    }

    private static string Word(InstrumentKind kind) => kind == InstrumentKind.Scale ? "scale" : "chronograph";
}
