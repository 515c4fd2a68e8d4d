using Merganser.Core.Messages;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>What is said of an arrow's flight.</summary>
public abstract record FlightMessage : Message;

/// <summary>How far a shot is honest, and what sets it.</summary>
/// <param name="Beyond">True where it goes on beyond what is said.</param>
public sealed record HonestTo(Measure Yards, RangeLimit SetBy, bool Beyond) : FlightMessage;

/// <summary>Within which the honest range lies by what is known of the spread.</summary>
public sealed record HonestWithin(Measure Low, Measure High, SpreadSource Source) : FlightMessage;

/// <summary>The chance at the honest range with the distance read wrong.</summary>
public sealed record HitAtHonest(Measure Yards, Measure Error, Chance Chance) : FlightMessage;

/// <summary>The same where the range is measured and dialled.</summary>
public sealed record UnlessMeasured(Measure Yards) : FlightMessage;

/// <summary>Where a spread comes from.</summary>
/// <param name="PerYard">sd of a shot on one axis at a yard.</param>
/// <param name="Plus">Half its band over itself.</param>
public sealed record SpreadIs(SpreadSource Source, Measure PerYard, int Hits, Measure Plus) : FlightMessage;

/// <summary>What one change would make of the honest range.</summary>
public sealed record ChangeBuys(RangeChange Change, Measure Yards, Measure By) : FlightMessage;

/// <summary>The arrow's highest place over the line of sight.</summary>
public sealed record PathAbove(Measure Up, Measure At) : FlightMessage;

/// <summary>Where it is beyond the distance that the sight is set for.</summary>
public sealed record PathBelow(Measure Down, Measure At) : FlightMessage;

/// <summary>A label of what an arrow has at a distance.</summary>
public sealed record AtTheTarget(FlownFigure What, Measure At) : FlightMessage;

/// <summary>A label of the drift in a wind.</summary>
public sealed record DriftIn(Measure Wind, Measure At) : FlightMessage;

/// <summary>What was fitted of the flight, and how well the own marks lie on it.</summary>
/// <param name="Marks">Marks of the archer.</param>
/// <param name="Worst">The farthest off of them.</param>
public sealed record MarksFitted(int Marks, Measure Worst) : FlightMessage;

/// <summary>A mark that the others contradict.</summary>
public sealed record MarkDoubted(Measure At, Measure Off) : FlightMessage;

/// <summary>What a level distance's rule says on a slope, and how far it is off.</summary>
public sealed record SlopeSet(Measure Yards, Measure Slope, Measure Set, Measure ByCosine) : FlightMessage;

/// <summary>From here on the pin's housing stands in the arrow's way.</summary>
public sealed record MarkClips(Measure At) : FlightMessage;

/// <summary>Two pins stand closer than pins can be set.</summary>
public sealed record PinsTooClose(Measure First, Measure Second, Measure Gap) : FlightMessage;

/// <summary>The distance at which the point is on, for a hand at the nock.</summary>
/// <param name="Proven">Crawls that it was fitted to.</param>
public sealed record PointIsOn(Measure Yards, int Proven) : FlightMessage;

/// <summary>How far over or under its target the point is held.</summary>
public sealed record PointHeld(Measure Gap, bool Over) : FlightMessage;

/// <summary>An arrow that its bow does not stand: nothing is said of its range.</summary>
public sealed record TooLightToShow(Measure Least) : FlightMessage;

/// <summary>What an arrow has at a distance.</summary>
public enum FlownFigure
{
    Speed,
    Energy,
    Momentum,
    Time,
}

/// <summary>A change that moves the honest range.</summary>
public enum RangeChange
{
    RangeMeasured,
    HalfTheGroup,
    LighterPoint,
    HeavierArrow,
}

/// <summary>What is said of flight without any quantity.</summary>
public enum FlightSays
{
    Drag,
    HonestRange,
    GroupAlone,
    ErrorAlone,
    MissAtBothEnds,
    RingOfNine,
    Circle,
    ChanceThere,
    RuleIs,
    RuleSource,
    RuleMoves,
    GroupRule,
    ErrorRule,
    IntegratedIs,
    FlightSource,
    SpeedMoves,
    DragIs,
    DragSource,
    DragMoves,
    TubeSides,
    VaneSides,
    EndsOfIt,
    OfItsSection,
    FittedToOwn,
    DriftIs,
    DriftSource,
    DriftMoves,
    LawComesFirst,
    NoArrowYet,
    ProveTwoMarks,
    ProveOneMore,
    PrintTheTape,
    MeasureYourGroup,
    SetsTheTape,
    CheckTheBar,
    HonestOnlySoFar,
    NothingFits,
    ToTheArrow,
    ToTheTarget,
    WriteAMark,
    Print,
    PrintTheCard,
    ShootTheCard,
    WhatIsShotWins,
    NoSight,
    OnTheTarget,
    MarksAreNumbers,
    MarksAreMany,
}
