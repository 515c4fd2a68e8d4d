using System.Net.Http.Json;
using System.Text;
using Merganser.Web.Catalogues;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

/// <summary>What comes in from outside, whatever wrote it.</summary>
public class ImportTests
{
    [Fact]
    public async Task A_catalogue_as_json_has_the_limit_of_a_table()
    {
        using var app = new App();
        var rows = string.Join(',', Enumerable.Repeat("{\"id\":\"a\",\"class\":\"wrap\",\"fields\":{}}", 50_001));
        var format = (string)(await app.Get("/api/catalogue/export.json"))["format"]!;
        var (status, problem) = await app.Post(
            "/api/catalogue/import.json",
            $"{{\"format\":\"{format}\",\"components\":[{rows}]}}"
        );
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldContain("50000");
    }

    /// <summary>An id may begin like a formula: a spreadsheet does not run it, and it comes back as it was.</summary>
    [Fact]
    public async Task An_id_is_no_formula()
    {
        using var app = new App();
        var view = await CatalogueTests.Import(
            app,
            "wrap",
            Encoding.UTF8.GetBytes("id,maker,name,weight,length\n=cmd,Own,Plain,5,4\n")
        );
        (await app.Post($"/api/imports/{view["id"]}/confirm", new { })).Status.ShouldBe(200);
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)view["id"]!);
        var csv = await app.Http.GetStringAsync("/api/catalogue/export.csv?kind=wrap");
        csv.ShouldContain("'=cmd,");
        CatalogueCsv.Read(csv).Rows.ShouldContain(row => row[0] == "=cmd");
    }

    /// <summary>Whatever a spreadsheet writes, the letters come through; a guess says that it is one.</summary>
    [Theory]
    [InlineData("utf-8", "utf8")]
    [InlineData("utf-16", "utf16")]
    [InlineData("utf-16BE", "utf16")]
    [InlineData("windows-1252", "windows1252")]
    public async Task A_table_comes_in_whatever_encoding_it_was_written(string name, string said)
    {
        using var app = new App();
        var encoding = CodePagesEncodingProvider.Instance.GetEncoding(name) ?? Encoding.GetEncoding(name);
        var bytes = encoding.GetBytes("maker,name,weight,length\nHjälm,“Kråka”,5,4\n");
        var view = await CatalogueTests.Import(app, "wrap", bytes);
        ((string)view["encoding"]!).ShouldBe(said);
        view["preview"]![0]!.AsArray().Select(c => (string)c!).Take(2).ShouldBe(["Hjälm", "“Kråka”"]);
    }

    /// <summary>A supplier's header is read the second time as it was written the first time.</summary>
    [Fact]
    public async Task A_suppliers_table_is_read_as_it_was_the_last_time()
    {
        using var app = new App();
        var table = Encoding.UTF8.GetBytes("artikel,gewicht\nPlain band,5\n,\n");
        var first = await CatalogueTests.Import(app, "wrap", table);
        ((bool)first["remembered"]!).ShouldBeFalse();
        using var mapped = await app.Http.PutAsJsonAsync(
            $"/api/imports/{first["id"]}/mapping",
            new { mapping = new { name = "artikel", grains = "gewicht" }, @fixed = new { maker = "Own", length = "4" } }
        );
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)first["id"]!);
        (await app.Post($"/api/imports/{first["id"]}/confirm", new { })).Status.ShouldBe(200);
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)first["id"]!);
        var again = await CatalogueTests.Import(app, "wrap", table);
        ((bool)again["remembered"]!).ShouldBeTrue();
        ((string)again["fixed"]!["maker"]!).ShouldBe("Own");
        ((int)again["rows"]!, (int)again["good"]!, (int)again["same"]!, (int)again["problemCount"]!).ShouldBe(
            (1, 0, 1, 0)
        );
        (await app.Post($"/api/imports/{again["id"]}/confirm", new { })).Status.ShouldBe(400);
    }

    /// <summary>What is owned, its price and its order number come and go with the table, and sort it.</summary>
    [Fact]
    public async Task Stock_comes_and_goes_with_the_table()
    {
        using var app = new App(demo: false);
        var view = await CatalogueTests.Import(
            app,
            "wrap",
            Encoding.UTF8.GetBytes(
                "id,maker,name,weight,length,owned,price of one,order number\na,Own,A,5,4,12,1.25,W-1\nb,Own,B,6,4,,,\nc,Own,C,7,4,3,2,\nd,Own,D,7,4,1.5,2,\n"
            )
        );
        ((int)view["good"]!, (int)view["problemCount"]!).ShouldBe((3, 1));
        await app.Post($"/api/imports/{view["id"]}/confirm", new { });
        await app.Services.GetRequiredService<ImportDesk>().Settled((string)view["id"]!);
        (await Ids("owned", false)).ShouldStartWith("c a b", Case.Sensitive);
        (await Ids("owned", true)).ShouldStartWith("a c b", Case.Sensitive);
        var csv = await app.Http.GetStringAsync("/api/catalogue/export.csv?kind=wrap");
        csv.ShouldContain("12,1.25,W-1");

        async Task<string> Ids(string sort, bool down)
        {
            var page = await app.Get($"/api/catalogue?kind=wrap&find=own&sort={sort}&down={down}");
            return string.Join(' ', page["rows"]!.AsArray().Select(r => (string)r!["id"]!));
        }
    }
}
