using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// The groups of one set at a target: what the bare shafts show against the fletched arrows. It is looked at after each
/// pair, so that its error over a session is the stated one; a shot without a partner waits.
/// </summary>
public sealed class GroupReading
{
    /// <summary>Pairs beyond which the finer limit holds.</summary>
    private const int ManyPairs = 10;

    /// <summary>Most pairs whose power is told.</summary>
    private const int PairsAhead = 4;

    private readonly SessionSet set;
    private readonly Lazy<int?> more;

    /// <param name="set">A set at a target.</param>
    public GroupReading(SessionSet set)
    {
        this.set = set;
        Scale = new TargetScale(set.Stage.Distance);
        ShotReading[] bare = [.. GroupPairs.Counting(set, ArrowKind.Bare)];
        ShotReading[] fletched = [.. GroupPairs.Counting(set, ArrowKind.Fletched)];
        (Bare, Fletched, Pairs) = (bare.Length, fletched.Length, Math.Min(bare.Length, fletched.Length));
        if (Pairs >= 2)
        {
            var lower = new Impact(0, set.BareHigh);
            Offset = new GroupOffset(
                new ArrowGroup([.. bare.Take(Pairs).Select(s => s.Marked.Impact - lower)]),
                new ArrowGroup([.. fletched.Take(Pairs).Select(s => s.Marked.Impact)])
            );
        }

        more = new(() => Offset?.MoreToDecide(Scale.Tolerance / Offset.Spread, Looks));
    }

    /// <summary>The scale of its distance.</summary>
    public TargetScale Scale { get; }

    /// <summary>Bare shafts that count.</summary>
    public int Bare { get; }

    /// <summary>Fletched arrows that count.</summary>
    public int Fletched { get; }

    /// <summary>Complete pairs.</summary>
    public int Pairs { get; }

    /// <summary>How much higher a bare shaft strikes for its weight alone: taken off, inches.</summary>
    public double BareHigh => set.BareHigh;

    /// <summary>Bare against fletched, or null below two pairs.</summary>
    public GroupOffset? Offset { get; }

    /// <summary>How often it is looked.</summary>
    public LookingRule Looks => LooksAt(Pairs);

    /// <summary>What is shown, or null below two pairs.</summary>
    public GroupVerdict? Verdict => Offset?.Verdict(Looks);

    /// <summary>More pairs that would show an offset as long as the tolerance, four times in five.</summary>
    public int? MoreToDecide => more.Value;

    /// <summary>The same in words, or null where nothing is read yet or nothing more is wanted.</summary>
    /// <param name="sentence">False where it stands inside a sentence.</param>
    public Message? More(bool sentence = true) =>
        MoreToDecide is > 0 and { } pairs ? new MoreOfEach(pairs, Measure.Inches(Scale.Tolerance), sentence) : null;

    /// <summary>Chance that so many pairs show an offset as long as the tolerance: now, and with more.</summary>
    public IReadOnlyList<(int Pairs, double Chance)> Powers =>
        Offset is null ? [] : [.. Enumerable.Range(Pairs, PairsAhead + 1).Select(n => (n, PowerOf(n)))];

    /// <summary>Chance that so many of each show an offset as long as the tolerance.</summary>
    public double PowerOf(int pairs) =>
        GroupOffset.Power(pairs, pairs, Scale.Tolerance / Offset!.Spread, GroupOffset.Threshold(LooksAt(pairs)));

    private static LookingRule LooksAt(int pairs) => pairs > ManyPairs ? LookingRule.Beyond : LookingRule.EachPair;

    /// <summary>What they show, or null before the first shot.</summary>
    public Message? Words =>
        Offset is { } offset
            ? new OffsetShown(Measure.Inches(offset.Offset.X), Measure.Inches(offset.Offset.Y), Verdict!.Value)
        : Bare + Fletched > 0 ? new PairsToGo(2 - Pairs)
        : null;
}
