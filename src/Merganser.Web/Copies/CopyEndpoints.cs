using Merganser.Data;

namespace Merganser.Web.Copies;

/// <summary>Where the data lie, and their copies.</summary>
/// <param name="File">The data file.</param>
/// <param name="Bytes">How large it is, its log with it.</param>
/// <param name="Folder">Where the copies lie.</param>
/// <param name="DailyKept">So many daily copies are kept.</param>
/// <param name="Copies">They, the newest first.</param>
public sealed record CopiesView(string File, long Bytes, string Folder, int DailyKept, IReadOnlyList<DataCopy> Copies)
{
    /// <summary>As they are now.</summary>
    public static CopiesView Of(Database database, DataCopies copies)
    {
        var file = Path.GetFullPath(database.Path);
        var bytes = new[] { file, $"{file}-wal" }.Where(System.IO.File.Exists).Sum(f => new FileInfo(f).Length);
        return new CopiesView(file, bytes, copies.Folder, DataCopies.DailyKept, copies.All());
    }
}

public static class CopyEndpoints
{
    public static void MapCopies(this IEndpointRouteBuilder api)
    {
        api.MapGet("/copies", (Database database, DataCopies copies) => CopiesView.Of(database, copies));
        api.MapPost(
            "/copies",
            (Database database, DataCopies copies) =>
            {
                copies.Make();
                return CopiesView.Of(database, copies);
            }
        );
        api.MapGet(
                "/copies/{name}",
                (string name, DataCopies copies) =>
                    Results.File(copies.PathOf(name), "application/vnd.sqlite3", $"merganser-{name}")
            )
            .Produces(200, contentType: "application/vnd.sqlite3");
    }
}
