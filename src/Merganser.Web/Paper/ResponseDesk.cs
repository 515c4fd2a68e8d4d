using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Data;

namespace Merganser.Web.Paper;

/// <summary>What another stage taught of one adjuster.</summary>
public sealed record TaughtView(AdjusterKind Kind, Message Name, double Gain, double Sd, int Settings);

/// <summary>What another stage of this bow taught.</summary>
/// <param name="AtTarget">True for groups: shots are pairs, and inches those of bare against fletched.</param>
/// <param name="BowName">The other bow of the same make that taught it; null for this bow's own.</param>
public sealed record OtherStageView(
    Message Words,
    bool AtTarget,
    string ArrowName,
    string? BowName,
    int Shots,
    double Spread,
    IReadOnlyList<TaughtView> Taught
);

/// <summary>A reset that was made.</summary>
public sealed record ResetView(string Id, Message Words, string Reason, DateTimeOffset ResetAt);

/// <summary>The learned response of a bow.</summary>
/// <param name="AtTarget">True for groups: shots are pairs, and inches those of bare against fletched, + where the tail
/// would go right or up, so bare left or low.</param>
/// <param name="Borrows">False where what bows of the same make taught is set aside; null where none of them taught
/// anything, or no make was typed.</param>
public sealed record ResponseView(
    string BowId,
    bool? Borrows,
    Message? Stage,
    bool AtTarget,
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
                false,
                null,
                0,
                MeanTear.UsualSpread,
                MeanTear.UsualSpread,
                false,
                ResponseRow.All(prior, null),
                [],
                [],
                done
            );
        }

        var session = paper.Session;
        var (stage, seen) = (session.Stage, session.Stage.SeenPerInch);
        return new ResponseView(
            bowId,
            bows.Borrows(bowId),
            stage.Name,
            stage.Compares,
            arrows.Version(stage.Arrow).Typed.Name,
            session.Here.Count,
            seen * Math.Sqrt(session.State.Belief.Spread2),
            stage.Compares ? seen * session.State.Prior.SpreadCentre : session.Usual.Spread,
            session.Usual.Own && !stage.Compares,
            [.. ResponseRow.All(session.State.Prior, session).Select(r => r.Times(seen))],
            [.. session.Adviser.Others.Where(f => f.Shots > 0).Reverse().Select(Other)],
            Proposals(setups.LatestChanges(bowId), session, resets),
            done
        );
    }

    private OtherStageView Other(StageFit fit) =>
        new(
            fit.Stage.Name,
            fit.Stage.AtTarget,
            arrows.Version(fit.Stage.Arrow).Typed.Name,
            fit.OfBow,
            fit.Shots,
            fit.Stage.SeenPerInch * fit.Spread,
            [
                .. fit
                    .Gains.Where(g => g.Settings > 1)
                    .Select(g => new TaughtView(
                        g.Kind,
                        new AdjusterName(g.Kind),
                        fit.Stage.SeenPerInch * g.Gain,
                        fit.Stage.SeenPerInch * g.Sd,
                        g.Settings
                    )),
            ]
        );

    private static IReadOnlyList<Forgetting> Proposals(
        IReadOnlyList<RecordedChange> changes,
        TuningSession session,
        IReadOnlyList<ResetRow> resets
    ) =>
        Forgetting.After(
            changes,
            resets.Count == 0 ? 0 : resets.Max(r => r.AfterChange),
            session.Sets[0].Shots.FirstOrDefault()?.At
        );
}
