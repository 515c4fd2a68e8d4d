using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>What the engine says.</summary>
public abstract record TuningMessage : Message;

/// <summary>A chance: never said as 0 or 100 %.</summary>
public sealed record Chance(double Of) : TuningMessage;

/// <summary>The true mean lies inside, with this chance today, and with that one whatever the day.</summary>
/// <param name="Days">Days on which this setting was shot.</param>
public sealed record InsideWithChance(Measure Tolerance, Chance Chance, Chance Lasting, int Days) : TuningMessage;

/// <summary>So many more shots before anything is moved.</summary>
public sealed record ShootBeforeMoving(int Shots) : TuningMessage;

/// <summary>The chance as it stands, and the one at which it is done.</summary>
public sealed record ChanceAndEnough(Chance Chance, Chance Enough) : TuningMessage;

/// <summary>How far the mean may still be off.</summary>
public sealed record MeanMayBeOff(Measure By) : TuningMessage;

/// <summary>A move, then two shots.</summary>
public sealed record MoveThenShoot(Message Order) : TuningMessage;

/// <summary>A move for each axis, in one visit to the press.</summary>
public sealed record BothOrders(Message First, Message Second) : TuningMessage;

/// <summary>Why the trade reaches for an adjuster.</summary>
public sealed record TradeReason(DirectionReason Reason) : TuningMessage;

/// <summary>The size of a move: the tear, and what a step answers it with.</summary>
public sealed record SizeOfMove(Measure Tear, Measure PerStep) : TuningMessage;

/// <summary>An adjuster that lost, and why it is not open.</summary>
public sealed record WithheldFor(AdjusterName Name, WithheldWhy Why) : TuningMessage;

/// <summary>An adjuster that lost: its school leaves it too few steps.</summary>
public sealed record TooFewSteps(AdjusterName Name) : TuningMessage;

/// <summary>An adjuster that lost: what it would leave, against what the advised move leaves.</summary>
public sealed record WouldLeave(AdjusterName Name, Order Order, Measure There, Measure Here) : TuningMessage;

/// <summary>So many moves changed the tear less than they should, and how likely it is that none helps.</summary>
public sealed record MovesIgnored(int Moves, Chance Deaf) : TuningMessage;

/// <summary>What would have to be true of an adjuster's way.</summary>
public sealed record IfItDrives(AdjusterKind Kind, bool Agreed) : TuningMessage;

/// <summary>An adjuster that a school leaves for later is reached for: its own leave the tear out.</summary>
public sealed record BeyondSchool(School School) : TuningMessage;

/// <summary>An adjuster answered the other way than agreed.</summary>
public sealed record AnsweredOtherWay(AdjusterName Name) : TuningMessage;

/// <summary>It is doubted that an adjuster answers the usual way.</summary>
public sealed record WayDoubted(AdjusterName Name, Chance Usual) : TuningMessage;

/// <summary>An adjuster with the steps that it has left.</summary>
public sealed record StepsLeft(AdjusterName Name, Room Room) : TuningMessage;

/// <summary>Adjusters that a school leaves aside and that have travel left.</summary>
public sealed record LeftAside(School School, IReadOnlyList<StepsLeft> Adjusters) : TuningMessage;

/// <summary>How far a rest goes, for a slide without clicks too.</summary>
public sealed record RestGoes(Measure By, bool Sideways) : TuningMessage;

/// <summary>The rest's way is settled on this bow.</summary>
public sealed record RestSettled(bool Right, Measure PerClick) : TuningMessage;

/// <summary>The rest's way is disputed; what a model of the shot says of this kind of rest.</summary>
public sealed record RestDisputed(RestType Type) : TuningMessage;

/// <summary>Chance of being inside.</summary>
public sealed record ChanceOfInside(Measure Tolerance) : TuningMessage;

/// <summary>What the chance rests on.</summary>
public sealed record ChanceBecause(Chance Chance, int Here, int Elsewhere, Message Mean, Measure Radius)
    : TuningMessage;

/// <summary>More shots here would overturn it, until the chance is enough.</summary>
public sealed record MoreShotsUntil(Chance Enough) : TuningMessage;

/// <summary>What a step of an adjuster does on this bow.</summary>
public sealed record StepMoves(AdjusterName Name, StepName Step, Measure Tail, bool OtherWay) : TuningMessage;

/// <summary>What a gain rests on.</summary>
public sealed record LearnedFrom(Measure Plus, int Positions, Measure Guess, GainSource From) : TuningMessage;

/// <summary>Spread against the usual one, with its test.</summary>
public sealed record SpreadAgainst(Measure Spread, int? Shots, Measure Usual, bool Own, FTest Test, bool Differs)
    : TuningMessage;

/// <summary>Before and after a shot of one setting the mean lies elsewhere, tried at so many places.</summary>
public sealed record MeanShifted(int After, Message Before, Message Since, FTest Test, int Places) : TuningMessage;

/// <summary>One arrow tears apart from the others.</summary>
public sealed record ArrowApart(string Number) : TuningMessage;

/// <summary>How far it tears apart, with its test.</summary>
public sealed record ApartBy(Message Mean, int Shots, FTest Test) : TuningMessage;

/// <summary>The tear ignores so many moves.</summary>
public sealed record IgnoresMoves(int Moves) : TuningMessage;

/// <summary>One move that was ignored: what it changed and what was expected.</summary>
public sealed record IgnoredMove(AdjusterName Name, Steps Steps, Measure Changed, Measure Expected) : TuningMessage;

/// <summary>Moves that were ignored, each by itself.</summary>
public sealed record IgnoredBecause(IReadOnlyList<IgnoredMove> Moves) : TuningMessage;

/// <summary>A bare tear at two distances, its change, and what chance alone gives.</summary>
public sealed record BareByDistance(
    TailSideways Near,
    Measure NearAt,
    TailSideways Far,
    Measure FarAt,
    Measure Change,
    Measure ByChance
) : TuningMessage;

/// <summary>An adjuster is at the end of its travel.</summary>
public sealed record EndOfTravel(AdjusterName Name) : TuningMessage;

/// <summary>What it means that an adjuster is at its end.</summary>
public sealed record EndOfTravelMeans(AdjusterKind Kind) : TuningMessage;

/// <summary>A control tears otherwise, or alike.</summary>
public sealed record ControlTears(SetPurpose Control, bool Otherwise, bool OfTheArrow) : TuningMessage;

/// <summary>A control's reading with its test.</summary>
public sealed record ControlBecause(Message Mean, FTest Test) : TuningMessage;

/// <summary>What a move asks to be looked at again.</summary>
public sealed record AfterMove(AdjusterKind Kind, IReadOnlyList<CheckKind> Again) : TuningMessage;

/// <summary>A change asks whether what was learned is to be forgotten.</summary>
public sealed record ForgetAfter(BowChange Change) : TuningMessage;

/// <summary>A rung of the ladder: its title, how it is done, what it tells.</summary>
public sealed record RungTitle(RungKind Rung) : TuningMessage;

/// <summary>How a rung is done.</summary>
public sealed record RungHow(RungKind Rung) : TuningMessage;

/// <summary>What a rung's answer means.</summary>
public sealed record RungTells(RungKind Rung) : TuningMessage;

/// <summary>How much is known of an adjuster.</summary>
public sealed record AnswerKnown(int Positions, GainSource From, bool? Right, Chance? Sure) : TuningMessage;

/// <summary>Adjusters whose answers were forgotten; none is all of them.</summary>
public sealed record Forgotten(IReadOnlyList<AdjusterName> Names) : TuningMessage;

/// <summary>What the engine says without any quantity.</summary>
public enum TuningSays
{
    ShootFirst,
    ShootAtNewSetting,
    PaperTautTargetBehind,
    GoodEnough,
    CleanFirstHole,
    OneOddHole,
    ShootOneMoreClose,
    ShootTwoMore,
    SmallTestWhy,
    NotReachable,
    MovesDoNotHelp,
    StopAsking,
    NoMoveHelps,
    HeightAtItsEnd,
    ShopGoesOn,
    LookAtForm,
    ByThisBow,
    ByTheTrade,
    ExpectedAtNewSetting,
    MoveThatAnswersOtherwise,
    HolesDiffer,
    HolesAlike,
    FiveHolesAlike,
    ControlThatTearsOtherwise,
    LikeTheOthersAfterTurning,
    PowderCleanAndTimingRight,
    SpineNotJudged,
    OneDistanceCannotTell,
    BareChangesAtAnotherDistance,
    BareChangesSide,
    BareChanges,
    BareSteady,
    StifferShaftDoesTheSame,
    MoreShotsFarther,
    OtherMovedThisBack,
    SameAgainAlike,
    MoreShotsOfBoth,
    AnotherMean,
    LaterShotsBack,
    TestShift,
    TestSpread,
    TestArrows,
    TestIgnored,
    TestByDistance,
    TestOneDistance,
    TestLimits,
    TestControl,
    DoNotShoot,
}
