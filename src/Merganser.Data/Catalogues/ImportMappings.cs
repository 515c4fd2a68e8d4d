using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;

namespace Merganser.Data;

/// <summary>
/// How suppliers' tables were read last, by their header: the same header is offered the same way again.
/// </summary>
public sealed class ImportMappings(Database database)
{
    /// <summary>How a table of this header was read; null for one that was not written yet.</summary>
    public ImportMapping? Of(ComponentClass kind, IReadOnlyList<string> columns) =>
        database.Read(sql =>
            sql.Scalar<string?>(
                "SELECT mapping FROM import_mapping WHERE class = @kind AND header = @header",
                Key(kind, columns)
            )
                is { } kept
                ? FactsJson.Read<ImportMapping>(kept)
                : null
        );

    /// <summary>Keeps how one was read.</summary>
    public void Keep(ComponentClass kind, IReadOnlyList<string> columns, ImportMapping mapping) =>
        database.Write(sql =>
            sql.Execute(
                """
                INSERT INTO import_mapping (class, header, mapping) VALUES (@kind, @header, @mapping)
                ON CONFLICT (class, header) DO UPDATE SET mapping = excluded.mapping
                """,
                new
                {
                    kind = FactsJson.Word(kind),
                    header = Header(columns),
                    mapping = FactsJson.Write(mapping),
                }
            )
        );

    private static object Key(ComponentClass kind, IReadOnlyList<string> columns) =>
        new { kind = FactsJson.Word(kind), header = Header(columns) };

    private static string Header(IReadOnlyList<string> columns) => string.Join('\n', columns);
}
