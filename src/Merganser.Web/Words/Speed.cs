using Merganser.Core.Speed;

namespace Merganser.Web.Words;

/// <summary>The draw board.</summary>
public static class SpeedWords
{
    public static FormattableString Of(SpeedMessage message) =>
        message switch
        {
            BoardNeedsPoints(var more) => $"{more:point} more, evenly from rest to the wall.",
            BoardHasGap(var from, var to) => $"Nothing between {from:bare} and {to}: the curve may turn there.",
            BoardEndsEarly(var at, var stroke) =>
                $"It ends at {at}; full draw is {stroke} from rest. Draw to the wall, or mend brace height and draw length.",
            BoardTaught(var energy, var share) =>
                $"{energy} stored, {share} of peak weight times travel. Speed and efficiency follow it.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(SpeedSays says) =>
        says switch
        {
            SpeedSays.NoCurve => $"No curve yet. Draw slowly and stop often; the scale must be still.",
            SpeedSays.StopsOfCompounds => $"Only a compound has two stops.",
            SpeedSays.Peak => $"Peak weight",
            SpeedSays.PeakIs => $"The greatest force on the way.",
            SpeedSays.Holding => $"Holding weight",
            SpeedSays.HoldingIs => $"The force at full draw.",
            SpeedSays.LetOff => $"Let-off",
            SpeedSays.LetOffIs => $"How much of the peak weight the cams take off at full draw.",
            SpeedSays.MeanForce => $"Mean force",
            SpeedSays.StoredEnergy => $"Stored energy",
            SpeedSays.StoredEnergyIs => $"The work of drawing: the area under the draw-force curve.",
            SpeedSays.StopsApart => $"Stops apart",
            SpeedSays.StopsApartIs => $"How far the bottom stop touches after the top one, as a turn of the cams.",
            SpeedSays.TurnOfCams => $"Turn of a cam over the stroke: trade-like guess, no source",
            SpeedSays.TimeTheCams => $"Cam timing: yoke or cables, by a shop or with a press.",
            SpeedSays.MorePoints => $"More points where the curve bends; a let-down curve lies a little below.",
            SpeedSays.Definition => $"Definition",
            SpeedSays.FromTheBoard => $"Read off the board",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
