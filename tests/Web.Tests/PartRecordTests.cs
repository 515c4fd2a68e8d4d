using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A part of the catalogue is never mixed up with another.</summary>
public class PartRecordTests
{
    [Fact]
    public async Task A_part_keeps_its_id_and_its_class()
    {
        using var app = new App();
        var csv = Encoding.UTF8.GetBytes("id,maker,name,weight,length\npoint-pebble-100,Own,Band,5,4\n");
        var view = await Import(app, "wrap", csv);
        ((int)view["good"]!).ShouldBe(0);
        ((string)view["problems"]![0]!["message"]!).ShouldContain("point");
        using var points = await app.Http.GetAsync("/api/catalogue/export.csv?kind=point");
        using var wrong = await app.Http.PostAsync(
            $"/api/imports/{App.NewId()}?kind=insert",
            Csv(await points.Content.ReadAsByteArrayAsync())
        );
        var told =
            wrong.StatusCode == HttpStatusCode.BadRequest
                ? 0
                : (int)JsonNode.Parse(await wrong.Content.ReadAsStringAsync())!["good"]!;
        told.ShouldBe(0, "points are no inserts");
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
                        name = "Band",
                        grains = "5",
                        length = "4",
                    },
                }
            )
        ).Status.ShouldBe(200);
        (
            await app.Post(
                "/api/catalogue/import.json",
                new
                {
                    format = "merganser-catalogue-1",
                    components = new[]
                    {
                        new
                        {
                            id = "point-pebble-100",
                            @class = "wrap",
                            fields = new
                            {
                                maker = "Own",
                                name = "Band",
                                grains = "5",
                                length = "4",
                            },
                        },
                    },
                }
            )
        ).Status.ShouldBe(400);
        (await app.Get("/api/components"))["points"]!
            .AsArray()
            .ShouldContain(p => (string)p!["id"]! == "point-pebble-100");
    }

    [Fact]
    public async Task A_part_that_would_change_is_shown_field_by_field_and_adding_never_overwrites()
    {
        using var app = new App();
        var id = App.NewId();
        object Part(string grains) =>
            new
            {
                id,
                @class = "wrap",
                fields = new
                {
                    maker = "Own",
                    name = "Band",
                    grains,
                    length = "4",
                },
            };
        await app.Post("/api/catalogue", Part("5"));
        (await app.Post("/api/catalogue", Part("5"))).Status.ShouldBe(200, "the same part again is a retry");
        (await app.Post("/api/catalogue", Part("6"))).Status.ShouldBe(409);
        var view = await Import(
            app,
            "wrap",
            Encoding.UTF8.GetBytes(
                $"id,class,maker,name,weight,length\n{id},wrap,Own,Band,6,4\n,wrap,Own,Other,5,4\n,point,Own,Third,5,4\n"
            )
        );
        ((int)view["changed"]!).ShouldBe(1);
        view["changes"]![0]!["fields"]!.ToJsonString().ShouldBe("[{\"field\":\"grains\",\"from\":\"5\",\"to\":\"6\"}]");
        ((int)view["good"]!).ShouldBe(2, "a row that says it is a point is no wrap");
    }

    private static ByteArrayContent Csv(byte[] bytes)
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new System.Net.Http.Headers.MediaTypeHeaderValue("text/csv");
        return content;
    }

    private static async Task<JsonNode> Import(App app, string kind, byte[] csv)
    {
        var id = App.NewId();
        using var content = Csv(csv);
        using var answer = await app.Http.PostAsync($"/api/imports/{id}?kind={kind}", content);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        await (
            (Merganser.Web.Catalogues.ImportDesk)app.Services.GetService(typeof(Merganser.Web.Catalogues.ImportDesk))!
        ).Settled(id);
        return await app.Get($"/api/imports/{id}");
    }
}
