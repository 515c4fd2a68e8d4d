using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Setup;

/// <summary>What is asked again after a change: common practice, no source.</summary>
public class SetupSheetTests
{
    private static readonly Verbatim Words = new("left leg alone");

    private static IEnumerable<string> Said(CheckKind check, BowKind bow) =>
        new Message[]
        {
            new CheckTitle(check, bow),
            new CheckTool(check, bow),
            new CheckWhy(check, bow),
            new CheckHow(check, bow),
            new CheckDrawn(check, bow),
            new CheckToDo(check, bow),
        }.Select(m => m.Said());

    private static readonly DateTimeOffset Day = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    [Theory]
    [InlineData(BowChange.OneSidedTwist, new[] { CheckKind.CamLean, CheckKind.CamTiming, CheckKind.Paper })]
    [InlineData(BowChange.OpposedYokeTwists, new CheckKind[0])]
    [InlineData(BowChange.StringTwists, new[] { CheckKind.Peep })]
    [InlineData(BowChange.NewLoop, new[] { CheckKind.NockingPoint, CheckKind.Loop, CheckKind.Peep, CheckKind.Paper })]
    [InlineData(
        BowChange.DrawLength,
        new[]
        {
            CheckKind.DrawWeight,
            CheckKind.CamTiming,
            CheckKind.Peep,
            CheckKind.Paper,
            CheckKind.Spine,
            CheckKind.Sight,
        }
    )]
    public void A_change_asks_again_for_what_it_moves_and_nothing_else(BowChange change, CheckKind[] again) =>
        AllDone([new DatedChange(change, null, 1, Words)]).AskedAgain.Select(l => l.Fact.Kind).ShouldBe(again);

    [Theory]
    [InlineData(AdjusterKind.YokePair, false)]
    [InlineData(AdjusterKind.YokeLeftLeg, true)]
    [InlineData(AdjusterKind.TopCable, true)]
    [InlineData(AdjusterKind.StringTwists, false)]
    [InlineData(AdjusterKind.BottomLimbBolt, true)]
    [InlineData(AdjusterKind.RestHeight, false)]
    public void A_logged_move_asks_for_timing_only_where_a_cable_changed(AdjusterKind kind, bool timing)
    {
        DatedChange[] moves = ChangeTable.Of(kind) is { } change ? [new DatedChange(change, 1, null, Words)] : [];
        AllDone(moves).AskedAgain.Any(l => l.Fact.Kind == CheckKind.CamTiming).ShouldBe(timing);
    }

    [Fact]
    public void Looking_again_closes_it()
    {
        var change = new DatedChange(BowChange.OneSidedTwist, 3, null, Words);
        var before = Finding(CheckKind.CamTiming, "together", afterMove: 2);
        var after = Finding(CheckKind.CamTiming, "together", afterMove: 3);
        State([before], [change]).ShouldBe(CheckState.Again);
        State([before, after], [change]).ShouldBe(CheckState.Done);

        CheckState State(DatedFinding[] findings, DatedChange[] changes) =>
            SetupSheet
                .Of(SetupSamples.Compound, true, findings, changes, true)
                .Lines.First(l => l.Fact.Kind == CheckKind.CamTiming)
                .State;
    }

    [Fact]
    public void A_skipped_check_comes_back_as_open_with_its_reason()
    {
        var sheet = SetupSheet.Of(
            SetupSamples.Compound,
            true,
            [new DatedFinding("1", new CheckFinding(CheckKind.CamTiming, null, null, "no draw board"), "", 0, 0, Day)],
            [],
            true
        );
        var line = sheet.Lines.First(l => l.Fact.Kind == CheckKind.CamTiming);
        line.State.ShouldBe(CheckState.Skipped);
        line.Because!.Said().ShouldBe("no draw board");
        sheet.Done.ShouldBe(0);
    }

    [Fact]
    public void The_peep_waits_for_paper()
    {
        State(false).ShouldBe(CheckState.Held);
        State(true).ShouldBe(CheckState.Open);

        static CheckState State(bool accepted) =>
            SetupSheet
                .Of(SetupSamples.Compound, true, [], [], accepted)
                .Lines.First(l => l.Fact.Kind == CheckKind.Peep)
                .State;
    }

    [Fact]
    public void What_is_asked_again_comes_before_what_was_never_done()
    {
        var sheet = SetupSheet.Of(
            SetupSamples.Compound,
            true,
            [Finding(CheckKind.CamTiming, "together", 0)],
            [new DatedChange(BowChange.OneSidedTwist, 1, null, Words)],
            true
        );
        SetupNext.Of(sheet, [], BowKind.Compound).Sentence.Said().ShouldBe("Look at it again: cam timing.");
        SetupNext
            .Of(SetupSheet.Of(SetupSamples.Compound, true, [], [], true), [], BowKind.Compound)
            .Sentence.Said()
            .ShouldBe("Check 1 of 17: limbs and screws.");
    }

    [Theory]
    [InlineData(CheckKind.NockSets, "pinch", "Pinched")]
    [InlineData(CheckKind.Loop, "twisted", "Turned to one side")]
    [InlineData(CheckKind.RestTiming, "late", "Comes up late")]
    public void A_pinched_nock_a_turned_loop_or_a_late_rest_is_never_done(CheckKind kind, string found, string said)
    {
        var sheet = SetupSheet.Of(SetupSamples.Compound, true, [Finding(kind, found, 0)], [], true);
        var line = sheet.Lines.Single(l => l.Fact.Kind == kind);
        line.State.ShouldBe(CheckState.Again);
        line.Because!.Said().ShouldStartWith(said);
        sheet.Done.ShouldBe(0);
    }

    [Fact]
    public void Paper_waits_for_an_arrow_and_is_done_by_a_paper_alone()
    {
        var sheet = SetupSheet.Of(
            SetupSamples.Compound,
            true,
            [],
            [new DatedChange(BowChange.NewLoop, null, 1, Words)],
            true
        );
        SetupNext.Of(sheet, [], BowKind.Compound, hasArrow: false).Action.ShouldStartWith("check:");
        var paper = SetupNext.Of(sheet, [], BowKind.Compound);
        paper.Action.ShouldBe("paper");
        paper.AlternativeAction.ShouldBeNull("nobody calls a paper done that was not shot");
    }

    [Fact]
    public void A_bow_in_order_is_led_to_an_arrow_and_with_one_to_the_paper()
    {
        var inOrder = new SetupSheet([], []);
        SetupNext.Of(inOrder, [], BowKind.Compound, hasArrow: false).Action.ShouldBe("arrow");
        SetupNext.Of(inOrder, [], BowKind.Compound).Action.ShouldBe("paper");
    }

    [Fact]
    public void A_cracked_limb_stops_everything()
    {
        var sheet = SetupSheet.Of(SetupSamples.Compound, true, [Finding(CheckKind.Inspection, "damaged", 0)], [], true);
        CheckKind[] drawing = [CheckKind.DrawWeight, CheckKind.CamTiming, CheckKind.NockFit, CheckKind.Peep];
        sheet.Lines.Where(l => drawing.Contains(l.Fact.Kind)).ShouldAllBe(l => l.State == CheckState.Held);
        var next = Unsound.Guard(
            Unsound.Of([Finding(CheckKind.Inspection, "damaged", 0)]),
            new Next(Words, Words, "paper", Words)
        );
        next.Sentence.Said().ShouldContain("Do not shoot");
        next.Alternative.ShouldBeNull();
    }

    [Fact]
    public void Only_a_repair_lets_it_go_on_and_a_damage_found_later_stops_it_again()
    {
        DatedFinding Found(string choice) => Finding(CheckKind.Inspection, choice, 0);
        Unsound.Of([]).ShouldBeNull();
        Unsound.Of([Found("damaged"), Found("sound")]).ShouldNotBeNull();
        Unsound.Of([Found("damaged"), Found("repaired"), Found("sound")]).ShouldBeNull();
        Unsound.Of([Found("damaged"), Found("repaired"), Found("damaged")]).ShouldNotBeNull();
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_damage_is_never_answered_with_going_on(bool hasPress)
    {
        var verdict = CheckReading.Judge(
            new CheckFinding(CheckKind.Inspection, null, "damaged", null),
            SetupSamples.Compound,
            hasPress
        );
        verdict.ToDo.Said().ShouldStartWith("Do not draw it.");
        verdict.ToDo.Said().ShouldNotContain("go on");
    }

    [Theory]
    [InlineData(BowKind.Recurve)]
    [InlineData(BowKind.Barebow)]
    [InlineData(BowKind.Longbow)]
    public void A_bow_without_cams_is_never_asked_about_them(BowKind kind)
    {
        string[] others = ["cam", "module", "axle", "string stop", "D-loop", "peep"];
        string[] words = [.. CheckTable.Order(kind, Release.Fingers).SelectMany(k => Said(k, kind))];
        words.Where(w => others.Any(o => w.Contains(o, StringComparison.OrdinalIgnoreCase))).ShouldBeEmpty();
        if (kind == BowKind.Longbow)
        {
            words.Where(w => w.Contains("bolt") || w.Contains("pocket") || w.Contains("plunger")).ShouldBeEmpty();
        }
    }

    [Theory]
    [InlineData(80, 0, 20, false)]
    [InlineData(104, 0, -4, true)]
    [InlineData(104, 101, null, false)]
    [InlineData(290, 101, 10, false)]
    [InlineData(60, 0, null, false)]
    public void String_checks_come_ahead_of_time(int shots, int checkedAt, int? left, bool now)
    {
        var due = new StringLife(shots, 0, 99, StringPlan.Usual).Due(
            BowKind.Compound,
            checkedAt,
            Practice.Weekly,
            null,
            Day
        );
        due.Count.ShouldBe(left is null ? 0 : 1);
        due.FirstOrDefault()?.ShotsLeft.ShouldBe(left);
        due.Any(d => d.Now).ShouldBe(now);
    }

    [Fact]
    public void Someone_who_shoots_a_lot_is_reminded_every_two_months()
    {
        var life = new StringLife(500, 0, 99, StringPlan.Usual with { School = StringSchool.PreStretched });
        life.Due(BowKind.Compound, 0, Practice.Daily, Day.AddDays(-62), Day).Single().Now.ShouldBeTrue();
        life.Due(BowKind.Compound, 0, Practice.Weekly, Day.AddDays(-62), Day).ShouldBeEmpty();
    }

    /// <summary>What was made of a record holds until then, and not a moment longer.</summary>
    [Fact]
    public void What_is_due_changes_by_itself_when_it_says_so()
    {
        var life = new StringLife(500, 0, 99, StringPlan.Usual with { School = StringSchool.PreStretched });
        List<DateTimeOffset> changes = [];
        for (var now = Day; StringLife.DueChanges(Practice.Daily, Day, now) is { } next; now = next)
        {
            Said(next.AddSeconds(-1)).ShouldBe(Said(now));
            Said(next).ShouldNotBe(Said(now));
            changes.Add(next);
        }

        changes.ShouldBe([Day.AddDays(54), Day.AddDays(61)]);
        StringLife.DueChanges(Practice.Weekly, Day, Day).ShouldBeNull();

        string Said(DateTimeOffset now) =>
            string.Join(' ', life.Due(BowKind.Compound, 0, Practice.Daily, Day, now).Select(d => d.Now));
    }

    [Fact]
    public void New_string_work_settles_for_five_shots()
    {
        new StringLife(0, 2, 2, StringPlan.Usual).SettlingLeft.ShouldBe(3);
        new StringLife(0, 5, 9, StringPlan.Usual).SettlingLeft.ShouldBe(0);
    }

    private static SetupSheet AllDone(IReadOnlyList<DatedChange> changes)
    {
        var findings = CheckTable
            .Order(BowKind.Compound)
            .Select(k => CheckTable.Of(k))
            .Select(f =>
                f.Quantity is null
                    ? Finding(f.Kind, f.Choices[0].Code, 0)
                    : new DatedFinding(
                        f.Kind.ToString(),
                        new CheckFinding(f.Kind, (f.Range.Low + f.Range.High) / 2, null, null),
                        "",
                        0,
                        0,
                        Day
                    )
            )
            .ToArray();
        return SetupSheet.Of(SetupSamples.Compound, true, findings, changes, true);
    }

    private static DatedFinding Finding(CheckKind kind, string choice, int afterMove) =>
        new($"{kind}{afterMove}", new CheckFinding(kind, null, choice, null), "", afterMove, 0, Day);
}
