using Merganser.Core.Arrows;
using Merganser.Core.Workshop;

namespace Merganser.Core.Ballistics;

/// <summary>
/// The drag coefficient of an arrow on the section of its shaft, by its own measures. Wind tunnels found 1.5 where the
/// air along the shaft is laminar and 2.6 where it is turbulent (from memory); shared out by wetted area that is a skin
/// friction of the flat plate's size (.0035), and .25 for a blunt point and the tail. So a slim or a long arrow, tall
/// vanes and blades have more on their section. Nine arrows in ten are taken to lie inside the band.
/// </summary>
/// <param name="Middle">The figure to reckon with.</param>
/// <param name="Low">Laminar.</param>
/// <param name="High">Turbulent.</param>
/// <param name="Tube">Share of the shaft's sides in <paramref name="Middle"/>.</param>
/// <param name="Vanes">Share of the vanes.</param>
/// <param name="Ends">Share of point, tail and head.</param>
public sealed record ArrowDrag(double Middle, double Low, double High, double Tube, double Vanes, double Ends)
{
    /// <summary>Of the arrow in the tunnels: .246 in, 28 in of shaft, three low vanes.</summary>
    private const double TunnelMiddle = 2;

    private const double TunnelLow = 1.5;
    private const double TunnelHigh = 2.6;
    private const double TunnelDiameter = 0.246;
    private const double TunnelLength = 28;
    private const double TunnelVanes = 3;
    private const double TunnelVaneLength = 1.75;
    private const double TunnelVaneHeight = 0.35;

    /// <summary>Blunt point and tail on their own section (a guess, no source).</summary>
    private const double Blunt = 0.25;

    /// <summary>What blades add, square inches of drag area (a guess, no source).</summary>
    private const double FixedBlades = 0.009;

    private const double FoldedBlades = 0.003;

    /// <summary>Ln of the middle's error, one standard deviation: the band is 95 %.</summary>
    public double Spread => Math.Log(High / Low) / (2 * 1.96);

    /// <summary>By an arrow's diameter, length, vanes and head.</summary>
    public static ArrowDrag Of(Arrow arrow) =>
        Of(arrow.Shaft.OuterDiameter, arrow.TubeLength, arrow.Vane, arrow.VaneCount, arrow.Point.Kind);

    /// <summary>By the measures themselves.</summary>
    /// <param name="diameter">Of the shaft, inches, above 0.</param>
    /// <param name="tubeLength">Of the shaft, inches, above 0.</param>
    /// <param name="vane">Its vane, or none.</param>
    /// <param name="count">Of them.</param>
    /// <param name="point">The kind of its point.</param>
    public static ArrowDrag Of(double diameter, double tubeLength, Vane? vane, int count, PointKind point)
    {
        var section = Section(diameter);
        var tube = Math.PI * diameter * tubeLength / section;
        var vanes = vane is null ? 0 : 2 * count * Fletching.AreaOf(vane.Length, vane.Height) / section;
        var blades =
            point switch
            {
                PointKind.FixedHead => FixedBlades,
                PointKind.MechanicalHead => FoldedBlades,
                _ => 0,
            } / section;
        var ends = Blunt + blades;
        double Of(double tunnel) => (Skin(tunnel) * (tube + vanes)) + ends;
        return new ArrowDrag(
            Of(TunnelMiddle),
            Of(TunnelLow) - (blades / 2),
            Of(TunnelHigh) + (blades / 2),
            Skin(TunnelMiddle) * tube,
            Skin(TunnelMiddle) * vanes,
            ends
        );
    }

    private static double Section(double diameter) => Math.PI * diameter * diameter / 4;

    private static double Skin(double tunnel)
    {
        var wetted =
            (Math.PI * TunnelDiameter * TunnelLength)
            + (2 * TunnelVanes * Fletching.AreaOf(TunnelVaneLength, TunnelVaneHeight));
        return (tunnel - Blunt) * Section(TunnelDiameter) / wetted;
    }
}
