using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Archers;

/// <summary>An archer as sent: a client-made id on a new one.</summary>
public sealed record ArcherInput(
    string? Id,
    string? Name,
    Hand Hand,
    bool HasPress,
    School School,
    DisplayUnits? Units = null,
    Practice Practice = Practice.Weekly,
    Experience Experience = Experience.Keen,
    bool HasDrawBoard = false,
    bool HasScale = false,
    bool HasChronograph = false
)
{
    public Archer Read()
    {
        var fields = new FieldReader();
        var name = fields.Name("name", Name);
        fields.ThrowIfAny();
        return new Archer(
            name,
            Hand,
            HasPress,
            School,
            Units,
            Practice,
            Experience,
            HasDrawBoard,
            HasScale,
            HasChronograph
        );
    }
}

/// <summary>A tool that the archer of a bow has.</summary>
public sealed record ToolInput(OwnTool Tool);

public static class ArcherEndpoints
{
    public static void MapArchers(this IEndpointRouteBuilder api)
    {
        api.MapGet("/archers", (ArcherStore archers) => archers.All());
        api.MapPost(
                "/archers",
                (ArcherInput input, ArcherStore archers) => archers.Add(ClientId.Checked(input.Id), input.Read())
            )
            .ProducesValidationProblem();
        api.MapPost(
            "/bows/{id}/units",
            (string id, DisplayUnits units, ArcherStore archers) => archers.Wear(id, units)
        );
        api.MapPost(
            "/bows/{id}/tools",
            (string id, ToolInput input, ArcherStore archers) => archers.Equip(id, input.Tool)
        );
        api.MapPost(
            "/archers/{id}/erase-name",
            (string id, HttpRequest request, ArcherStore archers) => archers.Erase(id, request.IfMatch())
        );
        api.MapPut(
            "/archers/{id}",
            (string id, ArcherInput input, HttpRequest request, ArcherStore archers) =>
                archers.Change(id, request.IfMatch(), input.Read())
        );
    }
}
