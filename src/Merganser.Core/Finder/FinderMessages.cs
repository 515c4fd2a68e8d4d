using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Finder;

/// <summary>What is said of a search for arrows.</summary>
public abstract record FinderMessage : Message;

/// <summary>How many builds were looked at.</summary>
public sealed record BuildsLooked(long Looked, long Total) : FinderMessage;

/// <summary>How fast it goes, and what is left of it, seconds; 0 at its end.</summary>
public sealed record SearchGoes(double PerSecond, double Left) : FinderMessage;

/// <summary>How many builds are inside all that is wanted.</summary>
/// <param name="Wanted">So many ranges.</param>
/// <param name="All">True where all were looked at.</param>
public sealed record BuildsInside(long Inside, int Wanted, bool All) : FinderMessage;

/// <summary>How many of the builds with a good fit are drawn.</summary>
public sealed record BuildsDrawn(int Drawn, long Good) : FinderMessage;

/// <summary>A list that may change: this share of the builds is still to come, per cent.</summary>
public sealed record ListMayChange(Measure Share) : FinderMessage;

/// <summary>A build by its shaft and length.</summary>
public sealed record BuildNamed(string Shaft, Measure Length) : FinderMessage;

/// <summary>What a build has over the others that are listed with it.</summary>
public enum FoundStands
{
    Thinnest,
    HighestFrontOfCenter,
    Fastest,
    Heaviest,
    Cheapest,
    FarthestHonest,
}

/// <summary>Why a build is listed, in a few words.</summary>
/// <param name="ToBuy">Kinds of parts that are not owned.</param>
/// <param name="Stands">What it has over the others, or nothing.</param>
/// <param name="Against">What it is against the present arrow; null without one.</param>
public sealed record FoundReason(int ToBuy, FoundStands? Stands, FoundAgainst? Against) : FinderMessage;

/// <summary>A build against the present arrow.</summary>
/// <param name="Name">Of the present arrow.</param>
/// <param name="Longer">Of the shaft; null where another shaft is taken.</param>
/// <param name="Grains">Heavier by.</param>
/// <param name="FrontOfCenter">More of it.</param>
/// <param name="Speed">Faster by.</param>
public sealed record FoundAgainst(string Name, Measure? Longer, Measure Grains, Measure FrontOfCenter, Measure Speed)
    : FinderMessage;

/// <summary>Number so and so of the list is put on the bench.</summary>
public sealed record PutOnTheBench(int Rank, FoundAgainst? Against) : FinderMessage;

/// <summary>A build of the picture is put on the bench.</summary>
public sealed record PutPressedOnTheBench(FoundAgainst? Against) : FinderMessage;

/// <summary>Nothing fits: what would have to give for the nearest.</summary>
public sealed record NearestWants(IReadOnlyList<Message> Gives) : FinderMessage;

/// <summary>A wanted range would have to go so far.</summary>
/// <param name="Low">True for its lower end.</param>
public sealed record RangeGives(FoundFigure Figure, Measure To, bool Low) : FinderMessage;

/// <summary>More kinds of parts would have to be bought.</summary>
public sealed record BuyingGives(int Kinds) : FinderMessage;

/// <summary>What is never shown, and from which length on it is looked.</summary>
public sealed record NeverShown(Measure From, Measure Ahead, Measure Least) : FinderMessage;

/// <summary>A range that ends before it begins.</summary>
public sealed record EndsBeforeItBegins(FoundFigure Figure) : FinderMessage;

/// <summary>The name of a figure that builds are told by.</summary>
public sealed record FigureNamed(FoundFigure Figure) : FinderMessage;

/// <summary>What is said of a search without any quantity.</summary>
public enum FinderSays
{
    NothingIsBought,
    NoParts,
    NothingOwned,
    WeakEndOfGood,
    WaitsForAnother,
    OncePerFigure,
    HonestIsNotDrawn,
}
