using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>What is looked at on a bow, in no order; the last three are followed up elsewhere and only asked again.</summary>
public enum CheckKind
{
    Inspection,
    DrawWeight,
    AxleToAxle,
    BraceHeight,
    Tiller,
    LimbAlignment,
    CamLean,
    CamTiming,
    CentreShot,
    PlungerTension,
    Shelf,
    NockingPoint,
    NockSets,
    Loop,
    NockFit,
    RestTiming,
    Clicker,
    Peep,
    FirstAxis,
    SecondAxis,
    ThirdAxis,
    Paper,
    Spine,
    Sight,
}

/// <summary>How a reading stands: at the edge when its own error reaches across a limit.</summary>
public enum Verdict { Recorded, Within, AtTheEdge, Beyond }

/// <summary>An answer that can be picked instead of a number.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Label">The words on the bench.</param>
/// <param name="Verdict">How it stands.</param>
/// <param name="ToDo">What to do then.</param>
/// <param name="Press">True when that needs a press.</param>
public sealed record CheckChoice(string Code, string Label, Verdict Verdict, string ToDo, bool Press = false);

/// <summary>What a number is judged by.</summary>
/// <param name="Aim">The figure to aim for.</param>
/// <param name="Low">Lower limit.</param>
/// <param name="High">Upper limit.</param>
/// <param name="Source">Where aim and limits come from.</param>
public sealed record Tolerance(double Aim, double Low, double High, string Source);

/// <summary>One line of the set-up sheet: plain data that a person can read.</summary>
/// <param name="Kind">Which check.</param>
/// <param name="Title">Its name on the bench.</param>
/// <param name="Tool">With what it is measured.</param>
/// <param name="Minutes">How long it takes, about.</param>
/// <param name="WhyHere">Why it stands at this place in the order.</param>
/// <param name="How">What to measure.</param>
/// <param name="View">The view of the drawing, named.</param>
/// <param name="Quantity">What a number measures, or null where it is picked from <paramref name="Choices"/>.</param>
/// <param name="Range">What can be read at all.</param>
/// <param name="ReadingError">The reading's own error in the trade unit.</param>
/// <param name="Suspicious">A change since last time that is asked about, trade unit; 0 asks nothing.</param>
/// <param name="Choices">Answers to pick from; with a number they stand beside it.</param>
/// <param name="ToDo">What to do when a number is beyond its tolerance.</param>
/// <param name="Press">True when that needs a press.</param>
public sealed record CheckFact(
    CheckKind Kind, string Title, string Tool, int Minutes, string WhyHere, string How, string View, Quantity? Quantity, Figures.AllowedRange Range,
    double ReadingError, double Suspicious, IReadOnlyList<CheckChoice> Choices, string ToDo, bool Press)
{
    /// <summary>True for a check that stands on the sheet; the others are only asked again after a change.</summary>
    public bool OnSheet => Kind < CheckKind.Paper;
}
