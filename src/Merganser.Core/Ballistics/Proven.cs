using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>What an archer found on the range with one arrow.</summary>
public enum ProvenKind
{
    /// <summary>Where the pin stands for a distance, inches down its bar.</summary>
    Mark,

    /// <summary>A chronograph's reading down range, ft/s.</summary>
    Speed,
}

/// <summary>A proven mark, or a speed measured down range.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Yards">Distance, yards.</param>
/// <param name="Value">Inches on the bar, or ft/s.</param>
public sealed record Proven(ProvenKind Kind, double Yards, double Value)
{
    /// <summary>Distances of marks and readings.</summary>
    public static AllowedRange Distances { get; } = new(3, 120, Unit.Yard, Why.DistanceOfATarget);

    /// <summary>The bar of a sight, inches.</summary>
    public static AllowedRange Bars { get; } = new(-6, 12, Unit.Inch, Why.SightBar);
}

/// <summary>What is known before any mark: each with its error, one standard deviation.</summary>
/// <param name="Speed">Launch speed, ft/s.</param>
/// <param name="SpeedError">Its error.</param>
/// <param name="Drag">Drag coefficient.</param>
/// <param name="DragError">Error of its logarithm.</param>
/// <param name="SightHeight">From the eye down to the arrow, inches.</param>
/// <param name="SightHeightError">Its error.</param>
/// <param name="EyeToPin">Inches.</param>
/// <param name="EyeToPinError">Its error.</param>
public sealed record FlightPrior(
    double Speed,
    double SpeedError,
    double Drag,
    double DragError,
    double SightHeight,
    double SightHeightError,
    double EyeToPin,
    double EyeToPinError
);

/// <summary>A proven mark against the fit.</summary>
/// <param name="Proven">It.</param>
/// <param name="Fitted">What the fit says, in its unit; null where the arrow does not carry so far.</param>
/// <param name="Doubted">True where all the others say clearly otherwise.</param>
public sealed record ProvenAgainst(Proven Proven, double? Fitted, bool Doubted)
{
    /// <summary>Found less fitted; null where the arrow does not carry so far.</summary>
    public double? Off => Proven.Value - Fitted;
}
