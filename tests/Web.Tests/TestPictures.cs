using System.Buffers.Binary;
using System.Text;
using SkiaSharp;

namespace Merganser.Web.Tests;

/// <summary>Files as cameras and mischief make them.</summary>
internal static class TestPictures
{
    /// <summary>What a camera writes into its files: who made it, and where it was.</summary>
    public const string Secret = "TheArchersOwnPhone 54.1234N";

    public static byte[] Drawn(int width, int height, SKEncodedImageFormat format = SKEncodedImageFormat.Jpeg)
    {
        using var bitmap = new SKBitmap(width, height);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.Beige);
        using var red = new SKPaint { Color = SKColors.Red };
        canvas.DrawRect(0, 0, width / 4f, height / 4f, red);
        using var data = bitmap.Encode(format, 90);
        return data.ToArray();
    }

    /// <summary>A JPEG with a segment as cameras write it: how it was held, its maker, and where it was.</summary>
    public static byte[] WithExif(byte[] jpeg, ushort orientation)
    {
        using var tiff = new MemoryStream();
        void Short(int value) => tiff.Write([(byte)(value >> 8), (byte)value]);
        void Long(int value)
        {
            Short(value >> 16);
            Short(value & 0xffff);
        }

        tiff.Write("MM"u8);
        Short(42);
        Long(8);
        Short(2);
        // Maker, ASCII, after the directory; orientation, short.
        Short(0x010f);
        Short(2);
        Long(Secret.Length + 1);
        Long(8 + 2 + 24 + 4);
        Short(0x0112);
        Short(3);
        Long(1);
        Short(orientation);
        Short(0);
        Long(0);
        tiff.Write(Encoding.ASCII.GetBytes(Secret + "\0"));
        byte[] body = [.. "Exif\0\0"u8, .. tiff.ToArray()];
        var length = new byte[2];
        BinaryPrimitives.WriteUInt16BigEndian(length, (ushort)(body.Length + 2));
        return [.. jpeg.AsSpan(0, 2), 0xff, 0xe1, .. length, .. body, .. jpeg.AsSpan(2)];
    }

    /// <summary>The check of a PNG chunk: ISO 3309, as RFC 2083 gives it.</summary>
    public static uint Crc(ReadOnlySpan<byte> bytes)
    {
        var crc = 0xffffffffu;
        foreach (var one in bytes)
        {
            crc ^= one;
            for (var bit = 0; bit < 8; bit++)
            {
                crc = (crc & 1) != 0 ? (crc >> 1) ^ 0xedb88320u : crc >> 1;
            }
        }

        return ~crc;
    }
}
