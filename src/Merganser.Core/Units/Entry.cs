using System.Globalization;
using System.Text.RegularExpressions;
using Merganser.Core.Messages;

namespace Merganser.Core.Units;

/// <summary>A measured value as a person typed it, and what it means in the trade unit of its quantity.</summary>
/// <param name="Typed">The text, untouched, so that it can be shown again as it was written.</param>
/// <param name="Value">The value in the trade unit (in, gr, lb, ft/s, yd).</param>
public sealed partial record Entry(string Typed, double Value)
{
    private const int LongestText = 40;

    /// <summary>
    /// Reads <c>28 1/2</c>, <c>28.5</c>, <c>28,5</c>, <c>13/16</c>, <c>72.4 cm</c>. A comma is a decimal comma.
    /// </summary>
    /// <exception cref="EntryException">The text is empty, too long, no number, or carries a unit of another
    /// quantity.</exception>
    public static Entry Parse(string? text, Quantity quantity)
    {
        var typed = text?.Trim() ?? "";
        if (typed.Length == 0)
        {
            throw new EntryException("empty", new NothingEntered());
        }

        if (typed.Length > LongestText)
        {
            throw new EntryException("too-long", new TooLong(LongestText));
        }

        var match = Pattern().Match(Plain(typed));
        if (!match.Success)
        {
            throw new EntryException("not-a-number", new NotANumber(typed));
        }

        var value = Number(match, typed);
        var unit = match.Groups["unit"].Value;
        if (unit.Length == 0)
        {
            return new Entry(typed, value);
        }

        var factor =
            UnitTable.Factor(quantity, unit)
            ?? throw new EntryException("unit", new NoSuchUnit(unit, UnitTable.Known(quantity)));
        return new Entry(typed, (value * factor) + UnitTable.Nought(quantity, unit.ToUpperInvariant()));
    }

    /// <summary>The same in digits and signs of ASCII: a digit of any script is the one that it stands for.</summary>
    private static string Plain(string typed) =>
        string.Create(
            typed.Length,
            typed,
            (plain, from) =>
            {
                for (var i = 0; i < from.Length; i++)
                {
                    plain[i] = from[i] switch
                    {
                        '\u2212' => '-',
                        '\u2044' => '/',
                        '\u066b' => '.',
                        var digit when char.IsDigit(digit) => (char)('0' + CharUnicodeInfo.GetDecimalDigitValue(digit)),
                        var other => other,
                    };
                }
            }
        );

    private static double Number(Match match, string typed)
    {
        var whole = match.Groups["number"].Success
            ? double.Parse(match.Groups["number"].Value.Replace(',', '.'), CultureInfo.InvariantCulture)
            : 0;
        var part = 0.0;
        if (match.Groups["over"].Success)
        {
            var under = double.Parse(match.Groups["under"].Value, CultureInfo.InvariantCulture);
            if (under == 0)
            {
                throw new EntryException("not-a-number", new DividesByNought(typed));
            }

            part = double.Parse(match.Groups["over"].Value, CultureInfo.InvariantCulture) / under;
        }

        var value = whole + part;
        return match.Groups["sign"].Value == "-" ? -value : value;
    }

    [GeneratedRegex(
        @"^(?<sign>[+-]?)\s*(?:(?<number>\d{1,7}(?:[.,]\d{1,9})?|[.,]\d{1,9})(?![\d/])(?:[\s-]+(?<over>\d{1,3})/(?<under>\d{1,3}))?|(?<over>\d{1,3})/(?<under>\d{1,3}))\s*(?<unit>[^\d\s.,/+-][^\d\s]{0,6})?$"
    )]
    private static partial Regex Pattern();
}

/// <summary>A field that must be filled is empty.</summary>
public sealed record NothingEntered : Message;

/// <summary>A text is longer than it may be.</summary>
public sealed record TooLong(int Characters) : Message;

/// <summary>A text is no number.</summary>
public sealed record NotANumber(string Typed) : Message;

/// <summary>A fraction has nought under its line.</summary>
public sealed record DividesByNought(string Typed) : Message;

/// <summary>A unit that this quantity does not have.</summary>
/// <param name="Written">As it was written.</param>
/// <param name="Known">The units that may be written; none for a plain number.</param>
public sealed record NoSuchUnit(string Written, IReadOnlyList<string> Known) : Message;

/// <summary>An entry that cannot be read.</summary>
public sealed class EntryException(string code, Message said) : Exception(code)
{
    /// <summary>
    /// A short stable word for programs: <c>empty</c>, <c>not-a-number</c>, <c>unit</c>, <c>too-long</c>.
    /// </summary>
    public string Code { get; } = code;

    /// <summary>What is said to the person who typed it.</summary>
    public Message Said { get; } = said;
}
