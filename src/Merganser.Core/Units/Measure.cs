namespace Merganser.Core.Units;

/// <summary>The trade units in which figures are computed and kept, by the symbol that is written.</summary>
public static class Unit
{
    public const string None = "";
    public const string Inch = "in";
    public const string Grain = "gr";
    public const string Pound = "lb";
    public const string Yard = "yd";
    public const string FootPerSecond = "ft/s";
    public const string FootPound = "ft·lb";
    public const string SlugFootPerSecond = "slug·ft/s";
    public const string GrainPerPound = "gr/lb";
    public const string GrainPerInch = "gr/in";
    public const string GrainInch = "gr·in";
    public const string PoundSquareInch = "lbf·in²";
    public const string Percent = "%";
    public const string Degree = "°";

    /// <summary>
    /// A spine by its deflection in inches under the standard's span and load: a size's name, the same in every unit.
    /// </summary>
    public const string Spine = "spine";

    /// <summary>AMO spine in pounds: a size's name as well.</summary>
    public const string AmoPound = "AMO lb";
}

/// <summary>
/// A quantity as it is to be said: a value in its trade unit, with the decimals that make sense in it.
/// </summary>
/// <param name="Value">The value in the trade unit; finite.</param>
/// <param name="Unit">One of <see cref="Units.Unit"/>.</param>
/// <param name="Decimals">Decimals in the trade unit, 0 or more.</param>
/// <param name="Fraction">True for inches that a rule is read in: said in sixteenths or thirty-seconds.</param>
public readonly record struct Measure(double Value, string Unit, int Decimals, bool Fraction = false)
{
    /// <summary>The value in the trade unit.</summary>
    public double Value { get; } =
        double.IsFinite(Value)
            ? Value
            : throw new ArgumentOutOfRangeException(nameof(Value), "A quantity is a finite number.");

    /// <summary>The same without its sign.</summary>
    public Measure Size => new(Math.Abs(Value), Unit, Decimals, Fraction);

    /// <summary>As the trade writes it.</summary>
    public override string ToString() => Display.Text(this, DisplayUnits.Trade);

    /// <summary>So many times as much.</summary>
    public Measure Times(int count) => new(Value * count, Unit, Decimals, Fraction);

    public static Measure Inches(double value, int decimals = 2) => new(value, Units.Unit.Inch, decimals);

    /// <summary>Inches as a rule is read: 13/16.</summary>
    public static Measure Ruled(double inches) => new(inches, Units.Unit.Inch, 2, true);

    public static Measure Grains(double value, int decimals = 1) => new(value, Units.Unit.Grain, decimals);

    public static Measure Pounds(double value, int decimals = 1) => new(value, Units.Unit.Pound, decimals);

    public static Measure GrainsPerInch(double value) => new(value, Units.Unit.GrainPerInch, 2);

    public static Measure Yards(double value) => new(value, Units.Unit.Yard, 1);

    public static Measure Speed(double feetPerSecond, int decimals = 0) =>
        new(feetPerSecond, Units.Unit.FootPerSecond, decimals);

    public static Measure Energy(double footPounds, int decimals = 1) =>
        new(footPounds, Units.Unit.FootPound, decimals);

    public static Measure Spine(double inches) => new(inches, Units.Unit.Spine, 3);

    public static Measure Percent(double value, int decimals = 0) => new(value, Units.Unit.Percent, decimals);

    public static Measure Degrees(double value, int decimals = 0) => new(value, Units.Unit.Degree, decimals);

    public static Measure Plain(double value, int decimals = 2) => new(value, Units.Unit.None, decimals);
}
