using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Story;

namespace Merganser.Core.Tests.Story;

public class StringCountTests
{
    private static readonly DateTimeOffset Day = new(2026, 4, 1, 12, 0, 0, TimeSpan.Zero);

    private static readonly StringCount Season = new(
        70,
        [
            new FiredAt(Day, 20),
            new FiredAt(Day.AddDays(1), 30),
            new FiredAt(Day.AddDays(5), 60),
            new FiredAt(Day.AddDays(6), 50),
        ],
        [Day.AddDays(3)]
    );

    [Theory]
    [InlineData(-1, 70)]
    [InlineData(0, 90)]
    [InlineData(2, 120)]
    [InlineData(3, 0)]
    [InlineData(5, 60)]
    [InlineData(7, 110)]
    public void Shots_are_counted_from_the_string_that_is_on(int days, int shots) =>
        Season.At(Day.AddDays(days)).ShouldBe(shots);

    [Fact]
    public void A_check_falls_due_with_the_shot_that_passes_it_on_each_string()
    {
        Season.FellDue(StringPlan.Usual).ShouldBe([(Day.AddDays(1), 100), (Day.AddDays(6), 100)]);
        Season.FellDue(StringPlan.Usual with { School = StringSchool.PreStretched }).ShouldBeEmpty();
    }

    [Fact]
    public void The_longest_time_without_paper_is_told_with_its_shots_and_a_short_one_is_not()
    {
        var strip = TearStrip.Of(
            [Set(0), Set(1), Set(73), Set(80)],
            (from, to) => (to - from).TotalDays > 50 ? 210 : throw new InvalidOperationException()
        );
        (strip.GapFrom, strip.GapTo).ShouldBe((Day.AddDays(1), Day.AddDays(73)));
        strip.Gap.ShouldBe(new NoPaperFor(72, 210));
        strip.Tears.Count.ShouldBe(4);
        strip.Tears[0].Low.ShouldBeLessThan(strip.Tears[0].Length);
        TearStrip.Of([Set(0), Set(9)], (_, _) => 0).Gap.ShouldBeNull();
        TearStrip.Of([], (_, _) => 0).Tears.ShouldBeEmpty();
    }

    private static StorySet Set(int day) =>
        new(
            $"{day}",
            1,
            "p",
            new PlannedStage(3, false),
            "Island",
            1,
            Day.AddDays(day),
            2,
            [new Tear(.5, .1), new Tear(.6, .2)],
            [],
            []
        );
}
