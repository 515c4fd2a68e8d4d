using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Web.Words;

/// <summary>The set-up sheet: checks, verdicts, changes, what is due.</summary>
public static class SetupWords
{
    public static FormattableString Of(SetupMessage message) =>
        message switch
        {
            CheckTitle(var kind, var bow) => TitleOf(kind, bow),
            CheckTool(var kind, var bow) => $"{CheckWords.RowOf(kind, bow).Tool}",
            CheckWhy(var kind, var bow) => $"{CheckWords.RowOf(kind, bow).Why}",
            CheckHow(var kind, var bow) => $"{CheckWords.RowOf(kind, bow).How}",
            CheckDrawn(var kind, var bow) => $"{CheckWords.RowOf(kind, bow).View}",
            CheckToDo(var kind, var bow) => $"{CheckWords.RowOf(kind, bow).ToDo}",
            ChoiceLabel(var kind, var code) => $"{CheckWords.ChoiceOf(kind, code).Label}",
            ChoiceToDo(var kind, var code) => $"{CheckWords.ChoiceOf(kind, code).ToDo}",
            Picked(var label, null) => $"{label}.",
            Picked(var label, var by) => $"{label} by {by}.",
            ToleranceFrom of => SourceOf(of),
            RecordedAgainst(var good, var change) => $"Recorded. When it shot well: {good}, now {change:signed}.",
            Judged(var verdict, var offset) => $"{WordOf(verdict)}. {offset}",
            OffAim(CheckKind.CentreShot, var by, var more) => $"{by} farther {(more ? "out" : "in")} than the aim.",
            OffAim(CheckKind.DrawWeight, var by, var more) => $"{by} {(more ? "over" : "under")} the marking.",
            OffAim(CheckKind.Peep, var by, var more) =>
                $"Turned {by} {(more ? "clockwise" : "counter-clockwise")} from above.",
            OffAim(_, var by, var more) => $"{by} {(more ? "above" : "below")} the aim.",
            MoveRest(var by, var inward) =>
                $"Move the rest {by} {(inward ? "in" : "out")}; paper and target decide the last clicks.",
            PeepCure(PeepTurn.HalfRound) =>
                $"One string twist at the peep's near end turns it about half to three quarters round.",
            PeepCure(PeepTurn.Quarter) => $"One string twist at the far end turns it about a quarter round.",
            PeepCure => $"Slip it half a strand, or half a twist at the far end.",
            OddReading(var title, var by, var more, var against, var expected) =>
                $"{title} {by} {(more ? "more" : "less")} than {HeldOf(against)} ({expected}): is that so?",
            NotRightYet(var found, var toDo) => $"{found}. {toDo}",
            BackOffWords(var over, var off, null) =>
                $"{over} over the maker's maximum. {off}, then on the scale again: what a turn takes off is not known yet.",
            BackOffWords(var over, var off, var step) =>
                $"{over} over the maker's maximum. {off}, then on the scale again: a quarter turn was {step} last time.",
            LastTwist(var twist, var before, var after) => $"Last time: {twist:low}; from \"{before}\" to \"{after}\".",
            CheckStep(var kind, var bow, var line) => $"{HowToWords.Of(kind, bow)[line]}",
            AxleBoltsTo(var figure) => $"Axle bolts to the maker's figure, {figure}: the cam still rocks freely.",
            NoteAsked(var kind) => $"{HowToWords.NoteOf(kind)}",
            CaliperClicks(var order, var left) => $"{order}; {left} is left over.",
            AskedAgain(var change, var after) => $"{Changes[change].Why}: {after:low}.",
            ChangeName(var change) => NameOf(change),
            LookedAtAgain(var titles) => $"Looked at again: {titles:low}.",
            StringCheckAt(var shots) => $"String check at {shots} shots",
            DueNow(var what, var titles) => $"{what}: {titles:low}.",
            LookAgain(var title) => $"Look at it again: {title:low}.",
            FollowUpAgain(var kind) => $"{CheckWords.RowOf(kind, BowKind.Compound).How}",
            NextCheck(var number, var of, var title) => $"Check {number} of {of}: {title:low}.",
            LeftOpen(var why) => $"Left open: {why}",
            HeldBack(var checks) => $"{checks} held back until paper is accepted.",
            FoundDamaged(var on) =>
                $"Found cracked, frayed or worn on {on}. Do not draw it: a shop with the maker's manual.",
            NotWhileUnsound(var found) => $"Not while this bow is unsound. {found}",
            CaliperSays(var by, true) => $"The rest moves {by} in: the front stands farther out.",
            CaliperSays(var by, false) => $"The rest moves {by} out: the front stands farther in.",
            AsItShotWell(null, _) => $"as it shot well",
            AsItShotWell(var arrow, var version) => $"as it shot {arrow} well, version {version}",
            Aperture(var of) => $"{of}",
            CheckShort(CheckState.Again, _, _) => $"look at it again",
            CheckShort(CheckState.Held, var afterPaper, _) => $"{(afterPaper ? "after paper" : "not now")}",
            CheckShort(CheckState.Open, _, _) => $"open",
            CheckShort(CheckState.Skipped, _, { } why) => $"left: {why}",
            CheckShort(_, _, { } reading) => $"{reading:low}",
            CheckShort => $"done",
            CrawlMoved(var steps) =>
                $"The nocking point was moved {new Standing(AdjusterKind.NockingPoint, steps)} since: shoot this mark again.",
            CrawlAsShot(var distance) => $"As it was shot at {distance}.",
            CrawlByLine(var near, var nearCrawl, var far, var farCrawl) =>
                $"On a straight line between {nearCrawl} at {near} and {farCrawl} at {far}, common practice.",
            AcceptedOnPaper(var stage) => $"accepted on paper, {stage}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(SetupSays says) =>
        says switch
        {
            SetupSays.RecordedNoTolerance => $"Recorded. There is no general tolerance.",
            SetupSays.JustAsAimed => $"Just as aimed.",
            SetupSays.CompareWithGoodState =>
                $"Compare with the maker's word and with the state in which this bow shot well.",
            SetupSays.LeaveIt => $"Leave it.",
            SetupSays.TwistsOut => $"Take twists out of the string: fewer twists lower it.",
            SetupSays.TwistsIn => $"Put twists into the string: more twists raise it.",
            SetupSays.OnlyInThePress => $"Only in the right press, by its manual.",
            SetupSays.ShopDoesIt => $"That needs a press: a shop with the maker's manual does it.",
            SetupSays.DrawsWhileUnsound => $"It draws the bow: not while it is unsound.",
            SetupSays.AfterTimingAndPaper => $"After timing and paper.",
            SetupSays.TwoMonthly => $"Two-monthly check for a bow that is shot a lot",
            SetupSays.CheckIsCheap => $"A check is cheap; a string that crept is not.",
            SetupSays.ToTheCheck => $"To the check",
            SetupSays.GoThere => $"Go there",
            SetupSays.ItIsDone => $"It is done",
            SetupSays.ToTheString => $"To the string",
            SetupSays.MeasuredAndInOrder => $"The bow is measured and in order: choose the arrow.",
            SetupSays.InOrderWithItsArrow => $"The bow is measured and in order: paper shows how its arrow flies.",
            SetupSays.EveryCheckIsDone => $"Every check is done.",
            SetupSays.DoNotShootUnsound => $"Do not shoot this bow until it is repaired.",
            SetupSays.CountsAscending =>
                $"Up to 8 counts of shots, each more than the one before, at most {StringPlan.MostShots}.",
            SetupSays.SettlingRange => $"Allowed is 0 to 50: a string settles in a few shots or not at all.",
            SetupSays.EqualAtBoth => $"Equal at both: leave the rest.",
            SetupSays.NoDrawBoard =>
                $"No draw board on your list: a second person watches the cams while you draw, or a shop looks.",
            SetupSays.NoScale =>
                $"No scale on your list: a club or shop has one. Until then the marking counts, with its doubt.",
            SetupSays.PressWorkToAShop =>
                $"Whatever needs the press goes to a shop; what you find here tells them what.",
            SetupSays.FineTuneNeedsPractice =>
                $"A fine tune needs regular practice: an archer who rarely shoots cannot hold one. The usual tolerance is plenty.",
            SetupSays.ReasonWanted => $"A reason of 1 to 120 characters, so that it can be taken up again.",
            SetupSays.PickWhatYouFound => $"Pick what you found.",
            SetupSays.RepairedByWhom => $"By whom? A name of 1 to 60 characters.",
            SetupSays.SayThatItIsRepaired => $"It was found damaged: say that it is repaired, and by whom.",
            SetupSays.RiserMayBlockSight =>
                $"Inside the window: look through the sight, the riser may stand in its way.",
            SetupSays.CrawlStands => $"It stands.",
            SetupSays.CrawlOutOfOrder => $"Not shorter than the nearer mark: shoot both again.",
            SetupSays.NoCrawlBetween =>
                $"A mark that stands is needed on each side of it: beyond them nothing is guessed.",
            SetupSays.CrawlsAreForBarebow => $"Only a barebow is shot by walking the string.",
            SetupSays.NotByHand => $"Paper is done when a paper is accepted.",
            SetupSays.VoidSaysWhy => $"A reason of 1 to 120 characters: a void shot says why.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    /// <summary>A check's name, as a kind of bow has it.</summary>
    public static FormattableString TitleOf(CheckKind kind, BowKind bow) => $"{CheckWords.RowOf(kind, bow).Title}";

    /// <summary>A change's name.</summary>
    public static FormattableString NameOf(BowChange change) => $"{Changes[change].Name}";

    private static string WordOf(Verdict verdict) =>
        verdict switch
        {
            Verdict.Within => "Within",
            Verdict.AtTheEdge => "At the edge",
            Verdict.Beyond => "Beyond",
            _ => "Recorded",
        };

    private static string HeldOf(HeldAgainst against) =>
        against switch
        {
            HeldAgainst.LastTime => "last time",
            HeldAgainst.MeasuredBefore => "what this bow measured",
            HeldAgainst.Marked => "what is marked",
            HeldAgainst.Entered => "what was entered",
            HeldAgainst.Upright => "upright",
            _ => "is usual",
        };

    private static FormattableString SourceOf(ToleranceFrom of) =>
        of.From switch
        {
            ToleranceSource.MakersMaximum => $"the maker's rated maximum",
            ToleranceSource.MakersFigure => $"the maker's figure, {of.Low:bare} to {of.High} (common practice)",
            ToleranceSource.BoltsEven => $"bolts even, common practice",
            ToleranceSource.PositiveForFingers => $"positive for fingers, common practice",
            ToleranceSource.MakersCentreShot =>
                $"the maker's figure, window {of.Low:bare} to {of.High} (common practice)",
            ToleranceSource.UsualCentreShot => $"{of.Aim}, window {of.Low:bare} to {of.High}, common practice",
            ToleranceSource.LevelToHigh => $"level to {of.High} high to start, common practice",
            ToleranceSource.EvenForStringWalkers => $"even, for string walkers, common practice",
            ToleranceSource.PointOutside => $"the point {of.Low:bare} to {of.High} outside the string, common practice",
            ToleranceSource.HighForFingers => $"{of.Low:bare} to {of.High} high with fingers, from memory",
            _ => $"seen round by the eye, common practice",
        };

    private static readonly Dictionary<BowChange, (string Name, string Why)> Changes = new()
    {
        [BowChange.NewString] = ("New string", "A new string stretches and seats its peep anew"),
        [BowChange.NewCable] = ("New cables", "New cables set lean and timing anew"),
        [BowChange.NewServing] = ("New serving", "The serving's diameter is the nock's fit"),
        [BowChange.NewLoop] = ("New D-loop", "The loop turns the peep and holds the height"),
        [BowChange.NewPeep] = ("New peep", "A new peep changes the line of sight"),
        [BowChange.NewRest] = ("New rest", "All that the rest set is set anew"),
        [BowChange.StringTwists] = ("Twists in the string only", "String-only twists leave lean and timing alone"),
        [BowChange.OneSidedTwist] = ("A cable or one yoke leg twisted", "A one-sided twist changes the cable's length"),
        [BowChange.OpposedYokeTwists] = (
            "Yoke legs twisted equal and opposite",
            "Equal and opposite twists leave the cable's length, so timing, alone"
        ),
        [BowChange.DrawWeight] = ("Draw weight changed", "Spine, paper and sight follow the draw weight"),
        [BowChange.DrawLength] = ("Draw length changed", "Spine, paper and sight follow the draw length"),
        [BowChange.LimbBolt] = ("One limb bolt turned", "One bolt alone shifts timing and weight"),
        [BowChange.CamSpacer] = ("Cam spacers moved", "Every spacer seated, shoulder outward; the cams turn freely"),
        [BowChange.BraceHeight] = ("Brace height changed", "Tiller and nocking point follow the brace height"),
        [BowChange.NockingPoint] = ("Nocking point moved", "The nock sets hold it"),
        [BowChange.LetOff] = ("Let-off changed", "Another let-off sets timing, weight and anchor anew"),
        [BowChange.Sight] = ("Sight taken off or knocked", "The axes are set from the first on"),
    };
}
