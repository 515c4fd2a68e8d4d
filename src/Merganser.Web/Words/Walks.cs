using Merganser.Core.Groups;
using Merganser.Core.Units;
using static Merganser.Web.Words.PaperWords;

namespace Merganser.Web.Words;

/// <summary>Walk-backs.</summary>
public static class WalkWords
{
    public static FormattableString Of(WalkMessage message) =>
        message switch
        {
            HitsAt(var hits, var at) => $"{hits} at {at}",
            DriftShown(_, var from, var to, DriftVerdict.NoneShown) => $"No drift shown from {from:bare} to {to}.",
            DriftShown(var right, var from, var to, var verdict) =>
                $"Drifts {Side(right, "right", "left")} {right.Size} from {from:bare} to {to}: {(verdict == DriftVerdict.Clear ? "clear" : "likely, not yet clear")}.",
            WalkTooFew(var each, var missing) => $"Too few to read, {each} at each distance: {missing} to go.",
            WalkToShoot(var hits, WalkPins.Own, false) => $"Shoot {hits}, each with its own pin.",
            WalkToShoot(var hits, _, true) => $"Walk once more: {hits}.",
            WalkToShoot(var hits, _, _) => $"Shoot {hits}, all with one pin.",
            DriftTest(var test, var spread, var at, var threshold) =>
                $"{test}; clear is p below {Show.Number(threshold, 3)} at each look, 5 % over all of them. Spread of the hand {spread} at {at}.",
            SmallestDrift(var drift, var at) => $"A drift of {drift} at {at} would have shown four times in five.",
            EnoughOfWalk(var drift, var at) => $"Usual: {drift} of drift at {at}. Strict is half of it.",
            MoreHitsShow(var hits, var drift, var at, var sentence) =>
                $"{hits} more at each distance would show a drift of {drift} at {at} four times in five{(sentence ? "." : "")}",
            SightForDrift(var right, var clicks, var zero) =>
                $"Sight {new PinWay(right, right.Times(0))}{GroupWords.Clicks(clicks)}. Then zero again at {zero} and walk once more.",
            SightMovedBy(var right, var up) => $"sight {new PinWay(right, up)}",
            StraightDrift(WalkPins.Own) =>
                $"Straight with distance: the sight’s windage, or the zero’s own error. The sight answers it.",
            StraightDrift => $"Straight with distance on one pin: windage, or a leaning sight. The sight answers it.",
            CurvedDrift(WalkPins.Own) => $"Curved: a sight that leans, a pin out of plumb, or an arrow that planes.",
            CurvedDrift => $"Curved on one pin: an arrow that planes, or wind.",
            CurveTest(var p) => $"Of the curve by itself: {Show.Probability(p)}.",
            LeanLike(var lean) => $"A sight that leans {lean.Size} to the {Side(lean, "right", "left")} would do this.",
            WalksAmong(var test, true) => $"The walks differ more than chance: {test}.",
            WalksAmong(var test, _) => $"The walks agree: {test}.",
            RestByTheTrade(var right) =>
                $"The trade’s rule moves the rest {(right ? "right" : "left")}: small, keep only if better. In the model the rest hardly shows once the zero is set.",
            CentreShotToo(var shown) => $"{shown} That is centre shot, and a sight set over it hides it.",
            WindAtLeast(var across, var drift, var at) =>
                $"Wind {across.Size} from the {Side(across, "left", "right")} does {drift.Size} at {at} at the least: taken off.",
            DropsOnOnePin(var drop, var at) => $"On one pin it drops about {drop} at {at}.",
            CauseOfDrift(var cause, CauseSeen.Shown) => $"{Cause(cause)}: shown",
            CauseOfDrift(var cause, CauseSeen.NotShown) => $"{Cause(cause)}: not shown",
            CauseOfDrift(DriftCause.Wind, _) => $"Wind: none noted",
            CauseOfDrift(var cause, _) => $"{Cause(cause)}: not tested",
            WalkDrift(var right) when Nought(right) => $"none",
            WalkDrift(var right) => $"{right.Size} {Side(right, "right", "left")}",
            HitsLie(0, _, _) => $"no hits yet",
            HitsLie(var hits, var right, { } plus) => $"{new WalkDrift(right)} ± {plus:bare}, {hits:hit}",
            HitsLie(var hits, var right, _) => $"{new WalkDrift(right)}, {hits:hit}",
            SpreadOfTheHand(var at) => $"Spread of the hand at {at}",
            MiddleStrikes(var right, var up, var at) when Nought(right) && Nought(up) =>
                $"The middle strikes the aiming point at {at}.",
            MiddleStrikes(var right, var up, var at) => $"The middle strikes {new StruckAt(right, up)} at {at}.",
            MiddleTest(var test, var radius, var spread) =>
                $"{test} against the aiming point. 95 % region ± {radius}, spread of a shot {spread}.",
            SightingToShoot(var hits, var at) =>
                $"Shoot {hits} at {at}, and mark where {(hits == 1 ? "it strikes" : "they strike")}.",
            SightForZero(var right, var up, null, null) => $"Sight {new PinWay(right, up)}. Then shoot three again.",
            SightForZero(var right, var up, { } across, { } high) =>
                $"Sight {new PinWay(right, up)}: {ClicksOf(across, right, "right", "left")}{(across > 0 && high > 0 ? ", " : "")}{ClicksOf(high, up, "up", "down")}. Then shoot three again.",
            SightForZero(var right, var up, _, _) => $"Sight {new PinWay(right, up)}. Then shoot three again.",
            Zeroed(var at) => $"{at} is zeroed.",
            ZeroedWithin(var tolerance, var chance) =>
                $"The true middle is {chance} likely within {tolerance}, as you shot today.",
            EnoughOfZero(var within, var at) => $"Usual: the middle within {within} at {at}. Strict is half of it.",
            MiddleSide(var side) => $"Middle {side}",
            DriftSide(var left, DriftLabel.Drift, var at) => $"Drift {(left ? "left" : "right")} to {at}",
            DriftSide(var left, DriftLabel.Slope, var at) => $"{(left ? "Left" : "Right")} for each {at}",
            DriftSide(var left, _, var at) => $"{(left ? "Left" : "Right")} at {at}, the zero",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(WalkSays says) =>
        says switch
        {
            WalkSays.NothingYet => $"Nothing yet: walk back from the zero.",
            WalkSays.OnePlumbLine => $"All hits at one plumb line, whatever their height.",
            WalkSays.LevelFirst =>
                $"Sight axes levelled first, the zero set, and a plumb line on the target to aim at from every distance.",
            WalkSays.TallBackstop =>
                $"One pin for all: aim at the top of a tall backstop, since the arrow drops, and nobody stands beyond it.",
            WalkSays.FiveShowMore => $"Three at each distance are a glance, five show what matters.",
            WalkSays.LevelTheSight => $"Level the sight’s axes and set each pin on a plumb line.",
            WalkSays.LevelThenWalkAnew =>
                $"If they are level, spin the arrows: one with a bent or turned vane planes. Then walk anew.",
            WalkSays.StraightOrCurvedNotDecided =>
                $"Straight or curved is not decided: the one is the sight’s, the other is not.",
            WalkSays.WalksDisagree =>
                $"The walks differ more than chance: something changed between them. One more tells which of them to believe.",
            WalkSays.WalkOnceMore => $"One more walk",
            WalkSays.MoreHitsDecide => $"More hits at the farthest distance",
            WalkSays.AnotherDayOrCalm => $"Another day, or calm air",
            WalkSays.LeastOfTheWind => $"The lag rule alone: an arrow that shows the wind its side drifts farther.",
            WalkSays.GroupsBeforeTheSight => $"The groups first: they show the bow, and the sight comes last.",
            WalkSays.NoDrift => $"No drift that matters.",
            WalkSays.FletchedAlone => $"Fletched arrows alone are shot here.",
            WalkSays.WalkAtTarget => $"A walk-back is shot at a target, without heads.",
            WalkSays.SayTheDistance => $"Say from which distance it was shot.",
            WalkSays.DriftIs =>
                $"How far the hits drift sideways from the zero to the farthest distance, by the fitted line. The ± holds the true drift with 95 %.",
            WalkSays.SlopeIs => $"The straight part of the drift: what a sight takes out with one move.",
            WalkSays.ZeroIs =>
                $"Where the hits at the zero lie by themselves: an error there is windage, and grows with distance.",
            WalkSays.SpreadIs => $"How far single hits stray sideways, as an angle: pooled within the distances.",
            WalkSays.Fitted => $"Fitted",
            WalkSays.HalfWidth => $"95 %",
            WalkSays.Source =>
                $"Least squares with weights 1/d², the sight line at the bow with a normal prior; t and F from the numerics library. Critical values NIST/SEMATECH e-Handbook 1.3.6.7",
            WalkSays.ZeroSource => $"Mean of its hits, t with the pooled spread",
            WalkSays.NoSightToMove =>
                $"Straight, and no sight to move: aim off, or look at how the string lies against the riser.",
            WalkSays.NothingShotYet => $"Nothing yet: three at the aiming point.",
            WalkSays.NearestPinFirst =>
                $"The nearest pin first: the windage that is set there serves all of them. Then each farther one up or down.",
            WalkSays.ShiftedAndThreeFresh =>
                $"What was shot before counts on, shifted by the move; three more see that the sight did it.",
            WalkSays.MoveIsNearer =>
                $"A move by the whole of it is nearer than leaving it, in the mean. The sight follows the arrow.",
            WalkSays.AMoveWouldBeAGuess =>
                $"So near that a move would chase the hand as often as the sight: more hits decide.",
            WalkSays.LessThanAClick => $"Less than a click of this sight is left.",
            WalkSays.MoreHitsHere => $"More hits at this mark",
            WalkSays.OneAimingPoint => $"One aiming point, and the arrow that the sight is to be set for.",
            WalkSays.MiddleIs =>
                $"Mean of the hits from their aiming point. The ± is the region that holds the true middle with 95 %.",
            WalkSays.MiddleSource =>
                $"F(2, ν) region, the spread pooled over all distances of the session as an angle; NIST/SEMATECH e-Handbook 1.3.6.7.3",
            WalkSays.SightedAtTarget => $"A sight is set at a target, with neither heads nor a walk-back.",
            WalkSays.IMovedOtherwise => $"sight set otherwise, shot anew",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string ClicksOf(int clicks, Measure way, string plus, string minus) =>
        clicks == 0 ? "" : $"{(clicks == 1 ? "one click" : $"{clicks} clicks")} {Side(way, plus, minus)}";

    private static string Cause(DriftCause cause) =>
        cause switch
        {
            DriftCause.Windage => "Sight or zero",
            DriftCause.Curve => "Lean, pins, planing",
            DriftCause.Wind => "Wind",
            _ => "Centre shot",
        };
}
