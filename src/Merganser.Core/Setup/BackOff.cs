using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>A bow that draws more than the maker allows: both limb bolts out evenly, then on the scale again.</summary>
/// <param name="To">Where both bolts stand then, or null where the bow has no such adjuster.</param>
/// <param name="Words">How far, and what says so.</param>
public sealed record BackOff(double? To, Message Words)
{
    /// <summary>Quarter turns at once at the most, until the scale has spoken again (common practice, no
    /// source).</summary>
    private const int MostAtOnce = 4;

    /// <summary>How far.</summary>
    /// <param name="over">Pounds over the maximum, above 0.</param>
    /// <param name="perStep">Pounds that a quarter turn in adds, by what was measured last; null where nobody
    /// knows.</param>
    /// <param name="bolts">Both bolts as they stand, or null.</param>
    public static BackOff Of(double over, double? perStep, Adjuster? bolts)
    {
        var known = perStep is > 0 ? perStep : null;
        var steps = known is { } pounds ? Math.Clamp((int)Math.Ceiling(over / pounds), 1, MostAtOnce) : 1;
        var room = bolts is null ? steps : (int)Math.Min(steps, bolts.Left.Down);
        return new BackOff(
            bolts is null || room == 0 ? null : bolts.Position - room,
            new BackOffWords(
                Measure.Pounds(over),
                new Order(AdjusterKind.LimbBolts, -Math.Max(1, room)),
                known is { } step ? Measure.Pounds(step) : null
            )
        );
    }
}
