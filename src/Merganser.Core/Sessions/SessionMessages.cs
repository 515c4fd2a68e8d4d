using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Sessions;

/// <summary>What a session says of its next step.</summary>
public abstract record SessionMessage : Message;

/// <summary>What remains after a paper was accepted.</summary>
/// <param name="Lasts">True where the setting was shot on another day as well.</param>
public sealed record RemainsAfter(IReadOnlyList<Message> OpenStages, BowKind Kind, bool Lasts) : SessionMessage;

/// <summary>New string work settles: so many shots before any is read.</summary>
public sealed record SettlingToGo(int Shots) : SessionMessage;

/// <summary>The record speaks of a weak shaft, the arrow as computed is a stiff one.</summary>
public sealed record SignsDisagree(Measure Ratio, Measure Low, Measure High) : SessionMessage;

/// <summary>A control in work: so many shots more.</summary>
public sealed record ControlToShoot(SetPurpose Control, int Shots) : SessionMessage;

/// <summary>Moves do not help, or do not reach: a rung first.</summary>
public sealed record RungFirst(RungTitle Rung, AdviceKind Because) : SessionMessage;

/// <summary>Good enough here: on to the next stage.</summary>
public sealed record OnToStage(Message Stage) : SessionMessage;

/// <summary>The button that goes on to the next stage.</summary>
public sealed record GoToStage(Message Stage) : SessionMessage;

/// <summary>An order by itself, as a sentence.</summary>
public sealed record OrderAlone(Message Order) : SessionMessage;

/// <summary>What a session says without any quantity.</summary>
public enum SessionSays
{
    AcceptedDone,
    BowLeftAsItWas,
    BackToTheRack,
    ShootMoreOpensAgain,
    OneThingChanged,
    MarkAShot,
    BackToTheSession,
    ControlIsShot,
    StandsAmongEvidence,
    ShootMore,
    EndTheTrial,
    OpenTheLadder,
    IAcceptThis,
    MoveAllTheSame,
    PointFirstThenTail,
    ISomethingElse,
    IMadeThisMove,
    IMadeBothMoves,
    IMovedTheSight,
    WalkOnceMore,
    WalkAnew,
    TheRestInstead,
    BackToTheGroups,
    GoodEnoughShort,
    ToTheInspection,
    PressByItsManual,
    WriteDownWhatYouDid,
    ShootTwoThenNextArrow,
    NextArrowOrEnd,
    TrialAdvisesNoMove,
    MoreShotsOfTheClose,
    NeedsAShop,
    TakeTheCardAlong,
    OpenTheCard,
    SettlesNotRead,
    NothingYet,
    TwoSignsDisagree,
    OneOfThemDecides,
}
