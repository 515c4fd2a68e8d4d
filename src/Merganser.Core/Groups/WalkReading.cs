using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The hits at one distance of a walk-back.</summary>
/// <param name="Yards">Distance, yards.</param>
/// <param name="Count">Hits that count.</param>
/// <param name="Mean">Right of the plumb line, inches.</param>
/// <param name="Plus">Half width of its 95 %, inches; null below three.</param>
public sealed record WalkedDistance(double Yards, int Count, double Mean, double? Plus);

/// <summary>One walk by itself.</summary>
/// <param name="Set">The number of its set.</param>
/// <param name="Drift">From the zero to the farthest distance, inches.</param>
/// <param name="Plus">Half width of its 95 %.</param>
public sealed record WalkAlone(int Set, double Drift, double Plus);

/// <summary>
/// A walk-back as it is read: the walks of one day with the bow and the sight as they stand, pooled. Walks of other
/// days, or with another sight mark, are kept apart.
/// </summary>
public sealed class WalkReading
{
    private const double DisagreeBelow = .05;

    private readonly double tolerance;
    private readonly IReadOnlyList<(SessionSet Set, double Wind)> walks;
    private readonly FlatFire? arrow;
    private readonly Lazy<int> more;
    private readonly Lazy<(int Set, WalkFit Fit)[]> fits;

    /// <param name="walks">Walks of one setting and day, the newest last, each with its wind across, mph.</param>
    /// <param name="arrow">The arrow in flight; null where its speed is not known.</param>
    public WalkReading(IReadOnlyList<(SessionSet Set, double Wind)> walks, FlatFire? arrow)
    {
        (this.walks, this.arrow) = (walks, arrow);
        var now = walks[^1].Set;
        tolerance = now.Tolerance / Tolerances.Usual * WalkPlan.EnoughPerYard;
        Pins = now.Stage.Walk!.Value;
        Zero = now.Stage.Distance;
        Number = now.Number;
        Hits = [.. walks.SelectMany(w => HitsOf(w.Set).Select(h => (w.Set.Number, Of(h, w.Wind))))];
        Count = Hits.Count;
        Wanted = WalkPlan.Wanted(Zero, Hits.Select(h => h.Shot.Yards));
        var counts = Hits.CountBy(h => h.Shot.Yards).ToDictionary();
        WalkedShot[] read = [.. Hits.Select(h => h.Shot).Where(s => counts[s.Yards] >= WalkPlan.LeastOfEach)];
        if (read.Select(s => s.Yards).Distinct().Count() >= WalkPlan.LeastDistances)
        {
            Fit = new WalkFit(read);
        }

        Distances = [.. Wanted.Select(DistanceOf)];
        more = new(MoreOfEach);
        fits = new(() => [.. walks.Select(w => w.Set.Number).SelectMany(FitOf)]);
    }

    /// <summary>With which pins it is shot.</summary>
    public WalkPins Pins { get; }

    /// <summary>The distance of the zero, yards.</summary>
    public double Zero { get; }

    /// <summary>The farthest distance that is read, or wanted, yards.</summary>
    public double Farthest => Fit is { } fit ? fit.Distances[^1] : Wanted[^1];

    /// <summary>The number of its newest walk's set.</summary>
    public int Number { get; }

    /// <summary>The numbers of the sets that are pooled.</summary>
    public IReadOnlyList<int> Pooled => [.. walks.Select(w => w.Set.Number)];

    /// <summary>Hits that count, the wind's least share taken off, with the number of their set.</summary>
    public IReadOnlyList<(int Set, WalkedShot Shot)> Hits { get; }

    /// <summary>How many.</summary>
    public int Count { get; }

    /// <summary>The distances that are wanted, ascending.</summary>
    public IReadOnlyList<double> Wanted { get; }

    /// <summary>Each of them with its hits.</summary>
    public IReadOnlyList<WalkedDistance> Distances { get; }

    /// <summary>The drift, or null while three hits are not shot at each of three distances.</summary>
    public WalkFit? Fit { get; }

    /// <summary>A drift of this at the farthest distance matters, inches.</summary>
    public double Tolerance => tolerance * Farthest;

    /// <summary>Hits at each distance that would show it four times in five.</summary>
    public int More => more.Value;

    /// <summary>True where a drift that matters would have shown, or no more is asked for.</summary>
    public bool WouldHaveShown => More == 0;

    /// <summary>The same in words.</summary>
    /// <param name="sentence">False where it stands inside a sentence.</param>
    public Message MoreShow(bool sentence = true) =>
        new MoreHitsShow(More, Measure.Inches(Tolerance, 1), Measure.Yards(Farthest), sentence);

    /// <summary>What one walk still wants at each distance to so many hits; empty where it has them.</summary>
    public IReadOnlyList<HitsAt> Missing(int each, bool ofTheNewest = false)
    {
        var counts = Hits.Where(h => !ofTheNewest || h.Set == Number).CountBy(h => h.Shot.Yards).ToDictionary();
        return
        [
            .. from yards in Wanted
            let wanting = each - counts.GetValueOrDefault(yards)
            where wanting > 0
            select new HitsAt(wanting, Measure.Yards(yards)),
        ];
    }

    /// <summary>The wind that was noted with the newest walk, miles an hour from the left; 0 for none.</summary>
    public double Wind => walks[^1].Wind;

    /// <summary>What that wind does at the farthest distance at the least, inches.</summary>
    public double WindShare => ShareOf(Wind, Farthest);

    /// <summary>The same in words, or null where no wind was noted.</summary>
    public Message? WindTakenOff =>
        Wind == 0 ? null : new WindAtLeast(Measure.Wind(Wind), Measure.Inches(WindShare, 1), Measure.Yards(Farthest));

    /// <summary>
    /// How far an arrow drops at the farthest distance on the pin of the zero, inches; null where each has its own pin.
    /// </summary>
    public double? DropAt(double yards) =>
        Pins == WalkPins.One && arrow is { } flies ? flies.Drop(yards) - (yards / Zero * flies.Drop(Zero)) : null;

    /// <summary>
    /// The lean of the sight from plumb that would curve like this with own pins, degrees to the right; null where
    /// nothing is curved, or one pin serves all.
    /// </summary>
    public double? Lean
    {
        get
        {
            if (Fit is not { Shape: DriftShape.Curved, Curvature: { } c } || arrow is null || Pins == WalkPins.One)
            {
                return null;
            }

            var sine = c * Farthest * Farthest / arrow.Drop(Farthest);
            return Math.Asin(Math.Clamp(sine, -1, 1)) * 180 / Math.PI;
        }
    }

    /// <summary>Each walk by itself, where it can be read.</summary>
    public IReadOnlyList<WalkAlone> Alone =>
        [
            .. from walk in fits.Value
            let drift = walk.Fit.Between(Zero, walk.Fit.Distances[^1])
            select new WalkAlone(walk.Set, drift.Drift, drift.Plus),
        ];

    /// <summary>
    /// The walks among each other: Σ((b_i − b̄)/se_i)²/(k − 1) of their slopes, F(k − 1, ν); null below two.
    /// </summary>
    public (double F, int Top, int Bottom, double P)? Among
    {
        get
        {
            var alone = fits.Value.Select(f => f.Fit).ToArray();
            if (alone.Length < 2 || Fit is null)
            {
                return null;
            }

            // Each walk's own error with the spread of all of them.
            double Error(WalkFit fit) => fit.SlopeError / fit.Spread * Fit.Spread;
            var weights = alone.Select(f => 1 / Math.Pow(Error(f), 2)).ToArray();
            var mean = alone.Zip(weights, (f, w) => f.Slope * w).Sum() / weights.Sum();
            var f = alone.Zip(weights, (fit, w) => w * Math.Pow(fit.Slope - mean, 2)).Sum() / (alone.Length - 1);
            var bottom = alone.Sum(fit => fit.Freedom);
            return (f, alone.Length - 1, bottom, NoncentralF.Chance(alone.Length - 1, bottom, f));
        }
    }

    /// <summary>The same in words, or null below two.</summary>
    public Message? AmongWords =>
        Among is { } among ? new WalksAmong(new FTest(among.F, among.Top, among.Bottom, among.P), Disagree) : null;

    /// <summary>True where the walks differ more than chance lets them.</summary>
    public bool Disagree => Among is { P: < DisagreeBelow };

    /// <summary>What is shown, or what is wanting; null before the first hit.</summary>
    public Message? Words =>
        Count == 0 ? null
        : Fit is { } fit
            ? new DriftShown(
                Measure.Inches(fit.Between(Zero, Farthest).Drift),
                Measure.Yards(Zero),
                Measure.Yards(Farthest),
                fit.Verdict
            )
        : new WalkTooFew(WalkPlan.LeastOfEach, Missing(WalkPlan.LeastOfEach));

    /// <summary>How the pin answers a straight drift.</summary>
    public SightMove? SightAnswer(Sight? sight) =>
        Fit is { } fit ? (sight ?? Sight.Usual).Answer(new Impact(fit.Slope * Farthest, 0), Farthest) : null;

    private IEnumerable<(int Set, WalkFit Fit)> FitOf(int set)
    {
        WalkedShot[] own = [.. Hits.Where(h => h.Set == set).Select(h => h.Shot)];
        var enough = own.CountBy(s => s.Yards).Count(d => d.Value >= WalkPlan.LeastOfEach) >= 2;
        return enough ? [(set, new WalkFit(own))] : [];
    }

    private int MoreOfEach()
    {
        for (var more = 0; more < WalkPlan.MostOfEach; more++)
        {
            if (Fit!.Counts.Min() + more >= WalkPlan.MostOfEach || Fit.Power(tolerance, more) >= NoncentralF.Wanted)
            {
                return more;
            }
        }

        return WalkPlan.MostOfEach;
    }

    private WalkedDistance DistanceOf(double yards)
    {
        double[] own = [.. Hits.Where(h => h.Shot.Yards == yards).Select(h => h.Shot.Sideways)];
        double? plus = Fit is { } fit ? fit.MeanPlus(yards, own.Length) : null;
        return new WalkedDistance(yards, own.Length, own.Length == 0 ? 0 : own.Average(), plus);
    }

    private WalkedShot Of(ShotReading hit, double wind)
    {
        var yards = hit.Marked.Yards!.Value;
        return new WalkedShot(yards, hit.Marked.Impact.X - ShareOf(wind, yards));
    }

    private double ShareOf(double wind, double yards) => arrow is { } flies ? flies.LeastDrift(wind, yards) : 0;

    private static IEnumerable<ShotReading> HitsOf(SessionSet set) => set.Shots.Where(s => s.Counts);
}
