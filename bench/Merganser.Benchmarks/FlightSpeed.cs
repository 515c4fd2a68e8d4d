using System.Diagnostics;
using Merganser.Core.Ballistics;

namespace Merganser.Benchmarks;

/// <summary>What a path, a honest range and fitted marks cost, and the whole page from the server.</summary>
public static class FlightSpeed
{
    private const int Runs = 200;

    public static async Task Run()
    {
        var arrow = new FlyingArrow(409, .246);
        var flight = new Trajectory(arrow, 276, 4.5);
        var hand = new ShotSpread(.048, .041, .057, SpreadSource.Measured, 46);
        double[] yards = [.. Enumerable.Range(0, 61).Select(i => (double)i)];
        Time("path to 60 yd, sight set", () => flight.Path(flight.Zero(30)!.Value, yards)[60]!.Value.Speed);
        Time(
            "honest range with chance",
            () =>
            {
                var range = new HonestRange(new Trajectory(arrow, 276, 4.5), DistanceError.Usual, 8, hand);
                return range.At(range.Yards).Chance;
            }
        );
        var prior = new FlightPrior(276, 3, 2, .14, 4.5, .5, 34, .25);
        Proven[] marks =
        [
            .. new double[] { 20, 30, 40, 50, 60, 70 }.Select(d => new Proven(
                ProvenKind.Mark,
                d,
                34 * flight.Zero(d)!.Value
            )),
        ];
        Time(
            "six marks fitted, each against the others",
            () => new MarkFit(arrow, marks, prior, hand).Against[0].Off!.Value
        );
        using var screen = new Browser.Tests.Screen(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        const string page = "/api/bows/22222222-0000-4000-8000-000000000005/flight";
        List<double> times = [];
        for (var n = 0; n < Runs / 4; n++)
        {
            var from = Stopwatch.GetTimestamp();
            _ = await http.GetByteArrayAsync($"{page}?set={20 + (n * .5):F1}");
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        Console.WriteLine($"  the whole page from the server:{Percentiles.Line([.. times.Skip(10)])}");
    }

    private static void Time(string what, Func<double> act)
    {
        List<double> times = [];
        for (var n = 0; n < Runs; n++)
        {
            var from = Stopwatch.GetTimestamp();
            _ = act();
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        Console.WriteLine($"  {what}:{Percentiles.Line([.. times.Skip(Runs / 4)])}");
    }
}
