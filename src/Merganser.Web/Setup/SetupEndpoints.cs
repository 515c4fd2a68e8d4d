using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Setup;

/// <summary>The two stations of a caliper on the riser, typed.</summary>
public sealed record CaliperInput(string? Front, string? Rear, string? NockToRest, string? Between);

/// <summary>What a caliper reading asks of the rest.</summary>
public sealed record CaliperView(double RestMovesIn, string Words);

/// <summary>A finding as entered: a typed number, a picked answer, or a reason for leaving the check.</summary>
public sealed record CheckInput(string? Id, CheckKind Kind, string? Typed = null, string? Choice = null, string? SkipReason = null, bool Confirmed = false)
{
    private const int LongestReason = 120;

    /// <exception cref="RefusedException">Nothing readable was entered, it is out of range, or it is odd and not yet confirmed (code <c>suspicious</c>).</exception>
    public CheckFinding Read(double? last, Bow bow)
    {
        var fact = CheckTable.Of(Kind);
        var fields = new FieldReader();
        if (SkipReason is not null)
        {
            fields.Check(SkipReason.Trim().Length is > 0 and <= LongestReason, "skipReason", "reason", $"A reason of 1 to {LongestReason} characters, so that it can be taken up again.");
            fields.ThrowIfAny();
            return new CheckFinding(Kind, null, null, SkipReason.Trim());
        }

        if (fact.Quantity is not { } quantity)
        {
            fields.Check(fact.Choices.Any(c => c.Code == Choice), "choice", "missing", "Pick what you found.");
            fields.Check(Choice != Unsound.Repaired || Typed?.Trim().Length is > 0 and <= 60, "typed", "missing", "By whom? A name of 1 to 60 characters.");
            fields.ThrowIfAny();
            return new CheckFinding(Kind, null, Choice, null);
        }

        var entry = fields.Required("typed", Typed, quantity, fact.Range);
        fields.ThrowIfAny();
        if (!Confirmed && CheckReading.Suspicion(Kind, entry!.Value, last, bow) is { } question)
        {
            throw new RefusedException("suspicious", question, new FieldProblem("typed", "suspicious", question));
        }

        return new CheckFinding(Kind, entry!.Value, null, null);
    }
}

/// <summary>A change that was made to the bow.</summary>
public sealed record ChangeInput(string? Id, BowChange Change, string? Note = null, DateTimeOffset? HappenedAt = null);

/// <summary>Shots that were fired away from the papers.</summary>
public sealed record ShotsInput(string? Id, int Count);

/// <summary>Marks the bow as it stands as shot well.</summary>
public sealed record GoodStateInput(string? Id, string? ArrowVersionId = null, string? Note = null);

public static class SetupEndpoints
{
    private const int MostShots = 1000;
    private const int LongestNote = 500;
    private static readonly AllowedRange Station = new(0, 6, "in", "riser to arrow at either station");
    private static readonly AllowedRange Along = new(0.5, 36, "in", "along the arrow");
    private static readonly AllowedRange Degrees = new(0, 15, "degrees", "a cant of more than 15 degrees is seen without a table");
    private static readonly AllowedRange Slope = new(0, 60, "degrees", "steeper is no shot");
    private static readonly AllowedRange Zero = new(5, 100, "yd", "where the sight was zeroed");

    public static void MapSetup(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{id}/setup", (string id, SetupDesk desk) => desk.View(id));
        api.MapPost("/bows/{id}/checks", (string id, CheckInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
        {
            var last = setups.Of(id).Findings.LastOrDefault(f => f.Dated.Finding.Kind == input.Kind && f.Dated.Finding.Value is not null && f.Dated.Id != input.Id)?.Dated.Finding.Value;
            var rows = setups.Find(id, ClientId.Checked(input.Id), input.Read(last, bows.Get(id).Bow), input.Typed?.Trim() ?? "");
            return desk.View(bows.Get(id), rows);
        });
        api.MapPost("/bows/{id}/changes", (string id, ChangeInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
            desk.View(bows.Get(id), setups.Change(id, ClientId.Checked(input.Id), input.Change, Note(input.Note), input.HappenedAt)));
        api.MapPost("/bows/{id}/withdrawals/{entryId}", (string id, string entryId, SetupStore setups, BowStore bows, SetupDesk desk) =>
            desk.View(bows.Get(id), setups.Withdraw(id, entryId)));
        api.MapPost("/bows/{id}/shots", (string id, ShotsInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
        {
            var fields = new FieldReader();
            fields.Check(input.Count is >= 1 and <= MostShots, "count", "range", $"Allowed is 1 to {MostShots}: one day's shooting.");
            fields.ThrowIfAny();
            return desk.View(bows.Get(id), setups.Shoot(id, ClientId.Checked(input.Id), input.Count));
        });
        api.MapPut("/bows/{id}/string-plan", (string id, StringPlan plan, SetupStore setups, BowStore bows, SetupDesk desk) => desk.View(bows.Get(id), setups.Plan(id, plan)));
        api.MapPost("/bows/{id}/good-states", (string id, GoodStateInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
            desk.View(bows.Get(id), setups.MarkGood(id, ClientId.Checked(input.Id), input.ArrowVersionId, Note(input.Note))));
        api.MapPost("/caliper", (CaliperInput input) => Caliper(input));
        api.MapGet("/bows/{id}/cants", (string id, double degrees, double zero, double slope, SetupDesk desk) =>
        {
            var fields = new FieldReader();
            Check("degrees", degrees, Degrees);
            Check("zero", zero, Zero);
            Check("slope", slope, Slope);
            fields.ThrowIfAny();
            return desk.Cants(id, degrees, zero, slope);

            void Check(string field, double value, AllowedRange range) => fields.Check(range.Holds(value), field, "range", $"Allowed is {range.Words}: {range.Why}.");
        });
        api.MapGet("/bows/{id}/card.pdf", (string id, SetupCard card) => Results.File(card.Pdf(id), "application/pdf")).Produces(200, contentType: "application/pdf");
    }

    private static CaliperView Caliper(CaliperInput input)
    {
        var fields = new FieldReader();
        var front = fields.Required("front", input.Front, Quantity.Length, Station);
        var rear = fields.Required("rear", input.Rear, Quantity.Length, Station);
        var reach = fields.Required("nockToRest", input.NockToRest, Quantity.Length, Along);
        var between = fields.Required("between", input.Between, Quantity.Length, Along);
        fields.ThrowIfAny();
        var fix = CentreShot.CaliperFix(front!.Value, rear!.Value, reach!.Value, between!.Value);
        var size = Show.Number(Math.Abs(fix), 3);
        return new CaliperView(fix, Math.Abs(fix) < 0.001 ? "Equal at both: leave the rest." : $"The rest moves {size} in {(fix > 0 ? "in: the front stands farther out" : "out: the front stands farther in")}.");
    }

    private static string Note(string? text)
    {
        var fields = new FieldReader();
        fields.Check((text?.Length ?? 0) <= LongestNote, "note", "too-long", $"At most {LongestNote} characters.");
        fields.ThrowIfAny();
        return text?.Trim() ?? "";
    }
}
