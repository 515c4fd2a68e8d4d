using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Paper;
using Merganser.Core.Pictures;
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
    private static readonly Dictionary<Type, Shape> All = new Shape[]
    {
        new("archer", typeof(Archer)),
        new("bow", typeof(Bow)),
        new("bowEntry", typeof(BowEntry)) { Steps = [EntriesGotMakes] },
        new("positions", typeof(Adjuster[]), IsList: true) { Steps = [AdjustersGotWays] },
        new("seats", typeof(SpacerSeats)),
        new("stringPlan", typeof(StringPlan)),
        new("readings", typeof(Dictionary<CheckKind, double>), IsList: true),
        new("stage", typeof(PlannedStage)),
        new("arrow", typeof(Arrow)),
        new("arrowDraft", typeof(ArrowDraft)),
        new("shaft", typeof(Shaft)),
        new("insert", typeof(Insert)),
        new("point", typeof(Point)),
        new("nock", typeof(Nock)),
        new("vane", typeof(Vane)),
        new("wrap", typeof(Wrap)),
        new("endPart", typeof(EndPart)),
        new("sessionPlan", typeof(SessionPlan)) { Steps = [PlansGotBothAxes] },
        new("conditions", typeof(ConditionsNoted)),
        new("forgotten", typeof(AdjusterKind[]), IsList: true),
        new("sheetPresses", typeof(SheetPresses)),
        new("dozenPlan", typeof(DozenPlan)),
        new("dozenAct", typeof(DozenFacts)) { Steps = [DozenFacts.FindingsGotCodes] },
    }.ToDictionary(shape => shape.Type);

    private static JsonSerializerOptions Strict { get; } =
        FactsJson.Configure(
            new JsonSerializerOptions(JsonSerializerDefaults.Web)
            {
                UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
            }
        );

    /// <summary>Each shape's name, its present number and the type it is read as.</summary>
    public static IReadOnlyList<(string Name, int Number, Type Type)> Shapes { get; } =
    [.. All.Values.Select(s => (s.Name, s.Number, s.Type))];

    /// <summary>Facts with the number of their shape in front.</summary>
    public static string Write<T>(T value) =>
        All[typeof(T)].Numbered(JsonSerializer.Serialize(value, FactsJson.Options));

    /// <summary>Reads facts of any number that was ever written.</summary>
    /// <exception cref="JsonException">
    /// The number is missing or from a newer program, or a member is missing or unknown; it is named.
    /// </exception>
    public static T Read<T>(string json) =>
        JsonSerializer.Deserialize<T>(All[typeof(T)].Present(json), Strict) ?? throw new JsonException("Empty facts.");

    /// <summary>From number 1 to 2: the way of an adjuster had been the agreed one.</summary>
    private static void AdjustersGotWays(JsonObject facts)
    {
        foreach (var adjuster in facts[Items]!.AsArray())
        {
            adjuster!["way"] = FactsJson.Word(AdjusterWay.Agreed);
        }
    }

    /// <summary>From number 1 to 2: no make had been asked for, nor the figure of the axle bolts.</summary>
    private static void EntriesGotMakes(JsonObject facts)
    {
        facts["make"] = "";
        facts["axleBolts"] = "";
    }

    /// <summary>From number 1 to 2: one move at a time.</summary>
    private static void PlansGotBothAxes(JsonObject facts) => facts["bothAxes"] = false;

    /// <summary>A shape of facts: a record has the number as its first member, a list stands beside it.</summary>
    /// <param name="Name">What it is called in tests/vectors/kept.</param>
    /// <param name="Type">What it is read as.</param>
    /// <param name="IsList">True for a list, or a dictionary.</param>
    private sealed record Shape(string Name, Type Type, bool IsList = false)
    {
        /// <summary>Each brings facts from its number to the next.</summary>
        public Action<JsonObject>[] Steps { get; init; } = [];

        public int Number => Steps.Length + 1;

        private string Begins =>
            IsList ? $$"""{"{{Schema}}":{{Number}},"{{Items}}":""" : $$"""{"{{Schema}}":{{Number}},""";

        /// <summary>Facts with the present number.</summary>
        public string Numbered(string json)
        {
            if (IsList)
            {
                return $"{Begins}{json}}}";
            }

            return json == "{}" ? $$"""{"{{Schema}}":{{Number}}}""" : Begins + json[1..];
        }

        /// <summary>Facts in the present shape, without their number.</summary>
        public string Present(string json)
        {
            var begins = Begins;
            if (!json.StartsWith(begins, StringComparison.Ordinal))
            {
                return Upgraded(json);
            }

            return IsList ? json[begins.Length..^1] : "{" + json[begins.Length..];
        }

        private string Upgraded(string json)
        {
            var facts = JsonNode.Parse(json) as JsonObject ?? throw new JsonException($"\"{Schema}\" is missing.");
            var number =
                facts[Schema]?.GetValueKind() == JsonValueKind.Number
                && facts[Schema]!.AsValue().TryGetValue(out int said)
                    ? said
                    : throw new JsonException($"\"{Schema}\" is missing in {Name}.");
            if (number < 1 || number > Number)
            {
                throw new JsonException($"\"{Schema}\" {number} of {Name} is not known here.");
            }

            facts.Remove(Schema);
            foreach (var step in Steps.Skip(number - 1))
            {
                step(facts);
            }

            return (IsList && facts[Items] is { } items ? items : facts).ToJsonString();
        }
    }
}
