using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What is said of two ways compared, of a range error, and of the size of groups.</summary>
public abstract record WayMessage : Message;

/// <summary>Which way groups tighter, by how much, and how far that is shown.</summary>
/// <param name="Times">The wider for one of the tighter.</param>
public sealed record WaysShown(string Tighter, string Wider, Measure Times, GroupVerdict Verdict) : WayMessage;

/// <summary>Too few to compare: what there is of each.</summary>
public sealed record WaysTooFew(int Each, string First, int OfFirst, string Second, int OfSecond) : WayMessage;

/// <summary>Arrows to shoot, in turn, and which way is next.</summary>
public sealed record WaysToShoot(int Each, string Next) : WayMessage;

/// <summary>The tighter way is kept.</summary>
public sealed record KeepTheWay(string Tighter) : WayMessage;

/// <summary>The two ways strike apart: each has its own centre.</summary>
public sealed record WaysApart(string First, Measure Right, Measure Up, string Second, GroupVerdict Verdict)
    : WayMessage;

/// <summary>The test of two sizes.</summary>
public sealed record SizeTested(FTest Test, Measure Low, Measure High, double Threshold) : WayMessage
{
    /// <summary>True where it is looked at once, not again and again while arrows are shot.</summary>
    public bool OneLook { get; init; }
}

/// <summary>How likely so many of each show groups so much wider.</summary>
public sealed record WaysWouldShow(int Each, Chance Twice, Chance HalfAgain) : WayMessage;

/// <summary>More of each that show groups half as wide again.</summary>
public sealed record HalfAgainTakes(int Each) : WayMessage;

/// <summary>Hits stand in strings up and down, or they do not.</summary>
/// <param name="Clean">True where a paper of this session is clean; null where none was shot.</param>
public sealed record HitsStrung(bool Strung, Measure Times, bool? Clean) : WayMessage;

/// <summary>The test of a string.</summary>
public sealed record StringTested(FTest Test, int Arrows) : WayMessage;

/// <summary>A label of a way's size.</summary>
public sealed record SizeOfWay(string Way) : WayMessage;

/// <summary>A person's own name of a way, as a label.</summary>
public sealed record WayNamed(string Way, int Count) : WayMessage;

/// <summary>How widely the hand shot.</summary>
public sealed record HandIs(Measure Spread, Measure At, int Hits) : WayMessage;

/// <summary>How widely it shot on the newest day, and on those before it.</summary>
public sealed record HandChanged(Measure Spread, Measure Before, Measure At, bool Shown, bool Wider) : WayMessage;

/// <summary>A day's size.</summary>
public sealed record DayShot(Measure Spread, Measure Low, Measure High, Measure Six, int Hits) : WayMessage;

/// <summary>From where a day was shot.</summary>
public sealed record ShotFrom(IReadOnlyList<Message> Yards) : WayMessage;

/// <summary>A label of a size at a distance.</summary>
public sealed record SizeAt(SizeLabel Of, Measure At) : WayMessage;

/// <summary>What a size is of.</summary>
public enum SizeLabel
{
    /// <summary>The spread of a shot on the newest day.</summary>
    Newest,

    /// <summary>The same on the days before.</summary>
    Before,

    /// <summary>The mean radius of six arrows.</summary>
    OfSix,
}

/// <summary>What is said of ways without any quantity.</summary>
public enum WaySays
{
    NothingShotYet,
    InTurnSameAim,
    ShootInTurn,
    SizesTakeMany,
    NoSizeShown,
    ThreeCannot,
    OwnMarkEach,
    AnotherDayEach,
    AnotherDay,
    MoreOfEachWay,
    SizeIs,
    RatioIs,
    SizeSource,
    RatioLabel,
    MeanRadiusOfSix,
    SayWhichWay,
    NamesDiffer,
    WaysAtTarget,
    OnlyOneDiffers,
    NoGroupsYet,
    SizesArePooled,
    SixAre,
    MoreDays,
}
