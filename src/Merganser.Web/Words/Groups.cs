using Merganser.Core.Groups;
using Merganser.Core.Units;
using static Merganser.Web.Words.PaperWords;

namespace Merganser.Web.Words;

/// <summary>Groups at a target.</summary>
public static class GroupWords
{
    public static FormattableString Of(GroupMessage message) =>
        message switch
        {
            OffsetShown(_, _, GroupVerdict.NoDifferenceShown, var tested) =>
                $"No difference shown between {(tested == ArrowKind.Bare ? "bare and fletched" : "heads and field points")}.",
            OffsetShown(var right, var up, var verdict, var tested) =>
                $"{Land(tested)} {new StruckAt(right, up)}: {(verdict == GroupVerdict.Clear ? "clear" : "likely, not yet clear")}.",
            StruckAt(var right, var up) when Nought(right) && Nought(up) => $"on the same place",
            StruckAt(var right, var up) when Nought(up) => $"{right.Size} {Side(right, "right", "left")}",
            StruckAt(var right, var up) when Nought(right) => $"{up.Size} {Side(up, "high", "low")}",
            StruckAt(var right, var up) =>
                $"{right.Size} {Side(right, "right", "left")}, {up.Size} {Side(up, "high", "low")}",
            PairsToGo(2, ArrowKind.Bare) => $"Too few to read: two bare and two fletched at the least.",
            PairsToGo(2, _) => $"Too few to read: two heads and two field points at the least.",
            PairsToGo => $"Too few to read: one more pair.",
            GroupsToShoot(0, var bare, ArrowKind.Bare) =>
                $"Shoot {bare} more bare, and mark where {(bare == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var fletched, 0, ArrowKind.Bare) =>
                $"Shoot {fletched} more fletched, and mark where {(fletched == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var fletched, var bare, ArrowKind.Bare) =>
                $"Shoot {fletched} fletched and {bare} bare, and mark where they strike.",
            GroupsToShoot(0, var heads, _) =>
                $"Shoot {heads:more head}, and mark where {(heads == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var points, 0, _) =>
                $"Shoot {points:more field point}, and mark where {(points == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var points, var heads, _) =>
                $"Shoot {points:field point} and {heads:head}, and mark where they strike.",
            MoveThenBoth(var order, null) => $"{order}, then shoot both groups anew.",
            MoveThenBoth(var order, { } chance) =>
                $"A test, {chance} likely to bring it inside: {order}. Then shoot both groups anew.",
            ReadAsTear(var right, var up, var tested) =>
                $"{Name(tested)} {new StruckAt(right, up)}: as a paper that tears tail {Opposite(right, up)}.",
            OffsetTest(var test, var radius, var spread, var threshold) =>
                $"{test}; clear is p below {Show.Number(threshold, 3)} at each look, 5 % over all of them. 95 % region ± {radius}, spread of a shot {spread}.",
            MoreOfEach(var pairs, var offset, var sentence) =>
                $"{pairs} more of each would show an offset of {offset} four times in five{(sentence ? "." : "")}",
            TestedSide(var side, var tested) => $"{Name(tested)} {side}",
            PairsShow(var pairs, var offset, var chance) =>
                $"{pairs} of each show an offset of {offset} with {chance}.",
            ChanceByPairs(var chance, var here, var elsewhere) =>
                $"{chance}: {here:pair} at this setting, {elsewhere} at others of this stage.",
            StepOffsets(var name, var step, var offset, var other, var tested) =>
                $"{name}: one {step} moves {(tested == ArrowKind.Bare ? "bare against fletched" : "heads against field points")} by {offset} on this bow{(other ? ", the other way than usual" : "")}.",
            RestSettledAtTarget(var left, var click, ArrowKind.Bare) =>
                $"Settled on this bow: a click to the right moves bare shafts {(left ? "left" : "right")} of fletched, about {click}.",
            RestSettledAtTarget(var left, var click, _) =>
                $"Settled on this bow: a click to the right moves heads {(left ? "left" : "right")} of field points, about {click}.",
            OffsetIgnores(var moves, var deaf) =>
                $"{moves:move} changed the offset less than they should; that no move helps is {deaf} likely.",
            BareIsLighter(var high) =>
                $"Bare shafts are lighter and strike {high.Size} high for that alone: taken off.",
            HeadShares(var leave, var sight, var tune) => $"Leave it {leave}, the sight {sight}, the bow {tune}.",
            HeadPlaces(var tolerance, var half, var straight) =>
                $"Within {tolerance} nothing is to be done. {Straight(straight)} A diagonal, or a bad flight, is the bow’s. Straight is within {Show.Number(half, 1)}° of an axis.",
            SightForHeads(var right, var up, var clicks) =>
                $"For heads, sight {new PinWay(right, up)}{Clicks(clicks)}. Then shoot both groups anew.",
            PinWay(var right, var up) when Still(right) && Still(up) => $"as it is",
            PinWay(var right, var up) when Still(right) => $"{Side(up, "up", "down")} {up.Size}",
            PinWay(var right, var up) when Still(up) => $"{Side(right, "right", "left")} {right.Size}",
            PinWay(var right, var up) =>
                $"{Side(right, "right", "left")} {right.Size}, {Side(up, "up", "down")} {up.Size}",
            BothMarksKept(var right, var up) =>
                $"On that mark field points land {new StruckAt(right, up)}: keep both marks, one for each.",
            SightUsed(var eye, null, true) => $"Eye to pin {eye}, as measured; no clicks.",
            SightUsed(var eye, { } click, true) => $"Eye to pin {eye}, one click {click}, as measured.",
            SightUsed(var eye, _, _) => $"Eye to pin {eye}, as is usual: measure yours at full draw, with help.",
            HeadMarkMovedBy(var right, var up) => $"sight for heads {new PinWay(right, up)}",
            HeadMarkStands(var right, var up) =>
                $"The heads’ own mark: {new PinWay(right, up)} from the field points’.",
            HeadsFlewBadly(var rough, var seen) => $"{rough} of {seen:head} flew badly: the bow before the sight.",
            HeadsCompared(null) => $"No head stands apart.",
            HeadsCompared(var number) => $"Head {number} stands apart: spin it, weigh it, leave it out.",
            HeadsTest(var test) => $"{test}, heads among each other.",
            WithoutHead(var number, null) => $"Without head {number} too few are left to read.",
            WithoutHead(var number, { } shown) => $"Without head {number}: {shown}",
            FromAllHeads(var right, var up) => $"{new StruckAt(right, up)}",
            HeadFlight(0, 0, true) => $"practice head",
            HeadFlight(0, 0, _) => $"not noted",
            HeadFlight(0, _, _) => $"clean",
            HeadFlight(var rough, var seen, _) => $"{rough} of {seen} flew badly",
            ShotIn("", var seated, { } across) =>
                $"Wind across from the {Side(across, "left", "right")}, {across.Size}{Seat(seated)}.",
            ShotIn(var wind, var seated, { } across) =>
                $"Wind: {wind}; across from the {Side(across, "left", "right")}, {across.Size}{Seat(seated)}.",
            ShotIn("", true, _) => $"Shot from a seat.",
            ShotIn("", false, _) => $"Shot standing, no wind noted.",
            ShotIn(var wind, var seated, _) => $"Wind: {wind}{Seat(seated)}.",
            FaceHangs(var wide, 0) => $"A blank sheet, {wide} across.",
            FaceHangs(var wide, 1) => $"A face {wide} across with one ring.",
            FaceHangs(var wide, var rings) => $"A face {wide} across with {rings} rings.",
            FaceOfOwnRings(var wide, var rings) => $"A face {wide} across with rings of {rings}.",
            RingsFromTo(var most) => $"A face has from 0 to {most} rings; 0 is a blank sheet.",
            SlantsSeen(var kind, var seen, 0, 0, 0, 0) =>
                $"{Shafts(kind)} stand straight in the target: {seen} looked at.",
            SlantsSeen seen => $"{Shafts(seen.Kind)} in the target: {Slants(seen)}, of {seen.Seen} looked at.",
            EnoughAtTarget(var bare, var bareAt, var heads, var headsAt) =>
                $"Usual: {bare} bare against fletched at {bareAt}, {heads} with heads at {headsAt}. Strict is half of it.",
            PaperExpects(var right, var up, var tested, var agrees) =>
                $"Paper with the bow as it stands lets {(tested == ArrowKind.Bare ? "bare shafts" : "heads")} land {new StruckAt(right, up)}: {Agreed(agrees)}.",
            TableLine(var line, var what) => $"Line {line}: {what}",
            TimesTheTear(var times, var at) =>
                $"At {at} an offset is about {times} times the tear, give or take a third; tail right is left at the target.",
            HeadsDrag(var low) => $"About {low} of low is the head’s own drag: no tear, and the sight’s to answer.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(GroupSays says) =>
        says switch
        {
            GroupSays.EachAtItsOwnSpot =>
                $"Two aiming points a hand apart, one for each kind, so that shafts don't meet; each counts from its own.",
            GroupSays.BothAnew => $"A move shifts both groups: old shots don't count with new ones.",
            GroupSays.NoMoveHelps =>
                $"Twelve pairs at this setting, and no move is worth making: accept it, or look for the cause.",
            GroupSays.ThePartner => $"The two kinds are read in pairs; one waits for its partner.",
            GroupSays.SpreadOfAShot => $"Spread of a shot",
            GroupSays.MeanOffset => $"Offset",
            GroupSays.RegionOfOffset => $"Region",
            GroupSays.ChanceAlone => $"By chance alone",
            GroupSays.OffsetIs =>
                $"Centre of the bare shafts less the centre of the fletched arrows, each from its own aiming point. The ± is the region that holds the true offset with 95 %.",
            GroupSays.SpreadIs =>
                $"How far single shots stray from the centre of their group, per axis, both groups together.",
            GroupSays.Source =>
                $"F test of two means of one spread, F(2, 2(n + m − 2)) in closed form; critical values NIST/SEMATECH e-Handbook 1.3.6.7.3. Limits of p by 400,000 simulated sessions",
            GroupSays.MorePairsNarrow => $"More pairs narrow the region; a voided shot is left out.",
            GroupSays.BareHigh => $"a lighter shaft is faster and strikes high: from weight, speed and drag",
            GroupSays.BareTaped =>
                $"Bare shafts are taped to the weight of the vanes: nothing is taken off their height.",
            GroupSays.MarkOnTheFace => $"This set is shot at a target: mark where the arrow struck.",
            GroupSays.MarkOnThePaper => $"This set is shot through paper: mark the holes.",
            GroupSays.NoHeadOnBare =>
                $"A bare shaft never carries a broadhead; a field point of the same weight goes on it.",
            GroupSays.OffsetOfHeadsIs =>
                $"Centre of the heads less the centre of the field points, each from its own aiming point. The ± is the region that holds the true offset with 95 %.",
            GroupSays.MarkOfHeads => $"The sight answers heads and walk-backs: this set is shot otherwise.",
            GroupSays.RingWiderThanFace => $"No ring is wider than its face.",
            GroupSays.NoSight =>
                $"This bow is shot without a sight: heads that land elsewhere are tuned, or aimed off.",
            GroupSays.HeadsAtTarget => $"Broadheads are shot at a target, never through paper: choose groups.",
            GroupSays.SayHowThePinMoved => $"Say how the pin was moved: right or up, left and down with a minus.",
            GroupSays.HeadsAndFieldPoints => $"This set is shot with heads and field points.",
            GroupSays.BareAndFletched => $"This set is shot bare and fletched.",
            GroupSays.ThreeBeforeSightOrBow => $"Sight or bow is told from three of each on.",
            GroupSays.SightOrBowNotDecided => $"The region lies over more than one answer: more of each decide it.",
            GroupSays.MorePairsDecide => $"More of each, or another flight",
            GroupSays.HeadsOnTheirMark =>
                $"Aim heads with their own mark, field points with theirs: both should land on their points.",
            GroupSays.SpinAndWeighIt =>
                $"A head that wobbles, or weighs otherwise, flies like that: spin each, weigh each.",
            GroupSays.EachHeadTwice => $"More hits of each head",
            GroupSays.HeadsCut => $"Heads cut: on and off with a wrench, never by hand, nock end away from you.",
            GroupSays.HeadsQuiver => $"A covered quiver until the shot; blades as the maker’s sheet says.",
            GroupSays.HeadsBackstop => $"A target made for broadheads, and a clear backstop behind it.",
            GroupSays.ATableHasItsColumns =>
                $"The first line names the columns; right and up are wanted, arrow, number, flight, distance, way, sightFor and slant may stand beside them.",
            GroupSays.NoHitInTheTable => $"No hit stands in this table.",
            GroupSays.HitsOfATarget => $"A table of hits is taken in at a target.",
            GroupSays.PaperDisagrees => $"Paper and target disagree: move nothing yet.",
            GroupSays.LookAtWhatDiffers =>
                $"Look at which face of the paper was read, at contact of vanes or cables, the nock’s fit, the grip. Then shoot both again: from five pairs on the target is believed.",
            GroupSays.AnotherPaper => $"Another paper, or more pairs",
            GroupSays.HeadsAlike =>
                $"Field points of the heads’ weight, the same arrows; number each head, P for the practice head.",
            GroupSays.NothingYet => $"Nothing yet: shoot a group of each.",
            GroupSays.TrialAtPaper => $"A trial of arrows is shot through paper: choose a stage at the paper.",
            GroupSays.MarkThePlace => $"Mark where it struck, or type its place.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string Shafts(ArrowKind kind) => kind == ArrowKind.Bare ? "Bare shafts" : "Heads";

    private static string Slants(SlantsSeen seen) =>
        string.Join(
            ", ",
            new[]
            {
                (seen.Left, "nock left"),
                (seen.Right, "nock right"),
                (seen.High, "nock high"),
                (seen.Low, "nock low"),
            }
                .Where(s => s.Item1 > 0)
                .Select(s => $"{s.Item1} {s.Item2}")
        );

    private static string Seat(bool seated) => seated ? ", shot from a seat" : "";

    private static string Agreed(PaperAgrees agrees) =>
        agrees switch
        {
            PaperAgrees.AsExpected => "so they do, as far as is shown",
            PaperAgrees.OtherSize => "the side is not against it, the size is another",
            _ => "they land on the other side",
        };

    private static string Name(ArrowKind tested) => tested == ArrowKind.Bare ? "Bare" : "Heads";

    private static string Land(ArrowKind tested) => tested == ArrowKind.Bare ? "Bare lands" : "Heads land";

    internal static string Clicks(int? clicks) =>
        clicks is { } count ? $": {(count == 1 ? "one click" : $"{count} clicks")}" : "";

    private static string Straight(StraightMiss straight) =>
        straight switch
        {
            StraightMiss.MoveTheSight => "Straight up, down or sideways with a clean flight is the sight’s.",
            StraightMiss.TuneSideways => "Straight up or down with a clean flight is the sight’s, sideways the bow’s.",
            _ => "All else is the bow’s.",
        };

    /// <summary>A pin is moved by less than it is marked to.</summary>
    private static bool Still(Measure way) => Math.Abs(way.Value) < 0.0005;

    /// <summary>Tail right ↔ bare lands left, tail high ↔ bare low.</summary>
    private static string Opposite(Measure right, Measure up)
    {
        string[] sides =
        [
            .. Nought(right) ? new string[0] : [Side(right, "left", "right")],
            .. Nought(up) ? new string[0] : [Side(up, "low", "high")],
        ];
        return sides.Length == 0 ? "nowhere" : string.Join(" and ", sides);
    }
}
