using Merganser.Core.Trials;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>What a trial of points over shafts tells.</summary>
public static class TrialWords
{
    public static FormattableString Of(TrialMessage message) =>
        message switch
        {
            TrialStepIs(var arrow, var grains, _, > 0 and var steps, _, _) =>
                $"{arrow} with {grains}: break {steps:step} off",
            TrialStepIs(var arrow, var grains, var point, _, > 0 and var steps, true) =>
                $"{arrow} with {grains}: buy {point}, break {steps:step} off",
            TrialStepIs(var arrow, var grains, var point, _, > 0 and var steps, _) =>
                $"{arrow} with {grains}: {point}, break {steps:step} off",
            TrialStepIs(var arrow, var grains, var point, _, _, true) => $"{arrow} with {grains}: buy {point}",
            TrialStepIs(var arrow, var grains, var point, _, _, _) => $"{arrow} with {grains}: {point}",
            PointsFit(var lightest, null) => $"Points from {lightest} on fit by figures",
            PointsFit(var lightest, var heaviest) => $"Points from {lightest:bare} to {heaviest} fit by figures",
            WidestRange(var arrow, var lightest, var heaviest, true, var next, var other) =>
                $"{arrow} takes the widest range on paper: {lightest:bare} to {heaviest}. {Narrower(next, other)}.",
            WidestRange(var arrow, var lightest, var heaviest, _, var next, var other) =>
                $"{arrow} takes the widest range by figures: points from {lightest:bare} to {heaviest}. {Narrower(next, other)}.",
            PlanTakes(var arrows, 0) => $"{arrows:bare shaft} to shoot, nothing to buy.",
            PlanTakes(var arrows, var buy) => $"{arrows:bare shaft} to shoot, {buy:part} to buy.",
            TakeNext(var arrow, 0, true) => $"Take the last arrow of the plan: {arrow}.",
            TakeNext(var arrow, var left, true) => $"Take the next arrow of the plan: {arrow}. {left:arrow} after it.",
            TakeNext(var arrow, _, _) => $"Shoot two at least, then take {arrow}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    private static FormattableString Narrower(string next, Measure width) =>
        width.Value > 0 ? $"The next, {next}, takes {width} of it" : (FormattableString)$"{next} takes one at the most";

    public static FormattableString Of(TrialSays says) =>
        says switch
        {
            TrialSays.NoPointFits => $"No point makes the fit of this shaft good on this bow.",
            TrialSays.NoSuchPoint => $"There is no such point for this shaft.",
            TrialSays.HeavyFirst => $"From heavy to light: what is broken off does not come back.",
            TrialSays.WhyWide => $"A wide range forgives: another head, or a glue joint more, asks for no new tune.",
            TrialSays.ChooseTwo => $"Choose two points at least.",
            TrialSays.NoArrowsYet => $"A trial changes points on arrows of this bow: build one and keep it first.",
            TrialSays.TakeIt => $"Take it",
            TrialSays.ShotByPlan => $"The bow stays as it is. Which arrows need no move is the finding.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
