using Merganser.Core.Rack;
using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Rack;

/// <summary>Checks at 100 and 300 shots (trade practice).</summary>
public class StringGaugeTests
{
    private static StringGauge Of(int shots, int checkedAt, StringSchool school = StringSchool.BreakIn) =>
        StringGauge.Of(new StringLife(shots, 0, shots, StringPlan.Usual with { School = school }), checkedAt);

    [Theory]
    [InlineData(87, 0, 100, false)]
    [InlineData(100, 0, 100, true)]
    [InlineData(347, 0, 100, true)]
    [InlineData(120, 100, 300, false)]
    [InlineData(342, 100, 300, true)]
    [InlineData(342, 310, null, false)]
    public void A_check_is_due_once_its_shots_are_shot(int shots, int checkedAt, int? next, bool due)
    {
        var gauge = Of(shots, checkedAt);
        (gauge.NextCheck, gauge.Due).ShouldBe((next, due));
    }

    [Fact]
    public void The_gauge_always_has_room_beyond_the_shots_and_the_last_check()
    {
        foreach (var shots in new[] { 0, 12, 333, 347, 999, 1740, StringPlan.MostShots })
        {
            var gauge = Of(shots, 0);
            gauge.Span.ShouldBeGreaterThan(Math.Max(shots, 300));
        }
    }

    [Fact]
    public void A_stretched_string_is_asked_for_no_check()
    {
        var gauge = Of(500, 0, StringSchool.PreStretched);
        gauge.ChecksAt.ShouldBeEmpty();
        (gauge.NextCheck, gauge.Due).ShouldBe((null, false));
    }
}
