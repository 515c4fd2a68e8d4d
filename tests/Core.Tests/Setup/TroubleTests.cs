using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Setup;

/// <summary>What is looked at first when something is wrong: common practice, no source.</summary>
public class TroubleTests
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);
    private static readonly Archer Archer = new("Anyone", Hand.Right, true, School.CentreFirst);
    private static readonly SetupRecord Empty = new(StringPlan.Usual, [], [], [], new StringShots(0, 0, 0), []);

    public static TheoryData<TroubleKind, BowKind> Every
    {
        get
        {
            TheoryData<TroubleKind, BowKind> all = [];
            foreach (var bow in Enum.GetValues<BowKind>())
            {
                foreach (var trouble in TroubleTable.Of(bow))
                {
                    all.Add(trouble, bow);
                }
            }

            return all;
        }
    }

    [Theory]
    [MemberData(nameof(Every))]
    public void Every_trouble_of_every_bow_has_a_way_of_its_own_parts_and_says_why(TroubleKind trouble, BowKind kind)
    {
        var bow = SetupSamples.Compound with { Kind = kind, Release = Using(kind) };
        var sheet = CheckTable.Order(kind, bow.Release);
        var order = TroubleTable.Order(trouble, bow, null);
        order.Count.ShouldBeGreaterThan(1);
        order.Distinct().Count().ShouldBe(order.Count);
        foreach (var check in order.Select(a => a.Check).OfType<CheckKind>())
        {
            sheet.ShouldContain(check);
            var why = new TroubleWhy(trouble, check).Said();
            if (kind != BowKind.Compound)
            {
                why.ShouldNotContain("cam", Case.Insensitive);
            }
        }
    }

    [Theory]
    [InlineData(0.8, 0.1, CheckKind.CentreShot)]
    [InlineData(0.2, -0.7, CheckKind.RestTiming)]
    public void A_tear_to_the_side_is_looked_for_at_the_rests_place_and_one_of_height_at_its_drop(
        double right,
        double up,
        CheckKind first
    ) => TroubleTable.Order(TroubleKind.TearStays, SetupSamples.Compound, new Tear(right, up))[0].Check.ShouldBe(first);

    [Fact]
    public void Only_a_compound_is_asked_about_its_peep() =>
        Enum.GetValues<BowKind>()
            .Where(b => TroubleTable.Of(b).Contains(TroubleKind.PeepTurned))
            .ShouldBe([BowKind.Compound]);

    [Fact]
    public void Where_no_tear_was_read_height_is_looked_for_before_side()
    {
        var order = TroubleTable.Order(TroubleKind.TearStays, SetupSamples.Compound, null).ToList();
        order.IndexOf(CheckKind.CamTiming).ShouldBeLessThan(order.IndexOf(CheckKind.CentreShot));
    }

    [Fact]
    public void The_axes_come_before_the_walk_back_that_rests_on_them() =>
        TroubleTable
            .Order(TroubleKind.DialsOff, SetupSamples.Compound, null)
            .Select(a => a.Check)
            .ShouldBe([CheckKind.FirstAxis, CheckKind.SecondAxis, CheckKind.ThirdAxis, CheckKind.CentreShot, null]);

    [Fact]
    public void What_was_in_order_today_is_passed_over_and_what_was_in_order_earlier_is_not()
    {
        Look(Found(CheckKind.FirstAxis, "square", hours: 1)).First.ShouldBe(1);
        Look(Found(CheckKind.FirstAxis, "square", hours: 25)).First.ShouldBe(0);
        Look(Found(CheckKind.FirstAxis, null, hours: 1)).First.ShouldBe(0, "left with a reason is not looked at");
    }

    [Fact]
    public void What_is_not_right_comes_before_all_else()
    {
        var turned = Look(
            TroubleKind.PeepTurned,
            Found(CheckKind.Loop, "straight", 3),
            Found(CheckKind.Loop, "twisted", 1)
        );
        (turned.First, turned.Steps[0].State).ShouldBe((0, TroubleState.Found));
        var mended = Look(TroubleKind.PeepTurned, Found(CheckKind.Loop, "straight", 1));
        (mended.First, mended.Steps[0].State).ShouldBe((1, TroubleState.InOrder));
    }

    [Fact]
    public void A_new_string_is_logged_once_and_a_bow_that_fell_is_looked_over_before_it_is_drawn()
    {
        var fresh = Trouble.Of(TroubleKind.NewString, SetupSamples.Compound, Sheet(), [], null, Now);
        fresh.Steps[fresh.First].Ask.Log.ShouldBe(BowChange.NewString);
        RecordedChange logged = new("c", BowChange.NewString, 1, "", 0, Now.AddHours(-2));
        var after = Trouble.Of(TroubleKind.NewString, SetupSamples.Compound, Sheet(), [logged], null, Now);
        after.Steps[after.First].Ask.Check.ShouldBe(CheckKind.Inspection);
        var before = Sheet(Found(CheckKind.Inspection, "sound", 3));
        after = Trouble.Of(TroubleKind.NewString, SetupSamples.Compound, before, [logged], null, Now);
        after.Steps[after.First].Ask.Check.ShouldBe(CheckKind.Inspection, "the look was before the string");
        Look(TroubleKind.Knocked).Steps[0].Ask.Check.ShouldBe(CheckKind.Inspection);
    }

    private static Release Using(BowKind kind) => kind == BowKind.Compound ? Release.ReleaseAid : Release.Fingers;

    private static Trouble Look(params RecordedFinding[] findings) => Look(TroubleKind.DialsOff, findings);

    private static Trouble Look(TroubleKind kind, params RecordedFinding[] findings) =>
        Trouble.Of(kind, SetupSamples.Compound, Sheet(findings), [], null, Now);

    private static SetupSheet Sheet(params RecordedFinding[] findings) =>
        (Empty with { Findings = findings }).Sheet(SetupSamples.Compound, Archer, true);

    private static RecordedFinding Found(CheckKind kind, string? choice, double hours) =>
        new(
            new DatedFinding(
                $"{kind} {hours}",
                new CheckFinding(kind, null, choice, choice is null ? "no level" : null),
                "",
                0,
                0,
                Now.AddHours(-hours)
            ),
            0
        );
}
