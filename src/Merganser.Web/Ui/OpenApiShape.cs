using Merganser.Core.Messages;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Merganser.Web.Ui;

/// <summary>The OpenAPI document: named, with no server address in it.</summary>
public static class OpenApiShape
{
    private const string Problem = "problem";

    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info.Title = "Merganser";
                document.Info.Version = "v1";
                document.Servers?.Clear();
                document.Components ??= new OpenApiComponents();
                document.Components.Responses ??= new Dictionary<string, IOpenApiResponse>();
                document.Components.Responses[Problem] = Refusal();
                return Task.CompletedTask;
            }
        );

        options.AddOperationTransformer(
            (operation, context, _) =>
            {
                Describe(
                    operation,
                    context.Document,
                    context.Description.HttpMethod!,
                    $"/{context.Description.RelativePath}"
                );
                return Task.CompletedTask;
            }
        );

        // A message is a sentence on the wire: see Words/MessageJson.
        options.CreateSchemaReferenceId = type =>
            typeof(Message).IsAssignableFrom(type.Type) ? null : OpenApiOptions.CreateDefaultSchemaReferenceId(type);
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                if (typeof(Message).IsAssignableFrom(context.JsonTypeInfo.Type))
                {
                    var nullable = context.JsonPropertyInfo?.IsGetNullable == true;
                    schema.Description = null;
                    schema.Type = nullable ? JsonSchemaType.String | JsonSchemaType.Null : JsonSchemaType.String;
                }

                if (context.JsonTypeInfo.ElementType is { } element && typeof(Message).IsAssignableFrom(element))
                {
                    schema.Items = new OpenApiSchema { Type = JsonSchemaType.String };
                }

                // What is worked out from the rest is always there.
                foreach (
                    var property in context.JsonTypeInfo.Properties.Where(p =>
                        p is { AssociatedParameter: null, Get: not null, Set: null }
                    )
                )
                {
                    schema.Required ??= new HashSet<string>();
                    schema.Required.Add(property.Name);
                    if (
                        property is { IsGetNullable: false }
                        && schema.Properties?[property.Name] is OpenApiSchema { Type: not null } worked
                    )
                    {
                        worked.Type &= ~JsonSchemaType.Null;
                    }
                }

                return Task.CompletedTask;
            }
        );
    }

    /// <summary>Id, summary, feature, the version that an edit names, and that a refusal is a problem.</summary>
    private static void Describe(OpenApiOperation operation, OpenApiDocument? document, string method, string path)
    {
        var said = ApiTable.Operations[$"{method} {path}"];
        operation.OperationId = IdOf(method, path);
        operation.Summary = said.Summary;
        operation.Tags = new HashSet<OpenApiTagReference> { new(said.Tag) };
        if (said.NamesVersion)
        {
            operation.Parameters ??= [];
            operation.Parameters.Add(
                new OpenApiParameter
                {
                    Name = "If-Match",
                    In = ParameterLocation.Header,
                    Description = "The version that the edit was made on, in quotes. Without it 428, an old one 412.",
                    Schema = new OpenApiSchema { Type = JsonSchemaType.String },
                }
            );
        }

        operation.Responses ??= [];
        operation.Responses["default"] = new OpenApiResponseReference(Problem, document);
        if (path.EndsWith(".pdf", StringComparison.Ordinal))
        {
            operation.Responses["200"] = Binary("A page to print.", "application/pdf");
        }
        else if (path is "/api/export.json" or "/api/bows/{id}/export.json")
        {
            operation.Responses["200"] = Binary("A bench by its schema, bench.json.", "application/json");
        }
        else if (path.EndsWith(".jpg", StringComparison.Ordinal))
        {
            operation.Responses["200"] = Binary("A photograph.", "image/jpeg");
        }
        else if (path.EndsWith(".zip", StringComparison.Ordinal))
        {
            operation.Responses["200"] = Binary("Tables in an archive.", "application/zip");
        }
        else if (path.EndsWith(".ics", StringComparison.Ordinal))
        {
            operation.Responses["200"] = Binary("A calendar file.", "text/calendar");
        }
        else if (path.EndsWith("/copies/{name}", StringComparison.Ordinal))
        {
            operation.Responses["200"] = Binary("The whole file.", "application/vnd.sqlite3");
        }
    }

    private static OpenApiResponse Binary(string description, string type) =>
        new()
        {
            Description = description,
            Content = new Dictionary<string, OpenApiMediaType>
            {
                [type] = new()
                {
                    Schema = new OpenApiSchema { Type = JsonSchemaType.String, Format = "binary" },
                },
            },
        };

    /// <summary>The method and the words of the path, those in braces after "By".</summary>
    private static string IdOf(string method, string path) =>
        method.ToLowerInvariant()
        + string.Concat(
            path.Split(['/', '-', '.'], StringSplitOptions.RemoveEmptyEntries)
                .Skip(1)
                .Select(p => p.StartsWith('{') ? $"By{Capital(p.Trim('{', '}'))}" : Capital(p))
        );

    private static string Capital(string word) => char.ToUpperInvariant(word[0]) + word[1..];

    private static OpenApiResponse Refusal() =>
        new()
        {
            Description = "A refusal: problem details (RFC 9457) with a code, and errors by field.",
            Content = new Dictionary<string, OpenApiMediaType>
            {
                ["application/problem+json"] = new() { Schema = new OpenApiSchema { Type = JsonSchemaType.Object } },
            },
        };
}
