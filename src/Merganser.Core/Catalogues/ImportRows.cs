using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Catalogues;

/// <summary>The rows of a table that were taken so far.</summary>
internal sealed class ImportRows
{
    private const int LongestId = 80;

    private readonly ComponentClass kind;
    private readonly ImportMapping mapping;
    private readonly IReadOnlyDictionary<string, ComponentRow> known;
    private readonly ILookup<string, ComponentRow> byName;
    private readonly ILookup<(string Maker, string Number), ComponentRow> byOrder;
    private readonly (string Name, int At)[] fields;
    private readonly (string Column, int At)? stated;
    private readonly int? idAt;
    private readonly int width;
    private readonly Dictionary<string, int> ids = [];

    public ImportRows(
        ComponentClass kind,
        ComponentTexts table,
        ImportMapping mapping,
        IReadOnlyDictionary<string, ComponentRow> known
    )
    {
        (this.kind, this.mapping, this.known, width) = (kind, mapping, known, table.Columns.Count);
        byName = known.Values.Where(r => r.Class == kind).ToLookup(r => NameOf(r.Part));
        byOrder = known
            .Values.Where(r => r.Class == kind && r.Stock.OrderNumber is not null)
            .ToLookup(r => (r.Part.Maker, r.Stock.OrderNumber!));
        var columns = table.Columns.Index().DistinctBy(c => c.Item).ToDictionary(c => c.Item, c => c.Index);
        fields =
        [
            .. CatalogueTable
                .Fields(kind)
                .Where(f => mapping.Columns.ContainsKey(f.Name))
                .Select(f => (f.Name, columns[mapping.Columns[f.Name]])),
        ];
        stated = columns
            .Where(c => ImportCheck.Key(c.Key) == ImportCheck.ClassField)
            .Select(c => ((string, int)?)(c.Key, c.Value))
            .FirstOrDefault();
        idAt = mapping.Columns.TryGetValue(ImportCheck.IdField, out var column) ? columns[column] : null;
    }

    public List<StockedPart> Parts { get; } = [];

    public List<ImportProblem> Problems { get; } = [];

    public int ProblemCount { get; private set; }

    public List<ImportChange> Changes { get; } = [];

    public int Same { get; private set; }

    public int Empty { get; private set; }

    public void Take(int line, IReadOnlyList<string> row)
    {
        if (row.All(string.IsNullOrWhiteSpace))
        {
            Empty++;
            return;
        }

        if (row.Skip(width).Count(c => !string.IsNullOrWhiteSpace(c)) is > 0 and var more)
        {
            Problem(line, "", new CellsWithoutColumn(more));
            return;
        }

        try
        {
            var typed = Typed(row);
            var (part, stock) = CatalogueTable.Read(kind, typed, Stock.None);
            if (OfThisClass(line, row) && IdOf(line, row, part, stock) is { } id)
            {
                Add(line, id, typed, new StockedPart(id, part, stock));
            }
        }
        catch (RefusedException refused)
        {
            foreach (var problem in refused.Problems)
            {
                Problem(line, mapping.Columns.GetValueOrDefault(problem.Field, problem.Field), problem.Message);
            }
        }
    }

    /// <summary>What stands in a row, and what stands for all of them.</summary>
    private Dictionary<string, string?> Typed(IReadOnlyList<string> row)
    {
        var typed = mapping.Fixed.ToDictionary(f => f.Key, f => (string?)f.Value);
        foreach (var (name, at) in fields)
        {
            typed[name] = row[at];
        }

        return typed;
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

    /// <summary>
    /// The row's id: its own; else that of the part that has its order number or its name; else a new one. Null when it
    /// cannot be.
    /// </summary>
    private string? IdOf(int line, IReadOnlyList<string> row, IComponent part, Stock stock)
    {
        var given = idAt is { } at ? row[at].Trim() : "";
        var id = given.Length is > 0 and <= LongestId
            ? given
            : There(part, stock)?.Id ?? $"{Codes.Of(kind)}-{Guid.NewGuid()}";
        if (!ids.TryAdd(id, line))
        {
            Problem(line, ImportCheck.IdField, new SameIdInRow(ids[id]));
            return null;
        }

        if (known.TryGetValue(id, out var before) && before.Class != kind)
        {
            Problem(line, ImportCheck.IdField, new IdOfAnother(id, before.Class));
            return null;
        }

        return id;
    }

    /// <summary>The part of the catalogue that a row without an id speaks of; null for none, or for more than one.
    /// </summary>
    private ComponentRow? There(IComponent part, Stock stock)
    {
        var named = byName[NameOf(part)].ToArray();
        var ordered = stock.OrderNumber is { } number ? byOrder[(part.Maker, number)] : [];
        return ordered.Take(2).ToArray() is [var one] ? one
            : named is [var only] ? only
            : null;
    }

    /// <summary>What parts of a class are told apart by: maker, name, and the size that makers leave out.</summary>
    private static string NameOf(IComponent part)
    {
        var size = part switch
        {
            Shaft s => s.Spine,
            Insert i => i.Grains,
            Point p => p.Grains,
            Vane v => v.Length,
            Wrap w => w.Length,
            _ => 0,
        };
        return string.Join('\n', part.Maker.ToUpperInvariant(), part.Name.ToUpperInvariant(), $"{size:0.####}");
    }

    private void Add(int line, string id, Dictionary<string, string?> typed, StockedPart read)
    {
        if (!known.TryGetValue(id, out var before))
        {
            Parts.Add(read);
            return;
        }

        // What the table says nothing of stays as it was: one's own measured values, and what is in the drawer.
        var then = CatalogueTable.Write(before.Part, before.Stock);
        var merged = then.ToDictionary(f => f.Key, f => typed.TryGetValue(f.Key, out var cell) ? cell : f.Value);
        var (part, stock) = CatalogueTable.Read(kind, merged, before.Stock);
        ImportDifference[] differences =
        [
            .. CatalogueTable
                .Write(part, stock)
                .Where(f => then.GetValueOrDefault(f.Key, "") != f.Value)
                .Select(f => new ImportDifference(f.Key, then.GetValueOrDefault(f.Key, ""), f.Value)),
        ];
        if (differences.Length == 0)
        {
            Same++;
            return;
        }

        Parts.Add(new StockedPart(id, part, stock));
        Changes.Add(new ImportChange(line, id, before.Part.Name, differences));
    }

    private void Problem(int row, string column, Message message)
    {
        ProblemCount++;
        if (Problems.Count < ImportCheck.MostProblems)
        {
            Problems.Add(new ImportProblem(row, column, message));
        }
    }
}
