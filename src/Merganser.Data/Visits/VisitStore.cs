using Merganser.Core.Figures;
using Merganser.Core.Plans;
using Merganser.Core.Visits;

namespace Merganser.Data;

/// <summary>Visits to the bench: each is kept as found and as it left.</summary>
public sealed class VisitStore(Database database, TimeProvider clock)
{
    private const int MostOfBow = 50;

    private const string Columns = """
        SELECT v.id, v.bow_id AS bowId, b.name AS bow, v.archer_id AS archerId, a.name AS owner, v.number, v.wants,
          v.arrived_at AS arrivedAt, e.handed_over_at AS handedOverAt, coalesce(e.watch, '') AS watch, r.on_day AS nextOn
        FROM visit v JOIN bow b ON b.id = v.bow_id JOIN archer a ON a.id = v.archer_id
        LEFT JOIN visit_end e ON e.visit_id = v.id LEFT JOIN reminder r ON r.id = e.reminder_id
        """;

    /// <summary>A visit of a bow.</summary>
    /// <exception cref="MissingException">The bow has no such visit.</exception>
    public VisitRow Get(string bowId, string visitId) => database.Read(sql => Get(sql, bowId, visitId));

    /// <summary>The visits of a bow, the newest first.</summary>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public IReadOnlyList<VisitRow> Of(string bowId) =>
        database.Read(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            return Read(
                sql,
                $"{Columns} WHERE v.bow_id = @bowId ORDER BY v.number DESC LIMIT {MostOfBow}",
                new { bowId }
            );
        });

    /// <summary>Visits of all bows: those that are open, then the newest; a page.</summary>
    /// <param name="find">Part of the name of bow or owner, or of what is wanted; empty for all.</param>
    /// <param name="after">How many were listed before.</param>
    /// <param name="most">At most so many.</param>
    public IReadOnlyList<VisitRow> All(string find, int after, int most) =>
        database.Read(sql =>
            Read(
                sql,
                $"""
                {Columns}
                WHERE @find = '' OR instr(lower(b.name || ' ' || a.name || ' ' || v.wants), lower(@find)) > 0
                ORDER BY e.handed_over_at IS NOT NULL, v.arrived_at DESC, v.rowid DESC LIMIT @most OFFSET @after
                """,
                new
                {
                    find,
                    after,
                    most,
                }
            )
        );

    /// <summary>A bow is brought in: how it stands now is kept as found. The same id again changes nothing.</summary>
    /// <exception cref="RefusedException">Another visit of the bow is open.</exception>
    /// <exception cref="MissingException">There is no such bow.</exception>
    /// <exception cref="IdTakenException">The id is already that of another visit.</exception>
    public void Begin(string id, string bowId, string wants) =>
        database.Write(sql =>
        {
            var bow = BowStore.Get(sql, bowId);
            var now = clock.GetUtcNow();
            var before = sql.First<(string Bow, string Wants)?>(
                "SELECT bow_id, wants FROM visit WHERE id = @id",
                new { id }
            );
            if (before is { } kept)
            {
                return kept == (bowId, wants) ? 0 : throw new IdTakenException("visit");
            }

            var newest = Read(sql, $"{Columns} WHERE v.bow_id = @bowId ORDER BY v.number DESC LIMIT 1", new { bowId })
                .FirstOrDefault();
            FieldReader.Demand(
                newest is not { HandedOverAt: null },
                "bowId",
                "open",
                new VisitIsOpen(newest?.Number ?? 0)
            );
            sql.Execute(
                """
                INSERT INTO visit (id, bow_id, archer_id, number, wants, arrived_at)
                VALUES (@id, @bowId, @ArcherId, @number, @wants, @now)
                """,
                new
                {
                    id,
                    bowId,
                    bow.ArcherId,
                    number = (newest?.Number ?? 0) + 1,
                    wants,
                    now = Stamp.Of(now),
                }
            );
            return VisitStates.Keep(sql, id, "found", VisitStates.Now(sql, bowId, now));
        });

    /// <summary>A line of parts or labour; the same id again with the same words changes nothing.</summary>
    /// <exception cref="RefusedException">The visit is handed over.</exception>
    /// <exception cref="MissingException">The bow has no such visit, or there is no such other bow.</exception>
    /// <exception cref="IdTakenException">The id is already that of another line.</exception>
    public void Add(string bowId, string visitId, VisitLine line, string? fromBowId) =>
        database.Write(sql =>
        {
            var visit = Get(sql, bowId, visitId);
            var row = new
            {
                line.Id,
                visitId,
                kind = FactsJson.Word(line.Kind),
                line.Text,
                line.Quantity,
                line.Price,
                fromBowId,
                now = Stamp.Of(clock.GetUtcNow()),
            };
            var before = sql.First<(string Visit, string Text)?>(
                "SELECT visit_id, text FROM visit_line WHERE id = @Id",
                row
            );
            if (before is { } kept)
            {
                return kept == (visitId, line.Text) ? 0 : throw new IdTakenException("visit line");
            }

            Open(visit);
            if (fromBowId is not null)
            {
                _ = BowStore.Get(sql, fromBowId);
            }

            return sql.Execute(
                """
                INSERT INTO visit_line (id, visit_id, kind, text, quantity, price, from_bow_id, entered_at)
                VALUES (@Id, @visitId, @kind, @Text, @Quantity, @Price, @fromBowId, @now)
                """,
                row
            );
        });

    /// <summary>Takes a line back; once more changes nothing.</summary>
    /// <exception cref="RefusedException">The visit is handed over.</exception>
    /// <exception cref="MissingException">The visit has no such line.</exception>
    public void TakeBack(string bowId, string visitId, string lineId) =>
        database.Write(sql =>
        {
            Open(Get(sql, bowId, visitId));
            var kind = sql.Scalar<string?>(
                "SELECT kind FROM visit_line WHERE id = @lineId AND visit_id = @visitId AND takes_back IS NULL",
                new { lineId, visitId }
            );
            return kind is null
                ? throw new MissingException("visit line")
                : sql.Execute(
                    """
                    INSERT INTO visit_line (id, visit_id, kind, text, quantity, takes_back, entered_at)
                    VALUES (@id, @visitId, @kind, '', 0, @lineId, @now)
                    """,
                    new
                    {
                        id = $"{lineId}-back",
                        visitId,
                        kind,
                        lineId,
                        now = Stamp.Of(clock.GetUtcNow()),
                    }
                );
        });

    /// <summary>
    /// Hands a bow over: how it stands now is kept as it left, and the next visit goes on the plan. Once more changes
    /// nothing.
    /// </summary>
    /// <exception cref="MissingException">The bow has no such visit.</exception>
    public void HandOver(string bowId, string visitId, VisitEnd end) =>
        database.Write(sql =>
        {
            var visit = Get(sql, bowId, visitId);
            if (visit.HandedOverAt is not null)
            {
                return 0;
            }

            var now = clock.GetUtcNow();
            var reminder = end.NextOn is null ? null : $"{visitId}-next";
            if (end.NextOn is { } on)
            {
                var words = $"Visit {visit.Number + 1}";
                ReminderStore.Keep(sql, new NewReminder(reminder!, ReminderKind.ByDate, bowId, words, on, null), now);
            }

            sql.Execute(
                """
                INSERT INTO visit_end (visit_id, watch, reminder_id, handed_over_at)
                VALUES (@visitId, @Watch, @reminder, @now)
                """,
                new
                {
                    visitId,
                    end.Watch,
                    reminder,
                    now = Stamp.Of(now),
                }
            );
            return VisitStates.Keep(sql, visitId, "left", VisitStates.Now(sql, bowId, now));
        });

    /// <summary>The lines of a visit that stand, in order.</summary>
    public IReadOnlyList<VisitLine> Lines(string visitId) => database.Read(sql => Lines(sql, visitId));

    internal static VisitLine[] Lines(Sql sql, string visitId) =>
        [
            .. sql.Query<(
                string Id,
                string Kind,
                string Text,
                double Quantity,
                double? Price,
                string? From,
                string? FromId
            )>(
                    """
                    SELECT l.id, l.kind, l.text, l.quantity, l.price, b.name, b.id FROM visit_line l
                    LEFT JOIN bow b ON b.id = l.from_bow_id
                    WHERE l.visit_id = @visitId AND l.takes_back IS NULL
                      AND NOT EXISTS (SELECT 1 FROM visit_line t WHERE t.takes_back = l.id)
                    ORDER BY l.rowid
                    """,
                    new { visitId }
                )
                .Select(l => new VisitLine(
                    l.Id,
                    FactsJson.Enum<VisitLineKind>(l.Kind),
                    l.Text,
                    l.Quantity,
                    l.Price,
                    l.From,
                    l.FromId
                )),
        ];

    /// <summary>As found, and as it left or stands now.</summary>
    public (VisitState Found, VisitState Left) States(VisitRow visit) =>
        database.Read(sql =>
            (
                VisitStates.Of(sql, visit.BowId, visit.Id, "found"),
                visit.HandedOverAt is null
                    ? VisitStates.Now(sql, visit.BowId, clock.GetUtcNow())
                    : VisitStates.Of(sql, visit.BowId, visit.Id, "left")
            )
        );

    internal static void Open(VisitRow visit) =>
        FieldReader.Demand(visit.HandedOverAt is null, "visit", "handed-over", VisitSays.IsHandedOver);

    internal static VisitRow Get(Sql sql, string bowId, string visitId) =>
        Read(sql, $"{Columns} WHERE v.id = @visitId AND v.bow_id = @bowId", new { visitId, bowId }).FirstOrDefault()
        ?? throw new MissingException("visit");

    private static VisitRow[] Read(Sql sql, string statement, object values) =>
        [.. sql.Query<VisitLineRow>(statement, values).Select(l => l.Row())];
}
