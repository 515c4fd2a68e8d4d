using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Rack;

/// <summary>A bow on the rack and how it stands.</summary>
/// <param name="Name">The bow.</param>
/// <param name="State">How it stands, and its next stop.</param>
/// <param name="Unsound">True while it may not be shot.</param>
public sealed record RackStanding(string Name, RackState State, bool Unsound);

/// <summary>The one next step at the rack.</summary>
public static class RackNext
{
    /// <summary>An unsound bow first, then one whose paper is in work, then the first.</summary>
    public static Next Of(IReadOnlyList<RackStanding> rack)
    {
        var first =
            rack.FirstOrDefault(b => b.Unsound)
            ?? rack.FirstOrDefault(b => b.State.NextStop == "paper")
            ?? rack.FirstOrDefault();
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
