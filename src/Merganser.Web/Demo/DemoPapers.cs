using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The demo's papers, and its groups.</summary>
public sealed class DemoPapers(PaperStore papers, BowStore bows, Database database, TimeProvider clock)
{
    private static readonly TimeSpan Each = TimeSpan.FromSeconds(20);

    public void Fill()
    {
        new DemoSeason(Earlier).Fill();
        ShootCompound();
        ShootRecurve();
        ShootFinished();
        ShootStubborn();
        ShootGroups();
        new DemoHeads(papers).Fill();
    }

    private PaperStore Earlier(TimeSpan ago) => new(database, new DemoClock(clock.GetUtcNow() - ago, Each));

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

    /// <summary>
    /// The barebow's session, shot to the end: each move is the one that was advised, and the tear answers by gains of
    /// its own.
    /// </summary>
    private void ShootFinished()
    {
        var today = papers;
        papers = Earlier(TimeSpan.FromDays(2));
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
                (stage == 1 ? .95 : .78)
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

        papers = today;

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

    /// <summary>
    /// The barebow's bare shafts at 15 yd come toward the fletched ones over two days: two of each, the advised move,
    /// two of each again.
    /// </summary>
    private void ShootGroups()
    {
        const int EndsOfTheFirstDay = 2;
        var today = papers;
        papers = Earlier(TimeSpan.FromDays(1));
        (double X, double Y)[] stray = [(.5, .4), (-.6, .2), (.3, -.7), (-.2, .5), (.6, -.3), (-.4, -.5), (.1, .7)];
        var plan = new SessionPlan(
            SessionKind.Tune,
            null,
            [new PlannedStage(15, false, true)],
            SessionPlan.UntilClear,
            false,
            null
        );
        var paper = Paper(5, Tansel, 5, "15", plan);
        var began = Standing();
        var (end, move) = (0, 0);
        for (var open = true; open && end < 8; end++)
        {
            papers = end < EndsOfTheFirstDay ? papers : today;
            var now = Standing();
            double Moved(AdjusterKind kind) => now[kind] - began[kind];
            var right = -2.6 - (.42 * Moved(AdjusterKind.PlungerTension)) - (.09 * Moved(AdjusterKind.PointWeight));
            var up = -2.2 - (.6 * Moved(AdjusterKind.NockingPoint));
            for (var i = 0; i < 4; i++)
            {
                var (x, y) = stray[((4 * end) + i) % stray.Length];
                var (kind, bare) = i < 2 ? (ArrowKind.Fletched, 0) : (ArrowKind.Bare, 1);
                var place = new Hole(Math.Round(x + (bare * right), 2), Math.Round(y + (bare * up), 2));
                var hit = new HitMarked(kind, place);
                papers.Mark(paper.Session.Now.Id, $"77777777-0000-4000-8000-00000005{end:00}{i + 1:00}", hit);
            }

            paper = papers.Get(paper.Id);
            open = move < 3;
            if (open && paper.Session.Advice.Move is { } advised)
            {
                paper = Move(paper.Id, 300 + move++, advised.Kind, advised.To);
            }
        }

        Dictionary<AdjusterKind, double> Standing() =>
            bows.Get(Tansel).Adjusters.ToDictionary(a => a.Kind, a => a.Position);
    }

    private void Answer(string paperId, int number, RungKind rung, string note)
    {
        var id = $"eeeeeeee-0000-4000-8000-{number:000000000000}";
        papers.Append(paperId, id, _ => [new NewAct(id, new RungAnswered(rung, "nothing", note))]);
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

    private PaperRow Move(string paperId, int number, AdjusterKind kind, double to)
    {
        var id = $"66666666-0000-4000-8000-{number:000000000000}";
        return papers.Append(paperId, id, s => SessionActs.Move(s, id, [new MoveWanted(kind, to)]));
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
