using System.Diagnostics;
using Merganser.Core.Paper;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Benchmarks;

/// <summary>
/// The proof of the tuning engine: the same seeded bows tuned by the trade's fixed step, a practised hand, the engine
/// and an oracle that knows every gain; then how honest the stated chances are, and what an advice costs.
/// </summary>
public static class TuningWorld
{
    private const int Bows = 1000;
    private const int FirstSeed = 20_000;

    public static Task Run()
    {
        Console.WriteLine(
            $"  {Bows} seeded bows a row, one adjuster at a time; \"false\": the true mean tear is not inside when it was declared done"
        );
        foreach (var tolerance in new[] { Tolerances.Usual, Tolerances.Strict })
        {
            var figures = RuleFigures.For(tolerance);
            Console.WriteLine(
                $"  tolerance {tolerance} in              moves     shots    false  ≥1.5 tol  unfinished  inside after 18  stated → true"
            );
            Row("fixed step, mean of 3", tolerance, seed => Hands.FixedStep(new SimulatedBow(seed), tolerance));
            Row(
                "practised hand, one shot",
                tolerance,
                seed => Hands.Practised(new SimulatedBow(seed), tolerance, 1, confirm: false)
            );
            Row(
                "practised hand, 3 + 1",
                tolerance,
                seed => Hands.Practised(new SimulatedBow(seed), tolerance, 3, confirm: true)
            );
            Row(
                "engine as first written",
                tolerance,
                seed => Engine(seed, figures.AsFirstWritten, asFirstWritten: true)
            );
            Row("engine", tolerance, seed => Engine(seed, figures));
            Row("oracle", tolerance, seed => Oracle(seed, figures));
        }

        Console.WriteLine("  the engine at ¼ in in other worlds");
        var usual = RuleFigures.Usual;
        Row("25 % flyers", usual.Tolerance, seed => Engine(seed, usual, new SimulatedWorld(FlyerShare: 0.25)));
        Row(
            "gain sd 80 %, e^.5z",
            usual.Tolerance,
            seed => Engine(seed, usual, new SimulatedWorld(GainSd: 0.8, BowSd: 0.5))
        );
        Row(
            "poor archer .30 to .45",
            usual.Tolerance,
            seed =>
                Engine(
                    seed,
                    RuleFigures.For(Tolerances.Usual, 0.37),
                    new SimulatedWorld(SpreadLow: 0.30, SpreadHigh: 0.45)
                )
        );
        Row(
            "rest and nocking point only",
            usual.Tolerance,
            seed => Engine(seed, usual, new SimulatedWorld(RestAndNockOnly: true))
        );
        Row("priors twice too big", usual.Tolerance, seed => Engine(seed, usual, scale: 2));
        Row("priors half", usual.Tolerance, seed => Engine(seed, usual, scale: 0.5));
        Calibration(usual);
        return Cost();
    }

    private static SessionResult Engine(
        int seed,
        RuleFigures figures,
        SimulatedWorld? world = null,
        double scale = 1,
        bool asFirstWritten = false
    )
    {
        var bow = new SimulatedBow(seed, world);
        var prior = ClosedLoop.PriorOf(bow, scale);
        return ClosedLoop.Run(
            bow,
            asFirstWritten
                ? prior with
                {
                    Gains = [.. prior.Gains.Select(g => g with { LogSd = 0.5, SharedSd = 0.25 })],
                }
                : prior,
            figures
        );
    }

    /// <summary>Knows every gain on its own axis to a percent, and the rest's sign; not the tear.</summary>
    private static SessionResult Oracle(int seed, RuleFigures figures)
    {
        var bow = new SimulatedBow(seed);
        var prior = ClosedLoop.PriorOf(bow);
        var known = prior.Gains.Select(
            (g, i) =>
            {
                var (x, y) = bow.TrueGain(i);
                var own = g.Axis == Core.Bows.TearAxis.Sideways ? x : y;
                return g with
                {
                    LogMean = Math.Log(Math.Abs(own) / g.Nominal),
                    LogSd = 0.01,
                    SharedSd = 0,
                    PlusChance = own > 0 ? 1 : 0,
                };
            }
        );
        return ClosedLoop.Run(bow, prior with { Gains = [.. known] }, figures);
    }

    private static void Row(string name, double tolerance, Func<int, SessionResult> run)
    {
        var results = new SessionResult[Bows];
        Parallel.For(0, Bows, i => results[i] = run(FirstSeed + i));
        var done = results.Where(r => r.End == SessionEnd.Done).ToArray();
        var stated = done.Average(r => r.Stated);
        Console.WriteLine(
            $"  {name, -30}{At(r => r.Moves), 8}{At(r => r.Shots), 10}{Share(done.Count(r => r.TrueLength >= tolerance)), 9}{Share(done.Count(r => r.TrueLength >= 1.5 * tolerance)), 10}"
                + $"{Share(Bows - done.Length), 12}{Share(results.Count(r => r.LengthAfter18 < tolerance)), 17}"
                + (
                    stated > 0
                        ? $"{stated, 10:F3} → {done.Count(r => r.TrueLength < tolerance) / (double)done.Length:F3}"
                        : ""
                )
        );

        string At(Func<SessionResult, int> of)
        {
            var sorted = results.Select(of).Order().ToArray();
            return $"{sorted[Bows / 2]}/{sorted[Bows * 95 / 100]}";
        }
    }

    private static string Share(int count) => $"{100.0 * count / Bows:F1} %";

    /// <summary>The chance that was stated after every shot, against how often it was true.</summary>
    private static void Calibration(RuleFigures figures)
    {
        var edges = new[] { 0, 0.1, 0.35, 0.6, 0.8, 0.9, 0.95, 1.0001 };
        var bins = edges.Skip(1).Select(_ => (Count: 0, Stated: 0.0, True: 0)).ToArray();
        for (var seed = FirstSeed; seed < FirstSeed + 400; seed++)
        {
            var bow = new SimulatedBow(seed);
            ClosedLoop.Run(
                bow,
                ClosedLoop.PriorOf(bow),
                figures,
                (chance, setting) =>
                {
                    var bin = Array.FindIndex(edges, e => e > chance) - 1;
                    bins[bin] = (
                        bins[bin].Count + 1,
                        bins[bin].Stated + chance,
                        bins[bin].True + (bow.TrueMean(setting).Length < figures.Tolerance ? 1 : 0)
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

    /// <summary>What an advice costs; a part of the proof that takes seconds.</summary>
    public static Task Cost()
    {
        var bow = new SimulatedBow(7);
        var prior = ClosedLoop.PriorOf(bow);
        var rule = new DecisionRule(RuleFigures.Usual);
        var shots = Enumerable
            .Range(0, 60)
            .Select(i =>
            {
                int[] setting = [i / 6 % 5, (i / 6 * 3) - 9, i / 12 % 3, i / 20, 0];
                var tear = bow.Shoot(setting);
                return new Observation(setting, tear.X, tear.Y);
            })
            .ToArray();
        List<double> times = [];
        long before = 0;
        for (var i = 0; i < 60; i++)
        {
            var allocated = GC.GetAllocatedBytesForCurrentThread();
            var from = Stopwatch.GetTimestamp();
            var model = ResponseModel.Of(prior, shots);
            rule.Decide(prior, model.Read().Wider(RuleFigures.UsualInflation), shots[^1].Setting, bow.Levers, 6);
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            before = GC.GetAllocatedBytesForCurrentThread() - allocated;
        }

        Console.WriteLine(
            $"  an advice from nothing in a session of 60 shots at 10 settings: {Percentiles.Line(times.Skip(20))}"
        );
        Console.WriteLine($"    allocated {before / 1024} kB");
        return Task.CompletedTask;
    }
}
