using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Web.Words;

/// <summary>The table of checks: what each is called, measured with, and told by.</summary>
internal static class CheckWords
{
    /// <summary>An answer's words.</summary>
    public static (string Code, string Label, string ToDo) ChoiceOf(CheckKind kind, string code) =>
        Rows[kind].Choices.First(c => c.Code == code);

    /// <summary>The words of a check as a bow without cams has them: they speak of that bow's own parts only.</summary>
    public static CheckRow RowOf(CheckKind kind, BowKind bow) =>
        bow == BowKind.Compound
            ? Rows[kind]
            : (kind, bow) switch
            {
                (CheckKind.Inspection, BowKind.Longbow) => Rows[kind] with
                {
                    Title = "Limbs and string",
                    Tool = "eyes, fingers",
                    How = "Limbs without cracks or lifting, nocks of the limbs whole, string and servings whole.",
                },
                (CheckKind.Inspection, _) => Rows[kind] with
                {
                    Title = "Limbs, bolts and string",
                    How =
                        "Limbs without cracks or twist, string and servings whole, limb bolts, rest and plunger tight. Limb bolts even on both sides.",
                },
                (CheckKind.DrawWeight, BowKind.Longbow) => Rows[kind] with
                {
                    ToDo = "Above what it is rated for: do not draw it farther; a bowyer looks at it.",
                },
                (CheckKind.BraceHeight, _) => Rows[kind] with
                {
                    Why = "Before tiller and nocking point: it moves both.",
                },
                (CheckKind.Tiller, BowKind.Longbow) => Rows[kind] with
                {
                    Why = "Before the nocking point: it shows how the limbs share the work.",
                    How = "String to limb, square, at the same distance above and below the grip: top less bottom.",
                    View = "bow from the side, both limbs",
                    ToDo = "A bowyer sets the tiller of a longbow.",
                },
                (CheckKind.LimbAlignment, BowKind.Longbow) => Rows[kind] with
                {
                    Tool = "eyes",
                    Why = "Before all that is measured: a string that runs off centre moves everything after it.",
                    How = "The string, seen from behind, runs through the middle of both limbs and the grip.",
                },
                (CheckKind.CentreShot, _) => Rows[kind] with
                {
                    Tool = "eyes, a rule",
                    How =
                        "From behind, the string through the middle of both limbs: how far the arrow's point stands outside the string, away from the riser. Inside is negative.",
                    ToDo = "Move the plunger in or out; bare shafts decide the last half turns.",
                    Why = "After the limbs run straight, before plunger and nocking point.",
                },
                (CheckKind.NockingPoint, _) => Rows[kind] with
                {
                    ToDo = "Move the nock set; a little high is the usual start.",
                },
                _ => Rows[kind],
            };

    /// <summary>A check's words.</summary>
    /// <param name="Title">Its name on the bench.</param>
    /// <param name="Tool">With what it is measured.</param>
    /// <param name="Why">Why it stands at this place in the order.</param>
    /// <param name="How">What to measure.</param>
    /// <param name="View">The view of the drawing, named.</param>
    /// <param name="ToDo">What to do when a number is beyond its tolerance.</param>
    /// <param name="Choices">Answers to pick from.</param>
    internal sealed record CheckRow(
        string Title,
        string Tool,
        string Why,
        string How,
        string View,
        string ToDo,
        params (string Code, string Label, string ToDo)[] Choices
    );

    private static readonly Dictionary<CheckKind, CheckRow> Rows = new()
    {
        [CheckKind.Inspection] = new(
            "Limbs and screws",
            "eyes, fingers, Allen keys",
            "First: nothing else is worth measuring on a bow that is not sound.",
            "Limbs without cracks, strings and servings whole, module screws, string stop and axle bolts tight; cams turn freely. Limb bolts even on both sides.",
            "bow from the side",
            "",
            ("sound", "Sound, all tight", "Go on."),
            ("tightened", "Something was loose, now tight", "Look at it again after the first shots."),
            (Unsound.Damaged, "Cracked, frayed or worn", "Do not draw it. A shop with the maker's manual looks at it."),
            (Unsound.Repaired, "Repaired", "Look it over again after the first shots.")
        ),
        [CheckKind.DrawWeight] = new(
            "Draw weight",
            "bow scale",
            "Before any arrow is judged: the spine follows it.",
            "Draw on the scale through the peak to the archer's draw length, let down slowly. Never release.",
            "bow drawn on the scale",
            "Above the rated maximum: back both limb bolts off evenly before anything else."
        ),
        [CheckKind.AxleToAxle] = new(
            "Axle to axle",
            "steel rule",
            "With brace height it shows if strings and cables have crept.",
            "From axle to axle, the bow at rest.",
            "bow from the side",
            "Strings or cables have crept: twists bring it back."
        ),
        [CheckKind.BraceHeight] = new(
            "Brace height",
            "bow square",
            "Before tiller and nocking point: it moves both.",
            "From the deepest point of the grip, square to the string.",
            "bow from the side",
            "Twist the string: more twists raise it."
        ),
        [CheckKind.Tiller] = new(
            "Tiller",
            "bow square",
            "Even bolts before centre shot and nocking point.",
            "String to limb, square, at both limb pockets: top less bottom.",
            "bow from the side, both limb pockets",
            "Turn the limb bolts evenly, never out beyond the maker's limit; then the draw weight again."
        ),
        [CheckKind.LimbAlignment] = new(
            "Limb alignment",
            "eyes, two limb gauges",
            "Before the plunger: a string that runs off centre moves everything after it.",
            "The string, seen from behind, runs through the middle of both limbs and the riser.",
            "bow from behind",
            "",
            ("straight", "Through the middle of both", "Go on."),
            ("slightly", "A little off at one limb", "Shift the limb's seat as the maker's sheet says."),
            ("off", "Clearly off", "Check the limbs for twist before shooting; then the seats.")
        ),
        [CheckKind.CamLean] = new(
            "Cam lean at rest",
            "straightedge along the cam",
            "Before timing and centre shot: both look along the cam.",
            "A straightedge along the top cam, seen against the string: how far off at the nocking point, left negative.",
            "top cam from behind",
            "A little off at rest is deliberate: the cable guard pulls the cam across at full draw."
        ),
        [CheckKind.CamTiming] = new(
            "Cam timing",
            "draw board",
            "After lean, before the rest: a late cam lifts or drops the nock.",
            "On the draw board, let down slowly, never released: both draw stops touch together. A single cam goes by the maker's marks.",
            "both cams at full draw",
            "",
            ("together", "Stops touch together, or marks in place", "Go on."),
            (
                "topLate",
                "Top cam late",
                "Its cable is the shorter one: lengthen it one full twist, look again, go back if it got worse. Which cable is which stands in the maker's sheet."
            ),
            (
                "bottomLate",
                "Bottom cam late",
                "Its cable is the shorter one: lengthen it one full twist, look again, go back if it got worse. Which cable is which stands in the maker's sheet."
            )
        ),
        [CheckKind.CentreShot] = new(
            "Centre shot",
            "caliper or rule",
            "After timing and cam lean, before the nocking point: those two move the string's path.",
            "From the riser at the rest's mounting hole to the arrow's centre. The rest's own body can spoil a reading on a laid-on rule.",
            "from above, archer to the left",
            "Move the rest in or out; paper and target decide the last clicks."
        ),
        [CheckKind.PlungerTension] = new(
            "Plunger tension",
            "fingers",
            "After centre shot, as a start for the bare shafts.",
            "Press the button: it gives with firm thumb pressure and comes back by itself.",
            "plunger from above",
            "",
            ("medium", "Medium, comes back freely", "Go on; bare shafts decide."),
            ("hard", "Hardly gives", "Start two turns softer."),
            ("soft", "Very soft", "Start two turns stiffer."),
            ("sticks", "Sticks", "Clean it, a drop of light oil, or a new spring.")
        ),
        [CheckKind.Shelf] = new(
            "Shelf and strike plate",
            "eyes",
            "Before the nocking point: the arrow lies on it.",
            "Shelf and plate smooth, firmly glued, no wear where the vane passes.",
            "shelf from behind",
            "",
            ("smooth", "Smooth and firm", "Go on."),
            ("worn", "Worn or loose", "Renew it, then nocking point and bare shafts again.")
        ),
        [CheckKind.NockingPoint] = new(
            "Nocking point",
            "bow square",
            "After centre shot: height is then steered by it and by the rest alone.",
            "The arrow's underside above square at the string. Below is negative.",
            "bow square on the string",
            "Move the nock set or loop; level to a little high is the usual start."
        ),
        [CheckKind.NockSets] = new(
            "Nock sets",
            "eyes, a serving thread",
            "After the height: the sets hold it.",
            "Over and under the nock, more wraps below than above (4 and 2, 5 and 3, 3 and 2 are all in use). Gap school: about one serving thread of slack. No-gap school: none, more tied below.",
            "nock on the string from the side",
            "",
            (
                "gap",
                "One thread of slack",
                "Gap school, the default: pinch lifts the arrow off the rest and can be seen."
            ),
            (
                "noGap",
                "No slack, more tied below",
                "No-gap school. If hits string up and down, bring it under suspicion."
            ),
            ("pinch", "Pinched", "Retie with one thread of slack."),
            ("loose", "More than a thread", "The nock slides and strings shots up and down: retie.")
        ),
        [CheckKind.Loop] = new(
            "D-loop",
            "eyes, release",
            "After the nock sets.",
            "At full draw the release pulls directly behind the arrow; ends burnt and seated.",
            "loop from above",
            "",
            ("straight", "Pulls straight behind", "Go on."),
            ("twisted", "Turned to one side", "Turn it, draw, look again; then the peep."),
            ("worn", "Worn or slipping", "Tie a new one before shooting.")
        ),
        [CheckKind.NockFit] = new(
            "Nock fit",
            "two tests by hand",
            "Before shooting: a tight nock tears like a wrong height.",
            "The string turns in the nock's throat without moving the arrow; or draw a little and let go: the nock leaves cleanly.",
            "nock on the string from above",
            "",
            ("free", "Turns free, leaves cleanly", "Go on."),
            ("tight", "Tight: the arrow moves too", "Thinner serving, not another nock."),
            ("loose", "Falls off by itself", "Thicker serving. A low draw weight or a light arrow wants a looser fit.")
        ),
        [CheckKind.RestTiming] = new(
            "Rest timing",
            "fingers, powder",
            "After cable work, before paper: a rest that does not drop tears whatever the height.",
            "A drop-away stands fully up before full draw and is down when the vanes pass; powder shows contact.",
            "rest from the side",
            "",
            ("right", "Up in time, clear of the vanes", "Go on."),
            ("late", "Comes up late", "Shorten its cord, draw again."),
            ("stays", "Does not drop in time", "Lengthen its cord or its spring's pull; faults on paper are void."),
            ("fixed", "A rest that does not drop", "Look for vane marks instead.")
        ),
        [CheckKind.Clicker] = new(
            "Clicker",
            "eyes",
            "After draw length is settled.",
            "It falls at full draw, the point still under it; its spring does not push the arrow off the rest.",
            "clicker from behind",
            "",
            ("right", "Falls at full draw", "Go on."),
            ("early", "Falls early", "Move it back."),
            ("never", "Hard to reach", "Move it forward; do not overdraw."),
            ("none", "No clicker", "Go on.")
        ),
        [CheckKind.Peep] = new(
            "Peep",
            "eyes shut, twice",
            "After timing and paper: string work would turn it again.",
            "Level aim, breathe, eyes shut, anchor, open. By how many degrees is it turned away from the eye? Clockwise from above is positive.",
            "peep from the archer's eye",
            "String twists turn it and leave lean and timing alone."
        ),
        [CheckKind.FirstAxis] = new(
            "Sight, first axis",
            "level",
            "Every later axis is measured from it.",
            "The elevation bar stands vertical, the bow plumb both ways on the bare riser. Tightening moves the level: check again after it.",
            "sight from behind",
            "",
            ("square", "Square", "Go on."),
            ("off", "Off, now set", "Tighten, then look again."),
            ("none", "No such axis here", "Go on.")
        ),
        [CheckKind.SecondAxis] = new(
            "Sight, second axis",
            "level",
            "After the first: it is set against the bar.",
            "The housing stands level when the bar is plumb. Tightening moves the level: check again after it.",
            "sight from behind",
            "",
            ("square", "Square", "Go on."),
            ("off", "Off, now set", "Tighten, then look again."),
            ("none", "No such axis here", "Go on.")
        ),
        [CheckKind.ThirdAxis] = new(
            "Sight, third axis",
            "level",
            "Last: close by it hardly shows, far out it does.",
            "Bow leaned forward, levelled and clamped: the housing stays square to the line of sight. It matters up and down hill. Tightening moves the level: check again after it.",
            "sight from behind",
            "",
            ("square", "Square", "Go on."),
            ("off", "Off, now set", "Tighten, then look again."),
            ("none", "No such axis here", "Go on.")
        ),
        [CheckKind.Paper] = new("Paper", "", "", "Shoot through paper again.", "", "", ("done", "Done", "")),
        [CheckKind.Spine] = new("Spine", "", "", "Look at the arrow's fit again.", "", "", ("done", "Done", "")),
        [CheckKind.Sight] = new("Sight marks", "", "", "Sight the marks in again.", "", "", ("done", "Done", "")),
    };
}
