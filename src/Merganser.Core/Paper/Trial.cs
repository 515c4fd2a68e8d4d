using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>One arrow of a trial: its shaft, its point, its tears.</summary>
/// <param name="Name">As the bench calls it.</param>
/// <param name="Shaft">Its shaft.</param>
/// <param name="PointGrains">Its point, grains.</param>
/// <param name="Tears">Its tears that count.</param>
public sealed record TrialArrow(string Name, string Shaft, double PointGrains, IReadOnlyList<Tear> Tears);

/// <summary>How one arrow of a trial stands.</summary>
/// <param name="Arrow">The arrow.</param>
/// <param name="Mean">Its mean tear.</param>
/// <param name="NeedsNoMove">True when its whole region lies inside the tolerance, null while that is open.</param>
/// <param name="Words">The verdict.</param>
public sealed record TrialRow(TrialArrow Arrow, MeanTear Mean, bool? NeedsNoMove, Message Words)
{
    /// <summary>Length of its mean tear.</summary>
    public Message Length => new Amount(Measure.Inches(Mean.Mean.Length));

    /// <summary>Radius of the region of its mean.</summary>
    public Message Radius => new BareAmount(Measure.Inches(Mean.Radius));
}

/// <summary>The range of points that one shaft shoots from this bow as it stands.</summary>
public sealed record ToleratedRange(string Shaft, double Lightest, double Heaviest, int Tried)
{
    /// <summary>The range in a line.</summary>
    public Message Words => new Tolerates(Shaft, Measure.Grains(Lightest, 0), Measure.Grains(Heaviest, 0));
}

/// <summary>
/// The bow untouched, several arrows through paper in one sitting: which need no move, how wide a range of points each
/// shaft tolerates, and whether the bow or the arrow is the cause (one-way F between arrows on both axes, p &lt; .05;
/// NIST/SEMATECH e-Handbook 7.4.3).
/// </summary>
/// <param name="Rows">The arrows, the least tear first.</param>
/// <param name="Ranges">Tolerated points by shaft, the widest first.</param>
/// <param name="Cause">Bow or arrow.</param>
/// <param name="Because">The test behind it, or null.</param>
public sealed record Trial(
    IReadOnlyList<TrialRow> Rows,
    IReadOnlyList<ToleratedRange> Ranges,
    Message Cause,
    Message? Because
)
{
    private const double Significant = 0.05;
    private const int LeastForACause = 2;

    /// <summary>Reads a trial.</summary>
    /// <param name="arrows">The arrows that were shot; those without a tear are left out.</param>
    /// <param name="tolerance">Good enough, inches.</param>
    public static Trial Of(IReadOnlyList<TrialArrow> arrows, double tolerance)
    {
        TrialRow[] rows =
        [
            .. arrows.Where(a => a.Tears.Count > 0).Select(a => Row(a, tolerance)).OrderBy(r => r.Mean.Mean.Length),
        ];
        var (cause, because) = CauseOf(rows, tolerance);
        return new Trial(rows, RangesOf(rows), cause, because);
    }

    private static ToleratedRange[] RangesOf(TrialRow[] rows)
    {
        var ranges = rows.Where(r => r.NeedsNoMove != false)
            .GroupBy(r => r.Arrow.Shaft)
            .Select(shaft =>
            {
                var points = shaft.Select(r => r.Arrow.PointGrains).ToArray();
                return new ToleratedRange(
                    shaft.Key,
                    points.Min(),
                    points.Max(),
                    rows.Count(r => r.Arrow.Shaft == shaft.Key)
                );
            });
        return [.. ranges.OrderByDescending(r => r.Heaviest - r.Lightest)];
    }

    private static TrialRow Row(TrialArrow arrow, double tolerance)
    {
        var mean = new MeanTear(arrow.Tears);
        var (nearest, farthest) = (mean.Mean.Length - mean.Radius, mean.Mean.Length + mean.Radius);
        var (needsNone, words) = (farthest <= tolerance, nearest > tolerance) switch
        {
            (true, _) => ((bool?)true, PaperSays.NeedsNoMove),
            (_, true) => (false, PaperSays.WantsAMove),
            _ when mean.Mean.Length <= tolerance => (null, PaperSays.InsideSoFar),
            _ => (null, PaperSays.OutsideSoFar),
        };
        return new TrialRow(arrow, mean, needsNone, words);
    }

    private static (Message Cause, Message? Because) CauseOf(TrialRow[] rows, double tolerance)
    {
        var usable = rows.Where(r => r.Arrow.Tears.Count >= LeastForACause).ToArray();
        if (usable.Length < LeastForACause)
        {
            return (PaperSays.NotEnoughForACause, null);
        }

        var all = Tear.Mean([.. usable.SelectMany(r => r.Arrow.Tears)]);
        var test = OneWay.Of([.. usable.Select(r => r.Arrow.Tears)], all);
        if (test.P < Significant)
        {
            return (
                rows.Any(r => r.NeedsNoMove == true) ? PaperSays.ArrowOneNeedsNoMove : PaperSays.ArrowsTearApart,
                test.Line
            );
        }

        return (all.Length > tolerance ? PaperSays.BowOrArcher : PaperSays.NeitherBowNorArrow, test.Line);
    }
}
