using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Catalogues;

/// <summary>
/// A table as it was read: its header and its rows of texts, each at least as long as the header.
/// </summary>
public sealed record ComponentTexts(IReadOnlyList<string> Columns, IReadOnlyList<IReadOnlyList<string>> Rows);

/// <summary>How a supplier's table is read.</summary>
/// <param name="Columns">Field to column.</param>
/// <param name="Fixed">Field to a text that stands for all rows; a column wins over it.</param>
public sealed record ImportMapping(
    IReadOnlyDictionary<string, string> Columns,
    IReadOnlyDictionary<string, string> Fixed
)
{
    /// <summary>Columns alone.</summary>
    public static ImportMapping Of(IReadOnlyDictionary<string, string> columns) =>
        new(columns, new Dictionary<string, string>());
}

/// <summary>What is wrong with one cell, and the cure.</summary>
public sealed record ImportProblem(int Row, string Column, Message Message);

/// <summary>One field of a part that the import would change.</summary>
public sealed record ImportDifference(string Field, string From, string To);

/// <summary>A part of the catalogue that the import would change, with every field that differs.</summary>
public sealed record ImportChange(int Row, string Id, string Name, IReadOnlyList<ImportDifference> Fields);

/// <summary>A table checked row by row against a mapping and against the catalogue.</summary>
/// <param name="Parts">The good rows.</param>
/// <param name="Problems">The first problems.</param>
/// <param name="ProblemCount">How many there are.</param>
/// <param name="Changes">Parts of the catalogue that would change.</param>
/// <param name="Same">Rows whose part stands in the catalogue as it is.</param>
/// <param name="Empty">Rows in which nothing stands; they are passed over.</param>
public sealed record ImportCheck(
    IReadOnlyList<StockedPart> Parts,
    IReadOnlyList<ImportProblem> Problems,
    int ProblemCount,
    IReadOnlyList<ImportChange> Changes,
    int Same,
    int Empty
)
{
    /// <summary>Most problems that are told.</summary>
    public const int MostProblems = 200;

    internal const string IdField = "id";
    internal const string ClassField = "class";
    private const int LinesOfHeader = 1;

    /// <summary>Nothing read yet.</summary>
    public static ImportCheck Nothing { get; } = new([], [], 0, [], 0, 0);

    /// <summary>Checks every row.</summary>
    /// <param name="kind">What the table holds.</param>
    /// <param name="table">The table.</param>
    /// <param name="mapping">Field to column, and what stands for all rows.</param>
    /// <param name="known">The catalogue by id.</param>
    /// <param name="through">Called after each row; it may throw to end the check.</param>
    public static ImportCheck Of(
        ComponentClass kind,
        ComponentTexts table,
        ImportMapping mapping,
        IReadOnlyDictionary<string, ComponentRow> known,
        Action through
    )
    {
        var rows = new ImportRows(kind, table, mapping, known);
        foreach (var (at, row) in table.Rows.Index())
        {
            rows.Take(at + 1 + LinesOfHeader, row);
            through();
        }

        return new ImportCheck(rows.Parts, rows.Problems, rows.ProblemCount, rows.Changes, rows.Same, rows.Empty);
    }

    /// <summary>
    /// A column belongs to a field when its header is the field's name or label, whatever its case, spaces and signs.
    /// </summary>
    /// <param name="kind">The class.</param>
    /// <param name="columns">The header.</param>
    /// <param name="say">The label of a field in words.</param>
    public static Dictionary<string, string> Guess(
        ComponentClass kind,
        IReadOnlyList<string> columns,
        Func<Message, string> say
    ) =>
        CatalogueTable
            .Fields(kind)
            .Select(f => (f.Name, Keys: new[] { Key(f.Name), Key(say(f.Label)) }))
            .Append((Name: IdField, Keys: [IdField]))
            .Select(w => (w.Name, Column: columns.FirstOrDefault(c => w.Keys.Contains(Key(c)))))
            .Where(m => m.Column is not null)
            .ToDictionary(m => m.Name, m => m.Column!);

    /// <summary>A table whose columns are another class's is not read as this one.</summary>
    /// <exception cref="RefusedException">More of the columns belong to another class.</exception>
    public static void CheckClass(ComponentClass kind, IReadOnlyList<string> columns, Func<Message, string> say)
    {
        var best = Enum.GetValues<ComponentClass>().MaxBy(Known);
        if (Known(best) > Known(kind))
        {
            throw RefusedException.At("kind", "class", new ColumnsOfAnother(best, Known(best), kind, Known(kind)));
        }

        int Known(ComponentClass of) => Guess(of, columns, say).Keys.Count(field => field != IdField);
    }

    internal static string Key(string words) =>
        new([.. words.Where(char.IsLetterOrDigit).Select(char.ToLowerInvariant)]);
}
