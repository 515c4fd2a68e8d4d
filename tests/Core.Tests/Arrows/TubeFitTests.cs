using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;

namespace Merganser.Core.Tests.Arrows;

public class TubeFitTests
{
    /// <summary>Limits are common practice, no source: a press fit of two thousandths, glue fills eight.</summary>
    [Theory]
    [InlineData(0.166, 0.166, TubeFitBand.Fits)]
    [InlineData(0.167, 0.166, TubeFitBand.Fits)]
    [InlineData(0.161, 0.166, TubeFitBand.Fits)]
    [InlineData(0.204, 0.166, TubeFitBand.TooWide)]
    [InlineData(0.166, 0.204, TubeFitBand.Loose)]
    [InlineData(0, 0.166, TubeFitBand.Unknown)]
    [InlineData(0.166, 0, TubeFitBand.Unknown)]
    public void A_part_goes_in_rattles_or_does_not(double part, double tube, TubeFitBand band) =>
        TubeFit.Of(part, tube).ShouldBe(band);

    [Fact]
    public void The_part_that_does_not_go_in_is_cautioned_and_named_as_the_next_step()
    {
        var thin = Samples.A1 with
        {
            Shaft = Samples.A1.Shaft with { InnerDiameter = 0.166 },
            Insert = Samples.A1.Insert! with { Diameter = 0.204 },
        };
        var reading = ArrowReading.Of(Samples.Compound, thin);
        reading.Cautions.ShouldContain(c => c.Code == "misfit-insert" && c.Text.Said().Contains("0.204 in"));
        TubeFit.Misfit(thin with { Insert = null }).ShouldBeNull();
        TubeFit.Misfit(Samples.A1).ShouldBeNull("nothing is known of its tube");
    }

    /// <summary>An arrow to begin with is never one whose parts do not go into its shaft.</summary>
    [Fact]
    public void A_suggestion_takes_parts_that_go_in()
    {
        var shaft = Samples.A1.Shaft with { InnerDiameter = 0.166 };
        var catalogue = new Catalogue(
            [new("s", shaft)],
            [
                new("wide", Samples.A1.Insert! with { Diameter = 0.204, Grains = 20 }),
                new("in", Samples.A1.Insert! with { Diameter = 0.166 }),
            ],
            [new("p", Samples.A1.Point)],
            [
                new("wide", Samples.A1.Nock with { Diameter = 0.204 }),
                new("pin", Samples.A1.Nock with { Kind = NockKind.Pin, Diameter = 0.166 }),
            ],
            [new("v", Samples.A1.Vane!)],
            [],
            []
        );
        var draft = ArrowSuggestion.Of(Samples.Compound, catalogue)!.Draft;
        (draft.InsertId, draft.NockId).ShouldBe(("in", "pin"));
    }
}
