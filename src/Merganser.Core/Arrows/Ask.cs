using Merganser.Core.Bows;
using Merganser.Core.Figures;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Arrows;

/// <summary>Asks for a value instead of trying parts: the exact inverse of a figure, or a plain refusal where there is none.</summary>
public static class Ask
{
    /// <summary>FOC that can be asked for, per cent.</summary>
    public static readonly AllowedRange FrontOfCenter = new(0, 40, "%", "beyond it no shaft stands");

    /// <summary>Total weight that can be asked for, grains.</summary>
    public static readonly AllowedRange TotalWeight = new(100, 1500, "gr", "from a child's arrow to the heaviest");

    /// <summary>Fit that can be asked for.</summary>
    public static readonly AllowedRange Ratio = new(0.7, 1.5, "", "beyond it nobody calls it a fit");

    /// <summary>Point weight for a wanted FOC, grains: m = Σ mᵢ(A* − xᵢ)/(x_p − A*), A* = L(F/100 + ½).</summary>
    /// <exception cref="RefusedException">There is no such weight.</exception>
    public static double PointFor(Arrow arrow, double wantedPercent) => arrow.Balance().GrainsFor("Point", wantedPercent);

    /// <summary>Cut length for a wanted total weight, inches: only the tube changes, L = (M − Σ others)/g + x₀.</summary>
    /// <exception cref="RefusedException">The length would be impossible or longer than the shaft as sold.</exception>
    public static double LengthFor(Arrow arrow, double wantedGrains)
    {
        var others = arrow.Masses().Where(m => m.Name != "Shaft").Sum(m => m.Grains);
        var length = ((wantedGrains - others) / arrow.Shaft.GrainsPerInchInUse) + arrow.Nock.TubeStart;
        if (!ArrowRanges.CutLength.Holds(length))
        {
            throw new RefusedException("no-answer", $"That would be {Number(length, 2)} in of shaft: no length does it, another shaft or point may.");
        }

        return length - arrow.Nock.TubeStart <= arrow.Shaft.MaxLength
            ? length
            : throw new RefusedException("no-answer", $"That would be {Number(length, 2)} in: this shaft is sold {Number(arrow.Shaft.MaxLength, 2)} in long.");
    }

    /// <summary>Point weight for a wanted total weight, grains: m = M − Σ others.</summary>
    /// <exception cref="RefusedException">The point would weigh nothing or less.</exception>
    public static double PointForWeight(Arrow arrow, double wantedGrains)
    {
        var grains = wantedGrains - arrow.Masses().Where(m => m.Name != "Point").Sum(m => m.Grains);
        return grains > 0 ? grains : throw new RefusedException("no-answer", $"All but the point weighs {Number(wantedGrains - grains, 1)} gr: no point does it, a lighter shaft may.");
    }

    /// <summary>What the bench would say of an answer, before it is shown: a refusal is a refusal here too.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="arrow">The arrow as the answer would make it.</param>
    /// <returns>Its cautions, the most serious first.</returns>
    /// <exception cref="RefusedException">The bench refuses that arrow.</exception>
    public static IReadOnlyList<Caution> Passed(Bow bow, Arrow arrow)
    {
        var cautions = ArrowCautions.Of(new ArrowNumbers(bow, arrow));
        return cautions.FirstOrDefault(c => c.Refused) is { } refused ? throw new RefusedException(refused.Code, refused.Text) : cautions;
    }

    /// <summary>Spine for a wanted fit, inches, all else unchanged: needed spine over R. Another shaft brings its own weight, so its fit is computed anew.</summary>
    public static double SpineFor(Bow bow, Arrow arrow, double wantedRatio) => new ArrowNumbers(bow, arrow).Needed / wantedRatio;
}
