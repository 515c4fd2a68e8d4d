using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Simulation;

namespace Merganser.Core.Tests.Bows;

/// <summary>What no bow, arrow or tear can be is refused where it is made, by whoever makes it.</summary>
public class PossibleValuesTests
{
    private static readonly Shaft Wrackline = new("Own", "Wrackline 340", 0.34, 9, 0.246, 32, "Carbon");

    public static TheoryData<string, Action> Impossible =>
        new()
        {
            { "a draw weight below 0", () => _ = SimulatedBow.Measured with { MeasuredWeight = -5 } },
            { "no draw length", () => _ = SimulatedBow.Measured with { DrawLength = 0 } },
            { "a brace height that is no number", () => _ = SimulatedBow.Measured with { BraceHeight = double.NaN } },
            { "an endless rating", () => _ = SimulatedBow.Measured with { RatedSpeed = double.PositiveInfinity } },
            { "a shaft without weight", () => _ = Wrackline with { GrainsPerInch = 0 } },
            { "a shaft without spine", () => _ = new Shaft("Own", "None", 0, 9, 0.246, 32, "Carbon") },
            { "a vane below 0", () => _ = new Vane("Own", "None", -1, 2, 0.5) },
            {
                "a point measured below 0",
                () => _ = new Point("Own", "None", PointKind.Field, 100, 0.9, 0.45) with { MeasuredGrains = -1 }
            },
            {
                "an insert measured as no number",
                () => _ = new Insert("Own", "None", 25, 0.9, -0.45) with { MeasuredGrains = double.NaN }
            },
            { "a centre shot of nothing", () => _ = SimulatedBow.Measured with { MakerCentreShot = 0 } },
            { "a travel upside down", () => _ = new Adjuster(AdjusterKind.RestSideways, 0, 5, -5, false) },
            {
                "a step of nothing",
                () => _ = AdjusterTable.Fresh(AdjusterKind.RestSideways) with { InchesPerStep = 0 }
            },
            { "a tear that is no number", () => _ = new Tear(double.NaN, 0) },
            { "a stage behind the bow", () => _ = new PlannedStage(-3, false) },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void Is_refused_where_it_is_made(string what, Action make) =>
        Should.Throw<ArgumentOutOfRangeException>(make, what);
}
