using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>
/// The hunter before the cull: two walk-backs that drift right, the sight moved and a third that does not; then four
/// heads and a practice head at 30 yd, two hits of each, low of the field points.
/// </summary>
internal sealed class DemoHeads(PaperStore papers)
{
    private static readonly (double X, double Y)[] Points =
    [
        (-2.1, .8),
        (1.4, -.9),
        (.6, 1.7),
        (-.9, -1.6),
        (2.0, .4),
        (-1.2, .3),
    ];

    private static readonly (string Head, double X, double Y, Flight? Flight)[] Heads =
    [
        ("1", .9, -5.1, Flight.Clean),
        ("2", -.4, -3.2, Flight.Clean),
        ("3", -1.8, -3.7, Flight.Clean),
        ("4", 1.2, -4.6, Flight.Fishtail),
        ("P", -.6, -4.0, null),
        ("1", 1.5, -4.3, Flight.Clean),
        ("2", .3, -2.9, Flight.Clean),
        ("3", -1.1, -5.0, Flight.Clean),
        ("4", .4, -5.9, Flight.Clean),
        ("P", -.2, -5.4, null),
    ];

    /// <summary>How hits of a walk stray, in spreads of the hand, and how far up.</summary>
    private static readonly (double X, double Y)[] Stray =
    [
        (-.9, .6),
        (.4, -1.1),
        (1.1, .2),
        (-.3, .9),
        (-.5, -.7),
        (.8, -.2),
        (-1.2, .4),
    ];

    private static readonly PlannedStage Walk = new(20, false, true, false, WalkPins.Own);
    private static readonly PlannedStage Broadheads = new(30, false, true, true);

    public void Fill()
    {
        var plan = new SessionPlan(SessionKind.Tune, null, [Walk, Broadheads], SessionPlan.UntilClear, false, null);
        var paper = papers.Start(
            new NewPaper(
                "55555555-0000-4000-8000-000000000006",
                Tidewrack,
                Version(7),
                Tolerances.Usual,
                plan,
                Entry.Parse("20", Quantity.Distance)
            )
        );
        WalkBack(paper, 0, .052);
        paper = Next(paper, 1, Walk, "20");
        WalkBack(paper, 1, .044);
        paper = papers.Get(paper.Id);
        var pin = paper.Session.Walk!.SightAnswer(null)!;
        var moved = $"{Acts}{2:000000000000}";
        paper = papers.Append(paper.Id, moved, s => SessionActs.MoveSight(s, moved, pin));
        WalkBack(paper, 2, .004);
        Shoot(Next(paper, 3, Broadheads, "30"));
    }

    private const string Acts = "55555555-2222-4000-8000-";

    private PaperRow Next(PaperRow paper, int number, PlannedStage stage, string distance)
    {
        var id = $"{Acts}{number:000000000000}";
        var typed = Entry.Parse(distance, Quantity.Distance);
        return papers.Append(paper.Id, id, s => SessionActs.Begin(s, id, stage, typed, SetPurpose.Session, Version(7)));
    }

    private void WalkBack(PaperRow paper, int walk, double slope)
    {
        const double Spread = .04;
        var set = paper.Session.Now.Id;
        var number = 0;
        foreach (var yards in (int[])[20, 40, 60])
        {
            for (var i = 0; i < WalkPlan.Advised; i++, number++)
            {
                var (x, y) = Stray[(number + (4 * walk)) % Stray.Length];
                var place = new Hole(
                    Math.Round((slope * yards) + (Spread * yards * x), 2),
                    Math.Round(Spread * yards * y, 2)
                );
                var hit = new HitMarked(ArrowKind.Fletched, place, Distance: $"{yards} yd");
                papers.Mark(set, $"77777777-0000-4000-8000-0000008{walk}{number:0000}", hit);
            }
        }
    }

    private void Shoot(PaperRow paper)
    {
        var set = paper.Session.Now.Id;
        for (var i = 0; i < Heads.Length; i++)
        {
            if (i < Points.Length)
            {
                Mark(new HitMarked(ArrowKind.FieldPoint, new Hole(Points[i].X, Points[i].Y)), 2 * i);
            }

            var (head, x, y, flight) = Heads[i];
            Mark(new HitMarked(ArrowKind.Broadhead, new Hole(x, y), null, head, flight), (2 * i) + 1);
        }

        void Mark(HitMarked hit, int number) => papers.Mark(set, $"77777777-0000-4000-8000-0000007{number:00000}", hit);
    }
}
