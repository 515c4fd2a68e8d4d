using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>A day's own offset, and shots that pool only over the same rig.</summary>
public class DaysAndRigsTests
{
    private static readonly Stage Bare = new(3, false, "a");
    private static readonly DateTimeOffset Evening = new(2026, 9, 1, 18, 0, 0, TimeSpan.Zero);
    private static readonly Adjuster[] Has =
    [
        AdjusterTable.Fresh(AdjusterKind.RestSideways),
        AdjusterTable.Fresh(AdjusterKind.RestHeight),
        AdjusterTable.Fresh(AdjusterKind.YokePair),
    ];

    private static readonly ResponsePrior Prior = ResponsePrior.Of(Has);

    [Fact]
    public void A_pause_of_six_hours_begins_another_day_wherever_the_clock_stands()
    {
        DateTimeOffset[] shots =
        [
            Evening,
            Evening.AddMinutes(10),
            Evening.AddHours(7),
            Evening.AddHours(7.5),
            Evening.AddDays(3).ToOffset(TimeSpan.FromHours(9)),
        ];
        ShootingDays.Ago(shots).ShouldBe([2, 2, 1, 1, 0]);
        ShootingDays.Ago([Evening, Evening.AddHours(5.9)]).ShouldBe([0, 0]);
    }

    /// <summary>As a season goes on, the days before the last few count as one: the model stays small.</summary>
    [Fact]
    public void No_more_than_the_last_days_are_told_apart() =>
        ShootingDays.Ago([.. Enumerable.Range(0, 40).Select(d => Evening.AddDays(d))]).Distinct().Count().ShouldBe(7);

    [Fact]
    public void One_day_alone_says_less_of_others_than_of_itself()
    {
        var belief = Read([(.05, .02, 0), (-.06, 0, 0), (.03, .05, 0), (0, -.04, 0), (.02, .03, 0)]);
        var (today, lasts) = (belief.ChanceInside([0, 0, 0], .25), belief.LastingChance([0, 0, 0], .25));
        today.ShouldBeGreaterThan(.95);
        lasts.ShouldBeLessThan(today - .002);
    }

    [Fact]
    public void Alike_on_another_day_it_lasts_and_otherwise_it_does_not()
    {
        (double, double, int)[] first = [(.02, .02, 0), (-.03, 0, 0), (.03, .04, 0), (0, -.04, 0), (.02, .03, 0)];
        var alike = Read([.. first, (.01, .03, 1), (.04, -.02, 1), (-.02, .01, 1)]);
        var apart = Read([.. first, (.31, .02, 1), (.27, -.05, 1), (.33, .04, 1)]);
        var alone = Read(first).LastingChance([0, 0, 0], .25);
        alike.LastingChance([0, 0, 0], .25).ShouldBeGreaterThan(alone);
        apart.LastingChance([0, 0, 0], .25).ShouldBeLessThan(alone - .02);
        apart.At([0, 0, 0]).X.ShouldBeGreaterThan(.1, "today's own mean is today's");
    }

    /// <summary>
    /// The same by another road: with the offset known to be none the days pool, and the mean is that of all shots.
    /// </summary>
    [Fact]
    public void Without_an_offset_days_pool()
    {
        (double, double, int)[] shots = [(.4, 0, 0), (.5, .1, 0), (.3, -.1, 1), (.4, 0, 1)];
        var pooled = ResponseModel.Of(Prior with { DaySd = 1e-6 }, Seen(shots)).Read().At([0, 0, 0]);
        var oneDay = ResponseModel.Of(Prior, Seen([.. shots.Select(s => (s.Item1, s.Item2, 0))])).Read().At([0, 0, 0]);
        pooled.X.ShouldBe(oneDay.X, 1e-4);
        pooled.VarianceX.ShouldBe(oneDay.VarianceX, 1e-4);
    }

    [Fact]
    public void Another_rig_begins_from_another_tear_and_keeps_what_the_adjusters_did()
    {
        Observation[] before =
        [
            .. new[] { .9, 1.0, 1.1 }.Select(x => new Observation([0, 0, 0], x, 0, Rig: 1)),
            .. new[] { .1, .2, .3 }.Select(x => new Observation([0, 0, -2], x, 0, Rig: 1)),
        ];
        var nothing = ResponseModel.Of(Prior, before).Read();
        var now = nothing.At([0, 0, 0]);
        Math.Abs(now.X).ShouldBeLessThan(1e-6, "nothing was shot with this rig: its tear is anyone's guess");
        Math.Sqrt(now.VarianceX).ShouldBe(Prior.TearSd, 1e-6);
        nothing.GainOf(2).Gain.ShouldBeInRange(.25, .5);
        nothing.GainOf(2).Sd.ShouldBeLessThan(Prior.Gains[2].Expected * Prior.Gains[2].LogSd);

        var shot = ResponseModel
            .Of(Prior, [.. before, new Observation([0, 0, -2], .62, 0), new Observation([0, 0, -2], .58, 0)])
            .Read();
        shot.At([0, 0, -2]).X.ShouldBe(.58, .08);
    }

    [Fact]
    public void The_adviser_counts_only_the_shots_of_this_rig()
    {
        var positions = Has.ToDictionary(a => a.Kind, a => a.Position);
        ShotReading Shot(double x, string rig) => Shots.Of(Bare, positions, new Tear(x, 0), rig: rig, at: Evening);
        var adviser = new Adviser(Release.ReleaseAid, School.CentreFirst, true, RestType.DropAwayEarly, Has)
        {
            Rig = "leg twisted",
        };
        ShotReading[] shots = [Shot(1, "before"), Shot(1.1, "before"), Shot(.9, "before")];
        var state = adviser.Read(Bare, shots);
        state.ShotsHere.ShouldBe(0);
        adviser.Advise(state).Kind.ShouldBe(AdviceKind.NoShots);
        (adviser with { Rig = "before" }).Read(Bare, shots).ShotsHere.ShouldBe(3);
    }

    [Fact]
    public void What_a_good_enough_bow_says_of_other_days()
    {
        var positions = Has.ToDictionary(a => a.Kind, a => a.Position);
        var adviser = new Adviser(Release.ReleaseAid, School.CentreFirst, true, RestType.DropAwayEarly, Has);
        ShotReading Shot(double x, double y, int day) =>
            Shots.Of(Bare, positions, new Tear(x, y), at: Evening.AddDays(day));
        ShotReading[] first = [Shot(.02, 0, 0), Shot(-.03, .03, 0), Shot(.01, -.02, 0), Shot(.02, .01, 0)];
        var done = adviser.Advise(adviser.Read(Bare, first));
        done.Kind.ShouldBe(AdviceKind.GoodEnough);
        done.Lasting!.Value.ShouldBeLessThan(done.Chance!.Value);
        done.Reason.Said().ShouldContain("as you shot today; on other days about");
        var second = adviser.Advise(
            adviser.Read(Bare, [.. first, Shot(.03, 0, 1), Shot(-.02, .02, 1), Shot(0, -.03, 1)])
        );
        second.Reason.Said().ShouldContain("over 2 days");
        second.Lasting!.Value.ShouldBeGreaterThan(done.Lasting.Value);
    }

    private static Belief Read((double X, double Y, int Day)[] shots) => ResponseModel.Of(Prior, Seen(shots)).Read();

    /// <summary>Shots by the day they were shot on, as days ago.</summary>
    private static Observation[] Seen((double X, double Y, int Day)[] shots)
    {
        var last = shots.Max(s => s.Day);
        return [.. shots.Select(s => new Observation([0, 0, 0], s.X, s.Y, DaysAgo: last - s.Day))];
    }
}
