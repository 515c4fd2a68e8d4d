using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Catalogues;

/// <summary>Answers from a shelf with a few parts; the build is worked example A1 of Samples.</summary>
public class AskAnswerTests
{
    private static readonly Shaft Shaft = Samples.A1.Shaft;

    private static readonly Catalogue Shelf = new(
        [
            new("s", Shaft),
            new("stiff", Shaft with { Name = "S 300", Spine = 0.300 }),
            new("weak", Shaft with { Name = "S 400", Spine = 0.400 }),
            new("other", Shaft with { Name = "T 300", Spine = 0.300, Material = "Wood" }),
        ],
        [new("i", Samples.A1.Insert!)],
        [
            .. new[] { 75, 100, 110, 125 }.Select(grains => new Stocked<Point>(
                $"p{grains}",
                Samples.A1.Point with
                {
                    Name = $"P {grains}",
                    Grains = grains,
                }
            )),
        ],
        [new("n", Samples.A1.Nock)],
        [new("v", Samples.A1.Vane!)],
        [new("w", Samples.A1.Wrap!)],
        []
    );

    private static readonly ArrowDraft Draft = new(
        "A1",
        "s",
        "28.5",
        "i",
        "p100",
        "n",
        "v",
        3,
        "3.5",
        "w",
        "0",
        PointBroken: 0
    );

    [Fact]
    public void A_point_for_a_balance_comes_with_the_two_nearest_on_the_shelf()
    {
        var answer = Ask(Wanted.PointForFrontOfCenter, "15 %");
        var built = Samples.A1 with { Point = Samples.A1.Point with { Grains = answer.Exact } };
        built.Balance().FrontOfCenter.ShouldBe(15, 1e-9);
        answer.InStock.Count.ShouldBe(2);
        answer.InStock[0].Draft!.PointId.ShouldBe("p125");
    }

    [Fact]
    public void A_point_for_a_weight_adds_up()
    {
        var answer = Ask(Wanted.PointForWeight, "425");
        (Samples.A1.Balance().Grains - 100 + answer.Exact).ShouldBe(425, 1e-9);
    }

    [Fact]
    public void A_length_is_cut_to_a_sixteenth_and_never_on_paper_only()
    {
        var now = Samples.A1.Balance().Grains;
        var answer = Ask(Wanted.LengthForWeight, FormattableString.Invariant($"{now - 9:0.0}"));
        answer.Exact.ShouldBe(28.5 - (9 / Shaft.GrainsPerInch), .02);
        var cut = double.Parse(
            answer.InStock.Single().Draft!.CutLength,
            System.Globalization.CultureInfo.InvariantCulture
        );
        (cut * 16 % 1).ShouldBe(0, 1e-9);
    }

    [Fact]
    public void A_spine_is_sought_among_shafts_of_the_same_material_the_nearest_fit_first()
    {
        var answer = Ask(Wanted.SpineForFit, "1.05");
        answer.InStock.Select(t => t.Draft!.ShaftId).ShouldNotContain("other");
        answer.InStock.Select(t => Math.Abs(t.Effect.Ratio - 1.05)).ShouldBeInOrder();
    }

    [Theory]
    [InlineData(Wanted.PointForFrontOfCenter, "")]
    [InlineData(Wanted.PointForFrontOfCenter, "80")]
    [InlineData(Wanted.LengthForWeight, "heavy")]
    [InlineData(Wanted.LengthForWeight, "1400")]
    [InlineData(Wanted.PointForWeight, "150")]
    public void What_cannot_be_is_refused_beside_the_value(Wanted wanted, string typed) =>
        Should.Throw<RefusedException>(() => Ask(wanted, typed)).Problems.Single().Field.ShouldBe("value");

    [Fact]
    public void The_neighbours_are_a_little_shorter_the_next_points_and_the_next_spines()
    {
        var tries = Tries.Of(Samples.Compound, Samples.A1, Draft with { PointBroken = 1 }, Shelf);
        tries.Select(t => t.Draft?.CutLength).ShouldContain("28.25");
        var points = tries.Select(t => t.Draft?.PointId).ToArray();
        points.ShouldContain("p75");
        points.ShouldContain("p110");
        tries.Where(t => t.Draft is { PointId: not "p100" }).ShouldAllBe(t => t.Draft!.PointBroken == 0);
        tries.Select(t => t.Draft?.ShaftId).ShouldContain("stiff");
        tries.Count(t => t.Draft is null).ShouldBe(1, "a pound more is a change of the bow");
    }

    private static AskAnswer Ask(Wanted wanted, string typed) =>
        AskAnswer.Of(wanted, typed, Samples.Compound, Draft, Shelf);
}
