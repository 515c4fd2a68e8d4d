using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Plans;

/// <summary>What makes a reminder fall due.</summary>
public enum ReminderKind
{
    /// <summary>A day.</summary>
    ByDate,

    /// <summary>So many shots of a bow.</summary>
    ByShots,

    /// <summary>A shoot: the day before which everything is to be in order.</summary>
    Shoot,
}

/// <summary>Whether a reminder still waits.</summary>
public enum ReminderState
{
    Open,
    Done,
    Dropped,
}

/// <summary>Something to be done.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="BowId">The bow; null for the bench as a whole.</param>
/// <param name="Kind">By day, by shots, or a shoot.</param>
/// <param name="Text">What, in the words of whoever entered it.</param>
/// <param name="On">The day; null by shots.</param>
/// <param name="AfterShots">Shots of the bow, counted from when it was entered; null by day.</param>
/// <param name="ShotsLeft">Of these, those not shot yet; below 0 it is late.</param>
/// <param name="State">Whether it waits.</param>
/// <param name="EndedAt">When it was done or dropped.</param>
public sealed record Reminder(
    string Id,
    string? BowId,
    ReminderKind Kind,
    string Text,
    DateOnly? On,
    int? AfterShots,
    int? ShotsLeft,
    ReminderState State,
    DateTimeOffset? EndedAt
)
{
    /// <summary>At noon a day is the same day nearly everywhere.</summary>
    private static readonly TimeOnly Noon = new(12, 0);

    /// <summary>Longest text.</summary>
    public const int LongestText = 120;

    /// <summary>Farthest day, in years from now.</summary>
    public const int YearsAhead = 5;

    /// <summary>How near it is.</summary>
    /// <param name="today">The day it is.</param>
    public PlanStanding Standing(DateOnly today) =>
        (On, ShotsLeft) switch
        {
            ({ } on, _) when on < today => PlanStanding.Late,
            ({ } on, _) when on == today => PlanStanding.Now,
            ({ } on, _) => on.DayNumber - today.DayNumber <= StringLife.DaysAhead
                ? PlanStanding.Soon
                : PlanStanding.Later,
            (_, var left) => StandingOf(left!.Value),
        };

    /// <summary>How near something is that goes by shots.</summary>
    /// <param name="left">Shots until then; below 0 it is late.</param>
    public static PlanStanding StandingOf(int left) =>
        left switch
        {
            < 0 => PlanStanding.Late,
            0 => PlanStanding.Now,
            <= StringLife.ShotsAhead => PlanStanding.Soon,
            _ => PlanStanding.Later,
        };

    /// <summary>As a thing that is due on a bow; null while it is far, or no longer waits.</summary>
    /// <param name="today">The day it is.</param>
    public DueItem? Due(DateOnly today)
    {
        var standing = Standing(today);
        return State != ReminderState.Open || standing == PlanStanding.Later
            ? null
            : new DueItem(
                new Verbatim(Text),
                [],
                ShotsLeft,
                On is { } on ? new DateTimeOffset(on, Noon, TimeSpan.Zero) : null,
                standing <= PlanStanding.Now,
                Id
            );
    }

    /// <summary>The next day on which it shows otherwise though nothing is entered; null for never.</summary>
    /// <param name="today">The day it is.</param>
    public DateOnly? Changes(DateOnly today) =>
        State != ReminderState.Open || On is not { } on || on <= today ? null
        : on.AddDays(-StringLife.DaysAhead) is var shown && shown > today ? shown
        : on;

    /// <summary>Shots from now as typed; nothing where none are said.</summary>
    /// <exception cref="RefusedException">It is no whole number, or out of range.</exception>
    public static int? ShotsOf(string? typed)
    {
        var fields = new FieldReader();
        var shots = fields.Number(
            "afterShots",
            typed,
            n => n is null || double.IsInteger(n.Value),
            ArrowSays.WholeNumber
        );
        fields.ThrowIfAny();
        return shots is { } whole ? (int)Math.Clamp(whole, int.MinValue, int.MaxValue) : null;
    }

    /// <summary>A reminder that can be kept.</summary>
    /// <exception cref="RefusedException">A field cannot be; each is named.</exception>
    public static void Check(ReminderKind kind, string? bowId, string text, DateOnly? on, int? shots, DateOnly today)
    {
        var fields = new FieldReader();
        fields.Check(text.Length > 0, "text", "missing", PlanSays.SayWhat);
        fields.Check(text.Length <= LongestText, "text", "too-long", new TooLong(LongestText));
        if (kind == ReminderKind.ByShots)
        {
            fields.Check(bowId is not null, "bowId", "missing", PlanSays.ShotsOfWhichBow);
            fields.Check(shots is > 0 and <= StringPlan.MostShots, "afterShots", "range", PlanSays.ShotsRange);
        }
        else
        {
            fields.Check(on is not null, "on", "missing", PlanSays.OnWhichDay);
            fields.Check(on is null || on >= today, "on", "range", PlanSays.DayHasGone);
            fields.Check(on is null || on <= today.AddYears(YearsAhead), "on", "range", PlanSays.DayIsFar);
        }

        fields.ThrowIfAny();
    }
}

/// <summary>How near something is, the nearest first.</summary>
public enum PlanStanding
{
    Late,
    Now,
    Soon,
    Later,
}
