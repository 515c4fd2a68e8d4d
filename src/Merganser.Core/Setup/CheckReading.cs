using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>What was found at one check: a number, a picked answer, or a reason for leaving it.</summary>
/// <param name="Kind">Which check.</param>
/// <param name="Value">The number in the trade unit, or null.</param>
/// <param name="Choice">The picked answer's code, or null.</param>
/// <param name="SkipReason">Why it was left open, or null.</param>
public sealed record CheckFinding(CheckKind Kind, double? Value, string? Choice, string? SkipReason);

/// <summary>A finding judged: verdict, words, what to do, who may do it.</summary>
public sealed record CheckVerdict(Verdict Verdict, string Words, string ToDo, bool Press);

/// <summary>Judges findings against the maker's figure, the trade's window or the state in which the bow shot well.</summary>
public static class CheckReading
{
    /// <summary>Legal play of axle-to-axle and brace height, inches (common practice, no source).</summary>
    public const double MakerPlay = 1.0 / 8;

    /// <summary>Tiller of a compound, even within this (common practice, no source).</summary>
    public const double TillerPlay = 1.0 / 16;

    /// <summary>The tolerance of a check on a bow, or null where none exists.</summary>
    public static Tolerance? ToleranceOf(CheckKind kind, Bow bow) => kind switch
    {
        CheckKind.DrawWeight when bow.MaximumWeight is { } most => new Tolerance(Math.Min(bow.NominalWeight ?? most, most), 0, most, "the maker's rated maximum"),
        CheckKind.AxleToAxle when bow.MakerAxleToAxle is { } axle => new Tolerance(axle, axle - MakerPlay, axle + MakerPlay, "the maker's figure, play 1/8 in (common practice)"),
        CheckKind.BraceHeight when bow.MakerBraceHeight is { } brace => new Tolerance(brace, brace - MakerPlay, brace + MakerPlay, "the maker's figure, play 1/8 in (common practice)"),
        CheckKind.Tiller when bow.Kind == BowKind.Compound => new Tolerance(0, -TillerPlay, TillerPlay, "bolts even, common practice"),
        CheckKind.Tiller when bow.Release == Release.Fingers => new Tolerance(1.0 / 8, 0, 1.0 / 4, "positive for fingers, common practice"),
        CheckKind.CentreShot when bow.Kind == BowKind.Compound => CentreShot.Tolerance(bow.MakerCentreShot),
        CheckKind.NockingPoint => bow.Kind == BowKind.Compound ? new Tolerance(1.0 / 16, 0, 1.0 / 8, "level to 1/8 in high to start, common practice") : new Tolerance(3.0 / 8, 1.0 / 8, 5.0 / 8, "1/8 to 5/8 in high with fingers, from memory"),
        CheckKind.Peep => new Tolerance(0, -15, 15, "seen round by the eye, common practice"),
        _ => null,
    };

    /// <summary>The verdict on a finding.</summary>
    /// <param name="finding">Found now; not skipped.</param>
    /// <param name="bow">The bow.</param>
    /// <param name="hasPress">True when the archer has the right press and the manual.</param>
    /// <param name="good">What stood here when the bow shot well, where known.</param>
    /// <param name="by">Who repaired it, where it was repaired.</param>
    public static CheckVerdict Judge(CheckFinding finding, Bow bow, bool hasPress, double? good = null, string by = "")
    {
        var fact = CheckTable.For(finding.Kind, bow.Kind);
        if (finding.Value is not { } value)
        {
            var choice = fact.Choices.First(c => c.Code == finding.Choice);
            var answer = choice.Code == Unsound.Repaired ? $"{choice.Label} by {by}." : choice.Label + ".";
            return new CheckVerdict(choice.Verdict, answer, Adapted(choice.ToDo, choice.Press, hasPress), choice.Press);
        }

        if (ToleranceOf(finding.Kind, bow) is not { } tolerance)
        {
            return new CheckVerdict(Verdict.Recorded, good is null ? "Recorded. There is no general tolerance." : $"Recorded. When it shot well: {Show.Number(good.Value, 3)}, now {Show.Signed(value - good.Value, 3)}.",
                finding.Kind == CheckKind.CamLean ? fact.ToDo : "Compare with the maker's word and with the state in which this bow shot well.", false);
        }

        var verdict = Of(value, tolerance, fact.ReadingError);
        var off = value - tolerance.Aim;
        var words = $"{Word(verdict)}. {Offset(finding.Kind, off, fact)}";
        return new CheckVerdict(verdict, words, verdict == Verdict.Beyond ? Adapted(ToDo(finding.Kind, fact, off), fact.Press, hasPress) : "Leave it.", verdict == Verdict.Beyond && fact.Press);
    }

    /// <summary>At the edge when the reading's own error reaches across a limit.</summary>
    public static Verdict Of(double value, Tolerance tolerance, double error)
    {
        var room = Math.Min(value - tolerance.Low, tolerance.High - value);
        return room > error ? Verdict.Within : room >= -error ? Verdict.AtTheEdge : Verdict.Beyond;
    }

    /// <summary>The words of the verdict.</summary>
    public static string Word(Verdict verdict) => verdict switch
    {
        Verdict.Within => "Within",
        Verdict.AtTheEdge => "At the edge",
        Verdict.Beyond => "Beyond",
        _ => "Recorded",
    };

    /// <summary>How much wider a first reading may lie from what is marked or usual than a later one from the last (trade-like guess, no source).</summary>
    public const double FirstReadingSlack = 3;

    /// <summary>A question about an odd reading, or null: never a refusal. A first reading is held against what is marked, typed or usual.</summary>
    /// <param name="kind">The check.</param>
    /// <param name="value">Read now, trade unit.</param>
    /// <param name="last">Read last time, or null.</param>
    /// <param name="bow">The bow, for what is marked or usual; null asks only against the last reading.</param>
    public static string? Suspicion(CheckKind kind, double value, double? last, Bow? bow = null)
    {
        var fact = CheckTable.Of(kind);
        var (held, words, slack) = last is not null ? (last, "last time", 1) : bow is null ? (null, "", 1) : Expected(kind, bow);
        if (held is not { } expected || fact.Suspicious <= 0 || Math.Abs(value - expected) <= fact.Suspicious * slack)
        {
            return null;
        }

        var unit = fact.Range.Unit.Length == 0 ? "degrees" : fact.Range.Unit;
        return $"{fact.Title} {Show.Number(Math.Abs(value - expected), 2)} {unit} {(value > expected ? "more" : "less")} than {words} ({Show.Number(expected, 2)} {unit}): is that so?";
    }

    private static (double? Value, string Words, double Slack) Expected(CheckKind kind, Bow bow) => kind switch
    {
        CheckKind.DrawWeight when bow.MeasuredWeight is { } measured => (measured, "what this bow measured", 1),
        CheckKind.DrawWeight => (bow.NominalWeight, "what is marked", FirstReadingSlack),
        CheckKind.AxleToAxle when bow.AxleToAxle is { } axle => (axle, "what was entered", 1),
        CheckKind.BraceHeight => (bow.BraceHeight, "what was entered", 1),
        CheckKind.CamLean => (0, "upright", FirstReadingSlack),
        _ => (ToleranceOf(kind, bow)?.Aim, "is usual", FirstReadingSlack),
    };

    private static string Offset(CheckKind kind, double off, CheckFact fact)
    {
        var unit = fact.Range.Unit.Length == 0 ? "degrees" : fact.Range.Unit;
        if (Math.Abs(off) < 0.0005)
        {
            return "Just as aimed.";
        }

        return kind switch
        {
            CheckKind.CentreShot => $"{Show.Number(Math.Abs(off), 3)} in farther {(off > 0 ? "out" : "in")} than the aim.",
            CheckKind.DrawWeight => $"{Show.Number(Math.Abs(off), 1)} lb {(off > 0 ? "over" : "under")} the marking.",
            CheckKind.Peep => Peep.Turned(off),
            _ => $"{Show.Number(Math.Abs(off), 3)} {unit} {(off > 0 ? "above" : "below")} the aim.",
        };
    }

    private static string ToDo(CheckKind kind, CheckFact fact, double off) => kind switch
    {
        CheckKind.CentreShot => $"Move the rest {Show.Number(Math.Abs(off), 3)} in {(off > 0 ? "in" : "out")}; paper and target decide the last clicks.",
        CheckKind.Peep => $"{Peep.Cure(off)} {fact.ToDo}",
        CheckKind.BraceHeight => off > 0 ? "Take twists out of the string: fewer twists lower it." : "Put twists into the string: more twists raise it.",
        _ => fact.ToDo,
    };

    /// <summary>What is to be done, with who may do it added: a sentence of safety is never replaced.</summary>
    private static string Adapted(string toDo, bool press, bool hasPress) =>
        press && !hasPress && !toDo.Contains("shop", StringComparison.Ordinal) ? $"{toDo} That needs a press: a shop with the maker's manual does it." : toDo;
}

/// <summary>Centre shot: the arrow's centre against the riser, inches.</summary>
public static class CentreShot
{
    /// <summary>13/16 in (20.64 mm), where the maker says nothing (common practice, no source).</summary>
    public const double Usual = 13.0 / 16;

    /// <summary>Half the legal window: 11/16 to 15/16 in (17.46 to 23.81 mm).</summary>
    public const double HalfWindow = 1.0 / 8;

    /// <summary>The window around the maker's figure, else around 13/16 in.</summary>
    public static Tolerance Tolerance(double? maker) => maker is { } figure
        ? new Tolerance(figure, figure - HalfWindow, figure + HalfWindow, "the maker's figure, window 1/8 in either way (common practice)")
        : new Tolerance(Usual, Usual - HalfWindow, Usual + HalfWindow, "13/16 in, window 11/16 to 15/16 in, common practice");

    /// <summary>
    /// By caliper: how far the rest moves in when the arrow stands farther from the riser in front than behind, (front − rear)·D/s.
    /// </summary>
    /// <param name="front">Riser to arrow at the front station, inches.</param>
    /// <param name="rear">At the rear station.</param>
    /// <param name="nockToRest">D, inches, above 0.</param>
    /// <param name="between">s, between the stations, inches, above 0.</param>
    public static double CaliperFix(double front, double rear, double nockToRest, double between)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(nockToRest);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(between);
        return (front - rear) * nockToRest / between;
    }

    /// <summary>Where centre shot stands after the rest moved so many clicks from where it was measured; + clicks are to the right.</summary>
    public static double After(double measured, int clicks, double inchesPerClick, Hand hand) =>
        measured + (clicks * inchesPerClick * (hand == Hand.Right ? -1 : 1));
}

/// <summary>The peep's aperture and turning (common practice, no source).</summary>
public static class Peep
{
    private const double ShortBow = 31.5;

    /// <summary>The suggested aperture: nearer the eye on a longer bow, so smaller.</summary>
    public static string Aperture(double? axleToAxle) => axleToAxle < ShortBow ? "1/4 in" : "3/16 in";

    /// <summary>Twists that bring it round: one at the far end is about a quarter turn, at the near end half to three quarters.</summary>
    public static string Cure(double degrees)
    {
        var turned = Math.Abs(degrees);
        return turned >= 135 ? "One string twist at the peep's near end turns it about half to three quarters round."
            : turned >= 45 ? "One string twist at the far end turns it about a quarter round."
            : "Slip it half a strand, or half a twist at the far end.";
    }

    internal static string Turned(double degrees) => $"Turned {Show.Number(Math.Abs(degrees), 0)}° {(degrees > 0 ? "clockwise" : "counter-clockwise")} from above.";
}
