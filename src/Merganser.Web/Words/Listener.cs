using Merganser.Data;

namespace Merganser.Web.Words;

/// <summary>An input that names the bow it is about.</summary>
public interface IOfBow
{
    /// <summary>The bow.</summary>
    string? BowId { get; }
}

/// <summary>
/// Finds out who is spoken to: the archer of the bow that a request is about, by its route or its input. A request
/// about no bow is answered in the trade's units.
/// </summary>
public sealed class Listener(Hearers hearers)
{
    private const string Item = "speaker";

    /// <summary>Who hears of a bow.</summary>
    public Speaker Of(string bowId) =>
        hearers.Of(bowId) is { } found ? new Speaker(found.Units, found.Hand) : Speaker.Trade;

    /// <summary>Answers every request of the API in the units of whom it is about.</summary>
    public async ValueTask<object?> Answer(EndpointFilterInvocationContext call, EndpointFilterDelegate next)
    {
        var http = call.HttpContext;
        var bow = BowOf(http.Request) ?? call.Arguments.OfType<IOfBow>().FirstOrDefault()?.BowId;
        var speaker = bow is null ? Speaker.Trade : Of(bow);
        http.Items[Item] = speaker;
        var answer = await next(call);
        if (answer is null or IResult or string)
        {
            return answer;
        }

        if (bow is not null && !HttpMethods.IsGet(http.Request.Method))
        {
            speaker = Of(bow); // The request itself may have changed the units.
        }

        return TypedResults.Json(answer, MessageJson.For(speaker));
    }

    /// <summary>Who is spoken to in this request.</summary>
    public static Speaker Hears(HttpContext http) => http.Items[Item] as Speaker ?? Speaker.Trade;

    private string? BowOf(HttpRequest request)
    {
        var parts = request.Path.Value!.Split('/', StringSplitOptions.RemoveEmptyEntries);
        return parts.Length > 2 ? hearers.BowOf(parts[1], parts[2]) : null;
    }
}
