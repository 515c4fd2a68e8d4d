using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Data;

namespace Merganser.Web.Paper;

/// <summary>A gain with its sd, inches a step.</summary>
public sealed record GainView(double Gain, double Sd);

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
    GainView Before,
    GainView Now,
    double PlusChance,
    bool Open,
    int Settings,
    Message Words
);

/// <summary>What another stage taught of one adjuster.</summary>
public sealed record TaughtView(AdjusterKind Kind, Message Name, double Gain, double Sd, int Settings);

/// <summary>What another stage of this bow taught.</summary>
public sealed record OtherStageView(
    Message Words,
    string ArrowName,
    int Shots,
    double Spread,
    IReadOnlyList<TaughtView> Taught
);

/// <summary>A reset that was made.</summary>
public sealed record ResetView(string Id, Message Words, string Reason, DateTimeOffset ResetAt);

/// <summary>The learned response of a bow.</summary>
public sealed record ResponseView(
    string BowId,
    Message? Stage,
    string? ArrowName,
    int Shots,
    double Spread,
    double UsualSpread,
    bool OwnSpread,
    IReadOnlyList<ResponseRow> Rows,
    IReadOnlyList<OtherStageView> Others,
    IReadOnlyList<Forgetting> Proposals,
    IReadOnlyList<ResetView> Resets
);

/// <summary>Maps what a bow's adjusters have been seen to do.</summary>
public sealed class ResponseDesk(
    PaperStore papers,
    BowStore bows,
    ArrowStore arrows,
    SetupStore setups,
    ResponseStore responses
)
{
    public ResponseView View(string bowId)
    {
        var resets = responses.Of(bowId);
        ResetView[] done =
        [
            .. resets
                .Reverse()
                .Select(r => new ResetView(
                    r.Id,
                    new Forgotten([.. r.Kinds.Select(k => new AdjusterName(k))]),
                    r.Reason,
                    r.ResetAt
                )),
        ];
        if (papers.Newest(bowId) is not { } paper)
        {
            var prior = ResponsePrior.Of(bows.Get(bowId).Adjusters);
            return new ResponseView(
                bowId,
                null,
                null,
                0,
                MeanTear.UsualSpread,
                MeanTear.UsualSpread,
                false,
                Rows(prior, null),
                [],
                [],
                done
            );
        }

        var session = paper.Session;
        var stage = session.Stage;
        return new ResponseView(
            bowId,
            stage.Name,
            arrows.Version(stage.Arrow).Typed.Name,
            session.Here.Count,
            Math.Sqrt(session.State.Belief.Spread2),
            session.Usual.Spread,
            session.Usual.Own,
            Rows(session.State.Prior, session),
            [.. session.Adviser.Others.Where(f => f.Shots > 0).Reverse().Select(Other)],
            Proposals(bowId, session, resets),
            done
        );
    }

    private OtherStageView Other(StageFit fit) =>
        new(
            fit.Stage.Name,
            arrows.Version(fit.Stage.Arrow).Typed.Name,
            fit.Shots,
            fit.Spread,
            [
                .. fit
                    .Gains.Where(g => g.Settings > 1)
                    .Select(g => new TaughtView(g.Kind, new AdjusterName(g.Kind), g.Gain, g.Sd, g.Settings)),
            ]
        );

    private static ResponseRow[] Rows(ResponsePrior prior, TuningSession? session)
    {
        var learned =
            session is null || session.Here.Count == 0
                ? null
                : StageFit.Learned(prior, session.State.Belief, session.Here);
        return [.. prior.Gains.Select((g, i) => Row(g, learned?[i], session?.State.SettingsOf(i) ?? 0))];
    }

    private static ResponseRow Row(GainPrior prior, LearnedGain? learned, int settings)
    {
        var before = new GainView(prior.Expected, prior.Expected * prior.LogSd);
        var plus = learned?.PlusChance ?? prior.PlusChance;
        var open = Math.Min(plus, 1 - plus) >= DecisionRule.OpenSign;
        var gain = open ? Math.Abs(learned?.Gain ?? 0) : learned?.Gain ?? 0;
        var right = prior.Disputed ? plus >= 0.5 : (bool?)null;
        var words = new AnswerKnown(
            settings,
            prior.LogMean != 0,
            right,
            prior.Disputed ? new Chance(Math.Max(plus, 1 - plus)) : null
        );
        return new ResponseRow(
            prior.Kind,
            new AdjusterName(prior.Kind),
            new Steps(prior.Kind, 1),
            new Order(prior.Kind, 1),
            prior.Nominal,
            before,
            learned is null ? before : new GainView(gain, learned.Sd),
            plus,
            open,
            settings,
            words
        );
    }

    /// <summary>Changes since the last reset that make what was learned doubtful.</summary>
    private Forgetting[] Proposals(string bowId, TuningSession session, IReadOnlyList<ResetRow> resets)
    {
        var since = resets.Count == 0 ? 0 : resets.Max(r => r.AfterChange);
        var first = session.Sets[0].Shots.FirstOrDefault()?.At;
        var changes = setups.Of(bowId).Changes.Where(c => c.Ordinal > since && c.HappenedAt >= first);
        return [.. changes.Select(c => Forgetting.Of(c.Change)).OfType<Forgetting>()];
    }
}
