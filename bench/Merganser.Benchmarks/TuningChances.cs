using Merganser.Core.Paper;
using Merganser.Core.Simulation;

namespace Merganser.Benchmarks;

/// <summary>How honest the stated chances are: of today after every shot, and of other days.</summary>
public static class TuningChances
{
    /// <summary>The chance that was stated after every shot, against how often it was true.</summary>
    public static void AfterEveryShot()
    {
        if (TuningRow.Wanted.Length > 0)
        {
            return;
        }

        var edges = new[] { 0, 0.1, 0.35, 0.6, 0.8, 0.9, 0.95, 1.0001 };
        var bins = edges.Skip(1).Select(_ => (Count: 0, Stated: 0.0, True: 0)).ToArray();
        for (var seed = TuningWorld.FirstSeed; seed < TuningWorld.FirstSeed + 400; seed++)
        {
            var bow = new SimulatedBow(seed);
            ClosedLoop.Run(
                bow,
                null,
                (chance, setting) =>
                {
                    var bin = Array.FindIndex(edges, e => e > chance) - 1;
                    bins[bin] = (
                        bins[bin].Count + 1,
                        bins[bin].Stated + chance,
                        bins[bin].True + (bow.TrueMean(setting).Length < Tolerances.Usual ? 1 : 0)
                    );
                }
            );
        }

        Console.WriteLine("  stated after each shot of 400 sessions → how often it was so");
        foreach (var bin in bins.Where(b => b.Count > 0))
        {
            Console.WriteLine(
                $"    {bin.Stated / bin.Count:F3} → {(double)bin.True / bin.Count:F3}   ({bin.Count} times)"
            );
        }
    }

    /// <summary>What is said of other days, against how often it was so.</summary>
    public static void OfOtherDays()
    {
        if (!"other days".Contains(TuningRow.Wanted, StringComparison.Ordinal))
        {
            return;
        }

        Console.WriteLine(
            "  done: stated of today, that it lasts, that it lasts after three shots of a second day → how often it was so"
        );
        foreach (var bias in new[] { 0, 0.08, 0.12 })
        {
            var results = new SessionResult[600];
            Parallel.For(
                0,
                results.Length,
                i =>
                    results[i] = ClosedLoop.Run(
                        new SimulatedBow(TuningWorld.FirstSeed + i, new() { DayBias = bias }),
                        SimulatedTuner.Usual with
                        {
                            SecondDay = true,
                        }
                    )
            );
            var done = results.Where(r => r.End == SessionEnd.Done).ToArray();
            double Share(Func<SessionResult, bool> so) => done.Count(so) / (double)done.Length;
            var lasts = Share(r => r.TrueLength < Tolerances.Usual);
            Console.WriteLine(
                string.Create(
                    System.Globalization.CultureInfo.InvariantCulture,
                    $"    a day's own offset {bias:F2} in: today {done.Average(r => r.Stated):F3} → {Share(r => r.LengthThatDay < Tolerances.Usual):F3}, lasting {done.Average(r => r.StatedLasting):F3} → {lasts:F3}, after the second day:"
                )
            );
            foreach (var (low, high) in new[] { (0, 0.75), (0.75, 0.9), (0.9, 0.95), (0.95, 1.01) })
            {
                var bin = done.Where(r => r.StatedAfterDays >= low && r.StatedAfterDays < high).ToArray();
                if (bin.Length > 0)
                {
                    Console.WriteLine(
                        string.Create(
                            System.Globalization.CultureInfo.InvariantCulture,
                            $"      {bin.Average(r => r.StatedAfterDays):F3} → {bin.Count(r => r.TrueLength < Tolerances.Usual) / (double)bin.Length:F3}   ({bin.Length} times)"
                        )
                    );
                }
            }
        }
    }
}
