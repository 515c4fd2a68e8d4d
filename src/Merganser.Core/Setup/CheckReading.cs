using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>What was found at one check: a number, a picked answer, or a reason for leaving it.</summary>
/// <param name="Kind">Which check.</param>
/// <param name="Value">The number in the trade unit, or null.</param>
/// <param name="Choice">The picked answer's code, or null.</param>
/// <param name="SkipReason">Why it was left open, or null.</param>
public sealed record CheckFinding(CheckKind Kind, double? Value, string? Choice, string? SkipReason);

/// <summary>A finding judged: verdict, words, what to do, who may do it.</summary>
public sealed record CheckVerdict(Verdict Verdict, Message Words, Message ToDo, bool Press);

/// <summary>
/// Judges findings against the maker's figure, the trade's window or the state in which the bow shot well.
/// </summary>
public static class CheckReading
{
    /// <summary>Legal play of axle-to-axle and brace height, inches (common practice, no source).</summary>
    public const double MakerPlay = 1.0 / 8;

    /// <summary>Tiller of a compound, even within this, inches (common practice, no source).</summary>
    public const double TillerPlay = 1.0 / 16;

    /// <summary>
    /// How much wider a first reading may lie from what is marked or usual than a later one from the last (trade-like
    /// guess, no source).
    /// </summary>
    public const double FirstReadingSlack = 3;

    /// <summary>Below this a number is just as aimed, in its own unit.</summary>
    private const double JustAsAimed = 0.0005;

    /// <summary>A peep that is turned this far or less is seen round, degrees (common practice, no source).</summary>
    private const double PeepPlay = 15;

    /// <summary>The tolerance of a check on a bow, or null where none exists.</summary>
    public static Tolerance? ToleranceOf(CheckKind kind, Bow bow) =>
        kind switch
        {
            CheckKind.DrawWeight when bow.MaximumWeight is { } most => new Tolerance(
                Math.Min(bow.NominalWeight ?? most, most),
                0,
                most,
                ToleranceSource.MakersMaximum
            ),
            CheckKind.AxleToAxle when bow.MakerAxleToAxle is { } axle => About(
                axle,
                MakerPlay,
                ToleranceSource.MakersFigure
            ),
            CheckKind.BraceHeight when bow.MakerBraceHeight is { } brace => About(
                brace,
                MakerPlay,
                ToleranceSource.MakersFigure
            ),
            CheckKind.Tiller when bow.Kind == BowKind.Compound => About(0, TillerPlay, ToleranceSource.BoltsEven),
            CheckKind.Tiller when bow.Kind == BowKind.Barebow => About(
                0,
                1.0 / 8,
                ToleranceSource.EvenForStringWalkers
            ),
            CheckKind.Tiller when bow.Release == Release.Fingers => new Tolerance(
                1.0 / 8,
                0,
                1.0 / 4,
                ToleranceSource.PositiveForFingers
            ),
            CheckKind.CentreShot when bow.Kind == BowKind.Compound => CentreShot.Tolerance(bow.MakerCentreShot),
            CheckKind.CentreShot => new Tolerance(1.0 / 16, 0, 1.0 / 8, ToleranceSource.PointOutside),
            CheckKind.NockingPoint when bow.Kind == BowKind.Compound => new Tolerance(
                1.0 / 16,
                0,
                1.0 / 8,
                ToleranceSource.LevelToHigh
            ),
            CheckKind.NockingPoint => new Tolerance(3.0 / 8, 1.0 / 8, 5.0 / 8, ToleranceSource.HighForFingers),
            CheckKind.Peep => About(0, PeepPlay, ToleranceSource.SeenRound),
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
        var fact = CheckTable.Of(finding.Kind);
        if (finding.Value is not { } value)
        {
            var choice = fact.Choices.First(c => c.Code == finding.Choice);
            var answer = new Picked(
                new ChoiceLabel(finding.Kind, choice.Code),
                choice.Code == Unsound.Repaired ? by : null
            );
            return new CheckVerdict(
                choice.Verdict,
                answer,
                WithPress(choice.ToDo, choice.Press, hasPress),
                choice.Press
            );
        }

        if (ToleranceOf(finding.Kind, bow) is not { } tolerance)
        {
            Message recorded = good is { } then
                ? new RecordedAgainst(fact.Of(then), fact.Of(value - then))
                : SetupSays.RecordedNoTolerance;
            Message compare =
                finding.Kind == CheckKind.CamLean
                    ? new CheckToDo(finding.Kind, bow.Kind)
                    : SetupSays.CompareWithGoodState;
            return new CheckVerdict(Verdict.Recorded, recorded, compare, false);
        }

        var verdict = Of(value, tolerance, fact.ReadingError);
        var off = value - tolerance.Aim;
        Message offset =
            Math.Abs(off) < JustAsAimed
                ? SetupSays.JustAsAimed
                : new OffAim(finding.Kind, fact.Of(Math.Abs(off)), off > 0);
        return verdict == Verdict.Beyond
            ? new CheckVerdict(
                verdict,
                new Judged(verdict, offset),
                WithPress(ToDo(finding.Kind, bow.Kind, off), fact.Press, hasPress),
                fact.Press
            )
            : new CheckVerdict(verdict, new Judged(verdict, offset), SetupSays.LeaveIt, false);
    }

    /// <summary>At the edge when the reading's own error reaches across a limit.</summary>
    public static Verdict Of(double value, Tolerance tolerance, double error)
    {
        var room = Math.Min(value - tolerance.Low, tolerance.High - value);
        if (room > error)
        {
            return Verdict.Within;
        }

        return room >= -error ? Verdict.AtTheEdge : Verdict.Beyond;
    }

    /// <summary>
    /// A question about an odd reading, or null: never a refusal. A first reading is held against what is marked, typed
    /// or usual.
    /// </summary>
    /// <param name="kind">The check.</param>
    /// <param name="value">Read now, trade unit.</param>
    /// <param name="last">Read last time, or null.</param>
    /// <param name="bow">The bow, for what is marked or usual; null asks only against the last reading.</param>
    public static OddReading? Suspicion(CheckKind kind, double value, double? last, Bow? bow = null)
    {
        var fact = CheckTable.Of(kind);
        var (held, against, slack) = last is not null ? (last, HeldAgainst.LastTime, 1) : Expected(kind, bow);
        if (held is not { } expected || fact.Suspicious <= 0 || Math.Abs(value - expected) <= fact.Suspicious * slack)
        {
            return null;
        }

        var title = new CheckTitle(kind, bow?.Kind ?? BowKind.Compound);
        return new OddReading(title, Rounded(Math.Abs(value - expected)), value > expected, against, Rounded(expected));

        Measure Rounded(double of) => fact.Of(of) with { Decimals = Math.Min(2, fact.Of(of).Decimals) };
    }

    private static Tolerance About(double aim, double play, ToleranceSource from) =>
        new(aim, aim - play, aim + play, from);

    private static (double? Value, HeldAgainst Against, double Slack) Expected(CheckKind kind, Bow? bow) =>
        kind switch
        {
            _ when bow is null => (null, HeldAgainst.Usual, 1),
            CheckKind.DrawWeight when bow.MeasuredWeight is { } measured => (measured, HeldAgainst.MeasuredBefore, 1),
            CheckKind.DrawWeight => (bow.NominalWeight, HeldAgainst.Marked, FirstReadingSlack),
            CheckKind.AxleToAxle when bow.AxleToAxle is { } axle => (axle, HeldAgainst.Entered, 1),
            CheckKind.BraceHeight => (bow.BraceHeight, HeldAgainst.Entered, 1),
            CheckKind.CamLean => (0, HeldAgainst.Upright, FirstReadingSlack),
            _ => (ToleranceOf(kind, bow)?.Aim, HeldAgainst.Usual, FirstReadingSlack),
        };

    private static Message ToDo(CheckKind kind, BowKind bow, double off) =>
        kind switch
        {
            CheckKind.CentreShot when off < 0 => new Sentences([
                new MoveRest(Measure.AsRead(-off), false),
                SetupSays.RiserMayBlockSight,
            ]),
            CheckKind.CentreShot => new MoveRest(Measure.AsRead(off), true),
            CheckKind.Peep => new Sentences([Peep.Cure(off), new CheckToDo(kind, bow)]),
            CheckKind.BraceHeight => off > 0 ? SetupSays.TwistsOut : SetupSays.TwistsIn,
            _ => new CheckToDo(kind, bow),
        };

    /// <summary>What is to be done, with who may do it added: a sentence of safety is never replaced.</summary>
    private static Message WithPress(Message toDo, bool press, bool hasPress)
    {
        var whoMay = hasPress ? SetupSays.OnlyInThePress : SetupSays.ShopDoesIt;
        return press ? new Sentences([toDo, whoMay]) : toDo;
    }
}

/// <summary>Centre shot: the arrow's centre against the riser, inches.</summary>
public static class CentreShot
{
    /// <summary>13/16 in (20.64 mm), where the maker says nothing (common practice, no source).</summary>
    public const double Usual = 13.0 / 16;

    /// <summary>Half the legal window: 11/16 to 15/16 in (17.46 to 23.81 mm).</summary>
    public const double HalfWindow = 1.0 / 8;

    /// <summary>Below this the rest stays where it is, inches.</summary>
    public const double Equal = 0.001;

    /// <summary>The window around the maker's figure, else around 13/16 in.</summary>
    public static Tolerance Tolerance(double? maker)
    {
        var aim = maker ?? Usual;
        var from = maker is null ? ToleranceSource.UsualCentreShot : ToleranceSource.MakersCentreShot;
        return new Tolerance(aim, aim - HalfWindow, aim + HalfWindow, from);
    }

    /// <summary>
    /// By caliper: how far the rest moves in when the arrow stands farther from the riser in front than behind, (front
    /// − rear)·D/s.
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

    /// <summary>The clicks of a rest that move it so far in, + clicks to the right, and what is left over.</summary>
    /// <param name="movesIn">Inches that the rest moves in; negative is out.</param>
    /// <param name="inchesPerClick">Above 0.</param>
    /// <param name="hand">The hand that draws: in is to the right on a right-handed bow.</param>
    public static (int Clicks, double Left) Clicks(double movesIn, double inchesPerClick, Hand hand)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(inchesPerClick);
        var clicks = (int)Math.Round(movesIn / inchesPerClick);
        return (hand == Hand.Right ? clicks : -clicks, Math.Abs(movesIn - (clicks * inchesPerClick)));
    }

    /// <summary>
    /// Where centre shot stands after the rest moved so many clicks from where it was measured; + clicks are to the
    /// right.
    /// </summary>
    public static double After(double measured, double clicks, double inchesPerClick, Hand hand) =>
        measured + (clicks * inchesPerClick * (hand == Hand.Right ? -1 : 1));
}

/// <summary>The peep's aperture and turning (common practice, no source).</summary>
public static class Peep
{
    private const double ShortBow = 31.5;
    private const double NearlyRound = 135;
    private const double Quarter = 45;

    /// <summary>The suggested aperture: nearer the eye on a longer bow, so smaller.</summary>
    public static Message Aperture(double? axleToAxle) =>
        new Aperture(Measure.Ruled(axleToAxle < ShortBow ? 1.0 / 4 : 3.0 / 16));

    /// <summary>
    /// Twists that bring it round: one at the far end is about a quarter turn, at the near end half to three quarters.
    /// </summary>
    public static PeepCure Cure(double degrees) =>
        new(
            Math.Abs(degrees) switch
            {
                >= NearlyRound => PeepTurn.HalfRound,
                >= Quarter => PeepTurn.Quarter,
                _ => PeepTurn.HalfAStrand,
            }
        );
}
