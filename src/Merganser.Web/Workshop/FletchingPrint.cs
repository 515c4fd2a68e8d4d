using Merganser.Core.Arrows;
using Merganser.Core.Units;
using Merganser.Core.Workshop;
using Merganser.Web.Dozens;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

/// <summary>The fletching sheet: jig, places, glue, and a strip in true size to go around the shaft.</summary>
public static class FletchingPrint
{
    private const float Inch = PrintedPage.Inch;

    public static byte[] Of(DozenView dozen, WorkshopView workshop, Speaker speaker)
    {
        using var page = new PrintedPage(
            $"Fletching sheet, {dozen.Name}",
            dozen.StartedAt,
            "The glue's and the vane's own sheets come first."
        );
        page.Title(dozen.Name, $"Fletching sheet. {dozen.ArrowName}, version {dozen.ArrowVersion}.");
        if (workshop.Fletching is { } fletching)
        {
            Jig(page, fletching, speaker);
        }
        else
        {
            page.Paragraph("This arrow has no vanes.");
        }

        foreach (var joint in workshop.Joints.Where(j => j.Joint is Joint.Vanes or Joint.Wrap))
        {
            page.Line(
                Speaker.Trade.Say(joint.Words),
                joint.Sheet?.Glue ?? "not said yet",
                TrayPrint.Times(joint.Sheet)
            );
        }

        Template(page, workshop.Wrap, speaker);
        page.Ruler();
        return page.Finish();
    }

    private static void Jig(PrintedPage page, Fletching fletching, Speaker speaker)
    {
        page.Heading("The jig");
        page.Line("Vanes", $"{fletching.Count}", $"{Show.Number(fletching.Clocking, 0)}° from one to the next");
        page.Line("Index", "the first vane stands on it", "turn the nock so that the index lies as on paper");
        page.Line(
            "Set",
            fletching.Setting == VaneSetting.Straight ? "straight" : $"{fletching.Setting}".ToLowerInvariant(),
            Turn(fletching, speaker)
        );
        page.Line(
            "Rear edge",
            speaker.Say($"{Measure.Ruled(fletching.FromTube)}"),
            speaker.Say($"from the end of the tube; {Measure.Ruled(fletching.Back)} from the nock's throat")
        );
        page.Line("Front edge", speaker.Say($"{Measure.Ruled(fletching.Front)}"), "from the nock's throat");
        page.Line(
            "Area",
            Area(fletching.Area * fletching.Count, speaker),
            $"{Area(fletching.Area, speaker)} each, for a vane that slopes over seven tenths of its length"
        );
    }

    private static string Turn(Fletching fletching, Speaker speaker) =>
        (fletching.Degrees, fletching.Across) switch
        {
            ({ } turn, { } across) when turn != 0 => speaker.Say(
                $"{Show.Number(Math.Abs(turn), 1)}° to the {(turn > 0 ? "right" : "left")}: the front stands {Measure.Inches(across, 3)} beside the rear"
            ),
            ({ }, _) => "no angle",
            _ => "the jig's angle is not said yet",
        };

    private static string Area(double squareInches, Speaker speaker) =>
        speaker.Units.Length == LengthUnit.Inches
            ? $"{Show.Number(squareInches, 2)} in²"
            : $"{Show.Number(squareInches * 6.4516, 1)} cm²";

    private static void Template(PrintedPage page, WrapTemplate template, Speaker speaker)
    {
        var (width, height) = ((float)template.Length * Inch, (float)template.Around * Inch);
        page.Heading(template.IsWrap ? "Wrap and nock index, in true size" : "Nock index, in true size");
        page.Paragraph(
            speaker.Say(
                $"Cut along the outline, lay it around the shaft with its left edge at the end of the tube: {Measure.Inches(template.Around, 3)} go once around. The heavy line lies on the index, the others are the vanes."
            ),
            9
        );
        page.Room(height + 40);
        var (x, y) = (PrintedPage.Margin + 34, page.Y + 8);
        page.Outline(x, y, width, height, 0.5f);
        foreach (var (at, line) in template.Lines.Index())
        {
            var place = y + (float)line * Inch;
            page.Stroke(x, place, x + width, place, at == 0 ? 1.4f : 0.5f);
            page.Text(at == 0 ? "index" : $"{at + 1}", x - 4, place + 3, 8, at == 0, true);
        }

        foreach (var edge in new[] { template.VaneBack, template.VaneFront }.OfType<double>())
        {
            page.Stroke(x + ((float)edge * Inch), y, x + ((float)edge * Inch), y + height, 0.5f, true);
        }

        page.Y = y + height + 14;
    }
}
