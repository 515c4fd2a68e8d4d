using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Data;

/// <summary>A bow's chronograph readings; what they teach is kept on the bow.</summary>
public sealed class ChronographStore(Database database, TimeProvider clock)
{
    /// <summary>The newest readings in the order in which they were shot.</summary>
    public IReadOnlyList<SpeedShot> Of(string bowId) => database.Read(sql => Of(sql, bowId));

    /// <summary>Adds a reading; the bow's speed follows, and its string has one shot more.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="shot">The reading; its own time does not count.</param>
    /// <param name="sure">True for one that is kept although it is far from the others.</param>
    /// <exception cref="Core.Figures.RefusedException">It is far from the others, and nobody is sure.</exception>
    public IReadOnlyList<SpeedShot> Shoot(string bowId, SpeedShot shot, bool sure) =>
        database.Write(sql =>
        {
            var bow = BowStore.Get(sql, bowId).Sound();
            var (id, grains, speed, source, _) = shot;
            var known = sql.Scalar<string?>("SELECT id FROM chronograph_shot WHERE id = @id", new { id }) is not null;
            if (!sure && !known)
            {
                new ChronographLog(Of(sql, bowId), bow.Bow).DemandLikely(grains, speed);
            }

            var added = sql.Execute(
                """
                INSERT INTO chronograph_shot (id, bow_id, grains, speed, source, shot_at)
                VALUES (@id, @bowId, @grains, @speed, @source, @now) ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    bowId,
                    grains,
                    speed,
                    source,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            if (added == 1)
            {
                var settling = FiredRows.SettlingLeft(sql, bowId) > 0;
                FiredRows.Fire(sql, bowId, id, 1, settling, "chronograph", clock.GetUtcNow());
            }

            return Taught(sql, bowId, bow.Bow);
        });

    /// <summary>Takes a reading back; it stays on record.</summary>
    /// <exception cref="MissingException">This bow has no such reading.</exception>
    public IReadOnlyList<SpeedShot> Withdraw(string bowId, string id) =>
        database.Write(sql =>
        {
            Withdrawable.Take(sql, bowId, id, clock.GetUtcNow(), Withdrawable.Reading);
            return Taught(sql, bowId, BowStore.Get(sql, bowId).Bow);
        });

    private static SpeedShot[] Taught(Sql sql, string bowId, Bow bow)
    {
        var shots = Of(sql, bowId);
        TaughtRows.Put(sql, bowId, bow with { Chronograph = new ChronographLog(shots, bow).Fit() });
        return shots;
    }

    /// <summary>The newest readings, in order: what a bow does now is not told by those of years ago.</summary>
    private static SpeedShot[] Of(Sql sql, string bowId) =>
        [
            .. sql.Query<(string Id, double Grains, double Speed, string Source, string At)>(
                    """
                    SELECT id, grains, speed, source, shot_at FROM chronograph_shot c
                    WHERE bow_id = @bowId AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id)
                    ORDER BY rowid DESC LIMIT @Newest
                    """,
                    new { bowId, ChronographLog.Newest }
                )
                .Reverse()
                .Select(s => new SpeedShot(s.Id, s.Grains, s.Speed, s.Source, Stamp.Read(s.At))),
        ];
}
