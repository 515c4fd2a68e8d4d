using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>What is said of tears, stages and trials.</summary>
public abstract record PaperMessage : Message;

/// <summary>Where the tail lies from the point's hole: never a minus sign.</summary>
public sealed record TailAt(Measure Right, Measure Up) : PaperMessage;

/// <summary>The same, sideways alone.</summary>
public sealed record TailSideways(Measure Right) : PaperMessage;

/// <summary>The same, in height alone.</summary>
public sealed record TailHeight(Measure Up) : PaperMessage;

/// <summary>A mean tear by the tail; an axis that is level by its region has no quantity.</summary>
/// <param name="Right">Right positive, or null.</param>
/// <param name="Up">Up positive, or null.</param>
/// <param name="Little">Below this it is a little.</param>
public sealed record MeanTail(Measure? Right, Measure? Up, Measure Little) : PaperMessage
{
    /// <summary>False where the holes differ so much that nothing can be said of what does not stand out.</summary>
    public bool Known { get; init; } = true;
}

/// <summary>The reading of one hole that was only said.</summary>
public sealed record OneSaid(TailAsSaid Said) : PaperMessage;

/// <summary>What a shooter said, by the tail whichever end was named.</summary>
public sealed record TailAsSaid(Measure Right, Measure Up) : PaperMessage;

/// <summary>A size as it is said at the paper, by its code.</summary>
public sealed record SizeSaid(string Code, Measure Of) : PaperMessage;

/// <summary>A stage: distance, and whether the shafts have vanes, or groups at a target.</summary>
public sealed record StageName(
    Measure Distance,
    bool Fletched,
    bool AtTarget = false,
    bool Heads = false,
    WalkPins? Walk = null,
    bool Sighting = false
) : PaperMessage
{
    /// <summary>The two ways that are compared, or null.</summary>
    public TwoWays? Ways { get; init; }

    /// <summary>True for the nock end of a bare shaft in a near target.</summary>
    public bool NockEnd { get; init; }

    /// <summary>How wrong the sight is set, or null.</summary>
    public Measure? RangeError { get; init; }
}

/// <summary>What a nock end beside the point stands for.</summary>
public sealed record NockEndStandsFor(Measure Nock, Measure Tear, Measure At) : PaperMessage;

/// <summary>Stages that are in use, by their code, with their distances.</summary>
public sealed record UsualStages(string Code, IReadOnlyList<Measure> Distances) : PaperMessage;

/// <summary>An F test: <c>F(2, 8) = 3.10, p = .101</c>.</summary>
public sealed record FTest(double F, double Top, double Bottom, double P) : PaperMessage;

/// <summary>A label of a tear's size on one axis, by the side it lies on.</summary>
public sealed record SideLabel(TearSide Side) : PaperMessage;

/// <summary>The spread that is usual.</summary>
public sealed record UsuallyAbout(Measure Spread) : PaperMessage;

/// <summary>How many shots a mean rests on, and which way is positive.</summary>
public sealed record MeanOver(int Shots, TearSide Positive) : PaperMessage;

/// <summary>The range of points that one shaft shoots from this bow as it stands.</summary>
public sealed record Tolerates(string Shaft, Measure Lightest, Measure Heaviest) : PaperMessage;

/// <summary>A shaft of a tear over this length, which no arrow leaves.</summary>
public sealed record TearTooLong(Measure Longest) : PaperMessage;

/// <summary>A hole lies off the sheet.</summary>
public sealed record OffSheet(bool Tail, Measure Reach) : PaperMessage;

/// <summary>The side that a tail lies on.</summary>
public enum TearSide
{
    Left,
    Right,
    Low,
    High,
}

/// <summary>What is said of tears and trials without any quantity.</summary>
public enum PaperSays
{
    SpreadAssumed,
    Spread,
    OneShotShowsNone,
    SpreadIs,
    SpreadS,
    AssumedForOneShot,
    PooledDeviation,
    TradeGuess,
    LevelAxis,
    MeanOfTheTail,
    MeanLine,
    RegionLine,
    SizeLine,
    WithoutItsSign,
    TearSource,
    MoreShotsNarrow,
    NeedsNoMove,
    WantsAMove,
    InsideSoFar,
    OutsideSoFar,
    NotEnoughForACause,
    ArrowOneNeedsNoMove,
    ArrowsTearApart,
    BowOrArcher,
    NeitherBowNorArrow,
    SettlesStringWork,
    TakenInWrongly,
    PaperTaut,
    TargetBehind,
    BackstopClear,
    ShaftLookedOver,
    BareOnly,
    FletchedFar,
    NockEndOfBare,
    NockEndPress,
    TuneToTheHand,
    MendTheForm,
    NothingCountsYet,
    NothingShotSinceMove,
    MarkTheTail,
    SizeNotInList,
    NoSuchDecision,
    OutcomeWanted,
    NoteWanted,
}
