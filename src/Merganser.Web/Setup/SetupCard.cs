using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Setup;

/// <summary>
/// The set-up card: every value as found and as it is, with its tool and who noted what, positions, and what is open.
/// </summary>
public sealed class SetupCard(
    SetupDesk desk,
    StoryStore stories,
    VisitStore visits,
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

        var found = AsFound(bowId);
        page.Heading("Measured");
        page.Paragraph($"As found: {found?.At.ToLocalTime():d MMM yyyy}.");
        page.Line("Draw length, AMO", speaker.Say($"{Measure.AsRead(row.Bow.DrawLength)}"));
        page.Line(
            row.Bow.Kind == BowKind.Compound ? "Axle to axle" : "Bow length",
            row.Bow.AxleToAxle is { } axle ? speaker.Say($"{Measure.AsRead(axle)}") : "not measured"
        );
        page.Table(
            Measured,
            view.Checks.Where(c => c.Kind != CheckKind.AxleToAxle)
                .Select(c => Row(c, found?.Findings.GetValueOrDefault(c.Kind)?.Finding, row.Bow.Kind, speaker)),
            9
        );

        page.Heading("Adjusters, from their marks");
        page.Table(Positions, row.Adjusters.Select(a => Row(a, found, speaker)), 9);
        Open(page, view, speaker);

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

    private static readonly PrintedCell[] Measured =
    [
        new("Check", 116),
        new("As found", 88),
        new("Now", 88, Bold: true),
        new("With", 84),
        new("", PrintedPage.Across - 376),
    ];

    private static readonly PrintedCell[] Positions =
    [
        new("Adjuster", 116),
        new("As found", 110),
        new("Now", 110, Bold: true),
        new("Room left", PrintedPage.Across - 336),
    ];

    /// <summary>How it came in the last time; without a visit, how it stood on the first day on record.</summary>
    private StateThen? AsFound(string bowId) =>
        visits.Of(bowId).FirstOrDefault() is { } visit ? visits.States(visit).Found.State : stories.First(bowId);

    private static string[] Row(CheckView check, StoryFinding? found, BowKind bow, Speaker speaker) =>
        [
            speaker.Say(check.Title),
            found is null ? "" : speaker.Say(found.Told(bow).Found),
            speaker.Say(check.Line),
            speaker.Say(check.Tool),
            check.Last is { } last
                ? $"{speaker.Say(check.Besides ?? Message.Nothing)} {last.At:d MMM yyyy} {last.Note}".Trim()
                : "",
        ];

    private static string[] Row(Adjuster adjuster, StateThen? found, Speaker speaker)
    {
        var (down, up) = adjuster.Left;
        var seats = adjuster.Seats is { } s
            ? $"top {s.TopLeft} | {s.TopRight}, bottom {s.BottomLeft} | {s.BottomRight}"
            : speaker.Say(new Room(adjuster.Kind, down, up));
        var then = found?.Positions.GetValueOrDefault(adjuster.Kind);
        return
        [
            speaker.Say(new AdjusterName(adjuster.Kind)),
            then is null ? "" : speaker.Say(new Standing(adjuster.Kind, then.Position)),
            speaker.Say(new Standing(adjuster.Kind, adjuster.Position)),
            seats,
        ];
    }

    /// <summary>What is open: checks that were left or are asked again, what is due, what is planned.</summary>
    private static void Open(PrintedPage page, SetupView view, Speaker speaker)
    {
        string[] open =
        [
            .. view
                .Checks.Concat(view.FollowUps)
                .Where(c => c.State is not CheckState.Done)
                .Select(c =>
                    $"{speaker.Say(c.Title)}: {(c.Because is { } why ? speaker.Say(why) : speaker.Say(c.Line))}"
                ),
            .. view.Due.Select(d => d.Now ? $"{speaker.Say(d.What)}: due" : $"{speaker.Say(d.What)}: soon"),
        ];
        if (open.Length == 0)
        {
            return;
        }

        page.Heading("Open");
        foreach (var point in open)
        {
            page.Paragraph($"- {point}", 9.5f);
        }
    }
}
