using Merganser.Core.Bows;

namespace Merganser.Core.Setup;

/// <summary>Something that was done to a bow after which other things are looked at again.</summary>
public enum BowChange
{
    NewString,
    NewCable,
    NewServing,
    NewLoop,
    NewPeep,
    NewRest,
    StringTwists,
    OneSidedTwist,
    OpposedYokeTwists,
    DrawWeight,
    DrawLength,
    LimbBolt,
    CamSpacer,
    BraceHeight,
    NockingPoint,
    Sight,
}

/// <summary>What follows from a change.</summary>
/// <param name="Change">What was done.</param>
/// <param name="Name">In words.</param>
/// <param name="Again">What is looked at again, in order.</param>
/// <param name="Settles">True when the string needs its settling shots.</param>
/// <param name="Why">Why, in words.</param>
public sealed record ChangeFact(BowChange Change, string Name, IReadOnlyList<CheckKind> Again, bool Settles, string Why);

/// <summary>The dependency rules (common practice, no source).</summary>
public static class ChangeTable
{
    private static readonly ChangeFact[] Rows =
    [
        new(BowChange.NewString, "New string", [CheckKind.AxleToAxle, CheckKind.BraceHeight, CheckKind.CamTiming, CheckKind.NockingPoint, CheckKind.Peep, CheckKind.Paper], true, "A new string stretches and seats its peep anew"),
        new(BowChange.NewCable, "New cables", [CheckKind.AxleToAxle, CheckKind.BraceHeight, CheckKind.CamLean, CheckKind.CamTiming, CheckKind.Paper], true, "New cables set lean and timing anew"),
        new(BowChange.NewServing, "New serving", [CheckKind.NockFit, CheckKind.NockingPoint, CheckKind.Peep, CheckKind.Paper], true, "The serving's diameter is the nock's fit"),
        new(BowChange.NewLoop, "New D-loop", [CheckKind.Loop, CheckKind.NockingPoint, CheckKind.Peep, CheckKind.Paper], false, "The loop turns the peep and holds the height"),
        new(BowChange.NewPeep, "New peep", [CheckKind.Peep, CheckKind.NockingPoint, CheckKind.Paper, CheckKind.Sight], false, "A new peep changes the line of sight"),
        new(BowChange.NewRest, "New rest", [CheckKind.CentreShot, CheckKind.RestTiming, CheckKind.NockingPoint, CheckKind.Paper], false, "All that the rest set is set anew"),
        new(BowChange.StringTwists, "Twists in the string only", [CheckKind.Peep], false, "String-only twists leave lean and timing alone"),
        new(BowChange.OneSidedTwist, "A cable or one yoke leg twisted", [CheckKind.CamTiming, CheckKind.CamLean, CheckKind.Paper], false, "A one-sided twist changes the cable's length"),
        new(BowChange.OpposedYokeTwists, "Yoke legs twisted equal and opposite", [], false, "Equal and opposite twists leave the cable's length, so timing, alone"),
        new(BowChange.DrawWeight, "Draw weight changed", [CheckKind.DrawWeight, CheckKind.Tiller, CheckKind.Spine, CheckKind.Paper, CheckKind.Sight], false, "Spine, paper and sight follow the draw weight"),
        new(BowChange.DrawLength, "Draw length changed", [CheckKind.DrawWeight, CheckKind.CamTiming, CheckKind.Peep, CheckKind.Spine, CheckKind.Paper, CheckKind.Sight], false, "Spine, paper and sight follow the draw length"),
        new(BowChange.LimbBolt, "One limb bolt turned", [CheckKind.Tiller, CheckKind.CamTiming, CheckKind.DrawWeight], false, "One bolt alone shifts timing and weight"),
        new(BowChange.CamSpacer, "Cam spacers moved", [CheckKind.Inspection, CheckKind.CamLean], false, "Every spacer seated, shoulder outward; the cams turn freely"),
        new(BowChange.BraceHeight, "Brace height changed", [CheckKind.BraceHeight, CheckKind.Tiller, CheckKind.NockingPoint], false, "Tiller and nocking point follow the brace height"),
        new(BowChange.NockingPoint, "Nocking point moved", [CheckKind.NockSets], false, "The nock sets hold it"),
        new(BowChange.Sight, "Sight taken off or knocked", [CheckKind.FirstAxis, CheckKind.SecondAxis, CheckKind.ThirdAxis, CheckKind.Sight], false, "The axes are set from the first on"),
    ];

    /// <summary>All rows.</summary>
    public static IReadOnlyList<ChangeFact> All => Rows;

    /// <summary>The row of a change.</summary>
    public static ChangeFact Of(BowChange change) => Rows[(int)change];

    /// <summary>The changes that a person enters by hand; the others follow from logged moves.</summary>
    public static IReadOnlyList<BowChange> ByHand { get; } =
        [BowChange.NewString, BowChange.NewCable, BowChange.NewServing, BowChange.NewLoop, BowChange.NewPeep, BowChange.NewRest, BowChange.DrawLength, BowChange.Sight];

    /// <summary>What a move of an adjuster is as a change, or null when nothing follows but shooting again.</summary>
    public static BowChange? Of(AdjusterKind kind) => kind switch
    {
        AdjusterKind.YokePair => BowChange.OpposedYokeTwists,
        AdjusterKind.YokeLeftLeg or AdjusterKind.YokeRightLeg or AdjusterKind.TopCable or AdjusterKind.BottomCable => BowChange.OneSidedTwist,
        AdjusterKind.StringTwists => BowChange.StringTwists,
        AdjusterKind.CamSpacer => BowChange.CamSpacer,
        AdjusterKind.BottomLimbBolt => BowChange.LimbBolt,
        AdjusterKind.LimbBolts or AdjusterKind.DrawWeight => BowChange.DrawWeight,
        AdjusterKind.DrawModule => BowChange.DrawLength,
        AdjusterKind.LetOffModule => BowChange.DrawWeight,
        AdjusterKind.BraceHeight => BowChange.BraceHeight,
        AdjusterKind.NockingPoint => BowChange.NockingPoint,
        _ => null,
    };
}
