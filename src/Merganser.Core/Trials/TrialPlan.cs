using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Trials;

/// <summary>A point that can be had on a shaft: a part, whole or with steps broken off.</summary>
/// <param name="PointId">The part.</param>
/// <param name="Name">Its name.</param>
/// <param name="Broken">Steps broken off.</param>
/// <param name="Grains">What is left of it.</param>
/// <param name="Owned">True where some are owned.</param>
public sealed record TrialPoint(string PointId, string Name, int Broken, double Grains, bool Owned);

/// <summary>What a logged trial found of a point on a shaft.</summary>
/// <param name="Grains">The point.</param>
/// <param name="NeedsNoMove">True, false, or null while it is open.</param>
public sealed record TrialFound(double Grains, bool? NeedsNoMove);

/// <summary>A shaft of a trial: an arrow of the bow whose point is changed.</summary>
/// <param name="ArrowId">The arrow.</param>
/// <param name="Name">The arrow's name.</param>
/// <param name="Shaft">The shaft's name.</param>
/// <param name="Here">The point it has, grains.</param>
/// <param name="ByFigures">Points by figures; null where none makes the fit good.</param>
/// <param name="Points">Points that can be had.</param>
/// <param name="Found">What papers found.</param>
public sealed record TrialShaft(
    string ArrowId,
    string Name,
    string Shaft,
    double Here,
    PointsByFigures? ByFigures,
    IReadOnlyList<TrialPoint> Points,
    IReadOnlyList<TrialFound> Found
)
{
    /// <summary>
    /// Points that needed no move on paper, or may not: from the lightest to the heaviest; null without.
    /// </summary>
    public (double Lightest, double Heaviest)? Tolerated
    {
        get
        {
            double[] held = [.. Found.Where(f => f.NeedsNoMove != false).Select(f => f.Grains)];
            return held.Length == 0 ? null : (held.Min(), held.Max());
        }
    }

    /// <summary>
    /// Points that can be had and fit by figures, one for each weight, the lightest first. What is owned comes before
    /// what is bought, and a part with steps before another of the same weight: it gives more than one.
    /// </summary>
    public IReadOnlyList<TrialPoint> Inside
    {
        get
        {
            var steps = Points.GroupBy(p => p.PointId).ToDictionary(g => g.Key, g => g.Count());
            return ByFigures is not { } range
                ? []
                :
                [
                    .. Points
                        .Where(p => range.Holds(p.Grains))
                        .GroupBy(p => p.Grains)
                        .Select(same =>
                            same.OrderByDescending(p => p.Owned).ThenByDescending(p => steps[p.PointId]).First()
                        )
                        .OrderBy(p => p.Grains),
                ];
        }
    }

    /// <summary>
    /// What is worth shooting: of the points inside the lightest, the heaviest, and the one nearest to the middle of
    /// the range.
    /// </summary>
    public IReadOnlyList<TrialPoint> Suggested
    {
        get
        {
            var inside = Inside;
            var middle = ((ByFigures?.Lightest ?? 0) + (ByFigures?.Heaviest ?? 0)) / 2;
            return inside.Count == 0
                ? []
                : InOrder(new[] { inside[0], inside.MinBy(p => Math.Abs(p.Grains - middle))!, inside[^1] }.Distinct());
        }
    }

    /// <summary>From the heaviest to the lightest: what is broken off does not come back.</summary>
    public static IReadOnlyList<TrialPoint> InOrder(IEnumerable<TrialPoint> points) =>
        [.. points.OrderByDescending(p => p.Grains).ThenBy(p => p.PointId, StringComparer.Ordinal)];
}

/// <summary>One step of a plan: which point on which shaft, and where it comes from.</summary>
/// <param name="Shaft">The shaft.</param>
/// <param name="Point">The point.</param>
/// <param name="Break">Steps to break off the part that the step before had; 0 for a part of its own.</param>
public sealed record TrialStep(TrialShaft Shaft, TrialPoint Point, int Break)
{
    /// <summary>The step in words.</summary>
    public Message Words =>
        new TrialStepIs(
            Shaft.Name,
            Measure.Grains(Point.Grains, 0),
            Point.Name,
            Break,
            Break == 0 && Point.Broken > 0 ? Point.Broken : 0,
            Break == 0 && !Point.Owned
        );

    /// <summary>A plan in the order in which it is shot: shaft after shaft, from heavy to light.</summary>
    public static IReadOnlyList<TrialStep> Of(IEnumerable<(TrialShaft Shaft, IEnumerable<TrialPoint> Points)> chosen)
    {
        List<TrialStep> steps = [];
        foreach (var (shaft, points) in chosen)
        {
            TrialPoint? before = null;
            foreach (var point in TrialShaft.InOrder(points))
            {
                var same = before is not null && before.PointId == point.PointId;
                steps.Add(new TrialStep(shaft, point, same ? point.Broken - before!.Broken : 0));
                before = point;
            }
        }

        return steps;
    }
}

/// <summary>Which of several shafts takes the widest range of points: the forgiving one.</summary>
public static class WidestShaft
{
    /// <summary>
    /// By paper where two shafts at least were shot with more than one point, by figures of the points that can be had
    /// else; nothing where fewer than two can be compared.
    /// </summary>
    public static WidestRange? Of(IReadOnlyList<TrialShaft> shafts)
    {
        Range[] shot =
        [
            .. from shaft in shafts
            where shaft.Found.Count > 1
            select new Range(shaft.Name, shaft.Tolerated?.Lightest ?? 0, shaft.Tolerated?.Heaviest ?? 0),
        ];
        Range[] figured =
        [
            .. from shaft in shafts
            let inside = shaft.Inside
            select inside.Count == 0
                ? new Range(shaft.Name, 0, 0)
                : new Range(shaft.Name, inside[0].Grains, inside[^1].Grains),
        ];
        return shot.Length > 1 ? Said(shot, byPaper: true) : Said(figured, byPaper: false);
    }

    private readonly record struct Range(string Name, double Lightest, double Heaviest)
    {
        public double Width => Heaviest - Lightest;
    }

    private static WidestRange? Said(Range[] ranges, bool byPaper) =>
        ranges.OrderByDescending(r => r.Width).ToArray() is [{ Width: > 0 } best, var next, ..]
            ? new WidestRange(
                best.Name,
                Measure.Grains(best.Lightest, 0),
                Measure.Grains(best.Heaviest, 0),
                byPaper,
                next.Name,
                Measure.Grains(next.Width, 0)
            )
            : null;
}
