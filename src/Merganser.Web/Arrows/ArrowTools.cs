using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Arrows;

public enum Wanted
{
    PointForFrontOfCenter,
    PointForWeight,
    LengthForWeight,
    SpineForFit,
}

/// <summary>A wanted value, typed.</summary>
public sealed record AskInput(string BowId, ArrowDraft Draft, Wanted Wanted, string? Value) : IOfBow;

/// <summary>
/// The exact answer in words, what is in stock next to it, and the cautions that the bench would give.
/// </summary>
public sealed record AskView(
    double Exact,
    string Unit,
    Message Words,
    IReadOnlyList<TryView> InStock,
    IReadOnlyList<Caution> Cautions
);

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
    IReadOnlyList<PartView> Parts
);

/// <summary>One part of an arrow, named.</summary>
public sealed record PartView(ArrowPart Part, Message Words)
{
    /// <summary>What it is.</summary>
    public Message Name => new ArrowPartName(Part);
}

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
            throw RefusedException.At("value", refused.Code, refused.Said);
        }
    }

    public WeightsView Weights(string bowId, Purpose purpose, double? grains)
    {
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
        var family = catalogue
            .Shafts.Select(s => s.Part)
            .Where(s => s.Maker == arrow.Shaft.Maker && Tries.Family(s) == Tries.Family(arrow.Shaft))
            .DistinctBy(s => s.SpineInUse)
            .ToArray();
        return SpineChart.Of(bows.Measured(input.BowId), arrow, family);
    }

    public CompareView Compare(string bowId, IReadOnlyList<string> ids)
    {
        var fields = new FieldReader();
        fields.Check(
            ids.Count is >= 2 and <= 4 && ids.Distinct().Count() == ids.Count,
            "arrows",
            "range",
            ArrowSays.TwoToFour
        );
        fields.ThrowIfAny();
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
                    PartsOf(arrow)
                );
            })
            .ToArray();
        return new CompareView(
            rows,
            [.. Enum.GetValues<ArrowPart>().Where(p => rows.Select(r => r.Parts[(int)p].Words).Distinct().Count() > 1)]
        );
    }

    public IReadOnlyList<VersionView> Versions(string arrowId)
    {
        var shot = arrows.Shot(arrowId);
        var all = arrows.Versions(arrowId);
        return
        [
            .. all.Select(
                (v, i) =>
                    new VersionView(
                        v.Id,
                        v.Number,
                        v.KeptAt,
                        i + 1 < all.Count ? Changed(v.Arrow, all[i + 1].Arrow) : ArrowSays.TheFirst,
                        shot.Contains(v.Id),
                        v.Typed
                    )
            ),
        ];
    }

    /// <summary>The parts of an arrow, each named, in the order of <see cref="ArrowPart"/>.</summary>
    public static IReadOnlyList<PartView> PartsOf(Arrow arrow) =>
        [
            new(ArrowPart.Shaft, new Verbatim(arrow.Shaft.Name)),
            new(ArrowPart.CutLength, new Amount(Measure.Inches(arrow.CutLength, 3))),
            new(
                ArrowPart.Insert,
                arrow.Insert is { } insert ? new InStock(insert.Name, Measure.Grains(insert.Weight)) : ArrowSays.None
            ),
            new(ArrowPart.Point, new InStock(arrow.Point.Name, Measure.Grains(arrow.Point.Weight))),
            new(ArrowPart.Nock, new InStock(arrow.Nock.Name, Measure.Grains(arrow.Nock.Weight))),
            new(ArrowPart.Vanes, arrow.Vane is { } vane ? new VanesOf(arrow.VaneCount, vane.Name) : ArrowSays.None),
            new(ArrowPart.Wrap, arrow.Wrap is { } wrap ? new Verbatim(wrap.Name) : ArrowSays.None),
            new(ArrowPart.Glue, new Amount(Measure.Grains(arrow.Glue))),
        ];

    private static PartsChanged Changed(Arrow now, Arrow before) =>
        new([
            .. PartsOf(before)
                .Zip(PartsOf(now))
                .Where(p => p.First.Words != p.Second.Words)
                .Select(p => new PartChange(p.First.Part, p.First.Words, p.Second.Words)),
        ]);

    private static AskView PointFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.PointFor(arrow, wanted);
        return PointOf(
            bow,
            arrow,
            draft,
            exact,
            new PointGives(Measure.Grains(exact), Measure.Percent(wanted, 1), false),
            catalogue
        );
    }

    private static AskView PointForWeight(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.PointForWeight(arrow, wanted);
        return PointOf(
            bow,
            arrow,
            draft,
            exact,
            new PointGives(Measure.Grains(exact), Measure.Grains(wanted), true),
            catalogue
        );
    }

    /// <summary>A point of this weight, and the nearest in stock that the bench does not refuse.</summary>
    private static AskView PointOf(
        Bow bow,
        Arrow arrow,
        ArrowDraft draft,
        double exact,
        Message words,
        Catalogue catalogue
    )
    {
        var cautions = Core.Arrows.Ask.Passed(
            bow,
            arrow with
            {
                Point = arrow.Point with { Grains = exact, MeasuredGrains = null },
            }
        );
        var stock = catalogue
            .Points.Where(p =>
                p.Part.Kind == arrow.Point.Kind && Core.Arrows.Ask.Sound(bow, arrow with { Point = p.Part })
            )
            .OrderBy(p => Math.Abs(p.Part.Weight - exact))
            .Take(Nearest)
            .Select(p => new TryView(
                WhatIf.Of(
                    new InStock(p.Part.Name, Measure.Grains(p.Part.Weight, 0)),
                    bow,
                    arrow with
                    {
                        Point = p.Part,
                    }
                ),
                draft with
                {
                    PointId = p.Id,
                    PointBroken = 0,
                }
            ));
        return new AskView(exact, "gr", words, [.. stock], cautions);
    }

    private static AskView LengthFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted)
    {
        var exact = Core.Arrows.Ask.LengthFor(arrow, wanted);
        var cut = Math.Round(exact * 16) / 16;
        var cautions = Core.Arrows.Ask.Passed(bow, arrow with { CutLength = Math.Min(exact, cut) });
        return new AskView(
            exact,
            "in",
            new LengthGives(Measure.Inches(exact, 3), Measure.Grains(wanted), exact < arrow.CutLength),
            [
                new TryView(
                    WhatIf.Of(new CutTo(Measure.Ruled(cut)), bow, arrow with { CutLength = cut }),
                    draft with
                    {
                        CutLength = Show.Number(cut, 4).TrimEnd('0').TrimEnd('.'),
                    }
                ),
            ],
            cautions
        );
    }

    private static AskView SpineFor(Bow bow, Arrow arrow, ArrowDraft draft, double wanted, Catalogue catalogue)
    {
        var exact = Core.Arrows.Ask.SpineFor(bow, arrow, wanted);
        var stock = catalogue
            .Shafts.Where(s =>
                s.Part.Material == arrow.Shaft.Material
                && arrow.TubeLength <= s.Part.MaxLength
                && Core.Arrows.Ask.Sound(bow, arrow with { Shaft = s.Part })
            )
            .Select(s => new TryView(
                WhatIf.Of(
                    new InStock(s.Part.Name, Measure.Spine(s.Part.SpineInUse)),
                    bow,
                    arrow with
                    {
                        Shaft = s.Part,
                    }
                ),
                draft with
                {
                    ShaftId = s.Id,
                }
            ))
            .OrderBy(t => Math.Abs(t.Effect.Ratio - wanted))
            .Take(Nearest + 1);
        return new AskView(
            exact,
            "in",
            new SpineGives(Measure.Spine(exact), Measure.Plain(wanted)),
            [.. stock],
            Core.Arrows.Ask.Passed(bow, arrow)
        );
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
        api.MapGet("/arrows/{id}/versions", (string id, ArrowTools tools) => tools.Versions(id));
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
