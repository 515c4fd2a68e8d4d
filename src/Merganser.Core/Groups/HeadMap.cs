using MathNet.Numerics.Distributions;
using Merganser.Core.Sessions;

namespace Merganser.Core.Groups;

/// <summary>What answers heads that land straight up, down or sideways with a clean flight.</summary>
public enum StraightMiss
{
    /// <summary>The sight: both marks are kept.</summary>
    MoveTheSight,

    /// <summary>The sight for height; sideways the bow all the same.</summary>
    TuneSideways,

    /// <summary>The bow, whatever the side.</summary>
    TuneTheBow,
}

/// <summary>What an offset of heads asks for.</summary>
public enum HeadAnswer
{
    Leave,
    MoveTheSight,
    Tune,
}

/// <summary>
/// Where the true offset of heads may lie, and what each place asks for: inside the tolerance nothing; straight up,
/// down or sideways the sight; on a diagonal the bow (common practice, no source). The offset is the bivariate t of two
/// means of one spread, centred at what was seen: a share is the chance that the true one lies in its places.
/// </summary>
public sealed class HeadMap
{
    /// <summary>Half the angle of a straight sector, degrees: straight and diagonal ways are as wide as each
    /// other.</summary>
    public const double HalfSector = 22.5;

    /// <summary>Fewer in a group show a region and no map.</summary>
    public const int LeastOfEach = 3;

    /// <param name="offset">The offset with its spread.</param>
    /// <param name="tolerance">Good enough, inches, above 0.</param>
    /// <param name="straight">What a straight miss asks for.</param>
    public HeadMap(GroupOffset offset, double tolerance, StraightMiss straight)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(tolerance);
        var shares = new double[3];
        foreach (var place in TrueOffset.Places(offset.Offset, offset.Spread / Math.Sqrt(offset.Pairs), offset.Freedom))
        {
            shares[(int)AnswerTo(place, tolerance, straight)] += TrueOffset.Share;
        }

        (Leave, Sight, Tune) = (
            shares[(int)HeadAnswer.Leave],
            shares[(int)HeadAnswer.MoveTheSight],
            shares[(int)HeadAnswer.Tune]
        );
    }

    /// <summary>Chance that the true offset is inside the tolerance.</summary>
    public double Leave { get; }

    /// <summary>Chance that it lies where the sight answers it.</summary>
    public double Sight { get; }

    /// <summary>Chance that it lies where the bow answers it.</summary>
    public double Tune { get; }

    /// <summary>What an offset asks for.</summary>
    /// <param name="offset">The offset, inches.</param>
    /// <param name="tolerance">Good enough, inches.</param>
    /// <param name="straight">What a straight miss asks for.</param>
    public static HeadAnswer AnswerTo(Impact offset, double tolerance, StraightMiss straight)
    {
        if (offset.Length <= tolerance)
        {
            return HeadAnswer.Leave;
        }

        var height = Math.Atan2(Math.Abs(offset.Y), Math.Abs(offset.X)) * 180 / Math.PI;
        return (height >= 90 - HalfSector, height <= HalfSector, straight) switch
        {
            (_, _, StraightMiss.TuneTheBow) => HeadAnswer.Tune,
            (true, _, _) or (_, true, StraightMiss.MoveTheSight) => HeadAnswer.MoveTheSight,
            _ => HeadAnswer.Tune,
        };
    }
}

/// <summary>The hits of one head.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Count">How many.</param>
/// <param name="FromAll">Their middle from the middle of all heads, inches.</param>
/// <param name="Seen">How many of them had their flight noted.</param>
/// <param name="Rough">How many of these were not clean.</param>
public sealed record HeadHits(string Number, int Count, Impact FromAll, int Seen, int Rough);

/// <summary>
/// Heads by their numbers: does one stand apart? F = Σ n|c − c̄|²/(2(h − 1)) / s² with 2(h − 1) and 2(N − h) degrees of
/// freedom, the one-way analysis of variance for both axes together (NIST/SEMATECH e-Handbook 7.4.3).
/// </summary>
public sealed class HeadComparison
{
    /// <summary>The head that is shot to learn on, never at game: blunt, of the same weight.</summary>
    public const string Practice = "P";

    /// <param name="hits">Hits of heads.</param>
    public HeadComparison(IReadOnlyList<ShotMarked> hits)
    {
        Rough = hits.Count(IsRough);
        Seen = hits.Count(IsSeen);
        ShotMarked[] numbered = [.. hits.Where(h => h.ArrowNumber is not null)];
        if (numbered.Length == 0)
        {
            return;
        }

        var all = Middle(numbered);
        var groups = numbered.GroupBy(h => h.ArrowNumber!).OrderBy(g => g.Key.Length).ThenBy(g => g.Key).ToArray();
        Heads =
        [
            .. groups.Select(g => new HeadHits(g.Key, g.Count(), Middle(g) - all, g.Count(IsSeen), g.Count(IsRough))),
        ];
        Freedom = (2 * (groups.Length - 1), 2 * (numbered.Length - groups.Length));
        if (Freedom is { Between: > 0, Within: > 0 })
        {
            var within = groups.Sum(g => g.Sum(h => (h.Impact - Middle(g)).Square)) / Freedom.Within;
            var between = Heads.Sum(h => h.Count * h.FromAll.Square) / Freedom.Between;
            F = between / Math.Max(ArrowGroup.MarkedTo * ArrowGroup.MarkedTo, within);
            P = 1 - FisherSnedecor.CDF(Freedom.Between, Freedom.Within, F.Value);
        }
    }

    /// <summary>The heads that were named, by number.</summary>
    public IReadOnlyList<HeadHits> Heads { get; } = [];

    /// <summary>How many hits of heads were seen to fly otherwise than clean.</summary>
    public int Rough { get; }

    /// <summary>How many had their flight noted.</summary>
    public int Seen { get; }

    /// <summary>Degrees of freedom between and within.</summary>
    public (int Between, int Within) Freedom { get; }

    /// <summary>F, or null while no head was shot twice or there is one alone.</summary>
    public double? F { get; }

    /// <summary>Chance of an F at least as large by chance alone.</summary>
    public double? P { get; }

    /// <summary>The head that lies farthest from the others where they clearly differ, else null.</summary>
    public HeadHits? Apart =>
        P < GroupOffset.Threshold(LookingRule.EachPair) ? Heads.MaxBy(h => h.Count * h.FromAll.Square) : null;

    /// <summary>True where at least half of the flights that were noted were not clean, two at the least.</summary>
    public bool FlyBadly => Rough >= 2 && 2 * Rough >= Seen;

    private static bool IsSeen(ShotMarked hit) => hit.Flight is not null;

    private static bool IsRough(ShotMarked hit) => hit.Flight is not null and not Flight.Clean;

    private static Impact Middle(IEnumerable<ShotMarked> hits) =>
        new(hits.Average(h => h.Impact.X), hits.Average(h => h.Impact.Y));
}
