using System.Text.RegularExpressions;
using Ical.Net;

namespace Merganser.Web.Tests;

/// <summary>What is to be done, by day and by shots.</summary>
public class PlanTests
{
    private static object New(string kind, string text, string? bow = null, string? on = null, int? shots = null) =>
        new
        {
            id = App.NewId(),
            kind,
            text,
            bowId = bow,
            on,
            afterShots = shots?.ToString(),
        };

    private static object Typed(string shots) =>
        new
        {
            id = App.NewId(),
            kind = "byShots",
            text = "Wax",
            bowId = App.Brindle,
            afterShots = shots,
        };

    /// <summary>The demo's evening is 23 November 2026.</summary>
    private static string InDays(int days) => new DateOnly(2026, 11, 23).AddDays(days).ToString("yyyy-MM-dd");

    [Fact]
    public async Task Shots_count_from_when_it_was_entered_and_make_it_due_on_the_rack()
    {
        using var app = new App();
        var reminder = New("byShots", "Wax the string", App.Brindle, shots: 30);
        var (status, plan) = await app.Post("/api/plan", reminder);
        status.ShouldBe(200);
        var line = plan["lines"]!.AsArray().Single(l => (string)l!["when"]! == "in 30 shots")!;
        ((string)line["bow"]!, (string)line["standing"]!).ShouldBe(("Brindle", "later"));
        var id = (string)line["reminderId"]!;
        await app.Post($"/api/bows/{App.Brindle}/shots", new { id = App.NewId(), count = 30 });
        var due = (await app.Get($"/api/bows/{App.Brindle}/story/answers"))["due"]!.AsArray();
        due.ShouldContain(d => (string?)d!["reminderId"] == id && (bool)d["now"]!);

        (await app.Post($"/api/plan/{id}/state", new { state = "done" })).Status.ShouldBe(200);
        var (again, after) = await app.Post($"/api/plan/{id}/state", new { state = "done" });
        again.ShouldBe(200);
        after["lines"]!.AsArray().ShouldNotContain(l => (string?)l!["reminderId"] == id);
        after["ended"]![0]!["text"]!.ToString().ShouldBe("Wax the string");
        var story = (await app.Get($"/api/bows/{App.Brindle}/story"))["events"]!.AsArray();
        story.ShouldContain(e => (string)e!["words"]! == "Done as planned: Wax the string");

        var (_, open) = await app.Post($"/api/plan/{id}/state", new { state = "open" });
        open["lines"]!.AsArray().ShouldContain(l => (string?)l!["reminderId"] == id);
    }

    /// <summary>A bow with nothing else open is next on the rack by what somebody planned for today.</summary>
    [Fact]
    public async Task What_is_planned_for_today_stands_on_the_rack()
    {
        using var app = new App();
        const string tidewrack = "22222222-0000-4000-8000-000000000005";
        var reminder = New("byDate", "Change the limb bolts' grease", tidewrack, InDays(0));
        (await app.Post("/api/plan", reminder)).Status.ShouldBe(200);
        (await app.Post("/api/plan", reminder)).Status.ShouldBe(200);
        var bow = (await app.Get("/api/rack"))["bows"]!.AsArray().Single(b => (string)b!["id"]! == tidewrack)!;
        ((string)bow["urgency"]!).ShouldBe("due");
        var plan = await app.Get("/api/plan");
        plan["lines"]!.AsArray().Count(l => ((string)l!["what"]!).StartsWith("Change the limb")).ShouldBe(1);
    }

    [Fact]
    public async Task A_field_that_cannot_be_is_named()
    {
        using var app = new App();
        (string Field, object Body)[] wrong =
        [
            ("on", New("byDate", "Wax", on: InDays(-2))),
            ("on", New("shoot", "Field shoot")),
            ("text", New("byDate", " ", on: InDays(2))),
            ("bowId", New("byShots", "Wax", shots: 12)),
            ("afterShots", New("byShots", "Wax", App.Brindle)),
            ("afterShots", Typed("12.5")),
            ("afterShots", Typed("many")),
            ("afterShots", Typed("99999999999999")),
        ];
        foreach (var (field, body) in wrong)
        {
            var (status, problem) = await app.Post("/api/plan", body);
            status.ShouldBe(400);
            problem["errors"]!.AsObject().Select(e => e.Key).ShouldBe([field]);
        }

        (await app.Post("/api/plan", New("byDate", "Wax", App.NewId(), InDays(2)))).Status.ShouldBe(404);
        (await app.Post($"/api/plan/{App.NewId()}/state", new { state = "done" })).Status.ShouldBe(404);
    }

    /// <summary>Read back by a calendar library; a day is a whole day, as RFC 5545 has it: VALUE=DATE.</summary>
    [Fact]
    public async Task The_calendar_has_every_day_and_every_count_of_shots()
    {
        using var app = new App();
        await app.Post("/api/plan", New("byDate", "Bring a; comma, and\\slash", on: InDays(9)));
        var response = await app.Http.GetAsync("/api/plan/calendar.ics");
        response.Content.Headers.ContentType!.MediaType.ShouldBe("text/calendar");
        var text = await response.Content.ReadAsStringAsync();
        var calendar = Calendar.Load(text)!;
        var lines = (await app.Get("/api/plan"))["lines"]!.AsArray();
        calendar.Events.Count.ShouldBe(lines.Count(l => l!["on"] is not null));
        calendar.Todos.Count.ShouldBe(lines.Count(l => l!["on"] is null));
        var shoot = calendar.Events.Single(e => e.Categories.Contains("shoot"));
        shoot.Summary.ShouldBe("Autumn field shoot");
        shoot.IsAllDay.ShouldBeTrue();
        calendar.Events.ShouldContain(e => e.Summary == "Bring a; comma, and\\slash");
        var day = InDays(9).Replace("-", "");
        Regex.IsMatch(text, $"DTSTART;VALUE=DATE:{day}\r\n").ShouldBeTrue(text);
    }
}
