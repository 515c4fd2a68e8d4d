using Merganser.Core.Rack;

namespace Merganser.Web.Words;

/// <summary>The rack.</summary>
public static class RackWords
{
    public static FormattableString Of(RackMessage message) =>
        message switch
        {
            BowsHung(1) => $"one bow",
            BowsHung(var count) => $"{count} bows",
            ChecksAgain(var count) => $"{count} again",
            DoneOf(var done, var of) => $"{done} of {of}",
            VersionIs(var number) => $"version {number}",
            SetIs(var number) => $"set {number}",
            ArrowWithoutPaper(var arrow, true) => $"{arrow} is a draft; no paper yet.",
            ArrowWithoutPaper(var arrow, false) => $"{arrow} is kept; no paper yet.",
            PaperOpen(var set, var reading) => $"Paper open, set {set}. {reading}",
            PaperAccepted(var reading) => $"Paper accepted. {reading}",
            GroupsOpen(var set, var reading) => $"Groups open, set {set}. {reading}",
            GroupsAccepted(var reading) => $"Groups accepted. {reading}",
            AgainList(var titles) => $"Again: {titles:low}.",
            DueSoon(var what, true, _) => $"{what} is due.",
            DueSoon(var what, false, { } left) => $"{what} in {left}.",
            DueSoon(var what, false, null) => $"{what} soon.",
            PlannedSoon(var what, true, _, _) => $"Due: {what:low}.",
            PlannedSoon(var what, _, { } left, _) => $"Planned in {left:shot}: {what:low}.",
            PlannedSoon(var what, _, _, { } on) => $"Planned for {on:d MMMM}: {what:low}.",
            PlannedSoon(var what, _, _, _) => $"Planned: {what:low}.",
            DoNotShootIt(var found) => $"Do not shoot it. {found}",
            CannotBeRead(var kind, var id) =>
                $"A {kind} cannot be read ({id}); it is left as it is, and everything else stands.",
            FirstOfRack(var bow, var state) => $"{bow}: {state:low}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(RackSays says) =>
        says switch
        {
            RackSays.RackIsEmpty => $"The rack is empty: enter your bow.",
            RackSays.EnoughToStart => $"Draw weight, draw length and brace height are enough to start.",
            RackSays.EnterABow => $"Enter a bow",
            RackSays.EnterAnotherBow => $"Enter another bow",
            RackSays.NoneYet => $"none yet",
            RackSays.Draft => $"draft",
            RackSays.AcceptedState => $"accepted",
            RackSays.NoArrowYet => $"No arrow yet.",
            RackSays.GoOnWithTheArrow => $"Go on with the arrow",
            RackSays.ShootItThroughPaper => $"Shoot it through paper",
            RackSays.GoOnWithThePaper => $"Go on with the paper",
            RackSays.LookAtThePaper => $"Look at the paper",
            RackSays.GoOnWithTheGroups => $"Go on with the groups",
            RackSays.LookAtTheGroups => $"Look at the groups",
            RackSays.NobodyShot => $"Nobody shot yet: press an end.",
            RackSays.BowTwice => $"A bow stands in it twice.",
            RackSays.LookAtWhatIsDue => $"Look at what is due",
            RackSays.ShotBefore => $"shot before",
            RackSays.NoShotsYet => $"No shots yet.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
