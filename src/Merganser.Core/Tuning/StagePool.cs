using Merganser.Core.Groups;

namespace Merganser.Core.Tuning;

/// <summary>
/// The other stages of the same bow as a weaker prior: what each taught beyond its own prior counts as one reading of
/// the log gain, with a spread between stages on top. The spreads are trade-like guesses, no source; with vanes even a
/// sign may change, so signs are pooled weakly.
/// </summary>
public static class StagePool
{
    /// <summary>The paper that is shot as a rule, yards.</summary>
    private const double UsualPaper = 3;

    private const double LeastTaught = 0.2;
    private const double SureEnough = 0.98;
    private const double LeastSpreadSd = 0.15;

    /// <summary>
    /// What goes over from one stage to another by what is different between them, the greatest difference first: sd of
    /// ln gain, and the share of a sign's evidence (docs/decisions/0009).
    /// </summary>
    private static readonly (Func<Stage, Stage, bool> Differ, double Between, double SignShare)[] Differences =
    [
        ((a, b) => a.Heads != b.Heads, TargetScale.RatioOfHeads, 0.95),
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
        : Alike(stage, fit.Stage) ? BetweenBows
        : Math.Sqrt((BetweenBows * BetweenBows) + Math.Pow(Between(stage, fit.Stage), 2));

    private static double SignShare(Stage stage, StageFit fit) =>
        fit.OfBow is null ? SignShare(stage, fit.Stage) : SignShareOfMake;

    /// <summary>
    /// The prior of a stage after what other stages taught. At a target what the papers taught takes the place of the
    /// trade's guess, and other groups are pooled with that.
    /// </summary>
    /// <param name="trade">What the trade believes at the paper.</param>
    /// <param name="stage">The stage.</param>
    /// <param name="others">What other stages taught; none leaves the trade's word.</param>
    public static ResponsePrior For(ResponsePrior trade, Stage stage, IReadOnlyList<StageFit> others)
    {
        if (!stage.Compares)
        {
            return After(trade, stage, others);
        }

        var taught = others.ToLookup(f => f.Stage.AtTarget);
        var paper = After(trade, new Stage(UsualPaper, false, stage.Arrow), [.. taught[false]]);
        return After(new TargetScale(stage.Distance, stage.Heads).Prior(paper), stage, [.. taught[true]]);
    }

    private static ResponsePrior After(ResponsePrior prior, Stage stage, IReadOnlyList<StageFit> others)
    {
        if (others.Count == 0)
        {
            return prior;
        }

        var (sureness, centre) = (
            1 / Math.Pow(prior.SpreadLogSd, 2),
            Math.Log(prior.SpreadCentre) / Math.Pow(prior.SpreadLogSd, 2)
        );
        foreach (var fit in others.Where(f => f.OfBow is null && Alike(f.Stage, stage)))
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

    /// <summary>Where a shot strays alike: at the paper, of groups of the same kinds.</summary>
    private static bool Alike(Stage a, Stage b) => (a.AtTarget, a.Heads) == (b.AtTarget, b.Heads);

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
