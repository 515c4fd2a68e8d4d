using Merganser.Core.Arrows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Spine;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Sessions;

/// <summary>What a session advises: the engine's word, unless something else comes before it.</summary>
public sealed partial class TuningSession
{
    private Advice Advised()
    {
        if (IsTrial)
        {
            return TrialAdvice(Trial!);
        }

        if (Stage.AtTarget)
        {
            return Stage.Sighting ? SightingAdvice.Of(this)
                : Stage.Ways is not null ? WaysAdvice.Of(this)
                : Stage.RangeError is not null ? RangeAdvice.Of(this)
                : Stage.Walk is null ? GroupAdvice.Of(this)
                : WalkAdvice.Of(this);
        }

        var advised = Adviser.Advise(State, [.. Readings.Select(r => r.Evidence)]);
        if (advised.Kind == AdviceKind.NoShots && Bow.SettlingLeft > 0)
        {
            return advised with { Sentence = new SettlingToGo(Bow.SettlingLeft), Reason = SessionSays.SettlesNotRead };
        }

        return advised.Kind is AdviceKind.Move or AdviceKind.SmallTest && Disagreement is { } signs
            ? Advice.To(AdviceKind.Contradiction, SessionSays.TwoSignsDisagree, signs, advised.Evidence) with
            {
                Chance = advised.Chance,
                Enough = advised.Enough,
            }
            : advised;
    }

    /// <summary>
    /// The record suspects a weak shaft while the arrow as computed is not weak at all, until a control has decided.
    /// </summary>
    private SignsDisagree? Disagreement
    {
        get
        {
            if (
                !SuspectsSpine
                || Adviser.ControlDone
                || Arrows.FirstOrDefault(a => a.Version == Stage.Arrow) is not { } shot
            )
            {
                return null;
            }

            var fit = new ArrowNumbers(Bow.Bow, shot.Arrow).Fit;
            return fit.Low > SpineFit.GoodFrom
                ? new SignsDisagree(Measure.Plain(fit.Ratio, 2), Measure.Plain(fit.Low, 2), Measure.Plain(fit.High, 2))
                : null;
        }
    }

    /// <summary>What stands above a set: never more than its shots carry.</summary>
    public Message Headline(SessionSet set) =>
        (set.Reading ?? WordsOf(set))
        ?? (
            set.Id == Now.Id && Bow.SettlingLeft > 0 ? new SettlingToGo(Bow.SettlingLeft)
            : set.Groups is not null ? GroupSays.NothingYet
            : set.Stage.Walk is not null ? WalkSays.NothingYet
            : set.Stage.Sighting ? WalkSays.NothingShotYet
            : set.Stage.Ways is not null ? WaySays.NothingShotYet
            : set.Stage.RangeError is not null ? RangeSays.NothingShotYet
            : SessionSays.NothingYet
        );

    private static Advice TrialAdvice(Trial trial)
    {
        var kind = trial.Rows.Count == 0 ? AdviceKind.NoShots : AdviceKind.ShootMore;
        var sentence = trial.Rows.Count < 2 ? SessionSays.ShootTwoThenNextArrow : SessionSays.NextArrowOrEnd;
        Evidence[] evidence = trial.Because is null
            ? []
            : [new Evidence(trial.Cause, trial.Because, SessionSays.MoreShotsOfTheClose)];
        return Advice.To(kind, sentence, SessionSays.TrialAdvisesNoMove, evidence);
    }
}
