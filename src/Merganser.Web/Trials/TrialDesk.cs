using System.Text.Json;
using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Trials;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Words;

namespace Merganser.Web.Trials;

/// <summary>Plans trials of points over shafts, and begins them on paper.</summary>
public sealed class TrialDesk(
    BowStore bows,
    ArrowStore arrows,
    ComponentStore components,
    PaperStore papers,
    Listener listener
)
{
    private const int MostShafts = 4;
    private const int MostPoints = 12;
    private const int LongestName = 60;
    private const double Round = 25;
    private static readonly AllowedRange Counted = new(2, MostPoints, Unit.None, Why.PieceOfAnArrow);

    /// <summary>Shafts and points of a bow.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="with">Arrows whose shafts are tried; null for the first few that differ in it.</param>
    public TrialView View(string bowId, IReadOnlyList<string>? with)
    {
        _ = bows.Measured(bowId);
        var kept = KeptOf(bowId);
        var chosen = with is null
            ? kept.DistinctBy(a => a.Kept!.Arrow.Shaft).Take(MostShafts).Select(a => a.Id).ToHashSet()
            : [.. with];
        var shafts = ShaftsOf(bowId, [.. kept.Where(a => chosen.Contains(a.Id)).Take(MostShafts)]);
        double[] ends =
        [
            .. shafts.SelectMany(s => s.Suggested.Select(p => p.Grains).Append(s.Here)),
            .. shafts
                .Select(s => s.ByFigures)
                .OfType<PointsByFigures>()
                .SelectMany(r => new[] { r.Lightest, r.Heaviest }),
            .. shafts.SelectMany(s => s.Found.Select(f => f.Grains)),
        ];
        return new TrialView(
            [
                .. kept.Select(a => new TrialArrowView(
                    a.Id,
                    a.Draft.Name,
                    a.Kept!.Arrow.Shaft.Name,
                    chosen.Contains(a.Id)
                )),
            ],
            [.. shafts.Select(Show)],
            ends.Length == 0 ? 0 : Math.Floor((ends.Min() - 5) / Round) * Round,
            ends.Length == 0 ? 0 : Math.Ceiling((ends.Max() + 5) / Round) * Round,
            WidestShaft.Of(shafts),
            TrialSays.WhyWide,
            TrialSays.HeavyFirst,
            kept.Count == 0 ? TrialSays.NoArrowsYet : null
        );
    }

    /// <summary>Chosen points in the order in which they are shot.</summary>
    public TrialPlanView Plan(string bowId, IReadOnlyList<TrialChoice> chosen)
    {
        var steps = StepsOf(bowId, chosen);
        return new TrialPlanView(
            [.. steps.Select(s => s.Words)],
            new PlanTakes(steps.Count, steps.Where(s => !s.Point.Owned).Select(s => s.Point.PointId).Distinct().Count())
        );
    }

    /// <summary>Begins a planned trial: its arrows are built and kept, and its paper is hung.</summary>
    public PaperRow Begin(string bowId, string id, IReadOnlyList<TrialChoice> chosen, Entry distance)
    {
        var steps = StepsOf(bowId, chosen);
        FieldReader.Demand(Counted.Holds(steps.Count), "points", "range", TrialSays.ChooseTwo);
        var kept = KeptOf(bowId);
        string[] order = [.. steps.Select((step, i) => VersionOf(bowId, kept, step, $"{id}-{i + 1}"))];
        var plan = new SessionPlan(
            SessionKind.Trial,
            null,
            [new PlannedStage(distance.Value, false)],
            SessionPlan.UntilClear,
            false,
            null,
            Order: order
        );
        return papers.Start(new NewPaper(id, bowId, order[0], Tolerances.Usual, plan, distance));
    }

    /// <summary>An arrow of the bow that is built so already, or a new one.</summary>
    private string VersionOf(string bowId, IReadOnlyList<ArrowRow> kept, TrialStep step, string id)
    {
        var row = kept.First(a => a.Id == step.Shaft.ArrowId);
        var draft = row.Kept!.Typed with { PointId = step.Point.PointId, PointBroken = step.Point.Broken };
        if (kept.FirstOrDefault(a => Of(a.Kept!.Typed) == Of(draft)) is { } same)
        {
            return same.Kept!.Id;
        }

        var grains = Display.Text(Measure.Grains(step.Point.Grains, 0), listener.Of(bowId).Units);
        var name = row.Draft.Name.Length > LongestName - 12 ? row.Draft.Name[..(LongestName - 12)] : row.Draft.Name;
        _ = arrows.Add(id, bowId, draft with { Name = $"{name}, {grains}" });
        return arrows.Keep(id, $"{id}-kept").Kept!.Id;

        static string Of(ArrowDraft draft) => JsonSerializer.Serialize(draft with { Name = "" }, FactsJson.Options);
    }

    private IReadOnlyList<TrialStep> StepsOf(string bowId, IReadOnlyList<TrialChoice> chosen)
    {
        _ = bows.Measured(bowId);
        ArrowRow[] kept = [.. KeptOf(bowId).Where(a => chosen.Any(c => c.ArrowId == a.Id))];
        FieldReader.Demand(
            chosen.All(c => kept.Any(a => a.Id == c.ArrowId)),
            "points",
            "unknown",
            TrialSays.NoSuchPoint
        );
        var shafts = ShaftsOf(bowId, kept);
        return TrialStep.Of(
            shafts.Select(shaft =>
                (shaft, chosen.Where(c => c.ArrowId == shaft.ArrowId).Distinct().Select(PointOf(shaft)))
            )
        );

        static Func<TrialChoice, TrialPoint> PointOf(TrialShaft shaft) =>
            choice =>
                shaft.Points.FirstOrDefault(p => p.PointId == choice.PointId && p.Broken == choice.Broken)
                ?? throw RefusedException.At("points", "unknown", TrialSays.NoSuchPoint);
    }

    private IReadOnlyList<ArrowRow> KeptOf(string bowId) => [.. arrows.Of(bowId).Where(a => a.Kept is not null)];

    private IReadOnlyList<TrialShaft> ShaftsOf(string bowId, IReadOnlyList<ArrowRow> of)
    {
        var bow = bows.Get(bowId).Bow;
        var parts = components.Rows();
        var found = papers.Trials(bowId).SelectMany(p => p.Session.Trial?.Rows ?? []).ToLookup(r => r.Arrow.Shaft);
        return
        [
            .. of.Select(row =>
            {
                var arrow = row.Kept!.Arrow;
                return new TrialShaft(
                    row.Id,
                    row.Draft.Name,
                    arrow.Shaft.Name,
                    arrow.Point.Weight,
                    PointsByFigures.Of(bow, arrow),
                    PointsFor(parts, arrow),
                    [
                        .. found[arrow.Shaft.Name]
                            .DistinctBy(r => r.Arrow.PointGrains)
                            .Select(r => new TrialFound(r.Arrow.PointGrains, r.NeedsNoMove)),
                    ]
                );
            }),
        ];
    }

    /// <summary>Points of the same fitting as the arrow's own, whole and with steps broken off.</summary>
    private static IReadOnlyList<TrialPoint> PointsFor(IReadOnlyList<ComponentRow> parts, Arrow arrow) =>
        [
            .. from row in parts
            where !row.Retired && row.Part is Point
            let point = (Point)row.Part
            where point.Kind == PointKind.GlueIn == (arrow.Point.Kind == PointKind.GlueIn)
            where point.Kind.IsHead() == arrow.Point.Kind.IsHead()
            where !TubeFit.IsWrong(point.Diameter, arrow.Shaft.InnerDiameter)
            from broken in Enumerable.Range(0, point.BreakOffSteps + 1)
            let grains = point.Weight - (broken * point.BreakOff)
            where grains > 0
            select new TrialPoint(row.Id, point.Name, broken, grains, row.Stock.Owned > 0),
        ];

    private static TrialShaftView Show(TrialShaft shaft)
    {
        var suggested = shaft.Suggested.ToHashSet();
        var (range, held) = (shaft.ByFigures, shaft.Tolerated);
        return new TrialShaftView(
            shaft.ArrowId,
            shaft.Name,
            shaft.Shaft,
            shaft.Here,
            range?.Lightest,
            range?.Heaviest,
            range is null
                ? TrialSays.NoPointFits
                : new PointsFit(Measure.Grains(range.Lightest, 0), Measure.Grains(range.Heaviest, 0)),
            held?.Lightest,
            held?.Heaviest,
            held is { } on
                ? new Tolerates(shaft.Name, Measure.Grains(on.Lightest, 0), Measure.Grains(on.Heaviest, 0))
                : null,
            [
                .. shaft
                    .Points.OrderBy(p => p.Grains)
                    .ThenByDescending(p => p.Owned)
                    .Select(p => new TrialPointView(
                        p.PointId,
                        p.Broken,
                        p.Grains,
                        new Core.Messages.Amount(Measure.Grains(p.Grains, 0)),
                        p.Name,
                        p.Owned,
                        range?.Holds(p.Grains) ?? false,
                        suggested.Contains(p)
                    )),
            ],
            [.. shaft.Found.Select(f => new TrialFoundView(f.Grains, f.NeedsNoMove))]
        );
    }
}
