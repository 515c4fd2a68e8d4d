using Merganser.Core.Ballistics;
using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Ballistics;

/// <summary>A sight tape in true size, with the bar by which a printer is checked and set right.</summary>
public static class TapePrint
{
    private const float Inch = PrintedPage.Inch;
    private const float Wide = .55f * Inch;
    private const float Long = .22f * Inch;
    private const float Middle = .16f * Inch;
    private const float Short = .08f * Inch;

    /// <summary>The bar is 2 in, or 50 mm, long.</summary>
    private static double BarOf(DisplayUnits units) =>
        units.Length == LengthUnit.Inches ? 2 : 50 / Physical.MillimetresPerInch;

    /// <summary>What a printed bar may measure, inches: farther off the printer was not told the paper.</summary>
    private static readonly AllowedRange Bars = new(1.6, 2.4, Unit.Inch, Why.PrintedBar);

    /// <summary>The tape.</summary>
    /// <param name="flown">The arrow.</param>
    /// <param name="bar">What the bar measured on the last print, as typed; empty for a first print.</param>
    /// <param name="speaker">Who reads it.</param>
    public static byte[] Of(Flown flown, string? bar, Speaker speaker)
    {
        var fields = new FieldReader();
        var measured = fields.Optional("bar", bar, Quantity.Length, Bars);
        fields.ThrowIfAny();
        FieldReader.Demand(flown.Reading.Bow.HasSight, "bow", "no-sight", FlightSays.NoSight);
        var nominal = BarOf(speaker.Units);
        var scale = measured is { } read ? nominal / read.Value : 1;
        var yard = Display.YardsInUnit(speaker.Units);
        var arrow = flown.Row;
        using var page = new PrintedPage(
            $"Sight tape, {flown.Bow.Bow.Name}",
            arrow.Kept!.KeptAt,
            "Check the bar with a rule before you cut. Prove the tape at a near and a far mark."
        );
        page.Title(
            flown.Bow.Bow.Name,
            speaker.Say(
                $"Sight tape for {arrow.Draft.Name}, version {arrow.Kept.Number}: {Measure.Grains(flown.Reading.Grains)} at {Measure.Speed(flown.Reading.Flight.Speed)}. Distances in {(yard == 1 ? "yards" : "metres")}."
            )
        );
        var marks = FlightMarks.MarksOf(flown, yard);
        page.Paragraph(
            marks.Any(m => m.Own is not null)
                ? "A ring stands at your own marks."
                : "No mark of your own yet: lay the tape at a mark that you proved."
        );
        Bar(page, nominal, scale, speaker, measured is not null);
        Draw(page, flown.Reading, marks, scale, yard);
        return page.Finish();
    }

    private static void Bar(PrintedPage page, double nominal, double scale, Speaker speaker, bool corrected)
    {
        page.Y += 22;
        var (x, y, length) = (PrintedPage.Margin, page.Y, (float)(nominal * scale) * Inch);
        page.Stroke(x, y, x + length, y, 1);
        page.Stroke(x, y - 8, x, y + 8, 1);
        page.Stroke(x + length, y - 8, x + length, y + 8, 1);
        page.Block(
            speaker.Say(
                $"This bar must measure {Measure.Inches(nominal, 0)}. If it does not, print at actual size, without fitting; if it still does not, type what it measures under “Print the tape”, and the tape is made longer or shorter by as much.{(corrected ? " This print is set right already." : "")}"
            ),
            x + length + 14,
            y - 2,
            PrintedPage.Across - length - 14,
            9
        );
        page.Y += 34;
    }

    private static void Draw(
        PrintedPage page,
        FlightReading reading,
        IReadOnlyList<SightMarkAt> marks,
        double scale,
        double yard
    )
    {
        if (marks.Count < 2)
        {
            page.Paragraph("This arrow carries no farther than its first mark.");
            return;
        }

        // A scale that counts up with the pin has its far marks at the other end: the tape is drawn from its top.
        var sign = reading.Fit.Sign;
        float At(double inches) => (float)(sign * (inches - marks[0].Inches) * scale) * Inch;
        var length = At(marks[^1].Inches);
        page.Room(length + 60);
        var (x, top) = (PrintedPage.Margin + 60, page.Y + 20);
        page.Outline(x, top - 10, Wide, length + 20, .5f);
        foreach (var mark in marks)
        {
            var y = top + At(mark.Inches);
            var name = Math.Round(mark.Yards / yard, 1);
            var ten = name % 10 == 0;
            if (name % 5 == 0)
            {
                page.Stroke(x, y, x + (ten ? Long : Middle), y, ten ? .9f : .6f);
                page.Text($"{name:0}", x + (ten ? Long + 2 : Wide - 3), y + 2.4f, ten ? 7 : 5, ten, !ten);
            }

            if (mark.Own is not null)
            {
                page.Path("M3 0a3 3 0 1 1-6 0a3 3 0 1 1 6 0Z", x - 8, y, .8f);
            }
        }

        double[] between =
        [
            .. Enumerable
                .Range(
                    (int)Math.Round(marks[0].Yards / yard),
                    (int)Math.Round((marks[^1].Yards - marks[0].Yards) / yard)
                )
                .Where(d => d % 5 != 0)
                .Select(d => d * yard),
        ];
        foreach (var mark in between.Length == 0 ? [] : reading.Marks([marks[0].Yards, .. between]).Skip(1))
        {
            var y = top + At(mark.Inches);
            page.Stroke(x, y, x + Short, y, .35f);
        }

        page.Y = top + length + 30;
    }
}
