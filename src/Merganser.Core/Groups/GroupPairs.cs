using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Groups;

/// <summary>An arrow of a group.</summary>
public enum ArrowKind
{
    /// <summary>With vanes.</summary>
    Fletched,

    /// <summary>A shaft without vanes.</summary>
    Bare,

    /// <summary>With vanes and a field point, beside broadheads.</summary>
    FieldPoint,

    /// <summary>With vanes and a broadhead.</summary>
    Broadhead,
}

/// <summary>How a shaft stands in the target, as the archer sees it.</summary>
public enum Slant
{
    /// <summary>Nock and point in one line of sight.</summary>
    Straight,

    /// <summary>The nock stands left of the point.</summary>
    NockLeft,

    /// <summary>Right of it.</summary>
    NockRight,

    /// <summary>Above it.</summary>
    NockHigh,

    /// <summary>Below it.</summary>
    NockLow,
}

/// <summary>How an arrow was seen to fly.</summary>
public enum Flight
{
    /// <summary>Straight in.</summary>
    Clean,

    /// <summary>Its tail went round: contact, a bent shaft, a vane.</summary>
    Corkscrew,

    /// <summary>Its tail swung from side to side.</summary>
    Fishtail,

    /// <summary>Its tail swung up and down.</summary>
    Porpoise,
}

/// <summary>
/// A set at a target as the engine reads it: one observation is one pair, the k-th bare shaft with the k-th fletched
/// arrow of the same setting, or the k-th head with the k-th field point. A shot without a partner waits for it.
/// </summary>
internal static class GroupPairs
{
    /// <summary>The complete pairs of a set, each as the tear it stands for.</summary>
    public static IReadOnlyList<ShotReading> Of(SessionSet set)
    {
        var scale = new TargetScale(set.Stage.Distance, set.Stage.Heads);
        var (tested, reference) = KindsOf(set.Stage.Heads);
        return [.. Counting(set, tested).Zip(Counting(set, reference), Pair)];

        ShotReading Pair(ShotReading one, ShotReading other)
        {
            var later = one.Number > other.Number ? one : other;
            var offset = one.Marked.Impact - other.Marked.Impact - new Impact(0, set.BareHigh) + set.MarkedSince;
            var tear = scale.TearOf(offset);
            return later with
            {
                Marked = new ShotMarked(set.Id, new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide),
                Doubtful = one.Doubtful || other.Doubtful,
            };
        }
    }

    /// <summary>What is tested, and what it is held against.</summary>
    public static (ArrowKind Tested, ArrowKind Reference) KindsOf(bool heads) =>
        heads ? (ArrowKind.Broadhead, ArrowKind.FieldPoint) : (ArrowKind.Bare, ArrowKind.Fletched);

    /// <summary>The shots of one kind that count, in order.</summary>
    public static IEnumerable<ShotReading> Counting(SessionSet set, ArrowKind kind) =>
        set.Shots.Where(s => s.Counts && s.Marked.Arrow == kind);
}
