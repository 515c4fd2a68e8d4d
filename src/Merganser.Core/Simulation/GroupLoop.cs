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
public sealed record GroupResult(
    SessionEnd End,
    int Moves,
    int Arrows,
    double TrueLength,
    double LengthAfter36,
    double Stated
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
    private readonly int[] setting;
    private readonly bool bothAxes;
    private string set = "";

    private GroupLoop(SimulatedTarget target, double yards, bool bothAxes)
    {
        (this.target, this.bothAxes) = (target, bothAxes);
        stage = new PlannedStage(yards, false, true);
        setting = new int[target.Bow.Levers.Count];
    }

    /// <param name="target">The target.</param>
    /// <param name="yards">The distance.</param>
    /// <param name="bothAxes">A move for each axis in one visit to the press.</param>
    public static GroupResult Run(SimulatedTarget target, double yards = 20, bool bothAxes = false) =>
        new GroupLoop(target, yards, bothAxes).Run();

    private GroupResult Run()
    {
        var (moves, after36, controls) = (0, double.NaN, 0);
        Begin(SetPurpose.Session);
        for (var arrows = 4; arrows <= MostArrows; arrows += 4)
        {
            foreach (var kind in new[] { ArrowKind.Fletched, ArrowKind.Bare, ArrowKind.Fletched, ArrowKind.Bare })
            {
                Hit(kind, target.Shoot(kind, setting));
            }

            after36 = arrows == Look ? target.TrueOffset(setting).Length : after36;
            var advice = Session().Advice;
            if (advice.Kind == AdviceKind.MovesDoNotHelp && controls++ == 0)
            {
                // A control that strikes alike: the session goes on.
                Begin(SetPurpose.ControlArrow);
                Hit(ArrowKind.Fletched, new Impact(0, 0));
                Hit(ArrowKind.Bare, target.TrueOffset(setting));
                Begin(SetPurpose.Session);
                advice = Session().Advice;
            }

            if (ClosedLoop.EndOf(advice.Kind) is { } end)
            {
                return Ended(end, arrows, advice.Chance ?? 0);
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
            var length = target.TrueOffset(setting).Length;
            return new GroupResult(end, moves, arrows, length, double.IsNaN(after36) ? length : after36, stated);
        }
    }

    private TuningSession Session() =>
        new(
            new SessionBow(
                target.Bow.Record,
                new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                target.Bow.Adjusters(setting)
            ),
            [],
            new SessionPlan(SessionKind.Tune, null, [stage], SessionPlan.UntilClear, true, null, bothAxes),
            Tolerances.Usual,
            Knowledge.None,
            events
        );

    private void Make(AdvisedMove move)
    {
        setting[target.Bow.Kinds.ToList().IndexOf(move.Kind)] = move.To;
        Happens(new MoveMade(move.Kind, move.From, move.To));
    }

    private void Begin(SetPurpose purpose) => set = Happens(new SetBegun(stage, "20", purpose, Arrow));

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
