using System.Collections.Concurrent;
using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;

namespace Merganser.Core.Finder;

/// <summary>
/// How far a shot is honest by an arrow's speed and drag alone, for one archer: integrated at the corners of a grid as
/// they are first asked for, straight between them. Within a tenth of a yard of the range itself.
/// </summary>
/// <param name="known">What is known of the archer's range.</param>
public sealed class HonestTable(FlightKnown known)
{
    private const double SpeedStep = 10;
    private const double DragStep = .2;

    /// <summary>An arrow that has the drag asked for by its coefficient.</summary>
    private const double SomeGrains = 400;

    private const double SomeDiameter = .25;

    private readonly double air = Air.Density(known.Wish.Altitude, known.Wish.Temperature);
    private readonly DistanceError error = FlightReading.ErrorOf(known);
    private readonly ShotSpread spread = FlightReading.SpreadOf(known);
    private readonly ConcurrentDictionary<(int Speed, int Drag), double> corners = [];

    /// <summary>Of an arrow, yards.</summary>
    public double Of(Arrow arrow, in FoundFigures figures) =>
        At(figures, arrow.Shaft.OuterDiameter, ArrowDrag.Of(arrow));

    /// <summary>Of a build, yards.</summary>
    public double Of(Shaft shaft, FrontEnd front, RearEnd rear, double length, in FoundFigures figures)
    {
        var drag = ArrowDrag.Of(
            shaft.OuterDiameter,
            length - rear.TubeStart,
            rear.Vane.Part,
            RearEnd.Vanes,
            front.Point.Part.Kind
        );
        return At(figures, shaft.OuterDiameter, drag);
    }

    private double At(in FoundFigures figures, double diameter, ArrowDrag drag) =>
        At(figures.Speed, new FlyingArrow(figures.Grains, diameter, drag.Middle, air).DragPerMetre);

    /// <summary>By launch speed, ft/s, and k = ρ C A/(2 m), a metre; both above 0.</summary>
    public double At(double speed, double dragPerMetre)
    {
        var (x, y) = (speed / SpeedStep, Math.Log(dragPerMetre) / DragStep);
        var (i, j) = ((int)Math.Floor(x), (int)Math.Floor(y));
        var (u, v) = (x - i, y - j);
        return ((1 - u) * (((1 - v) * Corner(i, j)) + (v * Corner(i, j + 1))))
            + (u * (((1 - v) * Corner(i + 1, j)) + (v * Corner(i + 1, j + 1))));
    }

    private double Corner(int speed, int drag)
    {
        if (corners.TryGetValue((speed, drag), out var found))
        {
            return found;
        }

        var unit = new FlyingArrow(SomeGrains, SomeDiameter, 1, air).DragPerMetre;
        var flight = new Trajectory(
            new FlyingArrow(SomeGrains, SomeDiameter, Math.Exp(drag * DragStep) / unit, air),
            Math.Max(speed, 1) * SpeedStep,
            known.Wish.SightHeight ?? Groups.RangeTrial.EyeAboveArrow
        );
        var yards = new HonestRange(flight, error, known.Wish.Circle, spread).Yards;
        return corners[(speed, drag)] = yards;
    }
}
