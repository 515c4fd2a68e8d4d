using System.Globalization;
using Merganser.Core.Dozens;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Dozens;

/// <summary>A dozen on paper and as a table.</summary>
public static class DozenPrints
{
    public static byte[] Tray(DozenView dozen, Listener listener)
    {
        var speaker = listener.Of(dozen.BowId);
        using var page = new PrintedPage($"Tray list, {dozen.Name}", dozen.StartedAt);
        page.Text(dozen.Name, PrintedPage.Margin, page.Y + 14, 20, true);
        page.Text(
            $"{dozen.ArrowName}, version {dozen.ArrowVersion}",
            PrintedPage.Width - PrintedPage.Margin,
            page.Y + 14,
            10,
            right: true
        );
        page.Y += 40;
        var use = dozen.Tray.Where(a => !a.Retired).ToArray();
        foreach (var arrow in use)
        {
            if (page.Y > PrintedPage.Height - PrintedPage.Margin)
            {
                page.Next();
                page.Y += 14;
            }

            page.Box(PrintedPage.Margin, page.Y);
            page.Text($"Arrow {arrow.Number}", PrintedPage.Margin + 16, page.Y, 10, true);
            page.Text(Pieces(arrow), PrintedPage.Margin + 80, page.Y, 10, width: 340);
            page.Text(
                speaker.Say($"{Measure.Grains(arrow.Total)}"),
                PrintedPage.Width - PrintedPage.Margin,
                page.Y,
                10,
                right: true
            );
            page.Y += 16;
        }

        return page.Finish();
    }

    public static byte[] Labels(DozenView dozen, Listener listener)
    {
        var speaker = listener.Of(dozen.BowId);
        const int columns = 3;
        using var page = new PrintedPage($"Labels, {dozen.Name}", dozen.StartedAt);
        var width = (PrintedPage.Width - (2 * PrintedPage.Margin)) / columns;
        const int onPage = columns * 20;
        foreach (var (count, arrow) in dozen.Tray.Where(a => !a.Retired).Index())
        {
            if (count > 0 && count % onPage == 0)
            {
                page.Next();
            }

            var place = count % onPage;
            var x = PrintedPage.Margin + (place % columns * width);
            var y = PrintedPage.Margin + (place / columns * 38);
            page.Text($"{arrow.Number}", x, y + 14, 18, true);
            page.Text(speaker.Say($"{Measure.Grains(arrow.Built ?? arrow.Total)}"), x + 34, y + 6, 9, true);
            page.Text(
                $"{dozen.ArrowName}{(arrow.NockMark is { } mark ? $", nock {speaker.Say(mark)}" : "")}",
                x + 34,
                y + 17,
                8,
                width: width - 42
            );
        }

        return page.Finish();
    }

    private static string Pieces(TrayArrow arrow) =>
        string.Join(", ", arrow.Pieces.Select(p => $"{p.Key.ToLowerInvariant()} {string.Join("·", p.Value)}"));

    /// <summary>The tray as a table.</summary>
    public static string Csv(DozenView dozen, Listener listener)
    {
        var speaker = listener.Of(dozen.BowId);
        IReadOnlyList<string> header =
        [
            "arrow",
            "pieces",
            "total gr",
            "deviation gr",
            "FOC %",
            "state",
            "built gr",
            "glue and wrap gr",
            "nock",
            "note",
            "practice only",
            "repaired",
            "retired why",
            "retired on",
        ];
        return CsvText.Of(dozen.Tray.Select(a => Cells(a, speaker)).Prepend(header));
    }

    private static IReadOnlyList<string> Cells(TrayArrow arrow, Speaker speaker)
    {
        var state = arrow.Retired ? "retired" : $"{arrow.State}";
        return
        [
            $"{arrow.Number}",
            Pieces(arrow),
            Fixed(arrow.Total, 1),
            Fixed(arrow.Deviation, 2),
            Fixed(arrow.FrontOfCenter, 2),
            state,
            Fixed(arrow.Built, 1),
            Fixed(arrow.GlueAndWrap, 1),
            Own(arrow.NockMark),
            Text(arrow.Note),
            Text(arrow.Practice),
            Text(arrow.Repaired),
            Own(arrow.RetiredWhy),
            arrow.RetiredSince is { } day ? day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) : "",
        ];

        static string Text(string? words) => words is null ? "" : CsvText.Harmless(words);

        string Own(Message? words) => words is null ? "" : CsvText.Harmless(speaker.Say(words));
    }

    private static string Fixed(double? value, int decimals) =>
        value?.ToString("F" + decimals, CultureInfo.InvariantCulture) ?? "";
}
