using System.Collections.Concurrent;
using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
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

/// <summary>An import as it stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="State">How far it is.</param>
/// <param name="Encoding">How the file was read.</param>
/// <param name="Class">What it holds.</param>
/// <param name="Columns">The file's columns.</param>
/// <param name="Fields">The fields there are, with their words.</param>
/// <param name="Mapping">Field to column; a field without one is left empty.</param>
/// <param name="Fixed">Field to a text that stands for all rows.</param>
/// <param name="Remembered">True for a header that was read this way before.</param>
/// <param name="Letters">Cells with letters that another encoding would garble; the first few.</param>
/// <param name="Rows">How many rows the file has.</param>
/// <param name="Done">How many are through this step.</param>
/// <param name="Good">Rows that can be written.</param>
/// <param name="Same">Rows whose part stands in the catalogue as it is: they are not written.</param>
/// <param name="Changed">How many parts of the catalogue it would change.</param>
/// <param name="Changes">The first of them, field by field.</param>
/// <param name="Problems">The first problems, row by row.</param>
/// <param name="ProblemCount">How many there are.</param>
/// <param name="Preview">The first rows as texts.</param>
/// <param name="Message">Why it failed, or null.</param>
public sealed record ImportView(
    string Id,
    ImportState State,
    TextEncoding Encoding,
    ComponentClass Class,
    IReadOnlyList<string> Columns,
    IReadOnlyDictionary<string, Message> Fields,
    IReadOnlyDictionary<string, string> Mapping,
    IReadOnlyDictionary<string, string> Fixed,
    bool Remembered,
    IReadOnlyList<string> Letters,
    int Rows,
    int Done,
    int Good,
    int Same,
    int Changed,
    IReadOnlyList<ImportChange> Changes,
    IReadOnlyList<ImportProblem> Problems,
    int ProblemCount,
    IReadOnlyList<IReadOnlyList<string>> Preview,
    string? Message
);

/// <summary>Imports in work. Nothing is written until it is confirmed; any of them can be cancelled.</summary>
public sealed class ImportDesk(ComponentStore components, ImportMappings mappings)
{
    private const int MostAtOnce = 4;
    private const int PreviewRows = 8;
    private const int MostLetters = 6;

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

        var file = TextFile.Of(bytes);
        var table = CatalogueCsv.Read(file.Text);
        ImportCheck.CheckClass(kind, table.Columns, Speaker.Trade.Say);
        var remembered = mappings.Of(kind, table.Columns);
        var import = new Import(id, kind, file.Encoding, table)
        {
            Mapping = remembered ?? ImportMapping.Of(ImportCheck.Guess(kind, table.Columns, Speaker.Trade.Say)),
            Remembered = remembered is not null,
        };
        imports[id] = import;
        Check(import);
        return import.View();
    }

    public ImportView Get(string id) => Find(id).View();

    /// <summary>Checks again with another mapping.</summary>
    public ImportView Map(string id, ImportMapping mapping)
    {
        var import = Find(id);
        var known = CatalogueTable.Fields(import.Class).Select(f => f.Name).ToArray();
        import.Mapping = new ImportMapping(
            mapping.Columns.Where(m => import.Table.Columns.Contains(m.Value)).ToDictionary(),
            mapping.Fixed.Where(f => known.Contains(f.Key) && f.Value.Length > 0).ToDictionary()
        );
        Check(import);
        return import.View();
    }

    /// <summary>Writes the good rows, in one transaction.</summary>
    public ImportView Confirm(string id)
    {
        var import = Find(id);
        if (import.State != ImportState.Checked || import.Read.Parts.Count == 0)
        {
            throw new RefusedException("import-state", CatalogueSays.NothingToWrite);
        }

        import.State = ImportState.Writing;
        import.Done = 0;
        import.Work = Task.Run(() =>
            import.Guarded(() =>
            {
                components.Put(import.Read.Parts, import.Cancel.Token, done => import.Done = done);
                mappings.Keep(import.Class, import.Table.Columns, import.Mapping);
                import.Done = import.Read.Parts.Count;
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
        import.Read = ImportCheck.Of(import.Class, import.Table, import.Mapping, known, Through);
        import.State = ImportState.Checked;

        void Through()
        {
            import.Done++;
            import.Cancel.Token.ThrowIfCancellationRequested();
        }
    }

    private Import Find(string id) =>
        imports.TryGetValue(id, out var import) ? import : throw new MissingException("import");

    private sealed class Import(string id, ComponentClass kind, TextEncoding encoding, ComponentTexts table)
    {
        public string Id { get; } = id;

        public ComponentClass Class { get; } = kind;

        public ComponentTexts Table { get; } = table;

        public required ImportMapping Mapping { get; set; }

        public bool Remembered { get; init; }

        public long Begun { get; } = Environment.TickCount64;

        public CancellationTokenSource Cancel { get; } = new();

        public volatile ImportState State;

        public volatile int Done;

        public ImportCheck Read { get; set; } = ImportCheck.Nothing;

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

        private IReadOnlyList<string> Letters() =>
            [
                .. Table
                    .Rows.SelectMany(r => r)
                    .Concat(Table.Columns)
                    .Where(c => !System.Text.Ascii.IsValid(c))
                    .Distinct()
                    .Take(MostLetters),
            ];

        public ImportView View() =>
            new(
                Id,
                State,
                encoding,
                Class,
                Table.Columns,
                CatalogueTable.Fields(Class).ToDictionary(f => f.Name, f => f.Label),
                Mapping.Columns,
                Mapping.Fixed,
                Remembered,
                Letters(),
                Table.Rows.Count - Read.Empty,
                Done,
                Read.Parts.Count,
                Read.Same,
                Read.Changes.Count,
                [.. Read.Changes.Take(ImportCheck.MostProblems)],
                Read.Problems,
                Read.ProblemCount,
                [.. Table.Rows.Take(PreviewRows)],
                Message
            );
    }
}
