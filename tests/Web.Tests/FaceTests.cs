namespace Merganser.Web.Tests;

/// <summary>The face that hangs on the butt, with rings of its own.</summary>
public class FaceTests
{
    [Fact]
    public async Task Rings_of_their_own_sizes_are_kept_and_said()
    {
        using var app = new App();
        var noted = new
        {
            id = App.NewId(),
            face = "24",
            ringsAcross = "16; 4;10 cm",
        };
        await app.Post($"/api/papers/{App.OpenPaper}/conditions", noted);
        (await app.Post($"/api/papers/{App.OpenPaper}/conditions", noted)).Status.ShouldBe(200);
        app.Restart();
        var conditions = (await app.Get($"/api/papers/{App.OpenPaper}"))["sets"]!.AsArray()[^1]!["conditions"]!;
        ((string)conditions["faceWords"]!).ShouldBe("A face 24.0 in across with rings of 16.0 in, 4.0 in, 3.9 in.");
        conditions["face"]!["ringDiameters"]!.AsArray().Count.ShouldBe(3);
    }

    [Theory]
    [InlineData("30")]
    [InlineData("4; wide")]
    [InlineData("0")]
    [InlineData(";")]
    [InlineData("1;2;3;4;5;6;7;8;9;10;11;12;13")]
    public async Task Rings_that_cannot_be_are_refused_beside_their_field(string ringsAcross)
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            $"/api/papers/{App.OpenPaper}/conditions",
            new
            {
                id = App.NewId(),
                face = "24",
                ringsAcross,
            }
        );
        (status, problem["errors"]!["ringsAcross"] is not null).ShouldBe((400, true));
    }
}
