using Merganser.Core.First;

namespace Merganser.Web.Words;

/// <summary>What first answers tell, in a beginner's words.</summary>
public static class FirstWords
{
    public static FormattableString Of(FirstMessage message) =>
        message switch
        {
            FirstFit(var likely, true, _, _) => $"{likely}, as far as these answers go",
            FirstFit(var likely, _, true, { Count: 0 }) => $"{likely}, more likely than not",
            FirstFit(var likely, _, true, [var one]) => $"{likely}, more likely than not; may be {one}",
            FirstFit(var likely, _, true, [var one, .., var two]) =>
                $"{likely}, more likely than not; may be {one} or {two}",
            FirstFit(var likely, _, _, { Count: 0 }) => $"still open; {likely}, if anything",
            FirstFit(var likely, _, _, [var one, ..]) => $"still open: {likely} as well as {one}",
            PartIsLight(var share, var least) =>
                $"{share} of such arrows are under {least}, where a bow can break: weigh one first.",
            AllHeavyEnough(var least) => $"Above {least:bare}: heavy enough for the bow.",
            ShaftNumbersClash(var spine, var low, var high, var typed) =>
                $"A {spine} shaft weighs {low:bare} to {high} as a rule, not {typed:bare}: look at both numbers again.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(FirstSays says) =>
        says switch
        {
            FirstSays.AsAnsweredNow => $"as answered now",
            FirstSays.DrawWeightMeasured => $"draw weight measured, in a shop",
            FirstSays.LengthMeasured => $"arrow measured, nock to shaft end",
            FirstSays.SpineRead => $"number on the shaft read",
            FirstSays.ShaftWeighed => $"weight per length read off the shaft",
            FirstSays.PointWeighed => $"point weighed",
            FirstSays.Both => $"both",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
