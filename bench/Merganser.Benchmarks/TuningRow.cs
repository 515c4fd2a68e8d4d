using Merganser.Core.Paper;
using Merganser.Core.Simulation;

namespace Merganser.Benchmarks;

/// <summary>A row of the tuning table: many bows, each with its own seed.</summary>
public static class TuningRow
{
    /// <summary>So many shots at one setting are too many.</summary>
    private const int ManyShots = 20;

    /// <summary>Within so many shots it is to be told that the adjusters do not reach.</summary>
    private const int Told = 18;

    /// <summary>Part of the names of the rows that are wanted.</summary>
    public static string Wanted { get; } = Environment.GetEnvironmentVariable("MERGANSER_TUNING") ?? "";

    public static void Head(string name) =>
        Console.WriteLine(
            $"  {name, -32}   moves    shots  false  unfinished  inside@18  stated → true   out of reach: told by {Told}, wrongly  deaf: by 3rd, 4th, told  ≥ {ManyShots} here  largest"
        );

    public static void Of(string name, int bows, Func<int, SessionResult> run, double tolerance = 0)
    {
        if (!name.Contains(Wanted, StringComparison.Ordinal))
        {
            return;
        }

        var within =
            tolerance > 0 ? tolerance
            : name.Contains("1/8 in") ? Tolerances.Strict
            : Tolerances.Usual;
        var results = new SessionResult[bows];
        Parallel.For(0, bows, i => results[i] = run(TuningWorld.FirstSeed + i));
        var done = results.Where(r => r.End == SessionEnd.Done).ToArray();
        var stated = done.Length == 0 ? 0 : done.Average(r => r.Stated);
        var within18 = results.Count(r => r.LengthAfter18 < within);
        SessionResult[] beyond = [.. results.Where(r => r.OutOfReach)];
        SessionResult[] inReach = [.. results.Where(r => !r.OutOfReach)];
        Console.WriteLine(
            string.Create(
                System.Globalization.CultureInfo.InvariantCulture,
                $"  {name, -32}{At(r => r.Moves), 8}{At(r => r.Shots), 9}{Share(done.Count(r => r.TrueLength >= within), bows), 7}{Share(bows - done.Length, bows), 12}{Share(within18, bows), 11}"
                    + $"{(stated > 0 ? $"{stated:F3} → {done.Count(r => r.TrueLength < within) / (double)done.Length:F3}" : ""), 15}"
                    + $"{Share(beyond.Length, bows), 16}: {Share(beyond.Count(r => r.ToldToStop && r.Shots <= Told), beyond.Length), 6}, {Share(inReach.Count(r => r.ToldToStop), inReach.Length), 5}"
                    + $"{Share(results.Count(r => r.ToldDeafAt <= 3), bows), 14}, {Share(results.Count(r => r.ToldDeafAt <= 4), bows)}, {Share(results.Count(r => r.ToldDeafAt is not null), bows)}"
                    + $"{Share(results.Count(r => r.MostShotsHere >= ManyShots), bows), 10}{results.Max(r => r.LargestMove), 9:F2}"
            )
        );

        string At(Func<SessionResult, int> of)
        {
            var sorted = results.Select(of).Order().ToArray();
            return $"{sorted[bows / 2]}/{sorted[bows * 95 / 100]}";
        }
    }

    private static string Share(int count, int all) =>
        all == 0 ? "–" : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{100.0 * count / all:F1}");
}
