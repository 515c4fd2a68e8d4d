using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using static Merganser.Core.Tests.Dozens.DozenActs;

namespace Merganser.Core.Tests.Dozens;

public class DozenTests
{
    [Fact]
    public void Light_goes_with_heavy_and_the_piece_too_many_stays_out()
    {
        var tray = Matched(Weighed).Tray;
        tray.Select(a => a.Total).ShouldAllBe(total => Math.Abs(total - 352) < 1e-9);
        tray.SelectMany(a => a.Pieces["Shaft"]).Order().ShouldBe([1, 2, 3]);
        tray.Select(a => a.Deviation).ShouldAllBe(d => Math.Abs(d) < 1e-9);
    }

    [Theory]
    [InlineData(ShaftFinding.Sound, false, false)]
    [InlineData(ShaftFinding.EndsNotSquare, true, false)]
    [InlineData(ShaftFinding.Bent, true, true)]
    [InlineData(ShaftFinding.CrackedOrSplintered, true, true)]
    public void A_damaged_shaft_is_not_assigned_and_a_broken_one_never_shot(
        ShaftFinding finding,
        bool damaged,
        bool destroyed
    )
    {
        var dozen = Of([.. Weighed, new ShaftInspected(2, finding)]);
        dozen.OutOfUse(2).ShouldBe(destroyed);
        dozen.Shaft(2)!.Damaged.ShouldBe(damaged);
        var used = Matched([.. Weighed, new ShaftInspected(2, finding)]).Tray.SelectMany(a => a.Pieces["Shaft"]);
        used.Contains(2).ShouldBe(!damaged);
    }

    [Fact]
    public void A_shaft_that_cracks_after_the_match_takes_its_arrow_out_of_use()
    {
        var matched = Acts(Matched(Weighed));
        var shaft = Of(matched).Tray[0].Pieces["Shaft"][0];
        var dozen = Of([.. matched, new ShaftInspected(shaft, ShaftFinding.CrackedOrSplintered)]);
        dozen.OutOfUse(1).ShouldBeTrue();
        dozen.Tray[0].RetiredWhy.ShouldBe(new ShaftDestroyed(shaft, ShaftFinding.CrackedOrSplintered));
        dozen.OutOfUse(2).ShouldBeFalse();
        dozen.OutOfUse(0).ShouldBeTrue("there is no such arrow");
        dozen.OutOfUse(4).ShouldBeTrue("there is no such arrow");
        Of([.. Acts(dozen), new ShaftInspected(shaft, ShaftFinding.Sound)]).OutOfUse(1).ShouldBeFalse("looked again");
    }

    /// <summary>Counted by hand; a reading that slipped moves no other piece.</summary>
    [Fact]
    public void Each_piece_says_how_far_it_is_from_the_middle_one()
    {
        var shafts = Of([.. Pieces("Shaft", 251.7, 252.5, 251.8, 251.7, 257.8, 251.8, 253.2)]).Classes[0];
        shafts.Middle!.Value.ShouldBe(251.8, 1e-9);
        shafts.Pieces.Select(p => Math.Round(p.FromMiddle, 1)).ShouldBe([-.1, .7, 0, -.1, 6, 0, 1.4]);
        shafts.Pieces.Where(p => p.Odd).Select(p => p.Number).ShouldBe([2, 5, 7]);
        var points = Of([.. Pieces("Shaft", 251.7, 252.5), .. Pieces("Point", 100)]).Classes[1];
        (points.Middle, points.Pieces[0].FromMiddle).ShouldBe((100d, 0d));
        Of([]).Classes[0].Middle.ShouldBeNull();
    }

    [Fact]
    public void An_arrow_is_retired_by_words_and_comes_back_by_none()
    {
        var retired = Of([.. Acts(Matched(Weighed)), new ArrowNoted(3, ArrowNote.Retired, "nock split")]);
        retired.Tray[2].Retired.ShouldBeTrue();
        Of([.. Acts(retired), new ArrowNoted(3, ArrowNote.Retired, "")]).Tray[2].Retired.ShouldBeFalse();
    }

    [Fact]
    public void A_match_that_was_sought_while_something_was_entered_does_not_stand()
    {
        var sought = Of(Weighed);
        Should.NotThrow(() => Of(Weighed).CheckUnchanged(sought));
        var other = Of([.. Weighed, new StiffSideMarked(1, "blue")]);
        Should.Throw<RefusedException>(() => other.CheckUnchanged(sought)).Code.ShouldBe("changed");
    }

    [Fact]
    public void The_next_step_goes_from_the_scale_to_the_match_to_the_bench()
    {
        Action(Of([])).ShouldBe("check");
        Action(Of([.. Pieces("Shaft", 250)])).ShouldBe("weigh:Shaft");
        Action(Of(Weighed)).ShouldBe("match");
        var odd = Of([.. Pieces("Shaft", 250, 250.1, 249.9, 250, 259), .. Pieces("Point", 100, 100, 100)]);
        Action(odd).ShouldBe("weigh:Shaft:5", "259 stands apart");
        var matched = Acts(Matched(Weighed));
        Action(Of(matched)).ShouldBe("tick:1:cut");
        Action(Of([.. matched, new PieceWeighed("Point", 9, 99, "typed")])).ShouldBe("match", "it is stale");
        DozenAct[] verified =
        [
            .. from arrow in Enumerable.Range(1, 3) from step in Assembly.Steps select new StepDone(arrow, step.Code),
        ];
        Action(Of([.. matched, .. verified])).ShouldBe("heads");
        DozenNext.Stands(Of([.. matched, .. verified])).Stage.ShouldBe(DozenStage.Verified);
        DozenNext.Stands(Of([.. matched, verified[0]])).Stage.ShouldBe(DozenStage.Building);

        static string Action(Dozen dozen) => DozenNext.Of(dozen).Action;
    }

    [Fact]
    public void Glue_and_wrap_are_what_the_built_weight_has_more()
    {
        var arrow = Of([.. Acts(Matched(Weighed)), new ArrowWeighed(1, 400)]).Tray[0];
        // The catalogue's insert 25, nock 9, three vanes of 6, wrap 5; pieces weighed together 352.
        arrow.GlueAndWrap!.Value.ShouldBe(400 - 352 - (25 + 9 + 18 + 5), 1e-9);
    }

    [Fact]
    public void Heads_go_on_the_straightest_arrows_that_are_in_use()
    {
        DozenAct[] acts =
        [
            .. Acts(Matched(Weighed)),
            .. Pieces("Head", 100, 101, 102),
            .. Enumerable.Range(1, 4).Select(n => new RunOutGraded(n, n == 2 ? SpinGrade.Poor : SpinGrade.Good)),
            new ArrowNoted(3, ArrowNote.Retired, "lost"),
        ];
        var dozen = Of(acts);
        var plan = HeadPlan.Of(dozen);
        plan.Heads.Count.ShouldBe(2);
        plan.Heads.ShouldAllBe(h => h.Arrow != 3);
        plan.Practice.ShouldNotBeNull("a head is left over");
        HeadPlan.Of(Of(Weighed)).Words.ShouldBe((Message)DozenSays.WeighHeadsThen);
    }

    [Fact]
    public void A_shaft_that_is_not_used_takes_its_glued_insert_with_it()
    {
        var plan = new DozenPlan("Three", 3, ["Shaft", "Insert"], 1, false);
        DozenAct[] acts =
        [
            .. Pieces("Shaft", 250, 251, 252, 254),
            .. Pieces("Insert", 25, 26, 24, 25.5),
            new ShaftInspected(2, ShaftFinding.CrackedOrSplintered),
        ];
        var dozen = new Dozen("d", plan, Samples.A1, Events(acts));
        PiecesMatched Glued(params int[] shafts) =>
            DozenMatching.Find(dozen, new MatchOptions(null, false, false, 0, shafts));
        var inserts = Glued(1, 2, 2).Result.Pieces.Select(arrow => (Shaft: arrow[0][0], Insert: arrow[1][0])).ToArray();
        inserts.Select(a => a.Insert).ShouldNotContain(2);
        inserts.ShouldContain((1, 1));
        Glued(1, 2, 3, 4).Result.Pieces.ShouldAllBe(arrow => arrow[0][0] == arrow[1][0]);
        var few = new Dozen("d", plan with { Arrows = 4 }, Samples.A1, Events(acts));
        Should
            .Throw<RefusedException>(() => DozenMatching.Find(few, new MatchOptions(null, false, false, 0, [2])))
            .Problems.Select(p => p.Field)
            .ShouldBe(["Shaft", "Insert"]);
    }

    [Fact]
    public void Heads_are_ranked_by_what_arrows_weigh_without_their_field_points()
    {
        var matched = Acts(Matched(Weighed));
        var heads = Pieces("Head", 100, 101, 102);
        // By pieces 352 a dozen of three; with insert 25, nock 9, vanes 18 and wrap 5, without the point of each.
        var plan = HeadPlan.Of(Of([.. matched, .. heads]));
        var tray = Of(matched).Tray;
        foreach (var on in plan.Heads)
        {
            var point = 103 - tray[on.Arrow - 1].Pieces["Point"][0];
            var glue = Samples.A1.Glue;
            on.Total.ShouldBe(352 + 57 + glue - point + (99 + on.Head), 1e-9);
        }

        DozenAct[] one = [.. matched, .. heads, new ArrowWeighed(1, 500)];
        HeadPlan.Of(Of(one)).Heads.Select(h => h.Total).ShouldBe(plan.Heads.Select(h => h.Total), "never some of each");
        DozenAct[] all = [.. one, new ArrowWeighed(2, 420), new ArrowWeighed(3, 420)];
        var built = HeadPlan.Of(Of(all)).Heads.Single(h => h.Arrow == 1);
        built.Total.ShouldBe(500 - (103 - tray[0].Pieces["Point"][0]) + (99 + built.Head), 1e-9);
    }

    [Fact]
    public void What_shafts_are_ordered_by_is_the_dial_before_the_eye()
    {
        DozenAct[] acts =
        [
            new RunOutGraded(1, SpinGrade.Poor),
            new RunOutMeasured(1, .002),
            new StiffSideMarked(2, "x"),
        ];
        var dozen = Of(acts);
        dozen.Shaft(1)!.Crookedness.ShouldBe(.002);
        dozen.Shaft(2)!.Crookedness.ShouldBe(SpunShaft.NotSpun);
    }

    [Fact]
    public void A_nock_round_goes_bare_first_and_over_distances_the_worst_counts()
    {
        Of([.. Weighed]).Round().Next.Number.ShouldBe(1);
        var turned = Of([Shot(1, 0, .6)]).Round().Next;
        (turned.Number, turned.Turn, turned.Fletched).ShouldBe((1, 1, false));
        var bare = Of([Shot(1, 0, .1), Shot(2, 0, .1), Shot(3, 0, .1)]).Round();
        (bare.Good, bare.Next.Number, bare.Next.Fletched).ShouldBe((3, 1, true));
        var far = Of([Shot(1, 0, .1), Shot(1, 0, .6, 15)]);
        NockRound.MarkOf(far, 1).ShouldBeNull("it tears from 15 yd");
        NockRound.Of(far, 3).Arrows[0].Bare.State.ShouldBe(NockState.Good);
        Of([new ShaftInspected(1, ShaftFinding.Bent)]).Round().Next.Number.ShouldBe(2, "1 is not shot");
    }
}

internal static class DozenRounds
{
    public static NockRound Round(this Dozen dozen) => NockRound.Of(dozen);
}
