using Merganser.Core.Arrows;

namespace Merganser.Core.Finder;

/// <summary>The figures of a build, each in its trade unit.</summary>
/// <param name="Fit">R = needed/actual spine.</param>
/// <param name="Grains">Total weight.</param>
/// <param name="GrainsPerPound">Per pound of draw weight.</param>
/// <param name="FrontOfCenter">Per cent.</param>
/// <param name="Speed">At launch, ft/s.</param>
/// <param name="KineticEnergy">At launch, ft·lb.</param>
/// <param name="Momentum">At launch, slug·ft/s.</param>
/// <param name="Cost">Of one arrow.</param>
public readonly record struct FoundFigures(
    double Fit,
    double Grains,
    double GrainsPerPound,
    double FrontOfCenter,
    double Speed,
    double KineticEnergy,
    double Momentum,
    double Cost
)
{
    /// <summary>One of them.</summary>
    public double this[FoundFigure figure] =>
        figure switch
        {
            FoundFigure.Fit => Fit,
            FoundFigure.Weight => Grains,
            FoundFigure.GrainsPerPound => GrainsPerPound,
            FoundFigure.FrontOfCenter => FrontOfCenter,
            FoundFigure.Speed => Speed,
            FoundFigure.KineticEnergy => KineticEnergy,
            FoundFigure.Momentum => Momentum,
            _ => Cost,
        };
}

/// <summary>A build that was found.</summary>
/// <param name="Shaft">Its shaft.</param>
/// <param name="CutLength">Throat to the end of the shaft, inches.</param>
/// <param name="Front">In front.</param>
/// <param name="Rear">At the nock.</param>
/// <param name="Figures">Its figures.</param>
/// <param name="ToBuy">Kinds of parts that are not owned.</param>
/// <param name="Misses">How far outside what is wanted, in widths of the ranges, added up; 0 inside all.</param>
public sealed record FoundBuild(
    FinderPart<Shaft> Shaft,
    double CutLength,
    FrontEnd Front,
    RearEnd Rear,
    FoundFigures Figures,
    int ToBuy,
    double Misses
)
{
    /// <summary>The fit that is looked for: good, on the stiff side (common practice, no source).</summary>
    public const double BestFit = 1.05;

    /// <summary>R over the best, or the best over R: 1 at the best, more on both sides, as |ln| orders it.</summary>
    public static double FromBest(double fit) => fit > BestFit ? fit / BestFit : BestFit / fit;

    /// <summary>The same arrow as the bench builds it.</summary>
    public Arrow Arrow()
    {
        var (nock, vane) = (Rear.Nock.Part, Rear.Vane.Part);
        return new ArrowEntry(
            Shaft.Part,
            Units.Show.Number(CutLength, 2),
            Front.Insert?.Part,
            Front.Point.Part,
            nock,
            vane,
            RearEnd.Vanes,
            null,
            null,
            null,
            EndParts: Front.Over is { } over ? [over.Part] : null
        ).Read();
    }
}

/// <summary>A build in the picture of two figures.</summary>
/// <param name="X">One.</param>
/// <param name="Y">The other.</param>
/// <param name="Fit">R = needed/actual spine.</param>
/// <param name="Inside">True inside all that is wanted.</param>
public readonly record struct FoundDot(double X, double Y, double Fit, bool Inside);

/// <summary>
/// The builds that no other beats in two figures at once, more of both being better: a stair, exact, however many are
/// laid before it.
/// </summary>
public sealed class FoundEdge
{
    private readonly List<FoundDot> stair = [];

    /// <summary>From the least x to the most; y falls.</summary>
    public IReadOnlyList<FoundDot> Stair => stair;

    /// <summary>Takes a build in, if none so far beats it.</summary>
    public void Offer(in FoundDot dot)
    {
        var at = FirstFrom(dot.X);
        if (at < stair.Count && stair[at].Y >= dot.Y)
        {
            return;
        }

        var from = at;
        while (from > 0 && stair[from - 1].Y <= dot.Y)
        {
            from--;
        }

        // One of the same x that is lower goes as well.
        var to = at < stair.Count && stair[at].X == dot.X ? at + 1 : at;
        stair.RemoveRange(from, to - from);
        stair.Insert(from, dot);
    }

    private int FirstFrom(double x)
    {
        var (low, high) = (0, stair.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = stair[middle].X < x ? (middle + 1, high) : (low, middle);
        }

        return low;
    }
}
