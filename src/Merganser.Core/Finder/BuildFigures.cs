using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;
using Merganser.Core.Spine;

namespace Merganser.Core.Finder;

/// <summary>
/// The figures of builds on one bow, as the bench computes them for an arrow, with all that is the same for many
/// builds computed once.
/// </summary>
internal sealed class BuildFigures
{
    private const double Quarter = .25;

    /// <summary>Longer than the least by this no arrow is looked at, inches (common practice, no source).</summary>
    private const double Longest = 2.5;

    private readonly Bow bow;
    private readonly double effective;
    private readonly double slowness;
    private readonly double slownessPerGrain;

    /// <param name="bow">The bow.</param>
    public BuildFigures(Bow bow)
    {
        this.bow = bow;
        effective = bow.DrawWeight * BowFactor.For(bow).Factor;
        // 1/v² is straight in the weight, whether a chronograph, a rating or the stored energy says it.
        const double light = 200;
        const double heavy = 800;
        double Slowness(double grains) => Math.Pow(LaunchSpeed.Of(bow, grains).Speed, -2);
        slownessPerGrain = (Slowness(heavy) - Slowness(light)) / (heavy - light);
        slowness = Slowness(light) - (light * slownessPerGrain);
    }

    /// <summary>Of one build.</summary>
    public FoundFigures Of(FinderPart<Shaft> shaft, FrontEnd front, RearEnd rear, double length, double needed)
    {
        var tube = shaft.Part.GrainsPerInchInUse * (length - rear.TubeStart);
        var grains = front.Grains + rear.Grains + tube;
        var moment = (tube * (length + rear.TubeStart) / 2) + (front.Grains * length) + rear.Moment + front.Moment;
        var speed = 1 / Math.Sqrt(slowness + (grains * slownessPerGrain));
        return new FoundFigures(
            needed * Math.Pow((front.Grains + (tube / 2)) / grains, -NeededSpine.LoadExponent) / shaft.Part.SpineInUse,
            grains,
            grains / bow.DrawWeight,
            100 * ((moment / grains / length) - .5),
            speed,
            LaunchSpeed.KineticEnergy(grains, speed),
            LaunchSpeed.Momentum(grains, speed),
            shaft.Price + front.Cost + rear.Cost
        );
    }

    /// <summary>The shortest length that is looked at: an inch ahead of the rest, inches.</summary>
    public static double FirstLength(Bow bow)
    {
        var least = Math.Max(bow.RestAtFullDraw + ArrowCautions.LeastToSpare, ArrowRanges.CutLength.Low);
        return Math.Ceiling(least / Quarter) * Quarter;
    }

    /// <summary>Lengths that can be cut, each with what it needs of a spine were the whole mass in front.</summary>
    public IReadOnlyList<(double Length, double Needed)> LengthsOf(Shaft shaft, RearEnd rear)
    {
        var key = (rear.TubeStart, shaft.MaxLength);
        if (lengths.TryGetValue(key, out var known))
        {
            return known;
        }

        var first = FirstLength(bow);
        var last = Math.Min(Math.Min(shaft.MaxLength + rear.TubeStart, ArrowRanges.CutLength.High), first + Longest);
        List<(double, double)> found = [];
        for (var length = first; length <= last + 1e-9; length += Quarter)
        {
            found.Add((length, NeededSpine.Of(effective, length, 1)));
        }

        return lengths[key] = found;
    }

    private readonly Dictionary<(double Start, double Sold), IReadOnlyList<(double, double)>> lengths = [];
}
