using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>The match with what it buys.</summary>
/// <param name="Spread">Heaviest less lightest, grains.</param>
/// <param name="Bound">No assignment has less, grains.</param>
/// <param name="Proven">True when none can be better.</param>
/// <param name="Binds">The class that keeps it from being less.</param>
/// <param name="ByChance">Mean spread of random assignments, grains.</param>
/// <param name="OppositeOrder">Spread of light with heavy, grains.</param>
/// <param name="Bought">What the spread is worth on the bow.</param>
/// <param name="Chance">What a spread by chance would be.</param>
/// <param name="FrontOfCenterSpread">Most less least, per cent.</param>
/// <param name="Words">How good it is, in words.</param>
/// <param name="Stale">Why it does not hold any more; null while it does.</param>
public sealed record MatchReading(
    double Spread,
    double Bound,
    bool Proven,
    string? Binds,
    double ByChance,
    double OppositeOrder,
    Worth Bought,
    Worth Chance,
    double FrontOfCenterSpread,
    Message Words,
    Message? Stale
)
{
    /// <summary>Distances at which the worth of a match is shown, yards.</summary>
    public static readonly IReadOnlyList<double> Yards = [20, 40, 60];

    /// <summary>The lightest arrow that a speed is reckoned for, grains.</summary>
    private const double LeastGrains = 100;

    /// <summary>The last match of a dozen on its bow, or null.</summary>
    public static MatchReading? Of(Dozen dozen, Bow bow)
    {
        if (dozen.Found is not { } found)
        {
            return null;
        }

        var mean = Math.Max(LeastGrains, found.Totals.Average() / 10);
        var (spread, bound, chance) = (found.Spread / 10.0, found.Bound.Tenths / 10.0, found.ByChance / 10);
        var by = found.Proven ? spread : spread - bound;
        return new MatchReading(
            spread,
            bound,
            found.Proven,
            found.Bound.Binds,
            chance,
            found.OppositeOrder / 10.0,
            Worth.Of(bow, mean, spread, Yards),
            Worth.Of(bow, mean, chance, Yards),
            dozen.Tray.Max(t => t.FrontOfCenter) - dozen.Tray.Min(t => t.FrontOfCenter),
            new MatchIs(found.Proven, Measure.Grains(by), found.Bound.Binds),
            dozen.Stale
        );
    }
}
