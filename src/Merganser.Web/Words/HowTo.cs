using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Web.Words;

/// <summary>How each check is done, in three or four lines (common practice, no source).</summary>
public static class HowToWords
{
    /// <summary>The lines of a check as a kind of bow has it.</summary>
    public static IReadOnlyList<string> Of(CheckKind kind, BowKind bow) =>
        bow == BowKind.Compound ? Lines[kind] : WithoutCams.GetValueOrDefault(kind, Lines[kind]);

    /// <summary>What is worth keeping with a finding.</summary>
    public static string NoteOf(CheckKind kind) =>
        kind switch
        {
            CheckKind.Peep => "Peep chosen, aperture, servings",
            CheckKind.NockSets => "Wraps over and under, thread",
            CheckKind.Loop => "Loop cord and length",
            CheckKind.CamTiming => "Board, and who looked",
            _ => "Tool, and who measured",
        };

    private static readonly Dictionary<CheckKind, string[]> Lines = new()
    {
        [CheckKind.Inspection] =
        [
            "Run cotton along both limbs: it catches on a crack.",
            "Look at every serving and at the string where it leaves the cam.",
            "Module screws, string stop, rest and sight by hand; each cam rocks freely on its axle.",
        ],
        [CheckKind.DrawWeight] =
        [
            "Hook the scale to the loop, pull in one slow draw past the peak.",
            "Read the peak, then the valley. Never let go of the string.",
            "Twice; where the two differ, a third time.",
        ],
        [CheckKind.AxleToAxle] =
        [
            "Bow at rest on the bench, a steel rule from axle to axle.",
            "Both sides: they differ when a limb is twisted.",
            "After string work three short pulls before it is read.",
        ],
        [CheckKind.BraceHeight] =
        [
            "Bow square on the string, its foot in the deepest point of the grip.",
            "After a twist three short pulls before it is read.",
            "Note the twists: they are what you go back to.",
        ],
        [CheckKind.Tiller] =
        [
            "Square to the string, to the same place at both pockets.",
            "Top less bottom.",
            "Both bolts from all the way in by the same turns: count them out.",
        ],
        [CheckKind.LimbAlignment] =
        [
            "Bow on a chair's back, look from behind with one eye.",
            "The string runs through the middle of both limbs and of the riser.",
            "A gauge at each limb's widest place shows what the eye does not.",
        ],
        [CheckKind.CamLean] =
        [
            "A straight arrow along the flat of the top cam, toward the nocking point.",
            "How far it stands off the string there; left is negative.",
            "Bottom cam the same. The cable guard off changes it: leave it on.",
        ],
        [CheckKind.CamTiming] =
        [
            "On the draw board to the wall, slowly, and look at both stops.",
            "Let down slowly, never released.",
            "After a twist three short pulls before it is read.",
        ],
        [CheckKind.CentreShot] =
        [
            "Arrow nocked, bow plumb.",
            "Caliper from the riser's flat to the shaft, at the rest's mounting hole.",
            "Or at two places and by the difference: see below.",
        ],
        [CheckKind.PlungerTension] =
        [
            "Press the button with the thumb: it gives and comes back by itself.",
            "Half turns of its screw, counted from all the way out.",
            "Dust makes it stick: a drop of light oil, wiped off.",
        ],
        [CheckKind.Shelf] =
        [
            "Finger along shelf and plate where the shaft and the vane pass.",
            "Edges down, no hard corner.",
            "A new plate changes the sides: bare shafts again.",
        ],
        [CheckKind.NockingPoint] =
        [
            "Square clipped on the string, its arm on the rest.",
            "Read the arrow's underside above the arm.",
            "Tie the sets loosely first: they are screwed up and down the serving.",
        ],
        [CheckKind.NockSets] =
        [
            "Tie the sets while the loop is still loose.",
            "More wraps below than above, each pulled tight, ends melted and pressed flat.",
            "Then the loop over them, pulled tight with pliers.",
        ],
        [CheckKind.Loop] =
        [
            "Ends melted to a bead, seated with pliers.",
            "Its opening faces the release as you draw.",
            "Worn through the sheath: a new one, before the next shot.",
        ],
        [CheckKind.NockFit] =
        [
            "Hang the arrow from the string: it holds itself, and falls at a tap.",
            "Turn the string in its throat: the arrow stays still.",
            "All nocks of the dozen, not one.",
        ],
        [CheckKind.RestTiming] =
        [
            "Draw slowly in front of a mirror: fully up before full draw.",
            "Lipstick or powder on the vanes shows what it touched.",
            "The cord tied where the maker says; mark it, so that a slip is seen.",
        ],
        [CheckKind.Clicker] =
        [
            "At full draw the point is still under it.",
            "It falls by the back's work, not by a push of the hand.",
            "After any change of length, point or rest: again.",
        ],
        [CheckKind.Peep] =
        [
            "Tacky wax on the strands, the peep between equal halves.",
            "Serve it in: ten wraps and five, one and a half turns round it, and the same mirrored on the other side.",
            "Three short pulls before it is read; string twists turn it round.",
        ],
        [CheckKind.FirstAxis] =
        [
            "Bow plumb on the bare riser, both ways.",
            "Level on the elevation bar: it stands vertical along its whole travel.",
            "Tighten, then look again.",
        ],
        [CheckKind.SecondAxis] =
        [
            "Bar plumb, look at the housing's own level.",
            "Turn the housing until both agree.",
            "Tighten, then look again.",
        ],
        [CheckKind.ThirdAxis] =
        [
            "Bow plumb, then leaned forward about thirty degrees, clamped.",
            "The housing's level still reads level.",
            "Leaned back the same. It matters up and down hill.",
        ],
        [CheckKind.Paper] = ["Shoot through paper and accept it there."],
        [CheckKind.Spine] = ["Open the arrow and look at its fit."],
        [CheckKind.Sight] = ["Shoot each mark at its distance."],
    };

    private static readonly Dictionary<CheckKind, string[]> WithoutCams = new()
    {
        [CheckKind.Inspection] =
        [
            "Run cotton along both limbs: it catches on a crack.",
            "Look at the string's loops and servings, and at the limbs' nocks.",
            "Whatever is screwed on by hand.",
        ],
        [CheckKind.DrawWeight] =
        [
            "Scale on the string, draw to the clicker or to your draw length, slowly.",
            "Let down slowly. Never let go of the string.",
            "Twice; where the two differ, a third time.",
        ],
        [CheckKind.CentreShot] =
        [
            "Bow on a chair's back, string through the middle of both limbs.",
            "Arrow on the rest: its point stands just outside the string, away from the riser.",
            "Plunger in or out by half turns, then locked.",
        ],
        [CheckKind.NockingPoint] =
        [
            "Square clipped on the string, its arm on the rest.",
            "Read the arrow's underside above the arm.",
            "String walkers start higher; each crawl is shot for itself.",
        ],
    };
}
