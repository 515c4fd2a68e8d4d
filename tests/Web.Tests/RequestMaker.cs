using System.Text.Json.Nodes;
using Merganser.Tests;
using static Merganser.Web.Tests.RequestValues;

namespace Merganser.Web.Tests;

/// <summary>A request as it was made, so that what it did can be said.</summary>
public sealed record MadeRequest(HttpMethod Method, string Path, string Type, string? Body, string? IfMatch)
{
    public override string ToString() => $"{Method} {Path} {IfMatch} {Body}";
}

/// <summary>
/// Requests over every operation of the API document: bodies by their schema, most of it right, some of it as hands,
/// scripts and other programs get it wrong. Seeded, so that a run can be told again.
/// </summary>
public sealed class RequestMaker(int seed, IReadOnlyDictionary<string, string[]> ids)
{
    private const int Deepest = 5;

    private static readonly JsonNode Document = JsonNode.Parse(
        File.ReadAllText(Path.Combine(Repository.Root, "docs/openapi/v1.json"))
    )!;

    private static readonly (string Path, string Method, JsonNode Operation)[] Operations =
    [
        .. Document["paths"]!.AsObject().SelectMany(p => p.Value!.AsObject().Select(m => (p.Key, m.Key, m.Value!))),
    ];

    private readonly Random dice = new(seed);
    private int turn;
    private bool wrong;

    /// <summary>The next request: each operation in its turn.</summary>
    public MadeRequest Next()
    {
        var (path, method, operation) = Operations[turn++ % Operations.Length];
        var first = path.Split('/')[2];
        wrong = dice.Next(3) > 0;
        List<string> query = [];
        foreach (var parameter in operation["parameters"]?.AsArray() ?? [])
        {
            var name = (string)parameter!["name"]!;
            if ((string)parameter["in"]! == "path")
            {
                var value = name == "kind" ? Any(["scale", "chronograph", "x"]) : Id(name == "id" ? first : name);
                path = path.Replace($"{{{name}}}", Uri.EscapeDataString(value));
            }
            else if (dice.Next(4) > 0)
            {
                query.Add(
                    $"{name}={Uri.EscapeDataString(Odds(3) ? Any(Queries) : Usual.GetValueOrDefault(name, "1"))}"
                );
            }
        }

        var content = operation["requestBody"]?["content"]?.AsObject().FirstOrDefault();
        var body = content?.Value is { } typed ? Body(content.Value.Key, typed["schema"]!) : null;
        return new MadeRequest(
            new HttpMethod(method.ToUpperInvariant()),
            path + (query.Count > 0 ? "?" + string.Join('&', query) : ""),
            content?.Key ?? "application/json",
            body,
            dice.Next(3) switch
            {
                0 => null,
                1 => $"\"{dice.Next(1, 5)}\"",
                _ => Any(["\"1\"", "W/\"x\"", "*", "\"-1\"", "\"99999999999\""]),
            }
        );
    }

    private string Body(string type, JsonNode schema)
    {
        if (type != "application/json")
        {
            return string.Join(
                '\n',
                Enumerable.Range(0, 4).Select(_ => string.Join(',', Any(Texts), Any(Texts), Any(Texts)))
            );
        }

        return (Odds(15) ? dice.Next(4) : 9) switch
        {
            0 => "",
            1 => "null",
            2 => "[]",
            3 => "{\"id\":",
            _ => Make(schema, "", 0)?.ToJsonString() ?? "null",
        };
    }

    private JsonNode? Make(JsonNode schema, string name, int depth)
    {
        if (schema["$ref"] is { } reference)
        {
            schema = Document["components"]!["schemas"]![((string)reference!).Split('/')[^1]]!;
        }

        if (schema["oneOf"]?.AsArray() is { } ways)
        {
            return Make(ways[dice.Next(3) == 0 ? 0 : ways.Count - 1]!, name, depth);
        }

        if (schema["enum"]?.AsArray() is { } words)
        {
            return Odds(12) ? JsonValue.Create(Any(Texts)) : words[dice.Next(words.Count)]?.DeepClone();
        }

        var kinds = schema["type"] is JsonArray several
            ? several.Select(k => (string)k!).ToArray()
            : [(string?)schema["type"] ?? "object"];
        if (Odds(20) || depth > Deepest)
        {
            return Odd();
        }

        return kinds[dice.Next(6) == 0 ? 0 : kinds.Length - 1] switch
        {
            "null" => null,
            "string" => Odds(8) ? Any(Texts) : Text(name),
            "integer" => Odds(6) ? Wholes[dice.Next(Wholes.Length)] : dice.Next(4),
            "number" => Odds(6) ? Numbers[dice.Next(Numbers.Length)] : dice.Next(1, 9) / 4.0,
            "boolean" => dice.Next(2) == 0,
            "array" => new JsonArray([
                .. Enumerable
                    .Range(0, dice.Next(4))
                    .Select(_ => Odds(10) ? null : Make(schema["items"]!, name, depth + 1)),
            ]),
            _ => Thing(schema, depth),
        };
    }

    private JsonObject Thing(JsonNode schema, int depth)
    {
        JsonObject thing = [];
        foreach (var (name, part) in schema["properties"]?.AsObject() ?? [])
        {
            if (Odds(25))
            {
                continue;
            }

            thing[name] = name == "id" && !Odds(8) ? NewId() : Make(part!, name, depth + 1);
        }

        if (schema["additionalProperties"] is JsonObject values)
        {
            thing[Odds(3) ? Any(Texts) : "grains"] = Make(values, "grains", depth + 1);
        }

        return thing;
    }

    private JsonNode? Odd() =>
        dice.Next(5) switch
        {
            0 => null,
            1 => JsonValue.Create(Any(Texts)),
            2 => JsonValue.Create(Wholes[dice.Next(Wholes.Length)]),
            3 => new JsonArray((JsonNode?)null),
            _ => new JsonObject(),
        };

    /// <summary>True once in so many, and never while the request is to be right.</summary>
    private bool Odds(int many) => wrong && dice.Next(many) == 0;

    private string Text(string name) =>
        name.EndsWith("Id", StringComparison.Ordinal) ? Id(name)
        : Blank.Contains(name) ? ""
        : Usual.GetValueOrDefault(name, "1");

    /// <summary>An id of what a field or an address names; now and then of something else, or of nothing.</summary>
    private string Id(string of)
    {
        if (Odds(6))
        {
            return Any(["nobody", "%00", "..", "a b", NewId()]);
        }

        var pool = Odds(5) ? ids.Values.ElementAt(dice.Next(ids.Count)) : ids.GetValueOrDefault(of, ids["bows"]);
        return pool[dice.Next(pool.Length)];
    }

    private string NewId()
    {
        var bytes = new byte[16];
        dice.NextBytes(bytes);
        return new Guid(bytes).ToString();
    }

    private string Any(string[] some) => some[dice.Next(some.Length)];
}
