using System.IO.Compression;
using System.Net;
using Merganser.Web.Ui;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.TestHost;

namespace Merganser.Web.Tests;

/// <summary>What goes over the wire: compressed, and not again what is known.</summary>
public class TransferTests
{
    [Theory]
    [InlineData("br")]
    [InlineData("gzip")]
    public async Task An_answer_is_compressed_as_the_browser_takes_it(string encoding)
    {
        using var app = new App();
        var plain = await app.Http.GetByteArrayAsync("/api/rack");
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rack");
        request.Headers.AcceptEncoding.ParseAdd(encoding);
        using var answer = await app.Http.SendAsync(request);
        answer.Content.Headers.ContentEncoding.ShouldBe([encoding]);
        var sent = await answer.Content.ReadAsByteArrayAsync();
        sent.Length.ShouldBeLessThan(plain.Length / 2);
        using Stream whole =
            encoding == "br"
                ? new BrotliStream(new MemoryStream(sent), CompressionMode.Decompress)
                : new GZipStream(new MemoryStream(sent), CompressionMode.Decompress);
        using var read = new MemoryStream();
        await whole.CopyToAsync(read);
        read.ToArray().ShouldBe(plain);
    }

    [Theory]
    [InlineData("br", "pressed", "br")]
    [InlineData("gzip, br;q=0", "let x = 1;", "")]
    [InlineData("identity", "let x = 1;", "")]
    public async Task A_built_file_that_lies_pressed_is_given_so_to_who_takes_it(string takes, string sent, string said)
    {
        var root = Directory.CreateTempSubdirectory("merganser-root-");
        var assets = root.CreateSubdirectory("assets").FullName;
        await File.WriteAllTextAsync(Path.Combine(assets, "index.js"), "let x = 1;");
        await File.WriteAllTextAsync(Path.Combine(assets, "index.js.br"), "pressed");
        var builder = WebApplication.CreateSlimBuilder(new WebApplicationOptions { WebRootPath = root.FullName });
        builder.WebHost.UseTestServer();
        await using var app = builder.Build();
        app.UseMiddleware<Pressed>();
        app.UseStaticFiles(UiPage.Assets);
        await app.StartAsync();
        using var http = app.GetTestClient();
        using var request = new HttpRequestMessage(HttpMethod.Get, "/assets/index.js");
        request.Headers.TryAddWithoutValidation("Accept-Encoding", takes);
        using var answer = await http.SendAsync(request);
        (await answer.Content.ReadAsStringAsync()).ShouldBe(sent);
        string.Join(",", answer.Content.Headers.ContentEncoding).ShouldBe(said);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/javascript");
        answer.Headers.Vary.ShouldBe(["Accept-Encoding"]);
        root.Delete(recursive: true);
    }

    [Fact]
    public async Task An_answer_that_is_known_is_not_sent_again_until_it_changes()
    {
        using var app = new App();
        var path = $"/api/bows/{App.Brindle}/setup";
        using var first = await app.Http.GetAsync(path);
        var tag = first.Headers.ETag!;
        using var same = await Ask(app, path, tag.ToString());
        same.StatusCode.ShouldBe(HttpStatusCode.NotModified);
        (await same.Content.ReadAsByteArrayAsync()).ShouldBeEmpty();
        await app.Post($"/api/bows/{App.Brindle}/shots", new { id = Guid.NewGuid(), count = 6 });
        using var other = await Ask(app, path, tag.ToString());
        other.StatusCode.ShouldBe(HttpStatusCode.OK);
        other.Headers.ETag.ShouldNotBe(tag);
    }

    [Fact]
    public async Task A_refusal_and_what_is_written_have_no_tag()
    {
        using var app = new App();
        using var missing = await app.Http.GetAsync("/api/bows/nobody");
        missing.Headers.ETag.ShouldBeNull();
        missing.Headers.CacheControl!.NoStore.ShouldBeTrue();
    }

    [Fact]
    public async Task The_server_says_that_it_is_there()
    {
        using var app = new App();
        (await app.Http.GetStringAsync("/health")).ShouldBe("Healthy");
    }

    private static async Task<HttpResponseMessage> Ask(App app, string path, string tag)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, path);
        request.Headers.IfNoneMatch.ParseAdd(tag);
        return await app.Http.SendAsync(request);
    }
}
