using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Merganser.Web.Catalogues;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

public class CatalogueTests
{
    private static readonly string[] Kinds = ["shaft", "insert", "point", "nock", "vane", "wrap"];

    [Fact]
    public async Task Csv_and_json_come_back_byte_for_byte()
    {
        using var from = new App();
        await AddFormula(from);
        using var to = new App(demo: false);
        foreach (var row in (await to.Get("/api/catalogue/export.json"))["components"]!.AsArray())
        {
            (await Delete(to, row!)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }

        foreach (var kind in Kinds)
        {
            var csv = await from.Http.GetStringAsync($"/api/catalogue/export.csv?kind={kind}");
            var view = await Import(to, kind, Encoding.UTF8.GetBytes(csv));
            ((int)view["problemCount"]!).ShouldBe(0, view.ToJsonString());
            await Confirm(to, view);
            (await to.Http.GetStringAsync($"/api/catalogue/export.csv?kind={kind}")).ShouldBe(csv);
        }

        var json = await from.Http.GetStringAsync("/api/catalogue/export.json");
        using var third = new App(demo: false);
        (await third.Post("/api/catalogue/import.json", json)).Status.ShouldBe(200);
        var again = JsonNode.Parse(await third.Http.GetStringAsync("/api/catalogue/export.json"))![
            "components"
        ]!.AsArray();
        JsonNode.Parse(json)!["components"]!.AsArray().ShouldAllBe(c => again.Any(a => JsonNode.DeepEquals(a, c)));
    }

    [Fact]
    public async Task A_formula_in_a_cell_is_made_harmless_and_comes_back_as_it_was()
    {
        using var app = new App();
        await AddFormula(app);
        var csv = await app.Http.GetStringAsync("/api/catalogue/export.csv?kind=wrap");
        csv.ShouldContain("'=1+1");
        using var other = new App(demo: false);
        var view = await Import(other, "wrap", Encoding.UTF8.GetBytes(csv));
        await Confirm(other, view);
        (await other.Get("/api/catalogue?kind=wrap&find=%3D1"))["rows"]![0]!["fields"]!["name"]!
            .ToString()
            .ShouldBe("=1+1");
    }

    [Fact]
    public async Task Bad_rows_are_named_with_row_column_and_cure_and_the_good_ones_wait_for_a_yes()
    {
        using var app = new App();
        const string csv =
            "id;maker;name;weight;length\nw1;Own;Good;5;4\nw2;Own;Heavy;900;4\nw3;;Nameless;5;4\nw1;Own;Twice;5;4\n";
        var view = await Import(app, "wrap", Encoding.UTF8.GetBytes(csv));
        ((int)view["good"]!).ShouldBe(1);
        var problems = view["problems"]!.AsArray().Select(p => ((int)p!["row"]!, (string)p["column"]!)).ToArray();
        problems.ShouldBe([(3, "weight"), (4, "maker"), (5, "id")]);
        (await app.Get("/api/catalogue?kind=wrap&find=Good"))["rows"]!
            .AsArray()
            .ShouldBeEmpty("nothing is written before it is confirmed");
        await Confirm(app, view);
        (await app.Get("/api/catalogue?kind=wrap&find=Good"))["rows"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task Another_mapping_is_checked_again_and_a_cancelled_import_writes_nothing()
    {
        using var app = new App();
        var view = await Import(app, "wrap", Encoding.UTF8.GetBytes("who,what,grams,long\nOwn,Odd,5,4\n"));
        ((int)view["good"]!).ShouldBe(0);
        var (_, mapped) = await app.Send(
            HttpMethod.Put,
            $"/api/imports/{view["id"]}/mapping",
            new
            {
                mapping = new
                {
                    maker = "who",
                    name = "what",
                    grains = "grams",
                    length = "long",
                },
            }
        );
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)view["id"]!);
        mapped = await app.Get($"/api/imports/{view["id"]}");
        ((int)mapped["good"]!).ShouldBe(1, mapped.ToJsonString());
        (await app.Post($"/api/imports/{view["id"]}/cancel", new { })).Status.ShouldBe(200);
        (await app.Post($"/api/imports/{view["id"]}/confirm", new { })).Status.ShouldBe(400);
        (await app.Get("/api/catalogue?kind=wrap&find=Odd"))["rows"]!.AsArray().ShouldBeEmpty();
    }

    [Theory]
    [InlineData("empty", "header")]
    [InlineData("long", "50000")]
    public async Task A_file_that_cannot_be_read_is_refused_with_a_sentence(string what, string word)
    {
        using var app = new App();
        var bytes = what switch
        {
            "empty" => [],
            _ => Encoding.UTF8.GetBytes("maker,name\n" + string.Concat(Enumerable.Repeat("a,b\n", 50_001))),
        };
        using var answer = await app.Http.PostAsync($"/api/imports/{App.NewId()}?kind=shaft", Csv(bytes));
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync()).ShouldContain(word);
    }

    [Fact]
    public async Task A_part_in_use_is_retired_and_not_deleted_and_old_arrows_stay_as_they_were()
    {
        using var app = new App();
        var (status, problem) = await app.Send(HttpMethod.Delete, "/api/catalogue/shaft-wrackline-340", null, "\"1\"");
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldContain("Island 340");
        var row = await app.Get("/api/catalogue/shaft-wrackline-340");
        row["fields"]!["grainsPerInch"] = "9.9";
        (
            await app.Send(HttpMethod.Put, "/api/catalogue/shaft-wrackline-340", row, $"\"{row["version"]}\"")
        ).Status.ShouldBe(200);
        var arrow = (await app.Get($"/api/bows/{App.Brindle}/arrows"))
            .AsArray()
            .First(a => (string)a!["id"]! == App.Island)!;
        ((double)arrow["kept"]!["arrow"]!["shaft"]!["grainsPerInch"]!).ShouldBe(
            9,
            "a kept version holds its own values"
        );
        (await app.Send(HttpMethod.Put, "/api/catalogue/shaft-wrackline-340", row, "\"1\"")).Status.ShouldBe(412);
        var (_, retired) = await app.Send(
            HttpMethod.Post,
            "/api/catalogue/shaft-wrackline-340/retire",
            new { retired = true },
            $"\"{(int)row["version"]! + 1}\""
        );
        ((bool)retired["retired"]!).ShouldBeTrue();
        (await app.Get("/api/components"))["shafts"]!
            .AsArray()
            .ShouldNotContain(s => (string)s!["id"]! == "shaft-wrackline-340");
        (await app.Get("/api/components?also=shaft-wrackline-340"))["shafts"]!
            .AsArray()
            .ShouldContain(s => (string)s!["id"]! == "shaft-wrackline-340");
    }

    [Theory]
    [InlineData("pointForFrontOfCenter", "12", 92.365)]
    [InlineData("pointForFrontOfCenter", "12 %", 92.365)]
    [InlineData("lengthForWeight", "400", 27.5)]
    public async Task A_value_can_be_asked_for(string wanted, string value, double exact)
    {
        using var app = new App();
        var (status, told) = await app.Post(
            "/api/figures/ask",
            new
            {
                bowId = App.Brindle,
                draft = App.DraftBody(),
                wanted,
                value,
            }
        );
        status.ShouldBe(200, told.ToJsonString());
        ((double)told["exact"]!).ShouldBe(exact, .001);
        told["inStock"]!.AsArray().ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("pointForFrontOfCenter", "lots")]
    [InlineData("pointForFrontOfCenter", "0")]
    [InlineData("lengthForWeight", "1400")]
    public async Task What_has_no_answer_is_refused_beside_the_field(string wanted, string value)
    {
        using var app = new App();
        var (status, told) = await app.Post(
            "/api/figures/ask",
            new
            {
                bowId = App.Brindle,
                draft = App.DraftBody(),
                wanted,
                value,
            }
        );
        status.ShouldBe(400);
        told["errors"]!["value"].ShouldNotBeNull();
    }

    [Fact]
    public async Task One_arrow_comes_out_as_json_csv_drawing_and_card()
    {
        using var app = new App();
        var json = await app.Get($"/api/arrows/{App.Island}/export.json");
        ((string)json["format"]!).ShouldBe("merganser-arrow-1");
        foreach (
            var needed in JsonNode.Parse(await app.Http.GetStringAsync("/api/schemas/arrow.json"))![
                "required"
            ]!.AsArray()
        )
        {
            json[(string)needed!].ShouldNotBeNull();
        }

        (await app.Http.GetStringAsync($"/api/arrows/{App.Island}/export.csv")).ShouldContain("Total weight,409.00,gr");
        (await app.Http.GetStringAsync($"/api/arrows/{App.Island}/export.svg")).ShouldContain("width=\"31in\"");
        Encoding
            .ASCII.GetString(await app.Http.GetByteArrayAsync($"/api/arrows/{App.Island}/card.pdf"), 0, 5)
            .ShouldBe("%PDF-");
    }

    [Fact]
    public async Task Three_arrows_compare_and_one_does_not()
    {
        using var app = new App();
        const string a = App.Island,
            b = "33333333-0000-4000-8000-000000000002",
            c = "33333333-0000-4000-8000-000000000003";
        var compared = await app.Get($"/api/bows/{App.Brindle}/compare?arrows={a},{b},{c}");
        compared["arrows"]!.AsArray().Count.ShouldBe(3);
        compared["differs"]!.AsArray().Select(d => (string)d!).ShouldContain("shaft");
        ((int)(await app.Http.GetAsync($"/api/bows/{App.Brindle}/compare?arrows={a}")).StatusCode).ShouldBe(400);
        var weights = await app.Get($"/api/bows/{App.Brindle}/weights?purpose=huntingFixed&grains=409");
        ((string)weights["law"]!).ShouldContain("Local law");
        (
            await app.Post(
                "/api/figures/chart",
                new
                {
                    bowId = App.Brindle,
                    draft = App.DraftBody(),
                    openedVersionId = (string?)null,
                }
            )
        ).Body["lines"]!.AsArray().Count.ShouldBe(5);
        (await app.Get($"/api/arrows/{App.Island}/versions"))["versions"]![0]!["shot"]!.GetValue<bool>().ShouldBeTrue();
    }

    private static async Task AddFormula(App app) =>
        (
            await app.Post(
                "/api/catalogue",
                new
                {
                    id = App.NewId(),
                    @class = "wrap",
                    fields = new
                    {
                        maker = "Own",
                        name = "=1+1",
                        grains = "5",
                        length = "4",
                    },
                }
            )
        ).Status.ShouldBe(200);

    internal static async Task<JsonNode> Import(App app, string kind, byte[] bytes)
    {
        var id = App.NewId();
        using var answer = await app.Http.PostAsync($"/api/imports/{id}?kind={kind}", Csv(bytes));
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        await app.Services.GetRequiredService<ImportDesk>().Settled(id);
        return await app.Get($"/api/imports/{id}");
    }

    private static async Task Confirm(App app, JsonNode view)
    {
        (await app.Post($"/api/imports/{view["id"]}/confirm", new { })).Status.ShouldBe(200);
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)view["id"]!);
        ((string)(await app.Get($"/api/imports/{view["id"]}"))["state"]!).ShouldBe("written");
    }

    private static ByteArrayContent Csv(byte[] bytes) => new(bytes) { Headers = { ContentType = new("text/csv") } };

    private static async Task<HttpResponseMessage> Delete(App app, JsonNode row)
    {
        using var request = new HttpRequestMessage(HttpMethod.Delete, $"/api/catalogue/{row["id"]}");
        request.Headers.TryAddWithoutValidation("If-Match", "\"1\"");
        return await app.Http.SendAsync(request);
    }
}
