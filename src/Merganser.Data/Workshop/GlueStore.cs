using Merganser.Core.Workshop;

namespace Merganser.Data;

/// <summary>
/// What the sheets of the bench's glues say, joint by joint. Each is added; the newest of a joint counts.
/// </summary>
public sealed class GlueStore(Database database, TimeProvider clock)
{
    /// <summary>The sheets that count, by joint.</summary>
    public IReadOnlyDictionary<Joint, GlueSheet> All() =>
        database.Read(sql =>
            sql.Query<(string Joint, string Glue, double? Handling, double? Cure, string Note)>(
                    """
                    SELECT joint, glue, handling_minutes, cure_hours, note FROM glue_sheet g
                    WHERE rowid = (SELECT max(rowid) FROM glue_sheet s WHERE s.joint = g.joint)
                    """
                )
                .Select(r => new GlueSheet(FactsJson.Enum<Joint>(r.Joint), r.Glue, r.Handling, r.Cure, r.Note))
                .ToDictionary(s => s.Joint)
        );

    /// <summary>Keeps a sheet; the same id again changes nothing.</summary>
    public void Keep(string id, GlueSheet sheet) =>
        database.Write(sql =>
            sql.Execute(
                """
                INSERT INTO glue_sheet (id, joint, glue, handling_minutes, cure_hours, note, entered_at)
                VALUES (@id, @joint, @Glue, @HandlingMinutes, @CureHours, @Note, @now)
                """,
                new
                {
                    id,
                    joint = FactsJson.Word(sheet.Joint),
                    sheet.Glue,
                    sheet.HandlingMinutes,
                    sheet.CureHours,
                    sheet.Note,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            )
        );
}
