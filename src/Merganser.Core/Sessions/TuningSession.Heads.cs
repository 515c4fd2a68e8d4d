using Merganser.Core.Groups;

namespace Merganser.Core.Sessions;

/// <summary>What a session knows of heads: their own sight mark, their drag, what answers them.</summary>
public sealed partial class TuningSession
{
    /// <summary>What answers heads that land straight off: the plan's word, the bow where it has no sight.</summary>
    public StraightMiss Straight => Bow.Bow.HasSight ? Plan.Straight : StraightMiss.TuneTheBow;

    /// <summary>Where the heads' own sight mark stands from the field points', inches at the pin.</summary>
    public SightMove HeadMark => replay.HeadMark;

    /// <summary>How the heads' mark was moved between a set and the one before it; null where it was not.</summary>
    public SightMove? MarkBefore(SessionSet set) => replay.MarkBefore(set);

    /// <summary>How much lower a head strikes in this stage for its own drag, inches.</summary>
    public double HeadDrag =>
        Arrows.FirstOrDefault(a => a.Version == Stage.Arrow) is { } shot
            ? Groups.HeadDrag.Of(Bow.Bow, shot.Arrow, Stage.Distance)
            : 0;
}
