using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Simulation;

namespace Merganser.Core.Tests.Sessions;

/// <summary>A session that a test goes through by hand: its events, a bow with a few adjusters.</summary>
internal sealed class SessionAtHand(PlannedStage first, params AdjusterKind[] kinds)
{
    public static DateTimeOffset Evening { get; } = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    private readonly List<SessionEvent> events = [];
    private DateTimeOffset now = Evening;

    public List<Adjuster> Adjusters { get; set; } =
    [
        .. kinds.Select(k =>
        {
            var most = k == AdjusterKind.RestSideways ? 20 : 8;
            return AdjusterTable.Fresh(k) with { Lower = -most, Upper = most };
        }),
    ];

    public Arrow? Arrow { get; set; }

    public Unsound? Unsound { get; set; }

    public int SettlingLeft { get; set; }

    public Sight? Sight { get; set; }

    public double Tolerance { get; set; } = Tolerances.Usual;

    public StraightMiss Straight { get; set; }

    public TuningSession Session() =>
        new(
            new SessionBow(
                SimulatedBow.Measured,
                new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                Adjusters,
                Unsound
            )
            {
                SettlingLeft = SettlingLeft,
                Sight = Sight,
            },
            Arrow is null ? [] : [new SessionArrow("v1", "the arrow", Arrow)],
            new SessionPlan(SessionKind.Tune, null, [first], SessionPlan.UntilClear, false, null, Straight: Straight),
            Tolerance,
            Knowledge.None,
            events
        );

    public void Begin(string id, PlannedStage stage) =>
        Happens(new NewAct(id, new SetBegun(stage, $"{stage.Distance}", SetPurpose.Session, "v1")));

    /// <summary>Four of each, the tested ones about a place.</summary>
    public void Groups(double x, double y, int each = 4)
    {
        (double X, double Y)[] stray = [(.5, .4), (-.5, -.4), (.4, -.5), (-.4, .5)];
        var (tested, reference) = Session().Now.Stage.Heads
            ? (ArrowKind.Broadhead, ArrowKind.FieldPoint)
            : (ArrowKind.Bare, ArrowKind.Fletched);
        Shoot(reference, [.. stray.Take(each)]);
        Shoot(tested, [.. stray.Take(each).Select(s => (x + s.Y, y + s.X))]);
    }

    public void Shoot(ArrowKind kind, params (double X, double Y)[] places)
    {
        foreach (var (x, y) in places)
        {
            Mark(new HitMarked(kind, new Hole(x, y)));
        }
    }

    /// <summary>A walk: hits at each distance about a place that the distance tells, a hand's spread apart.</summary>
    public void Walk(Func<double, double> at, int each = 5, double spread = .04, params double[] yards)
    {
        foreach (var from in yards.Length == 0 ? [20, 40, 60] : yards)
        {
            for (var i = 0; i < each; i++)
            {
                var stray = from * spread * ((2.0 * i / (each - 1)) - 1);
                Mark(Hit(from, at(from) + stray));
            }
        }
    }

    public static HitMarked Hit(double yards, double right) =>
        new(ArrowKind.Fletched, new Hole(right, 0), Distance: $"{yards}");

    /// <summary>It is another day from here on.</summary>
    public void Sleep() => now = now.AddDays(1);

    public void Mark(IMarked marked) => Mark($"shot{events.Count}", marked);

    public void Mark(string id, IMarked marked) =>
        Happens([.. SessionActs.Mark(Session(), id, Session().Now.Id, marked, settling: false)]);

    public void Move(AdjusterKind kind, double to) => Move($"move{events.Count}", kind, to);

    public void Move(string id, AdjusterKind kind, double to)
    {
        var acts = SessionActs.Move(Session(), id, [new MoveWanted(kind, to)]);
        Turn(kind, to);
        Happens([.. acts]);
    }

    public void Turn(AdjusterKind kind, double to) =>
        Adjusters = [.. Adjusters.Select(a => a.Kind == kind ? a with { Position = to } : a)];

    public void Happens(params NewAct[] acts)
    {
        foreach (var act in acts)
        {
            events.Add(new SessionEvent(act.Id, events.Count + 1, now, now.AddMinutes(events.Count), act.Act));
        }
    }

    /// <summary>What refuses.</summary>
    public static RefusedException Refused(Action act) => Should.Throw<RefusedException>(act);
}
