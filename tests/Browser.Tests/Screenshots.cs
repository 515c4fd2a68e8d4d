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

        using var screen = new Screen(demo: true);
        screen.Go("/");
        Take("start", "/", "[data-testid=rack] h2");
        Take("work-order", $"{Bow}/bow?check=centreShot", "[data-testid=check]");
        Take("story", "/bows/22222222-0000-4000-8000-000000000006/story", "[data-testid=changed] table");
        Take("visit", "/bows/22222222-0000-4000-8000-000000000006/visit?show=handover", "[data-testid=hand-over] li");
        Take("bow", $"{Bow}/bow?way=measures", "[data-testid=adjusters] svg");
        Take("arrow", $"{Bow}/arrow?arrow=33333333-0000-4000-8000-000000000001", "main tbody tr:nth-child(4)");
        Take("catalogue", "/catalogue?bow=22222222-0000-4000-8000-000000000001", "main tbody tr");
        Take("weigh-in", $"{Bow}/dozen?way=weigh&class=Point", "[data-testid=live]");
        Take("match", "/bows/22222222-0000-4000-8000-000000000002/dozen?way=match", "[data-testid=match-found]");
        Take("paper", $"{Bow}/paper", "[data-testid=advice]");
        Take("groups", "/bows/22222222-0000-4000-8000-000000000003/groups", "[data-testid=powers]");
        Take("broadheads", "/bows/22222222-0000-4000-8000-000000000005/groups", "[data-testid=head-map]");
        screen.Push("Set 2");
        Shown("walk-back", "[data-testid=walks-alone]");
        Take("plan", "/plan", "[data-testid=shoot]");
        Take(
            "finder",
            "/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001&way=finder",
            "[data-testid=progress][data-state=done]"
        );
        Take("range", "/bows/22222222-0000-4000-8000-000000000005/groups?way=range", "[data-testid=range-sheet]");
        screen.Size(390, 844, phone: true);
        Take("phone-paper", $"{Bow}/paper", "[data-testid=advice]");
        screen.Go("/bows/22222222-0000-4000-8000-000000000003/groups");
        screen.Push("Mark a shot");
        Shown("phone-groups", "[data-testid=marking-sheet]");

        First();
        using var sheet = new PartsSheet();
        screen.Size(1280, 2300);
        screen.Driver.Navigate().GoToUrl(sheet.Url);
        screen.See("[data-part-name]");
        screen.Shot(Path.Combine(Folder!, "..", "parts.png"));

        // An empty bench, answered up to the hole.
        static void First()
        {
            using var empty = new Screen(demo: false);
            empty.Go("/");
            empty.See("[data-testid=steps]");
            StateSteps.FirstHole(empty);
            empty.Settled();
            StateAudit.Found(empty).ShouldBeEmpty("first");
            empty.Shot(Path.Combine(Folder!, "first.png"));
        }

        void Take(string name, string path, string wait)
        {
            screen.Go(path);
            Shown(name, wait);
        }

        void Shown(string name, string wait)
        {
            screen.See(wait);
            screen.Settled();
            StateAudit
                .Found(screen)
                .ShouldBeEmpty($"{name}: a view that fails the audit of its layout is not pictured");
            screen.Shot(Path.Combine(Folder!, $"{name}.png"));
        }
    }
}
