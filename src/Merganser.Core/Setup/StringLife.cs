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
        fields.Check(SettlingShots is >= 0 and <= 50, "settlingShots", "range", SetupSays.SettlingRange);
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
public sealed record DueItem(
    Message What,
    IReadOnlyList<CheckKind> Checks,
    int? ShotsLeft,
    DateTimeOffset? On,
    bool Now
);

/// <summary>Shots that were fired, in the order of the bench: after so many moves and changes.</summary>
public sealed record FiredShots(int Count, bool Settling, int AfterMove, int AfterChange);

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

    private static readonly AdjusterKind[] StringWork =
    [
        AdjusterKind.TopCable,
        AdjusterKind.BottomCable,
        AdjusterKind.StringTwists,
    ];

    /// <summary>Reads a string's life from what was entered.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="fired">Shots in the order in which they were entered.</param>
    /// <param name="changes">Changes entered by hand, in order, withdrawn ones left out.</param>
    /// <param name="moves">Moves as they really were, in order, each with its ordinal.</param>
    public static StringLife Of(
        StringPlan plan,
        IReadOnlyList<FiredShots> fired,
        IReadOnlyList<(BowChange Change, int Ordinal)> changes,
        IReadOnlyList<(AdjusterKind Kind, int Ordinal)> moves
    )
    {
        var fresh = changes.Where(c => c.Change == BowChange.NewString).Select(c => c.Ordinal).LastOrDefault();
        var workChange = changes.Where(c => ChangeTable.Of(c.Change).Settles).Select(c => c.Ordinal).LastOrDefault();
        var workMove = moves.Where(m => StringWork.Contains(m.Kind)).Select(m => m.Ordinal).LastOrDefault();
        var since =
            workChange == 0 && workMove == 0
                ? plan.SettlingShots
                : fired.Where(f => f.AfterChange >= workChange && f.AfterMove >= workMove).Sum(f => f.Count);
        var onString = fired.Where(f => f.AfterChange >= fresh).ToArray();
        return new StringLife(
            onString.Where(f => !f.Settling).Sum(f => f.Count),
            onString.Where(f => f.Settling).Sum(f => f.Count),
            since,
            plan
        );
    }

    /// <summary>Shots that still settle before any is read.</summary>
    public int SettlingLeft => Math.Max(0, Plan.SettlingShots - ShotsSinceWork);

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
                due.Add(new DueItem(new StringCheckAt(at), checks, at - Shots, null, Shots >= at));
            }
        }

        if (
            practice is Practice.Often or Practice.Daily
            && lastLook is { } look
            && look.AddDays(HeavyUseDays) is var on
            && on <= now.AddDays(DaysAhead)
        )
        {
            due.Add(new DueItem(SetupSays.TwoMonthly, checks, null, on, on <= now));
        }

        return due;
    }
}
