using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What differs between two ways that are compared.</summary>
public enum WayKind
{
    /// <summary>Two grips of the hand.</summary>
    Grip,

    /// <summary>Two pressures of string or hand at the face.</summary>
    FacePressure,

    /// <summary>Two fits of the nock on the string.</summary>
    NockFit,

    /// <summary>Two arrows.</summary>
    Arrow,

    /// <summary>The archer, and a machine or another archer.</summary>
    Shooter,

    /// <summary>Something else.</summary>
    Other,
}

/// <summary>Which of two ways an arrow was shot.</summary>
public enum WayShot
{
    First,
    Second,
}

/// <summary>Two ways of shooting that are compared by their groups, and what the archer calls them.</summary>
/// <param name="Kind">What differs.</param>
/// <param name="First">The one way, in the archer's words.</param>
/// <param name="Second">The other.</param>
public sealed record TwoWays(WayKind Kind, string First, string Second)
{
    /// <summary>Most letters of a way's name.</summary>
    public const int LongestName = 30;

    /// <summary>Arrows of each way before their sizes are held against each other: radii of fewer scatter like
    /// nothing else.</summary>
    public const int LeastOfEach = 5;

    /// <summary>Arrows of each way from which more are no longer asked for.</summary>
    public const int MostOfEach = 40;

    /// <summary>Groups twice as wide are what is looked for at the least (common practice, no source).</summary>
    public const double TwiceAsWide = 2;

    /// <summary>And half as wide again, which takes more arrows than an evening has.</summary>
    public const double HalfAgain = 1.5;

    /// <summary>From where ways are compared.</summary>
    public static AllowedRange Distances { get; } = new(10, 100, Unit.Yard, Why.WaysDistance);

    /// <summary>What a way is called.</summary>
    public string NameOf(WayShot way) => way == WayShot.First ? First : Second;

    /// <summary>
    /// Which way is shot next so that neither is always first: one of each in turn, turned about from pair to pair
    /// (A B, B A), until both have as many.
    /// </summary>
    /// <param name="shot">The ways in the order in which they were shot.</param>
    public static WayShot Next(IReadOnlyCollection<WayShot> shot) => InTurn.Next(shot) ? WayShot.First : WayShot.Second;
}

/// <summary>One of two in turn, turned about from pair to pair: a drift of the hand falls on both.</summary>
internal static class InTurn
{
    /// <summary>True where the first of the two is next.</summary>
    /// <param name="shot">True for the first, in the order in which they were shot.</param>
    public static bool Next(IEnumerable<bool> shot)
    {
        var all = shot.ToArray();
        var firsts = all.Count(first => first);
        var behind = all.Length - (2 * firsts);
        return behind != 0 ? behind > 0 : firsts % 2 == 0;
    }

    /// <summary>The same of ways.</summary>
    public static bool Next(IEnumerable<WayShot> shot) => Next(shot.Select(way => way == WayShot.First));
}
