using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>What a response belongs to: a distance, bare or fletched or groups of both, and an arrow.</summary>
/// <param name="Distance">Bow to paper or target, yards.</param>
/// <param name="Fletched">With vanes.</param>
/// <param name="Arrow">Which arrow (its version).</param>
/// <param name="AtTarget">True for bare and fletched groups at a target.</param>
public sealed record Stage(double Distance, bool Fletched, string Arrow, bool AtTarget = false)
{
    /// <summary>Its name.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Message Name => new StageName(Measure.Yards(Distance), Fletched, AtTarget);

    /// <summary>The stage of a plan that it is shot for.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public PlannedStage Planned => new(Distance, Fletched, AtTarget);

    /// <summary>Inches that are seen for one inch of the engine: of offset at a target, of tear at the paper.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double SeenPerInch => AtTarget ? new TargetScale(Distance).Scale : 1;

    /// <summary>What is believed of the adjusters here while nothing was learned, in the engine's inches.</summary>
    public ResponsePrior PriorOf(IEnumerable<Adjuster> adjusters) =>
        AtTarget ? new TargetScale(Distance).Prior(ResponsePrior.Of(adjusters)) : ResponsePrior.Of(adjusters);
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
            select new Observation(setting, tear.X, tear.Y, seen.Shot.Doubtful, seen.Rig, seen.DaysAgo),
        ];
    }

    /// <summary>Steps of every adjuster from an origin.</summary>
    public static int[] From(
        ResponsePrior prior,
        IReadOnlyDictionary<AdjusterKind, int> origin,
        IReadOnlyDictionary<AdjusterKind, int> positions
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

/// <summary>
/// The other stages of the same bow as a weaker prior: what each taught beyond its own prior counts as one reading of
/// the log gain, with a spread between stages on top. The spreads are trade-like guesses, no source; with vanes even a
/// sign may change, so signs are pooled weakly.
/// </summary>
public static class StagePool
{
    /// <summary>The paper that is shot as a rule, yards.</summary>
    public const double UsualPaper = 3;

    private const double LeastTaught = 0.2;
    private const double SureEnough = 0.98;
    private const double LeastSpreadSd = 0.15;

    /// <summary>
    /// What goes over from one stage to another by what is different between them, the greatest difference first: sd of
    /// ln gain, and the share of a sign's evidence (docs/decisions/0009).
    /// </summary>
    private static readonly (Func<Stage, Stage, bool> Differ, double Between, double SignShare)[] Differences =
    [
        ((a, b) => a.AtTarget != b.AtTarget, TargetScale.RatioSd, 0.95),
        ((a, b) => a.AtTarget && a.Distance != b.Distance, TargetScale.RatioOfDistances, 0.95),
        ((a, b) => a.Fletched != b.Fletched, 0.50, 0.3),
        ((a, b) => a.Distance != b.Distance, 0.35, 0.5),
        ((a, b) => a.Arrow != b.Arrow, 0.25, 0.7),
        ((_, _) => true, 0.12, 0.9),
    ];

    /// <summary>
    /// Another bow of the same make: an honest spread, measured where makes are really alike (docs/decisions/0013); its
    /// archer's spread is none of this one's.
    /// </summary>
    private const double BetweenBows = 0.40;

    private const double SignShareOfMake = 0.5;

    /// <summary>Sd of ln gain between two stages.</summary>
    public static double Between(Stage a, Stage b) => Differences.First(d => d.Differ(a, b)).Between;

    /// <summary>How much of a sign's evidence goes over from one stage to another.</summary>
    public static double SignShare(Stage a, Stage b) => Differences.First(d => d.Differ(a, b)).SignShare;

    private static double Between(Stage stage, StageFit fit) =>
        fit.OfBow is null ? Between(stage, fit.Stage)
        : stage.AtTarget == fit.Stage.AtTarget ? BetweenBows
        : Math.Sqrt((BetweenBows * BetweenBows) + (TargetScale.RatioSd * TargetScale.RatioSd));

    private static double SignShare(Stage stage, StageFit fit) =>
        fit.OfBow is null ? SignShare(stage, fit.Stage) : SignShareOfMake;

    /// <summary>The prior of a stage after what other stages taught.</summary>
    public static ResponsePrior For(ResponsePrior prior, Stage stage, IReadOnlyList<StageFit> others)
    {
        if (others.Count == 0)
        {
            return prior;
        }

        var (sureness, centre) = (
            1 / Math.Pow(prior.SpreadLogSd, 2),
            Math.Log(prior.SpreadCentre) / Math.Pow(prior.SpreadLogSd, 2)
        );
        foreach (var fit in others.Where(f => f.OfBow is null && f.Stage.AtTarget == stage.AtTarget))
        {
            var weight = Math.Max(0, fit.Shots - 1);
            (sureness, centre) = (sureness + weight, centre + (weight * Math.Log(fit.Spread)));
        }

        return prior with
        {
            Gains = [.. prior.Gains.Select(g => Pooled(g, stage, others))],
            SpreadCentre = Math.Exp(centre / sureness),
            SpreadLogSd = Math.Max(LeastSpreadSd, 1 / Math.Sqrt(sureness)),
        };
    }

    private static double Logit(double chance) =>
        Math.Log(Math.Clamp(chance, 1e-4, 1 - 1e-4) / Math.Clamp(1 - chance, 1e-4, 1 - 1e-4));

    private static GainPrior Pooled(GainPrior prior, Stage stage, IReadOnlyList<StageFit> others)
    {
        var (precision, sum, logit, from) = (
            1 / (prior.LogSd * prior.LogSd),
            prior.LogMean / (prior.LogSd * prior.LogSd),
            Logit(prior.PlusChance),
            GainSource.Trade
        );
        foreach (var fit in others)
        {
            if (fit.Gains.FirstOrDefault(g => g.Kind == prior.Kind) is not { Settings: > 1 } learned)
            {
                continue;
            }

            var before = 1 / (learned.Prior.LogSd * learned.Prior.LogSd);
            var taught = (1 / (learned.LogSd * learned.LogSd)) - before;
            if (taught < LeastTaught)
            {
                continue;
            }

            var reading =
                ((learned.LogMean / (learned.LogSd * learned.LogSd)) - (learned.Prior.LogMean * before)) / taught;
            var between = Between(stage, fit);
            var weight = 1 / ((1 / taught) + (between * between));
            (precision, sum) = (precision + weight, sum + (weight * reading));
            from = fit.OfBow is null || from == GainSource.ThisBow ? GainSource.ThisBow : GainSource.Make;
            logit += SignShare(stage, fit) * (Logit(learned.PlusChance) - Logit(learned.Prior.PlusChance));
        }

        if (from == GainSource.Trade)
        {
            return prior;
        }

        var sd = 1 / Math.Sqrt(precision);
        var plus = Math.Clamp(1 / (1 + Math.Exp(-logit)), 1 - SureEnough, SureEnough);
        return prior with
        {
            From = from,
            LogMean = sum / precision,
            LogSd = sd,
            SharedSd = Math.Min(prior.SharedSd, sd * prior.SharedSd / prior.LogSd),
            PlusChance = plus,
        };
    }
}
