using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>Cautions that stand beside the arrow, the most serious first. Limits are common practice, no source.</summary>
public static class ArrowCautions
{
    /// <summary>Least grains per pound before a bow is at risk.</summary>
    public const double LeastGrainsPerPound = 5;

    /// <summary>Least shaft ahead of the rest at full draw, inches.</summary>
    public const double LeastToSpare = 1;

    public static IReadOnlyList<Caution> Of(ArrowNumbers n)
    {
        List<Caution> cautions = [];
        var spare = Show.Number(Math.Abs(n.ToSpare), 2);
        if (n.ToSpare < 0)
        {
            cautions.Add(new Caution("behind-rest", $"Refused: the shaft ends {spare} in behind the rest at full draw and can drop into the hand. Take a longer shaft.", true, "cutLength"));
        }
        else if (n.ToSpare < LeastToSpare)
        {
            cautions.Add(new Caution("short-shaft", $"Shaft ends {spare} in ahead of the rest at full draw: leave 1 in or more, more with a broadhead.", false, "cutLength"));
        }

        if (n.GrainsPerPound < LeastGrainsPerPound)
        {
            cautions.Add(new Caution("light-arrow", $"{Show.Number(n.GrainsPerPound, 2)} gr/lb: under 5 the bow can break. The maker's minimum rules{(n.Bow.Kind == BowKind.Compound ? "" : ", often heavier")}.", false, "point"));
        }

        if (n.Arrow.Point.Kind == PointKind.FixedHead && n.Fit.Band is FitBand.Weak or FitBand.BorderlineWeak)
        {
            cautions.Add(new Caution("weak-fixed-head", $"{Capital(SpineFit.Word(n.Fit.Band))} spine with a fixed head: it recovers late and the head steers. Stiffer shaft, shorter, or a lighter head.", false, "shaft"));
        }

        return cautions;
    }

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}

/// <summary>The next step on the arrow's page.</summary>
public static class ArrowNext
{
    /// <summary>Above this a shaft is not a little stiff but another bow's (common practice, no source).</summary>
    public const double FarTooStiff = 1.3;

    /// <summary>The caution's cure is what is next, not the keeping and cutting of an arrow that has one.</summary>
    private static Next Cure(ArrowNumbers n, Caution caution) => caution.Code switch
    {
        "light-arrow" => new Next("Too light for this bow: take a heavier point or shaft.", caution.Text, "tryPoint", "Pick a point", "Pick a shaft", "tryShaft"),
        "short-shaft" => new Next($"Leave the shaft at least {Show.Number(n.Bow.RestAtFullDraw + ArrowCautions.LeastToSpare, 2)} in long.", caution.Text, "fixLength", "Go to the length", "Keep it all the same", "keep"),
        _ => new Next("Take a stiffer shaft for a fixed head.", caution.Text, "tryShaft", "Pick a shaft", "Keep it all the same", "keep"),
    };

    private static string StiffWords(double ratio) => ratio > FarTooStiff
        ? "Far stiffer than this bow needs: it will not tune. Look at the draw weight and the shaft again."
        : "A little stiff tunes more easily than weak; far too stiff does not tune at all.";

    public static Next Of(ArrowNumbers n, IReadOnlyList<Caution> cautions)
    {
        if (cautions.FirstOrDefault(c => c.Refused) is { } refused)
        {
            var least = Show.Number(n.Bow.RestAtFullDraw + ArrowCautions.LeastToSpare, 2);
            return new Next($"Make the shaft at least {least} in long.", refused.Text, "fixLength", "Go to the length");
        }

        if (cautions.FirstOrDefault() is { } caution)
        {
            return Cure(n, caution);
        }

        var length = Show.Number(n.Arrow.CutLength, 2);
        return n.Fit.Band switch
        {
            FitBand.Weak or FitBand.BorderlineWeak => new Next(
                $"The spine reads {SpineFit.Word(n.Fit.Band)}: try a stiffer shaft.", "Or cut it shorter, or take a lighter point. Err stiff rather than weak.", "tryShaft", "Pick a shaft", "Keep it all the same", "keep"),
            FitBand.Stiff => new Next(
                "The spine reads stiff: a heavier point or a weaker shaft fits.", StiffWords(n.Fit.Ratio), "tryShaft", "Pick a shaft", "Keep it all the same", "keep"),
            _ => new Next(
                $"Keep this arrow, then cut one shaft to {length} in.", n.Arrow.TubeLength < n.Arrow.Shaft.MaxLength
                    ? "A cut is not undone: leave it longer and lighten the point first. Eye protection, dust mask for carbon."
                    : "Eye protection and a dust mask for carbon. A cut is not undone.", "keep", "Keep this arrow", "Shoot it through paper", "paper"),
        };
    }
}
