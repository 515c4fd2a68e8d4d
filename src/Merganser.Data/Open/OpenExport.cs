using System.Text.Json;

namespace Merganser.Data;

/// <summary>
/// The data as one JSON document: what belongs to no single bow, then each bow with everything of it. Columns keep the
/// names that they have in the file; a column that holds JSON is written as such.
/// </summary>
public sealed class OpenExport(Database database, TimeProvider clock)
{
    /// <summary>What the document says that it is.</summary>
    public const string Format = "merganser-bench";

    /// <summary>Writes all of it, or one bow with what it needs.</summary>
    /// <param name="to">Where to.</param>
    /// <param name="bowId">The bow; null for all of it.</param>
    /// <param name="fileOf">Takes the bytes of a photograph and answers with the file beside that has them; null to
    /// have them in the document.</param>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public void Write(Stream to, string? bowId, Func<string, byte[], string>? fileOf = null) =>
        database.Read(sql =>
        {
            string[] bows = bowId is null
                ? [.. sql.Query<string>("SELECT id FROM bow ORDER BY created_at, rowid")]
                : [BowStore.Get(sql, bowId).Id];
            using var json = new Utf8JsonWriter(to);
            json.WriteStartObject();
            json.WriteString("format", Format);
            json.WriteNumber("version", VersionOf(sql));
            json.WriteString("madeAt", Stamp.Of(clock.GetUtcNow()));
            json.WriteStartObject("shared");
            foreach (var table in OpenTables.Shared)
            {
                Rows(sql, json, table, bowId is null ? "TRUE" : OpenTables.NeededBy(table), bowId, bowId, fileOf);
            }

            json.WriteEndObject();
            json.WriteStartArray("bows");
            foreach (var bow in bows)
            {
                json.WriteStartObject();
                foreach (var table in OpenTables.OfBow)
                {
                    Rows(sql, json, table, table.OfBow!, bow, bowId, fileOf);
                }

                json.WriteEndObject();
                json.Flush();
            }

            json.WriteEndArray();
            json.WriteEndObject();
            return 0;
        });

    /// <summary>Each table as lines of cells, its columns first.</summary>
    public IEnumerable<(OpenTable Table, IReadOnlyList<string[]> Lines)> Tables() =>
        database.Read(sql =>
            OpenTables
                .All.Select(table =>
                {
                    var columns = ColumnsOf(sql, table).Where(c => c.Type != Bytes).ToArray();
                    List<string[]> lines =
                    [
                        [.. columns.Select(c => c.Name)],
                    ];
                    lines.AddRange(
                        sql.Query<dynamic>($"SELECT {Names(columns)} FROM {table.Name} ORDER BY rowid")
                            .Cast<IDictionary<string, object?>>()
                            .Select(row =>
                                row.Values.Select(v =>
                                        Convert.ToString(v, System.Globalization.CultureInfo.InvariantCulture) ?? ""
                                    )
                                    .ToArray()
                            )
                    );
                    return (table, (IReadOnlyList<string[]>)lines);
                })
                .ToArray()
        );

    /// <summary>The type of a column that holds a photograph.</summary>
    internal const string Bytes = "BLOB";

    /// <summary>A column of a table.</summary>
    internal sealed record Column(string Name, string Type, bool IsKey, bool MayBeNull);

    /// <summary>The columns of a table, without those that the file works out by itself.</summary>
    internal static Column[] ColumnsOf(Sql sql, OpenTable table) =>
        [
            .. sql.Query<(string Name, string Type, long Key, long NotNull)>(
                    "SELECT name, type, pk, \"notnull\" FROM pragma_table_info(@Name) ORDER BY cid",
                    table
                )
                .Select(c => new Column(c.Name, c.Type, c.Key > 0, c.NotNull == 0)),
        ];

    /// <summary>The number of the last migration that the file has seen.</summary>
    internal static int VersionOf(Sql sql) =>
        sql.Query<string>("SELECT ScriptName FROM SchemaVersions")
            .Select(name => int.Parse(name.Split('.')[^2][..4], System.Globalization.CultureInfo.InvariantCulture))
            .Max();

    internal static string Names(IEnumerable<Column> columns) =>
        string.Join(", ", columns.Select(c => $"\"{c.Name}\""));

    private static void Rows(
        Sql sql,
        Utf8JsonWriter json,
        OpenTable table,
        string which,
        string? bow,
        string? only,
        Func<string, byte[], string>? fileOf
    )
    {
        var columns = ColumnsOf(sql, table);
        json.WriteStartArray(table.Name);
        var rows = sql.Query<dynamic>(
            $"SELECT {Names(columns)} FROM {table.Name} WHERE {which} ORDER BY rowid",
            new { bow }
        );
        foreach (var row in rows.Cast<IDictionary<string, object?>>())
        {
            json.WriteStartObject();
            foreach (var (name, value) in row)
            {
                json.WritePropertyName(name);
                if (value is byte[] bytes && fileOf is not null)
                {
                    json.WriteStartObject();
                    json.WriteString("file", fileOf($"{row.Values.First()}-{name}", bytes));
                    json.WriteEndObject();
                    continue;
                }

                // Of one bow alone no other is known.
                Value(json, only is not null && name == "from_bow_id" ? null : value, table.Nested.Contains(name));
            }

            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private static void Value(Utf8JsonWriter json, object? value, bool nested)
    {
        switch (value)
        {
            case null:
                json.WriteNullValue();
                break;
            case string text when nested && text is ['{' or '[', ..]:
                json.WriteRawValue(text);
                break;
            case string text:
                json.WriteStringValue(text);
                break;
            case byte[] bytes:
                json.WriteBase64StringValue(bytes);
                break;
            case long whole:
                json.WriteNumberValue(whole);
                break;
            case double real:
                json.WriteNumberValue(real);
                break;
            default:
                throw new InvalidOperationException($"No column holds a {value.GetType().Name}.");
        }
    }
}
