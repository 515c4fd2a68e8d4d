using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of a pair of groups, each with its working.</summary>
public static class GroupFigures
{
    /// <summary>Offset sideways and in height, and the spread of a shot; none below two pairs.</summary>
    public static IReadOnlyList<Figure> Of(GroupReading groups) =>
        groups.Offset is { } offset
            ?
            [
                Axis("offsetSideways", groups, offset, offset.Offset.X, sideways: true),
                Axis("offsetHeight", groups, offset, offset.Offset.Y, sideways: false),
                Spread(offset),
            ]
            : [];

    private static Figure Axis(string name, GroupReading groups, GroupOffset offset, double value, bool sideways)
    {
        var (ofTested, ofReference) = sideways
            ? (offset.Group.Centre.X, offset.Other.Centre.X)
            : (offset.Group.Centre.Y + groups.BareHigh, offset.Other.Centre.Y);
        var (tested, reference) = (Measure.Inches(ofTested, 3), Measure.Inches(ofReference, 3));
        var high = Measure.Inches(groups.BareHigh, 3);
        var centres = (sideways, groups.Heads) switch
        {
            (true, true) => new Formula($"x̄ heads − x̄ field points = {tested:bare} − {reference:bare}"),
            (true, false) => new Formula($"x̄ bare − x̄ fletched = {tested:bare} − {reference:bare}"),
            (false, true) => new Formula($"ȳ heads − ȳ field points = {tested:bare} − {reference:bare}"),
            _ => new Formula($"ȳ bare − ȳ fletched − b = {tested:bare} − {reference:bare} − {high:bare}"),
        };
        var critical = MeanTear.CriticalF(offset.Freedom);
        Term[] terms =
        [
            new(GroupSays.MeanOffset, centres, value, Unit.Inch, 3),
            .. sideways || groups.Heads
                ? new Term[0]
                : [new Term(GroupSays.BareHigh, GroupSays.BareHigh, groups.BareHigh, Unit.Inch, 3)],
            new(
                GroupSays.RegionOfOffset,
                new Formula(
                    $"s √(2F (n + m) / nm) = {Measure.Inches(offset.Spread, 3):bare} √(2 × {Measure.Plain(critical, 3)} × {offset.Group.Count + offset.Other.Count} / {offset.Group.Count * offset.Other.Count})"
                ),
                offset.Radius,
                Unit.Inch,
                3
            ),
            new(
                GroupSays.ChanceAlone,
                new Formula($"(1 + 2F / ν)^(−ν / 2), F = {Measure.Plain(offset.F, 2)}, ν = {offset.Freedom}"),
                offset.P,
                Unit.None,
                4
            ),
        ];
        return Figure.OnTarget(
            name,
            new TestedSide(SideOf(value, sideways), groups.TestedKind),
            value,
            offset.Radius,
            new Working(
                groups.Heads ? GroupSays.OffsetOfHeadsIs : GroupSays.OffsetIs,
                terms,
                GroupSays.Source,
                GroupSays.MorePairsNarrow
            )
        );
    }

    /// <summary>On which side of its aiming point it lies.</summary>
    internal static TearSide SideOf(double value, bool sideways) =>
        (sideways, value < 0) switch
        {
            (true, true) => TearSide.Left,
            (true, false) => TearSide.Right,
            (false, true) => TearSide.Low,
            _ => TearSide.High,
        };

    private static Figure Spread(GroupOffset offset)
    {
        var how = new Formula(
            $"√(SS / ν), SS = {Measure.Plain(offset.Group.Squares + offset.Other.Squares, 3)}, ν = {offset.Freedom}"
        );
        return Figure.OnTarget(
            "groupSpread",
            GroupSays.SpreadOfAShot,
            offset.Spread,
            null,
            new Working(
                GroupSays.SpreadIs,
                [new Term(GroupSays.SpreadOfAShot, how, offset.Spread, Unit.Inch, 3)],
                GroupSays.Source
            )
        );
    }
}
