using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Catalogues;

/// <summary>A shaft by what is printed on it, and a length that nobody measured.</summary>
public class OwnShaftTests
{
    private static readonly Shaft[] Known =
    [
        Of(0.33, 8, 0.246),
        Of(0.34, 9, 0.246),
        Of(0.36, 10, 0.25),
        Of(0.34, 14, 0.3),
        Of(0.5, 6, 0.246),
        Of(0.34, 20, 0.35) with
        {
            Material = "Aluminium",
        },
    ];

    [Fact]
    public void What_is_not_printed_is_taken_from_like_shafts_with_a_band()
    {
        var bare = Read(spine: "340");
        bare.Spine.ShouldBe(0.34);
        (bare.GrainsPerInch, bare.GrainsPerInchBand).ShouldBe((11, 3), "8 to 14, whatever the diameter");
        var wide = Read(spine: ".340", diameter: "0.246");
        (wide.GrainsPerInch, wide.GrainsPerInchBand, wide.OuterDiameter).ShouldBe((9, 1, 0.246));
        Read(spine: "340", material: "Bamboo").GrainsPerInchBand.ShouldBe(3, "nothing is like it");
    }

    [Fact]
    public void What_is_printed_is_known()
    {
        var shaft = Read(spine: "340", mass: "9.4");
        (shaft.GrainsPerInch, shaft.GrainsPerInchBand).ShouldBe((9.4, 0));
        Should.Throw<RefusedException>(() => Read(spine: "")).Problems.Single().Field.ShouldBe("spine");
    }

    /// <summary>
    /// An inch of a 9 gr/in shaft is 9 gr: a length that is an inch off is 9 gr off, a mass that is 1 gr/in off is the
    /// tube's length off; nine in ten of an even range are nine tenths of it.
    /// </summary>
    [Fact]
    public void Figures_lie_between_the_ends_of_what_is_not_known()
    {
        var known = ArrowReading.Of(Samples.Compound, Samples.A1);
        known["totalWeight"].Low.ShouldBeNull();
        var length = ArrowReading.Of(Samples.Compound, Samples.A1 with { CutLengthBand = 1 });
        var weight = length["totalWeight"];
        (weight.Value - weight.Low)!.Value.ShouldBe(8.1, 0.1);
        (weight.High - weight.Value)!.Value.ShouldBe(8.1, 0.1);
        (length["frontOfCenter"].High - length["frontOfCenter"].Low)!.Value.ShouldBeGreaterThan(0);
        length.Fit.Low.ShouldBeLessThan(known.Fit.Low);
        length.Next.Action.ShouldBe("fixLength");
        var mass = ArrowReading.Of(
            Samples.Compound,
            Samples.A1 with
            {
                Shaft = Samples.A1.Shaft with { GrainsPerInchBand = 1 },
            }
        );
        (mass["totalWeight"].High - mass["totalWeight"].Value)!.Value.ShouldBe(0.9 * 28, 0.3);
        var measured = Samples.A1.Shaft with { GrainsPerInchBand = 1, MeasuredGrainsPerInch = 9 };
        NotKnown.Any(Samples.Compound, Samples.A1 with { Shaft = measured }).ShouldBeFalse();
    }

    [Fact]
    public void About_so_long_is_read_as_a_length_that_nobody_measured()
    {
        var arrow = new ArrowEntry(
            Samples.A1.Shaft,
            "about 28 1/2",
            null,
            Samples.A1.Point,
            Samples.A1.Nock,
            null,
            0,
            "",
            null,
            ""
        ).Read();
        (arrow.CutLength, arrow.CutLengthBand).ShouldBe((28.5, ArrowEntry.UnmeasuredBand));
        Should
            .Throw<RefusedException>(() =>
                new ArrowEntry(
                    Samples.A1.Shaft,
                    "about",
                    null,
                    Samples.A1.Point,
                    Samples.A1.Nock,
                    null,
                    0,
                    "",
                    null,
                    ""
                ).Read()
            )
            .Problems.Single()
            .Field.ShouldBe("cutLength");
    }

    private static Shaft Read(string spine, string? mass = null, string? diameter = null, string? material = null) =>
        new OwnShaft(null, null, spine, mass, diameter, material).Read(Known);

    private static Shaft Of(double spine, double mass, double diameter) =>
        Samples.A1.Shaft with
        {
            Spine = spine,
            GrainsPerInch = mass,
            OuterDiameter = diameter,
        };
}
