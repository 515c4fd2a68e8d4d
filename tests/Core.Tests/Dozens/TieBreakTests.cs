using Merganser.Core.Arrows;
using Merganser.Core.Dozens;
using static Merganser.Core.Tests.Dozens.DozenActs;

namespace Merganser.Core.Tests.Dozens;

/// <summary>Of matches that weigh the same, the one that balances more alike.</summary>
public class TieBreakTests
{
    /// <summary>
    /// Four arrows of three classes: every assignment is gone through, and of those with the same weights the one whose
    /// FOC varies least is known.
    /// </summary>
    [Fact]
    public void Among_equal_weights_nearly_always_the_most_alike_in_balance()
    {
        var (met, better) = (0, 0);
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            var weights = new[] { 2500, 1000, 90 }
                .Select(mean => Enumerable.Range(0, 4).Select(_ => mean + random.Next(-6, 7)).ToArray())
                .ToArray();
            var problem = new MatchProblem(4, [.. weights.Select((w, c) => new MatchClass($"{c}", 1, w))], []);
            var plain = Matcher.Find(problem);
            var tied = TieBreak.Of(problem, plain, Effects);
            tied.Totals.Order().ShouldBe(plain.Totals.Order());
            var best = Orders(4)
                .SelectMany(_ => Orders(4), (points, nocks) => (points, nocks))
                .Where(o => Totals(o.points, o.nocks).Order().SequenceEqual(plain.Totals.Order()))
                .Min(o => Varies([.. Enumerable.Range(0, 4).Select(i => Foc(i, o.points[i], o.nocks[i]))]));
            var now = Varies([.. tied.Pieces.Select(p => Foc(p[0][0], p[1][0], p[2][0]))]);
            now.ShouldBeGreaterThanOrEqualTo(best - 1e-9);
            met += now < best + 1e-9 ? 1 : 0;
            better += now < Varies([.. plain.Pieces.Select(p => Foc(p[0][0], p[1][0], p[2][0]))]) - 1e-9 ? 1 : 0;

            double Foc(int shaft, int point, int nock) =>
                new Balance(
                    29,
                    [
                        new("Shaft", weights[0][shaft] / 10.0, 14.5),
                        new("Point", weights[1][point] / 10.0, 29.5),
                        new("Nock", weights[2][nock] / 10.0, 0.2),
                        new("Rest", 24, 12),
                    ]
                ).FrontOfCenter;

            IEnumerable<int> Totals(int[] points, int[] nocks) =>
                Enumerable.Range(0, 4).Select(i => weights[0][i] + weights[1][points[i]] + weights[2][nocks[i]]);
        }

        met.ShouldBeGreaterThanOrEqualTo(57);
        better.ShouldBeGreaterThanOrEqualTo(12);
    }

    [Fact]
    public void A_straighter_spare_shaft_of_the_same_weight_goes_in_and_a_glued_one_stays()
    {
        DozenAct[] acts =
        [
            .. Pieces("Shaft", 250, 250, 250, 250),
            .. Pieces("Point", 100, 100, 100),
            new RunOutMeasured(1, .009),
            new RunOutMeasured(2, .001),
            new RunOutMeasured(3, .008),
            new RunOutMeasured(4, .002),
        ];
        Shafts(Matched(acts)).ShouldBe([2, 3, 4], ignoreOrder: true);

        static IEnumerable<int> Shafts(Dozen dozen) => dozen.Tray.Select(a => a.Pieces["Shaft"][0]);
    }

    [Fact]
    public void Glued_pairs_stay_together_whatever_is_exchanged()
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var random = new Random(seed);
            MatchClass[] classes =
            [
                .. new[] { 2500, 250, 1000, 60 }.Select(
                    (mean, c) =>
                        new MatchClass(
                            $"{c}",
                            c == 3 ? 3 : 1,
                            [.. Enumerable.Range(0, c == 3 ? 24 : 8).Select(_ => mean + random.Next(-5, 6))]
                        )
                ),
            ];
            var problem = new MatchProblem(8, classes, [(1, 4), (3, 3), (6, 0)]);
            var effects = new PieceEffects([14, 28, 29.5, 1.5], 20, 200, new double[8]);
            var tied = TieBreak.Of(problem, Matcher.Find(problem), effects);
            foreach (var (shaft, insert) in problem.Glued)
            {
                tied.Pieces.Single(p => p[0][0] == shaft)[1].ShouldBe([insert]);
            }

            for (var c = 0; c < classes.Length; c++)
            {
                tied.Pieces.SelectMany(p => p[c]).Order().ShouldBe(Enumerable.Range(0, classes[c].Tenths.Count));
            }

            tied.Pieces.Select(p => p.Select((of, c) => of.Sum(n => classes[c].Tenths[n])).Sum()).ShouldBe(tied.Totals);
        }
    }

    private static readonly PieceEffects Effects = new([14.5, 29.5, 0.2], 24, 24 * 12, new double[4]);

    private static double Varies(double[] values)
    {
        var mean = values.Average();
        return values.Sum(v => (v - mean) * (v - mean));
    }

    private static IEnumerable<int[]> Orders(int n) =>
        n == 1
            ?
            [
                [0],
            ]
            : Orders(n - 1)
                .SelectMany(o =>
                    Enumerable.Range(0, n).Select(at => o.Take(at).Append(n - 1).Concat(o.Skip(at)).ToArray())
                );
}
