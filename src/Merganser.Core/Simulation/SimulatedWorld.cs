using Merganser.Core.Bows;

namespace Merganser.Core.Simulation;

/// <summary>What a simulated bow has to be moved.</summary>
public enum SimulatedAdjusters
{
    /// <summary>Rest, nocking point, bottom bolt, and one of yokes, spacers and pockets by chance.</summary>
    Compound,

    /// <summary>The same with yokes.</summary>
    Yokes,

    /// <summary>The same with spacers.</summary>
    Spacers,

    /// <summary>The same with pockets.</summary>
    Pockets,

    /// <summary>Rest and nocking point alone.</summary>
    RestAndNock,

    /// <summary>Nocking point, plunger, point, draw weight and brace height of a finger bow.</summary>
    Fingers,
}

/// <summary>
/// The world that simulated bows are drawn from: the benchmark world and its variants. All sizes are trade-like
/// guesses, no source. What a variant adds is drawn apart, so that the bow of a seed stays the same bow.
/// </summary>
/// <param name="GainSd">Sd of the log gain of one adjuster, and of its linear factor.</param>
/// <param name="BowSd">Sd of the log gain that all adjusters of a bow share.</param>
/// <param name="SpreadLow">Smallest shot spread, inches per axis.</param>
/// <param name="SpreadHigh">Largest.</param>
/// <param name="FlyerShare">Share of flyers.</param>
/// <param name="Adjusters">What can be moved.</param>
public sealed record SimulatedWorld(
    double GainSd = 0.4,
    double BowSd = 0.25,
    double SpreadLow = 0.10,
    double SpreadHigh = 0.25,
    double FlyerShare = 0.1,
    SimulatedAdjusters Adjusters = SimulatedAdjusters.Compound
)
{
    /// <summary>The world of the benchmark.</summary>
    public static SimulatedWorld Benchmark { get; } = new();

    /// <summary>How much of every gain is left: 0 for an arrow that no adjuster cures.</summary>
    public double Answer { get; init; } = 1;

    /// <summary>First tears are so many times larger.</summary>
    public double TearScale { get; init; } = 1;

    /// <summary>Sd of the gain on the other axis, as a share of the nominal gain.</summary>
    public double CrossSd { get; init; } = 0.08;

    /// <summary>An adjuster that answers the other way than agreed.</summary>
    public AdjusterKind? Reversed { get; init; }

    /// <summary>Most steps that are lost when an adjuster is turned back; from 0 to this, by bow.</summary>
    public int Backlash { get; init; }

    /// <summary>True where steps far from the middle answer less.</summary>
    public bool Saturating { get; init; }

    /// <summary>Share of moves that are turned one step too far or too short.</summary>
    public double Misturned { get; init; }

    /// <summary>Share of moves that are made the other way than they are logged.</summary>
    public double WrongWay { get; init; }

    /// <summary>Sd of what today's shooting adds to every tear, inches per axis.</summary>
    public double DayBias { get; init; }

    /// <summary>What the form drifts in a shot, inches, in a direction of its own.</summary>
    public double Drift { get; init; }

    /// <summary>By how much the spread grows with every shot, as a share.</summary>
    public double Fatigue { get; init; }

    /// <summary>True where shots stray by Student's t with three degrees of freedom, of the same spread.</summary>
    public bool HeavyTails { get; init; }

    /// <summary>Spread of the height against the sides'.</summary>
    public double HeightSpread { get; init; } = 1;

    /// <summary>Holes are read to this, inches; 0 is as they are.</summary>
    public double ReadTo { get; init; }

    /// <summary>By how much the height moves while the string settles over sixty shots, inches.</summary>
    public double Settling { get; init; }

    /// <summary>Which visit: another tear and other shots of the same bow.</summary>
    public int Visit { get; init; } = 1;

    /// <summary>
    /// Which other bow of the seed's make it is; 0 is the seed's own. Its tear and shots are others, its gains nearly
    /// the same.
    /// </summary>
    public int BowOfMake { get; init; }

    /// <summary>Sd of the log gain between bows of one make.</summary>
    public double MakeSd { get; init; } = 0.15;

    /// <summary>After this shot the grip is another one; 0 is never.</summary>
    public int GripChangesAt { get; init; }
}
