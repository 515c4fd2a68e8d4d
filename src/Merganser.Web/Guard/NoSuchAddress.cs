using Microsoft.AspNetCore.Routing.Template;

namespace Merganser.Web.Guard;

/// <summary>What answers where the API has no address, or none that takes the method.</summary>
public static class NoSuchAddress
{
    /// <summary>405 with the methods that the address takes, or 404 where it takes none.</summary>
    public static IResult Answer(HttpContext context, EndpointDataSource endpoints)
    {
        var taken = endpoints
            .Endpoints.OfType<RouteEndpoint>()
            .Where(e => Matches(e, context.Request.Path))
            .SelectMany(e => e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? [])
            .Distinct()
            .Order()
            .ToArray();
        if (taken.Length == 0)
        {
            return Results.Problem(
                title: "There is no such address in the API.",
                statusCode: StatusCodes.Status404NotFound,
                extensions: new Dictionary<string, object?> { ["code"] = "no-such-address" }
            );
        }

        context.Response.Headers.Allow = string.Join(", ", taken);
        return Results.StatusCode(StatusCodes.Status405MethodNotAllowed);
    }

    private static bool Matches(RouteEndpoint endpoint, PathString path) =>
        endpoint.RoutePattern.RawText is { } pattern
        && new TemplateMatcher(TemplateParser.Parse(pattern), []).TryMatch(path, []);
}
