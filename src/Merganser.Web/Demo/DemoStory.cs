using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Dozens;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>
/// A season of one compound: set up in spring, three papers, two group days, a string change, a new arrow, and the week
/// before the shoot, in which it tears.
/// </summary>
public sealed class DemoStory(Database database, ComponentStore components, DozenDesk dozenDesk, TimeProvider clock)
{
    private const string ArrowId = "33333333-0000-4000-8000-000000000008";
    private const string ArcherId = "11111111-0000-4000-8000-000000000005";

    private int entries;

    public void Fill()
    {
        var plan = new ReminderStore(database, clock);
        Spring(On(222));
        FirstPaper(On(220));
        On(197).Setups.Shoot(Whimbrel, Id('a'), 48);
        Speeds(On(185), 433.6, 267, 268, 269, 268, 267);
        GroupDay(On(163), 1, 40, 1.9);
        DemoVisit.ComesIn(VisitsOn(127));
        NewString(On(126));
        SecondPaper(On(124));
        DemoVisit.GoesHome(VisitsOn(123), plan.Today.AddDays(2));
        GroupDay(On(107), 2, 40, 2.0);
        On(58).Setups.Shoot(Whimbrel, Id('a'), 54);
        On(44)
            .Notes.Keep(new NewNote(Id('e'), Whimbrel, ArcherId, "Hung by the stove in the club hut overnight.", null));
        NewArrow(On(16));
        Speeds(On(15), 408.6, 275, 276, 276, 277, 275);
        var range = On(9);
        Turn(range, AdjusterKind.RestHeight, -2);
        range.Setups.Shoot(Whimbrel, Id('a'), 48);
        WeekBefore(On(2));
        ThirdPaper(On(1));
        DemoVisit.Plan(plan);
    }

    private VisitStore VisitsOn(int daysAgo) =>
        new(database, new DemoClock(clock.GetUtcNow() - TimeSpan.FromDays(daysAgo)));

    /// <summary>The stores of an evening so many days ago, its clock moving on with each entry.</summary>
    private Evening On(int daysAgo)
    {
        var then = new DemoClock(clock.GetUtcNow() - TimeSpan.FromDays(daysAgo), TimeSpan.FromSeconds(40));
        return new Evening(
            new BowStore(database, then),
            new ArrowStore(database, components, then),
            new SetupStore(database, then),
            new PaperStore(database, then),
            new ChronographStore(database, then),
            new DozenStore(database, then),
            new NoteStore(database, then),
            then
        );
    }

    private string Id(char kind) =>
        string.Create(null, stackalloc char[64], $"{new string(kind, 8)}-0000-4000-9000-{++entries:000000000000}");

    private void Spring(Evening at)
    {
        // Its peg is the last one: it is hung this evening, and its story is told by heart.
        new ArcherStore(database, clock).Add(
            ArcherId,
            new Archer(
                "Edda Norrvik",
                Hand.Right,
                true,
                School.CentreFirst,
                null,
                Practice.Often,
                Experience.Keen,
                true
            )
        );
        var entry = new BowEntry(
            "Whimbrel",
            BowKind.Compound,
            Hand.Right,
            Release.ReleaseAid,
            "58",
            "57.5",
            "28",
            "33",
            "6 3/4",
            "320",
            RestType.DropAwayLate,
            CamSystem.TwinYoke,
            CamDraw.Medium,
            "",
            "",
            "",
            ""
        );
        new BowStore(database, clock).Add(
            Whimbrel,
            new NewOwner(ArcherId, null),
            entry,
            [.. AdjusterTable.Usual(entry.Kind, entry.CamSystem).Select(AdjusterTable.Fresh)]
        );
        Found(at, CheckKind.Inspection, choice: "sound");
        Found(at, CheckKind.DrawWeight, "57.5");
        Found(at, CheckKind.AxleToAxle, "33");
        Found(at, CheckKind.BraceHeight, "6 3/4");
        Found(at, CheckKind.CamLean, "-1/16");
        Found(at, CheckKind.CamTiming, choice: "together");
        Found(at, CheckKind.CentreShot, "13/16");
        Found(at, CheckKind.NockingPoint, "1/16");
        Found(at, CheckKind.NockFit, choice: "free");
        at.Arrows.Add(ArrowId, Whimbrel, Shore("29", "point-pebble-125"));
        at.Arrows.Keep(ArrowId, Version(8));
    }

    private static ArrowDraft Shore(string length, string point) =>
        new(
            "Shore 400",
            "shaft-wrackline-400",
            length,
            "insert-limpet-25",
            point,
            "nock-barnock-5",
            "vane-sandeel-2",
            3,
            "",
            null,
            "0"
        );

    private void FirstPaper(Evening at)
    {
        var paper = Paper(at, 1, Version(8), "3");
        paper = Shoot(at, paper, (-.62, .1), (-.7, .02), (-.58, .08));
        Move(at, paper, AdjusterKind.YokePair, 1);
        paper = Shoot(at, paper, (-.24, .06), (-.16, .0), (-.2, .05));
        Move(at, paper, AdjusterKind.RestSideways, 2);
        paper = Shoot(at, paper, (-.1, .03), (-.02, -.04), (-.08, .05), (-.05, 0), (-.11, .02), (0, .04));
        Accept(at, paper);
    }

    private void NewString(Evening at)
    {
        at.Setups.Change(Whimbrel, Id('b'), BowChange.NewString, "string and cables, 24 strands", null);
        Found(at, CheckKind.AxleToAxle, "33");
        Found(at, CheckKind.BraceHeight, "6 3/4");
        Found(at, CheckKind.CamTiming, choice: "together");
        Found(at, CheckKind.Peep, "0");
        at.Setups.Shoot(Whimbrel, Id('a'), 30);
    }

    private void SecondPaper(Evening at)
    {
        var paper = Paper(at, 2, Version(8), "6");
        paper = Shoot(at, paper, (-.3, .1), (-.22, .04), (-.34, .06));
        Move(at, paper, AdjusterKind.RestSideways, 4);
        paper = Shoot(at, paper, (-.1, .05), (-.14, -.03), (-.06, .02), (-.12, .06), (-.09, 0), (-.13, .03));
        Accept(at, paper);
        at.Setups.MarkGood(Whimbrel, "99999999-0000-4000-8000-000000000008", Version(8), "");
    }

    private void NewArrow(Evening at)
    {
        var row = at.Arrows.Get(ArrowId);
        at.Arrows.ChangeDraft(ArrowId, row.Version, Shore("28 1/4", "point-pebble-100"));
        at.Arrows.Keep(ArrowId, Version(9));
        const string id = "cccccccc-0000-4000-8000-000000000008";
        at.Dozens.Start(id, Whimbrel, Version(9), new DozenPlan("Shore eight", 8, ["Shaft", "Point"], 0, false));
        foreach (var (piece, middle) in new[] { ("Shaft", 251.8), ("Point", 100.1) })
        {
            for (var i = 1; i <= 8; i++)
            {
                var grains = Math.Round(middle + (.8 * Math.Sin((i * 12.9898) + middle)), 1);
                at.Dozens.Add(id, [(Id('d'), new PieceWeighed(piece, i, grains, "scale"))]);
            }
        }

        var dozen = dozenDesk.Of(at.Dozens.Get(id));
        at.Dozens.Add(id, [(Id('d'), DozenMatching.Find(dozen, new MatchOptions(null, false, false, 0, [])))]);
    }

    private void WeekBefore(Evening at)
    {
        Found(at, CheckKind.CamLean, "-3/16");
        Found(at, CheckKind.AxleToAxle, "33 1/16");
    }

    private void ThirdPaper(Evening at)
    {
        var paper = Paper(at, 3, Version(9), "3");
        (double X, double Y)[] tears = [(-1.26, .02), (-1.12, .12), (-1.2, .06)];
        paper = Shoot(at, paper, tears);
        DemoPicture.Keep(new PictureStore(database, at.Clock), Id('8'), paper.Session.Now.Id, tears);
        Move(at, paper, AdjusterKind.YokePair, 2);
        Shoot(at, paper, (-.82, .09), (-.7, -.05), (-.85, .1), (-.78, .02), (-.81, .04));
    }

    private void Speeds(Evening at, double grains, params double[] speeds)
    {
        foreach (var speed in speeds)
        {
            at.Speeds.Shoot(Whimbrel, new SpeedShot(Id('c'), grains, speed, "chronograph", at.Clock.GetUtcNow()), true);
        }
    }

    private void GroupDay(Evening at, int number, int yards, double spread)
    {
        (double X, double Y)[] stray = [(.9, -.7), (-1.1, .3), (.2, 1.2), (-.6, -1.0), (1.0, .6), (-.4, -.4)];
        var stage = new PlannedStage(yards, false, true, Sighting: true);
        var paper = at.Papers.Start(
            new NewPaper(
                $"55555555-0000-4000-8000-00000000082{number}",
                Whimbrel,
                Version(8),
                Tolerances.Usual,
                new SessionPlan(SessionKind.Tune, null, [stage], SessionPlan.UntilClear, false, null),
                Entry.Parse($"{yards}", Quantity.Distance)
            )
        );
        foreach (var (x, y) in stray)
        {
            var place = new Hole(Math.Round(spread * x, 2), Math.Round(spread * y, 2));
            at.Papers.Mark(paper.Session.Now.Id, Id('7'), new HitMarked(ArrowKind.Fletched, place));
        }
    }

    private static PaperRow Paper(Evening at, int number, string version, string distance)
    {
        var first = Entry.Parse(distance, Quantity.Distance);
        var stage = new PlannedStage(first.Value, false);
        var plan = new SessionPlan(SessionKind.Tune, null, [stage], SessionPlan.UntilClear, false, null);
        var id = $"55555555-0000-4000-8000-00000000081{number}";
        return at.Papers.Start(new NewPaper(id, Whimbrel, version, Tolerances.Usual, plan, first));
    }

    private PaperRow Shoot(Evening at, PaperRow paper, params (double X, double Y)[] tears)
    {
        var set = at.Papers.Get(paper.Id).Session.Now.Id;
        for (var i = 0; i < tears.Length; i++)
        {
            var point = new Hole(.3 * i, -.2 * i);
            var tail = new Hole(point.X + tears[i].X, point.Y + tears[i].Y);
            at.Papers.Mark(set, Id('7'), new Marked(point, tail, null, SheetSide.ShootingSide));
        }

        return at.Papers.Get(paper.Id);
    }

    private void Move(Evening at, PaperRow paper, AdjusterKind kind, double to)
    {
        var id = Id('6');
        at.Papers.Append(paper.Id, id, s => SessionActs.Move(s, id, [new MoveWanted(kind, to)]));
    }

    private static void Accept(Evening at, PaperRow paper) =>
        at.Papers.Append(paper.Id, $"{paper.Id}-accepted", s => SessionActs.Accept(s, $"{paper.Id}-accepted"));

    private void Turn(Evening at, AdjusterKind kind, double to) =>
        at.Bows.LogTogether([new NewMove(Id('6'), Whimbrel, null, new MoveWanted(kind, to))]);

    private void Found(Evening at, CheckKind kind, string typed = "", string? choice = null)
    {
        var value = choice is null ? Entry.Parse(typed, CheckTable.Of(kind).Quantity!.Value).Value : (double?)null;
        at.Setups.Find(Whimbrel, Id('b'), new CheckFinding(kind, value, choice, null), typed);
    }

    private sealed record Evening(
        BowStore Bows,
        ArrowStore Arrows,
        SetupStore Setups,
        PaperStore Papers,
        ChronographStore Speeds,
        DozenStore Dozens,
        NoteStore Notes,
        TimeProvider Clock
    );
}
