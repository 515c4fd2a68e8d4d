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
    LetOff,
}

/// <summary>What follows from a change.</summary>
/// <param name="Change">What was done.</param>
/// <param name="Again">What is looked at again, in order.</param>
/// <param name="Settles">True when the string needs its settling shots.</param>
public sealed record ChangeFact(BowChange Change, IReadOnlyList<CheckKind> Again, bool Settles);

/// <summary>The dependency rules (common practice, no source).</summary>
public static class ChangeTable
{
    private static readonly ChangeFact[] Rows =
    [
        new(
            BowChange.NewString,
            [
                CheckKind.AxleToAxle,
                CheckKind.BraceHeight,
                CheckKind.CamTiming,
                CheckKind.NockingPoint,
                CheckKind.Peep,
                CheckKind.Paper,
            ],
            true
        ),
        new(
            BowChange.NewCable,
            [CheckKind.AxleToAxle, CheckKind.BraceHeight, CheckKind.CamLean, CheckKind.CamTiming, CheckKind.Paper],
            true
        ),
        new(BowChange.NewServing, [CheckKind.NockFit, CheckKind.NockingPoint, CheckKind.Peep, CheckKind.Paper], true),
        new(BowChange.NewLoop, [CheckKind.Loop, CheckKind.NockingPoint, CheckKind.Peep, CheckKind.Paper], false),
        new(BowChange.NewPeep, [CheckKind.Peep, CheckKind.NockingPoint, CheckKind.Paper, CheckKind.Sight], false),
        new(
            BowChange.NewRest,
            [CheckKind.CentreShot, CheckKind.RestTiming, CheckKind.NockingPoint, CheckKind.Paper],
            false
        ),
        new(BowChange.StringTwists, [CheckKind.Peep], false),
        new(BowChange.OneSidedTwist, [CheckKind.CamTiming, CheckKind.CamLean, CheckKind.Paper], false),
        new(BowChange.OpposedYokeTwists, [], false),
        new(
            BowChange.DrawWeight,
            [CheckKind.DrawWeight, CheckKind.Tiller, CheckKind.Spine, CheckKind.Paper, CheckKind.Sight],
            false
        ),
        new(
            BowChange.DrawLength,
            [
                CheckKind.DrawWeight,
                CheckKind.CamTiming,
                CheckKind.Peep,
                CheckKind.Spine,
                CheckKind.Paper,
                CheckKind.Sight,
            ],
            false
        ),
        new(BowChange.LimbBolt, [CheckKind.Tiller, CheckKind.CamTiming, CheckKind.DrawWeight], false),
        new(BowChange.CamSpacer, [CheckKind.Inspection, CheckKind.CamLean], false),
        new(BowChange.BraceHeight, [CheckKind.BraceHeight, CheckKind.Tiller, CheckKind.NockingPoint], false),
        new(BowChange.NockingPoint, [CheckKind.NockSets], false),
        new(BowChange.Sight, [CheckKind.FirstAxis, CheckKind.SecondAxis, CheckKind.ThirdAxis, CheckKind.Sight], false),
        new(BowChange.LetOff, [CheckKind.CamTiming, CheckKind.DrawWeight, CheckKind.Paper, CheckKind.Sight], false),
    ];

    /// <summary>All rows.</summary>
    public static IReadOnlyList<ChangeFact> All => Rows;

    /// <summary>The row of a change.</summary>
    public static ChangeFact Of(BowChange change) => Rows.First(r => r.Change == change);

    private static readonly BowChange[] Entered =
    [
        BowChange.NewString,
        BowChange.NewCable,
        BowChange.NewServing,
        BowChange.NewLoop,
        BowChange.NewPeep,
        BowChange.NewRest,
        BowChange.DrawLength,
        BowChange.Sight,
    ];

    /// <summary>
    /// The changes that a person enters by hand on a kind of bow; the others follow from logged moves.
    /// </summary>
    public static IReadOnlyList<BowChange> ByHand(BowKind kind) =>
        kind == BowKind.Compound
            ? Entered
            : [.. Entered.Where(c => c is not BowChange.NewCable and not BowChange.NewPeep and not BowChange.NewLoop)];

    /// <summary>The checks that a bow has and that follow from a change.</summary>
    public static IReadOnlyList<CheckKind> Follows(BowChange change, Bow bow)
    {
        var order = CheckTable.Order(bow.Kind, bow.Release);
        return [.. Of(change).Again.Where(k => !CheckTable.Of(k).OnSheet || order.Contains(k))];
    }

    /// <summary>True for work that makes another bow of it at the paper: all but the sight's.</summary>
    public static bool MakesAnotherRig(BowChange change) => change != BowChange.Sight;

    /// <summary>What a move of an adjuster is as a change, or null when nothing follows but shooting again.</summary>
    public static BowChange? Of(AdjusterKind kind) =>
        kind switch
        {
            AdjusterKind.YokePair => BowChange.OpposedYokeTwists,
            AdjusterKind.YokeLeftLeg
            or AdjusterKind.YokeRightLeg
            or AdjusterKind.TopCable
            or AdjusterKind.BottomCable => BowChange.OneSidedTwist,
            AdjusterKind.StringTwists => BowChange.StringTwists,
            AdjusterKind.CamSpacer => BowChange.CamSpacer,
            AdjusterKind.BottomLimbBolt => BowChange.LimbBolt,
            AdjusterKind.LimbBolts or AdjusterKind.DrawWeight => BowChange.DrawWeight,
            AdjusterKind.DrawModule => BowChange.DrawLength,
            AdjusterKind.LetOffModule => BowChange.LetOff,
            AdjusterKind.BraceHeight => BowChange.BraceHeight,
            AdjusterKind.NockingPoint => BowChange.NockingPoint,
            _ => null,
        };
}
