using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.First;

/// <summary>What is said of first answers.</summary>
public abstract record FirstMessage : Message;

/// <summary>The verdict on a fit that is known within a band.</summary>
/// <param name="Likely">The likeliest.</param>
/// <param name="Sure">True where hardly another is left.</param>
/// <param name="MoreLikely">True where it is likelier than all others together.</param>
/// <param name="Others">What it may be as well.</param>
public sealed record FirstFit(FitBand Likely, bool Sure, bool MoreLikely, IReadOnlyList<FitBand> Others) : FirstMessage;

/// <summary>A part of what the answers allow is too light for the bow.</summary>
public sealed record PartIsLight(Measure Share, Measure Least) : FirstMessage;

/// <summary>All that the answers allow is heavy enough.</summary>
public sealed record AllHeavyEnough(Measure Least) : FirstMessage;

/// <summary>The numbers on a shaft do not go together.</summary>
/// <param name="Spine">Its spine.</param>
/// <param name="Low">What an inch of such a shaft weighs at the least.</param>
/// <param name="High">At the most.</param>
/// <param name="Typed">What was typed.</param>
public sealed record ShaftNumbersClash(Measure Spine, Measure Low, Measure High, Measure Typed) : FirstMessage;

/// <summary>What is said of first answers without any quantity.</summary>
public enum FirstSays
{
    AsAnsweredNow,
    DrawWeightMeasured,
    LengthMeasured,
    SpineRead,
    ShaftWeighed,
    PointWeighed,
    Both,
}
