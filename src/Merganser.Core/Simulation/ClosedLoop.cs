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
    StoppedAsking,
    MovesDoNotHelp,
    OutOfShots,
}

/// <summary>How a simulated session went.</summary>
/// <param name="End">How it ended.</param>
/// <param name="Moves">Moves made.</param>
/// <param name="Shots">Shots taken; those of a control are not counted.</param>
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
)
{
    /// <summary>Nominal effect of the largest move, inches.</summary>
    public double LargestMove { get; init; }

    /// <summary>Most shots at one setting.</summary>
    public int MostShotsHere { get; init; }

    /// <summary>Moves made when it was said that moves do not help; null when it was not.</summary>
    public int? ToldDeafAt { get; init; }

    /// <summary>True where no setting of what may be moved brings the tear inside.</summary>
    public bool OutOfReach { get; init; }

    /// <summary>True where it was said that the adjusters do not reach, or that more shots do not help.</summary>
    public bool ToldToStop => End is SessionEnd.NotReachable or SessionEnd.StoppedAsking;

    /// <summary>Chance that it lasts, as it was stated when it was done; NaN where it was not.</summary>
    public double StatedLasting { get; init; } = double.NaN;

    /// <summary>The same after three shots of another day.</summary>
    public double StatedAfterDays { get; init; } = double.NaN;

    /// <summary>Length of the mean as it was shot on the first day, inches.</summary>
    public double LengthThatDay { get; init; }

    /// <summary>What the session taught.</summary>
    public Knowledge Learned { get; init; } = Knowledge.None;
}

/// <summary>Who tunes a simulated bow, and how.</summary>
/// <param name="School">By which school.</param>
/// <param name="Press">With a press.</param>
/// <param name="Tolerance">Good enough, inches.</param>
public sealed record SimulatedTuner(School School, bool Press, double Tolerance = Tolerances.Usual)
{
    /// <summary>By the default school, with a press.</summary>
    public static SimulatedTuner Usual { get; } = new(School.CentreFirst, true);

    /// <summary>Another engine than the shipped one.</summary>
    public EngineChoice? Engine { get; init; }

    /// <summary>What earlier papers of the bow taught.</summary>
    public Knowledge Known { get; init; } = Knowledge.None;

    /// <summary>
    /// True where a session ends when it is said that moves do not help; else it goes on after a control.
    /// </summary>
    public bool StopsWhenDeaf { get; init; }

    /// <summary>A move for each axis in one visit to the press.</summary>
    public bool BothAxes { get; init; }

    /// <summary>Three shots on another day, once it is done.</summary>
    public bool SecondDay { get; init; }

    /// <summary>The maker's sheet is not at hand: the way of pockets and spacers is not known.</summary>
    public bool WaysNotKnown { get; init; }
}

/// <summary>
/// Drives a <see cref="TuningSession"/> on a simulated bow until it says done: every shot and move is an event of it,
/// and what is advised goes through school, press, limits and ladder, as a user meets it.
/// </summary>
public sealed class ClosedLoop
{
    private const int MostShots = 100;
    private const int Look = 18;
    private const int ControlShots = 3;
    private const string Arrow = "simulated";
    private static readonly PlannedStage Stage = new(3, false);
    private static readonly SetBegun Begun = new(Stage, "3", SetPurpose.Session, Arrow);
    private static readonly SetBegun ControlBegun = new(Stage, "3", SetPurpose.ControlArrow, Arrow);

    private readonly SimulatedBow bow;
    private readonly SimulatedTuner tuner;
    private readonly Archer archer;
    private readonly List<SessionEvent> events = [];
    private readonly double[] setting;
    private string set = "";
    private DateTimeOffset now = DateTimeOffset.UnixEpoch;

    private ClosedLoop(SimulatedBow bow, SimulatedTuner tuner)
    {
        (this.bow, this.tuner) = (bow, tuner);
        archer = new Archer("Simulated", Hand.Right, tuner.Press, tuner.School);
        setting = new double[bow.Levers.Count];
    }

    /// <param name="bow">The bow.</param>
    /// <param name="tuner">Who tunes it, and how.</param>
    /// <param name="stating">Told the stated chance and the setting after every shot.</param>
    public static SessionResult Run(
        SimulatedBow bow,
        SimulatedTuner? tuner = null,
        Action<double, double[]>? stating = null
    ) => new ClosedLoop(bow, tuner ?? SimulatedTuner.Usual).Run(stating);

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

    private SessionResult Run(Action<double, double[]>? stating)
    {
        var (moves, here, mostHere, after18, largest) = (0, 0, 0, double.NaN, 0.0);
        int? deafAt = null;
        set = Happens(Begun);
        for (var shots = 1; shots <= MostShots; shots++)
        {
            Mark(bow.Shoot(setting));
            mostHere = Math.Max(mostHere, ++here);
            var session = Session();
            var advice = session.Advice;
            stating?.Invoke(advice.Chance ?? 0, setting);
            if (advice.Kind == AdviceKind.MovesDoNotHelp && !tuner.StopsWhenDeaf)
            {
                deafAt ??= moves;
                Control();
                session = Session();
                advice = session.Advice;
            }

            if (EndOf(advice.Kind) is { } end)
            {
                return End(end, shots, session);
            }

            if (advice.Move is { } move)
            {
                largest = Math.Max(largest, Make(move));
                if (advice.Also is { } also)
                {
                    largest = Math.Max(largest, Make(also));
                }

                (moves, here) = (moves + 1, 0);
                set = Happens(Begun);
            }

            after18 = shots == Look ? bow.TrueMean(setting).Length : after18;
        }

        return End(SessionEnd.OutOfShots, MostShots, Session());

        SessionResult End(SessionEnd end, int shots, TuningSession session)
        {
            var (length, thatDay) = (bow.TrueMean(setting).Length, bow.TodaysMean(setting).Length);
            return new SessionResult(
                end,
                moves,
                shots,
                length,
                double.IsNaN(after18) ? length : after18,
                session.Advice.Chance ?? 0
            )
            {
                LargestMove = largest,
                MostShotsHere = mostHere,
                ToldDeafAt = end == SessionEnd.MovesDoNotHelp ? moves : deafAt,
                OutOfReach = bow.OutOfReach(MayMove(session), tuner.Tolerance),
                Learned = session.Learned(),
                LengthThatDay = thatDay,
                StatedLasting = session.Advice.Lasting ?? double.NaN,
                StatedAfterDays = end == SessionEnd.Done && tuner.SecondDay ? AfterAnotherDay() : double.NaN,
            };
        }
    }

    /// <summary>How a session ends with an advice, or null where it goes on.</summary>
    internal static SessionEnd? EndOf(AdviceKind kind) =>
        kind switch
        {
            AdviceKind.GoodEnough => SessionEnd.Done,
            AdviceKind.NotReachable => SessionEnd.NotReachable,
            AdviceKind.StopAsking => SessionEnd.StoppedAsking,
            AdviceKind.MovesDoNotHelp => SessionEnd.MovesDoNotHelp,
            _ => null,
        };

    /// <summary>What school and press let be moved at all.</summary>
    private AdjusterKind[] MayMove(TuningSession session) =>
        [
            .. new[] { TearAxis.Sideways, TearAxis.Height }
                .SelectMany(axis => DirectionTable.For(bow.Record.Release, tuner.School, axis, tailLow: true))
                .Where(row => session.Bow.Adjusters.Any(a => a.Kind == row.Kind && session.Adviser.May(a)))
                .Select(row => row.Kind),
        ];

    private TuningSession Session() =>
        new(
            new SessionBow(bow.Record, archer, Adjusters()),
            [],
            new SessionPlan(SessionKind.Tune, null, [Stage], SessionPlan.UntilClear, true, null, tuner.BothAxes),
            tuner.Tolerance,
            tuner.Known,
            events,
            tuner.Engine
        );

    private Adjuster[] Adjusters() =>
        [
            .. bow.Adjusters(setting)
                .Select(a =>
                    tuner.WaysNotKnown && AdjusterTable.WayIsAFact(a.Kind) ? a with { Way = AdjusterWay.NotKnown } : a
                ),
        ];

    private void Mark(Tear tear) =>
        Happens(new ShotMarked(set, new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide));

    /// <summary>Three shots of a control arrow that tears alike, and back to the session.</summary>
    private void Control()
    {
        set = Happens(ControlBegun);
        for (var i = 0; i < ControlShots; i++)
        {
            Mark(bow.TrueMean(setting));
        }

        set = Happens(Begun);
    }

    /// <summary>The chance that it lasts, after three shots of another day.</summary>
    private double AfterAnotherDay()
    {
        now += TimeSpan.FromDays(1);
        bow.NextDay();
        for (var i = 0; i < ControlShots; i++)
        {
            Mark(bow.Shoot(setting));
        }

        var state = Session().State;
        return state.Belief.LastingChance(state.Setting, tuner.Tolerance);
    }

    /// <returns>Its nominal effect, inches.</returns>
    private double Make(AdvisedMove move)
    {
        setting[bow.Kinds.ToList().IndexOf(move.Kind)] = move.To;
        Happens(new MoveMade(move.Kind, move.From, move.To));
        return Math.Abs(move.To - move.From) * AdjusterTable.Of(move.Kind).NominalGain;
    }

    private string Happens(SessionAct act)
    {
        var id = $"{events.Count + 1}";
        events.Add(new SessionEvent(id, events.Count + 1, now, now, act));
        return id;
    }
}
