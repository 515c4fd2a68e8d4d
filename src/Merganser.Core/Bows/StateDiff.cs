namespace Merganser.Core.Bows;

/// <summary>One move that leads back to an earlier state.</summary>
public sealed record WayBackMove(AdjusterKind Kind, string Name, int From, int To, string Order, bool NeedsPress);

/// <summary>The moves between two states of a bow.</summary>
public static class StateDiff
{
    /// <summary>What leads from the present positions back to earlier ones; adjusters that are not fitted any more are left out.</summary>
    public static IReadOnlyList<WayBackMove> WayBack(IReadOnlyList<Adjuster> now, IReadOnlyList<Adjuster> then, Hand hand) =>
    [
        .. from adjuster in now
           let earlier = then.FirstOrDefault(t => t.Kind == adjuster.Kind)
           where earlier is not null && earlier.Position != adjuster.Position
           let fact = AdjusterTable.Of(adjuster.Kind)
           orderby adjuster.NeedsPress descending, adjuster.Kind
           select new WayBackMove(adjuster.Kind, fact.Name, adjuster.Position, earlier.Position, fact.Order(earlier.Position - adjuster.Position, hand), adjuster.NeedsPress),
    ];
}
