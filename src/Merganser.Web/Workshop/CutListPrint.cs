using Merganser.Core.Units;
using Merganser.Core.Workshop;
using Merganser.Web.Dozens;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

/// <summary>The cut list: each shaft with what comes off it, and a bar in true size to lay it against.</summary>
public static class CutListPrint
{
    private const string Safe =
        "Wear a mask and glasses, cool the wheel, square both ends after. The shaft maker's way of cutting comes first.";

    /// <summary>A longer bar does not fit on the page, inches.</summary>
    private const double LongestBar = 6.9;

    public static byte[] Of(DozenView dozen, WorkshopView workshop, Speaker speaker)
    {
        var list = workshop.CutList;
        using var page = new PrintedPage($"Cut list, {dozen.Name}", dozen.StartedAt, Safe);
        page.Title(dozen.Name, $"Cut list. {dozen.ArrowName}, version {dozen.ArrowVersion}.");
        page.Paragraph(
            speaker.Say(
                $"Cut every shaft to {Measure.Ruled(list.Tube)}: with the nock that is {Measure.Ruled(list.WithNock)} from its throat to the shaft's end. As sold {Measure.Ruled(list.Sold)}, off {Measure.Ruled(list.Off)}."
            ),
            11,
            true
        );
        page.Y += 6;
        PrintedCell[] head =
        [
            new("", 20, IsBox: true),
            new("shaft", 56),
            new("for", 76),
            new("index", 70),
            new("off the point end", 96),
            new("off the nock end", 96),
            new("", PrintedPage.Across - 414),
        ];
        page.Table(head, list.Shafts.Select(s => Cells(s, speaker)), 11);
        page.Y += 4;
        page.Paragraph(
            "The index of the stiff side stands at the nock end. Where that end comes off, or no index was found, draw it along the shaft before the saw.",
            9
        );
        Bars(page, list, speaker);
        page.Ruler();
        return page.Finish();
    }

    private static IReadOnlyList<string> Cells(ShaftCut shaft, Speaker speaker) =>
        [
            "",
            $"{shaft.Shaft}",
            shaft.Arrow is { } arrow ? $"arrow {arrow}"
            : shaft.Spare ? "spare"
            : "any arrow",
            shaft.IndexMark ?? "none",
            Off(shaft.OffPoint, speaker),
            Off(shaft.OffNock, speaker),
            shaft.Spare ? "leave it whole"
            : shaft.Done ? "cut"
            : shaft.OffNock > 0 ? "crooked: both ends"
            : shaft.CarryIndex ? "draw the index on"
            : "",
        ];

    private static string Off(double inches, Speaker speaker) =>
        inches > 0 ? speaker.Say($"{Measure.Ruled(inches)}") : "nothing";

    private static void Bars(PrintedPage page, CutList list, Speaker speaker)
    {
        double[] lengths =
        [
            .. list
                .Shafts.SelectMany(s => new[] { s.OffPoint, s.OffNock })
                .Where(off => off is > 0 and <= LongestBar)
                .Select(off => Math.Round(off, 3))
                .Distinct()
                .Order(),
        ];
        if (lengths.Length == 0)
        {
            return;
        }

        page.Heading("What comes off, in true size");
        foreach (var length in lengths)
        {
            page.Room(34);
            page.Outline(PrintedPage.Margin, page.Y, (float)(length * PrintedPage.Inch), 12);
            page.Text(
                speaker.Say($"{Measure.Ruled(length)}"),
                PrintedPage.Margin + (float)(length * PrintedPage.Inch) + 6,
                page.Y + 10,
                10,
                true
            );
            page.Y += 28;
        }
    }
}
