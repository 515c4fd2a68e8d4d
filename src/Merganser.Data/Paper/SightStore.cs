using Merganser.Core.Groups;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A bow's sight as it was measured.</summary>
public sealed record SightRow(Sight Sight, string EyeToPinTyped, string ClickTyped);

/// <summary>A sight to be kept.</summary>
public sealed record NewSight(string Id, string BowId, Entry EyeToPin, Entry? Click);

/// <summary>The sights of bows, and how they were moved: for heads alone, or for all arrows.</summary>
public sealed class SightStore(Database database, TimeProvider clock)
{
    /// <summary>Keeps a sight; the same id again changes nothing.</summary>
    public void Keep(NewSight sight) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, sight.BowId);
            return Keep(
                sql,
                new SightRow(
                    new Sight(sight.EyeToPin.Value, sight.Click?.Value),
                    sight.EyeToPin.Typed,
                    sight.Click?.Typed ?? ""
                ),
                sight.Id,
                sight.BowId,
                clock.GetUtcNow()
            );
        });

    /// <summary>Keeps a sight under an id of its own; the same id again changes nothing.</summary>
    internal static int Keep(Sql sql, SightRow sight, string id, string bowId, DateTimeOffset now) =>
        sql.Execute(
            """
            INSERT INTO bow_sight (id, bow_id, eye_to_pin, click, eye_to_pin_typed, click_typed, measured_at)
            VALUES (@id, @bowId, @EyeToPin, @Click, @EyeToPinTyped, @ClickTyped, @now) ON CONFLICT (id) DO NOTHING
            """,
            new
            {
                id,
                bowId,
                sight.Sight.EyeToPin,
                sight.Sight.Click,
                sight.EyeToPinTyped,
                sight.ClickTyped,
                now = Stamp.Of(now),
            }
        );

    /// <summary>The sight as it was measured last, or null.</summary>
    public SightRow? Of(string bowId) => database.Read(sql => Of(sql, bowId));

    /// <summary>The sight as it was measured last, or null.</summary>
    internal static SightRow? Of(Sql sql, string bowId) =>
        sql.First<(double EyeToPin, double? Click, string EyeToPinTyped, string ClickTyped)?>(
            """
            SELECT eye_to_pin, click, eye_to_pin_typed, click_typed FROM bow_sight WHERE bow_id = @bowId
            ORDER BY rowid DESC LIMIT 1
            """,
            new { bowId }
        )
            is { } row
            ? new SightRow(new Sight(row.EyeToPin, row.Click), row.EyeToPinTyped, row.ClickTyped)
            : null;

    internal static void WriteMark(Sql sql, string paperId, string id, SightAct moved, string now) =>
        sql.Execute(
            """
            INSERT INTO sight_mark (id, paper_id, after_set_id, pin_right, pin_up, eye_to_pin, click, heads, moved_at)
            VALUES (@id, @paperId,
              (SELECT s.id FROM shot_set s WHERE s.paper_id = @paperId
                AND EXISTS (SELECT 1 FROM shot h WHERE h.set_id = s.id) ORDER BY s.number DESC LIMIT 1),
              @Right, @Up, @EyeToPin, @Click, @heads, @now)
            """,
            new
            {
                id,
                paperId,
                moved.Pin.Right,
                moved.Pin.Up,
                moved.Sight.EyeToPin,
                moved.Sight.Click,
                heads = moved is HeadMarkMoved,
                now,
            }
        );

    /// <summary>The marks of a paper, each with the set that it came after and its place.</summary>
    internal static IEnumerable<(string? Set, long Row, (string Id, DateTimeOffset At, SightAct Act))> Marks(
        Sql sql,
        string paperId
    ) =>
        sql.Query<(
            string Id,
            long Row,
            string? Set,
            double Right,
            double Up,
            double EyeToPin,
            double? Click,
            bool Heads,
            string At
        )>(
                """
                SELECT id, rowid, after_set_id, pin_right, pin_up, eye_to_pin, click, heads, moved_at
                FROM sight_mark WHERE paper_id = @paperId ORDER BY rowid
                """,
                new { paperId }
            )
            .Select(m =>
            {
                var (pin, sight) = (new SightMove(m.Right, m.Up), new Sight(m.EyeToPin, m.Click));
                SightAct act = m.Heads ? new HeadMarkMoved(pin, sight) : new SightMoved(pin, sight);
                return (m.Set, m.Row, (m.Id, Stamp.Read(m.At), act));
            });
}
