using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What is said of groups at a target.</summary>
public abstract record GroupMessage : Message;

/// <summary>Where one kind lands against the other, and how far that is shown.</summary>
public sealed record OffsetShown(Measure Right, Measure Up, GroupVerdict Verdict, ArrowKind Tested) : GroupMessage;

/// <summary>Where an arrow struck from its aiming point.</summary>
public sealed record StruckAt(Measure Right, Measure Up) : GroupMessage;

/// <summary>So many pairs before anything is read.</summary>
public sealed record PairsToGo(int Pairs, ArrowKind Tested) : GroupMessage;

/// <summary>Arrows to shoot, each kind at its own aiming point: what is held against, and what is tested.</summary>
public sealed record GroupsToShoot(int Reference, int Tested, ArrowKind Kind) : GroupMessage;

/// <summary>A move, then both groups anew.</summary>
/// <param name="TestChance">Chance that it comes inside, where the verdict is not clear: the move is a test.</param>
public sealed record MoveThenBoth(Message Order, Chance? TestChance) : GroupMessage;

/// <summary>Where the tested kind lands, and how the paper would have torn.</summary>
public sealed record ReadAsTear(Measure Right, Measure Up, ArrowKind Tested) : GroupMessage;

/// <summary>On which side the tested kind lands, beside how far.</summary>
public sealed record TestedSide(TearSide Side, ArrowKind Tested) : GroupMessage;

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

/// <summary>What a step of an adjuster does to the one group against the other.</summary>
public sealed record StepOffsets(AdjusterName Name, StepName Step, Measure Offset, bool OtherWay, ArrowKind Tested)
    : GroupMessage;

/// <summary>The rest's way is settled on this bow.</summary>
public sealed record RestSettledAtTarget(bool Left, Measure PerClick, ArrowKind Tested) : GroupMessage;

/// <summary>So many moves changed the offset less than they should, and how likely it is that none helps.</summary>
public sealed record OffsetIgnores(int Moves, Chance Deaf) : GroupMessage;

/// <summary>A bare shaft is lighter and strikes high: so much is taken off.</summary>
public sealed record BareIsLighter(Measure High) : GroupMessage;

/// <summary>What the offset of heads asks for, each with its chance.</summary>
public sealed record HeadShares(Chance Leave, Chance Sight, Chance Tune) : GroupMessage;

/// <summary>The answer's places: inside a circle, within an angle of straight, on a diagonal.</summary>
public sealed record HeadPlaces(Measure Tolerance, double HalfSector, StraightMiss Straight) : GroupMessage;

/// <summary>A mark of their own for heads: the pin's way, and its clicks where the sight has them.</summary>
public sealed record SightForHeads(Measure Right, Measure Up, int? Clicks) : GroupMessage;

/// <summary>How a pin is moved.</summary>
public sealed record PinWay(Measure Right, Measure Up) : GroupMessage;

/// <summary>What the field points do on the heads' mark, and that both marks are kept.</summary>
public sealed record BothMarksKept(Measure Right, Measure Up) : GroupMessage;

/// <summary>With which eye to pin the sight's way was computed.</summary>
/// <param name="Measured">False for the usual one.</param>
public sealed record SightUsed(Measure EyeToPin, Measure? Click, bool Measured) : GroupMessage;

/// <summary>The heads' mark was moved between two sets.</summary>
public sealed record HeadMarkMovedBy(Measure Right, Measure Up) : GroupMessage;

/// <summary>Where the heads' own mark stands from the field points'.</summary>
public sealed record HeadMarkStands(Measure Right, Measure Up) : GroupMessage;

/// <summary>So many of the heads flew otherwise than clean: the bow before the sight.</summary>
public sealed record HeadsFlewBadly(int Rough, int Seen) : GroupMessage;

/// <summary>No head stands apart, or which one does.</summary>
public sealed record HeadsCompared(string? Apart) : GroupMessage;

/// <summary>The test of the heads among each other.</summary>
public sealed record HeadsTest(FTest Test) : GroupMessage;

/// <summary>What is seen without one head, or that too few are left.</summary>
public sealed record WithoutHead(string Number, OffsetShown? Shown) : GroupMessage;

/// <summary>How one head lies from the middle of all.</summary>
public sealed record FromAllHeads(Measure Right, Measure Up) : GroupMessage;

/// <summary>How one head flew.</summary>
public sealed record HeadFlight(int Rough, int Seen, bool Practice) : GroupMessage;

/// <summary>How much lower a head strikes for its own drag: no tear, and the sight's to answer.</summary>
public sealed record HeadsDrag(Measure Low) : GroupMessage;

/// <summary>How a set was shot: the wind in the archer's own words, empty for none said.</summary>
/// <param name="Across">The wind across, from the left positive; null for none said.</param>
public sealed record ShotIn(string Wind, bool Seated, Measure? Across = null) : GroupMessage;

/// <summary>A face that hangs on the butt; without rings a blank sheet.</summary>
public sealed record FaceHangs(Measure Diameter, int Rings) : GroupMessage;

/// <summary>A face whose rings have sizes of their own, each across, the widest first.</summary>
public sealed record FaceOfOwnRings(Measure Diameter, IReadOnlyList<Measure> Rings) : GroupMessage;

/// <summary>A face has from none to so many rings.</summary>
public sealed record RingsFromTo(int Most) : GroupMessage;

/// <summary>How shafts of a kind stand in the target: so many each way, of so many that were looked at.</summary>
public sealed record SlantsSeen(ArrowKind Kind, int Seen, int Left, int Right, int High, int Low) : GroupMessage;

/// <summary>What is good enough at a target: bare at one distance, heads at another.</summary>
public sealed record EnoughAtTarget(Measure Bare, Measure BareAt, Measure Heads, Measure HeadsAt) : GroupMessage;

/// <summary>Where paper lets one expect the tested kind, and how it stands to what is seen.</summary>
public sealed record PaperExpects(Measure Right, Measure Up, ArrowKind Tested, PaperAgrees Agrees) : GroupMessage;

/// <summary>What is wrong with a line of a table.</summary>
public sealed record TableLine(int Line, Message What) : GroupMessage;

/// <summary>How many times the tear an offset is at this distance.</summary>
public sealed record TimesTheTear(Measure Times, Measure At) : GroupMessage;

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
    BareTaped,
    MarkOnTheFace,
    MarkOnThePaper,
    MarkThePlace,
    TrialAtPaper,
    NothingYet,
    NoHeadOnBare,
    OffsetOfHeadsIs,
    MarkOfHeads,
    NoSight,
    RingWiderThanFace,
    HeadsAtTarget,
    SayHowThePinMoved,
    HeadsAndFieldPoints,
    BareAndFletched,
    ThreeBeforeSightOrBow,
    SightOrBowNotDecided,
    MorePairsDecide,
    HeadsOnTheirMark,
    SpinAndWeighIt,
    EachHeadTwice,
    HeadsCut,
    HeadsQuiver,
    HeadsBackstop,
    HeadsAlike,
    PaperDisagrees,
    LookAtWhatDiffers,
    AnotherPaper,
    ATableHasItsColumns,
    NoHitInTheTable,
    HitsOfATarget,
}
