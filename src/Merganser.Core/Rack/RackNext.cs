using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Rack;

/// <summary>A bow on the rack and how it stands.</summary>
/// <param name="Id">The bow.</param>
/// <param name="Name">Its name.</param>
/// <param name="State">How it stands, and its next stop.</param>
public sealed record RackStanding(string Id, string Name, RackState State);

/// <summary>The one next step at the rack.</summary>
public static class RackNext
{
    /// <summary>The bow that it speaks of; null on an empty rack.</summary>
    public static RackStanding? FirstOf(IReadOnlyList<RackStanding> rack) => rack.MinBy(b => b.State.Urgency);

    /// <summary>An unsound bow first, then one with something due, then one in work, each as it hangs.</summary>
    public static Next Of(IReadOnlyList<RackStanding> rack)
    {
        var first = FirstOf(rack);
        return first is null
            ? new Next(RackSays.RackIsEmpty, RackSays.EnoughToStart, "newBow", RackSays.EnterABow)
            : new Next(
                new FirstOfRack(first.Name, first.State.State),
                Message.Nothing,
                first.State.NextStop,
                first.State.NextWords,
                RackSays.EnterAnotherBow,
                "newBow"
            );
    }
}
