using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>What an advice rests on.</summary>
internal static class AdviceEvidence
{
    /// <summary>How likely the mean is inside, and what it rests on.</summary>
    public static Evidence Chance(TuningState state, Decision decision, double tolerance) =>
        new(
            new ChanceOfInside(Measure.Inches(tolerance)),
            new ChanceBecause(
                new Chance(decision.Chance),
                state.ShotsHere,
                state.Shots.Count - state.ShotsHere,
                new Tear(decision.Now.X, decision.Now.Y).Place,
                Measure.Inches(MeanTear.RegionInSds * decision.Now.WiderSd)
            ),
            new MoreShotsUntil(new Chance(decision.Enough))
        );

    /// <summary>What this bow has shown of the adjuster in question, or of all that were moved.</summary>
    public static IEnumerable<Evidence> Gains(TuningState state, Decision decision)
    {
        for (var i = 0; i < state.Prior.Gains.Count; i++)
        {
            if (!state.Taught(i) || (decision.Chosen is { } chosen && chosen.Lever != i))
            {
                continue;
            }

            var prior = state.Prior.Gains[i];
            var (gain, sd) = state.Belief.GainOf(i);
            yield return new Evidence(
                new StepMoves(
                    new AdjusterName(prior.Kind),
                    new StepName(prior.Kind),
                    Measure.Inches(Math.Abs(gain), 3),
                    gain < 0
                ),
                new LearnedFrom(
                    Measure.Inches(sd, 3),
                    state.SettingsOf(i),
                    Measure.Inches(prior.From == GainSource.Trade ? prior.Nominal : prior.Expected, 3),
                    prior.From
                ),
                TuningSays.MoveThatAnswersOtherwise
            );
        }
    }
}
