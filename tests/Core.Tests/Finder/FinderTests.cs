using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Finder;
using Merganser.Core.Speed;
using Merganser.Core.Spine;

namespace Merganser.Core.Tests.Finder;

/// <summary>A search against every arrow of a small catalogue built and read by the bench itself.</summary>
public class FinderTests : FinderCatalogue
{
    /// <summary>Every arrow that may be built, by the bench's own figures.</summary>
    private static List<FoundBuild> BruteForce(List<ComponentRow> rows)
    {
        var stock = new FinderStock(rows, new FinderWish([]));
        List<FoundBuild> found = [];
        foreach (var shaft in stock.Shafts)
        foreach (var front in stock.FrontsOf(shaft.Part))
        foreach (var rear in stock.RearsOf(shaft.Part))
        {
            for (var length = 15.0; length <= 36; length += .25)
            {
                var build = new FoundBuild(default, shaft, length, front, rear, default, 0, 0);
                Arrow arrow;
                try
                {
                    arrow = build.Arrow();
                }
                catch (Figures.RefusedException)
                {
                    continue;
                }

                var numbers = new ArrowNumbers(Compound, arrow);
                if (numbers.ToSpare < 1 || numbers.ToSpare >= 1.25 + 2.5)
                {
                    continue;
                }

                if (ArrowCautions.Of(numbers).Any(c => c.Code is "light-arrow" or "weak-fixed-head" || c.Refused))
                {
                    continue;
                }

                TubeFit.Misfit(arrow).ShouldBeNull();
                var summary = ArrowSummary.Of(Compound, arrow);
                found.Add(
                    build with
                    {
                        Figures = new FoundFigures(
                            numbers.Fit.Ratio,
                            numbers.Balance.Grains,
                            numbers.GrainsPerPound,
                            numbers.Balance.FrontOfCenter,
                            numbers.Launch.Speed,
                            LaunchSpeed.KineticEnergy(numbers.Balance.Grains, numbers.Launch.Speed),
                            LaunchSpeed.Momentum(numbers.Balance.Grains, numbers.Launch.Speed),
                            0
                        ),
                        ToBuy = (shaft.Owned ? 0 : 1) + front.ToBuy + rear.ToBuy,
                    }
                );
            }
        }

        return found;
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void The_rows_are_those_of_building_every_arrow(int seed)
    {
        var rows = Catalogue(seed);
        WantedRange[] ranges =
        [
            new(FoundFigure.Fit, .97, 1.15),
            new(FoundFigure.Weight, 380, 520),
            new(FoundFigure.FrontOfCenter, 9, null),
        ];
        var search = Search(rows, new FinderWish(ranges));
        var all = BruteForce(rows);
        var inside = all.Where(b => ranges.All(r => r.Holds(b.Figures[r.Figure]))).ToArray();
        inside.ShouldNotBeEmpty();
        search.Inside.ShouldBe(inside.Length);
        search.Good.ShouldBe(all.Count(b => b.Figures.Fit is >= SpineFit.GoodFrom and <= SpineFit.GoodTo));
        var best = inside
            .GroupBy(b => (b.Shaft.Id, b.Front.Insert?.Id, b.Front.Point.Id, b.Front.Over?.Id))
            .Select(g => g.OrderBy(b => b.ToBuy).ThenBy(b => FoundBuild.FromBest(b.Figures.Fit)).First())
            .OrderBy(b => b.ToBuy)
            .ThenBy(b => FoundBuild.FromBest(b.Figures.Fit))
            .ToArray();
        search.Ranked.Count.ShouldBe(best.Length);
        foreach (var (found, brute) in search.Ranked.Zip(best))
        {
            found.ToBuy.ShouldBe(brute.ToBuy);
            found.CutLength.ShouldBe(brute.CutLength);
            foreach (
                var figure in Enum.GetValues<FoundFigure>()
                    .Where(f => f is not (FoundFigure.Cost or FoundFigure.HonestRange))
            )
            {
                found.Figures[figure].ShouldBe(brute.Figures[figure], 1e-9 * Math.Abs(brute.Figures[figure]));
            }
        }

        search.Nearest.ShouldBeNull();
    }

    [Theory]
    [InlineData(4)]
    [InlineData(5)]
    public void The_edge_is_what_nothing_beats_and_the_dots_are_counted(int seed)
    {
        var search = Search(Catalogue(seed), new FinderWish([]));
        var good = BruteForce(Catalogue(seed))
            .Where(b => b.Figures.Fit is >= SpineFit.GoodFrom and <= SpineFit.GoodTo)
            .Select(b => (X: b.Figures.Speed, Y: b.Figures.FrontOfCenter))
            .ToArray();
        var edge = good.Where(a => !good.Any(b => b.X >= a.X && b.Y >= a.Y && (b.X > a.X || b.Y > a.Y)))
            .Distinct()
            .OrderBy(a => a.X)
            .ToArray();
        search.Edge.Stair.Count.ShouldBe(edge.Length);
        foreach (var (stair, brute) in search.Edge.Stair.Zip(edge))
        {
            stair.X.ShouldBe(brute.X, 1e-6);
            stair.Y.ShouldBe(brute.Y, 1e-6);
        }

        search.Dots.Count.ShouldBeInRange(Math.Min(good.Length, FinderSearch.MostDots / 2), 2 * FinderSearch.MostDots);
    }

    [Fact]
    public void Where_nothing_fits_the_nearest_miss_says_what_would_have_to_give()
    {
        WantedRange[] ranges = [new(FoundFigure.Speed, 400, null), new(FoundFigure.Fit, .97, 1.15)];
        var search = Search(Catalogue(6), new FinderWish(ranges));
        search.Ranked.ShouldBeEmpty();
        search.Inside.ShouldBe(0);
        var least = BruteForce(Catalogue(6)).Min(b => ranges.Sum(r => r.Miss(b.Figures[r.Figure])));
        search.Nearest!.Misses.ShouldBe(least, 1e-9);
    }

    [Fact]
    public void Mine_only_finds_nothing_to_buy_and_a_limit_is_kept()
    {
        var mine = Search(Catalogue(7), new FinderWish([], FinderParts.MineOnly));
        mine.Ranked.ShouldAllBe(row => row.ToBuy == 0);
        var few = Search(Catalogue(7), new FinderWish([], MostToBuy: 2));
        few.Ranked.ShouldAllBe(row => row.ToBuy <= 2);
        var any = Search(Catalogue(7), new FinderWish([], FinderParts.Any)).Ranked;
        any.Select(row => FoundBuild.FromBest(row.Figures.Fit))
            .ShouldBe(any.Select(row => FoundBuild.FromBest(row.Figures.Fit)).Order());
    }

    [Fact]
    public void It_stops_when_it_is_told_to_and_keeps_what_it_found()
    {
        using var stop = new CancellationTokenSource();
        var search = new FinderSearch(
            Compound,
            new FinderStock(Catalogue(8), new FinderWish([])),
            new FinderWish([]),
            (FoundFigure.Speed, FoundFigure.FrontOfCenter)
        );
        stop.Cancel();
        search.Run(null, stop.Token);
        search.Looked.ShouldBe(0);
        search.Run();
        search.Looked.ShouldBe(search.Total);
    }

    [Fact]
    public void A_miss_is_told_in_widths_of_what_is_wanted()
    {
        new WantedRange(FoundFigure.Weight, 400, 450).Miss(475).ShouldBe(.5);
        new WantedRange(FoundFigure.Weight, 400, 450).Miss(425).ShouldBe(0);
        new WantedRange(FoundFigure.Speed, 280, null).Miss(266).ShouldBe(.5, 1e-12);
        new WantedRange(FoundFigure.Cost, null, 20).Holds(20).ShouldBeTrue();
    }

    /// <summary>Wood belongs on a longbow (common practice, no source).</summary>
    [Fact]
    public void Wood_is_found_for_a_longbow_alone()
    {
        var rows = Catalogue(5);
        var wood = (Shaft)rows.First(r => r.Part is Shaft).Part with { Material = "White wood" };
        rows.Add(new ComponentRow("wooden", ComponentClass.Shaft, wood, false, 1, new Stock(12, 1)));
        var longbow = Compound with { Kind = BowKind.Longbow, Release = Release.Fingers, CamSystem = CamSystem.None };

        Search(rows, new FinderWish([])).Ranked.ShouldNotContain(r => r.Shaft.Id == "wooden");
        Search(rows, new FinderWish([]), longbow).Ranked.ShouldContain(r => r.Shaft.Id == "wooden");
    }

    [Fact]
    public void An_owned_shaft_is_looked_at_first_then_what_is_near_to_a_good_fit()
    {
        var rows = Catalogue(5);
        var shaft = (Shaft)rows.First(r => r.Part is Shaft).Part;
        rows.RemoveAll(r => r.Part is Shaft);
        foreach (var (id, spine, owned) in new[] { ("far", .9, 0), ("near", .33, 0), ("own and far", .9, 12) })
        {
            var of = shaft with { Spine = spine };
            rows.Add(new ComponentRow(id, ComponentClass.Shaft, of, false, 1, new Stock(owned, 1)));
        }

        var search = Search(rows, new FinderWish([]));
        string[] order = [.. Enumerable.Range(0, 3).Select(i => search.At(new FoundAt(i, 0, 0, 0)).Shaft.Id)];
        order.ShouldBe(["own and far", "near", "far"]);
    }
}
