using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Rack;

namespace Merganser.Core.Plans;

/// <summary>A line of the plan.</summary>
/// <param name="ReminderId">The reminder; null for what the program itself counts.</param>
/// <param name="BowId">The bow; null for the bench.</param>
/// <param name="Bow">Its name.</param>
/// <param name="What">What is to be done.</param>
/// <param name="On">The day, or null by shots.</param>
/// <param name="ShotsLeft">Shots until then, or null by day.</param>
/// <param name="When">Day or shots in words.</param>
/// <param name="Standing">How near it is.</param>
public sealed record PlanLine(
    string? ReminderId,
    string? BowId,
    string? Bow,
    Message What,
    DateOnly? On,
    int? ShotsLeft,
    Message When,
    PlanStanding Standing
);

/// <summary>A bow as the plan sees it.</summary>
/// <param name="Id">The bow.</param>
/// <param name="Name">Its name.</param>
/// <param name="State">How it stands, in a line.</param>
/// <param name="Urgency">How much it asks for a hand.</param>
/// <param name="NextStop">Its next stop.</param>
/// <param name="NextWords">The key to it.</param>
/// <param name="NextCheck">Shots until its string is looked at next; null for never.</param>
public sealed record PlanBow(
    string Id,
    string Name,
    Message State,
    RackUrgency Urgency,
    string NextStop,
    Message NextWords,
    int? NextCheck
);

/// <summary>What a bow needs before a shoot.</summary>
/// <param name="Bow">The bow.</param>
/// <param name="Ready">True where nothing is open.</param>
/// <param name="Lines">Of the plan, those that fall due by then.</param>
public sealed record BeforeShoot(PlanBow Bow, bool Ready, IReadOnlyList<PlanLine> Lines);

/// <summary>The next shoot and what is to be done before it.</summary>
/// <param name="Id">Its reminder.</param>
/// <param name="Name">What it is called.</param>
/// <param name="On">Its day.</param>
/// <param name="DaysLeft">Days until then.</param>
/// <param name="Advice">What the trade says of the days before a shoot.</param>
/// <param name="Bows">Every bow, those that need something first.</param>
/// <param name="Bench">What is to be done that is of no bow.</param>
public sealed record NextShoot(
    string Id,
    string Name,
    DateOnly On,
    int DaysLeft,
    Message Advice,
    IReadOnlyList<BeforeShoot> Bows,
    IReadOnlyList<PlanLine> Bench
);

/// <summary>Everything that is to be done, and the shoot before which it is.</summary>
/// <param name="Lines">What waits, the nearest first.</param>
/// <param name="Shoot">The next shoot; null for none.</param>
/// <param name="Next">The one next step.</param>
public sealed record SeasonPlan(IReadOnlyList<PlanLine> Lines, NextShoot? Shoot, Next Next)
{
    /// <summary>
    /// In the last days before a shoot nothing new goes on a bow: there is no time to learn what it did (common
    /// practice, no source).
    /// </summary>
    public const int NothingNewDays = 7;

    /// <summary>Makes the plan.</summary>
    /// <param name="reminders">Those that wait.</param>
    /// <param name="bows">Every bow on the rack.</param>
    /// <param name="today">The day it is.</param>
    public static SeasonPlan Of(IReadOnlyList<Reminder> reminders, IReadOnlyList<PlanBow> bows, DateOnly today)
    {
        var hung = bows.ToDictionary(b => b.Id);
        PlanLine[] lines =
        [
            .. reminders
                .Where(r => r.BowId is null || hung.ContainsKey(r.BowId))
                .Select(r => Line(r, r.BowId is { } bow ? hung[bow].Name : null, today))
                .Concat(bows.Where(b => b.NextCheck is not null).Select(StringLook))
                .OrderBy(l => l.Standing)
                .ThenBy(l => l.On ?? DateOnly.MaxValue)
                .ThenBy(l => l.ShotsLeft),
        ];
        var shoot = reminders
            .Where(r => r.Kind == ReminderKind.Shoot && r.On >= today)
            .OrderBy(r => r.On)
            .Select(r => Before(r, lines, bows, today))
            .FirstOrDefault();
        return new SeasonPlan(lines, shoot, NextOf(lines, shoot));
    }

    private static PlanLine Line(Reminder reminder, string? bow, DateOnly today) =>
        new(
            reminder.Id,
            reminder.BowId,
            bow,
            new Verbatim(reminder.Text),
            reminder.On,
            reminder.ShotsLeft,
            reminder.On is { } on
                ? new OnDay(on, on.DayNumber - today.DayNumber)
                : new InShots(reminder.ShotsLeft!.Value),
            reminder.Standing(today)
        );

    private static PlanLine StringLook(PlanBow bow)
    {
        var left = bow.NextCheck!.Value;
        return new PlanLine(
            null,
            bow.Id,
            bow.Name,
            PlanSays.LookAtTheString,
            null,
            left,
            new InShots(left),
            Reminder.StandingOf(left)
        );
    }

    private static NextShoot Before(
        Reminder shoot,
        IReadOnlyList<PlanLine> lines,
        IReadOnlyList<PlanBow> bows,
        DateOnly today
    )
    {
        var left = shoot.On!.Value.DayNumber - today.DayNumber;
        PlanLine[] until = [.. lines.Where(l => l.ReminderId != shoot.Id && FallsBy(l, shoot.On.Value))];
        return new NextShoot(
            shoot.Id,
            shoot.Text,
            shoot.On.Value,
            left,
            left > NothingNewDays ? new NothingNewFrom(shoot.On.Value.AddDays(-NothingNewDays)) : PlanSays.NothingNew,
            [
                .. bows.Select(b => new BeforeShoot(
                        b,
                        b.Urgency == RackUrgency.Rests && until.All(l => l.BowId != b.Id),
                        [.. until.Where(l => l.BowId == b.Id)]
                    ))
                    .OrderBy(b => b.Ready)
                    .ThenBy(b => b.Bow.Urgency),
            ],
            [.. until.Where(l => l.BowId is null)]
        );
    }

    private static bool FallsBy(PlanLine line, DateOnly day) =>
        line.On is { } on ? on <= day : line.Standing <= PlanStanding.Soon;

    private static Next NextOf(IReadOnlyList<PlanLine> lines, NextShoot? shoot)
    {
        var first = lines.FirstOrDefault(l => l.Standing <= PlanStanding.Now);
        var open = shoot?.Bows.FirstOrDefault(b => !b.Ready && b.Bow.Urgency != RackUrgency.Rests);
        return (first, open) switch
        {
            ({ ReminderId: { } id }, _) => new Next(
                new DoItNow(first.Bow, first.What),
                first.When,
                $"done:{id}",
                PlanSays.ItIsDone,
                PlanSays.AddToThePlan,
                "add"
            ),
            ({ BowId: { } bow }, _) => new Next(
                new DoItNow(first.Bow, first.What),
                first.When,
                $"bows/{bow}/bow?way=string",
                PlanSays.ToTheString,
                PlanSays.AddToThePlan,
                "add"
            ),
            (_, { Bow: var bow }) => new Next(
                new DoItNow(bow.Name, bow.State),
                new DaysUntil(shoot!.Name, shoot.DaysLeft),
                $"bows/{bow.Id}/{bow.NextStop}",
                bow.NextWords,
                PlanSays.AddToThePlan,
                "add"
            ),
            _ when lines.Count == 0 => new Next(
                PlanSays.NothingPlanned,
                PlanSays.EnterTheShoot,
                "add",
                PlanSays.AddToThePlan
            ),
            _ => new Next(
                PlanSays.NothingIsDue,
                new FirstThing(lines[0].What, lines[0].When),
                "add",
                PlanSays.AddToThePlan
            ),
        };
    }
}
