namespace Merganser.Web.Tests;

/// <summary>For which distances marks are shown and printed.</summary>
public class FlightMarksTests
{
    private const string Hunter = "/api/bows/22222222-0000-4000-8000-000000000005";

    [Fact]
    public async Task Marks_are_shown_for_steps_of_ones_own_and_where_one_is_proven()
    {
        using var app = new App();
        async Task<double[]> At(string marks) =>
            [
                .. (await app.Get($"{Hunter}/flight?marks={Uri.EscapeDataString(marks)}"))["marks"]!
                    .AsArray()
                    .Select(m => (double)m!["yards"]!),
            ];
        var usual = await At("");
        usual.Zip(usual.Skip(1), (a, b) => b - a).ShouldAllBe(step => step == 5);
        var tens = await At("10");
        tens.ShouldBeSubsetOf(usual);
        tens.Length.ShouldBeLessThan(usual.Length);
        // Three of the demo's are proven: they stand there whatever is asked for.
        var own = await At("13, 17.5");
        own.ShouldContain(13);
        own.ShouldContain(17.5);
        own.Length.ShouldBe(5);
        (await app.Http.GetAsync($"{Hunter}/flight?marks=far")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.BadRequest
        );
        (await app.Http.GetAsync($"{Hunter}/tape.pdf?marks=13,17.5,40")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.OK
        );
    }
}
