using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.First;
using Merganser.Core.Spine;

namespace Merganser.Core.Tests.First;

/// <summary>What is printed on a bow and a shaft, and what follows from it.</summary>
public class FirstReadingTests
{
    private static readonly Shaft[] Known =
    [
        Samples.A1.Shaft with
        {
            Spine = 0.34,
            GrainsPerInch = 8.4,
        },
        Samples.A1.Shaft with
        {
            Spine = 0.35,
            GrainsPerInch = 9.6,
        },
        Samples.A1.Shaft with
        {
            Spine = 0.4,
            GrainsPerInch = 8.8,
        },
    ];

    private static readonly FirstAnswers Printed = new(
        BowKind.Compound,
        Hand.Right,
        DrawWeight: "60 to 70",
        DrawLength: "29",
        Spine: "340",
        GrainsPerInch: "9.0"
    );

    /// <summary>
    /// Computed apart, by another program in another language: 40,000 draws, 60 to 70 lb, 28 to 29 1/2 in, insert 12 to
    /// 35, point 85 to 125 and rear 20 to 40 gr, 9.0 gr/in, .340, spine rule 5 % (the design's notes to picture 14).
    /// </summary>
    [Fact]
    public void The_bands_are_those_of_an_independent_simulation()
    {
        var reading = Read(Printed);
        Near(reading.Weight, 388, 413, 437, 1.5);
        Near(reading.PerPound, 5.8, 6.3, 7.0, 0.06);
        Near(reading.Fit, 0.88, 1.01, 1.15, 0.006);
        foreach (
            var (band, share) in new[]
            {
                (FitBand.Weak, 0.09),
                (FitBand.BorderlineWeak, 0.24),
                (FitBand.Good, 0.62),
                (FitBand.Stiff, 0.05),
            }
        )
        {
            reading.Shares.Single(s => s.Band == band).Share.ShouldBe(share, 0.012, band.ToString());
        }

        reading
            .Narrowers.Select(n => (n.What.Said(), Math.Round(n.Width, 2)))
            .ShouldBe([
                ("as answered now", 0.27),
                ("draw weight measured, in a shop", 0.22),
                ("arrow measured, nock to shaft end", 0.24),
                ("both", 0.19),
            ]);
        reading.Words.Said().ShouldBe("good, more likely than not; may be weak");
        reading.LightShare.ShouldBe(0);
        reading.Clash.ShouldBeNull();
    }

    [Fact]
    public void Nothing_known_gives_a_figure_and_each_answer_a_shorter_bar()
    {
        var answers = new FirstAnswers(BowKind.Compound, Hand.Right);
        List<double> widths = [Width(answers)];
        foreach (
            var next in new Func<FirstAnswers, FirstAnswers>[]
            {
                a => a with { Spine = "340" },
                a => a with { DrawWeight = "60 to 70" },
                a => a with { DrawLength = "29" },
                a => a with { CutLength = "28 1/2" },
            }
        )
        {
            answers = next(answers);
            widths.Add(Width(answers));
        }

        widths.ShouldBe(widths.OrderDescending());
        widths[^1].ShouldBeLessThan(widths[0] / 3);
        double Width(FirstAnswers of) => Read(of).Fit is var fit ? fit.High - fit.Low : 0;
    }

    /// <summary>Under 5 gr/lb a bow can break (common practice, no source): the share is said, not hidden.</summary>
    [Fact]
    public void A_part_that_is_too_light_is_named()
    {
        var reading = Read(Printed with { GrainsPerInch = "6", Point = "85" });
        reading.LightShare.ShouldBeInRange(0.2, 0.99);
        reading.Heavy.Said().ShouldContain("where a bow can break");
        Read(Printed).Heavy.Said().ShouldBe("Above 5: heavy enough for the bow.");
    }

    [Fact]
    public void Numbers_that_do_not_go_together_ask_for_another_look()
    {
        Read(Printed with { GrainsPerInch = "12" }).Clash!.Said().ShouldContain("look at both numbers again");
        Read(Printed with { Spine = null, GrainsPerInch = "12" }).Clash.ShouldBeNull("no number, no clash");
    }

    /// <summary>Armspan over 2.5 (common practice, no source): 70 in is a draw of about 28.</summary>
    [Fact]
    public void An_arm_span_is_an_estimate_of_the_draw_and_a_printed_draw_wins()
    {
        var build = (Printed with { DrawLength = null, ArmSpan = "70" }).Read(Known);
        (build.Bow.DrawLength, build.Bow.DrawLengthBand).ShouldBe((28, 1));
        build.Entry.DrawLength.ShouldBe("27 to 29");
        (Printed with { ArmSpan = "70" }).Read(Known).Bow.DrawLength.ShouldBe(29);
    }

    [Theory]
    [InlineData(BowKind.Recurve, "36", "500")]
    [InlineData(BowKind.Barebow, "", "")]
    [InlineData(BowKind.Longbow, "45", "45 to 50 lb")]
    public void Every_kind_of_bow_is_read(BowKind kind, string weight, string spine)
    {
        var answers = new FirstAnswers(kind, Hand.Left, DrawWeight: weight, Spine: spine);
        var build = answers.Read(Known);
        build.Bow.Hand.ShouldBe(Hand.Left);
        build.Bow.CamSystem.ShouldBe(CamSystem.None, "nobody is asked for cams");
        var fit = FirstReading.Of(build, answers, Known).Fit;
        fit.Low.ShouldBeInRange(0.2, fit.High);
    }

    /// <summary>What stands for an answer never asks more of the archer than the answer itself would.</summary>
    [Theory]
    [InlineData("36")]
    [InlineData("16")]
    public void A_very_long_or_short_draw_is_an_answer(string draw)
    {
        var build = (Printed with { DrawLength = draw }).Read(Known);
        build.Arrow.CutLength.ShouldBeInRange(15, 33);
        build.Point.ShouldBe("85 to 125");
    }

    [Fact]
    public void What_is_wrong_with_a_field_that_is_not_asked_stands_at_the_one_that_is()
    {
        Should
            .Throw<RefusedException>(() => (Printed with { DrawLength = "15" }).Read(Known))
            .Problems.Select(p => p.Field)
            .ShouldBe(["drawLength"], "it leaves no power stroke");
        Should
            .Throw<RefusedException>(() => (Printed with { CutLength = "35" }).Read(Known))
            .Problems.Select(p => p.Field)
            .ShouldBe(["cutLength"], "shafts are sold shorter");
    }

    [Fact]
    public void What_cannot_be_read_is_named_together()
    {
        var wrong = new FirstAnswers(
            BowKind.Compound,
            Hand.Right,
            DrawWeight: "600",
            DrawLength: "29 kg",
            ArmSpan: "7",
            Spine: "stiff",
            CutLength: "30 to 28",
            Point: "x"
        );
        Should
            .Throw<RefusedException>(() => wrong.Read(Known))
            .Problems.Select(p => (p.Field, p.Code))
            .ShouldBe(
                [
                    ("drawWeight", "range"),
                    ("drawLength", "unit"),
                    ("armSpan", "range"),
                    ("cutLength", "reversed"),
                    ("point", "not-a-number"),
                    ("spine", "not-a-number"),
                ],
                ignoreOrder: true
            );
    }

    /// <summary>
    /// The first reading and the arrow's own page show one band: both are drawn from what was kept.
    /// </summary>
    [Fact]
    public void The_arrow_that_is_kept_reads_the_same()
    {
        var build = Printed.Read(Known);
        var (first, kept) = (FirstReading.Of(build, Printed, Known), ArrowReading.Of(build.Bow, build.Arrow));
        kept["totalWeight"].Low!.Value.ShouldBe(first.Weight.Low, 1.5);
        kept["totalWeight"].High!.Value.ShouldBe(first.Weight.High, 1.5);
        kept.Fit.Low.ShouldBe(first.Fit.Low, 0.01);
        kept.Fit.High.ShouldBe(first.Fit.High, 0.01);
        kept["grainsPerPound"].High!.Value.ShouldBe(first.PerPound.High, 0.05);
    }

    private static FirstReading Read(FirstAnswers answers) => FirstReading.Of(answers.Read(Known), answers, Known);

    private static void Near(FirstBand band, double low, double middle, double high, double within)
    {
        band.Low.ShouldBe(low, within);
        band.Middle.ShouldBe(middle, within);
        band.High.ShouldBe(high, within);
    }
}
