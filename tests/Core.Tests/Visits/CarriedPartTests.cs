using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Visits;

namespace Merganser.Core.Tests.Visits;

/// <summary>A part takes its own facts along and never its place (common practice, no source).</summary>
public class CarriedPartTests
{
    private static Fitted Bow(
        RestType rest,
        double? click,
        Sight? sight = null,
        BowKind kind = BowKind.Compound,
        double position = 3
    ) =>
        new(
            new BowEntry(
                "A bow",
                kind,
                Hand.Right,
                Release.ReleaseAid,
                "60",
                "",
                "29",
                "33",
                "7",
                "",
                rest,
                CamSystem.None,
                CamDraw.Medium,
                "1/2",
                "",
                "",
                ""
            ),
            [
                new Adjuster(AdjusterKind.RestSideways, position, -20, 20, false, click),
                new Adjuster(AdjusterKind.NockingPoint, 1, -10, 10, false, .03125),
            ],
            sight
        );

    private static string[] Said(Fitted here, CarriedPart? part, Fitted there) =>
        [.. here.Brings(part, there).Select(f => $"{f.Name.Said()}: {f.Here.Said()} → {f.There.Said()}")];

    [Fact]
    public void A_rest_brings_how_it_lets_go_and_its_click_and_leaves_every_place_alone()
    {
        var here = Bow(RestType.DropAwayLate, null);
        var there = Bow(RestType.Containment, .002, position: -7);
        Said(here, CarriedPart.Rest, there)
            .ShouldBe([
                "The rest: drop-away, drops late → containment",
                "One click of rest in/out: not on record → 0.0020 in",
            ]);
        var after = here.With(CarriedPart.Rest, there);
        after.Adjusters[0].Position.ShouldBe(3);
        after.Adjusters[1].ShouldBe(here.Adjusters[1]);
        after.Typed.RestAhead.ShouldBe("1/2");
        Said(after, CarriedPart.Rest, there).ShouldBeEmpty();
    }

    [Fact]
    public void A_rest_for_fingers_says_nothing_of_a_compounds()
    {
        var finger = Bow(RestType.Plunger, .002, kind: BowKind.Recurve);
        Said(Bow(RestType.DropAwayLate, null), CarriedPart.Rest, finger).ShouldBeEmpty();
    }

    [Fact]
    public void A_sight_brings_its_click_and_not_the_eyes_distance_that_was_measured_here()
    {
        var here = Bow(RestType.Launcher, null, new Sight(36));
        var there = Bow(RestType.Launcher, null, new Sight(31, .004));
        Said(here, CarriedPart.Sight, there).ShouldBe(["One click of the sight: not on record → 0.0040 in"]);
        here.With(CarriedPart.Sight, there).Sight.ShouldBe(new Sight(36, .004));
        Said(there, CarriedPart.Sight, here).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(CarriedPart.Stabiliser)]
    [InlineData(CarriedPart.Quiver)]
    [InlineData(null)]
    public void Other_parts_bring_no_facts(CarriedPart? part) =>
        Said(Bow(RestType.Launcher, null), part, Bow(RestType.Containment, .01, new Sight(30, .01))).ShouldBeEmpty();
}
