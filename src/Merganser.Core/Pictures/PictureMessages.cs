using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Pictures;

/// <summary>What of a bow a photograph shows.</summary>
public enum PictureOf
{
    /// <summary>The bow as it is.</summary>
    Bow,

    /// <summary>A set of shots: its paper or its target.</summary>
    Set,

    /// <summary>A check of the set-up sheet.</summary>
    Check,

    /// <summary>A note of the story.</summary>
    Note,

    /// <summary>A visit to the bench.</summary>
    Visit,
}

/// <summary>What is said of photographs.</summary>
public abstract record PictureMessage : Message;

/// <summary>How large a sheet in a photograph is, and what one pixel of it is.</summary>
public sealed record SheetPlaced(Measure Width, Measure Height, Measure Pixel) : PictureMessage;

/// <summary>A file is larger than is taken.</summary>
public sealed record PictureTooLarge(int Megabytes) : PictureMessage;

/// <summary>A photograph has more pixels than are read.</summary>
public sealed record PictureTooWide(int Megapixels) : PictureMessage;

/// <summary>What is said of photographs without any quantity.</summary>
public enum PictureSays
{
    Photograph,
    NotAPhotograph,
    Broken,
    FourCorners,
    CornersCross,
    TwoPresses,
    PressesTooNear,
    OutsideThePhotograph,
}
