using Merganser.Core.Bows;
using Merganser.Core.Figures;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Paper;

/// <summary>The figures of a set of tears, each with its working.</summary>
public static class TearFigures
{
    private const string Source = "Mean and F(2, 2(n−1)) region; critical values NIST/SEMATECH e-Handbook 1.3.6.7.3";

    /// <summary>Sideways, height and spread of a set, with the change since an earlier set.</summary>
    public static IReadOnlyList<Figure> Of(MeanTear mean, MeanTear? before) =>
    [
        Axis("sideways", mean.Mean.X < 0 ? "Left" : "Right", mean, before, TearAxis.Sideways),
        Axis("height", mean.Mean.Y < 0 ? "Low" : "High", mean, before, TearAxis.Height),
        new("spread", mean.SpreadAssumed ? "Spread, assumed" : "Spread", mean.Spread, "in", 2, null, null, before is null ? null : mean.Spread - before.Spread,
            mean.SpreadAssumed ? "one shot shows none" : $"usual about {Number(MeanTear.UsualSpread, 2)}", null, new Working(
                "How far single tears stray from their mean, per axis.",
                [
                    new Term("Spread s", mean.SpreadAssumed ? "one shot: the usual spread is assumed" : $"√(SS / (2 (n − 1))), n = {mean.Count}", mean.Spread, "in", 3),
                ], mean.SpreadAssumed ? "Trade-like guess, no source" : "Pooled standard deviation of both axes")),
    ];

    private static Figure Axis(string name, string side, MeanTear mean, MeanTear? before, TearAxis axis)
    {
        var value = mean.Mean.Along(axis);
        var size = Math.Abs(value);
        var change = before is null ? (double?)null : size - Math.Abs(before.Mean.Along(axis));
        return new Figure(name, side, size, "in", 2, Math.Max(0, size - mean.Radius), size + mean.Radius, change, mean.Level(axis) ? "level" : null, null, new Working(
            "Mean of the tail's place against the point's hole, seen from the shooting side. The ± is the radius of the region that holds the true mean with 95 %.",
            [
                new Term("Mean", $"Σ / n over {Count(mean.Count, "shot")}, {(axis == TearAxis.Sideways ? "right" : "up")} positive", value, "in", 3),
                new Term("Region", mean.SpreadAssumed ? $"one shot: s √(−2 ln 0.05), s = {Number(mean.Spread, 2)}" : $"s √(2F / n) = {Number(mean.Spread, 3)} √(2 × {Number(MeanTear.CriticalF(2.0 * (mean.Count - 1)), 3)} / {mean.Count})", mean.Radius, "in", 3),
                new Term("Size shown", "without its sign", size, "in", 3),
            ], Source, "More shots narrow the region; a voided shot is left out."));
    }
}
