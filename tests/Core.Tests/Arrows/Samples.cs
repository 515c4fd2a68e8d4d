using Merganser.Core.Arrows;
using Merganser.Core.Bows;

namespace Merganser.Core.Tests;

/// <summary>A bow and an arrow that the tests change one thing at a time; the arrow is worked example A1.</summary>
internal static class Samples
{
    public static readonly Bow Compound = new(
        "Test bow",
        BowKind.Compound,
        Hand.Right,
        Release.ReleaseAid,
        65,
        65.5,
        29,
        33,
        6.5,
        330,
        RestType.DropAwayLate,
        CamSystem.TwinYoke,
        CamDraw.Medium,
        0
    );

    public static readonly Arrow A1 = new(
        new Shaft("M", "S", 0.340, 9, 0.244, 32, "Carbon"),
        28.5,
        new Insert("M", "I", 25, 0.9, -0.45),
        new Point("M", "P", PointKind.Field, 100, 0.9, 0.45),
        new Nock("M", "N", 9, 0.5, 0.6),
        new Vane("M", "V", 6, 2, 0.4),
        3,
        3.5,
        new Wrap("M", "W", 5, 4),
        0
    );
}
