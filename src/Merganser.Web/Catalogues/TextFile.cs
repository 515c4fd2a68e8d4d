using System.Text;

namespace Merganser.Web.Catalogues;

/// <summary>How a file's letters were read.</summary>
public enum TextEncoding
{
    Utf8,
    Utf16,

    /// <summary>What spreadsheets of western Europe still write; a guess, for a person to look at.</summary>
    Windows1252,
}

/// <summary>
/// A file of text in whatever encoding it came: UTF-8 or UTF-16, with or without a mark, else Windows-1252.
/// </summary>
/// <param name="Text">Its text.</param>
/// <param name="Encoding">How it was read.</param>
public sealed record TextFile(string Text, TextEncoding Encoding)
{
    /// <summary>So much of a file tells whether its every other byte is zero.</summary>
    private const int Looked = 512;

    private static readonly Encoding Western = CodePagesEncodingProvider.Instance.GetEncoding(1252)!;

    public static TextFile Of(byte[] bytes) =>
        bytes switch
        {
            [0xFF, 0xFE, ..] => new(System.Text.Encoding.Unicode.GetString(bytes.AsSpan(2)), TextEncoding.Utf16),
            [0xFE, 0xFF, ..] => new(
                System.Text.Encoding.BigEndianUnicode.GetString(bytes.AsSpan(2)),
                TextEncoding.Utf16
            ),
            _ when ZerosAt(bytes, 1) => new(System.Text.Encoding.Unicode.GetString(bytes), TextEncoding.Utf16),
            _ when ZerosAt(bytes, 0) => new(System.Text.Encoding.BigEndianUnicode.GetString(bytes), TextEncoding.Utf16),
            [0xEF, 0xBB, 0xBF, .. var rest] => Utf8(rest),
            _ => Utf8(bytes),
        };

    private static TextFile Utf8(byte[] bytes)
    {
        try
        {
            return new TextFile(new UTF8Encoding(false, true).GetString(bytes), TextEncoding.Utf8);
        }
        catch (DecoderFallbackException)
        {
            return new TextFile(Western.GetString(bytes), TextEncoding.Windows1252);
        }
    }

    /// <summary>True when most of every other byte is zero and no other is: Latin letters in UTF-16.</summary>
    private static bool ZerosAt(byte[] bytes, int first)
    {
        var looked = bytes.Take(Looked).ToArray();
        var zeros = looked.Where((b, i) => i % 2 == first && b == 0).Count();
        return zeros > looked.Length / 4 && !looked.Where((b, i) => i % 2 != first && b == 0).Any();
    }
}
