using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>
/// Facts as the file keeps them: JSON that says the number of its shape. A shape that a member leaves, enters or is
/// renamed in gets the next number and a step that brings what older programs wrote up to it; what is kept stays as it
/// was written.
/// </summary>
public static class Kept
{
    private const string Schema = "schema";
    private const string Items = "items";

    /// <summary>
    /// The shapes, each with the steps that follow its first number. No number is ever taken out, and each has a file
    /// in tests/vectors/kept.
    /// </summary>
    private static readonly Dictionary<Type, Shape> All = new()
    {
        [typeof(Archer)] = new("archer"),
        [typeof(Bow)] = new("bow"),
        [typeof(BowEntry)] = new("bowEntry"),
        [typeof(Adjuster[])] = new("positions", AdjustersGotWays),
        [typeof(SpacerSeats)] = new("seats"),
        [typeof(StringPlan)] = new("stringPlan"),
        [typeof(Dictionary<CheckKind, double>)] = new("readings"),
        [typeof(PlannedStage)] = new("stage"),
        [typeof(Arrow)] = new("arrow"),
        [typeof(ArrowDraft)] = new("arrowDraft"),
        [typeof(Shaft)] = new("shaft"),
        [typeof(Insert)] = new("insert"),
        [typeof(Point)] = new("point"),
        [typeof(Nock)] = new("nock"),
        [typeof(Vane)] = new("vane"),
        [typeof(Wrap)] = new("wrap"),
        [typeof(SessionPlan)] = new("sessionPlan"),
        [typeof(ConditionsNoted)] = new("conditions"),
        [typeof(AdjusterKind[])] = new("forgotten"),
        [typeof(DozenPlan)] = new("dozenPlan"),
        [typeof(DozenFacts)] = new("dozenAct", DozenFacts.FindingsGotCodes),
    };

    private static JsonSerializerOptions Strict { get; } =
        FactsJson.Configure(
            new JsonSerializerOptions(JsonSerializerDefaults.Web)
            {
                UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
            }
        );

    /// <summary>Each shape's name, its present number and the type it is read as.</summary>
    public static IReadOnlyList<(string Name, int Number, Type Type)> Shapes { get; } =
    [.. All.Select(s => (s.Value.Name, s.Value.Number, s.Key))];

    /// <summary>Facts with the number of their shape in front.</summary>
    public static string Write<T>(T value)
    {
        var json = JsonSerializer.Serialize(value, FactsJson.Options);
        return Numbered(All[typeof(T)].Number, json, IsRecord(typeof(T)));
    }

    /// <summary>Reads facts of any number that was ever written.</summary>
    /// <exception cref="JsonException">
    /// The number is missing or from a newer program, or a member is missing or unknown; it is named.
    /// </exception>
    public static T Read<T>(string json)
    {
        var shape = All[typeof(T)];
        var present = Prefix(shape.Number, IsRecord(typeof(T)));
        var facts = json.StartsWith(present, StringComparison.Ordinal)
            ? Unnumbered(json, present.Length, IsRecord(typeof(T)))
            : Upgraded(shape, json);
        return JsonSerializer.Deserialize<T>(facts, Strict) ?? throw new JsonException("Empty facts.");
    }

    /// <summary>Facts with a number in front: a record as its first member, a list beside it.</summary>
    private static string Numbered(int number, string json, bool record) =>
        !record ? $"{Prefix(number, record)}{json}}}"
        : json == "{}" ? $$"""{"{{Schema}}":{{number}}}"""
        : Prefix(number, record) + json[1..];

    private static string Prefix(int number, bool record) =>
        record ? $$"""{"{{Schema}}":{{number}},""" : $$"""{"{{Schema}}":{{number}},"{{Items}}":""";

    private static string Unnumbered(string json, int prefix, bool record) =>
        record ? "{" + json[prefix..] : json[prefix..^1];

    private static string Upgraded(Shape shape, string json)
    {
        var facts = JsonNode.Parse(json) as JsonObject ?? throw new JsonException($"\"{Schema}\" is missing.");
        var number =
            facts[Schema]?.GetValueKind() == JsonValueKind.Number && facts[Schema]!.AsValue().TryGetValue(out int said)
                ? said
                : throw new JsonException($"\"{Schema}\" is missing in {shape.Name}.");
        if (number < 1 || number > shape.Number)
        {
            throw new JsonException($"\"{Schema}\" {number} of {shape.Name} is not known here.");
        }

        facts.Remove(Schema);
        foreach (var step in shape.Steps.Skip(number - 1))
        {
            step(facts);
        }

        return (facts.Count == 1 && facts[Items] is { } items ? items : facts).ToJsonString();
    }

    /// <summary>From number 1 to 2: the way of an adjuster had been the agreed one.</summary>
    private static void AdjustersGotWays(JsonObject facts)
    {
        foreach (var adjuster in facts[Items]!.AsArray())
        {
            adjuster!["way"] = FactsJson.Word(AdjusterWay.Agreed);
        }
    }

    private static bool IsRecord(Type type) => !typeof(System.Collections.IEnumerable).IsAssignableFrom(type);

    /// <summary>A shape of facts.</summary>
    /// <param name="Name">What it is called in tests/vectors/kept.</param>
    /// <param name="Steps">Each brings facts from its number to the next.</param>
    private sealed record Shape(string Name, params Action<JsonObject>[] Steps)
    {
        public int Number => Steps.Length + 1;
    }
}
