using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>What a response belongs to: a distance, bare or fletched or groups of both, and an arrow.</summary>
/// <param name="Distance">Bow to paper or target, yards.</param>
/// <param name="Fletched">With vanes.</param>
/// <param name="Arrow">Which arrow (its version).</param>
/// <param name="AtTarget">True for two groups at a target.</param>
/// <param name="Heads">True where they are broadheads and field points.</param>
/// <param name="Walk">The pins of a walk-back, or null.</param>
/// <param name="Sighting">True where a pin is set by its hits.</param>
/// <param name="Ways">Two ways that are compared, or null.</param>
/// <param name="RangeError">How wrong the sight is set, yards, or null.</param>
/// <param name="NockEnd">True where a bare shaft's nock end is read in a near target.</param>
public sealed record Stage(
    double Distance,
    bool Fletched,
    string Arrow,
    bool AtTarget = false,
    bool Heads = false,
    WalkPins? Walk = null,
    bool Sighting = false,
    TwoWays? Ways = null,
    double? RangeError = null,
    bool NockEnd = false
)
{
    /// <summary>Its name.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Message Name => Planned.Name;

    /// <summary>The stage of a plan that it is shot for.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public PlannedStage Planned => new(Distance, Fletched, AtTarget, Heads, Walk, Sighting, Ways, RangeError, NockEnd);

    /// <summary>Inches that are seen for one inch of the engine: of offset at a target, of tear at the paper.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double SeenPerInch => Compares ? new TargetScale(Distance, Heads).Scale : 1;

    /// <summary>True for two groups held against each other, which teach; a walk-back teaches of the sight.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool Compares => Planned.Compares;

    /// <summary>A planned stage with its arrow.</summary>
    public static Stage Of(PlannedStage planned, string arrow) =>
        new(
            planned.Distance,
            planned.Fletched,
            arrow,
            planned.AtTarget,
            planned.Heads,
            planned.Walk,
            planned.Sighting,
            planned.Ways,
            planned.RangeError,
            planned.NockEnd
        );
}

/// <summary>
/// What one stage taught of one adjuster: the log of its gain against the nominal one, before and after.
/// </summary>
/// <param name="Kind">The adjuster.</param>
/// <param name="Prior">What was believed before.</param>
/// <param name="LogMean">ln(|gain| / m) now.</param>
/// <param name="LogSd">Its sd.</param>
/// <param name="PlusChance">Chance that + steps drive the tail right, or up.</param>
/// <param name="Settings">Different positions that were shot.</param>
public sealed record LearnedGain(
    AdjusterKind Kind,
    GainPrior Prior,
    double LogMean,
    double LogSd,
    double PlusChance,
    int Settings
)
{
    /// <summary>Inches a step, signed by the likelier way.</summary>
    public double Gain => (PlusChance >= 0.5 ? 1 : -1) * Prior.Nominal * Math.Exp(LogMean);

    /// <summary>Its sd, by the delta method.</summary>
    public double Sd => Math.Abs(Gain) * LogSd;
}

/// <summary>One fitted stage of a bow: what its shots taught, to be a weaker prior of others.</summary>
/// <param name="Stage">Which.</param>
/// <param name="Gains">What was learned of each adjuster.</param>
/// <param name="Spread">Shot spread, inches per axis.</param>
/// <param name="Shots">Shots it rests on.</param>
/// <param name="OfBow">The other bow of the same make that taught it; null for this bow's own.</param>
public sealed record StageFit(
    Stage Stage,
    IReadOnlyList<LearnedGain> Gains,
    double Spread,
    int Shots,
    string? OfBow = null
)
{
    /// <summary>Fits the shots of one stage.</summary>
    /// <param name="prior">What is believed before.</param>
    /// <param name="shots">All of one stage, at least one.</param>
    public static StageFit Of(ResponsePrior prior, IReadOnlyList<ShotReading> shots)
    {
        var belief = FittedModels.Of(prior, Settings.Of(prior, shots, shots[^1].Rig));
        return new StageFit(shots[0].Stage, Learned(prior, belief, shots), Math.Sqrt(belief.Spread2), shots.Count);
    }

    /// <summary>What a belief says of each adjuster.</summary>
    public static IReadOnlyList<LearnedGain> Learned(
        ResponsePrior prior,
        Belief belief,
        IReadOnlyList<ShotReading> shots
    ) =>
        [
            .. prior.Gains.Select(
                (g, i) =>
                {
                    var plus = belief.PlusChance(i);
                    var (gain, sd) = belief.GainOf(belief.Likelier(i), i);
                    return new LearnedGain(
                        g.Kind,
                        g,
                        Math.Log(Math.Abs(gain) / g.Nominal),
                        sd / Math.Abs(gain),
                        plus,
                        shots.Select(s => s.Positions.GetValueOrDefault(g.Kind)).Distinct().Count()
                    );
                }
            ),
        ];
}

/// <summary>Turns the bow's own positions into the engine's steps from where the stage began.</summary>
public static class Settings
{
    /// <summary>
    /// So many other rigs are remembered, the last ones: older ones were another bow in all but name (no source).
    /// </summary>
    private const int OtherRigs = 4;

    /// <summary>The shots of a stage as the engine sees them.</summary>
    /// <param name="prior">What is believed before.</param>
    /// <param name="shots">In order.</param>
    /// <param name="rig">The rest of the bow as it is now.</param>
    public static IReadOnlyList<Observation> Of(ResponsePrior prior, IReadOnlyList<ShotReading> shots, string rig)
    {
        List<string> rigs =
        [
            rig,
            .. shots.Select(s => s.Rig).Reverse().Distinct().Where(r => r != rig).Take(OtherRigs),
        ];
        var daysAgo = ShootingDays.Ago([.. shots.Select(s => s.At)]);
        return
        [
            .. from seen in shots.Select((s, i) => (Shot: s, Rig: rigs.IndexOf(s.Rig), DaysAgo: daysAgo[i]))
            where seen.Rig >= 0
            let setting = From(prior, shots[0].Positions, seen.Shot.Positions)
            let tear = seen.Shot.Tear
            select new Observation(
                setting,
                tear.X,
                tear.Y,
                seen.Shot.Doubtful,
                seen.Rig,
                seen.DaysAgo,
                tear.ReadWithin
            ),
        ];
    }

    /// <summary>Steps of every adjuster from an origin.</summary>
    public static double[] From(
        ResponsePrior prior,
        IReadOnlyDictionary<AdjusterKind, double> origin,
        IReadOnlyDictionary<AdjusterKind, double> positions
    ) => [.. prior.Gains.Select(g => positions.GetValueOrDefault(g.Kind) - origin.GetValueOrDefault(g.Kind))];
}

/// <summary>Days of shooting, told by the pauses: grip, light and legs are others after one.</summary>
public static class ShootingDays
{
    /// <summary>A pause of this length begins another day, wherever the clock stands (trade-like guess, no
    /// source).</summary>
    private static readonly TimeSpan Pause = TimeSpan.FromHours(6);

    /// <summary>So many days are told apart; what lies before counts as one.</summary>
    private const int Told = 6;

    /// <summary>On which day of shooting each shot was made, the first 0.</summary>
    /// <param name="shots">When they were shot, in order.</param>
    public static int[] Count(IReadOnlyList<DateTimeOffset> shots)
    {
        var days = new int[shots.Count];
        for (var i = 1; i < shots.Count; i++)
        {
            days[i] = days[i - 1] + (shots[i] - shots[i - 1] >= Pause ? 1 : 0);
        }

        return days;
    }

    /// <summary>How many days of shooting lie between each shot and the last one.</summary>
    /// <param name="shots">When they were shot, in order.</param>
    public static int[] Ago(IReadOnlyList<DateTimeOffset> shots)
    {
        var ago = new int[shots.Count];
        for (var i = shots.Count - 2; i >= 0; i--)
        {
            ago[i] = Math.Min(Told, ago[i + 1] + (shots[i + 1] - shots[i] >= Pause ? 1 : 0));
        }

        return ago;
    }
}
