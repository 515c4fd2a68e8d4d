using System.Text.RegularExpressions;
using Merganser.Tests;

namespace Merganser.Browser.Tests;

/// <summary>
/// Every sentence of the demo in the archer's own units: a metric bench says nothing in a trade unit, a trade bench
/// nothing in a metric one.
/// </summary>
public partial class UnitWordsTests
{
    private const int LongestInFoot = 140;

    /// <summary>The menu of units names them all, and two texts that differ stand as they were typed.</summary>
    private static readonly string[] Typed = ["arrow, units", "bow, changed in two places"];

    /// <summary>A line of parts and a photograph's caption stand as they were typed too.</summary>
    private static readonly string[] TypedWords = ["Peep, 3/16 in", "Three bare shafts, 3 yd, cams as they came"];

    [GeneratedRegex("^/bows/2[^/?]*")]
    private static partial Regex BowOf();

    /// <summary>Nine of ten, which is no length.</summary>
    [GeneratedRegex(@"\b\d+ in \d+ of\b")]
    private static partial Regex OneInSomeOf();

    /// <summary>A pack of labels says its size in millimetres everywhere.</summary>
    [GeneratedRegex(@"^\s*\d+ × \d+, [\d.]+ × [\d.]+ mm\s*$")]
    private static partial Regex SheetOfLabels();

    [Fact]
    [Trait("Category", "Long")]
    public void A_metric_bench_says_nothing_in_trade_units()
    {
        using var screen = new Screen(demo: true);
        Walk(screen, "All metric", UnitWords.Trade()).ShouldBeEmpty();
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_trade_bench_says_nothing_in_metric_units()
    {
        using var screen = new Screen(demo: true);
        Walk(screen, "All as the trade", UnitWords.Metric()).ShouldBeEmpty();
    }

    private static SortedSet<string> Walk(Screen screen, string units, Regex other)
    {
        string[] bows = [.. States.Demo.Select(v => BowOf().Match(v.Path).Value).Where(b => b != "").Distinct()];
        foreach (var bow in bows)
        {
            screen.Go(bow + "/groups");
            screen.See("[aria-label^='Units']").Click();
            screen.Push(units);
            screen.Settled();
        }

        SortedSet<string> found = new(StringComparer.Ordinal);
        foreach (
            var view in States.Demo.Where(v =>
                v.Path.StartsWith("/bows/2", StringComparison.Ordinal) && !Typed.Contains(v.Name)
            )
        )
        {
            States.Open(screen, view);
            screen.Settled();
            var lines = (
                (string)
                    screen.Driver.ExecuteScript(
                        "return document.querySelector('main').innerText + '\\n' + document.querySelector('footer').innerText"
                    )!
            ).Split('\n');
            var foot = (string)screen.Driver.ExecuteScript("return document.querySelector('footer').innerText")!;
            foot.Split('\n').ShouldAllBe(line => line.Length <= LongestInFoot, view.Name);
            lines.ShouldAllBe(line => !UnitWords.MinusBeforeASide().IsMatch(line), view.Name);
            found.UnionWith(
                lines
                    .Where(l => !TypedWords.Any(l.Contains))
                    .Where(l => other.IsMatch(OneInSomeOf().Replace(l, "")) && !SheetOfLabels().IsMatch(l))
                    .Select(l => $"{view.Name}: {l.Trim()}")
            );
        }

        return found;
    }
}
