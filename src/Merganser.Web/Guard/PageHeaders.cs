using System.Diagnostics;
using System.Globalization;
using System.Security.Cryptography;
using Merganser.Data;

namespace Merganser.Web.Guard;

/// <summary>
/// Strict headers on every answer; the page's own style and script carry a nonce that changes each time.
/// </summary>
public sealed class PageHeaders(RequestDelegate next, Database database)
{
    /// <summary>Where the nonce of this answer is kept.</summary>
    public const string NonceItem = "nonce";

    /// <summary>Says on every answer which bench it comes from.</summary>
    public const string BenchHeader = "Merganser-Bench";

    public Task InvokeAsync(HttpContext context)
    {
        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
        context.Items[NonceItem] = nonce;
        var from = Stopwatch.GetTimestamp();
        var statements = StatementTally.Begin();
        // On starting, so that what handles a failure does not clear them away.
        context.Response.OnStarting(() =>
        {
            Write(context, nonce);
            if (context.Request.Path.StartsWithSegments("/api"))
            {
                var headers = context.Response.Headers;
                headers.CacheControl = headers.CacheControl.Count == 0 ? "no-store" : headers.CacheControl;
                headers["Server-Timing"] = string.Create(
                    CultureInfo.InvariantCulture,
                    $"data;desc=\"{statements.Count} statements\", app;dur={Stopwatch.GetElapsedTime(from).TotalMilliseconds:F3}"
                );
            }

            return Task.CompletedTask;
        });
        return next(context);
    }

    private void Write(HttpContext context, string nonce)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy =
            $"default-src 'none'; script-src 'self' 'nonce-{nonce}'; style-src 'self' 'nonce-{nonce}'; img-src 'self' data:; font-src 'self'; connect-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers[BenchHeader] = database.Bench;
    }
}
