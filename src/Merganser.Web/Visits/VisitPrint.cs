using Merganser.Core.Messages;
using Merganser.Core.Story;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Visits;

/// <summary>A visit on paper: the sheet that stays at the bench, and the card that goes home with the bow.</summary>
public sealed class VisitPrint(VisitDesk desk, BowStore bows, Listener listener, TimeProvider clock)
{
    private const string Foot = "Merganser. The maker's manual comes first.";

    private static readonly PrintedCell[] Columns =
    [
        new("What", 170),
        new("As found", 115),
        new("Now", 115),
        new("Differs by", PrintedPage.Across - 400),
    ];

    /// <summary>The whole of it: as found, what was done, parts and labour, results.</summary>
    public byte[] Sheet(string bowId, string visitId)
    {
        var (visit, speaker) = (desk.Whole(bowId, visitId), listener.Of(bowId));
        using var page = Begin(bowId, visit, $"Visit {visit.Line.Number}", speaker);
        if (visit.Line.Wants.Length > 0)
        {
            page.Heading("Wanted");
            page.Paragraph(visit.Line.Wants);
        }

        foreach (var (section, name) in Sections)
        {
            var rows = visit.Rows.Where(r => r.Section == section).ToArray();
            if (rows.Length > 0)
            {
                page.Heading(name);
                page.Table(Columns, rows.Select(r => Row(r, speaker)), 9);
            }
        }

        if (visit.Since.Count > 0)
        {
            page.Heading($"Since it left on {visit.LastLeft:d MMM yyyy}, before this visit");
            page.Table(Columns, visit.Since.Select(r => Row(r, speaker)), 9);
        }

        if (visit.Events.Count > 0)
        {
            page.Heading("What was found and done");
            foreach (var happened in visit.Events.Reverse())
            {
                page.Line(
                    happened
                        .At.ToLocalTime()
                        .ToString("d MMM, HH:mm", System.Globalization.CultureInfo.InvariantCulture),
                    speaker.Say(happened.Words),
                    $"{speaker.Say(happened.Beside)} {happened.Note}".Trim()
                );
            }
        }

        Parts(page, visit);
        return page.Finish();
    }

    /// <summary>What goes home with the bow, in plain words.</summary>
    public byte[] Card(string bowId, string visitId)
    {
        var (visit, speaker) = (desk.Whole(bowId, visitId), listener.Of(bowId));
        using var page = Begin(bowId, visit, "To take home", speaker);
        List(page, "What was done", visit.HandOver.Done, speaker, "Nothing on record was changed.");
        var results = visit.HandOver.Results.Where(r => speaker.Say(r.Now).Length > 0).ToArray();
        if (results.Length > 0)
        {
            page.Heading("Before and after");
            foreach (var row in results)
            {
                page.Line(speaker.Say(row.Name), speaker.Say(row.Then), speaker.Say(row.Now));
            }
        }

        Message[] own = visit.Watch.Length > 0 ? [new Verbatim(visit.Watch)] : [];
        List(page, "Watch at home", [.. own, .. visit.HandOver.Watch], speaker, "Nothing in particular.");
        List(page, "Always", visit.HandOver.Cautions, speaker, "");
        if (visit.Line.NextOn is { } on)
        {
            page.Heading("Next visit");
            page.Paragraph($"{PlanWords.Day(on)}");
        }

        Parts(page, visit);
        return page.Finish();
    }

    private static readonly (DifferenceSection Section, string Name)[] Sections =
    [
        (DifferenceSection.Bow, "The bow"),
        (DifferenceSection.Arrow, "The arrow"),
        (DifferenceSection.Results, "Results, before and after"),
    ];

    private PrintedPage Begin(string bowId, VisitView visit, string what, Speaker speaker)
    {
        var bow = bows.Get(bowId).Bow;
        var now = clock.GetUtcNow();
        var page = new PrintedPage($"{what}, {bow.Name}", now, Foot);
        var left = visit.Line.HandedOverAt is { } over ? $", handed over {over:d MMM yyyy}" : ", still at the bench";
        page.Title(bow.Name, $"{what}. Came {visit.Line.ArrivedAt:d MMM yyyy}{left}.");
        page.Paragraph($"{visit.Line.Owner}. {speaker.Say(BowEndpoints.Line(bow))}.");
        return page;
    }

    private static string[] Row(DifferenceRow row, Speaker speaker) =>
        [
            speaker.Say(row.Name),
            speaker.Say(row.Then),
            speaker.Say(row.Now),
            row.Differs ? Or(speaker.Say(row.Change), "differs") : "the same",
        ];

    private static string Or(string text, string otherwise) => text.Length > 0 ? text : otherwise;

    private static void List(
        PrintedPage page,
        string name,
        IReadOnlyList<Message> lines,
        Speaker speaker,
        string otherwise
    )
    {
        page.Heading(name);
        if (lines.Count == 0)
        {
            page.Paragraph(otherwise);
        }

        foreach (var line in lines)
        {
            page.Paragraph($"- {speaker.Say(line)}", 10.5f);
            page.Y += 2;
        }
    }

    private static void Parts(PrintedPage page, VisitView visit)
    {
        if (visit.Lines.Count == 0)
        {
            return;
        }

        page.Heading("Parts and labour");
        PrintedCell[] head =
        [
            new("What", 260),
            new("How many", 80, Right: true),
            new("Each", 80, Right: true),
            new("Comes to", PrintedPage.Across - 420, Right: true),
        ];
        page.Table(head, visit.Lines.Select(Row));
        if (visit.Sum is { } sum)
        {
            page.Line("In all", Money(sum));
        }

        static string[] Row(VisitLineView line) =>
            [
                line.FromBow is { } from ? $"{line.Text}, carried over from {from}" : line.Text,
                line.Quantity.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture),
                line.Price is { } price ? Money(price) : "",
                line.Sum is { } sum ? Money(sum) : "",
            ];
    }

    private static string Money(double sum) =>
        sum.ToString("#,0.00", System.Globalization.CultureInfo.InvariantCulture);
}
