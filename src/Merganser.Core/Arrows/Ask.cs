using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>
/// Asks for a value instead of trying parts: the exact inverse of a figure, or a plain refusal where there is none.
/// </summary>
public static class Ask
{
    /// <summary>FOC that can be asked for, per cent.</summary>
    public static readonly AllowedRange FrontOfCenter = new(0, 40, Unit.Percent, Why.NoShaftStands);

    /// <summary>Total weight that can be asked for, grains.</summary>
    public static readonly AllowedRange TotalWeight = new(100, 1500, Unit.Grain, Why.LightestToHeaviest);

    /// <summary>Fit that can be asked for.</summary>
    public static readonly AllowedRange Ratio = new(0.7, 1.5, Unit.None, Why.NobodyCallsItAFit);

    /// <summary>Point weight for a wanted FOC, grains: m = Σ mᵢ(A* − xᵢ)/(x_p − A*), A* = L(F/100 + ½).</summary>
    /// <exception cref="RefusedException">There is no such weight.</exception>
    public static double PointFor(Arrow arrow, double wantedPercent) =>
        arrow.Balance().GrainsFor("Point", wantedPercent);

    /// <summary>
    /// Cut length for a wanted total weight, inches: only the tube changes, L = (M − Σ others)/g + x₀.
    /// </summary>
    /// <exception cref="RefusedException">The length would be impossible or longer than the shaft as sold.</exception>
    public static double LengthFor(Arrow arrow, double wantedGrains)
    {
        var others = arrow.Masses().Where(m => m.Name != "Shaft").Sum(m => m.Grains);
        var length = ((wantedGrains - others) / arrow.Shaft.GrainsPerInchInUse) + arrow.Nock.TubeStart;
        if (!ArrowRanges.CutLength.Holds(length))
        {
            throw new RefusedException("no-answer", new NoSuchLength(Measure.Inches(length), null));
        }

        return length - arrow.Nock.TubeStart <= arrow.Shaft.MaxLength
            ? length
            : throw new RefusedException(
                "no-answer",
                new NoSuchLength(Measure.Inches(length), Measure.Inches(arrow.Shaft.MaxLength))
            );
    }

    /// <summary>Point weight for a wanted total weight, grains: m = M − Σ others.</summary>
    /// <exception cref="RefusedException">The point would weigh nothing or less.</exception>
    public static double PointForWeight(Arrow arrow, double wantedGrains)
    {
        var grains = wantedGrains - arrow.Masses().Where(m => m.Name != "Point").Sum(m => m.Grains);
        return grains > 0
            ? grains
            : throw new RefusedException("no-answer", new NoSuchPoint(Measure.Grains(wantedGrains - grains)));
    }

    /// <summary>What the bench would say of an answer, before it is shown: a refusal is a refusal here too.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="arrow">The arrow as the answer would make it.</param>
    /// <returns>Its cautions, the most serious first.</returns>
    /// <exception cref="RefusedException">The bench refuses that arrow.</exception>
    public static IReadOnlyList<Caution> Passed(Bow bow, Arrow arrow)
    {
        var cautions = ArrowCautions.Of(new ArrowNumbers(bow, arrow));
        return cautions.FirstOrDefault(c => c.Refused) is { } refused
            ? throw new RefusedException(refused.Code, refused.Text)
            : cautions;
    }

    /// <summary>True for an arrow that the bench does not refuse.</summary>
    public static bool Sound(Bow bow, Arrow arrow) =>
        !ArrowCautions.Of(new ArrowNumbers(bow, arrow)).Any(c => c.Refused);

    /// <summary>
    /// Spine for a wanted fit, inches, all else unchanged: needed spine over R. Another shaft brings its own weight, so
    /// its fit is computed anew.
    /// </summary>
    public static double SpineFor(Bow bow, Arrow arrow, double wantedRatio) =>
        new ArrowNumbers(bow, arrow).Needed / wantedRatio;
}
