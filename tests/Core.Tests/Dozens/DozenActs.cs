using Merganser.Core.Dozens;
using Merganser.Core.Paper;

namespace Merganser.Core.Tests.Dozens;

/// <summary>A dozen of three by what is done for it.</summary>
internal static class DozenActs
{
    public static readonly DozenPlan Three = new("Three", 3, ["Shaft", "Point"], 1, false);

    public static readonly DozenAct[] Weighed =
    [
        .. Pieces("Shaft", 250, 251, 252, 254),
        .. Pieces("Point", 102, 101, 100),
    ];

    public static IEnumerable<DozenAct> Pieces(string name, params double[] grains) =>
        grains.Select((g, i) => new PieceWeighed(name, i + 1, g, "scale"));

    public static NockShotMarked Shot(int arrow, int turn, double right, double distance = 3) =>
        new(arrow, new NockShot(turn, new Tear(right, 0), false, distance));

    public static Dozen Of(IReadOnlyList<DozenAct> acts) => new("d", Three, Samples.A1, Events(acts));

    public static Dozen Matched(IReadOnlyList<DozenAct> acts) =>
        Of([.. acts, DozenMatching.Find(Of(acts), new MatchOptions(null, false, false, 0, []))]);

    public static DozenAct[] Acts(Dozen dozen) => [.. dozen.Events.Select(e => e.Act)];

    public static DozenEvent[] Events(IEnumerable<DozenAct> acts) =>
        [.. acts.Select((act, i) => new DozenEvent($"e{i}", i + 1, DateTimeOffset.UnixEpoch.AddMinutes(i), act))];
}
