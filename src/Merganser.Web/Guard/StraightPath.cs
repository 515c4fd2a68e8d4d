using Microsoft.AspNetCore.Http.Features;

namespace Merganser.Web.Guard;

/// <summary>
/// Refuses a path that was sent with <c>..</c> in it: no client of ours does, and what it would lead to is another
/// address than the one that was written.
/// </summary>
public sealed class StraightPath(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context) =>
        IsStraight(context.Features.Get<IHttpRequestFeature>()?.RawTarget ?? "")
            ? next(context)
            : Results
                .Problem(
                    title: "An address has no \"..\" in it.",
                    statusCode: StatusCodes.Status400BadRequest,
                    extensions: new Dictionary<string, object?> { ["code"] = "unreadable" }
                )
                .ExecuteAsync(context);

    /// <summary>True when no part of the path is <c>..</c>, written out or with <c>%2e</c> and <c>%2f</c>.</summary>
    public static bool IsStraight(string target) =>
        !Uri.UnescapeDataString(target.Split('?')[0]).Split('/', '\\').Contains("..");
}
