using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Tests.Dozens;
using Merganser.Core.Workshop;

namespace Merganser.Core.Tests.Arrows;

/// <summary>Pins, bushings, collars, outserts and front weights.</summary>
public class EndPartTests
{
    private static readonly EndPart Collar = new("M", "Ring", EndPartKind.Collar, 20, 0.5, -0.35);
    private static readonly EndPart Pin = new("M", "Pin", EndPartKind.Pin, 6, 0.6, 0.1, Diameter: 0.166);
    private static readonly EndPart Bushing = Pin with { Kind = EndPartKind.Bushing };

    private static Arrow With(params EndPart[] parts) => Samples.A1 with { EndParts = parts };

    /// <summary>The team's worked example A3 (physics.md, A) as an arrow: 100 gr insert at 27.0, 20 gr collar at 27.4.
    /// </summary>
    [Fact]
    public void The_heavy_front_of_the_worked_example_is_an_insert_and_a_collar()
    {
        var arrow = new Arrow(
            new Shaft("M", "S", 0.25, 10.7, 0.246, 32, "Carbon"),
            27.75,
            new Insert("M", "I", 100, 1.5, -0.75),
            new Point("M", "P", PointKind.FixedHead, 200, 1.2, 0.6),
            new Nock("M", "N", 11, 0.5, 0.6),
            new Vane("M", "V", 7, 2, 0.4),
            3,
            3.725,
            new Wrap("M", "W", 6, 4),
            0,
            EndParts: [Collar]
        );
        var balance = arrow.Balance();
        balance.Grains.ShouldBe(649.575, 1e-9);
        balance.Point.ShouldBe(20.19062, 1e-5);
        balance.FrontOfCenter.ShouldBe(22.7590, 1e-4);
        arrow.FrontGrains.ShouldBe(320, "insert, collar and point load the shaft's front");
    }

    [Fact]
    public void What_stands_at_the_nock_lies_at_the_tubes_start_and_is_no_front()
    {
        var arrow = With(Pin, Collar);
        arrow.Masses().Single(m => m.Name == "Pin").Position.ShouldBe(0.6, 1e-12);
        arrow.FrontGrains.ShouldBe(145);
        ArrowReading.Of(Samples.Compound, arrow).EndGrains.ShouldBe(26);
        (arrow with { CutLength = 29.5 })
            .Masses()
            .Where(m => m.Name is "Pin" or "Collar")
            .Select(m => Math.Round(m.Position, 6))
            .ShouldBe([0.6, 29.15], "a collar moves with the end, a pin stays");
    }

    [Fact]
    public void Each_is_weighed_as_a_class_of_its_own_twice_where_it_is_there_twice() =>
        Dozen
            .ClassesOf(With(Collar, Pin, Collar, new EndPart("M", "W", EndPartKind.FrontWeight, 10, 0.2, -1)), true)
            .Keys.ShouldBe([
                "Shaft",
                "Insert",
                "Point",
                "Nock",
                "Wrap",
                "Vanes",
                "Collar",
                "Pin",
                "Second collar",
                "Front weight",
            ]);

    /// <summary>A nock on a pin does not go into the tube itself.</summary>
    [Fact]
    public void A_pin_goes_into_the_tube_and_the_nock_on_it_does_not()
    {
        var thin = Samples.A1.Shaft with { InnerDiameter = 0.166 };
        var onPin = With(Pin) with { Shaft = thin, Nock = Samples.A1.Nock with { Diameter = 0.098 } };
        TubeFit.Misfit(onPin).ShouldBeNull();
        TubeFit.Misfit(onPin with { EndParts = null })!.Value.Part.ShouldBe(ArrowPart.Nock);
        var wide = onPin with { EndParts = [Bushing with { Diameter = 0.204 }] };
        TubeFit.Misfit(wide)!.Value.Part.ShouldBe(ArrowPart.Rear);
        var next = ArrowReading.Of(Samples.Compound, wide).Next;
        (next.Action, next.Sentence.Said()).ShouldBe(("tryRear", "Pick another part at the nock"));
    }

    [Fact]
    public void A_change_of_the_list_is_said_and_the_same_list_is_no_change()
    {
        NamedPart.Changed(With(Collar, Pin), With(Collar, Pin)).Changes.ShouldBeEmpty();
        NamedPart
            .Changed(With(Collar), With(Collar, Collar with { Name = "Second", Grains = 10 }))
            .Said()
            .ShouldBe("more in front Ring, 20.0 gr to Ring, 20.0 gr; Second, 10.0 gr");
    }

    [Fact]
    public void A_part_that_is_gone_and_too_many_are_refused()
    {
        var entry = new ArrowEntry(
            Samples.A1.Shaft,
            "28.5",
            null,
            Samples.A1.Point,
            Samples.A1.Nock,
            null,
            0,
            "",
            null,
            "0"
        );
        entry.Read().EndParts.ShouldBeNull();
        (entry with { EndParts = [Collar, Pin] }).Read().EndParts.ShouldBe([Collar, Pin]);
        Code([Collar, null]).ShouldBe("missing");
        Code([.. Enumerable.Repeat(Collar, 9)]).ShouldBe("range");

        string Code(EndPart?[] parts) =>
            Should.Throw<RefusedException>(() => (entry with { EndParts = parts }).Read()).Problems.Single().Code;
    }

    [Fact]
    public void Two_of_a_part_are_bought_twice_and_what_is_glued_is_asked_for()
    {
        var arrow = With(Collar, Pin, Collar);
        var plan = new DozenPlan("d", 3, ["Collar", "Second collar"], 0, false);
        var dozen = new Dozen("d", plan, arrow, DozenActs.Events(DozenActs.Pieces("Collar", 20, 20)));
        var draft = new ArrowDraft("", "s", "", null, "p", "n", null, 0, "", null, "", EndPartIds: ["c", "q", "c"]);
        var rows = new[] { Row("c", Collar, 1), Row("q", Pin, 9) };
        ShoppingList
            .Of(dozen, draft, rows)
            .Lines.Select(l => (l.Name, l.Needed, l.AtHand, l.ToBuy))
            .ShouldBe([("Ring", 6, 2, 4), ("Pin", 3, 9, 0)]);
        GlueSheet.Of(arrow).ShouldBe([Joint.Insert, Joint.Collar, Joint.Pin, Joint.Wrap, Joint.Vanes]);

        static ComponentRow Row(string id, EndPart part, int owned) =>
            new(id, ComponentClass.EndPart, part, false, 1, new Stock(owned, null, null));
    }

    /// <summary>An outsert in the insert's place is glued as an insert is: the pair stays together.</summary>
    [Fact]
    public void A_glued_outsert_goes_with_its_shaft()
    {
        var arrow = With(Collar with { Kind = EndPartKind.Outsert }) with { Insert = null };
        var plan = new DozenPlan("d", 2, ["Shaft", "Point", "Outsert"], 0, false);
        DozenAct[] weighed =
        [
            .. DozenActs.Pieces("Shaft", 250, 254),
            .. DozenActs.Pieces("Point", 100, 100),
            .. DozenActs.Pieces("Outsert", 20, 24),
        ];
        Shafts([]).ShouldBe([2, 1], "light with heavy while both are loose");
        Shafts([1, 2]).ShouldBe([1, 2]);

        int[] Shafts(int[] glued)
        {
            var dozen = new Dozen("d", plan, arrow, DozenActs.Events(weighed));
            var found = DozenMatching.Find(dozen, new MatchOptions(null, false, false, 0, glued)).Result;
            return [.. found.Pieces.OrderBy(p => p[0][0]).Select(p => p[2][0])];
        }
    }
}
