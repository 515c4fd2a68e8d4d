using System.Net.Sockets;
using System.Threading.Channels;

namespace Merganser.Instruments;

/// <summary>What a link tells: a reading, garbage with its reason, a lost or found connection.</summary>
public abstract record InstrumentNews
{
    public sealed record Reading(InstrumentLine Line, DateTimeOffset At) : InstrumentNews;

    public sealed record Garbage(string Why) : InstrumentNews;

    public sealed record Connected : InstrumentNews;

    public sealed record Lost(string Why) : InstrumentNews;
}

/// <summary>
/// A line to an instrument: connects, reads line by line, says when nothing came for a while, and tries again. One
/// listener at a time: the newest takes it over.
/// </summary>
/// <param name="host">Loopback, unless another host was named at start.</param>
/// <param name="port">TCP port.</param>
/// <param name="simulated">True for a stand-in: marked as such wherever it is shown.</param>
/// <param name="steady">True for an instrument that speaks all the time: its silence is a fault.</param>
/// <param name="clock">Gives readings their time.</param>
public sealed class InstrumentLink(string host, int port, bool simulated, bool steady, TimeProvider clock)
    : IAsyncDisposable
{
    private static readonly TimeSpan Silence = TimeSpan.FromSeconds(4);
    private static readonly TimeSpan TryAgain = TimeSpan.FromMilliseconds(500);

    private readonly CancellationTokenSource ended = new();
    private readonly Lock gate = new();
    private Channel<InstrumentNews>? listener;
    private StreamWriter? writer;
    private Task? running;

    public bool Simulated => simulated;

    /// <summary>Starts to listen; an earlier listener is ended, so that one page owns the instrument.</summary>
    public ChannelReader<InstrumentNews> Listen()
    {
        lock (gate)
        {
            listener?.Writer.TryComplete();
            listener = Channel.CreateBounded<InstrumentNews>(
                new BoundedChannelOptions(64) { FullMode = BoundedChannelFullMode.DropOldest }
            );
            running ??= Task.Run(RunAsync);
            if (writer is not null)
            {
                listener.Writer.TryWrite(new InstrumentNews.Connected());
            }

            return listener.Reader;
        }
    }

    /// <summary>Sends an order, e.g. <c>tare</c>; false when nothing is connected.</summary>
    public bool Send(string order)
    {
        lock (gate)
        {
            running ??= Task.Run(RunAsync);
            if (writer is null)
            {
                return false;
            }

            try
            {
                writer.WriteLine(order);
                return true;
            }
            catch (IOException)
            {
                return false;
            }
        }
    }

    public async ValueTask DisposeAsync()
    {
        await ended.CancelAsync();
        if (running is not null)
        {
            await running;
        }

        ended.Dispose();
    }

    private async Task RunAsync()
    {
        while (!ended.IsCancellationRequested)
        {
            try
            {
                await TalkAsync();
            }
            catch (Exception problem) when (problem is IOException or SocketException)
            {
                Tell(new InstrumentNews.Lost("no connection"));
            }
            catch (OperationCanceledException)
            {
                return;
            }

            lock (gate)
            {
                writer = null;
            }

            try
            {
                await Task.Delay(TryAgain, ended.Token);
            }
            catch (OperationCanceledException)
            {
                return;
            }
        }
    }

    private async Task TalkAsync()
    {
        using var client = new TcpClient();
        await client.ConnectAsync(host, port, ended.Token);
        await using var stream = client.GetStream();
        using var reader = new StreamReader(stream);
        lock (gate)
        {
            writer = new StreamWriter(stream) { AutoFlush = true, NewLine = "\n" };
        }

        Tell(new InstrumentNews.Connected());
        var line = reader.ReadLineAsync(ended.Token).AsTask();
        while (true)
        {
            if (steady && await Task.WhenAny(line, Task.Delay(Silence, ended.Token)) != line)
            {
                ended.Token.ThrowIfCancellationRequested();
                Tell(new InstrumentNews.Lost($"no reading for {Silence.TotalSeconds:0} s"));
                continue;
            }

            var text = await line ?? throw new IOException("The instrument closed the line.");
            var (reading, problem) = InstrumentLine.Read(text);
            Tell(
                reading is null
                    ? new InstrumentNews.Garbage(problem!)
                    : new InstrumentNews.Reading(reading, clock.GetUtcNow())
            );
            line = reader.ReadLineAsync(ended.Token).AsTask();
        }
    }

    private void Tell(InstrumentNews news)
    {
        lock (gate)
        {
            listener?.Writer.TryWrite(news);
        }
    }
}
