using Merganser.Data;

namespace Merganser.Web.Demo;

/// <summary>A clock that stands still, so that demo pictures do not change by themselves.</summary>
public sealed class DemoClock(DateTimeOffset now) : TimeProvider
{
    public override DateTimeOffset GetUtcNow() => now;
}

/// <summary>Ids that several parts of the demo name.</summary>
internal static class DemoIds
{
    public const string Brindle = "22222222-0000-4000-8000-000000000001";
    public const string TallOsk = "22222222-0000-4000-8000-000000000002";
    public const string Tansel = "22222222-0000-4000-8000-000000000003";
    public const string Hearthwood = "22222222-0000-4000-8000-000000000004";
    public const string Tidewrack = "22222222-0000-4000-8000-000000000005";

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
    DemoDozens dozens
)
{
    /// <summary>Fills an empty file; one that has bows is left as it is.</summary>
    public void FillIfEmpty()
    {
        if (bows.All().Count > 0)
        {
            return;
        }

        rack.Fill();
        stock.Fill();
        sheets.Fill();
        papers.Fill();
        sheets.WalkTheString();
        flight.Fill();
        dozens.Fill();
    }
}
