using System.Runtime.CompilerServices;

namespace Merganser.Core.Units;

/// <summary>
/// What a value can be at all, whoever made it. Entries are held to narrower ranges before (<c>AllowedRange</c>), with
/// words beside the field; these stop what no bow or arrow has.
/// </summary>
internal static class Possible
{
    /// <summary>A finite number above 0.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not.</exception>
    public static double Positive(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        double.IsFinite(value) && value > 0 ? value : throw new ArgumentOutOfRangeException(name, value, "Above 0.");

    /// <summary>A finite number above 0, or nothing.</summary>
    public static double? Positive(double? value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        value is { } given ? Positive(given, name) : null;

    /// <summary>A finite number of 0 or more.</summary>
    public static double NotNegative(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        double.IsFinite(value) && value >= 0 ? value : throw new ArgumentOutOfRangeException(name, value, "0 or more.");

    /// <summary>A finite number of 0 or more, or nothing.</summary>
    public static double? NotNegative(double? value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        value is { } given ? NotNegative(given, name) : null;

    /// <summary>A finite number.</summary>
    public static double Finite(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        double.IsFinite(value) ? value : throw new ArgumentOutOfRangeException(name, value, "A finite number.");
}
