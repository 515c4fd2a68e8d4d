using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>How wrong the distance is taken to be.</summary>
public enum ErrorFrom
{
    /// <summary>Two yards, until something else is said.</summary>
    Usual,

    /// <summary>Typed.</summary>
    Typed,

    /// <summary>What the archer's own guesses showed, nine in ten.</summary>
    Guesses,

    /// <summary>Measured and dialled: none.</summary>
    Measured,
}

/// <summary>What an archer says of a bow's range, in trade units.</summary>
/// <param name="Error">How wrong the distance is taken to be.</param>
/// <param name="ErrorYards">Typed, or the usual one in the archer's own unit, yards; null for two yards.</param>
/// <param name="Circle">What is to be hit, inches across.</param>
/// <param name="Spread">Where the spread comes from; measured is taken where there are hits.</param>
/// <param name="PerYard">Typed spread of a shot on one axis, inches in a yard; null where it is not typed.</param>
/// <param name="SightHeight">From the eye down to the arrow at full draw, inches; null for the usual.</param>
/// <param name="Altitude">Feet above the sea; null for sea level.</param>
/// <param name="Temperature">Of the air, °F; null for the standard's.</param>
public sealed record FlightWish(
    ErrorFrom Error = ErrorFrom.Usual,
    double? ErrorYards = null,
    double Circle = HonestRange.UsualCircle,
    SpreadSource Spread = SpreadSource.Measured,
    double? PerYard = null,
    double? SightHeight = null,
    double? Altitude = null,
    double? Temperature = null
)
{
    /// <summary>The same for an archer who counts in metres and centimetres: two metres, a circle of 20 cm.</summary>
    /// <param name="circleIsTyped">True where the circle was typed: then it stays.</param>
    /// <param name="units">The archer's.</param>
    public FlightWish In(DisplayUnits units, bool circleIsTyped) =>
        this with
        {
            ErrorYards =
                Error == ErrorFrom.Usual && units.Distance == DistanceUnit.Metres
                    ? DistanceError.Usual.Yards / Physical.MetresPerYard
                    : ErrorYards,
            Circle =
                circleIsTyped || units.Length == LengthUnit.Inches
                    ? Circle
                    : RoundCentimetres * 10 / Physical.MillimetresPerInch,
        };

    private const double RoundCentimetres = 20;

    /// <summary>From the eye down to the arrow.</summary>
    public static AllowedRange SightHeights { get; } = new(1, 9, Unit.Inch, Why.EyeOverTheArrow);
}

/// <summary>The same as typed.</summary>
/// <param name="Error">How wrong the distance is taken to be.</param>
/// <param name="ErrorYards">Yards.</param>
/// <param name="Circle">Inches across; empty for the usual.</param>
/// <param name="Spread">Where the spread comes from.</param>
/// <param name="PerYard">Inches at a distance of ten yards, as groups are thought of.</param>
/// <param name="SightHeight">Inches; empty for the usual.</param>
/// <param name="Altitude">Feet; empty for sea level.</param>
/// <param name="Temperature">°F; empty for the standard's.</param>
public sealed record FlightEntry(
    ErrorFrom Error,
    string? ErrorYards,
    string? Circle,
    SpreadSource Spread,
    string? PerYard,
    string? SightHeight,
    string? Altitude,
    string? Temperature
)
{
    /// <summary>Nothing is said yet.</summary>
    public static FlightEntry Nothing { get; } = new(ErrorFrom.Usual, "", "", SpreadSource.Measured, "", "", "", "");

    /// <summary>A typed spread is that of a shot at so many yards.</summary>
    public const double SpreadAt = 20;

    /// <summary>Spread of a shot that can be typed, inches at <see cref="SpreadAt"/>.</summary>
    public static AllowedRange Spreads { get; } =
        ShotSpread.PerYards with
        {
            Low = ShotSpread.PerYards.Low * SpreadAt,
            High = ShotSpread.PerYards.High * SpreadAt,
        };

    /// <summary>Reads and checks it.</summary>
    /// <exception cref="RefusedException">A text cannot be read or lies outside.</exception>
    public FlightWish Read()
    {
        var fields = new FieldReader();
        var error =
            Error == ErrorFrom.Typed
                ? fields.Required("errorYards", ErrorYards, Quantity.Distance, DistanceError.Allowed)
                : null;
        var spread =
            Spread == SpreadSource.Typed ? fields.Required("perYard", PerYard, Quantity.Length, Spreads) : null;
        var circle = fields.Optional("circle", Circle, Quantity.Length, HonestRange.Circles);
        var height = fields.Optional("sightHeight", SightHeight, Quantity.Length, FlightWish.SightHeights);
        var altitude = fields.Optional("altitude", Altitude, Quantity.Altitude, Air.Altitudes);
        var temperature = fields.Optional("temperature", Temperature, Quantity.Temperature, Air.Temperatures);
        fields.ThrowIfAny();
        return new FlightWish(
            Error,
            error?.Value,
            circle?.Value ?? HonestRange.UsualCircle,
            Spread,
            spread?.Value / SpreadAt,
            height?.Value,
            altitude?.Value,
            temperature?.Value
        );
    }
}
