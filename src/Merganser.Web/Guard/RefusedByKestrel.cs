using System.Buffers;
using System.IO.Pipelines;
using System.Text;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.WebUtilities;

namespace Merganser.Web.Guard;

/// <summary>
/// Gives a problem document to requests that Kestrel itself refuses, before any middleware: a <c>%00</c> in the path, a
/// line that is no request, headers that are too long. It answers those with a status and an empty body.
/// </summary>
public static class RefusedByKestrel
{
    /// <summary>Puts a body into such answers of a connection.</summary>
    public static ConnectionDelegate Explain(ConnectionDelegate next) =>
        connection =>
        {
            connection.Transport = new Wire(connection.Transport.Input, new Answers(connection.Transport.Output));
            return next(connection);
        };

    /// <summary>
    /// The whole answer in place of a head without a body, or null where it is no refusal of Kestrel's own.
    /// </summary>
    /// <param name="head">Bytes as Kestrel is about to send them.</param>
    public static byte[]? Explained(ReadOnlySpan<byte> head)
    {
        if (
            !head.StartsWith("HTTP/1.1 4"u8)
            || head.IndexOf("Content-Length: 0\r\n"u8) < 0
            || head.IndexOf("Connection: close\r\n"u8) < 0
            || head.IndexOf("Content-Security-Policy"u8) >= 0
        )
        {
            return null;
        }

        var status = Encoding.ASCII.GetString(head[9..12]);
        var body =
            $$"""{"type":"about:blank","title":"The request cannot be read.","status":{{status}},"code":"unreadable"}""";
        return Encoding.ASCII.GetBytes(
            $"""
            HTTP/1.1 {status} {ReasonPhrases.GetReasonPhrase(int.Parse(status))}
            Content-Type: application/problem+json
            Content-Length: {body.Length}
            Connection: close
            Content-Security-Policy: default-src 'none'; frame-ancestors 'none'
            X-Content-Type-Options: nosniff
            Referrer-Policy: no-referrer
            Cross-Origin-Opener-Policy: same-origin
            Cache-Control: no-store

            {body}
            """.ReplaceLineEndings("\r\n")
        );
    }

    private sealed record Wire(PipeReader Input, PipeWriter Output) : IDuplexPipe;

    /// <summary>Looks at each piece before it is sent.</summary>
    private sealed class Answers(PipeWriter wire) : PipeWriter
    {
        private Memory<byte> piece;

        public override bool CanGetUnflushedBytes => wire.CanGetUnflushedBytes;

        public override long UnflushedBytes => wire.UnflushedBytes;

        public override Memory<byte> GetMemory(int sizeHint = 0) => piece = wire.GetMemory(sizeHint);

        public override Span<byte> GetSpan(int sizeHint = 0) => GetMemory(sizeHint).Span;

        public override void Advance(int bytes)
        {
            if (Explained(piece.Span[..bytes]) is { } explained)
            {
                wire.Write(explained);
                return;
            }

            wire.Advance(bytes);
        }

        public override ValueTask<FlushResult> FlushAsync(CancellationToken cancel = default) =>
            wire.FlushAsync(cancel);

        public override ValueTask<FlushResult> WriteAsync(
            ReadOnlyMemory<byte> source,
            CancellationToken cancel = default
        ) => wire.WriteAsync(source, cancel);

        public override void CancelPendingFlush() => wire.CancelPendingFlush();

        public override void Complete(Exception? exception = null) => wire.Complete(exception);

        public override ValueTask CompleteAsync(Exception? exception = null) => wire.CompleteAsync(exception);
    }
}
