using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The place as typed, from the aiming point of its kind; empty is 0.</summary>
public sealed record PlaceTyped(string? Right, string? Up);

/// <summary>A hit as it was marked on the target face: pressed, or typed. Typed wins.</summary>
/// <param name="Arrow">With vanes or without.</param>
/// <param name="Place">Where it was pressed, inches from its aiming point as the archer sees it.</param>
/// <param name="Typed">The same as typed.</param>
/// <param name="ArrowNumber">Which arrow of the dozen.</param>
/// <param name="Flight">How it was seen to fly.</param>
/// <param name="Distance">From where it was shot, in a walk-back.</param>
/// <param name="Way">Which of two ways that are compared.</param>
/// <param name="SightFor">For which distance the sight was set, where a range error is tried.</param>
public sealed record HitMarked(
    ArrowKind Arrow,
    Hole? Place,
    PlaceTyped? Typed = null,
    string? ArrowNumber = null,
    Flight? Flight = null,
    string? Distance = null,
    WayShot? Way = null,
    double? SightFor = null
) : IMarked
{
    /// <summary>How the shaft stands in the target, where it was said.</summary>
    public Slant? Slant { get; init; }

    /// <summary>Half the width of the face that can be marked, inches.</summary>
    public const double HalfFace = 24;

    /// <summary>Where a hit may lie from its aiming point, inches on each axis.</summary>
    public static AllowedRange Reach { get; } = new(-HalfFace, HalfFace, Unit.Inch, Why.OnTheFace);

    /// <summary>The shot to be kept.</summary>
    /// <exception cref="RefusedException">Nothing was marked, a field cannot be read, or it lies off the
    /// face.</exception>
    public ShotMarked Read(string set, PlannedStage? stage = null)
    {
        var fields = new FieldReader();
        var yards = stage?.Walk is null ? null : DistanceOf(fields);
        var heights = stage?.Walk == WalkPins.One ? WalkPlan.Heights : Reach;
        var right = fields.Optional("right", Typed?.Right, Quantity.Length, Reach);
        var up = fields.Optional("up", Typed?.Up, Quantity.Length, heights);
        fields.Check(stage?.Ways is null || Way is not null, "way", "missing", WaySays.SayWhichWay);
        fields.Check(IsSetting(stage), "sightFor", "missing", RangeSays.SaySightSetting);
        fields.Check(Place is not null || Typed is not null, "place", "missing", GroupSays.MarkThePlace);
        var number = Marked.NumberOf(ArrowNumber, fields);
        if (Place is { } pressed && Typed is null)
        {
            fields.Inside("place", pressed.X, Reach);
            fields.Inside("place", pressed.Y, heights);
        }

        fields.ThrowIfAny();
        var at = Typed is null ? Place! : new Hole(right?.Value ?? 0, up?.Value ?? 0);
        return new ShotMarked(set, at, at, SheetSide.ShootingSide, number, false, Arrow, Flight, yards?.Value)
        {
            Way = stage?.Ways is null ? null : Way,
            SightFor = stage?.RangeError is null ? null : SightFor,
            Slant = Slant,
        };
    }

    /// <summary>True where it is one of the two settings of a trial, or none is tried.</summary>
    private bool IsSetting(PlannedStage? stage) =>
        stage?.RangeError is not { } error
        || (SightFor is { } set && Math.Abs(Math.Abs(set - stage.Distance) - error) < 1e-6);

    private Entry? DistanceOf(FieldReader fields)
    {
        fields.Check(!string.IsNullOrWhiteSpace(Distance), "distance", "missing", WalkSays.SayTheDistance);
        return fields.Optional("distance", Distance, Quantity.Distance, WalkPlan.Distances);
    }
}
