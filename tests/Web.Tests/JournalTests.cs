namespace Merganser.Web.Tests;

/// <summary>The server's journal beside the data: what was asked, how it ended, nothing that was typed.</summary>
public class JournalTests
{
    [Fact]
    public async Task A_refusal_names_the_line_of_the_journal_and_what_was_typed_stays_out_of_it()
    {
        using var app = new App();
        await app.Get("/api/catalogue?kind=shaft&find=Secretname");
        var answer = await app.Post($"/api/bows/{App.Brindle}/shots", new { id = Guid.NewGuid(), count = 100_000 });
        answer.Status.ShouldBe(400);
        // A W3C trace context: version, trace, span, flags.
        var trace = ((string)answer.Body["traceId"]!).Split('-')[1];
        SpinWait.SpinUntil(() => Lines(app).Any(l => l.Contains(trace)), TimeSpan.FromSeconds(10));
        var lines = Lines(app);
        lines.ShouldContain(l => l.Contains(trace) && l.Contains($"POST /api/bows/{App.Brindle}/shots 400"));
        lines.ShouldContain(l => l.Contains("GET /api/catalogue 200"));
        lines.ShouldAllBe(l => !l.Contains("Secretname") && !l.Contains("100000"));
    }

    private static string[] Lines(App app)
    {
        var file = Directory.GetFiles(Path.GetDirectoryName(app.File)!, "bench-*.log").ShouldHaveSingleItem();
        using var open = new StreamReader(new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite));
        return open.ReadToEnd().Split('\n');
    }
}
