using Merganser.Core.Messages;
using Merganser.Core.Paper;

namespace Merganser.Core.Story;

/// <summary>A tear over time: its length, and the 95 % bar of it.</summary>
public sealed record StripTear(DateTimeOffset At, string PaperId, double Length, double Low, double High);

/// <summary>Bare tears over days, and the longest time without any.</summary>
/// <param name="Tears">In order.</param>
/// <param name="Tolerance">What is good enough, inches.</param>
/// <param name="GapFrom">Where the longest gap begins; null for none worth telling.</param>
/// <param name="GapTo">Where it ends.</param>
/// <param name="Gap">It in words.</param>
public sealed record TearStrip(
    IReadOnlyList<StripTear> Tears,
    double Tolerance,
    DateTimeOffset? GapFrom,
    DateTimeOffset? GapTo,
    Message? Gap
)
{
    /// <summary>Sets in the picture at the most, the newest.</summary>
    public const int Most = 60;

    private const int WorthTelling = 14;

    /// <summary>Of some sets in order.</summary>
    /// <param name="sets">The sets.</param>
    /// <param name="shotsBetween">Shots of the bow between two times.</param>
    public static TearStrip Of(IReadOnlyList<StorySet> sets, Func<DateTimeOffset, DateTimeOffset, int> shotsBetween)
    {
        StripTear[] tears = [.. sets.Where(s => s.IsBarePaper).Select(Tear)];
        var gap = tears
            .Zip(tears.Skip(1), (a, b) => (From: a.At, To: b.At))
            .OrderByDescending(g => g.To - g.From)
            .FirstOrDefault();
        var days = (int)(gap.To - gap.From).TotalDays;
        return days < WorthTelling
            ? new TearStrip(tears, Tolerances.Usual, null, null, null)
            : new TearStrip(
                tears,
                Tolerances.Usual,
                gap.From,
                gap.To,
                new NoPaperFor(days, shotsBetween(gap.From, gap.To))
            );
    }

    private static StripTear Tear(StorySet set)
    {
        var mean = set.Mean!;
        var (length, radius) = (mean.Mean.Length, mean.Radius);
        return new StripTear(set.At, set.PaperId, length, Math.Max(0, length - radius), length + radius);
    }
}
