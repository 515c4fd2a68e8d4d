using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>
/// The checks of the set-up sheet. All is common practice with no single source unless a line says otherwise.
/// </summary>
public static class CheckTable
{
    private static readonly AllowedRange None = new(0, 0, Unit.None, Why.Nothing);
    private static readonly AllowedRange Tillers = new(-2, 2, Unit.Inch, Why.TillerOfBows);
    private static readonly AllowedRange Leans = new(-3, 3, Unit.Inch, Why.LeanOfCams);
    private static readonly AllowedRange Centres = new(-1, 3, Unit.Inch, Why.ArrowFromRiser);
    private static readonly AllowedRange NockingPoints = new(-1, 1.5, Unit.Inch, Why.NockingPointOfBows);
    private static readonly AllowedRange Turns = new(-180, 180, Unit.Degree, Why.FullTurn);

    /// <summary>What a rule, a bow square or a caliper is read to, inches.</summary>
    private const double Ruler = 1.0 / 32;

    private static readonly CheckFact[] Rows =
    [
        Pick(
            CheckKind.Inspection,
            5,
            ("sound", Verdict.Within),
            ("tightened", Verdict.AtTheEdge),
            (Unsound.Damaged, Verdict.Beyond),
            (Unsound.Repaired, Verdict.AtTheEdge)
        ),
        Number(CheckKind.DrawWeight, 3, Quantity.DrawWeight, BowRanges.DrawWeight, 0.5, 3),
        Number(CheckKind.AxleToAxle, 2, Quantity.Length, BowRanges.AxleToAxle, Ruler, 0.5, press: true),
        Number(CheckKind.BraceHeight, 2, Quantity.Length, BowRanges.BraceHeight, Ruler, 0.5),
        Number(CheckKind.Tiller, 2, Quantity.Length, Tillers, Ruler, 0.25),
        Pick(
            CheckKind.LimbAlignment,
            4,
            ("straight", Verdict.Within),
            ("slightly", Verdict.AtTheEdge),
            ("off", Verdict.Beyond)
        ),
        Number(CheckKind.CamLean, 4, Quantity.Length, Leans, 1.0 / 16, 0.5, press: true),
        Pick(
            CheckKind.CamTiming,
            6,
            ("together", Verdict.Within),
            ("topLate", Verdict.Beyond),
            ("bottomLate", Verdict.Beyond)
        ),
        Number(CheckKind.CentreShot, 5, Quantity.Length, Centres, Ruler, 0.125),
        Pick(
            CheckKind.PlungerTension,
            3,
            ("medium", Verdict.Within),
            ("hard", Verdict.AtTheEdge),
            ("soft", Verdict.AtTheEdge),
            ("sticks", Verdict.Beyond)
        ),
        Pick(CheckKind.Shelf, 2, ("smooth", Verdict.Within), ("worn", Verdict.Beyond)),
        Number(CheckKind.NockingPoint, 3, Quantity.Length, NockingPoints, Ruler, 0.25),
        Pick(
            CheckKind.NockSets,
            3,
            ("gap", Verdict.Within),
            ("noGap", Verdict.Within),
            ("pinch", Verdict.Beyond),
            ("loose", Verdict.Beyond)
        ),
        Pick(CheckKind.Loop, 2, ("straight", Verdict.Within), ("twisted", Verdict.AtTheEdge), ("worn", Verdict.Beyond)),
        Pick(CheckKind.NockFit, 2, ("free", Verdict.Within), ("tight", Verdict.Beyond), ("loose", Verdict.Beyond)),
        Pick(
            CheckKind.RestTiming,
            4,
            ("right", Verdict.Within),
            ("late", Verdict.Beyond),
            ("stays", Verdict.Beyond),
            ("fixed", Verdict.Recorded)
        ),
        Pick(
            CheckKind.Clicker,
            2,
            ("right", Verdict.Within),
            ("early", Verdict.AtTheEdge),
            ("never", Verdict.AtTheEdge),
            ("none", Verdict.Recorded)
        ),
        Number(CheckKind.Peep, 6, Quantity.Number, Turns, 5, 90, press: true),
        Axis(CheckKind.FirstAxis),
        Axis(CheckKind.SecondAxis),
        Axis(CheckKind.ThirdAxis),
        FollowUp(CheckKind.Paper),
        FollowUp(CheckKind.Spine),
        FollowUp(CheckKind.Sight),
    ];

    /// <summary>Checks that draw the bow or bend its limbs further.</summary>
    private static readonly CheckKind[] Drawing =
    [
        CheckKind.DrawWeight,
        CheckKind.CamTiming,
        CheckKind.PlungerTension,
        CheckKind.Loop,
        CheckKind.NockFit,
        CheckKind.RestTiming,
        CheckKind.Clicker,
        CheckKind.Peep,
        CheckKind.Paper,
        CheckKind.Sight,
    ];

    private static readonly CheckKind[] Compound =
    [
        CheckKind.Inspection,
        CheckKind.DrawWeight,
        CheckKind.AxleToAxle,
        CheckKind.BraceHeight,
        CheckKind.Tiller,
        CheckKind.CamLean,
        CheckKind.CamTiming,
        CheckKind.CentreShot,
        CheckKind.NockingPoint,
        CheckKind.NockSets,
        CheckKind.Loop,
        CheckKind.NockFit,
        CheckKind.RestTiming,
        CheckKind.Peep,
        CheckKind.FirstAxis,
        CheckKind.SecondAxis,
        CheckKind.ThirdAxis,
    ];

    private static readonly CheckKind[] Recurve =
    [
        CheckKind.Inspection,
        CheckKind.LimbAlignment,
        CheckKind.BraceHeight,
        CheckKind.Tiller,
        CheckKind.DrawWeight,
        CheckKind.CentreShot,
        CheckKind.PlungerTension,
        CheckKind.NockingPoint,
        CheckKind.NockFit,
        CheckKind.Clicker,
    ];

    private static readonly CheckKind[] Longbow =
    [
        CheckKind.Inspection,
        CheckKind.LimbAlignment,
        CheckKind.BraceHeight,
        CheckKind.Tiller,
        CheckKind.DrawWeight,
        CheckKind.Shelf,
        CheckKind.NockingPoint,
        CheckKind.NockFit,
    ];

    /// <summary>Every row.</summary>
    public static IReadOnlyList<CheckFact> All => Rows;

    /// <summary>The row of a kind.</summary>
    public static CheckFact Of(CheckKind kind) => Rows.First(r => r.Kind == kind);

    /// <summary>True for a check that draws the bow: none of them on one that is unsound.</summary>
    public static bool Draws(CheckKind kind) => Drawing.Contains(kind);

    /// <summary>The checks of a kind of bow in the order in which they are done.</summary>
    public static IReadOnlyList<CheckKind> Order(BowKind kind, Release release = Release.ReleaseAid) =>
        kind switch
        {
            BowKind.Compound => release == Release.ReleaseAid
                ? Compound
                : [.. Compound.Where(k => k != CheckKind.Loop)],
            BowKind.Recurve => Recurve,
            BowKind.Barebow => [.. Recurve.Where(k => k != CheckKind.Clicker)],
            _ => Longbow,
        };

    private static CheckFact Number(
        CheckKind kind,
        int minutes,
        Quantity quantity,
        AllowedRange range,
        double error,
        double suspicious,
        bool press = false
    ) => new(kind, minutes, quantity, range, error, suspicious, [], press);

    private static CheckFact Pick(CheckKind kind, int minutes, params (string Code, Verdict Verdict)[] choices) =>
        new(
            kind,
            minutes,
            null,
            None,
            0,
            0,
            [
                .. choices.Select(c => new CheckChoice(
                    kind,
                    c.Code,
                    c.Verdict,
                    kind == CheckKind.CamTiming && c.Verdict == Verdict.Beyond
                )),
            ],
            false
        );

    private static CheckFact Axis(CheckKind kind) =>
        Pick(kind, 4, ("square", Verdict.Within), ("off", Verdict.AtTheEdge), ("none", Verdict.Recorded));

    private static CheckFact FollowUp(CheckKind kind) =>
        Pick(kind, 0, ("done", Verdict.Within)) with
        {
            OnSheet = false,
        };
}
