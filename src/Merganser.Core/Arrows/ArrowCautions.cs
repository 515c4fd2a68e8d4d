using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>
/// Cautions that stand beside the arrow, the most serious first. Limits are common practice, no source.
/// </summary>
public static class ArrowCautions
{
    /// <summary>Least grains per pound before a bow is at risk.</summary>
    public const double LeastGrainsPerPound = 5;

    /// <summary>Least shaft ahead of the rest at full draw, inches.</summary>
    public const double LeastToSpare = 1;

    /// <summary>An ordinary field point, grains: a heavier head bends a shaft more (common practice, no source).
    /// </summary>
    public const double FieldPoint = 100;

    /// <summary>An arrow lighter than its bow stands.</summary>
    public const string Light = "light-arrow";

    /// <summary>A shaft that ends too close to the rest.</summary>
    public const string Short = "short-shaft";

    /// <summary>Every caution of an arrow on its bow, the most serious first.</summary>
    public static IReadOnlyList<Caution> Of(ArrowNumbers n)
    {
        List<Caution> cautions = [];
        var spare = Measure.Inches(Math.Abs(n.ToSpare));
        if (n.ToSpare < 0)
        {
            cautions.Add(new Caution("behind-rest", new EndsBehindRest(spare), true, "cutLength"));
        }
        else if (n.ToSpare < LeastToSpare)
        {
            cautions.Add(
                new Caution(Short, new EndsCloseToRest(spare, Measure.Ruled(LeastToSpare)), false, "cutLength")
            );
        }

        if (n.GrainsPerPound < LeastGrainsPerPound)
        {
            var light = new TooLight(
                new Measure(n.GrainsPerPound, Unit.GrainPerPound, 2),
                new Measure(LeastGrainsPerPound, Unit.GrainPerPound, 0),
                n.Bow.Kind != BowKind.Compound
            );
            cautions.Add(new Caution(Light, light, false, "point"));
        }

        var weak = n.Fit.Band is FitBand.Weak or FitBand.BorderlineWeak;
        if (weak && n.Arrow.Point.Kind == PointKind.FixedHead)
        {
            cautions.Add(new Caution("weak-fixed-head", new WeakForFixedHead(n.Fit.Band), false, "shaft"));
        }
        else if (weak && n.Arrow.Point.Kind == PointKind.MechanicalHead && n.Arrow.Point.Weight > FieldPoint)
        {
            var point = Measure.Grains(FieldPoint, 0);
            cautions.Add(new Caution("weak-heavy-head", new WeakForHeavyHead(n.Fit.Band, point), false, "shaft"));
        }

        if (TubeFit.Misfit(n.Arrow) is { } misfit)
        {
            var part = Codes.Of(misfit.Part);
            cautions.Add(new Caution($"misfit-{part}", new PartDoesNotGoIn(misfit.Part, misfit.Why), false, part));
        }

        return cautions;
    }
}

/// <summary>The next step on the arrow's page.</summary>
public static class ArrowNext
{
    /// <summary>Above this a shaft is not a little stiff but another bow's (common practice, no source).</summary>
    public const double FarTooStiff = 1.3;

    /// <summary>What is next of an arrow.</summary>
    public static Next Of(ArrowNumbers n, IReadOnlyList<Caution> cautions)
    {
        if (cautions.FirstOrDefault(c => c.Refused) is { } refused)
        {
            return new Next(new AtLeastLong(Least(n), false), refused.Text, "fixLength", ArrowSays.GoToTheLength);
        }

        if (n.Arrow.CutLengthBand > 0)
        {
            return new Next(
                ArrowSays.MeasureTheLength,
                new LengthUnknown(Measure.Inches(n.Arrow.CutLengthBand)),
                "fixLength",
                ArrowSays.GoToTheLength,
                ArrowSays.KeepAllTheSame,
                "keep"
            );
        }

        return cautions.FirstOrDefault() is { } caution ? Cure(n, caution) : ByFit(n);
    }

    /// <summary>The caution's cure is what is next, not the keeping and cutting of an arrow that has one.</summary>
    private static Next Cure(ArrowNumbers n, Caution caution) =>
        caution.Code switch
        {
            ArrowCautions.Light => new Next(
                ArrowSays.TooLightForBow,
                caution.Text,
                "tryPoint",
                ArrowSays.PickAPoint,
                ArrowSays.PickAShaft,
                "tryShaft"
            ),
            ArrowCautions.Short => new Next(
                new AtLeastLong(Least(n), true),
                caution.Text,
                "fixLength",
                ArrowSays.GoToTheLength,
                ArrowSays.KeepAllTheSame,
                "keep"
            ),
            _ when caution.Text is PartDoesNotGoIn { Part: var part } => new Next(
                new PickAnother(part),
                caution.Text,
                $"try{part}",
                new PickAnother(part),
                ArrowSays.KeepAllTheSame,
                "keep"
            ),
            _ => new Next(
                ArrowSays.StifferForFixedHead,
                caution.Text,
                "tryShaft",
                ArrowSays.PickAShaft,
                ArrowSays.KeepAllTheSame,
                "keep"
            ),
        };

    private static Next ByFit(ArrowNumbers n)
    {
        switch (n.Fit.Band)
        {
            case FitBand.Weak or FitBand.BorderlineWeak:
                return TryShaft(new ReadsWeak(n.Fit.Band), ArrowSays.OrShorterOrLighter);
            case FitBand.Stiff:
                return TryShaft(
                    ArrowSays.ReadsStiff,
                    n.Fit.Ratio > FarTooStiff ? ArrowSays.FarTooStiff : ArrowSays.LittleStiff
                );
            default:
                var reason =
                    n.Arrow.TubeLength < n.Arrow.Shaft.MaxLength
                        ? ArrowSays.CutIsNotUndoneLonger
                        : ArrowSays.CutIsNotUndone;
                var sentence = new KeepThenCut(Measure.Inches(n.Arrow.CutLength));
                return new Next(
                    sentence,
                    reason,
                    "keep",
                    ArrowSays.KeepThisArrow,
                    ArrowSays.ShootThroughPaper,
                    "paper"
                );
        }
    }

    private static Next TryShaft(Message sentence, Message reason) =>
        new(sentence, reason, "tryShaft", ArrowSays.PickAShaft, ArrowSays.KeepAllTheSame, "keep");

    private static Measure Least(ArrowNumbers n) => Measure.Inches(n.Bow.RestAtFullDraw + ArrowCautions.LeastToSpare);
}
