namespace Merganser.Data;

/// <summary>A note to be kept in a bow's story.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="BowId">The bow.</param>
/// <param name="ArcherId">Who says it; null for nobody in particular.</param>
/// <param name="Text">The words.</param>
/// <param name="HappenedAt">When it was; null for now.</param>
public sealed record NewNote(string Id, string BowId, string? ArcherId, string Text, DateTimeOffset? HappenedAt);

/// <summary>Notes of bows' stories: each is added; one that is taken back stays.</summary>
public sealed class NoteStore(Database database, TimeProvider clock)
{
    /// <summary>Keeps a note; the same id again with the same words changes nothing.</summary>
    /// <exception cref="MissingException">There is no such bow or archer.</exception>
    /// <exception cref="IdTakenException">The id is already that of another note.</exception>
    public void Keep(NewNote note) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, note.BowId);
            if (note.ArcherId is { } archer)
            {
                _ = ArcherStore.Get(sql, archer);
            }

            var now = clock.GetUtcNow();
            var row = new
            {
                note.Id,
                note.BowId,
                note.ArcherId,
                note.Text,
                happened = Stamp.Of(note.HappenedAt ?? now),
                now = Stamp.Of(now),
            };
            var before = sql.First<(string Bow, string Text)?>(
                "SELECT bow_id, text FROM story_note WHERE id = @Id",
                row
            );
            if (before is { } kept)
            {
                return kept == (note.BowId, note.Text) ? 0 : throw new IdTakenException("note");
            }

            return sql.Execute(
                """
                INSERT INTO story_note (id, bow_id, archer_id, text, happened_at, noted_at)
                VALUES (@Id, @BowId, @ArcherId, @Text, @happened, @now)
                """,
                row
            );
        });

    /// <summary>Takes a note back; once more changes nothing.</summary>
    /// <exception cref="MissingException">The bow has no such note.</exception>
    public void TakeBack(string bowId, string noteId) =>
        database.Write(sql =>
        {
            var has = sql.Scalar<bool>(
                "SELECT EXISTS (SELECT 1 FROM story_note WHERE id = @noteId AND bow_id = @bowId AND takes_back IS NULL)",
                new { noteId, bowId }
            );
            return !has
                ? throw new MissingException("note")
                : sql.Execute(
                    """
                    INSERT INTO story_note (id, bow_id, text, takes_back, happened_at, noted_at)
                    VALUES (@id, @bowId, '', @noteId, @now, @now)
                    """,
                    new
                    {
                        id = $"{noteId}-back",
                        bowId,
                        noteId,
                        now = Stamp.Of(clock.GetUtcNow()),
                    }
                );
        });
}
