using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Story;

/// <summary>A check's number or answer, and when it was found.</summary>
public sealed record FoundThen(StoryFinding Finding, DateTimeOffset At);

/// <summary>Where an adjuster stood, and when it was last moved before.</summary>
public sealed record StoodThen(double Position, DateTimeOffset? MovedAt);

/// <summary>What stands on record of a bow at a time.</summary>
/// <param name="At">The time.</param>
/// <param name="Positions">Where each adjuster stood.</param>
/// <param name="Findings">What was last found of each check.</param>
/// <param name="StringShots">Shots on its string.</param>
/// <param name="StringPutOn">When that string was put on; null for the first.</param>
/// <param name="Arrow">The arrow that was last shot or kept; null for none.</param>
/// <param name="ArrowSince">Since when.</param>
/// <param name="Bare">The last set of bare shafts through paper.</param>
/// <param name="Group">The last group.</param>
/// <param name="Speed">The last day's mean speed with its count, ft/s.</param>
public sealed record StateThen(
    DateTimeOffset At,
    IReadOnlyDictionary<AdjusterKind, StoodThen> Positions,
    IReadOnlyDictionary<CheckKind, FoundThen> Findings,
    int StringShots,
    DateTimeOffset? StringPutOn,
    StoryArrow? Arrow,
    DateTimeOffset? ArrowSince,
    StorySet? Bare,
    StorySet? Group,
    SpeedThen? Speed
);

/// <summary>The mean of a day's readings, ft/s.</summary>
public sealed record SpeedThen(double Mean, int Shots, double? Spread, double Grains)
{
    /// <summary>Of some readings of one arrow weight, at least one; their spread by n − 1.</summary>
    public static SpeedThen Of(double grains, IReadOnlyList<double> speeds)
    {
        var mean = speeds.Average();
        return new SpeedThen(
            mean,
            speeds.Count,
            speeds.Count > 1 ? Math.Sqrt(speeds.Sum(v => (v - mean) * (v - mean)) / (speeds.Count - 1)) : null,
            grains
        );
    }

    /// <summary>In words.</summary>
    public Message Words => new SpeedsTold(Measure.Speed(Mean), Shots, Spread is { } s ? Measure.Speed(s, 1) : null);
}

/// <summary>Where in the table of differences a row stands.</summary>
public enum DifferenceSection
{
    Bow,
    Arrow,
    Results,
}

/// <summary>Whether a difference can do what the paper shows; never more than that.</summary>
public enum CanDo
{
    /// <summary>It is not asked of it.</summary>
    NotAsked,

    /// <summary>Its direction is right.</summary>
    Can,

    /// <summary>It works on the axis; its direction is not known.</summary>
    May,

    /// <summary>Its direction is the other one: it is a cure, or made it better.</summary>
    Against,

    /// <summary>It works on the other axis.</summary>
    OtherAxis,
}

/// <summary>A row of two dates compared.</summary>
/// <param name="Section">Where it stands.</param>
/// <param name="Name">What it is of.</param>
/// <param name="Then">At the first date.</param>
/// <param name="Now">At the second.</param>
/// <param name="Change">By how much; nothing where that cannot be said.</param>
/// <param name="Differs">True where it does.</param>
/// <param name="Can">Whether it can do what the paper shows.</param>
/// <param name="Beside">Why, or what bears on it.</param>
/// <param name="ChangedAt">When it last changed.</param>
public sealed record DifferenceRow(
    DifferenceSection Section,
    Message Name,
    Message Then,
    Message Now,
    Message Change,
    bool Differs,
    CanDo Can,
    Message Beside,
    DateTimeOffset? ChangedAt = null
);
