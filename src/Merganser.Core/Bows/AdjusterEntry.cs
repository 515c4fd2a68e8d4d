using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>One adjuster that a bow has, with its travel in steps, as typed.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Lower">Lowest step, at least −200.</param>
/// <param name="Upper">Highest step, at most 200.</param>
/// <param name="NeedsPress">True when it is turned in a press.</param>
/// <param name="InchesPerStep">What a step moves, as typed; empty where it was not measured.</param>
/// <param name="Way">Which way its steps drive the tail, where makers differ.</param>
public sealed record AdjusterEntry(
    AdjusterKind Kind,
    int Lower,
    int Upper,
    bool NeedsPress,
    string? InchesPerStep = null,
    AdjusterWay Way = AdjusterWay.Agreed
)
{
    private const int MostSteps = 200;
    private static readonly AllowedRange StepSize = new(0.0005, 1, Unit.Inch, Why.StepAtThePart);

    private string Field => $"adjusters.{Codes.Of(Kind)}";

    /// <summary>The adjusters of a bow at their marks.</summary>
    /// <param name="typed">As typed.</param>
    /// <param name="standing">Those that the bow has already: their travel must hold where they stand.</param>
    /// <exception cref="RefusedException">A step or a travel cannot be, or one is listed twice.</exception>
    public static IReadOnlyList<Adjuster> Read(IReadOnlyList<AdjusterEntry> typed, IReadOnlyList<Adjuster> standing)
    {
        var fields = new FieldReader();
        Adjuster[] read = [.. typed.Select(entry => entry.Read(standing, fields)).OfType<Adjuster>()];
        var once = typed.Select(a => a.Kind).Distinct().Count() == typed.Count;
        fields.Check(once, "adjusters", "twice", BowSays.ListedTwice);
        fields.ThrowIfAny();
        return read;
    }

    private Adjuster? Read(IReadOnlyList<Adjuster> standing, FieldReader fields)
    {
        var at = standing.FirstOrDefault(a => a.Kind == Kind)?.Position ?? 0;
        var size = fields.Optional($"{Field}.inchesPerStep", InchesPerStep, Quantity.Length, StepSize);
        var holds = Lower >= -MostSteps && Upper <= MostSteps && Lower <= at && Upper >= at;
        fields.Check(holds, Field, "range", new TravelHoldsStep(Kind, at, MostSteps));
        return holds
            ? AdjusterTable.Fresh(Kind) with
            {
                Lower = Lower,
                Upper = Upper,
                NeedsPress = NeedsPress,
                InchesPerStep = size?.Value,
                Way = AdjusterTable.WayIsAFact(Kind) ? Way : AdjusterWay.Agreed,
            }
            : null;
    }
}
