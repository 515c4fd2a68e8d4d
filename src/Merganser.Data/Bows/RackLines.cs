namespace Merganser.Data;

/// <summary>A bow as the rack's list has it, with its line where one still holds.</summary>
/// <param name="Revision">Counts whatever was written about the bow.</param>
/// <param name="Line">As it was kept, or null where it is to be made anew.</param>
public sealed record HungBow(string Id, string Name, int Version, bool Archived, long Revision, string? Line);

/// <summary>A line to be kept.</summary>
/// <param name="Revision">Of which revision of the bow it was made.</param>
/// <param name="HoldsUntil">When it is to be made anew though nothing was written; null for never.</param>
public sealed record KeptLine(string BowId, long Revision, DateTimeOffset? HoldsUntil, string Line);

/// <summary>
/// The lines of the rack, kept as they were made: a bow that nothing was written about is not read again.
/// </summary>
public sealed class RackLines(Database database)
{
    /// <summary>Every bow in the order of the rack.</summary>
    /// <param name="madeBy">The program: lines that another one made do not hold.</param>
    /// <param name="now">The time now.</param>
    public IReadOnlyList<HungBow> All(string madeBy, DateTimeOffset now) =>
        database.Read(sql =>
            sql.Query<(string Id, string Name, int Version, bool Archived, long Revision, string? Line, string? Until)>(
                    """
                    SELECT b.id, b.name, b.version, b.archived_at IS NOT NULL, r.number, l.line, l.holds_until
                    FROM bow b JOIN bow_revision r ON r.bow_id = b.id
                    LEFT JOIN rack_line l ON l.bow_id = b.id AND l.revision = r.number AND l.made_by = @madeBy
                    ORDER BY b.created_at, b.id
                    """,
                    new { madeBy }
                )
                .Select(b => new HungBow(
                    b.Id,
                    b.Name,
                    b.Version,
                    b.Archived,
                    b.Revision,
                    b.Until is null || Stamp.Read(b.Until) > now ? b.Line : null
                ))
                .ToArray()
        );

    /// <summary>Keeps lines that were made.</summary>
    public void Keep(string madeBy, IReadOnlyList<KeptLine> lines)
    {
        if (lines.Count == 0)
        {
            return;
        }

        database.KeepIfItCan(sql =>
            sql.Execute(
                """
                INSERT INTO rack_line (bow_id, revision, made_by, holds_until, line)
                VALUES (@BowId, @Revision, @madeBy, @until, @Line)
                ON CONFLICT (bow_id) DO UPDATE SET revision = @Revision, made_by = @madeBy, holds_until = @until,
                line = @Line
                """,
                lines.Select(l => new
                {
                    l.BowId,
                    l.Revision,
                    madeBy,
                    until = l.HoldsUntil is { } until ? Stamp.Of(until) : null,
                    l.Line,
                })
            )
        );
    }
}
