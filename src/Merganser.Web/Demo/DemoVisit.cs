using Merganser.Core.Plans;
using Merganser.Core.Visits;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>
/// A visit to a shop in the season of the sixth bow, new string and cables; and the plan for the week of the shoot.
/// </summary>
internal static class DemoVisit
{
    private const string VisitId = "eeeeeeee-0000-4000-8000-000000000001";

    public static void ComesIn(VisitStore visits) =>
        visits.Begin(VisitId, Whimbrel, "New string and cables; a bare shaft is to fly straight again.");

    /// <summary>It goes home with its card.</summary>
    /// <param name="visits">The visits, with the day's clock.</param>
    /// <param name="again">When it comes again.</param>
    public static void GoesHome(VisitStore visits, DateOnly again)
    {
        (VisitLineKind Kind, string Text, double Quantity, double Price)[] lines =
        [
            (VisitLineKind.Part, "String and two cables, 24 strands", 1, 96),
            (VisitLineKind.Part, "Peep, 3/16 in", 1, 11.5),
            (VisitLineKind.Labour, "Bench, hours", 1.5, 32),
        ];
        foreach (var (i, line) in lines.Index())
        {
            var id = $"eeeeeeee-0000-4000-8000-00000000001{i}";
            visits.Add(Whimbrel, VisitId, new VisitLine(id, line.Kind, line.Text, line.Quantity, line.Price), null);
        }

        visits.HandOver(Whimbrel, VisitId, new VisitEnd("The peep is a new one: tell us if it turns.", again));
    }

    /// <summary>The shoot on Saturday, and what is to be done before it.</summary>
    public static void Plan(ReminderStore plan)
    {
        DateOnly InDays(int days) => plan.Today.AddDays(days);
        NewReminder[] reminders =
        [
            new(Id(1), ReminderKind.Shoot, null, "Autumn field shoot", InDays(5), null),
            new(Id(2), ReminderKind.ByDate, null, "Charge the chronograph, pack spare nocks", InDays(4), null),
            new(Id(3), ReminderKind.ByDate, TallOsk, "Limb bolts looked over, limb tips too", InDays(4), null),
            new(Id(4), ReminderKind.ByShots, Hearthwood, "Wax the string", null, 60),
        ];
        foreach (var reminder in reminders)
        {
            plan.Keep(reminder);
        }
    }

    private static string Id(int number) => $"ffffffff-0000-4000-8000-00000000000{number}";
}
