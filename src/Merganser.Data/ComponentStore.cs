using Dapper;
using Merganser.Core.Arrows;

namespace Merganser.Data;

/// <summary>A catalogue entry: its id and the part.</summary>
public sealed record Stocked<T>(string Id, T Part) where T : class;

/// <summary>The whole catalogue by class.</summary>
public sealed record Catalogue(
    IReadOnlyList<Stocked<Shaft>> Shafts, IReadOnlyList<Stocked<Insert>> Inserts, IReadOnlyList<Stocked<Point>> Points,
    IReadOnlyList<Stocked<Nock>> Nocks, IReadOnlyList<Stocked<Vane>> Vanes, IReadOnlyList<Stocked<Wrap>> Wraps)
{
    public int Count => Shafts.Count + Inserts.Count + Points.Count + Nocks.Count + Vanes.Count + Wraps.Count;
}

/// <summary>An arrow as it is being built: components by id, measures as typed.</summary>
public sealed record ArrowDraft(
    string Name, string ShaftId, string CutLength, string? InsertId, string PointId, string NockId, string? VaneId, int VaneCount,
    string VaneFront, string? WrapId, string Glue)
{
    /// <summary>The build with its components looked up.</summary>
    public ArrowEntry Entry(Catalogue catalogue) => new(
        Find(catalogue.Shafts, ShaftId), CutLength, Find(catalogue.Inserts, InsertId), Find(catalogue.Points, PointId), Find(catalogue.Nocks, NockId),
        Find(catalogue.Vanes, VaneId), VaneCount, VaneFront, Find(catalogue.Wraps, WrapId), Glue);

    private static T? Find<T>(IReadOnlyList<Stocked<T>> stock, string? id) where T : class => stock.FirstOrDefault(s => s.Id == id)?.Part;
}

public sealed class ComponentStore(Database database)
{
    private Catalogue? known;

    public Catalogue All() => known ??= database.Read(c =>
    {
        var rows = c.Query<(string Id, string Class, string Facts)>("SELECT id, class, facts FROM component ORDER BY rowid").ToLookup(r => r.Class);
        return new Catalogue(Of<Shaft>("shaft"), Of<Insert>("insert"), Of<Point>("point"), Of<Nock>("nock"), Of<Vane>("vane"), Of<Wrap>("wrap"));

        Stocked<T>[] Of<T>(string name) where T : class => [.. rows[name].Select(r => new Stocked<T>(r.Id, FactsJson.Read<T>(r.Facts)))];
    });

    /// <summary>Fills an empty catalogue with the parts that ship with the application.</summary>
    public void StockIfEmpty(Catalogue starter) => database.Write((c, t) =>
    {
        if (c.ExecuteScalar<long>("SELECT count(*) FROM component", transaction: t) > 0)
        {
            return 0;
        }

        Put("shaft", starter.Shafts, s => (s.Maker, s.Name));
        Put("insert", starter.Inserts, s => (s.Maker, s.Name));
        Put("point", starter.Points, s => (s.Maker, s.Name));
        Put("nock", starter.Nocks, s => (s.Maker, s.Name));
        Put("vane", starter.Vanes, s => (s.Maker, s.Name));
        Put("wrap", starter.Wraps, s => (s.Maker, s.Name));
        known = null;
        return starter.Count;

        void Put<T>(string name, IReadOnlyList<Stocked<T>> stock, Func<T, (string Maker, string Name)> label) where T : class
        {
            foreach (var item in stock)
            {
                var words = label(item.Part);
                c.Execute("INSERT INTO component (id, class, maker, name, facts) VALUES (@Id, @name, @maker, @called, @facts)",
                    new { item.Id, name, maker = words.Maker, called = words.Name, facts = FactsJson.Write(item.Part) }, t);
            }
        }
    });
}
