using Merganser.Core.Figures;
using Merganser.Core.Pictures;
using Merganser.Data;
using SkiaSharp;

namespace Merganser.Web.Pictures;

/// <summary>
/// Photographs as they come and as they are kept: decoded, turned upright, bounded and written anew as JPEG. Nothing
/// but pixels goes over: where it was taken, when and with what stays out.
/// </summary>
public static class PictureReader
{
    /// <summary>The largest file that is taken.</summary>
    public const int MostBytes = 25 * Million;

    private const int Million = 1_000_000;
    private const int MostPixels = 64 * Million;
    private const int Longest = 2400;
    private const int LongestSmall = 320;
    private const int LongestSheet = 2000;
    private const int Quality = 86;
    private const int FarFromSheet = 4;

    /// <summary>Reads a photograph.</summary>
    /// <param name="file">JPEG, PNG or WebP.</param>
    /// <exception cref="RefusedException">It is none of these, damaged or too large.</exception>
    public static PictureBytes Read(byte[] file)
    {
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        var isKnown =
            codec?.EncodedFormat is SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Png or SKEncodedImageFormat.Webp;
        if (codec is null || !isKnown)
        {
            throw RefusedException.At("file", "kind", PictureSays.NotAPhotograph);
        }

        if ((long)codec.Info.Width * codec.Info.Height > MostPixels)
        {
            throw RefusedException.At("file", "pixels", new PictureTooWide(MostPixels / Million));
        }

        using var raw = Decoded(codec);
        using var upright = Upright(raw, codec.EncodedOrigin);
        using var whole = Within(upright, Longest);
        using var small = Within(upright, LongestSmall);
        return new PictureBytes(whole.Width, whole.Height, Jpeg(whole), Jpeg(small));
    }

    /// <summary>The sheet of a photograph, squared and to scale: as many pixels to the inch across as down.</summary>
    public static byte[] Sheet(byte[] image, SheetInPhotograph sheet)
    {
        using var photograph = SKBitmap.Decode(image);
        var perInch = Math.Min(
            1 / sheet.PixelInches * FarFromSheet,
            LongestSheet / Math.Max(sheet.Width, sheet.Height)
        );
        var map = sheet.ToSheet.Larger(perInch, perInch);
        using var bitmap = New((int)Math.Ceiling(sheet.Width * perInch), (int)Math.Ceiling(sheet.Height * perInch));
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.White);
        canvas.SetMatrix(MatrixOf(map));
        Draw(canvas, photograph, photograph.Width, photograph.Height);
        return Jpeg(bitmap);
    }

    /// <summary>A map as it is drawn with.</summary>
    internal static SKMatrix MatrixOf(Homography map) =>
        new(
            (float)map.A,
            (float)map.B,
            (float)map.C,
            (float)map.D,
            (float)map.E,
            (float)map.F,
            (float)map.G,
            (float)map.H,
            1
        );

    private static SKBitmap Decoded(SKCodec codec)
    {
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        // A JPEG is decoded smaller where it is far larger than is kept.
        var size = codec.GetScaledDimensions(Math.Min(1, 2f * Longest / Math.Max(width, height)));
        var bitmap = New(size.Width, size.Height);
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) == SKCodecResult.Success)
        {
            return bitmap;
        }

        bitmap.Dispose();
        throw RefusedException.At("file", "broken", PictureSays.Broken);
    }

    private static SKBitmap Upright(SKBitmap raw, SKEncodedOrigin origin)
    {
        var (w, h) = ((float)raw.Width, (float)raw.Height);
        var turn = origin switch
        {
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
            _ => SKMatrix.Identity,
        };
        var lies = turn.ScaleX == 0;
        var bitmap = New(lies ? raw.Height : raw.Width, lies ? raw.Width : raw.Height);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.White);
        canvas.SetMatrix(turn);
        Draw(canvas, raw, raw.Width, raw.Height);
        return bitmap;
    }

    private static SKBitmap Within(SKBitmap whole, int longest)
    {
        var scale = Math.Min(1, (double)longest / Math.Max(whole.Width, whole.Height));
        var bitmap = New(
            Math.Max(1, (int)Math.Round(whole.Width * scale)),
            Math.Max(1, (int)Math.Round(whole.Height * scale))
        );
        using var canvas = new SKCanvas(bitmap);
        Draw(canvas, whole, bitmap.Width, bitmap.Height);
        return bitmap;
    }

    private static void Draw(SKCanvas canvas, SKBitmap bitmap, int width, int height)
    {
        using var image = SKImage.FromBitmap(bitmap);
        canvas.DrawImage(
            image,
            new SKRect(0, 0, width, height),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
    }

    private static SKBitmap New(int width, int height) =>
        new(new SKImageInfo(width, height, SKColorType.Rgba8888, SKAlphaType.Premul, SKColorSpace.CreateSrgb()));

    private static byte[] Jpeg(SKBitmap bitmap)
    {
        using var data = bitmap.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return data.ToArray();
    }
}
