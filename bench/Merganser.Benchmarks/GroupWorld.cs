using System.Globalization;
using Merganser.Core.Groups;
using Merganser.Core.Simulation;

namespace Merganser.Benchmarks;

/// <summary>Groups at 20 yd on seeded bows, driven through the session as it ships, ends of two and two.</summary>
internal static class GroupWorld
{
    private const int FirstSeed = 50_000;

    public static Task Run()
    {
        var bows = int.Parse(
            Environment.GetEnvironmentVariable("MERGANSER_BOWS") ?? "1000",
            CultureInfo.InvariantCulture
        );
        Console.WriteLine(
            $"  {bows} bows a row            moves    arrows  false %  ≥ 1.5 tol %  unfinished %  inside@36 %  stated → true"
        );
        foreach (
            var (spread, reversed, both) in new[]
            {
                (.6, 0.0, false),
                (1.0, 0, false),
                (1.6, 0, false),
                (1.0, .05, false),
                (.6, 0, true),
                (1.0, 0, true),
                (1.6, 0, true),
            }
        )
        {
            Row(bows, spread, reversed, both);
        }

        return Task.CompletedTask;
    }

    private static void Row(int bows, double spread, double reversed, bool both)
    {
        var tolerance = new TargetScale(20).Tolerance;
        GroupResult[] all =
        [
            .. Enumerable
                .Range(FirstSeed, bows)
                .AsParallel()
                .AsOrdered()
                .Select(seed => GroupLoop.Run(new SimulatedTarget(seed, spread, tolerance, reversed), bothAxes: both)),
        ];
        GroupResult[] done = [.. all.Where(r => r.End == SessionEnd.Done)];
        double Share(IEnumerable<GroupResult> of) => 100.0 * of.Count() / bows;
        int At(double share, Func<GroupResult, int> of) => all.Select(of).Order().ElementAt((int)(share * (bows - 1)));
        var name =
            $"bare 20 yd, {spread:0.0} in{(reversed > 0 ? $", {100 * reversed:0} % reversed" : "")}{(both ? ", both axes" : "")}";
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  {name, -28} {At(.5, r => r.Moves), 3}/{At(.95, r => r.Moves), -3} {At(.5, r => r.Arrows), 4}/{At(.95, r => r.Arrows), -4} {Share(done.Where(r => r.TrueLength > tolerance)), 6:0.0} {Share(done.Where(r => r.TrueLength > 1.5 * tolerance)), 10:0.0} {Share(all.Where(r => r.End != SessionEnd.Done)), 12:0.0} {Share(all.Where(r => r.LengthAfter36 <= tolerance)), 12:0.0}   {done.Average(r => r.Stated):0.000} → {done.Average(r => r.TrueLength <= tolerance ? 1.0 : 0):0.000}"
            )
        );
    }
}
