using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// What a walk-back asks for. A straight drift is the sight's, since an arrow flies straight once it has settled and
/// the zero takes its angle out; a curved one is a sight that leans, a pin, or an arrow that planes. Centre shot is
/// said where bare shafts or heads of the same paper show it as well.
/// </summary>
internal sealed class WalkAdvice
{
    private readonly TuningSession session;
    private readonly WalkReading walk;

    private WalkAdvice(TuningSession session) => (this.session, walk) = (session, session.Walk!);

    /// <summary>What is advised at the walk in work.</summary>
    public static Advice Of(TuningSession session) => new WalkAdvice(session).Advised();

    private Advice Advised()
    {
        if (walk.Count == 0)
        {
            return To(AdviceKind.NoShots, ToShoot(), Start);
        }

        if (walk.Fit is not { } fit)
        {
            return To(AdviceKind.ShootMore, ToShoot(), WalkSays.FiveShowMore);
        }

        return walk.Disagree ? To(AdviceKind.ShootMore, ToShoot(), WalkSays.WalksDisagree)
            : fit.Verdict == DriftVerdict.Clear ? Shown(fit)
            : walk.WouldHaveShown ? To(AdviceKind.GoodEnough, WalkSays.NoDrift, Smallest(fit))
            : To(AdviceKind.ShootMore, ToShoot(), walk.MoreShow());
    }

    private Advice Shown(WalkFit fit) =>
        session.CentreShotShown is { } shown
            ? To(AdviceKind.GroupsFirst, WalkSays.GroupsBeforeTheSight, new CentreShotToo(shown))
            : fit.Shape switch
            {
                DriftShape.Straight => MoveTheSight(),
                DriftShape.Curved => To(
                    AdviceKind.LevelTheSight,
                    WalkSays.LevelTheSight,
                    new Sentences([new CurvedDrift(walk.Pins), WalkSays.LevelThenWalkAnew])
                ),
                _ => To(AdviceKind.ShootMore, ToShoot(), WalkSays.StraightOrCurvedNotDecided),
            };

    private Advice MoveTheSight()
    {
        var (sight, pin) = (session.Bow.SightUsed, walk.SightAnswer(session.Bow.Sight)!);
        return session.Bow.Bow.HasSight
            ? To(
                AdviceKind.MoveTheSight,
                new SightForDrift(Measure.Inches(pin.Right, 3), sight.ClicksOf(pin.Right), Measure.Yards(walk.Zero)),
                new StraightDrift(walk.Pins)
            )
            : To(AdviceKind.LevelTheSight, WalkSays.NoSightToMove, new StraightDrift(walk.Pins));
    }

    private Message Start => walk.Pins == WalkPins.Own ? WalkSays.LevelFirst : WalkSays.TallBackstop;

    /// <summary>What the walk in work lacks, or another walk.</summary>
    private WalkToShoot ToShoot()
    {
        var missing = walk.Missing(WalkPlan.Advised, ofTheNewest: true);
        return missing.Count > 0
            ? new WalkToShoot(missing, walk.Pins, Again: false)
            : new WalkToShoot(
                [.. walk.Wanted.Select(yards => new HitsAt(WalkPlan.Advised, Measure.Yards(yards)))],
                walk.Pins,
                Again: true
            );
    }

    private Message Smallest(WalkFit fit) =>
        new SmallestDrift(Measure.Inches(fit.SmallestSlope() * walk.Farthest, 1), Measure.Yards(walk.Farthest));

    private Advice To(AdviceKind kind, Message sentence, Message reason) =>
        Advice.To(kind, sentence, reason, [.. Evidence()]) with
        {
            Disputed = kind == AdviceKind.MoveTheSight ? TheRest : null,
        };

    /// <summary>The rest's starting rule: drift to the left, rest right; mirrored.</summary>
    private Message? TheRest =>
        session.Bow.Adjusters.Any(a => a.Kind == AdjusterKind.RestSideways)
            ? new RestByTheTrade(walk.Fit!.Slope < 0)
            : null;

    private IEnumerable<Evidence> Evidence()
    {
        if (walk.Fit is not { } fit)
        {
            yield break;
        }

        yield return new Evidence(
            walk.Words!,
            new DriftTest(
                new FTest(fit.F, fit.Top, fit.Freedom, fit.P),
                Measure.Inches(fit.Spread * walk.Zero),
                Measure.Yards(walk.Zero),
                WalkFit.Threshold
            ),
            walk.WouldHaveShown ? WalkSays.AnotherDayOrCalm : walk.MoreShow(sentence: false)
        );
        if (fit.CurveP is { } curve && fit.Verdict != DriftVerdict.NoneShown)
        {
            yield return new Evidence(
                fit.Shape switch
                {
                    DriftShape.Curved => new CurvedDrift(walk.Pins),
                    DriftShape.Straight => new StraightDrift(walk.Pins),
                    _ => WalkSays.StraightOrCurvedNotDecided,
                },
                walk.Lean is { } lean
                    ? new Sentences([new CurveTest(curve), new LeanLike(Measure.Degrees(lean, 1))])
                    : new CurveTest(curve),
                WalkSays.MoreHitsDecide
            );
        }

        if (walk.AmongWords is { } among)
        {
            yield return new Evidence(among, WalkSays.OnePlumbLine, WalkSays.WalkOnceMore);
        }

        if (walk.WindTakenOff is { } wind)
        {
            yield return new Evidence(wind, WalkSays.LeastOfTheWind, WalkSays.AnotherDayOrCalm);
        }
    }
}
