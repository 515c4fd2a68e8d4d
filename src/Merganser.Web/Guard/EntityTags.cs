using System.Security.Cryptography;
using Microsoft.Net.Http.Headers;

namespace Merganser.Web.Guard;

/// <summary>
/// A tag on each answer of the API that is read, made from what it says: asked for again unchanged, it is 304 and
/// nothing is sent (RFC 9110, 8.8.3 and 13.1.2).
/// </summary>
public sealed class EntityTags(RequestDelegate next)
{
    private const int TagBytes = 8;

    public async Task InvokeAsync(HttpContext context)
    {
        var asked = context.Request;
        var streams = asked.Path.Value!.EndsWith("/stream", StringComparison.Ordinal);
        if (!HttpMethods.IsGet(asked.Method) || !asked.Path.StartsWithSegments("/api") || streams)
        {
            await next(context);
            return;
        }

        var answer = context.Response;
        var wire = answer.Body;
        using var said = new MemoryStream();
        answer.Body = said;
        try
        {
            await next(context);
        }
        finally
        {
            answer.Body = wire;
        }

        if (answer.StatusCode == StatusCodes.Status200OK)
        {
            var hash = SHA256.HashData(said.GetBuffer().AsSpan(0, (int)said.Length));
            var tag = new EntityTagHeaderValue(
                $"\"{Convert.ToHexStringLower(hash.AsSpan(0, TagBytes))}\"",
                isWeak: true
            );
            answer.Headers.ETag = tag.ToString();
            answer.Headers.CacheControl = "private, no-cache";
            if (asked.GetTypedHeaders().IfNoneMatch.Any(t => t.Compare(tag, useStrongComparison: false)))
            {
                answer.StatusCode = StatusCodes.Status304NotModified;
                answer.ContentLength = null;
                answer.Headers.ContentType = default;
                return;
            }
        }

        said.Position = 0;
        await said.CopyToAsync(wire);
    }
}
