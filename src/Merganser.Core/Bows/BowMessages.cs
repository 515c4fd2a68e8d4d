using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>What is said of a bow and its adjusters.</summary>
public abstract record BowMessage : Message;

/// <summary>An adjuster was moved in another place since it was looked at.</summary>
public sealed record MovedMeanwhile(AdjusterKind Kind, double Position) : BowMessage;

/// <summary>An adjuster's name.</summary>
public sealed record AdjusterName(AdjusterKind Kind) : BowMessage;

/// <summary>What one step of an adjuster is, singular.</summary>
public sealed record StepName(AdjusterKind Kind) : BowMessage;

/// <summary>A count of an adjuster's steps with their unit, never signed.</summary>
public sealed record Steps(AdjusterKind Kind, double Count) : BowMessage;

/// <summary>
/// So many steps as an order to the technician. Those that work through the arrow's stiffness turn with the hand.
/// </summary>
public sealed record Order(AdjusterKind Kind, double Count) : BowMessage;

/// <summary>Where an adjuster stands from its mark.</summary>
public sealed record Standing(AdjusterKind Kind, double Position) : BowMessage;

/// <summary>From one position to another.</summary>
public sealed record FromTo(AdjusterKind Kind, double From, double To) : BowMessage;

/// <summary>What is left of an adjuster's travel each way.</summary>
public sealed record Room(AdjusterKind Kind, double Down, double Up) : BowMessage;

/// <summary>A bow draws more than its maker allows.</summary>
public sealed record AboveMaximum(Measure Measured, Measure Most) : BowMessage;

/// <summary>A bow in a line: kind, hand, weight.</summary>
public sealed record BowLine(BowKind Kind, Measure Weight, bool Marked) : BowMessage
{
    /// <summary>The lower end of a weight that is only a range, and <see cref="Weight"/> the upper; or null.</summary>
    public Measure? From { get; init; }
}

/// <summary>Where a bow factor comes from.</summary>
public sealed record FactorReason(BowKind Kind, CamDraw Cams, Measure? FingersCount, bool SetByHand) : BowMessage;

/// <summary>An adjuster's travel runs so far, and the move would go beyond it.</summary>
public sealed record BeyondTravel(AdjusterKind Kind, int Lower, int Upper) : BowMessage;

/// <summary>A bow's travel must hold where it stands.</summary>
public sealed record TravelHoldsStep(AdjusterKind Kind, double Position, int MostSteps) : BowMessage;

/// <summary>This bow has no such adjuster on its list.</summary>
public sealed record NoSuchAdjuster(AdjusterKind Kind) : BowMessage;

/// <summary>No pair of spacers has such pieces.</summary>
public sealed record NoSuchSpacers(int Largest) : BowMessage;

/// <summary>Draw length, brace height and the stroke that is left do not go together.</summary>
public sealed record StrokeTooShort(Measure Allowance, Measure Least) : BowMessage;

/// <summary>What is said of a bow without any quantity.</summary>
public enum BowSays
{
    MeasureTheDrawWeight,
    MarkedWeightCanBeOff,
    GoToTheDrawWeight,
    ChooseTheArrow,
    ToThePaper,
    BowIsMeasured,
    BackItOff,
    GoToTheCheck,
    ArrowFollows,
    DrawWeightNeeded,
    StandsThereAlready,
    LaterMovesRestOnIt,
    NoMoveInTheFuture,
    WhichAdjuster,
    WholeSteps,
    NothingTwisted,
    NothingMoved,
    SayTheSeats,
    ListedTwice,
}
