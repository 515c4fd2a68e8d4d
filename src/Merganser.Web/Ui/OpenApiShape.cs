using Merganser.Core.Messages;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Merganser.Web.Ui;

/// <summary>The OpenAPI document: named, with no server address in it.</summary>
public static class OpenApiShape
{
    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info.Title = "Merganser";
                document.Info.Version = "v1";
                document.Servers?.Clear();
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
                }

                return Task.CompletedTask;
            }
        );
    }
}
