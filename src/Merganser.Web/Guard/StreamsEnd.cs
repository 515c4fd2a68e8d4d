namespace Merganser.Web.Guard;

/// <summary>
/// Ends what is told to a page for as long as it is open when the server is stopped: without it a stop waits half a
/// minute for pages that never close, and a start in that time finds the data file in use.
/// </summary>
public sealed class StreamsEnd(RequestDelegate next, IHostApplicationLifetime lifetime)
{
    public async Task InvokeAsync(HttpContext context)
    {
        if (!context.Request.Path.Value!.EndsWith("/stream", StringComparison.Ordinal))
        {
            await next(context);
            return;
        }

        using var either = CancellationTokenSource.CreateLinkedTokenSource(
            context.RequestAborted,
            lifetime.ApplicationStopping
        );
        context.RequestAborted = either.Token;
        await next(context);
    }
}
