using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>Shots to be read, made by hand.</summary>
internal static class Shots
{
    public static ShotReading Of(
        Stage stage,
        IReadOnlyDictionary<AdjusterKind, double> positions,
        Tear tear,
        int set = 1,
        bool doubtful = false,
        string? arrow = null,
        string rig = "",
        DateTimeOffset? at = null
    ) => new("", 1, set, stage, positions, rig, Marked(tear, arrow), at ?? default, null, doubtful);

    public static ShotReading With(this ShotReading shot, Stage? stage = null, Tear? tear = null) =>
        shot with
        {
            Stage = stage ?? shot.Stage,
            Marked = Marked(tear ?? shot.Tear, shot.ArrowNumber),
        };

    private static ShotMarked Marked(Tear tear, string? arrow) =>
        new("", new Hole(0, 0), new Hole(tear.X, tear.Y), SheetSide.ShootingSide, arrow);
}
