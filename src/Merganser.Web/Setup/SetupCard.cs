using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Printing;

namespace Merganser.Web.Setup;

/// <summary>The set-up card: all measured values, positions and the date on one page.</summary>
public sealed class SetupCard(SetupDesk desk, BowStore bows, ArcherStore archers, TimeProvider clock)
{
    public byte[] Pdf(string bowId)
    {
        var row = bows.Get(bowId);
        var view = desk.View(bowId);
        var now = clock.GetUtcNow();
        using var page = new PrintedPage($"Set-up card, {row.Bow.Name}", now);
        page.Text(row.Bow.Name, PrintedPage.Margin, page.Y + 14, 20, true);
        page.Text($"set-up card, {now:d MMMM yyyy}", PrintedPage.Width - PrintedPage.Margin, page.Y + 14, 10, right: true);
        page.Y += 32;
        page.Text($"{archers.Get(row.ArcherId).Archer.Name}. {BowEndpoints.Line(row.Bow)}. String: {view.String.Shots} shots.", PrintedPage.Margin, page.Y, 10);
        page.Y += 8;

        page.Heading("Measured");
        page.Line("Draw length, AMO", $"{Show.Number(row.Bow.DrawLength, 2)} in");
        page.Line(row.Bow.Kind == BowKind.Compound ? "Axle to axle" : "Bow length", row.Bow.AxleToAxle is { } axle ? $"{Show.Number(axle, 3)} in" : "not measured");
        foreach (var check in view.Checks.Where(c => c.Kind != CheckKind.AxleToAxle))
        {
            page.Line(check.Title, check.Line, check.Last is { } last ? $"{check.Verdict?.Words ?? ""} {last.At:d MMM yyyy}" : "");
        }

        page.Heading("Adjusters, from their marks");
        foreach (var adjuster in row.Adjusters)
        {
            var fact = AdjusterTable.Of(adjuster.Kind);
            var seats = adjuster.Seats is { } s ? $"top {s.TopLeft} | {s.TopRight}, bottom {s.BottomLeft} | {s.BottomRight}" : fact.Room(adjuster, row.Bow.Hand);
            page.Line(fact.Name, fact.Standing(adjuster.Position, row.Bow.Hand), seats);
        }

        if (view.GoodStates.FirstOrDefault() is { } good)
        {
            page.Heading($"Back to {good.Words}, {good.MarkedAt:d MMM yyyy}");
            page.Line(good.WayBack.Count == 0 ? "It stands so now." : string.Join("; ", good.WayBack.Select(w => w.Order)), "");
        }

        page.Text("Merganser. The maker's manual comes first.", PrintedPage.Margin, PrintedPage.Height - 30, 8);
        return page.Finish();
    }
}
