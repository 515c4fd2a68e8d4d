using Merganser.Core.Groups;
using Merganser.Core.Units;
using static Merganser.Web.Words.PaperWords;

namespace Merganser.Web.Words;

/// <summary>Two ways compared, and range errors.</summary>
public static class WayWords
{
    public static FormattableString Of(WayMessage message) =>
        message switch
        {
            WaysShown(_, _, var times, GroupVerdict.NoDifferenceShown) =>
                $"No difference of size shown: one is {times} times as wide as the other.",
            WaysShown(var tighter, var wider, var times, var verdict) =>
                $"“{wider}” is {times} times as wide as “{tighter}”: {Shown(verdict)}.",
            WaysTooFew(var each, var first, var ofFirst, var second, var ofSecond) =>
                $"Too few to compare, {each} of each: “{first}” {ofFirst}, “{second}” {ofSecond}.",
            WaysToShoot(1, var next) => $"Shoot one more of each, in turn: “{next}” is next.",
            WaysToShoot(var each, var next) => $"Shoot {each} more of each, in turn: “{next}” is next.",
            KeepTheWay(var tighter) => $"Keep “{tighter}”: its groups are tighter.",
            WaysApart(_, _, _, _, GroupVerdict.NoDifferenceShown) => $"Both strike one place, as far as is shown.",
            WaysApart(var first, var right, var up, var second, var verdict) =>
                $"“{first}” strikes {new StruckAt(right, up)} of “{second}”: {Shown(verdict)}.",
            SizeTested(var test, var low, var high, var threshold) { OneLook: true } =>
                $"{test} of their radii; 95 % from {low} to {high} times. A change is said where p is below {Show.Number(threshold, 2)}.",
            SizeTested(var test, var low, var high, var threshold) =>
                $"{test} of their radii; 95 % from {low} to {high} times. Clear is p below {Show.Number(threshold, 3)} at each look, 5 % over all of them.",
            WaysWouldShow(var each, var twice, var half) =>
                $"{each} of each show a group twice as wide in {twice}, one half as wide again in {half}.",
            HalfAgainTakes(var each) => $"Half as wide again wants {each} of each, to be shown four times in five.",
            HitsStrung(false, var times, _) => $"No strings: {times} times as tall as wide.",
            HitsStrung(_, var times, true) =>
                $"Strings up and down, {times} times as tall as wide, with a clean paper: look at the gap of the nock sets.",
            HitsStrung(_, var times, _) =>
                $"Strings up and down, {times} times as tall as wide: where the paper is clean, look at the gap of the nock sets.",
            StringTested(var test, var arrows) => $"{test} over {arrows:arrow}, height against side of each.",
            SizeOfWay(var way) => $"Spread, {way}",
            WayNamed(var way, var count) => $"{way}, {count}",
            HandIs(var spread, var at, var hits) => $"Single arrows stray {spread} at {at}, by {hits:hit}.",
            HandChanged(var spread, var before, var at, true, true) =>
                $"Wider than usual: single arrows stray {spread} at {at}, before it {before}.",
            HandChanged(var spread, var before, var at, true, _) =>
                $"Tighter than usual: single arrows stray {spread} at {at}, before it {before}.",
            HandChanged(var spread, var before, var at, _, _) =>
                $"As usual: single arrows stray {spread} at {at}, before it {before}. No change is shown.",
            DayShot(var spread, var low, var high, var six, var hits) =>
                $"{spread} ({low:bare} to {high:bare}); six arrows {six}; {hits:hit}",
            ShotFrom(var yards) => $"{yards:and}",
            SizeAt(SizeLabel.Newest, var at) => $"Spread of a shot at {at}",
            SizeAt(SizeLabel.Before, var at) => $"The days before, at {at}",
            SizeAt(_, var at) => $"Mean radius of six at {at}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(WaySays says) =>
        says switch
        {
            WaySays.NothingShotYet => $"Nothing yet: one of each way in turn, at one aiming point.",
            WaySays.InTurnSameAim =>
                $"One of each way in turn, all at one aiming point with the sight as it stands: a tired arm then falls on both.",
            WaySays.ShootInTurn => $"In turn, so that light, wind and a tired arm fall on both.",
            WaySays.SizesTakeMany => $"Sizes take many arrows: fewer would miss even a group twice as wide.",
            WaySays.NoSizeShown => $"No difference of size shown: shoot the way you like.",
            WaySays.ThreeCannot =>
                $"Groups of three or four cannot tell sizes apart: chance alone makes one twice the other.",
            WaySays.OwnMarkEach => $"They strike apart as well: the way that is kept wants its own sight mark.",
            WaySays.AnotherDayEach => $"One day’s hand; the same on another day makes it sure.",
            WaySays.AnotherDay => $"Another day",
            WaySays.MoreOfEachWay => $"More of each way",
            WaySays.SizeIs =>
                $"How far single arrows stray on one axis from their own centre. The band holds the true spread with 95 %.",
            WaySays.RatioIs => $"Mean radius of the wider way for one of the tighter, each about its own centre.",
            WaySays.SizeSource =>
                $"Closed forms of the normal distribution in two dimensions, χ² band; t test of radii (Levene 1960), NIST/SEMATECH e-Handbook 1.3.5.10",
            WaySays.RatioLabel => $"Wider for one of the tighter",
            WaySays.MeanRadiusOfSix => $"Mean radius, as if six arrows",
            WaySays.NoGroupsYet => $"No groups yet: two arrows at one aiming point begin one.",
            WaySays.SizesArePooled =>
                $"Squares about each end’s own centre are added, as an angle; days are kept apart. The band holds the true spread with 95 %.",
            WaySays.SixAre =>
                $"What six arrows show in the mean: a size that grows with their number is told for one number alone.",
            WaySays.MoreDays => $"More arrows, or another day",
            WaySays.SayWhichWay => $"Say which way it was shot.",
            WaySays.NamesDiffer => $"Two names, so that they can be told apart.",
            WaySays.WaysAtTarget => $"Two ways are compared at a target, with nothing else in the same stage.",
            WaySays.OnlyOneDiffers => $"Only the one thing differs: the same arrows, distance and sight.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    public static FormattableString Of(RangeMessage message) =>
        message switch
        {
            RangeErrorCosts(var error, var at, var cost, var plus) =>
                $"At {at} a range {error} wrong costs {cost.Size} of height, ± {plus}.",
            RangeTooFew(var each, var far, var near) =>
                $"Too few to read, {each} with each setting: {far.Hits} with {far.At}, {near.Hits} with {near.At}.",
            RangeToShoot(1, var set, var at) => $"At {at} shoot one more with each setting: sight for {set} is next.",
            RangeToShoot(var each, var set, var at) =>
                $"At {at} shoot {each} more with each setting: sight for {set} is next.",
            RangeAffords(var allowed, var error, var least, var most, var at) =>
                $"± {allowed} is used up by a range {error} wrong at {at} ({least:bare} to {most:bare}).",
            ZeroTakenOff(var up, var plus) when Nought(up) => $"The zero itself strikes level, ± {plus}: taken off.",
            ZeroTakenOff(var up, var plus) =>
                $"The zero itself strikes {up.Size} {Side(up, "high", "low")}, ± {plus}: taken off.",
            CostComputed(var cost, true) => $"By weight and speed it should cost {cost.Size}: it does not.",
            CostComputed(var cost, _) =>
                $"By weight and speed it should cost {cost.Size}: it does, as far as is shown.",
            CostTested(var test) => $"{test} against the computed one.",
            CostOf(var error, var at) => $"A range {error} wrong at {at}",
            SetFor(var yards, var hits) => $"sight for {yards}, {hits}",
            GuessesLean(true, var at) => $"Guessed long at {at}",
            GuessesLean(_, var at) => $"Guessed short at {at}",
            GuessesSpread(var at) => $"Spread of guesses at {at}",
            GuessesWithin(var at) => $"Nine in ten at {at}",
            GuessesStayWithin(var error, var at, var guesses) =>
                $"Nine guesses in ten stay within {error} at {at}, by {Guesses(guesses)}.",
            GuessesToGo(var guesses) => $"{Guesses(guesses)} more before anything is told.",
            GuessWas(var guessed, var measured, var off) when Math.Abs(off.Value) < .05 =>
                $"said {guessed}, was {measured}",
            GuessWas(var guessed, var measured, var off) =>
                $"said {guessed}, was {measured}: {off.Size} {Side(off, "long", "short")}",
            GuessesHere({ Value: 0 }, { } to, var guesses, var mean, var spread) =>
                $"under {to}: {Mean(mean)}{Spread(spread)}, {Guesses(guesses)}",
            GuessesHere(var from, { } to, var guesses, var mean, var spread) =>
                $"{from:bare} to {to}: {Mean(mean)}{Spread(spread)}, {Guesses(guesses)}",
            GuessesHere(var from, _, var guesses, var mean, var spread) =>
                $"{from} and more: {Mean(mean)}{Spread(spread)}, {Guesses(guesses)}",
            GuessesAfford(var chance, var error, var at) =>
                $"{chance} of your guesses at {at} stay within the {error} that the arrow affords.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(RangeSays says) =>
        says switch
        {
            RangeSays.NothingShotYet => $"Nothing yet: three arrows with each setting, in mixed order.",
            RangeSays.MixedOrder =>
                $"Same place, same aim, in mixed order; the sight set long for the one and short for the other.",
            RangeSays.TallBackstop =>
                $"A tall backstop: hits lie high and low on purpose, and nobody stands beyond it.",
            RangeSays.BothSides =>
                $"Three with each setting: what lies between them is the finding, the zero’s own error leaves.",
            RangeSays.CostNotSharp => $"More of both tell it to a quarter of itself.",
            RangeSays.CostsNothing => $"Not told from nought: so flat an arrow, or too few hits.",
            RangeSays.MoreWithEach => $"More hits with each setting",
            RangeSays.MeasuredSpeed => $"A measured speed, or more hits",
            RangeSays.Seen => $"Seen",
            RangeSays.Computed => $"By weight and speed",
            RangeSays.ComputedIs =>
                $"flat fire with drag, the line of sight above the arrow; half of what lies between both settings",
            RangeSays.CostIs =>
                $"Half of what lies between the two middles in height. The ± holds the true cost with 95 %.",
            RangeSays.ZeroIs =>
                $"Where an arrow would strike with the sight set right: the middle of both, less what the path bends.",
            RangeSays.SpreadIs => $"How far single arrows stray in height, pooled over both settings.",
            RangeSays.Source =>
                $"t of a difference of means, NIST/SEMATECH e-Handbook 1.3.5.3; flat-fire path with drag",
            RangeSays.Lean => $"Lean",
            RangeSays.LeanIs => $"How far guesses lie off in the mean: as a share of the distance, at this one.",
            RangeSays.SpreadOfGuesses => $"Spread",
            RangeSays.GuessSpreadIs =>
                $"How far guesses differ among each other: as a share of the distance, at this one. The band holds the true one with 95 %.",
            RangeSays.NineLabel => $"Nine in ten",
            RangeSays.NineIs => $"Nine guesses in ten are off by no more than this, either way.",
            RangeSays.GuessSource =>
                $"Normal error that grows with the distance; χ² band, NIST/SEMATECH e-Handbook 1.3.5.8",
            RangeSays.MoreGuesses => $"More guesses",
            RangeSays.TrialAtTarget => $"A range error is tried at a target, with nothing else in the same stage.",
            RangeSays.SaySightSetting => $"Say for which of the two distances the sight was set.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string Shown(GroupVerdict verdict) =>
        verdict switch
        {
            GroupVerdict.Clear => "clear",
            GroupVerdict.Likely => "likely, not yet clear",
            _ => "not shown",
        };

    private static string Guesses(int count) => $"{Show.Number(count, 0)} {(count == 1 ? "guess" : "guesses")}";

    private static FormattableString Mean(Measure mean)
    {
        if (Math.Abs(mean.Value) < .05)
        {
            return $"right in the mean";
        }

        return $"{mean.Size} {Side(mean, "long", "short")} in the mean";
    }

    private static FormattableString Spread(Measure? spread)
    {
        if (spread is { } wide)
        {
            return $", spread {wide}";
        }

        return $"";
    }
}
