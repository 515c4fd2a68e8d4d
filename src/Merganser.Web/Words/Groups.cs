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
            OffsetShown(_, _, GroupVerdict.NoDifferenceShown) => $"No difference shown between bare and fletched.",
            OffsetShown(var right, var up, var verdict) =>
                $"Bare lands {new StruckAt(right, up)}: {(verdict == GroupVerdict.Clear ? "clear" : "likely, not yet clear")}.",
            StruckAt(var right, var up) when Nought(right) && Nought(up) => $"on the same place",
            StruckAt(var right, var up) when Nought(up) => $"{right.Size} {Side(right, "right", "left")}",
            StruckAt(var right, var up) when Nought(right) => $"{up.Size} {Side(up, "high", "low")}",
            StruckAt(var right, var up) =>
                $"{right.Size} {Side(right, "right", "left")}, {up.Size} {Side(up, "high", "low")}",
            PairsToGo(2) => $"Too few to read: two bare and two fletched at the least.",
            PairsToGo => $"Too few to read: one more pair.",
            GroupsToShoot(0, var bare) =>
                $"Shoot {bare} more bare, and mark where {(bare == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var fletched, 0) =>
                $"Shoot {fletched} more fletched, and mark where {(fletched == 1 ? "it strikes" : "they strike")}.",
            GroupsToShoot(var fletched, var bare) =>
                $"Shoot {fletched} fletched and {bare} bare, and mark where they strike.",
            MoveThenBoth(var order, null) => $"{order}, then shoot both groups anew.",
            MoveThenBoth(var order, { } chance) =>
                $"A test, {chance} likely to bring it inside: {order}. Then shoot both groups anew.",
            ReadAsTear(var right, var up) =>
                $"Bare {new StruckAt(right, up)}: as a paper that tears tail {Opposite(right, up)}.",
            OffsetTest(var test, var radius, var spread, var threshold) =>
                $"{test}; clear is p below {Show.Number(threshold, 3)} at each look, 5 % over all of them. 95 % region ± {radius}, spread of a shot {spread}.",
            MoreOfEach(var pairs, var offset, var sentence) =>
                $"{pairs} more of each would show an offset of {offset} four times in five{(sentence ? "." : "")}",
            BareSide(var side) => $"Bare {side}",
            PairsShow(var pairs, var offset, var chance) =>
                $"{pairs} of each show an offset of {offset} with {chance}.",
            ChanceByPairs(var chance, var here, var elsewhere) =>
                $"{chance}: {here:pair} at this setting, {elsewhere} at others of this stage.",
            StepOffsets(var name, var step, var offset, var other) =>
                $"{name}: one {step} moves bare against fletched by {offset} on this bow{(other ? ", the other way than usual" : "")}.",
            RestSettledAtTarget(var left, var click) =>
                $"Settled on this bow: a click to the right moves bare shafts {(left ? "left" : "right")} of fletched, about {click}.",
            OffsetIgnores(var moves, var deaf) =>
                $"{moves:move} changed the offset less than they should; that no move helps is {deaf} likely.",
            BareIsLighter(var high) =>
                $"Bare shafts are lighter and strike {high.Size} high for that alone: taken off.",
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
            GroupSays.ThePartner => $"Bare and fletched are read in pairs; one waits for its partner.",
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
            GroupSays.MarkOnTheFace => $"This set is shot at a target: mark where the arrow struck.",
            GroupSays.MarkOnThePaper => $"This set is shot through paper: mark the holes.",
            GroupSays.NoHeadOnBare =>
                $"A bare shaft never carries a broadhead; a field point of the same weight goes on it.",
            GroupSays.NothingYet => $"Nothing yet: shoot a group of each.",
            GroupSays.TrialAtPaper => $"A trial of arrows is shot through paper: choose a stage at the paper.",
            GroupSays.MarkThePlace => $"Mark where it struck, or type its place.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

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
