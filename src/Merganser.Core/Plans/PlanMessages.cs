using Merganser.Core.Messages;

namespace Merganser.Core.Plans;

/// <summary>What the plan says.</summary>
public abstract record PlanMessage : Message;

/// <summary>On a day, and how many days that is from now; below 0 it has gone.</summary>
public sealed record OnDay(DateOnly On, int Days) : PlanMessage;

/// <summary>In so many shots; 0 or less is now.</summary>
public sealed record InShots(int Left) : PlanMessage;

/// <summary>Nothing new goes on a bow from a day on.</summary>
public sealed record NothingNewFrom(DateOnly On) : PlanMessage;

/// <summary>Something is to be done, on a bow or at the bench.</summary>
public sealed record DoItNow(string? Bow, Message What) : PlanMessage;

/// <summary>So many days until a shoot.</summary>
public sealed record DaysUntil(string Shoot, int Days) : PlanMessage;

/// <summary>What comes first, and when.</summary>
public sealed record FirstThing(Message What, Message When) : PlanMessage;

/// <summary>What is said in the plan without any quantity.</summary>
public enum PlanSays
{
    SayWhat,
    ShotsOfWhichBow,
    ShotsRange,
    OnWhichDay,
    DayHasGone,
    DayIsFar,
    LookAtTheString,
    NothingNew,
    ItIsDone,
    AddToThePlan,
    ToTheString,
    NothingPlanned,
    EnterTheShoot,
    NothingIsDue,
}
