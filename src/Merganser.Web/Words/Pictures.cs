using Merganser.Core.Pictures;

namespace Merganser.Web.Words;

/// <summary>Photographs.</summary>
public static class PictureWords
{
    public static FormattableString Of(PictureMessage message) =>
        message switch
        {
            SheetPlaced(var width, var height, var pixel) =>
                $"What is seen of the sheet is {width} by {height}; one pixel of the photograph is {pixel} at most.",
            PictureTooLarge(var megabytes) => $"A photograph of {megabytes} MB at most is taken.",
            PictureTooWide(var megapixels) => $"A photograph of {megapixels} million pixels at most is taken.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(PictureSays says) =>
        says switch
        {
            PictureSays.Photograph => $"Photograph",
            PictureSays.NotAPhotograph => $"It is no JPEG, PNG or WebP file. Save it as one of these.",
            PictureSays.Broken => $"The file is damaged: it could not be read to its end.",
            PictureSays.FourCorners => $"Press the sheet’s four corners, its upper left first.",
            PictureSays.CornersCross =>
                $"These four are no corners of a sheet: two lie together, or it is seen from its edge.",
            PictureSays.TwoPresses => $"Press both ends of a length that you know.",
            PictureSays.PressesTooNear =>
                $"The two ends lie too near each other to give a scale. Take a longer length.",
            PictureSays.OutsideThePhotograph => $"A press lies outside the photograph.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
