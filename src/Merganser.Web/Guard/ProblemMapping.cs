using System.Text.Json;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Data;
using Merganser.Web.Words;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;

namespace Merganser.Web.Guard;

/// <summary>
/// Every refusal as RFC 9457 problem details with a <c>code</c>, and <c>errors</c> by field where there are any.
/// </summary>
public sealed class ProblemMapping(ILogger<ProblemMapping> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancel)
    {
        var speaker = Listener.Hears(context);
        var (status, said, code) = Read(exception);
        var problem = Problem(status, speaker.Say(said), code);
        if (exception is RefusedException { Problems.Count: > 0 } refused)
        {
            problem.Extensions["errors"] = Said(speaker, refused.Problems);
        }

        object? current = exception switch
        {
            ChangedException changed => changed.Current,
            IdTakenException taken => taken.Kept,
            _ => null,
        };
        if (current is not null)
        {
            problem.Extensions["current"] = current;
        }

        if (status == 500)
        {
            log.LogError(exception, "Unexpected failure");
        }

        if (status == StatusCodes.Status503ServiceUnavailable)
        {
            context.Response.Headers.RetryAfter = TryAgainAfter;
        }

        context.Response.StatusCode = status;
        await Results.Problem(problem).ExecuteAsync(context);
        return true;
    }

    /// <summary>Seconds after which a writer that found the file busy may try again.</summary>
    private const string TryAgainAfter = "2";

    private static (int Status, Message Said, string Code) Read(Exception exception) =>
        exception switch
        {
            RefusedException refused => (400, refused.Said, refused.Code),
            ChangedException changed => (412, changed.Said, "changed"),
            MissingException missing => (404, missing.Said, "missing"),
            IdTakenException taken => (409, taken.Said, "id-taken"),
            OtherBenchException => (409, InputSays.OtherBench, "other-bench"),
            DataFileException unusable => (507, new Verbatim(unusable.Message), "copy"),
            PreconditionMissingException => (428, InputSays.VersionNeeded, "if-match"),
            SqliteException { SqliteErrorCode: SqliteCodes.Busy or SqliteCodes.Locked } => (
                503,
                InputSays.FileBusy,
                "busy"
            ),
            SqliteException { SqliteErrorCode: SqliteCodes.Full } => (507, InputSays.DiskFull, "full"),
            BadHttpRequestException { StatusCode: 413 } => (413, InputSays.MoreThanIsTaken, "too-large"),
            BadHttpRequestException { InnerException: JsonException json } bad => (
                bad.StatusCode,
                new UnreadableAt(json.Path ?? ""),
                "unreadable"
            ),
            BadHttpRequestException bad => (bad.StatusCode, InputSays.CannotBeRead, "unreadable"),
            _ => (500, InputSays.WentWrong, "unexpected"),
        };

    /// <summary>Gives bare status codes of the API a problem body.</summary>
    public static Task WriteStatus(StatusCodeContext status)
    {
        var (context, code) = (status.HttpContext, status.HttpContext.Response.StatusCode);
        var said = code switch
        {
            405 => InputSays.MethodNotTaken,
            406 => InputSays.NothingAcceptable,
            415 => InputSays.JsonOnly,
            _ => InputSays.CannotBeRead,
        };
        return context.Request.Path.StartsWithSegments("/api")
            ? Results.Problem(Problem(code, Listener.Hears(context).Say(said), "unreadable")).ExecuteAsync(context)
            : Task.CompletedTask;
    }

    private static Dictionary<string, string[]> Said(Speaker speaker, IReadOnlyList<FieldProblem> problems) =>
        problems.GroupBy(e => e.Field).ToDictionary(g => g.Key, g => g.Select(e => speaker.Say(e.Message)).ToArray());

    private static ProblemDetails Problem(int status, string title, string code) =>
        new()
        {
            Status = status,
            Title = title,
            Type = "about:blank",
            Extensions = { ["code"] = code },
        };
}

/// <summary>An edit came without the version that it was made on.</summary>
public sealed class PreconditionMissingException() : Exception("if-match");

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
            : throw RefusedException.At("id", "id", InputSays.ClientIdNeeded);
}
