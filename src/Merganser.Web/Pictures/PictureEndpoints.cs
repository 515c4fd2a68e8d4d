using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Pictures;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Microsoft.AspNetCore.Mvc;

namespace Merganser.Web.Pictures;

/// <summary>A photograph of a bow.</summary>
/// <param name="Of">What it shows.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Sheet">The sheet in it; null while nobody said where it lies.</param>
public sealed record PictureView(
    string Id,
    PictureOf Of,
    string Caption,
    int Width,
    int Height,
    SheetView? Sheet,
    DateTimeOffset AddedAt
)
{
    /// <summary>As it is shown.</summary>
    public static PictureView Shown(Picture picture) =>
        new(
            picture.Id,
            picture.Of,
            picture.Caption,
            picture.Width,
            picture.Height,
            picture.Placed is null
                ? null
                : SheetView.Of(SheetInPhotograph.Of(picture.Width, picture.Height, picture.Placed)),
            picture.AddedAt
        );
}

/// <summary>A sheet in a photograph, squared.</summary>
/// <param name="Width">Inches across.</param>
/// <param name="Height">Inches down.</param>
/// <param name="Words">How large it is, and one pixel.</param>
public sealed record SheetView(double Width, double Height, Message Words)
{
    /// <summary>As it is shown.</summary>
    public static SheetView Of(SheetInPhotograph sheet) => new(sheet.Width, sheet.Height, sheet.Words);
}

/// <summary>What was pressed on a photograph, and the known length as typed.</summary>
public sealed record SheetInput(
    IReadOnlyList<PhotoPoint> Corners,
    KnownSheet? Sheet = null,
    PhotoPoint? From = null,
    PhotoPoint? To = null,
    string? Length = null
)
{
    /// <summary>Read.</summary>
    /// <exception cref="RefusedException">The length is none.</exception>
    public SheetPresses Read()
    {
        if (Sheet is not null)
        {
            return new SheetPresses(Corners, Sheet, null, null, null);
        }

        var fields = new FieldReader();
        var length = fields.Required("length", Length, Quantity.Length, SheetInPhotograph.Lengths);
        fields.ThrowIfAny();
        return new SheetPresses(Corners, null, From, To, length!.Value);
    }
}

public static class PictureEndpoints
{
    private const string Jpeg = "image/jpeg";

    public static void MapPictures(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{id}/pictures",
            (string id, string? of, string? ofId, PictureStore pictures) => List(pictures, id, Of(of), ofId)
        );
        api.MapPost(
                "/bows/{id}/pictures",
                async (
                    string id,
                    string pictureId,
                    string? of,
                    string? ofId,
                    string? caption,
                    HttpRequest request,
                    PictureStore pictures
                ) =>
                {
                    var key = ClientId.Checked(pictureId);
                    var said = Texts.Note(caption);
                    var bytes = PictureReader.Read(await Body(request));
                    return PictureView.Shown(pictures.Keep(new NewPicture(key, id, Of(of), ofId, said, bytes)));
                }
            )
            .Accepts<string>(Jpeg, "image/png", "image/webp")
            .WithMetadata(new RequestSizeLimitAttribute(PictureReader.MostBytes));
        api.MapGet(
                "/pictures/{id}/image.jpg",
                (string id, PictureStore pictures) => Results.File(pictures.Bytes(id, false), Jpeg)
            )
            .Produces(200, contentType: Jpeg);
        api.MapGet(
                "/pictures/{id}/thumbnail.jpg",
                (string id, PictureStore pictures) => Results.File(pictures.Bytes(id, true), Jpeg)
            )
            .Produces(200, contentType: Jpeg);
        api.MapGet(
                "/pictures/{id}/sheet.jpg",
                (string id, PictureStore pictures) =>
                {
                    var picture = pictures.Get(id);
                    var placed = picture.Placed ?? throw new MissingException("sheet");
                    return Results.File(
                        PictureReader.Sheet(
                            pictures.Bytes(id, false),
                            SheetInPhotograph.Of(picture.Width, picture.Height, placed)
                        ),
                        Jpeg
                    );
                }
            )
            .Produces(200, contentType: Jpeg);
        api.MapPost(
            "/pictures/{id}/sheet",
            (string id, SheetInput input, PictureStore pictures) => PictureView.Shown(pictures.Place(id, input.Read()))
        );
        api.MapDelete(
                "/pictures/{id}",
                (string id, PictureStore pictures) =>
                {
                    pictures.Bin(id);
                    return Results.NoContent();
                }
            )
            .Produces(204);
    }

    private static PictureOf Of(string? word) => KnownWord.Read<PictureOf>("of", word ?? "bow");

    private static IReadOnlyList<PictureView> List(PictureStore pictures, string bowId, PictureOf of, string? ofId) =>
        [.. pictures.Of(bowId, of, ofId).Select(PictureView.Shown)];

    /// <summary>All of what was sent, which is no more than is taken.</summary>
    private static async Task<byte[]> Body(HttpRequest request)
    {
        if (request.ContentLength > PictureReader.MostBytes)
        {
            throw RefusedException.At("file", "large", new PictureTooLarge(PictureReader.MostBytes / 1_000_000));
        }

        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes);
        return bytes.ToArray();
    }
}
