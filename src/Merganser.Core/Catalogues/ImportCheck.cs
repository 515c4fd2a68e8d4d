using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Catalogues;

/// <summary>A table as it was read: its header and its rows of texts, each as long as the header.</summary>
public sealed record ComponentTexts(IReadOnlyList<string> Columns, IReadOnlyList<IReadOnlyList<string>> Rows);

/// <summary>What is wrong with one cell, and the cure.</summary>
public sealed record ImportProblem(int Row, string Column, Message Message);

/// <summary>One field of a part that the import would change.</summary>
public sealed record ImportDifference(string Field, string From, string To);

/// <summary>A part of the catalogue that the import would change, with every field that differs.</summary>
public sealed record ImportChange(int Row, string Id, string Name, IReadOnlyList<ImportDifference> Fields);

/// <summary>A table checked row by row against a mapping and against the catalogue.</summary>
/// <param name="Parts">The good rows: id and part.</param>
/// <param name="Problems">The first problems.</param>
/// <param name="ProblemCount">How many there are.</param>
/// <param name="Changes">Parts of the catalogue that would change.</param>
public sealed record ImportCheck(
    IReadOnlyList<(string Id, IComponent Part)> Parts,
    IReadOnlyList<ImportProblem> Problems,
    int ProblemCount,
    IReadOnlyList<ImportChange> Changes
)
{
    /// <summary>Most problems that are told.</summary>
    public const int MostProblems = 200;

    private const string IdField = "id";
    private const string ClassField = "class";
    private const int LongestId = 80;
    private const int LinesOfHeader = 1;

    /// <summary>Nothing read yet.</summary>
    public static ImportCheck Nothing { get; } = new([], [], 0, []);

    /// <summary>Checks every row.</summary>
    /// <param name="kind">What the table holds.</param>
    /// <param name="table">The table.</param>
    /// <param name="mapping">Field to column.</param>
    /// <param name="known">The catalogue by id.</param>
    /// <param name="through">Called after each row; it may throw to end the check.</param>
    public static ImportCheck Of(
        ComponentClass kind,
        ComponentTexts table,
        IReadOnlyDictionary<string, string> mapping,
        IReadOnlyDictionary<string, ComponentRow> known,
        Action through
    )
    {
        var rows = new Rows(kind, table, mapping, known);
        foreach (var (at, row) in table.Rows.Index())
        {
            rows.Take(at + 1 + LinesOfHeader, row);
            through();
        }

        return new ImportCheck(rows.Parts, rows.Problems, rows.ProblemCount, rows.Changes);
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
        ComponentTable
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

    private static string Key(string words) =>
        new([.. words.Where(char.IsLetterOrDigit).Select(char.ToLowerInvariant)]);

    /// <summary>The rows that were taken so far.</summary>
    private sealed class Rows
    {
        private readonly ComponentClass kind;
        private readonly IReadOnlyDictionary<string, string> mapping;
        private readonly IReadOnlyDictionary<string, ComponentRow> known;
        private readonly (string Name, int At)[] fields;
        private readonly (string Column, int At)? stated;
        private readonly int? idAt;
        private readonly Dictionary<string, int> ids = [];

        public Rows(
            ComponentClass kind,
            ComponentTexts table,
            IReadOnlyDictionary<string, string> mapping,
            IReadOnlyDictionary<string, ComponentRow> known
        )
        {
            (this.kind, this.mapping, this.known) = (kind, mapping, known);
            var columns = table.Columns.Index().DistinctBy(c => c.Item).ToDictionary(c => c.Item, c => c.Index);
            fields =
            [
                .. ComponentTable
                    .Fields(kind)
                    .Where(f => mapping.ContainsKey(f.Name))
                    .Select(f => (f.Name, columns[mapping[f.Name]])),
            ];
            stated = columns
                .Where(c => Key(c.Key) == ClassField)
                .Select(c => ((string, int)?)(c.Key, c.Value))
                .FirstOrDefault();
            idAt = mapping.TryGetValue(IdField, out var column) ? columns[column] : null;
        }

        public List<(string Id, IComponent Part)> Parts { get; } = [];

        public List<ImportProblem> Problems { get; } = [];

        public int ProblemCount { get; private set; }

        public List<ImportChange> Changes { get; } = [];

        public void Take(int line, IReadOnlyList<string> row)
        {
            try
            {
                var part = ComponentTable.Read(kind, fields.ToDictionary(f => f.Name, f => (string?)row[f.At]));
                if (OfThisClass(line, row) && IdOf(line, row) is { } id)
                {
                    Add(line, id, part);
                }
            }
            catch (RefusedException refused)
            {
                foreach (var problem in refused.Problems)
                {
                    Problem(line, mapping.GetValueOrDefault(problem.Field, problem.Field), problem.Message);
                }
            }
        }

        private bool OfThisClass(int line, IReadOnlyList<string> row)
        {
            if (
                stated is not { } column
                || row[column.At].Trim() is not { Length: > 0 } word
                || Codes.Read<ComponentClass>(word) == kind
            )
            {
                return true;
            }

            Problem(line, column.Column, new RowSaysItIs(word, kind));
            return false;
        }

        /// <summary>The row's id, a new one where it has none; null when it cannot be.</summary>
        private string? IdOf(int line, IReadOnlyList<string> row)
        {
            var given = idAt is { } at ? row[at].Trim() : "";
            var id = given.Length is > 0 and <= LongestId ? given : $"{Codes.Of(kind)}-{Guid.NewGuid()}";
            if (!ids.TryAdd(id, line))
            {
                Problem(line, IdField, new SameIdInRow(ids[id]));
                return null;
            }

            if (known.TryGetValue(id, out var before) && before.Class != kind)
            {
                Problem(line, IdField, new IdOfAnother(id, before.Class));
                return null;
            }

            return id;
        }

        private void Add(int line, string id, IComponent part)
        {
            Parts.Add((id, part));
            if (known.TryGetValue(id, out var before) && Differences(before.Part, part) is { Count: > 0 } differences)
            {
                Changes.Add(new ImportChange(line, id, before.Part.Name, differences));
            }
        }

        /// <summary>In which fields a part differs from the one that has its id, from and to.</summary>
        private static List<ImportDifference> Differences(IComponent before, IComponent now)
        {
            var then = ComponentTable.Write(before);
            return
            [
                .. ComponentTable
                    .Write(now)
                    .Where(f => then.GetValueOrDefault(f.Key, "") != f.Value)
                    .Select(f => new ImportDifference(f.Key, then.GetValueOrDefault(f.Key, ""), f.Value)),
            ];
        }

        private void Problem(int row, string column, Message message)
        {
            ProblemCount++;
            if (Problems.Count < MostProblems)
            {
                Problems.Add(new ImportProblem(row, column, message));
            }
        }
    }
}
