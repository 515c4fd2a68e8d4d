using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Web.Words;

/// <summary>A session's next step.</summary>
public static class SessionWords
{
    public static FormattableString Of(SessionMessage message) =>
        message switch
        {
            RemainsAfter({ Count: 0 }, var kind, true) =>
                $"Marked as shot well with this arrow, on more days than one. Remains: {AfterPaper(kind)}.",
            RemainsAfter(var open, var kind, true) =>
                $"Marked as shot well with this arrow, on more days than one. Remains: {open}; {AfterPaper(kind)}.",
            RemainsAfter({ Count: 0 }, var kind, _) =>
                $"Marked as shot well with this arrow. Remains: three shots on another day, to see that it lasts; {AfterPaper(kind)}.",
            RemainsAfter(var open, var kind, _) =>
                $"Marked as shot well with this arrow. Remains: {open}; three shots on another day; {AfterPaper(kind)}.",
            SettlingToGo(1) => $"Settling, 1 to go: shoot it and mark it.",
            SettlingToGo(var shots) => $"Settling, {shots} to go: shoot them and mark them.",
            SignsDisagree(var ratio, var low, var high) =>
                $"The bare tear changes with the distance as with a weak shaft, but as computed the shaft is not weak: fit {ratio}, {low} to {high}.",
            ControlToShoot(var control, var shots) => $"{ControlOf(control)}: shoot {shots} more, touch nothing.",
            RungFirst(var rung, AdviceKind.NotReachable) => $"Out of travel: {rung:low} first.",
            RungFirst(var rung, AdviceKind.StopAsking) => $"More shots do not help: {rung:low} first.",
            RungFirst(var rung, _) => $"Moves do not help: {rung:low} first.",
            OnToStage(var stage) => $"Good enough here: go on to {stage}.",
            GoToStage(var stage) => $"On to {stage}",
            OrderAlone(var order) => $"{order}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(SessionSays says) =>
        says switch
        {
            SessionSays.AcceptedDone => $"Accepted: this paper is done.",
            SessionSays.BowLeftAsItWas => $"The bow was left as it is.",
            SessionSays.BackToTheRack => $"Back to the rack",
            SessionSays.ShootMoreOpensAgain => $"Shoot more: opens it again",
            SessionSays.OneThingChanged => $"Same distance, same bow; one thing is changed.",
            SessionSays.MarkAShot => $"Mark a shot",
            SessionSays.BackToTheSession => $"Back to the session",
            SessionSays.ControlIsShot => $"The control is shot: read it, then go on.",
            SessionSays.StandsAmongEvidence => $"What it says stands among the evidence.",
            SessionSays.ShootMore => $"Shoot more",
            SessionSays.EndTheTrial => $"End the trial",
            SessionSays.OpenTheLadder => $"Open the ladder",
            SessionSays.IAcceptThis => $"I accept this",
            SessionSays.MoveAllTheSame => $"Move all the same",
            SessionSays.PointFirstThenTail => $"Point hole first, then the tail. Nobody in front of the line.",
            SessionSays.ISomethingElse => $"I did something else",
            SessionSays.IMadeThisMove => $"I made this move",
            SessionSays.IMadeBothMoves => $"I made both moves",
            SessionSays.IMovedTheSight => $"I moved the sight",
            SessionSays.WalkOnceMore => $"Walk once more",
            SessionSays.TheRestInstead => $"The rest instead",
            SessionSays.WalkAnew => $"Done: walk anew",
            SessionSays.BackToTheGroups => $"To the groups",
            SessionSays.GoodEnoughShort => $"Good enough: accept this, or shoot more.",
            SessionSays.ToTheInspection => $"To the inspection",
            SessionSays.PressByItsManual =>
                $"Only in the right press, by its manual. Log what you did, even if it was something else.",
            SessionSays.WriteDownWhatYouDid => $"Write down what you did, even if it was something else.",
            SessionSays.ShootTwoThenNextArrow => $"Shoot two with this arrow, then take the next one.",
            SessionSays.NextArrowOrEnd => $"Take the next arrow, or end the trial.",
            SessionSays.TrialAdvisesNoMove => $"The bow is left alone: a trial advises no move.",
            SessionSays.NeedsAShop => $"This needs a shop.",
            SessionSays.TakeTheCardAlong =>
                $"What can be done here is done. Take the bow's card along: it says how the bow stands and what was tried.",
            SessionSays.OpenTheCard => $"Open the bow's card",
            SessionSays.MoreShotsOfTheClose => $"More shots of the arrows that are close",
            SessionSays.SettlesNotRead => $"New string work settles first: these shots are kept, and not read.",
            SessionSays.NothingYet => $"Nothing yet: shoot through the paper.",
            SessionSays.TwoSignsDisagree => $"Two signs of the shaft disagree: a control arrow decides, no move yet.",
            SessionSays.OneOfThemDecides =>
                $"Three shots with a shaft that has flown well from another bow, at the same distances; touch nothing.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string AfterPaper(BowKind kind) =>
        kind == BowKind.Compound ? "peep, sight and groups come after paper" : "sight and groups come after paper";

    private static string ControlOf(SetPurpose purpose) =>
        purpose switch
        {
            SetPurpose.ControlArrow => "Control arrow",
            SetPurpose.ChangedGrip => "Changed grip",
            SetPurpose.OtherArcher => "Another archer",
            _ => "Machine",
        };
}
