using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What is said of a walk-back.</summary>
public abstract record WalkMessage : Message;

/// <summary>So many hits at a distance.</summary>
public sealed record HitsAt(int Hits, Measure At) : WalkMessage;

/// <summary>How far it drifts between two distances, and how far that is shown.</summary>
public sealed record DriftShown(Measure Right, Measure From, Measure To, DriftVerdict Verdict) : WalkMessage;

/// <summary>Too few hits to read: what is wanting.</summary>
/// <param name="Each">Hits at each distance before anything is read.</param>
public sealed record WalkTooFew(int Each, IReadOnlyList<HitsAt> Missing) : WalkMessage;

/// <summary>Hits to shoot at each distance, at one plumb line.</summary>
/// <param name="Again">True where it is another walk.</param>
public sealed record WalkToShoot(IReadOnlyList<HitsAt> Hits, WalkPins Pins, bool Again) : WalkMessage;

/// <summary>The test behind a verdict.</summary>
/// <param name="Spread">Of the hand, sideways.</param>
/// <param name="At">At this distance.</param>
/// <param name="Threshold">p below which it is clear at this look.</param>
public sealed record DriftTest(FTest Test, Measure Spread, Measure At, double Threshold) : WalkMessage;

/// <summary>The drift that would have shown four times in five.</summary>
public sealed record SmallestDrift(Measure Drift, Measure At) : WalkMessage;

/// <summary>What drift is good enough.</summary>
public sealed record EnoughOfWalk(Measure Drift, Measure At) : WalkMessage;

/// <summary>More hits at each distance that would show a drift of this length four times in five.</summary>
/// <param name="Sentence">False where it stands inside one.</param>
public sealed record MoreHitsShow(int Hits, Measure Drift, Measure At, bool Sentence = true) : WalkMessage;

/// <summary>The pin's way for a straight drift, then the zero again.</summary>
public sealed record SightForDrift(Measure Right, int? Clicks, Measure Zero) : WalkMessage;

/// <summary>The sight was moved for all arrows between two sets.</summary>
public sealed record SightMovedBy(Measure Right, Measure Up) : WalkMessage;

/// <summary>A straight drift, and what answers it.</summary>
public sealed record StraightDrift(WalkPins Pins) : WalkMessage;

/// <summary>A curved drift, and what may bend it.</summary>
public sealed record CurvedDrift(WalkPins Pins) : WalkMessage;

/// <summary>The curve's own chance.</summary>
public sealed record CurveTest(double P) : WalkMessage;

/// <summary>A lean of the sight that would do the same.</summary>
public sealed record LeanLike(Measure Degrees) : WalkMessage;

/// <summary>The walks among each other.</summary>
public sealed record WalksAmong(FTest Test, bool Disagree) : WalkMessage;

/// <summary>The trade's rule for the rest, beside what the model knows of it.</summary>
/// <param name="Right">The way of the rest.</param>
public sealed record RestByTheTrade(bool Right) : WalkMessage;

/// <summary>The groups of the same paper show the bow's centre as well.</summary>
public sealed record CentreShotToo(Message Shown) : WalkMessage;

/// <summary>What the wind that was noted does at the least.</summary>
/// <param name="Across">Miles an hour, from the left positive.</param>
public sealed record WindAtLeast(Measure Across, Measure Drift, Measure At) : WalkMessage;

/// <summary>How far an arrow drops on one pin.</summary>
public sealed record DropsOnOnePin(Measure Drop, Measure At) : WalkMessage;

/// <summary>What a cause would look like, and whether it is there.</summary>
public sealed record CauseOfDrift(DriftCause Cause, CauseSeen Seen) : WalkMessage;

/// <summary>How far one walk drifts by itself.</summary>
public sealed record WalkDrift(Measure Right) : WalkMessage;

/// <summary>Where the hits at one distance lie.</summary>
public sealed record HitsLie(int Hits, Measure Right, Measure? Plus) : WalkMessage;

/// <summary>A label of the spread of the hand, over a distance.</summary>
public sealed record SpreadOfTheHand(Measure At) : WalkMessage;

/// <summary>Where the middle of the hits lies at a distance.</summary>
public sealed record MiddleStrikes(Measure Right, Measure Up, Measure At) : WalkMessage;

/// <summary>The test of the middle against its aiming point.</summary>
public sealed record MiddleTest(FTest Test, Measure Radius, Measure Spread) : WalkMessage;

/// <summary>Hits to shoot at one distance to set its pin.</summary>
public sealed record SightingToShoot(int Hits, Measure At) : WalkMessage;

/// <summary>The pin's way on both axes, with its clicks where the sight has them.</summary>
public sealed record SightForZero(Measure Right, Measure Up, int? ClicksRight, int? ClicksUp) : WalkMessage;

/// <summary>A distance is zeroed.</summary>
public sealed record Zeroed(Measure At) : WalkMessage;

/// <summary>How likely the true middle lies within the tolerance.</summary>
public sealed record ZeroedWithin(Measure Tolerance, Chance Chance) : WalkMessage;

/// <summary>What is good enough of a zero.</summary>
public sealed record EnoughOfZero(Measure Within, Measure At) : WalkMessage;

/// <summary>A label of the middle by its side.</summary>
public sealed record MiddleSide(TearSide Side) : WalkMessage;

/// <summary>A label of the drift by its side.</summary>
public sealed record DriftSide(bool Left, DriftLabel Of, Measure At) : WalkMessage;

/// <summary>What a drift's figure is of.</summary>
public enum DriftLabel
{
    /// <summary>From the zero to the farthest distance.</summary>
    Drift,

    /// <summary>Over ten yards.</summary>
    Slope,

    /// <summary>At the zero.</summary>
    Zero,
}

/// <summary>What may make arrows drift with distance.</summary>
public enum DriftCause
{
    /// <summary>The sight's windage, or the zero's own error: straight through the bow.</summary>
    Windage,

    /// <summary>A sight that leans, pins out of plumb, or an arrow that planes: curved.</summary>
    Curve,

    /// <summary>Wind across: curved as well.</summary>
    Wind,

    /// <summary>Centre shot: the groups of bare shafts or heads say so, not the walk.</summary>
    CentreShot,
}

/// <summary>Whether a cause is there.</summary>
public enum CauseSeen
{
    Shown,
    NotShown,

    /// <summary>Nothing was shot or noted that would tell.</summary>
    NotTested,
}

/// <summary>What a walk-back says without any quantity.</summary>
public enum WalkSays
{
    NothingYet,
    OnePlumbLine,
    LevelFirst,
    TallBackstop,
    FiveShowMore,
    LevelTheSight,
    LevelThenWalkAnew,
    StraightOrCurvedNotDecided,
    WalksDisagree,
    WalkOnceMore,
    MoreHitsDecide,
    AnotherDayOrCalm,
    LeastOfTheWind,
    GroupsBeforeTheSight,
    NoDrift,
    FletchedAlone,
    WalkAtTarget,
    SayTheDistance,
    DriftIs,
    SlopeIs,
    ZeroIs,
    SpreadIs,
    Fitted,
    HalfWidth,
    Source,
    ZeroSource,
    NoSightToMove,
    NothingShotYet,
    NearestPinFirst,
    ShiftedAndThreeFresh,
    MoveIsNearer,
    AMoveWouldBeAGuess,
    LessThanAClick,
    MoreHitsHere,
    OneAimingPoint,
    MiddleIs,
    MiddleSource,
    SightedAtTarget,
    IMovedOtherwise,
}
