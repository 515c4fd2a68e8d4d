using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>One of two ways as it was shot.</summary>
/// <param name="Way">Which.</param>
/// <param name="Name">What the archer calls it.</param>
/// <param name="Group">Its arrows; null below two.</param>
/// <param name="Count">How many.</param>
public sealed record WayGroup(WayShot Way, string Name, ArrowGroup? Group, int Count);

/// <summary>
/// Two ways compared: the hits of one day with the bow as it stands, each way about its own centre. The size is the
/// finding, the offset of the centres is told beside it. Other days are kept apart.
/// </summary>
public sealed class WaysReading
{
    /// <param name="sets">Sets of one stage, setting and day, the newest last.</param>
    public WaysReading(IReadOnlyList<SessionSet> sets)
    {
        var stage = sets[^1].Stage;
        Ways = stage.Ways ?? throw new ArgumentException("Two ways are compared.", nameof(sets));
        (Yards, Sets) = (stage.Distance, [.. sets.Select(s => s.Number)]);
        ShotReading[] hits = [.. sets.SelectMany(s => s.Shots).Where(s => s is { Counts: true, Marked.Way: not null })];
        Order = [.. hits.Select(h => h.Marked.Way!.Value)];
        (First, Second) = (Of(WayShot.First), Of(WayShot.Second));
        if (First.Group is { } first && Second.Group is { } second)
        {
            Offset = new GroupOffset(first, second);
            Size = Least >= TwoWays.LeastOfEach ? new SizeTest(first, second) : null;
            Strings = hits.Length >= StringTest.LeastArrows ? new StringTest([first, second]) : null;
        }

        WayGroup Of(WayShot way)
        {
            Impact[] own = [.. hits.Where(h => h.Marked.Way == way).Select(h => h.Marked.Impact)];
            return new WayGroup(way, Ways.NameOf(way), own.Length < 2 ? null : new ArrowGroup(own), own.Length);
        }
    }

    /// <summary>What is compared.</summary>
    public TwoWays Ways { get; }

    /// <summary>From where, yards.</summary>
    public double Yards { get; }

    /// <summary>The numbers of the sets that are read together.</summary>
    public IReadOnlyList<int> Sets { get; }

    /// <summary>The one way.</summary>
    public WayGroup First { get; }

    /// <summary>The other.</summary>
    public WayGroup Second { get; }

    /// <summary>The ways in the order in which they were shot.</summary>
    public IReadOnlyList<WayShot> Order { get; }

    /// <summary>Hits that count.</summary>
    public int Count => First.Count + Second.Count;

    /// <summary>The fewer of the two.</summary>
    public int Least => Math.Min(First.Count, Second.Count);

    /// <summary>Which way is shot next.</summary>
    public WayShot Next => TwoWays.Next([.. Order]);

    /// <summary>Centre of the first less that of the second; null below two of each.</summary>
    public GroupOffset? Offset { get; }

    /// <summary>Their sizes; null below <see cref="TwoWays.LeastOfEach"/> of each.</summary>
    public SizeTest? Size { get; }

    /// <summary>Whether the hits stand in strings; null for few.</summary>
    public StringTest? Strings { get; }

    /// <summary>What is shown of the centres, held to 5 % over the looks; null below two of each.</summary>
    public GroupVerdict? Apart => Offset?.Verdict(Looks);

    /// <summary>How often it is looked.</summary>
    /// <remarks>After each arrow, and one way may be wider than the other: always by the finer limit.</remarks>
    public LookingRule Looks => LookingRule.Beyond;

    /// <summary>More of each way that show groups twice as wide four times in five.</summary>
    public int More => Math.Max(0, SizeTest.WantedForTwice - Least);

    /// <summary>The tighter way where that is clear.</summary>
    public WayGroup? Tighter => Size is { Verdict: GroupVerdict.Clear } size ? (size.Ratio < 1 ? First : Second) : null;

    /// <summary>What is seen; null before the first hit.</summary>
    public Message? Words =>
        Count == 0 ? null
        : Size is { } size
            ? new WaysShown(
                size.Ratio <= 1 ? First.Name : Second.Name,
                size.Ratio <= 1 ? Second.Name : First.Name,
                Measure.Plain(size.Wider.Ratio, 1),
                size.Verdict
            )
        : new WaysTooFew(TwoWays.LeastOfEach, First.Name, First.Count, Second.Name, Second.Count);
}
