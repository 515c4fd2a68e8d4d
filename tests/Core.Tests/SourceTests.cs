using System.Text.RegularExpressions;
using Merganser.Tests;

namespace Merganser.Core.Tests;

/// <summary>
/// Lines of the sources end at 120 characters. A text stays in one piece, so that it can be read and searched: only a
/// line that is nothing but one may be longer.
/// </summary>
public partial class SourceTests
{
    private const int Longest = 120;
    private const int MostLines = 300;

    /// <summary>Generated files, and tables that are long because there is much to list.</summary>
    private static readonly string[] Tables =
    [
        "schema.d.ts",
        "Words/Checks.cs",
        "Arrows/ComponentTable.cs",
        "glossary/terms.ts",
    ];

    [Theory]
    [InlineData("src")]
    [InlineData("tests")]
    [InlineData("bench")]
    public void Lines_end_at_120(string folder)
    {
        FilesOf(folder, "*.cs").SelectMany(TooLong).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("src", "*.cs")]
    [InlineData("src", "*.ts*")]
    [InlineData("tests", "*.cs")]
    [InlineData("bench", "*.cs")]
    public void No_file_has_more_than_300_lines_but_tables(string folder, string pattern) =>
        FilesOf(folder, pattern)
            .Where(file => !Tables.Any(file.EndsWith) && File.ReadLines(file).Count() > MostLines)
            .ShouldBeEmpty();

    private static IEnumerable<string> FilesOf(string folder, string pattern) =>
        Directory
            .EnumerateFiles(Path.Combine(Repository.Root, folder), pattern, SearchOption.AllDirectories)
            .Where(file => !file.Contains("node_modules") && !file.Contains("/obj/") && !file.Contains("wwwroot"));

    private static IEnumerable<string> TooLong(string file)
    {
        var raw = false;
        foreach (var (line, number) in File.ReadLines(file).Select((line, at) => (line, at + 1)))
        {
            if (line.Length > Longest && !raw && !OneText().IsMatch(line))
            {
                yield return $"{file}({number}): {line.Length} characters";
            }

            raw ^= Quotes().Count(line) % 2 == 1;
        }
    }

    [GeneratedRegex("""^\s*([?:+] |return |\w[\w.<>]* => )?[$@]*".*"[,;)]*$""")]
    private static partial Regex OneText();

    [GeneratedRegex("\"\"\"")]
    private static partial Regex Quotes();
}
