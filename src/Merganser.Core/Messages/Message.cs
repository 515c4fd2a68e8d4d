using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Finder;
using Merganser.Core.First;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Pictures;
using Merganser.Core.Plans;
using Merganser.Core.Rack;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Speed;
using Merganser.Core.Story;
using Merganser.Core.Trials;
using Merganser.Core.Tuning;
using Merganser.Core.Visits;
using Merganser.Core.Workshop;

namespace Merganser.Core.Messages;

/// <summary>
/// Something to be said: a code, which is its type, and its quantities. Core speaks in these alone; one words table a
/// feature (<c>Merganser.Web/Words</c>) turns them into a sentence in the archer's units and hand.
/// </summary>
public abstract record Message
{
    /// <summary>Nothing is said.</summary>
    public static Message Nothing { get; } = new Verbatim("");

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(BowSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(PaperSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(TuningSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(SessionSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(RackSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(SetupSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(TroubleSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(ArrowSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(DozenSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(CatalogueSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(InputSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(GroupSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(WalkSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(WaySays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(RangeSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(SpeedSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(WorkshopSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(FlightSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(FinderSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(TrialSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(StorySays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(PictureSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(PlanSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(VisitSays says) => new Says(says);

    /// <summary>A code as a message.</summary>
    public static implicit operator Message(FirstSays says) => new Says(says);
}

/// <summary>Something that is said without any quantity.</summary>
/// <param name="Code">One of the features' lists of them.</param>
public sealed record Says(Enum Code) : Message;

/// <summary>A name or a person's own words: said as they stand.</summary>
/// <param name="Text">The words.</param>
public sealed record Verbatim(string Text) : Message;

/// <summary>Several messages, one after the other, each a sentence of its own.</summary>
/// <param name="Parts">In the order in which they are said.</param>
public sealed record Sentences(IReadOnlyList<Message> Parts) : Message;

/// <summary>A figure by itself, with its unit.</summary>
/// <param name="Of">What is said.</param>
public sealed record Amount(Units.Measure Of) : Message;

/// <summary>A figure by itself, without its unit.</summary>
/// <param name="Of">What is said.</param>
public sealed record BareAmount(Units.Measure Of) : Message;

/// <summary>A change by itself, its sign shown, without its unit.</summary>
/// <param name="Of">What is said.</param>
public sealed record Difference(Units.Measure Of) : Message;

/// <summary>The unit that a figure is shown in.</summary>
/// <param name="Of">The figure.</param>
public sealed record UnitOf(Units.Measure Of) : Message;
