using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Demo;

/// <summary>A clock that stands still, so that demo pictures do not change by themselves.</summary>
public sealed class DemoClock(DateTimeOffset now) : TimeProvider
{
    public override DateTimeOffset GetUtcNow() => now;
}

/// <summary>The demo's bench: an invented island club in the week before its autumn field shoot.</summary>
public sealed class DemoBench(ArcherStore archers, BowStore bows, ArrowStore arrows, PaperStore papers)
{
    private const string Ada = "11111111-0000-4000-8000-000000000001";
    private const string Brindle = "22222222-0000-4000-8000-000000000001";

    public void FillIfEmpty()
    {
        if (bows.All().Count > 0)
        {
            return;
        }

        archers.Add(Ada, new Archer("Maren Holmsund", Hand.Right, true, School.CentreFirst));
        bows.Add(Brindle, Ada, new BowEntry("Brindle", BowKind.Compound, Hand.Right, Release.ReleaseAid, "65", "65.5", "29", "33 1/16", "6 1/2", "330",
            RestType.DropAwayLate, CamSystem.TwinYoke, CamDraw.Medium, "", "", "", ""), [.. AdjusterTable.Usual(BowKind.Compound, CamSystem.TwinYoke).Select(AdjusterTable.Fresh)]);
        var island = Arrow(1, Brindle, "Island 340", "shaft-wrackline-340", "28 1/2", "insert-limpet-25", "point-pebble-100", "nock-barnock-5", "vane-sandeel-2", 3, "wrap-plain-4");
        Arrow(2, Brindle, "Goat cull", "shaft-ballast-300", "28 3/4", "insert-limpet-50", "point-shear-125", "nock-barnock-5", "vane-sandeel-3", 3, null);
        Paper(Brindle, island.Kept!.Id);
    }

    private ArrowRow Arrow(int number, string bowId, string name, string shaft, string length, string? insert, string point, string nock, string? vane, int count, string? wrap)
    {
        var id = $"33333333-0000-4000-8000-{number:000000000000}";
        arrows.Add(id, bowId, new ArrowDraft(name, shaft, length, insert, point, nock, vane, count, "", wrap, "0"));
        return arrows.Keep(id, $"44444444-0000-4000-8000-{number:000000000000}");
    }

    private void Paper(string bowId, string versionId)
    {
        var paper = papers.Start("55555555-0000-4000-8000-000000000001", bowId, versionId, Tolerances.Usual, Entry.Parse("3", Quantity.Distance), false);
        Shoot(paper.Sets[^1].Id, 1, [(-1.31, .02), (-1.10, .18), (-1.25, .07)]);
        paper = papers.Move(paper.Id, new NewMove("66666666-0000-4000-8000-000000000001", bowId, paper.Id, AdjusterKind.YokePair, 1, null, "", null));
        Shoot(paper.Sets[^1].Id, 2, [(-.94, .09), (-.66, -.07), (-.83, .12), (.35, .9), (-.70, .02), (-.87, .08)]);
        papers.Mark("77777777-0000-4000-8000-000000000204", "88888888-0000-4000-8000-000000000001", "the rest did not drop");
    }

    private void Shoot(string setId, int set, (double X, double Y)[] tears)
    {
        for (var i = 0; i < tears.Length; i++)
        {
            var point = new Hole(.3 * i, -.2 * i);
            papers.AddShot(setId, $"77777777-0000-4000-8000-0000000{set:000}{i + 1:00}", point, new Hole(point.X + tears[i].X, point.Y + tears[i].Y), SheetSide.ShootingSide);
        }
    }
}
