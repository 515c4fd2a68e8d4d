using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Merganser.Core.Plans;
using Merganser.Web.Words;

namespace Merganser.Web.Plans;

/// <summary>
/// The plan as a calendar file (iCalendar, RFC 5545): a day is an event of that whole day, with an alarm the day
/// before; what goes by shots is a task without a day.
/// </summary>
public static class PlanCalendar
{
    private const string Product = "-//Merganser//Plan//EN";

    /// <summary>Writes it.</summary>
    /// <param name="lines">What waits.</param>
    /// <param name="shootId">The next shoot, or null.</param>
    /// <param name="made">When it is written.</param>
    /// <param name="speaker">Who reads it.</param>
    public static string Of(IReadOnlyList<PlanLine> lines, string? shootId, DateTimeOffset made, Speaker speaker)
    {
        var calendar = new Calendar { ProductId = Product };
        var stamp = new CalDateTime(made.UtcDateTime);
        foreach (var line in lines)
        {
            var what = speaker.Say(line.What);
            var summary = line.Bow is { } bow ? $"{bow}: {what}" : what;
            var uid = $"{line.ReminderId ?? $"string-{line.BowId}"}@merganser";
            if (line.On is { } on)
            {
                var day = new CalendarEvent
                {
                    Uid = uid,
                    DtStamp = stamp,
                    Summary = summary,
                    Start = new CalDateTime(on.Year, on.Month, on.Day),
                    End = new CalDateTime(on.AddDays(1).Year, on.AddDays(1).Month, on.AddDays(1).Day),
                    Categories = [line.ReminderId == shootId ? "shoot" : "bench"],
                };
                day.Alarms.Add(
                    new Alarm
                    {
                        Action = AlarmAction.Display,
                        Description = summary,
                        Trigger = new Trigger(Duration.FromDays(-1)),
                    }
                );
                calendar.Events.Add(day);
            }
            else
            {
                calendar.Todos.Add(
                    new Todo
                    {
                        Uid = uid,
                        DtStamp = stamp,
                        Summary = summary,
                        Description = speaker.Say(line.When),
                    }
                );
            }
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }
}
