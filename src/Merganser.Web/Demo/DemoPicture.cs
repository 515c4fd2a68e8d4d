using Merganser.Core.Pictures;
using Merganser.Data;
using Merganser.Web.Pictures;
using SkiaSharp;

namespace Merganser.Web.Demo;

/// <summary>
/// What stands for a photograph in the demo: a sheet of A4 on a bench, seen aslant, with the tears of a set.
/// </summary>
internal static class DemoPicture
{
    private const int Width = 1600;
    private const int Height = 1200;
    private const float Across = 297 / 25.4f;
    private const float Down = 210 / 25.4f;
    private const float Hole = .13f;
    private const float Vane = .34f;

    private static readonly PhotoPoint[] Corners = [new(250, 180), new(1330, 110), new(1470, 1010), new(160, 930)];

    /// <summary>The sheet of a set as a phone saw it, and where it lies there.</summary>
    /// <param name="pictures">The pictures, with the day's clock.</param>
    /// <param name="id">Its id.</param>
    /// <param name="set">The set.</param>
    /// <param name="tears">Nock ends from their points' holes, inches.</param>
    public static void Keep(PictureStore pictures, string id, string set, IReadOnlyList<(double X, double Y)> tears)
    {
        const string caption = "Three bare shafts, 3 yd, cams as they came";
        pictures.Keep(new NewPicture(id, DemoIds.Whimbrel, PictureOf.Set, set, caption, OfPaper(tears)));
        pictures.Place(id, new SheetPresses(Corners, KnownSheet.A4, null, null, null));
    }

    private static PictureBytes OfPaper(IReadOnlyList<(double X, double Y)> tears)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(Width, Height, SKColorType.Rgba8888, SKAlphaType.Opaque));
        using var canvas = new SKCanvas(bitmap);
        Bench(canvas);
        var map = Homography.OfUnitSquare(Corners).Back.Larger(Across, Down).Back;
        canvas.SetMatrix(PictureReader.MatrixOf(map));
        using var paint = new SKPaint { IsAntialias = true, Color = new SKColor(60, 44, 30, 110) };
        canvas.DrawRect(new SKRect(.08f, .1f, Across + .14f, Down + .16f), paint);
        paint.Color = SKColors.White;
        paint.Shader = SKShader.CreateLinearGradient(
            new SKPoint(0, 0),
            new SKPoint(Across, Down),
            [new SKColor(246, 243, 233), new SKColor(219, 214, 199)],
            SKShaderTileMode.Clamp
        );
        canvas.DrawRect(new SKRect(0, 0, Across, Down), paint);
        paint.Shader = null;
        for (var i = 0; i < tears.Count; i++)
        {
            var at = new SKPoint(Across * (i + 1.2f) / (tears.Count + .8f), Down * (i % 2 == 0 ? .42f : .6f));
            Tear(canvas, paint, at, new SKPoint((float)tears[i].X, -(float)tears[i].Y));
        }

        using var jpeg = bitmap.Encode(SKEncodedImageFormat.Jpeg, 90);
        return PictureReader.Read(jpeg.ToArray());
    }

    private static void Bench(SKCanvas canvas)
    {
        using var paint = new SKPaint { IsAntialias = true };
        for (var (plank, y) = (0, 0f); y < Height; plank++, y += 170)
        {
            paint.Shader = SKShader.CreateLinearGradient(
                new SKPoint(0, y),
                new SKPoint(0, y + 170),
                [new SKColor((byte)(132 + (plank % 3 * 9)), 101, 70), new SKColor(108, 82, 57)],
                SKShaderTileMode.Clamp
            );
            canvas.DrawRect(0, y, Width, 167, paint);
        }
    }

    /// <summary>
    /// A hole where the point went in, torn to where the nock end went, with three slits of the vanes' bases.
    /// </summary>
    private static void Tear(SKCanvas canvas, SKPaint paint, SKPoint at, SKPoint tail)
    {
        paint.Style = SKPaintStyle.Fill;
        paint.Color = new SKColor(28, 22, 17);
        canvas.DrawCircle(at, Hole, paint);
        paint.Style = SKPaintStyle.Stroke;
        paint.StrokeWidth = Hole;
        paint.StrokeCap = SKStrokeCap.Round;
        canvas.DrawLine(at, at + tail, paint);
        paint.StrokeWidth = .035f;
        foreach (var angle in new[] { -90.0, 30, 150 })
        {
            var (sin, cos) = Math.SinCos(angle * Math.PI / 180);
            canvas.DrawLine(at + tail, at + tail + new SKPoint((float)cos * Vane, (float)sin * Vane), paint);
        }
    }
}
