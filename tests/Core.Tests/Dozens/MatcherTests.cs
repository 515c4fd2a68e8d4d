using CsCheck;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Dozens;

public class MatcherTests
{
    [Theory]
    [InlineData(12, 5, 1)]
    [InlineData(24, 3, 1)]
    [InlineData(72, 4, 2)]
    public void Shuffled_equal_sums_are_put_together_again(int arrows, int classes, int within)
    {
        var random = new Random(arrows);
        var parts = Enumerable.Range(0, classes).Select(_ => new int[arrows]).ToArray();
        for (var a = 0; a < arrows; a++)
        {
            var rest = 4000;
            for (var c = 0; c < classes - 1; c++)
            {
                parts[c][a] = 300 + random.Next(-10, 11);
                rest -= parts[c][a];
            }

            parts[^1][a] = rest;
        }

        var problem = new MatchProblem(
            arrows,
            [.. parts.Select((p, c) => new MatchClass($"C{c}", 1, [.. p.OrderBy(_ => random.Next())]))],
            []
        );
        var found = Matcher.Find(problem);
        found.Spread.ShouldBeLessThanOrEqualTo(within, "an assignment with no spread at all exists");
        found.OppositeOrder.ShouldBeGreaterThanOrEqualTo(found.Spread);
    }

    [Fact]
    public void Every_piece_is_used_once_and_totals_are_right() =>
        Gen.Select(Gen.Int[2, 14], Gen.Int[0, 3], Gen.Int[0, 1000])
            .Sample(
                (arrows, spare, seed) =>
                {
                    var random = new Random(seed);
                    MatchClass[] classes =
                    [
                        new("Shaft", 1, [.. Enumerable.Range(0, arrows + spare).Select(_ => 2500 + random.Next(40))]),
                        new(
                            "Vanes",
                            3,
                            [.. Enumerable.Range(0, (arrows * 3) + spare).Select(_ => 60 + random.Next(8))]
                        ),
                    ];
                    var found = Matcher.Find(new MatchProblem(arrows, classes, []), seed, 40);
                    for (var c = 0; c < classes.Length; c++)
                    {
                        var used = found.Pieces.SelectMany(a => a[c]).ToArray();
                        used.Length.ShouldBe(arrows * classes[c].PerArrow);
                        used.Distinct().Count().ShouldBe(used.Length);
                    }

                    for (var a = 0; a < arrows; a++)
                    {
                        found
                            .Totals[a]
                            .ShouldBe(
                                found.Pieces[a].Select((pieces, c) => pieces.Sum(p => classes[c].Tenths[p])).Sum()
                            );
                    }

                    found.Spread.ShouldBe(found.Totals.Max() - found.Totals.Min());
                    found.Bound.Tenths.ShouldBeLessThanOrEqualTo(found.Spread, "the bound is never above the result");
                    found.Spread.ShouldBeLessThanOrEqualTo(found.OppositeOrder);
                },
                iter: 60
            );

    [Fact]
    public void Glued_pairs_stay_together() =>
        Gen.Int[0, 500]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    MatchClass[] classes =
                    [
                        .. new[] { ("Shaft", 2500, 30), ("Insert", 250, 9), ("Point", 1000, 9) }.Select(
                            k => new MatchClass(
                                k.Item1,
                                1,
                                [.. Enumerable.Range(0, 8).Select(_ => k.Item2 + random.Next(k.Item3))]
                            )
                        ),
                    ];
                    var found = Matcher.Find(new MatchProblem(8, classes, [(2, 2), (5, 5), (7, 1)]), seed, 60);
                    foreach (var (shaft, insert) in new[] { (2, 2), (5, 5), (7, 1) })
                    {
                        found.Pieces.Single(a => a[0][0] == shaft)[1][0].ShouldBe(insert);
                    }
                },
                iter: 40
            );

    [Fact]
    public void However_many_are_glued_each_insert_stays_in_its_shaft_or_a_refusal_says_what_is_missing() =>
        Gen.Select(Gen.Int[1, 6], Gen.Int[0, 4], Gen.Int[0, 4], Gen.Int[0, 8], Gen.Int[0, 9999])
            .Sample(
                (arrows, shafts, inserts, glue, seed) =>
                {
                    var random = new Random(seed);
                    var (first, second) = (arrows + shafts, arrows + inserts);
                    var glued = Enumerable.Range(0, Math.Min(glue, Math.Min(first, second))).ToArray();
                    int[] to = [.. Enumerable.Range(0, second).OrderBy(_ => random.Next()).Take(glued.Length)];
                    MatchClass[] classes =
                    [
                        new("Shaft", 1, [.. Enumerable.Range(0, first).Select(_ => 2500 + random.Next(30))]),
                        new("Insert", 1, [.. Enumerable.Range(0, second).Select(_ => 250 + random.Next(9))]),
                        new("Point", 1, [.. Enumerable.Range(0, arrows).Select(_ => 1000 + random.Next(9))]),
                    ];
                    var problem = new MatchProblem(arrows, classes, [.. glued.Zip(to)]);
                    var loose = Math.Min(first, second) - glued.Length;
                    if (glued.Length + loose < arrows)
                    {
                        Should
                            .Throw<RefusedException>(() => Matcher.Find(problem, seed, 20))
                            .Problems.ShouldContain(p => p.Field == "Insert" && p.Code == "too-few");
                        return;
                    }

                    var found = Matcher.Find(problem, seed, 20);
                    foreach (var arrow in found.Pieces)
                    {
                        var (shaft, insert) = (arrow[0][0], arrow[1][0]);
                        var at = Array.IndexOf(glued, shaft);
                        (at < 0 ? to.Contains(insert) : to[at] != insert).ShouldBeFalse($"{shaft} with {insert}");
                    }

                    found.Pieces.Select(a => a[1][0]).Distinct().Count().ShouldBe(arrows);
                    found.Bound.Tenths.ShouldBeLessThanOrEqualTo(found.Spread);
                },
                iter: 300
            );

    [Fact]
    public void Twelve_that_are_glued_cannot_be_better_and_it_is_said_so()
    {
        MatchClass[] classes =
        [
            new("Shaft", 1, [.. Enumerable.Range(0, 12).Select(i => 2500 + i)]),
            new("Insert", 1, [.. Enumerable.Range(0, 12).Select(i => 250 + i)]),
        ];
        var glued = Enumerable.Range(0, 12).Select(i => (i, i)).ToArray();
        var found = Matcher.Find(new MatchProblem(12, classes, glued));
        (found.Spread, found.Proven).ShouldBe((22, true));
        Matcher.Find(new MatchProblem(12, classes, [])).Spread.ShouldBeLessThan(22, "loose they would be");
    }

    [Fact]
    public void The_same_seed_gives_the_same_answer()
    {
        var problem = Seeded(12, 3);
        Matcher.Find(problem, 5, 100).Totals.ShouldBe(Matcher.Find(problem, 5, 100).Totals);
    }

    [Fact]
    public void More_arrows_than_parts_are_refused_by_class()
    {
        var problem = Seeded(12, 1) with { Arrows = 13 };
        Should
            .Throw<RefusedException>(() => Matcher.Find(problem))
            .Problems.ShouldContain(p => p.Field == "Shaft" && p.Message.Said().Contains("weigh 1 more"));
    }

    [Fact]
    public void A_search_can_be_cancelled()
    {
        using var cancel = new CancellationTokenSource();
        cancel.Cancel();
        Should.Throw<OperationCanceledException>(() =>
            Matcher.Find(
                new MatchProblem(3, [new("Shaft", 1, [0, 7, 31]), new("Point", 1, [0, 3, 5])], []),
                cancel: cancel.Token
            )
        );
    }

    /// <summary>
    /// Uneven shafts and even points: nothing but better shafts would help, and that is what is said.
    /// </summary>
    [Fact]
    public void Wide_shafts_bind_and_are_named()
    {
        var results = Enumerable
            .Range(1, 60)
            .Select(seed =>
            {
                var random = new Random(seed);
                return Matcher.Find(
                    new MatchProblem(
                        12,
                        [new("Shaft", 1, Uniform(random, 2500, 30)), new("Point", 1, Uniform(random, 1000, 10))],
                        []
                    ),
                    seed
                );
            })
            .ToArray();
        results.ShouldAllBe(r => r.Spread <= r.OppositeOrder && r.OppositeOrder <= r.ByChance * 1.2);
        results.Count(r => r.Proven).ShouldBeGreaterThan(25);
        results.Count(r => r.Bound.Binds?.Contains("Shaft") == true).ShouldBeGreaterThan(40);

        static int[] Uniform(Random random, int middle, int sway) =>
            [.. Enumerable.Range(0, 12).Select(_ => middle + random.Next(-sway, sway + 1))];
    }

    [Fact]
    public void Heads_go_lightest_arrow_with_heaviest_head_and_one_is_kept_for_practice()
    {
        var match = HeadMatch.Of([300, 302, 304, 301], [100, 101, 99, 102.5, 108]);
        match.Practice.ShouldBe(4);
        match.Heads[0].ShouldBe(3, "the lightest arrow gets the heaviest head");
        match.Heads[2].ShouldBe(2);
        match.BestSpread.ShouldBeLessThanOrEqualTo(match.Spread);
    }

    private static MatchProblem Seeded(int arrows, int seed)
    {
        var random = new Random(seed);
        return new MatchProblem(
            arrows,
            [
                new("Shaft", 1, [.. Enumerable.Range(0, arrows).Select(_ => 2500 + random.Next(30))]),
                new("Point", 1, [.. Enumerable.Range(0, arrows).Select(_ => 1000 + random.Next(10))]),
            ],
            []
        );
    }
}
