using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>A gain with its sd, inches a step.</summary>
public sealed record GainSeen(double Gain, double Sd)
{
    /// <summary>So many times as large.</summary>
    public GainSeen Times(double factor) => new(factor * Gain, factor * Sd);
}

/// <summary>One adjuster's answer: the trade's guess, what was believed before this stage, and now.</summary>
/// <param name="PlusChance">Chance that + steps drive the tail right, or up.</param>
/// <param name="Open">True where the way is a property of the bow and not settled yet: the gain has no sign.</param>
/// <param name="Settings">Positions that were shot at this stage.</param>
public sealed record ResponseRow(
    AdjusterKind Kind,
    Message Name,
    Message StepUnit,
    Message PlusWords,
    double Nominal,
    GainSeen Before,
    GainSeen Now,
    double PlusChance,
    bool Open,
    int Settings,
    Message Words
)
{
    /// <summary>The same with every figure so many times as large.</summary>
    public ResponseRow Times(double factor) =>
        this with
        {
            Nominal = factor * Nominal,
            Before = Before.Times(factor),
            Now = Now.Times(factor),
        };

    /// <summary>Every adjuster of a bow.</summary>
    /// <param name="prior">What was believed before the stage in work.</param>
    /// <param name="session">The session in work, or null for a bow that has none.</param>
    public static IReadOnlyList<ResponseRow> All(ResponsePrior prior, TuningSession? session)
    {
        var learned =
            session is null || session.Here.Count == 0
                ? null
                : StageFit.Learned(prior, session.State.Belief, session.Here);
        return [.. prior.Gains.Select((g, i) => Of(g, learned?[i], session?.State.SettingsOf(i) ?? 0))];
    }

    private static ResponseRow Of(GainPrior prior, LearnedGain? learned, int settings)
    {
        var before = new GainSeen(prior.Expected, prior.Expected * prior.LogSd);
        var plus = learned?.PlusChance ?? prior.PlusChance;
        var open = prior.Free && Math.Min(plus, 1 - plus) >= Belief.OpenFree;
        var gain = learned?.Gain ?? 0;
        var right = prior.Free ? plus >= 0.5 : (bool?)null;
        var sure = prior.Free ? new Chance(Math.Max(plus, 1 - plus)) : null;
        return new ResponseRow(
            prior.Kind,
            new AdjusterName(prior.Kind),
            new Steps(prior.Kind, 1),
            new Order(prior.Kind, 1),
            prior.Nominal,
            before,
            learned is null ? before : new GainSeen(open ? Math.Abs(gain) : gain, learned.Sd),
            plus,
            open,
            settings,
            new AnswerKnown(settings, prior.From, right, sure)
        );
    }
}
