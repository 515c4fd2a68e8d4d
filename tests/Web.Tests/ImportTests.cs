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
}
