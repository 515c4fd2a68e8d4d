using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Rack;
using Merganser.Core.Sessions;
using Merganser.Core.Story;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Dozens;
using Merganser.Web.Guard;
using Merganser.Web.Setup;
using Merganser.Web.Words;

namespace Merganser.Web.Rack;

/// <summary>A stop of the rule with its state in one or two words.</summary>
public sealed record Stop(string Name, string State);

/// <summary>Arrows of a dozen that are out of use.</summary>
public sealed record ArrowsOut(int Out, int Of);

/// <summary>A bow on the rack: what it is, how it stands, what is next; said in its own archer's units.</summary>
/// <param name="ShotWellAt">When it was last marked as shooting well; null for never.</param>
/// <param name="ArrowsOut">Of its newest dozen; null without a matched one.</param>
public sealed record RackBow(
    string Id,
    string Name,
    string ArcherName,
    BowKind Kind,
    Hand Hand,
    string Line,
    string State,
    string NextStop,
    string NextWords,
    IReadOnlyList<Stop> Stops,
    string? Unsound,
    RackUrgency Urgency,
    StringGauge String,
    DateTimeOffset? ShotWellAt,
    ArrowsOut? ArrowsOut
);

/// <summary>The rack and the one next step; rows that cannot be read are named, the others stand as they are.</summary>
/// <param name="Bows">As they hang.</param>
/// <param name="Next">What is next.</param>
/// <param name="NextBow">The bow that it speaks of; null where none hangs.</param>
/// <param name="Archived">Off the rack.</param>
/// <param name="Unreadable">What could not be read.</param>
public sealed record RackView(
    IReadOnlyList<RackBow> Bows,
    Next Next,
    string? NextBow,
    IReadOnlyList<ArchivedBow> Archived,
    IReadOnlyList<Message> Unreadable
);

/// <summary>A bow that was taken off the rack; its history stays.</summary>
public sealed record ArchivedBow(string Id, string Name, int Version);

/// <summary>What one bow shot on a range day.</summary>
public sealed record BowShot(string BowId, int Shots);

/// <summary>A range day: several bows at once.</summary>
public sealed record RangeDayInput(string? Id, IReadOnlyList<BowShot> Bows);

/// <summary>Puts the rack together.</summary>
public sealed class RackDesk(
    BowStore bows,
    ArcherStore archers,
    ArrowStore arrows,
    PaperStore papers,
    SetupStore setups,
    SetupDesk setupDesk,
    DozenStore dozens,
    DozenDesk dozenDesk,
    StoryStore stories,
    RackLines lines,
    Database database,
    TimeProvider clock
)
{
    /// <summary>The build of this program: a line that another one made is made anew.</summary>
    private static readonly string Build = typeof(RackDesk).Module.ModuleVersionId.ToString();

    public RackView View()
    {
        var all = lines.All(Build, clock.GetUtcNow());
        var hung = all.Where(b => !b.Archived).ToArray();
        List<KeptLine> made = [];
        var rack = database
            .Unreadable.Each(
                "bow",
                hung,
                b => b.Id,
                b => b.Line is { } line ? FactsJson.Read<RackBow>(line) : Make(b, made)
            )
            .Select(b =>
                b with
                {
                    Stops = [new Stop("start", Speaker.Trade.Say(new BowsHung(hung.Length))), .. b.Stops],
                }
            )
            .ToArray();
        lines.Keep(Build, made);
        RackStanding[] standing =
        [
            .. rack.Select(b => new RackStanding(
                b.Id,
                b.Name,
                new RackState(new Verbatim(b.State), b.NextStop, new Verbatim(b.NextWords), b.Urgency)
            )),
        ];
        var archived = all.Where(b => b.Archived).Select(b => new ArchivedBow(b.Id, b.Name, b.Version));
        return new RackView(
            rack,
            RackNext.Of(standing),
            RackNext.FirstOf(standing)?.Id,
            [.. archived],
            database.Unreadable.Lost
        );
    }

    private static Message StateOf(ArrowRow? arrow)
    {
        if (arrow?.Kept is { } kept)
        {
            return new VersionIs(kept.Number);
        }

        return arrow is null ? RackSays.NoneYet : RackSays.Draft;
    }

    /// <summary>How the newest session stands at the paper, or at the target.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="paper">The newest session, or null.</param>
    /// <param name="atTarget">At the target.</param>
    private Message StateOf(string bowId, TuningSession? paper, bool atTarget)
    {
        if (paper is not null && paper.Sets.All(s => s.Stage.AtTarget != atTarget))
        {
            return papers.WasShot(bowId, atTarget) ? RackSays.ShotBefore : RackSays.NoneYet;
        }

        if (paper is { AcceptedAt: null })
        {
            return new SetIs(paper.Sets.Count);
        }

        return paper is null ? RackSays.NoneYet : RackSays.AcceptedState;
    }

    /// <summary>Makes a line, to be kept unless something that it rests on could not be read.</summary>
    private RackBow Make(HungBow hung, List<KeptLine> made)
    {
        var met = database.Unreadable.Met;
        var (line, until) = Hang(bows.Get(hung.Id));
        if (database.Unreadable.Met == met)
        {
            made.Add(new KeptLine(hung.Id, hung.Revision, until, FactsJson.Write(line)));
        }

        return line;
    }

    /// <summary>A bow's line, and when it changes by itself.</summary>
    private (RackBow Line, DateTimeOffset? Until) Hang(BowRow row)
    {
        var bow = row.Bow;
        var archer = archers.Get(row.ArcherId).Archer;
        var speaker = new Speaker(archer.Units ?? DisplayUnits.Trade, bow.Hand);
        var arrow = arrows.Of(row.Id, most: 1).FirstOrDefault();
        var paper = papers.Newest(row.Id)?.Session;
        var rows = setups.Of(row.Id);
        var sheet = setupDesk.Sheet(row, rows);
        var state = RackState.Of(
            bow.Kind,
            arrow is null ? null : new RackArrow(arrow.Draft.Name, arrow.Kept?.Number),
            paper,
            sheet,
            setupDesk.Due(row, rows),
            row.Unsound
        );
        var dozen = dozens.Newest(row.Id) is { } newest ? dozenDesk.Of(newest) : null;
        (string Name, Message State)[] stops =
        [
            (
                "bow",
                sheet.AskedAgain.Count > 0
                    ? new ChecksAgain(sheet.AskedAgain.Count)
                    : new DoneOf(sheet.Done, sheet.Lines.Count)
            ),
            ("arrow", StateOf(arrow)),
            ("dozen", dozen is null ? RackSays.NoneYet : DozenNext.Stands(dozen)),
            ("paper", StateOf(row.Id, paper, atTarget: false)),
            ("groups", StateOf(row.Id, paper, atTarget: true)),
            ("story", stories.LastAt(row.Id) is { } last ? new DayIs(last) : RackSays.NoneYet),
        ];
        var line = new RackBow(
            row.Id,
            bow.Name,
            archer.Name,
            bow.Kind,
            bow.Hand,
            speaker.Say(BowEndpoints.Line(bow)),
            speaker.Say(state.State),
            state.NextStop,
            speaker.Say(state.NextWords),
            [.. stops.Select(s => new Stop(s.Name, speaker.Say(s.State)))],
            row.Unsound is null ? null : speaker.Say(row.Unsound.Words),
            state.Urgency,
            StringGauge.Of(rows.String, rows.CheckedAt),
            rows.GoodStates.FirstOrDefault()?.MarkedAt,
            dozen is { Tray.Count: > 0 } ? new ArrowsOut(dozen.Tray.Count(a => a.Retired), dozen.Tray.Count) : null
        );
        return (line, setupDesk.DueChanges(row, rows));
    }
}

public static class RackEndpoints
{
    private const int MostBows = 200;

    public static void MapRack(this IEndpointRouteBuilder api)
    {
        api.MapGet("/rack", (RackDesk desk) => desk.View());
        api.MapPost(
            "/range-day",
            (RangeDayInput input, SetupStore setups, RackDesk desk) =>
            {
                var day = input.Bows;
                FieldReader.Demand(day.Count is > 0 and <= MostBows, "bows", "missing", RackSays.NobodyShot);
                FieldReader.Demand(
                    day.DistinctBy(b => b.BowId).Count() == day.Count,
                    "bows",
                    "twice",
                    RackSays.BowTwice
                );
                foreach (var bow in day)
                {
                    FieldReader.DemandInside("shots", bow.Shots, SetupEndpoints.Shots);
                }

                setups.ShootTogether(ClientId.Checked(input.Id), [.. day.Select(b => (b.BowId, b.Shots))]);
                return desk.View();
            }
        );
    }
}
