namespace Merganser.Core.Figures;

/// <summary>One line of a working: a name, the formula with the user's own numbers in it, and what it gives.</summary>
/// <param name="Name">What this line is.</param>
/// <param name="Formula">The formula, then the same with the numbers put in.</param>
/// <param name="Value">The result, or null for a line in words.</param>
/// <param name="Unit">The trade unit of the result.</param>
/// <param name="Decimals">Decimals to show: one more than the figure itself.</param>
public sealed record Term(string Name, string Formula, double? Value, string Unit, int Decimals);

/// <summary>How a figure came about: what it is, its terms, where the formula is from, and what would move it.</summary>
public sealed record Working(string What, IReadOnlyList<Term> Terms, string Source, string WouldMove = "");

/// <summary>A computed figure in its one shape: every layer and every screen carries this.</summary>
/// <param name="Name">Stable name, e.g. <c>totalWeight</c>.</param>
/// <param name="Label">The words beside it.</param>
/// <param name="Value">The value in <paramref name="Unit"/>; null when it cannot be known, and then <paramref name="Missing"/> says why.</param>
/// <param name="Unit">The trade unit: <c>gr</c>, <c>in</c>, <c>%</c>, <c>gr/lb</c>, <c>ft/s</c>, <c>ft·lb</c>, <c>slug·ft/s</c>, <c>lb</c>, <c>AMO lb</c> or empty.</param>
/// <param name="Decimals">Sensible decimals in the trade unit.</param>
/// <param name="Low">Lower end of the band, where one is known.</param>
/// <param name="High">Upper end of the band.</param>
/// <param name="Change">Value less the value of the opened state.</param>
/// <param name="Word">A verdict in words, where there is one.</param>
/// <param name="Missing">Why there is no value, as a sentence.</param>
/// <param name="Working">The working.</param>
public sealed record Figure(
    string Name, string Label, double? Value, string Unit, int Decimals, double? Low, double? High, double? Change,
    string? Word, string? Missing, Working Working)
{
    /// <summary>The same figure with its change against an earlier one of the same name.</summary>
    public Figure Since(Figure? opened) =>
        opened is null || opened.Name != Name || opened.Value is null || Value is null ? this : this with { Change = Value - opened.Value };
}

/// <summary>A caution: the fact, its limit and what to do, in one line, shown where the act is.</summary>
/// <param name="Code">Stable word, e.g. <c>light-arrow</c>.</param>
/// <param name="Text">One line.</param>
/// <param name="Refused">True when the thing may not be kept or shot in this state.</param>
/// <param name="Field">The field it stands beside, or empty.</param>
public sealed record Caution(string Code, string Text, bool Refused, string Field = "");

/// <summary>What is next: one sentence, one line of reason, one button, one alternative.</summary>
/// <param name="Sentence">At most 70 characters.</param>
/// <param name="Reason">One line of reason or caution.</param>
/// <param name="Action">Stable word for the button's act.</param>
/// <param name="Button">The button's words.</param>
/// <param name="Alternative">The other act's words, or null.</param>
/// <param name="AlternativeAction">Stable word for the other act.</param>
public sealed record Next(string Sentence, string Reason, string Action, string Button, string? Alternative = null, string? AlternativeAction = null);
