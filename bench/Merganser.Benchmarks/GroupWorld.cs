using System.Globalization;
using Merganser.Core.Groups;
using Merganser.Core.Simulation;

namespace Merganser.Benchmarks;

/// <summary>
/// Groups at a target on seeded bows, driven through the session as it ships, ends of two and two. MERGANSER_GROUPS
/// names a part of a row's name.
/// </summary>
internal static class GroupWorld
{
    private const int FirstSeed = 50_000;
    private static readonly string Wanted = Environment.GetEnvironmentVariable("MERGANSER_GROUPS") ?? "";

    public static Task Run()
    {
        var bows = int.Parse(
            Environment.GetEnvironmentVariable("MERGANSER_BOWS") ?? "1000",
            CultureInfo.InvariantCulture
        );
        Console.WriteLine(
            $"  {bows} bows a row                  moves    arrows  false %  ≥ 1.5 tol %  unfinished %  inside@36 %  stated → true"
        );
        double[] spreads = [.6, 1.0, 1.6];
        foreach (var spread in spreads)
        {
            Row(bows, "bare 20 yd", TargetWorld.Bare, spread, new GroupWays());
        }

        Row(bows, "bare 20 yd, 5 % reversed", TargetWorld.Bare, 1.0, new GroupWays(), .05);
        (string Name, TargetWorld World, GroupWays Ways)[] rows =
        [
            ("bare, every adjuster", TargetWorld.Bare, new GroupWays(EveryAdjuster: true)),
            ("bare, both axes", TargetWorld.Bare, new GroupWays(BothAxes: true)),
            ("bare, taught by paper", TargetWorld.Bare, new GroupWays(TaughtByPaper: true)),
            ("heads 30 yd", TargetWorld.Heads, new GroupWays()),
            ("heads, every adjuster", TargetWorld.Heads, new GroupWays(EveryAdjuster: true)),
            ("heads, both axes", TargetWorld.Heads, new GroupWays(BothAxes: true)),
            ("heads, taught by paper", TargetWorld.Heads, new GroupWays(TaughtByPaper: true)),
            ("heads, sight or bow", TargetWorld.Heads, new GroupWays(Straight: StraightMiss.MoveTheSight)),
            ("bare, an oracle", TargetWorld.Bare, new GroupWays(Oracle: true)),
            ("heads, an oracle", TargetWorld.Heads, new GroupWays(Oracle: true)),
        ];
        foreach (var (name, world, ways) in rows)
        {
            foreach (var spread in spreads)
            {
                Row(bows, name, world, spread, ways);
            }
        }

        foreach (var (name, world) in new[] { ("bare", TargetWorld.Bare), ("heads", TargetWorld.Heads) })
        {
            foreach (var spread in spreads)
            {
                Row(bows, $"{name}, practised hand 3 + 3", world, spread, t => ByHand(t, Hand(t, 3)));
                Row(bows, $"{name}, careful hand 5 + 5", world, spread, t => ByHand(t, Hand(t, 5)));
                Row(bows, $"{name}, small fixed step", world, spread, t => ByHand(t, Step(t)));
            }
        }

        return Task.CompletedTask;
    }

    private static SessionResult Hand(SimulatedTarget target, int pairs) =>
        Hands.Practised(Handled.Of(target), Inside(target), pairs, confirm: false);

    private static SessionResult Step(SimulatedTarget target) => Hands.FixedStep(Handled.Of(target), Inside(target));

    private static double Inside(SimulatedTarget target) => target.World.Tolerance / target.World.Scale.Factor;

    private static GroupResult ByHand(SimulatedTarget target, SessionResult done)
    {
        var factor = target.World.Scale.Factor;
        var (end, after36) = (factor * done.TrueLength, factor * done.LengthAfter18);
        return new GroupResult(done.End, done.Moves, Handled.ArrowsOfPair * done.Shots, end, after36, double.NaN);
    }

    private static void Row(
        int bows,
        string row,
        TargetWorld world,
        double spread,
        GroupWays ways,
        double reversed = 0
    ) => Row(bows, row, world, spread, target => GroupLoop.Run(target, ways), reversed);

    private static void Row(
        int bows,
        string row,
        TargetWorld world,
        double spread,
        Func<SimulatedTarget, GroupResult> shot,
        double reversed = 0
    )
    {
        if (!row.Contains(Wanted, StringComparison.Ordinal))
        {
            return;
        }

        var tolerance = world.Tolerance;
        GroupResult[] all =
        [
            .. Enumerable
                .Range(FirstSeed, bows)
                .AsParallel()
                .AsOrdered()
                .Select(seed => shot(new SimulatedTarget(seed, spread, world, reversed))),
        ];
        GroupResult[] done = [.. all.Where(r => r.End == SessionEnd.Done)];
        double Share(IEnumerable<GroupResult> of) => 100.0 * of.Count() / bows;
        int At(double share, Func<GroupResult, int> of) => all.Select(of).Order().ElementAt((int)(share * (bows - 1)));
        var name = string.Create(CultureInfo.InvariantCulture, $"{row}, {spread:0.0} in");
        var sights = all.Sum(r => r.SightMoves);
        var sight =
            sights > 0
                ? $"   sight in {Share(all.Where(r => r.SightMoves > 0)):0} %, {100.0 * all.Sum(r => r.SightWrong) / sights:0.0} % of them the bow's"
                : "";
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  {name, -34} {At(.5, r => r.Moves), 3}/{At(.95, r => r.Moves), -3} {At(.5, r => r.Arrows), 4}/{At(.95, r => r.Arrows), -4} {Share(done.Where(r => r.TrueLength > tolerance)), 6:0.0} {Share(done.Where(r => r.TrueLength > 1.5 * tolerance)), 10:0.0} {Share(all.Where(r => r.End != SessionEnd.Done)), 12:0.0} {Share(all.Where(r => r.LengthAfter36 <= tolerance)), 12:0.0}   {done.Average(r => r.Stated):0.000} → {done.Average(r => r.TrueLength <= tolerance ? 1.0 : 0):0.000}{sight}"
            )
        );
    }
}
