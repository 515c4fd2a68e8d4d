using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Setup;

/// <summary>The set-up card: all measured values, positions and the date on one page.</summary>
public sealed class SetupCard(
    SetupDesk desk,
    BowStore bows,
    ArcherStore archers,
    CrawlStore crawls,
    Listener listener,
    TimeProvider clock
)
{
    public byte[] Pdf(string bowId)
    {
        var row = bows.Get(bowId);
        var view = desk.View(bowId);
        var now = clock.GetUtcNow();
        var speaker = listener.Of(bowId);
        using var page = new PrintedPage($"Set-up card, {row.Bow.Name}", now);
        page.Text(row.Bow.Name, PrintedPage.Margin, page.Y + 14, 20, true);
        page.Text(
            $"set-up card, {now:d MMMM yyyy}",
            PrintedPage.Width - PrintedPage.Margin,
            page.Y + 14,
            10,
            right: true
        );
        page.Y += 32;
        page.Text(
            $"{archers.Get(row.ArcherId).Archer.Name}. {speaker.Say(BowEndpoints.Line(row.Bow))}. String: {view.String.Shots} shots.",
            PrintedPage.Margin,
            page.Y,
            10
        );
        page.Y += 8;

        page.Heading("Measured");
        page.Line("Draw length, AMO", speaker.Say($"{Measure.Inches(row.Bow.DrawLength)}"));
        page.Line(
            row.Bow.Kind == BowKind.Compound ? "Axle to axle" : "Bow length",
            row.Bow.AxleToAxle is { } axle ? speaker.Say($"{Measure.Inches(axle, 3)}") : "not measured"
        );
        foreach (var check in view.Checks.Where(c => c.Kind != CheckKind.AxleToAxle))
        {
            page.Line(
                speaker.Say(check.Title),
                speaker.Say(check.Line),
                check.Last is { } last
                    ? $"{speaker.Say(check.Verdict?.Words ?? Message.Nothing)} {last.At:d MMM yyyy}"
                    : ""
            );
        }

        page.Heading("Adjusters, from their marks");
        foreach (var adjuster in row.Adjusters)
        {
            var (down, up) = adjuster.Left;
            var seats = adjuster.Seats is { } s
                ? $"top {s.TopLeft} | {s.TopRight}, bottom {s.BottomLeft} | {s.BottomRight}"
                : speaker.Say(new Room(adjuster.Kind, down, up));
            page.Line(
                speaker.Say(new AdjusterName(adjuster.Kind)),
                speaker.Say(new Standing(adjuster.Kind, adjuster.Position)),
                seats
            );
        }

        if (crawls.Of(bowId).Marks is { Count: > 0 } marks)
        {
            page.Heading("Crawls, from the nock down");
            foreach (var mark in marks.Select(m => m.Mark))
            {
                page.Line(
                    speaker.Say($"{Measure.Yards(mark.Yards)}"),
                    speaker.Say($"{Measure.Inches(mark.Crawl)}"),
                    mark.NockingPoint is { } at
                        ? speaker.Say($"nocking point {new Standing(AdjusterKind.NockingPoint, at)}")
                        : ""
                );
            }
        }

        if (view.GoodStates.FirstOrDefault() is { } good)
        {
            page.Heading($"Back to {speaker.Say(good.Words)}, {good.MarkedAt:d MMM yyyy}");
            page.Line(
                good.WayBack.Count == 0
                    ? "It stands so now."
                    : string.Join("; ", good.WayBack.Select(w => speaker.Say(w.Order))),
                ""
            );
        }

        page.Text("Merganser. The maker's manual comes first.", PrintedPage.Margin, PrintedPage.Height - 30, 8);
        return page.Finish();
    }
}
