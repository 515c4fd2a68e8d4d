using Merganser.Core.Ballistics;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Ballistics;

/// <summary>What an archer says of a bow's range, as typed.</summary>
public sealed record FlightInput(
    string? Id,
    ErrorFrom Error,
    string? ErrorYards,
    string? Circle,
    SpreadSource Spread,
    string? PerYard,
    string? SightHeight,
    string? Altitude,
    string? Temperature
)
{
    public FlightEntry Entry() => new(Error, ErrorYards, Circle, Spread, PerYard, SightHeight, Altitude, Temperature);
}

/// <summary>A mark, or a speed down range, as typed; an empty one is given up.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Kind">Which.</param>
/// <param name="Distance">From where.</param>
/// <param name="Value">Place on the bar, or the speed.</param>
/// <param name="Arrow">The arrow it was shot with; null for the one shot last.</param>
public sealed record ProvenInput(string? Id, ProvenKind Kind, string? Distance, string? Value, string? Arrow = null);

/// <summary>A sight as it was measured, as typed.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="EyeToPin">From the eye, or the peep, to the pin.</param>
/// <param name="Click">What a click moves the pin; empty for none.</param>
public sealed record SightMeasured(string? Id, string? EyeToPin, string? Click);

public static class FlightEndpoints
{
    private const string Pdf = "application/pdf";

    public static void MapFlight(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{id}/flight",
            (string id, string? arrow, double? set, string? marks, FlightDesk desk) =>
                desk.View(id, arrow, Set(set), marks)
        );
        api.MapGet(
            "/bows/{id}/weights/flight",
            (string id, string purpose, FlightDesk desk) =>
                desk.Schools(id, KnownWord.Read<Core.Arrows.Purpose>("purpose", purpose))
        );
        api.MapPost(
            "/bows/{id}/flight",
            (
                string id,
                FlightInput input,
                string? arrow,
                double? set,
                string? marks,
                FlightDesk desk,
                FlightStore flights
            ) =>
            {
                var entry = input.Entry();
                _ = entry.Read();
                flights.Say(ClientId.Checked(input.Id), id, entry);
                return desk.View(id, arrow, Set(set), marks);
            }
        );
        api.MapPost(
            "/bows/{id}/proven",
            (string id, ProvenInput input, double? set, string? marks, FlightDesk desk, FlightStore flights) =>
            {
                var fields = new FieldReader();
                var distance = fields.Required("distance", input.Distance, Quantity.Distance, Proven.Distances);
                var value =
                    input.Kind == ProvenKind.Mark
                        ? fields.Optional("value", input.Value, Quantity.Length, Proven.Bars)
                        : fields.Optional("value", input.Value, Quantity.Speed, Core.Speed.ChronographLog.Speeds);
                fields.ThrowIfAny();
                var version = desk.VersionOf(id, input.Arrow);
                flights.Prove(new NewProven(ClientId.Checked(input.Id), id, version, input.Kind, distance!, value));
                return desk.View(id, input.Arrow, Set(set), marks);
            }
        );
        api.MapPost(
            "/bows/{id}/sight",
            (
                string id,
                SightMeasured input,
                string? arrow,
                double? set,
                string? marks,
                FlightDesk desk,
                SightStore sights
            ) =>
            {
                var fields = new FieldReader();
                var eye = fields.Required("eyeToPin", input.EyeToPin, Quantity.Length, Sight.EyeToPins);
                var click = fields.Optional("click", input.Click, Quantity.Length, Sight.Clicks);
                fields.ThrowIfAny();
                sights.Keep(new NewSight(ClientId.Checked(input.Id), id, eye!, click));
                return desk.View(id, arrow, Set(set), marks);
            }
        );
        api.MapGet(
                "/bows/{id}/tape.pdf",
                (string id, string? arrow, string? bar, string? marks, FlightDesk desk, Listener listener) =>
                    Results.File(TapePrint.Of(desk.Fly(id, arrow, marks), bar, listener.Of(id)), Pdf)
            )
            .Produces(200, contentType: Pdf);
        api.MapGet(
                "/bows/{id}/range-card.pdf",
                (string id, string? arrow, string? marks, FlightDesk desk, Listener listener) =>
                    Results.File(RangeCard.Of(desk.Fly(id, arrow, marks), listener.Of(id)), Pdf)
            )
            .Produces(200, contentType: Pdf);
    }

    private static double? Set(double? yards)
    {
        if (yards is { } at)
        {
            FieldReader.DemandInside("set", at, Proven.Distances);
        }

        return yards;
    }
}
