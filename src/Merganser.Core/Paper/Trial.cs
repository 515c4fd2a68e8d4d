using static Merganser.Core.Units.Show;

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
/// <param name="Words">In words.</param>
public sealed record TrialRow(TrialArrow Arrow, MeanTear Mean, bool? NeedsNoMove, string Words);

/// <summary>The range of points that one shaft shoots from this bow as it stands.</summary>
public sealed record ToleratedRange(string Shaft, double Lightest, double Heaviest, int Tried)
{
    public string Words => Lightest == Heaviest ? $"{Shaft}: {Number(Lightest, 0)} gr" : $"{Shaft}: {Number(Lightest, 0)} to {Number(Heaviest, 0)} gr";
}

/// <summary>
/// The bow untouched, several arrows through paper in one sitting: which need no move, how wide a range of points each shaft tolerates, and
/// whether the bow or the arrow is the cause (one-way F between arrows on both axes, p &lt; .05; NIST/SEMATECH e-Handbook 7.4.3).
/// </summary>
/// <param name="Rows">The arrows, the least tear first.</param>
/// <param name="Ranges">Tolerated points by shaft, the widest first.</param>
/// <param name="Cause">Bow or arrow, in a sentence.</param>
/// <param name="Because">The test behind it.</param>
public sealed record Trial(IReadOnlyList<TrialRow> Rows, IReadOnlyList<ToleratedRange> Ranges, string Cause, string Because)
{
    private const double Significant = 0.05;

    /// <summary>Reads a trial.</summary>
    /// <param name="arrows">The arrows that were shot; those without a tear are left out.</param>
    /// <param name="tolerance">Good enough, inches.</param>
    public static Trial Of(IReadOnlyList<TrialArrow> arrows, double tolerance)
    {
        TrialRow[] rows = [.. arrows.Where(a => a.Tears.Count > 0).Select(a => Row(a, tolerance)).OrderBy(r => r.Mean.Mean.Length)];
        var ranges = rows.Where(r => r.NeedsNoMove != false).GroupBy(r => r.Arrow.Shaft)
            .Select(g => new ToleratedRange(g.Key, g.Min(r => r.Arrow.PointGrains), g.Max(r => r.Arrow.PointGrains), rows.Count(r => r.Arrow.Shaft == g.Key)))
            .OrderByDescending(r => r.Heaviest - r.Lightest).ToArray();
        var (cause, because) = CauseOf(rows, tolerance);
        return new Trial(rows, ranges, cause, because);
    }

    private static TrialRow Row(TrialArrow arrow, double tolerance)
    {
        var mean = new MeanTear(arrow.Tears);
        bool? needsNone = mean.Mean.Length + mean.Radius <= tolerance ? true : mean.Mean.Length - mean.Radius > tolerance ? false : null;
        var words = needsNone switch
        {
            true => "needs no move",
            false => "wants a move, or another arrow",
            null => mean.Mean.Length <= tolerance ? "inside so far, more shots would tell" : "outside so far, more shots would tell",
        };
        return new TrialRow(arrow, mean, needsNone, words);
    }

    private static (string, string) CauseOf(TrialRow[] rows, double tolerance)
    {
        var usable = rows.Where(r => r.Arrow.Tears.Count >= 2).ToArray();
        if (usable.Length < 2)
        {
            return ("Not enough yet: two arrows with two shots each say whether it is the bow or the arrow.", "");
        }

        var all = OneWay.Mean([.. usable.SelectMany(r => r.Arrow.Tears)]);
        var test = OneWay.Of([.. usable.Select(r => r.Arrow.Tears)], all);
        return test.P < Significant
            ? (rows.Any(r => r.NeedsNoMove == true) ? "The arrow: they tear apart, and one of them needs no move." : "The arrow: they tear apart from one another.", test.Words)
            : all.Length > tolerance
                ? ("The bow, or the archer: all arrows tear alike.", test.Words)
                : ("Neither: all arrows fly alike and inside.", test.Words);
    }
}
