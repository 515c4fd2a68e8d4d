using Merganser.Core.Messages;

namespace Merganser.Core.Bows;

/// <summary>One move that leads back to an earlier state.</summary>
public sealed record WayBackMove(AdjusterKind Kind, double From, double To, bool NeedsPress)
{
    /// <summary>The adjuster's name.</summary>
    public Message Name => new AdjusterName(Kind);

    /// <summary>What is to be done.</summary>
    public Message Order => new Order(Kind, To - From);
}

/// <summary>The moves between two states of a bow.</summary>
public static class StateDiff
{
    /// <summary>
    /// What leads from the present positions back to earlier ones, what needs a press first; adjusters that are not
    /// fitted any more are left out.
    /// </summary>
    public static IReadOnlyList<WayBackMove> WayBack(IReadOnlyList<Adjuster> now, IReadOnlyList<Adjuster> then) =>
        [
            .. from adjuster in now
            let earlier = then.FirstOrDefault(t => t.Kind == adjuster.Kind)
            where earlier is not null && earlier.Position != adjuster.Position
            orderby adjuster.NeedsPress descending, adjuster.Kind
            select new WayBackMove(adjuster.Kind, adjuster.Position, earlier.Position, adjuster.NeedsPress),
        ];
}
