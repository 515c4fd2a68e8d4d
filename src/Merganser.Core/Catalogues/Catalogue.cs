using System.Text.Json.Serialization;
using Merganser.Core.Arrows;

namespace Merganser.Core.Catalogues;

/// <summary>A catalogue entry.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Part">The part.</param>
/// <param name="Retired">True for one that is picked no more.</param>
public sealed record Stocked<T>(string Id, T Part, bool Retired = false)
    where T : class;

/// <summary>The catalogue by class, as parts are picked from it.</summary>
public sealed record Catalogue(
    IReadOnlyList<Stocked<Shaft>> Shafts,
    IReadOnlyList<Stocked<Insert>> Inserts,
    IReadOnlyList<Stocked<Point>> Points,
    IReadOnlyList<Stocked<Nock>> Nocks,
    IReadOnlyList<Stocked<Vane>> Vanes,
    IReadOnlyList<Stocked<Wrap>> Wraps,
    IReadOnlyList<Stocked<EndPart>> EndParts
)
{
    /// <summary>Parts in all.</summary>
    public int Count =>
        Shafts.Count + Inserts.Count + Points.Count + Nocks.Count + Vanes.Count + Wraps.Count + EndParts.Count;
}

/// <summary>An arrow as it is being built: components by id, measures as typed.</summary>
public sealed record ArrowDraft(
    string Name,
    string ShaftId,
    string CutLength,
    string? InsertId,
    string PointId,
    string NockId,
    string? VaneId,
    int VaneCount,
    string VaneFront,
    string? WrapId,
    string Glue,
    int InsertBroken = 0,
    int PointBroken = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] IReadOnlyList<string>? EndPartIds = null
)
{
    /// <summary>The build with its components looked up.</summary>
    public ArrowEntry Entry(Catalogue catalogue) =>
        new(
            Find(catalogue.Shafts, ShaftId),
            CutLength,
            Find(catalogue.Inserts, InsertId),
            Find(catalogue.Points, PointId),
            Find(catalogue.Nocks, NockId),
            Find(catalogue.Vanes, VaneId),
            VaneCount,
            VaneFront,
            Find(catalogue.Wraps, WrapId),
            Glue,
            InsertBroken,
            PointBroken,
            [.. (EndPartIds ?? []).Select(id => Find(catalogue.EndParts, id))]
        );

    /// <summary>The components it is built from.</summary>
    public IReadOnlyList<string> Parts() =>
        [.. new[] { ShaftId, InsertId, PointId, NockId, VaneId, WrapId }.Concat(EndPartIds ?? []).OfType<string>()];

    private static T? Find<T>(IReadOnlyList<Stocked<T>> stock, string? id)
        where T : class => stock.FirstOrDefault(s => s.Id == id)?.Part;
}
