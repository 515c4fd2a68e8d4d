using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Arrows;

public enum Wanted { PointForFrontOfCenter, PointForWeight, LengthForWeight, SpineForFit }

/// <summary>A wanted value, typed.</summary>
public sealed record AskInput(string BowId, ArrowDraft Draft, Wanted Wanted, string? Value);

/// <summary>The exact answer in words, what is in stock next to it, and the cautions that the bench would give.</summary>
public sealed record AskView(double Exact, string Unit, string Words, IReadOnlyList<TryView> InStock, IReadOnlyList<Caution> Cautions);

/// <summary>Light, middle and heavy for one bow.</summary>
public sealed record WeightsView(IReadOnlyList<WeightPoint> Curve, IReadOnlyList<WeightSchool> Schools, IReadOnlyList<RuleOfThumb> Rules, WeightPoint? Here, string? Word, string Law);

/// <summary>Several arrows on one ruler, and in what they differ.</summary>
public sealed record CompareView(IReadOnlyList<CompareRow> Arrows, IReadOnlyList<string> Differs);

/// <summary>One of the compared arrows with all its figures.</summary>
public sealed record CompareRow(string Id, string Name, int Version, Arrow Arrow, ArrowReading Reading, IReadOnlyDictionary<string, string> Parts);

/// <summary>A kept version in the list of an arrow.</summary>
public sealed record VersionView(string Id, int Number, DateTimeOffset KeptAt, string Words, bool Shot, ArrowDraft Typed);

/// <summary>Asking, comparing, schools and charts: the figures behind the arrow bench.</summary>
public sealed class ArrowTools(BowStore bows, ArrowStore arrows, ComponentStore components)
{
    private const string Law = "Rules of thumb, from memory. Local law sets draw weight, energy, head and season; the maker's minimum comes first.";
    private const int Nearest = 2;

    public AskView Ask(AskInput input)
    {
        var catalogue = components.All(input.Draft.Parts());
        var arrow = input.Draft.Entry(catalogue).Read();
        var bow = bows.Measured(input.BowId);
        var fields = new FieldReader();
        var (range, quantity) = input.Wanted switch
        {
            Wanted.PointForFrontOfCenter => (Core.Arrows.Ask.FrontOfCenter, Quantity.Number),
            Wanted.LengthForWeight or Wanted.PointForWeight => (Core.Arrows.Ask.TotalWeight, Quantity.Weight),
            _ => (Core.Arrows.Ask.Ratio, Quantity.Number),
        };
        var wanted = fields.Required("value", input.Value?.TrimEnd('%', ' '), quantity, range);
        fields.ThrowIfAny();
        try
        {
            return input.Wanted switch
            {
                Wanted.PointForFrontOfCenter => PointFor(bow, arrow, input.Draft, wanted!.Value, catalogue),
                Wanted.PointForWeight => PointForWeight(bow, arrow, input.Draft, wanted!.Value, catalogue),
                Wanted.LengthForWeight => LengthFor(bow, arrow, input.Draft, wanted!.Value),
                _ => SpineFor(bow, arrow, input.Draft, wanted!.Value, catalogue),
            };
        }
        catch (RefusedException refused) when (refused.Problems.Count == 0)
        {
            throw new RefusedException(refused.Code, refused.Message, new FieldProblem("value", refused.Code, refused.Message));
        }
    }

    public WeightsView Weights(string bowId, Purpose purpose, double? grains)
    {
        var bow = bows.Measured(bowId);
        return new WeightsView(WeightSchools.Curve(bow), WeightSchools.Schools(bow), WeightSchools.Rules(purpose), grains is > 0 ? WeightSchools.At(bow, grains.Value) : null,
            grains is > 0 ? WeightSchools.Word(bow, grains.Value) : null, Law);
    }

    public SpineChart Chart(FiguresInput input)
    {
        var catalogue = components.All(input.Draft.Parts());
        var arrow = input.Draft.Entry(catalogue).Read();
        var family = catalogue.Shafts.Select(s => s.Part).Where(s => s.Maker == arrow.Shaft.Maker && Tries.Family(s) == Tries.Family(arrow.Shaft)).DistinctBy(s => s.SpineInUse).ToArray();
        return SpineChart.Of(bows.Measured(input.BowId), arrow, family);
    }

    public CompareView Compare(string bowId, IReadOnlyList<string> ids)
    {
        var fields = new FieldReader();
        fields.Check(ids.Count is >= 2 and <= 4 && ids.Distinct().Count() == ids.Count, "arrows", "range", "Two to four different arrows are compared.");
        fields.ThrowIfAny();
        var bow = bows.Measured(bowId);
        var rows = ids.Select(id =>
        {
            var row = arrows.Get(id);
            var arrow = row.Kept?.Arrow ?? row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
            return new CompareRow(id, row.Draft.Name, row.Kept?.Number ?? 0, arrow, ArrowReading.Of(bow, arrow), PartsOf(arrow));
        }).ToArray();
        return new CompareView(rows, [.. rows[0].Parts.Keys.Where(k => rows.Select(r => r.Parts[k]).Distinct().Count() > 1)]);
    }

    public IReadOnlyList<VersionView> Versions(string arrowId)
    {
        var shot = arrows.Shot(arrowId);
        var all = arrows.Versions(arrowId);
        return [.. all.Select((v, i) => new VersionView(v.Id, v.Number, v.KeptAt, i + 1 < all.Count ? Changed(v.Arrow, all[i + 1].Arrow) : "the first", shot.Contains(v.Id), v.Typed))];
    }

    /// <summary>The parts of an arrow in words.</summary>
    public static Dictionary<string, string> PartsOf(Arrow arrow) => new()
    {
        ["Shaft"] = arrow.Shaft.Name,
        ["Cut length"] = $"{Show.Number(arrow.CutLength, 3).TrimEnd('0').TrimEnd('.')} in",
        ["Insert"] = arrow.Insert is { } i ? $"{i.Name}, {Show.Number(i.Weight, 1)} gr" : "none",
        ["Point"] = $"{arrow.Point.Name}, {Show.Number(arrow.Point.Weight, 1)} gr",
        ["Nock"] = $"{arrow.Nock.Name}, {Show.Number(arrow.Nock.Weight, 1)} gr",
        ["Vanes"] = arrow.Vane is { } v ? $"{arrow.VaneCount} × {v.Name}" : "none",
        ["Wrap"] = arrow.Wrap?.Name ?? "none",
        ["Glue"] = $"{Show.Number(arrow.Glue, 1)} gr",
    };

    private static string Changed(Arrow now, Arrow before)
    {
        var then = PartsOf(before);
        var changes = PartsOf(now).Where(p => then[p.Key] != p.Value).Select(p => $"{p.Key.ToLowerInvariant()} {then[p.Key]} to {p.Value}").ToArray();
        return changes.Length == 0 ? "a catalogue value changed" : string.Join("; ", changes);
    }

    private static AskView PointFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.PointFor(arrow, wanted);
        return PointOf(bow, arrow, draft, exact, $"{Show.Number(exact, 1)} gr at the point gives {Show.Number(wanted, 1)} %.", catalogue);
    }

    private static AskView PointForWeight(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.PointForWeight(arrow, wanted);
        return PointOf(bow, arrow, draft, exact, $"{Show.Number(exact, 1)} gr at the point gives {Show.Number(wanted, 1)} gr in all.", catalogue);
    }

    /// <summary>A point of this weight, and the nearest in stock that the bench does not refuse.</summary>
    private static AskView PointOf(Bow bow, Arrow arrow, ArrowDraft draft, double exact, string words, Catalogue catalogue)
    {
        var cautions = Core.Arrows.Ask.Passed(bow, arrow with { Point = arrow.Point with { Grains = exact, MeasuredGrains = null } });
        var stock = catalogue.Points.Where(p => p.Part.Kind == arrow.Point.Kind && Sound(bow, arrow with { Point = p.Part }))
            .OrderBy(p => Math.Abs(p.Part.Weight - exact)).Take(Nearest)
            .Select(p => new TryView(WhatIf.Of($"{p.Part.Name}, {Show.Number(p.Part.Weight, 0)} gr", bow, arrow with { Point = p.Part }), draft with { PointId = p.Id, PointBroken = 0 }));
        return new AskView(exact, "gr", words, [.. stock], cautions);
    }

    private static bool Sound(Bow bow, Arrow arrow) => !ArrowCautions.Of(new ArrowNumbers(bow, arrow)).Any(c => c.Refused);

    private static AskView LengthFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted)
    {
        var exact = Core.Arrows.Ask.LengthFor(arrow, wanted);
        var cut = Math.Round(exact * 16) / 16;
        var cautions = Core.Arrows.Ask.Passed(bow, arrow with { CutLength = Math.Min(exact, cut) });
        var once = exact < arrow.CutLength ? " Cut once: leave it longer and lighten the point first." : "";
        return new AskView(exact, "in", $"{Show.Number(exact, 3)} in of cut length gives {Show.Number(wanted, 1)} gr.{once}",
            [new TryView(WhatIf.Of($"Cut to {Show.Number(cut, 4).TrimEnd('0').TrimEnd('.')} in", bow, arrow with { CutLength = cut }), draft with { CutLength = Show.Number(cut, 4).TrimEnd('0').TrimEnd('.') })], cautions);
    }

    private static AskView SpineFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.SpineFor(bow, arrow, wanted);
        var stock = catalogue.Shafts.Where(s => s.Part.Material == arrow.Shaft.Material && arrow.TubeLength <= s.Part.MaxLength && Sound(bow, arrow with { Shaft = s.Part }))
            .Select(s => new TryView(WhatIf.Of($"{s.Part.Name}, {Show.Spine(s.Part.SpineInUse)}", bow, arrow with { Shaft = s.Part }), draft with { ShaftId = s.Id }))
            .OrderBy(t => Math.Abs(t.Effect.Ratio - wanted)).Take(Nearest + 1);
        return new AskView(exact, "in", $"A spine of {Show.Spine(exact)} in gives a fit of {Show.Number(wanted, 2)} at this weight; another shaft brings its own weight.", [.. stock], Core.Arrows.Ask.Passed(bow, arrow));
    }
}

public static class ArrowToolEndpoints
{
    public static void MapArrowTools(this IEndpointRouteBuilder api)
    {
        api.MapPost("/figures/ask", (AskInput input, ArrowTools tools) => tools.Ask(input));
        api.MapPost("/figures/chart", (FiguresInput input, ArrowTools tools) => tools.Chart(input));
        api.MapGet("/bows/{id}/weights", (string id, string purpose, double? grains, ArrowTools tools) => tools.Weights(id, Words.Read<Purpose>("purpose", purpose), grains));
        api.MapGet("/bows/{id}/compare", (string id, string arrows, ArrowTools tools) => tools.Compare(id, arrows.Split(',', StringSplitOptions.RemoveEmptyEntries)));
        api.MapGet("/arrows/{id}/versions", (string id, ArrowTools tools) => tools.Versions(id));
        api.MapGet("/arrows/{id}/export.json", (string id, ArrowExport export) => export.Json(id));
        api.MapGet("/arrows/{id}/export.csv", (string id, ArrowExport export) => Results.Text(export.Csv(id), "text/csv", System.Text.Encoding.UTF8)).Produces<string>(200, "text/csv");
        api.MapGet("/arrows/{id}/export.svg", (string id, ArrowExport export) => Results.Text(export.Svg(id), "image/svg+xml", System.Text.Encoding.UTF8)).Produces<string>(200, "image/svg+xml");
        api.MapGet("/arrows/{id}/card.pdf", (string id, ArrowExport export) => Results.File(export.Card(id), "application/pdf")).Produces(200, contentType: "application/pdf");
    }

}
