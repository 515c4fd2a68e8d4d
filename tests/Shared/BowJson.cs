using System.Text.Json.Nodes;

namespace Merganser.Tests;

/// <summary>A bow as it is sent.</summary>
internal static class BowJson
{
    /// <summary>The adjusters of a bow as they are sent with it: without where they stand.</summary>
    public static JsonArray Limits(JsonNode bow) =>
        [
            .. bow["adjusters"]!
                .AsArray()
                .Select(a => new JsonObject
                {
                    ["kind"] = (string)a!["kind"]!,
                    ["lower"] = (int)a["lower"]!,
                    ["upper"] = (int)a["upper"]!,
                    ["needsPress"] = (bool)a["needsPress"]!,
                }),
        ];
}
