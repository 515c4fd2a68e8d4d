namespace Merganser.Core.Pictures;

/// <summary>A place in a photograph.</summary>
/// <param name="X">Pixels from its left edge.</param>
/// <param name="Y">Pixels from its upper edge, downwards.</param>
public readonly record struct PhotoPoint(double X, double Y)
{
    /// <summary>Pixels to another place.</summary>
    public double To(PhotoPoint other) => double.Hypot(other.X - X, other.Y - Y);
}

/// <summary>
/// A projective map of the plane: what a camera does to a flat sheet.
/// x' = (a x + b y + c) / (g x + h y + 1), y' = (d x + e y + f) / (g x + h y + 1).
/// </summary>
public sealed record Homography(double A, double B, double C, double D, double E, double F, double G, double H)
{
    /// <summary>
    /// The map of the unit square onto four corners, from (0, 0) by (1, 0) and (1, 1) to (0, 1). Source (from memory):
    /// P. S. Heckbert, Fundamentals of Texture Mapping and Image Warping, University of California, Berkeley, 1989,
    /// section 2.2.3.
    /// </summary>
    /// <param name="corners">Four, of a convex quadrilateral, in order.</param>
    public static Homography OfUnitSquare(IReadOnlyList<PhotoPoint> corners)
    {
        var (p0, p1, p2, p3) = (corners[0], corners[1], corners[2], corners[3]);
        var (dx1, dy1) = (p1.X - p2.X, p1.Y - p2.Y);
        var (dx2, dy2) = (p3.X - p2.X, p3.Y - p2.Y);
        var (sx, sy) = (p0.X - p1.X + p2.X - p3.X, p0.Y - p1.Y + p2.Y - p3.Y);
        var across = (dx1 * dy2) - (dx2 * dy1);
        var g = ((sx * dy2) - (dx2 * sy)) / across;
        var h = ((dx1 * sy) - (sx * dy1)) / across;
        return new Homography(
            p1.X - p0.X + (g * p1.X),
            p3.X - p0.X + (h * p3.X),
            p0.X,
            p1.Y - p0.Y + (g * p1.Y),
            p3.Y - p0.Y + (h * p3.Y),
            p0.Y,
            g,
            h
        );
    }

    /// <summary>Where a place goes.</summary>
    public PhotoPoint Of(PhotoPoint from)
    {
        var under = (G * from.X) + (H * from.Y) + 1;
        return new PhotoPoint(((A * from.X) + (B * from.Y) + C) / under, ((D * from.X) + (E * from.Y) + F) / under);
    }

    /// <summary>The way back: the inverse, by its adjugate.</summary>
    public Homography Back
    {
        get
        {
            var last = (A * E) - (B * D);
            return new Homography(
                (E - (F * H)) / last,
                ((C * H) - B) / last,
                ((B * F) - (C * E)) / last,
                ((F * G) - D) / last,
                (A - (C * G)) / last,
                ((C * D) - (A * F)) / last,
                ((D * H) - (E * G)) / last,
                ((B * G) - (A * H)) / last
            );
        }
    }

    /// <summary>The same with its target measured so many times as large.</summary>
    public Homography Larger(double across, double down) =>
        new(A * across, B * across, C * across, D * down, E * down, F * down, G, H);
}
