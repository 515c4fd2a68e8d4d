using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Core.Groups;

/// <summary>
/// How much higher a bare shaft strikes for no other reason than that it is lighter, so faster: no tear, and taken off
/// before an offset is read.
/// </summary>
public static class BareHeight
{
    /// <summary>Inches that the bare shaft strikes high; 0 for an arrow without vanes.</summary>
    public static double Of(Bow bow, Arrow arrow, double yards)
    {
        var fletched = FlatFire.Of(bow, arrow);
        var weight = fletched.Grains - ((arrow.Vane?.Weight ?? 0) * arrow.VaneCount) - arrow.Glue;
        var bare = new FlatFire(weight, LaunchSpeed.Of(bow, weight).Speed, fletched.Diameter);
        return fletched.Drop(yards) - bare.Drop(yards);
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
        var point = FlatFire.Of(bow, arrow);
        return (point with { Drag = DragOfHead }).Drop(yards) - point.Drop(yards);
    }
}
