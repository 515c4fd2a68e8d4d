using Merganser.Core.Setup;

namespace Merganser.Web.Words;

/// <summary>Something is wrong: what is seen, what is looked at first, and why (common practice, no source).</summary>
public static class TroubleWords
{
    public static FormattableString Of(TroubleMessage message) =>
        message switch
        {
            TroubleName(var kind) => $"{NameOf(kind).Name}",
            TroubleSeen(var kind) => $"{NameOf(kind).Seen}",
            TroubleWhy(var kind, var check) => $"{WhyOf(kind, check)}",
            LookName(var look) => $"{LookOf(look).Name}",
            LookWhy(var look) => $"{LookOf(look).Why}",
            LookKey(var look) => $"{LookOf(look).Key}",
            LogIt(var change) => $"Log it: {new ChangeName(change):low}",
            LogAsks(var titles) => $"It stands in the record with its day, and asks again for {titles:low}.",
            FoundOn(var what, var at) => $"{what}, {at}",
            LastTearRead(var reading) => $"Read last: {reading:low} The order below goes by it.",
            FirstLook(var what) => $"First: {what:low}.",
            MendFirst(var what, var found) => $"Mend this first: {what:low}, {found:low}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(TroubleSays says) =>
        says switch
        {
            TroubleSays.NoTearKnown => $"No tear is on record: height is looked for before side.",
            TroubleSays.LogThis => $"Log it",
            TroubleSays.NotLookedAt => $"not looked at yet",
            TroubleSays.ItIsInOrder => $"That is in order: the next",
            TroubleSays.AllLookedAt => $"All of it was looked at within a day and is in order.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static (string Name, string Seen) NameOf(TroubleKind kind) =>
        kind switch
        {
            TroubleKind.HeadsElsewhere => (
                "Heads land elsewhere",
                "Broadheads strike apart from the field points of the same arrows."
            ),
            TroubleKind.DialsOff => (
                "It dials off sideways",
                "In line close by, to one side farther out, and more the farther it goes."
            ),
            TroubleKind.PeepTurned => ("The peep has turned", "At full draw its hole is a slit, or not there at all."),
            TroubleKind.TearStays => ("A tear stays", "The move was made, and the hole looks as before."),
            TroubleKind.VerticalStrings => (
                "Hits string up and down",
                "A group much taller than wide, though the paper is clean."
            ),
            TroubleKind.Knocked => (
                "It was knocked or fell",
                "It struck something, lay under something or was dropped."
            ),
            _ => ("A new string is on", "String, or string and cables, were changed."),
        };

    private static (string Name, string Why, string Key) LookOf(TroubleLook look) =>
        look switch
        {
            TroubleLook.Spin => (
                "Spin each arrow with its head",
                "A head that wobbles steers by itself, and no move of the bow answers that.",
                "Spin them"
            ),
            TroubleLook.HeadWeights => (
                "Weigh the heads",
                "Heads of one printed weight are not of one weight; one that stands apart is left out.",
                "To the heads"
            ),
            TroubleLook.HeadGroups => (
                "Heads against field points",
                "Three of each and more say whether it is left, the sight's or the bow's.",
                "To the target"
            ),
            TroubleLook.WalkBack => (
                "A walk-back",
                "With the axes square, what drifts with the distance is the rest's or the aim's.",
                "To the target"
            ),
            TroubleLook.TwoWays => (
                "Two grips, or another archer",
                "A habit of the hand marks every shot alike: another grip, or another archer, tells.",
                "To the target"
            ),
            TroubleLook.Speeds => (
                "The speeds' spread",
                "Speeds that spread string hits up and down; arrows of one weight take that away.",
                "To the chronograph"
            ),
            TroubleLook.ArrowFit => (
                "The arrow's fit",
                "An arrow too weak or too stiff tears whatever the rest does.",
                "To the arrow"
            ),
            TroubleLook.Settling => (
                "Let it settle",
                "Its first shots seat it: they are counted apart and not read.",
                "To the string"
            ),
            _ => ("One hole through paper", "It shows what all the looks above may have missed.", "To the paper"),
        };

    private static string WhyOf(TroubleKind kind, CheckKind check) =>
        Whys.GetValueOrDefault((kind, check)) ?? CheckWords.RowOf(check, Core.Bows.BowKind.Compound).Why;

    private static readonly Dictionary<(TroubleKind, CheckKind), string> Whys = new()
    {
        [(TroubleKind.HeadsElsewhere, CheckKind.RestTiming)] =
            "A vane that touches the rest turns the tail, and a head makes more of it than a point does.",
        [(TroubleKind.HeadsElsewhere, CheckKind.NockFit)] = "A tight nock lets go unevenly; heads show it first.",
        [(TroubleKind.DialsOff, CheckKind.LimbAlignment)] =
            "A string that runs beside the middle drifts with distance.",
        [(TroubleKind.DialsOff, CheckKind.FirstAxis)] =
            "A bar that leans carries the sight sideways as it is dialled. The other two are set from it.",
        [(TroubleKind.DialsOff, CheckKind.SecondAxis)] =
            "A level that is off makes you lean the bow, farther off with every step back.",
        [(TroubleKind.DialsOff, CheckKind.ThirdAxis)] = "It shows up and down hill, and far out.",
        [(TroubleKind.DialsOff, CheckKind.CentreShot)] =
            "After the axes: a rest off centre sends every arrow out at an angle.",
        [(TroubleKind.DialsOff, CheckKind.PlungerTension)] = "The plunger decides how the arrow leaves the riser.",
        [(TroubleKind.PeepTurned, CheckKind.Loop)] = "Cheapest first: a loop that has turned turns the string with it.",
        [(TroubleKind.PeepTurned, CheckKind.BraceHeight)] =
            "A string that crept is longer and turns; the brace height shows it.",
        [(TroubleKind.PeepTurned, CheckKind.AxleToAxle)] =
            "With the brace height it says whether string or cables crept.",
        [(TroubleKind.PeepTurned, CheckKind.Peep)] =
            "Then the peep itself: twists of the string turn it and leave lean and timing alone.",
        [(TroubleKind.TearStays, CheckKind.RestTiming)] =
            "A rest that is late, or that vanes touch, tears whatever its height.",
        [(TroubleKind.TearStays, CheckKind.NockFit)] = "A tight nock tears like a wrong height and ignores every move.",
        [(TroubleKind.TearStays, CheckKind.NockSets)] = "A nock that is pinched at full draw lifts off the rest.",
        [(TroubleKind.TearStays, CheckKind.CamTiming)] = "A late cam lifts or drops the nock; no rest answers that.",
        [(TroubleKind.TearStays, CheckKind.BraceHeight)] =
            "A string that crept moves timing and nocking point together.",
        [(TroubleKind.TearStays, CheckKind.NockingPoint)] =
            "With the rest at the end of its travel it is the nocking point that is wrong.",
        [(TroubleKind.TearStays, CheckKind.CentreShot)] =
            "Where the rest stands says whether its moves still have room.",
        [(TroubleKind.TearStays, CheckKind.PlungerTension)] = "A plunger that sticks answers no move.",
        [(TroubleKind.TearStays, CheckKind.CamLean)] =
            "Lean that came since it shot well is answered at the cams alone.",
        [(TroubleKind.TearStays, CheckKind.LimbAlignment)] =
            "A limb that shifted in its seat carries the string along.",
        [(TroubleKind.TearStays, CheckKind.Inspection)] =
            "Last: a loose module screw or string stop wanders from shot to shot.",
        [(TroubleKind.VerticalStrings, CheckKind.NockSets)] =
            "Slack between the sets lets the nock slide: the first suspect where the paper is clean.",
        [(TroubleKind.VerticalStrings, CheckKind.NockFit)] =
            "A nock that is loose or tight leaves the string by chance.",
        [(TroubleKind.VerticalStrings, CheckKind.RestTiming)] = "A rest that drops now early, now late lifts the tail.",
        [(TroubleKind.VerticalStrings, CheckKind.NockingPoint)] = "A set or loop that slips moves between shots.",
        [(TroubleKind.VerticalStrings, CheckKind.CamTiming)] =
            "Stops that touch one after the other pull the nock up or down.",
        [(TroubleKind.VerticalStrings, CheckKind.Tiller)] = "Limbs that pull unevenly make the bow nod as it is held.",
        [(TroubleKind.VerticalStrings, CheckKind.Clicker)] =
            "Another draw length every time is another speed every time.",
        [(TroubleKind.Knocked, CheckKind.Inspection)] = "Before it is drawn: a knock cracks limbs where nobody looks.",
        [(TroubleKind.Knocked, CheckKind.LimbAlignment)] = "A knock shifts a limb in its seat.",
        [(TroubleKind.Knocked, CheckKind.CentreShot)] = "The rest stands out farthest and is moved first.",
        [(TroubleKind.Knocked, CheckKind.RestTiming)] = "A bent launcher, or a cord that caught, comes up late.",
        [(TroubleKind.Knocked, CheckKind.NockingPoint)] = "Whatever caught the string may have slid a set or the loop.",
        [(TroubleKind.Knocked, CheckKind.FirstAxis)] = "The sight's bar is bent before anything else of it.",
        [(TroubleKind.NewString, CheckKind.Inspection)] =
            "Before the press is let off: loops on their posts, string and cables in their tracks, axles fast.",
        [(TroubleKind.NewString, CheckKind.AxleToAxle)] = "A string of another length shows here first.",
        [(TroubleKind.NewString, CheckKind.BraceHeight)] =
            "Twists bring it to where it shot well; all that follows hangs on it.",
        [(TroubleKind.NewString, CheckKind.CamTiming)] = "Another length is another timing.",
        [(TroubleKind.NewString, CheckKind.Tiller)] = "It follows the brace height.",
        [(TroubleKind.NewString, CheckKind.NockingPoint)] = "Tied anew: measured, never copied by eye.",
        [(TroubleKind.NewString, CheckKind.NockFit)] = "Another serving is another diameter in the nock.",
        [(TroubleKind.NewString, CheckKind.Peep)] = "Last: it turns until the string has settled.",
    };
}
