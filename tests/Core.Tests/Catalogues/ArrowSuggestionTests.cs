using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;

namespace Merganser.Core.Tests.Catalogues;

/// <summary>What an arrow begins with on a bow, out of a catalogue of a few parts.</summary>
public class ArrowSuggestionTests
{
    /// <summary>
    /// 60 lb at 28 in of an ordinary build need .400 (the model's own reference, agrees with the usual charts, from
    /// memory); a stiffer or a weaker one is passed over, wood too, and one that is sold too short.
    /// </summary>
    [Fact]
    public void The_shaft_is_the_one_that_the_bow_needs()
    {
        var suggested = ArrowSuggestion.Of(Samples.Compound, Stock)!;
        var shaft = Stock.Shafts.First(s => s.Id == suggested.Draft.ShaftId).Part;
        shaft.Material.ShouldBe("Carbon");
        suggested.Fits.ShouldBeTrue();
        foreach (var other in Stock.Shafts.Where(s => s.Part.Material == "Carbon" && s.Part.MaxLength > 30))
        {
            var ratio = suggested.Ratio * shaft.Spine / other.Part.Spine;
            Math.Abs(Math.Log(suggested.Ratio / 1.056))
                .ShouldBeLessThanOrEqualTo(Math.Abs(Math.Log(ratio / 1.056)) + .02);
        }

        (suggested.Draft.PointId, suggested.Draft.InsertId, suggested.Draft.NockId).ShouldBe(("p100", "i20", "n9"));
        suggested.Draft.CutLength.ShouldBe($"{Samples.Compound.FirstCut:0.0}");
    }

    [Fact]
    public void A_thin_shaft_takes_a_point_that_is_glued_in_and_no_insert()
    {
        Catalogue thin = Stock with { Shafts = [.. Stock.Shafts.Where(s => s.Id.StartsWith("thin"))] };
        var suggested = ArrowSuggestion.Of(Samples.Compound, thin)!;
        (suggested.Draft.PointId, suggested.Draft.InsertId).ShouldBe(("g100", null));
        var longbow = ArrowSuggestion.Of(Samples.Compound with { Kind = BowKind.Longbow }, Stock)!;
        longbow.Draft.PointId.ShouldBe("p125");
    }

    [Fact]
    public void Without_a_part_to_begin_with_nothing_is_suggested()
    {
        ArrowSuggestion.Of(Samples.Compound, Stock with { Points = [] }).ShouldBeNull();
        ArrowSuggestion.Of(Samples.Compound, Stock with { Shafts = [] }).ShouldBeNull();
        var misfit = Stock with { Shafts = [.. Stock.Shafts.Where(s => s.Id == "s1000")] };
        ArrowSuggestion.Of(Samples.Compound, misfit)!.Fits.ShouldBeFalse();
    }

    private static readonly Catalogue Stock = new(
        [
            .. new[] { 250, 300, 340, 400, 500, 600, 1000 }.Select(s => Shaft($"s{s}", s / 1000.0, .246, 32, "Carbon")),
            .. new[] { 250, 300, 350 }.Select(s => Shaft($"thin{s}", s / 1000.0, .2, 32, "Carbon")),
            Shaft("short", .33, .246, 26, "Carbon"),
            Shaft("wood", .33, .344, 32, "Wood"),
        ],
        [new("i20", new Insert("M", "20", 20, .6, -.3)), new("i75", new Insert("M", "75", 75, 1.1, -.5))],
        [
            new("h100", new Point("M", "Head", PointKind.FixedHead, 100, 1.6, .7, 2)),
            new("g100", new Point("M", "Glue-in", PointKind.GlueIn, 100, .6, -.4)),
            new("p85", new Point("M", "85", PointKind.Field, 85, .9, .4)),
            new("p100", new Point("M", "100", PointKind.Field, 100, .9, .4)),
            new("p125", new Point("M", "125", PointKind.Field, 125, 1, .4)),
        ],
        [
            new("lit", new Nock("M", "Lit", 9, .5, .9, NockKind.Lit)),
            new("n9", new Nock("M", "9", 9.5, .5, .6)),
            new("n15", new Nock("M", "15", 15, .5, .6)),
        ],
        [],
        [],
        []
    );

    private static Stocked<Shaft> Shaft(string id, double spine, double outer, double length, string material) =>
        new(id, new Shaft("M", id, spine, 8, outer, length, material));
}
