using Merganser.Instruments;

namespace Merganser.Web.Instruments;

public static class InstrumentEndpoints
{
    public static void MapInstruments(this IEndpointRouteBuilder api)
    {
        api.MapGet(
                "/instruments/{kind}/stream",
                (string kind, InstrumentDesk desk, CancellationToken cancel) =>
                    Results.ServerSentEvents(desk.Follow(Kind(kind), cancel))
            )
            .ExcludeFromDescription();
        api.MapPost(
            "/instruments/{kind}/orders",
            (string kind, OrderInput input, InstrumentDesk desk, Data.BowStore bows) =>
                desk.Send(Kind(kind), input, input.BowId is { } bow ? bows.Get(bow).Bow : null)
        );
    }

    /// <summary>A sentence that refuses an address that cannot be, or null.</summary>
    public static string? Refusal(string? address) =>
        address is null
        || (
            address.Split(':') is [{ Length: > 0 }, var port]
            && int.TryParse(port, out var number)
            && number is > 0 and < 65536
        )
            ? null
            : $"\"{address}\" is no address of an instrument. Write it like --instrument 192.168.1.20:4001";

    private static InstrumentKind Kind(string word) =>
        Enum.TryParse<InstrumentKind>(word, true, out var kind) && Enum.IsDefined(kind)
            ? kind
            : throw new Data.MissingException("instrument");
}
