using Merganser.Core.Figures;
using Merganser.Core.Plans;

namespace Merganser.Data;

/// <summary>A reminder to be kept.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="Kind">By day, by shots, or a shoot.</param>
/// <param name="BowId">The bow; null for the bench.</param>
/// <param name="Text">What is to be done.</param>
/// <param name="On">The day; null by shots.</param>
/// <param name="AfterShots">Shots from now; null by day.</param>
public sealed record NewReminder(
    string Id,
    ReminderKind Kind,
    string? BowId,
    string Text,
    DateOnly? On,
    int? AfterShots
);

/// <summary>What is to be done. A reminder ends, and may be opened again; it never goes away.</summary>
public sealed class ReminderStore(Database database, TimeProvider clock)
{
    private const int MostWaiting = 500;
    private const int MostEnded = 20;

    private const string Columns = """
        SELECT r.id, r.bow_id AS bowId, r.kind, r.text, r.on_day AS onDay, r.after_shots AS afterShots,
          r.shots_before + r.after_shots
            - coalesce((SELECT sum(t.count) FROM shots_total t WHERE t.bow_id = r.bow_id), 0) AS shotsLeft,
          r.state, r.ended_at AS endedAt
        FROM reminder r
        """;

    /// <summary>The day it is on this machine.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    /// <summary>Those that wait, in the order in which they were entered.</summary>
    public IReadOnlyList<Reminder> Waiting() =>
        database.Read(sql => Read(sql, $"{Columns} WHERE r.state = 'open' ORDER BY r.rowid LIMIT {MostWaiting}"));

    /// <summary>Those that ended, the newest first.</summary>
    public IReadOnlyList<Reminder> Ended() =>
        database.Read(sql =>
            Read(sql, $"{Columns} WHERE r.state <> 'open' ORDER BY r.ended_at DESC, r.rowid DESC LIMIT {MostEnded}")
        );

    /// <summary>Those of a bow that wait.</summary>
    public IReadOnlyList<Reminder> Of(string bowId) =>
        database.Read(sql =>
            Read(
                sql,
                $"{Columns} WHERE r.bow_id = @bowId AND r.state = 'open' ORDER BY r.rowid LIMIT {MostWaiting}",
                bowId
            )
        );

    /// <summary>Keeps a reminder; the same id again with the same words changes nothing.</summary>
    /// <exception cref="RefusedException">A field cannot be; each is named.</exception>
    /// <exception cref="MissingException">There is no such bow.</exception>
    /// <exception cref="IdTakenException">The id is already that of another reminder.</exception>
    public void Keep(NewReminder reminder)
    {
        var byShots = reminder.Kind == ReminderKind.ByShots;
        Reminder.Check(reminder.Kind, reminder.BowId, reminder.Text, reminder.On, reminder.AfterShots, Today);
        database.Write(sql =>
            Keep(
                sql,
                reminder with
                {
                    BowId = reminder.Kind == ReminderKind.Shoot ? null : reminder.BowId,
                    On = byShots ? null : reminder.On,
                    AfterShots = byShots ? reminder.AfterShots : null,
                },
                clock.GetUtcNow()
            )
        );
    }

    internal static int Keep(Sql sql, NewReminder reminder, DateTimeOffset now)
    {
        if (reminder.BowId is { } bow)
        {
            _ = BowStore.Get(sql, bow);
        }

        var row = new
        {
            reminder.Id,
            reminder.BowId,
            kind = FactsJson.Word(reminder.Kind),
            reminder.Text,
            on = Stamp.Of(reminder.On),
            reminder.AfterShots,
            now = Stamp.Of(now),
        };
        var before = sql.First<(string? Bow, string Kind, string Text)?>(
            "SELECT bow_id, kind, text FROM reminder WHERE id = @Id",
            row
        );
        if (before is { } kept)
        {
            return kept == (row.BowId, row.kind, row.Text) ? 0 : throw new IdTakenException("reminder");
        }

        return sql.Execute(
            """
            INSERT INTO reminder (id, bow_id, kind, text, on_day, after_shots, shots_before, made_at)
            VALUES (@Id, @BowId, @kind, @Text, @on, @AfterShots,
              coalesce((SELECT sum(t.count) FROM shots_total t WHERE t.bow_id = @BowId), 0), @now)
            """,
            row
        );
    }

    /// <summary>It is done, or dropped, or waits again; the same once more changes nothing.</summary>
    /// <exception cref="MissingException">There is no such reminder.</exception>
    public void Put(string id, ReminderState state) =>
        database.Write(sql =>
        {
            var now = state == ReminderState.Open ? null : Stamp.Of(clock.GetUtcNow());
            var row = new
            {
                id,
                state = FactsJson.Word(state),
                now,
            };
            return sql.Scalar<string?>("SELECT state FROM reminder WHERE id = @id", row) switch
            {
                null => throw new MissingException("reminder"),
                var before when before == row.state => 0,
                _ => sql.Execute("UPDATE reminder SET state = @state, ended_at = @now WHERE id = @id", row),
            };
        });

    private static Reminder[] Read(Sql sql, string statement, string? bowId = null) =>
        [.. sql.Query<Line>(statement, new { bowId }).Select(l => l.Row())];

    private sealed class Line
    {
        public string Id { get; init; } = "";
        public string? BowId { get; init; }
        public string Kind { get; init; } = "";
        public string Text { get; init; } = "";
        public string? OnDay { get; init; }
        public long? AfterShots { get; init; }
        public long? ShotsLeft { get; init; }
        public string State { get; init; } = "";
        public string? EndedAt { get; init; }

        public Reminder Row() =>
            new(
                Id,
                BowId,
                FactsJson.Enum<ReminderKind>(Kind),
                Text,
                Stamp.ReadDay(OnDay),
                (int?)AfterShots,
                (int?)ShotsLeft,
                FactsJson.Enum<ReminderState>(State),
                EndedAt is null ? null : Stamp.Read(EndedAt)
            );
    }
}
