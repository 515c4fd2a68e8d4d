using System.Text.Json;
using Dapper;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>One go through a document, inside a transaction.</summary>
internal sealed class OpenReading(Sql sql, JsonElement document, IReadOnlySet<string> take, Func<string, byte[]?> files)
{
    private readonly List<OpenThing> things = [];
    private readonly Dictionary<string, OpenExport.Column[]> columns = [];
    private bool isEmpty;

    public IReadOnlyList<OpenThing> Run()
    {
        var version = OpenExport.VersionOf(sql);
        var isOurs =
            document.ValueKind == JsonValueKind.Object
            && document.TryGetProperty("format", out var format)
            && format.ValueKind == JsonValueKind.String
            && format.GetString() == OpenExport.Format
            && document.TryGetProperty("version", out var number)
            && number.TryGetInt32(out _)
            && Is(document, "shared", JsonValueKind.Object)
            && Is(document, "bows", JsonValueKind.Array);
        if (!isOurs)
        {
            throw RefusedException.At("file", "format", InputSays.NoSuchDocument);
        }

        var written = document.GetProperty("version").GetInt32();
        if (written > version)
        {
            throw RefusedException.At("file", "newer", InputSays.DocumentIsNewer);
        }

        // Into a bench without a bow the document comes as it is: the parts that are stocked there are nobody's yet.
        isEmpty = !sql.Scalar<bool>("SELECT EXISTS (SELECT 1 FROM bow)");
        foreach (var table in OpenTables.Shared)
        {
            if (table.Name != "reminder")
            {
                Shared(table);
            }
        }

        foreach (var bow in document.GetProperty("bows").EnumerateArray())
        {
            Bow(bow);
        }

        // Reminders name bows: they come after them.
        Shared(OpenTables.Shared.Single(t => t.Name == "reminder"));
        return things;
    }

    private static bool Is(JsonElement of, string name, JsonValueKind kind) =>
        of.TryGetProperty(name, out var found) && found.ValueKind == kind;

    private void Shared(OpenTable table)
    {
        foreach (var row in RowsOf(document.GetProperty("shared"), table))
        {
            Guarded(
                KeyOf(table, row),
                table.Name,
                NameOf(row),
                () =>
                {
                    // What is to be done on a bow that stays out stays out with it.
                    if (table.Name == "reminder" && Text(row, "bow_id") is { } bow)
                    {
                        _ = BowStore.Get(sql, bow);
                    }

                    var became = Enter(table, row);
                    return (became, became == TakenIn.New ? 1 : 0);
                }
            );
        }
    }

    private void Bow(JsonElement bow)
    {
        var first = RowsOf(bow, OpenTables.OfBow[0]).FirstOrDefault();
        Guarded(
            first is null ? "bow" : KeyOf(OpenTables.OfBow[0], first),
            "bow",
            first is null ? "" : NameOf(first),
            () =>
            {
                var id = Text(first, "id") ?? throw Refused(InputSays.BowWithoutId);
                var all = OpenTables.OfBow.SelectMany(t => RowsOf(bow, t).Select(r => Enter(t, r))).ToArray();
                Readable(id);
                var added = all.Count(b => b == TakenIn.New);
                var became =
                    all[0] == TakenIn.New ? TakenIn.New
                    : all.Contains(TakenIn.Differs) ? TakenIn.Differs
                    : added > 0 ? TakenIn.Grown
                    : TakenIn.Same;
                return (became, added);
            }
        );
    }

    /// <summary>All of it or nothing of it.</summary>
    private void Guarded(string key, string kind, string name, Func<(TakenIn, int)> enter)
    {
        sql.Execute("SAVEPOINT thing");
        try
        {
            var (became, rows) = enter();
            sql.Execute("RELEASE thing");
            things.Add(new OpenThing(key, kind, name, became, rows, null));
        }
        catch (Exception trouble)
            when (trouble is RefusedException or JsonException or MissingException or SqliteException or FormatException
            )
        {
            sql.Execute("ROLLBACK TO thing; RELEASE thing");
            Message why = trouble switch
            {
                RefusedException { Problems: [var problem, ..] } => problem.Message,
                SqliteException { SqliteErrorCode: SqliteCodes.Constraint } => InputSays.BothWentOn,
                _ => InputSays.CannotBeReadHere,
            };
            things.Add(new OpenThing(key, kind, name, TakenIn.Refused, 0, why));
        }
    }

    private TakenIn Enter(OpenTable table, IReadOnlyDictionary<string, object?> row)
    {
        var of = ColumnsOf(table);
        var known = of.Where(c => row.ContainsKey(c.Name)).ToArray();
        var keys = of.Where(c => c.IsKey).ToArray();
        if (keys.Any(k => row.GetValueOrDefault(k.Name) is null))
        {
            throw Refused(new RowWithoutKey(table.Name));
        }

        var values = new DynamicParameters(row.ToDictionary(c => c.Key, c => c.Value));
        var where = string.Join(" AND ", keys.Select(k => $"\"{k.Name}\" = @{k.Name}"));
        var there = sql.First<dynamic>($"SELECT {OpenExport.Names(known)} FROM {table.Name} WHERE {where}", values);
        if (there is null)
        {
            var added = sql.Execute(
                $"""
                INSERT INTO {table.Name} ({OpenExport.Names(known)})
                VALUES ({string.Join(", ", known.Select(c => $"@{c.Name}"))})
                """,
                values
            );
            // At the place of another row the tables pass it over.
            return added == 1 ? TakenIn.New : throw Refused(InputSays.BothWentOn);
        }

        if (((IDictionary<string, object?>)there).All(c => Same(c.Value, row[c.Key])))
        {
            return TakenIn.Same;
        }

        if (!table.Changes)
        {
            throw Refused(InputSays.BothWentOn);
        }

        if (isEmpty || take.Contains(KeyOf(table, row)) || (table.Name is "adjuster" or "arrow" && TakesBow(row)))
        {
            var set = known.Where(c => !c.IsKey).Select(c => $"\"{c.Name}\" = @{c.Name}");
            sql.Execute($"UPDATE {table.Name} SET {string.Join(", ", set)} WHERE {where}", values);
        }

        return isEmpty ? TakenIn.New : TakenIn.Differs;
    }

    private bool TakesBow(IReadOnlyDictionary<string, object?> row) => take.Contains($"bow {Text(row, "bow_id")}");

    private static bool Same(object? a, object? b) =>
        (a, b) switch
        {
            (byte[] x, byte[] y) => x.AsSpan().SequenceEqual(y),
            (double x, long y) => x == y,
            (long x, double y) => x == y,
            _ => Equals(a, b),
        };

    /// <summary>What was taken in can be read by the program.</summary>
    private void Readable(string bowId)
    {
        var bow = BowStore.Get(sql, bowId);
        _ = ArcherStore.Get(sql, bow.ArcherId);
        _ = SetupReader.Of(sql, bowId);
        _ = StateReader.Of(sql, bowId, DateTimeOffset.MaxValue.AddDays(-1));
    }

    private OpenExport.Column[] ColumnsOf(OpenTable table) =>
        columns.TryGetValue(table.Name, out var of) ? of : columns[table.Name] = OpenExport.ColumnsOf(sql, table);

    private string KeyOf(OpenTable table, IReadOnlyDictionary<string, object?> row) =>
        $"{table.Name} {string.Join(' ', ColumnsOf(table).Where(c => c.IsKey).Select(c => row.GetValueOrDefault(c.Name)))}";

    private static string NameOf(IReadOnlyDictionary<string, object?> row) =>
        new[] { "name", "text", "glue", "class", "id" }.Select(n => Text(row, n)).FirstOrDefault(t => t is not null)
        ?? "";

    private static string? Text(IReadOnlyDictionary<string, object?>? row, string column) =>
        row?.GetValueOrDefault(column) as string;

    private IEnumerable<IReadOnlyDictionary<string, object?>> RowsOf(JsonElement of, OpenTable table)
    {
        if (of.ValueKind != JsonValueKind.Object || !of.TryGetProperty(table.Name, out var rows))
        {
            return [];
        }

        return rows.ValueKind != JsonValueKind.Array
            ? throw Refused(new RowWithoutKey(table.Name))
            : rows.EnumerateArray().Select(r => Row(r, table)).ToArray();
    }

    private Dictionary<string, object?> Row(JsonElement row, OpenTable table)
    {
        if (row.ValueKind != JsonValueKind.Object)
        {
            throw Refused(new RowWithoutKey(table.Name));
        }

        var known = ColumnsOf(table).ToDictionary(c => c.Name);
        Dictionary<string, object?> values = [];
        foreach (var cell in row.EnumerateObject())
        {
            if (!known.TryGetValue(cell.Name, out var column))
            {
                throw Refused(new UnknownColumn(table.Name, cell.Name));
            }

            values[cell.Name] = cell.Value.ValueKind switch
            {
                JsonValueKind.String or JsonValueKind.Object when column.Type == OpenExport.Bytes => Photograph(
                    cell.Value
                ),
                JsonValueKind.Null => null,
                JsonValueKind.String => cell.Value.GetString(),
                JsonValueKind.Number when column.Type == "REAL" => cell.Value.GetDouble(),
                JsonValueKind.Number => cell.Value.GetInt64(),
                JsonValueKind.Object or JsonValueKind.Array => cell.Value.GetRawText(),
                _ => throw Refused(new UnknownColumn(table.Name, cell.Name)),
            };
        }

        return values;
    }

    /// <summary>A JPEG: in the document, or in a file beside it.</summary>
    private byte[] Photograph(JsonElement cell)
    {
        var bytes =
            cell.ValueKind == JsonValueKind.String
                ? cell.GetBytesFromBase64()
                : files(cell.TryGetProperty("file", out var name) ? name.GetString() ?? "" : "");
        return bytes is [0xff, 0xd8, ..] ? bytes : throw Refused(InputSays.CannotBeReadHere);
    }

    private static RefusedException Refused(Message why) => RefusedException.At("file", "unreadable", why);
}
