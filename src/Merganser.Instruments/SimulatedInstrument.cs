using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace Merganser.Instruments;

/// <summary>
/// A stand-in that ships with the application: speaks the protocol on loopback, ten lines a second, and takes a few
/// orders for the simulation.
/// </summary>
public abstract class SimulatedInstrument : IAsyncDisposable
{
    private static readonly TimeSpan Beat = TimeSpan.FromMilliseconds(100);

    private readonly TcpListener listener = new(IPAddress.Loopback, 0);
    private readonly CancellationTokenSource ended = new();
    private readonly Task serving;

    protected SimulatedInstrument()
    {
        listener.Start();
        serving = Task.Run(ServeAsync);
    }

    /// <summary>Where it listens: loopback, a port of its own.</summary>
    public IPEndPoint Address => (IPEndPoint)listener.LocalEndpoint;

    /// <summary>True while it pretends to be unplugged.</summary>
    public bool Unplugged { get; set; }

    /// <summary>The next line, or null when there is nothing to say at this beat.</summary>
    protected abstract string? Next();

    /// <summary>An order from the other end, e.g. <c>tare</c> or <c>put 253.1</c>.</summary>
    protected abstract void Order(string word, double? number);

    public async ValueTask DisposeAsync()
    {
        await ended.CancelAsync();
        listener.Stop();
        try
        {
            await serving;
        }
        catch (Exception problem)
            when (problem is OperationCanceledException or SocketException or ObjectDisposedException)
        {
            // It was told to end.
        }

        ended.Dispose();
        GC.SuppressFinalize(this);
    }

    private async Task ServeAsync()
    {
        while (!ended.IsCancellationRequested)
        {
            using var client = await listener.AcceptTcpClientAsync(ended.Token);
            try
            {
                await TalkAsync(client);
            }
            catch (IOException)
            {
                // The other end went away; wait for the next.
            }
        }
    }

    private async Task TalkAsync(TcpClient client)
    {
        await using var stream = client.GetStream();
        using var reader = new StreamReader(stream);
        await using var writer = new StreamWriter(stream) { AutoFlush = true, NewLine = "\n" };
        var listening = ListenAsync(reader);
        using var beat = new PeriodicTimer(Beat);
        while (await beat.WaitForNextTickAsync(ended.Token) && !listening.IsCompleted)
        {
            if (!Unplugged && Next() is { } line)
            {
                await writer.WriteLineAsync(line);
            }
        }
    }

    private async Task ListenAsync(StreamReader reader)
    {
        while (await reader.ReadLineAsync(ended.Token) is { } line)
        {
            var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (words.Length is 1 or 2)
            {
                Order(
                    words[0],
                    words.Length == 2 && double.TryParse(words[1], CultureInfo.InvariantCulture, out var number)
                        ? number
                        : null
                );
            }
        }
    }
}

/// <summary>A grain scale: settles, drifts, trembles, can be tared, and can be out of calibration.</summary>
public sealed class SimulatedScale(int seed = 7) : SimulatedInstrument
{
    private const double Settling = 0.45;
    private const double Tremble = 0.03;
    private const double Drift = 0.0006;
    private const double StillWithin = 0.08;

    private readonly Lock gate = new();
    private readonly Random random = new(seed);
    private double load;
    private double shown;
    private double zero;
    private double drift;
    private double gain = 1;
    private long sequence;

    protected override string? Next()
    {
        lock (gate)
        {
            shown += (load - shown) * Settling;
            drift += Drift * (random.NextDouble() - 0.5);
            var stable = Math.Abs(load - shown) < StillWithin;
            var value = (gain * shown) - zero + drift + (Tremble * (random.NextDouble() - 0.5));
            return new InstrumentLine(InstrumentKind.Scale, Math.Round(value, 1), stable, ++sequence).Write();
        }
    }

    /// <summary>
    /// <c>tare</c>; and for the simulation <c>put N</c>, <c>lift</c>, <c>gain N</c>, <c>unplug</c>, <c>plug</c>.
    /// </summary>
    protected override void Order(string word, double? number)
    {
        lock (gate)
        {
            switch (word)
            {
                case "tare":
                    zero = (gain * shown) + drift;
                    break;
                case "put" when number is { } grains:
                    load = grains;
                    break;
                case "lift":
                    load = 0;
                    break;
                case "gain" when number is > 0.5 and < 2:
                    gain = number.Value;
                    break;
                case "unplug":
                    Unplugged = true;
                    break;
                case "plug":
                    Unplugged = false;
                    break;
            }
        }
    }
}

/// <summary>A chronograph: silent until a shot is fired through it.</summary>
public sealed class SimulatedChronograph(int seed = 11) : SimulatedInstrument
{
    private const double Spread = 1.0;

    private readonly Lock gate = new();
    private readonly Random random = new(seed);
    private readonly Queue<double> shots = new();
    private long sequence;

    protected override string? Next()
    {
        lock (gate)
        {
            return shots.TryDequeue(out var speed)
                ? new InstrumentLine(InstrumentKind.Chronograph, Math.Round(speed, 1), true, ++sequence).Write()
                : null;
        }
    }

    /// <summary>For the simulation: <c>shoot N</c>, N the true speed in ft/s.</summary>
    protected override void Order(string word, double? number)
    {
        lock (gate)
        {
            if (word == "shoot" && number is > 0 and < 600)
            {
                var normal =
                    Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
                shots.Enqueue(number.Value + (Spread * normal));
            }
        }
    }
}
