using System.Text;
using Merganser.Core.Plans;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Plans;

public static class PlanEndpoints
{
    public static void MapPlan(this IEndpointRouteBuilder api)
    {
        api.MapGet("/plan", (PlanDesk desk) => desk.View());
        api.MapPost(
            "/plan",
            (ReminderInput input, ReminderStore reminders, PlanDesk desk) =>
            {
                reminders.Keep(
                    new NewReminder(
                        ClientId.Checked(input.Id),
                        input.Kind,
                        input.BowId,
                        input.Text?.Trim() ?? "",
                        input.On,
                        Reminder.ShotsOf(input.AfterShots)
                    )
                );
                return desk.View();
            }
        );
        api.MapPost(
            "/plan/{id}/state",
            (string id, ReminderEnd input, ReminderStore reminders, PlanDesk desk) =>
            {
                reminders.Put(id, input.State);
                return desk.View();
            }
        );
        api.MapGet(
                "/plan/calendar.ics",
                (PlanDesk desk, TimeProvider clock) =>
                    Results.File(
                        Encoding.UTF8.GetBytes(desk.Calendar(clock.GetUtcNow())),
                        "text/calendar; charset=utf-8",
                        "merganser-plan.ics"
                    )
            )
            .Produces(200, contentType: "text/calendar");
    }
}
