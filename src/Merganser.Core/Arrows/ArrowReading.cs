using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Spine;

namespace Merganser.Core.Arrows;

/// <summary>The verdict on the spine with the bands that it is drawn on.</summary>
/// <param name="Ratio">R = needed/actual.</param>
/// <param name="Low">Lower end of the interval.</param>
/// <param name="High">Upper end.</param>
/// <param name="Words">Verdict in words.</param>
/// <param name="Band">The band of R itself.</param>
/// <param name="OpenedRatio">R of the opened state.</param>
public sealed record FitReading(
    double Ratio,
    double Low,
    double High,
    Message Words,
    FitBand Band,
    double? OpenedRatio
);

/// <summary>Places to draw, inches from the nock throat.</summary>
/// <param name="BalancePoint">Balance point.</param>
/// <param name="HalfLength">Half of L.</param>
/// <param name="Gap">Balance point less half length: the FOC as a length.</param>
/// <param name="RestAtFullDraw">The rest at full draw.</param>
/// <param name="ToSpare">Shaft ahead of the rest at full draw.</param>
/// <param name="VaneFront">Front edge of the vanes.</param>
public sealed record ArrowPlaces(
    double BalancePoint,
    double HalfLength,
    double Gap,
    double RestAtFullDraw,
    double ToSpare,
    double VaneFront
);

/// <summary>Everything the bench shows about an arrow on a bow.</summary>
/// <param name="Figures">Its figures, each with its working.</param>
/// <param name="Fit">The verdict on the spine.</param>
/// <param name="Cautions">What is to be said before it is shot.</param>
/// <param name="Places">Places to draw.</param>
/// <param name="Masses">What it is made of.</param>
/// <param name="EndGrains">What stands at its ends besides insert, point and nock, grains.</param>
/// <param name="Next">What is next.</param>
public sealed record ArrowReading(
    IReadOnlyList<Figure> Figures,
    FitReading Fit,
    IReadOnlyList<Caution> Cautions,
    ArrowPlaces Places,
    IReadOnlyList<PlacedMass> Masses,
    double EndGrains,
    Next Next
)
{
    /// <summary>True when some caution refuses the arrow.</summary>
    public bool Refused => Cautions.Any(c => c.Refused);

    /// <summary>The figure of this name.</summary>
    public Figure this[string name] => Figures.First(f => f.Name == name);

    /// <summary>Reads an arrow on a bow, with every change against the state in which it was opened.</summary>
    public static ArrowReading Of(Bow bow, Arrow arrow, Arrow? opened = null)
    {
        var numbers = new ArrowNumbers(bow, arrow);
        var before = opened is null ? null : new ArrowNumbers(bow, opened);
        var earlier = before is null ? [] : ArrowFigures.All(before);
        IReadOnlyList<Drawn> drawn = NotKnown.Any(bow, arrow) ? NotKnown.Draw(bow, arrow, Draws) : [];
        var (low, high) =
            drawn.Count == 0 ? (numbers.Fit.Low, numbers.Fit.High) : NotKnown.NineInTen(drawn.Select(d => d.Fit));
        var figures = Widened(ArrowFigures.All(numbers), drawn, (low, high))
            .Select(f => f.Since(earlier.FirstOrDefault(e => e.Name == f.Name)))
            .ToArray();
        var fit = new FitReading(
            numbers.Fit.Ratio,
            low,
            high,
            SpineFit.Said(numbers.Fit.Ratio, low, high),
            numbers.Fit.Band,
            before?.Fit.Ratio
        );
        var cautions = ArrowCautions.Of(numbers);
        var half = arrow.CutLength / 2;
        var places = new ArrowPlaces(
            numbers.Balance.Point,
            half,
            numbers.Balance.Point - half,
            bow.RestAtFullDraw,
            numbers.ToSpare,
            arrow.VaneFront
        );
        return new ArrowReading(
            figures,
            fit,
            cautions,
            places,
            arrow.Masses(),
            arrow.AtEnds.Sum(p => p.Weight),
            ArrowNext.Of(numbers, cautions)
        );
    }

    /// <summary>So many arrows are drawn where something is not known.</summary>
    private const int Draws = 256;

    /// <summary>Figures with the bands that what is not known gives them, beside what they have of their own.</summary>
    private static IEnumerable<Figure> Widened(
        IReadOnlyList<Figure> figures,
        IReadOnlyList<Drawn> drawn,
        (double Low, double High) fit
    )
    {
        if (drawn.Count == 0)
        {
            return figures;
        }

        var each = drawn.Select(d => ArrowFigures.All(d.Numbers)).ToArray();
        return figures.Select(
            (f, i) => f.Name == "fit" ? f with { Low = fit.Low, High = fit.High } : Widened(f, each.Select(e => e[i]))
        );
    }

    /// <summary>Errors that have nothing to do with each other add as squares.</summary>
    private static Figure Widened(Figure figure, IEnumerable<Figure> drawn)
    {
        if (figure.Value is not { } value)
        {
            return figure;
        }

        var (low, high) = NotKnown.NineInTen(drawn.Select(f => f.Value ?? value));
        return high - low < 1e-9
            ? figure
            : figure with
            {
                Low = value - Both(value - low, value - (figure.Low ?? value)),
                High = value + Both(high - value, (figure.High ?? value) - value),
            };
    }

    private static double Both(double one, double other) =>
        Math.Sqrt((Math.Max(0, one) * Math.Max(0, one)) + (other * other));
}

/// <summary>The numbers behind the figures, computed once.</summary>
public sealed class ArrowNumbers
{
    /// <summary>An arrow on its bow.</summary>
    public ArrowNumbers(Bow bow, Arrow arrow)
    {
        Bow = bow;
        Arrow = arrow;
        Balance = arrow.Balance();
        Factor = BowFactor.For(bow);
        LoadShare = NeededSpine.LoadShare(arrow.FrontGrains, arrow.ShaftGrains, Balance.Grains);
        EffectiveWeight = bow.DrawWeight * Factor.Factor;
        Needed = NeededSpine.Of(EffectiveWeight, arrow.CutLength, LoadShare);
        Fit = SpineFit.Of(
            Needed,
            arrow.Shaft.SpineInUse,
            arrow.CutLength,
            bow.DrawWeight,
            bow.MeasuredWeight is not null || bow.DrawWeightBand > 0,
            Factor.ModelSpread
        );
        Launch = LaunchSpeed.Of(bow, Balance.Grains);
    }

    /// <summary>The bow.</summary>
    public Bow Bow { get; }

    /// <summary>The arrow.</summary>
    public Arrow Arrow { get; }

    /// <summary>Mass, grains, and balance point, inches.</summary>
    public Balance Balance { get; }

    /// <summary>How the bow loads an arrow beside an average one.</summary>
    public BowFactor Factor { get; }

    /// <summary>LF, see <see cref="NeededSpine.LoadShare"/>, 0 to 1.</summary>
    public double LoadShare { get; }

    /// <summary>Draw weight times the bow factor, lb.</summary>
    public double EffectiveWeight { get; }

    /// <summary>Needed ASTM spine, inches.</summary>
    public double Needed { get; }

    /// <summary>How well the shaft suits.</summary>
    public SpineFit Fit { get; }

    /// <summary>Speed at launch, ft/s.</summary>
    public Launch Launch { get; }

    /// <summary>Grains per pound of draw weight.</summary>
    public double GrainsPerPound => Balance.Grains / Bow.DrawWeight;

    /// <summary>
    /// Shaft ahead of the rest at full draw: L − (AMO draw − 1.75 in) − the rest's place ahead of the pivot.
    /// </summary>
    public double ToSpare => Arrow.CutLength - Bow.RestAtFullDraw;
}
