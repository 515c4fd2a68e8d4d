using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Ui;
using Merganser.Web.Words;

namespace Merganser.Web.Arrows;

/// <summary>A wanted value, typed.</summary>
public sealed record AskInput(string BowId, ArrowDraft Draft, Wanted Wanted, string? Value) : IOfBow;

/// <summary>Light, middle and heavy for one bow.</summary>
public sealed record WeightsView(
    IReadOnlyList<WeightPoint> Curve,
    IReadOnlyList<WeightSchool> Schools,
    IReadOnlyList<RuleOfThumb> Rules,
    WeightPoint? Here,
    Message? Word,
    Message Law
);

/// <summary>Several arrows on one ruler, and in what they differ.</summary>
public sealed record CompareView(IReadOnlyList<CompareRow> Arrows, IReadOnlyList<ArrowPart> Differs);

/// <summary>One of the compared arrows with all its figures.</summary>
public sealed record CompareRow(
    string Id,
    string Name,
    int Version,
    Arrow Arrow,
    ArrowReading Reading,
    IReadOnlyList<NamedPart> Parts
);

/// <summary>A page of an arrow's kept versions, the newest first.</summary>
/// <param name="Versions">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record VersionPage(IReadOnlyList<VersionView> Versions, int? Earlier);

/// <summary>A kept version in the list of an arrow.</summary>
public sealed record VersionView(
    string Id,
    int Number,
    DateTimeOffset KeptAt,
    Message Words,
    bool Shot,
    ArrowDraft Typed
);

/// <summary>Asking, comparing, schools and charts: the figures behind the arrow bench.</summary>
public sealed class ArrowTools(BowStore bows, ArrowStore arrows, ComponentStore components)
{
    public AskAnswer Ask(AskInput input) =>
        AskAnswer.Of(
            input.Wanted,
            input.Value,
            bows.Measured(input.BowId),
            input.Draft,
            components.All(input.Draft.Parts())
        );

    /// <summary>The parts of the bench's lists that are known not to go into a shaft, by their ids.</summary>
    public static Dictionary<string, Message> Misfits(Catalogue catalogue, Shaft shaft)
    {
        IEnumerable<(string Id, IComponent Part)> parts =
        [
            .. catalogue.Inserts.Select(i => (i.Id, (IComponent)i.Part)),
            .. catalogue.Points.Select(p => (p.Id, (IComponent)p.Part)),
            .. catalogue.Nocks.Select(n => (n.Id, (IComponent)n.Part)),
            .. catalogue.EndParts.Select(e => (e.Id, (IComponent)e.Part)),
        ];
        return parts
            .Select(p => (p.Id, Why: (Message?)TubeFit.Words(p.Part, shaft)))
            .Where(p => p.Why is not null)
            .ToDictionary(p => p.Id, p => p.Why!);
    }

    /// <summary>What an arrow may weigh to be shown among the weights; nought is none.</summary>
    private static readonly AllowedRange Weighed = new(0, 3000, Unit.Grain, Why.ArrowThatABowStands);

    public WeightsView Weights(string bowId, Purpose purpose, double? grains)
    {
        FieldReader.DemandInside("grains", grains ?? 0, Weighed);
        var bow = bows.Measured(bowId);
        return new WeightsView(
            WeightSchools.Curve(bow),
            WeightSchools.Schools(bow),
            WeightSchools.Rules(purpose),
            grains is > 0 ? WeightSchools.At(bow, grains.Value) : null,
            grains is > 0 ? WeightSchools.Word(bow, grains.Value) : null,
            ArrowSays.RulesOfThumb
        );
    }

    public SpineChart Chart(FiguresInput input)
    {
        var catalogue = components.All(input.Draft.Parts());
        var arrow = input.Draft.Entry(catalogue).Read();
        var family = Tries.FamilyOf(arrow.Shaft, catalogue).Select(s => s.Part).DistinctBy(s => s.SpineInUse);
        return SpineChart.Of(bows.Measured(input.BowId), arrow, [.. family]);
    }

    public CompareView Compare(string bowId, IReadOnlyList<string> ids)
    {
        FieldReader.Demand(
            ids.Count is >= 2 and <= 4 && ids.Distinct().Count() == ids.Count,
            "arrows",
            "range",
            ArrowSays.TwoToFour
        );
        var bow = bows.Measured(bowId);
        var rows = ids.Select(id =>
            {
                var row = arrows.Get(id);
                var arrow = row.Kept?.Arrow ?? row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
                return new CompareRow(
                    id,
                    row.Draft.Name,
                    row.Kept?.Number ?? 0,
                    arrow,
                    ArrowReading.Of(bow, arrow),
                    NamedPart.Of(arrow)
                );
            })
            .ToArray();
        return new CompareView(rows, NamedPart.Differing([.. rows.Select(r => r.Parts)]));
    }

    public VersionPage Versions(string arrowId, int? before)
    {
        // One more than is shown: what changed in the last of them is said against it.
        var found = arrows.Versions(arrowId, ListPage.Length + 1, before);
        var shot = arrows.Shot(found);
        var shown = found
            .Take(ListPage.Length)
            .Select(
                (v, i) =>
                    new VersionView(
                        v.Id,
                        v.Number,
                        v.KeptAt,
                        i + 1 < found.Count ? NamedPart.Changed(found[i + 1].Arrow, v.Arrow) : ArrowSays.TheFirst,
                        shot.Contains(v.Id),
                        v.Typed
                    )
            )
            .ToArray();
        return new VersionPage(shown, found.Count > shown.Length ? shown[^1].Number : null);
    }
}

public static class ArrowToolEndpoints
{
    public static void MapArrowTools(this IEndpointRouteBuilder api)
    {
        api.MapPost("/figures/ask", (AskInput input, ArrowTools tools) => tools.Ask(input));
        api.MapPost("/figures/chart", (FiguresInput input, ArrowTools tools) => tools.Chart(input));
        api.MapGet(
            "/bows/{id}/weights",
            (string id, string purpose, double? grains, ArrowTools tools) =>
                tools.Weights(id, KnownWord.Read<Purpose>("purpose", purpose), grains)
        );
        api.MapGet(
            "/bows/{id}/compare",
            (string id, string arrows, ArrowTools tools) =>
                tools.Compare(id, arrows.Split(',', StringSplitOptions.RemoveEmptyEntries))
        );
        api.MapGet("/arrows/{id}/versions", (string id, int? before, ArrowTools tools) => tools.Versions(id, before));
        api.MapGet("/arrows/{id}/export.json", (string id, ArrowExport export) => export.Json(id));
        api.MapGet(
                "/arrows/{id}/export.csv",
                (string id, ArrowExport export) => Results.Text(export.Csv(id), "text/csv", System.Text.Encoding.UTF8)
            )
            .Produces<string>(200, "text/csv");
        api.MapGet(
                "/arrows/{id}/export.svg",
                (string id, ArrowExport export) =>
                    Results.Text(export.Svg(id), "image/svg+xml", System.Text.Encoding.UTF8)
            )
            .Produces<string>(200, "image/svg+xml");
        api.MapGet(
                "/arrows/{id}/card.pdf",
                (string id, ArrowExport export) => Results.File(export.Card(id), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
    }
}
