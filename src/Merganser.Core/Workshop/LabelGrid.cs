using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Workshop;

/// <summary>A sheet of labels of equal size on A4, millimetres.</summary>
/// <param name="Columns">Labels beside each other.</param>
/// <param name="Rows">Labels above each other.</param>
/// <param name="Width">Of a label.</param>
/// <param name="Height">Of a label.</param>
/// <param name="Left">From the paper's edge to the first one.</param>
/// <param name="Top">From the paper's edge to the first one.</param>
/// <param name="Across">From one label's left edge to the next one's.</param>
/// <param name="Down">From one label's top to the next one's.</param>
public sealed record LabelGrid(
    int Columns,
    int Rows,
    double Width,
    double Height,
    double Left,
    double Top,
    double Across,
    double Down
)
{
    /// <summary>Of the paper.</summary>
    public const double PaperWidth = 210;

    /// <summary>Of the paper.</summary>
    public const double PaperHeight = 297;

    /// <summary>Of a label, inside its edge.</summary>
    private const double Margin = 1.8;

    /// <summary>Printers leave so much of a sheet blank (common practice, no source).</summary>
    private const double Unreached = 5;

    /// <summary>Smallest label that holds a number and two lines.</summary>
    private const double Least = 10;

    private static readonly AllowedRange Many = new(1, 20, Unit.None, Why.LabelsOnASheet);
    private static readonly AllowedRange Wide = new(Least, PaperWidth, Unit.None, Why.LabelsOnASheet);
    private static readonly AllowedRange High = new(Least, PaperHeight, Unit.None, Why.LabelsOnASheet);
    private static readonly AllowedRange Edge = new(0, 100, Unit.None, Why.LabelsOnASheet);

    /// <summary>
    /// Grids that office shops sell for A4, by their columns and rows (sizes from memory; a ruler on the sheet tells).
    /// </summary>
    public static IReadOnlyDictionary<string, LabelGrid> Known { get; } =
        new Dictionary<string, LabelGrid>
        {
            ["3x8"] = Touching(3, 8, 70, 37),
            ["3x7"] = new(3, 7, 63.5, 38.1, 7.25, 15.15, 66, 38.1),
            ["3x9"] = Touching(3, 9, 70, 32),
            ["4x10"] = Touching(4, 10, 52.5, 29.7),
            ["5x13"] = new(5, 13, 38.1, 21.2, 4.75, 10.7, 40.6, 21.2),
            ["2x7"] = new(2, 7, 99.1, 38.1, 4.65, 15.15, 101.6, 38.1),
        };

    /// <summary>How many labels a sheet has.</summary>
    public int OnSheet => Columns * Rows;

    /// <summary>Left and top of a label, counted from 0 along the rows.</summary>
    public (double X, double Y) Place(int at) => (Left + (at % Columns * Across), Top + (at / Columns * Down));

    /// <summary>
    /// What of a label is written on, mm: inside its own margin, and where a printer reaches. A label at the paper's
    /// edge has less of it.
    /// </summary>
    public (double X, double Y, double Width, double Height) Inside(int at)
    {
        var (x, y) = Place(at);
        var (left, top) = (Math.Max(x + Margin, Unreached), Math.Max(y + Margin, Unreached));
        var right = Math.Min(x + Width - Margin, PaperWidth - Unreached);
        var bottom = Math.Min(y + Height - Margin, PaperHeight - Unreached);
        return (left, top, right - left, bottom - top);
    }

    /// <summary>Checks a grid of one's own.</summary>
    /// <exception cref="RefusedException">A size is out of its range, labels lie over each other or over the paper's
    /// edge; each field is named.</exception>
    public LabelGrid Checked()
    {
        var fields = new FieldReader();
        fields.Inside("columns", Columns, Many);
        fields.Inside("rows", Rows, Many);
        fields.Inside("width", Width, Wide);
        fields.Inside("height", Height, High);
        fields.Inside("left", Left, Edge);
        fields.Inside("top", Top, Edge);
        fields.Check(Columns == 1 || Across >= Width, "across", "geometry", WorkshopSays.LabelsOverlap);
        fields.Check(Rows == 1 || Down >= Height, "down", "geometry", WorkshopSays.LabelsOverlap);
        var (x, y) = (Left + ((Columns - 1) * Across), Top + ((Rows - 1) * Down));
        fields.Check(x + Width <= PaperWidth + 0.5, "columns", "geometry", WorkshopSays.LabelsBeyond);
        fields.Check(y + Height <= PaperHeight + 0.5, "rows", "geometry", WorkshopSays.LabelsBeyond);
        fields.ThrowIfAny();
        return this;
    }

    private static LabelGrid Touching(int columns, int rows, double width, double height) =>
        new(
            columns,
            rows,
            width,
            height,
            (PaperWidth - (columns * width)) / 2,
            (PaperHeight - (rows * height)) / 2,
            width,
            height
        );
}
