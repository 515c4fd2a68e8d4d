using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>What one change would make of the honest range.</summary>
/// <param name="Change">The change.</param>
/// <param name="Yards">The honest range then, yards.</param>
/// <param name="By">More, or less, yards.</param>
public sealed record FlightChange(RangeChange Change, double Yards, double By)
{
    /// <summary>So much lighter, grains: a step between points as they are sold.</summary>
    public const double Lighter = 25;

    /// <summary>So much heavier, grains.</summary>
    public const double Heavier = 100;

    /// <summary>In words.</summary>
    public Message Words => new ChangeBuys(Change, new Measure(Yards, Unit.Yard, 0), new Measure(By, Unit.Yard, 0));

    /// <summary>The changes that are open, the one that buys most first.</summary>
    public static IReadOnlyList<FlightChange> Of(FlightReading reading)
    {
        var honest = reading.Honest;
        FlightChange Change(RangeChange change, double yards) => new(change, yards, yards - honest.Yards);
        List<FlightChange> changes =
        [
            Change(RangeChange.HalfTheGroup, honest.With(reading.Spread.Times(.5))),
            Change(RangeChange.HeavierArrow, reading.HonestAt(reading.Grains + Heavier)),
        ];
        if (reading.Arrow.Point.Weight > Lighter * 2)
        {
            changes.Add(Change(RangeChange.LighterPoint, reading.HonestAt(reading.Grains - Lighter)));
        }

        if (reading.Wish.Error != ErrorFrom.Measured)
        {
            changes.Add(Change(RangeChange.RangeMeasured, honest.GroupAlone));
        }

        return [.. changes.OrderByDescending(c => c.By)];
    }
}
