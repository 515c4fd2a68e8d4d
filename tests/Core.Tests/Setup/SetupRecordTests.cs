using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Setup;

/// <summary>What was entered of a bow's set-up, and what follows from it.</summary>
public class SetupRecordTests
{
    private static readonly DateTimeOffset Evening = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    private static readonly SetupRecord Empty = new(StringPlan.Usual, [], [], [], new StringShots(0, 0, 0), []);

    [Fact]
    public void Five_shots_settle_new_string_work_before_any_is_read()
    {
        Empty.String.Split(12).ShouldBe((0, 12), "nothing was done to the string");
        var fresh = Empty with { Changes = [Change(1, BowChange.NewString)] };
        fresh.String.Split(12).ShouldBe((5, 7));
        fresh.String.Split(3).ShouldBe((3, 0));
        (fresh with { Shots = new StringShots(0, 5, 5) }).String.Split(3).ShouldBe((0, 3));
    }

    [Fact]
    public void A_move_that_was_logged_wrongly_changes_nothing()
    {
        var moved = Empty with { Moves = [Move("a", 1, AdjusterKind.TopCable, 0, 1)] };
        moved.String.SettlingLeft.ShouldBe(5, "a cable was twisted");
        var corrected = moved with
        {
            Moves = [.. moved.Moves, Move("b", 2, AdjusterKind.TopCable, 1, 0, corrects: "a")],
        };
        corrected.String.SettlingLeft.ShouldBe(0);
        corrected.Dated.ShouldBeEmpty();
    }

    [Fact]
    public void Over_the_makers_maximum_the_last_turn_says_how_far_to_back_off()
    {
        var bow = SetupSamples.Compound with { MaximumWeight = 70 };
        Adjuster bolts = AdjusterTable.Fresh(AdjusterKind.LimbBolts) with { Position = 2 };
        var weighed = Empty with { Findings = [Finding("a", CheckKind.DrawWeight, value: 71.5)] };
        var unknown = weighed.BackOff(bow, [bolts])!;
        unknown.To.ShouldBe(1, "a quarter turn, then the scale again");
        unknown.Words.Said().ShouldContain("not known yet");

        // Two quarter turns in added 1.6 lb: .8 each, so 1.5 lb over asks for two out.
        var turned = Empty with
        {
            Findings =
            [
                Finding("a", CheckKind.DrawWeight, value: 69.9),
                Finding("b", CheckKind.DrawWeight, value: 71.5, afterMove: 1),
            ],
            Moves = [Move("m", 1, AdjusterKind.LimbBolts, 0, 2)],
        };
        var known = turned.BackOff(bow, [bolts])!;
        known.To.ShouldBe(0);
        known.Words.Said().ShouldContain("Both limb bolts 2 quarter turns out, evenly");
        known.Words.Said().ShouldContain("0.8");
        turned.BackOff(bow with { MaximumWeight = 72 }, [bolts]).ShouldBeNull();
        turned.BackOff(bow, [])!.To.ShouldBeNull("it has no bolts to be logged");
    }

    [Fact]
    public void A_bow_over_its_makers_maximum_is_weighed_again_before_anything_else()
    {
        var bow = SetupSamples.Compound with { MaximumWeight = 65 };
        var archer = new Archer("Anyone", Hand.Right, true, School.CentreFirst);
        CheckLine Weighed(double pounds) =>
            (Empty with { Findings = [Finding("w", CheckKind.DrawWeight, value: pounds)] })
                .Sheet(bow, archer, true)
                .Lines.Single(l => l.Fact.Kind == CheckKind.DrawWeight);
        Weighed(64).State.ShouldBe(CheckState.Done);
        Weighed(68).State.ShouldBe(CheckState.Again);
        Weighed(68).Because!.Said().ShouldContain("over");
    }

    [Fact]
    public void Timing_tells_what_the_last_twist_of_a_cable_did()
    {
        Empty.LastTwist.ShouldBeNull();
        var seen = Empty with
        {
            Findings =
            [
                Finding("a", CheckKind.CamTiming, choice: "topLate"),
                Finding("b", CheckKind.CamTiming, choice: "together", afterMove: 1),
            ],
            Moves = [Move("m", 1, AdjusterKind.TopCable, 0, -1)],
        };
        seen.LastTwist!.Said()
            .ShouldBe(
                "Last time: top cam's cable 1 full twist longer; from \"Top cam late\" to \"Stops touch together, or marks in place\"."
            );
        (seen with { Moves = [] }).LastTwist.ShouldBeNull("nothing was twisted between the two");
    }

    [Fact]
    public void The_last_look_counts_from_the_present_string()
    {
        var looked = Empty with
        {
            Findings = [Finding("timing", CheckKind.CamTiming, choice: "together", afterShots: 140)],
        };
        looked.CheckedAt.ShouldBe(140);
        (looked with { Changes = [Change(1, BowChange.NewString, afterShots: 100)] }).CheckedAt.ShouldBe(40);
        (Empty with { Findings = [Finding("x", CheckKind.CamTiming, skipped: "no board")] }).LastLook.ShouldBeNull();
    }

    [Fact]
    public void The_numbers_of_a_good_state_are_the_last_that_were_measured()
    {
        var record = Empty with
        {
            Findings =
            [
                Finding("a", CheckKind.BraceHeight, value: 6.5),
                Finding("b", CheckKind.BraceHeight, value: 6.4),
                Finding("c", CheckKind.Peep, choice: "straight"),
            ],
        };
        record.Readings.ShouldHaveSingleItem().Value.ShouldBe(6.4);
    }

    [Fact]
    public void A_good_state_is_kept_for_each_arrow_the_newest_first()
    {
        var record = Empty with { Good = [Good("1", "v1", 0), Good("2", "v2", 1), Good("3", "v1", 2)] };
        record.GoodStates.Select(g => g.Id).ShouldBe(["3", "2"]);
    }

    [Fact]
    public void The_centre_shot_follows_the_clicks_since_it_was_measured()
    {
        var rest = AdjusterTable.Fresh(AdjusterKind.RestSideways) with { Position = 4, InchesPerStep = 0.005 };
        var record = Empty with
        {
            Moves = [Move("a", 1, AdjusterKind.RestSideways, 0, 2), Move("b", 2, AdjusterKind.RestSideways, 2, 4)],
            Findings = [Finding("c", CheckKind.CentreShot, value: 0.80, afterMove: 1)],
        };
        var now = record.CentreShot(Samples.Compound, [rest])!;
        // Two clicks of .005 in since the caliper; the sign is the hand's.
        Math.Abs(now.Now - now.Measured).ShouldBe(.01, 1e-9);
        now.StepKnown.ShouldBeTrue();
        Empty.CentreShot(Samples.Compound, [rest]).ShouldBeNull("it was never measured");
    }

    [Fact]
    public void A_reading_that_is_taken_back_gives_back_what_stood_there_before()
    {
        MeasuredOnSheet.Former("6 1/2", []).ShouldBe("6 1/2");
        // 6 1/2 had itself been measured over 6 3/8 and taken back since.
        MeasuredOnSheet.Former("6 1/2", [("6 1/2", "6 3/8")]).ShouldBe("6 3/8");
        MeasuredOnSheet.Former("6 1/2", [("6 1/4", "6 3/8")]).ShouldBe("6 1/2");
    }

    [Theory]
    [InlineData(CheckKind.DrawWeight, true)]
    [InlineData(CheckKind.BraceHeight, true)]
    [InlineData(CheckKind.AxleToAxle, true)]
    [InlineData(CheckKind.Peep, false)]
    public void Only_what_the_bow_has_a_field_for_goes_into_its_record(CheckKind kind, bool goes)
    {
        var entry = new BowEntry(
            "B",
            BowKind.Compound,
            Hand.Right,
            Release.ReleaseAid,
            "65",
            "",
            "29",
            "33",
            "6 1/2",
            "",
            RestType.DropAwayLate,
            CamSystem.TwinYoke,
            CamDraw.Medium,
            "",
            "",
            "",
            ""
        );
        var after = MeasuredOnSheet.Into(entry, kind, "7");
        (after is not null).ShouldBe(goes);
        MeasuredOnSheet.Recorded(after ?? entry, kind).ShouldBe(goes ? "7" : null);
    }

    private static RecordedChange Change(int ordinal, BowChange change, int afterShots = 0) =>
        new($"c{ordinal}", change, ordinal, "", afterShots, Evening);

    private static RecordedMove Move(
        string id,
        int ordinal,
        AdjusterKind kind,
        int from,
        int to,
        string? corrects = null
    ) => new(new LoggedMove(id, kind, from, to, corrects, null), ordinal);

    private static GoodState Good(string id, string version, int minutes) =>
        new(id, version, [], new Dictionary<CheckKind, double>(), "", null, Evening.AddMinutes(minutes));

    private static RecordedFinding Finding(
        string id,
        CheckKind kind,
        double? value = null,
        string? choice = null,
        string? skipped = null,
        int afterShots = 0,
        int afterMove = 0
    ) =>
        new(
            new DatedFinding(id, new CheckFinding(kind, value, choice, skipped), "", afterMove, 0, Evening),
            afterShots
        );
}
