using CsvHelper;

namespace Merganser.Web.Printing;

/// <summary>
/// Comma-separated text. A cell that a spreadsheet would run as a formula is written with an apostrophe before it.
/// </summary>
public static class CsvText
{
    private const string FormulaStarts = "=+-@\t\r";
    private static readonly CsvReaderOptions Bare = new() { HasHeader = false };
    private static readonly CsvWriterOptions Written = new() { NewLine = "\n" };

    /// <summary>The lines as one text; the first names the columns. Cells are taken as they are.</summary>
    public static string Of(IEnumerable<IReadOnlyList<string>> lines)
    {
        using var text = new StringWriter();
        using var csv = CsvWriter.Create(text, Written, true);
        foreach (var line in lines)
        {
            foreach (var cell in line)
            {
                csv.WriteField(cell);
            }

            csv.EndRecord();
        }

        csv.Flush();
        return text.ToString();
    }

    /// <summary>The lines of a text, each by its cells as they were before <see cref="Harmless"/>.</summary>
    public static IEnumerable<string[]> LinesOf(string text)
    {
        using var csv = CsvReader.FromText(text, Bare);
        while (csv.Read())
        {
            yield return [.. Enumerable.Range(0, csv.FieldCount).Select(i => Plain(csv.GetString(i)))];
        }
    }

    /// <summary>A person's text that no spreadsheet runs.</summary>
    public static string Harmless(string text) =>
        text.StartsWith('\'') || (text.Length > 0 && FormulaStarts.Contains(text[0])) ? $"'{text}" : text;

    /// <summary>The text as it was before <see cref="Harmless"/>.</summary>
    public static string Plain(string cell) => cell.StartsWith('\'') ? cell[1..] : cell;
}
