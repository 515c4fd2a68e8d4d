using Merganser.Data;

namespace Merganser.Web.Demo;

/// <summary>
/// A clock that all but stands still, so that demo pictures do not change by themselves: it moves on by a moment each
/// time it is asked, so that what happens has its order.
/// </summary>
public sealed class DemoClock : TimeProvider
{
    private static readonly TimeSpan Long = TimeSpan.FromHours(3);
    private static readonly TimeSpan Filling = TimeSpan.FromSeconds(2);
    private static readonly TimeSpan Moment = TimeSpan.FromMilliseconds(1);

    private readonly Lock gate = new();
    private readonly DateTimeOffset evening;
    private DateTimeOffset at;
    private TimeSpan each;

    /// <param name="now">When it is.</param>
    /// <param name="step">How far it moves on each time.</param>
    public DemoClock(DateTimeOffset now, TimeSpan? step = null) => (evening, at, each) = (now, now, step ?? Moment);

    public override DateTimeOffset GetUtcNow()
    {
        lock (gate)
        {
            return at += each;
        }
    }

    /// <summary>Fills the hours before now.</summary>
    public void Fill(Action hours)
    {
        (at, each) = (evening - Long, Filling);
        hours();
        (at, each) = (evening, Moment);
    }

    /// <summary>Goes on from where an earlier run ended.</summary>
    public void GoOnFrom(DateTimeOffset? last)
    {
        if (last > at)
        {
            at = last.Value;
        }
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
    Database database,
    TimeProvider clock
)
{
    /// <summary>Fills an empty file; one that has bows is left as it is.</summary>
    public void FillIfEmpty()
    {
        var demo = clock as DemoClock;
        if (bows.All().Count > 0)
        {
            demo?.GoOnFrom(database.LastAct);
            return;
        }

        if (demo is not null)
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
