using System.Diagnostics;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Benchmarks;

/// <summary>
/// The proof of the tuning engine as it ships: seeded bows tuned through school, press, limits and ladder, beside the
/// trade's fixed step, a practised hand and an oracle that knows every gain; then worlds beyond its own, how honest the
/// stated chances are, and what an advice costs. MERGANSER_TUNING names a part of a row's name.
/// </summary>
public static class TuningWorld
{
    private const int ManyBows = 1000;
    private const int FewBows = 300;
    public const int FirstSeed = 20_000;
    private static readonly SimulatedTuner Usual = SimulatedTuner.Usual;
    private static readonly SimulatedTuner NoPress = Usual with { Press = false };
    private static readonly SimulatedTuner Strict = Usual with { Tolerance = Tolerances.Strict };

    public static Task Run()
    {
        Console.WriteLine(
            $"  {ManyBows} or {FewBows} seeded bows a row; \"false\": the true mean tear is not inside when it was declared done"
        );
        TuningRow.Head("as it ships, 1/4 in");
        TuningRow.Of("centre first, press", ManyBows, seed => Tune(seed));
        TuningRow.Of("both axes in one visit", ManyBows, seed => Tune(seed, Usual with { BothAxes = true }));
        TuningRow.Of("centre first, no press", ManyBows, seed => Tune(seed, NoPress));
        TuningRow.Of("ladder, press", ManyBows, seed => Tune(seed, Usual with { School = School.Ladder }));
        TuningRow.Of("ladder, no press", FewBows, seed => Tune(seed, NoPress with { School = School.Ladder }));
        TuningRow.Of("rest only", ManyBows, seed => Tune(seed, Usual with { School = School.RestOnly }));
        TuningRow.Of("walk-back", FewBows, seed => Tune(seed, Usual with { School = School.WalkBack }));
        TuningRow.Of("second visit", ManyBows, Second);
        TuningRow.Of(
            "second visit, both axes",
            ManyBows,
            seed => Tune(seed, Usual with { BothAxes = true, Known = Tune(seed).Learned }, new() { Visit = 2 })
        );
        TuningRow.Of("a bow of the same make", ManyBows, seed => OfMake(seed, 0.15));
        TuningRow.Of("the same, not alike at all", ManyBows, seed => OfMake(seed, 0.6));
        TuningRow.Of(
            "reversed pockets, firm",
            ManyBows,
            seed => Tune(seed, null, Reversed(SimulatedAdjusters.Pockets))
        );
        TuningRow.Of(
            "reversed pockets, not known",
            ManyBows,
            seed => Tune(seed, Usual with { WaysNotKnown = true }, Reversed(SimulatedAdjusters.Pockets))
        );
        TuningRow.Of(
            "reversed pockets, an oracle",
            ManyBows,
            seed =>
                Tune(seed, Knowing(seed, Reversed(SimulatedAdjusters.Pockets)), Reversed(SimulatedAdjusters.Pockets))
        );
        TuningRow.Of(
            "usual pockets, not known",
            ManyBows,
            seed => Tune(seed, Usual with { WaysNotKnown = true }, Of(SimulatedAdjusters.Pockets))
        );
        TuningRow.Of(
            "an arrow that nothing cures",
            ManyBows,
            seed => Tune(seed, Usual with { StopsWhenDeaf = true }, new() { Answer = 0 })
        );
        TuningRow.Of(
            "gains a tenth",
            FewBows,
            seed => Tune(seed, Usual with { StopsWhenDeaf = true }, new() { Answer = 0.1 })
        );
        TuningRow.Of("1/8 in", ManyBows, seed => Tune(seed, Strict));
        TuningRow.Of("1/8 in, both axes", ManyBows, seed => Tune(seed, Strict with { BothAxes = true }));
        TuningRow.Of("1/8 in, ladder", FewBows, seed => Tune(seed, Strict with { School = School.Ladder }));
        TuningRow.Of("1/8 in, rest only", FewBows, seed => Tune(seed, Strict with { School = School.RestOnly }));
        TuningRow.Of("1/8 in, walk-back", FewBows, seed => Tune(seed, Strict with { School = School.WalkBack }));
        TuningRow.Head("adjusters");
        TuningRow.Of("yokes", FewBows, seed => Tune(seed, null, Of(SimulatedAdjusters.Yokes)));
        TuningRow.Of("spacers", FewBows, seed => Tune(seed, null, Of(SimulatedAdjusters.Spacers)));
        TuningRow.Of("pockets", FewBows, seed => Tune(seed, null, Of(SimulatedAdjusters.Pockets)));
        TuningRow.Of("rest and nocking point", FewBows, seed => Tune(seed, null, Of(SimulatedAdjusters.RestAndNock)));
        TuningRow.Of("fingers", FewBows, seed => Tune(seed, null, Of(SimulatedAdjusters.Fingers)));
        TuningRow.Of(
            "reversed yokes",
            FewBows,
            seed => Tune(seed, null, Of(SimulatedAdjusters.Yokes) with { Reversed = AdjusterKind.YokePair })
        );
        TuningRow.Head("worlds beyond its own");
        foreach (var (name, world) in Worlds)
        {
            TuningRow.Of(name, FewBows, seed => Tune(seed, null, world));
        }

        TuningRow.Of("priors twice too big", FewBows, seed => Tune(seed, WithPrior(seed, p => p, 2)));
        TuningRow.Of("priors half", FewBows, seed => Tune(seed, WithPrior(seed, p => p, 0.5)));
        foreach (var tolerance in new[] { Tolerances.Usual, Tolerances.Strict })
        {
            TuningRow.Head($"every adjuster open, {tolerance} in");
            TuningRow.Of(
                "fixed step, mean of 3",
                ManyBows,
                seed => Hands.FixedStep(Handled.Of(new SimulatedBow(seed)), tolerance),
                tolerance
            );
            TuningRow.Of(
                "practised hand, one shot",
                ManyBows,
                seed => Hands.Practised(Handled.Of(new SimulatedBow(seed)), tolerance, 1, confirm: false),
                tolerance
            );
            TuningRow.Of(
                "practised hand, 3 + 1",
                ManyBows,
                seed => Hands.Practised(Handled.Of(new SimulatedBow(seed)), tolerance, 3, confirm: true),
                tolerance
            );
            var figures = RuleFigures.For(tolerance);
            TuningRow.Of(
                "engine as first written",
                ManyBows,
                seed => Tune(seed, Open(tolerance, WithPrior(seed, p => p.AsFirstWritten), figures.AsFirstWritten)),
                tolerance
            );
            TuningRow.Of(
                "engine",
                ManyBows,
                seed => Tune(seed, Open(tolerance, WithPrior(seed, p => p), null)),
                tolerance
            );
            TuningRow.Of("oracle", ManyBows, seed => Tune(seed, Open(tolerance, Knowing(seed), null)), tolerance);
        }

        TuningChances.AfterEveryShot();
        TuningChances.OfOtherDays();
        return Cost();
    }

    /// <summary>The worlds that the engine was not made for.</summary>
    public static IReadOnlyList<(string Name, SimulatedWorld World)> Worlds { get; } =
    [
        ("25 % flyers", new(FlyerShare: 0.25)),
        ("gain sd 80 %, e^.5z", new(GainSd: 0.8, BowSd: 0.5)),
        ("poor archer .30 to .45", new(SpreadLow: 0.30, SpreadHigh: 0.45)),
        ("saturating, backlash 0 to 2", new() { Saturating = true, Backlash = 2 }),
        ("10 % misturned by one", new() { Misturned = 0.10 }),
        ("5 % the other way than logged", new() { WrongWay = 0.05 }),
        ("cross 25 %", new() { CrossSd = 0.25 }),
        ("cross 50 %", new() { CrossSd = 0.50 }),
        ("day bias .12", new() { DayBias = 0.12 }),
        ("form drifts .02 a shot", new() { Drift = 0.02 }),
        ("fatigue 2 % a shot", new() { Fatigue = 0.02 }),
        ("heavy tails", new() { HeavyTails = true }),
        ("height spread twice", new() { HeightSpread = 2 }),
        ("holes read to 1/8", new() { ReadTo = 0.125 }),
        ("string settles .2", new() { Settling = 0.2 }),
        ("grip changes after 6 shots", new() { GripChangesAt = 6 }),
        ("first tears twice", new() { TearScale = 2 }),
    ];

    private static SimulatedWorld Of(SimulatedAdjusters adjusters) => new(Adjusters: adjusters);

    private static SimulatedWorld Reversed(SimulatedAdjusters adjusters) =>
        Of(adjusters) with
        {
            Reversed = AdjusterKind.LimbPocket,
        };

    private static SessionResult Tune(int seed, SimulatedTuner? tuner = null, SimulatedWorld? world = null) =>
        ClosedLoop.Run(new SimulatedBow(seed, world), tuner);

    /// <summary>The same bow again, its adjusters back where they stood, with what the first visit taught.</summary>
    private static SessionResult Second(int seed)
    {
        var first = Tune(seed);
        return Tune(seed, Usual with { Known = first.Learned }, new SimulatedWorld { Visit = 2 });
    }

    /// <summary>A bow whose maker's other bow was tuned before it.</summary>
    private static SessionResult OfMake(int seed, double makeSd)
    {
        var other = Tune(seed);
        return Tune(
            seed,
            Usual with
            {
                Known = other.Learned.Of("the other"),
            },
            new SimulatedWorld { BowOfMake = 1, MakeSd = makeSd }
        );
    }

    private static SimulatedTuner WithPrior(
        int seed,
        Func<ResponsePrior, ResponsePrior> of,
        double scale = 1,
        SimulatedWorld? world = null
    ) =>
        Usual with
        {
            Engine = new EngineChoice(of(ClosedLoop.PriorOf(new SimulatedBow(seed, world), scale)), null, false),
        };

    private static SimulatedTuner Open(double tolerance, SimulatedTuner tuner, RuleFigures? figures) =>
        tuner with
        {
            Tolerance = tolerance,
            Engine = tuner.Engine! with { Figures = figures, Everything = true },
        };

    /// <summary>Knows every gain on its own axis to a percent, and its way; not the tear.</summary>
    private static SimulatedTuner Knowing(int seed, SimulatedWorld? world = null)
    {
        var bow = new SimulatedBow(seed, world);
        return WithPrior(
            seed,
            prior =>
                prior.Knowing(i =>
                {
                    var (x, y) = bow.TrueGain(i);
                    return prior.Gains[i].Axis == TearAxis.Sideways ? x : y;
                }),
            world: world
        );
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
                double[] setting = [i / 6 % 5, (i / 6 * 3) - 9, i / 12 % 3, i / 20, 0];
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
            rule.Decide(
                prior,
                model.Read().Wider(RuleFigures.UsualInflation),
                shots[^1].Setting,
                bow.Levers,
                new DoneSoFar(6, 9)
            );
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
