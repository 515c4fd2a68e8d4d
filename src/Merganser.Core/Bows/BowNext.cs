using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>The one next step at a bow's measures.</summary>
public static class BowNext
{
    /// <summary>What is next: a bow above its maker's maximum is backed off before anything else.</summary>
    public static Next Of(Bow bow)
    {
        if (bow.MeasuredWeight is { } measured && bow.MaximumWeight is { } most && measured > most)
        {
            return new Next(
                BowSays.BackItOff,
                new AboveMaximum(Measure.Pounds(measured), Measure.Pounds(most)),
                "check:drawWeight",
                BowSays.GoToTheCheck,
                BowSays.ChooseTheArrow,
                "arrow"
            );
        }

        return bow.MeasuredWeight is null
            ? new Next(
                BowSays.MeasureTheDrawWeight,
                BowSays.MarkedWeightCanBeOff,
                "measureWeight",
                BowSays.GoToTheDrawWeight,
                BowSays.ChooseTheArrow,
                "arrow"
            )
            : new Next(BowSays.BowIsMeasured, BowSays.ArrowFollows, "arrow", BowSays.ChooseTheArrow);
    }
}
