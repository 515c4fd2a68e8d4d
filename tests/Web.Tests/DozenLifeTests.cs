using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A dozen later on: its name, its papers, its retired arrows.</summary>
public class DozenLifeTests
{
    /// <summary>72 arrows are two pages of labels and of the list; one that is retired is on none of them.</summary>
    [Fact]
    public async Task Labels_and_list_go_on_over_pages_and_a_retired_arrow_stands_in_the_table_alone()
    {
        using var app = new App();
        var id = App.NewId();
        await app.Post(
            $"/api/bows/{App.Brindle}/dozens",
            new
            {
                id,
                arrowVersionId = App.IslandVersion,
                name = "Six dozen",
                arrows = 72,
                classes = new[] { "Point" },
                spare = 0,
                vanesInSets = false,
            }
        );
        var text = string.Join('\n', Enumerable.Range(0, 72).Select(n => $"{100 + (n % 7 / 10.0):F1}"));
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Point",
                text,
            }
        );
        (await app.Post($"/api/dozens/{id}/match", DozenTests.Options())).Status.ShouldBe(200);
        await app.Post(
            $"/api/dozens/{id}/entries",
            new
            {
                id = App.NewId(),
                kind = "made",
                number = 3,
                word = "retired",
                note = "lost in the dyke",
            }
        );
        (await Pages("labels.pdf?grid=3x8")).ShouldBe(3);
        (await Pages("labels.pdf?grid=5x13&first=10")).ShouldBe(2);
        (await Pages("tray.pdf")).ShouldBe(3);
        var csv = await app.Http.GetStringAsync($"/api/dozens/{id}/export.csv");
        csv.Split('\n')[0].ShouldEndWith("retired why,retired on");
        csv.Split('\n').Single(l => l.StartsWith("3,")).ShouldMatch("retired,.*lost in the dyke,\\d{4}-\\d\\d-\\d\\d$");

        async Task<int> Pages(string file) =>
            System.Text.RegularExpressions.Regex.Count(
                System.Text.Encoding.Latin1.GetString(await app.Http.GetByteArrayAsync($"/api/dozens/{id}/{file}")),
                @"/Type\s*/Page\b"
            );
    }

    /// <summary>A dozen is called otherwise, put away and taken out again; each is taken back like any entry.</summary>
    [Fact]
    public async Task A_dozen_is_renamed_and_put_away()
    {
        using var app = new App();
        var (_, dozen) = await Enter("plan", "name", "Autumn field");
        ((string)dozen["name"]!).ShouldBe("Autumn field");
        ((string)(await Lines())[0]!["name"]!).ShouldBe("Autumn field");
        (_, dozen) = await Enter("plan", "archived", "yes");
        ((bool)dozen["archived"]!).ShouldBeTrue();
        ((bool)(await Lines())[0]!["archived"]!).ShouldBeTrue();
        (_, dozen) = await app.Post($"{DozenTests.Half}/withdrawals/{(string)dozen["lastEntryId"]!}", new { });
        ((bool)dozen["archived"]!).ShouldBeFalse();
        (await Enter("plan", "name", "")).Status.ShouldBe(400);
        (await Enter("plan", "colour", "red")).Status.ShouldBe(400);

        async Task<JsonArray> Lines() => (await app.Get($"/api/bows/{App.Brindle}/dozens"))["dozens"]!.AsArray();
        Task<(int Status, JsonNode Body)> Enter(string kind, string word, string note) =>
            app.Post(
                $"{DozenTests.Half}/entries",
                new
                {
                    id = App.NewId(),
                    kind,
                    word,
                    note,
                }
            );
    }
}
