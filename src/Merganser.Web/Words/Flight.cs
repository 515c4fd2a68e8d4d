using Merganser.Core.Ballistics;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>What an arrow's flight tells.</summary>
public static class FlightWords
{
    public static FormattableString Of(FlightMessage message) =>
        message switch
        {
            HonestTo(var yards, _, true) => $"Honest beyond {yards}",
            HonestTo(var yards, RangeLimit.Group, _) => $"Honest to {yards}: your own group sets it",
            HonestTo(var yards, _, _) => $"Honest to {yards}: the range error sets it",
            HonestWithin(var low, var high, SpreadSource.Measured) =>
                $"{low:bare} to {high} by what is known of your group.",
            HonestWithin(var low, var high, _) => $"{low:bare} to {high}: your group is not measured.",
            HitAtHonest(var yards, { Value: 0 }, var chance) => $"At {yards} {chance} hit.",
            HitAtHonest(var yards, var error, var chance) => $"At {yards} and {error} wrong, {chance} hit.",
            UnlessMeasured(var yards) => $"Unless the range is measured and dialled: then {yards}.",
            SpreadIs(SpreadSource.Measured, var perYard, var hits, var plus) =>
                $"Your own groups with this bow: {perYard} at {Measure.Yards(FlightEntry.SpreadAt)} on one axis, {hits:hit}, ± {plus}.",
            SpreadIs(SpreadSource.Typed, var perYard, _, _) =>
                $"As you typed it: {perYard} at {Measure.Yards(FlightEntry.SpreadAt)} on one axis, wide on both sides.",
            SpreadIs(var source, var perYard, _, _) =>
                $"By experience, {source switch { SpreadSource.Steady => "steady", SpreadSource.Wide => "wide", _ => "usual" }}: {perYard} at {Measure.Yards(FlightEntry.SpreadAt)} on one axis. A guess, no source.",
            ChangeBuys(RangeChange.RangeMeasured, var yards, var by) =>
                $"Range measured and dialled: {yards} ({by:signed})",
            ChangeBuys(RangeChange.HalfTheGroup, var yards, var by) => $"Half the group: {yards} ({by:signed})",
            ChangeBuys(RangeChange.LighterPoint, var yards, var by) =>
                $"A point {Measure.Grains(FlightChange.Lighter, 0)} lighter: {yards} ({by:signed})",
            ChangeBuys(_, var yards, var by) =>
                $"An arrow {Measure.Grains(FlightChange.Heavier, 0)} heavier: {yards} ({by:signed})",
            PathAbove(var up, var at) => $"{up} above at {at}",
            PathBelow(var down, var at) => $"{down} below at {at}",
            AtTheTarget(FlownFigure.Speed, var at) => $"Speed at {at}",
            AtTheTarget(FlownFigure.Energy, var at) => $"Kinetic energy at {at}",
            AtTheTarget(FlownFigure.Momentum, var at) => $"Momentum at {at}",
            AtTheTarget(_, var at) => $"Time of flight at {at}",
            DriftIn(var wind, var at) => $"Drift at {at} in {wind} across, at the least",
            MarksFitted(0, _) => $"No mark of your own yet: speed, drag and sight say all of it.",
            MarksFitted(1, _) => $"One mark of your own: it places the tape. A second far one stretches it.",
            MarksFitted(var marks, var worst) =>
                $"{marks} marks of your own: the tape goes through them within {worst}.",
            MarkDoubted(var at, var off) =>
                $"Your mark at {at} lies {off:size} from where all others put it: shoot it again.",
            SlopeSet(var yards, var slope, var set, var byCosine) =>
                $"{yards} at {slope:signed}: set {set}; the level distance is {byCosine}.",
            MarkClips(var at) =>
                $"From {at} on vanes or shaft may strike the sight's housing: look along the arrow at that mark before you shoot.",
            PinsTooClose(var first, var second, var gap) =>
                $"Pins for {first} and {second} stand {gap} apart: closer than pins can be set.",
            PointIsOn(var yards, 0) =>
                $"Point on at about {yards}, for an eye {Measure.Inches(PointAim.UsualEye, 1)} over the nock.",
            PointIsOn(var yards, var proven) => $"Point on at about {yards}, by {proven} of your crawls.",
            PointHeld(var gap, true) => $"{gap} over the target",
            PointHeld(var gap, _) => $"{gap} under the target",
            TooLightToShow(var least) => $"Under {least} for this bow: no range is shown for it.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(FlightSays says) =>
        says switch
        {
            FlightSays.Drag => $"Drag coefficient",
            FlightSays.HonestRange => $"Honest range",
            FlightSays.GroupAlone => $"Your group alone",
            FlightSays.ErrorAlone => $"Range error alone",
            FlightSays.MissAtBothEnds => $"Middle off, range read wrong",
            FlightSays.RingOfNine => $"Ring of nine shots in ten",
            FlightSays.Circle => $"Half the circle",
            FlightSays.ChanceThere => $"Chance to hit there",
            FlightSays.RuleIs =>
                $"The sight is set for a distance, the target is really nearer or farther by the range error. Laid there, the ring of nine shots in ten must not touch the circle. The rule errs short: the chance itself is higher.",
            FlightSays.RuleSource =>
                $"A rule of this bench, which the eye can check. Ring: Rayleigh's distribution; chance: noncentral χ² (Abramowitz and Stegun 26.4.25).",
            FlightSays.RuleMoves => $"A measured range, a smaller group, a flatter arrow",
            FlightSays.GroupRule => $"√(2 ln 10) s d is half the circle",
            FlightSays.ErrorRule =>
                $"the middle is off by three quarters of half the circle (common practice, no source)",
            FlightSays.IntegratedIs =>
                $"The arrow as a point with drag as the square of its speed, followed step by step.",
            FlightSays.FlightSource => $"Runge and Kutta's fourth-order rule; air by ISO 2533",
            FlightSays.SpeedMoves => $"A chronograph, at the bow and down range",
            FlightSays.DragIs =>
                $"On the section of the shaft, by its diameter and length, its vanes and its head. Wind tunnels found 1.5 where the air along it is laminar and 2.6 where it is turbulent.",
            FlightSays.DragSource => $"Wind-tunnel papers, from memory; shared out by wetted area (ours, no source)",
            FlightSays.DragMoves => $"A second chronograph down range, or marks proven far out",
            FlightSays.TubeSides => $"Sides of the shaft",
            FlightSays.VaneSides => $"Vanes",
            FlightSays.EndsOfIt => $"Point, tail and head",
            FlightSays.OfItsSection => $"its share, before any mark",
            FlightSays.FittedToOwn => $"with your own marks and readings",
            FlightSays.DriftIs =>
                $"What the wind adds while the arrow is slower than in vacuum. A lower bound: an arrow shows the wind its side as well.",
            FlightSays.DriftSource => $"Lag rule of exterior ballistics",
            FlightSays.DriftMoves => $"A slimmer, heavier or faster arrow",
            FlightSays.LawComesFirst =>
                $"Local law and the landowner come first. An honest range is no permission to shoot, and says nothing of an animal that moves.",
            FlightSays.NoArrowYet => $"Build an arrow and keep it first.",
            FlightSays.ProveTwoMarks => $"Prove two marks on the range, a near and a far one.",
            FlightSays.ProveOneMore => $"Prove one more mark, as far out as you shoot.",
            FlightSays.PrintTheTape => $"Print the sight tape, then prove it on the range.",
            FlightSays.MeasureYourGroup => $"Shoot a group at a target first: your spread sets the range.",
            FlightSays.SetsTheTape => $"Two marks place the tape and stretch it.",
            FlightSays.CheckTheBar => $"Lay a rule on the printed bar before you cut.",
            FlightSays.HonestOnlySoFar => $"Until then the range stands on a guess.",
            FlightSays.NothingFits => $"This arrow does not carry so far.",
            FlightSays.OnTheTarget => $"on the target",
            FlightSays.MarksAreNumbers =>
                $"Write one number for every so many, or the distances themselves: 12, 18, 25.",
            FlightSays.MarksAreMany => $"Forty marks at the most.",
            FlightSays.NoSight => $"This bow has no sight, so it has no tape.",
            FlightSays.ToTheArrow => $"To the arrow",
            FlightSays.ToTheTarget => $"To the target",
            FlightSays.WriteAMark => $"Write down a mark",
            FlightSays.Print => $"Print the tape",
            FlightSays.PrintTheCard => $"Print the card",
            FlightSays.ShootTheCard => $"Shoot the distances of this card once.",
            FlightSays.WhatIsShotWins => $"What is shot wins over what is computed: write it under Crawls.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
