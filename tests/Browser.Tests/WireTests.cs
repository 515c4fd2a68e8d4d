using System.Net.Sockets;
using System.Text;

namespace Merganser.Browser.Tests;

/// <summary>Requests as bytes: what no client library would send.</summary>
public sealed class WireTests : IClassFixture<WireTests.Server>
{
    private readonly Server shared;

    public WireTests(Server shared) => this.shared = shared;

    [Theory]
    [InlineData("GET /api/bows/%00 HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n", 400)]
    [InlineData("GET /%00 HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n", 400)]
    [InlineData("GET /api/.. HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n", 400)]
    [InlineData("GET /api/../rack HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n", 400)]
    [InlineData("GET /api/%2E%2e%2frack HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n", 400)]
    [InlineData("GET /api/rack HTTP/1.1\r\n\r\n", 400)]
    [InlineData("nonsense\r\n\r\n", 400)]
    [InlineData("GET /api/rack HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n", 403)]
    [InlineData("POST /api/rack HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 0\r\nConnection: close\r\n\r\n", 405)]
    public async Task A_refusal_is_a_problem_document_with_the_headers_of_any_answer(string sent, int status)
    {
        var answer = await Ask(sent);
        answer.ShouldStartWith($"HTTP/1.1 {status} ");
        foreach (
            var header in new[] { "application/problem+json", "Content-Security-Policy", "nosniff", "no-referrer" }
        )
        {
            answer.ShouldContain(header);
        }

        answer.ShouldContain($"\"status\":{status}");
        answer.ShouldContain("\"code\":");
    }

    [Fact]
    public async Task A_method_that_is_not_taken_is_told_which_are() =>
        (await Ask("DELETE /api/rack HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n")).ShouldContain(
            "\r\nAllow: GET\r\n"
        );

    [Fact]
    public async Task Headers_without_end_are_refused() =>
        (await Ask($"GET /api/rack HTTP/1.1\r\nHost: 127.0.0.1\r\nX: {new string('x', 40_000)}\r\n\r\n")).ShouldContain(
            "\"status\":431"
        );

    [Fact]
    public async Task What_is_not_refused_goes_through_as_it_was() =>
        (await Ask("GET /health HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n")).ShouldContain("Healthy");

    private async Task<string> Ask(string sent)
    {
        using var wire = new TcpClient();
        await wire.ConnectAsync("127.0.0.1", new Uri(shared.App.Url).Port);
        var stream = wire.GetStream();
        await stream.WriteAsync(Encoding.ASCII.GetBytes(sent));
        return await new StreamReader(stream).ReadToEndAsync().WaitAsync(TimeSpan.FromSeconds(30));
    }

    public sealed class Server : IDisposable
    {
        public AppServer App { get; } = new(demo: true);

        public void Dispose() => App.Dispose();
    }
}
