using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;

namespace Merganser.Core.Tuning;

/// <summary>What an advice asks for.</summary>
public enum AdviceKind
{
    NoShots,
    ShootMore,
    Move,
    SmallTest,
    GoodEnough,
    NotReachable,
    MovesDoNotHelp,
    StopAsking,

    /// <summary>Two signs of the shaft disagree: the act that decides between them, and no move.</summary>
    Contradiction,
    Unsound,

    /// <summary>Heads land straight up, down or sideways: a sight mark of their own.</summary>
    MoveTheSight,

    /// <summary>A drift is curved: the sight is levelled, its pins set on a plumb line.</summary>
    LevelTheSight,

    /// <summary>Bare shafts or heads show the bow's centre: they are answered before the sight.</summary>
    GroupsFirst,
}

/// <summary>A statement with the evidence for it and what would overturn it.</summary>
public sealed record Evidence(Message Statement, Message Because, Message WouldOverturn);

/// <summary>Where the mean is expected after the move: an ellipse, to be drawn dashed.</summary>
/// <param name="Mean">Predicted mean tear.</param>
/// <param name="RadiusX">Half width of the 95 % region, inches.</param>
/// <param name="RadiusY">Half height, inches.</param>
/// <param name="Share">How much this outcome is believed, 0 to 1.</param>
/// <param name="Words">What would have to be true.</param>
public sealed record Predicted(Tear Mean, double RadiusX, double RadiusY, double Share, Message Words)
{
    /// <summary>Where it lies, sideways.</summary>
    public Message Place => new TailSideways(Units.Measure.Inches(Mean.X));
}

/// <summary>The one advised move.</summary>
/// <param name="Kind">The adjuster.</param>
/// <param name="From">Its position now.</param>
/// <param name="To">The position advised.</param>
/// <param name="Order">What to do, in the technician's words.</param>
/// <param name="NeedsPress">True when a press is needed.</param>
/// <param name="After">What to check again after it.</param>
/// <param name="Places">Where it stands before and after it, in the hand's own words.</param>
/// <param name="Goes">How far that is in inches, for a rest.</param>
public sealed record AdvisedMove(
    AdjusterKind Kind,
    double From,
    double To,
    Message Order,
    bool NeedsPress,
    Message After,
    Message Places,
    Message? Goes = null
);

/// <summary>What to do next after a set of shots: exactly one thing.</summary>
/// <param name="Kind">Which kind of advice.</param>
/// <param name="Sentence">The order, as a sentence.</param>
/// <param name="Reason">Why.</param>
/// <param name="Move">The move, where one is advised.</param>
/// <param name="Disputed">What is disputed about it, or null.</param>
/// <param name="RunnerUp">The runner-up and why it lost, or null.</param>
/// <param name="Evidence">The evidence, each line with what would overturn it.</param>
/// <param name="Ghosts">Predicted means: one, or one for each way a disputed move may go.</param>
/// <param name="Chance">Chance that the true mean lies inside as the bow stands, 0 to 1; null before the first
/// shot.</param>
/// <param name="Enough">The chance at which it is called done: what one more shot is worth.</param>
/// <param name="ChanceAfter">The chance after the advised move, or both.</param>
/// <param name="Also">A move on the other axis for the same visit to the press.</param>
/// <param name="Lasting">Chance that the mean of all days lies inside, where it is good enough today.</param>
public sealed record Advice(
    AdviceKind Kind,
    Message Sentence,
    Message Reason,
    AdvisedMove? Move,
    Message? Disputed,
    Message? RunnerUp,
    IReadOnlyList<Evidence> Evidence,
    IReadOnlyList<Predicted> Ghosts,
    double? Chance = null,
    double? Enough = null,
    double? ChanceAfter = null,
    AdvisedMove? Also = null,
    double? Lasting = null
)
{
    /// <summary>Advice without a move.</summary>
    public static Advice To(AdviceKind kind, Message sentence, Message reason, IReadOnlyList<Evidence> evidence) =>
        new(kind, sentence, reason, null, null, null, evidence, []);
}

/// <summary>A move that was really made between two sets, with the mean before and after.</summary>
public sealed record MadeMove(AdjusterKind Kind, double Steps, MeanTear Before, MeanTear After);
