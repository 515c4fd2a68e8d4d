using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Simulation;

/// <summary>How a simulated session ended.</summary>
public enum SessionEnd
{
    Done,
    NotReachable,
    OutOfShots,
}

/// <summary>How a simulated session went.</summary>
/// <param name="End">How it ended.</param>
/// <param name="Moves">Moves made.</param>
/// <param name="Shots">Shots taken.</param>
/// <param name="TrueLength">Length of the true mean tear at the end, inches.</param>
/// <param name="LengthAfter18">The same after 18 arrows, or at the end if that came sooner.</param>
/// <param name="Stated">The chance of being inside that was stated at the end.</param>
public sealed record SessionResult(
    SessionEnd End,
    int Moves,
    int Shots,
    double TrueLength,
    double LengthAfter18,
    double Stated
);

/// <summary>
/// Drives a <see cref="TuningSession"/> on a simulated bow until it says done: every shot and move is an event of it.
/// </summary>
public sealed class ClosedLoop
{
    private const int MostShots = 300;
    private const int Look = 18;
    private const string Arrow = "simulated";
    private static readonly PlannedStage Stage = new(3, false);
    private static readonly SetBegun Begun = new(Stage, "3", SetPurpose.Session, Arrow);

    private readonly SimulatedBow bow;
    private readonly EngineChoice engine;
    private readonly double tolerance;
    private readonly List<SessionEvent> events = [];
    private readonly int[] setting;
    private string set = "";

    private ClosedLoop(SimulatedBow bow, ResponsePrior prior, RuleFigures figures)
    {
        (this.bow, engine, tolerance) = (bow, new EngineChoice(prior, figures, true), figures.Tolerance);
        setting = new int[bow.Levers.Count];
    }

    /// <param name="bow">The bow.</param>
    /// <param name="prior">What the engine believes of it beforehand.</param>
    /// <param name="figures">The figures of its rule.</param>
    /// <param name="stating">Told the stated chance and the setting after every shot.</param>
    public static SessionResult Run(
        SimulatedBow bow,
        ResponsePrior prior,
        RuleFigures figures,
        Action<double, int[]>? stating = null
    ) => new ClosedLoop(bow, prior, figures).Run(stating);

    /// <summary>
    /// The engine's prior for a simulated bow; the scale is for priors that are too big or too small.
    /// </summary>
    public static ResponsePrior PriorOf(SimulatedBow bow, double scale = 1)
    {
        var prior = ResponsePrior.Of(bow.Kinds.Select(AdjusterTable.Fresh));
        return scale == 1
            ? prior
            : prior with
            {
                Gains = [.. prior.Gains.Select(g => g with { Nominal = g.Nominal * scale })],
            };
    }

    private SessionResult Run(Action<double, int[]>? stating)
    {
        var (moves, after18, stated) = (0, double.NaN, 0.0);
        set = Happens(Begun);
        for (var shots = 1; shots <= MostShots; shots++)
        {
            var tear = bow.Shoot(setting);
            Happens(new ShotMarked(set, new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide));
            var advice = Session().Advice;
            stated = advice.Chance ?? 0;
            stating?.Invoke(stated, setting);
            if (advice.Kind is AdviceKind.GoodEnough or AdviceKind.NotReachable)
            {
                return End(advice.Kind == AdviceKind.GoodEnough ? SessionEnd.Done : SessionEnd.NotReachable, shots);
            }

            if (advice.Move is { } move)
            {
                Make(move);
                moves++;
            }

            after18 = shots == Look ? bow.TrueMean(setting).Length : after18;
        }

        return End(SessionEnd.OutOfShots, MostShots);

        SessionResult End(SessionEnd end, int shots)
        {
            var length = bow.TrueMean(setting).Length;
            return new SessionResult(end, moves, shots, length, double.IsNaN(after18) ? length : after18, stated);
        }
    }

    private TuningSession Session() =>
        new(
            new SessionBow(SimulatedBow.Measured, SimulatedBow.Archer, bow.Adjusters(setting)),
            [],
            new SessionPlan(SessionKind.Tune, null, [Stage], 1, true, null),
            tolerance,
            Knowledge.None,
            events,
            engine
        );

    private void Make(AdvisedMove move)
    {
        setting[bow.Kinds.ToList().IndexOf(move.Kind)] = move.To;
        Happens(new MoveMade(move.Kind, move.From, move.To));
        set = Happens(Begun);
    }

    private string Happens(SessionAct act)
    {
        var id = $"{events.Count + 1}";
        events.Add(new SessionEvent(id, events.Count + 1, default, default, act));
        return id;
    }
}
