using Merganser.Core.Bows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Bows;

public class AdjusterEntryTests
{
    private static readonly AdjusterEntry Rest = new(AdjusterKind.RestSideways, -10, 10, false, "0.002");

    [Fact]
    public void An_adjuster_is_read_at_its_mark_with_the_size_of_a_step()
    {
        var read = AdjusterEntry.Read([Rest], []).Single();
        (read.Lower, read.Upper, read.Position, read.InchesPerStep).ShouldBe((-10, 10, 0, 0.002));
        AdjusterEntry.Read([Rest with { InchesPerStep = "" }], []).Single().InchesPerStep.ShouldBeNull();
    }

    [Theory]
    [InlineData(5, 10, "", "adjusters.restSideways")]
    [InlineData(-300, 10, "", "adjusters.restSideways")]
    [InlineData(-10, 10, "2 in", "adjusters.restSideways.inchesPerStep")]
    [InlineData(-10, 10, "much", "adjusters.restSideways.inchesPerStep")]
    public void What_cannot_be_is_named(int lower, int upper, string step, string field) =>
        Refused([Rest with { Lower = lower, Upper = upper, InchesPerStep = step }], []).ShouldBe([field]);

    [Fact]
    public void A_travel_holds_where_the_adjuster_stands()
    {
        var standing = AdjusterTable.Fresh(AdjusterKind.RestSideways) with { Position = 14 };
        Refused([Rest], [standing]).ShouldBe(["adjusters.restSideways"]);
        Should.NotThrow(() => AdjusterEntry.Read([Rest with { Upper = 14 }], [standing]));
    }

    [Fact]
    public void None_is_listed_twice() => Refused([Rest, Rest], []).ShouldBe(["adjusters"]);

    [Fact]
    public void A_bow_above_its_makers_maximum_is_backed_off_first()
    {
        var bow = Samples.Compound with { MeasuredWeight = 71.8, MaximumWeight = 70 };
        BowNext.Of(bow).Action.ShouldBe("check:drawWeight");
        BowNext
            .Of(bow)
            .Reason.Said()
            .ShouldBe("It draws 71.8 lb; the maker allows 70.0 lb at the most. Nothing is shot before.");
        BowNext.Of(bow with { MaximumWeight = 72 }).Action.ShouldBe("arrow");
        BowNext.Of(bow with { MeasuredWeight = null, MaximumWeight = null }).Action.ShouldBe("measureWeight");
    }

    private static string[] Refused(AdjusterEntry[] typed, Adjuster[] standing) =>
        [.. Should.Throw<RefusedException>(() => AdjusterEntry.Read(typed, standing)).Problems.Select(p => p.Field)];
}
