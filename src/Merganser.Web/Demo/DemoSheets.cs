using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The demo's set-up sheets.</summary>
public sealed class DemoSheets(SetupStore setups, BowStore bows, CrawlStore crawls)
{
    public void Fill()
    {
        SetUpCompound();
        SetUpRecurve();
        Crawl(10, 2, "2", "fifth stitch");
    }

    private void SetUpCompound()
    {
        bows.LogTogether([
            Turn(11, Brindle, AdjusterKind.NockingPoint, 2),
            Turn(12, Brindle, AdjusterKind.RestSideways, 3),
        ]);
        Found(Brindle, 1, CheckKind.Inspection, choice: "sound");
        Found(Brindle, 2, CheckKind.DrawWeight, "65.5");
        Found(Brindle, 3, CheckKind.AxleToAxle, "33 1/16");
        Found(Brindle, 4, CheckKind.BraceHeight, "6 1/2");
        Found(Brindle, 5, CheckKind.Tiller, "0");
        Found(Brindle, 6, CheckKind.CamLean, "-3/16");
        Found(Brindle, 7, CheckKind.CamTiming, choice: "together");
        Found(Brindle, 8, CheckKind.CentreShot, "0.845");
        Found(Brindle, 9, CheckKind.NockingPoint, "1/8");
        Found(Brindle, 10, CheckKind.NockSets, choice: "gap");
        Found(Brindle, 11, CheckKind.Loop, choice: "straight");
        Found(Brindle, 12, CheckKind.NockFit, choice: "free");
        setups.MarkGood(Brindle, "99999999-0000-4000-8000-000000000001", Version(1), "");
        bows.LogTogether([
            Turn(13, Brindle, AdjusterKind.RestSideways, 1),
            Turn(14, Brindle, AdjusterKind.RestHeight, -2),
        ]);
        Skip(Brindle, 13, CheckKind.FirstAxis, "no level at hand");
        setups.Shoot(Brindle, "aaaaaaaa-0000-4000-8000-000000000001", 78);
    }

    private void SetUpRecurve()
    {
        Found(TallOsk, 21, CheckKind.Inspection, choice: "sound");
        Found(TallOsk, 22, CheckKind.LimbAlignment, choice: "straight");
        Found(TallOsk, 23, CheckKind.BraceHeight, "8 3/4");
        Found(TallOsk, 24, CheckKind.Tiller, "1/8");
        Found(TallOsk, 25, CheckKind.DrawWeight, "38.2");
        Found(TallOsk, 26, CheckKind.CentreShot, "1/16");
        Found(TallOsk, 27, CheckKind.PlungerTension, choice: "medium");
        Found(TallOsk, 28, CheckKind.NockingPoint, "3/8");
        Found(TallOsk, 29, CheckKind.NockFit, choice: "free");
        Found(TallOsk, 30, CheckKind.Clicker, choice: "right");
        setups.Shoot(TallOsk, "aaaaaaaa-0000-4000-8000-000000000002", 340);
    }

    /// <summary>The barebow's farther marks, shot with the nocking point as the papers left it.</summary>
    public void WalkTheString()
    {
        Crawl(15, 1.625, "1 5/8");
        Crawl(20, 1.25, "1 1/4");
        Crawl(30, .4375, "7/16");
    }

    private void Crawl(double yards, double crawl, string typed, string note = "") =>
        crawls.Put(Tansel, $"abababab-0000-4000-8000-{yards:000000000000}", (yards, $"{yards}"), (crawl, typed), note);

    private void Found(string bowId, int number, CheckKind kind, string typed = "", string? choice = null)
    {
        var value = choice is null ? Entry.Parse(typed, CheckTable.Of(kind).Quantity!.Value).Value : (double?)null;
        setups.Find(
            bowId,
            $"bbbbbbbb-0000-4000-8000-{number:000000000000}",
            new CheckFinding(kind, value, choice, null),
            typed
        );
    }

    private void Skip(string bowId, int number, CheckKind kind, string reason) =>
        setups.Find(
            bowId,
            $"bbbbbbbb-0000-4000-8000-{number:000000000000}",
            new CheckFinding(kind, null, null, reason),
            ""
        );

    private static NewMove Turn(int number, string bowId, AdjusterKind kind, int to) =>
        new($"66666666-0000-4000-8000-{number:000000000000}", bowId, null, new MoveWanted(kind, to));
}
