using MathNet.Numerics.Random;
using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;
using Merganser.Core.Finder;

namespace Merganser.Core.Tests.Finder;

/// <summary>
/// What is told of a search: places, reasons, what would have to give, the honest range, what is typed.
/// </summary>
public class FinderToldTests : FinderCatalogue
{
    [Fact]
    public void Heads_are_looked_at_only_where_they_are_wanted()
    {
        static PointKind[] Kinds(FinderHeads heads) =>
            [.. Search(Catalogue(9), new FinderWish([], Heads: heads)).Ranked.Select(r => r.Front.Point.Part.Kind)];
        Kinds(FinderHeads.Points).ShouldNotContain(PointKind.FixedHead);
        Kinds(FinderHeads.Heads).ShouldAllBe(kind => kind == PointKind.FixedHead);
        Kinds(FinderHeads.Both).Length.ShouldBe(Kinds(FinderHeads.Points).Length + Kinds(FinderHeads.Heads).Length);
    }

    [Fact]
    public void A_build_is_found_again_by_its_place_and_a_wrong_place_is_refused()
    {
        var search = Search(Catalogue(1), new FinderWish([]));
        foreach (var row in search.Ranked)
        {
            var again = search.At(FoundAt.Read(row.At.ToString())!.Value);
            again.ShouldBe(row with { Misses = again.Misses });
        }

        foreach (var dot in search.Dots)
        {
            search.At(dot.At).Figures.Speed.ShouldBe(dot.X, 1e-9);
        }

        FoundAt.Read("1.2.x.4").ShouldBeNull();
        Should.Throw<ArgumentOutOfRangeException>(() => search.At(new FoundAt(99, 0, 0, 0)));
    }

    [Fact]
    public void What_the_nearest_miss_gives_holds_it()
    {
        WantedRange[] ranges = [new(FoundFigure.Speed, 400, null), new(FoundFigure.Fit, .97, 1.15)];
        var wish = new FinderWish(ranges, MostToBuy: 0);
        var nearest = Search(Catalogue(6), wish).Nearest!;
        FoundReasons.Widened(nearest, wish).ShouldAllBe(range => range.Holds(nearest.Figures[range.Figure]));
        FoundReasons.Wants(nearest, wish).Gives.Count.ShouldBeGreaterThan(0);
        var widened = wish with { Ranges = FoundReasons.Widened(nearest, wish), MostToBuy = nearest.ToBuy };
        Search(Catalogue(6), widened).Ranked.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_row_says_what_it_has_over_the_others_only_where_it_stands_alone()
    {
        var rows = Search(Catalogue(2), new FinderWish([])).Ranked;
        var reasons = FoundReasons.Of(rows, null);
        var fastest = rows.Max(r => r.Figures.Speed);
        var told = rows.Zip(reasons).Where(p => p.Second.Stands == FoundStands.Fastest).ToArray();
        told.ShouldAllBe(p => p.First.Figures.Speed == fastest);
        reasons.Select(r => r.Stands).OfType<FoundStands>().ShouldBeUnique();
        FoundReasons.Of([.. rows.Take(1)], null).ShouldAllBe(r => r.Stands == null);
    }

    [Fact]
    public void A_sample_keeps_every_so_manieth_of_ever_so_many()
    {
        var sample = new FoundSample(100);
        for (var i = 0; i < 12_345; i++)
        {
            sample.Offer(new FoundDot(i, 0, 1, true, default));
        }

        sample.Dots.Count.ShouldBeInRange(100, 199);
        var steps = sample.Dots.Zip(sample.Dots.Skip(1), (a, b) => b.X - a.X).Distinct().ToArray();
        steps.ShouldHaveSingleItem();
        sample.Dots[^1].X.ShouldBeGreaterThan(12_345 - (2 * steps[0]));
    }

    [Fact]
    public void The_table_of_honest_ranges_is_the_range_itself_within_a_tenth_of_a_yard()
    {
        var known = new FlightKnown(new FlightWish(Spread: SpreadSource.Usual), null, null, null, [], []);
        var table = new HonestTable(known);
        var random = new MersenneTwister(20);
        for (var i = 0; i < 60; i++)
        {
            var arrow = new FlyingArrow(
                320 + (300 * random.NextDouble()),
                .2 + (.1 * random.NextDouble()),
                1.6 + random.NextDouble()
            );
            var speed = 170 + (140 * random.NextDouble());
            var direct = new HonestRange(
                new Trajectory(arrow, speed, Core.Groups.RangeTrial.EyeAboveArrow),
                FlightReading.ErrorOf(known),
                known.Wish.Circle,
                FlightReading.SpreadOf(known)
            );
            table.At(speed, arrow.DragPerMetre).ShouldBe(direct.Yards, .1);
        }
    }

    [Fact]
    public void The_honest_range_is_asked_of_builds_that_are_inside_all_else()
    {
        var known = new FlightKnown(new FlightWish(Spread: SpreadSource.Usual), null, null, null, [], []);
        var rows = Catalogue(3);
        WantedRange[] ranges = [new(FoundFigure.Fit, .9, 1.2)];
        FinderSearch With(params WantedRange[] more)
        {
            var wish = new FinderWish([.. ranges, .. more]);
            var search = new FinderSearch(
                Compound,
                new FinderStock(rows, wish),
                wish,
                (FoundFigure.Speed, FoundFigure.Weight),
                new HonestTable(known)
            );
            search.Run();
            return search;
        }

        var all = With().Ranked;
        var middle = all.Select(r => r.Figures.HonestRange).Order().ElementAt(all.Count / 2);
        var far = With(new WantedRange(FoundFigure.HonestRange, middle, null));
        far.Ranked.ShouldNotBeEmpty();
        far.Ranked.ShouldAllBe(r => r.Figures.HonestRange >= middle);
        far.Inside.ShouldBeLessThan(With().Inside);
        var none = With(new WantedRange(FoundFigure.HonestRange, 90, null));
        none.Ranked.ShouldBeEmpty();
        var best = none.Nearest!;
        best.Misses.ShouldBe(new WantedRange(FoundFigure.HonestRange, 90, null).Miss(best.Figures.HonestRange), 1e-9);
    }

    [Fact]
    public void What_is_typed_is_read_with_its_unit_and_refused_by_its_field()
    {
        var read = new FinderEntry(
            [
                new(FoundFigure.Weight, "26 g", ""),
                new(FoundFigure.KineticEnergy, "100 J", null),
                new(FoundFigure.Momentum, "2.2 kg·m/s", ""),
                new(FoundFigure.GrainsPerPound, "0.1 g/N", ""),
                new(FoundFigure.Speed, " ", ""),
            ],
            FinderParts.Any,
            2
        ).Read();
        // 1 gr = 64.79891 mg, 1 ft·lb = 1.3558179 J, 1 slug·ft/s = 4.4482216 kg·m/s (NIST SP 811).
        read.Ranges.Select(r => r.Low!.Value).ShouldBe([401.2413, 73.7562, .494580, 6.8645], .001);
        var refused = Should.Throw<Figures.RefusedException>(() =>
            new FinderEntry(
                [
                    new(FoundFigure.Weight, "450", "390"),
                    new(FoundFigure.Fit, "x", ""),
                    new(FoundFigure.Weight, "1", "2"),
                ],
                FinderParts.Any,
                9
            ).Read()
        );
        refused
            .Problems.Select(p => p.Field)
            .ShouldBe(["weightHigh", "fitLow", "weightLow", "weightHigh", "weight", "mostToBuy"], ignoreOrder: true);
    }
}
