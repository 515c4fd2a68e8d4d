using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>Changes of a bow that were entered by hand.</summary>
internal static class ChangeRows
{
    /// <summary>How many changes the bow <c>@bowId</c> has, those that were taken back among them.</summary>
    internal const string Made = "(SELECT coalesce(max(ordinal), 0) FROM bow_change WHERE bow_id = @bowId)";

    /// <summary>The newest that were not taken back, or those before one, in order.</summary>
    public static RecordedChange[] Newest(Sql sql, string bowId, int most, int? before) =>
        [
            .. Read(
                    sql,
                    $"""
                    WHERE bow_id = @bowId AND (@before IS NULL OR ordinal < @before) AND {NotTakenBack}
                    ORDER BY ordinal DESC LIMIT @most
                    """,
                    new
                    {
                        bowId,
                        before,
                        most,
                    }
                )
                .Reverse(),
        ];

    /// <summary>
    /// When work was done from a time on that makes another bow of it at the paper, the newest of it in order.
    /// </summary>
    public static DateTimeOffset[] WorkedSince(Sql sql, string bowId, DateTimeOffset since) =>
        [
            .. Read(
                    sql,
                    $"""
                    WHERE bow_id = @bowId AND happened_at >= @dayBefore AND {NotTakenBack}
                    ORDER BY ordinal DESC LIMIT @Remembered
                    """,
                    new
                    {
                        bowId,
                        dayBefore = Stamp.Of(since.AddDays(-1)),
                        Remembered,
                    }
                )
                .Where(c => ChangeTable.MakesAnotherRig(c.Change) && c.HappenedAt >= since)
                .Select(c => c.HappenedAt)
                .Order(),
        ];

    private const string NotTakenBack = "NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = bow_change.id)";

    /// <summary>Nobody works on a bow more often while one paper is open.</summary>
    private const int Remembered = 40;

    public static RecordedChange[] Read(Sql sql, string where, object values) =>
        [
            .. sql.Query<(string Id, string Change, int Ordinal, string Note, int AfterShots, string At)>(
                    $"SELECT id, change, ordinal, note, after_shots, happened_at FROM bow_change {where}",
                    values
                )
                .Select(r => new RecordedChange(
                    r.Id,
                    FactsJson.Enum<BowChange>(r.Change),
                    r.Ordinal,
                    r.Note,
                    r.AfterShots,
                    Stamp.Read(r.At)
                )),
        ];
}
