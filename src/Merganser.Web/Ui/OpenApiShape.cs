using Microsoft.AspNetCore.OpenApi;

namespace Merganser.Web.Ui;

/// <summary>The OpenAPI document: named, with no server address in it.</summary>
public static class OpenApiShape
{
    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer((document, _, _) =>
        {
            document.Info.Title = "Merganser";
            document.Info.Version = "v1";
            document.Servers?.Clear();
            return Task.CompletedTask;
        });
    }
}
