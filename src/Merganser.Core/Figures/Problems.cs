using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Figures;

/// <summary>A range was left: what is allowed, and why.</summary>
public sealed record Outside(AllowedRange Range) : Message;

/// <summary>A range by itself.</summary>
public sealed record RangeOf(AllowedRange Range) : Message;

/// <summary>Several fields want another look.</summary>
/// <param name="Fields">Their names.</param>
public sealed record LookAgainAt(IReadOnlyList<string> Fields) : Message;

/// <summary>A name of so many characters is wanted.</summary>
public sealed record NameWanted(int Longest) : Message;

/// <summary>One to so many are wanted.</summary>
public sealed record TooMany(int Most) : Message;

/// <summary>One of a few words is wanted.</summary>
public sealed record UseOneOf(IReadOnlyList<string> Known) : Message;

/// <summary>There is no such thing on record.</summary>
public sealed record NoSuchThing(string What) : Message;

/// <summary>Somebody else changed it first.</summary>
public sealed record ChangedMeanwhile(string What) : Message;

/// <summary>An id made by a client was used for something else before.</summary>
public sealed record IdIsTaken(string What) : Message;

/// <summary>An instrument does not know an order.</summary>
public sealed record NoSuchOrder(string Order) : Message;

/// <summary>A request cannot be read at a place.</summary>
public sealed record UnreadableAt(string Place) : Message;

/// <summary>A document that is taken in does not hold together.</summary>
public sealed record DocumentIsBroken(string What) : Message;

/// <summary>A row of a document names a column that is not known, or holds what it cannot.</summary>
public sealed record UnknownColumn(string Table, string Column) : Message;

/// <summary>A table of a document holds something that is no row, or a row without its key.</summary>
public sealed record RowWithoutKey(string Table) : Message;

/// <summary>What is said of input without any quantity.</summary>
public enum InputSays
{
    ClientIdNeeded,
    VersionNeeded,
    MoreThanIsTaken,
    CannotBeRead,
    MethodNotTaken,
    JsonOnly,
    NothingAcceptable,
    WentWrong,
    NotConnected,
    FollowedElsewhere,
    OtherBench,
    FileBusy,
    DiskFull,
    NoSuchDocument,
    DocumentIsNewer,
    BowWithoutId,
    BothWentOn,
    CannotBeReadHere,
    PlaceIsTaken,
    ArrowWasKept,
}

/// <summary>What is wrong with one field, with the range and why.</summary>
public sealed record FieldProblem(string Field, string Code, Message Message);

/// <summary>Input that the Core refuses, with one problem for each field.</summary>
public sealed class RefusedException(string code, Message said, params IReadOnlyList<FieldProblem> problems)
    : Exception(code)
{
    /// <summary>The code of a reading that is far from what is expected: it is asked about and not taken.</summary>
    public const string Far = "far";

    /// <summary>Stable word for the whole refusal.</summary>
    public string Code { get; } = code;

    /// <summary>What is said of it.</summary>
    public Message Said { get; } = said;

    /// <summary>The problems, field by field; may be empty.</summary>
    public IReadOnlyList<FieldProblem> Problems { get; } = problems;

    /// <summary>A refusal that stands beside one field.</summary>
    public static RefusedException At(string field, string code, Message said) =>
        new(code, said, new FieldProblem(field, code, said));

    /// <summary>A refusal that names its fields: one by its own sentence, several by their names.</summary>
    /// <param name="problems">At least one.</param>
    public static RefusedException Of(IReadOnlyList<FieldProblem> problems) =>
        new(
            "fields",
            problems.Count == 1 ? problems[0].Message : new LookAgainAt([.. problems.Select(p => p.Field).Distinct()]),
            [.. problems]
        );
}

/// <summary>An allowed range with the reason that is told when it is left.</summary>
/// <param name="Low">Lowest allowed value in the trade unit.</param>
/// <param name="High">Highest allowed value.</param>
/// <param name="Unit">Trade unit.</param>
/// <param name="Why">Why the range ends there.</param>
public readonly record struct AllowedRange(double Low, double High, string Unit, Why Why)
{
    /// <summary>True inside the range, ends included; a value that is no number is outside.</summary>
    public bool Holds(double value) => value >= Low && value <= High;
}

/// <summary>Reads typed fields one after the other and gathers every problem, so that all are told at once.</summary>
public sealed class FieldReader
{
    private const int LongestName = 60;
    private readonly List<FieldProblem> problems = [];

    /// <summary>The problems so far.</summary>
    public IReadOnlyList<FieldProblem> Problems => problems;

    /// <summary>A value that must be there.</summary>
    public Entry? Required(string field, string? text, Quantity quantity, AllowedRange range) =>
        Read(field, text, quantity, range);

    /// <summary>A value that may be left empty.</summary>
    public Entry? Optional(string field, string? text, Quantity quantity, AllowedRange range) =>
        string.IsNullOrWhiteSpace(text) ? null : Read(field, text, quantity, range);

    /// <summary>A value that must be there, or the range in which it lies.</summary>
    public Span? RequiredSpan(string field, string? text, Quantity quantity, AllowedRange range) =>
        Read(
            field,
            new Outside(range),
            () => Span.Parse(text, quantity),
            span => range.Holds(span.Low) && range.Holds(span.High)
        );

    /// <summary>The same, and it may be left empty.</summary>
    public Span? OptionalSpan(string field, string? text, Quantity quantity, AllowedRange range) =>
        string.IsNullOrWhiteSpace(text) ? null : RequiredSpan(field, text, quantity, range);

    /// <summary>A plain number as typed; nothing where it is empty.</summary>
    /// <param name="field">Its field.</param>
    /// <param name="text">As typed.</param>
    /// <param name="holds">What it may be.</param>
    /// <param name="otherwise">What is said where it may not.</param>
    public double? Number(string field, string? text, Func<double?, bool> holds, Message otherwise)
    {
        if (!string.IsNullOrWhiteSpace(text))
        {
            return Read(field, otherwise, () => Entry.Parse(text, Quantity.Number), e => holds(e.Value))?.Value;
        }

        Check(holds(null), field, "range", otherwise);
        return null;
    }

    /// <summary>A name: not empty, at most 60 characters, no control character among them.</summary>
    public string Name(string field, string? text)
    {
        var name = text?.Trim() ?? "";
        Check(
            name.Length is > 0 and <= LongestName && !name.Any(char.IsControl),
            field,
            "name",
            new NameWanted(LongestName)
        );
        return name;
    }

    /// <summary>A value that is known already and must lie inside a range.</summary>
    public void Inside(string field, double value, AllowedRange range) =>
        Check(range.Holds(value), field, "range", new Outside(range));

    /// <summary>Adds a problem unless the condition holds.</summary>
    public void Check(bool holds, string field, string code, Message message)
    {
        if (!holds)
        {
            problems.Add(new FieldProblem(field, code, message));
        }
    }

    /// <summary>One check by itself.</summary>
    /// <exception cref="RefusedException">The condition does not hold.</exception>
    public static void Demand(bool holds, string field, string code, Message message)
    {
        var fields = new FieldReader();
        fields.Check(holds, field, code, message);
        fields.ThrowIfAny();
    }

    /// <summary>One value by itself that is known already and must lie inside a range.</summary>
    /// <exception cref="RefusedException">It does not.</exception>
    public static void DemandInside(string field, double value, AllowedRange range) =>
        Demand(range.Holds(value), field, "range", new Outside(range));

    /// <summary>Throws when anything was wrong.</summary>
    /// <exception cref="RefusedException">At least one field has a problem.</exception>
    public void ThrowIfAny()
    {
        if (problems.Count > 0)
        {
            throw RefusedException.Of(problems);
        }
    }

    private Entry? Read(string field, string? text, Quantity quantity, AllowedRange range) =>
        Read(field, new Outside(range), () => Entry.Parse(text, quantity), entry => range.Holds(entry.Value));

    private T? Read<T>(string field, Message otherwise, Func<T> parse, Func<T, bool> inside)
        where T : class
    {
        try
        {
            var read = parse();
            if (inside(read))
            {
                return read;
            }

            problems.Add(new FieldProblem(field, "range", otherwise));
        }
        catch (EntryException problem)
        {
            problems.Add(new FieldProblem(field, problem.Code, problem.Said));
        }

        return null;
    }
}
