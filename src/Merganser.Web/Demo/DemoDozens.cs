using Merganser.Core.Dozens;
using Merganser.Core.Paper;
using Merganser.Data;
using Merganser.Web.Dozens;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The demo's dozens.</summary>
public sealed class DemoDozens(DozenStore dozens, DozenDesk dozenDesk)
{
    public void Fill()
    {
        BuildRecurveDozen();
        TurnNocks();
        WeighCompoundDozen();
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
}
