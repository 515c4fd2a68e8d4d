using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Visits;

/// <summary>What a visit says.</summary>
public abstract record VisitMessage : Message;

/// <summary>What was one thing and is another.</summary>
public sealed record WasAndIs(Message Name, Message Was, Message Is) : VisitMessage;

/// <summary>So many shots settle the string before it is read.</summary>
public sealed record SettlesFirst(int Shots) : VisitMessage;

/// <summary>The string is looked at in so many shots.</summary>
public sealed record StringLookIn(int Shots, bool Cams) : VisitMessage;

/// <summary>Where something stands that may slip.</summary>
public sealed record MayHaveSlipped(AdjusterName Name, Standing At) : VisitMessage;

/// <summary>So much changed since it came.</summary>
public sealed record ChangedSinceItCame(int Count) : VisitMessage;

/// <summary>It came to the bench.</summary>
/// <param name="Number">Of its visits.</param>
/// <param name="Wants">What is wanted; empty where nobody said.</param>
public sealed record CameToTheBench(int Number, string Wants) : VisitMessage;

/// <summary>It was handed over after a visit.</summary>
public sealed record WasHandedOver(int Number) : VisitMessage;

/// <summary>It went to another owner.</summary>
public sealed record WentToOwner(string Name) : VisitMessage;

/// <summary>A visit of a bow is open already.</summary>
public sealed record VisitIsOpen(int Number) : VisitMessage;

/// <summary>Something planned was done.</summary>
public sealed record PlannedAndDone(string Text) : VisitMessage;

/// <summary>How a rest lets go of the arrow.</summary>
public sealed record RestLetsGo(RestType Type) : VisitMessage;

/// <summary>One click of something.</summary>
public sealed record OneClickOf(AdjusterName Name) : VisitMessage;

/// <summary>What a click moves.</summary>
public sealed record MovesBy(Measure Way) : VisitMessage;

/// <summary>What is said of visits without any quantity.</summary>
public enum VisitSays
{
    SayWhich,
    QuantityRange,
    PriceRange,
    NeverDryFire,
    LookItOver,
    NeverPressIt,
    StringItWithAStringer,
    ManualFirst,
    NewStringPutOn,
    DoNotShoot,
    StringIsNew,
    WeightChanged,
    PeepMayTurn,
    WriteDownHowItCame,
    FrozenThen,
    BeginTheVisit,
    HandItOver,
    CardFollows,
    GoOnWithTheBow,
    ToTheWorkOrder,
    ItIsHandedOver,
    PrintItAgain,
    PrintTheCard,
    BeginTheNext,
    IsHandedOver,
    SameOwner,
    CarriedFromItself,
    HowTheRestLetsGo,
    OneClickOfTheSight,
    NotOnRecord,
}
