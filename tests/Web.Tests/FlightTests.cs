using System.Text.Json.Nodes;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Core;

namespace Merganser.Web.Tests;

/// <summary>Honest range, marks and prints of a bow, as a browser asks for them.</summary>
public class FlightTests
{
    private const string Hunter = "/api/bows/22222222-0000-4000-8000-000000000005";
    private const string Barebow = "/api/bows/22222222-0000-4000-8000-000000000003";
    private const string Compound = "/api/bows/" + App.Brindle;
    private const string Heavy = "33333333-0000-4000-8000-000000000003";
    private const double PointsInMillimetre = 72 / 25.4;

    private static object Said(
        string error = "usual",
        string errorYards = "",
        string circle = "",
        string spread = "measured",
        string perYard = "",
        string altitude = "",
        string temperature = ""
    ) =>
        new
        {
            id = App.NewId(),
            error,
            errorYards,
            circle,
            spread,
            perYard,
            sightHeight = "",
            altitude,
            temperature,
        };

    private static Task<(int Status, JsonNode Body)> Prove(
        App app,
        string distance,
        string value,
        string kind = "mark",
        string bow = Hunter
    ) =>
        app.Post(
            $"{bow}/proven",
            new
            {
                id = App.NewId(),
                kind,
                distance,
                value,
            }
        );

    [Fact]
    public async Task The_range_stands_on_the_archers_own_groups_where_there_are_any()
    {
        using var app = new App();
        var view = await app.Get($"{Hunter}/flight");
        ((bool)view["spreadMeasured"]!).ShouldBeTrue();
        ((string)view["spread"]!).ShouldContain("81 hits");
        var honest = view["honest"]!;
        ((double)honest["yards"]!).ShouldBeInRange((double)honest["low"]!, (double)honest["high"]!);
        ((string)honest["title"]!).ShouldStartWith("Honest to ");
        // What is drawn at the distance is what the rule asks: the ring, laid at the worse end, reaches the circle.
        var at = view["struck"]!.AsArray().Select(s => s!).ToArray();
        at.Where(s => (double)s["yards"]! < (double)honest["yards"]!)
            .ShouldAllBe(s => Reach(s) <= (double)honest["radius"]!);
        at.Where(s => (double)s["yards"]! > (double)honest["yards"]! + 1)
            .ShouldAllBe(s => Reach(s) > (double)honest["radius"]!);
        var compound = await app.Get($"{Compound}/flight");
        ((bool)compound["spreadMeasured"]!).ShouldBeFalse();
        ((string)compound["next"]!["action"]!).ShouldBe("groups");
    }

    [Fact]
    public async Task The_heavy_arrow_has_the_shorter_range_and_the_light_one_none_at_all()
    {
        using var app = new App();
        var beside = (await app.Get($"{Compound}/flight"))["beside"]!.AsArray();
        beside.Select(b => (string)b!["name"]!).ShouldBe(["Spindrift light", "Island 340", "Ballast heavy"]);
        ((double?)beside[0]!["yards"]).ShouldBeNull();
        ((string)beside[0]!["caution"]!).ShouldContain("5 gr/lb");
        ((double)beside[2]!["yards"]!).ShouldBeLessThan((double)beside[1]!["yards"]!);
        var heavy = await app.Get($"{Compound}/flight?arrow={Heavy}");
        ((string)heavy["arrowId"]!).ShouldBe(Heavy);
        (await app.Http.GetAsync($"{Compound}/flight?arrow=nobody")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task What_is_said_is_kept_and_moves_the_range()
    {
        using var app = new App();
        var before = (double)(await app.Get($"{Compound}/flight"))["honest"]!["yards"]!;
        async Task<double> With(object said)
        {
            var (status, view) = await app.Post($"{Compound}/flight", said);
            status.ShouldBe(200, view.ToJsonString());
            return (double)view["honest"]!["yards"]!;
        }

        (await With(Said("typed", "4 yd"))).ShouldBeLessThan(before);
        (await With(Said("measured"))).ShouldBeGreaterThan(before);
        (await With(Said(circle: "12 in"))).ShouldBeGreaterThan(before);
        (await With(Said(spread: "wide"))).ShouldBeLessThan(before);
        (await With(Said(spread: "typed", perYard: "1 cm"))).ShouldBeGreaterThan(before);
        var high = await app.Post($"{Compound}/flight", Said(altitude: "2000 m", temperature: "30 °C"));
        high.Status.ShouldBe(200);
        ((string)(await app.Get($"{Compound}/flight"))["said"]!["temperature"]!).ShouldBe("30 °C");
    }

    [Theory]
    [InlineData("errorYards", "typed", "far", "", "")]
    [InlineData("errorYards", "typed", "40", "", "")]
    [InlineData("circle", "usual", "", "0", "")]
    [InlineData("temperature", "usual", "", "", "900")]
    [InlineData("temperature", "usual", "", "", "20 lb")]
    public async Task What_cannot_be_is_said_beside_its_field_and_nothing_is_kept(
        string field,
        string error,
        string errorYards,
        string circle,
        string temperature
    )
    {
        using var app = new App();
        var said = Said(error, errorYards, circle, temperature: temperature);
        var (status, problem) = await app.Post($"{Compound}/flight", said);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
        app.Database.Read(sql => sql.Scalar<long>("SELECT count(*) FROM flight_wish")).ShouldBe(0);
    }

    [Fact]
    public async Task Marks_bind_the_tape_a_bad_one_is_asked_about_and_goes_when_it_is_given_up()
    {
        using var app = new App();
        var view = await app.Get($"{Hunter}/flight");
        ((string)view["fitted"]!).ShouldStartWith("3 marks of your own: the tape goes through them within");
        view["marks"]!
            .AsArray()
            .Where(m => (bool)m!["own"]!)
            .Select(m => (string)m!["distance"]!)
            .ShouldBe(["20", "40", "60"]);
        var (status, bad) = await Prove(app, "50", "1.2");
        status.ShouldBe(200);
        var doubted = bad["proven"]!.AsArray().Single(p => (bool)p!["doubted"]!)!;
        ((string)doubted["words"]!).ShouldStartWith("Your mark at 50 yd lies 0.");
        var (_, given) = await Prove(app, "50", "");
        given["proven"]!.AsArray().Count.ShouldBe(3);
        (await Prove(app, "50", "left")).Status.ShouldBe(400);
        var drag = (JsonNode v) => v["figures"]!.AsArray().Single(f => (string)f!["name"]! == "drag")!;
        var wide = (double)drag(given)["high"]! - (double)drag(given)["low"]!;
        var (_, down) = await Prove(app, "50", "240 ft/s", "speed");
        ((double)drag(down)["high"]! - (double)drag(down)["low"]!).ShouldBeLessThan(wide);
    }

    [Fact]
    public async Task A_mark_of_another_bows_arrow_is_no_mark_of_this_bow()
    {
        using var app = new App();
        var (status, _) = await app.Post(
            $"{Hunter}/proven",
            new
            {
                id = App.NewId(),
                kind = "mark",
                arrow = Heavy,
                distance = "20",
                value = "1",
            }
        );
        status.ShouldBe(404);
    }

    [Fact]
    public async Task The_tape_is_printed_in_true_size_and_set_right_by_its_bar()
    {
        using var app = new App();
        var marks = (await app.Get($"{Hunter}/flight"))["marks"]!.AsArray();
        var travel = (double)marks[^1]!["inches"]!;
        travel.ShouldBeInRange(.6, 1.2);
        foreach (var (bar, scale) in new[] { ("", 1.0), ("1 15/16", 2 / 1.9375) })
        {
            using var pdf = PdfDocument.Open(
                await app.Http.GetByteArrayAsync($"{Hunter}/tape.pdf?bar={Uri.EscapeDataString(bar)}")
            );
            var boxes = Boxes(pdf.GetPage(1));
            var close = .2 * PointsInMillimetre;
            boxes.ShouldContain(b => Math.Abs(b.Width - (2 * 72 * scale)) < close, "the bar of 2 in");
            // The long lines of the tens: from the first to the last it is the pin's travel.
            double[] tens = [.. boxes.Where(b => Math.Abs(b.Width - (.22 * 72)) < .3).Select(b => b.Bottom).Order()];
            tens.Length.ShouldBe(5);
            (tens[^1] - tens[0]).ShouldBe(travel * 72 * scale, close);
            for (var i = 1; i < 5; i++)
            {
                var inches = (double)marks[i * 2]!["inches"]!;
                (tens[^1] - tens[^(i + 1)]).ShouldBe(inches * 72 * scale, close);
            }
        }

        (await app.Http.GetAsync($"{Hunter}/tape.pdf?bar=4")).StatusCode.ShouldBe(System.Net.HttpStatusCode.BadRequest);
        (await app.Http.GetAsync($"{Barebow}/tape.pdf")).StatusCode.ShouldBe(System.Net.HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_card_says_range_marks_and_slopes_and_a_barebows_says_crawls()
    {
        using var app = new App();
        using var hunter = PdfDocument.Open(await app.Http.GetByteArrayAsync($"{Hunter}/range-card.pdf"));
        Words(hunter.GetPage(1)).ShouldContain("On a slope, set for");
        Words(hunter.GetPage(1)).ShouldContain("Honest to");
        using var barebow = PdfDocument.Open(await app.Http.GetByteArrayAsync($"{Barebow}/range-card.pdf"));
        string.Join(' ', barebow.GetPages().Select(Words)).ShouldContain("Point on at about");
        var aims = (await app.Get($"{Barebow}/flight"))["aims"]!.AsArray();
        // The crawls that the archer proved stand beside the computed ones, which are fitted to them.
        aims.Count(a => (string?)a!["proven"] is not null).ShouldBe(4);
    }

    [Fact]
    public async Task The_schools_are_told_by_what_arrives()
    {
        using var app = new App();
        var view = await app.Get($"{Compound}/weights/flight?purpose=field");
        var schools = view["schools"]!.AsArray();
        schools.Select(s => (string)s!["name"]!).ShouldBe(["Light and fast", "Middle", "Heavy"]);
        double[] Of(string what) => [.. schools.Select(s => double.Parse(((string)s![what]!).Split(' ')[0]))];
        // Light is faster and honest farther; heavy carries more momentum and energy, and drifts less.
        Of("speed").ShouldBe(Of("speed").OrderDescending());
        Of("honest").ShouldBe(Of("honest").OrderDescending());
        Of("momentum").ShouldBe(Of("momentum").Order());
        Of("energy").ShouldBe(Of("energy").Order());
        Of("drift").ShouldBe(Of("drift").OrderDescending());
        // All three meet at the distance.
        schools.ShouldAllBe(s => Math.Abs((double)s!["heights"]![40]!) < 1e-6);
        (await app.Http.GetAsync($"{Compound}/weights/flight?purpose=war")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.BadRequest
        );
    }

    [Fact]
    public async Task A_metric_archer_reads_metres_and_centimetres()
    {
        using var app = new App();
        (await app.Post($"{Hunter}/units", new { units = "metric" })).Status.ShouldBeLessThan(500);
        var metric = new
        {
            length = "centimetres",
            mass = "grams",
            force = "newtons",
            speed = "metresPerSecond",
            energy = "joules",
            distance = "metres",
        };
        (await app.Post($"{Hunter}/units", metric)).Status.ShouldBe(200);
        var view = await app.Get($"{Hunter}/flight");
        ((string)view["honest"]!["title"]!).ShouldContain(" m:");
        // The marks stand at fives of metres, and the archer's own at 20 yd where it is: from 15 m on.
        ((string)view["marks"]![0]!["distance"]!).ShouldBe("15");
        ((double)view["marks"]![0]!["yards"]!).ShouldBe(15 / .9144, 1e-9);
        view["marks"]!.AsArray().Count(m => (bool)m!["own"]!).ShouldBe(3);
        view["notes"]!.ToJsonString().ShouldContain(" cm ");
    }

    private static double Reach(JsonNode s) =>
        Math.Max(Math.Abs((double)s["above"]!), Math.Abs((double)s["below"]!)) + (double)s["ring"]!;

    private static string Words(Page page) => string.Join(' ', page.GetWords().Select(w => w.Text));

    private static PdfRectangle[] Boxes(Page page) =>
        [.. page.Paths.Select(p => p.GetBoundingRectangle()).OfType<PdfRectangle>()];
}
