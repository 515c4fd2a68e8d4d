using System.IO.Compression;
using System.Text;
using System.Text.Json.Nodes;
using Merganser.Data;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>The data as open files: out, in again, and out the same.</summary>
public class OpenDataTests
{
    private static async Task<JsonObject> Export(App app, string path = "/api/export.json") =>
        JsonNode.Parse(await app.Http.GetStringAsync(path))!.AsObject();

    private static Task<(int Status, JsonNode Body)> Import(
        App app,
        JsonNode file,
        bool keep = true,
        string take = ""
    ) => app.Send(HttpMethod.Post, $"/api/import?keep={(keep ? "true" : "false")}&take={take}", file.ToJsonString());

    private static JsonNode Thing(JsonNode view, string name) =>
        view["things"]!.AsArray().Single(t => (string)t!["name"]! == name)!;

    private static string Timeless(JsonObject export)
    {
        export.Remove("madeAt");
        return export.ToJsonString();
    }

    /// <summary>Filled by the demo and by hand: export, import into an empty bench, export, the same.</summary>
    [Fact]
    public async Task A_bench_taken_in_elsewhere_is_handed_out_the_same()
    {
        using var app = new App();
        await app.Post($"/api/bows/{App.Brindle}/visits", new { id = App.NewId(), wants = "a \"new\" string, ½ in" });
        var sent = await Export(app);
        using var other = new App(demo: false);
        var (status, seen) = await Import(other, sent, keep: false);
        status.ShouldBe(200);
        seen["things"]!.AsArray().Count(t => (string)t!["kind"]! == "bow").ShouldBe(6);
        (await other.Get("/api/rack"))["bows"]!.AsArray().ShouldBeEmpty("a look changes nothing");
        (status, seen) = await Import(other, sent);
        status.ShouldBe(200, seen.ToJsonString());
        seen["things"]!.AsArray().ShouldNotContain(t => (string)t!["what"]! == "refused", seen.ToJsonString());
        Timeless(await Export(other)).ShouldBe(Timeless(sent));

        // What the program works out by itself from these rows is the same too.
        foreach (var path in new[] { "setup", "story", "story/answers", "papers/newest", "visits" })
        {
            var of = $"/api/bows/22222222-0000-4000-8000-000000000006/{path}";
            (await other.Get(of))["string"]?.ToJsonString().ShouldBe((await app.Get(of))["string"]?.ToJsonString());
        }

        (_, seen) = await Import(other, sent);
        seen["things"]!.AsArray().ShouldAllBe(t => (string)t!["what"]! == "same", "the same again adds nothing");
    }

    [Fact]
    public async Task One_bow_goes_to_another_shop_with_its_people_and_parts_and_no_more()
    {
        using var app = new App();
        const string whimbrel = "/api/bows/22222222-0000-4000-8000-000000000006";
        var one = await Export(app, $"{whimbrel}/export.json");
        one["bows"]!.AsArray().Count.ShouldBe(1);
        one["shared"]!["archer"]!.AsArray().Select(a => (string)a!["name"]!).ShouldBe(["Edda Norrvik"]);
        using var other = new App(demo: false);
        var (status, seen) = await Import(other, one);
        (status, (string)Thing(seen, "Whimbrel")["what"]!).ShouldBe((200, "new"));
        var (here, there) = (await app.Get($"{whimbrel}/story"), await other.Get($"{whimbrel}/story"));
        there["events"]!.ToJsonString().ShouldBe(here["events"]!.ToJsonString());

        // It goes on there, comes back, and what was added there is added here.
        await other.Post($"{whimbrel}/shots", new { id = App.NewId(), count = 12 });
        var (_, back) = await Import(app, await Export(other, $"{whimbrel}/export.json"));
        var bow = Thing(back, "Whimbrel");
        ((string)bow["what"]!, (int)bow["rows"]!).ShouldBe(("grown", 1));
    }

    [Fact]
    public async Task Where_both_went_on_it_stays_as_it_is_here()
    {
        using var app = new App();
        using var other = new App();
        var check = new
        {
            id = App.NewId(),
            kind = "braceHeight",
            typed = "6 1/2",
        };
        await app.Post($"/api/bows/{App.Brindle}/checks", check);
        await other.Post($"/api/bows/{App.Brindle}/checks", check with { id = App.NewId() });
        var before = Timeless(await Export(app));
        var (_, seen) = await Import(app, await Export(other));
        var bow = Thing(seen, "Brindle");
        ((string)bow["what"]!, (string)bow["why"]!).ShouldBe(
            ("refused", "Both benches went on with it, each its own way: it stays as it is here.")
        );
        Timeless(await Export(app)).ShouldBe(before);
    }

    [Fact]
    public async Task What_reads_otherwise_is_kept_unless_the_files_is_chosen()
    {
        using var app = new App();
        var file = await Export(app);
        var archer = file["shared"]!["archer"]!.AsArray().Single(a => (string)a!["id"]! == App.Ada)!;
        archer["name"] = "Signy Holm";
        archer["facts"]!["name"] = "Signy Holm";
        var (_, seen) = await Import(app, file);
        ((string)Thing(seen, "Signy Holm")["what"]!).ShouldBe("differs");
        (await app.Get("/api/archers")).ToJsonString().ShouldNotContain("Signy");
        await Import(app, file, take: $"archer {App.Ada}");
        (await app.Get("/api/archers")).ToJsonString().ShouldContain("Signy Holm");
    }

    [Theory]
    [InlineData("{}", "format")]
    [InlineData("[]", "format")]
    [InlineData("{\"format\":\"merganser-bench\",\"version\":9999,\"shared\":{},\"bows\":[]}", "newer")]
    [InlineData("{\"format\":\"merganser-bench\",\"version\":28,\"shared\":{},\"bows\":[", "json")]
    public async Task What_is_no_bench_is_refused_in_plain_words(string text, string code)
    {
        using var app = new App();
        var (status, problem) = await app.Send(HttpMethod.Post, "/api/import?keep=true", text);
        (status, (string)problem["code"]!).ShouldBe((400, code));
    }

    [Fact]
    public async Task A_row_that_cannot_be_leaves_its_bow_out_and_the_others_in()
    {
        using var app = new App();
        var file = await Export(app);
        file["bows"]![0]!["bow"]![0]!["facts"] = JsonNode.Parse("{\"drawLength\":0}");
        file["bows"]![1]!["move"]!.AsArray().Add(JsonNode.Parse("{\"id\":\"x\",\"sql\":\"DROP TABLE bow\"}"));
        using var other = new App(demo: false);
        var (status, seen) = await Import(other, file);
        status.ShouldBe(200, seen.ToJsonString());
        var became = seen["things"]!
            .AsArray()
            .Where(t => (string)t!["kind"]! == "bow")
            .Select(t => (string)t!["what"]!);
        became.Order().ShouldBe(["new", "new", "new", "new", "refused", "refused"]);
        (await other.Get("/api/rack"))["unreadable"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_archive_has_every_table_and_no_cell_that_runs()
    {
        using var app = new App();
        await app.Post(
            $"/api/bows/{App.Brindle}/story/notes",
            new { id = App.NewId(), text = "=HYPERLINK(\"http://x\")" }
        );
        using var zip = new ZipArchive(new MemoryStream(await app.Http.GetByteArrayAsync("/api/export.zip")));
        zip.Entries.Where(e => !e.FullName.StartsWith("pictures/", StringComparison.Ordinal))
            .Select(e => e.FullName)
            .Order()
            .ShouldBe(
                OpenTables.All.Select(t => $"{t.Name}.csv").Distinct().Append("README.txt").Append("bench.json").Order()
            );
        using var notes = new StreamReader(zip.GetEntry("story_note.csv")!.Open(), Encoding.UTF8);
        (await notes.ReadToEndAsync()).ShouldContain("\"'=HYPERLINK(\"\"http://x\"\")\"");
    }

    private static async Task<(int Status, JsonNode Body)> ImportZip(App app, byte[] zip, bool keep = true)
    {
        using var content = new ByteArrayContent(zip);
        content.Headers.ContentType = new("application/zip");
        using var answer = await app.Http.PostAsync($"/api/import?keep={(keep ? "true" : "false")}", content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static byte[] Zip(params (string Name, byte[] Bytes)[] entries)
    {
        using var made = new MemoryStream();
        using (var zip = new ZipArchive(made, ZipArchiveMode.Create, true))
        {
            foreach (var (name, bytes) in entries)
            {
                using var to = zip.CreateEntry(name, CompressionLevel.Fastest).Open();
                to.Write(bytes);
            }
        }

        return made.ToArray();
    }

    [Fact]
    public async Task An_archive_is_taken_in_with_its_photographs()
    {
        using var app = new App();
        using var other = new App(demo: false);
        var (status, seen) = await ImportZip(other, await app.Http.GetByteArrayAsync("/api/export.zip"));
        status.ShouldBe(200, seen.ToJsonString());
        seen["things"]!.AsArray().ShouldNotContain(t => (string)t!["what"]! == "refused", seen.ToJsonString());
        Timeless(await Export(other)).ShouldBe(Timeless(await Export(app)));
        var picture = app.Database.Read(sql => sql.Query<string>("SELECT id FROM picture").ToArray()).Single();
        (await other.Http.GetByteArrayAsync($"/api/pictures/{picture}/image.jpg")).ShouldBe(
            await app.Http.GetByteArrayAsync($"/api/pictures/{picture}/image.jpg")
        );
    }

    /// <summary>Nothing of an archive is written to a path, and what it swells to is bounded.</summary>
    [Fact]
    public async Task An_archive_that_means_mischief_is_refused()
    {
        using var app = new App();
        var before = Timeless(await Export(app));
        (await ImportZip(app, "PK and nothing more"u8.ToArray())).Status.ShouldBe(400);
        (await ImportZip(app, Zip(("../../bench.json", "{}"u8.ToArray())))).Status.ShouldBe(400);
        (await ImportZip(app, Zip(("bench.json", new byte[600 * 1024 * 1024])))).Status.ShouldBe(400);

        var file = await Export(app, $"/api/bows/22222222-0000-4000-8000-000000000006/export.json");
        file["bows"]![0]!["picture"]![0]!["id"] = "another";
        var bytes = file["bows"]![0]!["picture_bytes"]![0]!.AsObject();
        (bytes["picture_id"], bytes["image"]) = ("another", new JsonObject { ["file"] = "../../../../etc/passwd" });
        var (status, seen) = await ImportZip(
            app,
            Zip(
                ("bench.json", Encoding.UTF8.GetBytes(file.ToJsonString())),
                ("../../../../etc/passwd", "root"u8.ToArray())
            )
        );
        (status, (string)Thing(seen, "Whimbrel")["what"]!).ShouldBe((200, "refused"));
        Timeless(await Export(app)).ShouldBe(before);
    }

    /// <summary>Every table of the file is handed out, or is one that is made from the others.</summary>
    [Fact]
    public async Task The_schema_is_that_of_the_docs_and_no_table_is_forgotten()
    {
        using var app = new App();
        var schema = await app.Http.GetStringAsync("/api/schemas/bench.json");
        var file = Path.Combine(Repository.Root, "docs/schemas/bench.json");
        if (Environment.GetEnvironmentVariable("MERGANSER_ANSWERS") == "write")
        {
            await File.WriteAllTextAsync(file, schema);
        }

        (await File.ReadAllTextAsync(file)).ShouldBe(schema, "write it anew: MERGANSER_ANSWERS=write");
        string[] made =
        [
            "act",
            "bench",
            "bin",
            "bow_revision",
            "paper_day",
            "paper_learned",
            "rack_line",
            "SchemaVersions",
            "shots_total",
        ];
        app.Database.Read(sql =>
                sql.Query<string>("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%'")
                    .ToArray()
            )
            .Except(made)
            .Order()
            .ShouldBe(OpenTables.All.Select(t => t.Name).Order());
    }
}
