namespace Merganser.Browser.Tests;

/// <summary>Not a test: takes the pictures for docs/screenshots when the launcher asks for them.</summary>
[Trait("Category", "Screenshots")]
public class Screenshots
{
    private const string Bow = "/bows/22222222-0000-4000-8000-000000000001";
    private static readonly string? Folder = Environment.GetEnvironmentVariable("MERGANSER_SHOTS");

    [Fact]
    public void Main_views_of_the_demo()
    {
        if (Folder is null)
        {
            return;
        }

        using var bench = new Bench(demo: true);
        Take("start", "/", ".rack h2");
        Take("bow", $"{Bow}/bow", ".adjusters .scale");
        Take("arrow", $"{Bow}/arrow?arrow=33333333-0000-4000-8000-000000000001", ".arrow-drawing");
        Take("paper", $"{Bow}/paper", ".move-box");

        void Take(string name, string path, string wait)
        {
            bench.Go(path);
            bench.See(wait);
            bench.Shot(Path.Combine(Folder!, $"{name}.png"));
        }
    }
}
