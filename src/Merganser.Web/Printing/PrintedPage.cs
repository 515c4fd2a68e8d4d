using SkiaSharp;

namespace Merganser.Web.Printing;

/// <summary>One A4 page as PDF: lines of text, rules and paths, in points from the top left.</summary>
public sealed class PrintedPage : IDisposable
{
    public const float Width = 595;
    public const float Height = 842;
    public const float Margin = 42;

    private static readonly SKTypeface Medium = Face("Archivo-Medium.ttf");
    private static readonly SKTypeface Bold = Face("Archivo-Bold.ttf");

    private readonly MemoryStream stream = new();
    private readonly SKDocument document;
    private SKCanvas canvas;

    /// <param name="title">The document's title.</param>
    /// <param name="made">When it was made.</param>
    public PrintedPage(string title, DateTimeOffset made)
    {
        document = SKDocument.CreatePdf(
            stream,
            new SKDocumentPdfMetadata
            {
                Title = title,
                Creator = "Merganser",
                Creation = made.UtcDateTime,
                Modified = made.UtcDateTime,
            }
        );
        canvas = document.BeginPage(Width, Height);
    }

    /// <summary>Where the next line goes, from the top.</summary>
    public float Y { get; set; } = Margin;

    /// <summary>Writes at a place; text that is too wide is made smaller until it fits.</summary>
    public void Text(
        string text,
        float x,
        float y,
        float size = 10,
        bool bold = false,
        float? width = null,
        bool right = false
    )
    {
        using var font = new SKFont(bold ? Bold : Medium, size);
        while (width is { } room && font.Size > 6 && font.MeasureText(text) > room)
        {
            font.Size -= 0.5f;
        }

        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        canvas.DrawText(text, x, y, right ? SKTextAlign.Right : SKTextAlign.Left, font, ink);
    }

    /// <summary>A heading with a rule above it; moves down.</summary>
    public void Heading(string text)
    {
        Y += 10;
        Rule(Y);
        Text(text, Margin, Y + 16, 12, true);
        Y += 26;
    }

    /// <summary>A label with its value and a note, on one line; moves down.</summary>
    public void Line(string label, string value, string note = "", float step = 14)
    {
        Text(label, Margin, Y, 9.5f, width: 170);
        Text(value, Margin + 176, Y, 9.5f, true, 150);
        Text(note, Margin + 332, Y, 8.5f, width: Width - (2 * Margin) - 332);
        Y += step;
    }

    public void Rule(float y)
    {
        using var ink = new SKPaint { Color = SKColors.Black, StrokeWidth = 0.6f };
        canvas.DrawLine(Margin, y, Width - Margin, y, ink);
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
    public void Box(float x, float y, float size = 9)
    {
        using var ink = new SKPaint
        {
            Color = SKColors.Black,
            StrokeWidth = 0.8f,
            Style = SKPaintStyle.Stroke,
        };
        canvas.DrawRect(x, y - size + 1, size, size, ink);
    }

    /// <summary>Goes on at the head of another page.</summary>
    public void Next()
    {
        document.EndPage();
        canvas = document.BeginPage(Width, Height);
        Y = Margin;
    }

    /// <summary>The finished document.</summary>
    public byte[] Finish()
    {
        document.EndPage();
        document.Close();
        return stream.ToArray();
    }

    public void Dispose()
    {
        document.Dispose();
        stream.Dispose();
    }

    private static SKTypeface Face(string name)
    {
        using var font = typeof(PrintedPage).Assembly.GetManifestResourceStream(name)!;
        return SKTypeface.FromStream(font);
    }
}
