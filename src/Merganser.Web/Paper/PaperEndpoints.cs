using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Paper;

/// <summary>A stage as typed.</summary>
public sealed record StageInput(string? Distance, bool Fletched);

/// <summary>A paper to start: bow, arrow version, stages, and how it is decided.</summary>
public sealed record PaperInput(
    string? Id, string BowId, string ArrowVersionId, IReadOnlyList<StageInput> Stages, double? Tolerance = null, SessionKind Kind = SessionKind.Tune, School? School = null,
    int ShotsPerDecision = SessionPlan.UntilClear, bool ByMachine = false, string? DozenId = null);

/// <summary>A set to start; a control names what it changes, a trial or a control arrow its version.</summary>
public sealed record SetInput(string? Id, string? Distance, bool Fletched, SetPurpose Purpose = SetPurpose.Session, string? ArrowVersionId = null);

/// <summary>The tail's place from the point's hole as typed, as the sheet was read, or the point's from the tail's; empty is 0.</summary>
public sealed record TailTyped(string? Right, string? Up, NamedEnd By = NamedEnd.Tail);

/// <summary>A shot as marked: inches on the sheet as it was read. Words win over typed inches, and those over a marked tail.</summary>
public sealed record ShotInput(string? Id, Hole Point, Hole? Tail, TailTyped? Typed, SheetSide Side, ShooterWords? Words = null, string? ArrowNumber = null)
{
    private const int LongestNumber = 8;

    /// <summary>The shot to be kept.</summary>
    public NewShot Read(string id)
    {
        var fields = new FieldReader();
        var right = fields.Optional("right", Typed?.Right, Quantity.Length, SheetLimits.Reach);
        var up = fields.Optional("up", Typed?.Up, Quantity.Length, SheetLimits.Reach);
        fields.Check(Tail is not null || Typed is not null || Words is not null, "tail", "missing", "Mark the tail's hole, type its place or say it.");
        fields.Check((ArrowNumber?.Length ?? 0) <= LongestNumber, "arrowNumber", "too-long", $"At most {LongestNumber} characters.");
        fields.Check(Words is null || Words.Known(), "words", "unknown-word", "That size is not in the list.");
        fields.ThrowIfAny();
        var number = string.IsNullOrWhiteSpace(ArrowNumber) ? null : ArrowNumber.Trim();
        if (Words is not null)
        {
            // Words are said as the archer sees it, whichever face of the sheet is read.
            var tear = Words.Read();
            return new NewShot(id, new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide, number, Words.ByTheTail);
        }

        var sign = Typed?.By == NamedEnd.Point ? -1 : 1;
        return new NewShot(id, Point, Typed is null ? Tail! : new Hole(Point.X + (sign * (right?.Value ?? 0)), Point.Y + (sign * (up?.Value ?? 0))), Side, number);
    }
}

/// <summary>Voids a shot with a reason or calls it doubtful; neither counts it again.</summary>
public sealed record MarkInput(string? Id, string? Reason, bool Doubtful = false);

/// <summary>A move as it was really made; one that is logged late names the set it came after.</summary>
public sealed record MoveInput(string? Id, AdjusterKind Adjuster, int To, string? Corrects = null, string? Note = null, DateTimeOffset? HappenedAt = null, string? AfterSetId = null);

/// <summary>Ends the paper, or opens it again.</summary>
public sealed record AcceptInput(bool Accepted);

/// <summary>A note, or a rung of the ladder with what came of it.</summary>
public sealed record NoteInput(string? Id, string? Rung = null, string? Outcome = null, string? Note = null);

/// <summary>What is forgotten; no kinds is everything.</summary>
public sealed record ResetInput(string? Id, IReadOnlyList<AdjusterKind> Kinds, string? Reason);

/// <summary>Usual stages to pick from.</summary>
public sealed record StageChoice(string Code, string Words, IReadOnlyList<PlannedStage> Stages);

/// <summary>What a plan and a marking are picked from.</summary>
public sealed record PaperChoices(IReadOnlyList<StageChoice> Stages, IReadOnlyList<SaidSize> Sizes, IReadOnlyList<string> BeforeYouShoot);

public static class PaperEndpoints
{
    private const int LongestReason = 120;
    private const int MostStages = 8;
    private static readonly int[] Decisions = [1, 2, 3, 5];
    private static readonly string[] Outcomes = ["nothing", "found", "shot", "left"];
    private static readonly AllowedRange AllowedTolerance = new(0.05, 1, "in", "from a single clean hole to a first rough setting");

    private static readonly string[] BeforeYouShoot =
    [
        "Paper taut, and the arrow level through it.",
        "Target a yard or more behind the paper, so that the whole arrow has left it before the point stops.",
        "Backstop and a clear range behind; nobody in front of the line, one shooter at a time.",
        "Every shaft looked over and flexed: a cracked one is destroyed, not shot.",
    ];

    public static void MapPaper(this IEndpointRouteBuilder api)
    {
        api.MapGet("/paper-choices", () => new PaperChoices([.. SessionPlan.Usual.Select(u => new StageChoice(u.Code, u.Words, u.Stages))], ShooterWords.Sizes, BeforeYouShoot));
        api.MapGet("/bows/{bowId}/papers", (string bowId, int? newest, PaperStore papers, PaperDesk desk, Database database) =>
        {
            IEnumerable<PaperRow> rows = newest == 1 ? papers.Newest(bowId) is { } last ? [last] : [] : papers.Of(bowId).Take(newest ?? int.MaxValue);
            return database.Unreadable.Each("paper", rows, row => row.Id, desk.View);
        });
        api.MapGet("/bows/{bowId}/tolerated", (string bowId, PaperDesk desk) => desk.Tolerated(bowId));
        api.MapGet("/papers/{id}", (string id, PaperDesk desk) => desk.View(id));
        api.MapPost("/papers", (PaperInput input, PaperStore papers, PaperDesk desk) =>
        {
            var (plan, first) = Plan(input);
            return desk.View(papers.Start(ClientId.Checked(input.Id), input.BowId, input.ArrowVersionId, input.Tolerance ?? Tolerances.Usual, first, plan.Stages[0].Fletched, plan));
        });
        api.MapPost("/papers/{id}/sets", (string id, SetInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.StartSet(id, new NewSet(ClientId.Checked(input.Id), Distance(input.Distance), input.Fletched, input.Purpose, input.ArrowVersionId))));
        api.MapPost("/sets/{id}/shots", (string id, ShotInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.AddShot(id, input.Read(ClientId.Checked(input.Id)))));
        api.MapPost("/shots/{id}/marks", (string id, MarkInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.Mark(id, ClientId.Checked(input.Id), Reason(input.Reason), input.Doubtful)));
        api.MapPost("/papers/{id}/moves", (string id, MoveInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.Move(id, new NewMove(ClientId.Checked(input.Id), "", id, input.Adjuster, input.To, input.Corrects, Note(input.Note), input.HappenedAt, AfterSetId: input.AfterSetId))));
        api.MapPost("/papers/{id}/accept", (string id, AcceptInput input, PaperStore papers, PaperDesk desk) => desk.View(papers.Accept(id, input.Accepted)));
        api.MapPost("/papers/{id}/notes", (string id, NoteInput input, PaperStore papers, PaperDesk desk) =>
        {
            var fields = new FieldReader();
            fields.Check(input.Rung is null || Outcomes.Contains(input.Outcome), "outcome", "unknown-word", "Nothing found, something found, shot, or left.");
            fields.Check(input.Rung is not null || !string.IsNullOrWhiteSpace(input.Note), "note", "empty", "A note of at least one word.");
            fields.ThrowIfAny();
            return desk.View(papers.Note(id, ClientId.Checked(input.Id), input.Rung, input.Rung is null ? null : input.Outcome, Note(input.Note)));
        });
        api.MapDelete("/papers/{id}/notes/{noteId}", (string id, string noteId, PaperStore papers, PaperDesk desk) => desk.View(papers.WithdrawNote(id, noteId)));
        api.MapGet("/bows/{bowId}/response", (string bowId, ResponseDesk desk) => desk.View(bowId));
        api.MapPost("/bows/{bowId}/response/resets", (string bowId, ResetInput input, ResponseStore responses, ResponseDesk desk) =>
        {
            responses.Reset(bowId, ClientId.Checked(input.Id), input.Kinds, Reason(input.Reason) ?? "");
            return desk.View(bowId);
        });
        api.MapDelete("/bows/{bowId}/response/resets/{id}", (string bowId, string id, ResponseStore responses, ResponseDesk desk) =>
        {
            responses.Withdraw(bowId, id);
            return desk.View(bowId);
        });
    }

    private static (SessionPlan Plan, Entry First) Plan(PaperInput input)
    {
        var fields = new FieldReader();
        var tolerance = input.Tolerance ?? Tolerances.Usual;
        fields.Check(AllowedTolerance.Holds(tolerance), "tolerance", "range", $"Allowed is {AllowedTolerance.Words}: {AllowedTolerance.Why}.");
        fields.Check(Decisions.Contains(input.ShotsPerDecision), "shotsPerDecision", "range", "One, three, five, or until it is clear.");
        fields.Check(input.Stages.Count is > 0 and <= MostStages, "stages", "range", $"1 to {MostStages} stages.");
        var distances = input.Stages.Take(MostStages).Select((s, i) => fields.Required(i == 0 ? "distance" : $"distance{i + 1}", s.Distance, Quantity.Distance, SheetLimits.Distances)).ToArray();
        fields.ThrowIfAny();
        PlannedStage[] stages = [.. input.Stages.Select((s, i) => new PlannedStage(distances[i]!.Value, s.Fletched))];
        return (new SessionPlan(input.Kind, input.School, stages, input.ShotsPerDecision, input.ByMachine, input.DozenId), distances[0]!);
    }

    private static Entry Distance(string? text)
    {
        var fields = new FieldReader();
        var distance = fields.Required("distance", text, Quantity.Distance, SheetLimits.Distances);
        fields.ThrowIfAny();
        return distance!;
    }

    private static string? Reason(string? text)
    {
        if (text is null)
        {
            return null;
        }

        var fields = new FieldReader();
        fields.Check(text.Trim().Length is > 0 and <= LongestReason, "reason", "reason", $"A reason of 1 to {LongestReason} characters: a void shot says why.");
        fields.ThrowIfAny();
        return text.Trim();
    }

    private static string Note(string? text)
    {
        var fields = new FieldReader();
        fields.Check((text?.Length ?? 0) <= 500, "note", "too-long", "At most 500 characters.");
        fields.ThrowIfAny();
        return text?.Trim() ?? "";
    }
}
