using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

public class SetupTests
{
    private const string Bow = $"/api/bows/{App.Brindle}";

    [Fact]
    public async Task A_one_sided_twist_asks_for_timing_and_an_opposed_pair_does_not()
    {
        using var app = new App();
        (await Again(app)).ShouldBeEmpty();
        (await app.Post($"{Bow}/moves", new { id = App.NewId(), yoke = new { left = -1, right = 1 } })).Status.ShouldBe(
            200
        );
        (await Again(app)).ShouldBeEmpty();
        (
            await app.Post(
                $"{Bow}/moves",
                new
                {
                    id = App.NewId(),
                    yoke = new { left = 1, right = 0 },
                    note = "left leg",
                }
            )
        ).Status.ShouldBe(200);
        (await Again(app)).ShouldBe(["camLean", "camTiming", "paper"]);
        (
            await app.Post(
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "camTiming",
                    choice = "together",
                }
            )
        ).Status.ShouldBe(200);
        (await Again(app)).ShouldBe(["camLean", "paper"]);
    }

    [Fact]
    public async Task Taking_a_move_back_is_a_correction_or_a_new_move()
    {
        using var app = new App();
        var (_, moved) = await app.Post(
            $"{Bow}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "restHeight",
                to = 5,
            }
        );
        var wrong = moved["moves"]!["moves"]!.AsArray()[^1]!["id"];
        var (_, corrected) = await app.Post(
            $"{Bow}/moves/{wrong}/undo",
            new { id = App.NewId(), loggedWrongly = true }
        );
        Position(corrected).ShouldBe(-2);
        ((bool)corrected["moves"]!["moves"]!.AsArray()[^1]!["correction"]!).ShouldBeTrue();

        (_, moved) = await app.Post(
            $"{Bow}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "restHeight",
                to = 7,
            }
        );
        var real = moved["moves"]!["moves"]!.AsArray()[^1]!["id"];
        var (_, back) = await app.Post($"{Bow}/moves/{real}/undo", new { id = App.NewId(), loggedWrongly = false });
        Position(back).ShouldBe(-2);
        ((bool)back["moves"]!["moves"]!.AsArray()[^1]!["correction"]!).ShouldBeFalse();

        static int Position(JsonNode bow) =>
            (int)bow["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "restHeight")!["position"]!;
    }

    [Fact]
    public async Task An_odd_reading_is_asked_about_once_and_then_kept()
    {
        using var app = new App();
        var id = App.NewId();
        var (status, asked) = await app.Post(
            $"{Bow}/checks",
            new
            {
                id,
                kind = "braceHeight",
                typed = "8.5",
            }
        );
        status.ShouldBe(400);
        ((string)asked["code"]!).ShouldBe("suspicious");
        (status, _) = await app.Post(
            $"{Bow}/checks",
            new
            {
                id,
                kind = "braceHeight",
                typed = "8.5",
                confirmed = true,
            }
        );
        status.ShouldBe(200);
        ((double)(await app.Get(Bow))["bow"]!["braceHeight"]!).ShouldBe(
            8.5,
            "what is measured on the sheet is the bow's own"
        );
    }

    [Theory]
    [InlineData("{\"kind\":\"centreShot\",\"typed\":\"wide\"}", "typed")]
    [InlineData("{\"kind\":\"centreShot\",\"typed\":\"9\"}", "typed")]
    [InlineData("{\"kind\":\"camTiming\",\"choice\":\"maybe\"}", "choice")]
    [InlineData("{\"kind\":\"camTiming\",\"skipReason\":\" \"}", "skipReason")]
    public async Task A_finding_that_cannot_be_read_names_its_field(string body, string field)
    {
        using var app = new App();
        var input = JsonNode.Parse(body)!;
        input["id"] = App.NewId();
        var (status, problem) = await app.Post($"{Bow}/checks", input.ToJsonString());
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("moves", "{}")]
    [InlineData("moves", "{\"yoke\":{\"left\":0,\"right\":0}}")]
    [InlineData("moves", "{\"adjuster\":\"restHeight\",\"to\":900}")]
    [InlineData("moves", "{\"spacers\":{\"top\":1,\"bottom\":0}}")]
    [InlineData("shots", "{\"count\":0}")]
    public async Task An_act_that_cannot_be_is_a_400(string what, string body)
    {
        using var app = new App();
        var input = JsonNode.Parse(body)!;
        input["id"] = App.NewId();
        (await app.Post($"{Bow}/{what}", input.ToJsonString())).Status.ShouldBe(400);
    }

    [Fact]
    public async Task Shots_are_counted_by_hand_and_by_paper_and_the_first_after_a_new_string_only_settle_it()
    {
        using var app = new App();
        ((int)(await Setup(app))["string"]!["shots"]!).ShouldBe(87, "78 entered, 9 on paper");
        await app.Post($"{Bow}/changes", new { id = App.NewId(), change = "newString" });
        var settling = (await Setup(app))["string"]!;
        ((int)settling["shots"]!).ShouldBe(0);
        ((int)settling["settlingLeft"]!).ShouldBe(5);
        await app.Post($"{Bow}/shots", new { id = App.NewId(), count = 4 });
        var paper = await app.Get($"/api/papers/{App.OpenPaper}");
        for (var i = 0; i < 2; i++)
        {
            paper = await app.Shoot(paper, .1, 0);
        }

        var life = (await Setup(app))["string"]!;
        ((int)life["shots"]!).ShouldBe(1);
        ((int)life["settling"]!).ShouldBe(5);
        var shots = (await app.Get($"/api/papers/{App.OpenPaper}"))["sets"]!.AsArray()[^1]!["shots"]!.AsArray();
        ((string?)shots[^2]!["voidReason"]).ShouldBe("settles new string work");
        ((string?)shots[^1]!["voidReason"]).ShouldBeNull();
    }

    [Fact]
    public async Task A_good_state_shows_the_way_back_and_can_be_withdrawn()
    {
        using var app = new App();
        var good = (await Setup(app))["goodStates"]![0]!;
        good["wayBack"]!.AsArray().Select(w => (string)w!["order"]!).ShouldContain("Rest 2 clicks right (in)");
        await app.Post($"{Bow}/good-states", new { id = App.NewId(), arrowVersionId = App.IslandVersion });
        (await Setup(app))["goodStates"]!.AsArray().Single()!["wayBack"]!
            .AsArray()
            .ShouldBeEmpty("one state an arrow, the newest");
        var (_, after) = await app.Post($"{Bow}/withdrawals/{(await Setup(app))["goodStates"]![0]!["id"]}", new { });
        after["goodStates"]!.AsArray().Count.ShouldBe(1, "the earlier one stands again");
        (await app.Post($"{Bow}/withdrawals/{App.NewId()}", new { })).Status.ShouldBe(404);
    }

    [Fact]
    public async Task A_bow_with_history_is_archived_and_hung_up_again()
    {
        using var app = new App();
        await app.Post($"{Bow}/archive", new { archived = true });
        var rack = await app.Get("/api/rack");
        rack["bows"]!.AsArray().ShouldNotContain(b => (string)b!["name"]! == "Brindle");
        ((string)rack["archived"]![0]!["name"]!).ShouldBe("Brindle");
        await app.Post($"{Bow}/archive", new { archived = false });
        (await app.Get("/api/rack"))["bows"]!.AsArray().ShouldContain(b => (string)b!["name"]! == "Brindle");
    }

    [Fact]
    public async Task The_card_is_two_pages_of_pdf_at_the_most()
    {
        using var app = new App();
        var pdf = await app.Http.GetByteArrayAsync($"{Bow}/card.pdf");
        System.Text.Encoding.ASCII.GetString(pdf, 0, 5).ShouldBe("%PDF-");
        System.Text.Encoding.Latin1.GetString(pdf).Split("/Type /Page\n").Length.ShouldBeInRange(2, 3);
    }

    [Fact]
    public async Task The_caliper_and_the_table_answer_in_words_and_inches()
    {
        using var app = new App();
        var (_, fix) = await app.Post(
            $"/api/bows/{App.Brindle}/caliper",
            new
            {
                front = "7/8",
                rear = "13/16",
                nockToRest = "7",
                between = "4",
            }
        );
        ((string)fix["words"]!).ShouldContain("0.109 in in");
        var cants = await app.Get($"{Bow}/cants?degrees=1&zero=20&slope=30");
        cants["rows"]!.AsArray().Count.ShouldBe(5);
        ((int)(await app.Http.GetAsync($"{Bow}/cants?degrees=90&zero=20&slope=30")).StatusCode).ShouldBe(400);
    }

    private static Task<JsonNode> Setup(App app) => app.Get($"{Bow}/setup");

    private static async Task<string[]> Again(App app)
    {
        var setup = await Setup(app);
        return
        [
            .. setup["checks"]!
                .AsArray()
                .Concat(setup["followUps"]!.AsArray())
                .Where(c => (string)c!["state"]! == "again")
                .Select(c => (string)c!["kind"]!),
        ];
    }
}
