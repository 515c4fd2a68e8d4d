using System.Globalization;
using Merganser.Core.Figures;
using Merganser.Core.Story;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Story;

/// <summary>The story of a season on paper: its tears, its sessions, and what happened, day by day.</summary>
public sealed class StoryPrint(
    StoryStore stories,
    BowStore bows,
    ArcherStore archers,
    Listener listener,
    TimeProvider clock
)
{
    /// <summary>Things on paper at the most: about twenty pages.</summary>
    public const int MostTold = 600;

    private static readonly PrintedCell[] Sessions =
    [
        new("Session", 80),
        new("It showed", 250),
        new("With", PrintedPage.Across - 330),
    ];

    /// <summary>Writes it.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="from">The first day; null for a year back.</param>
    /// <param name="to">The last; null for now.</param>
    /// <exception cref="RefusedException">The first day comes after the last.</exception>
    public byte[] Pdf(string bowId, DateTimeOffset? from, DateTimeOffset? to)
    {
        var now = clock.GetUtcNow();
        var (first, last) = (from ?? now.AddYears(-1), to ?? now);
        FieldReader.Demand(first <= last, "from", "range", StorySays.DatesTurned);
        var row = bows.Get(bowId);
        var speaker = listener.Of(bowId);
        var events = stories.Between(bowId, first, last, MostTold);
        var whole = stories.Whole(bowId);
        using var page = new PrintedPage($"Story, {row.Bow.Name}", now, "Merganser. Everything as it was entered.");
        page.Title(row.Bow.Name, $"Its story from {Day(first)} to {Day(last)}.");
        page.Paragraph($"{archers.Get(row.ArcherId).Archer.Name}. {speaker.Say(BowEndpoints.Line(row.Bow))}.");
        Tears(page, whole, first, last, speaker);
        SessionsOf(page, whole, first, last, speaker);
        page.Heading("Day by day");
        if (events.Count == 0)
        {
            page.Paragraph("Nothing was entered in this time.");
        }

        foreach (var day in events.Reverse().GroupBy(e => e.At.ToLocalTime().Date))
        {
            page.Room(40);
            page.Y += 4;
            page.Paragraph(day.Key.ToString("dddd, d MMMM yyyy", CultureInfo.InvariantCulture), 10.5f, true);
            foreach (var happened in day)
            {
                page.Line(
                    $"{Time(happened.At)}, shot {happened.Shots}",
                    speaker.Say(happened.Words),
                    $"{speaker.Say(happened.Beside)} {happened.Note}".Trim()
                );
            }
        }

        if (events.Count == MostTold)
        {
            page.Paragraph("There is more before this: print a shorter time.");
        }

        return page.Finish();
    }

    private static void Tears(
        PrintedPage page,
        StoryWhole whole,
        DateTimeOffset from,
        DateTimeOffset to,
        Speaker speaker
    )
    {
        var tears = whole.Strip.Tears.Where(t => t.At >= from && t.At <= to).ToArray();
        if (tears.Length == 0)
        {
            return;
        }

        page.Heading("Bare tears, their length with its 95 % bar");
        foreach (var tear in tears)
        {
            page.Line(
                Day(tear.At),
                speaker.Say($"{Measure.Inches(tear.Length)}"),
                speaker.Say($"{Measure.Inches(tear.Low)} to {Measure.Inches(tear.High)}")
            );
        }

        if (whole.Strip is { Gap: { } gap, GapTo: { } end } && end >= from)
        {
            page.Paragraph(speaker.Say(gap));
        }
    }

    private static void SessionsOf(
        PrintedPage page,
        StoryWhole whole,
        DateTimeOffset from,
        DateTimeOffset to,
        Speaker speaker
    )
    {
        var sessions = whole.Sessions.Where(s => s.Sets[0].At >= from && s.Sets[0].At <= to).ToArray();
        if (sessions.Length > 0)
        {
            page.Heading("The last sessions");
            page.Table(
                Sessions,
                sessions.Select(s =>
                    new[]
                    {
                        Day(s.Sets[0].At),
                        speaker.Say(
                            new SessionTold(
                                s.Sets[^1].Stage.Name,
                                s.Sets[0].Showed,
                                s.Sets.Count > 1 ? s.Sets[^1].Showed : null
                            )
                        ),
                        $"{s.Sets[^1].Arrow}, version {s.Sets[^1].Version}",
                    }
                ),
                9
            );
        }
    }

    private static string Time(DateTimeOffset at) => at.ToLocalTime().ToString("HH:mm", CultureInfo.InvariantCulture);

    private static string Day(DateTimeOffset at) =>
        at.ToLocalTime().ToString("d MMM yyyy", CultureInfo.InvariantCulture);
}
