using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Figures;

/// <summary>Mathematics with the user's own numbers in it, in the user's units.</summary>
/// <param name="Text">The formula; its quantities are measures.</param>
/// <param name="InOtherUnits">The same where <paramref name="Text"/> holds a constant that is right in the trade's
/// units alone; null where it holds in any.</param>
public sealed record Formula(FormattableString Text, FormattableString? InOtherUnits = null) : Message;

/// <summary>One line of a working: a name, the formula with the user's own numbers in it, and what it gives.</summary>
/// <param name="Name">What this line is.</param>
/// <param name="Formula">The formula, then the same with the numbers put in, or how it was found.</param>
/// <param name="Value">The result, or null for a line in words.</param>
/// <param name="Unit">The trade unit of the result.</param>
/// <param name="Decimals">Decimals to show: one more than the figure itself.</param>
public sealed record Term(Message Name, Message Formula, double? Value, string Unit, int Decimals)
{
    /// <summary>The result as it is shown.</summary>
    public Message? Text => Value is { } value ? new Amount(new Measure(value, Unit, Decimals)) : null;
}

/// <summary>
/// How a figure came about: what it is, its terms, where the formula is from, and what would move it.
/// </summary>
public sealed record Working(Message What, IReadOnlyList<Term> Terms, Message Source, Message? WouldMove = null);

/// <summary>A computed figure in its one shape: every layer and every screen carries this.</summary>
/// <param name="Name">Stable name, e.g. <c>totalWeight</c>.</param>
/// <param name="Label">The words beside it.</param>
/// <param name="Value">The value in <paramref name="Unit"/>; null when it cannot be known, and then
/// <paramref name="Missing"/> says why.</param>
/// <param name="Unit">The trade unit, one of <see cref="Units.Unit"/>.</param>
/// <param name="Decimals">Sensible decimals in the trade unit.</param>
/// <param name="Low">Lower end of the band, where one is known.</param>
/// <param name="High">Upper end of the band.</param>
/// <param name="Change">Value less the value of the opened state.</param>
/// <param name="Word">A verdict, where there is one.</param>
/// <param name="Missing">Why there is no value.</param>
/// <param name="Working">The working.</param>
public sealed record Figure(
    string Name,
    Message Label,
    double? Value,
    string Unit,
    int Decimals,
    double? Low,
    double? High,
    double? Change,
    Message? Word,
    Message? Missing,
    Working Working
)
{
    /// <summary>A length on a target, inches: its size, with the half width of its 95 % where that is known.</summary>
    public static Figure OnTarget(string name, Message label, double inches, double? plus, Working working)
    {
        var size = Math.Abs(inches);
        return new Figure(
            name,
            label,
            size,
            Units.Unit.Inch,
            2,
            plus is null ? null : Math.Max(0, size - plus.Value),
            size + plus,
            null,
            null,
            null,
            working
        );
    }

    /// <summary>The value as it is shown, without its unit.</summary>
    public Message? Text => Bare(Value);

    /// <summary>The unit it is shown in.</summary>
    public Message ShownUnit => new UnitOf(new Measure(0, Unit, Decimals));

    /// <summary>Lower end of the band as it is shown.</summary>
    public Message? LowText => Bare(Low);

    /// <summary>Upper end of the band as it is shown.</summary>
    public Message? HighText => Bare(High);

    /// <summary>The change as it is shown, with its sign.</summary>
    public Message? ChangeText => Change is { } change ? new Difference(new Measure(change, Unit, Decimals)) : null;

    /// <summary>The same figure with its change against an earlier one of the same name.</summary>
    public Figure Since(Figure? opened) =>
        opened is null || opened.Name != Name || opened.Value is null || Value is null
            ? this
            : this with
            {
                Change = Value - opened.Value,
            };

    private Message? Bare(double? value) =>
        value is { } number ? new BareAmount(new Measure(number, Unit, Decimals)) : null;
}

/// <summary>A caution: the fact, its limit and what to do, in one line, shown where the act is.</summary>
/// <param name="Code">Stable word, e.g. <c>light-arrow</c>.</param>
/// <param name="Text">One line.</param>
/// <param name="Refused">True when the thing may not be kept or shot in this state.</param>
/// <param name="Field">The field it stands beside, or empty.</param>
public sealed record Caution(string Code, Message Text, bool Refused, string Field = "");

/// <summary>What is next: one sentence, one line of reason, one button, one alternative.</summary>
/// <param name="Sentence">At most 70 characters.</param>
/// <param name="Reason">One line of reason or caution.</param>
/// <param name="Action">Stable word for the button's act.</param>
/// <param name="Button">The button's words.</param>
/// <param name="Alternative">The other act's words, or null.</param>
/// <param name="AlternativeAction">Stable word for the other act.</param>
public sealed record Next(
    Message Sentence,
    Message Reason,
    string Action,
    Message Button,
    Message? Alternative = null,
    string? AlternativeAction = null
);
