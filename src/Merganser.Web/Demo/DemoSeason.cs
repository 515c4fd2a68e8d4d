using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The hunter's season: six arrows at the pin now and then since spring, the hand steadier.</summary>
internal sealed class DemoSeason(Func<TimeSpan, PaperStore> earlier)
{
    /// <summary>Days before the evening of the demo, from where, and how widely that day.</summary>
    private static readonly (int Ago, int Yards, double Spread)[] Days =
    [
        (191, 20, 1.75),
        (127, 30, 1.45),
        (61, 30, 1.15),
        (33, 20, .95),
        (12, 20, 1.0),
    ];

    /// <summary>How six hits stray, in spreads of a day's hand.</summary>
    private static readonly (double X, double Y)[] Stray =
    [
        (.9, -.7),
        (-1.1, .3),
        (.2, 1.3),
        (-.6, -1.0),
        (1.0, .6),
        (-.4, -.4),
        (.5, -1.2),
        (-.8, .9),
    ];

    public void Fill()
    {
        for (var day = 0; day < Days.Length; day++)
        {
            var (ago, yards, spread) = Days[day];
            var papers = earlier(TimeSpan.FromDays(ago));
            var stage = new PlannedStage(yards, false, true, Sighting: true);
            var paper = papers.Start(
                new NewPaper(
                    $"55555555-0000-4000-8000-0000000001{day:00}",
                    Tidewrack,
                    Version(7),
                    Tolerances.Usual,
                    new SessionPlan(SessionKind.Tune, null, [stage], SessionPlan.UntilClear, false, null),
                    Entry.Parse($"{yards}", Quantity.Distance)
                )
            );
            for (var arrow = 0; arrow < ArrowGroup.UsualArrows; arrow++)
            {
                var (x, y) = Stray[((5 * day) + arrow) % Stray.Length];
                var wide = spread * yards / 20;
                var place = new Hole(Math.Round(wide * x, 2), Math.Round(wide * y, 2));
                var id = $"77777777-0000-4000-8000-0000009{day:00}{arrow:000}";
                papers.Mark(paper.Session.Now.Id, id, new HitMarked(ArrowKind.Fletched, place));
            }
        }
    }
}
