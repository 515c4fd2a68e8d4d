using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Chronograph;

/// <summary>A chronograph reading as typed.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Grains">Mass of the arrow.</param>
/// <param name="Speed">The reading.</param>
/// <param name="Source">Typed or from the chronograph.</param>
/// <param name="Sure">True for one that is kept although it is far from the others.</param>
public sealed record SpeedInput(string? Id, string? Grains, string? Speed, string Source, bool Sure = false);

public static class ChronographEndpoints
{
    public static void MapChronograph(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{bowId}/chronograph",
            (string bowId, bool? all, ChronographStore shots, BowStore bows) =>
                Read(shots.Of(bowId), bows, bowId, all ?? false)
        );
        api.MapPost(
            "/bows/{bowId}/chronograph",
            (string bowId, SpeedInput input, ChronographStore shots, BowStore bows) =>
            {
                var fields = new FieldReader();
                var grains = fields.Required("grains", input.Grains, Quantity.Weight, DozenReading.ArrowGrains);
                var speed = fields.Required("speed", input.Speed, Quantity.Speed, ChronographLog.Speeds);
                fields.ThrowIfAny();
                var id = ClientId.Checked(input.Id);
                var shot = new SpeedShot(id, grains!.Value, speed!.Value, input.Source, default);
                return Read(shots.Shoot(bowId, shot, input.Sure), bows, bowId);
            }
        );
        api.MapPost(
            "/bows/{bowId}/chronograph/{id}/withdraw",
            (string bowId, string id, ChronographStore shots, BowStore bows) =>
                Read(shots.Withdraw(bowId, id), bows, bowId)
        );
    }

    private static ChronographReading Read(
        IReadOnlyList<SpeedShot> shots,
        BowStore bows,
        string bowId,
        bool all = false
    ) => new ChronographLog(shots, bows.Get(bowId).Bow).Read(all);
}
