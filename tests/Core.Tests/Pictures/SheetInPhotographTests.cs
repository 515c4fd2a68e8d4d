using MathNet.Numerics.LinearAlgebra;
using Merganser.Core.Figures;
using Merganser.Core.Pictures;

namespace Merganser.Core.Tests.Pictures;

/// <summary>
/// Sheets seen aslant, against a camera of our own: places of a sheet in space are put through a pinhole, and what
/// comes back is held against the places. The map itself is held against a general-purpose solver of linear equations
/// (MathNet.Numerics).
/// </summary>
public class SheetInPhotographTests
{
    private const int Width = 2400;
    private const int Height = 1800;

    /// <summary>A pinhole whose axis meets the middle of the photograph.</summary>
    private sealed record Camera(double Focal, double Tilt, double Turn, double Roll, double Away)
    {
        /// <summary>Where a place of a sheet is seen, inches from the sheet's middle, down.</summary>
        public PhotoPoint Sees(double x, double y)
        {
            var ((st, ct), (su, cu), (sr, cr)) = (Math.SinCos(Tilt), Math.SinCos(Turn), Math.SinCos(Roll));
            var (x1, y1) = ((cr * x) - (sr * y), (sr * x) + (cr * y));
            var (y2, z2) = (ct * y1, st * y1);
            var (x3, z3) = ((cu * x1) + (su * z2), (-su * x1) + (cu * z2));
            var depth = Away + z3;
            return new PhotoPoint((Width / 2.0) + (Focal * x3 / depth) + 0, (Height / 2.0) + (Focal * y2 / depth));
        }

        public PhotoPoint[] Corners(double across, double down) =>
            [
                Sees(-across / 2, -down / 2),
                Sees(across / 2, -down / 2),
                Sees(across / 2, down / 2),
                Sees(-across / 2, down / 2),
            ];
    }

    private static readonly Camera[] Cameras =
    [
        new(2200, .5, .3, .1, 22),
        new(2200, -.4, .2, -.3, 20),
        new(1800, .1, -.7, 0, 25),
        new(3000, .9, .05, .2, 40),
        new(2600, .02, .03, 0, 24),
    ];

    public static TheoryData<int> Views => [.. Enumerable.Range(0, Cameras.Length)];

    [Theory]
    [MemberData(nameof(Views))]
    public void A_known_length_and_four_corners_give_a_sheet_seen_aslant_its_size_and_every_place(int view)
    {
        var camera = Cameras[view];
        var (across, down) = (15.5, 11.0);
        var (from, to) = (camera.Sees(-3, 2), camera.Sees(4, -1));
        var sheet = SheetInPhotograph.Of(
            Width,
            Height,
            new SheetPresses(camera.Corners(across, down), null, from, to, Math.Sqrt(49 + 9))
        );
        sheet.Width.ShouldBe(across, 1e-6);
        sheet.Height.ShouldBe(down, 1e-6);
        foreach (var (x, y) in new[] { (0.0, 0.0), (5, 4), (-6, 3.5), (1.25, -5) })
        {
            var at = sheet.ToSheet.Of(camera.Sees(x, y));
            at.X.ShouldBe(x + (across / 2), 1e-6);
            at.Y.ShouldBe(y + (down / 2), 1e-6);
        }
    }

    [Theory]
    [InlineData(KnownSheet.A4, 297 / 25.4, 210 / 25.4)]
    [InlineData(KnownSheet.A3, 420 / 25.4, 297 / 25.4)]
    [InlineData(KnownSheet.Letter, 11, 8.5)]
    public void A_sheet_of_known_size_needs_no_length_however_it_lies(KnownSheet known, double wide, double narrow)
    {
        var lying = Of(Cameras[0].Corners(wide, narrow), known);
        (lying.Width, lying.Height).ShouldBe((wide, narrow));
        var standing = Of(Cameras[0].Corners(narrow, wide), known);
        (standing.Width, standing.Height).ShouldBe((narrow, wide));
        lying.ToSheet.Of(Cameras[0].Sees(0, 0)).X.ShouldBe(wide / 2, 1e-9);
    }

    [Fact]
    public void Taken_straight_on_only_the_scale_is_needed()
    {
        PhotoPoint[] none = [];
        var sheet = SheetInPhotograph.Of(
            Width,
            Height,
            new SheetPresses(none, null, new PhotoPoint(100, 300), new PhotoPoint(400, 700), 5)
        );
        // 500 pixels are five inches.
        (sheet.Width, sheet.Height).ShouldBe((24, 18));
        sheet.PixelInches.ShouldBe(.01, 1e-12);
        var corners = new PhotoPoint[] { new(200, 100), new(1700, 100), new(1700, 1100), new(200, 1100) };
        var squared = Of(corners, null, new PhotoPoint(200, 600), new PhotoPoint(1700, 600), 15);
        squared.Width.ShouldBe(15, 1e-9);
        squared.Height.ShouldBe(10, 1e-9);
    }

    /// <summary>The first press is the upper left; the others may be pressed in any order.</summary>
    [Fact]
    public void Corners_are_sorted_with_the_clock_from_the_first()
    {
        var c = Cameras[1].Corners(12, 9);
        foreach (var order in new[] { (1, 2, 3), (3, 2, 1), (2, 1, 3), (3, 1, 2) })
        {
            var sheet = Of([c[0], c[order.Item1], c[order.Item2], c[order.Item3]], KnownSheet.A4);
            sheet.ToSheet.Of(c[1]).X.ShouldBe(297 / 25.4, 1e-9);
            sheet.ToSheet.Of(c[1]).Y.ShouldBe(0, 1e-9);
        }
    }

    [Theory]
    [MemberData(nameof(Views))]
    public void The_map_is_the_one_that_eight_linear_equations_have(int view)
    {
        var seen = Cameras[view].Corners(10, 7);
        (double X, double Y)[] unit = [(0, 0), (1, 0), (1, 1), (0, 1)];
        var equations = Matrix<double>.Build.Dense(8, 8);
        var right = Vector<double>.Build.Dense(8);
        for (var i = 0; i < 4; i++)
        {
            var ((x, y), p) = (unit[i], seen[i]);
            equations.SetRow(2 * i, [x, y, 1, 0, 0, 0, -x * p.X, -y * p.X]);
            equations.SetRow((2 * i) + 1, [0, 0, 0, x, y, 1, -x * p.Y, -y * p.Y]);
            (right[2 * i], right[(2 * i) + 1]) = (p.X, p.Y);
        }

        var solved = equations.Solve(right);
        var map = Homography.OfUnitSquare(seen);
        double[] ours = [map.A, map.B, map.C, map.D, map.E, map.F, map.G, map.H];
        for (var i = 0; i < ours.Length; i++)
        {
            ours[i].ShouldBe(solved[i], 1e-8 * Math.Max(1, Math.Abs(solved[i])));
        }
    }

    /// <summary>A corner that is pressed three pixels off moves a tear by no more than that.</summary>
    [Fact]
    public void A_press_that_is_a_little_off_moves_what_is_read_a_little()
    {
        var camera = Cameras[0];
        var c = camera.Corners(297 / 25.4, 210 / 25.4);
        var off = Of([new(c[0].X + 3, c[0].Y - 2), c[1], c[2], c[3]], KnownSheet.A4);
        var (point, tail) = (off.ToSheet.Of(camera.Sees(1, 1)), off.ToSheet.Of(camera.Sees(-.2, 1.1)));
        (tail.X - point.X).ShouldBe(-1.2, .015);
        (tail.Y - point.Y).ShouldBe(.1, .015);
    }

    public static TheoryData<string, string> Nonsense =>
        new()
        {
            { "three", "corners" },
            { "twice", "corners" },
            { "bow tie", "corners" },
            { "outside", "corners" },
            { "sheet without corners", "corners" },
            { "no length", "length" },
            { "too long", "length" },
            { "one press", "length" },
            { "near", "length" },
        };

    [Theory]
    [MemberData(nameof(Nonsense))]
    public void What_makes_no_sheet_is_refused_beside_its_field(string what, string field)
    {
        PhotoPoint[] square = [new(100, 100), new(900, 100), new(900, 700), new(100, 700)];
        PhotoPoint? from = new(200, 200);
        PhotoPoint? to = new(800, 200);
        var pressed = what switch
        {
            "three" => new SheetPresses(square[..3], KnownSheet.A4, null, null, null),
            "twice" => new SheetPresses([square[0], square[1], square[1], square[3]], KnownSheet.A4, null, null, null),
            "bow tie" => new SheetPresses(
                [square[0], square[1], new(101, 110), square[3]],
                KnownSheet.A4,
                null,
                null,
                null
            ),
            "outside" => new SheetPresses([new(-1, 5), .. square[1..]], KnownSheet.A4, null, null, null),
            "sheet without corners" => new SheetPresses([], KnownSheet.A4, null, null, null),
            "no length" => new SheetPresses(square, null, from, to, null),
            "too long" => new SheetPresses(square, null, from, to, 61),
            "one press" => new SheetPresses(square, null, from, null, 5),
            _ => new SheetPresses(square, null, from, new PhotoPoint(210, 205), 5),
        };
        var refused = Should.Throw<RefusedException>(() => SheetInPhotograph.Of(Width, Height, pressed));
        refused.Problems.ShouldAllBe(p => p.Field == field);
    }

    private static SheetInPhotograph Of(
        IReadOnlyList<PhotoPoint> corners,
        KnownSheet? known,
        PhotoPoint? from = null,
        PhotoPoint? to = null,
        double? length = null
    ) => SheetInPhotograph.Of(Width, Height, new SheetPresses(corners, known, from, to, length));
}
