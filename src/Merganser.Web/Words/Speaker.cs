using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>
/// Says messages to one person: in their units, and with the hand of the bow that is spoken of. A quantity in a words
/// table is formatted here and nowhere else.
/// </summary>
/// <param name="Units">The person's units.</param>
/// <param name="Hand">The hand that draws the bow.</param>
public sealed record Speaker(DisplayUnits Units, Hand Hand) : IFormatProvider, ICustomFormatter
{
    /// <summary>To nobody in particular.</summary>
    public static Speaker Trade { get; } = new(DisplayUnits.Trade, Hand.Right);

    private bool InTrade => Units == DisplayUnits.Trade with { Distance = Units.Distance };

    /// <summary>A message as a sentence, or as a piece of one.</summary>
    public string Say(Message message) =>
        message switch
        {
            Verbatim own => own.Text,
            Sentences many => string.Join(" ", many.Parts.Select(Say).Where(s => s.Length > 0)),
            Amount figure => Display.Text(figure.Of, Units),
            BareAmount figure => Display.Number(figure.Of, Units),
            Difference change => Display.Signed(change.Of, Units),
            Formula formula => Say(InTrade ? formula.Text : formula.InOtherUnits ?? formula.Text),
            UnitOf unit => Display.WayOf(unit.Of.Unit, Units).Unit,
            _ => Say(Wording.Of(message, Hand)),
        };

    /// <summary>Words of a table with their quantities put in.</summary>
    public string Say(FormattableString words) => string.Format(this, words.Format, words.GetArguments());

    object? IFormatProvider.GetFormat(Type? type) => type == typeof(ICustomFormatter) ? this : null;

    /// <summary>
    /// One quantity in a sentence. Formats: <c>low</c> and <c>cap</c> turn the first letter, <c>and</c> joins a list
    /// with "and"; a measure takes <c>bare</c> (no unit), <c>signed</c> or <c>size</c> (no sign); a count takes its
    /// noun: <c>{n:shot}</c> is 1 shot, 2 shots.
    /// </summary>
    string ICustomFormatter.Format(string? format, object? part, IFormatProvider? provider) =>
        part switch
        {
            null => "",
            string text => Turned(text, format),
            Measure measure => OfMeasure(measure, format),
            InWords size => Turned(Said(size), format),
            int count => format is { Length: > 0 } noun ? Show.Count(count, noun) : Show.Number(count, 0),
            FormattableString words => Turned(Say(words), format),
            Message message => Turned(Say(message), format),
            Enum word => Turned(Say(Wording.NameOf(word)), format),
            IEnumerable<Message> list => Joined([.. list.Select(Say)], format),
            IEnumerable<Measure> list => Joined([.. list.Select(m => Display.Text(m, Units))], format),
            IEnumerable<string> list => Joined([.. list], format),
            IEnumerable<int> list => Joined([.. list.Select(n => Show.Number(n, 0))], format),
            DateTimeOffset date => date.ToString(format ?? "d MMMM", System.Globalization.CultureInfo.InvariantCulture),
            _ => throw new ArgumentException($"A {part.GetType().Name} has no words of its own."),
        };

    private string Said(InWords size) =>
        size.Of is { } of && Display.WayOf(of.Unit, Units).Unit != of.Unit
            ? $"about {Display.Text(of, Units)}"
            : size.Trade;

    private string OfMeasure(Measure measure, string? format) =>
        format switch
        {
            "bare" => Display.Number(measure, Units),
            "signed" => Display.Signed(measure, Units),
            "size" => Display.Text(measure.Size, Units),
            _ => Display.Text(measure, Units),
        };

    private static string Joined(string[] parts, string? format) =>
        format switch
        {
            "and" when parts.Length > 1 => $"{string.Join(", ", parts[..^1])} and {parts[^1]}",
            "lowand" => Joined([.. parts.Select(p => Turned(p, "low"))], "and"),
            "semicolons" => string.Join("; ", parts),
            "low" => string.Join(", ", parts.Select(p => Turned(p, "low"))),
            _ => string.Join(", ", parts),
        };

    private static string Turned(string text, string? format) =>
        format switch
        {
            _ when text.Length == 0 => text,
            "low" when text.Length > 1 && char.IsUpper(text[1]) => text,
            "low" when text.StartsWith("D-", StringComparison.Ordinal) => text,
            "low" => char.ToLowerInvariant(text[0]) + text[1..],
            "cap" => char.ToUpperInvariant(text[0]) + text[1..],
            _ => text,
        };
}

/// <summary>A size as the trade says it, and for whoever has other units as a figure.</summary>
/// <param name="Trade">The trade's words.</param>
/// <param name="Of">The figure; null where the words name no unit.</param>
public sealed record InWords(string Trade, Measure? Of = null);
