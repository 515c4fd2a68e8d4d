using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Data;

/// <summary>The catalogue. It is read once and kept, since every figure asks for it.</summary>
public sealed class ComponentStore(Database database, TimeProvider clock)
{
    /// <summary>Most rows of one class that the bench's own lists hold; the rest are found in the catalogue.</summary>
    public const int MostListed = 500;

    private readonly Lock gate = new();
    private (IReadOnlyDictionary<string, ComponentRow> ById, IReadOnlyList<ComponentRow> Rows)? known;

    /// <summary>Every row in the order in which it was entered.</summary>
    public IReadOnlyList<ComponentRow> Rows() => Known().Rows;

    /// <summary>
    /// The catalogue of the bench: rows in use by nobody else than retired ones are left out, and each class is cut at
    /// <see cref="MostListed"/>.
    /// </summary>
    /// <param name="also">Parts to hold in any case: those of the arrow in work.</param>
    /// <param name="most">Rows of one class at the most.</param>
    public Catalogue All(IReadOnlyList<string>? also = null, int most = MostListed)
    {
        var (byId, rows) = Known();
        var wanted = (also ?? []).Where(byId.ContainsKey).Select(id => byId[id]).ToArray();
        return PartLists.Of(rows, wanted, most);
    }

    /// <summary>Only the named parts: what one arrow needs.</summary>
    public Catalogue Only(IReadOnlyList<string> ids)
    {
        var (byId, _) = Known();
        return PartLists.Of([], [.. ids.Where(byId.ContainsKey).Select(id => byId[id])], 0);
    }

    public ComponentRow Get(string id) =>
        Known().ById.TryGetValue(id, out var row) ? row : throw new MissingException("component");

    /// <summary>The parts of an arrow as the catalogue has them now; one that is gone is passed over.</summary>
    public IReadOnlyList<ComponentRow> Of(IReadOnlyList<string> ids)
    {
        var (byId, _) = Known();
        return [.. ids.Where(byId.ContainsKey).Select(id => byId[id])];
    }

    /// <summary>A shaft; null without an id, and for one that is none.</summary>
    public Shaft? ShaftOf(string? id) =>
        id is not null && Known().ById.TryGetValue(id, out var row) ? row.Part as Shaft : null;

    /// <summary>What the bench has of a part; nothing of one that is not there.</summary>
    public Stock StockOf(string id) => Known().ById.TryGetValue(id, out var row) ? row.Stock : Stock.None;

    /// <summary>Adds a part; the same part under the same id again changes nothing.</summary>
    /// <exception cref="IdTakenException">The id is already that of another part: adding never overwrites.</exception>
    public ComponentRow Add(string id, IComponent part, Stock stock)
    {
        if (Known().ById.TryGetValue(id, out var before))
        {
            return
                ComponentFacts.Of(before.Part) == ComponentFacts.Of(part)
                && before.Class == ComponentTable.ClassOf(part)
                && before.Stock == stock
                ? before
                : throw new IdTakenException("component");
        }

        Put([new StockedPart(id, part, stock)], default, null);
        return Get(id);
    }

    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ComponentRow Change(string id, int version, IComponent part, Stock stock)
    {
        var before = Get(id);
        if (before.Class != ComponentTable.ClassOf(part))
        {
            throw new RefusedException("class", ArrowSays.StaysWhatItIs);
        }

        return Edit(
            id,
            version,
            """
            UPDATE component SET maker = @Maker, name = @Name, facts = @facts, owned = @Owned, price = @Price,
            order_number = @OrderNumber, version = version + 1 WHERE id = @id AND version = @version
            """,
            new
            {
                id,
                version,
                part.Maker,
                part.Name,
                facts = ComponentFacts.Of(part),
                stock.Owned,
                stock.Price,
                stock.OrderNumber,
            }
        );
    }

    /// <summary>Takes a part out of the lists, or puts it back; arrows that have it keep it.</summary>
    public ComponentRow Retire(string id, int version, bool retired) =>
        Edit(
            id,
            version,
            "UPDATE component SET retired = @retired, version = version + 1 WHERE id = @id AND version = @version",
            new
            {
                id,
                version,
                retired,
            }
        );

    /// <exception cref="RefusedException">Some arrow is built with it.</exception>
    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public void Delete(string id, int version)
    {
        var row = Get(id);
        database.Write(sql =>
        {
            var users = sql.Query<string>(
                    "SELECT DISTINCT name FROM arrow WHERE @id IN (SELECT atom FROM json_tree(arrow.draft)) LIMIT 4",
                    new { id }
                )
                .ToArray();
            if (users.Length > 0)
            {
                throw new RefusedException("in-use", new PartInUse(row.Part.Name, users));
            }

            var isAt = sql.Scalar<int?>("SELECT version FROM component WHERE id = @id", new { id }) == version;
            var name = $"{row.Part.Maker} {row.Part.Name}".Trim();
            return isAt
                ? BinStore.Take(sql, BinKind.Component, id, name, null, clock.GetUtcNow())
                : throw new ChangedException("part", row);
        });
        Forget();
    }

    /// <summary>
    /// Adds and changes parts in one transaction; known ids are rewritten, others added. An id belongs to one class for
    /// good.
    /// </summary>
    /// <exception cref="RefusedException">An id is already that of a part of another class; nothing was
    /// written.</exception>
    /// <param name="parts">They.</param>
    /// <param name="cancel">Ends it with nothing written.</param>
    /// <param name="progress">Told how many are in.</param>
    public int Put(IReadOnlyList<StockedPart> parts, CancellationToken cancel, Action<int>? progress)
    {
        var (known, _) = Known();
        if (
            parts.FirstOrDefault(p =>
                known.TryGetValue(p.Id, out var row) && row.Class != ComponentTable.ClassOf(p.Part)
            ) is
            { Id: { } taken }
        )
        {
            throw RefusedException.At("id", "class", new IdOfAnother(taken, known[taken].Class));
        }

        var count = database.Write(sql =>
        {
            BinStore.EnteredAnew(sql, parts.Select(p => p.Id));
            using var command = sql.Command(
                """
                INSERT INTO component (id, class, maker, name, facts, owned, price, order_number)
                VALUES ($id, $class, $maker, $name, $facts, $owned, $price, $order)
                ON CONFLICT (id) DO UPDATE SET maker = $maker, name = $name, facts = $facts, owned = $owned,
                  price = $price, order_number = $order, version = version + 1
                WHERE class = $class AND (facts <> $facts OR owned IS NOT $owned OR price IS NOT $price
                  OR order_number IS NOT $order)
                """
            );
            var values = new[] { "$id", "$class", "$maker", "$name", "$facts", "$owned", "$price", "$order" }
                .Select(name =>
                {
                    var parameter = command.CreateParameter();
                    parameter.ParameterName = name;
                    command.Parameters.Add(parameter);
                    return parameter;
                })
                .ToArray();
            for (var i = 0; i < parts.Count; i++)
            {
                if (i % 500 == 0)
                {
                    cancel.ThrowIfCancellationRequested();
                    progress?.Invoke(i);
                }

                var (id, part, stock) = parts[i];
                values[0].Value = id;
                values[1].Value = FactsJson.Word(ComponentTable.ClassOf(part));
                values[2].Value = part.Maker;
                values[3].Value = part.Name;
                values[4].Value = ComponentFacts.Of(part);
                values[5].Value = (object?)stock.Owned ?? DBNull.Value;
                values[6].Value = (object?)stock.Price ?? DBNull.Value;
                values[7].Value = (object?)stock.OrderNumber ?? DBNull.Value;
                command.ExecuteNonQuery();
            }

            cancel.ThrowIfCancellationRequested();
            return parts.Count;
        });
        Forget();
        return count;
    }

    /// <summary>Fills an empty catalogue with the parts that ship with the application.</summary>
    public void StockIfEmpty(Catalogue starter)
    {
        if (Rows().Count > 0)
        {
            return;
        }

        Put(
            [
                .. Parts(starter.Shafts),
                .. Parts(starter.Inserts),
                .. Parts(starter.Points),
                .. Parts(starter.Nocks),
                .. Parts(starter.Vanes),
                .. Parts(starter.Wraps),
                .. Parts(starter.EndParts),
            ],
            default,
            null
        );

        static IEnumerable<StockedPart> Parts<T>(IReadOnlyList<Stocked<T>> stock)
            where T : class, IComponent => stock.Select(s => new StockedPart(s.Id, s.Part, Stock.None));
    }

    private ComponentRow Edit(string id, int version, string statement, object values)
    {
        var changed = database.Write(sql => sql.Execute(statement, values));
        Forget();
        var now = Get(id);
        return changed == 1 ? now : throw new ChangedException("component", now);
    }

    /// <summary>Reads the catalogue anew the next time.</summary>
    internal void Forget()
    {
        lock (gate)
        {
            known = null;
        }
    }

    private (IReadOnlyDictionary<string, ComponentRow> ById, IReadOnlyList<ComponentRow> Rows) Known()
    {
        lock (gate)
        {
            return known ??= Read();
        }
    }

    private (IReadOnlyDictionary<string, ComponentRow>, IReadOnlyList<ComponentRow>) Read()
    {
        var rows = database.Read(sql =>
            database.Unreadable.Each(
                "component",
                sql.Query<(
                    string Id,
                    string Class,
                    string Facts,
                    bool Retired,
                    int Version,
                    long? Owned,
                    double? Price,
                    string? OrderNumber
                )>(
                    "SELECT id, class, facts, retired, version, owned, price, order_number FROM component ORDER BY rowid"
                ),
                r => r.Id,
                r => new ComponentRow(
                    r.Id,
                    FactsJson.Enum<ComponentClass>(r.Class),
                    ComponentFacts.Part(r.Class, r.Facts),
                    r.Retired,
                    r.Version,
                    new Stock((int?)r.Owned, r.Price, r.OrderNumber)
                )
            )
        );
        return (rows.ToDictionary(r => r.Id), rows);
    }
}
