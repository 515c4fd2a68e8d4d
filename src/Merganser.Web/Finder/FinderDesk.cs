using System.Runtime.CompilerServices;
using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Finder;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Ballistics;

namespace Merganser.Web.Finder;

/// <summary>Searches through the catalogue for arrows of a bow; a few are kept, so that pages can be turned.</summary>
public sealed class FinderDesk(BowStore bows, ArrowStore arrows, ComponentStore components, FlightDesk flights)
    : IDisposable
{
    private const int MostKept = 6;
    private const int OnAPage = 50;

    /// <summary>A page is told of a search at most so often.</summary>
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(250);

    private static readonly AllowedRange Heavier = new(-1000, 1000, Unit.Grain, Why.LightestToHeaviest);
    private static readonly AllowedRange Rows = new(0, FinderSearch.MostRows, Unit.None, Why.Nothing);

    private readonly SemaphoreSlim turn = new(Math.Max(1, Environment.ProcessorCount - 1));
    private readonly Lock gate = new();
    private readonly List<RunningSearch> kept = [];

    /// <summary>What may be wanted of a bow's arrows.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="arrowId">The present arrow; null for the bow's first.</param>
    /// <param name="heavier">Looked for is one like it, so much heavier, as typed; null for the usual.</param>
    public FinderStart Start(string bowId, string? arrowId, string? heavier)
    {
        _ = bows.Measured(bowId);
        var row = bows.Get(bowId);
        var (present, id) = PresentOf(row, arrowId, out _);
        var usual = FinderScale.Usual(present?.Figures);
        if (heavier is not null)
        {
            var fields = new FieldReader();
            var more = fields.Required("heavier", heavier, Quantity.Weight, Heavier);
            fields.Check(present is not null, "heavier", "missing", Core.Ballistics.FlightSays.NoArrowYet);
            fields.ThrowIfAny();
            usual = FinderScale.Like(present!.Figures, more!.Value);
        }

        var rows = components.Rows();
        return new FinderStart(
            id,
            present?.Name,
            [.. FinderScale.Of(row.Bow, present?.Figures).Select(ScaleOf)],
            [.. usual.Select(EntryOf)],
            present?.Arrow.Point.Kind.IsHead() == true ? FinderHeads.Heads : FinderHeads.Points,
            new NeverShown(
                Measure.Ruled(FinderSearch.FirstLength(row.Bow)),
                Measure.Ruled(ArrowCautions.LeastToSpare),
                new Measure(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0)
            ),
            rows.Count(r => !r.Retired && r.Stock.Owned > 0),
            StampOf(rows)
        );
    }

    /// <summary>Begins a search; it goes on by itself until it is done or stopped.</summary>
    public FinderBegun Begin(string bowId, FinderInput input)
    {
        _ = bows.Measured(bowId);
        var wish = new FinderEntry(input.Ranges, input.Parts, input.MostToBuy, input.Heads).Read();
        FieldReader.Demand(
            input.X is not FoundFigure.HonestRange && input.Y is not FoundFigure.HonestRange,
            "x",
            "unknown",
            FinderSays.HonestIsNotDrawn
        );
        var row = bows.Get(bowId);
        var (present, _) = PresentOf(row, input.Arrow, out var honest);
        var rows = components.Rows();
        var stock = new FinderStock(rows, wish);
        var drawn = (input.X, input.Y);
        var search = new FinderSearch(row.Bow, stock, wish, drawn, honest);
        var running = new RunningSearch(Guid.NewGuid().ToString(), bowId, search, wish, drawn, present);
        lock (gate)
        {
            kept.Add(running);
            if (kept.Count > MostKept)
            {
                kept[0].Stop();
                kept.RemoveAt(0);
            }
        }

        running.Begin(turn);
        return new FinderBegun(
            running.Id,
            StampOf(rows),
            wish.Ranges,
            search.Total > 0 ? null
                : wish.Parts == FinderParts.MineOnly ? FinderSays.NothingOwned
                : FinderSays.NoParts
        );
    }

    /// <summary>A search from moment to moment; whoever goes away before its end stops it.</summary>
    public async IAsyncEnumerable<FinderView> Follow(
        string bowId,
        string id,
        [EnumeratorCancellation] CancellationToken cancel
    )
    {
        var running = Get(bowId, id);
        SearchState? told = null;
        try
        {
            do
            {
                // Before its first look there is nothing to tell.
                told = await running.After(told ?? running.Begun, cancel);
                yield return FinderShown.Of(running, told, Page(running, told, 0));
                if (!told.Ended)
                {
                    // Its end is told at once.
                    await Task.WhenAny(Task.Delay(Between, cancel), running.Over);
                }
            } while (!told.Ended);
        }
        finally
        {
            if (told is not { Ended: true })
            {
                running.Stop();
            }
        }
    }

    /// <summary>A page of what was found.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="id">The search.</param>
    /// <param name="from">The first row, from 0.</param>
    public FoundPage Page(string bowId, string id, int from)
    {
        FieldReader.DemandInside("from", from, Rows);
        var running = Get(bowId, id);
        var state = running.State;
        var next = from + OnAPage;
        return new FoundPage(Page(running, state, from), state.Ranked.Count, next < state.Ranked.Count ? next : null);
    }

    /// <summary>A build of the picture.</summary>
    public FoundRow Build(string bowId, string id, string at)
    {
        var running = Get(bowId, id);
        return FinderShown.Row(running, running.Build(at), 0, null);
    }

    /// <summary>Ends a search; what it found stays.</summary>
    public FoundPage Stop(string bowId, string id)
    {
        Get(bowId, id).Stop();
        return Page(bowId, id, 0);
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        lock (gate)
        {
            kept.ForEach(search => search.Stop());
            kept.Clear();
        }
    }

    private static IReadOnlyList<FoundRow> Page(RunningSearch running, SearchState state, int from)
    {
        FoundBuild[] page = [.. state.Ranked.Skip(from).Take(OnAPage)];
        var reasons = FoundReasons.Of(page, running.Present);
        return [.. page.Select((build, i) => FinderShown.Row(running, build, from + i + 1, reasons[i]))];
    }

    private RunningSearch Get(string bowId, string id)
    {
        lock (gate)
        {
            return kept.FirstOrDefault(s => s.Id == id && s.BowId == bowId) ?? throw new MissingException("search");
        }
    }

    /// <summary>The arrow that builds are told against, and how far arrows of its archer are honest.</summary>
    private (PresentArrow? Present, string? Id) PresentOf(BowRow bow, string? arrowId, out HonestTable honest)
    {
        var all = arrows.Of(bow.Id);
        var row = arrowId is null
            ? all.FirstOrDefault(a => a.Kept is not null) ?? all.FirstOrDefault()
            : all.FirstOrDefault(a => a.Id == arrowId) ?? throw new MissingException("arrow");
        var arrow = row is null ? null : BuiltOf(row);
        honest = new HonestTable(flights.Known(bow, arrow));
        if (row is null || arrow is null)
        {
            return (null, row?.Id);
        }

        var figures = FoundFigures.Of(bow.Bow, arrow, CostOf(row, arrow));
        figures = figures with { HonestRange = honest.Of(arrow, figures) };
        return (new PresentArrow(row.Draft.Name, arrow, figures), row.Id);
    }

    /// <summary>As it lies on the bench; where that cannot be read, as it was kept.</summary>
    private Arrow? BuiltOf(ArrowRow row)
    {
        try
        {
            return row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
        }
        catch (RefusedException)
        {
            return row.Kept?.Arrow;
        }
    }

    private double CostOf(ArrowRow row, Arrow arrow) =>
        components
            .Of(row.Draft.Parts())
            .Sum(part => (part.Stock.Price ?? 0) * (part.Part is Vane ? arrow.VaneCount : 1));

    private static FinderScaleView ScaleOf(FinderScale scale)
    {
        var said = FinderWish.Said(scale.Figure, 0);
        return new FinderScaleView(
            scale.Figure,
            new FigureNamed(scale.Figure),
            scale.Low,
            scale.High,
            scale.Step,
            said.Unit,
            said.Decimals,
            scale.Here
        );
    }

    /// <summary>A range as it would be typed, in trade units.</summary>
    internal static WantedEntry EntryOf(WantedRange range)
    {
        return new WantedEntry(range.Figure, Typed(range.Low), Typed(range.High));

        string Typed(double? value) =>
            value is { } end ? Show.Number(end, FinderWish.Said(range.Figure, 0).Decimals).Replace('−', '-') : "";
    }

    /// <summary>Changes whenever a part does.</summary>
    private static string StampOf(IReadOnlyList<ComponentRow> rows) =>
        $"{rows.Count}-{rows.Sum(r => (long)r.Version)}-{rows.Count(r => r.Retired)}";
}
