using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Setup;

/// <summary>The two stations of a caliper on the riser, typed.</summary>
public sealed record CaliperInput(string? Front, string? Rear, string? NockToRest, string? Between);

/// <summary>What a caliper reading asks of the rest.</summary>
/// <param name="To">The click that the rest stands at then, or null where it stands well or has no clicks.</param>
/// <param name="Clicks">The same as an order, with what is left over.</param>
public sealed record CaliperView(double RestMovesIn, Message Words, double? To, Message? Clicks);

/// <summary>A finding as entered: a typed number, a picked answer, or a reason for leaving the check.</summary>
public sealed record CheckInput(
    string? Id,
    CheckKind Kind,
    string? Typed = null,
    string? Choice = null,
    string? SkipReason = null,
    bool Confirmed = false,
    string? Note = null
)
{
    private const int LongestReason = 120;

    /// <exception cref="RefusedException">Nothing readable was entered, it is out of range, or it is odd and not yet
    /// confirmed (code <c>suspicious</c>).</exception>
    public CheckFinding Read(double? last, Bow bow)
    {
        var fact = CheckTable.Of(Kind);
        var fields = new FieldReader();
        if (SkipReason is not null)
        {
            fields.Check(
                SkipReason.Trim().Length is > 0 and <= LongestReason,
                "skipReason",
                "reason",
                SetupSays.ReasonWanted
            );
            fields.ThrowIfAny();
            return new CheckFinding(Kind, null, null, SkipReason.Trim());
        }

        if (fact.Quantity is not { } quantity)
        {
            fields.Check(fact.Choices.Any(c => c.Code == Choice), "choice", "missing", SetupSays.PickWhatYouFound);
            fields.Check(Kind != CheckKind.Paper, "choice", "by-paper", SetupSays.NotByHand);
            fields.Check(
                Choice != Unsound.Repaired || Typed?.Trim().Length is > 0 and <= 60,
                "typed",
                "missing",
                SetupSays.RepairedByWhom
            );
            fields.ThrowIfAny();
            return new CheckFinding(Kind, null, Choice, null);
        }

        var entry = fields.Required("typed", Typed, quantity, fact.Range);
        fields.ThrowIfAny();
        if (!Confirmed && CheckReading.Suspicion(Kind, entry!.Value, last, bow) is { } question)
        {
            throw RefusedException.At("typed", "suspicious", question);
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
    /// <summary>Shots of one entry.</summary>
    public static readonly AllowedRange Shots = new(1, 1000, Unit.None, Why.OneDaysShooting);
    private static readonly AllowedRange Station = new(0, 6, Unit.Inch, Why.RiserStation);
    private static readonly AllowedRange Along = new(0.5, 36, Unit.Inch, Why.AlongTheArrow);
    private static readonly AllowedRange Degrees = new(0, 15, Unit.Degree, Why.DegreesOff);
    private static readonly AllowedRange Slope = new(0, 60, Unit.Degree, Why.SlopeOfACourse);
    private static readonly AllowedRange Speeds = new(60, 420, Unit.FootPerSecond, Why.MakersRating);
    private static readonly AllowedRange Zero = new(5, 100, Unit.Yard, Why.DistanceOfAZero);

    public static void MapSetup(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{id}/setup", (string id, SetupDesk desk) => desk.View(id));
        api.MapGet("/bows/{id}/troubles", (string id, TroubleDesk desk) => desk.View(id));
        api.MapPost(
            "/bows/{id}/checks",
            (string id, CheckInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
            {
                var last = setups.LastNumber(id, input.Kind, input.Id);
                var rows = setups.Find(
                    id,
                    ClientId.Checked(input.Id),
                    input.Read(last, bows.Get(id).Bow),
                    input.Typed?.Trim() ?? "",
                    Texts.Note(input.Note)
                );
                return desk.View(bows.Get(id), rows);
            }
        );
        api.MapGet(
            "/bows/{id}/changes",
            (string id, int? before, SetupStore setups) => ChangePage.Of(setups, id, before)
        );
        api.MapPost(
            "/bows/{id}/changes",
            (string id, ChangeInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
                desk.View(
                    bows.Get(id),
                    setups.Change(
                        id,
                        ClientId.Checked(input.Id),
                        input.Change,
                        Texts.Note(input.Note),
                        input.HappenedAt
                    )
                )
        );
        api.MapPost(
            "/bows/{id}/withdrawals/{entryId}",
            (string id, string entryId, SetupStore setups, BowStore bows, SetupDesk desk) =>
                desk.View(bows.Get(id), setups.Withdraw(id, entryId))
        );
        api.MapPost(
            "/bows/{id}/shots",
            (string id, ShotsInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
            {
                FieldReader.DemandInside("count", input.Count, Shots);
                return desk.View(bows.Get(id), setups.Shoot(id, ClientId.Checked(input.Id), input.Count));
            }
        );
        api.MapPut(
            "/bows/{id}/string-plan",
            (string id, StringPlan plan, HttpRequest request, SetupStore setups, BowStore bows, SetupDesk desk) =>
            {
                var rows = setups.Plan(id, request.IfMatch(), plan);
                return desk.View(bows.Get(id), rows);
            }
        );
        api.MapPost(
            "/bows/{id}/good-states",
            (string id, GoodStateInput input, SetupStore setups, BowStore bows, SetupDesk desk) =>
                desk.View(
                    bows.Get(id),
                    setups.MarkGood(id, ClientId.Checked(input.Id), input.ArrowVersionId, Texts.Note(input.Note))
                )
        );
        api.MapPost(
            "/bows/{id}/caliper",
            (string id, CaliperInput input, BowStore bows) => Caliper(input, bows.Get(id))
        );
        api.MapGet(
            "/bows/{id}/cants",
            (string id, double degrees, double zero, double slope, double? speed, double? distance, SetupDesk desk) =>
            {
                var fields = new FieldReader();
                fields.Inside("degrees", degrees, Degrees);
                fields.Inside("zero", zero, Zero);
                fields.Inside("slope", slope, Slope);
                fields.Inside("speed", speed ?? Speeds.Low, Speeds);
                fields.Inside("distance", distance ?? Zero.Low, Zero);
                fields.ThrowIfAny();
                return desk.Cants(id, degrees, zero, slope, speed, distance);
            }
        );
        api.MapGet("/bows/{id}/card.pdf", (string id, SetupCard card) => Results.File(card.Pdf(id), "application/pdf"))
            .Produces(200, contentType: "application/pdf");
    }

    private static CaliperView Caliper(CaliperInput input, BowRow bow)
    {
        var fields = new FieldReader();
        var front = fields.Required("front", input.Front, Quantity.Length, Station);
        var rear = fields.Required("rear", input.Rear, Quantity.Length, Station);
        var reach = fields.Required("nockToRest", input.NockToRest, Quantity.Length, Along);
        var between = fields.Required("between", input.Between, Quantity.Length, Along);
        fields.ThrowIfAny();
        var fix = CentreShot.CaliperFix(front!.Value, rear!.Value, reach!.Value, between!.Value);
        var moves = new CaliperSays(Measure.Inches(Math.Abs(fix), 3), fix > 0);
        var rest = bow.Adjusters.FirstOrDefault(a => a.Kind == AdjusterKind.RestSideways);
        var click = rest?.InchesPerStep ?? AdjusterTable.RestClickInches;
        var (steps, left) = CentreShot.Clicks(fix, click, bow.Bow.Hand);
        var to = rest is null || steps == 0 ? (double?)null : Math.Clamp(rest.Position + steps, rest.Lower, rest.Upper);
        return new CaliperView(
            fix,
            Math.Abs(fix) < CentreShot.Equal ? SetupSays.EqualAtBoth : moves,
            to,
            to is null
                ? null
                : new CaliperClicks(
                    new Order(AdjusterKind.RestSideways, to.Value - rest!.Position),
                    Measure.Inches(left, 3)
                )
        );
    }
}
