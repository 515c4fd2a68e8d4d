using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of a distance that is sighted in, each with its working.</summary>
public static class SightingFigures
{
    /// <summary>
    /// The middle sideways and in height, and the spread of a shot; none below two hits, and before one with the sight
    /// as it stands.
    /// </summary>
    public static IReadOnlyList<Figure> Of(SightingReading reading) =>
        reading is { Group: { } group, Fresh: > 0 }
            ?
            [
                Axis("middleSideways", reading, group.Centre.X, sideways: true),
                Axis("middleHeight", reading, group.Centre.Y, sideways: false),
                Spread(reading),
            ]
            : [];

    private static Figure Axis(string name, SightingReading reading, double value, bool sideways)
    {
        var critical = Measure.Plain(MeanTear.CriticalF(reading.Freedom), 3);
        var region = new Formula(
            $"s √(2F / n) = {Measure.Inches(reading.Spread, 3):bare} √(2 × {critical} / {reading.Count})"
        );
        Term[] terms =
        [
            new(GroupSays.MeanOffset, new Formula($"Σ / n over {reading.Count}"), value, Unit.Inch, 3),
            new(GroupSays.RegionOfOffset, region, reading.Radius, Unit.Inch, 3),
        ];
        return Figure.OnTarget(
            name,
            new MiddleSide(GroupFigures.SideOf(value, sideways)),
            value,
            reading.Radius,
            new Working(WalkSays.MiddleIs, terms, WalkSays.MiddleSource, GroupSays.MorePairsNarrow)
        );
    }

    private static Figure Spread(SightingReading reading)
    {
        var how = new Formula($"d √(Σ SS/d² / ν), d = {Measure.Yards(reading.Yards):bare}, ν = {reading.Freedom}");
        return Figure.OnTarget(
            "middleSpread",
            GroupSays.SpreadOfAShot,
            reading.Spread,
            null,
            new Working(
                WalkSays.SpreadIs,
                [new Term(GroupSays.SpreadOfAShot, how, reading.Spread, Unit.Inch, 3)],
                WalkSays.MiddleSource
            )
        );
    }
}
