using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>What is said of a bow's draw-force curve.</summary>
public abstract record SpeedMessage : Message;

/// <summary>So many points more make a curve.</summary>
public sealed record BoardNeedsPoints(int More) : SpeedMessage;

/// <summary>Between two points the curve may turn.</summary>
public sealed record BoardHasGap(Measure From, Measure To) : SpeedMessage;

/// <summary>The curve ends before full draw.</summary>
public sealed record BoardEndsEarly(Measure At, Measure Stroke) : SpeedMessage;

/// <summary>A whole curve: its energy, and what share of peak weight times travel that is.</summary>
public sealed record BoardTaught(Measure Energy, Measure Share) : SpeedMessage;

/// <summary>What is said of it without any quantity.</summary>
public enum SpeedSays
{
    NoCurve,
    StopsOfCompounds,
    Peak,
    PeakIs,
    Holding,
    HoldingIs,
    LetOff,
    LetOffIs,
    MeanForce,
    StoredEnergy,
    StoredEnergyIs,
    StopsApart,
    StopsApartIs,
    TurnOfCams,
    TimeTheCams,
    MorePoints,
    Definition,
    FromTheBoard,
}
