using System.Globalization;
using System.Runtime.CompilerServices;
using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Speed;
using Merganser.Instruments;
using Merganser.Web.Words;

namespace Merganser.Web.Instruments;

/// <summary>What a page is told by an instrument.</summary>
/// <param name="State">connected, reading, garbage, lost, or taken over by another page.</param>
/// <param name="Value">The reading in its unit.</param>
/// <param name="Unit">gr or ft/s.</param>
/// <param name="Stable">True when the instrument calls it stable.</param>
/// <param name="Take">The weight to take now, or null.</param>
/// <param name="Pan">What is known of the pan; null for an instrument without one.</param>
/// <param name="Why">What was wrong.</param>
/// <param name="Simulated">True for a stand-in.</param>
public sealed record InstrumentEvent(
    string State,
    double? Value,
    string Unit,
    bool Stable,
    double? Take,
    PanState? Pan,
    string? Why,
    bool Simulated
);

/// <summary>An order to an instrument: tare; for a stand-in also what lies on it.</summary>
/// <param name="Order">tare, take; put, lift, gain, unplug, plug, shoot.</param>
/// <param name="Value">What is put on, or the weight of the arrow that is shot, grains.</param>
/// <param name="BowId">The bow that shoots through a stand-in; null for one of its own.</param>
public sealed record OrderInput(string Order, double? Value, string? BowId = null);

/// <summary>What came of an order.</summary>
/// <param name="Taken">The weight that was taken by hand, or null: the pan was not empty before it, or holds
/// nothing.</param>
public sealed record OrderDone(double? Taken);

/// <summary>
/// The instruments on the bench: stand-ins on loopback, or a device that was named at start. One page owns a stream.
/// </summary>
public sealed class InstrumentDesk(IConfiguration configuration, TimeProvider clock) : IAsyncDisposable
{
    private static readonly string[] Orders = ["tare", "take", "put", "lift", "gain", "unplug", "plug", "shoot"];

    /// <summary>The bow behind the simulated chronograph: energy in ft·lb, virtual mass in grains.</summary>
    private const double StandInEnergy = 94.7;

    private const double StandInMass = 120;

    private const double UsualArrow = 400;

    private readonly Lock gate = new();
    private readonly PanWatch pan = new();
    private object? follower;
    private readonly Dictionary<InstrumentKind, (InstrumentLink Link, IAsyncDisposable? Device)> links = [];

    /// <summary>Follows an instrument until the page goes away or another page takes it over.</summary>
    public async IAsyncEnumerable<InstrumentEvent> Follow(
        InstrumentKind kind,
        [EnumeratorCancellation] CancellationToken cancel
    )
    {
        var link = Link(kind);
        var mine = new object();
        var onScale = kind == InstrumentKind.Scale;
        if (onScale)
        {
            Volatile.Write(ref follower, mine);
        }

        PanState? Pan() => onScale ? pan.State : null;
        var unit = InstrumentLine.UnitOf(kind);
        await foreach (var news in link.Listen().ReadAllAsync(cancel))
        {
            yield return news switch
            {
                InstrumentNews.Reading reading => new InstrumentEvent(
                    "reading",
                    reading.Line.Value,
                    unit,
                    reading.Line.Stable,
                    onScale ? Seen(mine, reading) : reading.Line.Value,
                    Pan(),
                    null,
                    link.Simulated
                ),
                InstrumentNews.Garbage garbage => new InstrumentEvent(
                    "garbage",
                    null,
                    unit,
                    false,
                    null,
                    Pan(),
                    garbage.Why,
                    link.Simulated
                ),
                InstrumentNews.Lost lost => new InstrumentEvent(
                    "lost",
                    null,
                    unit,
                    false,
                    null,
                    Pan(),
                    lost.Why,
                    link.Simulated
                ),
                _ => new InstrumentEvent("connected", null, unit, false, null, Pan(), null, link.Simulated),
            };
        }

        yield return new InstrumentEvent(
            "taken-over",
            null,
            unit,
            false,
            null,
            null,
            Speaker.Trade.Say(InputSays.FollowedElsewhere),
            link.Simulated
        );
    }

    /// <exception cref="RefusedException">An order nobody knows, one only for a stand-in, or nothing is
    /// connected.</exception>
    public OrderDone Send(InstrumentKind kind, OrderInput input, Bow? bow = null)
    {
        var link = Link(kind);
        if (!Orders.Contains(input.Order) || (input.Order is not ("tare" or "take") && !link.Simulated))
        {
            throw new RefusedException("order", new NoSuchOrder(input.Order));
        }

        if (input.Order == "take")
        {
            // The page took it by hand: the pan must be empty before the next is taken by itself.
            return new OrderDone(pan.TakeNow(input.Value ?? 0));
        }

        var value =
            input.Order == "shoot" && input.Value is { } grains
                ? LaunchSpeed.FromEnergy(EnergyOf(bow), grains, StandInMass)
                : input.Value;
        if (
            !link.Send(
                value is { } number ? $"{input.Order} {number.ToString(CultureInfo.InvariantCulture)}" : input.Order
            )
        )
        {
            throw new RefusedException("not-connected", InputSays.NotConnected);
        }

        return new OrderDone(null);
    }

    /// <summary>What the newest page takes of the pan; an older one, that ends, takes nothing more.</summary>
    private double? Seen(object page, InstrumentNews.Reading reading) =>
        ReferenceEquals(Volatile.Read(ref follower), page)
            ? pan.See(new ScaleReading(reading.At, reading.Line.Value, reading.Line.Stable))
            : null;

    /// <summary>What a stand-in's bow gives: as its rating or estimate says of a usual arrow, ft·lb.</summary>
    private static double EnergyOf(Bow? bow) =>
        bow is null
            ? StandInEnergy
            : LaunchSpeed.KineticEnergy(
                UsualArrow + StandInMass,
                LaunchSpeed.Of(bow with { Chronograph = null }, UsualArrow).Speed
            );

    public async ValueTask DisposeAsync()
    {
        foreach (var (link, device) in links.Values)
        {
            await link.DisposeAsync();
            if (device is not null)
            {
                await device.DisposeAsync();
            }
        }
    }

    private InstrumentLink Link(InstrumentKind kind)
    {
        lock (gate)
        {
            if (links.TryGetValue(kind, out var known))
            {
                return known.Link;
            }

            // A demo clock stands still; a pan needs one that runs.
            var running = clock is Demo.DemoClock ? TimeProvider.System : clock;
            if (kind == InstrumentKind.Scale && configuration["instrument"] is { } named)
            {
                var parts = named.Split(':');
                var real = new InstrumentLink(
                    parts[0],
                    int.Parse(parts[1], CultureInfo.InvariantCulture),
                    false,
                    true,
                    running
                );
                links[kind] = (real, null);
                return real;
            }

            SimulatedInstrument device =
                kind == InstrumentKind.Scale ? new SimulatedScale() : new SimulatedChronograph();
            var link = new InstrumentLink(
                device.Address.Address.ToString(),
                device.Address.Port,
                true,
                kind == InstrumentKind.Scale,
                running
            );
            links[kind] = (link, device);
            return link;
        }
    }
}

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
