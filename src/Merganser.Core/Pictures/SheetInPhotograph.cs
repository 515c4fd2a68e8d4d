using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Pictures;

/// <summary>A sheet whose size is known.</summary>
public enum KnownSheet
{
    /// <summary>ISO 216: 210 by 297 mm.</summary>
    A4,

    /// <summary>ISO 216: 297 by 420 mm.</summary>
    A3,

    /// <summary>ANSI/ASME Y14.1: 8.5 by 11 in.</summary>
    Letter,
}

/// <summary>What was pressed on a photograph: its sheet's corners, and a length that is known.</summary>
/// <param name="Corners">The sheet's corners: its upper left first, the others in any order; none for a photograph that
/// was taken straight on.</param>
/// <param name="Sheet">The sheet's size where it is known; needs its corners.</param>
/// <param name="From">One end of the known length.</param>
/// <param name="To">The other.</param>
/// <param name="Length">How long it is, inches, .25 to 60.</param>
public sealed record SheetPresses(
    IReadOnlyList<PhotoPoint> Corners,
    KnownSheet? Sheet,
    PhotoPoint? From,
    PhotoPoint? To,
    double? Length
);

/// <summary>A sheet as it lies in a photograph, squared and to scale.</summary>
/// <param name="Width">Inches across of what is seen of it.</param>
/// <param name="Height">Inches down.</param>
/// <param name="ToSheet">From pixels of the photograph to inches of the sheet, from its upper left.</param>
/// <param name="PixelInches">What one pixel of the photograph is where it is coarsest, inches.</param>
public sealed record SheetInPhotograph(double Width, double Height, Homography ToSheet, double PixelInches)
{
    private const double LeastSide = 40;
    private const double LeastLength = 20;
    private const double A4Short = 210 / Physical.MillimetresPerInch;
    private const double A4Long = 297 / Physical.MillimetresPerInch;
    private const double A3Long = 420 / Physical.MillimetresPerInch;
    private const double LetterShort = 8.5;
    private const double LetterLong = 11;

    /// <summary>Below this a sheet's opposite sides are parallel in the photograph: it was taken straight on.</summary>
    private const double Straight = 1e-4;

    /// <summary>Lengths that may stand for the scale.</summary>
    public static AllowedRange Lengths { get; } = new(.25, 60, "in", Why.Nothing);

    /// <summary>In words.</summary>
    public Message Words =>
        new SheetPlaced(Measure.Inches(Width, 1), Measure.Inches(Height, 1), Measure.Inches(PixelInches, 3));

    /// <summary>Reads what was pressed.</summary>
    /// <param name="width">Pixels of the photograph across.</param>
    /// <param name="height">Pixels down.</param>
    /// <param name="pressed">What was pressed on it.</param>
    /// <exception cref="RefusedException">It does not make a sheet to scale; the field says why.</exception>
    public static SheetInPhotograph Of(int width, int height, SheetPresses pressed)
    {
        Check(width, height, pressed);
        PhotoPoint[] whole = [new(0, 0), new(width, 0), new(width, height), new(0, height)];
        var corners = pressed.Corners.Count == 0 ? whole : Ordered(pressed.Corners);
        var ratio = pressed.Corners.Count == 0 ? (double)width / height : Ratio(corners, width, height);
        var (across, down) = pressed.Sheet is { } known ? SizeOf(known, ratio > 1) : (ratio, 1);
        var unscaled = Homography.OfUnitSquare(corners).Back.Larger(across, down);
        if (pressed.Sheet is null)
        {
            var scale = pressed.Length!.Value / unscaled.Of(pressed.From!.Value).To(unscaled.Of(pressed.To!.Value));
            (across, down) = (across * scale, down * scale);
            unscaled = unscaled.Larger(scale, scale);
        }

        var pixel = Enumerable
            .Range(0, corners.Length)
            .Max(i => (i % 2 == 0 ? across : down) / corners[i].To(corners[(i + 1) % corners.Length]));
        return new SheetInPhotograph(across, down, unscaled, pixel);
    }

    /// <summary>
    /// Width over height of a rectangle that is seen aslant. Source (from memory): Z. Zhang and L.-W. He, Whiteboard
    /// scanning and image enhancement, Digital Signal Processing 17 (2007), section 3: the camera's pixels are square
    /// and its axis meets the photograph's middle. Seen straight on it is the ratio of the sides.
    /// </summary>
    private static double Ratio(PhotoPoint[] corners, int width, int height)
    {
        // As the paper numbers them: upper left, upper right, lower left, lower right, from the middle.
        var unit = Math.Max(width, height) / 2.0;
        Vector Placed(PhotoPoint p) => new((p.X - (width / 2.0)) / unit, (p.Y - (height / 2.0)) / unit, 1);
        var (m1, m2, m3, m4) = (Placed(corners[0]), Placed(corners[1]), Placed(corners[3]), Placed(corners[2]));
        var k2 = m1.Cross(m4).Dot(m3) / m2.Cross(m4).Dot(m3);
        var k3 = m1.Cross(m4).Dot(m2) / m3.Cross(m4).Dot(m2);
        var (n2, n3) = (m2.Times(k2).Less(m1), m3.Times(k3).Less(m1));
        var far = n2.Z * n3.Z;
        var focal = -((n2.X * n3.X) + (n2.Y * n3.Y)) / far;
        var aslant = Math.Abs(far) > Straight && double.IsFinite(focal) && focal > Straight;
        var (fx, z) = aslant ? (focal, 1.0) : (1.0, 0.0);
        return Math.Sqrt(
            ((((n2.X * n2.X) + (n2.Y * n2.Y)) / fx) + (z * n2.Z * n2.Z))
                / ((((n3.X * n3.X) + (n3.Y * n3.Y)) / fx) + (z * n3.Z * n3.Z))
        );
    }

    /// <summary>The first stays the first; the others follow with the clock.</summary>
    private static PhotoPoint[] Ordered(IReadOnlyList<PhotoPoint> corners)
    {
        var middle = new PhotoPoint(corners.Average(c => c.X), corners.Average(c => c.Y));
        double Angle(PhotoPoint p) => Math.Atan2(p.Y - middle.Y, p.X - middle.X);
        var first = Angle(corners[0]);
        return [.. corners.OrderBy(c => ((Angle(c) - first) % Math.Tau + Math.Tau) % Math.Tau)];
    }

    private static (double Across, double Down) SizeOf(KnownSheet sheet, bool lies)
    {
        var (narrow, wide) = sheet switch
        {
            KnownSheet.A4 => (A4Short, A4Long),
            KnownSheet.A3 => (A4Long, A3Long),
            _ => (LetterShort, LetterLong),
        };
        return lies ? (wide, narrow) : (narrow, wide);
    }

    private static void Check(int width, int height, SheetPresses pressed)
    {
        var fields = new FieldReader();
        bool Lies(PhotoPoint p) => p.X >= 0 && p.Y >= 0 && p.X <= width && p.Y <= height;
        fields.Check(pressed.Corners.Count is 0 or 4, "corners", "count", PictureSays.FourCorners);
        fields.Check(pressed.Corners.All(Lies), "corners", "outside", PictureSays.OutsideThePhotograph);
        fields.Check(
            pressed.Corners.Count != 4 || IsConvex(pressed.Corners),
            "corners",
            "cross",
            PictureSays.CornersCross
        );
        fields.Check(pressed.Sheet is null || pressed.Corners.Count > 0, "corners", "missing", PictureSays.FourCorners);
        if (pressed.Sheet is null)
        {
            fields.Check(
                pressed.From is not null && pressed.To is not null,
                "length",
                "presses",
                PictureSays.TwoPresses
            );
            fields.Inside("length", pressed.Length ?? double.NaN, Lengths);
            if (pressed is { From: { } from, To: { } to })
            {
                fields.Check(Lies(from) && Lies(to), "length", "outside", PictureSays.OutsideThePhotograph);
                fields.Check(from.To(to) >= LeastLength, "length", "near", PictureSays.PressesTooNear);
            }
        }

        fields.ThrowIfAny();
    }

    /// <summary>Four corners turn one way all around, and none lies near another.</summary>
    private static bool IsConvex(IReadOnlyList<PhotoPoint> corners)
    {
        var c = Ordered(corners);
        return Enumerable
            .Range(0, c.Length)
            .All(i =>
            {
                var (a, b, d) = (c[i], c[(i + 1) % c.Length], c[(i + 2) % c.Length]);
                var turn = ((b.X - a.X) * (d.Y - b.Y)) - ((b.Y - a.Y) * (d.X - b.X));
                return a.To(b) >= LeastSide && turn > LeastSide * LeastSide / 4;
            });
    }

    private readonly record struct Vector(double X, double Y, double Z)
    {
        public Vector Cross(Vector o) => new((Y * o.Z) - (Z * o.Y), (Z * o.X) - (X * o.Z), (X * o.Y) - (Y * o.X));

        public double Dot(Vector o) => (X * o.X) + (Y * o.Y) + (Z * o.Z);

        public Vector Times(double by) => new(X * by, Y * by, Z * by);

        public Vector Less(Vector o) => new(X - o.X, Y - o.Y, Z - o.Z);
    }
}
