using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Paper;

/// <summary>One day's size, inches at the distance that is told.</summary>
/// <param name="Spread">Of a shot on one axis.</param>
/// <param name="Low">Lower end of its 95 %.</param>
/// <param name="High">Upper end.</param>
/// <param name="From">From where it was shot.</param>
public sealed record DaySizeView(
    DateTimeOffset Day,
    double Spread,
    double Low,
    double High,
    int Hits,
    Message Words,
    Message From
)
{
    public static DaySizeView Of(DaySize day, double at)
    {
        var (low, high) = day.BandAt(at);
        return new DaySizeView(
            day.Day,
            day.SpreadAt(at),
            low,
            high,
            day.Hits,
            new DayShot(
                Measure.Inches(day.SpreadAt(at)),
                Measure.Inches(low),
                Measure.Inches(high),
                Measure.Inches(day.MeanRadiusOfSixAt(at)),
                day.Hits
            ),
            new ShotFrom([.. day.Yards.Select(yards => new Amount(Measure.Yards(yards)))])
        );
    }
}

/// <summary>A distance to pick.</summary>
public sealed record DistanceChoice(double Yards, Message Name);

/// <summary>How well the archer of a bow shoots it, day by day.</summary>
/// <param name="At">Sizes are told at this distance, yards.</param>
/// <param name="Days">The newest last.</param>
/// <param name="Before">All days before the newest, pooled; null for none.</param>
/// <param name="Test">The newest day against those before it; null for none, or for few hits.</param>
/// <param name="Strings">Whether the hits of the newest day stand in strings; null for few.</param>
/// <param name="Distances">From where hits of this kind were marked.</param>
/// <param name="Arrows">The arrows that hits of this kind were marked with.</param>
/// <param name="Kinds">The kinds of which hits were marked.</param>
public sealed record SizesView(
    double At,
    Message AtText,
    Message Words,
    IReadOnlyList<DaySizeView> Days,
    DaySizeView? Before,
    IReadOnlyList<Figure> Figures,
    Message? Test,
    Message? Strings,
    IReadOnlyList<DistanceChoice> Distances,
    IReadOnlyList<string> Arrows,
    IReadOnlyList<ArrowKind> Kinds
);

/// <summary>How well an archer shoots.</summary>
public static class SizeEndpoints
{
    public static void MapSizes(this IEndpointRouteBuilder api) =>
        api.MapGet(
            "/bows/{id}/group-sizes",
            (string id, string? kind, double? yards, string? arrow, HandStore hands) =>
            {
                var hits = hands.Of(id);
                var of = kind is null ? ArrowKind.Fletched : KnownWord.Read<ArrowKind>("kind", kind);
                var asked = new SizesAsked(of, yards, arrow);
                return View(hits, new GroupSizes(hits, asked));
            }
        );

    private static SizesView View(IReadOnlyList<HandHit> hits, GroupSizes sizes)
    {
        HandHit[] ofKind = [.. hits.Where(h => SizesAsked.KindOf(h) == sizes.Asked.Kind)];
        var (changed, strings) = (sizes.Changed, sizes.Strings);
        return new SizesView(
            sizes.At,
            new Amount(Measure.Yards(sizes.At)),
            sizes.Words ?? WaySays.NoGroupsYet,
            [.. sizes.Days.Select(day => DaySizeView.Of(day, sizes.At))],
            sizes.Before is { } before ? DaySizeView.Of(before, sizes.At) : null,
            SizesFigures.Of(sizes),
            changed is null
                ? null
                : new SizeTested(
                    new FTest(changed.F, 1, changed.Freedom, changed.P),
                    Measure.Plain(changed.Low, 1),
                    Measure.Plain(changed.High, 1),
                    SizeTest.OneLook
                )
                {
                    OneLook = true,
                },
            strings is null ? null : new HitsStrung(strings.Strung, Measure.Plain(strings.Ratio, 1), null),
            [
                .. ofKind
                    .Select(h => h.Yards)
                    .Distinct()
                    .Order()
                    .Select(yards => new DistanceChoice(yards, new Amount(Measure.Yards(yards)))),
            ],
            [.. ofKind.Select(h => h.Arrow).Distinct().Order()],
            [.. hits.Select(SizesAsked.KindOf).Distinct().Order()]
        );
    }
}
