namespace Merganser.Web.Tests;

/// <summary>What an answer asks of the data file does not grow with the papers that a bow has had.</summary>
public class GrowthTests
{
    private const string Bow = "/api/bows/" + App.Brindle;

    /// <summary>The papers that teach the next one; more are not read for it.</summary>
    private const int Teaching = 6;

    [Fact]
    public async Task As_many_statements_after_fourteen_papers_as_after_eight()
    {
        using var app = new App();
        await Shoot(app, Teaching + 2);
        var few = await Costs(app);
        await Shoot(app, Teaching);
        (await Costs(app)).ShouldBe(few);
        few.Sum().ShouldBeGreaterThan(0);
    }

    private static async Task Shoot(App app, int papers)
    {
        for (var i = 0; i < papers; i++)
        {
            await app.Shoot(await app.StartPaper(), .3, .1);
        }
    }

    private static async Task<long[]> Costs(App app)
    {
        string[] paths = ["/api/rack", Bow, $"{Bow}/setup", $"{Bow}/papers?newest=1"];
        List<long> costs = [];
        foreach (var path in paths)
        {
            _ = await app.Get(path);
            var before = app.Database.Statements;
            _ = await app.Get(path);
            costs.Add(app.Database.Statements - before);
        }

        return [.. costs];
    }
}
