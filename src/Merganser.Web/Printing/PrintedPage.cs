using SkiaSharp;

namespace Merganser.Web.Printing;

/// <summary>
/// A4 pages as PDF. What is written flows: text wraps and is never made smaller, a page that is full goes on as another
/// one, and words stay words in the text layer. Points from the top left.
/// </summary>
public sealed partial class PrintedPage : IDisposable
{
    public const float Width = 595.28f;
    public const float Height = 841.89f;
    public const float Margin = 42;

    /// <summary>Points in a millimetre.</summary>
    public const float Millimetre = 72 / 25.4f;

    /// <summary>Points in an inch.</summary>
    public const float Inch = 72;

    /// <summary>From edge to edge of what is written.</summary>
    public const float Across = Width - (2 * Margin);

    private const float Bottom = Height - 56;
    private const float FootSize = 8;
    private const float HeadingRoom = 64;

    private readonly MemoryStream stream = new();
    private readonly SKDocument document;
    private readonly string foot;
    private SKCanvas canvas;
    private int number = 1;

    /// <param name="title">The document's title.</param>
    /// <param name="made">When it was made.</param>
    /// <param name="foot">What stands at the foot of every page.</param>
    public PrintedPage(string title, DateTimeOffset made, string foot = "")
    {
        this.foot = foot;
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

    /// <summary>The page's name, with what it is on the line below.</summary>
    public void Title(string name, string what)
    {
        Y += 14;
        Paragraph(name, 20, true);
        Y += 2;
        Paragraph(what, 10);
        Y += 4;
    }

    /// <summary>Text over the whole width; moves down.</summary>
    public void Paragraph(string text, float size = 10, bool bold = false)
    {
        using var font = PrintedText.Font(size, bold);
        foreach (var line in PrintedText.Wrapped(text, font, Across))
        {
            Room(PrintedText.Step(size));
            Write(line, Margin, Y, font, SKTextAlign.Left);
            Y += PrintedText.Step(size);
        }
    }

    /// <summary>Writes at a place, as it stands: for labels and drawings.</summary>
    public void Text(string text, float x, float y, float size = 10, bool bold = false, bool right = false)
    {
        using var font = PrintedText.Font(size, bold);
        Write(text, x, y, font, right ? SKTextAlign.Right : SKTextAlign.Left);
    }

    /// <summary>Writes at a place, wrapped; gives back how many lines it took.</summary>
    public int Block(string text, float x, float y, float width, float size = 10, bool bold = false, int most = 99)
    {
        using var font = PrintedText.Font(size, bold);
        var lines = PrintedText.Wrapped(text, font, width).Take(most).ToArray();
        foreach (var (at, line) in lines.Index())
        {
            Write(line, x, y + (at * PrintedText.Step(size)), font, SKTextAlign.Left);
        }

        return lines.Length;
    }

    /// <summary>A heading with a rule above it, never the last thing on a page; moves down.</summary>
    public void Heading(string text)
    {
        Room(HeadingRoom);
        Y += 8;
        Rule(Y);
        Y += 18;
        Paragraph(text, 12, true);
        Y += 4;
    }

    /// <summary>A label with its value and a note; each wraps in its own column; moves down.</summary>
    public void Line(string label, string value, string note = "")
    {
        PrintedCell[] cells = [new(label, 170), new(value, 150, Bold: true), new(note, Across - 320)];
        Row(cells, 9.5f);
    }

    /// <summary>A table; its head stands again on every page that it goes on to.</summary>
    public void Table(IReadOnlyList<PrintedCell> head, IEnumerable<IReadOnlyList<string>> rows, float size = 10)
    {
        var headed = head.Select(c => c with { Bold = true, IsBox = false }).ToArray();
        Room(HeadingRoom);
        Head();
        foreach (var row in rows)
        {
            PrintedCell[] cells = [.. row.Zip(head, (text, column) => column with { Text = text, Bold = false })];
            if (!Fits(HeightOf(cells, size)))
            {
                Next();
                Y += 14;
                Head();
            }

            Row(cells, size);
        }

        void Head()
        {
            Row(headed, 9);
            Rule(Y - 9);
            Y += 4;
        }
    }

    /// <summary>Goes on at the head of another page when so much does not fit on this one.</summary>
    public void Room(float height)
    {
        if (!Fits(height))
        {
            Next();
            Y += 14;
        }
    }

    /// <summary>Goes on at the head of another page.</summary>
    public void Next()
    {
        Foot();
        document.EndPage();
        canvas = document.BeginPage(Width, Height);
        number++;
        Y = Margin;
    }

    /// <summary>The finished document.</summary>
    public byte[] Finish()
    {
        Foot();
        document.EndPage();
        document.Close();
        return stream.ToArray();
    }

    public void Dispose()
    {
        document.Dispose();
        stream.Dispose();
    }

    private bool Fits(float height) => Y + height <= Bottom;

    private void Foot()
    {
        using var font = PrintedText.Font(FootSize, false);
        var y = Height - 40;
        foreach (var line in PrintedText.Wrapped(foot, font, Across - 40))
        {
            Write(line, Margin, y, font, SKTextAlign.Left);
            y += PrintedText.Step(FootSize);
        }

        if (number > 1)
        {
            Write($"page {number}", Width - Margin, Height - 40, font, SKTextAlign.Right);
        }
    }

    private float HeightOf(IReadOnlyList<PrintedCell> cells, float size)
    {
        var most = 1;
        foreach (var cell in cells)
        {
            using var font = PrintedText.Font(size, cell.Bold);
            most = Math.Max(most, PrintedText.Wrapped(cell.Text, font, cell.Width - PrintedCell.Gap).Count());
        }

        return most * PrintedText.Step(size);
    }

    private void Row(IReadOnlyList<PrintedCell> cells, float size)
    {
        var height = HeightOf(cells, size);
        Room(height);
        var x = Margin;
        foreach (var cell in cells)
        {
            if (cell.IsBox)
            {
                Box(x, Y);
            }
            else if (cell.Right)
            {
                Text(cell.Text, x + cell.Width - PrintedCell.Gap, Y, size, cell.Bold, true);
            }
            else
            {
                Block(cell.Text, x, Y, cell.Width - PrintedCell.Gap, size, cell.Bold);
            }

            x += cell.Width;
        }

        Y += height + (size * 0.2f);
    }

    private void Write(string text, float x, float y, SKFont font, SKTextAlign align)
    {
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        canvas.DrawText(text, x, y, align, font, ink);
    }
}
