using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Dozens;

namespace Merganser.Web.Demo;

/// <summary>A clock that stands still, so that demo pictures do not change by themselves.</summary>
public sealed class DemoClock(DateTimeOffset now) : TimeProvider
{
    public override DateTimeOffset GetUtcNow() => now;
}

/// <summary>The demo's bench: an invented island club in the week before its autumn field shoot.</summary>
public sealed class DemoBench(
    ArcherStore archers,
    BowStore bows,
    ArrowStore arrows,
    PaperStore papers,
    SetupStore setups,
    DozenStore dozens,
    DozenDesk dozenDesk
)
{
    private const string Brindle = "22222222-0000-4000-8000-000000000001";
    private const string TallOsk = "22222222-0000-4000-8000-000000000002";
    private const string Tansel = "22222222-0000-4000-8000-000000000003";
    private const string Hearthwood = "22222222-0000-4000-8000-000000000004";

    public void FillIfEmpty()
    {
        if (bows.All().Count > 0)
        {
            return;
        }

        HangBows();
        BuildArrows();
        SetUpCompound();
        ShootCompound();
        SetUpRecurve();
        ShootRecurve();
        ShootFinished();
        ShootStubborn();
        BuildRecurveDozen();
        TurnNocks();
        WeighCompoundDozen();
    }

    /// <summary>
    /// The barebow's session, shot to the end: each move is the one that was advised, and the tear answers by gains of
    /// its own.
    /// </summary>
    private void ShootFinished()
    {
        (double X, double Y)[] stray =
        [
            (.08, -.05),
            (-.10, .07),
            (.04, .11),
            (-.06, -.09),
            (.12, .03),
            (-.03, .06),
            (.07, -.10),
            (-.09, -.02),
            (.02, .08),
            (.05, .01),
        ];
        var plan = new SessionPlan(
            SessionKind.Tune,
            null,
            SessionPlan.Usual[1].Stages,
            SessionPlan.UntilClear,
            false,
            null
        );
        var paper = Paper(3, Tansel, 5, "3", plan);
        var (shot, move, stage) = (0, 0, 1);
        while (paper.Session.AcceptedAt is null && shot < 60)
        {
            var at = bows.Get(Tansel).Adjusters.ToDictionary(a => a.Kind, a => a.Position);
            var (x, y) = stray[shot++ % stray.Length];
            var right =
                (stage == 1 ? .95 : .58)
                + (.24 * at[AdjusterKind.PlungerTension])
                + (.05 * at[AdjusterKind.PointWeight])
                + x;
            Shoot(paper, 60 + shot, [(right, 1.15 + (.36 * at[AdjusterKind.NockingPoint]) + y)]);
            paper = papers.Get(paper.Id);
            var session = paper.Session;
            paper = session.Next.Action switch
            {
                "nextStage" => NextStage($"55555555-1111-4000-8000-{stage++:000000000000}"),
                "accept" => papers.Append(
                    paper.Id,
                    $"{paper.Id}-accepted",
                    s => SessionActs.Accept(s, $"{paper.Id}-accepted")
                ),
                _ when session.Advice.Move is { } advised => Move(paper.Id, 100 + move++, advised.Kind, advised.To),
                _ => paper,
            };
        }

        PaperRow NextStage(string id)
        {
            var six = Entry.Parse("6", Quantity.Distance);
            return papers.Append(
                paper.Id,
                id,
                s => SessionActs.Begin(s, id, s.NextStage!, six, SetPurpose.Session, Version(5))
            );
        }
    }

    /// <summary>The longbow's session: a high tail that no nocking point answers.</summary>
    private void ShootStubborn()
    {
        var paper = Paper(4, Hearthwood, 6, "5", fletched: true);
        (int Set, int To)[] moves = [(41, -3), (42, -5), (43, -6)];
        foreach (var (set, to) in moves)
        {
            Shoot(paper, set, [(.05, .86 + (.01 * set % .05)), (-.04, .94), (.06, .80)]);
            paper = Move(paper.Id, 200 + set, AdjusterKind.NockingPoint, to);
        }

        Shoot(paper, 44, [(.02, .83), (.07, .90), (-.03, .88)]);
        Answer(paper.Id, 1, RungKind.Spine, "the next two shafts tear the same");
        Answer(paper.Id, 2, RungKind.Face, "ten at the bale, no change");
    }

    private void Answer(string paperId, int number, RungKind rung, string note)
    {
        var id = $"eeeeeeee-0000-4000-8000-{number:000000000000}";
        papers.Append(paperId, id, _ => [new NewAct(id, new RungAnswered(rung, "nothing", note))]);
    }

    /// <summary>The recurve's eight through paper: bare and turned, then the first of them with vanes.</summary>
    private void TurnNocks()
    {
        const string id = "cccccccc-0000-4000-8000-000000000001";
        (int Arrow, int Turn, double X, double Y)[] bare =
        [
            (1, 0, .12, .05),
            (2, 0, .45, -.1),
            (2, 1, .16, .02),
            (3, 0, -.1, .1),
            (4, 0, .2, .08),
            (5, 0, .6, .2),
            (5, 1, .5, .1),
            (5, 2, .21, .03),
            (6, 0, .05, -.04),
            (7, 0, .18, .1),
            (8, 0, -.02, .13),
        ];
        (int Arrow, int Turn, double X, double Y)[] vanes =
        [
            (1, 0, .1, .02),
            (2, 0, .14, -.03),
            (3, 0, -.12, .06),
            (4, 0, .5, .2),
            (4, 1, .42, -.3),
            (4, 2, .38, .33),
            (5, 0, .44, 0),
        ];
        var number = 400;
        foreach (var (arrow, turn, x, y) in bare)
        {
            Enter(id, number++, new NockShotMarked(arrow, new NockShot(turn, new Tear(x, y), false)));
        }

        foreach (var (arrow, turn, x, y) in vanes)
        {
            Enter(id, number++, new NockShotMarked(arrow, new NockShot(turn, new Tear(x, y), true)));
        }
    }

    /// <summary>A finished set of eight for the recurve: weighed, matched, built, verified.</summary>
    private void BuildRecurveDozen()
    {
        const string id = "cccccccc-0000-4000-8000-000000000001";
        dozens.Start(id, TallOsk, Version(4), new DozenPlan("Osk eight", 8, ["Shaft", "Point", "Nock"], 0, false));
        Enter(id, 1, new ScaleChecked(new ScaleCheck(100, 100.1), "typed"));
        Weigh(id, 10, "Shaft", 183.2, 8, .7);
        Weigh(id, 30, "Point", 100.1, 8, .6);
        Weigh(id, 50, "Nock", 12.1, 8, .3);
        for (var shaft = 1; shaft <= 8; shaft++)
        {
            Enter(id, 70 + shaft, new RunOutGraded(shaft, shaft % 3 == 0 ? SpinGrade.Fair : SpinGrade.Good));
        }

        Enter(id, 100, DozenMatching.Find(dozenDesk.Of(dozens.Get(id)), new MatchOptions(null, false, false, 0, [])));
        var number = 200;
        for (var arrow = 1; arrow <= 8; arrow++)
        {
            foreach (var step in Assembly.Steps)
            {
                Enter(id, number++, new StepDone(arrow, step.Code));
            }

            Enter(id, number++, new ArrowWeighed(arrow, 304.4 + Math.Round(.4 * Math.Sin(arrow * 2.1), 1)));
        }
    }

    /// <summary>The compound's dozen, half weighed.</summary>
    private void WeighCompoundDozen()
    {
        const string id = "cccccccc-0000-4000-8000-000000000002";
        dozens.Start(
            id,
            Brindle,
            Version(1),
            new DozenPlan("Island dozen", 12, ["Shaft", "Insert", "Point", "Nock", "Vanes"], 1, true)
        );
        Enter(id, 1001, new ScaleChecked(new ScaleCheck(100, 100), "scale"));
        Weigh(id, 1010, "Shaft", 252.3, 13, 1.6);
        Weigh(id, 1040, "Insert", 25.1, 13, .3);
        Weigh(id, 1060, "Point", 100.2, 7, .9);
    }

    private void Weigh(string dozen, int from, string kind, double middle, int count, double sway)
    {
        for (var i = 1; i <= count; i++)
        {
            Enter(
                dozen,
                from + i,
                new PieceWeighed(kind, i, Math.Round(middle + (sway * Math.Sin((i * 12.9898) + middle)), 1), "scale")
            );
        }
    }

    private void Enter(string dozen, int number, DozenAct act) =>
        dozens.Add(dozen, [($"dddddddd-0000-4000-8000-{number:000000000000}", act)]);

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
        Found(TallOsk, 26, CheckKind.CentreShot, "0.80");
        Found(TallOsk, 27, CheckKind.PlungerTension, choice: "medium");
        Found(TallOsk, 28, CheckKind.NockingPoint, "3/8");
        Found(TallOsk, 29, CheckKind.NockFit, choice: "free");
        Found(TallOsk, 30, CheckKind.Clicker, choice: "right");
        setups.Shoot(TallOsk, "aaaaaaaa-0000-4000-8000-000000000002", 340);
    }

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

    private void HangBows()
    {
        var field = Archer(
            1,
            new Archer(
                "Maren Holmsund",
                Hand.Right,
                true,
                School.CentreFirst,
                null,
                Practice.Often,
                Experience.Keen,
                true,
                true,
                true
            )
        );
        var target = Archer(
            2,
            new Archer(
                "Tove Askerlund",
                Hand.Right,
                false,
                School.Ladder,
                null,
                Practice.Weekly,
                Experience.Technician,
                false,
                true
            )
        );
        var beginner = Archer(
            3,
            new Archer("Ilo Vantrey", Hand.Left, false, School.RestOnly, null, Practice.Rarely, Experience.Beginner)
        );
        var hunter = Archer(4, new Archer("Bram Oskerby", Hand.Right, false, School.WalkBack));
        Hang(
            Brindle,
            field,
            new BowEntry(
                "Brindle",
                BowKind.Compound,
                Hand.Right,
                Release.ReleaseAid,
                "65",
                "65.5",
                "29",
                "33 1/16",
                "6 1/2",
                "330",
                RestType.DropAwayLate,
                CamSystem.TwinYoke,
                CamDraw.Medium,
                "",
                "",
                "",
                "",
                "70",
                "33",
                "6 1/2",
                ""
            )
        );
        Hang(
            TallOsk,
            target,
            Fingers("Tall Osk", BowKind.Recurve, Hand.Right, "38", "38.2", "28 1/2", "68", "8 3/4", RestType.Plunger)
        );
        Hang(
            Tansel,
            beginner,
            Fingers("Tansel", BowKind.Barebow, Hand.Left, "30", "", "27", "66", "8 1/4", RestType.Plunger)
        );
        Hang(
            Hearthwood,
            hunter,
            Fingers("Hearthwood", BowKind.Longbow, Hand.Right, "45", "47.5", "28", "67", "7", RestType.Shelf)
        );
    }

    private void BuildArrows()
    {
        Arrow(
            1,
            Brindle,
            "Island 340",
            "shaft-wrackline-340",
            "28 1/2",
            "insert-limpet-25",
            "point-pebble-100",
            "nock-barnock-5",
            "vane-sandeel-2",
            3,
            "wrap-plain-4"
        );
        Arrow(
            2,
            Brindle,
            "Spindrift light",
            "shaft-spindrift-350",
            "28 1/2",
            "insert-limpet-12",
            "point-pebble-75",
            "nock-barnock-small",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            3,
            Brindle,
            "Ballast heavy",
            "shaft-ballast-250",
            "29",
            "insert-limpet-100",
            "point-pebble-125",
            "nock-barnock-5",
            "vane-sandeel-3",
            4,
            null
        );
        Arrow(
            4,
            TallOsk,
            "Osk 500",
            "shaft-marram-500",
            "28 1/4",
            null,
            "point-quill-100",
            "nock-barnock-pin",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            5,
            Tansel,
            "First 700",
            "shaft-marram-700",
            "27 1/2",
            null,
            "point-quill-80",
            "nock-barnock-pin",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            6,
            Hearthwood,
            "Goat cull",
            "shaft-wrackline-400",
            "28 1/2",
            "insert-limpet-50",
            "point-shear-200",
            "nock-barnock-5",
            "vane-feather-4",
            3,
            null
        );
    }

    private static BowEntry Fingers(
        string name,
        BowKind kind,
        Hand hand,
        string marked,
        string measured,
        string draw,
        string length,
        string brace,
        RestType rest
    ) =>
        new(
            name,
            kind,
            hand,
            Release.Fingers,
            marked,
            measured,
            draw,
            length,
            brace,
            "",
            rest,
            CamSystem.None,
            CamDraw.Medium,
            "",
            "",
            "",
            ""
        );

    private string Archer(int number, Archer archer) =>
        archers.Add($"11111111-0000-4000-8000-{number:000000000000}", archer).Id;

    private void Hang(string id, string archerId, BowEntry entry) =>
        bows.Add(
            id,
            new NewOwner(archerId, null),
            entry,
            [.. AdjusterTable.Usual(entry.Kind, entry.CamSystem).Select(AdjusterTable.Fresh)]
        );

    private void Arrow(
        int number,
        string bowId,
        string name,
        string shaft,
        string length,
        string? insert,
        string point,
        string nock,
        string? vane,
        int count,
        string? wrap
    )
    {
        var id = $"33333333-0000-4000-8000-{number:000000000000}";
        arrows.Add(id, bowId, new ArrowDraft(name, shaft, length, insert, point, nock, vane, count, "", wrap, "0"));
        arrows.Keep(id, Version(number));
    }

    private static string Version(int number) => $"44444444-0000-4000-8000-{number:000000000000}";

    private void ShootCompound()
    {
        var paper = Paper(1, Brindle, 1, "3");
        Shoot(paper, 1, [(-1.31, .02), (-1.10, .18), (-1.25, .07)]);
        paper = Move(paper.Id, 1, AdjusterKind.YokePair, 1);
        Shoot(paper, 2, [(-.94, .09), (-.66, -.07), (-.83, .12), (.35, .9), (-.70, .02), (-.87, .08)]);
        papers.Judge(
            "77777777-0000-4000-8000-000000000204",
            "88888888-0000-4000-8000-000000000001",
            "the rest did not drop",
            false
        );
    }

    private void ShootRecurve()
    {
        var paper = Paper(2, TallOsk, 4, "6");
        Shoot(paper, 3, [(.42, .71), (.58, .60), (.49, .66)]);
        paper = Move(paper.Id, 2, AdjusterKind.NockingPoint, -3);
        Shoot(paper, 4, [(.55, .04), (.47, -.06), (.61, .02), (.44, .09)]);
    }

    private PaperRow Paper(
        int number,
        string bowId,
        int arrow,
        string distance,
        SessionPlan? plan = null,
        bool fletched = false
    )
    {
        var first = Entry.Parse(distance, Quantity.Distance);
        plan ??= new SessionPlan(
            SessionKind.Tune,
            null,
            [new PlannedStage(first.Value, fletched)],
            SessionPlan.UntilClear,
            false,
            null
        );
        return papers.Start(
            new NewPaper(
                $"55555555-0000-4000-8000-{number:000000000000}",
                bowId,
                Version(arrow),
                Tolerances.Usual,
                plan,
                first
            )
        );
    }

    private PaperRow Move(string paperId, int number, AdjusterKind kind, int to)
    {
        var id = $"66666666-0000-4000-8000-{number:000000000000}";
        return papers.Append(paperId, id, s => SessionActs.Move(s, id, new MoveWanted(kind, to)));
    }

    private void Shoot(PaperRow paper, int set, (double X, double Y)[] tears)
    {
        for (var i = 0; i < tears.Length; i++)
        {
            var point = new Hole(.3 * i, -.2 * i);
            var tail = new Hole(point.X + tears[i].X, point.Y + tears[i].Y);
            var marked = new Marked(point, tail, null, SheetSide.ShootingSide);
            papers.Mark(paper.Session.Now.Id, $"77777777-0000-4000-8000-0000000{set:000}{i + 1:00}", marked);
        }
    }
}
