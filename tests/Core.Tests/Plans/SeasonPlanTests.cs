using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Plans;
using Merganser.Core.Rack;

namespace Merganser.Core.Tests.Plans;

/// <summary>The plan of a season, by a calendar read off a wall: 23 November 2026 is a Monday.</summary>
public class SeasonPlanTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);

    private static Reminder By(DateOnly on, string text = "Wax the string", ReminderKind kind = ReminderKind.ByDate) =>
        new($"on {on:O} {text}", null, kind, text, on, null, null, ReminderState.Open, null);

    private static Reminder Shots(int left, string bow = "osk") =>
        new($"shots {left}", bow, ReminderKind.ByShots, "Wax the string", null, 100, left, ReminderState.Open, null);

    private static PlanBow Bow(string id, RackUrgency urgency = RackUrgency.Rests, int? check = null) =>
        new(id, $"The {id}", new Verbatim("It rests."), urgency, "paper", new Verbatim("Look"), check);

    [Theory]
    [InlineData(-3, PlanStanding.Late, true)]
    [InlineData(0, PlanStanding.Now, true)]
    [InlineData(1, PlanStanding.Soon, false)]
    [InlineData(7, PlanStanding.Soon, false)]
    [InlineData(8, PlanStanding.Later, null)]
    public void A_day_comes_near_in_its_last_week(int days, PlanStanding standing, bool? due)
    {
        var reminder = By(Monday.AddDays(days));
        reminder.Standing(Monday).ShouldBe(standing);
        (reminder.Due(Monday)?.Now).ShouldBe(due);
    }

    [Theory]
    [InlineData(-1, PlanStanding.Late)]
    [InlineData(0, PlanStanding.Now)]
    [InlineData(25, PlanStanding.Soon)]
    [InlineData(26, PlanStanding.Later)]
    public void Shots_come_near_in_the_last_25(int left, PlanStanding standing) =>
        Shots(left).Standing(Monday).ShouldBe(standing);

    /// <summary>A kept line of the rack holds until then: a week before the day, and on it.</summary>
    [Fact]
    public void A_reminder_shows_otherwise_a_week_before_its_day_and_on_it()
    {
        var on = new DateOnly(2026, 12, 24);
        By(on).Changes(Monday).ShouldBe(new DateOnly(2026, 12, 17));
        By(on).Changes(new DateOnly(2026, 12, 17)).ShouldBe(on);
        By(on).Changes(on).ShouldBeNull();
        (By(on) with { State = ReminderState.Done }).Changes(Monday).ShouldBeNull();
        (By(on) with { State = ReminderState.Done }).Due(on).ShouldBeNull();
    }

    [Fact]
    public void The_nearest_comes_first_by_day_or_by_shots()
    {
        Reminder[] reminders = [By(Monday.AddDays(30)), Shots(90), By(Monday.AddDays(-1)), Shots(10), By(Monday)];
        var plan = SeasonPlan.Of(reminders, [Bow("osk", check: -4)], Monday);
        plan.Lines.Select(l => l.When.Said())
            .ShouldBe([
                "was yesterday",
                "4 shots late",
                "today",
                "in 10 shots",
                "Wed 23 Dec 2026, in 30 days",
                "in 90 shots",
            ]);
        plan.Next.Action.ShouldStartWith("done:on 2026-11-22");
    }

    [Fact]
    public void What_falls_due_by_the_shoot_stands_before_it_and_nothing_else()
    {
        Reminder[] reminders =
        [
            By(new(2026, 11, 28), "Autumn shoot", ReminderKind.Shoot),
            By(new(2027, 5, 1), "Spring shoot", ReminderKind.Shoot),
            By(new(2026, 11, 27), "Pack nocks"),
            By(new(2026, 11, 29), "Wash the mats"),
            Shots(12),
            Shots(200, "reed"),
        ];
        PlanBow[] bows = [Bow("reed"), Bow("osk"), Bow("fen", RackUrgency.InWork), Bow("gull", RackUrgency.Due)];
        var shoot = SeasonPlan.Of(reminders, bows, Monday).Shoot!;
        (shoot.Name, shoot.DaysLeft).ShouldBe(("Autumn shoot", 5));
        shoot.Bench.Select(l => l.What.Said()).ShouldBe(["Pack nocks"]);
        shoot
            .Bows.Select(b => (b.Bow.Id, b.Ready, b.Lines.Count))
            .ShouldBe([("gull", false, 0), ("fen", false, 0), ("osk", false, 1), ("reed", true, 0)]);
        shoot.Advice.Said().ShouldStartWith("Nothing new goes on a bow now");
    }

    [Fact]
    public void A_week_before_the_shoot_is_named_while_it_is_ahead()
    {
        var plan = SeasonPlan.Of([By(new(2026, 12, 12), "Indoor shoot", ReminderKind.Shoot)], [Bow("osk")], Monday);
        plan.Shoot!.Advice.Said().ShouldStartWith("Nothing new goes on a bow from Sat 5 Dec 2026 on");
        plan.Next.Sentence.Said().ShouldBe("Nothing is due today.");
        plan.Next.Reason.Said().ShouldBe("First comes indoor shoot: Sat 12 Dec 2026, in 19 days.");
    }

    [Fact]
    public void Of_an_empty_plan_the_shoot_is_asked_first()
    {
        var plan = SeasonPlan.Of([], [Bow("osk")], Monday);
        (plan.Shoot, plan.Next.Action).ShouldBe((null, "add"));
        plan.Next.Reason.Said().ShouldContain("day of the shoot");
    }

    [Theory]
    [InlineData(ReminderKind.ByDate, "", null, 0, null, "text on")]
    [InlineData(ReminderKind.ByDate, "Wax", null, -1, null, "on")]
    [InlineData(ReminderKind.Shoot, "Shoot", null, 4000, null, "on")]
    [InlineData(ReminderKind.ByShots, "Wax", null, 0, 50, "bowId")]
    [InlineData(ReminderKind.ByShots, "Wax", "osk", 0, 0, "afterShots")]
    public void What_cannot_be_kept_is_named_field_by_field(
        ReminderKind kind,
        string text,
        string? bow,
        int days,
        int? shots,
        string fields
    )
    {
        DateOnly? on = text.Length == 0 ? null : Monday.AddDays(days);
        var refused = Should.Throw<RefusedException>(() => Reminder.Check(kind, bow, text, on, shots, Monday));
        refused.Problems.Select(p => p.Field).Distinct().ShouldBe(fields.Split(' '));
    }
}
