using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Net.Http.Headers;

namespace Merganser.Web.Guard;

/// <summary>
/// Refuses a request of the API that accepts nothing of what its address answers with (RFC 9110, 15.5.7).
/// </summary>
public sealed class Acceptable(RequestDelegate next)
{
    private static readonly MediaTypeHeaderValue Json = new("application/json");

    public Task InvokeAsync(HttpContext context)
    {
        var accepted = context.Request.GetTypedHeaders().Accept;
        if (
            accepted.Count == 0
            || !context.Request.Path.StartsWithSegments("/api")
            || AnswersOf(context).Any(answer => accepted.Any(a => a.Quality is not 0 && answer.IsSubsetOf(a)))
        )
        {
            return next(context);
        }

        context.Response.StatusCode = StatusCodes.Status406NotAcceptable;
        return Task.CompletedTask;
    }

    private static IEnumerable<MediaTypeHeaderValue> AnswersOf(HttpContext context)
    {
        MediaTypeHeaderValue[] said =
        [
            .. context
                .GetEndpoint()
                ?.Metadata.OfType<IProducesResponseTypeMetadata>()
                .SelectMany(m => m.ContentTypes)
                .Select(t => new MediaTypeHeaderValue(t))
                ?? [],
        ];
        return said.Length == 0 ? [Json, new("text/event-stream"), new("application/schema+json")] : said;
    }
}
