using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Core.Tuning;

/// <summary>A proposal to forget what was learned, since the bow is another one now.</summary>
/// <param name="Change">What was changed.</param>
/// <param name="Kinds">The adjusters whose gains are forgotten; all of them when it is empty.</param>
/// <param name="Words">In a sentence.</param>
public sealed record Forgetting(BowChange Change, IReadOnlyList<AdjusterKind> Kinds, string Words)
{
    /// <summary>What a change makes void, or null where the response stays.</summary>
    public static Forgetting? Of(BowChange change) => change switch
    {
        BowChange.NewString or BowChange.NewCable => new(change, [], $"{ChangeTable.Of(change).Name}: every adjuster answers anew. Forget what was learned before it?"),
        BowChange.DrawLength => new(change, [], "Another draw length: every adjuster answers anew. Forget what was learned before it?"),
        BowChange.NewRest => new(change, [AdjusterKind.RestSideways, AdjusterKind.RestHeight], "New rest: its clicks answer anew, even their direction. Forget what was learned of the rest?"),
        BowChange.NewServing or BowChange.NewLoop => new(change, [AdjusterKind.NockingPoint], $"{ChangeTable.Of(change).Name}: the nocking point answers anew. Forget what was learned of it?"),
        _ => null,
    };
}
