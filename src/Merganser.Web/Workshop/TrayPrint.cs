using Merganser.Core.Dozens;
using Merganser.Core.Units;
using Merganser.Core.Workshop;
using Merganser.Web.Dozens;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

/// <summary>The build tray: each arrow with its pieces and what they weigh, and the steps to tick beside it.</summary>
public static class TrayPrint
{
    public static byte[] Of(DozenView dozen, WorkshopView workshop, Speaker speaker)
    {
        using var page = new PrintedPage(
            $"Tray list, {dozen.Name}",
            dozen.StartedAt,
            "Look each shaft over and flex it before it is built; a cracked one is destroyed, never shot."
        );
        page.Title(dozen.Name, $"Tray list. {dozen.ArrowName}, version {dozen.ArrowVersion}.");
        var weights = dozen.Classes.ToDictionary(c => c.Name, c => c.Pieces.ToDictionary(p => p.Number, p => p.Grains));
        var shown = dozen.Classes.Select(c => c.Name).ToArray();
        var each = (PrintedPage.Across - 160) / Math.Max(1, shown.Length);
        PrintedCell[] head =
        [
            new("", 18, IsBox: true),
            new("arrow", 46),
            .. shown.Select(n => new PrintedCell(n.ToLowerInvariant(), each)),
            new("together", 96, true),
        ];
        page.Table(head, dozen.Tray.Where(a => !a.Retired).Select(Cells));
        if (dozen.Tray.Count == 0)
        {
            page.Paragraph("The pieces are not matched yet: match them, then print the tray.");
        }

        Joints(page, workshop);
        page.Heading("Steps, in order");
        foreach (var step in dozen.Steps)
        {
            page.Room(28);
            page.Box(PrintedPage.Margin, page.Y);
            var words = $"{speaker.Say(step.Words)}. {speaker.Say(step.Caution)}".Trim();
            page.Y += page.Block(words, PrintedPage.Margin + 18, page.Y, PrintedPage.Across - 18) * 13.4f;
        }

        return page.Finish();

        IReadOnlyList<string> Cells(TrayArrow arrow) =>
            [
                "",
                $"{arrow.Number}",
                .. shown.Select(n => Piece(n, arrow.Pieces.GetValueOrDefault(n) ?? [])),
                speaker.Say($"{Measure.Grains(arrow.Total)}"),
            ];

        string Piece(string name, IReadOnlyList<int> numbers) =>
            speaker.Say(
                $"{string.Join("·", numbers)}, {Measure.Grains(numbers.Sum(n => weights[name].GetValueOrDefault(n)))}"
            );
    }

    private static void Joints(PrintedPage page, WorkshopView workshop)
    {
        if (workshop.Joints.Count == 0)
        {
            return;
        }

        page.Heading("Glue and cure");
        foreach (var joint in workshop.Joints)
        {
            page.Line(Speaker.Trade.Say(joint.Words), joint.Sheet?.Glue ?? "not said yet", Times(joint.Sheet));
        }
    }

    /// <summary>What a glue's sheet says, in a line.</summary>
    public static string Times(GlueSheet? sheet) =>
        sheet is null
            ? "as the glue's sheet says"
            : string.Join(
                ", ",
                new[]
                {
                    sheet.HandlingMinutes is { } minutes ? $"handle after {Show.Number(minutes, 0)} min" : "",
                    sheet.CureHours is { } hours ? $"shoot after {Show.Number(hours, hours % 1 == 0 ? 0 : 1)} h" : "",
                    sheet.Note,
                }.Where(words => words.Length > 0)
            );
}
