using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Dozens;
using Merganser.Web.Paper;
using Merganser.Web.Setup;

namespace Merganser.Web.Rack;

/// <summary>A stop of the rule with its state in one or two words.</summary>
public sealed record Stop(string Name, string State);

/// <summary>A bow on the rack: what it is, how it stands, what is next.</summary>
public sealed record RackBow(
    string Id, string Name, string ArcherName, BowKind Kind, Hand Hand, string Line, string State, string NextStop, string NextWords, IReadOnlyList<Stop> Stops, string? Unsound);

/// <summary>The rack and the one next step; rows that cannot be read are named, the others stand as they are.</summary>
public sealed record RackView(IReadOnlyList<RackBow> Bows, Next Next, IReadOnlyList<ArchivedBow> Archived, IReadOnlyList<string> Unreadable);

/// <summary>A bow that was taken off the rack; its history stays.</summary>
public sealed record ArchivedBow(string Id, string Name, int Version);

/// <summary>Puts the rack together.</summary>
public sealed class RackDesk(BowStore bows, ArcherStore archers, ArrowStore arrows, PaperStore papers, SetupStore setups, SetupDesk setupDesk, DozenStore dozens, DozenDesk dozenDesk, Database database)
{
    public RackView View()
    {
        var all = bows.All();
        var hung = all.Where(b => b.ArchivedAt is null).ToArray();
        var rack = database.Unreadable.Each("bow", hung, b => b.Id, b => Hang(b, hung.Length));
        var first = rack.FirstOrDefault(b => b.Unsound is not null) ?? rack.FirstOrDefault(b => b.NextStop == "paper") ?? rack.FirstOrDefault();
        var next = first is null
            ? new Next("The rack is empty: enter your bow.", "Draw weight, draw length and brace height are enough to start.", "newBow", "Enter a bow")
            : new Next($"{first.Name}: {Lower(first.State)}", "", first.NextStop, first.NextWords, "Enter another bow", "newBow");
        return new RackView(rack, next, [.. all.Where(b => b.ArchivedAt is not null).Select(b => new ArchivedBow(b.Id, b.Bow.Name, b.Version))], database.Unreadable.Words);
    }

    private RackBow Hang(BowRow row, int hung)
    {
        var bow = row.Bow;
        var arrow = arrows.Of(row.Id).FirstOrDefault();
        var paper = papers.Newest(row.Id);
        var open = paper is { AcceptedAt: null };
        var rows = setups.Of(row.Id);
        var sheet = setupDesk.Sheet(row, rows);
        var due = setupDesk.Due(row, rows);
        Stop[] stops =
        [
            new("start", hung == 1 ? "one bow" : $"{hung} bows"),
            new("bow", sheet.AskedAgain.Count > 0 ? $"{sheet.AskedAgain.Count} again" : $"{sheet.Done} of {sheet.Lines.Count}"),
            new("arrow", arrow?.Kept is { } kept ? $"version {kept.Number}" : arrow is null ? "none yet" : "draft"),
            new("dozen", dozens.Of(row.Id).FirstOrDefault() is { } dozen ? dozenDesk.View(dozen).State : "none yet"),
            new("paper", paper is null ? "none yet" : open ? $"set {paper.Sets.Count}" : "accepted"),
            new("groups", "none yet"),
            new("story", "none yet"),
        ];
        var (state, stop, words) = (arrow, paper) switch
        {
            (null, _) => ("No arrow yet.", "arrow", "Choose the arrow"),
            (_, null) => ($"{arrow.Draft.Name} {(arrow.Kept is null ? "is a draft" : "is kept")}; no paper yet.", arrow.Kept is null ? "arrow" : "paper", arrow.Kept is null ? "Go on with the arrow" : "Shoot it through paper"),
            _ when open => ($"Paper open, set {paper!.Sets.Count}. {LastWords(paper!)}", "paper", "Go on with the paper"),
            _ => ($"Paper accepted. {LastWords(paper!)}", "paper", "Look at the paper"),
        };
        state += sheet.AskedAgain.Count > 0 ? $" Again: {string.Join(", ", sheet.AskedAgain.Select(l => l.Fact.Title.ToLowerInvariant()))}." : due.Count > 0 ? $" {due[0].What}{(due[0].Now ? " is due" : due[0].ShotsLeft is { } left ? $" in {left}" : " soon")}." : "";
        if (row.Unsound is { } unsound)
        {
            (state, stop, words) = ("Do not shoot it. " + unsound.Words, "bow?check=inspection", "To the inspection");
        }

        return new RackBow(row.Id, bow.Name, archers.Get(row.ArcherId).Archer.Name, bow.Kind, bow.Hand, BowEndpoints.Line(bow), state, stop, words, stops, row.Unsound?.Words);
    }

    private static string LastWords(PaperRow paper) => paper.Sets.Select(PaperDesk.MeanOf).LastOrDefault(m => m is not null)?.Words ?? "No shots yet.";

    private static string Lower(string words) => char.ToLowerInvariant(words[0]) + words[1..];
}

public static class RackEndpoints
{
    public static void MapRack(this IEndpointRouteBuilder api) => api.MapGet("/rack", (RackDesk desk) => desk.View());
}
