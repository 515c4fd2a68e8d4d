using System.Text.Json.Nodes;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>The API's own document says what each operation is, and how it refuses.</summary>
public class DocumentTests
{
    private static readonly string[] Features =
    [
        "archers",
        "arrows",
        "bows",
        "bin",
        "catalogue",
        "chronograph",
        "copies",
        "dozens",
        "first",
        "flight",
        "finder",
        "instruments",
        "papers",
        "rack",
        "setup",
        "story",
        "plan",
        "visits",
        "pictures",
        "open",
    ];

    private static readonly JsonNode Document = JsonNode.Parse(
        File.ReadAllText(Path.Combine(Repository.Root, "docs/openapi/v1.json"))
    )!;

    private static readonly (string Name, JsonObject Is)[] Operations =
    [
        .. from path in Document["paths"]!.AsObject()
        from operation in path.Value!.AsObject()
        select ($"{operation.Key} {path.Key}", operation.Value!.AsObject()),
    ];

    [Fact]
    public void Every_operation_has_an_id_a_summary_and_a_feature()
    {
        Operations.Select(o => (string)o.Is["operationId"]!).ShouldBeUnique();
        foreach (var (name, operation) in Operations)
        {
            ((string)operation["summary"]!).Length.ShouldBeInRange(8, 80, name);
            ((string)operation["tags"]!.AsArray().Single()!).ShouldBeOneOf(Features);
        }
    }

    [Fact]
    public void Every_operation_declares_its_problem_and_no_answer_is_untyped()
    {
        Document["components"]!["responses"]!["problem"]!["content"]!["application/problem+json"].ShouldNotBeNull();
        foreach (var (name, operation) in Operations)
        {
            var answers = operation["responses"]!.AsObject();
            ((string)answers["default"]!["$ref"]!).ShouldBe("#/components/responses/problem", name);
            if (answers["200"] is { } fine)
            {
                var typed = fine["content"]!.AsObject().Select(c => c.Value!["schema"]!.AsObject().Count);
                typed.ShouldAllBe(members => members > 0, name);
            }
        }
    }

    /// <summary>An edit without its version is refused with 428; the document says so beforehand.</summary>
    [Fact]
    public async Task Every_edit_that_names_its_version_declares_it()
    {
        using var app = new App();
        foreach (var (name, operation) in Operations.Where(o => o.Name.StartsWith("put", StringComparison.Ordinal)))
        {
            var path = name.Split(' ')[1];
            var declared = operation["parameters"]!.AsArray().Any(p => (string)p!["name"]! == "If-Match");
            declared.ShouldBe(!path.Contains("imports"), name);
        }

        var plan = new
        {
            school = "breakIn",
            checksAt = new[] { 120 },
            settlingShots = 5,
        };
        (await app.Send(HttpMethod.Put, $"/api/bows/{App.Brindle}/string-plan", plan)).Status.ShouldBe(428);
    }
}
