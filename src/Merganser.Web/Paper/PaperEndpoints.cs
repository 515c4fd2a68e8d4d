using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Paper;

/// <summary>A paper to start: bow, arrow version, distance and whether the shafts have vanes.</summary>
public sealed record PaperInput(string? Id, string BowId, string ArrowVersionId, string? Distance, bool Fletched, double? Tolerance);

/// <summary>A set to start.</summary>
public sealed record SetInput(string? Id, string? Distance, bool Fletched);

/// <summary>The tail's place from the point's hole as typed, as the sheet was read; empty is 0.</summary>
public sealed record TailTyped(string? Right, string? Up);

/// <summary>A shot as marked: inches on the sheet as it was read. Typed inches win over a marked tail.</summary>
public sealed record ShotInput(string? Id, Hole Point, Hole? Tail, TailTyped? Typed, SheetSide Side)
{
    private static readonly AllowedRange Reach = new(-SheetLimits.LongestTear, SheetLimits.LongestTear, "in", "no arrow tears farther");

    /// <summary>The tail's hole on the sheet.</summary>
    public Hole ReadTail()
    {
        var fields = new FieldReader();
        var right = fields.Optional("right", Typed?.Right, Quantity.Length, Reach);
        var up = fields.Optional("up", Typed?.Up, Quantity.Length, Reach);
        fields.Check(Tail is not null || Typed is not null, "tail", "missing", "Mark the tail's hole or type its place.");
        fields.ThrowIfAny();
        return Typed is null ? Tail! : new Hole(Point.X + (right?.Value ?? 0), Point.Y + (up?.Value ?? 0));
    }
}

/// <summary>Voids a shot with a reason; no reason counts it again.</summary>
public sealed record MarkInput(string? Id, string? Reason);

/// <summary>A move as it was really made.</summary>
public sealed record MoveInput(string? Id, AdjusterKind Adjuster, int To, string? Corrects, string? Note, DateTimeOffset? HappenedAt);

/// <summary>Ends the paper, or opens it again.</summary>
public sealed record AcceptInput(bool Accepted);

public static class PaperEndpoints
{
    private const int LongestReason = 120;
    private static readonly AllowedRange Distances = new(1, 100, "yd", "close enough that the hole shows, far enough to clear the bow");
    private static readonly AllowedRange AllowedTolerance = new(0.05, 1, "in", "from a single clean hole to a first rough setting");

    public static void MapPaper(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{bowId}/papers", (string bowId, PaperStore papers, PaperDesk desk) => papers.Of(bowId).Select(desk.View).ToArray());
        api.MapGet("/papers/{id}", (string id, PaperDesk desk) => desk.View(id));
        api.MapPost("/papers", (PaperInput input, PaperStore papers, PaperDesk desk) =>
        {
            var tolerance = input.Tolerance ?? Tolerances.Usual;
            var distance = Distance(input.Distance, fields => fields.Check(AllowedTolerance.Holds(tolerance), "tolerance", "range", $"Allowed is {AllowedTolerance.Words}: {AllowedTolerance.Why}."));
            return desk.View(papers.Start(ClientId.Checked(input.Id), input.BowId, input.ArrowVersionId, tolerance, distance, input.Fletched));
        });
        api.MapPost("/papers/{id}/sets", (string id, SetInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.StartSet(id, ClientId.Checked(input.Id), Distance(input.Distance), input.Fletched)));
        api.MapPost("/sets/{id}/shots", (string id, ShotInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.AddShot(id, ClientId.Checked(input.Id), input.Point, input.ReadTail(), input.Side)));
        api.MapPost("/shots/{id}/marks", (string id, MarkInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.Mark(id, ClientId.Checked(input.Id), Reason(input.Reason))));
        api.MapPost("/papers/{id}/moves", (string id, MoveInput input, PaperStore papers, PaperDesk desk) =>
            desk.View(papers.Move(id, new NewMove(ClientId.Checked(input.Id), "", id, input.Adjuster, input.To, input.Corrects, Note(input.Note), input.HappenedAt))));
        api.MapPost("/papers/{id}/accept", (string id, AcceptInput input, PaperStore papers, PaperDesk desk) => desk.View(papers.Accept(id, input.Accepted)));
    }

    private static Entry Distance(string? text, Action<FieldReader>? also = null)
    {
        var fields = new FieldReader();
        var distance = fields.Required("distance", text, Quantity.Distance, Distances);
        also?.Invoke(fields);
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
