using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>The end of the arrow that a shooter names a tear by.</summary>
public enum NamedEnd
{
    Tail,
    Point,
}

/// <summary>
/// A size as it is said at the paper; trade words, the inches are what they usually mean (no source).
/// </summary>
/// <param name="Code">Stable word.</param>
/// <param name="Inches">What it is read as.</param>
public sealed record SaidSize(string Code, double Inches)
{
    /// <summary>As it is said.</summary>
    public Message Words => new SizeSaid(Code, Measure.Inches(Inches, 1));
}

/// <summary>A tear in the shooter's own words: "about an inch left, point low".</summary>
/// <param name="Sideways">Code of the size to the side, or null when it is level.</param>
/// <param name="Left">True for left.</param>
/// <param name="SidewaysEnd">The end that is named.</param>
/// <param name="Height">Code of the size in height, or null when it is level.</param>
/// <param name="Low">True for low.</param>
/// <param name="HeightEnd">The end that is named.</param>
public sealed record ShooterWords(
    string? Sideways,
    bool Left,
    NamedEnd SidewaysEnd,
    string? Height,
    bool Low,
    NamedEnd HeightEnd
)
{
    /// <summary>The sizes to pick from.</summary>
    public static IReadOnlyList<SaidSize> Sizes { get; } =
    [
        new("touch", 0.1),
        new("quarter", 0.25),
        new("shaft", 0.3),
        new("half", 0.5),
        new("inch", 1),
        new("inchHalf", 1.5),
        new("two", 2),
        new("three", 3),
    ];

    /// <summary>A size that is said is off by this share of it (a guess, no source).</summary>
    private const double SaidShare = 0.25;

    /// <summary>And by this much at the least, inches (a guess, no source).</summary>
    private const double LeastSaid = 0.1;

    /// <summary>How far off a tear is that was only said, inches per axis and one sd.</summary>
    public static double ReadWithin(Tear said) => Math.Max(LeastSaid, SaidShare * said.Length);

    /// <summary>True when both sizes are in the list.</summary>
    public bool Known() => new[] { Sideways, Height }.All(code => code is null || Sizes.Any(s => s.Code == code));

    /// <summary>The tear that is meant: always the tail from the point's hole, whichever end was named.</summary>
    /// <exception cref="ArgumentException">A size that is not in the list.</exception>
    public Tear Read() =>
        new(
            Inches(Sideways) * (Left == (SidewaysEnd == NamedEnd.Tail) ? -1 : 1),
            Inches(Height) * (Low == (HeightEnd == NamedEnd.Tail) ? -1 : 1)
        );

    private static double Inches(string? code) =>
        code is null
            ? 0
            : Sizes.FirstOrDefault(s => s.Code == code)?.Inches
                ?? throw new ArgumentException($"No size is said \"{code}\".", nameof(code));
}
