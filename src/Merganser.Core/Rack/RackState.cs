using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;

namespace Merganser.Core.Rack;

/// <summary>What is said of a bow on the rack.</summary>
public abstract record RackMessage : Message;

/// <summary>So many bows hang on the rack.</summary>
public sealed record BowsHung(int Count) : RackMessage;

/// <summary>So many checks are asked again.</summary>
public sealed record ChecksAgain(int Count) : RackMessage;

/// <summary>So many of so many.</summary>
public sealed record DoneOf(int Done, int Of) : RackMessage;

/// <summary>A kept version.</summary>
public sealed record VersionIs(int Number) : RackMessage;

/// <summary>A set in work.</summary>
public sealed record SetIs(int Number) : RackMessage;

/// <summary>An arrow that was not shot through paper yet.</summary>
public sealed record ArrowWithoutPaper(string Arrow, bool Draft) : RackMessage;

/// <summary>An open paper with its last reading.</summary>
public sealed record PaperOpen(int Set, Message Reading) : RackMessage;

/// <summary>An accepted paper with its last reading.</summary>
public sealed record PaperAccepted(Message Reading) : RackMessage;

/// <summary>Groups at a target are in work: the set, and what was read last.</summary>
public sealed record GroupsOpen(int Set, Message Reading) : RackMessage;

/// <summary>Groups at a target were accepted.</summary>
public sealed record GroupsAccepted(Message Reading) : RackMessage;

/// <summary>Checks that are asked again.</summary>
public sealed record AgainList(IReadOnlyList<Message> Titles) : RackMessage;

/// <summary>What is due, now or soon.</summary>
public sealed record DueSoon(Message What, bool Now, int? ShotsLeft) : RackMessage;

/// <summary>What somebody planned, now or soon.</summary>
public sealed record PlannedSoon(Message What, bool Now, int? ShotsLeft, DateTimeOffset? On) : RackMessage;

/// <summary>An unsound bow.</summary>
public sealed record DoNotShootIt(Message Found) : RackMessage;

/// <summary>A row of the file cannot be read.</summary>
public sealed record CannotBeRead(string Kind, string Id) : RackMessage;

/// <summary>The first bow of the rack and its state.</summary>
public sealed record FirstOfRack(string Bow, Message State) : RackMessage;

/// <summary>What is said at the rack without any quantity.</summary>
public enum RackSays
{
    RackIsEmpty,
    EnoughToStart,
    EnterABow,
    EnterAnotherBow,
    NoneYet,
    Draft,
    AcceptedState,
    NoArrowYet,
    GoOnWithTheArrow,
    ShootItThroughPaper,
    GoOnWithThePaper,
    LookAtThePaper,
    GoOnWithTheGroups,
    LookAtTheGroups,
    NoShotsYet,
    ShotBefore,
    NobodyShot,
    BowTwice,
    LookAtWhatIsDue,
}

/// <summary>The arrow of a bow as the rack sees it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Version">The version last kept, or null for a draft.</param>
public sealed record RackArrow(string Name, int? Version);

/// <summary>How a bow stands on the rack, and which stop is next.</summary>
/// <param name="State">In a line.</param>
/// <param name="NextStop">The stop.</param>
/// <param name="NextWords">The button to it.</param>
/// <param name="Urgency">How much it asks for a hand.</param>
public sealed record RackState(
    Message State,
    string NextStop,
    Message NextWords,
    RackUrgency Urgency = RackUrgency.InWork
)
{
    /// <summary>Reads how a bow stands.</summary>
    /// <param name="kind">The bow's kind.</param>
    /// <param name="arrow">Its newest arrow, or null.</param>
    /// <param name="paper">Its newest paper, or null.</param>
    /// <param name="sheet">Its set-up sheet.</param>
    /// <param name="due">What is due.</param>
    /// <param name="unsound">Set while it may not be shot.</param>
    public static RackState Of(
        BowKind kind,
        RackArrow? arrow,
        TuningSession? paper,
        SetupSheet sheet,
        IReadOnlyList<DueItem> due,
        Unsound? unsound
    )
    {
        if (unsound is not null)
        {
            return new RackState(
                new DoNotShootIt(unsound.Words),
                "bow?check=inspection",
                SessionSays.ToTheInspection,
                RackUrgency.Unsound
            );
        }

        var next = Next(arrow, paper);
        var again = sheet.AskedAgain.Count > 0 || due.Any(d => d.Now);
        // What somebody planned has no stop of its own: the story shows it, and there it is ticked off.
        var planned = sheet.AskedAgain.Count == 0 && due is [{ ReminderId: not null, Now: true }, ..];
        return After(kind, sheet, due) is { } also
            ? next with
            {
                State = new Sentences([next.State, also]),
                Urgency = again ? RackUrgency.Due : next.Urgency,
                NextStop = planned ? "story?show=due" : next.NextStop,
                NextWords = planned ? RackSays.LookAtWhatIsDue : next.NextWords,
            }
            : next;
    }

    private static RackState Next(RackArrow? arrow, TuningSession? paper)
    {
        if (arrow is null)
        {
            return new RackState(RackSays.NoArrowYet, "arrow", BowSays.ChooseTheArrow);
        }

        if (paper is null)
        {
            var draft = arrow.Version is null;
            var state = new ArrowWithoutPaper(arrow.Name, draft);
            return new RackState(
                state,
                draft ? "arrow" : "paper",
                draft ? RackSays.GoOnWithTheArrow : RackSays.ShootItThroughPaper
            );
        }

        var read = paper.Sets.Select(s => s.Reading).LastOrDefault(m => m is not null);
        // While it is open, what is to be done next says more than what was read last.
        var reading =
            read is null ? RackSays.NoShotsYet
            : paper.AcceptedAt is null ? paper.Next.Sentence
            : read;
        return (paper.AcceptedAt, paper.Stage.AtTarget) switch
        {
            (null, true) => new RackState(
                new GroupsOpen(paper.Sets.Count, reading),
                "groups",
                RackSays.GoOnWithTheGroups
            ),
            (null, false) => new RackState(
                new PaperOpen(paper.Sets.Count, reading),
                "paper",
                RackSays.GoOnWithThePaper
            ),
            (_, true) => new RackState(
                new GroupsAccepted(reading),
                "groups",
                RackSays.LookAtTheGroups,
                RackUrgency.Rests
            ),
            _ => new RackState(new PaperAccepted(reading), "paper", RackSays.LookAtThePaper, RackUrgency.Rests),
        };
    }

    private static Message? After(BowKind kind, SetupSheet sheet, IReadOnlyList<DueItem> due)
    {
        if (sheet.AskedAgain.Count > 0)
        {
            return new AgainList([.. sheet.AskedAgain.Select(l => new CheckTitle(l.Fact.Kind, kind))]);
        }

        return due.FirstOrDefault() switch
        {
            null => null,
            { ReminderId: null } of => new DueSoon(of.What, of.Now, of.ShotsLeft),
            var of => new PlannedSoon(of.What, of.Now, of.ShotsLeft, of.On),
        };
    }
}
