using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>One head on one arrow.</summary>
/// <param name="Arrow">The arrow's number.</param>
/// <param name="Head">The head's number.</param>
/// <param name="Total">What they weigh together, without the field point, grains.</param>
public sealed record HeadOn(int Arrow, int Head, double Total);

/// <summary>Heads on the straightest arrows.</summary>
/// <param name="Pieces">The heads that were weighed.</param>
/// <param name="Heads">Which goes on which.</param>
/// <param name="Spread">Lightest arrow with heaviest head, grains.</param>
/// <param name="BestSpread">The best that was found, grains.</param>
/// <param name="Words">The same in words.</param>
/// <param name="Practice">The head kept for practice, or null.</param>
public sealed record HeadPlan(
    IReadOnlyList<Piece> Pieces,
    IReadOnlyList<HeadOn> Heads,
    double? Spread,
    double? BestSpread,
    Message Words,
    int? Practice
)
{
    /// <summary>At the most so many arrows get heads (common practice, no source).</summary>
    public const int Most = 6;

    /// <summary>A plan differs from another by more than half of the scale's last digit, grains.</summary>
    private const double Same = 0.05;

    /// <summary>The heads of a dozen as it stands.</summary>
    public static HeadPlan Of(Dozen dozen)
    {
        var pieces = dozen.Heads.Pieces;
        var use = dozen.Tray.Where(t => !t.Retired && t.Practice is null).ToArray();
        var wanted = Math.Min(Most, Math.Min(use.Length, pieces.Count));
        if (wanted < 2)
        {
            Message wait = pieces.Count == 0 ? DozenSays.WeighHeadsThen : DozenSays.MatchFirst;
            return new HeadPlan(pieces, [], null, null, wait, null);
        }

        var chosen = use.OrderBy(t => Crookedness(dozen, t)).ThenBy(t => t.Number).Take(wanted).ToArray();
        var bare = WithoutPoints(dozen, chosen);
        var match = HeadMatch.Of(bare, [.. pieces.Select(p => p.Grains)]);
        var differs = match.BestSpread < match.Spread - Same;
        var heads = differs ? match.BestHeads : match.Heads;
        return new HeadPlan(
            pieces,
            [
                .. chosen.Select(
                    (t, i) => new HeadOn(t.Number, pieces[heads[i]].Number, bare[i] + pieces[heads[i]].Grains)
                ),
            ],
            match.Spread,
            match.BestSpread,
            new HeadsLie(Measure.Grains(match.Spread), differs ? Measure.Grains(match.BestSpread) : null),
            match.Practice is { } practice ? pieces[practice].Number : null
        );
    }

    /// <summary>
    /// What arrows weigh without their field points: as built where all of them were weighed so, else by their pieces
    /// and the catalogue; never some one way and some the other.
    /// </summary>
    private static double[] WithoutPoints(Dozen dozen, IReadOnlyList<TrayArrow> arrows)
    {
        var rest = dozen.NotWeighed;
        var built = arrows.All(a => a.Built is not null);
        return [.. arrows.Select(a => (built ? a.Built!.Value : a.Total + rest) - PointOf(dozen, a))];
    }

    private static double PointOf(Dozen dozen, TrayArrow arrow)
    {
        var weighed = dozen.Classes.FirstOrDefault(c => c.Name == PointClass)?.Pieces;
        return weighed is null
            ? dozen.Arrow.Point.Weight
            : arrow.Pieces[PointClass].Sum(n => weighed.First(p => p.Number == n).Grains);
    }

    private const string PointClass = "Point";

    private static double Crookedness(Dozen dozen, TrayArrow arrow) =>
        arrow.Pieces.TryGetValue(Dozen.ShaftClass, out var shafts) && dozen.Shaft(shafts[0]) is { } shaft
            ? shaft.Crookedness
            : SpunShaft.NotSpun;
}
