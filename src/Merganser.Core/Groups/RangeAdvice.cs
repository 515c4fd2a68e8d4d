using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What a range-error trial asks for: arrows in mixed order, until its cost is told.</summary>
internal static class RangeAdvice
{
    /// <summary>What is advised at the trial in work.</summary>
    public static Advice Of(TuningSession session)
    {
        var trial = session.RangeTrial!;
        Evidence[] evidence = [.. EvidenceOf(trial)];
        Advice To(AdviceKind kind, Message sentence, Message reason) => Advice.To(kind, sentence, reason, evidence);
        var each = trial.Cost is null ? RangeTrial.LeastOfEach - trial.Least : trial.More;
        var shoot = new RangeToShoot(each, Measure.Yards(trial.Next), Measure.Yards(trial.Yards));
        return trial.Count == 0 ? To(AdviceKind.NoShots, shoot, RangeSays.MixedOrder)
            : trial.Cost is null ? To(AdviceKind.ShootMore, shoot, RangeSays.BothSides)
            : trial.More > 0 ? To(AdviceKind.ShootMore, shoot, RangeSays.CostNotSharp)
            : To(AdviceKind.GoodEnough, AffordWords(trial), Why(trial));
    }

    /// <summary>How it stands to weight and speed, where these are known.</summary>
    private static Message Why(RangeReading trial) =>
        trial.Computed is { } computed
            ? new CostComputed(Measure.Inches(computed, 1), trial.Differs)
            : RangeSays.BothSides;

    private static Message AffordWords(RangeReading trial) =>
        trial.Affords is { } affords
            ? new RangeAffords(
                Measure.Inches(RangeTrial.Allowed, 0),
                Measure.Yards(affords.Yards),
                Measure.Yards(affords.Least),
                Measure.Yards(affords.Most),
                Measure.Yards(trial.Yards)
            )
            : RangeSays.CostsNothing;

    private static IEnumerable<Evidence> EvidenceOf(RangeReading trial)
    {
        if (trial is not { Cost: not null, Zero: { } zero })
        {
            yield break;
        }

        yield return new Evidence(
            AffordWords(trial),
            new ZeroTakenOff(Measure.Inches(zero.Inches, 1), Measure.Inches(zero.Plus, 1)),
            RangeSays.MoreWithEach
        );
        if (trial is { Against: { } against, Computed: { } computed })
        {
            yield return new Evidence(
                new CostComputed(Measure.Inches(computed, 1), trial.Differs),
                new CostTested(new FTest(against.F, 1, trial.Freedom, against.P)),
                RangeSays.MeasuredSpeed
            );
        }
    }
}
