using Merganser.Core.Units;

namespace Merganser.Core.Spine;

/// <summary>
/// Static spine: deflection of a simply supported shaft under a load at mid-span, EI = P l³/(48 s).
/// ASTM F2031: span 28 in, load 1.94 lb. AMO: span 26 in, load 2 lb, spine in pounds = 26/s₂₆.
/// </summary>
public static class StaticSpine
{
    /// <summary>Span, inches (ASTM F2031).</summary>
    public const double AstmSpan = 28;

    /// <summary>Load, lb (ASTM F2031).</summary>
    public const double AstmLoad = 1.94;

    /// <summary>Span, inches (AMO).</summary>
    public const double AmoSpan = 26;

    /// <summary>Load, lb (AMO).</summary>
    public const double AmoLoad = 2;

    private const double BeamFactor = 48;

    /// <summary>EI in lbf·in² of a shaft with this ASTM deflection in inches (above 0).</summary>
    public static double Stiffness(double astmSpine) =>
        AstmLoad * Math.Pow(AstmSpan, 3) / (BeamFactor * Positive(astmSpine));

    /// <summary>EI in N·m².</summary>
    public static double StiffnessMetric(double astmSpine) =>
        Stiffness(astmSpine) * Physical.NewtonsPerPound * Math.Pow(Physical.MillimetresPerInch / 1000, 2);

    /// <summary>The ASTM deflection of a shaft of this EI (lbf·in²).</summary>
    public static double FromStiffness(double stiffness) =>
        AstmLoad * Math.Pow(AstmSpan, 3) / (BeamFactor * Positive(stiffness));

    /// <summary>
    /// The ASTM deflection from one measured on another span (in) and load (lb): s₂₈ = s(28/span)³(1.94/load).
    /// </summary>
    public static double FromMeasured(double deflection, double span, double load) =>
        Positive(deflection) * Math.Pow(AstmSpan / Positive(span), 3) * AstmLoad / Positive(load);

    /// <summary>AMO spine in pounds, 26/s₂₆.</summary>
    public static double AmoPounds(double astmSpine) => AmoSpan / AmoDeflection(astmSpine);

    /// <summary>The ASTM spine of a shaft marked in AMO pounds, inches.</summary>
    public static double FromAmoPounds(double pounds) => AmoPounds(pounds);

    /// <summary>Deflection on the AMO span and load, inches.</summary>
    public static double AmoDeflection(double astmSpine) =>
        Positive(astmSpine) * Math.Pow(AmoSpan / AstmSpan, 3) * AmoLoad / AstmLoad;

    private static double Positive(double value)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(value);
        return value;
    }
}

/// <summary>
/// An aluminium shaft by its tube code XXYY: outer diameter XX/64 in, wall YY/1000 in (ATA numbering).
/// </summary>
public readonly record struct AluminiumTube
{
    /// <summary>Young's modulus of 7075-T6, Pa (handbook value, from memory).</summary>
    public const double YoungsModulus = 71.7e9;

    /// <summary>Density of 7075-T6, g/cm³ (handbook value, from memory).</summary>
    public const double Density = 2.81;

    /// <param name="code">Four digits, e.g. <c>2013</c>; the wall must fit in the tube.</param>
    /// <exception cref="ArgumentException">Not four digits, or no such tube.</exception>
    public AluminiumTube(string code)
    {
        if (code.Length != 4 || !code.All(char.IsAsciiDigit))
        {
            throw new ArgumentException("A tube code has four digits.", nameof(code));
        }

        OuterDiameter = int.Parse(code[..2]) / 64.0;
        InnerDiameter = OuterDiameter - (2 * int.Parse(code[2..]) / 1000.0);
        if (InnerDiameter <= 0 || InnerDiameter == OuterDiameter)
        {
            throw new ArgumentException("The wall does not fit in the tube.", nameof(code));
        }
    }

    /// <summary>Outer diameter, inches.</summary>
    public double OuterDiameter { get; }

    /// <summary>Inner diameter, inches.</summary>
    public double InnerDiameter { get; }

    /// <summary>Mass of an inch, grains.</summary>
    public double GrainsPerInch
    {
        get
        {
            var squareInches = Math.PI / 4 * ((OuterDiameter * OuterDiameter) - (InnerDiameter * InnerDiameter));
            var grams = squareInches * Math.Pow(Physical.MillimetresPerInch / 10, 3) * Density;
            return grams * 1000 / Physical.MilligramsPerGrain;
        }
    }

    /// <summary>
    /// ASTM spine from EI with I = π(D⁴ − d⁴)/64. Code rounding alone is worth several per cent: a measured value wins.
    /// </summary>
    public double Spine
    {
        get
        {
            var metresFourth =
                Math.PI
                / 64
                * (Math.Pow(OuterDiameter, 4) - Math.Pow(InnerDiameter, 4))
                * Math.Pow(Physical.MillimetresPerInch / 1000, 4);
            var newtonSquareMetres = YoungsModulus * metresFourth;
            return StaticSpine.FromStiffness(
                newtonSquareMetres / StaticSpine.StiffnessMetric(1) * StaticSpine.Stiffness(1)
            );
        }
    }
}
