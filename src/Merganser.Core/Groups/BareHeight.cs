using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// How much higher a bare shaft strikes for no other reason than that it is lighter, so faster: no tear, and taken off
/// before an offset is read. Drop in flat fire, drop(m, v) = g/(4k²v²)(e^{2kx} − 1 − 2kx) with k = ρ C_d A/(2m), ρ of
/// ISO 2533 and C_d 2 on the shaft's section for both (wind-tunnel papers, from memory: 1.5 to 2.6).
/// </summary>
public static class BareHeight
{
    /// <summary>Drag coefficient on the section of the shaft.</summary>
    private const double Drag = 2;

    /// <summary>Air of the standard atmosphere at sea level, kg/m³ (ISO 2533).</summary>
    private const double AirDensity = 1.225;

    /// <summary>Inches that the bare shaft strikes high; 0 for an arrow without vanes.</summary>
    public static double Of(Bow bow, Arrow arrow, double yards)
    {
        var fletched = new ArrowNumbers(bow, arrow).Balance.Grains;
        var bare = fletched - ((arrow.Vane?.Weight ?? 0) * arrow.VaneCount) - arrow.Glue;
        var diameter = arrow.Shaft.OuterDiameter;
        return Drop(fletched, LaunchSpeed.Of(bow, fletched).Speed, diameter, yards)
            - Drop(bare, LaunchSpeed.Of(bow, bare).Speed, diameter, yards);
    }

    /// <summary>How far an arrow has dropped in flat fire, inches.</summary>
    /// <param name="grains">Its weight, grains, above 0.</param>
    /// <param name="speed">Launch speed, ft/s, above 0.</param>
    /// <param name="diameter">Of the shaft, inches, above 0.</param>
    /// <param name="yards">Distance, yards.</param>
    /// <param name="drag">Drag coefficient on the section of the shaft.</param>
    public static double Drop(double grains, double speed, double diameter, double yards, double drag = Drag)
    {
        var metres = Physical.MillimetresPerInch / 1000;
        var area = Math.PI * Math.Pow(Possible.Positive(diameter) * metres / 2, 2);
        var k = AirDensity * drag * area / (2 * Possible.Positive(grains) * Physical.MilligramsPerGrain * 1e-6);
        var (x, v) = (yards * 36 * metres, Possible.Positive(speed) * 12 * metres);
        var drop = Physical.StandardGravity / (4 * k * k * v * v) * (Math.Exp(2 * k * x) - 1 - (2 * k * x));
        return drop / metres;
    }
}

/// <summary>
/// How much lower a head strikes for no other reason than that it drags more: the sight's to answer, and no tear. C_d
/// 2.6 with a head against 2 with a field point, on the section of the shaft (a guess; an inch and a half at 60 yd).
/// </summary>
public static class HeadDrag
{
    private const double DragOfHead = 2.6;

    /// <summary>Inches that it strikes low at a distance in yards, head and field point of one weight.</summary>
    public static double Of(Bow bow, Arrow arrow, double yards)
    {
        var grains = new ArrowNumbers(bow, arrow).Balance.Grains;
        var speed = LaunchSpeed.Of(bow, grains).Speed;
        return BareHeight.Drop(grains, speed, arrow.Shaft.OuterDiameter, yards, DragOfHead)
            - BareHeight.Drop(grains, speed, arrow.Shaft.OuterDiameter, yards);
    }
}
