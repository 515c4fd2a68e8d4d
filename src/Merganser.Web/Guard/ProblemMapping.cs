using System.Text.Json;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Data;
using Merganser.Web.Words;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;

namespace Merganser.Web.Guard;

/// <summary>
/// Every refusal as RFC 9457 problem details with a <c>code</c>, and <c>errors</c> by field where there are any.
/// </summary>
public sealed class ProblemMapping(ILogger<ProblemMapping> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancel)
    {
        var speaker = Listener.Hears(context);
        var problem = exception switch
        {
            RefusedException refused => Problem(
                400,
                speaker.Say(refused.Said),
                refused.Code,
                Said(speaker, refused.Problems)
            ),
            ChangedException changed => Problem(412, changed.Message, "changed", current: changed.Current),
            MissingException missing => Problem(404, missing.Message, "missing"),
            IdTakenException taken => Problem(409, taken.Message, "id-taken"),
            PreconditionMissingException absent => Problem(428, absent.Message, "if-match"),
            BadHttpRequestException { StatusCode: 413 } => Problem(
                413,
                "That is more than this address takes.",
                "too-large"
            ),
            BadHttpRequestException bad => Problem(
                bad.StatusCode,
                bad.InnerException is JsonException json
                    ? $"The request cannot be read: {json.Path}"
                    : "The request cannot be read.",
                "unreadable"
            ),
            _ => null,
        };
        if (problem is null)
        {
            log.LogError(exception, "Unexpected failure");
            problem = Problem(500, "Something went wrong here; nothing was changed.", "unexpected");
        }

        context.Response.StatusCode = problem.Status!.Value;
        await Results.Problem(problem).ExecuteAsync(context);
        return true;
    }

    /// <summary>Gives bare status codes of the API a problem body.</summary>
    public static Task WriteStatus(StatusCodeContext status)
    {
        var context = status.HttpContext;
        return context.Request.Path.StartsWithSegments("/api")
            ? Results
                .Problem(
                    Problem(
                        context.Response.StatusCode,
                        context.Response.StatusCode switch
                        {
                            405 => "This address does not take that method.",
                            415 => "This address takes JSON.",
                            _ => "The request cannot be read.",
                        },
                        "unreadable"
                    )
                )
                .ExecuteAsync(context)
            : Task.CompletedTask;
    }

    private static Dictionary<string, string[]> Said(Speaker speaker, IReadOnlyList<FieldProblem> problems) =>
        problems.GroupBy(e => e.Field).ToDictionary(g => g.Key, g => g.Select(e => speaker.Say(e.Message)).ToArray());

    private static ProblemDetails Problem(
        int status,
        string title,
        string code,
        Dictionary<string, string[]>? errors = null,
        object? current = null
    )
    {
        var problem = new ProblemDetails
        {
            Status = status,
            Title = title,
            Type = "about:blank",
        };
        problem.Extensions["code"] = code;
        if (errors is { Count: > 0 })
        {
            problem.Extensions["errors"] = errors;
        }

        if (current is not null)
        {
            problem.Extensions["current"] = current;
        }

        return problem;
    }
}

/// <summary>An edit came without the version that it was made on.</summary>
public sealed class PreconditionMissingException()
    : Exception("An edit names the version it was made on, in If-Match.");

/// <summary>Versions on the wire.</summary>
public static class Versions
{
    /// <summary>The version in If-Match, like <c>"3"</c>.</summary>
    /// <exception cref="PreconditionMissingException">No readable If-Match.</exception>
    public static int IfMatch(this HttpRequest request) =>
        int.TryParse(request.Headers.IfMatch.ToString().Trim('"'), out var version)
            ? version
            : throw new PreconditionMissingException();
}

/// <summary>Ids that clients make: a GUID, so that a retry is safe.</summary>
public static class ClientId
{
    /// <exception cref="RefusedException">Not a GUID.</exception>
    public static string Checked(string? id) =>
        Guid.TryParse(id, out var guid)
            ? guid.ToString()
            : throw RefusedException.At("id", "id", new Verbatim("A client-made GUID is needed."));
}
