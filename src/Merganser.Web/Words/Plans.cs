using System.Globalization;
using Merganser.Core.Plans;

namespace Merganser.Web.Words;

/// <summary>The plan.</summary>
public static class PlanWords
{
    public static FormattableString Of(PlanMessage message) =>
        message switch
        {
            OnDay(var on, < -1) => $"{Day(on)}, has gone by",
            OnDay(_, -1) => $"was yesterday",
            OnDay(_, 0) => $"today",
            OnDay(_, 1) => $"tomorrow",
            OnDay(var on, var days) => $"{Day(on)}, in {days:day}",
            InShots(< 0) and InShots(var left) => $"{-left:shot} late",
            InShots(0) => $"now",
            InShots(var left) => $"in {left:shot}",
            NothingNewFrom(var on) =>
                $"Nothing new goes on a bow from {Day(on)} on: what it did could not be learned any more.",
            DoItNow(null, var what) => $"{what}",
            DoItNow({ } bow, var what) => $"{bow}: {what:low}",
            DaysUntil(var shoot, 0) => $"{shoot} is today.",
            DaysUntil(var shoot, 1) => $"{shoot} is tomorrow.",
            DaysUntil(var shoot, var days) => $"{days:day} to {shoot}.",
            FirstThing(var what, var when) => $"First comes {what:low}: {when}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(PlanSays says) =>
        says switch
        {
            PlanSays.SayWhat => $"Say what is to be done.",
            PlanSays.ShotsOfWhichBow => $"Say whose shots are counted.",
            PlanSays.ShotsRange => $"Between 1 and 20,000 shots.",
            PlanSays.OnWhichDay => $"Say on which day.",
            PlanSays.DayHasGone => $"That day has gone by.",
            PlanSays.DayIsFar => $"That is more than five years away.",
            PlanSays.LookAtTheString => $"Look at the string: timing or brace height, peep, paper",
            PlanSays.NothingNew =>
                $"Nothing new goes on a bow now: what it did could not be learned before the shoot any more.",
            PlanSays.ItIsDone => $"It is done",
            PlanSays.AddToThePlan => $"Add to the plan",
            PlanSays.ToTheString => $"To its string",
            PlanSays.NothingPlanned => $"Nothing is planned.",
            PlanSays.EnterTheShoot => $"Enter the day of the shoot first: what must be in order by then follows.",
            PlanSays.NothingIsDue => $"Nothing is due today.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    internal static string Day(DateOnly on) => on.ToString("ddd d MMM yyyy", CultureInfo.InvariantCulture);
}
