using CsCheck;
using Merganser.Core.Arrows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Arrows;

public class ComponentTableTests
{
    public static TheoryData<IComponent> Parts =>
        new()
        {
            new Shaft("Kelpholm", "Wrackline 340", .34, 9, .246, 32, "Carbon", .204, .003, 1, null, .352, 9.1),
            new Shaft(
                "Sildwick",
                "Tinker 2013",
                .621,
                8.69,
                20 / 64.0,
                33,
                "Aluminium",
                (20 / 64.0) - .026,
                0,
                0,
                "2013"
            ),
            new Insert("Skarn", "Chisel 60", 60, 1.2, -.6, 10, 3),
            new Point("Ternhaugh", "Gullbill 125", PointKind.FixedHead, 125, 1.3, .55, 3, 0, 0, 124.6),
            new Nock("Holmvane", "Lantern", 26, .55, .7, NockKind.Lit),
            new Vane("Holmvane", "Plover 2", 5.4, 2, .46, VaneSetting.Helical, .7),
            new Wrap("Kelpholm", "Band 6", 7.4, 6),
        };

    [Theory]
    [MemberData(nameof(Parts))]
    public void What_is_written_reads_back_as_the_same_part(IComponent part)
    {
        var kind = ComponentTable.ClassOf(part);
        var texts = ComponentTable.Write(part);
        texts.Keys.ShouldBe(ComponentTable.Fields(kind).Select(f => f.Name), ignoreOrder: true);
        ComponentTable.Read(kind, texts.ToDictionary(t => t.Key, t => (string?)t.Value)).ShouldBe(part);
    }

    [Fact]
    public void Any_shaft_survives_writing_and_reading() =>
        Gen.Select(Gen.Double[.1, 2], Gen.Double[2, 30], Gen.Double[.2, .6])
            .Sample(
                (spine, perInch, outer) =>
                {
                    var shaft = new Shaft(
                        "Own",
                        "Own",
                        Math.Round(spine, 6),
                        Math.Round(perInch, 6),
                        Math.Round(outer, 6),
                        32,
                        "Carbon"
                    );
                    ComponentTable
                        .Read(
                            ComponentClass.Shaft,
                            ComponentTable.Write(shaft).ToDictionary(t => t.Key, t => (string?)t.Value)
                        )
                        .ShouldBe(shaft);
                }
            );

    /// <summary>7075-T6: E = 71.7 GPa, 2.81 g/cm³ (handbook values, from memory).</summary>
    [Fact]
    public void A_tube_code_gives_spine_weight_and_diameters()
    {
        var shaft = (Shaft)ComponentTable.Read(ComponentClass.Shaft, Texts(("tubeCode", "2013")));
        shaft.Spine.ShouldBe(.6209, .0001);
        shaft.GrainsPerInch.ShouldBe(8.692, .001);
        shaft.OuterDiameter.ShouldBe(20 / 64.0);
        shaft.InnerDiameter.ShouldBe((20 / 64.0) - .026, 1e-9);
    }

    /// <summary>The trade writes .400 as 400 (common practice, no source); 1000 is 1.0.</summary>
    [Theory]
    [InlineData("400", .4)]
    [InlineData("1000", 1)]
    [InlineData("0.4", .4)]
    [InlineData(".4", .4)]
    public void A_spine_is_read_in_thousandths_too(string typed, double spine)
    {
        var texts = Texts(("spine", typed), ("grainsPerInch", "9"), ("outerDiameter", "0.246"));
        ((Shaft)ComponentTable.Read(ComponentClass.Shaft, texts)).Spine.ShouldBe(spine);
    }

    /// <summary>
    /// .3000 in at 26 in under 1.94 lb is .37469 in ASTM (mid-loaded beam, ASTM F2031 span and load).
    /// </summary>
    [Fact]
    public void A_spine_measured_on_an_own_span_wins_over_the_nominal_one()
    {
        var shaft = (Shaft)
            ComponentTable.Read(
                ComponentClass.Shaft,
                Texts(
                    ("spine", "0.34"),
                    ("grainsPerInch", "9"),
                    ("outerDiameter", "0.246"),
                    ("measuredDeflection", "0.3"),
                    ("measuredSpan", "26")
                )
            );
        shaft.SpineInUse.ShouldBe(.37469, .00001);
        shaft.Spine.ShouldBe(.34);
    }

    [Theory]
    [InlineData("tubeCode", "20x3")]
    [InlineData("tubeCode", "0199")]
    [InlineData("spine", "12")]
    [InlineData("maxLength", "90")]
    [InlineData("outerDiameter", "wide")]
    [InlineData("innerDiameter", "0.3")]
    [InlineData("name", "")]
    public void What_cannot_be_is_named_by_its_field(string field, string text)
    {
        var typed = Texts(("spine", "0.34"), ("grainsPerInch", "9"), ("outerDiameter", "0.246"), (field, text));
        Should
            .Throw<RefusedException>(() => ComponentTable.Read(ComponentClass.Shaft, typed))
            .Problems.ShouldContain(p => p.Field == field);
    }

    [Fact]
    public void Steps_broken_off_make_the_front_lighter_and_no_more_than_there_are()
    {
        var insert = new Insert("Skarn", "Chisel 60", 60, 1.2, -.6, 10, 3);
        Entry(insert, 2).Read().Insert!.Weight.ShouldBe(40);
        Entry(insert, 0).Read().Insert!.Weight.ShouldBe(60);
        Should
            .Throw<RefusedException>(() => Entry(insert, 4).Read())
            .Problems.ShouldContain(p => p.Field == "insertBroken");

        static ArrowEntry Entry(Insert insert, int broken)
        {
            var arrow = Samples.A1;
            return new ArrowEntry(
                arrow.Shaft,
                "28 1/2",
                insert,
                arrow.Point,
                arrow.Nock,
                arrow.Vane,
                3,
                "",
                null,
                "",
                broken
            );
        }
    }

    [Fact]
    public void Glue_left_empty_is_the_allowance_of_the_vanes()
    {
        var arrow = Samples.A1;
        var vane = new Vane("Holmvane", "Plover 2", 5.4, 2, .46, VaneSetting.Helical, .7);
        new ArrowEntry(arrow.Shaft, "28 1/2", null, arrow.Point, arrow.Nock, vane, 4, "", null, "")
            .Read()
            .Glue.ShouldBe(2.8, 1e-9);
        new ArrowEntry(arrow.Shaft, "28 1/2", null, arrow.Point, arrow.Nock, vane, 4, "", null, "5")
            .Read()
            .Glue.ShouldBe(5);
    }

    private static Dictionary<string, string?> Texts(params (string Name, string Text)[] texts)
    {
        var all = new Dictionary<string, string?>
        {
            ["maker"] = "Own",
            ["name"] = "Own",
            ["maxLength"] = "32",
            ["material"] = "Carbon",
        };
        foreach (var (name, text) in texts)
        {
            all[name] = text;
        }

        return all;
    }
}
