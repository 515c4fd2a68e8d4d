using Merganser.Core.Setup;

namespace Merganser.Core.Story;

/// <summary>Shots that were fired at one time.</summary>
public sealed record FiredAt(DateTimeOffset At, int Count);

/// <summary>How many shots a string had at any time of a stretch, and when its checks fell due.</summary>
/// <param name="Before">Shots on the string as the stretch begins.</param>
/// <param name="Fired">What was fired in it, in order.</param>
/// <param name="PutOn">When a new string was put on in it, in order.</param>
public sealed record StringCount(int Before, IReadOnlyList<FiredAt> Fired, IReadOnlyList<DateTimeOffset> PutOn)
{
    /// <summary>Shots on the string at a time.</summary>
    public int At(DateTimeOffset time)
    {
        var fresh = PutOn.LastOrDefault(at => at <= time);
        return fresh == default
            ? Before + Fired.Where(f => f.At <= time).Sum(f => f.Count)
            : Fired.Where(f => f.At > fresh && f.At <= time).Sum(f => f.Count);
    }

    /// <summary>When each check of the plan fell due in the stretch: at which shots.</summary>
    public IReadOnlyList<(DateTimeOffset At, int Shots)> FellDue(StringPlan plan)
    {
        if (plan.School != StringSchool.BreakIn)
        {
            return [];
        }

        List<(DateTimeOffset, int)> due = [];
        var (count, strings) = (Before, new Queue<DateTimeOffset>(PutOn));
        foreach (var fired in Fired)
        {
            while (strings.TryPeek(out var on) && on < fired.At)
            {
                (count, _) = (0, strings.Dequeue());
            }

            due.AddRange(
                plan.ChecksAt.Where(at => at > count && at <= count + fired.Count).Select(at => (fired.At, at))
            );
            count += fired.Count;
        }

        return due;
    }
}
