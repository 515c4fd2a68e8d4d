using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Paper;

/// <summary>A stage as typed.</summary>
public sealed record StageInput(string? Distance, bool Fletched);

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
    string? DozenId = null
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
        var distances = Stages.Take(SessionPlan.MostStages).Select((s, i) => Distance(fields, i, s)).ToArray();
        fields.ThrowIfAny();
        PlannedStage[] stages = [.. Stages.Select((s, i) => new PlannedStage(distances[i]!.Value, s.Fletched))];
        var plan = new SessionPlan(Kind, School, stages, ShotsPerDecision, ByMachine, DozenId);
        return new NewPaper(ClientId.Checked(Id), BowId, ArrowVersionId, tolerance, plan, distances[0]!);
    }

    private static Entry? Distance(FieldReader fields, int place, StageInput stage) =>
        fields.Required(
            place == 0 ? "distance" : $"distance{place + 1}",
            stage.Distance,
            Quantity.Distance,
            SheetLimits.Distances
        );
}

/// <summary>A set to start; a control names what it changes, a trial or a control arrow its version.</summary>
public sealed record SetInput(
    string? Id,
    string? Distance,
    bool Fletched,
    SetPurpose Purpose = SetPurpose.Session,
    string? ArrowVersionId = null
)
{
    /// <summary>The set begun in a session.</summary>
    public IReadOnlyList<NewAct> Begin(TuningSession session, string arrow)
    {
        var fields = new FieldReader();
        var distance = fields.Required("distance", Distance, Quantity.Distance, SheetLimits.Distances);
        fields.ThrowIfAny();
        return SessionActs.Begin(
            session,
            ClientId.Checked(Id),
            new PlannedStage(distance!.Value, Fletched),
            distance,
            Purpose,
            arrow
        );
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

/// <summary>A move as it was really made; one that is logged late names the set it came after.</summary>
/// <param name="From">Where the adjuster was seen to stand; if it stands elsewhere by now, it is refused.</param>
public sealed record MoveInput(
    string? Id,
    AdjusterKind Adjuster,
    int To,
    string? Corrects = null,
    string? Note = null,
    DateTimeOffset? HappenedAt = null,
    string? AfterSetId = null,
    int? From = null
)
{
    /// <summary>The move.</summary>
    public MoveWanted Read() =>
        new(Adjuster, To, Corrects, Texts.Note(Note), HappenedAt, AfterSet: AfterSetId, From: From);
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

/// <summary>Usual stages to pick from.</summary>
public sealed record StageChoice(string Code, Message Words, IReadOnlyList<PlannedStage> Stages);

/// <summary>What a plan and a marking are picked from.</summary>
public sealed record PaperChoices(
    IReadOnlyList<StageChoice> Stages,
    IReadOnlyList<SaidSize> Sizes,
    IReadOnlyList<Message> BeforeYouShoot,
    Message UsualTolerance,
    Message StrictTolerance
);

/// <summary>A page of a bow's papers in a line each, the newest first.</summary>
/// <param name="Papers">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record PaperPage(IReadOnlyList<PaperLine> Papers, string? Earlier)
{
    /// <summary>Papers on a page.</summary>
    public const int Length = 20;
}

/// <summary>The paper that was begun last; null for a bow that has none.</summary>
public sealed record NewestPaper(PaperView? Paper);

public static class PaperEndpoints
{
    public static void MapPaper(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{bowId}/paper-choices", (string bowId) => Choices());
        api.MapGet(
            "/bows/{bowId}/papers",
            (string bowId, string? before, PaperStore papers) =>
            {
                var found = papers.Lines(bowId, PaperPage.Length + 1, before);
                PaperLine[] shown = [.. found.Take(PaperPage.Length)];
                return new PaperPage(shown, found.Count > shown.Length ? shown[^1].Id : null);
            }
        );
        api.MapGet(
            "/bows/{bowId}/papers/newest",
            (string bowId, PaperStore papers, PaperDesk desk) =>
                new NewestPaper(papers.Newest(bowId) is { } paper ? desk.View(paper) : null)
        );
        api.MapGet("/bows/{bowId}/tolerated", (string bowId, PaperDesk desk) => desk.Tolerated(bowId));
        api.MapGet("/papers/{id}", (string id, PaperDesk desk) => desk.View(id));
        api.MapPost(
            "/papers",
            (PaperInput input, PaperStore papers, PaperDesk desk) => desk.View(papers.Start(input.Read()))
        );
        api.MapPost(
            "/papers/{id}/sets",
            (string id, SetInput input, PaperStore papers, ArrowStore arrows, PaperDesk desk) =>
                desk.View(
                    papers.Append(
                        id,
                        ClientId.Checked(input.Id),
                        s => input.Begin(s, arrows.Known(input.ArrowVersionId) ?? s.Sets[0].Begun.Arrow)
                    )
                )
        );
        api.MapPost(
            "/sets/{id}/shots",
            (string id, ShotInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.Mark(id, ClientId.Checked(input.Id), input.Read()))
        );
        api.MapPost(
            "/shots/{id}/marks",
            (string id, MarkInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.Judge(id, ClientId.Checked(input.Id), Texts.Reason(input.Reason), input.Doubtful))
        );
        api.MapPost(
            "/papers/{id}/moves",
            (string id, MoveInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(
                    papers.Append(
                        id,
                        ClientId.Checked(input.Id),
                        s => SessionActs.Move(s, ClientId.Checked(input.Id), input.Read())
                    )
                )
        );
        api.MapPost(
            "/papers/{id}/accept",
            (string id, AcceptInput input, PaperStore papers, PaperDesk desk) =>
            {
                var act = input.Id is null ? Guid.NewGuid().ToString() : ClientId.Checked(input.Id);
                return desk.View(papers.Append(id, act, s => input.Acts(s, act)));
            }
        );
        api.MapPost(
            "/papers/{id}/notes",
            (string id, NoteInput input, PaperStore papers, PaperDesk desk) =>
            {
                var note = input.Read();
                return desk.View(papers.Append(id, note.Id, _ => [note]));
            }
        );
        api.MapDelete(
            "/papers/{id}/notes/{noteId}",
            (string id, string noteId, PaperStore papers, PaperDesk desk) => desk.View(papers.WithdrawNote(id, noteId))
        );
        api.MapGet("/bows/{bowId}/response", (string bowId, ResponseDesk desk) => desk.View(bowId));
        api.MapPost(
            "/bows/{bowId}/response/resets",
            (string bowId, ResetInput input, ResponseStore responses, ResponseDesk desk) =>
            {
                responses.Reset(bowId, ClientId.Checked(input.Id), input.Kinds, Texts.Reason(input.Reason) ?? "");
                return desk.View(bowId);
            }
        );
        api.MapDelete(
            "/bows/{bowId}/response/resets/{id}",
            (string bowId, string id, ResponseStore responses, ResponseDesk desk) =>
            {
                responses.Withdraw(bowId, id);
                return desk.View(bowId);
            }
        );
    }

    private static PaperChoices Choices() =>
        new(
            [
                .. SessionPlan.Usual.Select(u => new StageChoice(
                    u.Code,
                    new UsualStages(u.Code, [.. u.Stages.Select(s => Measure.Yards(s.Distance))]),
                    u.Stages
                )),
            ],
            ShooterWords.Sizes,
            [PaperSays.PaperTaut, PaperSays.TargetBehind, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            new Amount(Measure.Ruled(Tolerances.Usual)),
            new Amount(Measure.Ruled(Tolerances.Strict))
        );
}
