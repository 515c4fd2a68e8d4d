using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Trials;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>The one next step of a session.</summary>
public static class SessionNext
{
    /// <summary>
    /// Below this chance, after two shots, more shots alone are no way on (trade-like guess, no source).
    /// </summary>
    private const double Hopeless = 0.05;

    /// <summary>Shots of a control (common practice, no source).</summary>
    public const int ControlShots = 3;

    /// <summary>Shots after which the next arrow of a trial is asked for: two show that a tear repeats.</summary>
    private const int ShotsOfATrial = 2;

    /// <summary>What is next.</summary>
    public static Next Of(TuningSession session)
    {
        if (session.AcceptedAt is not null)
        {
            return Done(session);
        }

        return session.Now.OfSession ? Open(session) : Control(session.Now);
    }

    /// <summary>The paper is done: what was kept, and what remains.</summary>
    private static Next Done(TuningSession session)
    {
        Message[] open = [.. session.Stages().Where(s => s is { Planned: true, Shots: 0 }).Select(s => s.Stage.Name)];
        Message remains = session.IsTrial
            ? SessionSays.BowLeftAsItWas
            : new RemainsAfter(open, session.Bow.Bow.Kind, session.State.DaysHere > 1);
        return new Next(
            SessionSays.AcceptedDone,
            remains,
            "start",
            SessionSays.BackToTheRack,
            SessionSays.ShootMoreOpensAgain,
            "mark"
        );
    }

    /// <summary>A control in work: the bow is left alone.</summary>
    private static Next Control(SessionSet set)
    {
        var left = ControlShots - set.Tears.Count;
        return left > 0
            ? new Next(
                new ControlToShoot(set.Begun.Purpose, left),
                SessionSays.OneThingChanged,
                "mark",
                SessionSays.MarkAShot,
                SessionSays.BackToTheSession,
                "backToSession"
            )
            : new Next(
                SessionSays.ControlIsShot,
                SessionSays.StandsAmongEvidence,
                "backToSession",
                SessionSays.BackToTheSession,
                SessionSays.ShootMore,
                "mark"
            );
    }

    private static Next Open(TuningSession session)
    {
        var advice = session.Advice;
        if (session.IsTrial && session.StillToShoot is { Count: > 0 } following)
        {
            var shot = session.Now.Tears.Count >= ShotsOfATrial;
            return new Next(
                new TakeNext(following[0].Name, following.Count - 1, shot),
                TrialSays.ShotByPlan,
                shot ? "nextArrow" : "mark",
                shot ? TrialSays.TakeIt : SessionSays.MarkAShot,
                shot ? SessionSays.MarkAShot : SessionSays.EndTheTrial,
                shot ? "mark" : "accept"
            );
        }

        if (session.IsTrial)
        {
            return new Next(
                advice.Sentence,
                advice.Reason,
                "mark",
                SessionSays.MarkAShot,
                SessionSays.EndTheTrial,
                "accept"
            );
        }

        return Stuck(session, advice) is { } rung ? Rung(rung, advice) : ByAdvice(session, advice);
    }

    /// <summary>The rung that comes before another move, when moves do not help.</summary>
    private static RungKind? Stuck(TuningSession session, Advice advice)
    {
        var hopeless = advice.Kind == AdviceKind.ShootMore && advice.Chance < Hopeless && session.Now.Tears.Count > 1;
        var stuck =
            hopeless
            || advice.Kind
                is not (
                    AdviceKind.NoShots
                    or AdviceKind.ShootMore
                    or AdviceKind.GoodEnough
                    or AdviceKind.MoveTheSight
                    or AdviceKind.LevelTheSight
                    or AdviceKind.GroupsFirst
                    or AdviceKind.Contradiction
                    or AdviceKind.Unsound
                );
        var others = advice.Reason is LeftAside;
        return stuck && !others && session.Ladder.Wanted ? session.Ladder.Next : null;
    }

    private static Next Rung(RungKind rung, Advice advice)
    {
        var (other, act) = advice.Move is null
            ? (SessionSays.IAcceptThis, "accept")
            : (SessionSays.MoveAllTheSame, "madeMove");
        return new Next(
            new RungFirst(new RungTitle(rung), advice.Kind),
            new RungTells(rung),
            "rung",
            SessionSays.OpenTheLadder,
            other,
            act
        );
    }

    private static Next ByAdvice(TuningSession session, Advice advice)
    {
        var unshot = session.Now.Tears.Count == 0 && session.MovedSinceShot;
        return advice.Kind switch
        {
            AdviceKind.NoShots when unshot => new Next(
                advice.Sentence,
                session.Stage.AtTarget ? advice.Reason : SessionSays.PointFirstThenTail,
                "mark",
                SessionSays.MarkAShot,
                SessionSays.ISomethingElse,
                "logMove"
            ),
            AdviceKind.Contradiction when session.Stage.AtTarget => new Next(
                advice.Sentence,
                advice.Reason,
                "mark",
                SessionSays.ShootMore,
                SessionSays.OpenTheLadder,
                "rung"
            ),
            AdviceKind.Contradiction => new Next(
                advice.Sentence,
                SessionSays.OneOfThemDecides,
                "rung",
                SessionSays.OpenTheLadder,
                SessionSays.ShootMore,
                "mark"
            ),
            AdviceKind.ShootMore when advice.Sentence is WalkToShoot { Again: true } => new Next(
                advice.Sentence,
                advice.Reason,
                "walkOn",
                SessionSays.WalkOnceMore,
                SessionSays.IAcceptThis,
                "accept"
            ),
            AdviceKind.LevelTheSight => new Next(
                advice.Sentence,
                advice.Reason,
                "walkAnew",
                SessionSays.WalkAnew,
                SessionSays.WalkOnceMore,
                "walkOn"
            ),
            AdviceKind.GroupsFirst => new Next(
                advice.Sentence,
                advice.Reason,
                "groups",
                SessionSays.BackToTheGroups,
                SessionSays.WalkOnceMore,
                "walkOn"
            ),
            AdviceKind.NoShots or AdviceKind.ShootMore => new Next(
                advice.Sentence,
                advice.Reason,
                "mark",
                SessionSays.MarkAShot,
                SessionSays.IAcceptThis,
                "accept"
            ),
            AdviceKind.GoodEnough => GoodEnough(session, advice),
            AdviceKind.MoveTheSight => new Next(
                advice.Sentence,
                advice.Reason,
                "moveSight",
                SessionSays.IMovedTheSight,
                advice.Disputed is RestByTheTrade ? SessionSays.TheRestInstead : SessionSays.ISomethingElse,
                "logMove"
            ),
            AdviceKind.Unsound => new Next(
                advice.Sentence,
                advice.Reason,
                "check:inspection",
                SessionSays.ToTheInspection
            ),
            AdviceKind.NotReachable when advice.Reason is LeftAside => new Next(
                advice.Sentence,
                advice.Reason,
                "logMove",
                SessionSays.ISomethingElse,
                SessionSays.OpenTheLadder,
                "rung"
            ),
            AdviceKind.NotReachable or AdviceKind.MovesDoNotHelp or AdviceKind.StopAsking => new Next(
                SessionSays.NeedsAShop,
                SessionSays.TakeTheCardAlong,
                "card",
                SessionSays.OpenTheCard,
                SessionSays.IAcceptThis,
                "accept"
            ),
            _ => Moves(advice.Move!, advice.Also),
        };
    }

    /// <summary>The advised move, or both of one visit.</summary>
    private static Next Moves(AdvisedMove move, AdvisedMove? also) =>
        new(
            new OrderAlone(also is null ? move.Order : new BothOrders(move.Order, also.Order)),
            move.NeedsPress || also is { NeedsPress: true }
                ? SessionSays.PressByItsManual
                : SessionSays.WriteDownWhatYouDid,
            "madeMove",
            also is null ? SessionSays.IMadeThisMove : SessionSays.IMadeBothMoves,
            SessionSays.ISomethingElse,
            "logMove"
        );

    private static Next GoodEnough(TuningSession session, Advice advice) =>
        session.NextStage is { } next
            ? new Next(
                new OnToStage(next.Name),
                advice.Reason,
                "nextStage",
                new GoToStage(next.Name),
                SessionSays.IAcceptThis,
                "accept"
            )
            : new Next(
                SessionSays.GoodEnoughShort,
                advice.Reason,
                "accept",
                SessionSays.IAcceptThis,
                SessionSays.ShootMore,
                "mark"
            );
}
