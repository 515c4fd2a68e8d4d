using Merganser.Data;

namespace Merganser.Web.Demo;

/// <summary>
/// A clock that stands still, so that demo pictures do not change by themselves. While an evening is filled it moves on
/// each time it is asked, so that what happened has its order.
/// </summary>
public sealed class DemoClock(DateTimeOffset now, TimeSpan each = default) : TimeProvider
{
    private static readonly TimeSpan Long = TimeSpan.FromHours(3);
    private static readonly TimeSpan Step = TimeSpan.FromSeconds(2);

    private (DateTimeOffset Began, TimeSpan Each) runs = (now, each);
    private long asked;

    public override DateTimeOffset GetUtcNow()
    {
        var at = runs.Began + (runs.Each * asked++);
        return runs.Began < now && at > now ? now : at;
    }

    /// <summary>Fills the hours before now; then it stands still.</summary>
    public void Fill(Action evening)
    {
        runs = (now - Long, Step);
        evening();
        (runs, asked) = ((now, TimeSpan.Zero), 0);
    }
}

/// <summary>Ids that several parts of the demo name.</summary>
internal static class DemoIds
{
    public const string Brindle = "22222222-0000-4000-8000-000000000001";
    public const string TallOsk = "22222222-0000-4000-8000-000000000002";
    public const string Tansel = "22222222-0000-4000-8000-000000000003";
    public const string Hearthwood = "22222222-0000-4000-8000-000000000004";
    public const string Tidewrack = "22222222-0000-4000-8000-000000000005";
    public const string Whimbrel = "22222222-0000-4000-8000-000000000006";

    /// <summary>The kept version of an arrow.</summary>
    public static string Version(int arrow) => $"44444444-0000-4000-8000-{arrow:000000000000}";
}

/// <summary>The demo: an invented island club in the week before its autumn field shoot.</summary>
public sealed class DemoClub(
    BowStore bows,
    DemoRack rack,
    DemoStock stock,
    DemoSheets sheets,
    DemoPapers papers,
    DemoFlight flight,
    DemoDozens dozens,
    DemoStory story,
    TimeProvider clock
)
{
    /// <summary>Fills an empty file; one that has bows is left as it is.</summary>
    public void FillIfEmpty()
    {
        if (bows.All().Count > 0)
        {
            return;
        }

        if (clock is DemoClock demo)
        {
            demo.Fill(Fill);
        }
        else
        {
            Fill();
        }
    }

    private void Fill()
    {
        rack.Fill();
        stock.Fill();
        sheets.Fill();
        papers.Fill();
        sheets.WalkTheString();
        flight.Fill();
        dozens.Fill();
        story.Fill();
    }
}
