using SkiaSharp;

namespace Merganser.Web.Printing;

/// <summary>The letters of a printed page, and its lines.</summary>
internal static class PrintedText
{
    private static readonly SKTypeface Medium = Face("Archivo-Medium.ttf");
    private static readonly SKTypeface Bold = Face("Archivo-Bold.ttf");

    /// <summary>From one line to the next.</summary>
    public static float Step(float size) => size * 1.32f;

    /// <summary>The lines of a text; a word that is wider than its room is broken.</summary>
    public static IEnumerable<string> Wrapped(string text, SKFont font, float width)
    {
        var line = "";
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var longer = line.Length == 0 ? word : $"{line} {word}";
            if (font.MeasureText(longer) <= width)
            {
                line = longer;
                continue;
            }

            if (line.Length > 0)
            {
                yield return line;
            }

            line = word;
            while (font.MeasureText(line) > width && line.Length > 1)
            {
                var fits = Enumerable
                    .Range(1, line.Length - 1)
                    .Last(n => n == 1 || font.MeasureText(line[..n]) <= width);
                yield return line[..fits];
                line = line[fits..];
            }
        }

        if (line.Length > 0)
        {
            yield return line;
        }
    }

    /// <summary>Glyphs stand where the outline says, so that words come back whole from the text layer.</summary>
    public static SKFont Font(float size, bool bold) =>
        new(bold ? Bold : Medium, size)
        {
            Subpixel = true,
            LinearMetrics = true,
            Hinting = SKFontHinting.None,
        };

    private static SKTypeface Face(string name)
    {
        using var font = typeof(PrintedText).Assembly.GetManifestResourceStream(name)!;
        return SKTypeface.FromStream(font);
    }
}
