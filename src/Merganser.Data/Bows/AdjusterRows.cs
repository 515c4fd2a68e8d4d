using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>A bow's adjusters as they stand.</summary>
internal static class AdjusterRows
{
    public static Adjuster[] Of(Sql sql, string bowId) =>
        [
            .. sql.Query<(
                string Kind,
                double Position,
                int Lower,
                int Upper,
                bool NeedsPress,
                double? Inches,
                string? Seats,
                string Way
            )>(
                    "SELECT kind, position + half / 2.0, lower, upper, needs_press, inches_per_step, seats, way FROM adjuster WHERE bow_id = @bowId AND fitted = 1",
                    new { bowId }
                )
                .Select(a => new Adjuster(
                    FactsJson.Enum<AdjusterKind>(a.Kind),
                    a.Position,
                    a.Lower,
                    a.Upper,
                    a.NeedsPress,
                    a.Inches,
                    a.Seats is null ? null : Kept.Read<SpacerSeats>(a.Seats),
                    FactsJson.Enum<AdjusterWay>(a.Way)
                ))
                .OrderBy(a => AdjusterTable.PlaceOf(a.Kind)),
        ];

    public static void Put(Sql sql, string bowId, IReadOnlyList<Adjuster> adjusters)
    {
        // An adjuster that is taken off keeps its row: its moves refer to it.
        sql.Execute("UPDATE adjuster SET fitted = 0 WHERE bow_id = @bowId", new { bowId });
        foreach (var adjuster in adjusters)
        {
            sql.Execute(
                """
                INSERT INTO adjuster (bow_id, kind, position, half, lower, upper, needs_press, inches_per_step, seats,
                way)
                VALUES (@bowId, @kind, @step, @half, @Lower, @Upper, @NeedsPress, @InchesPerStep, @seats, @way)
                ON CONFLICT (bow_id, kind) DO UPDATE SET lower = @Lower, upper = @Upper, needs_press = @NeedsPress,
                inches_per_step = @InchesPerStep, way = @way, fitted = 1
                """,
                new
                {
                    bowId,
                    kind = FactsJson.Word(adjuster.Kind),
                    step = Halves.Step(adjuster.Position),
                    half = Halves.Half(adjuster.Position),
                    adjuster.Lower,
                    adjuster.Upper,
                    adjuster.NeedsPress,
                    adjuster.InchesPerStep,
                    seats = adjuster.Seats is null ? null : Kept.Write(adjuster.Seats),
                    way = FactsJson.Word(adjuster.Way),
                }
            );
        }
    }
}
