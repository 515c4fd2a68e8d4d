using System.Globalization;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Benchmarks;

/// <summary>
/// A pin set at 20 yd through the session as it ships: a sight that is off by 3 in a side, hits until it is called
/// zeroed, with a sight that moves as it is believed to, or by a tenth more or less.
/// </summary>
internal static class SightingWorld
{
    private const int FirstSeed = 80_000;
    private const int Most = 40;
    private static readonly PlannedStage Twenty = new(20, false, true, Sighting: true);

    public static void Run(int sessions)
    {
        Console.WriteLine(
            "  a pin at 20 yd, off by 3 in a side     arrows     moves  left, mean  within 1 in   stated"
        );
        foreach (var geometry in (double[])[0, .1])
        {
            foreach (var spread in (double[])[.6, 1.0, 1.6])
            {
                Row(sessions, spread, geometry);
            }
        }
    }

    private static void Row(int sessions, double spread, double geometry)
    {
        var all = Enumerable
            .Range(FirstSeed, sessions)
            .AsParallel()
            .AsOrdered()
            .Select(seed => Session(seed, spread, geometry))
            .ToArray();
        var arrows = all.Select(r => r.Arrows).Order().ToArray();
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  hand {spread:.0} in, sight ± {geometry:.00}            {arrows[sessions / 2], 8}/{arrows[sessions * 95 / 100], -4} {all.Average(r => r.Moves), 6:.0} {all.Average(r => r.Left), 9:.00} {all.Average(r => r.Left < 1 ? 1.0 : 0), 11:.00} {all.Average(r => r.Stated), 11:.00}"
            )
        );
    }

    private static (int Arrows, int Moves, double Left, double Stated) Session(int seed, double spread, double geometry)
    {
        var random = new MersenneTwister(seed, threadSafe: false);
        double Stray(double sd) => Normal.Sample(random, 0, sd);
        var (x, y, moved) = (Stray(3), Stray(3), 1 + Stray(geometry == 0 ? 1e-9 : geometry));
        List<SessionEvent> events = [];
        void Happens(IEnumerable<NewAct> acts)
        {
            foreach (var act in acts)
            {
                var at = DateTimeOffset.UnixEpoch.AddMinutes(events.Count);
                events.Add(new SessionEvent(act.Id, events.Count + 1, at, at, act.Act));
            }
        }

        TuningSession Now() =>
            new(
                new SessionBow(
                    SimulatedBow.Measured,
                    new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                    [],
                    null
                ),
                [],
                new SessionPlan(SessionKind.Tune, null, [Twenty], SessionPlan.UntilClear, false, null),
                Tolerances.Usual,
                Knowledge.None,
                events
            );
        Happens([new NewAct("set", new SetBegun(Twenty, "20", SetPurpose.Session, "v"))]);
        for (var (arrows, moves) = (0, 0); ; )
        {
            var session = Now();
            var advice = session.Advice;
            if (advice.Kind == AdviceKind.GoodEnough || arrows >= Most)
            {
                return (arrows, moves, Math.Sqrt((x * x) + (y * y)), advice.Chance ?? 0);
            }

            if (advice.Kind == AdviceKind.MoveTheSight)
            {
                var pin = session.Sighting!.SightAnswer(null);
                var shift = Sight.Usual.Moved(pin, 20);
                (x, y, moves) = (x + (moved * shift.X), y + (moved * shift.Y), moves + 1);
                Happens(SessionActs.MoveSight(session, $"move{moves}", pin));
                continue;
            }

            var hit = new HitMarked(ArrowKind.Fletched, new Hole(x + Stray(spread), y + Stray(spread)));
            Happens(SessionActs.Mark(session, $"hit{arrows++}", session.Now.Id, hit, settling: false));
        }
    }
}
