using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Chronograph;

/// <summary>A chronograph reading as typed.</summary>
public sealed record SpeedInput(string? Id, string? Grains, string? Speed, string Source);

public static class ChronographEndpoints
{
    public static void MapChronograph(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{bowId}/chronograph", (string bowId, ChronographStore shots) => Read(shots.Of(bowId)));
        api.MapPost(
            "/bows/{bowId}/chronograph",
            (string bowId, SpeedInput input, ChronographStore shots) =>
            {
                var fields = new FieldReader();
                var grains = fields.Required("grains", input.Grains, Quantity.Weight, DozenReading.ArrowGrains);
                var speed = fields.Required("speed", input.Speed, Quantity.Speed, ChronographLog.Speeds);
                fields.ThrowIfAny();
                var id = ClientId.Checked(input.Id);
                return Read(shots.Shoot(bowId, id, grains!.Value, speed!.Value, input.Source));
            }
        );
        api.MapPost(
            "/bows/{bowId}/chronograph/{id}/withdraw",
            (string bowId, string id, ChronographStore shots) => Read(shots.Withdraw(bowId, id))
        );
    }

    private static ChronographReading Read(IReadOnlyList<SpeedShot> shots) => new ChronographLog(shots).Read();
}
