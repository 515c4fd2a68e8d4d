namespace Merganser.Web.Tests;

/// <summary>Heads that were weighed for a dozen stand with their weights where that dozen is shot.</summary>
public class HeadWeightTests
{
    [Fact]
    public async Task A_head_says_what_it_weighs_in_the_dozen_that_is_shot()
    {
        using var app = new App();
        var dozen = (string)(await app.NewestDozen())["id"]!;
        foreach (var grains in new[] { "100.3", "99.8" })
        {
            var weighed = new
            {
                id = App.NewId(),
                kind = "piece",
                @class = "Head",
                value = grains,
                word = "typed",
            };
            (await app.Post($"/api/dozens/{dozen}/entries", weighed)).Status.ShouldBe(200);
        }

        foreach (var (of, said) in new[] { (dozen, new double?[] { 100.3, 99.8 }), (null, [null, null]) })
        {
            var paper = await app.StartPaper(GroupTests.Thirty, dozenId: of);
            foreach (var number in new[] { "1", "2" })
            {
                var hit = new
                {
                    id = App.NewId(),
                    arrow = "broadhead",
                    arrowNumber = number,
                    place = new { x = 0, y = 0 },
                };
                paper = (await app.Post($"/api/sets/{paper["sets"]![0]!["id"]}/hits", hit)).Body;
            }

            var each = paper["heads"]!["each"]!.AsArray();
            each.Select(h => (double?)h!["grains"]).ShouldBe(said, of ?? "no dozen");
        }
    }
}
