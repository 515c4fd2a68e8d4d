using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Core.Visits;
using Merganser.Data;
using Merganser.Web.Bows;
using Merganser.Web.Guard;

namespace Merganser.Web.Visits;

public static class VisitEndpoints
{
    private const int LongestWants = 300;
    private const int LongestFind = 60;
    private const int MostListed = 100_000;

    public static void MapVisits(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/visits",
            (string? find, int? after, VisitDesk desk) =>
            {
                var words = find?.Trim() ?? "";
                FieldReader.Demand(words.Length <= LongestFind, "find", "too-long", new TooLong(LongestFind));
                return desk.All(words, Math.Clamp(after ?? 0, 0, MostListed));
            }
        );
        api.MapGet("/bows/{id}/visits", (string id, string? visit, VisitDesk desk) => desk.View(id, visit));
        api.MapPost(
            "/bows/{id}/visits",
            (string id, VisitInput input, VisitStore visits, VisitDesk desk) =>
            {
                var visit = ClientId.Checked(input.Id);
                visits.Begin(visit, id, Words(input.Wants, "wants"));
                return desk.View(id, visit);
            }
        );
        api.MapPost(
            "/bows/{id}/visits/{visitId}/lines",
            (string id, string visitId, VisitLineInput input, VisitStore visits, VisitDesk desk) =>
            {
                var text = input.Text?.Trim() ?? "";
                var (quantity, price) = VisitLine.Read(text, input.Quantity, input.Price);
                var carried = input.Kind == VisitLineKind.Carried;
                FieldReader.Demand(
                    !carried || (input.FromBowId is { } from && from != id),
                    "fromBowId",
                    "missing",
                    VisitSays.CarriedFromItself
                );
                visits.Add(
                    id,
                    visitId,
                    new VisitLine(ClientId.Checked(input.Id), input.Kind, text, quantity, price),
                    carried ? input.FromBowId : null
                );
                return desk.View(id, visitId);
            }
        );
        api.MapDelete(
            "/bows/{id}/visits/{visitId}/lines/{lineId}",
            (string id, string visitId, string lineId, VisitStore visits, VisitDesk desk) =>
            {
                visits.TakeBack(id, visitId, lineId);
                return desk.View(id, visitId);
            }
        );
        api.MapPost(
            "/bows/{id}/visits/{visitId}/lines/{lineId}/facts",
            (string id, string visitId, string lineId, CarriedStore carried, VisitDesk desk) =>
            {
                carried.Take(id, visitId, lineId);
                return desk.View(id, visitId);
            }
        );
        api.MapPost(
            "/bows/{id}/visits/{visitId}/hand-over",
            (string id, string visitId, HandOverInput input, VisitStore visits, ReminderStore days, VisitDesk desk) =>
            {
                var watch = Words(input.Watch, "watch");
                FieldReader.Demand(
                    input.NextOn is not { } on || on > days.Today,
                    "nextOn",
                    "range",
                    Core.Plans.PlanSays.DayHasGone
                );
                visits.HandOver(id, visitId, new VisitEnd(watch, input.NextOn));
                return desk.View(id, visitId);
            }
        );
        api.MapGet(
                "/bows/{id}/visits/{visitId}/sheet.pdf",
                (string id, string visitId, VisitPrint print) =>
                    Results.File(print.Sheet(id, visitId), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
        api.MapGet(
                "/bows/{id}/visits/{visitId}/card.pdf",
                (string id, string visitId, VisitPrint print) =>
                    Results.File(print.Card(id, visitId), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
        api.MapPost(
            "/bows/{id}/owner",
            (string id, OwnerInput input, OwnerStore owners, BowStore bows, ArcherStore archers) =>
            {
                var key = ClientId.Checked(input.Id);
                owners.Hand(key, id, input.To(bows.Get(id).Bow));
                return BowEndpoints.View(bows.Get(id), bows, archers);
            }
        );
    }

    private static string Words(string? said, string field)
    {
        var text = said?.Trim() ?? "";
        FieldReader.Demand(text.Length <= LongestWants, field, "too-long", new TooLong(LongestWants));
        return text;
    }
}
