using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>How a part goes into the tube of a shaft.</summary>
public enum TubeFitBand
{
    /// <summary>The part or the tube does not say how wide it is.</summary>
    Unknown,

    /// <summary>It goes in.</summary>
    Fits,

    /// <summary>It does not go in.</summary>
    TooWide,

    /// <summary>It rattles: glue alone does not hold it in line.</summary>
    Loose,
}

/// <summary>A part does not go into the shaft's tube, or rattles in it.</summary>
public sealed record DoesNotGoIn(Measure Part, Measure Tube, bool TooWide) : ArrowMessage;

/// <summary>Which part of the arrow does not go into its shaft.</summary>
public sealed record PartDoesNotGoIn(ArrowPart Part, DoesNotGoIn Why) : ArrowMessage;

/// <summary>Another part is to be picked.</summary>
public sealed record PickAnother(ArrowPart Part) : ArrowMessage;

/// <summary>Whether an insert, point or nock goes into a shaft. Limits: common practice, no source.</summary>
public static class TubeFit
{
    /// <summary>A press fit takes so much more than the tube, inches.</summary>
    private const double Pressed = 0.002;

    /// <summary>Glue fills so much around a part, inches across.</summary>
    private const double Filled = 0.008;

    /// <summary>How a part of one diameter goes into a tube of another, inches; 0 for one that is not known.</summary>
    public static TubeFitBand Of(double part, double tube) =>
        (part, tube) switch
        {
            (<= 0, _) or (_, <= 0) => TubeFitBand.Unknown,
            _ when part > tube + Pressed => TubeFitBand.TooWide,
            _ when part < tube - Filled => TubeFitBand.Loose,
            _ => TubeFitBand.Fits,
        };

    /// <summary>True for a part that is known not to fit.</summary>
    public static bool IsWrong(double part, double tube) => Of(part, tube) is TubeFitBand.TooWide or TubeFitBand.Loose;

    /// <summary>What a part has inside the tube, inches across; 0 for one that goes over it, or is not known.</summary>
    public static double Inside(IComponent? part) =>
        part switch
        {
            Insert i => i.Diameter,
            Point p => p.Diameter,
            Nock n => n.Diameter,
            EndPart e => e.Diameter,
            _ => 0,
        };

    /// <summary>Why a part does not fit a shaft; null where it does, or nothing is known.</summary>
    public static DoesNotGoIn? Words(IComponent part, Shaft shaft)
    {
        var (inside, tube) = (Inside(part), shaft.InnerDiameter);
        return IsWrong(inside, tube)
            ? new DoesNotGoIn(Measure.Inches(inside, 3), Measure.Inches(tube, 3), inside > tube)
            : null;
    }

    /// <summary>The first part of an arrow that is known not to fit its shaft; null for none.</summary>
    public static (ArrowPart Part, DoesNotGoIn Why)? Misfit(Arrow arrow)
    {
        (ArrowPart Part, IComponent? Of)[] inside =
        [
            (ArrowPart.Insert, arrow.Insert),
            (ArrowPart.Point, arrow.Point),
            (ArrowPart.Nock, arrow.AtEnds.Any(p => p.HoldsNock) ? null : arrow.Nock),
            .. arrow.AtEnds.Select(p => (p.InFront ? ArrowPart.Front : ArrowPart.Rear, (IComponent?)p)),
        ];
        foreach (var (part, of) in inside)
        {
            if (of is not null && Words(of, arrow.Shaft) is { } why)
            {
                return (part, why);
            }
        }

        return null;
    }
}
