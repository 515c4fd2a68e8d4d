using Merganser.Core.Arrows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Finder;

/// <summary>The arrow that is on the bench now, for what is found to be told against.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Arrow">Its build.</param>
/// <param name="Figures">Its figures.</param>
public sealed record PresentArrow(string Name, Arrow Arrow, FoundFigures Figures);

/// <summary>Why builds are listed: what each has over the others of its page, and over the present arrow.</summary>
public static class FoundReasons
{
    /// <summary>One for each build.</summary>
    /// <param name="page">The builds that are shown together.</param>
    /// <param name="present">The present arrow, or none.</param>
    public static IReadOnlyList<FoundReason> Of(IReadOnlyList<FoundBuild> page, PresentArrow? present)
    {
        Dictionary<FoundAt, FoundStands> stands = [];
        if (page.Count > 1)
        {
            Give(FoundStands.HighestFrontOfCenter, b => b.Figures.FrontOfCenter);
            Give(FoundStands.Fastest, b => b.Figures.Speed);
            Give(FoundStands.Heaviest, b => b.Figures.Grains);
            Give(FoundStands.Thinnest, b => -b.Shaft.Part.OuterDiameter);
            Give(FoundStands.FarthestHonest, b => b.Figures.HonestRange);
            Give(FoundStands.Cheapest, b => -b.Figures.Cost);
        }

        return
        [
            .. page.Select(build => new FoundReason(
                build.ToBuy,
                stands.TryGetValue(build.At, out var over) ? over : null,
                present is null ? null : Against(build, present)
            )),
        ];

        // Each build is told for one thing, and only where it stands alone.
        void Give(FoundStands what, Func<FoundBuild, double> by)
        {
            var best = page.Max(by);
            FoundBuild[] first = [.. page.Where(b => by(b) >= best)];
            if (first.Length == 1)
            {
                stands.TryAdd(first[0].At, what);
            }
        }
    }

    /// <summary>A build against the present arrow.</summary>
    public static FoundAgainst Against(FoundBuild build, PresentArrow present)
    {
        var (found, here) = (build.Figures, present.Figures);
        return new FoundAgainst(
            present.Name,
            build.Shaft.Part == present.Arrow.Shaft ? Measure.Ruled(build.CutLength - present.Arrow.CutLength) : null,
            Measure.Grains(found.Grains - here.Grains, 0),
            Measure.Percent(found.FrontOfCenter - here.FrontOfCenter, 1),
            Measure.Speed(found.Speed - here.Speed)
        );
    }

    /// <summary>What would have to give for the nearest miss.</summary>
    public static NearestWants Wants(FoundBuild nearest, FinderWish wish)
    {
        List<Message> gives =
        [
            .. Outside(nearest, wish)
                .Select(range =>
                {
                    var low = nearest.Figures[range.Figure] < range.Low;
                    return new RangeGives(range.Figure, FinderWish.Said(range.Figure, Given(nearest, range, low)), low);
                }),
        ];
        if (nearest.ToBuy > wish.MostToBuy)
        {
            gives.Add(new BuyingGives(nearest.ToBuy));
        }

        return new NearestWants(gives);
    }

    /// <summary>What is wanted, given so far that the nearest miss is inside.</summary>
    public static IReadOnlyList<WantedRange> Widened(FoundBuild nearest, FinderWish wish)
    {
        var outside = Outside(nearest, wish).ToHashSet();
        return
        [
            .. wish.Ranges.Select(range =>
                !outside.Contains(range) ? range
                : nearest.Figures[range.Figure] < range.Low ? range with { Low = Given(nearest, range, low: true) }
                : range with { High = Given(nearest, range, low: false) }
            ),
        ];
    }

    private static IEnumerable<WantedRange> Outside(FoundBuild nearest, FinderWish wish) =>
        wish.Ranges.Where(range => range.Miss(nearest.Figures[range.Figure]) > 0);

    /// <summary>Rounded so that the range that is said holds the build.</summary>
    private static double Given(FoundBuild nearest, WantedRange range, bool low)
    {
        var value = nearest.Figures[range.Figure];
        var step = Math.Pow(10, -FinderWish.Said(range.Figure, value).Decimals);
        return (low ? Math.Floor(value / step) : Math.Ceiling(value / step)) * step;
    }
}
