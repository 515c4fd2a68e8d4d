using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Speed;

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
/// <param name="HonestRange">Yards; no number where it was not asked.</param>
public readonly record struct FoundFigures(
    double Fit,
    double Grains,
    double GrainsPerPound,
    double FrontOfCenter,
    double Speed,
    double KineticEnergy,
    double Momentum,
    double Cost,
    double HonestRange = double.NaN
)
{
    /// <summary>Of an arrow on a bow.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="arrow">The arrow.</param>
    /// <param name="cost">What one costs.</param>
    public static FoundFigures Of(Bow bow, Arrow arrow, double cost)
    {
        var numbers = new ArrowNumbers(bow, arrow);
        var (grains, speed) = (numbers.Balance.Grains, numbers.Launch.Speed);
        return new FoundFigures(
            numbers.Fit.Ratio,
            grains,
            numbers.GrainsPerPound,
            numbers.Balance.FrontOfCenter,
            speed,
            LaunchSpeed.KineticEnergy(grains, speed),
            LaunchSpeed.Momentum(grains, speed),
            cost
        );
    }

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
            FoundFigure.Cost => Cost,
            _ => HonestRange,
        };
}

/// <summary>
/// A place in a search: which of its shafts, of the fronts and rears that go with it, of the lengths.
/// </summary>
public readonly record struct FoundAt(int Shaft, int Front, int Rear, int Length)
{
    /// <summary>As it is asked for again.</summary>
    public override string ToString() => $"{Shaft}.{Front}.{Rear}.{Length}";

    /// <summary>Reads it; null for what is none.</summary>
    public static FoundAt? Read(string text) =>
        text.Split('.') is [var s, var f, var r, var l]
        && int.TryParse(s, out var shaft)
        && int.TryParse(f, out var front)
        && int.TryParse(r, out var rear)
        && int.TryParse(l, out var length)
            ? new FoundAt(shaft, front, rear, length)
            : null;
}

/// <summary>A build that was found.</summary>
/// <param name="At">Where in its search.</param>
/// <param name="Shaft">Its shaft.</param>
/// <param name="CutLength">Throat to the end of the shaft, inches.</param>
/// <param name="Front">In front.</param>
/// <param name="Rear">At the nock.</param>
/// <param name="Figures">Its figures.</param>
/// <param name="ToBuy">Kinds of parts that are not owned.</param>
/// <param name="Misses">How far outside what is wanted, in widths of the ranges, added up; 0 inside all.</param>
public sealed record FoundBuild(
    FoundAt At,
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

    /// <summary>The same as a draft that the bench takes.</summary>
    public ArrowDraft Draft()
    {
        var name = Shaft.Part.Name;
        return new ArrowDraft(
            name.Length > LongestName ? name[..LongestName] : name,
            Shaft.Id,
            Units.Show.Number(CutLength, 2),
            Front.Insert?.Id,
            Front.Point.Id,
            Rear.Nock.Id,
            Rear.Vane.Id,
            RearEnd.Vanes,
            "",
            null,
            "",
            EndPartIds: Front.Over is { } over ? [over.Id] : null
        );
    }

    private const int LongestName = 60;

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
/// <param name="At">Where in its search.</param>
public readonly record struct FoundDot(double X, double Y, double Fit, bool Inside, FoundAt At);

/// <summary>A sample of ever so many builds: every so-manieth of them, ever fewer as more come.</summary>
/// <param name="most">At the least so many are kept once they are there, and at the most twice as many.</param>
public sealed class FoundSample(int most)
{
    private readonly List<FoundDot> dots = [];
    private long seen;
    private int stride = 1;

    /// <summary>What is kept.</summary>
    public IReadOnlyList<FoundDot> Dots => dots;

    /// <summary>One more.</summary>
    public void Offer(in FoundDot dot)
    {
        if (seen++ % stride != 0)
        {
            return;
        }

        dots.Add(dot);
        if (dots.Count < 2 * most)
        {
            return;
        }

        for (var i = 0; i < most; i++)
        {
            dots[i] = dots[2 * i];
        }

        dots.RemoveRange(most, dots.Count - most);
        stride *= 2;
    }
}

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
