using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Story;

/// <summary>What a bow's story tells.</summary>
public abstract record StoryMessage : Message;

/// <summary>What a check found: a number, an answer, or why it was left.</summary>
public sealed record CheckFound(CheckTitle Check, Message Found, bool Left) : StoryMessage;

/// <summary>A check whose name is that of an adjuster too.</summary>
public sealed record AsMeasured(CheckTitle Check) : StoryMessage;

/// <summary>Several checks of one go, the first of them in words.</summary>
public sealed record ChecksFound(IReadOnlyList<CheckFound> First, int More) : StoryMessage;

/// <summary>So many checks.</summary>
public sealed record ChecksMade(int Count) : StoryMessage;

/// <summary>So many shots away from paper and target.</summary>
public sealed record ShotAway(int Shots) : StoryMessage;

/// <summary>So many shots.</summary>
public sealed record ShotsCounted(int Count) : StoryMessage;

/// <summary>So many of a set's shots were read.</summary>
public sealed record ShotsReadOf(int Read, int Marked) : StoryMessage;

/// <summary>A check of the string fell due at so many shots.</summary>
public sealed record CheckFellDue(int Shots) : StoryMessage;

/// <summary>Where an adjuster stood before and after a move.</summary>
public sealed record StoodFromTo(Standing From, Standing To) : StoryMessage;

/// <summary>A move that had been logged wrongly.</summary>
public sealed record MoveSetRight(AdjusterName Name, Standing Now) : StoryMessage;

/// <summary>A set with what it showed.</summary>
public sealed record SetTold(int Number, Message Stage, Message? Showed) : StoryMessage;

/// <summary>A group: its spread on one axis and its centre from the aiming point.</summary>
public sealed record GroupTold(Measure Spread, Message Centre) : StoryMessage;

/// <summary>Where a centre lies, each axis that is off by more than nothing.</summary>
public sealed record CentreAt(Measure Right, Measure Up) : StoryMessage;

/// <summary>It was marked as shot well, with an arrow.</summary>
public sealed record MarkedAsWell(string? Arrow, int Version) : StoryMessage;

/// <summary>A session was accepted.</summary>
public sealed record AcceptedAs(bool AtTarget) : StoryMessage;

/// <summary>A session was opened again.</summary>
public sealed record OpenedAgain(bool AtTarget) : StoryMessage;

/// <summary>Speeds of one arrow weight on one day.</summary>
public sealed record SpeedsTold(Measure Mean, int Shots, Measure? Spread) : StoryMessage;

/// <summary>An arrow as it was kept.</summary>
public sealed record ArrowKeptAs(string Name, int Version, Measure Cut, Measure Point) : StoryMessage;

/// <summary>An arrow's weight and how its spine fits.</summary>
public sealed record WeighsAndFits(Measure Weight, Measure Fit) : StoryMessage;

/// <summary>A dozen was begun.</summary>
public sealed record DozenBegun(string Arrow) : StoryMessage;

/// <summary>A dozen was matched: so many arrows.</summary>
public sealed record DozenMatched(string Arrow, int Arrows) : StoryMessage;

/// <summary>A mark of the sight that was proven.</summary>
public sealed record MarkProven(Measure Distance, string Mark) : StoryMessage;

/// <summary>A speed that was read down range.</summary>
public sealed record SpeedProven(Measure Distance, Measure Speed) : StoryMessage;

/// <summary>A crawl that was proven; null where it was given up.</summary>
public sealed record CrawlProven(Measure Distance, Measure? Crawl) : StoryMessage;

/// <summary>The sight was moved, for heads alone or for all arrows.</summary>
public sealed record SightWasMoved(Measure Right, Measure Up, bool Heads) : StoryMessage;

/// <summary>A step of the ladder was answered.</summary>
public sealed record RungWasAnswered(Message Rung, string Outcome) : StoryMessage;

/// <summary>What a set showed before a move, and the next one after it.</summary>
public sealed record ShowedThen(int Set, Message Showed) : StoryMessage;

/// <summary>A version of an arrow by its name.</summary>
public sealed record ArrowVersionOf(string Name, int Version) : StoryMessage;

/// <summary>What a set of numbered arrows were.</summary>
public sealed record NumbersShot(IReadOnlyList<string> Numbers) : StoryMessage;

/// <summary>Whether some of the differences can do what the paper shows.</summary>
/// <param name="Can">The names of those that can.</param>
/// <param name="Of">All differences.</param>
/// <param name="Side">What the paper shows.</param>
public sealed record ChangesCan(IReadOnlyList<Message> Can, int Of, TearSide Side) : StoryMessage;

/// <summary>So much differs, and the paper is level.</summary>
public sealed record DiffersAndLevel(int Differ) : StoryMessage;

/// <summary>So much differs, and no paper was shot since.</summary>
public sealed record DiffersUnread(int Differ) : StoryMessage;

/// <summary>Nothing on record differs.</summary>
public sealed record NothingDiffers(int Same) : StoryMessage;

/// <summary>What the paper asks of each change.</summary>
public sealed record AsksOf(TearSide Side) : StoryMessage;

/// <summary>From where each of two tears was shot.</summary>
public sealed record TearsFrom(Measure Then, Measure Now) : StoryMessage;

/// <summary>The spread as it would be at a distance.</summary>
public sealed record SpreadAt(Measure Distance) : StoryMessage;

/// <summary>A tear in a line of a table.</summary>
public sealed record TearShort(Measure Right, Measure Up) : StoryMessage;

/// <summary>A length with a point weight.</summary>
public sealed record CutAndPoint(Measure Cut, Measure Point) : StoryMessage;

/// <summary>A day in short.</summary>
public sealed record DayIs(DateTimeOffset On) : StoryMessage;

/// <summary>A session in a line: from what it showed first to what it showed last.</summary>
public sealed record SessionTold(Message Stage, Message First, Message? Last) : StoryMessage;

/// <summary>How much a session was.</summary>
public sealed record SetsShotsMoves(int Sets, int Shots, int Moves) : StoryMessage;

/// <summary>It is put back as it was on a day.</summary>
public sealed record PutItBackTo(DateTimeOffset On) : StoryMessage;

/// <summary>No paper for so many days, and shots.</summary>
public sealed record NoPaperFor(int Days, int Shots) : StoryMessage;

/// <summary>What is said in a story without any quantity.</summary>
public enum StorySays
{
    DatesTurned,
    NotDone,
    DoneSince,
    ShotWell,
    FirstOnRecord,
    CanDoIt,
    MayDoIt,
    WorksAgainstIt,
    HeightOnly,
    SidewaysOnly,
    CheckMissed,
    NewString,
    WithinChance,
    BeyondChance,
    OtherWeight,
    ThroughTheFit,
    NotSaid,
    NotRead,
    CannotTell,
    String,
    Fit,
    LengthAndPoint,
    TearBare,
    Speed,
    ArrowOf,
    Numbers,
    Region,
    Before,
    After,
    NowWords,
    BeginTheStory,
    EverythingIsKept,
    ToTheBow,
    MarkItGood,
    WhatLaterIsHeldAgainst,
    ShootEarlierArrows,
    ArrowOrBow,
    ThenThreeShots,
    ShowTheWayBack,
    LooksTheSame,
    ShootAPaper,
    TellsWhetherItMatters,
    NoteWanted,
    NoSuchSign,
    NothingToMove,
}
