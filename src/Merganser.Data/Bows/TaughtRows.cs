using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Data;

/// <summary>What instruments taught of a bow, kept on it.</summary>
internal static class TaughtRows
{
    /// <summary>Puts what a chronograph taught onto the bow; null forgets it.</summary>
    public static void PutSpeed(Sql sql, string id, SpeedFit? fit) =>
        Put(sql, id, BowStore.Get(sql, id).Bow with { Chronograph = fit });

    /// <summary>What the draw-force curve taught of the bow.</summary>
    public static void PutForce(Sql sql, string id, ForceFit? fit)
    {
        var bow = BowStore.Get(sql, id).Bow;
        if (bow.Force != fit)
        {
            Put(sql, id, bow with { Force = fit });
        }
    }

    private static void Put(Sql sql, string id, Bow bow) =>
        sql.Execute(
            "UPDATE bow SET facts = @facts, version = version + 1 WHERE id = @id",
            new { id, facts = Kept.Write(bow) }
        );
}
