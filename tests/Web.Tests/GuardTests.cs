using System.Net;
using Merganser.Web.Guard;
using Microsoft.Extensions.Configuration;

namespace Merganser.Web.Tests;

public class GuardTests
{
    [Theory]
    [InlineData("http://127.0.0.1:5210", true)]
    [InlineData("http://localhost:80;http://[::1]:81", true)]
    [InlineData("http://0.0.0.0:5210", false)]
    [InlineData("http://*:5210", false)]
    [InlineData("http://127.0.0.1:5210;http://192.168.1.4:80", false)]
    [InlineData("https://127.0.0.1:5210", false)]
    [InlineData("nonsense", false)]
    public void Only_this_machine_is_served(string urls, bool allowed) =>
        (Loopback.Refusal(urls) is null).ShouldBe(allowed);

    [Fact]
    public void Endpoints_of_a_configuration_are_refused()
    {
        var open = new ConfigurationBuilder().AddInMemoryCollection(
            new Dictionary<string, string?> { ["Kestrel:Endpoints:Open:Url"] = "http://0.0.0.0:5211" }
        );
        Loopback.RefusalOfEndpoints(open.Build())!.ShouldContain("\"Open\"");
        Loopback.RefusalOfEndpoints(new ConfigurationBuilder().Build()).ShouldBeNull();
    }

    [Fact]
    public async Task An_unknown_api_address_is_a_404_problem_and_not_a_page()
    {
        using var app = new App();
        var answer = await app.Http.GetAsync("/api/nothing/here");
        answer.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        (await answer.Content.ReadAsStringAsync()).ShouldContain("no-such-address");
    }

    [Theory]
    [InlineData("Host", "evil.example")]
    [InlineData("Origin", "http://evil.example")]
    [InlineData("Origin", "null")]
    public async Task Another_pages_request_is_refused(string header, string value)
    {
        using var app = new App();
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rack");
        request.Headers.TryAddWithoutValidation(header, value);
        (await app.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task Its_own_origin_is_let_in()
    {
        using var app = new App();
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rack");
        request.Headers.TryAddWithoutValidation("Origin", "http://localhost");
        (await app.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task The_policy_is_strict_and_its_nonce_changes()
    {
        using var app = new App();
        var first = await Policy(app);
        var second = await Policy(app);
        first.ShouldContain("default-src 'none'");
        first.ShouldContain("connect-src 'self'");
        first.ShouldNotContain("unsafe");
        first.ShouldNotBe(second);
    }

    [Fact]
    public async Task The_openapi_document_is_served_and_names_no_server()
    {
        using var app = new App();
        var document = await app.Get("/openapi/v1.json");
        document["paths"]!.AsObject().Count.ShouldBeGreaterThan(15);
        (document["servers"]?.AsArray().Count ?? 0).ShouldBe(0);
    }

    private static async Task<string> Policy(App app) =>
        (await app.Http.GetAsync("/api/rack")).Headers.GetValues("Content-Security-Policy").Single();

    [Fact]
    public async Task A_yoke_is_not_twisted_without_end()
    {
        using var app = new App();
        var body = new { id = Guid.NewGuid(), yoke = new { left = int.MinValue, right = 1 } };
        var answer = await app.Post($"/api/bows/{App.Brindle}/moves", body);
        answer.Status.ShouldBe(400);
        answer.Body["errors"]!["yoke"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_hole_in_a_list_is_named()
    {
        using var app = new App();
        var body = new
        {
            id = Guid.NewGuid(),
            bowId = App.Brindle,
            arrowVersionId = App.IslandVersion,
            stages = new object?[] { new { distance = "3", fletched = false }, null },
            tolerance = .25,
        };
        var answer = await app.Post("/api/papers", body);
        answer.Status.ShouldBe(400);
        answer.Body["errors"]!["stages[1]"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_good_state_of_an_arrow_that_is_not_this_bows_is_refused()
    {
        using var app = new App();
        var body = new
        {
            id = Guid.NewGuid(),
            arrowVersionId = "nobody",
            note = "",
        };
        (await app.Post($"/api/bows/{App.Brindle}/good-states", body)).Status.ShouldBe(404);
    }

    [Theory]
    [InlineData("NaN")]
    [InlineData("1e400")]
    [InlineData("1e308")]
    public async Task A_number_of_a_query_is_one(string number)
    {
        using var app = new App();
        using var answer = await app.Http.GetAsync($"/api/bows/{App.Brindle}/weights?purpose=field&grains={number}");
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>Demo and own bench share an address: a page still open for the other one changes nothing.</summary>
    [Fact]
    public async Task What_a_page_of_another_bench_sends_is_not_taken_in()
    {
        using var app = new App();
        foreach (var (bench, status) in new[] { ("0123456789abcdef0123456789abcdef", 409), (app.Database.Bench, 200) })
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, $"/api/bows/{App.Brindle}/shots")
            {
                Content = System.Net.Http.Json.JsonContent.Create(new { id = App.NewId(), count = 3 }),
            };
            request.Headers.Add("Merganser-Bench", bench);
            using var response = await app.Http.SendAsync(request);
            ((int)response.StatusCode).ShouldBe(status, await response.Content.ReadAsStringAsync());
        }

        using var reading = new HttpRequestMessage(HttpMethod.Get, "/api/rack");
        reading.Headers.Add("Merganser-Bench", "another");
        using var read = await app.Http.SendAsync(reading);
        ((int)read.StatusCode).ShouldBe(200, "who reads sees whose it is by the answer's own header");
    }
}
