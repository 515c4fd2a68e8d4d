using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Data;

/// <summary>The newest draw-force curve of a bow.</summary>
/// <param name="Number">Its number, from 1; 0 for a bow without any.</param>
/// <param name="Readings">Its readings in order, without those that were taken back.</param>
public sealed record BoardCurve(int Number, IReadOnlyList<BoardReading> Readings);

/// <summary>Draw-force curves of the bows. Readings are added; one that is taken back stays on record.</summary>
public sealed class BoardStore(Database database, TimeProvider clock)
{
    /// <summary>A curve has no more points than this.</summary>
    private const int MostReadings = 400;

    /// <summary>The newest curve of a bow.</summary>
    public BoardCurve Newest(string bowId) => database.Read(sql => Newest(sql, bowId));

    /// <summary>Adds a reading; what the curve teaches is kept on the bow. The same id again changes nothing.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="reading">The reading.</param>
    /// <param name="anew">True for the first of another curve.</param>
    public BoardCurve Add(string bowId, BoardReading reading, bool anew) =>
        database.Write(sql =>
        {
            var bow = BowStore.Get(sql, bowId).Sound().Bow;
            var now = Newest(sql, bowId);
            sql.Execute(
                """
                INSERT INTO board_reading (id, bow_id, curve, mark, travel, force, source, taken_at)
                VALUES (@Id, @bowId, @curve, @mark, @Travel, @Force, @Source, @now)
                """,
                new
                {
                    reading.Id,
                    bowId,
                    curve = Math.Max(1, now.Number + (anew && now.Readings.Count > 0 ? 1 : 0)),
                    mark = FactsJson.Word(reading.Mark),
                    reading.Travel,
                    reading.Force,
                    reading.Source,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Taught(sql, bowId, bow);
        });

    /// <summary>Takes a reading back; once more changes nothing.</summary>
    /// <exception cref="MissingException">The bow has no such reading.</exception>
    public BoardCurve TakeBack(string bowId, string id) =>
        database.Write(sql =>
        {
            var curve = sql.First<long?>(
                "SELECT curve FROM board_reading WHERE id = @id AND bow_id = @bowId AND takes_back IS NULL",
                new { id, bowId }
            );
            sql.Execute(
                """
                INSERT INTO board_reading (id, bow_id, curve, mark, source, takes_back, taken_at)
                VALUES (@back, @bowId, @curve, 'back', 'typed', @id, @now)
                """,
                new
                {
                    back = $"{id}-back",
                    bowId,
                    curve = curve ?? throw new MissingException("reading"),
                    id,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Taught(sql, bowId, BowStore.Get(sql, bowId).Bow);
        });

    private static BoardCurve Taught(Sql sql, string bowId, Bow bow)
    {
        var curve = Newest(sql, bowId);
        var fit = new ForceCurve(curve.Readings, bow).Fit();
        if (bow.Force != fit)
        {
            TaughtRows.Put(sql, bowId, bow with { Force = fit });
        }

        return curve;
    }

    private static BoardCurve Newest(Sql sql, string bowId)
    {
        var number = (int)(
            sql.First<long?>("SELECT max(curve) FROM board_reading WHERE bow_id = @bowId", new { bowId }) ?? 0
        );
        return new BoardCurve(
            number,
            [
                .. sql.Query<(string Id, string Mark, double Travel, double? Force, string Source)>(
                        """
                        SELECT id, mark, travel, force, source FROM board_reading r
                        WHERE bow_id = @bowId AND curve = @number AND takes_back IS NULL
                          AND NOT EXISTS (SELECT 1 FROM board_reading b WHERE b.takes_back = r.id)
                        ORDER BY rowid DESC LIMIT @MostReadings
                        """,
                        new
                        {
                            bowId,
                            number,
                            MostReadings,
                        }
                    )
                    .Select(r => new BoardReading(r.Id, FactsJson.Enum<BoardMark>(r.Mark), r.Travel, r.Force, r.Source))
                    .Reverse(),
            ]
        );
    }
}
