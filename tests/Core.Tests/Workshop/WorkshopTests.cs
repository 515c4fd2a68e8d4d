using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Tests.Dozens;
using Merganser.Core.Workshop;

namespace Merganser.Core.Tests.Workshop;

/// <summary>A1 is sold at 32 in; 28.5 in from the throat, where its tube starts at half an inch.</summary>
public class WorkshopTests
{
    [Fact]
    public void A_shaft_is_cut_at_its_point_end_and_a_crooked_one_at_both()
    {
        var dozen = DozenActs.Matched([
            .. DozenActs.Weighed,
            new StiffSideMarked(1, "blue"),
            new RunOutMeasured(2, 0.006),
        ]);
        var list = CutList.Of(dozen);
        (list.Tube, list.Off).ShouldBe((28, 4));
        var plain = list.Shafts.Single(s => s.Shaft == 1);
        (plain.OffPoint, plain.OffNock, plain.IndexMark, plain.CarryIndex).ShouldBe((4, 0, "blue", false));
        var crooked = list.Shafts.Single(s => s.Shaft == 2);
        (crooked.OffPoint, crooked.OffNock, crooked.CarryIndex).ShouldBe((2, 2, true));
    }

    /// <summary>Read at three places, it is cut at the worse end; its run-out is the most of them.</summary>
    [Fact]
    public void A_shaft_read_at_three_places_is_cut_at_its_worse_end()
    {
        var dozen = DozenActs.Matched([
            .. DozenActs.Weighed,
            .. Read(1, 0.007, 0.002, 0.001),
            .. Read(2, 0.001, 0.002, 0.008),
            .. Read(3, 0.001, 0.002, 0.001),
        ]);
        dozen.Shaft(1)!.RunOut.ShouldBe(0.007);
        var shafts = CutList.Of(dozen).Shafts.ToDictionary(s => s.Shaft);
        (shafts[1].OffPoint, shafts[1].OffNock).ShouldBe((0, 4));
        (shafts[2].OffPoint, shafts[2].OffNock).ShouldBe((4, 0));
        (shafts[3].OffPoint, shafts[3].OffNock).ShouldBe((4, 0));
        var whole = DozenActs.Of([.. Read(1, 0.007, 0.002, 0.001), new RunOutMeasured(1, 0.003)]).Shaft(1)!;
        (whole.RunOut, whole.Places).ShouldBe((0.003, null));

        static IEnumerable<DozenAct> Read(int shaft, double nock, double middle, double point) =>
            [
                new RunOutMeasured(shaft, nock, ShaftPlace.Nock),
                new RunOutMeasured(shaft, middle, ShaftPlace.Middle),
                new RunOutMeasured(shaft, point, ShaftPlace.Point),
            ];
    }

    /// <summary>Every weighed shaft once: the arrows' by arrow, the others as spares, no damaged one.</summary>
    [Fact]
    public void The_arrows_come_first_then_the_spares_and_no_damaged_shaft()
    {
        var dozen = DozenActs.Matched([
            .. DozenActs.Weighed,
            .. DozenActs.Pieces("Shaft", 250, 251, 252, 254, 249),
            new ShaftInspected(5, ShaftFinding.CrackedOrSplintered),
        ]);
        var shafts = CutList.Of(dozen).Shafts;
        shafts.Take(3).Select(s => s.Arrow).ShouldBe([1, 2, 3]);
        shafts.Skip(3).ShouldHaveSingleItem().Spare.ShouldBeTrue();
        shafts.Select(s => s.Shaft).Order().ShouldBe([1, 2, 3, 4]);
    }

    [Fact]
    public void Before_a_match_the_shafts_go_by_their_numbers()
    {
        var shafts = CutList.Of(DozenActs.Of(DozenActs.Weighed)).Shafts;
        shafts
            .Select(s => (s.Shaft, s.Arrow, s.Spare))
            .ShouldBe([(1, null, false), (2, null, false), (3, null, false), (4, null, true)]);
        CutList.Of(DozenActs.Of([])).Shafts.Count.ShouldBe(3);
    }

    [Fact]
    public void A_retired_arrow_is_not_cut_and_a_tick_is_seen()
    {
        var matched = DozenActs.Matched(DozenActs.Weighed);
        var dozen = DozenActs.Of([
            .. DozenActs.Acts(matched),
            new StepDone(2, AssemblyCode.Cut),
            new ArrowNoted(1, ArrowNote.Retired, "bent"),
        ]);
        var shafts = CutList.Of(dozen).Shafts;
        shafts.ShouldNotContain(s => s.Arrow == 1);
        shafts.Single(s => s.Arrow == 2).Done.ShouldBeTrue();
        shafts.Count(s => s.Done).ShouldBe(1);
    }

    /// <summary>sin 30° is a half: a vane of 2 in at 3° stands 2 sin 3° = .10467 in aside (tables of sines).</summary>
    [Fact]
    public void The_jig_is_told_by_places_and_angle()
    {
        Fletching.Of(DozenActs.Of([]))!.Across.ShouldBeNull();
        var jig = Fletching.Of(DozenActs.Of([new JigTurned(1), new JigTurned(-3)]))!;
        (jig.Clocking, jig.Front, jig.Back, jig.FromTube).ShouldBe((120, 3.5, 1.5, 1));
        jig.Degrees.ShouldBe(-3);
        jig.Across!.Value.ShouldBe(0.104672, 1e-6);
    }

    /// <summary>.244 in across goes 19.47 mm around (pocket tables: 6.198 mm × 3.1416).</summary>
    [Fact]
    public void The_template_goes_once_around()
    {
        var wrap = WrapTemplate.Of(Samples.A1);
        (wrap.Around * 25.4).ShouldBe(19.47, 0.005);
        wrap.Length.ShouldBe(4);
        wrap.Lines.Select(l => l / wrap.Around).ShouldBe([0, 1 / 3.0, 2 / 3.0], 1e-12);
        (wrap.VaneBack, wrap.VaneFront).ShouldBe((1, 3));
        WrapTemplate.Of(Samples.A1 with { Vane = null, VaneCount = 0, Wrap = null }).Lines.ShouldBeEmpty();
    }

    [Fact]
    public void Known_label_sheets_lie_on_the_paper()
    {
        foreach (var grid in LabelGrid.Known.Values)
        {
            Should.NotThrow(grid.Checked);
            grid.Place(grid.Columns).X.ShouldBe(grid.Left, "the second row begins at the left");
        }

        var edge = LabelGrid.Known["3x8"];
        edge.Inside(0).X.ShouldBe(5, "no printer prints at the paper's edge");
        edge.Inside(1).X.ShouldBe(71.8, 1e-9);
        (edge.Inside(23).X + edge.Inside(23).Width).ShouldBe(205, 1e-9);
        var own = new LabelGrid(3, 7, 63.5, 38.1, 7.25, 15.15, 60, 38.1);
        Should.Throw<RefusedException>(own.Checked).Problems.Single().Field.ShouldBe("across");
        var beyond = new LabelGrid(4, 7, 63.5, 38.1, 7.25, 15.15, 66, 38.1);
        Should.Throw<RefusedException>(beyond.Checked).Problems.Single().Field.ShouldBe("columns");
        var none = new LabelGrid(0, 7, 63.5, 38.1, 7.25, 15.15, 66, 38.1);
        Should.Throw<RefusedException>(none.Checked).Problems.Single().Field.ShouldBe("columns");
    }

    [Fact]
    public void What_is_owned_or_weighed_is_not_bought()
    {
        var dozen = DozenActs.Of(DozenActs.Weighed);
        var typed = new ArrowDraft("", "s", "", null, "p", "n", "v", 3, "", null, "");
        ComponentRow[] rows =
        [
            Row(ComponentClass.Vane, Samples.A1.Vane!, new Stock(Owned: 4, Price: 0.5)),
            Row(ComponentClass.Shaft, Samples.A1.Shaft, new Stock(Owned: 2, Price: 9)),
            Row(ComponentClass.Point, Samples.A1.Point, new Stock(Owned: 12)),
            Row(ComponentClass.Nock, Samples.A1.Nock, Stock.None),
        ];
        var list = ShoppingList.Of(dozen, typed, rows);
        list.Lines.Select(l => (l.Class, l.Needed, l.AtHand, l.ToBuy))
            .ShouldBe([
                (ComponentClass.Shaft, 4, 4, 0),
                (ComponentClass.Point, 4, 12, 0),
                (ComponentClass.Nock, 3, 0, 3),
                (ComponentClass.Vane, 9, 4, 5),
            ]);
        list.Cost.ShouldBe(2.5);
        list.Unpriced.ShouldBe(1);
        list.AllAtHand.ShouldBeFalse();

        static ComponentRow Row(ComponentClass kind, IComponent part, Stock stock) =>
            new($"{kind}", kind, part, false, 1, stock);
    }

    [Fact]
    public void What_is_glued_follows_from_the_parts()
    {
        GlueSheet.Of(Samples.A1).ShouldBe([Joint.Insert, Joint.Wrap, Joint.Vanes]);
        var target = Samples.A1 with
        {
            Insert = null,
            Wrap = null,
            Point = Samples.A1.Point with { Kind = PointKind.GlueIn },
            Nock = Samples.A1.Nock with { Kind = NockKind.Pin },
        };
        GlueSheet.Of(target).ShouldBe([Joint.Point, Joint.Pin, Joint.Vanes]);
    }

    [Fact]
    public void A_glues_times_are_read_or_refused_by_their_field()
    {
        var sheet = new GlueInput(null, " Epoxy ", "30", "24", "").Read(Joint.Insert);
        sheet.ShouldBe(new GlueSheet(Joint.Insert, "Epoxy", 30, 24, ""));
        new GlueInput(null, "", "", null, null).Read(Joint.Wrap).HandlingMinutes.ShouldBeNull();
        Should
            .Throw<RefusedException>(() => new GlueInput(null, new string('x', 61), "soon", "-1", "").Read(Joint.Vanes))
            .Problems.Select(p => p.Field)
            .ShouldBe(["handling", "cure", "glue"], ignoreOrder: true);
    }
}
