using Merganser.Core.Figures;

namespace Merganser.Core.Arrows;

/// <summary>A mass at a place along the arrow.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Grains">Mass, 0 or more.</param>
/// <param name="Position">Inches from the nock throat.</param>
public sealed record PlacedMass(string Name, double Grains, double Position);

/// <summary>
/// Total mass, balance point and front of center: M = Σmᵢ, A = Σmᵢxᵢ/M, FOC % = 100(A/L − ½),
/// with L from the nock throat to the end of the shaft (ATA/AMO definition).
/// </summary>
public sealed class Balance
{
    private readonly double length;
    private readonly IReadOnlyList<PlacedMass> masses;

    /// <param name="length">L in inches, above 0.</param>
    /// <param name="masses">At least one mass, with a positive sum.</param>
    /// <exception cref="ArgumentOutOfRangeException">The length or the total mass is not positive.</exception>
    public Balance(double length, IReadOnlyList<PlacedMass> masses)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(length);
        this.length = length;
        this.masses = masses;
        Grains = masses.Sum(m => m.Grains);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(Grains, nameof(masses));
        Moment = masses.Sum(m => m.Grains * m.Position);
    }

    /// <summary>M, grains.</summary>
    public double Grains { get; }

    /// <summary>Σmᵢxᵢ, gr·in.</summary>
    public double Moment { get; }

    /// <summary>A, inches from the nock throat.</summary>
    public double Point => Moment / Grains;

    /// <summary>FOC in per cent.</summary>
    public double FrontOfCenter => 100 * ((Point / length) - 0.5);

    /// <summary>
    /// ∂FOC/∂mᵢ in % per grain for a mass at the given place. For a tolerance only; a what-if uses the exact form.
    /// </summary>
    public double FrontOfCenterPerGrain(double position) => 100 * (position - Point) / (Grains * length);

    /// <summary>dFOC/dL in % per inch when the shaft is cut at the front: front masses move with the end.</summary>
    /// <param name="frontGrains">Everything that moves with the shaft's end.</param>
    /// <param name="grainsPerInch">Shaft mass of an inch.</param>
    public double FrontOfCenterPerInch(double frontGrains, double grainsPerInch)
    {
        var balancePerInch = (frontGrains + (grainsPerInch * (length - Point))) / Grains;
        return 100 * (balancePerInch - (Point / length)) / length;
    }

    /// <summary>The mass that one component must have for a wanted FOC, all else unchanged.</summary>
    /// <param name="name">The component, by its name in the list.</param>
    /// <param name="wantedPercent">Wanted FOC in per cent.</param>
    /// <exception cref="RefusedException">No such mass exists: the component lies behind the wanted balance point, or
    /// the mass would be negative.</exception>
    public double GrainsFor(string name, double wantedPercent)
    {
        var part = masses.First(m => m.Name == name);
        var wanted = length * ((wantedPercent / 100) + 0.5);
        if (part.Position <= wanted)
        {
            throw new RefusedException("no-answer", ArrowSays.NoWeightThere);
        }

        var others = masses.Where(m => m != part).Sum(m => m.Grains * (wanted - m.Position));
        var grains = others / (part.Position - wanted);
        return grains >= 0 ? grains : throw new RefusedException("no-answer", ArrowSays.BalancesFartherForward);
    }
}
