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
        using var page = new PrintedPage(
            $"Set-up card, {row.Bow.Name}",
            now,
            "Merganser. The maker's manual comes first."
        );
        page.Title(row.Bow.Name, $"Set-up card, {now:d MMMM yyyy}.");
        page.Paragraph(
            $"{archers.Get(row.ArcherId).Archer.Name}. {speaker.Say(BowEndpoints.Line(row.Bow))}. String: {view.String.Shots} shots."
        );

        page.Heading("Measured");
        page.Line("Draw length, AMO", speaker.Say($"{Measure.AsRead(row.Bow.DrawLength)}"));
        page.Line(
            row.Bow.Kind == BowKind.Compound ? "Axle to axle" : "Bow length",
            row.Bow.AxleToAxle is { } axle ? speaker.Say($"{Measure.AsRead(axle)}") : "not measured"
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
                    speaker.Say($"{Measure.AsRead(mark.Crawl)}"),
                    mark.NockingPoint is { } at
                        ? speaker.Say($"nocking point {new Standing(AdjusterKind.NockingPoint, at)}")
                        : ""
                );
            }
        }

        if (view.GoodStates.FirstOrDefault() is { } good)
        {
            page.Heading($"Back to {speaker.Say(good.Words)}, {good.MarkedAt:d MMM yyyy}");
            page.Paragraph(
                good.WayBack.Count == 0
                    ? "It stands so now."
                    : string.Join("; ", good.WayBack.Select(w => speaker.Say(w.Order))),
                9.5f
            );
        }

        return page.Finish();
    }
}
