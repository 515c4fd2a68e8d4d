using Merganser.Core.Messages;
using Merganser.Core.Rack;

namespace Merganser.Core.Tests.Rack;

public class RackNextTests
{
    [Fact]
    public void An_empty_rack_asks_for_a_bow() => RackNext.Of([]).Action.ShouldBe("newBow");

    [Fact]
    public void An_unsound_bow_comes_first_then_what_is_due_then_what_is_in_work_each_as_it_hangs()
    {
        var rests = Bow("Brindle", RackUrgency.Rests);
        var shot = Bow("Tall Osk", RackUrgency.InWork);
        var due = Bow("Tansel", RackUrgency.Due);
        var dueToo = Bow("Tidewrack", RackUrgency.Due);
        var cracked = Bow("Hearthwood", RackUrgency.Unsound);
        Named([rests, shot, due, dueToo, cracked]).ShouldBe("Hearthwood");
        Named([rests, shot, due, dueToo]).ShouldBe("Tansel");
        Named([rests, shot]).ShouldBe("Tall Osk");
        Named([rests]).ShouldBe("Brindle");
        RackNext.FirstOf([rests, shot, due])!.Id.ShouldBe("id of Tansel");
        RackNext.Of([rests, shot]).Alternative.ShouldBe((Message)RackSays.EnterAnotherBow);
    }

    private static string Named(RackStanding[] rack) => ((FirstOfRack)RackNext.Of(rack).Sentence).Bow;

    private static RackStanding Bow(string name, RackUrgency urgency) =>
        new($"id of {name}", name, new RackState(RackSays.NoneYet, "paper", RackSays.Draft, urgency));
}
