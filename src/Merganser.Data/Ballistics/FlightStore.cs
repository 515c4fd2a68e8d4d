using Merganser.Core.Ballistics;

namespace Merganser.Data;

/// <summary>A proven mark or a speed down range to be kept; without a value it is given up.</summary>
public sealed record NewProven(
    string Id,
    string BowId,
    string ArrowVersionId,
    ProvenKind Kind,
    Core.Units.Entry Distance,
    Core.Units.Entry? Value
);

/// <summary>A proven mark with what was typed.</summary>
public sealed record ProvenRow(string ArrowVersionId, Proven Proven, string DistanceTyped, string ValueTyped);

/// <summary>What archers say of the range of their bows, and what they proved there.</summary>
public sealed class FlightStore(Database database, TimeProvider clock)
{
    /// <summary>So many marks of a bow are read, the newest: nobody proves more.</summary>
    private const int Most = 200;

    /// <summary>What was said last of a bow, as typed; null before anything was.</summary>
    public FlightEntry? Wish(string bowId) => database.Read(sql => Wish(sql, bowId));

    /// <summary>The arrow that was shot last with a bow, or null.</summary>
    public string? ShotLast(string bowId) =>
        database.Read(sql =>
            sql.Scalar<string?>(
                """
                SELECT v.arrow_id FROM paper p JOIN shot_set s ON s.paper_id = p.id
                  JOIN arrow_version v ON v.id = s.arrow_version_id
                WHERE p.bow_id = @bowId ORDER BY p.rowid DESC, s.number DESC LIMIT 1
                """,
                new { bowId }
            )
        );

    /// <summary>Keeps what is said; the same id again changes nothing.</summary>
    public void Say(string id, string bowId, FlightEntry said) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            return sql.Execute(
                """
                INSERT INTO flight_wish (id, bow_id, error, error_typed, circle_typed, spread, spread_typed,
                  height_typed, altitude_typed, temperature_typed, said_at)
                VALUES (@id, @bowId, @error, @errorTyped, @circle, @spread, @spreadTyped, @height, @altitude,
                  @temperature, @now) ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    bowId,
                    error = FactsJson.Word(said.Error),
                    errorTyped = said.ErrorYards?.Trim() ?? "",
                    circle = said.Circle?.Trim() ?? "",
                    spread = FactsJson.Word(said.Spread),
                    spreadTyped = said.PerYard?.Trim() ?? "",
                    height = said.SightHeight?.Trim() ?? "",
                    altitude = said.Altitude?.Trim() ?? "",
                    temperature = said.Temperature?.Trim() ?? "",
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
        });

    /// <summary>The marks and readings of a bow that stand, one for an arrow, a kind and a distance.</summary>
    public IReadOnlyList<ProvenRow> Proven(string bowId) =>
        database.Read(sql =>
            sql.Query<(string Version, string Kind, double Yards, double Value, string Distance, string Typed)>(
                    """
                    SELECT arrow_version_id, kind, yards, value, distance_typed, value_typed FROM proven_mark m
                    WHERE bow_id = @bowId AND value IS NOT NULL AND rowid = (
                      SELECT max(n.rowid) FROM proven_mark n WHERE n.bow_id = m.bow_id
                        AND (n.arrow_version_id, n.kind, n.yards) = (m.arrow_version_id, m.kind, m.yards))
                    ORDER BY rowid DESC LIMIT @Most
                    """,
                    new { bowId, Most }
                )
                .Select(m => new ProvenRow(
                    m.Version,
                    new Proven(FactsJson.Enum<ProvenKind>(m.Kind), m.Yards, m.Value),
                    m.Distance,
                    m.Typed
                ))
                .OrderBy(m => m.Proven.Kind)
                .ThenBy(m => m.Proven.Yards)
                .ToArray()
        );

    /// <summary>Keeps a mark; the same id again changes nothing.</summary>
    public void Prove(NewProven mark) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, mark.BowId);
            return sql.Execute(
                """
                INSERT INTO proven_mark (id, bow_id, arrow_version_id, kind, yards, value, distance_typed, value_typed,
                  proven_at)
                VALUES (@Id, @BowId, @ArrowVersionId, @kind, @yards, @value, @distanceTyped, @valueTyped, @now)
                ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    mark.Id,
                    mark.BowId,
                    mark.ArrowVersionId,
                    kind = FactsJson.Word(mark.Kind),
                    yards = mark.Distance.Value,
                    value = mark.Value?.Value,
                    distanceTyped = mark.Distance.Typed,
                    valueTyped = mark.Value?.Typed ?? "",
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
        });

    private static FlightEntry? Wish(Sql sql, string bowId) =>
        sql.First<(
            string Error,
            string ErrorTyped,
            string Circle,
            string Spread,
            string SpreadTyped,
            string Height,
            string Altitude,
            string Temperature
        )?>(
            """
            SELECT error, error_typed, circle_typed, spread, spread_typed, height_typed, altitude_typed,
              temperature_typed
            FROM flight_wish WHERE bow_id = @bowId ORDER BY rowid DESC LIMIT 1
            """,
            new { bowId }
        )
            is { } said
            ? new FlightEntry(
                FactsJson.Enum<ErrorFrom>(said.Error),
                said.ErrorTyped,
                said.Circle,
                FactsJson.Enum<SpreadSource>(said.Spread),
                said.SpreadTyped,
                said.Height,
                said.Altitude,
                said.Temperature
            )
            : null;
}
