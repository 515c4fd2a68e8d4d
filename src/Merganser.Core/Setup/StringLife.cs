using Merganser.Core.Bows;
using Merganser.Core.Messages;

namespace Merganser.Core.Setup;

/// <summary>How a string is looked after while it settles: both schools are in use.</summary>
public enum StringSchool
{
    /// <summary>
    /// Check timing, peep and tune after so many shots; the default at 100 and 300, because a check is cheap.
    /// </summary>
    BreakIn,

    /// <summary>A pre-stretched string: no check asked.</summary>
    PreStretched,
}

/// <summary>The plan for a string.</summary>
/// <param name="School">Break-in or pre-stretched.</param>
/// <param name="ChecksAt">Shots at which timing, peep and tune are looked at, ascending.</param>
/// <param name="SettlingShots">Shots after string work that are not read; usually 5.</param>
public sealed record StringPlan(StringSchool School, IReadOnlyList<int> ChecksAt, int SettlingShots)
{
    /// <summary>100 and 300 shots, 5 to settle (trade practice).</summary>
    public static StringPlan Usual { get; } = new(StringSchool.BreakIn, [100, 300], 5);

    /// <summary>Most shots that a plan may name: no string is shot longer.</summary>
    public const int MostShots = 20_000;

    /// <summary>Most shots that settle string work.</summary>
    public const int MostSettling = 50;

    /// <summary>The plan, when it can be.</summary>
    /// <exception cref="Figures.RefusedException">A count is out of range or the checks are not ascending.</exception>
    public StringPlan Checked()
    {
        var fields = new Figures.FieldReader();
        fields.Check(
            ChecksAt.Count <= 8
                && ChecksAt.All(c => c is > 0 and <= MostShots)
                && ChecksAt.SequenceEqual(ChecksAt.Distinct().Order()),
            "checksAt",
            "range",
            SetupSays.CountsAscending
        );
        fields.Check(SettlingShots is >= 0 and <= MostSettling, "settlingShots", "range", SetupSays.SettlingRange);
        fields.ThrowIfAny();
        return this;
    }
}

/// <summary>Something that is due, or will be soon.</summary>
/// <param name="What">What it is.</param>
/// <param name="Checks">What is looked at then.</param>
/// <param name="ShotsLeft">Shots until then; 0 or less is now; null when it goes by date.</param>
/// <param name="On">The date, or null when it goes by shots.</param>
/// <param name="Now">True when it is due.</param>
/// <param name="ReminderId">The reminder that says so; null for what the program counts itself.</param>
public sealed record DueItem(
    Message What,
    IReadOnlyList<CheckKind> Checks,
    int? ShotsLeft,
    DateTimeOffset? On,
    bool Now,
    string? ReminderId
);

/// <summary>Where in a bow's record the present life of its string begins.</summary>
/// <param name="Fresh">Ordinal of the change that put it on; 0 for the first.</param>
/// <param name="Change">Ordinal of the last change that was string work; 0 for none.</param>
/// <param name="Move">Ordinal of the last move that was string work; 0 for none.</param>
public sealed record StringWork(int Fresh, int Change, int Move)
{
    private static readonly AdjusterKind[] Adjusters =
    [
        AdjusterKind.TopCable,
        AdjusterKind.BottomCable,
        AdjusterKind.StringTwists,
    ];

    /// <summary>True when nothing was ever done to it: nothing settles.</summary>
    public bool IsNone => Change == 0 && Move == 0;

    /// <summary>Reads it from what was entered.</summary>
    /// <param name="changes">Changes entered by hand, in order, withdrawn ones left out.</param>
    /// <param name="moves">Moves as they really were, in order, each with its ordinal.</param>
    public static StringWork Of(
        IReadOnlyList<RecordedChange> changes,
        IReadOnlyList<(AdjusterKind Kind, int Ordinal)> moves
    ) =>
        new(
            changes.Where(c => c.Change == BowChange.NewString).Select(c => c.Ordinal).LastOrDefault(),
            changes.Where(c => ChangeTable.Of(c.Change).Settles).Select(c => c.Ordinal).LastOrDefault(),
            moves.Where(m => Adjusters.Contains(m.Kind)).Select(m => m.Ordinal).LastOrDefault()
        );
}

/// <summary>The shots of a string, added up.</summary>
/// <param name="Read">Since it was put on, those that were read.</param>
/// <param name="Settling">Since it was put on, those that settled string work.</param>
/// <param name="SinceWork">All of them since the last string work, of which no more count than settle it.</param>
public sealed record StringShots(int Read, int Settling, int SinceWork);

/// <summary>The string's life in shots, and what is due.</summary>
/// <param name="Shots">Shots on this string that were read.</param>
/// <param name="Settling">Shots that settled new string work, counted apart.</param>
/// <param name="ShotsSinceWork">Shots since the last string work, all of them.</param>
/// <param name="Plan">The plan.</param>
public sealed record StringLife(int Shots, int Settling, int ShotsSinceWork, StringPlan Plan)
{
    /// <summary>How far ahead a check is shown, shots.</summary>
    public const int ShotsAhead = 25;

    /// <summary>How far ahead a date is shown, days.</summary>
    public const int DaysAhead = 7;

    /// <summary>Days between the checks of someone who shoots a lot (two months, trade practice).</summary>
    public const int HeavyUseDays = 61;

    private static readonly CheckKind[] Compound = [CheckKind.CamTiming, CheckKind.Peep, CheckKind.Paper];
    private static readonly CheckKind[] Plain = [CheckKind.BraceHeight, CheckKind.NockingPoint, CheckKind.Paper];

    /// <summary>Reads a string's life.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="work">Where it begins.</param>
    /// <param name="shots">What was shot since.</param>
    public static StringLife Of(StringPlan plan, StringWork work, StringShots shots) =>
        new(shots.Read, shots.Settling, work.IsNone ? plan.SettlingShots : shots.SinceWork, plan);

    /// <summary>Shots that still settle before any is read.</summary>
    public int SettlingLeft => Math.Max(0, Plan.SettlingShots - ShotsSinceWork);

    /// <summary>So many shots as they are entered by hand: those that settle the string first.</summary>
    public (int Settling, int Read) Split(int shots)
    {
        var settling = Math.Min(shots, SettlingLeft);
        return (settling, shots - settling);
    }

    /// <summary>When what is due changes though nothing is entered; null for never.</summary>
    /// <param name="practice">How often the archer shoots.</param>
    /// <param name="lastLook">When timing or brace height was last looked at, or null.</param>
    /// <param name="now">The time now.</param>
    public static DateTimeOffset? DueChanges(Practice practice, DateTimeOffset? lastLook, DateTimeOffset now)
    {
        if (LooksAgainOn(practice, lastLook) is not { } on)
        {
            return null;
        }

        var shown = on.AddDays(-DaysAhead);
        return shown > now ? shown
            : on > now ? on
            : null;
    }

    /// <summary>Due by shots and by date, the nearest first.</summary>
    /// <param name="kind">The bow's kind.</param>
    /// <param name="checkedAt">The shots at which a string check was last done.</param>
    /// <param name="practice">How often the archer shoots.</param>
    /// <param name="lastLook">When timing or brace height was last looked at, or null.</param>
    /// <param name="now">The time now.</param>
    public IReadOnlyList<DueItem> Due(
        BowKind kind,
        int checkedAt,
        Practice practice,
        DateTimeOffset? lastLook,
        DateTimeOffset now
    )
    {
        List<DueItem> due = [];
        var checks = kind == BowKind.Compound ? Compound : Plain;
        if (Plan.School == StringSchool.BreakIn)
        {
            var next = Plan.ChecksAt.Where(at => at > checkedAt).Cast<int?>().FirstOrDefault();
            if (next is { } at && at - Shots <= ShotsAhead)
            {
                due.Add(new DueItem(new StringCheckAt(at), checks, at - Shots, null, Shots >= at, null));
            }
        }

        if (LooksAgainOn(practice, lastLook) is { } on && on <= now.AddDays(DaysAhead))
        {
            due.Add(new DueItem(SetupSays.TwoMonthly, checks, null, on, on <= now, null));
        }

        return due;
    }

    private static DateTimeOffset? LooksAgainOn(Practice practice, DateTimeOffset? lastLook) =>
        practice is Practice.Often or Practice.Daily ? lastLook?.AddDays(HeavyUseDays) : null;
}
