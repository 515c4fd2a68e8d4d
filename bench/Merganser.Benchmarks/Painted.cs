namespace Merganser.Benchmarks;

/// <summary>The frame in which something stands on the screen.</summary>
internal static class Painted
{
    /// <summary>
    /// For scripts: <c>painted(then)</c> calls in the first task after the next frame, when that frame is drawn;
    /// <c>drawn(then)</c>, called while a frame is made, in the first task after that one.
    /// </summary>
    public const string Script = """
        const drawn = (then) => {
          const port = new MessageChannel();
          port.port1.onmessage = then;
          port.port2.postMessage(0);
        };
        const painted = (then) => requestAnimationFrame(() => drawn(then));

        """;
}
