using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Trials;

/// <summary>What is said of a trial of points over shafts.</summary>
public abstract record TrialMessage : Message;

/// <summary>A step of a plan.</summary>
/// <param name="Arrow">The arrow.</param>
/// <param name="Grains">The point on it.</param>
/// <param name="Point">The part.</param>
/// <param name="Break">Steps to break off the part of the step before.</param>
/// <param name="BreakFirst">Steps to break off a part of its own.</param>
/// <param name="Buy">True where none is owned.</param>
public sealed record TrialStepIs(string Arrow, Measure Grains, string Point, int Break, int BreakFirst, bool Buy)
    : TrialMessage;

/// <summary>Points by figures.</summary>
/// <param name="Heaviest">Null where no point is too heavy.</param>
public sealed record PointsFit(Measure Lightest, Measure? Heaviest) : TrialMessage;

/// <summary>The shaft with the widest range of points.</summary>
/// <param name="Arrow">Whose shaft.</param>
/// <param name="ByPaper">True where papers found it, false where figures say it.</param>
/// <param name="Next">The next one.</param>
/// <param name="Other">How wide that one's is.</param>
public sealed record WidestRange(
    string Arrow,
    Measure Lightest,
    Measure Heaviest,
    bool ByPaper,
    string Next,
    Measure Other
) : TrialMessage;

/// <summary>What a plan takes: so many arrows, so many parts to buy.</summary>
public sealed record PlanTakes(int Arrows, int Buy) : TrialMessage;

/// <summary>The next arrow of a trial's plan.</summary>
/// <param name="Arrow">Its name.</param>
/// <param name="Left">So many after it.</param>
/// <param name="Ready">True where the arrow in work was shot often enough.</param>
public sealed record TakeNext(string Arrow, int Left, bool Ready) : TrialMessage;

/// <summary>What is said of a trial without any quantity.</summary>
public enum TrialSays
{
    NoPointFits,
    NoSuchPoint,
    HeavyFirst,
    WhyWide,
    ChooseTwo,
    NoArrowsYet,
    TakeIt,
    ShotByPlan,
}
