using Merganser.Core.Units;

namespace Merganser.Core.Figures;

/// <summary>What is wrong with one field, as a sentence with the range and why.</summary>
public sealed record FieldProblem(string Field, string Code, string Message);

/// <summary>Input that the Core refuses, with one problem for each field.</summary>
public sealed class RefusedException(string code, string message, params IReadOnlyList<FieldProblem> problems) : Exception(message)
{
    /// <summary>Stable word for the whole refusal.</summary>
    public string Code { get; } = code;

    /// <summary>The problems, field by field; may be empty.</summary>
    public IReadOnlyList<FieldProblem> Problems { get; } = problems;

    /// <summary>A refusal that names its fields: one by its own sentence, several by their names.</summary>
    /// <param name="problems">At least one.</param>
    public static RefusedException Of(IReadOnlyList<FieldProblem> problems) =>
        new("fields", problems.Count == 1 ? problems[0].Message : $"Another look is needed at {string.Join(", ", problems.Select(p => Named(p.Field)).Distinct())}.", [.. problems]);

    /// <summary>A field's name in words: <c>drawLength</c> is "draw length".</summary>
    private static string Named(string field)
    {
        var last = field[(field.LastIndexOf('.') + 1)..];
        return string.Concat(last.Select(c => char.IsUpper(c) ? $" {char.ToLowerInvariant(c)}" : $"{c}"));
    }
}

/// <summary>An allowed range with the reason that is told when it is left.</summary>
/// <param name="Low">Lowest allowed value in the trade unit.</param>
/// <param name="High">Highest allowed value.</param>
/// <param name="Unit">Trade unit for the message.</param>
/// <param name="Why">Why the range ends there.</param>
public readonly record struct AllowedRange(double Low, double High, string Unit, string Why)
{
    /// <summary>The range as words.</summary>
    public string Words => $"{Trim(Low)} to {Trim(High)}{(Unit.Length == 0 ? "" : " " + Unit)}";

    /// <summary>True inside the range, ends included; a value that is no number is outside.</summary>
    public bool Holds(double value) => value >= Low && value <= High;

    private static string Trim(double value) => Show.Number(value, 3).TrimEnd('0').TrimEnd('.');
}

/// <summary>Reads typed fields one after the other and gathers every problem, so that all are told at once.</summary>
public sealed class FieldReader
{
    private readonly List<FieldProblem> problems = [];

    /// <summary>The problems so far.</summary>
    public IReadOnlyList<FieldProblem> Problems => problems;

    /// <summary>A value that must be there.</summary>
    public Entry? Required(string field, string? text, Quantity quantity, AllowedRange range) => Read(field, text, quantity, range);

    /// <summary>A value that may be left empty.</summary>
    public Entry? Optional(string field, string? text, Quantity quantity, AllowedRange range) =>
        string.IsNullOrWhiteSpace(text) ? null : Read(field, text, quantity, range);

    /// <summary>A name: not empty, at most 60 characters.</summary>
    public string Name(string field, string? text)
    {
        var name = text?.Trim() ?? "";
        Check(name.Length is > 0 and <= 60, field, "name", "A name of 1 to 60 characters is needed.");
        return name;
    }

    /// <summary>Adds a problem unless the condition holds.</summary>
    public void Check(bool holds, string field, string code, string message)
    {
        if (!holds)
        {
            problems.Add(new FieldProblem(field, code, message));
        }
    }

    /// <summary>Throws when anything was wrong.</summary>
    /// <exception cref="RefusedException">At least one field has a problem.</exception>
    public void ThrowIfAny()
    {
        if (problems.Count > 0)
        {
            throw RefusedException.Of(problems);
        }
    }

    private Entry? Read(string field, string? text, Quantity quantity, AllowedRange range)
    {
        try
        {
            var entry = Entry.Parse(text, quantity);
            if (range.Holds(entry.Value))
            {
                return entry;
            }

            problems.Add(new FieldProblem(field, "range", $"Allowed is {range.Words}: {range.Why}."));
        }
        catch (EntryException problem)
        {
            problems.Add(new FieldProblem(field, problem.Code, problem.Message));
        }

        return null;
    }
}
