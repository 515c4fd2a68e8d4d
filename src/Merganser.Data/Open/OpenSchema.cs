using System.Text.Json;
using System.Text.Json.Nodes;

namespace Merganser.Data;

/// <summary>The JSON Schema of <see cref="OpenExport"/>'s document, read off the tables themselves.</summary>
public sealed class OpenSchema(Database database)
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    /// <summary>The schema as text.</summary>
    public string Text() =>
        database.Read(sql =>
        {
            var schema = new JsonObject
            {
                ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
                ["title"] = "A bench as Merganser hands it out: all of it, or one bow",
                ["type"] = "object",
                ["required"] = new JsonArray("format", "version", "madeAt", "shared", "bows"),
                ["properties"] = new JsonObject
                {
                    ["format"] = new JsonObject { ["const"] = OpenExport.Format },
                    ["version"] = Described("integer", "The number of the last migration of the file"),
                    ["madeAt"] = Described("string", "When it was written, ISO 8601"),
                    ["shared"] = Tables(sql, OpenTables.Shared),
                    ["bows"] = new JsonObject { ["type"] = "array", ["items"] = Tables(sql, OpenTables.OfBow) },
                },
            };
            return schema.ToJsonString(Indented) + "\n";
        });

    private static JsonObject Described(string type, string says) => new() { ["type"] = type, ["description"] = says };

    private static JsonObject Tables(Sql sql, IReadOnlyList<OpenTable> tables)
    {
        var of = new JsonObject();
        foreach (var table in tables)
        {
            of[table.Name] = new JsonObject
            {
                ["type"] = "array",
                ["description"] = $"{table.Says}. {(table.Changes ? "May change." : "Only ever added to.")}",
                ["items"] = Row(sql, table),
            };
        }

        return new JsonObject
        {
            ["type"] = "object",
            ["required"] = new JsonArray([.. tables.Select(t => (JsonNode)t.Name)]),
            ["properties"] = of,
        };
    }

    /// <summary>In the document, or in a file of the archive that it lies in.</summary>
    private static JsonObject Bytes() =>
        new()
        {
            ["anyOf"] = new JsonArray(
                new JsonObject
                {
                    ["type"] = "string",
                    ["contentEncoding"] = "base64",
                    ["contentMediaType"] = "image/jpeg",
                },
                new JsonObject
                {
                    ["type"] = "object",
                    ["required"] = new JsonArray("file"),
                    ["properties"] = new JsonObject { ["file"] = new JsonObject { ["type"] = "string" } },
                    ["additionalProperties"] = false,
                }
            ),
        };

    private static JsonObject Row(Sql sql, OpenTable table)
    {
        var (columns, of) = (OpenExport.ColumnsOf(sql, table), new JsonObject());
        foreach (var column in columns)
        {
            var type = (column.Type, table.Nested.Contains(column.Name)) switch
            {
                (_, true) => "object",
                ("INTEGER", _) => "integer",
                ("REAL", _) => "number",
                (OpenExport.Bytes, _) => "bytes",
                _ => "string",
            };
            if (type == "bytes")
            {
                of[column.Name] = Bytes();
                continue;
            }

            JsonNode[] types = type == "object" ? ["object", "array", "string", "null"] : [type, "null"];
            of[column.Name] = new JsonObject
            {
                ["type"] =
                    type == "object" || (column.MayBeNull && !column.IsKey) ? new JsonArray(types) : (JsonNode)type,
            };
        }

        return new JsonObject
        {
            ["type"] = "object",
            ["required"] = new JsonArray([.. columns.Where(c => c.IsKey).Select(c => (JsonNode)c.Name)]),
            ["properties"] = of,
            ["additionalProperties"] = false,
        };
    }
}
