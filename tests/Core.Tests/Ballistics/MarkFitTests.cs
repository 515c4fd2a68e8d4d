using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Ballistics;

namespace Merganser.Core.Tests.Ballistics;

/// <summary>Marks from a known path are found again; a bad one is asked about.</summary>
public class MarkFitTests
{
    private static readonly FlyingArrow Arrow = new(409, .246);
    private static readonly ShotSpread Hand = new(.048, .04, .056, SpreadSource.Measured, 46);

    private static readonly FlightPrior Prior = new(276, 3, 2, .14, 4.5, .5, 34, .25);

    private static double Mark(double yards, double speed = 276, double drag = 2, double eye = 4.5, double pin = 34) =>
        pin * new Trajectory(Arrow with { Drag = drag }, speed, eye).Zero(yards)!.Value;

    private static Proven At(double yards, double inches) => new(ProvenKind.Mark, yards, inches);

    // The worked tape: travel from the 20 yd mark, R 34 in, 276 ft/s, eye 4.5 in.
    [Theory]
    [InlineData(25, .0696)]
    [InlineData(30, .1543)]
    [InlineData(35, .2482)]
    [InlineData(40, .3482)]
    [InlineData(45, .4526)]
    [InlineData(50, .5605)]
    [InlineData(55, .6713)]
    [InlineData(60, .7844)]
    public void Without_a_mark_the_tape_is_that_of_speed_and_sight(double yards, double inches) =>
        new MarkFit(Arrow, [], Prior, Hand).MarkAt(yards, 20)!.Value.Inches.ShouldBe(inches, 6e-5);

    [Fact]
    public void Own_marks_near_the_tape_leave_it_where_it_is()
    {
        // The worked picture's own marks: .000, .352, .787 at 20, 40 and 60 yd.
        var fit = new MarkFit(Arrow, [At(20, 0), At(40, .352), At(60, .787)], Prior, Hand);
        fit.Against.ShouldAllBe(p => Math.Abs(p.Off!.Value) <= .0045 && !p.Doubted);
        fit.MarkAt(50, 20)!.Value.Inches.ShouldBe(.5605, .006);
    }

    [Fact]
    public void Marks_of_another_speed_and_height_are_followed_as_far_as_they_carry()
    {
        double[] yards = [20, 30, 40, 50, 60, 70];
        Proven[] marks = [.. yards.Select(d => At(d, 1.2 + Mark(d, 268, 2.2, 4.9)))];
        var sharp = new ShotSpread(.004, .003, .005, SpreadSource.Measured);
        var fit = new MarkFit(Arrow, marks, Prior with { SpeedError = 8 }, sharp);
        fit.MarkAt(65, 20)!.Value.Inches.ShouldBe(1.2 + Mark(65, 268, 2.2, 4.9), .002);
        fit.Speed.Value.ShouldBe(268, 3);
        fit.Speed.Error.ShouldBeLessThan(8);
        fit.MarkAt(65, 20)!.Value.Error.ShouldBeLessThan(.004);
    }

    [Fact]
    public void The_error_it_states_holds_the_true_mark_as_often_as_it_says()
    {
        var random = new MersenneTwister(31);
        var (held, runs) = (0, 200);
        for (var n = 0; n < runs; n++)
        {
            double Draw(double mean, double sd) => Normal.Sample(random, mean, sd);
            var (speed, drag, eye, pin) = (
                Draw(276, 3),
                Math.Exp(Draw(Math.Log(2), .14)),
                Draw(4.5, .5),
                Draw(34, .25)
            );
            var error = .048 / 36 * 34 / Math.Sqrt(6);
            double True(double d) => .4 + Mark(d, speed, drag, eye, pin);
            Proven[] marks = [.. new double[] { 20, 40 }.Select(d => At(d, True(d) + Draw(0, error)))];
            var said = new MarkFit(Arrow, marks, Prior, Hand).MarkAt(60, 20)!.Value;
            held += Math.Abs(said.Inches - True(60)) < 1.96 * said.Error ? 1 : 0;
        }

        (held / (double)runs).ShouldBeInRange(.91, .985); // 95 % less and more four of its own errors
    }

    [Fact]
    public void One_mark_places_the_tape_and_two_stretch_it()
    {
        var one = new MarkFit(Arrow, [At(30, 2)], Prior, Hand);
        one.MarkAt(30, 20)!.Value.Inches.ShouldBe(2, 1e-6);
        (one.MarkAt(60, 20)!.Value.Inches - 2).ShouldBe(.7844 - .1543, .001);
        var two = new MarkFit(Arrow, [At(20, 2), At(60, 2.85)], Prior with { EyeToPinError = 2 }, Hand);
        two.MarkAt(60, 20)!.Value.Inches.ShouldBe(2.85, .03);
        two.EyeToPin.Value.ShouldBeGreaterThan(34);
    }

    [Fact]
    public void A_mark_that_all_others_contradict_is_asked_about_and_it_alone()
    {
        double[] yards = [20, 30, 40, 50, 60];
        Proven[] marks = [.. yards.Select(d => At(d, Mark(d) + (d == 40 ? .12 : 0)))];
        var against = new MarkFit(Arrow, marks, Prior, Hand).Against;
        against.Where(p => p.Doubted).Select(p => p.Proven.Yards).ShouldBe([40]);
    }

    [Fact]
    public void A_scale_that_counts_up_with_the_pin_is_read_as_it_is()
    {
        var fit = new MarkFit(Arrow, [At(20, 5 - Mark(20)), At(60, 5 - Mark(60))], Prior, Hand);
        fit.Sign.ShouldBe(-1);
        fit.MarkAt(40, 20)!.Value.Inches.ShouldBe(5 - Mark(40), .002);
    }

    [Fact]
    public void A_second_chronograph_down_range_narrows_the_drag()
    {
        var flight = new Trajectory(Arrow with { Drag = 2.5 }, 276, 4.5);
        var there = flight.At(flight.Zero(50)!.Value, 50)!.Value.Speed;
        var known = Prior with { SpeedError = .3 };
        var (before, after) = (
            new MarkFit(Arrow, [], known, Hand),
            new MarkFit(Arrow, [new Proven(ProvenKind.Speed, 50, there)], known, Hand)
        );
        after.Drag.Error.ShouldBeLessThan(before.Drag.Error * .8);
        after.Drag.Value.ShouldBeInRange(2.15, 2.5);
    }

    [Fact]
    public void A_crawl_is_found_again_from_the_eye_it_was_made_with()
    {
        var barebow = new FlyingArrow(430, .29);
        var made = new PointAim(barebow, 170, 29, []);
        made.EyeAboveNock.ShouldBe(PointAim.UsualEye);
        (double, double)[] crawls = [.. new double[] { 15, 25, 35 }.Select(d => (d, made.At(d).Crawl!.Value + .12))];
        var fitted = new PointAim(barebow, 170, 29, crawls);
        fitted.At(25).Crawl!.Value.ShouldBe(crawls[1].Item2, .06);
        fitted.EyeAboveNock.ShouldBeGreaterThan(made.EyeAboveNock);
    }

    [Fact]
    public void At_point_on_neither_crawl_nor_gap_is_left_and_nearer_the_point_is_held_low()
    {
        var aim = new PointAim(new FlyingArrow(430, .29), 170, 29, []);
        var on = aim.PointOn!.Value;
        aim.At(on).Crawl!.Value.ShouldBe(0, .01);
        aim.At(on).Gap!.Value.ShouldBe(0, .2);
        aim.At(on / 2).Gap!.Value.ShouldBeLessThan(-5);
        aim.At(on / 2).Crawl!.Value.ShouldBeGreaterThan(.2);
        aim.At(on * 1.2).Crawl.ShouldBeNull();
        aim.At(on * 1.2).Gap!.Value.ShouldBeGreaterThan(0);
        // Similar triangles in vacuum: (e − c)/L = (e − c)/d + g d/2v², solved by hand for e 4.5, L 29.
        var vacuum = new PointAim(new FlyingArrow(430, .29, 0), 170, 29, []);
        double[] metres = [4.5 * .0254, 29 * .0254, 30 * .9144, 170 * .3048];
        var drop = 9.80665 * metres[2] / (2 * metres[3] * metres[3]);
        var eye = drop / ((1 / metres[1]) - (1 / metres[2]));
        vacuum.At(30).Crawl!.Value.ShouldBe((metres[0] - eye) / .0254, .02);
    }
}
