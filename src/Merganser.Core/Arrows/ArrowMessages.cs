using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What is said of an arrow.</summary>
public abstract record ArrowMessage : Message;

/// <summary>A part of the arrow, by its name in the balance.</summary>
public sealed record PartName(string Name) : ArrowMessage;

/// <summary>The mass of the shaft, from the catalogue or measured.</summary>
public sealed record ShaftMass(Formula Of, bool Measured) : ArrowMessage;

/// <summary>Where a part lies along the arrow.</summary>
public sealed record AtPlace(Measure From) : ArrowMessage;

/// <summary>A verdict on a fit; an interval that crosses a band names the others.</summary>
public sealed record FitIs(FitBand Band, IReadOnlyList<FitBand> MayBe) : ArrowMessage;

/// <summary>The shaft ends behind the rest at full draw.</summary>
public sealed record EndsBehindRest(Measure By) : ArrowMessage;

/// <summary>The shaft ends too close ahead of the rest at full draw.</summary>
public sealed record EndsCloseToRest(Measure By, Measure Least) : ArrowMessage;

/// <summary>An arrow under the common least weight for its bow.</summary>
public sealed record TooLight(Measure PerPound, Measure Least, bool OftenHeavier) : ArrowMessage;

/// <summary>A fixed head on a spine that is too weak for it.</summary>
public sealed record WeakForFixedHead(FitBand Band) : ArrowMessage;

/// <summary>A shaft that reads weak with a head that is heavier than a field point.</summary>
public sealed record WeakForHeavyHead(FitBand Band, Measure FieldPoint) : ArrowMessage;

/// <summary>The length was not measured: every figure has a band.</summary>
public sealed record LengthUnknown(Measure Band) : ArrowMessage;

/// <summary>Leave, or make, the shaft at least so long.</summary>
public sealed record AtLeastLong(Measure Least, bool StillUncut) : ArrowMessage;

/// <summary>The spine reads weak: a stiffer shaft.</summary>
public sealed record ReadsWeak(FitBand Band) : ArrowMessage;

/// <summary>Keep this arrow, then cut one shaft.</summary>
public sealed record KeepThenCut(Measure Length) : ArrowMessage;

/// <summary>What a grain more in the point does to front of center.</summary>
public sealed record GrainInThePoint(Measure Moves) : ArrowMessage;

/// <summary>The common least weight per pound, and how the draw weight is known.</summary>
public sealed record LeastPerPound(Measure Least, bool Measured) : ArrowMessage;

/// <summary>What a measured speed rests on.</summary>
public sealed record OwnLine(int Shots, int Masses) : ArrowMessage;

/// <summary>The virtual mass until another weight is shot.</summary>
public sealed record UsualVirtualMass(Measure Mass, Measure Spread) : ArrowMessage;

/// <summary>A spine that was measured, against its nominal.</summary>
public sealed record MeasuredSpine(Measure Nominal) : ArrowMessage;

/// <summary>The effective draw weight: the weight, its factor and why.</summary>
public sealed record EffectiveWeight(Formula Product, Message Why) : ArrowMessage;

/// <summary>A point weight that gives a wanted front of center.</summary>
public sealed record PointGives(Measure Point, Measure Wanted, bool InAll) : ArrowMessage;

/// <summary>A cut length that gives a wanted weight.</summary>
public sealed record LengthGives(Measure Length, Measure Wanted, bool Cut) : ArrowMessage;

/// <summary>A spine that gives a wanted fit.</summary>
public sealed record SpineGives(Measure Spine, Measure Wanted) : ArrowMessage;

/// <summary>No length of this shaft gives that.</summary>
public sealed record NoSuchLength(Measure Length, Measure? SoldAt) : ArrowMessage;

/// <summary>No point is light enough.</summary>
public sealed record NoSuchPoint(Measure Others) : ArrowMessage;

/// <summary>A change to try: so much cut off.</summary>
public sealed record CutOff(Measure By) : ArrowMessage;

/// <summary>A change to try: cut to a length.</summary>
public sealed record CutTo(Measure Length) : ArrowMessage;

/// <summary>A change to try: another point.</summary>
public sealed record PointBy(Measure By, string Name) : ArrowMessage;

/// <summary>A change to try: the bow up or down.</summary>
public sealed record BowBy(Measure By) : ArrowMessage;

/// <summary>A change to try: another spine of the family.</summary>
public sealed record NextSpine(Measure Spine) : ArrowMessage;

/// <summary>A part in stock with its figure.</summary>
public sealed record InStock(string Name, Measure Figure) : ArrowMessage;

/// <summary>Vanes: how many, and of which kind.</summary>
public sealed record VanesOf(int Count, string Name) : ArrowMessage;

/// <summary>The name of a part in a list.</summary>
public sealed record ArrowPartName(ArrowPart Part) : ArrowMessage;

/// <summary>What changed between two versions, part by part.</summary>
public sealed record PartsChanged(IReadOnlyList<PartChange> Changes) : ArrowMessage;

/// <summary>One part that changed.</summary>
public sealed record PartChange(ArrowPart Part, Message From, Message To) : ArrowMessage;

/// <summary>A school of arrow weight: its name, what is said for it, what it costs.</summary>
public sealed record SchoolName(WeightKind Kind) : ArrowMessage;

/// <summary>What a school's people say for it.</summary>
public sealed record SchoolFor(WeightKind Kind) : ArrowMessage;

/// <summary>What a school costs.</summary>
public sealed record SchoolAgainst(WeightKind Kind) : ArrowMessage;

/// <summary>A rule of thumb with its band.</summary>
public sealed record ThumbRule(RuleKind Kind, Measure From, Measure To) : ArrowMessage;

/// <summary>An arrow lighter than the bow stands.</summary>
public sealed record UnderLeast(Measure Least) : ArrowMessage;

/// <summary>An arrow as it was kept.</summary>
public sealed record AsKept(int Version) : ArrowMessage;

/// <summary>A shaft is sold so long, so the arrow can be no longer than this.</summary>
public sealed record ShaftSoldAt(Measure Sold, Measure MostLength) : ArrowMessage;

/// <summary>Vanes would stand behind the shaft.</summary>
public sealed record VanesBehindShaft(Measure Least) : ArrowMessage;

/// <summary>So much can be broken off a part; no steps is nothing.</summary>
public sealed record BreaksOff(int Steps, Measure Step) : ArrowMessage;

/// <summary>A part that arrows have is retired and not deleted.</summary>
public sealed record PartInUse(string Part, IReadOnlyList<string> Arrows) : ArrowMessage;

/// <summary>An id is already that of a part of another class.</summary>
public sealed record IdOfAnother(string Id, ComponentClass Class) : ArrowMessage;

/// <summary>A field of a component.</summary>
public sealed record ComponentFieldName(ComponentClass Class, string Field) : ArrowMessage;

/// <summary>The parts of an arrow, in the order in which they are listed.</summary>
public enum ArrowPart
{
    Shaft,
    CutLength,
    Insert,
    Point,
    Nock,
    Vanes,
    Wrap,
    Glue,

    /// <summary>What stands in front besides insert and point.</summary>
    Front,

    /// <summary>What stands at the nock's end besides it.</summary>
    Rear,
}

/// <summary>Schools of arrow weight.</summary>
public enum WeightKind
{
    Light,
    Middle,
    Heavy,
}

/// <summary>Rules of thumb.</summary>
public enum RuleKind
{
    IndoorFoc,
    OutdoorFoc,
    FieldFoc,
    HuntingFoc,
    SmallGame,
    MediumGame,
    LargeGame,
    Toughest,
    Momentum,
}

/// <summary>What is said of an arrow without any quantity.</summary>
public enum ArrowSays
{
    TotalWeight,
    TotalWeightIs,
    GrainsForgotten,
    BalanceSource,
    Total,
    BalancePoint,
    BalancePointIs,
    BalancePointA,
    FrontOfCenter,
    FrontOfCenterIs,
    LengthL,
    ThroatToEnd,
    Foc,
    WeightPerPound,
    WeightPerPoundIs,
    PowerStroke,
    FormulaLine,
    Shown,
    ShownOfRating,
    EnergyToArrow,
    SpeedLine,
    SpeedFromRating,
    SpeedEstimated,
    SpeedByChronograph,
    BelowTheRating,
    NoRatedSpeed,
    RatingSource,
    EstimateSource,
    ChronographNarrows,
    VirtualMassK,
    EnergyE,
    OwnLineSource,
    OtherWeightsNarrow,
    KineticEnergy,
    EnergyHardlyChanges,
    Momentum,
    RisesWithWeight,
    AtLaunch,
    MechanicsSource,
    StaticSpine,
    StaticSpineMeasured,
    StaticSpineIs,
    AstmSpine,
    AstmSpanAndLoad,
    StiffnessEi,
    AstmSource,
    AmoSpine,
    AmoSpineIs,
    AmoDeflection,
    AmoSource,
    NeededSpine,
    NeededSpineIs,
    SpineSource,
    MeasureLengthAndWeight,
    Fit,
    FitMeaning,
    FitR,
    IntervalLine,
    FitSource,
    MeasureTheWeight,
    CleanArrowSetsFactor,
    EffectiveWeightW,
    LoadShare,
    ToSpare,
    ToSpareIs,
    RestAtFullDraw,
    AmoDrawSource,
    TooLightForBow,
    PickAPoint,
    PickAShaft,
    GoToTheLength,
    KeepAllTheSame,
    StifferForFixedHead,
    MeasureTheLength,
    FromTheCurve,
    CurveSource,
    OrShorterOrLighter,
    ReadsStiff,
    FarTooStiff,
    LittleStiff,
    CutIsNotUndoneLonger,
    CutIsNotUndone,
    KeepThisArrow,
    ShootThroughPaper,
    PickShaft,
    PickPoint,
    PickNock,
    EndPartIsGone,
    NoVaneCount,
    InsertTooLong,
    VanesAheadOfEnd,
    NoWeightThere,
    BalancesFartherForward,
    None,
    TheFirst,
    CatalogueValueChanged,
    RulesOfThumb,
    HeavierThanMost,
    BetweenMiddleAndHeavy,
    TwoToFour,
    StaysWhatItIs,
    WholeNumber,
    NoSuchTube,
    SpineOrTubeCode,
    MassOrTubeCode,
    DiameterOrTubeCode,
    InnerNotSmaller,
}
