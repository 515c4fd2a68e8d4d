using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>
/// The hunter's broadheads before the cull: four heads and a practice head at 30 yd, two hits of each, low of the field
/// points.
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

    public void Fill()
    {
        var stage = new PlannedStage(30, false, true, true);
        var plan = new SessionPlan(SessionKind.Tune, null, [stage], SessionPlan.UntilClear, false, null);
        var first = Entry.Parse("30", Quantity.Distance);
        var paper = papers.Start(
            new NewPaper("55555555-0000-4000-8000-000000000006", Tidewrack, Version(7), Tolerances.Usual, plan, first)
        );
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
