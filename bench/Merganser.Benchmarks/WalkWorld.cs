using System.Globalization;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Groups;

namespace Merganser.Benchmarks;

/// <summary>
/// Walk-backs by the fit that ships, looked at after each arrow: five at 20, 40 and 60 yd, walk after walk. How often a
/// drift that is not there is called, a straight one curved, and how soon one that is there is shown.
/// </summary>
internal static class WalkWorld
{
    private const int FirstSeed = 70_000;
    private const double Spread = .05;
    private static readonly double[] Yards = [20, 40, 60];

    public static Task Run()
    {
        var sessions = int.Parse(
            Environment.GetEnvironmentVariable("MERGANSER_WALKS") ?? "20000",
            CultureInfo.InvariantCulture
        );
        Console.WriteLine($"  {sessions} walk-backs a row, spread {Spread} in a yard, sight line N(0, .15 in)");
        Console.WriteLine(
            "                                  any p below  .050  .015  .012  .010  .008   5 % at   1 % at"
        );
        foreach (var walks in (int[])[1, 2, 4])
        {
            Alarms(sessions, $"no drift, {walks} × 5 each", walks, _ => 0, fit => fit.P);
        }

        Alarms(sessions, "no drift, heavy tails, 2 × 5", 2, _ => 0, fit => fit.P, flyers: .1);
        Alarms(sessions, "straight .06, curved? 2 × 5", 2, d => .06 * d, fit => fit.CurveP!.Value);
        Alarms(sessions, "straight .06, curved? 4 × 5", 4, d => .06 * d, fit => fit.CurveP!.Value);
        Console.WriteLine(
            "                                     clear by 5, 10, 20 at each   as stated            curved by 5, 10, 20"
        );
        (string Row, double Slope, double Curve)[] rows =
        [
            ("straight, 1.5 in at 60", .025, 0),
            ("straight, 3 in at 60", .05, 0),
            ("straight, 6 in at 60", .1, 0),
            ("a vane that planes: 3.4 at 60", -.0284, .00142),
            ("cant 1°: 1.0 in at 60", -.00832, .000416),
            ("cant 4°: 4.0 in at 60", -.03328, .001664),
        ];
        foreach (var (row, slope, curve) in rows)
        {
            Shown(sessions / 4, row, slope, curve);
        }

        SightingWorld.Run(Math.Max(100, sessions / 20));
        return Task.CompletedTask;
    }

    private static void Alarms(
        int sessions,
        string row,
        int walks,
        Func<double, double> at,
        Func<WalkFit, double> p,
        double flyers = 0
    )
    {
        double[] least =
        [
            .. Enumerable
                .Range(FirstSeed, sessions)
                .AsParallel()
                .AsOrdered()
                .Select(seed => Session(seed, walks, at, flyers).Min(p))
                .Order(),
        ];
        string Below(double limit) => $"{least.Count(l => l < limit) / (double)sessions, 6:.000}";
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  {row, -44}{Below(.05)}{Below(.015)}{Below(.012)}{Below(.010)}{Below(.008)}   {least[sessions / 20]:.0000}   {least[sessions / 100]:.0000}"
            )
        );
    }

    private static void Shown(int sessions, string row, double slope, double curve)
    {
        int[] each = [5, 10, 20];
        WalkFit[][] all =
        [
            .. Enumerable
                .Range(FirstSeed, sessions)
                .AsParallel()
                .AsOrdered()
                .Select(seed =>
                    Session(seed, 4, d => (slope * d) + (curve * d * d), 0)
                        .Where(f => f.Counts.Distinct().Count() == 1)
                        .ToArray()
                ),
        ];
        string Share(Func<WalkFit, bool> of) =>
            string.Join(
                ", ",
                each.Select(n =>
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"{all.Count(fits => of(fits.First(f => f.Counts[0] == n))) / (double)sessions:.00}"
                    )
                )
            );
        var stated =
            curve != 0
                ? ""
                : string.Join(
                    ", ",
                    each.Select(n => string.Create(CultureInfo.InvariantCulture, $"{Known(n).Power(slope):.00}"))
                );
        Console.WriteLine(
            $"  {row, -36} {Share(f => f.Verdict == DriftVerdict.Clear), -26}   {stated, -18}   {Share(f => f.Shape == DriftShape.Curved)}"
        );
    }

    /// <summary>A fit of so many at each distance whose pooled spread is the true one.</summary>
    private static WalkFit Known(int each)
    {
        var even = each / 2 * 2;
        var size = Spread * Math.Sqrt((each - 1.0) / even);
        return new WalkFit([
            .. from yards in Yards
            from i in Enumerable.Range(0, each)
            select new WalkedShot(yards, i < even ? yards * size * (i % 2 == 0 ? 1 : -1) : 0),
        ]);
    }

    /// <summary>The fits of one session, one at each arrow from three at each distance on.</summary>
    private static List<WalkFit> Session(int seed, int walks, Func<double, double> at, double flyers)
    {
        var random = new MersenneTwister(seed, threadSafe: false);
        var line = WalkFit.SightLineSd * Normal.Sample(random, 0, 1);
        List<WalkedShot> shots = [];
        List<WalkFit> fits = [];
        for (var walk = 0; walk < walks; walk++)
        {
            foreach (var yards in Yards)
            {
                for (var i = 0; i < WalkPlan.Advised; i++)
                {
                    var wide = random.NextDouble() < flyers ? 3 : 1;
                    var stray = Spread * wide * yards * Normal.Sample(random, 0, 1);
                    shots.Add(new WalkedShot(yards, line + at(yards) + stray));
                    if (Yards.All(d => shots.Count(s => s.Yards == d) >= WalkPlan.LeastOfEach))
                    {
                        fits.Add(new WalkFit(shots));
                    }
                }
            }
        }

        return fits;
    }
}
