using System.Globalization;

namespace Merganser.Instruments;

/// <summary>What an instrument measures.</summary>
public enum InstrumentKind
{
    /// <summary>Mass, gr.</summary>
    Scale,

    /// <summary>Speed, ft/s.</summary>
    Chronograph,

    /// <summary>What the middle of a shaft gives, in.</summary>
    Spine,

    /// <summary>Run-out of a turned shaft, in.</summary>
    Dial,

    /// <summary>Force on a string, lb, at its travel from rest, in.</summary>
    Board,
}

/// <summary>
/// One reading as it comes over the wire: <c>scale 253.1 gr stable 17</c>; a draw board names the travel too:
/// <c>board 48.2 lb 12.50 in stable 17</c>. See docs/instruments.md.
/// </summary>
/// <param name="Kind">What measured.</param>
/// <param name="Value">The value in its unit.</param>
/// <param name="Stable">True when the instrument calls it stable.</param>
/// <param name="Sequence">Counts up by one a reading.</param>
/// <param name="Travel">The travel of the string, inches; null for any other instrument than a draw board.</param>
public sealed record InstrumentLine(
    InstrumentKind Kind,
    double Value,
    bool Stable,
    long Sequence,
    double? Travel = null
)
{
    /// <summary>Longest line that is looked at; what is longer is garbage.</summary>
    public const int LongestLine = 80;

    private const double LongestTravel = 40;

    private static readonly Dictionary<InstrumentKind, (string Unit, string Format, double Low, double High)> Kinds =
        new()
        {
            [InstrumentKind.Scale] = ("gr", "0.0", -3000, 3000),
            [InstrumentKind.Chronograph] = ("ft/s", "0.0", 0.01, 600),
            [InstrumentKind.Spine] = ("in", "0.000", -0.1, 4),
            [InstrumentKind.Dial] = ("in", "0.0000", 0, 0.25),
            [InstrumentKind.Board] = ("lb", "0.0", -1, 150),
        };

    /// <summary>The unit a kind speaks in.</summary>
    public static string UnitOf(InstrumentKind kind) => Kinds[kind].Unit;

    /// <summary>The line without its end.</summary>
    public string Write() =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Word(Kind)} {Value.ToString(Kinds[Kind].Format, CultureInfo.InvariantCulture)} {UnitOf(Kind)} {Along()}{(Stable ? "stable" : "unstable")} {Sequence}"
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
        if (words.Length is not (5 or 7))
        {
            return (null, "a line that is no reading");
        }

        if (Kinds.Keys.Where(k => Word(k) == words[0]).Select(k => (InstrumentKind?)k).FirstOrDefault() is not { } kind)
        {
            return (null, "a reading of an unknown instrument");
        }

        var board = kind == InstrumentKind.Board;
        var travel = 0.0;
        if (
            words.Length != (board ? 7 : 5)
            || words[2] != UnitOf(kind)
            || (board && (words[4] != "in" || !Number(words[3], out travel)))
            || words[^2] is not ("stable" or "unstable")
            || !Number(words[1], out var value)
            || !long.TryParse(words[^1], NumberStyles.None, CultureInfo.InvariantCulture, out var sequence)
        )
        {
            return (null, "a line that is no reading");
        }

        return value >= Kinds[kind].Low && value <= Kinds[kind].High && travel is >= 0 and <= LongestTravel
            ? (new InstrumentLine(kind, value, words[^2] == "stable", sequence, board ? travel : null), null)
            : (null, "a reading out of range");
    }

    private string Along() =>
        Travel is { } travel ? string.Create(CultureInfo.InvariantCulture, $"{travel:0.00} in ") : "";

    private static bool Number(string word, out double value) =>
        double.TryParse(
            word,
            NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint,
            CultureInfo.InvariantCulture,
            out value
        );

    private static string Word(InstrumentKind kind) => kind.ToString().ToLowerInvariant();
}
