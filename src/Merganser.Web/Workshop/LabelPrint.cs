using Merganser.Core.Units;
using Merganser.Core.Workshop;
using Merganser.Web.Dozens;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

/// <summary>A label an arrow, on a sheet of labels.</summary>
public static class LabelPrint
{
    /// <param name="dozen">The dozen.</param>
    /// <param name="grid">The sheet.</param>
    /// <param name="first">The first label that is still there, from 1; the ones before it stay empty.</param>
    /// <param name="speaker">Whose units.</param>
    public static byte[] Of(DozenView dozen, LabelGrid grid, int first, Speaker speaker)
    {
        using var page = new PrintedPage($"Labels, {dozen.Name}", dozen.StartedAt);
        var skipped = Math.Clamp(first - 1, 0, grid.OnSheet - 1);
        foreach (var (at, arrow) in dozen.Tray.Where(a => !a.Retired).Index())
        {
            var place = (at + skipped) % grid.OnSheet;
            if (at > 0 && place == 0)
            {
                page.Next();
            }

            var inside = grid.Inside(place);
            var (x, y) = ((float)inside.X * PrintedPage.Millimetre, (float)inside.Y * PrintedPage.Millimetre);
            var width = (float)inside.Width * PrintedPage.Millimetre;
            var height = (float)inside.Height * PrintedPage.Millimetre;
            page.Text($"{arrow.Number}", x, y + 16, 20, true);
            page.Text(speaker.Say($"{Measure.Grains(arrow.Built ?? arrow.Total)}"), x + 34, y + 8, 9, true);
            var nock = arrow.NockMark is { } mark ? $", nock {speaker.Say(mark)}" : "";
            var lines = Math.Max(1, (int)((height - 10) / 10.6f));
            page.Block($"{dozen.ArrowName}{nock}", x + 34, y + 19, width - 34, 8, most: lines);
        }

        return page.Finish();
    }
}
