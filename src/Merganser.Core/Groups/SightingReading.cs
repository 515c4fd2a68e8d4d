using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// Sighting in at one distance: the middle of the hits from their aiming point, with the spread of this archer over all
/// distances of the session as an angle. A move by the whole of it is nearer than leaving it, in the mean, where
/// F = n|c|²/2/s² is over 2: |c|² − 2s²/n estimates the square that stays, 2s²/n the one after a move. Hits before a
/// move count on, shifted by it: seven arrows do what twenty do that begin anew (simulated: docs/benchmarks.md). Three
/// fresh ones after each move keep the sight's geometry honest.
/// </summary>
public sealed class SightingReading
{
    /// <summary>Hits before the sight is moved (common practice, no source).</summary>
    public const int Least = 3;

    /// <summary>F from which a move is nearer than none.</summary>
    public const double MoveFrom = 2;

    /// <summary>Chance at which a distance is called zeroed.</summary>
    public const double Enough = .9;

    /// <summary>Hits at one mark from which more are no longer asked for.</summary>
    public const int Most = 12;

    private readonly SessionSet set;

    /// <param name="set">The set in work.</param>
    /// <param name="before">Sets at this distance before it, each with how far the sight's moves since shift its
    /// hits.</param>
    /// <param name="session">All sets of the session that are shot for sighting in: they tell the hand.</param>
    public SightingReading(
        SessionSet set,
        IEnumerable<(SessionSet Set, Impact Shift)> before,
        IEnumerable<SessionSet> session
    )
    {
        this.set = set;
        Earlier = [.. before.SelectMany(b => HitsOf(b.Set).Select(h => h + b.Shift))];
        Impact[] hits = [.. Earlier, .. HitsOf(set)];
        (Count, Fresh) = (hits.Length, hits.Length - Earlier.Count);
        Tolerance = set.Tolerance / Tolerances.Usual * WalkPlan.EnoughPerYard * Yards;
        if (Count < 2)
        {
            return;
        }

        Group = new ArrowGroup(hits);
        ArrowGroup Angles(SessionSet of) => new([.. HitsOf(of).Select(h => new Impact(h.X / Of(of), h.Y / Of(of)))]);
        ArrowGroup[] all = [.. session.Where(s => HitsOf(s).Count() >= 2).Select(Angles)];
        Freedom = Math.Max(1, all.Sum(g => g.Freedom));
        Spread = Yards * Math.Max(WalkFit.LeastSpread, Math.Sqrt(all.Sum(g => g.Squares) / Freedom));
        F = Count * Group.Centre.Square / 2 / (Spread * Spread);
        Radius = MeanTear.RegionRadius(Spread, Freedom, Count);
        Chance = TrueOffset.Within(Tolerance, Group.Centre, Spread / Math.Sqrt(Count), Freedom);
    }

    /// <summary>The distance, yards.</summary>
    public double Yards => Of(set);

    /// <summary>Hits that count, those before a move of the sight among them.</summary>
    public int Count { get; }

    /// <summary>Those that were shot with the sight as it stands.</summary>
    public int Fresh { get; }

    /// <summary>Those before, shifted by what the sight was moved.</summary>
    public IReadOnlyList<Impact> Earlier { get; }

    /// <summary>The hits as a group; null below two.</summary>
    public ArrowGroup? Group { get; }

    /// <summary>Spread on one axis here, inches; 0 below two hits.</summary>
    public double Spread { get; }

    /// <summary>ν of it, over all distances.</summary>
    public int Freedom { get; }

    /// <summary>F(2, ν) of the middle's distance from the aiming point.</summary>
    public double F { get; }

    /// <summary>Radius of the circle that holds the true middle with 95 %, inches.</summary>
    public double Radius { get; }

    /// <summary>Good enough here, inches.</summary>
    public double Tolerance { get; }

    /// <summary>Chance that the true middle lies within it; null below two hits.</summary>
    public double? Chance { get; }

    /// <summary>Hits more that would bring the chance there, were the middle on its point.</summary>
    public int More
    {
        get
        {
            var wanted = 2 * Spread * Spread * Math.Log(1 / (1 - Enough)) / (Tolerance * Tolerance);
            return Math.Clamp((int)Math.Ceiling(wanted) - Count, 1, Most);
        }
    }

    /// <summary>How the pin answers the middle: in whole clicks of this sight, where it has them.</summary>
    public SightMove SightAnswer(Sight? sight)
    {
        var used = sight ?? Sight.Usual;
        var pin = used.Answer(Group!.Centre, Yards);
        return new SightMove(Whole(pin.Right), Whole(pin.Up));

        double Whole(double way) => used.Click is { } click ? click * Math.Round(way / click) : way;
    }

    /// <summary>What is seen; null before two hits, and before the first with the sight as it stands.</summary>
    public Message? Words =>
        Group is { } group && Fresh > 0
            ? new MiddleStrikes(Measure.Inches(group.Centre.X), Measure.Inches(group.Centre.Y), Measure.Yards(Yards))
            : null;

    private static double Of(SessionSet of) => of.Stage.Distance;

    private static IEnumerable<Impact> HitsOf(SessionSet of) =>
        of.Shots.Where(s => s.Counts).Select(s => s.Marked.Impact);
}
