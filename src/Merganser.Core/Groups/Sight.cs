using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// A sight's geometry: a pin that moves by p moves the hit by p d / R the other way, R from eye to pin (similar
/// triangles); the sight follows the arrow: hits low, sight down.
/// </summary>
/// <param name="EyeToPin">R, inches, inside <see cref="EyeToPins"/>.</param>
/// <param name="Click">What one click moves the pin, inches, inside <see cref="Clicks"/>; null for a sight without
/// clicks.</param>
public sealed record Sight(double EyeToPin, double? Click = null)
{
    /// <summary>From the eye, or the peep, to the pin.</summary>
    public static AllowedRange EyeToPins { get; } = new(10, 50, Unit.Inch, Why.EyeToPin);

    /// <summary>One click.</summary>
    public static AllowedRange Clicks { get; } = new(.0005, .1, Unit.Inch, Why.SightClick);

    /// <summary>
    /// Until it is measured: a full draw of 28 to 30 in with a bar of 6 in (common practice, no source).
    /// </summary>
    public static Sight Usual { get; } = new(34);

    private const double InchesPerYard = 36;

    /// <summary>How the pin moves so that hits from here land on their aiming point.</summary>
    /// <param name="offset">Where they land, inches.</param>
    /// <param name="yards">Distance, yards, above 0.</param>
    public SightMove Answer(Impact offset, double yards)
    {
        var share = EyeToPin / (InchesPerYard * Possible.Positive(yards));
        return new SightMove(offset.X * share, offset.Y * share);
    }

    /// <summary>How far hits move at a distance when the pin is moved, inches.</summary>
    public Impact Moved(SightMove pin, double yards)
    {
        var share = InchesPerYard * Possible.Positive(yards) / EyeToPin;
        return new Impact(-pin.Right * share, -pin.Up * share);
    }

    /// <summary>Whole clicks of a pin's way, or null for a sight without clicks.</summary>
    public int? ClicksOf(double way) => Click is { } click ? (int)Math.Round(Math.Abs(way) / click) : null;
}

/// <summary>A pin moved, inches: right and up as the archer sees it.</summary>
public sealed record SightMove(double Right, double Up)
{
    /// <summary>How far a pin may go on each axis, inches.</summary>
    public static AllowedRange Reach { get; } = new(-3, 3, Unit.Inch, Why.SightBar);

    /// <summary>False for one that stays where it was.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsMove => this != None;

    /// <summary>One that stays.</summary>
    public static SightMove None { get; } = new(0, 0);
}
