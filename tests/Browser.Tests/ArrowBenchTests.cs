using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>
/// The arrow bench: build by pointing, ask for a value, undo, compare, drag on the chart, a catalogue from outside.
/// </summary>
public class ArrowBenchTests
{
    private const string Arrow =
        "/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001";

    [Fact]
    public void Build_ask_undo_and_compare()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Arrow);
        var point = bench.See("path[data-part=shaft]");
        new Actions(bench.Driver).MoveToElement(point).Click().Perform();
        bench.See("[data-panel=shaft]");
        bench.Pick("shaftId", "Wrackline 300");
        bench.SeeText("[data-figure=totalWeight] .v", "425.8");

        bench.Button("Ask for a value").Click();
        bench.Retype("wantedValue", "16");
        bench.Button("Ask").Click();
        bench.SeeText("[data-testid=asked]", "gives 16.0\u2009%");
        bench.See(".ask .try").Click();
        bench.Until(d =>
            d.FindElement(By.CssSelector("[data-figure=totalWeight] .v")).Text.StartsWith("425.8") ? null : "tried"
        );
        bench.Retype("wantedValue", "0");
        bench.Button("Ask").Click();
        bench.SeeText(".ask .fault", "farther forward");

        bench.Button("Undo").Click();
        bench.SeeText("[data-figure=totalWeight] .v", "425.8");
        bench.Button("Undo").Click();
        bench.SeeText("[data-figure=totalWeight] .v", "409.0");

        bench.Button("Compare, charts, files").Click();
        bench.See(".mini-stops").FindElement(By.LinkText("Compare")).Click();
        bench.Until(d => d.FindElements(By.CssSelector(".compared thead th")).Count == 4 ? "three" : null);
        bench.SeeText(".compared", "Shaft differs");
        bench.SeeText(".compared", "under 5 the bow can break");
    }

    [Fact]
    public void The_dot_on_the_chart_cuts_and_fits_and_undo_takes_it_back()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Arrow + "&way=chart");
        var chart = bench.See("[data-testid=spine-chart]");
        bench.SeeText(".chart p", "28 1/2 in, 100 gr");
        new Actions(bench.Driver).MoveToElement(chart, 100, 40).ClickAndHold().MoveByOffset(60, 20).Release().Perform();
        bench.Until(d => d.FindElement(By.CssSelector(".chart p")).Text.StartsWith("28 1/2 in, 100") ? null : "moved");
        bench.Button("Undo").Click();
        bench.SeeText(".chart p", "28 1/2 in, 100 gr");
        chart = bench.See("[data-testid=spine-chart]");
        chart.SendKeys(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowUp);
        bench.SeeText(".chart p", "28 3/4 in, 110 gr");
        chart.SendKeys(Keys.Escape);
        bench.SeeText(".chart p", "28 1/2 in, 100 gr");
    }

    [Fact]
    public void A_table_with_two_bad_rows_is_told_row_by_row_and_the_rest_is_written()
    {
        using var bench = new Bench(demo: true);
        var file = Path.Combine(Path.GetTempPath(), $"merganser-{Guid.NewGuid()}.csv");
        File.WriteAllText(
            file,
            "maker,name,grains,length\nOwn,Own band 3,4.1,3\nOwn,Own band 4,heavy,4\nOwn,,5,4\nOwn,Own band 5,6.2,5\n"
        );
        bench.Go("/catalogue?kind=wrap");
        bench.See(".catalogue-grid tbody tr");
        bench.Button("Import CSV").Click();
        bench.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        bench.SeeText("[data-testid=import-state]", "2 of 4 rows can be written");
        bench.SeeText(".problems", "Row 3, grains");
        bench.SeeText(".problems", "Row 4, name");
        bench.Button("Write 2 parts").Click();
        bench.SeeText("[data-testid=import-state]", "2 parts are written");
        bench.SeeText(".catalogue-grid", "Own band 5");
        bench.See("[data-find]").SendKeys("own band 3");
        bench.Until(d => d.FindElements(By.CssSelector(".catalogue-grid tbody tr")).Count == 1 ? "found" : null);
        bench.See("[aria-label='Open Own band 3']").Click();
        bench.Retype("grains", "900");
        bench.Button("Keep this part").Click();
        bench.SeeText(".component-form .fault", "0 to 60 gr");
        bench.Retype("grains", "4,3");
        bench.Button("Try again").Click();
        bench.SeeText(".catalogue-grid", "4.3");
        File.Delete(file);
    }
}
