using Merganser.Core.Tuning;

namespace Merganser.Web.Words;

/// <summary>The rungs of the ladder.</summary>
public static class LadderWords
{
    /// <summary>What a rung is, how it is done, what its answer means.</summary>
    public sealed record RungRow(string Title, string How, string Tells);

    /// <summary>The words of a rung.</summary>
    public static RungRow Of(RungKind rung) =>
        rung switch
        {
            RungKind.ControlArrow => new(
                "A control arrow",
                "Three shots with an ordinary arrow that has flown well from another bow; touch nothing else.",
                "It tears alike: the bow or the archer. It flies clean: your arrow."
            ),
            RungKind.Grip => new(
                "A changed grip",
                "Three shots with the hand turned a little out and relaxed; touch nothing else.",
                "The tear changes: it was the grip, not the bow."
            ),
            RungKind.Face => new(
                "Face pressure, at the blank bale",
                "Ten shots at a bale close by, eyes shut, the string only just at the face; then three through paper.",
                "The tear changes: it was face or release."
            ),
            RungKind.Archer => new(
                "Another archer, or a machine",
                "Three shots by somebody else of the same hand, or from a machine.",
                "It tears alike: the bow. It does not: the archer."
            ),
            RungKind.Screws => new(
                "Screws and string stop",
                "Module screws, string stop, axle bolts, rest screws: each by hand. The stop just touches the string.",
                "Something was loose: tighten it and shoot again before anything is moved."
            ),
            RungKind.Draw => new(
                "Draw length",
                "Elbow in line, no leaning back; is it pulled hard into the wall?",
                "Too short is pulled hard into the wall, and tears wander."
            ),
            RungKind.Clearance => new(
                "Clearance, with powder",
                "Powder on vanes, rest and cable; one shot; look for the mark.",
                "A mark: turn the nock a vane step, or lower the rest's timing."
            ),
            RungKind.Timing => new(
                "Timing",
                "Two cams on the draw board: both stops together. The rest drops when it should.",
                "A late cam or rest makes a height that ignores every move."
            ),
            RungKind.Tiller => new(
                "Tiller, quarter turns",
                "Bottom limb bolt a quarter turn out, within the maker's limit, and back if nothing changes.",
                "A tail that stays low answers; weight and timing are looked at again."
            ),
            RungKind.Spine => new(
                "Spine",
                "The next stiffer and the next weaker shaft through paper, the bow left alone.",
                "One of them flies clean: it was the arrow."
            ),
            _ => new(
                "Plunger and clicker",
                "Plunger free, not sticking; arrow clears the plunger; clicker off for three shots.",
                "The tear changes: it was the plunger or the clicker."
            ),
        };
}
