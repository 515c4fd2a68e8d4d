using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Web.Guard;
using Merganser.Web.Paper;

namespace Merganser.Web.Trials;

public static class TrialEndpoints
{
    public static void MapTrials(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{id}/trial", (string id, string? with, TrialDesk desk) => desk.View(id, with?.Split(',')));
        api.MapPost(
            "/bows/{id}/trial/plan",
            (string id, TrialChosen chosen, TrialDesk desk) => desk.Plan(id, chosen.Points)
        );
        api.MapPost(
            "/bows/{id}/trial",
            (string id, TrialInput input, TrialDesk desk, PaperDesk papers) =>
            {
                var fields = new FieldReader();
                var distance = fields.Required("distance", input.Distance, Quantity.Distance, SheetLimits.Distances);
                fields.ThrowIfAny();
                return papers.View(desk.Begin(id, ClientId.Checked(input.Id), input.Points, distance!));
            }
        );
    }
}
