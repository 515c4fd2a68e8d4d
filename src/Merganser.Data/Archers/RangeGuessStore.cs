using Merganser.Core.Groups;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A distance that was guessed and measured, as it stands in its table.</summary>
public sealed record RangeGuessRow(string Id, RangeGuess Guess);

/// <summary>A guess to be kept.</summary>
public sealed record NewRangeGuess(string Id, string ArcherId, Entry Guessed, Entry Measured);

/// <summary>Distances that archers guessed and then measured. Each is added; one that is taken back stays.</summary>
public sealed class RangeGuessStore(Database database, TimeProvider clock)
{
    /// <summary>So many are read, the newest: an eye learns.</summary>
    public const int Most = 200;

    /// <summary>An archer's guesses that were not taken back, the newest first.</summary>
    public IReadOnlyList<RangeGuessRow> Of(string archerId) =>
        database.Read(sql =>
        {
            _ = ArcherStore.Get(sql, archerId);
            return sql.Query<(string Id, double Guessed, double Measured)>(
                    """
                    SELECT id, guessed, measured FROM range_guess g WHERE archer_id = @archerId
                      AND takes_back IS NULL AND NOT EXISTS (SELECT 1 FROM range_guess t WHERE t.takes_back = g.id)
                    ORDER BY rowid DESC LIMIT @Most
                    """,
                    new { archerId, Most }
                )
                .Select(r => new RangeGuessRow(r.Id, new RangeGuess(r.Guessed, r.Measured)))
                .ToArray();
        });

    /// <summary>Keeps a guess; the same id again with the same figures changes nothing.</summary>
    /// <exception cref="IdTakenException">The id is already that of another guess.</exception>
    public void Keep(NewRangeGuess guess) =>
        database.Write(sql =>
        {
            _ = ArcherStore.Get(sql, guess.ArcherId);
            var row = new
            {
                guess.Id,
                guess.ArcherId,
                guessed = guess.Guessed.Value,
                measured = guess.Measured.Value,
                guessedTyped = guess.Guessed.Typed,
                measuredTyped = guess.Measured.Typed,
                now = Stamp.Of(clock.GetUtcNow()),
            };
            var before = sql.First<(string Archer, double? Guessed, double? Measured)?>(
                "SELECT archer_id, guessed, measured FROM range_guess WHERE id = @Id",
                row
            );
            if (before is { } kept)
            {
                return kept == (guess.ArcherId, guess.Guessed.Value, guess.Measured.Value)
                    ? 0
                    : throw new IdTakenException("guess");
            }

            return sql.Execute(
                """
                INSERT INTO range_guess (id, archer_id, guessed, measured, guessed_typed, measured_typed, guessed_at)
                VALUES (@Id, @ArcherId, @guessed, @measured, @guessedTyped, @measuredTyped, @now)
                """,
                row
            );
        });

    /// <summary>Takes a guess back; once more changes nothing.</summary>
    /// <exception cref="MissingException">The archer has no such guess.</exception>
    public void TakeBack(string archerId, string guessId) =>
        database.Write(sql =>
        {
            var has = sql.Scalar<bool>(
                "SELECT EXISTS (SELECT 1 FROM range_guess WHERE id = @guessId AND archer_id = @archerId AND takes_back IS NULL)",
                new { guessId, archerId }
            );
            return !has
                ? throw new MissingException("guess")
                : sql.Execute(
                    """
                    INSERT INTO range_guess (id, archer_id, guessed_typed, measured_typed, takes_back, guessed_at)
                    VALUES (@id, @archerId, '', '', @guessId, @now)
                    """,
                    new
                    {
                        id = $"{guessId}-back",
                        archerId,
                        guessId,
                        now = Stamp.Of(clock.GetUtcNow()),
                    }
                );
        });
}
