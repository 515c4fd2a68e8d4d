using System.Text.RegularExpressions;
using Merganser.Tests;

namespace Merganser.Core.Tests;

/// <summary>
/// The style sheets of the interface: a module beside each component, typed, so that a class which no rule knows breaks
/// the build; no rule that nothing uses; and one class that is everywhere.
/// </summary>
public partial class StyleSheetTests
{
    private const string Everywhere = "visually-hidden";
    private static readonly string Source = Path.Combine(Repository.Root, "src/merganser-ui/src");

    private static readonly string[] Sheets = Directory.GetFiles(Source, "*.css", SearchOption.AllDirectories);
    private static readonly string[] Modules = [.. Sheets.Where(s => s.EndsWith(".module.css"))];
    private static readonly string[] Scripts =
    [
        .. Directory
            .GetFiles(Source, "*.ts*", SearchOption.AllDirectories)
            .Where(f => !f.EndsWith(".d.ts") && !f.Contains(".test.")),
    ];

    [Fact]
    public void Have_no_rule_that_nothing_uses()
    {
        var used = Scripts.SelectMany(Used).ToHashSet();
        Modules
            .SelectMany(sheet => ClassesOf(sheet).Select(name => $"{sheet} .{name}"))
            .Where(rule => !used.Contains(rule))
            .ShouldBeEmpty();
    }

    [Fact]
    public void Are_named_after_their_file_so_no_two_files_are_named_alike() =>
        Modules.GroupBy(Path.GetFileName).Where(files => files.Count() > 1).Select(files => files.Key).ShouldBeEmpty();

    [Fact]
    public void Know_one_class_that_is_everywhere()
    {
        Sheets.Except(Modules).SelectMany(ClassesOf).Distinct().ShouldBe([Everywhere]);
        Scripts
            .SelectMany(f => WrittenClass().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value))
            .Distinct()
            .ShouldBe([Everywhere]);
    }

    [Fact]
    public void Do_not_style_what_a_library_has_named() =>
        Modules.Where(sheet => OfALibrary().IsMatch(File.ReadAllText(sheet))).ShouldBeEmpty();

    private static IEnumerable<string> ClassesOf(string sheet) =>
        Class().Matches(File.ReadAllText(sheet)).Select(m => m.Groups[1].Value).Distinct();

    /// <summary>The rules that a script uses: by name, or picked by a prop whose values stand in its type.</summary>
    private static IEnumerable<string> Used(string script)
    {
        var text = File.ReadAllText(script);
        foreach (Match import in Import().Matches(text))
        {
            var (name, path) = (import.Groups[1].Value, import.Groups[2].Value);
            var sheet = Path.GetFullPath(Path.Combine(Path.GetDirectoryName(script)!, path));
            var direct = Regex.Matches(text, $@"\b{name}\.(\w+)").Select(m => m.Groups[1].Value);
            var picked = text.Contains($"{name}[") ? Word().Matches(text).Select(m => m.Groups[1].Value) : [];
            foreach (var rule in direct.Concat(picked))
            {
                yield return $"{sheet} .{rule}";
            }
        }
    }

    [GeneratedRegex(@"\.([a-zA-Z][\w-]*)(?=[^{}]*\{)")]
    private static partial Regex Class();

    [GeneratedRegex(@"import (\w+) from '([^']+\.module\.css)'")]
    private static partial Regex Import();

    [GeneratedRegex(@"'(\w+)'")]
    private static partial Regex Word();

    [GeneratedRegex("className=\"([^\"]*)\"")]
    private static partial Regex WrittenClass();

    [GeneratedRegex(@":global|\.Mui")]
    private static partial Regex OfALibrary();
}
