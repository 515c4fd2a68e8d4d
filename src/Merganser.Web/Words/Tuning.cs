using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>Advice, evidence, readings and the ladder.</summary>
public static class TuningWords
{
    public static FormattableString Of(TuningMessage message) =>
        message switch
        {
            Chance(> 0.99) => $"over 99 %",
            Chance(< 0.01) => $"under 1 %",
            Chance(var of) => $"{Show.Number(100 * of, 0)} %",
            InsideWithChance(var tolerance, var chance, var lasting, 1) =>
                $"Inside {tolerance} with a chance of {chance}, as you shot today; on other days about {lasting}. Three shots on another day would tell.",
            InsideWithChance(var tolerance, var chance, var lasting, var days) =>
                $"Inside {tolerance} with a chance of {chance}, as you shot today; over {days} days {lasting}.",
            BothOrders(var first, var second) => $"{first}; and in the same visit {second:low}",
            ShootBeforeMoving(1) => $"Shoot one more before anything is moved.",
            ShootBeforeMoving(var shots) => $"Shoot {shots} more before anything is moved.",
            ChanceAndEnough(var chance, var enough) when chance.Of < enough.Of && Alike(chance, enough) =>
                $"Chance of being inside just under {enough}; done at {enough}.",
            ChanceAndEnough(var chance, var enough) => $"Chance of being inside {chance}; done at {enough}.",
            MeanMayBeOff(var by) => $"The mean may still be {by} off what was read.",
            MoveThenShoot(var order) => $"{order}, then shoot two.",
            TradeReason(var reason) => $"{reason}.",
            SizeOfMove(var tear, var step) => $"{tear} at about {step} a step.",
            WithheldFor(var name, var why) => WhyWithheld(name, why),
            TooFewSteps(var name) => $"{name}: this school leaves it too few steps.",
            WouldLeave(var name, var order, var there, var here) =>
                $"{name}, {order:low}: would leave about {there} where this leaves {here}.",
            MovesIgnored(var moves, var deaf) =>
                $"{moves:move} changed the tear less than they should; that no move helps is {deaf} likely.",
            IfItDrives(AdjusterKind.RestSideways, true) => $"if a click to the right drives the tail right",
            IfItDrives(AdjusterKind.RestSideways, false) => $"if it drives the tail left",
            IfItDrives(_, true) => $"if it answers the usual way",
            IfItDrives(_, false) => $"if it answers the other way",
            BeyondSchool(var school) => $"{SchoolOf(school)} would leave it, but its own adjusters leave the tear out.",
            AnsweredOtherWay(var name) =>
                $"{name}: it got worse after the last move. Turn it back and beyond; if it was made the other way than logged, correct the log instead.",
            WayDoubted(var name, var usual) =>
                $"{name}: that it answers the usual way is only {usual} likely on this bow. A small test tells.",
            StepsLeft(var name, var room) => $"{name} {room}",
            LeftAside(var school, var adjusters) =>
                $"{SchoolOf(school)} prefers others, but these have travel left: {adjusters:semicolons}.",
            RestGoes(var by, true) => $"That is {by}; on a slide without clicks set it by a pencil mark beside it.",
            RestGoes(var by, false) => $"That is {by}; without clicks set it by a pencil mark.",
            RestSettled(var right, var click) =>
                $"Settled on this bow: a click to the right drives the tail {(right ? "right" : "left")}, about {click}.",
            RestDisputed(var type) =>
                $"Some move the rest toward the tail, some away. It depends on when this rest lets go: try it small, shoot again, keep it or go back.{ModelOf(type)}",
            ChanceOfInside(var tolerance) => $"Chance of being inside {tolerance}.",
            ChanceBecause(var chance, var here, var elsewhere, var mean, var radius) =>
                $"{chance}: {here:shot} here and {elsewhere} at other settings of this stage; mean {mean}, ± {radius}.",
            MoreShotsUntil(var enough) => $"More shots here; done at {enough}",
            StepMoves(var name, var step, var tail, var other) =>
                $"{name}: one {step} moves the tail {tail} on this bow{(other ? ", the other way than usual" : "")}.",
            LearnedFrom(var plus, var positions, var guess, var from) =>
                $"± {plus}, learned from {positions} positions; {SourceOf(from)} {guess}.",
            SpreadAgainst { Differs: true } s =>
                $"Spread {s.Spread}, {Whose(s)} {s.Usual:bare}: {s.Test}. That points to the archer or the arrows.",
            SpreadAgainst s =>
                $"Spread {s.Spread} over {s.Shots ?? 0:shot}, {Whose(s)} {s.Usual:bare}: not chance or one bad arrow. Grip, face and spine are not cleared.",
            MeanShifted(var after, var before, var since, var test, var places) =>
                $"First {after:shot}: {before} Since then: {since} {test}, tried at {places} places.",
            ArrowApart(var number) => $"Arrow {number} tears apart from the others.",
            ApartBy(var mean, var shots, var test) => $"{mean} of their mean over {shots:shot}: {test}.",
            IgnoresMoves(var moves) => $"The tear ignores {moves:move}.",
            IgnoredMove(var name, var steps, var changed, var expected) =>
                $"{name} by {steps}: {changed}, about {expected} expected",
            IgnoredBecause(var moves) =>
                $"{moves:semicolons}. That points to clearance, timing or a rest that does not drop.",
            BareByDistance(var near, var nearAt, var far, var farAt, var change, var chance) =>
                $"{near} at {nearAt}, {far} at {farAt}; the change is {change}, chance alone gives up to {chance}.",
            EndOfTravel(var name) => $"{name} is at the end of its travel.",
            EndOfTravelMeans(AdjusterKind.RestHeight) =>
                $"When the rest runs out of travel the nocking point is wrong.",
            EndOfTravelMeans(AdjusterKind.NockingPoint) =>
                $"When the nocking point runs out of travel look at the rest's height and at timing.",
            EndOfTravelMeans => $"The centre-shot window is used up: cams, spine or form.",
            ControlTears(var control, true, var arrow) =>
                $"{ControlName(control)} tears otherwise: look at the {(arrow ? "arrow" : "archer")} before the bow.",
            ControlTears(var control, false, var arrow) =>
                $"{ControlName(control)} tears alike: not {(arrow ? "this arrow alone" : "this alone")}.",
            ControlBecause(var mean, var test) => $"{mean} {test}.",
            AfterMove(var kind, { Count: 0 }) => $"{CareOf(kind)}",
            AfterMove(var kind, var again) =>
                $"{CareOf(kind)}{(CareOf(kind).Length > 0 ? " " : "")}Then look again at: {again.Select(k => new CheckTitle(k)):low}.",
            ForgetAfter(BowChange.DrawLength) =>
                $"Another draw length: every adjuster answers anew. Forget what was learned before it?",
            ForgetAfter(BowChange.NewRest) =>
                $"New rest: its clicks answer anew, even their direction. Forget what was learned of the rest?",
            ForgetAfter((BowChange.NewServing or BowChange.NewLoop) and var change) =>
                $"{change}: the nocking point answers anew. Forget what was learned of it?",
            ForgetAfter(var change) => $"{change}: every adjuster answers anew. Forget what was learned before it?",
            RungTitle(var rung) => $"{LadderWords.Of(rung).Title}",
            RungHow(var rung) => $"{LadderWords.Of(rung).How}",
            RungTells(var rung) => $"{LadderWords.Of(rung).Tells}",
            AnswerKnown(< 2, GainSource.ThisBow, _, _) => $"from this bow's other stages",
            AnswerKnown(< 2, GainSource.Make, _, _) => $"borrowed from bows of the same make",
            AnswerKnown(< 2, _, _, _) => $"not moved yet",
            AnswerKnown(var positions, _, { } right, { } sure) =>
                $"{positions} positions; a click right drives the tail {(right ? "right" : "left")}, {sure} sure",
            AnswerKnown(var positions, _, _, _) => $"{positions} positions shot",
            Forgotten({ Count: 0 }) => $"everything",
            Forgotten(var names) => $"{names}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(TuningSays says) =>
        says switch
        {
            TuningSays.ShootFirst => $"Shoot one arrow through the paper and mark its holes.",
            TuningSays.ShootAtNewSetting => $"Shoot two at the new setting and mark their holes.",
            TuningSays.PaperTautTargetBehind => $"Paper taut, arrow level, target a long step or more behind it.",
            TuningSays.GoodEnough => $"Good enough: accept this, or shoot more to be surer.",
            TuningSays.CleanFirstHole => $"A clean first hole may be accepted; two more would confirm it.",
            TuningSays.OneOddHole => $"One odd hole is no evidence; the same hole twice is.",
            TuningSays.ShootOneMoreClose => $"Shoot one more: it is close.",
            TuningSays.ShootTwoMore => $"Shoot two more: not enough yet to choose a move.",
            TuningSays.SmallTestWhy => $"A small test: about what two shots can tell apart, no more.",
            TuningSays.NotReachable => $"Out of travel: what may be moved does not reach.",
            TuningSays.MovesDoNotHelp => $"Moves do not help: a control arrow first.",
            TuningSays.StopAsking => $"Stop here: more shots will not show more.",
            TuningSays.NoMoveHelps =>
                $"Twelve shots at this setting, and no move is worth making: accept it, or look for the cause.",
            TuningSays.HeightAtItsEnd =>
                $"Rest and nocking point are at the end of their travel: look at timing, clearance, a rest that does not drop.",
            TuningSays.ShopGoesOn => $"What is left needs a press: go to a shop with the maker's manual.",
            TuningSays.LookAtForm => $"Look at form, face contact and clearance, then a control arrow.",
            TuningSays.ByThisBow => $"by what this bow has shown",
            TuningSays.ByTheTrade => $"by the trade's usual response",
            TuningSays.ExpectedAtNewSetting => $"expected at the new setting",
            TuningSays.MoveThatAnswersOtherwise => $"A move of it that answers otherwise",
            TuningSays.HolesDiffer => $"Holes differ from shot to shot.",
            TuningSays.HolesAlike => $"Holes are alike.",
            TuningSays.FiveHolesAlike => $"Five holes alike",
            TuningSays.ControlThatTearsOtherwise =>
                $"A changed grip, another archer or a control arrow that tears otherwise",
            TuningSays.LikeTheOthersAfterTurning => $"The same arrow like the others after its nock is turned",
            TuningSays.PowderCleanAndTimingRight => $"No mark in powder on the vanes, and timing found right",
            TuningSays.SpineNotJudged => $"Spine not judged.",
            TuningSays.OneDistanceCannotTell => $"One distance cannot tell it.",
            TuningSays.BareChangesAtAnotherDistance => $"A bare tear that changes side or size at another distance",
            TuningSays.BareChangesSide => $"The bare tear changes side with the distance: a weak shaft is suspected.",
            TuningSays.BareChanges => $"The bare tear changes with the distance: a weak shaft is suspected.",
            TuningSays.BareSteady => $"No clear change of the bare tear with the distance.",
            TuningSays.StifferShaftDoesTheSame => $"A stiffer shaft that does the same",
            TuningSays.MoreShotsFarther => $"More shots at the longer distance",
            TuningSays.OtherMovedThisBack => $"The other one moved, and this one back toward its middle",
            TuningSays.SameAgainAlike => $"The same again, alike",
            TuningSays.MoreShotsOfBoth => $"More shots of both",
            TuningSays.AnotherMean =>
                $"The bow was left alone, and the later holes lie elsewhere: look at the grip, then for what came loose.",
            TuningSays.LaterShotsBack => $"Later shots back where the first ones were",
            TuningSays.TestShift => $"same setting, another mean, F test",
            TuningSays.TestSpread => $"spread against usual, F test",
            TuningSays.TestArrows => $"one-way F between arrows",
            TuningSays.TestIgnored => $"no answer to moves, beyond both regions",
            TuningSays.TestByDistance => $"bare tear by distance, both regions",
            TuningSays.TestOneDistance => $"bare tear by distance",
            TuningSays.TestLimits => $"position against limits",
            TuningSays.TestControl => $"control against session, F test",
            TuningSays.DoNotShoot => $"Do not shoot this bow until it is repaired.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    /// <summary>Why the trade reaches for an adjuster.</summary>
    public static FormattableString NameOf(DirectionReason reason) =>
        reason switch
        {
            DirectionReason.AllAgreeRest => $"All agree: tail high, rest up; tail low, rest down",
            DirectionReason.AllAgreeNock => $"All agree: tail high, nocking point down; tail low, up",
            DirectionReason.LastResort => $"A last resort of a few, for a tail that stays low with good timing",
            DirectionReason.Yokes =>
                $"The cams go toward the tail: the yoke leg on the tail's side shorter, the other longer the same",
            DirectionReason.Spacers => $"The cams go toward the tail: spacers, top cam first, one size, then bottom",
            DirectionReason.SpacersLate => $"The cams go toward the tail: spacers come after form and a control arrow",
            DirectionReason.Pockets =>
                $"Pocket screws tilt the limbs; in one common pattern clockwise answers a tail right, the maker's sheet decides",
            DirectionReason.LastClicks => $"Centre first leaves the rest only the last few clicks",
            DirectionReason.LadderRest => $"The ladder starts with the rest, inside the centre-shot window",
            DirectionReason.RestOnly => $"When the rest is at its limit, go to a shop",
            DirectionReason.WalkBackRest => $"Paper only starts it: the target, near, middle and far, decides",
            DirectionReason.FingersHeight => $"Height belongs to the nocking point, and comes before the sides",
            DirectionReason.FingersRest => $"The rest's height does the same as the nocking point",
            DirectionReason.Plunger => $"A softer plunger cures stiff, a stiffer one weak",
            DirectionReason.Point => $"A heavier point cures stiff, a lighter one weak",
            DirectionReason.Weight => $"More draw weight cures stiff, less cures weak",
            DirectionReason.StrikePlate => $"A thinner strike plate cures stiff, a thicker one weak",
            DirectionReason.PlungerPlace =>
                $"The plunger's place is the bow's centre shot: the tension first, then its place",
            _ => $"A lower brace cures stiff, a higher one weak, a little",
        };

    /// <summary>True where two chances are said as the same figure.</summary>
    private static bool Alike(Chance one, Chance other) => Speaker.Trade.Say(Of(one)) == Speaker.Trade.Say(Of(other));

    private static string SourceOf(GainSource from) =>
        from switch
        {
            GainSource.ThisBow => "earlier stages and papers said",
            GainSource.Make => "bows of the same make said",
            _ => "the trade's guess was",
        };

    private static string SchoolOf(School school) =>
        school switch
        {
            School.CentreFirst => "Centre first",
            School.Ladder => "The ladder",
            School.RestOnly => "Rest only",
            _ => "Walk-back",
        };

    /// <summary>A control set's name.</summary>
    public static string ControlName(SetPurpose purpose) =>
        purpose switch
        {
            SetPurpose.ControlArrow => "The control arrow",
            SetPurpose.ChangedGrip => "A changed grip",
            SetPurpose.OtherArcher => "Another archer",
            _ => "The machine",
        };

    private static FormattableString WhyWithheld(AdjusterName name, WithheldWhy why) =>
        why switch
        {
            WithheldWhy.PressWanted => $"{name}: it needs a press, so a shop with the maker's manual.",
            WithheldWhy.EndOfTravel => $"{name}: it is at the end of its travel.",
            WithheldWhy.HeightFirst => $"{name}: height comes first with fingers.",
            _ => $"{name}: this school does not answer this tear with it.",
        };

    private static string Whose(SpreadAgainst spread) => spread.Own ? "this archer's usual" : "usual about";

    private static string ModelOf(RestType type) =>
        type switch
        {
            RestType.DropAwayEarly => " A rest that lets go early mostly works the other way.",
            RestType.DropAwayLate => " A rest that lets go late often works the other way.",
            RestType.Containment or RestType.Launcher =>
                " A rest that carries the arrow to the end works the other way less often than not.",
            _ => "",
        };

    private static string CareOf(AdjusterKind kind) =>
        kind switch
        {
            AdjusterKind.YokePair => "Equal and opposite, so cable length and timing stay.",
            AdjusterKind.CamSpacer => "Every spacer seated, shoulder outward; cams turn freely.",
            AdjusterKind.LimbPocket => "Same amount top and bottom; lock the screws again.",
            AdjusterKind.BottomLimbBolt => "One bolt alone shifts timing and weight.",
            AdjusterKind.PointWeight => "Balance, spine and sight are looked at again.",
            _ => ChangeTable.Of(kind) is null ? "Shoot again before touching anything else." : "",
        };
}
