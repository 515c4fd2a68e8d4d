using Serilog;
using Serilog.AspNetCore;
using Serilog.Events;

namespace Merganser.Web.Guard;

/// <summary>
/// What the server did, a line a request: to the console, and to a file a day beside the data. A line has the time, the
/// trace that a refusal names too, method, path, status and milliseconds; never what was typed, never a name.
/// </summary>
public static class Journal
{
    private const string Line =
        "{Timestamp:yyyy-MM-dd HH:mm:ss.fff zzz} {Level:u3} {TraceId} {Message:lj}{NewLine}{Exception}";
    private const string Request = "{RequestMethod} {RequestPath} {StatusCode} {Elapsed:0.0} ms";
    private const string RequestSource = "Serilog.AspNetCore.RequestLoggingMiddleware";
    private const int DaysKept = 14;

    /// <summary>To the console and, when there is a data file, beside it.</summary>
    public static void Configure(LoggerConfiguration log, string data)
    {
        log.MinimumLevel.Warning()
            .MinimumLevel.Override(RequestSource, LogEventLevel.Information)
            .WriteTo.Console(outputTemplate: Line);
        if (!string.IsNullOrWhiteSpace(data))
        {
            log.WriteTo.File(
                FileOf(data),
                outputTemplate: Line,
                rollingInterval: RollingInterval.Day,
                retainedFileCountLimit: DaysKept,
                shared: true
            );
        }
    }

    /// <summary>Each request but those for the built files, which say nothing.</summary>
    public static void Requests(RequestLoggingOptions options, Serilog.ILogger journal)
    {
        options.Logger = journal;
        options.MessageTemplate = Request;
        options.GetLevel = (context, _, failure) =>
            failure is not null || context.Response.StatusCode >= StatusCodes.Status500InternalServerError
                ? LogEventLevel.Error
            : context.Request.Path.StartsWithSegments("/assets") ? LogEventLevel.Debug
            : LogEventLevel.Information;
    }

    private static string FileOf(string data) =>
        Path.Combine(
            Path.GetDirectoryName(Path.GetFullPath(data)) ?? "/",
            $"{Path.GetFileNameWithoutExtension(data)}-.log"
        );
}
