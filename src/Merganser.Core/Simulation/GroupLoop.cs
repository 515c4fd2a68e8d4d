using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Simulation;

/// <summary>How simulated groups went.</summary>
/// <param name="End">How it ended.</param>
/// <param name="Moves">Moves made.</param>
/// <param name="Arrows">Arrows shot, both kinds.</param>
/// <param name="TrueLength">Length of the true offset at the end, inches.</param>
/// <param name="LengthAfter36">The same after 36 arrows, or at the end if that came sooner.</param>
/// <param name="Stated">The chance of being inside that was stated at the end.</param>
/// <param name="SightMoves">How often the sight was moved for heads.</param>
/// <param name="SightWrong">How many of these while the true offset was the bow's to answer.</param>
public sealed record GroupResult(
    SessionEnd End,
    int Moves,
    int Arrows,
    double TrueLength,
    double LengthAfter36,
    double Stated,
    int SightMoves = 0,
    int SightWrong = 0
);

/// <summary>How simulated groups are shot.</summary>
/// <param name="BothAxes">A move for each axis in one visit to the press.</param>
/// <param name="TaughtByPaper">True where a paper was shot before.</param>
/// <param name="Straight">What answers heads that land straight up, down or sideways.</param>
/// <param name="EveryAdjuster">True where no school leaves an adjuster for later.</param>
/// <param name="Oracle">True for somebody who knows every gain on its own axis to a percent, and its way; every
/// adjuster stands open.</param>
public sealed record GroupWays(
    bool BothAxes = false,
    bool TaughtByPaper = false,
    StraightMiss Straight = StraightMiss.TuneTheBow,
    bool EveryAdjuster = false,
    bool Oracle = false
);

/// <summary>
/// Drives a <see cref="TuningSession"/> at a simulated target until it says done, ends of two and two: every hit and
/// move is an event of it, and what is advised goes through school, press, limits and the rule of pairs, as a user
/// meets it.
/// </summary>
public sealed class GroupLoop
{
    private const int MostArrows = 300;
    private const int Look = 36;
    private const string Arrow = "simulated";

    private readonly SimulatedTarget target;
    private readonly PlannedStage stage;
    private readonly List<SessionEvent> events = [];
    private readonly double[] setting;
    private readonly GroupWays ways;
    private string set = "";
    private Impact ownMark;

    private GroupLoop(SimulatedTarget target, GroupWays ways)
    {
        (this.target, this.ways, stage) = (target, ways, target.World.Stage);
        setting = new double[target.Bow.Levers.Count];
    }

    /// <param name="target">The target.</param>
    /// <param name="ways">How they are shot.</param>
    public static GroupResult Run(SimulatedTarget target, GroupWays? ways = null) =>
        new GroupLoop(target, ways ?? new GroupWays()).Run();

    private Impact TrueOffset => target.TrueOffset(setting) + ownMark;

    private GroupResult Run()
    {
        var (moves, after36, controls, sights, wrong) = (0, double.NaN, 0, 0, 0);
        var (tested, reference) = target.World.Kinds;
        Begin(SetPurpose.Session);
        for (var arrows = 4; arrows <= MostArrows; arrows += 4)
        {
            foreach (var kind in new[] { reference, tested, reference, tested })
            {
                Hit(kind, target.Shoot(kind, setting) + (kind == tested ? ownMark : default));
            }

            after36 = arrows == Look ? TrueOffset.Length : after36;
            var advice = Session().Advice;
            if (advice.Kind == AdviceKind.MovesDoNotHelp && controls++ == 0)
            {
                // A control that strikes alike: the session goes on.
                Begin(SetPurpose.ControlArrow);
                Hit(reference, new Impact(0, 0));
                Hit(tested, TrueOffset);
                Begin(SetPurpose.Session);
                advice = Session().Advice;
            }

            if (ClosedLoop.EndOf(advice.Kind) is { } end)
            {
                return Ended(end, arrows, advice.Chance ?? 0);
            }

            if (advice.Kind == AdviceKind.MoveTheSight)
            {
                sights++;
                wrong += AnswerTo(TrueOffset) == HeadAnswer.Tune ? 1 : 0;
                var pin = Session().Now.Groups!.SightAnswer(null)!;
                ownMark += Sight.Usual.Moved(pin, stage.Distance);
                Happens(new HeadMarkMoved(pin, Sight.Usual));
                Begin(SetPurpose.Session);
            }

            if (advice.Move is { } move)
            {
                Make(move);
                if (advice.Also is { } also)
                {
                    Make(also);
                }

                moves++;
                Begin(SetPurpose.Session);
            }
        }

        return Ended(SessionEnd.OutOfShots, MostArrows, 0);

        GroupResult Ended(SessionEnd end, int arrows, double stated)
        {
            var length = TrueOffset.Length;
            var then = double.IsNaN(after36) ? length : after36;
            return new GroupResult(end, moves, arrows, length, then, stated, sights, wrong);
        }
    }

    private HeadAnswer AnswerTo(Impact offset) => HeadMap.AnswerTo(offset, target.World.Tolerance, ways.Straight);

    private TuningSession Session() =>
        new(
            new SessionBow(
                target.Bow.Record,
                new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                target.Bow.Adjusters(setting)
            ),
            [],
            new SessionPlan(
                SessionKind.Tune,
                null,
                [stage],
                SessionPlan.UntilClear,
                true,
                null,
                ways.BothAxes,
                ways.Straight
            ),
            Tolerances.Usual,
            ways.TaughtByPaper ? target.PaperTaught(Arrow) : Knowledge.None,
            events,
            ways.Oracle ? new EngineChoice(Known(), null, Everything: true)
                : ways.EveryAdjuster ? new EngineChoice(null, null, Everything: true)
                : null
        );

    private ResponsePrior Known()
    {
        var scale = target.World.Scale;
        var prior = scale.Prior(ResponsePrior.Of(target.Bow.Adjusters(setting)));
        return prior.Knowing(i =>
        {
            var (x, y) = target.TrueGain(target.Bow.Kinds.ToList().IndexOf(prior.Gains[i].Kind));
            return (prior.Gains[i].Axis == TearAxis.Sideways ? x : y) / scale.Scale;
        });
    }

    private void Make(AdvisedMove move)
    {
        setting[target.Bow.Kinds.ToList().IndexOf(move.Kind)] = move.To;
        Happens(new MoveMade(move.Kind, move.From, move.To));
    }

    private void Begin(SetPurpose purpose) => set = Happens(new SetBegun(stage, $"{stage.Distance}", purpose, Arrow));

    private void Hit(ArrowKind kind, Impact at)
    {
        var place = new Hole(at.X, at.Y);
        Happens(new ShotMarked(set, place, place, SheetSide.ShootingSide, Arrow: kind));
    }

    private string Happens(SessionAct act)
    {
        var id = $"{events.Count + 1}";
        events.Add(new SessionEvent(id, events.Count + 1, DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch, act));
        return id;
    }
}
