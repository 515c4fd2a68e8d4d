using System.Diagnostics.CodeAnalysis;
using Microsoft.AspNetCore.StaticFiles;

namespace Merganser.Web.Ui;

/// <summary>
/// The built files lie pressed beside themselves, as small as they can be made: a browser that takes them so is given
/// those, and nothing is pressed while it waits.
/// </summary>
public sealed class Pressed(RequestDelegate next, IWebHostEnvironment host)
{
    private const string Encoding = "br";
    private const string Ending = ".br";

    /// <summary>A pressed file is of the type of what is pressed in it.</summary>
    public static IContentTypeProvider Types { get; } = new TypeInside();

    public Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        if (
            request.Path.StartsWithSegments(UiPage.Built)
            && request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == Encoding && e.Quality != 0)
            && host.WebRootFileProvider.GetFileInfo(request.Path + Ending).Exists
        )
        {
            request.Path += Ending;
        }

        return next(context);
    }

    /// <summary>Says of a file that is served whether it is pressed.</summary>
    internal static void Say(HttpContext context)
    {
        context.Response.Headers.Vary = "Accept-Encoding";
        if (context.Request.Path.Value!.EndsWith(Ending, StringComparison.Ordinal))
        {
            context.Response.Headers.ContentEncoding = Encoding;
        }
    }

    private sealed class TypeInside : IContentTypeProvider
    {
        private readonly FileExtensionContentTypeProvider types = new();

        public bool TryGetContentType(string subpath, [MaybeNullWhen(false)] out string contentType) =>
            types.TryGetContentType(
                subpath.EndsWith(Ending, StringComparison.Ordinal) ? subpath[..^Ending.Length] : subpath,
                out contentType
            );
    }
}
