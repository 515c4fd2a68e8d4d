using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

public class SetupTests
{
    private const string Bow = $"/api/bows/{WebBench.Brindle}";

    [Fact]
    public async Task A_one_sided_twist_asks_for_timing_and_an_opposed_pair_does_not()
    {
        using var bench = new WebBench();
        (await Again(bench)).ShouldBeEmpty();
        (
            await bench.Post($"{Bow}/moves", new { id = WebBench.NewId(), yoke = new { left = -1, right = 1 } })
        ).Status.ShouldBe(200);
        (await Again(bench)).ShouldBeEmpty();
        (
            await bench.Post(
                $"{Bow}/moves",
                new
                {
                    id = WebBench.NewId(),
                    yoke = new { left = 1, right = 0 },
                    note = "left leg",
                }
            )
        ).Status.ShouldBe(200);
        (await Again(bench)).ShouldBe(["camLean", "camTiming", "paper"]);
        (
            await bench.Post(
                $"{Bow}/checks",
                new
                {
                    id = WebBench.NewId(),
                    kind = "camTiming",
                    choice = "together",
                }
            )
        ).Status.ShouldBe(200);
        (await Again(bench)).ShouldBe(["camLean", "paper"]);
    }

    [Fact]
    public async Task Taking_a_move_back_is_a_correction_or_a_new_move()
    {
        using var bench = new WebBench();
        var (_, moved) = await bench.Post(
            $"{Bow}/moves",
            new
            {
                id = WebBench.NewId(),
                adjuster = "restHeight",
                to = 5,
            }
        );
        var wrong = moved["moves"]!.AsArray()[^1]!["id"];
        var (_, corrected) = await bench.Post(
            $"{Bow}/moves/{wrong}/undo",
            new { id = WebBench.NewId(), loggedWrongly = true }
        );
        Position(corrected).ShouldBe(-2);
        ((bool)corrected["moves"]!.AsArray()[^1]!["correction"]!).ShouldBeTrue();

        (_, moved) = await bench.Post(
            $"{Bow}/moves",
            new
            {
                id = WebBench.NewId(),
                adjuster = "restHeight",
                to = 7,
            }
        );
        var real = moved["moves"]!.AsArray()[^1]!["id"];
        var (_, back) = await bench.Post(
            $"{Bow}/moves/{real}/undo",
            new { id = WebBench.NewId(), loggedWrongly = false }
        );
        Position(back).ShouldBe(-2);
        ((bool)back["moves"]!.AsArray()[^1]!["correction"]!).ShouldBeFalse();

        static int Position(JsonNode bow) =>
            (int)bow["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "restHeight")!["position"]!;
    }

    [Fact]
    public async Task An_odd_reading_is_asked_about_once_and_then_kept()
    {
        using var bench = new WebBench();
        var id = WebBench.NewId();
        var (status, asked) = await bench.Post(
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
        (status, _) = await bench.Post(
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
        ((double)(await bench.Get(Bow))["bow"]!["braceHeight"]!).ShouldBe(
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
        using var bench = new WebBench();
        var input = JsonNode.Parse(body)!;
        input["id"] = WebBench.NewId();
        var (status, problem) = await bench.Post($"{Bow}/checks", input.ToJsonString());
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
        using var bench = new WebBench();
        var input = JsonNode.Parse(body)!;
        input["id"] = WebBench.NewId();
        (await bench.Post($"{Bow}/{what}", input.ToJsonString())).Status.ShouldBe(400);
    }

    [Fact]
    public async Task Shots_are_counted_by_hand_and_by_paper_and_the_first_after_a_new_string_only_settle_it()
    {
        using var bench = new WebBench();
        ((int)(await Setup(bench))["string"]!["shots"]!).ShouldBe(87, "78 entered, 9 on paper");
        await bench.Post($"{Bow}/changes", new { id = WebBench.NewId(), change = "newString" });
        var settling = (await Setup(bench))["string"]!;
        ((int)settling["shots"]!).ShouldBe(0);
        ((int)settling["settlingLeft"]!).ShouldBe(5);
        await bench.Post($"{Bow}/shots", new { id = WebBench.NewId(), count = 4 });
        var paper = await bench.Get($"/api/papers/{WebBench.OpenPaper}");
        var set = (string)paper["sets"]!.AsArray()[^1]!["id"]!;
        for (var i = 0; i < 2; i++)
        {
            (
                await bench.Post(
                    $"/api/sets/{set}/shots",
                    new
                    {
                        id = WebBench.NewId(),
                        point = new { x = 0, y = 0 },
                        tail = new { x = .1, y = 0 },
                        typed = (object?)null,
                        side = "shootingSide",
                    }
                )
            ).Status.ShouldBe(200);
        }

        var life = (await Setup(bench))["string"]!;
        ((int)life["shots"]!).ShouldBe(1);
        ((int)life["settling"]!).ShouldBe(5);
        var shots = (await bench.Get($"/api/papers/{WebBench.OpenPaper}"))["sets"]!.AsArray()[^1]!["shots"]!.AsArray();
        ((string?)shots[^2]!["voidReason"]).ShouldBe("settles new string work");
        ((string?)shots[^1]!["voidReason"]).ShouldBeNull();
    }

    [Fact]
    public async Task A_good_state_shows_the_way_back_and_can_be_withdrawn()
    {
        using var bench = new WebBench();
        var good = (await Setup(bench))["goodStates"]![0]!;
        good["wayBack"]!.AsArray().Select(w => (string)w!["order"]!).ShouldContain("Rest 2 clicks right (in)");
        await bench.Post($"{Bow}/good-states", new { id = WebBench.NewId(), arrowVersionId = WebBench.IslandVersion });
        (await Setup(bench))["goodStates"]!.AsArray().Single()!["wayBack"]!
            .AsArray()
            .ShouldBeEmpty("one state an arrow, the newest");
        var (_, after) = await bench.Post(
            $"{Bow}/withdrawals/{(await Setup(bench))["goodStates"]![0]!["id"]}",
            new { }
        );
        after["goodStates"]!.AsArray().Count.ShouldBe(1, "the earlier one stands again");
        (await bench.Post($"{Bow}/withdrawals/{WebBench.NewId()}", new { })).Status.ShouldBe(404);
    }

    [Fact]
    public async Task A_bow_with_history_is_archived_and_hung_up_again()
    {
        using var bench = new WebBench();
        await bench.Post($"{Bow}/archive", new { archived = true });
        var rack = await bench.Get("/api/rack");
        rack["bows"]!.AsArray().ShouldNotContain(b => (string)b!["name"]! == "Brindle");
        ((string)rack["archived"]![0]!["name"]!).ShouldBe("Brindle");
        await bench.Post($"{Bow}/archive", new { archived = false });
        (await bench.Get("/api/rack"))["bows"]!.AsArray().ShouldContain(b => (string)b!["name"]! == "Brindle");
    }

    [Fact]
    public async Task The_card_is_one_page_of_pdf()
    {
        using var bench = new WebBench();
        var pdf = await bench.Http.GetByteArrayAsync($"{Bow}/card.pdf");
        System.Text.Encoding.ASCII.GetString(pdf, 0, 5).ShouldBe("%PDF-");
        System.Text.Encoding.Latin1.GetString(pdf).Split("/Type /Page\n").Length.ShouldBe(2);
    }

    [Fact]
    public async Task The_caliper_and_the_table_answer_in_words_and_inches()
    {
        using var bench = new WebBench();
        var (_, fix) = await bench.Post(
            $"/api/bows/{WebBench.Brindle}/caliper",
            new
            {
                front = "7/8",
                rear = "13/16",
                nockToRest = "7",
                between = "4",
            }
        );
        ((string)fix["words"]!).ShouldContain("0.109 in in");
        var cants = await bench.Get($"{Bow}/cants?degrees=1&zero=20&slope=30");
        cants["rows"]!.AsArray().Count.ShouldBe(5);
        ((int)(await bench.Http.GetAsync($"{Bow}/cants?degrees=90&zero=20&slope=30")).StatusCode).ShouldBe(400);
    }

    private static Task<JsonNode> Setup(WebBench bench) => bench.Get($"{Bow}/setup");

    private static async Task<string[]> Again(WebBench bench)
    {
        var setup = await Setup(bench);
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
