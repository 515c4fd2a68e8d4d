using System.Text.Json.Serialization;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Sessions;

/// <summary>
/// Something that happened in a session. The list of them, in order, is the session: it replays, undoes and exports by
/// it.
/// </summary>
/// <param name="Id">Its id; that of a set, a shot, a move or a note is the id of the thing itself.</param>
/// <param name="Order">Its place in the session, ascending.</param>
/// <param name="Happened">When it happened.</param>
/// <param name="Recorded">When it was written down.</param>
/// <param name="Act">What it was.</param>
public sealed record SessionEvent(
    string Id,
    int Order,
    DateTimeOffset Happened,
    DateTimeOffset Recorded,
    SessionAct Act
);

/// <summary>What can happen in a session.</summary>
public abstract record SessionAct;

/// <summary>
/// A set was begun: of the session itself, or a control that changes one thing and leaves the bow alone.
/// </summary>
/// <param name="Stage">Distance and vanes.</param>
/// <param name="DistanceTyped">The distance as it was typed.</param>
/// <param name="Purpose">What it is shot for.</param>
/// <param name="Arrow">The arrow's version.</param>
/// <param name="Instead">The empty set that it takes the place of, or null.</param>
public sealed record SetBegun(
    PlannedStage Stage,
    string DistanceTyped,
    SetPurpose Purpose,
    string Arrow,
    string? Instead = null
) : SessionAct;

/// <summary>A shot was marked: the raw holes as they were read, and how, or where it struck a target.</summary>
/// <param name="Set">Its set.</param>
/// <param name="Point">The point's hole, inches on the sheet; at a target the place from its own aiming point.</param>
/// <param name="Tail">The tail's hole; at a target the same place.</param>
/// <param name="Side">The face of the sheet that was read.</param>
/// <param name="ArrowNumber">Which arrow of the dozen, where it was said.</param>
/// <param name="Said">True when it was said in the shooter's words.</param>
/// <param name="Arrow">With vanes or without, at a target; null at the paper, where the stage says it.</param>
/// <param name="Flight">How it was seen to fly to a target, where it was said.</param>
/// <param name="Yards">From where it was shot, yards, in a walk-back; null elsewhere, where the stage says it.</param>
/// <param name="Way">Which of two ways that are compared; null elsewhere.</param>
/// <param name="SightFor">For which distance the sight was set, yards, where a range error is tried; null
/// elsewhere.</param>
public sealed record ShotMarked(
    string Set,
    Hole Point,
    Hole Tail,
    SheetSide Side,
    string? ArrowNumber = null,
    bool Said = false,
    ArrowKind? Arrow = null,
    Flight? Flight = null,
    double? Yards = null,
    WayShot? Way = null,
    double? SightFor = null
) : SessionAct
{
    /// <summary>How the shaft stands in the target, where it was said.</summary>
    public Slant? Slant { get; init; }

    /// <summary>The tear as the archer sees it.</summary>
    public Tear Tear { get; } = Tear.Between(Point, Tail, Side);

    /// <summary>Where it struck, from the aiming point of its kind.</summary>
    public Impact Impact => new(Point.X, Point.Y);
}

/// <summary>The sight was moved.</summary>
/// <param name="Pin">How the pin was moved.</param>
/// <param name="Sight">The sight it was computed with.</param>
public abstract record SightAct(SightMove Pin, Sight Sight) : SessionAct;

/// <summary>The sight was moved for heads alone: from here on they are aimed with a mark of their own.</summary>
/// <param name="Pin">How the pin was moved from the heads' last mark, or from the field points'.</param>
/// <param name="Sight">The sight it was computed with.</param>
public sealed record HeadMarkMoved(SightMove Pin, Sight Sight) : SightAct(Pin, Sight);

/// <summary>
/// The sight was moved, or set otherwise: walks before it are kept apart from those after it.
/// </summary>
/// <param name="Pin">How the pin was moved; nought where it was levelled, or set by its hits.</param>
/// <param name="Sight">The sight it was computed with.</param>
public sealed record SightMoved(SightMove Pin, Sight Sight) : SightAct(Pin, Sight);

/// <summary>A shot was voided, with a reason; it stays on record.</summary>
public sealed record ShotVoided(string Shot, string Reason) : SessionAct;

/// <summary>A shot was called doubtful.</summary>
public sealed record ShotDoubted(string Shot) : SessionAct;

/// <summary>A shot that was voided or doubted counts again.</summary>
public sealed record ShotCounted(string Shot) : SessionAct;

/// <summary>An entry in the log of moves.</summary>
/// <param name="Adjuster">What was moved.</param>
/// <param name="From">Step it stood at.</param>
/// <param name="To">Step it stands at after it.</param>
/// <param name="Note">A person's own words, or empty.</param>
/// <param name="Seats">The seats of cam spacers after it, where they are known.</param>
public abstract record MoveAct(AdjusterKind Adjuster, double From, double To, string Note, SpacerSeats? Seats)
    : SessionAct
{
    /// <summary>The seats before it, where they are known.</summary>
    public SpacerSeats? SeatsBefore { get; init; }
}

/// <summary>An adjuster was moved. One that is logged late names the set it came after.</summary>
public sealed record MoveMade(
    AdjusterKind Adjuster,
    double From,
    double To,
    string Note = "",
    SpacerSeats? Seats = null,
    string? AfterSet = null
) : MoveAct(Adjuster, From, To, Note, Seats);

/// <summary>The entry of a move was wrong: this is where it really went.</summary>
public sealed record MoveCorrected(
    string Move,
    AdjusterKind Adjuster,
    double From,
    double To,
    string Note = "",
    SpacerSeats? Seats = null
) : MoveAct(Adjuster, From, To, Note, Seats);

/// <summary>A move was turned back on the bow.</summary>
public sealed record MoveTurnedBack(
    string Move,
    AdjusterKind Adjuster,
    double From,
    double To,
    string Note = "",
    SpacerSeats? Seats = null
) : MoveAct(Adjuster, From, To, Note, Seats);

/// <summary>A rung of the ladder was looked at.</summary>
public sealed record RungAnswered(RungKind Rung, string Outcome, string Note) : SessionAct;

/// <summary>Words alone.</summary>
public sealed record NoteMade(string Note) : SessionAct;

/// <summary>How it was shot, from here on.</summary>
/// <param name="Seated">Shot from a seat.</param>
/// <param name="TargetHeight">Middle of the paper above the ground, inches, or null.</param>
/// <param name="Wind">The wind in the archer's words, or empty.</param>
/// <param name="By">Who or what shoots: the archer, another, or a machine.</param>
/// <param name="Across">The wind across, miles an hour, from the left positive; 0 for none, or none said.</param>
/// <param name="Face">The face on the butt; null for a plain one.</param>
/// <param name="Taped">True where bare shafts are taped to the weight of the vanes.</param>
public sealed record ConditionsNoted(
    bool Seated,
    double? TargetHeight,
    string Wind,
    SetPurpose By,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double Across = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] TargetFace? Face = null,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] bool Taped = false
) : SessionAct;

/// <summary>An entry was taken back; it stays on record.</summary>
public sealed record EntryWithdrawn(string Entry) : SessionAct;

/// <summary>What was learned before this is forgotten; no kinds is all of it.</summary>
/// <param name="Kinds">The adjusters whose answers are forgotten.</param>
/// <param name="Here">True when it was forgotten in the middle of this session: its shots before it count no
/// more.</param>
public sealed record LearningForgotten(IReadOnlyList<AdjusterKind> Kinds, bool Here) : SessionAct;

/// <summary>"I accept this."</summary>
public sealed record Accepted : SessionAct;

/// <summary>The session is in work again.</summary>
public sealed record Reopened : SessionAct;

/// <summary>An act to be written down, with the id that it gets.</summary>
public sealed record NewAct(string Id, SessionAct Act, DateTimeOffset? Happened = null);

/// <summary>A shot as a person marked it.</summary>
public interface IMarked
{
    /// <summary>The shot to be kept.</summary>
    /// <param name="set">Its set.</param>
    /// <param name="stage">What is shot in it.</param>
    /// <exception cref="RefusedException">Nothing was marked, or a field cannot be read.</exception>
    ShotMarked Read(string set, PlannedStage? stage = null);
}

/// <summary>A shot as it was marked at the paper: typed, said or pressed on the sheet.</summary>
/// <param name="Point">The point's hole.</param>
/// <param name="Tail">The tail's hole, where it was pressed.</param>
/// <param name="Typed">Where the one hole lies from the other, as typed.</param>
/// <param name="Side">The face of the sheet that is read.</param>
/// <param name="Words">In the shooter's words; they win over typed inches, and those over a pressed hole.</param>
/// <param name="ArrowNumber">Which arrow of the dozen.</param>
public sealed record Marked(
    Hole Point,
    Hole? Tail,
    TailTyped? Typed,
    SheetSide Side,
    ShooterWords? Words = null,
    string? ArrowNumber = null
) : IMarked
{
    private const int LongestNumber = 8;

    /// <summary>The shot to be kept.</summary>
    /// <exception cref="RefusedException">Nothing was marked, a field cannot be read, or no arrow tears so.</exception>
    public ShotMarked Read(string set, PlannedStage? stage = null)
    {
        var fields = new FieldReader();
        var right = fields.Optional("right", Typed?.Right, Quantity.Length, SheetLimits.Reach);
        var up = fields.Optional("up", Typed?.Up, Quantity.Length, SheetLimits.Reach);
        fields.Check(
            Tail is not null || Typed is not null || Words is not null,
            "tail",
            "missing",
            PaperSays.MarkTheTail
        );
        var number = NumberOf(ArrowNumber, fields);
        fields.Check(Words is null || Words.Known(), "words", "unknown-word", PaperSays.SizeNotInList);
        fields.ThrowIfAny();
        if (Words is not null)
        {
            // Words are said as the archer sees it, whichever face of the sheet is read.
            var tear = Words.Read();
            return Checked(
                new ShotMarked(set, new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide, number, true)
            );
        }

        var sign = Typed?.By == NamedEnd.Point ? -1 : 1;
        var tail = Typed is null
            ? Tail!
            : new Hole(Point.X + (sign * (right?.Value ?? 0)), Point.Y + (sign * (up?.Value ?? 0)));
        return Checked(new ShotMarked(set, Point, tail, Side, number));
    }

    /// <summary>Which arrow of the dozen, or null where it was not said.</summary>
    internal static string? NumberOf(string? typed, FieldReader fields)
    {
        fields.Check((typed?.Length ?? 0) <= LongestNumber, "arrowNumber", "too-long", new TooLong(LongestNumber));
        return string.IsNullOrWhiteSpace(typed) ? null : typed.Trim();
    }

    private static ShotMarked Checked(ShotMarked shot)
    {
        SheetLimits.Check(shot.Point, shot.Tail);
        return shot;
    }
}

/// <summary>
/// The tail's place from the point's hole as typed, as the sheet was read, or the point's from the tail's; empty is 0.
/// </summary>
public sealed record TailTyped(string? Right, string? Up, NamedEnd By = NamedEnd.Tail);
