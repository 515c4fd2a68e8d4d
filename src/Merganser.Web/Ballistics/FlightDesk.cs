using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Words;

namespace Merganser.Web.Ballistics;

/// <summary>An arrow of a bow in flight, with what else is known of it.</summary>
public sealed record Flown(
    BowRow Bow,
    ArrowRow Row,
    FlightReading Reading,
    IReadOnlyList<ProvenRow> Proven,
    SightRow? Sight
)
{
    /// <summary>For which distances its marks are shown.</summary>
    public MarkSteps Steps { get; init; } = MarkSteps.Usual;
}

/// <summary>Flight, honest range and marks of a bow's arrows.</summary>
public sealed class FlightDesk(
    BowStore bows,
    ArrowStore arrows,
    FlightStore flights,
    HandStore hands,
    RangeGuessStore guesses,
    CrawlStore crawls,
    SightStore sights,
    Listener listener
)
{
    /// <summary>Marks of another version of an arrow count while it weighs the same within this share.</summary>
    private const double SameWeight = .01;

    private const int MostBeside = 4;

    /// <summary>The whole page.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="arrowId">The arrow; null for the one kept last.</param>
    /// <param name="set">What the sight is set for, yards; null for the honest range.</param>
    /// <param name="marks">For which distances marks are shown, as typed.</param>
    public FlightView View(string bowId, string? arrowId, double? set, string? marks)
    {
        var all = Kept(bowId);
        var said = flights.Wish(bowId) ?? FlightEntry.Nothing;
        var units = listener.Of(bowId).Units;
        if (all.Count == 0)
        {
            return FlightShown.Nothing(said);
        }

        var proven = flights.Proven(bowId);
        var flown = Fly(bowId, arrowId, all, said, proven) with
        {
            Steps = MarkSteps.Read(marks, Display.YardsInUnit(units)),
        };
        Flown[] beside =
        [
            .. all.Where(a => a.Id != flown.Row.Id)
                .Take(MostBeside - 1)
                .Select(a => With(flown.Bow, a, flown.Reading.Known, proven)),
        ];
        return FlightShown.Of(flown, beside, all, said, set, units);
    }

    /// <summary>What is known of the range of a bow's archer, with an arrow like this one.</summary>
    public FlightKnown Known(BowRow bow, Arrow? like) =>
        Known(bow, like, flights.Wish(bow.Id) ?? FlightEntry.Nothing, sights.Of(bow.Id));

    /// <summary>Light, middle and heavy from a bow, with the shaft of the arrow that was shot last.</summary>
    public SchoolFlights Schools(string bowId, Purpose purpose)
    {
        var (bow, all) = (bows.Get(bowId), KeptOf(bowId));
        var shot = flights.ShotLast(bowId);
        var like = (all.FirstOrDefault(a => a.Id == shot) ?? all.FirstOrDefault())?.Kept?.Arrow;
        var known = Known(bow, like);
        var yard = Display.YardsInUnit(listener.Of(bowId).Units);
        return FlightMarks.Of(bow.Bow, like, known, WeightFlight.DistanceFor(purpose) * yard, yard);
    }

    /// <summary>One arrow in flight.</summary>
    public Flown Fly(string bowId, string? arrowId, string? marks = null)
    {
        var all = Kept(bowId);
        FieldReader.Demand(all.Count > 0, "arrow", "missing", FlightSays.NoArrowYet);
        return Fly(bowId, arrowId, all, flights.Wish(bowId) ?? FlightEntry.Nothing, flights.Proven(bowId)) with
        {
            Steps = MarkSteps.Read(marks, Display.YardsInUnit(listener.Of(bowId).Units)),
        };
    }

    /// <summary>The version of an arrow that its marks are proven with.</summary>
    public string VersionOf(string bowId, string? arrowId) => Fly(bowId, arrowId).Row.Kept!.Id;

    private ArrowRow[] KeptOf(string bowId) => [.. arrows.Of(bowId).Where(a => a.Kept is not null)];

    private IReadOnlyList<ArrowRow> Kept(string bowId)
    {
        _ = bows.Measured(bowId);
        return KeptOf(bowId);
    }

    private Flown Fly(
        string bowId,
        string? arrowId,
        IReadOnlyList<ArrowRow> all,
        FlightEntry said,
        IReadOnlyList<ProvenRow> proven
    )
    {
        var bow = bows.Get(bowId);
        var shot = arrowId ?? flights.ShotLast(bowId);
        var row = arrowId is null
            ? all.FirstOrDefault(a => a.Id == shot) ?? all[0]
            : all.FirstOrDefault(a => a.Id == arrowId) ?? throw new MissingException("arrow");
        var sight = sights.Of(bowId);
        var known = Known(bow, row.Kept!.Arrow, said, sight);
        return With(bow, row, known, proven) with { Sight = sight };
    }

    private FlightKnown Known(BowRow bow, Arrow? arrow, FlightEntry said, SightRow? sight)
    {
        var hits = hands.Of(bow.Id);
        var kind =
            arrow?.Point.Kind.IsHead() == true && hits.Any(h => SizesAsked.KindOf(h) == ArrowKind.Broadhead)
                ? ArrowKind.Broadhead
                : ArrowKind.Fletched;
        return new FlightKnown(
            said.Read().In(listener.Of(bow.Id).Units, !string.IsNullOrWhiteSpace(said.Circle)),
            new GroupSizes(hits, new SizesAsked(kind)),
            new RangingError([.. guesses.Of(bow.ArcherId).Select(g => g.Guess)]),
            sight?.Sight,
            [],
            [.. crawls.Of(bow.Id).Marks.Select(m => m.Mark)]
        );
    }

    private Flown With(BowRow bow, ArrowRow row, FlightKnown known, IReadOnlyList<ProvenRow> all)
    {
        var arrow = row.Kept!.Arrow;
        var grains = arrow.Balance().Grains;
        ProvenRow[] proven = [.. all.Where(IsOfThis)];
        return new Flown(
            bow,
            row,
            new FlightReading(bow.Bow, arrow, known with { Proven = [.. proven.Select(p => p.Proven)] }),
            proven,
            null
        );

        bool IsOfThis(ProvenRow mark)
        {
            var version = arrows.Version(mark.ArrowVersionId);
            return version.ArrowId == row.Id && Math.Abs((version.Arrow.Balance().Grains / grains) - 1) < SameWeight;
        }
    }
}
