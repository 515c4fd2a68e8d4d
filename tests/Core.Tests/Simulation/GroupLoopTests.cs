using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Simulation;

namespace Merganser.Core.Tests.Simulation;

/// <summary>
/// Simulated groups through the session as it ships: a few bows of each row; the whole of it is a benchmark.
/// </summary>
public class GroupLoopTests
{
    private const int Bows = 40;

    [Fact]
    public void Bare_shafts_come_to_the_fletched_ones_in_few_moves_and_are_rarely_called_so_wrongly()
    {
        var all = Enumerable
            .Range(50_000, Bows)
            .Select(seed => GroupLoop.Run(new SimulatedTarget(seed, .6, TargetWorld.Bare)))
            .ToArray();
        var done = all.Where(r => r.End == SessionEnd.Done).ToArray();
        done.Length.ShouldBeGreaterThanOrEqualTo((int)(.85 * Bows));
        done.Count(r => r.TrueLength > 2).ShouldBeLessThanOrEqualTo(2);
        done.ShouldAllBe(r => r.TrueLength < 3);
        all.Select(r => r.Moves).Order().ElementAt(Bows / 2).ShouldBeInRange(2, 4);
        all.Select(r => r.Arrows).Order().ElementAt(Bows / 2).ShouldBeLessThanOrEqualTo(32);
    }

    [Fact]
    public void The_same_seed_is_the_same_bow_and_its_world_does_what_it_says()
    {
        GroupLoop
            .Run(new SimulatedTarget(50_001, 1, TargetWorld.Bare))
            .ShouldBe(GroupLoop.Run(new SimulatedTarget(50_001, 1, TargetWorld.Bare)));
        SimulatedTarget[] bows =
        [
            .. Enumerable.Range(60_000, 400).Select(seed => new SimulatedTarget(seed, 1, TargetWorld.Bare)),
        ];
        bows.ShouldAllBe(b => Offset(b, 0).Length >= 2.8);
        var ways = bows.Select(b => Math.Sign(Offset(b, 0).X - Offset(b, 1).X)).ToArray();
        ways.Count(w => w > 0).ShouldBeInRange(170, 230, "the rest's way is a coin's");
        SimulatedTarget[] reversed =
        [
            .. Enumerable.Range(60_000, 400).Select(s => new SimulatedTarget(s, 1, TargetWorld.Bare, .2)),
        ];
        reversed
            .Count(b => Offset(b, 0, AdjusterKind.NockingPoint).Y < Offset(b, 1, AdjusterKind.NockingPoint).Y)
            .ShouldBeInRange(55, 105, "two in ten nocking points answer the other way");
        bows.Count(b => Offset(b, 0, AdjusterKind.NockingPoint).Y < Offset(b, 1, AdjusterKind.NockingPoint).Y)
            .ShouldBe(0);
    }

    [Fact]
    public void Bare_shafts_stray_more_and_both_stray_about_their_own_mean()
    {
        var bow = new SimulatedTarget(50_007, 1, TargetWorld.Bare);
        var setting = new double[bow.Bow.Levers.Count];
        ArrowGroup Shoot(ArrowKind kind) => new([.. Enumerable.Range(0, 4000).Select(_ => bow.Shoot(kind, setting))]);
        var (bare, fletched) = (Shoot(ArrowKind.Bare), Shoot(ArrowKind.Fletched));
        (bare.Spread / fletched.Spread).ShouldBeInRange(1.18, 1.32);
        (bare.Centre - bow.TrueOffset(setting)).Length.ShouldBeLessThan(.1);
        fletched.Centre.Length.ShouldBeLessThan(.1);
    }

    private static Impact Offset(SimulatedTarget bow, int step, AdjusterKind kind = AdjusterKind.RestSideways) =>
        bow.TrueOffset([.. bow.Bow.Kinds.Select(k => k == kind ? step : 0)]);
}
