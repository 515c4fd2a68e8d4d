using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What is said of a range error.</summary>
public abstract record RangeMessage : Message;

/// <summary>What a range error costs in height at a distance.</summary>
public sealed record RangeErrorCosts(Measure Error, Measure At, Measure Cost, Measure Plus) : RangeMessage;

/// <summary>Too few hits to read a trial.</summary>
public sealed record RangeTooFew(int Each, HitsAt Far, HitsAt Near) : RangeMessage;

/// <summary>Arrows to shoot with each setting of the sight, and which is next.</summary>
public sealed record RangeToShoot(int Each, Measure Set, Measure At) : RangeMessage;

/// <summary>The range error that uses up what is allowed.</summary>
public sealed record RangeAffords(Measure Allowed, Measure Error, Measure Least, Measure Most, Measure At)
    : RangeMessage;

/// <summary>The zero's own error, taken off.</summary>
public sealed record ZeroTakenOff(Measure Up, Measure Plus) : RangeMessage;

/// <summary>What it should cost by weight and speed, and whether it does.</summary>
public sealed record CostComputed(Measure Cost, bool Differs) : RangeMessage;

/// <summary>The test of it.</summary>
public sealed record CostTested(FTest Test) : RangeMessage;

/// <summary>A label of the cost.</summary>
public sealed record CostOf(Measure Error, Measure At) : RangeMessage;

/// <summary>For which distance the sight is set, and how many hits there are.</summary>
public sealed record SetFor(Measure Yards, int Hits) : RangeMessage;

/// <summary>Which way guesses lean, at a distance.</summary>
/// <param name="Long">True where more is guessed than it is.</param>
public sealed record GuessesLean(bool Long, Measure At) : RangeMessage;

/// <summary>A label of the spread of guesses at a distance.</summary>
public sealed record GuessesSpread(Measure At) : RangeMessage;

/// <summary>A label of what nine in ten stay within at a distance.</summary>
public sealed record GuessesWithin(Measure At) : RangeMessage;

/// <summary>Nine guesses in ten stay within this.</summary>
public sealed record GuessesStayWithin(Measure Error, Measure At, int Guesses) : RangeMessage;

/// <summary>So many guesses before anything is told.</summary>
public sealed record GuessesToGo(int Guesses) : RangeMessage;

/// <summary>One guess: what was said, what it was.</summary>
public sealed record GuessWas(Measure Guessed, Measure Measured, Measure Off) : RangeMessage;

/// <summary>Guesses between two distances: how many, their mean and their spread.</summary>
public sealed record GuessesHere(Measure From, Measure? To, int Guesses, Measure Mean, Measure? Spread) : RangeMessage;

/// <summary>How likely a guess stays within what the arrow affords.</summary>
public sealed record GuessesAfford(Chance Chance, Measure Error, Measure At) : RangeMessage;

/// <summary>What is said of a range error without any quantity.</summary>
public enum RangeSays
{
    NothingShotYet,
    MixedOrder,
    TallBackstop,
    BothSides,
    CostNotSharp,
    CostsNothing,
    MoreWithEach,
    MeasuredSpeed,
    Seen,
    Computed,
    ComputedIs,
    CostIs,
    ZeroIs,
    SpreadIs,
    Source,
    Lean,
    LeanIs,
    SpreadOfGuesses,
    GuessSpreadIs,
    NineLabel,
    NineIs,
    GuessSource,
    MoreGuesses,
    TrialAtTarget,
    SaySightSetting,
}
