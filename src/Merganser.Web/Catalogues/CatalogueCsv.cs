using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Data;
using Merganser.Web.Printing;

namespace Merganser.Web.Catalogues;

/// <summary>
/// The catalogue as comma-separated text. A cell that a spreadsheet would run as a formula is written with an
/// apostrophe before it, and read back without.
/// </summary>
public static class CatalogueCsv
{
    /// <summary>Most rows that are read at once.</summary>
    public const int MostRows = 50_000;

    /// <summary>The rows of one class, ids first.</summary>
    public static string Write(ComponentClass kind, IEnumerable<ComponentRow> rows)
    {
        var fields = CatalogueTable.Fields(kind);
        IReadOnlyList<string> header = ["id", "class", .. fields.Select(f => f.Name)];
        return CsvText.Of(rows.Where(r => r.Class == kind).Select(r => Cells(r, fields)).Prepend(header));
    }

    private static IReadOnlyList<string> Cells(ComponentRow row, IReadOnlyList<ComponentField> fields)
    {
        var texts = CatalogueTable.Write(row.Part, row.Stock);
        var cells = fields.Select(f =>
            f.Kind == ComponentFieldKind.Text ? CsvText.Harmless(texts[f.Name]) : texts[f.Name]
        );
        return [CsvText.Harmless(row.Id), FactsJson.Word(row.Class), .. cells];
    }

    /// <summary>Reads a table; the first line is its header.</summary>
    /// <exception cref="RefusedException">Empty, or too many rows.</exception>
    public static ComponentTexts Read(string text, CancellationToken cancel = default)
    {
        using var lines = CsvText.LinesOf(text).GetEnumerator();
        if (!lines.MoveNext() || lines.Current.All(string.IsNullOrWhiteSpace))
        {
            throw new RefusedException("csv-empty", CatalogueSays.NoHeaderLine);
        }

        var header = lines.Current;
        List<IReadOnlyList<string>> rows = [];
        while (lines.MoveNext())
        {
            if (rows.Count == MostRows)
            {
                throw new RefusedException("csv-rows", new TooManyRows(MostRows));
            }

            if (rows.Count % 1000 == 0)
            {
                cancel.ThrowIfCancellationRequested();
            }

            var cells = lines.Current;
            rows.Add([.. cells, .. Enumerable.Repeat("", Math.Max(0, header.Length - cells.Length))]);
        }

        return new ComponentTexts([.. header.Select(h => h.Trim())], rows);
    }
}
