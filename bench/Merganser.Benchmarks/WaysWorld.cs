using System.Globalization;
using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Groups;

namespace Merganser.Benchmarks;

/// <summary>
/// Two ways that are alike, and two of which one is so many times as wide: how often they are told apart over looks
/// after each arrow from five of each to twenty, with arrows that scatter as the normal distribution and with one flyer
/// in ten three times as wide.
/// </summary>
internal static class WaysWorld
{
    private const int FirstSeed = 90_000;
    private const int Most = 20;
    private const double Flyers = .1;
    private const double Flies = 3;

    public static Task Run()
    {
        var sessions = int.Parse(
            Environment.GetEnvironmentVariable("MERGANSER_WAYS") ?? "20000",
            CultureInfo.InvariantCulture
        );
        Console.WriteLine(
            "  two ways, looks after each arrow 5 + 5 to 20 + 20     any clear   F of variances   apart   strings"
        );
        foreach (var ratio in (double[])[1, 1.5, 2, 3])
        {
            foreach (var flyers in (double[])[0, Flyers])
            {
                Row(sessions, ratio, flyers);
            }
        }

        Console.WriteLine(
            "  stated at one look                        10 + 10  20 + 20  40 + 40, then seen, no flyers"
        );
        foreach (var ratio in (double[])[1.5, 2])
        {
            int[] each = [10, 20, 40];
            var stated = each.Select(n => SizeTest.Power(n, ratio).ToString(".00", CultureInfo.InvariantCulture));
            var seen = each.Select(n => Seen(sessions, n, ratio).ToString(".00", CultureInfo.InvariantCulture));
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"  one {ratio:0.0} times as wide                       {string.Join("      ", stated)}   {string.Join("      ", seen)}"
                )
            );
        }

        return Task.CompletedTask;
    }

    private static void Row(int sessions, double ratio, double flyers)
    {
        var all = Enumerable
            .Range(FirstSeed, sessions)
            .AsParallel()
            .AsOrdered()
            .Select(seed => Session(seed, ratio, flyers))
            .ToArray();
        double Share(Func<(bool Size, bool Variances, bool Apart, bool Strung), bool> has) =>
            all.Count(has) / (double)sessions;
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  one {ratio:0.0} times as wide, {(flyers > 0 ? "a flyer in ten" : "no flyers"), -14}            {Share(s => s.Size), 10:.000} {Share(s => s.Variances), 15:.000} {Share(s => s.Apart), 9:.000} {Share(s => s.Strung), 8:.000}"
            )
        );
    }

    private static (bool Size, bool Variances, bool Apart, bool Strung) Session(int seed, double ratio, double flyers)
    {
        var random = new MersenneTwister(seed, threadSafe: false);
        List<Impact> first = [];
        List<Impact> second = [];
        var (size, variances, apart, strung) = (false, false, false, false);
        for (var arrow = 0; arrow < 2 * Most; arrow++)
        {
            (arrow % 2 == 0 ? first : second).Add(Shot(random, arrow % 2 == 0 ? 1 : ratio, flyers));
            if (second.Count < TwoWays.LeastOfEach)
            {
                continue;
            }

            var (one, other) = (new ArrowGroup(first), new ArrowGroup(second));
            size |= new SizeTest(one, other).Verdict == GroupVerdict.Clear;
            var f = one.Squares / one.Freedom / (other.Squares / other.Freedom);
            var below = FisherSnedecor.CDF(one.Freedom, other.Freedom, f);
            variances |= 2 * Math.Min(below, 1 - below) < SizeTest.Threshold;
            apart |= new GroupOffset(one, other).Verdict(LookingRule.Beyond) == GroupVerdict.Clear;
            strung |= new StringTest([one, other]).Strung;
        }

        return (size, variances, apart, strung);
    }

    private static double Seen(int sessions, int each, double ratio) =>
        Enumerable
            .Range(FirstSeed, sessions)
            .AsParallel()
            .Count(seed =>
            {
                var random = new MersenneTwister(seed, threadSafe: false);
                ArrowGroup Drawn(double spread) =>
                    new([.. Enumerable.Range(0, each).Select(_ => Shot(random, spread, 0))]);
                return new SizeTest(Drawn(1), Drawn(ratio)).Verdict == GroupVerdict.Clear;
            }) / (double)sessions;

    private static Impact Shot(MersenneTwister random, double spread, double flyers)
    {
        var wide = spread * (random.NextDouble() < flyers ? Flies : 1);
        return new Impact(Normal.Sample(random, 0, wide), Normal.Sample(random, 0, wide));
    }
}
