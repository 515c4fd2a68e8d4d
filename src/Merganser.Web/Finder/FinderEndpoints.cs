using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using Merganser.Web.Words;

namespace Merganser.Web.Finder;

public static class FinderEndpoints
{
    public static void MapFinder(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{id}/finder",
            (string id, string? arrow, string? heavier, FinderDesk desk) => desk.Start(id, arrow, heavier)
        );
        api.MapPost("/bows/{id}/finder", (string id, FinderInput input, FinderDesk desk) => desk.Begin(id, input));
        api.MapGet(
                "/bows/{id}/finder/{searchId}/stream",
                (string id, string searchId, FinderDesk desk, Listener listener, CancellationToken cancel) =>
                {
                    _ = desk.Page(id, searchId, 0);
                    var options = MessageJson.For(listener.Of(id));
                    return Results.ServerSentEvents(Told(desk.Follow(id, searchId, cancel), options, cancel));
                }
            )
            .Produces<FinderView>(200, "text/event-stream");
        api.MapGet(
            "/bows/{id}/finder/{searchId}",
            (string id, string searchId, int? from, FinderDesk desk) => desk.Page(id, searchId, from ?? 0)
        );
        api.MapGet(
            "/bows/{id}/finder/{searchId}/builds/{at}",
            (string id, string searchId, string at, FinderDesk desk) => desk.Build(id, searchId, at)
        );
        api.MapPost(
            "/bows/{id}/finder/{searchId}/stop",
            (string id, string searchId, FinderDesk desk) => desk.Stop(id, searchId)
        );
    }

    /// <summary>Each state as JSON in the words of whoever hears of the bow.</summary>
    private static async IAsyncEnumerable<SseItem<string>> Told(
        IAsyncEnumerable<FinderView> states,
        JsonSerializerOptions options,
        [EnumeratorCancellation] CancellationToken cancel
    )
    {
        await foreach (var state in states.WithCancellation(cancel))
        {
            yield return new SseItem<string>(JsonSerializer.Serialize(state, options));
        }
    }
}
