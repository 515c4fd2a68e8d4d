using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;

namespace Merganser.Core.Tuning;

/// <summary>A proposal to forget what was learned, since the bow is another one now.</summary>
/// <param name="Change">What was changed.</param>
/// <param name="Kinds">The adjusters whose gains are forgotten; all of them when it is empty.</param>
public sealed record Forgetting(BowChange Change, IReadOnlyList<AdjusterKind> Kinds)
{
    /// <summary>The question.</summary>
    public Message Words => new ForgetAfter(Change);

    /// <summary>What a change makes void, or null where the response stays.</summary>
    public static Forgetting? Of(BowChange change) =>
        change switch
        {
            BowChange.NewString or BowChange.NewCable or BowChange.DrawLength => new(change, []),
            BowChange.NewRest => new(change, [AdjusterKind.RestSideways, AdjusterKind.RestHeight]),
            BowChange.NewServing or BowChange.NewLoop => new(change, [AdjusterKind.NockingPoint]),
            _ => null,
        };

    /// <summary>Changes since the last reset that make doubtful what a session has learned.</summary>
    /// <param name="changes">The newest change of each kind, with its place among all.</param>
    /// <param name="afterChange">How many changes had been entered at the last reset.</param>
    /// <param name="firstShot">When the session's first shot was; without one nothing was learned.</param>
    public static IReadOnlyList<Forgetting> After(
        IReadOnlyList<RecordedChange> changes,
        int afterChange,
        DateTimeOffset? firstShot
    ) =>
        [
            .. changes
                .Where(c => c.Ordinal > afterChange && c.HappenedAt >= firstShot)
                .Select(c => Of(c.Change))
                .OfType<Forgetting>(),
        ];
}
