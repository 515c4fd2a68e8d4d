using Merganser.Core.Dozens;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Paper;

/// <summary>Plans, the shooter's words, trials and nock tuning.</summary>
public class SessionPlanTests
{
    [Theory]
    [InlineData("inch", true, NamedEnd.Tail, null, false, NamedEnd.Tail, -1, 0)]
    [InlineData("inch", true, NamedEnd.Point, null, false, NamedEnd.Tail, 1, 0)]
    [InlineData("half", false, NamedEnd.Tail, "half", true, NamedEnd.Tail, .5, -.5)]
    [InlineData("inch", true, NamedEnd.Tail, "half", true, NamedEnd.Point, -1, .5)]
    [InlineData(null, false, NamedEnd.Tail, "touch", false, NamedEnd.Point, 0, -.1)]
    public void Words_by_either_end_become_the_tails_place(
        string? side,
        bool left,
        NamedEnd sideEnd,
        string? height,
        bool low,
        NamedEnd heightEnd,
        double x,
        double y
    )
    {
        var tear = new ShooterWords(side, left, sideEnd, height, low, heightEnd).Read();
        tear.X.ShouldBe(x, 1e-12);
        tear.Y.ShouldBe(y, 1e-12);
    }

    [Fact]
    public void Words_are_said_back_by_the_tail_and_unknown_ones_refused()
    {
        Back(new ShooterWords("inch", true, NamedEnd.Point, "half", true, NamedEnd.Point))
            .ShouldBe("tail right 1.00 in, tail high 0.50 in");
        Back(new ShooterWords(null, true, NamedEnd.Tail, null, true, NamedEnd.Tail)).ShouldBe("one clean hole");
        Should.Throw<ArgumentException>(() =>
            new ShooterWords("mile", true, NamedEnd.Tail, null, true, NamedEnd.Tail).Read()
        );
    }

    private static string Back(ShooterWords words)
    {
        var tear = words.Read();
        return new TailAsSaid(Measure.Inches(tear.X), Measure.Inches(tear.Y)).Said();
    }

    [Fact]
    public void Three_then_fifteen_bare_leads_to_both_with_vanes()
    {
        var plan = new SessionPlan(
            SessionKind.Tune,
            null,
            SessionPlan.Usual.Single(u => u.Code == "threeFifteen").Stages,
            2,
            false,
            null
        );
        plan.After(new PlannedStage(3, false)).ShouldBe(new PlannedStage(15, false));
        plan.After(new PlannedStage(15, false)).ShouldBe(new PlannedStage(3, true));
        plan.After(new PlannedStage(15, true)).ShouldBeNull();
        plan.After(new PlannedStage(7, true)).ShouldBeNull();
    }

    [Fact]
    public void A_trial_finds_the_range_of_points_a_shaft_tolerates_and_names_the_arrow()
    {
        var trial = Trial.Of(
            [
                Arrow("a", "Stiff", 100, 0),
                Arrow("b", "Stiff", 125, .02),
                Arrow("c", "Stiff", 150, -.03),
                Arrow("d", "Weak", 100, .9),
                Arrow("e", "Weak", 125, 1.1),
            ],
            .25
        );
        trial.Rows.Count(r => r.NeedsNoMove == true).ShouldBe(3);
        trial.Ranges[0].Words.Said().ShouldBe("Stiff: 100 to 150 gr");
        trial.Ranges.ShouldNotContain(r => r.Shaft == "Weak");
        trial.Cause.Said().ShouldStartWith("The arrow");
        trial.Because!.Said().ShouldStartWith("F(8, 20)");
    }

    [Fact]
    public void Arrows_that_all_tear_alike_point_to_the_bow_or_the_archer()
    {
        Trial
            .Of([Arrow("a", "S", 100, .8), Arrow("b", "T", 100, .8)], .25)
            .Cause.Said()
            .ShouldStartWith("The bow, or the archer");
        Trial.Of([Arrow("a", "S", 100, .01), Arrow("b", "T", 100, .01)], .25).Cause.Said().ShouldStartWith("Neither");
        Trial.Of([Arrow("a", "S", 100, .8)], .25).Cause.Said().ShouldStartWith("Not enough yet");
        Trial.Of([new("bare", "S", 100, [])], .25).Rows.ShouldBeEmpty();
    }

    [Fact]
    public void Holes_that_look_alike_are_no_closer_than_they_can_be_read()
    {
        // Two shots in the same words: the region is that of a reading error of .02 in, not nothing.
        Tear[] alike = [new(-1, 0), new(-1, 0)];
        new MeanTear(alike).Radius.ShouldBeGreaterThan(.03);
        var trial = Trial.Of([new("a", "S", 100, alike), new("b", "T", 100, [new(0, 0), new(0, 0)])], .25);
        trial.Cause.Said().ShouldStartWith("The arrow");
        trial.Because!.Said().ShouldNotContain("NaN");
    }

    [Fact]
    public void A_nock_is_turned_until_a_turn_flies_inside_and_the_best_is_kept()
    {
        NockTune.Of([], 3, .25).State.ShouldBe(NockState.Untried);
        NockTune
            .Of([Nock(0, .6)], 3, .25)
            .ShouldSatisfyAllConditions(
                r => r.State.ShouldBe(NockState.TurnOn),
                r => r.Next.ShouldBe(1),
                r => r.Best.ShouldBe(0)
            );
        NockTune.Of([Nock(0, .6), Nock(1, .8)], 3, .25).Next.ShouldBe(2);
        var good = NockTune.Of([Nock(0, .6), Nock(1, .8), Nock(2, .1)], 3, .25);
        good.State.ShouldBe(NockState.Good);
        good.Best.ShouldBe(2);
        good.Words.Said().ShouldContain("mark it");
    }

    [Fact]
    public void An_arrow_that_no_turn_helps_is_for_practice()
    {
        var reading = NockTune.Of([Nock(0, .6), Nock(1, .4), Nock(2, .7)], 3, .25);
        reading.State.ShouldBe(NockState.Practice);
        reading.Best.ShouldBe(1);
        NockTune.Turns(4, true).ShouldBe(4);
        NockTune.Turns(3, true).ShouldBe(3);
        NockTune.Turns(3, false).ShouldBe(4);
    }

    [Fact]
    public void Two_shots_at_one_turn_are_read_by_their_mean() =>
        NockTune.Of([Nock(0, .5), new NockShot(0, new Tear(-.4, 0), true)], 3, .25).State.ShouldBe(NockState.Good);

    [Fact]
    public void A_turn_counts_by_its_worst_distance() =>
        NockTune
            .Of(
                [Nock(0, .1), Nock(0, .5) with { Distance = 15 }, Nock(1, .2), Nock(1, .15) with { Distance = 15 }],
                3,
                .25
            )
            .Best.ShouldBe(1);

    private static NockShot Nock(int turn, double x) => new(turn, new Tear(x, 0), true);

    private static TrialArrow Arrow(string name, string shaft, double point, double x) =>
        new(name, shaft, point, [new Tear(x, .02), new Tear(x + .02, -.02), new Tear(x - .02, 0)]);
}
