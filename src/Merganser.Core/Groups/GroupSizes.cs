using Merganser.Core.Messages;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>A hit that tells of the hand, and the end that it belongs to.</summary>
/// <param name="End">Hits of one end were shot at one aiming point with bow and sight as they stood.</param>
/// <param name="At">When.</param>
/// <param name="Yards">From where, yards.</param>
/// <param name="Arrow">What the arrow is called.</param>
/// <param name="Kind">With vanes, bare, or with a head.</param>
/// <param name="Place">Where it struck.</param>
public sealed record HandHit(string End, DateTimeOffset At, double Yards, string Arrow, ArrowKind Kind, Impact Place);

/// <summary>Which hits are looked at.</summary>
/// <param name="Kind">The kind of arrow; field points count as fletched.</param>
/// <param name="Yards">From here alone; null from everywhere.</param>
/// <param name="Arrow">This arrow alone; null all.</param>
public sealed record SizesAsked(ArrowKind Kind = ArrowKind.Fletched, double? Yards = null, string? Arrow = null)
{
    /// <summary>True for a hit that is looked at.</summary>
    public bool Holds(HandHit hit) =>
        KindOf(hit) == Kind && (Yards is null || hit.Yards == Yards) && (Arrow is null || hit.Arrow == Arrow);

    /// <summary>A field point is a fletched arrow without a head.</summary>
    public static ArrowKind KindOf(HandHit hit) => hit.Kind == ArrowKind.FieldPoint ? ArrowKind.Fletched : hit.Kind;
}

/// <summary>
/// How widely an archer shot on one day, as an angle: squares about each end's own centre are added, and so are their
/// degrees of freedom.
/// </summary>
public sealed class DaySize
{
    /// <param name="day">When it began.</param>
    /// <param name="ends">Ends of two hits at least, their places in inches for each yard.</param>
    /// <param name="yards">From where.</param>
    public DaySize(DateTimeOffset day, IReadOnlyList<ArrowGroup> ends, IReadOnlyList<double> yards)
    {
        (Day, Ends, Yards) = (day, ends, yards);
        Hits = ends.Sum(e => e.Count);
        Squares = ends.Sum(e => e.Squares);
        Freedom = ends.Sum(e => e.Freedom);
    }

    /// <summary>When it began.</summary>
    public DateTimeOffset Day { get; }

    /// <summary>Its ends, places in inches for each yard.</summary>
    public IReadOnlyList<ArrowGroup> Ends { get; }

    /// <summary>Hits that count in them.</summary>
    public int Hits { get; }

    /// <summary>From where, ascending.</summary>
    public IReadOnlyList<double> Yards { get; }

    /// <summary>Sum of squares, (in/yd)².</summary>
    public double Squares { get; }

    /// <summary>ν, both axes.</summary>
    public int Freedom { get; }

    /// <summary>Spread of a shot on one axis, without bias, inches at a distance.</summary>
    public double SpreadAt(double yards) => yards * ArrowGroup.SpreadOf(Squares, Freedom);

    /// <summary>The true one lies here with 95 %, inches at a distance.</summary>
    public (double Low, double High) BandAt(double yards)
    {
        var (low, high) = ArrowGroup.BandOf(Squares, Freedom);
        return (yards * low, yards * high);
    }

    /// <summary>The mean radius that six arrows would show, inches at a distance.</summary>
    public double MeanRadiusOfSixAt(double yards) =>
        SpreadAt(yards) * ArrowGroup.ExpectedMeanRadius(ArrowGroup.UsualArrows);
}

/// <summary>
/// How well an archer shoots: the size of groups day by day. Days are kept apart; distances are told as an angle, and
/// extreme spreads not at all, since they grow with the number of arrows.
/// </summary>
public sealed class GroupSizes
{
    /// <summary>Nobody marks nearer than this, inches for each yard.</summary>
    private const double MarkedTo = .001;

    /// <param name="hits">Hits of one archer, in the order in which they were shot.</param>
    /// <param name="asked">Which of them are looked at.</param>
    public GroupSizes(IReadOnlyList<HandHit> hits, SizesAsked asked)
    {
        Asked = asked;
        HandHit[] own = [.. hits.Where(asked.Holds)];
        var ago = ShootingDays.Count([.. own.Select(h => h.At)]);
        Days =
        [
            .. own.Zip(ago)
                .GroupBy(h => h.Second, h => h.First)
                .OrderBy(day => day.Key)
                .Select(day => DayOf([.. day]))
                .OfType<DaySize>(),
        ];
        DaySize[] earlier = [.. Days.SkipLast(1)];
        var counts = own.CountBy(h => h.Yards).ToDictionary();
        At = asked.Yards ?? (counts.Count == 0 ? Usual : counts.MaxBy(c => (c.Value, -c.Key)).Key);
        if (Days.Count == 0)
        {
            return;
        }

        var now = Days[^1];
        Strings = now.Hits >= StringTest.LeastArrows ? new StringTest(now.Ends) : null;
        if (earlier.Length == 0)
        {
            return;
        }

        Before = new DaySize(
            earlier[0].Day,
            [.. earlier.SelectMany(d => d.Ends)],
            [.. earlier.SelectMany(d => d.Yards).Distinct().Order()]
        );
        Changed = now.Hits < TwoWays.LeastOfEach ? null : new SizeTest(now.Ends, Before.Ends);
    }

    /// <summary>Where nothing was shot, yards.</summary>
    private const double Usual = 20;

    /// <summary>Which hits are looked at.</summary>
    public SizesAsked Asked { get; }

    /// <summary>Sizes are told at this distance: the one that was asked for, or the one most shot, yards.</summary>
    public double At { get; }

    /// <summary>Each day with its size, the newest last; one without two hits in an end has none.</summary>
    public IReadOnlyList<DaySize> Days { get; }

    /// <summary>The newest day.</summary>
    public DaySize? Now => Days.Count == 0 ? null : Days[^1];

    /// <summary>The days before it, their ends pooled: what is usual of this archer. Null for none.</summary>
    public DaySize? Before { get; }

    /// <summary>The newest day against those before it; null for none, or for few hits.</summary>
    public SizeTest? Changed { get; }

    /// <summary>Whether the hits of the newest day stand in strings; null for few.</summary>
    public StringTest? Strings { get; }

    /// <summary>What is seen; null before two hits of an end.</summary>
    public Message? Words =>
        Now is not { } now ? null
        : Changed is { } changed && Before is { } before
            ? new HandChanged(
                Measure.Inches(now.SpreadAt(At), 1),
                Measure.Inches(before.SpreadAt(At), 1),
                Measure.Yards(At),
                changed.P < SizeTest.OneLook,
                changed.Ratio > 1
            )
        : new HandIs(Measure.Inches(now.SpreadAt(At), 1), Measure.Yards(At), now.Hits);

    private static DaySize? DayOf(HandHit[] day)
    {
        var ends = day.GroupBy(h => h.End).Where(e => e.Count() >= 2).Select(e => e.ToArray()).ToArray();
        ArrowGroup[] groups =
        [
            .. ends.Select(e => new ArrowGroup([
                .. e.Select(h => new Impact(h.Place.X / h.Yards, h.Place.Y / h.Yards)),
            ])),
        ];
        return groups.Sum(g => g.Squares) <= MarkedTo * MarkedTo
            ? null
            : new DaySize(day[0].At, groups, [.. ends.Select(e => e[0].Yards).Distinct().Order()]);
    }
}
