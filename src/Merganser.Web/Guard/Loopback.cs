using System.Net;

namespace Merganser.Web.Guard;

/// <summary>The bench serves the machine it stands on and no other.</summary>
public static class Loopback
{
    /// <summary>A sentence that refuses addresses beyond this machine, or null when all are loopback.</summary>
    public static string? Refusal(string urls)
    {
        foreach (var url in urls.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            if (
                !Uri.TryCreate(url, UriKind.Absolute, out var address)
                || address.Scheme != "http"
                || !IsLoopback(address.Host)
            )
            {
                return $"Merganser only serves this machine: \"{url}\" is refused. Use an address like http://127.0.0.1:5210";
            }
        }

        return null;
    }

    /// <summary>
    /// A sentence that refuses endpoints named in a configuration file or by the environment, or null when there are
    /// none: the server would listen there beside what was asked for.
    /// </summary>
    public static string? RefusalOfEndpoints(IConfiguration configuration) =>
        configuration.GetSection("Kestrel:Endpoints").GetChildren().FirstOrDefault() is { } endpoint
            ? $"Merganser only serves this machine: the endpoint \"{endpoint.Key}\" of the configuration is refused. Use --urls http://127.0.0.1:5210"
            : null;

    /// <summary>True for a host name that means this machine.</summary>
    public static bool IsLoopback(string host) =>
        host.Equals("localhost", StringComparison.OrdinalIgnoreCase)
        || (IPAddress.TryParse(host.Trim('[', ']'), out var address) && IPAddress.IsLoopback(address));
}

/// <summary>Refuses requests whose Host or Origin is another machine's page.</summary>
public sealed class OriginGuard(RequestDelegate next)
{
    public async Task InvokeAsync(HttpContext context)
    {
        var origin = context.Request.Headers.Origin.ToString();
        var hostIsOurs = Loopback.IsLoopback(context.Request.Host.Host);
        var originIsOurs =
            origin.Length == 0
            || (Uri.TryCreate(origin, UriKind.Absolute, out var from) && from.Authority == context.Request.Host.Value);
        if (hostIsOurs && originIsOurs)
        {
            await next(context);
            return;
        }

        await Results
            .Problem(
                title: "Requests from other pages are refused.",
                statusCode: StatusCodes.Status403Forbidden,
                extensions: new Dictionary<string, object?> { ["code"] = "origin" }
            )
            .ExecuteAsync(context);
    }
}
