using SkiaSharp;

namespace Merganser.Web.Printing;

/// <summary>What is drawn on a page, in its true size.</summary>
public sealed partial class PrintedPage
{
    /// <summary>A rule of 100 mm and 4 in: what it measures on paper tells what the printer did.</summary>
    public void Ruler()
    {
        Room(60);
        Y += 10;
        Paragraph(
            "Lay a rule on this line: 100 mm and 4 in. If it differs, print again at actual size, without fitting.",
            9
        );
        Y += 8;
        var (start, top) = (Margin, Y);
        Stroke(start, top, start + (100 * Millimetre), top);
        for (var mm = 0; mm <= 100; mm += 5)
        {
            var x = start + (mm * Millimetre);
            Stroke(x, top - (mm % 10 == 0 ? 6 : 3), x, top);
        }

        for (var eighth = 0; eighth <= 32; eighth++)
        {
            var x = start + (eighth * Inch / 8);
            Stroke(x, top, x, top + (eighth % 8 == 0 ? 6 : 3));
        }

        Text("100 mm", start + (100 * Millimetre) + 4, top - 1, 8);
        Y += 22;
    }

    public void Rule(float y) => Stroke(Margin, y, Width - Margin, y);

    /// <summary>A line between two places.</summary>
    public void Stroke(float x1, float y1, float x2, float y2, float width = 0.6f, bool dashed = false)
    {
        using var ink = new SKPaint { Color = SKColors.Black, StrokeWidth = width };
        if (dashed)
        {
            ink.PathEffect = SKPathEffect.CreateDash([3, 2], 0);
        }

        canvas.DrawLine(x1, y1, x2, y2, ink);
    }

    /// <summary>An outline.</summary>
    public void Outline(float x, float y, float width, float height, float stroke = 0.8f)
    {
        using var ink = new SKPaint
        {
            Color = SKColors.Black,
            StrokeWidth = stroke,
            Style = SKPaintStyle.Stroke,
        };
        canvas.DrawRect(x, y, width, height, ink);
    }

    /// <summary>Draws an SVG path, scaled and moved.</summary>
    public void Path(string svg, float x, float y, float scale, float stroke = 0.8f, bool filled = false)
    {
        using var path = SKPath.ParseSvgPathData(svg);
        using var ink = new SKPaint
        {
            Color = SKColors.Black,
            IsAntialias = true,
            StrokeWidth = stroke / scale,
            Style = filled ? SKPaintStyle.Fill : SKPaintStyle.Stroke,
        };
        canvas.Save();
        canvas.Translate(x, y);
        canvas.Scale(scale);
        canvas.DrawPath(path, ink);
        canvas.Restore();
    }

    /// <summary>A box to tick.</summary>
    public void Box(float x, float y, float size = 9) => Outline(x, y - size + 1, size, size);
}
