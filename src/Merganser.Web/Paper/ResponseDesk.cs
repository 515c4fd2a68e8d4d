using Merganser.Core.Bows;
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
    AdjusterKind Kind, string Name, string StepUnit, string PlusWords, double Nominal, GainView Before, GainView Now, double PlusChance, bool Open, int Settings, string Words);

/// <summary>What another stage taught of one adjuster.</summary>
public sealed record TaughtView(AdjusterKind Kind, string Name, double Gain, double Sd, int Settings);

/// <summary>What another stage of this bow taught.</summary>
public sealed record OtherStageView(string Words, string ArrowName, int Shots, double Spread, IReadOnlyList<TaughtView> Taught);

/// <summary>A reset that was made.</summary>
public sealed record ResetView(string Id, string Words, string Reason, DateTimeOffset ResetAt);

/// <summary>The learned response of a bow.</summary>
public sealed record ResponseView(
    string BowId, string? Stage, string? ArrowName, int Shots, double Spread, double UsualSpread, bool OwnSpread, IReadOnlyList<ResponseRow> Rows,
    IReadOnlyList<OtherStageView> Others, IReadOnlyList<Forgetting> Proposals, IReadOnlyList<ResetView> Resets);

/// <summary>What a bow's adjusters have been seen to do.</summary>
public sealed class ResponseDesk(PaperStore papers, BowStore bows, ArrowStore arrows, SetupStore setups, ResponseStore responses, TuningDesk tuning)
{
    public ResponseView View(string bowId)
    {
        var resets = responses.Of(bowId);
        ResetView[] done = [.. resets.Reverse().Select(r => new ResetView(r.Id, r.Kinds.Count == 0 ? "everything" : string.Join(", ", r.Kinds.Select(k => AdjusterTable.Of(k).Name)), r.Reason, r.ResetAt))];
        if (papers.Newest(bowId) is not { } paper)
        {
            var bow = bows.Get(bowId);
            return new ResponseView(bowId, null, null, 0, Core.Paper.MeanTear.UsualSpread, Core.Paper.MeanTear.UsualSpread, false, Rows(bow, ResponsePrior.Of(bow.Adjusters), null), [], [], done);
        }

        var read = tuning.Read(paper);
        var others = read.Bench.Others.Where(f => f.Shots > 0).Reverse().Select(f => new OtherStageView(f.Stage.Words, arrows.Version(f.Stage.Arrow).Typed.Name, f.Shots, f.Spread,
            [.. f.Gains.Where(g => g.Settings > 1).Select(g => new TaughtView(g.Kind, AdjusterTable.Of(g.Kind).Name, g.Gain, g.Sd, g.Settings))]));
        return new ResponseView(bowId, read.Stage.Words, arrows.Version(read.Stage.Arrow).Typed.Name, read.Here.Count, Math.Sqrt(read.State.Belief.Spread2), read.Usual.Spread, read.Usual.Own,
            Rows(read.Bow, read.State.Prior, read), [.. others], Proposals(bowId, paper, resets), done);
    }

    private static IReadOnlyList<ResponseRow> Rows(BowRow bow, ResponsePrior prior, TuningRead? read) =>
    [
        .. prior.Gains.Select((g, i) =>
        {
            var fact = AdjusterTable.Of(g.Kind);
            var before = new GainView(g.Expected, g.Expected * g.LogSd);
            var settings = read?.State.SettingsOf(i) ?? 0;
            var learned = read is null || read.Here.Count == 0 ? null : StageFit.Learned(prior, read.State.Belief, read.Here)[i];
            var plus = learned?.PlusChance ?? g.PlusChance;
            var open = Math.Min(plus, 1 - plus) >= DecisionRule.OpenSign;
            var now = learned is null ? before : new GainView(open ? Math.Abs(learned.Gain) : learned.Gain, learned.Sd);
            return new ResponseRow(g.Kind, fact.Name, fact.StepUnit, fact.Order(1, bow.Bow.Hand), g.Nominal, before, now, plus, open, settings, Words(g, settings, plus));
        }),
    ];

    private static string Words(GainPrior gain, int settings, double plus) => settings < 2
        ? gain.LogMean != 0 ? "from this bow's other stages" : "not moved yet: the trade's guess"
        : gain.Disputed ? $"{settings} positions; a click right drives the tail {(plus >= 0.5 ? "right" : "left")}, {TuningBench.Percent(Math.Max(plus, 1 - plus))} sure" : $"{settings} positions shot";

    /// <summary>Changes since the last reset that make what was learned doubtful.</summary>
    private IReadOnlyList<Forgetting> Proposals(string bowId, PaperRow newest, IReadOnlyList<ResetRow> resets)
    {
        var since = resets.Count == 0 ? 0 : resets.Max(r => r.AfterChange);
        return
        [
            .. setups.Of(bowId).Changes.Where(c => c.Ordinal > since && newest.Sets[0].Shots.Count > 0 && c.HappenedAt >= newest.Sets[0].Shots[0].ShotAt)
                .Select(c => Forgetting.Of(c.Change)).OfType<Forgetting>(),
        ];
    }
}
