using System.Collections.Concurrent;
using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Data;
using Merganser.Web.Words;

namespace Merganser.Web.Catalogues;

public enum ImportState
{
    Read,
    Checking,
    Checked,
    Writing,
    Written,
    Cancelled,
    Failed,
}

/// <summary>What is wrong with one cell, and the cure.</summary>
public sealed record ImportProblem(int Row, string Column, Message Message);

/// <summary>One field of a part that the import would change.</summary>
public sealed record ImportDifference(string Field, string From, string To);

/// <summary>A part of the catalogue that the import would change, with every field that differs.</summary>
public sealed record ImportChange(int Row, string Id, string Name, IReadOnlyList<ImportDifference> Fields);

/// <summary>An import as it stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="State">How far it is.</param>
/// <param name="Class">What it holds.</param>
/// <param name="Columns">The file's columns.</param>
/// <param name="Fields">The fields there are, with their words.</param>
/// <param name="Mapping">Field to column; a field without one is left empty.</param>
/// <param name="Rows">How many rows the file has.</param>
/// <param name="Done">How many are through this step.</param>
/// <param name="Good">Rows that can be written.</param>
/// <param name="Changed">How many parts of the catalogue it would change.</param>
/// <param name="Changes">The first of them, field by field.</param>
/// <param name="Problems">The first problems, row by row.</param>
/// <param name="ProblemCount">How many there are.</param>
/// <param name="Preview">The first rows as texts.</param>
/// <param name="Message">Why it failed, or null.</param>
public sealed record ImportView(
    string Id,
    ImportState State,
    ComponentClass Class,
    IReadOnlyList<string> Columns,
    IReadOnlyDictionary<string, Message> Fields,
    IReadOnlyDictionary<string, string> Mapping,
    int Rows,
    int Done,
    int Good,
    int Changed,
    IReadOnlyList<ImportChange> Changes,
    IReadOnlyList<ImportProblem> Problems,
    int ProblemCount,
    IReadOnlyList<IReadOnlyList<string>> Preview,
    string? Message
);

/// <summary>Imports in work. Nothing is written until it is confirmed; any of them can be cancelled.</summary>
public sealed class ImportDesk(ComponentStore components)
{
    private const int MostProblems = 200;
    private const int MostAtOnce = 4;
    private const int PreviewRows = 8;

    private readonly ConcurrentDictionary<string, Import> imports = new();

    /// <summary>Reads a file and checks it against a mapping that is guessed from its header.</summary>
    public ImportView Begin(string id, ComponentClass kind, byte[] bytes)
    {
        if (imports.TryGetValue(id, out var known))
        {
            return known.View();
        }

        foreach (var old in imports.Values.OrderBy(i => i.Begun).Take(Math.Max(0, imports.Count - MostAtOnce + 1)))
        {
            old.Cancel.Cancel();
            imports.TryRemove(old.Id, out _);
        }

        var table = CatalogueCsv.Read(bytes);
        CheckClass(kind, table.Columns);
        var import = new Import(id, kind, table, Guess(kind, table.Columns));
        imports[id] = import;
        Check(import);
        return import.View();
    }

    public ImportView Get(string id) => Find(id).View();

    /// <summary>Checks again with another mapping.</summary>
    public ImportView Map(string id, IReadOnlyDictionary<string, string> mapping)
    {
        var import = Find(id);
        import.Mapping = mapping
            .Where(m => import.Table.Columns.Contains(m.Value))
            .ToDictionary(m => m.Key, m => m.Value);
        Check(import);
        return import.View();
    }

    /// <summary>Writes the good rows, in one transaction.</summary>
    public ImportView Confirm(string id)
    {
        var import = Find(id);
        if (import.State != ImportState.Checked || import.Parts.Count == 0)
        {
            throw new RefusedException(
                "import-state",
                new Verbatim("There is nothing to write: no row could be read, or it is not checked yet.")
            );
        }

        import.State = ImportState.Writing;
        import.Done = 0;
        import.Work = Task.Run(() =>
            import.Guarded(() =>
            {
                components.Put(import.Parts, import.Cancel.Token, done => import.Done = done);
                import.Done = import.Parts.Count;
                import.State = ImportState.Written;
            })
        );
        return import.View();
    }

    public ImportView Cancel(string id)
    {
        var import = Find(id);
        import.Cancel.Cancel();
        import.Work.Wait();
        if (import.State != ImportState.Written)
        {
            import.State = ImportState.Cancelled;
        }

        return import.View();
    }

    /// <summary>Waits until the step in work is over; for tests and the benchmark.</summary>
    public Task Settled(string id) => Find(id).Work;

    private void Check(Import import)
    {
        import.State = ImportState.Checking;
        import.Done = 0;
        import.Work = Task.Run(() => import.Guarded(() => CheckRows(import)));
    }

    private void CheckRows(Import import)
    {
        var known = components.Rows().ToDictionary(r => r.Id);
        int? classAt = import.Table.Columns.ToList().FindIndex(c => Key(c) == "class") is >= 0 and var found
            ? found
            : null;
        var columns = import
            .Table.Columns.Select((c, i) => (c, i))
            .DistinctBy(c => c.c)
            .ToDictionary(c => c.c, c => c.i);
        var fields = ComponentTable
            .Fields(import.Class)
            .Where(f => import.Mapping.ContainsKey(f.Name))
            .Select(f => (f.Name, At: columns[import.Mapping[f.Name]]))
            .ToArray();
        int? idAt = import.Mapping.TryGetValue("id", out var idColumn) ? columns[idColumn] : null;
        List<(string, IComponent)> parts = [];
        List<ImportProblem> problems = [];
        var count = 0;
        List<ImportChange> changed = [];
        Dictionary<string, int> ids = [];
        foreach (var row in import.Table.Rows)
        {
            import.Cancel.Token.ThrowIfCancellationRequested();
            var line = import.Done + 2;
            try
            {
                var part = ComponentTable.Read(import.Class, fields.ToDictionary(f => f.Name, f => (string?)row[f.At]));
                if (
                    classAt is { } stated
                    && row[stated].Trim() is { Length: > 0 } word
                    && FactsJson.TryEnum<ComponentClass>(word) != import.Class
                )
                {
                    Problem(
                        line,
                        import.Table.Columns[stated],
                        new Verbatim(
                            $"This row says it is a {word}: import it as that, not as a {FactsJson.Word(import.Class)}."
                        )
                    );
                    import.Done++;
                    continue;
                }

                var id =
                    idAt is { } at && row[at].Trim() is { Length: > 0 and <= 80 } given
                        ? given
                        : $"{FactsJson.Word(import.Class)}-{Guid.NewGuid()}";
                if (!ids.TryAdd(id, line))
                {
                    Problem(
                        line,
                        "id",
                        new Verbatim(
                            $"The same id stands in row {ids[id]}: one of the two rows goes, or gets another id."
                        )
                    );
                }
                else if (known.TryGetValue(id, out var before) && before.Class != import.Class)
                {
                    Problem(
                        line,
                        "id",
                        new Verbatim(
                            $"\"{id}\" is the id of a {FactsJson.Word(before.Class)}: a component stays what it is. Take the id out, or import it as that."
                        )
                    );
                }
                else
                {
                    parts.Add((id, part));
                    if (before is not null && Differences(before.Part, part) is { Count: > 0 } differences)
                    {
                        changed.Add(new ImportChange(line, id, before.Part.Name, differences));
                    }
                }
            }
            catch (RefusedException refused)
            {
                foreach (var problem in refused.Problems)
                {
                    Problem(line, import.Mapping.GetValueOrDefault(problem.Field, problem.Field), problem.Message);
                }
            }

            import.Done++;
        }

        (import.Parts, import.Problems, import.ProblemCount, import.Changes) = (parts, problems, count, changed);
        import.State = ImportState.Checked;

        void Problem(int row, string column, Message message)
        {
            count++;
            if (problems.Count < MostProblems)
            {
                problems.Add(new ImportProblem(row, column, message));
            }
        }
    }

    /// <summary>A table whose columns are another class's is not read as this one.</summary>
    /// <exception cref="RefusedException">More of the columns belong to another class.</exception>
    private static void CheckClass(ComponentClass kind, IReadOnlyList<string> columns)
    {
        int Known(ComponentClass of) => Guess(of, columns).Count(m => m.Key != "id");
        var best = Enum.GetValues<ComponentClass>().MaxBy(Known);
        if (Known(best) > Known(kind))
        {
            var words = new Verbatim(
                $"These are the columns of a {FactsJson.Word(best)}: {Known(best)} of them are known there, {Known(kind)} in a {FactsJson.Word(kind)}. Import the table as {FactsJson.Word(best)}s."
            );
            throw RefusedException.At("kind", "class", words);
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

    /// <summary>
    /// A column belongs to a field when its header is the field's name or label, whatever its case, spaces and signs.
    /// </summary>
    private static Dictionary<string, string> Guess(ComponentClass kind, IReadOnlyList<string> columns)
    {
        var wanted = ComponentTable
            .Fields(kind)
            .Select(f => (f.Name, Keys: new[] { Key(f.Name), Key(Speaker.Trade.Say(f.Label)) }))
            .Append((Name: "id", Keys: ["id"]));
        return wanted
            .Select(w => (w.Name, Column: columns.FirstOrDefault(c => w.Keys.Contains(Key(c)))))
            .Where(m => m.Column is not null)
            .ToDictionary(m => m.Name, m => m.Column!);
    }

    private static string Key(string words) =>
        new([.. words.Where(char.IsLetterOrDigit).Select(char.ToLowerInvariant)]);

    private Import Find(string id) =>
        imports.TryGetValue(id, out var import) ? import : throw new MissingException("import");

    private sealed class Import(string id, ComponentClass kind, CsvTable table, Dictionary<string, string> mapping)
    {
        public string Id { get; } = id;

        public ComponentClass Class { get; } = kind;

        public CsvTable Table { get; } = table;

        public Dictionary<string, string> Mapping { get; set; } = mapping;

        public long Begun { get; } = Environment.TickCount64;

        public CancellationTokenSource Cancel { get; } = new();

        public volatile ImportState State;

        public volatile int Done;

        public IReadOnlyList<(string, IComponent)> Parts { get; set; } = [];

        public IReadOnlyList<ImportProblem> Problems { get; set; } = [];

        public int ProblemCount { get; set; }

        public IReadOnlyList<ImportChange> Changes { get; set; } = [];

        public string? Message { get; set; }

        public Task Work { get; set; } = Task.CompletedTask;

        public void Guarded(Action step)
        {
            try
            {
                step();
            }
            catch (OperationCanceledException)
            {
                State = ImportState.Cancelled;
            }
            catch (Exception problem)
            {
                Message = problem.Message;
                State = ImportState.Failed;
            }
        }

        public ImportView View() =>
            new(
                Id,
                State,
                Class,
                Table.Columns,
                ComponentTable.Fields(Class).ToDictionary(f => f.Name, f => f.Label),
                Mapping,
                Table.Rows.Count,
                Done,
                Parts.Count,
                Changes.Count,
                [.. Changes.Take(MostProblems)],
                Problems,
                ProblemCount,
                [.. Table.Rows.Take(PreviewRows)],
                Message
            );
    }
}
