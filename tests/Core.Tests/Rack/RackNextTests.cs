using Merganser.Core.Messages;
using Merganser.Core.Rack;

namespace Merganser.Core.Tests.Rack;

public class RackNextTests
{
    [Fact]
    public void An_empty_rack_asks_for_a_bow() => RackNext.Of([]).Action.ShouldBe("newBow");

    [Fact]
    public void An_unsound_bow_comes_before_a_paper_in_work_and_that_before_the_first()
    {
        var first = Bow("Brindle", "arrow");
        var shot = Bow("Tall Osk", "paper");
        var cracked = Bow("Hearthwood", "bow?check=inspection") with { Unsound = true };
        Named([first, shot, cracked]).ShouldBe("Hearthwood");
        Named([first, shot]).ShouldBe("Tall Osk");
        Named([first]).ShouldBe("Brindle");
        RackNext.Of([first, shot]).Alternative.ShouldBe((Message)RackSays.EnterAnotherBow);
    }

    private static string Named(RackStanding[] rack) => ((FirstOfRack)RackNext.Of(rack).Sentence).Bow;

    private static RackStanding Bow(string name, string stop) =>
        new(name, new RackState(RackSays.NoneYet, stop, RackSays.Draft), false);
}
