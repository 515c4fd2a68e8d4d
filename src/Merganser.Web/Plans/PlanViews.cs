using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Plans;
using Merganser.Data;
using Merganser.Web.Rack;
using Merganser.Web.Words;

namespace Merganser.Web.Plans;

/// <summary>A reminder that ended.</summary>
/// <param name="Bow">The bow's name; null for the bench, or a bow that hangs no more.</param>
public sealed record EndedReminder(string Id, string? Bow, string Text, ReminderState State, DateTimeOffset EndedAt);

/// <summary>A bow that a reminder can be of.</summary>
public sealed record BowToPlan(string Id, string Name);

/// <summary>The plan.</summary>
/// <param name="Today">The day it is on this machine.</param>
/// <param name="Lines">What waits, the nearest first.</param>
/// <param name="Shoot">The next shoot; null for none.</param>
/// <param name="Ended">What was done or dropped lately.</param>
/// <param name="Bows">Those on the rack.</param>
/// <param name="Next">The one next step.</param>
public sealed record SeasonPlanView(
    DateOnly Today,
    IReadOnlyList<PlanLine> Lines,
    NextShoot? Shoot,
    IReadOnlyList<EndedReminder> Ended,
    IReadOnlyList<BowToPlan> Bows,
    Next Next
);

/// <summary>A reminder as entered.</summary>
/// <param name="Kind">By day, by shots, or a shoot.</param>
/// <param name="BowId">The bow; null for the bench.</param>
/// <param name="On">The day; null by shots.</param>
/// <param name="AfterShots">Shots from now, as typed; null by day.</param>
public sealed record ReminderInput(
    string? Id,
    ReminderKind Kind,
    string? Text,
    string? BowId = null,
    DateOnly? On = null,
    string? AfterShots = null
);

/// <summary>What became of a reminder.</summary>
public sealed record ReminderEnd(ReminderState State);

/// <summary>Puts the plan together.</summary>
public sealed class PlanDesk(ReminderStore reminders, RackDesk rack)
{
    public SeasonPlanView View()
    {
        var hung = rack.View().Bows;
        var today = reminders.Today;
        var plan = SeasonPlan.Of(reminders.Waiting(), [.. hung.Select(Planned)], today);
        var names = hung.ToDictionary(b => b.Id, b => b.Name);
        return new SeasonPlanView(
            today,
            plan.Lines,
            plan.Shoot,
            [
                .. reminders
                    .Ended()
                    .Select(r => new EndedReminder(
                        r.Id,
                        r.BowId is { } bow ? names.GetValueOrDefault(bow) : null,
                        r.Text,
                        r.State,
                        r.EndedAt!.Value
                    )),
            ],
            [.. hung.Select(b => new BowToPlan(b.Id, b.Name))],
            plan.Next
        );
    }

    /// <summary>What waits, for a calendar.</summary>
    public string Calendar(DateTimeOffset made)
    {
        var plan = View();
        return PlanCalendar.Of(plan.Lines, plan.Shoot?.Id, made, Speaker.Trade);
    }

    private static PlanBow Planned(RackBow bow) =>
        new(
            bow.Id,
            bow.Name,
            new Verbatim(bow.State),
            bow.Urgency,
            bow.NextStop,
            new Verbatim(bow.NextWords),
            bow.String.NextCheck is { } at ? at - bow.String.Shots : null
        );
}
