using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tests.Groups;

/// <summary>
/// Broadheads against field points: where the offset may lie, heads among each other, the pin's way. Against shares
/// that were drawn beforehand in another language, closed forms, and the tables of the NIST/SEMATECH e-Handbook.
/// </summary>
public class HeadMapTests
{
    /// <summary>200,000 draws of the bivariate t: .874 sight, .070 tune, .056 leave, 3 in at 35 yd.</summary>
    [Fact]
    public void The_shares_are_those_that_were_drawn_by_chance()
    {
        var map = new HeadMap(Seen(-.2, -4.34, 1.74), 3, StraightMiss.MoveTheSight);
        map.Sight.ShouldBe(.874, .004);
        map.Tune.ShouldBe(.070, .004);
        map.Leave.ShouldBe(.056, .004);
        HeadMap.AnswerTo(new Impact(-.2, -4.34), 3, StraightMiss.MoveTheSight).ShouldBe(HeadAnswer.MoveTheSight);
        Seen(-.2, -4.34, 1.74).F.ShouldBe(11.69, .02);
    }

    /// <summary>About nought the share inside is 1 − (1 + t²/(ν s²/k))^(−ν/2).</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    public void About_nought_the_circle_is_a_closed_form(double tolerance)
    {
        var offset = Seen(0, 0, 1.74);
        var inside = 1 - Math.Pow(1 + (tolerance * tolerance * 3.75 / (28 * 1.74 * 1.74)), -14);
        var map = new HeadMap(offset, tolerance, StraightMiss.MoveTheSight);
        map.Leave.ShouldBe(inside, .006);
        map.Tune.ShouldBe((1 - inside) / 2, .02, "straight and diagonal ways are as wide");
    }

    [Theory]
    [InlineData(0, 2.9, StraightMiss.MoveTheSight, HeadAnswer.Leave)]
    [InlineData(.5, 4, StraightMiss.MoveTheSight, HeadAnswer.MoveTheSight)]
    [InlineData(-4, .5, StraightMiss.MoveTheSight, HeadAnswer.MoveTheSight)]
    [InlineData(-4, .5, StraightMiss.TuneSideways, HeadAnswer.Tune)]
    [InlineData(.5, -4, StraightMiss.TuneSideways, HeadAnswer.MoveTheSight)]
    [InlineData(.5, -4, StraightMiss.TuneTheBow, HeadAnswer.Tune)]
    [InlineData(3, 3, StraightMiss.MoveTheSight, HeadAnswer.Tune)]
    [InlineData(-3, 3, StraightMiss.TuneSideways, HeadAnswer.Tune)]
    public void Straight_is_the_sights_and_a_diagonal_the_bows(
        double x,
        double y,
        StraightMiss straight,
        HeadAnswer answer
    )
    {
        HeadMap.AnswerTo(new Impact(x, y), 3, straight).ShouldBe(answer);
        HeadMap.AnswerTo(new Impact(-x, y), 3, straight).ShouldBe(answer, "a left hand is the mirror of a right one");
        HeadMap.AnswerTo(new Impact(2.54 * x, 2.54 * y), 7.62, straight).ShouldBe(answer, "in any unit");
    }

    /// <summary>Critical F(8, 10) at 5 % is 3.072, at 1 % 5.057 (e-Handbook 1.3.6.7.3).</summary>
    [Theory]
    [InlineData(3.072, .05)]
    [InlineData(5.057, .01)]
    public void Heads_are_compared_by_one_way_analysis(double f, double p)
    {
        var heads = new HeadComparison(Five(Math.Sqrt(f)));
        heads.Freedom.ShouldBe((8, 10));
        heads.F!.Value.ShouldBe(f, 1e-9);
        heads.P!.Value.ShouldBe(p, 2e-5);
        (heads.Apart is null).ShouldBe(p > .012);
    }

    [Fact]
    public void The_head_that_stands_apart_is_named_and_what_cannot_be_told_is_not()
    {
        ShotMarked[] hits = [.. Five(0), At("6", 9, 0), At("6", 9, 2)];
        new HeadComparison(hits).Apart!.Number.ShouldBe("6");
        new HeadComparison(Five(0)).Apart.ShouldBeNull();
        new HeadComparison([At("1", 0, 0), At("2", 4, 0)]).P.ShouldBeNull("no head was shot twice");
        new HeadComparison([At("1", 0, 0), At("1", 4, 0)]).P.ShouldBeNull("one head alone");
        new HeadComparison([At(null, 0, 0)]).Heads.ShouldBeEmpty();
        new HeadComparison([At("10", 0, 0), At("2", 0, 0), At("P", 0, 0)])
            .Heads.Select(h => h.Number)
            .ShouldBe(["2", "P", "10"]);
    }

    [Fact]
    public void A_bad_flight_is_half_of_those_that_were_noted_and_two_at_the_least()
    {
        static HeadComparison Flown(params Flight?[] flights) =>
            new([.. flights.Select(f => At("1", 0, 0) with { Flight = f })]);
        Flown(Flight.Fishtail, Flight.Clean, Flight.Corkscrew, Flight.Clean).FlyBadly.ShouldBeTrue();
        Flown(Flight.Fishtail).FlyBadly.ShouldBeFalse();
        Flown(Flight.Porpoise, Flight.Porpoise, null, null, null).FlyBadly.ShouldBeTrue("the others were not noted");
        Flown(Flight.Porpoise, Flight.Porpoise, Flight.Clean, Flight.Clean, Flight.Clean).FlyBadly.ShouldBeFalse();
    }

    /// <summary>34 in × 4.34 in / 1260 in = .117 in, six clicks of .02; similar triangles, and back again.</summary>
    [Fact]
    public void The_pin_follows_the_arrow()
    {
        var sight = new Sight(34, .02);
        var pin = sight.Answer(new Impact(0, -4.34), 35);
        pin.Up.ShouldBe(-.1171, 5e-5, "hits low, sight down");
        sight.ClicksOf(pin.Up).ShouldBe(6);
        sight.Moved(pin, 35).Y.ShouldBe(4.34, 1e-12);
        (sight.Moved(pin, 70).Y / sight.Moved(pin, 35).Y).ShouldBe(2, 1e-12, "an angle");
        sight.Answer(new Impact(2, 0), 20).Right.ShouldBeGreaterThan(0, "hits right, sight right");
        new Sight(34).ClicksOf(.117).ShouldBeNull();
    }

    [Fact]
    public void A_head_of_more_drag_strikes_low()
    {
        double Low(double yards) =>
            (new FlatFire(420, 270, .244) { Drag = 2.6 }).Drop(yards) - new FlatFire(420, 270, .244).Drop(yards);
        Low(20).ShouldBe(.05, .006);
        Low(30).ShouldBe(.17, .01);
        Low(40).ShouldBe(.40, .02);
        Low(60).ShouldBe(1.39, .05);
    }

    [Fact]
    public void Heads_have_a_scale_of_their_own()
    {
        var scale = new TargetScale(30, Heads: true);
        scale.Tolerance.ShouldBe(3, 1e-12);
        scale.Factor.ShouldBe(3.2, 1e-12);
        scale.Within(.125).ShouldBe(1.5, 1e-12, "strict is half of it");
        new TargetScale(60, Heads: true).Tolerance.ShouldBe(6, 1e-12);
        Should.Throw<ArgumentOutOfRangeException>(() => new TargetScale(10, Heads: true));
        Should.Throw<ArgumentOutOfRangeException>(() => new TargetScale(60));
        Should.Throw<ArgumentException>(() => new PlannedStage(3, false, false, true));
    }

    /// <summary>Six field points about nought and ten heads about a place, with this spread.</summary>
    private static GroupOffset Seen(double x, double y, double spread)
    {
        var far = Math.Sqrt(spread * spread * 28 / 4);
        Impact[] heads = [new(x + far, y), new(x - far, y), .. Enumerable.Repeat(new Impact(x, y), 8)];
        Impact[] points = [new(0, far), new(0, -far), .. Enumerable.Repeat(new Impact(0, 0), 4)];
        return new GroupOffset(new ArrowGroup(heads), new ArrowGroup(points));
    }

    /// <summary>Five heads, two hits of each an inch about their middle; four middles lie this far off.</summary>
    private static ShotMarked[] Five(double far)
    {
        (double X, double Y)[] middles = [(far, 0), (-far, 0), (0, far), (0, -far), (0, 0)];
        return [.. middles.SelectMany((m, i) => new[] { At($"{i + 1}", m.X + 1, m.Y), At($"{i + 1}", m.X - 1, m.Y) })];
    }

    private static ShotMarked At(string? head, double x, double y) =>
        new("s", new Hole(x, y), new Hole(x, y), SheetSide.ShootingSide, head, Arrow: ArrowKind.Broadhead);
}
