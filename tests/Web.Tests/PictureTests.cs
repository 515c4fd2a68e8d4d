using System.Buffers.Binary;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Merganser.Web.Tests;

/// <summary>Photographs: taken in, bounded, without anything but their pixels; squared; in the bin and back.</summary>
public class PictureTests
{
    private const string Bow = $"/api/bows/{App.Brindle}";
    private const string Whimbrel = "/api/bows/22222222-0000-4000-8000-000000000006";

    private static async Task<(int Status, JsonNode Body)> Add(
        App app,
        byte[] file,
        string query = "",
        string bow = Bow,
        string? id = null
    )
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        using var answer = await app.Http.PostAsync($"{bow}/pictures?pictureId={id ?? App.NewId()}{query}", content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static async Task<SKBitmap> Image(App app, string id, string which = "image") =>
        SKBitmap.Decode(await app.Http.GetByteArrayAsync($"/api/pictures/{id}/{which}.jpg"));

    private static async Task<string> Added(App app, string query = "")
    {
        var (status, view) = await Add(app, TestPictures.Drawn(800, 600), query);
        status.ShouldBe(200, view.ToJsonString());
        return (string)view["id"]!;
    }

    /// <summary>
    /// EXIF (CIPA DC-008): orientation 6 is a quarter turn, so what was at the left of the file is at the top.
    /// </summary>
    [Fact]
    public async Task Only_pixels_are_kept_upright_and_bounded()
    {
        using var app = new App();
        var sent = TestPictures.WithExif(TestPictures.Drawn(4000, 3000), 6);
        Encoding.Latin1.GetString(sent).ShouldContain(TestPictures.Secret);
        var (status, view) = await Add(app, sent, "&caption=the%20rest");
        status.ShouldBe(200, view.ToJsonString());
        ((int)view["width"]!, (int)view["height"]!, (string)view["caption"]!).ShouldBe((1800, 2400, "the rest"));
        using var kept = await Image(app, (string)view["id"]!);
        (kept.Width, kept.Height).ShouldBe((1800, 2400));
        kept.GetPixel(1700, 100).Green.ShouldBeLessThan((byte)60, "the upper right is red");
        kept.GetPixel(100, 100).Green.ShouldBeGreaterThan((byte)200);
        using var small = await Image(app, (string)view["id"]!, "thumbnail");
        Math.Max(small.Width, small.Height).ShouldBe(320);
        app.Database.Read(sql => sql.Query<byte[]>("SELECT image FROM picture_bytes").ToArray())
            .Select(b => Encoding.Latin1.GetString(b))
            .ShouldAllBe(b => !b.Contains("Exif") && !b.Contains(TestPictures.Secret));
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public async Task Other_files_become_jpeg(SKEncodedImageFormat format)
    {
        using var app = new App();
        var (status, view) = await Add(app, TestPictures.Drawn(640, 480, format));
        status.ShouldBe(200, view.ToJsonString());
        var bytes = await app.Http.GetByteArrayAsync($"/api/pictures/{view["id"]}/image.jpg");
        bytes[..2].ShouldBe([0xff, 0xd8]);
        ((int)view["width"]!).ShouldBe(640);
    }

    public static TheoryData<string, string, string> Refused =>
        new()
        {
            { "text", "kind", "It is no JPEG, PNG or WebP file. Save it as one of these." },
            { "half", "broken", "The file is damaged: it could not be read to its end." },
            { "bomb", "pixels", "A photograph of 64 million pixels at most is taken." },
            { "empty", "kind", "It is no JPEG, PNG or WebP file. Save it as one of these." },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public async Task What_is_no_photograph_is_refused_in_words(string what, string code, string says)
    {
        using var app = new App();
        var png = TestPictures.Drawn(400, 300, SKEncodedImageFormat.Png);
        if (what == "bomb")
        {
            // The header alone says how large it is.
            BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(16), 60_000);
            BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(20), 60_000);
            BinaryPrimitives.WriteUInt32BigEndian(png.AsSpan(29), TestPictures.Crc(png.AsSpan(12, 17)));
        }

        byte[] file = what switch
        {
            "text" => "<svg onload=alert(1)>"u8.ToArray(),
            "half" => TestPictures.Drawn(800, 600)[..2000],
            "bomb" => png,
            _ => [],
        };
        var (status, problem) = await Add(app, file);
        (status, (string)problem["code"]!).ShouldBe((400, code), problem.ToJsonString());
        ((string)problem["errors"]!["file"]![0]!).ShouldBe(says);
        (await app.Get($"{Bow}/pictures")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_photograph_of_a_set_a_note_a_check_and_a_visit_stands_in_the_story_with_it()
    {
        using var app = new App();
        var note = App.NewId();
        await app.Post($"{Bow}/story/notes", new { id = note, text = "The rest is worn" });
        var check = App.NewId();
        await app.Post(
            $"{Bow}/checks",
            new
            {
                id = check,
                kind = "braceHeight",
                typed = "6 1/2",
                confirmed = true,
            }
        );
        var (_, visits) = await app.Post($"{Bow}/visits", new { id = App.NewId(), wants = "a string" });
        var visit = (string)visits["shown"]!["line"]!["id"]!;
        var set = (string)(await app.NewestPaper())["sets"]![0]!["id"]!;
        string[] of =
        [
            $"&of=set&ofId={set}",
            $"&of=note&ofId={note}",
            $"&of=check&ofId={check}",
            $"&of=visit&ofId={visit}",
            "",
        ];
        foreach (var query in of)
        {
            await Added(app, query);
        }

        var events = (await app.Get($"{Bow}/story"))["events"]!.AsArray();
        JsonNode Event(Func<JsonNode, bool> which) =>
            events.Single(e => e!["pictures"]!.AsArray().Count > 0 && which(e))!;
        ((string)Event(e => (string?)e["picturedAs"] == "set")["id"]!).ShouldBe(set);
        ((string)Event(e => (string?)e["picturedAs"] == "note")["words"]!).ShouldBe("The rest is worn");
        ((string)Event(e => (string?)e["picturedAs"] == "check")["words"]!).ShouldContain("Brace height: 6 1/2 in");
        ((string)Event(e => (string?)e["picturedAs"] == "visit")["id"]!).ShouldBe(visit);
        ((string)Event(e => (string?)e["picturedAs"] is null)["words"]!).ShouldBe("Photograph");
        (await app.Get($"{Bow}/pictures?of=set&ofId={set}")).AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("&of=set&ofId=no-such")]
    [InlineData("&of=visit&ofId=eeeeeeee-0000-4000-8000-000000000001")]
    [InlineData("&of=note")]
    public async Task What_is_not_of_the_bow_takes_no_photograph(string query)
    {
        using var app = new App();
        (await Add(app, TestPictures.Drawn(80, 60), query)).Status.ShouldBe(404);
        (await Add(app, TestPictures.Drawn(80, 60), "&of=moon")).Status.ShouldBe(400);
        (await app.Get($"{Bow}/pictures")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_same_once_more_is_kept_once()
    {
        using var app = new App();
        var id = App.NewId();
        (await Add(app, TestPictures.Drawn(80, 60), id: id)).Status.ShouldBe(200);
        (await Add(app, TestPictures.Drawn(80, 60), id: id)).Status.ShouldBe(200);
        (await app.Get($"{Bow}/pictures")).AsArray().Count.ShouldBe(1);
        (await Add(app, TestPictures.Drawn(80, 60), bow: Whimbrel, id: id)).Status.ShouldBe(409);
    }

    /// <summary>
    /// The demo's sheet is drawn with tears of known length and seen aslant: squared, they have it again.
    /// </summary>
    [Fact]
    public async Task A_sheet_seen_aslant_is_squared_to_scale()
    {
        using var app = new App();
        const string set = "55555555-0000-4000-8000-000000000813-1";
        var view = (await app.Get($"{Whimbrel}/pictures?of=set&ofId={set}")).AsArray().Single()!;
        ((double)view["sheet"]!["width"]!).ShouldBe(297 / 25.4, 1e-9);
        ((string)view["sheet"]!["words"]!).ShouldStartWith("What is seen of the sheet is 11.7 in by 8.3 in");
        using var sheet = await Image(app, (string)view["id"]!, "sheet");
        var perInch = sheet.Width / (297 / 25.4);
        (sheet.Height / perInch).ShouldBe(210 / 25.4, .02);
        // The middle tear: its hole's right edge and the end of its tail, along the row through the hole.
        bool Dark(double x, double y) => sheet.GetPixel((int)(x * perInch), (int)(y * perInch)).Red < 90;
        var (holeX, holeY) = (297 / 25.4 * 2.2 / 3.8, 210 / 25.4 * .6);
        Dark(holeX, holeY).ShouldBeTrue();
        Dark(holeX - 1.12, holeY - .12).ShouldBeTrue("the tail");
        Dark(holeX + .13 + .04, holeY).ShouldBeFalse("right of the hole");
        Dark(holeX + .13 - .03, holeY).ShouldBeTrue("inside the hole");
        Dark(holeX - 1.12 - .34 - .05, holeY - .12).ShouldBeFalse("beyond the vanes");
    }

    [Fact]
    public async Task Where_the_sheet_lies_is_asked_about_beside_the_field()
    {
        using var app = new App();
        var id = await Added(app);
        var url = $"/api/pictures/{id}/sheet";
        (await app.Http.GetAsync($"{url}.jpg")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        object[] none = [];
        var (from, to) = (new { x = 100, y = 300 }, new { x = 600, y = 300 });
        var (status, problem) = await app.Post(
            url,
            new
            {
                corners = none,
                from,
                to,
                length = "ten",
            }
        );
        status.ShouldBe(400);
        ((string)problem["errors"]!["length"]![0]!).ShouldContain("ten");
        var (placed, view) = await app.Post(
            url,
            new
            {
                corners = none,
                from,
                to,
                length = "127 mm",
            }
        );
        placed.ShouldBe(200, view.ToJsonString());
        // 500 pixels are five inches; the photograph is 800 by 600.
        ((double)view["sheet"]!["width"]!).ShouldBe(8, 1e-9);
        ((double)view["sheet"]!["height"]!).ShouldBe(6, 1e-9);
    }

    [Fact]
    public async Task One_in_the_bin_comes_back_as_it_was_or_goes_for_good()
    {
        using var app = new App();
        var id = await Added(app, "&caption=cams");
        var before = await app.Http.GetByteArrayAsync($"/api/pictures/{id}/image.jpg");
        (await app.Http.DeleteAsync($"/api/pictures/{id}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await app.Get($"{Bow}/pictures")).AsArray().ShouldBeEmpty();
        (await app.Get($"{Bow}/story")).ToJsonString().ShouldNotContain(id);
        var thing = (await app.Get("/api/bin"))["things"]!.AsArray().Single()!;
        ((string)thing["name"]!, (string)thing["bow"]!).ShouldBe(("cams", "Brindle"));
        (await app.Post($"/api/bin/picture/{id}/put-back", null)).Status.ShouldBe(200);
        (await app.Get("/api/bin"))["things"]!.AsArray().ShouldBeEmpty();
        ((string)(await app.Get($"{Bow}/pictures"))[0]!["caption"]!).ShouldBe("cams");
        (await app.Http.GetByteArrayAsync($"/api/pictures/{id}/image.jpg")).ShouldBe(before);

        await app.Http.DeleteAsync($"/api/pictures/{id}");
        (await app.Post($"/api/bin/picture/{id}/erase", null)).Status.ShouldBe(200);
        (await app.Http.GetAsync($"/api/pictures/{id}/image.jpg")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await app.Post($"/api/bin/picture/{id}/put-back", null)).Status.ShouldBe(404);
        var file = await File.ReadAllBytesAsync(app.File);
        file.AsSpan().IndexOf(before.AsSpan(600, 64)).ShouldBe(-1, "its bytes are written over");
    }
}
