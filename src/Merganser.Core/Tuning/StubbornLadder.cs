using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>One rung: something to look at when moves do not help.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Title">What it is.</param>
/// <param name="How">How it is done.</param>
/// <param name="Tells">What the answer means.</param>
/// <param name="Control">True when it is a set of shots with the bow left alone.</param>
public sealed record Rung(string Code, string Title, string How, string Tells, bool Control = false);

/// <summary>What to look at when moves do not help, in the school's order (common practice, no source). Nothing is asked twice.</summary>
public static class StubbornLadder
{
    private static readonly Rung ControlArrow = new("controlArrow", "A control arrow", "Three shots with an ordinary arrow that has flown well from another bow; touch nothing else.", "It tears alike: the bow or the archer. It flies clean: your arrow.", true);
    private static readonly Rung Grip = new("grip", "A changed grip", "Three shots with the hand turned a little out and relaxed; touch nothing else.", "The tear changes: it was the grip, not the bow.", true);
    private static readonly Rung Face = new("face", "Face pressure, at the blank bale", "Ten shots at a bale from two yards, eyes shut, the string only just at the face; then three through paper.", "The tear changes: it was face or release.", true);
    private static readonly Rung Another = new("archer", "Another archer, or a machine", "Three shots by somebody else of the same hand, or from a machine.", "It tears alike: the bow. It does not: the archer.", true);
    private static readonly Rung Screws = new("screws", "Screws and string stop", "Module screws, string stop, axle bolts, rest screws: each by hand. The stop just touches the string.", "Something was loose: tighten it and shoot again before anything is moved.");
    private static readonly Rung Draw = new("draw", "Draw length", "Elbow in line, no leaning back; is it pulled hard into the wall?", "Too short is pulled hard into the wall, and tears wander.");
    private static readonly Rung Clearance = new("clearance", "Clearance, with powder", "Powder on vanes, rest and cable; one shot; look for the mark.", "A mark: turn the nock a vane step, or lower the rest's timing.");
    private static readonly Rung Timing = new("timing", "Timing", "Two cams on the draw board: both stops together. The rest drops when it should.", "A late cam or rest makes a height that ignores every move.");
    private static readonly Rung Tiller = new("tiller", "Tiller, quarter turns", "Bottom limb bolt a quarter turn out, within the maker's limit, and back if nothing changes.", "A tail that stays low answers; weight and timing are looked at again.");
    private static readonly Rung Spine = new("spine", "Spine", "The next stiffer and the next weaker shaft through paper, the bow left alone.", "One of them flies clean: it was the arrow.", true);
    private static readonly Rung Plunger = new("plunger", "Plunger and clicker", "Plunger free, not sticking; arrow clears the plunger; clicker off for three shots.", "The tear changes: it was the plunger or the clicker.");

    /// <summary>The rungs of a bow in the order of a school.</summary>
    public static IReadOnlyList<Rung> For(Release release, School school) => release == Release.Fingers
        ? [Spine, Face, Grip, ControlArrow, Plunger, Clearance, Another, Draw, Tiller]
        : school == School.Ladder
            ? [Grip, Face, ControlArrow, Screws, Draw, Clearance, Timing, Another, Tiller]
            : [ControlArrow, Grip, Face, Screws, Clearance, Timing, Draw, Another, Tiller];

    /// <summary>The first that was not done.</summary>
    public static Rung? Next(IReadOnlyList<Rung> rungs, IReadOnlyCollection<string> done) => rungs.FirstOrDefault(r => !done.Contains(r.Code));

    /// <summary>True when the moves made so far have not helped: two or more, and the tear no smaller beyond chance; or one ignored.</summary>
    public static bool Wanted(IReadOnlyList<MadeMove> made, IReadOnlyList<Reading> readings, AdviceKind advice) =>
        advice == AdviceKind.NotReachable
        || readings.Any(r => r is { Cause: Cause.Clearance, Suspected: true })
        || (made.Count >= 3 && advice is not AdviceKind.GoodEnough && made[^1].After.Mean.Length > made[0].Before.Mean.Length - made[^1].After.Radius);
}
