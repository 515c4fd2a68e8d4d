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

    /// <summary>Spine for a wanted fit, inches, all else unchanged: needed spine over R. Another shaft brings its own weight, so its fit is computed anew.</summary>
    public static double SpineFor(Bow bow, Arrow arrow, double wantedRatio) => new ArrowNumbers(bow, arrow).Needed / wantedRatio;
}
