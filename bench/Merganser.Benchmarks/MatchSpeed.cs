using System.Diagnostics;
using Merganser.Core.Dozens;

namespace Merganser.Benchmarks;

/// <summary>How long the matcher takes: a dozen of five classes, and a gross; seeded.</summary>
public static class MatchSpeed
{
    public static Task Run()
    {
        foreach (var (arrows, runs) in new[] { (12, 200), (144, 12) })
        {
            List<double> times = [];
            List<MatchResult> found = [];
            for (var seed = 1; seed <= runs; seed++)
            {
                var random = new Random(seed);
                MatchClass Class(string name, int per, int middle, int sway) =>
                    new(
                        name,
                        per,
                        [.. Enumerable.Range(0, arrows * per).Select(_ => middle + random.Next(-sway, sway + 1))]
                    );
                var problem = new MatchProblem(
                    arrows,
                    [
                        Class("Shaft", 1, 2520, 20),
                        Class("Insert", 1, 250, 3),
                        Class("Point", 1, 1000, 8),
                        Class("Nock", 1, 90, 2),
                        Class("Vanes", 3, 60, 2),
                    ],
                    []
                );
                var from = Stopwatch.GetTimestamp();
                found.Add(Matcher.Find(problem, seed));
                times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            }

            Console.WriteLine($"  {arrows} arrows x 5 classes:{Percentiles.Line(times)}");
            Console.WriteLine(
                $"    mean spread by chance {found.Average(f => f.ByChance) / 10:F2}, light with heavy {found.Average(f => f.OppositeOrder) / 10:F2}, found {found.Average(f => f.Spread) / 10:F2} gr; proven best in {found.Count(f => f.Proven)} of {found.Count}"
            );
        }

        return Task.CompletedTask;
    }
}
