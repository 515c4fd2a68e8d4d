using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What is said of groups at a target.</summary>
public abstract record GroupMessage : Message;

/// <summary>Where bare shafts land against fletched arrows, and how far that is shown.</summary>
public sealed record OffsetShown(Measure Right, Measure Up, GroupVerdict Verdict) : GroupMessage;

/// <summary>Where an arrow struck from its aiming point.</summary>
public sealed record StruckAt(Measure Right, Measure Up) : GroupMessage;

/// <summary>So many pairs before anything is read.</summary>
public sealed record PairsToGo(int Pairs) : GroupMessage;

/// <summary>Arrows to shoot, each kind at its own aiming point.</summary>
public sealed record GroupsToShoot(int Fletched, int Bare) : GroupMessage;

/// <summary>A move, then both groups anew.</summary>
/// <param name="TestChance">Chance that it comes inside, where the verdict is not clear: the move is a test.</param>
public sealed record MoveThenBoth(Message Order, Chance? TestChance) : GroupMessage;

/// <summary>Where bare shafts land, and how the paper would have torn.</summary>
public sealed record ReadAsTear(Measure Right, Measure Up) : GroupMessage;

/// <summary>On which side the bare shafts land, beside how far.</summary>
public sealed record BareSide(TearSide Side) : GroupMessage;

/// <summary>The test behind a verdict.</summary>
/// <param name="Threshold">p below which it is clear at this look.</param>
public sealed record OffsetTest(FTest Test, Measure Radius, Measure Spread, double Threshold) : GroupMessage;

/// <summary>More pairs that would show an offset of this length, four times in five.</summary>
/// <param name="Sentence">False where it stands inside one.</param>
public sealed record MoreOfEach(int Pairs, Measure Offset, bool Sentence = true) : GroupMessage;

/// <summary>So many pairs show an offset of this length with that chance.</summary>
public sealed record PairsShow(int Pairs, Measure Offset, Chance Chance) : GroupMessage;

/// <summary>What the chance of being inside rests on.</summary>
public sealed record ChanceByPairs(Chance Chance, int Here, int Elsewhere) : GroupMessage;

/// <summary>What a step of an adjuster does to the bare group against the fletched.</summary>
public sealed record StepOffsets(AdjusterName Name, StepName Step, Measure Offset, bool OtherWay) : GroupMessage;

/// <summary>The rest's way is settled on this bow.</summary>
public sealed record RestSettledAtTarget(bool BareLeft, Measure PerClick) : GroupMessage;

/// <summary>So many moves changed the offset less than they should, and how likely it is that none helps.</summary>
public sealed record OffsetIgnores(int Moves, Chance Deaf) : GroupMessage;

/// <summary>A bare shaft is lighter and strikes high: so much is taken off.</summary>
public sealed record BareIsLighter(Measure High) : GroupMessage;

/// <summary>What groups say without any quantity.</summary>
public enum GroupSays
{
    EachAtItsOwnSpot,
    BothAnew,
    NoMoveHelps,
    ThePartner,
    SpreadOfAShot,
    MeanOffset,
    RegionOfOffset,
    ChanceAlone,
    OffsetIs,
    SpreadIs,
    Source,
    MorePairsNarrow,
    BareHigh,
    MarkOnTheFace,
    MarkOnThePaper,
    MarkThePlace,
    TrialAtPaper,
    NothingYet,
    NoHeadOnBare,
}
