using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>What is said at the set-up sheet.</summary>
public abstract record SetupMessage : Message;

/// <summary>A check's name on the bench, as this kind of bow has it.</summary>
public sealed record CheckTitle(CheckKind Kind, BowKind Bow = BowKind.Compound) : SetupMessage;

/// <summary>With what it is measured.</summary>
public sealed record CheckTool(CheckKind Kind, BowKind Bow) : SetupMessage;

/// <summary>Why it stands at this place in the order.</summary>
public sealed record CheckWhy(CheckKind Kind, BowKind Bow) : SetupMessage;

/// <summary>What to measure.</summary>
public sealed record CheckHow(CheckKind Kind, BowKind Bow) : SetupMessage;

/// <summary>The view of the drawing, named.</summary>
public sealed record CheckDrawn(CheckKind Kind, BowKind Bow) : SetupMessage;

/// <summary>What to do when a number is beyond its tolerance.</summary>
public sealed record CheckToDo(CheckKind Kind, BowKind Bow) : SetupMessage;

/// <summary>An answer's words.</summary>
public sealed record ChoiceLabel(CheckKind Kind, string Code) : SetupMessage;

/// <summary>What to do after an answer.</summary>
public sealed record ChoiceToDo(CheckKind Kind, string Code) : SetupMessage;

/// <summary>A picked answer as a verdict, with who did it where it was a repair.</summary>
public sealed record Picked(ChoiceLabel Label, string? By) : SetupMessage;

/// <summary>Where aim and limits come from.</summary>
public sealed record ToleranceFrom(ToleranceSource From, Measure Aim, Measure Low, Measure High) : SetupMessage;

/// <summary>A number that was recorded, against what it was when the bow shot well.</summary>
public sealed record RecordedAgainst(Measure Good, Measure Change) : SetupMessage;

/// <summary>A verdict on a number, and how far it lies from its aim.</summary>
public sealed record Judged(Verdict Verdict, Message Offset) : SetupMessage;

/// <summary>How far a number lies from its aim.</summary>
/// <param name="Kind">Of which check.</param>
/// <param name="By">How far, without its sign.</param>
/// <param name="More">True for more than the aim.</param>
public sealed record OffAim(CheckKind Kind, Measure By, bool More) : SetupMessage;

/// <summary>How far the rest is moved for centre shot.</summary>
public sealed record MoveRest(Measure By, bool In) : SetupMessage;

/// <summary>Which twists bring a peep round.</summary>
public sealed record PeepCure(PeepTurn Turn) : SetupMessage;

/// <summary>An odd reading is asked about.</summary>
public sealed record OddReading(CheckTitle Title, Measure By, bool More, HeldAgainst Against, Measure Expected)
    : SetupMessage;

/// <summary>What was found is not right yet, and what to do.</summary>
public sealed record NotRightYet(Message Found, Message ToDo) : SetupMessage;

/// <summary>It draws more than the maker allows: how far both bolts are backed off, and what says so.</summary>
/// <param name="Over">Pounds over the maximum.</param>
/// <param name="Off">The order.</param>
/// <param name="PerStep">What a step took off last time, or null where nobody knows.</param>
public sealed record BackOffWords(Measure Over, Message Off, Measure? PerStep) : SetupMessage;

/// <summary>What the last twist of a cable did to the timing.</summary>
public sealed record LastTwist(Message Twist, Message Before, Message After) : SetupMessage;

/// <summary>A line of how a check is done, the first is 0.</summary>
public sealed record CheckStep(CheckKind Kind, BowKind Bow, int Line) : SetupMessage;

/// <summary>The axle bolts' figure as the maker says it.</summary>
public sealed record AxleBoltsTo(string Figure) : SetupMessage;

/// <summary>What is asked to be kept with a finding.</summary>
public sealed record NoteAsked(CheckKind Kind) : SetupMessage;

/// <summary>How far the rest moves by the caliper, in clicks of this rest.</summary>
public sealed record CaliperClicks(Message Order, Measure Left) : SetupMessage;

/// <summary>A check is asked again, and after what.</summary>
public sealed record AskedAgain(BowChange Change, Message After) : SetupMessage;

/// <summary>A change in words.</summary>
public sealed record ChangeName(BowChange Change) : SetupMessage;

/// <summary>Checks that are looked at again.</summary>
public sealed record LookedAtAgain(IReadOnlyList<Message> Titles) : SetupMessage;

/// <summary>A string check at so many shots.</summary>
public sealed record StringCheckAt(int Shots) : SetupMessage;

/// <summary>What is due now, and what is looked at then.</summary>
public sealed record DueNow(Message What, IReadOnlyList<Message> Titles) : SetupMessage;

/// <summary>Look at a check again.</summary>
public sealed record LookAgain(CheckTitle Title) : SetupMessage;

/// <summary>Look at something again that is no check of the sheet.</summary>
public sealed record FollowUpAgain(CheckKind Kind) : SetupMessage;

/// <summary>The next check, and its place among all.</summary>
public sealed record NextCheck(int Number, int Of, CheckTitle Title) : SetupMessage;

/// <summary>A check was left open, and why.</summary>
public sealed record LeftOpen(Message Why) : SetupMessage;

/// <summary>So many checks are held back until paper.</summary>
public sealed record HeldBack(int Checks) : SetupMessage;

/// <summary>Damage was found on a day.</summary>
public sealed record FoundDamaged(DateTimeOffset On) : SetupMessage;

/// <summary>Something that would draw or shoot an unsound bow is refused.</summary>
public sealed record NotWhileUnsound(FoundDamaged Found) : SetupMessage;

/// <summary>A caliper's reading: how far the rest moves, and which way.</summary>
public sealed record CaliperSays(Measure By, bool In) : SetupMessage;

/// <summary>The state in which a bow shot an arrow well.</summary>
public sealed record AsItShotWell(string? Arrow, int Version) : SetupMessage;

/// <summary>A peep's aperture.</summary>
public sealed record Aperture(Measure Of) : SetupMessage;

/// <summary>A check's last reading, short; its state where there is none.</summary>
public sealed record CheckShort(CheckState State, bool AfterPaper, Message? Reading) : SetupMessage;

/// <summary>Accepted on paper, at a stage.</summary>
public sealed record AcceptedOnPaper(Message Stage) : SetupMessage;

/// <summary>How far a peep is turned.</summary>
public enum PeepTurn
{
    HalfAStrand,
    Quarter,
    HalfRound,
}

/// <summary>What an odd reading is held against.</summary>
public enum HeldAgainst
{
    LastTime,
    MeasuredBefore,
    Marked,
    Entered,
    Upright,
    Usual,
}

/// <summary>What is said at the set-up sheet without any quantity.</summary>
public enum SetupSays
{
    RecordedNoTolerance,
    JustAsAimed,
    CompareWithGoodState,
    LeaveIt,
    TwistsOut,
    TwistsIn,
    OnlyInThePress,
    ShopDoesIt,
    DrawsWhileUnsound,
    AfterTimingAndPaper,
    TwoMonthly,
    CheckIsCheap,
    ToTheCheck,
    GoThere,
    ItIsDone,
    ToTheString,
    MeasuredAndInOrder,
    InOrderWithItsArrow,
    EveryCheckIsDone,
    DoNotShootUnsound,
    CountsAscending,
    SettlingRange,
    EqualAtBoth,
    NoDrawBoard,
    NoScale,
    PressWorkToAShop,
    FineTuneNeedsPractice,
    ReasonWanted,
    PickWhatYouFound,
    RepairedByWhom,
    SayThatItIsRepaired,
    VoidSaysWhy,
    RiserMayBlockSight,
    CrawlStands,
    CrawlOutOfOrder,
    NoCrawlBetween,
    CrawlsAreForBarebow,
    NotByHand,
}
