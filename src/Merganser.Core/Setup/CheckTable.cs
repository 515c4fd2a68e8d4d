using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>The checks of the set-up sheet. All is common practice with no single source unless a line says otherwise.</summary>
public static class CheckTable
{
    private const string Shop = "Only in the right press, by its manual; else a shop.";

    private static readonly AllowedRange None = new(0, 0, "", "");
    private static readonly CheckChoice[] NoChoices = [];

    private static readonly CheckFact[] Rows =
    [
        Pick(CheckKind.Inspection, "Limbs and screws", "eyes, fingers, Allen keys", 5,
            "First: nothing else is worth measuring on a bow that is not sound.",
            "Limbs without cracks, strings and servings whole, module screws, string stop and axle bolts tight; cams turn freely. Limb bolts even on both sides.", "bow from the side",
            new("sound", "Sound, all tight", Verdict.Within, "Go on."),
            new("tightened", "Something was loose, now tight", Verdict.AtTheEdge, "Look at it again after the first shots."),
            new(Unsound.Damaged, "Cracked, frayed or worn", Verdict.Beyond, "Do not draw it. A shop with the maker's manual.", true),
            new(Unsound.Repaired, "Repaired", Verdict.AtTheEdge, "Look it over again after the first shots.")),
        Number(CheckKind.DrawWeight, "Draw weight", "bow scale", 3, "Before any arrow is judged: the spine follows it.",
            "Draw on the scale through the peak to the archer's draw length, let down slowly. Never release.", "bow drawn on the scale",
            Quantity.DrawWeight, BowRanges.DrawWeight, 0.5, 3, "Above the rated maximum: back both limb bolts off evenly before anything else.", false),
        Number(CheckKind.AxleToAxle, "Axle to axle", "steel rule", 2, "With brace height it shows if strings and cables have crept.",
            "From axle to axle, the bow at rest.", "bow from the side", Quantity.Length, BowRanges.AxleToAxle, 1.0 / 32, 0.5,
            "Strings or cables have crept: twists bring it back. " + Shop, true),
        Number(CheckKind.BraceHeight, "Brace height", "bow square", 2, "Before tiller and nocking point: it moves both.",
            "From the deepest point of the grip, square to the string.", "bow from the side", Quantity.Length, BowRanges.BraceHeight, 1.0 / 32, 0.5,
            "Twist the string: more twists raise it.", false),
        Number(CheckKind.Tiller, "Tiller", "bow square", 2, "Even bolts before centre shot and nocking point.",
            "String to limb, square, at both limb pockets: top less bottom.", "bow from the side, both limb pockets", Quantity.Length, new(-2, 2, "in", "more than 2 in is no tiller of any bow"), 1.0 / 32, 0.25,
            "Turn the limb bolts evenly, never out beyond the maker's limit; then the draw weight again.", false),
        Pick(CheckKind.LimbAlignment, "Limb alignment", "eyes, two limb gauges", 4, "Before the plunger: a string that runs off centre moves everything after it.",
            "The string, seen from behind, runs through the middle of both limbs and the riser.", "bow from behind",
            new("straight", "Through the middle of both", Verdict.Within, "Go on."),
            new("slightly", "A little off at one limb", Verdict.AtTheEdge, "Shift the limb's seat as the maker's sheet says."),
            new("off", "Clearly off", Verdict.Beyond, "Check the limbs for twist before shooting; then the seats.")),
        Number(CheckKind.CamLean, "Cam lean at rest", "straightedge along the cam", 4, "Before timing and centre shot: both look along the cam.",
            "A straightedge along the top cam, seen against the string: inches off at the nocking point, left negative.", "top cam from behind", Quantity.Length, new(-3, 3, "in", "a lean of more than 3 in is a bent axle"), 1.0 / 16, 0.5,
            "A little off at rest is deliberate: the cable guard pulls the cam across at full draw.", true),
        Pick(CheckKind.CamTiming, "Cam timing", "draw board", 6, "After lean, before the rest: a late cam lifts or drops the nock.",
            "On the draw board, let down slowly, never released: both draw stops touch together. A single cam goes by the maker's marks.", "both cams at full draw",
            new("together", "Stops touch together, or marks in place", Verdict.Within, "Go on."),
            new("topLate", "Top cam late", Verdict.Beyond, "Its cable is the shorter one: lengthen it one full twist, look again, go back if it got worse. Which cable is which stands in the maker's sheet. " + Shop, true),
            new("bottomLate", "Bottom cam late", Verdict.Beyond, "Its cable is the shorter one: lengthen it one full twist, look again, go back if it got worse. Which cable is which stands in the maker's sheet. " + Shop, true)),
        Number(CheckKind.CentreShot, "Centre shot", "caliper or rule", 5, "After timing and cam lean, before the nocking point: those two move the string's path.",
            "From the riser at the rest's mounting hole to the arrow's centre. The rest's own body can spoil a reading on a laid-on rule.", "from above, archer to the left", Quantity.Length, new(0, 3, "in", "no arrow stands 3 in from its riser"), 1.0 / 32, 0.125,
            "Move the rest in or out; paper and target decide the last clicks.", false),
        Pick(CheckKind.PlungerTension, "Plunger tension", "fingers", 3, "After centre shot, as a start for the bare shafts.",
            "Press the button: it gives with firm thumb pressure and comes back by itself.", "plunger from above",
            new("medium", "Medium, comes back freely", Verdict.Within, "Go on; bare shafts decide."),
            new("hard", "Hardly gives", Verdict.AtTheEdge, "Start two turns softer."),
            new("soft", "Very soft", Verdict.AtTheEdge, "Start two turns stiffer."),
            new("sticks", "Sticks", Verdict.Beyond, "Clean it, a drop of light oil, or a new spring.")),
        Pick(CheckKind.Shelf, "Shelf and strike plate", "eyes", 2, "Before the nocking point: the arrow lies on it.",
            "Shelf and plate smooth, firmly glued, no wear where the vane passes.", "shelf from behind",
            new("smooth", "Smooth and firm", Verdict.Within, "Go on."),
            new("worn", "Worn or loose", Verdict.Beyond, "Renew it, then nocking point and bare shafts again.")),
        Number(CheckKind.NockingPoint, "Nocking point", "bow square", 3, "After centre shot: height is then steered by it and by the rest alone.",
            "The arrow's underside above square at the string. Below is negative.", "bow square on the string", Quantity.Length, new(-1, 1.5, "in", "a nocking point farther off shoots no clean arrow"), 1.0 / 32, 0.25,
            "Move the nock set or loop; level to 1/8 in high is the usual start.", false),
        Pick(CheckKind.NockSets, "Nock sets", "eyes, a serving thread", 3, "After the height: the sets hold it.",
            "Over and under the nock, more wraps below than above (4 and 2, 5 and 3, 3 and 2 are all in use). Gap school: about one serving thread, 0.018 to 0.03 in. No-gap school: none, more tied below.", "nock on the string from the side",
            new("gap", "One thread of slack", Verdict.Within, "Gap school, the default: pinch lifts the arrow off the rest and can be seen."),
            new("noGap", "No slack, more tied below", Verdict.Within, "No-gap school. If hits string up and down, bring it under suspicion."),
            new("pinch", "Pinched", Verdict.Beyond, "Retie with one thread of slack."),
            new("loose", "More than a thread", Verdict.Beyond, "The nock slides and strings shots up and down: retie.")),
        Pick(CheckKind.Loop, "D-loop", "eyes, release", 2, "After the nock sets.",
            "At full draw the release pulls directly behind the arrow; ends burnt and seated.", "loop from above",
            new("straight", "Pulls straight behind", Verdict.Within, "Go on."),
            new("twisted", "Turned to one side", Verdict.AtTheEdge, "Turn it, draw, look again; then the peep."),
            new("worn", "Worn or slipping", Verdict.Beyond, "Tie a new one before shooting.")),
        Pick(CheckKind.NockFit, "Nock fit", "two tests by hand", 2, "Before shooting: a tight nock tears like a wrong height.",
            "The string turns in the nock's throat without moving the arrow; or draw half an inch and let go: the nock leaves cleanly.", "nock on the string from above",
            new("free", "Turns free, leaves cleanly", Verdict.Within, "Go on."),
            new("tight", "Tight: the arrow moves too", Verdict.Beyond, "Thinner serving, not another nock."),
            new("loose", "Falls off by itself", Verdict.Beyond, "Thicker serving. A low draw weight or a light arrow wants a looser fit.")),
        Pick(CheckKind.RestTiming, "Rest timing", "fingers, powder", 4, "After cable work, before paper: a rest that does not drop tears whatever the height.",
            "A drop-away stands fully up before full draw and is down when the vanes pass; powder shows contact.", "rest from the side",
            new("right", "Up in time, clear of the vanes", Verdict.Within, "Go on."),
            new("late", "Comes up late", Verdict.Beyond, "Shorten its cord, draw again."),
            new("stays", "Does not drop in time", Verdict.Beyond, "Lengthen its cord or its spring's pull; faults on paper are void."),
            new("fixed", "A rest that does not drop", Verdict.Recorded, "Look for vane marks instead.")),
        Pick(CheckKind.Clicker, "Clicker", "eyes", 2, "After draw length is settled.",
            "It falls at full draw, the point still under it; its spring does not push the arrow off the rest.", "clicker from behind",
            new("right", "Falls at full draw", Verdict.Within, "Go on."),
            new("early", "Falls early", Verdict.AtTheEdge, "Move it back."),
            new("never", "Hard to reach", Verdict.AtTheEdge, "Move it forward; do not overdraw."),
            new("none", "No clicker", Verdict.Recorded, "Go on.")),
        Number(CheckKind.Peep, "Peep", "eyes shut, twice", 6, "After timing and paper: string work would turn it again.",
            "Level aim, breathe, eyes shut, anchor, open. By how many degrees is it turned away from the eye? Clockwise from above is positive.", "peep from the archer's eye", Quantity.Number, new(-180, 180, "", "a full turn has 360 degrees"), 5, 90,
            "String twists turn it and leave lean and timing alone. " + Shop, true),
        Axis(CheckKind.FirstAxis, "Sight, first axis", "The elevation bar stands vertical, the bow plumb both ways on the bare riser.", "Every later axis is measured from it."),
        Axis(CheckKind.SecondAxis, "Sight, second axis", "The housing stands level when the bar is plumb.", "After the first: it is set against the bar."),
        Axis(CheckKind.ThirdAxis, "Sight, third axis", "Bow leaned forward, levelled and clamped: the housing stays square to the line of sight. It matters up and down hill.", "Last: at 20 yd it hardly shows, past 40 it does."),
        FollowUp(CheckKind.Paper, "Paper", "Shoot through paper again."),
        FollowUp(CheckKind.Spine, "Spine", "Look at the arrow's fit again."),
        FollowUp(CheckKind.Sight, "Sight marks", "Sight the marks in again."),
    ];

    /// <summary>Checks that draw the bow or bend its limbs further.</summary>
    private static readonly CheckKind[] Drawing =
    [
        CheckKind.DrawWeight, CheckKind.CamTiming, CheckKind.PlungerTension, CheckKind.Loop, CheckKind.NockFit, CheckKind.RestTiming, CheckKind.Clicker, CheckKind.Peep,
        CheckKind.Paper, CheckKind.Sight,
    ];

    private static readonly CheckKind[] Compound =
    [
        CheckKind.Inspection, CheckKind.DrawWeight, CheckKind.AxleToAxle, CheckKind.BraceHeight, CheckKind.Tiller, CheckKind.CamLean, CheckKind.CamTiming, CheckKind.CentreShot,
        CheckKind.NockingPoint, CheckKind.NockSets, CheckKind.Loop, CheckKind.NockFit, CheckKind.RestTiming, CheckKind.Peep, CheckKind.FirstAxis, CheckKind.SecondAxis, CheckKind.ThirdAxis,
    ];

    private static readonly CheckKind[] Recurve =
    [
        CheckKind.Inspection, CheckKind.LimbAlignment, CheckKind.BraceHeight, CheckKind.Tiller, CheckKind.DrawWeight, CheckKind.CentreShot, CheckKind.PlungerTension,
        CheckKind.NockingPoint, CheckKind.NockFit, CheckKind.Clicker,
    ];

    /// <summary>Every row.</summary>
    public static IReadOnlyList<CheckFact> All => Rows;

    /// <summary>The row of a kind.</summary>
    public static CheckFact Of(CheckKind kind) => Rows[(int)kind];

    /// <summary>The row of a kind as a bow without cams has it: it speaks of that bow's own parts only.</summary>
    public static CheckFact For(CheckKind kind, BowKind bow) => bow == BowKind.Compound ? Of(kind) : (kind, bow) switch
    {
        (CheckKind.Inspection, BowKind.Longbow) => Of(kind) with
        {
            Title = "Limbs and string",
            Tool = "eyes, fingers",
            How = "Limbs without cracks or lifting, nocks of the limbs whole, string and servings whole.",
        },
        (CheckKind.Inspection, _) => Of(kind) with
        {
            Title = "Limbs, bolts and string",
            How = "Limbs without cracks or twist, string and servings whole, limb bolts, rest and plunger tight. Limb bolts even on both sides.",
        },
        (CheckKind.DrawWeight, BowKind.Longbow) => Of(kind) with { ToDo = "Above what it is rated for: do not draw it farther; a bowyer looks at it." },
        (CheckKind.BraceHeight, _) => Of(kind) with { WhyHere = "Before tiller and nocking point: it moves both." },
        (CheckKind.Tiller, BowKind.Longbow) => Of(kind) with
        {
            WhyHere = "Before the nocking point: it shows how the limbs share the work.",
            How = "String to limb, square, at the same distance above and below the grip: top less bottom.",
            View = "bow from the side, both limbs",
            ToDo = "A bowyer sets the tiller of a longbow.",
        },
        (CheckKind.LimbAlignment, BowKind.Longbow) => Of(kind) with
        {
            Tool = "eyes",
            WhyHere = "Before all that is measured: a string that runs off centre moves everything after it.",
            How = "The string, seen from behind, runs through the middle of both limbs and the grip.",
        },
        (CheckKind.CentreShot, _) => Of(kind) with { WhyHere = "After the limbs run straight, before plunger and nocking point." },
        (CheckKind.NockingPoint, _) => Of(kind) with { ToDo = "Move the nock set; a little high is the usual start." },
        _ => Of(kind),
    };

    /// <summary>True for a check that draws the bow: none of them on one that is unsound.</summary>
    public static bool Draws(CheckKind kind) => Drawing.Contains(kind);

    /// <summary>The checks of a kind of bow in the order in which they are done.</summary>
    public static IReadOnlyList<CheckKind> Order(BowKind kind, Release release = Release.ReleaseAid) => kind switch
    {
        BowKind.Compound => release == Release.ReleaseAid ? Compound : [.. Compound.Where(k => k != CheckKind.Loop)],
        BowKind.Recurve => Recurve,
        BowKind.Barebow => [.. Recurve.Where(k => k != CheckKind.Clicker)],
        _ => [CheckKind.Inspection, CheckKind.LimbAlignment, CheckKind.BraceHeight, CheckKind.Tiller, CheckKind.DrawWeight, CheckKind.Shelf, CheckKind.NockingPoint, CheckKind.NockFit],
    };

    private static CheckFact Number(CheckKind kind, string title, string tool, int minutes, string why, string how, string view, Quantity quantity, AllowedRange range, double error, double suspicious, string toDo, bool press) =>
        new(kind, title, tool, minutes, why, how, view, quantity, range, error, suspicious, NoChoices, toDo, press);

    private static CheckFact Pick(CheckKind kind, string title, string tool, int minutes, string why, string how, string view, params CheckChoice[] choices) =>
        new(kind, title, tool, minutes, why, how, view, null, None, 0, 0, choices, "", false);

    private static CheckFact Axis(CheckKind kind, string title, string how, string why) =>
        Pick(kind, title, "level", 4, why, how + " Tightening moves the level: check again after it.", "sight from behind",
            new("square", "Square", Verdict.Within, "Go on."),
            new("off", "Off, now set", Verdict.AtTheEdge, "Tighten, then look again."),
            new("none", "No such axis here", Verdict.Recorded, "Go on."));

    private static CheckFact FollowUp(CheckKind kind, string title, string how) =>
        Pick(kind, title, "", 0, "", how, "", new CheckChoice("done", "Done", Verdict.Within, ""));
}
