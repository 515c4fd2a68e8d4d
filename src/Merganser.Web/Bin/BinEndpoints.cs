using Merganser.Data;

namespace Merganser.Web.Bin;

/// <summary>What lies in the bin, the newest first.</summary>
/// <param name="Days">So long a thing lies there.</param>
/// <param name="Things">They.</param>
public sealed record BinView(int Days, IReadOnlyList<Binned> Things)
{
    /// <summary>As it is now.</summary>
    public static BinView Of(BinStore bin) => new((int)BinStore.Kept.TotalDays, bin.All());
}

public static class BinEndpoints
{
    public static void MapBin(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bin", (BinStore bin) => BinView.Of(bin));
        api.MapPost(
            "/bin/{kind}/{id}/put-back",
            (string kind, string id, BinStore bin) =>
            {
                bin.PutBack(Kind(kind), id);
                return BinView.Of(bin);
            }
        );
        api.MapPost(
            "/bin/{kind}/{id}/erase",
            (string kind, string id, BinStore bin) =>
            {
                bin.Erase(Kind(kind), id);
                return BinView.Of(bin);
            }
        );
    }

    private static BinKind Kind(string word) => Guard.KnownWord.Read<BinKind>("kind", word);
}
