using System.Diagnostics;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;
using Merganser.Core.Spine;

namespace Merganser.Core.Finder;

/// <summary>How far a search is.</summary>
/// <param name="Looked">Builds looked at.</param>
/// <param name="Total">Of so many.</param>
/// <param name="Inside">Of them inside all that is wanted.</param>
/// <param name="Seconds">Since it began.</param>
public readonly record struct FinderProgress(long Looked, long Total, long Inside, double Seconds)
{
    /// <summary>Builds a second.</summary>
    public double Rate => Seconds > 0 ? Looked / Seconds : 0;

    /// <summary>What is left at this rate, seconds.</summary>
    public double Left => Rate > 0 ? (Total - Looked) / Rate : 0;
}

/// <summary>
/// Looks at every build of a catalogue on a bow: shafts, lengths in quarter inches from an inch ahead of the rest to
/// what the shaft is sold at, fronts, rears. What the bench refuses or warns of is never found: under five grains a
/// pound, a shaft that ends at the rest, a weak one with a fixed head, a part that does not go into the tube. One row
/// for each shaft and front, at its best length and rear.
/// </summary>
public sealed class FinderSearch
{
    /// <summary>Dots of the picture at the most.</summary>
    public const int MostDots = 400;

    private const double Quarter = .25;

    /// <summary>Longer than the least by this no arrow is looked at, inches (common practice, no source).</summary>
    private const double Longest = 2.5;

    private readonly Bow bow;
    private readonly FinderWish wish;
    private readonly (FoundFigure X, FoundFigure Y) drawn;
    private readonly double effective;
    private readonly double slowness;
    private readonly double slownessPerGrain;
    private readonly Work[] work;
    private readonly List<FoundDot> dots = [];
    private readonly List<FoundBuild> rows = [];
    private long good;
    private int stride = 1;

    /// <param name="bow">The bow.</param>
    /// <param name="stock">Its parts.</param>
    /// <param name="wish">What is looked for.</param>
    /// <param name="drawn">Two figures to be drawn against each other.</param>
    public FinderSearch(Bow bow, FinderStock stock, FinderWish wish, (FoundFigure X, FoundFigure Y) drawn)
    {
        (this.bow, this.wish, this.drawn) = (bow, wish, drawn);
        effective = bow.DrawWeight * BowFactor.For(bow).Factor;
        // 1/v² is straight in the weight, whether a chronograph, a rating or the stored energy says it.
        const double light = 200;
        const double heavy = 800;
        double Slowness(double grains) => Math.Pow(LaunchSpeed.Of(bow, grains).Speed, -2);
        slownessPerGrain = (Slowness(heavy) - Slowness(light)) / (heavy - light);
        slowness = Slowness(light) - (light * slownessPerGrain);
        work =
        [
            .. stock.Shafts.Select(shaft => new Work(shaft, stock.FrontsOf(shaft.Part), stock.RearsOf(shaft.Part))),
        ];
        Total = work.Sum(w => w.Rears.Sum(rear => (long)LengthsOf(w.Shaft.Part, rear).Count) * w.Fronts.Count);
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
                .ThenBy(row => row.Figures.Cost),
        ];

    /// <summary>Where nothing is inside: what misses least.</summary>
    public FoundBuild? Nearest { get; private set; }

    /// <summary>A counted sample of the builds with a good fit.</summary>
    public IReadOnlyList<FoundDot> Dots => dots;

    /// <summary>Builds of a good fit that no other of them beats in both drawn figures.</summary>
    public FoundEdge Edge { get; } = new();

    /// <summary>Looks at all of them.</summary>
    /// <param name="told">Told how far it is, now and then.</param>
    /// <param name="stop">Stops it within some milliseconds; what was found stays.</param>
    public void Run(Action<FinderProgress>? told = null, CancellationToken stop = default)
    {
        var (from, last) = (Stopwatch.GetTimestamp(), TimeSpan.Zero);
        foreach (var (shaft, fronts, rears) in work)
        {
            foreach (var front in fronts)
            {
                if (stop.IsCancellationRequested)
                {
                    return;
                }

                LookAt(shaft, front, rears);
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

    private void LookAt(FinderPart<Shaft> shaft, FrontEnd front, IReadOnlyList<RearEnd> rears)
    {
        var (perInch, spine) = (shaft.Part.GrainsPerInchInUse, shaft.Part.SpineInUse);
        (double Key, double Length, RearEnd? Rear, FoundFigures Figures, int ToBuy) best = (
            double.MaxValue,
            0,
            null,
            default,
            0
        );
        foreach (var rear in rears)
        {
            var toBuy = (shaft.Owned ? 0 : 1) + front.ToBuy + rear.ToBuy;
            var (ends, endsMoment) = (front.Grains + rear.Grains, rear.Moment + front.Moment);
            var cost = shaft.Price + front.Cost + rear.Cost;
            foreach (var (length, needed) in LengthsOf(shaft.Part, rear))
            {
                Looked++;
                var tube = perInch * (length - rear.TubeStart);
                var grains = ends + tube;
                var perPound = grains / bow.DrawWeight;
                var fit = needed * Math.Pow((front.Grains + (tube / 2)) / grains, -NeededSpine.LoadExponent) / spine;
                if (
                    perPound < ArrowCautions.LeastGrainsPerPound
                    || front.Inside >= length - rear.TubeStart
                    || (front.IsFixedHead && fit < SpineFit.GoodFrom)
                )
                {
                    continue;
                }

                var moment = (tube * (length + rear.TubeStart) / 2) + (front.Grains * length) + endsMoment;
                var speed = 1 / Math.Sqrt(slowness + (grains * slownessPerGrain));
                var figures = new FoundFigures(
                    fit,
                    grains,
                    perPound,
                    100 * ((moment / grains / length) - .5),
                    speed,
                    LaunchSpeed.KineticEnergy(grains, speed),
                    LaunchSpeed.Momentum(grains, speed),
                    cost
                );
                var inside = (wish.MostToBuy is not { } most || toBuy <= most) && IsInside(figures);
                if (fit is >= SpineFit.GoodFrom and <= SpineFit.GoodTo)
                {
                    Draw(figures, inside);
                }

                if (inside)
                {
                    Inside++;
                    // Fewest to buy first: a kind of part more outweighs any fit.
                    var key = FoundBuild.FromBest(fit) + (wish.Parts == FinderParts.Any ? 0 : toBuy * Outweighs);
                    if (key < best.Key)
                    {
                        best = (key, length, rear, figures, toBuy);
                    }
                }
                else if (Inside == 0)
                {
                    Miss(shaft, length, front, rear, figures, toBuy);
                }
            }
        }

        if (best.Rear is { } found)
        {
            rows.Add(new FoundBuild(shaft, best.Length, front, found, best.Figures, best.ToBuy, 0));
            Nearest = null;
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

    private void Miss(
        FinderPart<Shaft> shaft,
        double length,
        FrontEnd front,
        RearEnd rear,
        in FoundFigures figures,
        int toBuy
    )
    {
        var misses = wish.MostToBuy is { } most ? Math.Max(0, toBuy - most) : 0.0;
        foreach (var range in wish.Ranges)
        {
            misses += range.Miss(figures[range.Figure]);
        }

        if (Nearest is null || misses < Nearest.Misses)
        {
            Nearest = new FoundBuild(shaft, length, front, rear, figures, toBuy, misses);
        }
    }

    /// <summary>Each build is offered to the edge; of the dots every so-manieth is kept, ever fewer of them.</summary>
    private void Draw(in FoundFigures figures, bool inside)
    {
        // Of a cost less is better.
        double Of(FoundFigure figure, in FoundFigures of) => figure == FoundFigure.Cost ? -of[figure] : of[figure];
        var dot = new FoundDot(Of(drawn.X, figures), Of(drawn.Y, figures), figures.Fit, inside);
        Edge.Offer(dot);
        if (good++ % stride != 0)
        {
            return;
        }

        dots.Add(dot);
        if (dots.Count >= 2 * MostDots)
        {
            for (var i = 0; i < MostDots; i++)
            {
                dots[i] = dots[2 * i];
            }

            dots.RemoveRange(MostDots, dots.Count - MostDots);
            stride *= 2;
        }
    }

    /// <summary>Lengths that can be cut, each with what it needs of a spine were the whole mass in front.</summary>
    private IReadOnlyList<(double Length, double Needed)> LengthsOf(Shaft shaft, RearEnd rear)
    {
        var key = (rear.TubeStart, shaft.MaxLength);
        if (lengths.TryGetValue(key, out var known))
        {
            return known;
        }

        var least = Math.Max(bow.RestAtFullDraw + ArrowCautions.LeastToSpare, ArrowRanges.CutLength.Low);
        var first = Math.Ceiling(least / Quarter) * Quarter;
        var last = Math.Min(Math.Min(shaft.MaxLength + rear.TubeStart, ArrowRanges.CutLength.High), first + Longest);
        List<(double, double)> found = [];
        for (var length = first; length <= last + 1e-9; length += Quarter)
        {
            found.Add((length, NeededSpine.Of(effective, length, 1)));
        }

        return lengths[key] = found;
    }

    private readonly Dictionary<(double Start, double Sold), IReadOnlyList<(double, double)>> lengths = [];

    private sealed record Work(FinderPart<Shaft> Shaft, IReadOnlyList<FrontEnd> Fronts, IReadOnlyList<RearEnd> Rears);
}
