using System.Globalization;
using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Arrows;

/// <summary>One arrow as a file. The schema is docs/schemas/arrow.json.</summary>
public sealed record ArrowFile(
    string Format,
    string Name,
    int Version,
    string Bow,
    Arrow Arrow,
    IReadOnlyList<ExportedFigure> Figures
);

/// <summary>A figure without its working.</summary>
public sealed record ExportedFigure(string Name, double? Value, string Unit, double? Low, double? High);

/// <summary>One arrow as JSON, CSV, drawing to scale, and a card to print.</summary>
public sealed class ArrowExport(
    ArrowStore arrows,
    BowStore bows,
    ComponentStore components,
    Listener listener,
    TimeProvider clock
)
{
    /// <summary>The name of the file format.</summary>
    public const string Format = "merganser-arrow-1";

    public ArrowFile Json(string id)
    {
        var (row, arrow, reading, bow) = Read(id);
        return new ArrowFile(
            Format,
            row.Draft.Name,
            row.Kept?.Number ?? 0,
            bow,
            arrow,
            [.. reading.Figures.Select(f => new ExportedFigure(f.Name, f.Value, f.Unit, f.Low, f.High))]
        );
    }

    public string Csv(string id)
    {
        var (row, arrow, reading, _) = Read(id);
        var speaker = listener.Of(row.BowId);
        IEnumerable<IReadOnlyList<string>> parts = NamedPart
            .Of(arrow)
            .Select(p => Line(speaker.Say(p.Name), CsvText.Harmless(speaker.Say(p.Words)), ""));
        var figures = reading.Figures.Select(f =>
            Line(
                speaker.Say(f.Label),
                f.Value?.ToString("F" + (f.Decimals + 1), CultureInfo.InvariantCulture) ?? "",
                f.Unit
            )
        );
        return CsvText.Of([
            ["part or figure", "value", "unit"],
            Line("name", CsvText.Harmless(row.Draft.Name), ""),
            .. parts,
            .. figures,
        ]);

        static IReadOnlyList<string> Line(params string[] cells) => cells;
    }

    /// <summary>The arrow to scale: one unit of the drawing is an inch, and its width says so.</summary>
    public string Svg(string id)
    {
        var (row, arrow, reading, _) = Read(id);
        var speaker = listener.Of(row.BowId);
        var width = N(arrow.CutLength + 2.5);
        var places = reading.Places;
        return $"""
            <svg xmlns="http://www.w3.org/2000/svg" width="{width}in" height="2in" viewBox="-0.6 -1 {width} 2" font-family="sans-serif" font-size="0.16">
            <title>{System.Net.WebUtility.HtmlEncode(row.Draft.Name)}, to scale, nock throat at 0</title>
            <path d="{Outline(arrow)}" fill="none" stroke="black" stroke-width="0.02"/>
            <path d="M{N(
                places.HalfLength
            )} -0.4V0.4" stroke="black" stroke-width="0.015" stroke-dasharray="0.08 0.06"/>
            <path d="M{N(places.BalancePoint)} 0.16l-0.12 0.24h0.24z"/>
            <path d="M0 0.6H{N(arrow.CutLength)}M0 0.54V0.66M{N(
                arrow.CutLength
            )} 0.54V0.66" fill="none" stroke="black" stroke-width="0.015"/>
            <text x="{N(arrow.CutLength / 2)}" y="0.84" text-anchor="middle">{speaker.Say(
                $"{Measure.Inches(arrow.CutLength, 3)}, balances at {Measure.Inches(places.BalancePoint)}"
            )}</text>
            </svg>
            """;
    }

    /// <summary>One page: drawing, parts and figures.</summary>
    public byte[] Card(string id)
    {
        var (row, arrow, reading, bow) = Read(id);
        var now = clock.GetUtcNow();
        var speaker = listener.Of(row.BowId);
        using var page = new PrintedPage(
            $"Arrow card, {row.Draft.Name}",
            now,
            speaker.Say(
                $"Merganser. An arrow under {Least} can break a bow; the maker's minimum and local law come first."
            )
        );
        page.Title(
            row.Draft.Name,
            $"Arrow card, {now:d MMMM yyyy}, for {bow}. {(row.Kept is { } kept ? $"Version {kept.Number}." : "A draft.")}"
        );
        page.Y += 26;
        var scale = PrintedPage.Across / (float)(arrow.CutLength + 2.2);
        page.Path(Outline(arrow), PrintedPage.Margin + (0.5f * scale), page.Y, scale);
        page.Path(
            FormattableString.Invariant($"M{reading.Places.BalancePoint} .3l-.25 .5h.5z"),
            PrintedPage.Margin + (0.5f * scale),
            page.Y,
            scale,
            filled: true
        );
        page.Y += 34;
        page.Heading("Parts");
        foreach (var part in NamedPart.Of(arrow))
        {
            page.Line(speaker.Say(part.Name), speaker.Say(part.Words));
        }

        page.Heading("Figures");
        foreach (var figure in reading.Figures)
        {
            page.Line(
                speaker.Say(figure.Label),
                speaker.Say($"{figure.Text} {figure.ShownUnit}"),
                Band(speaker, figure)
            );
        }

        foreach (var caution in reading.Cautions)
        {
            page.Y += 6;
            page.Paragraph(speaker.Say($"Caution. {caution.Text}"), 9, true);
        }

        return page.Finish();
    }

    private static Measure Least => new(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0);

    private static string Band(Speaker speaker, Figure figure)
    {
        var band = figure.LowText is null ? "" : speaker.Say($"{figure.LowText} to {figure.HighText}");
        return figure.Word is { } word ? speaker.Say($"{band}, {word}") : band;
    }

    private (ArrowRow Row, Arrow Arrow, ArrowReading Reading, string Bow) Read(string id)
    {
        var row = arrows.Get(id);
        var arrow = row.Kept?.Arrow ?? row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
        var bow = bows.Measured(row.BowId);
        return (row, arrow, ArrowReading.Of(bow, arrow), bow.Name);
    }

    /// <summary>Nock, shaft, vanes, point and what else stands at the ends, in inches, the axis at nought.</summary>
    private static string Outline(Arrow arrow)
    {
        var r = arrow.Shaft.OuterDiameter / 2;
        var start = arrow.Nock.TubeStart;
        var end = arrow.CutLength;
        var tip = end + Math.Max(0.3, arrow.Point.Length);
        var path =
            $"M{N(start)} {N(-r)}H{N(end)}V{N(r)}H{N(start)}zM{N(start)} {N(-r)}H-0.15V{N(-r / 3)}H0.1V{N(r / 3)}H-0.15V{N(r)}H{N(start)}M{N(end)} {N(-r)}L{N(tip)} 0L{N(end)} {N(r)}";
        foreach (var part in arrow.AtEnds)
        {
            var centre = arrow.CentreOf(part);
            var (from, to) = (N(centre - (part.Length / 2)), N(centre + (part.Length / 2)));
            var half = part.GoesOver ? 1.2 * r : 0.6 * r;
            path += $"M{from} {N(-half)}H{to}V{N(half)}H{from}z";
        }

        return arrow.Vane is { } vane
            ? path
                + $"M{N(arrow.VaneFront)} {N(-r)}L{N(arrow.VaneFront - (vane.Length * 0.7))} {N(-r - vane.Height)}H{N(arrow.VaneFront - vane.Length)}V{N(-r)}"
            : path;
    }

    private static string N(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);
}
