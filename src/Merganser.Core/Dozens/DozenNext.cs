using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>The one next step at a dozen, and how far it is.</summary>
public static class DozenNext
{
    /// <summary>What is next.</summary>
    public static Next Of(Dozen dozen)
    {
        if (dozen.Check is null && dozen.Classes.All(c => c.Pieces.Count == 0))
        {
            return new Next(
                DozenSays.CheckWeightFirst,
                DozenSays.ScaleThatIsOff,
                "check",
                DozenSays.WeighTheCheckWeight,
                DozenSays.GoOnWithout,
                "weigh"
            );
        }

        if (dozen.Classes.FirstOrDefault(c => c.Missing > 0) is { } missing)
        {
            Message? odd = dozen.Classes.Any(c => c.Pieces.Any(p => p.Odd)) ? DozenSays.AnOddOne : null;
            return new Next(
                new WeighTheRest(missing.Name, missing.Missing),
                DozenSays.OneAfterTheOther,
                $"weigh:{missing.Name}",
                DozenSays.GoOnWeighing,
                odd,
                "odd"
            );
        }

        if (dozen.Match is null && dozen.Classes.FirstOrDefault(c => c.Pieces.Any(p => p.Odd)) is { } apart)
        {
            var piece = apart.Pieces.First(p => p.Odd);
            return new Next(
                new StandsApart(apart.Name, piece.Number),
                new ApartBecause(Measure.Grains(piece.Grains), Measure.Plain(Outliers.Limit, 1)),
                $"weigh:{apart.Name}:{piece.Number}",
                DozenSays.WeighItAgain,
                DozenSays.MatchAllTheSame,
                "match"
            );
        }

        if (dozen.Match is null || (dozen.Stale is not null && dozen.Begun.Count == 0))
        {
            return new Next(DozenSays.AllIsWeighed, DozenSays.SetsAndPairs, "match", DozenSays.MatchThePieces);
        }

        return dozen.Broken is { } broken
            ? new Next(broken, DozenSays.BegunStay, "match", DozenSays.MatchTheRest)
            : Build(dozen);
    }

    /// <summary>How far the dozen is.</summary>
    public static DozenStands Stands(Dozen dozen)
    {
        if (dozen.Match is null)
        {
            return new DozenStands(
                DozenStage.Weighing,
                dozen.Classes.Sum(c => Math.Min(c.Pieces.Count, c.Needed)),
                dozen.Classes.Sum(c => c.Needed)
            );
        }

        var use = dozen.Tray.Where(t => !t.Retired).ToArray();
        var verified = use.Count(t => t.State == ArrowState.Verified);
        var begun = dozen.Tray.Any(t => t.State != ArrowState.Parts) ? DozenStage.Building : DozenStage.Matched;
        return new DozenStands(verified == use.Length ? DozenStage.Verified : begun, verified, use.Length);
    }

    private static Next Build(Dozen dozen)
    {
        if (dozen.Tray.FirstOrDefault(t => t.State != ArrowState.Verified && !t.Retired) is not { } arrow)
        {
            return new Next(DozenSays.BuiltAndVerified, DozenSays.LabelsAndCards, "heads", DozenSays.WeighTheHeads);
        }

        var step = Assembly.Steps.First(s => !arrow.Has(s.Code)).Code;
        Message reason = Assembly.Cautioned.Contains(step) ? new StepCaution(step) : DozenSays.TickWhenDone;
        return new Next(
            new ArrowStep(arrow.Number, step),
            reason,
            $"tick:{arrow.Number}:{Assembly.CodeOf(step)}",
            DozenSays.ItIsDone,
            DozenSays.TrayList,
            "tray"
        );
    }
}
