using Merganser.Core.Figures;
using Merganser.Core.Visits;

namespace Merganser.Data;

/// <summary>Bows that go to another owner; whatever is on record of the bow goes with it.</summary>
public sealed class OwnerStore(Database database, TimeProvider clock)
{
    /// <summary>Hands a bow to another archer; the same id again changes nothing.</summary>
    /// <param name="id">Made by the client.</param>
    /// <param name="bowId">The bow.</param>
    /// <param name="to">Whose it is from now on: one who is on record, or a new one.</param>
    /// <exception cref="RefusedException">It is theirs already.</exception>
    /// <exception cref="MissingException">There is no such bow or archer.</exception>
    /// <exception cref="IdTakenException">The id is that of another hand-over, or the archer's is taken.</exception>
    public void Hand(string id, string bowId, NewOwner to) =>
        database.Write(sql =>
        {
            var now = clock.GetUtcNow();
            var before = sql.First<(string Bow, string To)?>(
                "SELECT bow_id, to_archer_id FROM bow_owner WHERE id = @id",
                new { id }
            );
            if (before is { } kept)
            {
                return kept == (bowId, to.ArcherId) ? 0 : throw new IdTakenException("owner");
            }

            var bow = BowStore.Get(sql, bowId);
            if (to.New is { } archer)
            {
                ArcherStore.Add(sql, to.ArcherId, archer, now);
            }

            _ = ArcherStore.Get(sql, to.ArcherId);
            FieldReader.Demand(bow.ArcherId != to.ArcherId, "archerId", "same", VisitSays.SameOwner);
            sql.Execute(
                """
                INSERT INTO bow_owner (id, bow_id, from_archer_id, to_archer_id, handed_at)
                VALUES (@id, @bowId, @from, @to, @now)
                """,
                new
                {
                    id,
                    bowId,
                    from = bow.ArcherId,
                    to = to.ArcherId,
                    now = Stamp.Of(now),
                }
            );
            return sql.Execute(
                "UPDATE bow SET archer_id = @to, version = version + 1 WHERE id = @bowId",
                new { bowId, to = to.ArcherId }
            );
        });
}
