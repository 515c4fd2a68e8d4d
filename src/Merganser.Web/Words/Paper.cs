using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>Tears, stages and trials.</summary>
public static class PaperWords
{
    public static FormattableString Of(PaperMessage message) =>
        message switch
        {
            TailAt(var right, var up) => $"{new TailSideways(right)}, {new TailHeight(up)}",
            TailSideways(var right) when Nought(right) => $"{right.Times(0) with { Decimals = 0 }} sideways",
            TailSideways(var right) => $"{right.Size} {Side(right, "right", "left")}",
            TailHeight(var up) when Nought(up) => $"{up.Times(0) with { Decimals = 0 }} in height",
            TailHeight(var up) => $"{up.Size} {Side(up, "high", "low")}",
            MeanTail(null, null, _) { Known: false } => $"Not known yet: the holes differ too much.",
            MeanTail(null, null, _) => $"Level both ways.",
            MeanTail(null, { } up, var little) tail =>
                $"Tail {Side(up, "high", "low")} {Little(up, little)}{up.Size}. Left and right are {(tail.Known ? "level" : "not known yet")}.",
            MeanTail({ } right, null, var little) tail =>
                $"Tail {Side(right, "right", "left")} {Little(right, little)}{right.Size}. Height is {(tail.Known ? "level" : "not known yet")}.",
            MeanTail({ } right, { } up, var little) =>
                $"Tail {Side(right, "right", "left")} {Little(right, little)}{right.Size}, tail {Side(up, "high", "low")} {Little(up, little)}{up.Size}.",
            OneSaid(var said) => $"{said:cap}, as it was said.",
            TailAsSaid({ Value: 0 }, { Value: 0 }) => $"one clean hole",
            TailAsSaid({ Value: 0 }, var up) => $"tail {Side(up, "high", "low")} {up.Size}",
            TailAsSaid(var right, { Value: 0 }) => $"tail {Side(right, "right", "left")} {right.Size}",
            TailAsSaid(var right, var up) =>
                $"tail {Side(right, "right", "left")} {right.Size}, tail {Side(up, "high", "low")} {up.Size}",
            SizeSaid(var code, var of) => $"{SizeOf(code, of)}",
            StageName { NockEnd: true } stage => $"{stage.Distance} nock end",
            NockEndStandsFor(var nock, var tear, var at) =>
                $"At {at} a nock end {nock} beside the point stands for {tear} of tear.",
            StageName { Ways: { } ways } stage => $"{stage.Distance} {ways.First} / {ways.Second}",
            StageName { RangeError: { } error } stage => $"{stage.Distance} ± {error}",
            StageName(var distance, _, _, _, _, true) => $"{distance} sight",
            StageName(var distance, _, true, true, _, _) => $"{distance} heads",
            StageName(var distance, _, true, _, WalkPins.Own, _) => $"walk-back from {distance}",
            StageName(var distance, _, true, _, WalkPins.One, _) => $"walk-back from {distance}, one pin",
            StageName(var distance, _, true, _, _, _) => $"{distance} groups",
            StageName(var distance, var fletched, _, _, _, _) => $"{distance} {(fletched ? "fletched" : "bare")}",
            UsualStages("threeFifteen", [var near, var far, ..]) => $"{near:bare}, then {far} bare, then both fletched",
            UsualStages("groups", [var only, ..]) => $"groups at a target, {only}",
            UsualStages("threeGroups", [var near, var far, ..]) => $"{near} paper, then groups at {far}",
            UsualStages("heads", [var only, ..]) => $"broadheads, {only}",
            UsualStages("groupsHeads", [var near, var far, ..]) => $"groups at {near}, then broadheads at {far}",
            UsualStages("sighting", [var near, .., var far]) => $"sight in, {near:bare} to {far}",
            UsualStages("nockEnd", [var only]) => $"nock end of bare shafts, {only}",
            UsualStages("nockEndGroups", [var near, var far]) => $"nock end at {near}, then groups at {far}",
            UsualStages("ways", [var only, ..]) => $"two ways compared, {only}",
            UsualStages("rangeError", [var only, ..]) => $"range error, {only}",
            UsualStages("walk", [var zero, ..]) => $"walk-back from {zero}, each with its own pin",
            UsualStages("walkOnePin", [var zero, ..]) => $"walk-back from {zero}, one pin",
            UsualStages("groupsWalk", [var near, ..]) => $"groups at {near}, then a walk-back",
            UsualStages(_, [var only]) => $"{only}",
            UsualStages(_, [var near, var far, ..]) => $"{near}, then {far}",
            FTest(var f, var top, var bottom, var p) =>
                $"F({Show.Number(top, 0)}, {Show.Number(bottom, 0)}) = {Show.Number(f, 2)}, {Show.Probability(p)}",
            SideLabel(var side) => $"{side.ToString()}",
            UsuallyAbout(var spread) => $"usual about {spread:bare}",
            MeanOver(var shots, TearSide.Right) => $"Σ / n over {shots:shot}, right positive",
            MeanOver(var shots, _) => $"Σ / n over {shots:shot}, up positive",
            Tolerates(var shaft, var lightest, var heaviest) when lightest == heaviest => $"{shaft}: {lightest}",
            Tolerates(var shaft, var lightest, var heaviest) => $"{shaft}: {lightest:bare} to {heaviest}",
            TearTooLong(var longest) => $"A tear over {longest} is no tear of one arrow: look at the two holes again.",
            OffSheet(var tail, var reach) =>
                $"The {(tail ? "tail" : "point")} hole lies off the sheet: at most {reach} from its middle.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(PaperSays says) =>
        says switch
        {
            PaperSays.SpreadAssumed => $"Spread, assumed",
            PaperSays.Spread => $"Spread",
            PaperSays.OneShotShowsNone => $"one shot shows none",
            PaperSays.SpreadIs => $"How far single tears stray from their mean, per axis.",
            PaperSays.SpreadS => $"Spread s",
            PaperSays.AssumedForOneShot => $"one shot: the usual spread is assumed",
            PaperSays.PooledDeviation => $"Pooled standard deviation of both axes",
            PaperSays.TradeGuess => $"Trade-like guess, no source",
            PaperSays.LevelAxis => $"level",
            PaperSays.MeanOfTheTail =>
                $"Mean of the tail's place against the point's hole, seen from the shooting side. The ± is the region that holds the true mean with 95 %.",
            PaperSays.MeanLine => $"Mean",
            PaperSays.RegionLine => $"Region",
            PaperSays.SizeLine => $"Size shown",
            PaperSays.WithoutItsSign => $"without its sign",
            PaperSays.TearSource => $"Mean and F(2, 2(n−1)) region; critical values NIST/SEMATECH e-Handbook 1.3.6.7.3",
            PaperSays.MoreShotsNarrow => $"More shots narrow the region; a voided shot is left out.",
            PaperSays.NeedsNoMove => $"needs no move",
            PaperSays.WantsAMove => $"wants a move, or another arrow",
            PaperSays.InsideSoFar => $"inside so far, more shots would tell",
            PaperSays.OutsideSoFar => $"outside so far, more shots would tell",
            PaperSays.NotEnoughForACause =>
                $"Not enough yet: two arrows with two shots each say whether it is the bow or the arrow.",
            PaperSays.ArrowOneNeedsNoMove => $"The arrow: they tear apart, and one of them needs no move.",
            PaperSays.ArrowsTearApart => $"The arrow: they tear apart from one another.",
            PaperSays.BowOrArcher => $"The bow, or the archer: all arrows tear alike.",
            PaperSays.NeitherBowNorArrow => $"Neither: all arrows fly alike and inside.",
            PaperSays.TakenInWrongly => $"taken in wrongly",
            PaperSays.SettlesStringWork => $"settles new string work",
            PaperSays.PaperTaut => $"Paper taut, and the arrow level through it.",
            PaperSays.TargetBehind =>
                $"Target a long step or more behind the paper, so that the whole arrow has left it before the point stops.",
            PaperSays.BackstopClear =>
                $"Backstop and a clear range behind; nobody in front of the line, one shooter at a time.",
            PaperSays.BareOnly =>
                $"Bare shafts only: a vane straightens the arrow on its way and hides what the bow does.",
            PaperSays.NockEndOfBare =>
                $"A nock end is read of bare shafts: fletched arrows have swung through by then.",
            PaperSays.NockEndPress =>
                $"A soft target, so that shafts stand as they flew. Mark where the point went in, then where the nock end is seen.",
            PaperSays.FletchedFar =>
                $"Fletched and farther out the vanes have done most of it: three shots for each decision, and a tear of half the size counts.",
            PaperSays.TuneToTheHand => $"Tune to the hand as it is: go on, more shots for each decision.",
            PaperSays.MendTheForm => $"Mend the form first: a week at the bale, eyes shut, then this paper again.",
            PaperSays.ShaftLookedOver => $"Every shaft looked over and flexed: a cracked one is destroyed, not shot.",
            PaperSays.NothingCountsYet => $"No shot counts on this paper yet: there is nothing to accept.",
            PaperSays.NothingShotSinceMove =>
                $"Nothing was shot since the last move: shoot at this setting, or take the move back.",
            PaperSays.MarkTheTail => $"Mark the tail's hole, type its place or say it.",
            PaperSays.SizeNotInList => $"That size is not in the list.",
            PaperSays.NoSuchDecision => $"One, three, five, or until it is clear.",
            PaperSays.OutcomeWanted => $"Nothing found, something found, shot, or left.",
            PaperSays.NoteWanted => $"A note of at least one word.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static InWords SizeOf(string code, Measure of) =>
        code switch
        {
            "touch" => new("a touch"),
            "quarter" => new("a quarter inch", of),
            "shaft" => new("a shaft's width"),
            "half" => new("half an inch", of),
            "inch" => new("about an inch", of),
            "inchHalf" => new("an inch and a half", of),
            "two" => new("two inches", of),
            _ => new("three inches", of),
        };

    /// <summary>Half of the last decimal that is shown, inches: less than that lies on neither side.</summary>
    internal static bool Nought(Measure measure) => Math.Abs(measure.Value) < 0.005;

    internal static string Side(Measure measure, string plus, string minus) => measure.Value < 0 ? minus : plus;

    private static string Little(Measure measure, Measure little) =>
        Math.Abs(measure.Value) < little.Value ? "a little, " : "";
}
