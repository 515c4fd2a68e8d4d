using System.Diagnostics;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Spine;

namespace Merganser.Core.Finder;

/// <summary>
/// Looks at every build of a catalogue on a bow: shafts, lengths in quarter inches from an inch ahead of the rest to
/// what the shaft is sold at, fronts, rears. What the bench refuses or warns of is never found: under five grains a
/// pound, a shaft that ends at the rest, a weak one with a fixed head, a part that does not go into the tube, wood on
/// anything but a longbow. Owned shafts come first, and of them those nearest to a good fit. One row for each shaft and
/// front, at its best length and rear.
/// </summary>
public sealed class FinderSearch
{
    /// <summary>Dots of the picture at the most.</summary>
    public const int MostDots = 400;

    /// <summary>Rows that are kept: the best.</summary>
    public const int MostRows = 5000;

    private readonly Bow bow;
    private readonly FinderWish wish;
    private readonly HonestTable? honest;
    private readonly bool honestIsWanted;
    private readonly (FoundFigure X, FoundFigure Y) drawn;
    private readonly BuildFigures builds;
    private readonly Work[] work;
    private readonly FoundSample within = new(MostDots / 2);
    private readonly FoundSample beyond = new(MostDots / 2);
    private readonly List<FoundBuild> rows = [];
    private long good;

    /// <param name="bow">The bow.</param>
    /// <param name="stock">Its parts.</param>
    /// <param name="wish">What is looked for.</param>
    /// <param name="drawn">Two figures to be drawn against each other; the honest range is none of them.</param>
    /// <param name="honest">How far arrows are honest from the bow; null where that is not asked.</param>
    public FinderSearch(
        Bow bow,
        FinderStock stock,
        FinderWish wish,
        (FoundFigure X, FoundFigure Y) drawn,
        HonestTable? honest = null
    )
    {
        (this.bow, this.wish, this.drawn, this.honest) = (bow, wish, drawn, honest);
        honestIsWanted = honest is not null && wish.Ranges.Any(r => r.Figure == FoundFigure.HonestRange);
        builds = new BuildFigures(bow);
        work =
        [
            .. stock
                .Shafts.Where(shaft => ShaftMaterial.Suits(bow, shaft.Part))
                .Select(shaft => new Work(shaft, stock.FrontsOf(shaft.Part), stock.RearsOf(shaft.Part)))
                .OrderByDescending(w => w.Shaft.Owned)
                .ThenBy(OffAtMiddle),
        ];
        Total = work.Sum(w => w.Rears.Sum(rear => (long)builds.LengthsOf(w.Shaft.Part, rear).Count) * w.Fronts.Count);
    }

    /// <summary>Builds in all.</summary>
    public long Total { get; }

    /// <summary>Builds looked at.</summary>
    public long Looked { get; private set; }

    /// <summary>Builds inside all that is wanted.</summary>
    public long Inside { get; private set; }

    /// <summary>Builds with a good fit.</summary>
    public long Good => good;

    /// <summary>The rows so far, the best first.</summary>
    public IReadOnlyList<FoundBuild> Ranked =>
        [
            .. rows.OrderBy(row => wish.Parts == FinderParts.Any ? 0 : row.ToBuy)
                .ThenBy(row => FoundBuild.FromBest(row.Figures.Fit))
                .ThenBy(row => row.Figures.Cost)
                .Take(MostRows),
        ];

    /// <summary>Where nothing is inside: what misses least.</summary>
    public FoundBuild? Nearest { get; private set; }

    /// <summary>A counted sample of the builds with a good fit, half of it from inside all that is wanted.</summary>
    public IReadOnlyList<FoundDot> Dots => [.. beyond.Dots, .. within.Dots];

    /// <summary>Builds of a good fit that no other of them beats in both drawn figures.</summary>
    public FoundEdge Edge { get; } = new();

    /// <summary>Looks at all of them.</summary>
    /// <param name="told">Told how far it is, now and then.</param>
    /// <param name="stop">Stops it within some milliseconds; what was found stays.</param>
    public void Run(Action<FinderProgress>? told = null, CancellationToken stop = default)
    {
        var (from, last) = (Stopwatch.GetTimestamp(), TimeSpan.Zero);
        for (var shaft = 0; shaft < work.Length; shaft++)
        {
            for (var front = 0; front < work[shaft].Fronts.Count; front++)
            {
                if (stop.IsCancellationRequested)
                {
                    return;
                }

                LookAt(shaft, front);
                var now = Stopwatch.GetElapsedTime(from);
                if (told is not null && now - last > Between)
                {
                    last = now;
                    told(new FinderProgress(Looked, Total, Inside, now.TotalSeconds));
                }
            }
        }

        told?.Invoke(new FinderProgress(Looked, Total, Inside, Stopwatch.GetElapsedTime(from).TotalSeconds));
    }

    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    /// <summary>The build at a place of the search, with its honest range where that is known.</summary>
    /// <exception cref="ArgumentOutOfRangeException">There is no such place.</exception>
    public FoundBuild At(FoundAt at)
    {
        var (shaft, fronts, rears) = work[InList(at.Shaft, work.Length)];
        var (front, rear) = (fronts[InList(at.Front, fronts.Count)], rears[InList(at.Rear, rears.Count)]);
        var lengths = builds.LengthsOf(shaft.Part, rear);
        var (length, needed) = lengths[InList(at.Length, lengths.Count)];
        var figures = builds.Of(shaft, front, rear, length, needed);
        if (honest is not null)
        {
            figures = figures with { HonestRange = honest.Of(shaft.Part, front, rear, length, figures) };
        }

        var toBuy = ToBuy(shaft, front, rear);
        return new FoundBuild(at, shaft, length, front, rear, figures, toBuy, Misses(figures, toBuy));

        static int InList(int index, int count) =>
            index >= 0 && index < count ? index : throw new ArgumentOutOfRangeException(nameof(at));
    }

    /// <summary>How far a shaft is from the best fit in the middle of its builds.</summary>
    private double OffAtMiddle(Work w)
    {
        var lengths = w.Rears.Count > 0 ? builds.LengthsOf(w.Shaft.Part, w.Rears[w.Rears.Count / 2]) : [];
        if (lengths.Count == 0 || w.Fronts.Count == 0)
        {
            return double.MaxValue;
        }

        var (length, needed) = lengths[lengths.Count / 2];
        var front = w.Fronts.OrderBy(f => f.Grains).ElementAt(w.Fronts.Count / 2);
        return FoundBuild.FromBest(builds.Of(w.Shaft, front, w.Rears[w.Rears.Count / 2], length, needed).Fit);
    }

    private void LookAt(int shaftAt, int frontAt)
    {
        var (shaft, fronts, rears) = work[shaftAt];
        var front = fronts[frontAt];
        var (leastKey, least) = (double.MaxValue, default(FoundAt?));
        for (var rearAt = 0; rearAt < rears.Count; rearAt++)
        {
            var rear = rears[rearAt];
            var toBuy = ToBuy(shaft, front, rear);
            var lengths = builds.LengthsOf(shaft.Part, rear);
            for (var lengthAt = 0; lengthAt < lengths.Count; lengthAt++)
            {
                Looked++;
                var (length, needed) = lengths[lengthAt];
                var figures = builds.Of(shaft, front, rear, length, needed);
                if (
                    figures.GrainsPerPound < ArrowCautions.LeastGrainsPerPound
                    || front.Inside >= length - rear.TubeStart
                    || (front.IsFixedHead && figures.Fit < SpineFit.GoodFrom)
                )
                {
                    continue;
                }

                var at = new FoundAt(shaftAt, frontAt, rearAt, lengthAt);
                var inside = (wish.MostToBuy is not { } most || toBuy <= most) && IsInside(figures);
                if (inside && honestIsWanted)
                {
                    figures = figures with { HonestRange = honest!.Of(shaft.Part, front, rear, length, figures) };
                    inside = IsInside(figures);
                }

                if (figures.Fit is >= SpineFit.GoodFrom and <= SpineFit.GoodTo)
                {
                    Draw(at, figures, inside);
                }

                if (inside)
                {
                    Inside++;
                    // Fewest to buy first: a kind of part more outweighs any fit.
                    var key =
                        FoundBuild.FromBest(figures.Fit) + (wish.Parts == FinderParts.Any ? 0 : toBuy * Outweighs);
                    if (key < leastKey)
                    {
                        (leastKey, least) = (key, at);
                    }
                }
                else if (Inside == 0 && Misses(figures, toBuy) < (Nearest?.Misses ?? double.MaxValue))
                {
                    // What is far outside is not asked how far it is honest.
                    var missed = At(at);
                    Nearest = missed.Misses < (Nearest?.Misses ?? double.MaxValue) ? missed : Nearest;
                }
            }
        }

        if (least is { } found)
        {
            rows.Add(At(found) with { Misses = 0 });
            Nearest = null;
            if (rows.Count >= 2 * MostRows)
            {
                var best = Ranked;
                rows.Clear();
                rows.AddRange(best);
            }
        }
    }

    private const double Outweighs = 1000;

    private bool IsInside(in FoundFigures figures)
    {
        foreach (var range in wish.Ranges)
        {
            if (!range.Holds(figures[range.Figure]))
            {
                return false;
            }
        }

        return true;
    }

    private static int ToBuy(FinderPart<Shaft> shaft, FrontEnd front, RearEnd rear) =>
        (shaft.Owned ? 0 : 1) + front.ToBuy + rear.ToBuy;

    private double Misses(in FoundFigures figures, int toBuy)
    {
        var misses = wish.MostToBuy is { } most ? Math.Max(0, toBuy - most) : 0.0;
        foreach (var range in wish.Ranges)
        {
            misses += range.Miss(figures[range.Figure]);
        }

        return misses;
    }

    /// <summary>Each build is offered to the edge, and to the sample.</summary>
    private void Draw(FoundAt at, in FoundFigures figures, bool inside)
    {
        // Of a cost less is better.
        double Of(FoundFigure figure, in FoundFigures of) => figure == FoundFigure.Cost ? -of[figure] : of[figure];
        var dot = new FoundDot(Of(drawn.X, figures), Of(drawn.Y, figures), figures.Fit, inside, at);
        Edge.Offer(dot);
        good++;
        (inside ? within : beyond).Offer(dot);
    }

    /// <summary>The shortest length that is looked at: an inch ahead of the rest, inches.</summary>
    public static double FirstLength(Bow bow) => BuildFigures.FirstLength(bow);

    private sealed record Work(FinderPart<Shaft> Shaft, IReadOnlyList<FrontEnd> Fronts, IReadOnlyList<RearEnd> Rears);
}
