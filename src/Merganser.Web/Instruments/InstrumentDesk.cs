using System.Collections.Concurrent;
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
/// <param name="Unit">Of the reading.</param>
/// <param name="Stable">True when the instrument calls it stable.</param>
/// <param name="Take">The reading to take now, or null.</param>
/// <param name="Pan">What is known of the pan; null for an instrument without one.</param>
/// <param name="Why">What was wrong.</param>
/// <param name="Simulated">True for a stand-in.</param>
/// <param name="Travel">The travel of the string, inches; null for any other instrument than a draw board.</param>
public sealed record InstrumentEvent(
    string State,
    double? Value,
    string Unit,
    bool Stable,
    double? Take,
    PanState? Pan,
    string? Why,
    bool Simulated,
    double? Travel = null
);

/// <summary>An order to an instrument: tare; for a stand-in also what lies on it.</summary>
/// <param name="Order">tare, take; put, lift, gain, unplug, plug, shoot, crank.</param>
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
    private static readonly string[] Orders =
    [
        "tare",
        "take",
        "put",
        "lift",
        "gain",
        "unplug",
        "plug",
        "shoot",
        "crank",
    ];

    /// <summary>The bow behind the simulated chronograph: energy in ft·lb, virtual mass in grains.</summary>
    private const double StandInEnergy = 94.7;

    private const double StandInMass = 120;

    private const double UsualArrow = 400;
    private const double UsualLetOff = 80;

    private readonly Lock gate = new();
    private readonly PanWatch pan = new();
    private readonly CrankWatch crank = new();
    private readonly ConcurrentDictionary<InstrumentKind, bool> still = new();
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
                    onScale ? Seen(mine, reading) : TakenOf(reading.Line),
                    Pan(),
                    null,
                    link.Simulated,
                    reading.Line.Travel
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
        if (kind == InstrumentKind.Board && bow is not null)
        {
            // The stand-in's bow is near the one in hand; what it is exactly is its own.
            link.Send(Told("peak", bow.DrawWeight));
            link.Send(Told("stroke", bow.PowerStroke));
            link.Send(Told("letoff", bow.Kind == BowKind.Compound ? UsualLetOff : 0));
        }

        if (!link.Send(value is { } number ? Told(input.Order, number) : input.Order))
        {
            throw new RefusedException("not-connected", InputSays.NotConnected);
        }

        return new OrderDone(null);
    }

    /// <summary>What is taken of an instrument without a pan: a shot, a still needle, a point.</summary>
    private double? TakenOf(InstrumentLine line) =>
        line.Kind switch
        {
            InstrumentKind.Board => crank.See(line.Travel ?? 0, line.Stable) ? line.Value : null,
            InstrumentKind.Spine or InstrumentKind.Dial => StillOnce(line) ? line.Value : null,
            _ => line.Value,
        };

    /// <summary>True for the first still reading after one that was not.</summary>
    private bool StillOnce(InstrumentLine line)
    {
        var taken = line.Stable && !still.GetValueOrDefault(line.Kind, true);
        still[line.Kind] = line.Stable;
        return taken;
    }

    /// <summary>What the newest page takes of the pan; an older one, that ends, takes nothing more.</summary>
    private double? Seen(object page, InstrumentNews.Reading reading) =>
        ReferenceEquals(Volatile.Read(ref follower), page)
            ? pan.See(new ScaleReading(reading.At, reading.Line.Value, reading.Line.Stable))
            : null;

    private static string Told(string order, double number) =>
        $"{order} {number.ToString(CultureInfo.InvariantCulture)}";

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

            SimulatedInstrument device = kind switch
            {
                InstrumentKind.Scale => new SimulatedScale(),
                InstrumentKind.Chronograph => new SimulatedChronograph(),
                InstrumentKind.Spine => new SimulatedSpineTester(),
                InstrumentKind.Dial => new SimulatedDial(),
                _ => new SimulatedDrawBoard(),
            };
            var link = new InstrumentLink(
                device.Address.Address.ToString(),
                device.Address.Port,
                true,
                kind != InstrumentKind.Chronograph,
                running
            );
            links[kind] = (link, device);
            return link;
        }
    }
}
