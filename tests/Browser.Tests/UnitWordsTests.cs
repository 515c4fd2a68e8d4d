using System.Text.RegularExpressions;

namespace Merganser.Browser.Tests;

/// <summary>
/// Every sentence of the demo in the archer's own units: no line of a metric bench has a trade unit, none of a trade bench a metric one. Lines
/// that are known to have one stand in a list that may only shrink.
/// </summary>
public partial class UnitWordsTests
{
    private static readonly string Known = Path.Combine(Bench.Root, "tests/Browser.Tests/knownUnitOffenders.txt");

    [Fact]
    public void A_metric_bench_says_nothing_in_trade_units_but_what_is_known()
    {
        using var bench = new Bench(demo: true);
        var found = Walk(bench, "All metric", Trade());
        string[] known = [.. File.ReadLines(Known).Where(line => line.Length > 0 && line[0] != '#')];
        found.Except(known).ShouldBeEmpty("new lines with a trade unit");
        known.Except(found).ShouldBeEmpty("these are mended: take them off the list");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_trade_bench_says_nothing_in_metric_units()
    {
        using var bench = new Bench(demo: true);
        Walk(bench, "All as the trade", Metric()).ShouldBeEmpty();
    }

    private static SortedSet<string> Walk(Bench bench, string units, Regex other)
    {
        foreach (var bow in new[] { Views.Compound, Views.Recurve, Views.Barebow, Views.Longbow })
        {
            bench.Go(bow + "/groups");
            bench.See("[aria-label^='Units']").Click();
            bench.Button(units).Click();
            bench.Settled();
        }

        SortedSet<string> found = new(StringComparer.Ordinal);
        foreach (var view in Views.Demo.Where(v => v.Path.StartsWith("/bows/2", StringComparison.Ordinal) && !v.Name.Contains("units")))
        {
            Views.Open(bench, view);
            bench.Settled();
            var lines = ((string)bench.Driver.ExecuteScript("return document.querySelector('main').innerText + '\\n' + document.querySelector('.foot').innerText")!).Split('\n');
            found.UnionWith(lines.Select(l => l.Trim()).Where(l => other.IsMatch(l)).Select(l => Figures().Replace(l, "0")).Select(l => l.Length > 90 ? l[..90].TrimEnd() : l));
        }

        return found;
    }

    [GeneratedRegex(@"\d\s?(in|gr|lb|ft/s|ft·lb|slug·ft/s|yd)(?![\w/·])|\d\s?gr/(lb|in)")]
    private static partial Regex Trade();

    [GeneratedRegex(@"\d\s?(cm|mm|g|kg|N|m/s|J|kg·m/s|m)(?![\w/·])")]
    private static partial Regex Metric();

    [GeneratedRegex(@"[+−]?\d[\d./]*( \d+/\d+)?")]
    private static partial Regex Figures();
}
