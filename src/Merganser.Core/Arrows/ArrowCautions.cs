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
    public static Next Of(ArrowNumbers n, IReadOnlyList<Caution> cautions)
    {
        if (cautions.FirstOrDefault(c => c.Refused) is { } refused)
        {
            var least = Show.Number(n.Bow.RestAtFullDraw + ArrowCautions.LeastToSpare, 2);
            return new Next($"Make the shaft at least {least} in long.", refused.Text, "fixLength", "Go to the length");
        }

        var length = Show.Number(n.Arrow.CutLength, 2);
        return n.Fit.Band switch
        {
            FitBand.Weak or FitBand.BorderlineWeak => new Next(
                $"The spine reads {SpineFit.Word(n.Fit.Band)}: try a stiffer shaft.", "Or cut it shorter, or take a lighter point. Err stiff rather than weak.", "tryShaft", "Pick a shaft", "Keep it all the same", "keep"),
            FitBand.Stiff => new Next(
                "The spine reads stiff: a heavier point or a weaker shaft fits.", "Stiff is the safer side: it may be kept as it is.", "keep", "Keep this arrow", "Pick a shaft", "tryShaft"),
            _ => new Next(
                $"Keep this arrow, then cut one shaft to {length} in.", "Eye protection and a dust mask for carbon. A cut is not undone.", "keep", "Keep this arrow", "Shoot it through paper", "paper"),
        };
    }
}
