using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Paper;

/// <summary>A paper to start: bow, arrow version, stages, and how it is decided.</summary>
public sealed record PaperInput(
    string? Id,
    string BowId,
    string ArrowVersionId,
    IReadOnlyList<StageInput> Stages,
    double? Tolerance = null,
    SessionKind Kind = SessionKind.Tune,
    School? School = null,
    int ShotsPerDecision = SessionPlan.UntilClear,
    bool ByMachine = false,
    string? DozenId = null,
    bool BothAxes = false,
    StraightMiss Straight = StraightMiss.MoveTheSight
) : IOfBow
{
    /// <summary>The paper to be started.</summary>
    /// <exception cref="RefusedException">A stage cannot be read, or a figure is outside its range.</exception>
    public NewPaper Read()
    {
        var fields = new FieldReader();
        var tolerance = Tolerance ?? Tolerances.Usual;
        fields.Inside("tolerance", tolerance, SheetLimits.Tolerance);
        fields.Check(
            SessionPlan.Decisions.Contains(ShotsPerDecision),
            "shotsPerDecision",
            "range",
            PaperSays.NoSuchDecision
        );
        fields.Check(
            Stages.Count > 0 && Stages.Count <= SessionPlan.MostStages,
            "stages",
            "range",
            new TooMany(SessionPlan.MostStages)
        );
        fields.Check(
            Kind == SessionKind.Tune || Stages.All(s => !s.AtTarget),
            "stages",
            "other-stage",
            GroupSays.TrialAtPaper
        );
        foreach (var stage in Stages.Take(SessionPlan.MostStages))
        {
            stage.Check(fields, "stages");
        }

        var distances = Stages.Take(SessionPlan.MostStages).Select((s, i) => Distance(fields, i, s)).ToArray();
        fields.ThrowIfAny();
        PlannedStage[] stages = [.. Stages.Select((s, i) => s.At(distances[i]!.Value))];
        var plan = new SessionPlan(Kind, School, stages, ShotsPerDecision, ByMachine, DozenId, BothAxes, Straight);
        return new NewPaper(ClientId.Checked(Id), BowId, ArrowVersionId, tolerance, plan, distances[0]!);
    }

    private static Entry? Distance(FieldReader fields, int place, StageInput stage) =>
        fields.Required(
            place == 0 ? "distance" : $"distance{place + 1}",
            stage.Distance,
            Quantity.Distance,
            stage.Distances
        );
}

/// <summary>A set to start; a control names what it changes, a trial or a control arrow its version.</summary>
public sealed record SetInput(
    string? Id,
    string? Distance,
    bool Fletched,
    SetPurpose Purpose = SetPurpose.Session,
    string? ArrowVersionId = null,
    bool AtTarget = false,
    bool Heads = false,
    WalkPins? Walk = null,
    bool Sighting = false,
    TwoWays? Ways = null,
    double? RangeError = null,
    bool NockEnd = false
)
{
    /// <summary>The set begun in a session.</summary>
    public IReadOnlyList<NewAct> Begin(TuningSession session, string arrow)
    {
        var fields = new FieldReader();
        var stage = new StageInput(Distance, Fletched, AtTarget, Heads, Walk, Sighting, Ways, RangeError, NockEnd);
        var distance = fields.Required("distance", Distance, Quantity.Distance, stage.Distances);
        stage.Check(fields, "heads");
        fields.ThrowIfAny();
        return SessionActs.Begin(session, ClientId.Checked(Id), stage.At(distance!.Value), distance, Purpose, arrow);
    }
}

/// <summary>
/// A shot as marked: inches on the sheet as it was read. Words win over typed inches, and those over a marked tail.
/// </summary>
public sealed record ShotInput(
    string? Id,
    Hole Point,
    Hole? Tail,
    TailTyped? Typed,
    SheetSide Side,
    ShooterWords? Words = null,
    string? ArrowNumber = null
)
{
    /// <summary>As it was marked.</summary>
    public Marked Read() => new(Point, Tail, Typed, Side, Words, ArrowNumber);
}

/// <summary>Voids a shot with a reason or calls it doubtful; neither counts it again.</summary>
public sealed record MarkInput(string? Id, string? Reason, bool Doubtful = false);

/// <summary>A move on the other axis, made in the same visit to the press.</summary>
public sealed record AlsoInput(AdjusterKind Adjuster, double To, double? From = null);

/// <summary>
/// A move as it was really made: one adjuster, both yoke legs, or the spacers of both cams. One that is logged late
/// names the set it came after.
/// </summary>
/// <param name="From">Where the adjuster was seen to stand; if it stands elsewhere by now, it is refused.</param>
/// <param name="Also">What was moved with it.</param>
public sealed record MoveInput(
    string? Id,
    AdjusterKind? Adjuster = null,
    double? To = null,
    string? Corrects = null,
    string? Note = null,
    DateTimeOffset? HappenedAt = null,
    string? AfterSetId = null,
    double? From = null,
    YokeInput? Yoke = null,
    SpacerInput? Spacers = null,
    AlsoInput? Also = null
)
{
    /// <summary>The moves.</summary>
    /// <param name="standing">The bow's adjusters as they stand.</param>
    public IReadOnlyList<MoveWanted> Read(IReadOnlyList<Adjuster> standing)
    {
        var also = Also is null ? null : new MoveTold(Also.Adjuster, Also.To, From: Also.From);
        var told = BowMoveInput.Told(Adjuster, To, Yoke, Spacers, From) with { Also = also };
        return
        [
            .. told.Read(standing)
                .Select(m =>
                    m with
                    {
                        Corrects = Corrects,
                        Note = Texts.Note(Note),
                        HappenedAt = HappenedAt,
                        AfterSet = AfterSetId,
                    }
                ),
        ];
    }
}

/// <summary>Ends the paper, or opens it again.</summary>
public sealed record AcceptInput(bool Accepted, string? Id = null)
{
    /// <summary>What follows.</summary>
    public IReadOnlyList<NewAct> Acts(TuningSession session, string id) =>
        Accepted ? SessionActs.Accept(session, id) : SessionActs.Reopen(session, id);
}

/// <summary>A note, or a rung of the ladder with what came of it.</summary>
public sealed record NoteInput(string? Id, RungKind? Rung = null, string? Outcome = null, string? Note = null)
{
    /// <summary>The act.</summary>
    /// <exception cref="RefusedException">A rung without an outcome, or a note without a word.</exception>
    public NewAct Read()
    {
        var fields = new FieldReader();
        fields.Check(
            Rung is null || SessionLadder.Outcomes.Contains(Outcome),
            "outcome",
            "unknown-word",
            PaperSays.OutcomeWanted
        );
        fields.Check(Rung is not null || !string.IsNullOrWhiteSpace(Note), "note", "empty", PaperSays.NoteWanted);
        fields.ThrowIfAny();
        var note = Texts.Note(Note);
        return new NewAct(
            ClientId.Checked(Id),
            Rung is { } rung ? new RungAnswered(rung, Outcome!, note) : new NoteMade(note)
        );
    }
}

/// <summary>What is forgotten; no kinds is everything.</summary>
public sealed record ResetInput(string? Id, IReadOnlyList<AdjusterKind> Kinds, string? Reason);

/// <summary>Whether what bows of the same make taught is taken over.</summary>
public sealed record BorrowingInput(bool Borrows);
