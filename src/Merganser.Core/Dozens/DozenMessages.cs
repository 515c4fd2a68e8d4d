using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>What is said of a dozen.</summary>
public abstract record DozenMessage : Message;

/// <summary>Pieces of a class are missing for a match.</summary>
public sealed record PiecesMissing(int Needed, int Weighed) : DozenMessage;

/// <summary>So many pieces of a class are still to be weighed.</summary>
public sealed record WeighTheRest(string Class, int Missing) : DozenMessage;

/// <summary>A piece stands apart and is weighed again.</summary>
public sealed record StandsApart(string Class, int Number) : DozenMessage;

/// <summary>Why it stands apart.</summary>
public sealed record ApartBecause(Measure Weight, Measure Limit) : DozenMessage;

/// <summary>A match that is proven best, or how near it is.</summary>
public sealed record MatchIs(bool Proven, Measure By, string? Binds) : DozenMessage;

/// <summary>A step of one arrow's assembly.</summary>
public sealed record ArrowStep(int Arrow, AssemblyCode Step) : DozenMessage;

/// <summary>A step of the assembly.</summary>
public sealed record StepWords(AssemblyCode Step) : DozenMessage;

/// <summary>What is said at a step, or nothing.</summary>
public sealed record StepCaution(AssemblyCode Step) : DozenMessage;

/// <summary>Heads on arrows: light with heavy, and the best found where it differs.</summary>
public sealed record HeadsLie(Measure Simple, Measure? Best) : DozenMessage;

/// <summary>All arrows are begun: nothing is left to be matched again.</summary>
public sealed record ArrowsBegun(IReadOnlyList<int> Arrows) : DozenMessage;

/// <summary>A shaft of a loose arrow was found damaged after the match.</summary>
public sealed record ShaftIsOut(int Shaft, ShaftFinding Finding) : DozenMessage;

/// <summary>A piece of a loose arrow was taken back after the match.</summary>
public sealed record PieceIsOut(string Class, int Number) : DozenMessage;

/// <summary>The arrow has a newer version than the dozen is built to.</summary>
public sealed record NewerVersion(string Arrow, int Newest, int BuiltTo) : DozenMessage;

/// <summary>A shaft is to be destroyed.</summary>
public sealed record ShaftDestroyed(int Shaft, ShaftFinding Finding) : DozenMessage;

/// <summary>What looking a shaft over found.</summary>
public sealed record FindingIs(ShaftFinding Finding) : DozenMessage;

/// <summary>A turn of a nock.</summary>
public sealed record TurnIs(int Turn, int Turns) : DozenMessage;

/// <summary>A turn that is marked on an arrow.</summary>
public sealed record TurnMark(TurnIs Turn, bool Bare) : DozenMessage;

/// <summary>A nock's turn flies inside.</summary>
public sealed record InsideAt(TurnIs Turn, Measure By) : DozenMessage;

/// <summary>The best turn so far, and the next to shoot.</summary>
public sealed record TurnOn(TurnIs Best, Measure By, TurnIs Next) : DozenMessage;

/// <summary>No turn flies inside.</summary>
public sealed record NoTurnInside(TurnIs Best, Measure By) : DozenMessage;

/// <summary>The next arrow's nock is turned and shot.</summary>
public sealed record TurnTheNock(int Arrow, TurnIs To) : DozenMessage;

/// <summary>The next arrow is shot as it is.</summary>
public sealed record ShootAsItIs(int Arrow, bool Fletched) : DozenMessage;

/// <summary>What the chronograph taught.</summary>
public sealed record TaughtBy(int Shots, int Masses, Measure UsualMass, Measure UsualSpread) : DozenMessage;

/// <summary>A chronograph reading is far from what the others let one expect.</summary>
public sealed record SpeedFarFrom(Measure Speed, Measure About, Measure Room) : DozenMessage;

/// <summary>Readings give a virtual mass that no bow has.</summary>
public sealed record VirtualMassCannotBe(Measure VirtualMass, Measure Most) : DozenMessage;

/// <summary>Readings give more energy than the bow can take up.</summary>
public sealed record EnergyCannotBe(Measure Energy, Measure Most) : DozenMessage;

/// <summary>What the nominal speed and the efficiency are reckoned from.</summary>
public sealed record NominalIs(bool Rated, bool Curve) : DozenMessage;

/// <summary>Arrows are numbered so far.</summary>
public sealed record ArrowsNumbered(int To) : DozenMessage;

/// <summary>Turns are numbered so far.</summary>
public sealed record TurnsNumbered(int To) : DozenMessage;

/// <summary>Pieces are numbered so far.</summary>
public sealed record PiecesNumbered(int To) : DozenMessage;

/// <summary>So many pieces of a class at the most.</summary>
public sealed record PiecesAtMost(int Most) : DozenMessage;

/// <summary>So many lines at the most, a weight each.</summary>
public sealed record LinesWanted(int Most) : DozenMessage;

/// <summary>A piece is weighed already.</summary>
public sealed record WeighedAlready(string Class, int Number) : DozenMessage;

/// <summary>A piece that is weighed again was not weighed before.</summary>
public sealed record NotWeighedYet(string Class, int Number) : DozenMessage;

/// <summary>A weight is far from what a class weighs: it is asked about.</summary>
public sealed record FarFrom(string Class, Measure Weight, Measure About) : DozenMessage;

/// <summary>A scale's reading is far from its check weight: it is asked about.</summary>
public sealed record FarFromCheckWeight(Measure Reading, Measure Nominal) : DozenMessage;

/// <summary>How a table of weights is read.</summary>
/// <param name="Weights">So many lines hold one.</param>
/// <param name="Column">The header's word for the weights; null without a header.</param>
/// <param name="Unread">Columns that are not read.</param>
public sealed record WeightsReadAs(int Weights, string? Column, IReadOnlyList<string> Unread) : DozenMessage;

/// <summary>Something is wrong on one line of a table.</summary>
public sealed record OnLine(int Line, Message Problem) : DozenMessage;

/// <summary>How far a dozen is, in a word or two.</summary>
public sealed record DozenStands(DozenStage Stage, int Done, int Of) : DozenMessage;

/// <summary>How far a dozen is.</summary>
public enum DozenStage
{
    Weighing,
    Matched,
    Building,
    Verified,
}

/// <summary>What is said of a dozen without any quantity.</summary>
public enum DozenSays
{
    NothingWeighed,
    NotShotYet,
    CheckWeightFirst,
    ScaleThatIsOff,
    WeighTheCheckWeight,
    GoOnWithout,
    OneAfterTheOther,
    GoOnWeighing,
    AnOddOne,
    WeighItAgain,
    MatchAllTheSame,
    WeighedSince,
    BegunStay,
    MatchTheRest,
    AllIsWeighed,
    SetsAndPairs,
    MatchThePieces,
    BuiltAndVerified,
    LabelsAndCards,
    WeighTheHeads,
    TickWhenDone,
    ItIsDone,
    TrayList,
    WeighHeadsThen,
    MatchFirst,
    EnteredMeanwhile,
    EveryArrowVerified,
    NextDistanceOrKeep,
    FletchThenVerify,
    ArrowOneWithVanes,
    VerifiedWithVanes,
    FlexFirst,
    FliesInside,
    PracticeOnly,
    TearsToBeTurned,
    NoChronographShot,
    HeavierNotSlower,
    SayTheTear,
    OutOfUse,
    ClassNotWeighed,
    WhichShaft,
    WhatIsSpun,
    WhichArrow,
    WhichArrowAndStep,
    WhatIsMade,
}
