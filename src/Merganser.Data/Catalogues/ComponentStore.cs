using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Data;

/// <summary>The catalogue. It is read once and kept, since every figure asks for it.</summary>
public sealed class ComponentStore(Database database)
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
        return new Catalogue(
            Of<Shaft>(ComponentClass.Shaft),
            Of<Insert>(ComponentClass.Insert),
            Of<Point>(ComponentClass.Point),
            Of<Nock>(ComponentClass.Nock),
            Of<Vane>(ComponentClass.Vane),
            Of<Wrap>(ComponentClass.Wrap)
        );

        Stocked<T>[] Of<T>(ComponentClass kind)
            where T : class, IComponent =>
            [
                .. rows.Where(r => r.Class == kind && !r.Retired)
                    .Take(most)
                    .Concat(wanted.Where(r => r.Class == kind))
                    .DistinctBy(r => r.Id)
                    .Select(r => new Stocked<T>(r.Id, (T)r.Part, r.Retired)),
            ];
    }

    /// <summary>Only the named parts: what one arrow needs.</summary>
    public Catalogue Only(IReadOnlyList<string> ids)
    {
        var (byId, _) = Known();
        var rows = ids.Where(byId.ContainsKey).Select(id => byId[id]).ToArray();
        return new Catalogue(Of<Shaft>(), Of<Insert>(), Of<Point>(), Of<Nock>(), Of<Vane>(), Of<Wrap>());

        Stocked<T>[] Of<T>()
            where T : class, IComponent =>
            [.. rows.Where(r => r.Part is T).Select(r => new Stocked<T>(r.Id, (T)r.Part))];
    }

    public ComponentRow Get(string id) =>
        Known().ById.TryGetValue(id, out var row) ? row : throw new MissingException("component");

    /// <summary>Adds a part; the same part under the same id again changes nothing.</summary>
    /// <exception cref="IdTakenException">The id is already that of another part: adding never overwrites.</exception>
    public ComponentRow Add(string id, IComponent part)
    {
        if (Known().ById.TryGetValue(id, out var before))
        {
            return Facts(before.Part) == Facts(part) && before.Class == ComponentTable.ClassOf(part)
                ? before
                : throw new IdTakenException("component");
        }

        Put([(id, part)], default, null);
        return Get(id);
    }

    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ComponentRow Change(string id, int version, IComponent part)
    {
        var before = Get(id);
        if (before.Class != ComponentTable.ClassOf(part))
        {
            throw new RefusedException("class", ArrowSays.StaysWhatItIs);
        }

        return Edit(
            id,
            version,
            "UPDATE component SET maker = @Maker, name = @Name, facts = @facts, version = version + 1 WHERE id = @id AND version = @version",
            new
            {
                id,
                version,
                part.Maker,
                part.Name,
                facts = Facts(part),
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
                    "SELECT DISTINCT name FROM arrow WHERE @id IN (SELECT value FROM json_each(arrow.draft)) LIMIT 4",
                    new { id }
                )
                .ToArray();
            if (users.Length > 0)
            {
                throw new RefusedException("in-use", new PartInUse(row.Part.Name, users));
            }

            var gone = sql.Execute("DELETE FROM component WHERE id = @id AND version = @version", new { id, version });
            return gone == 1 ? gone : throw new ChangedException("part", row);
        });
        Forget();
    }

    /// <summary>
    /// Adds and changes parts in one transaction; known ids are rewritten, others added. An id belongs to one class for
    /// good.
    /// </summary>
    /// <exception cref="RefusedException">An id is already that of a part of another class; nothing was
    /// written.</exception>
    /// <param name="parts">Id and part.</param>
    /// <param name="cancel">Ends it with nothing written.</param>
    /// <param name="progress">Told how many are in.</param>
    public int Put(IReadOnlyList<(string Id, IComponent Part)> parts, CancellationToken cancel, Action<int>? progress)
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
            using var command = sql.Command(
                """
                INSERT INTO component (id, class, maker, name, facts) VALUES ($id, $class, $maker, $name, $facts)
                ON CONFLICT (id) DO UPDATE SET maker = $maker, name = $name, facts = $facts, version = version + 1
                WHERE facts <> $facts AND class = $class
                """
            );
            var values = new[] { "$id", "$class", "$maker", "$name", "$facts" }
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

                var (id, part) = parts[i];
                values[0].Value = id;
                values[1].Value = FactsJson.Word(ComponentTable.ClassOf(part));
                values[2].Value = part.Maker;
                values[3].Value = part.Name;
                values[4].Value = Facts(part);
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
            ],
            default,
            null
        );

        static IEnumerable<(string, IComponent)> Parts<T>(IReadOnlyList<Stocked<T>> stock)
            where T : class, IComponent => stock.Select(s => (s.Id, (IComponent)s.Part));
    }

    private ComponentRow Edit(string id, int version, string statement, object values)
    {
        var changed = database.Write(sql => sql.Execute(statement, values));
        Forget();
        var now = Get(id);
        return changed == 1 ? now : throw new ChangedException("component", now);
    }

    private void Forget()
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
                sql.Query<(string Id, string Class, string Facts, bool Retired, int Version)>(
                    "SELECT id, class, facts, retired, version FROM component ORDER BY rowid"
                ),
                r => r.Id,
                r => new ComponentRow(
                    r.Id,
                    FactsJson.Enum<ComponentClass>(r.Class),
                    Part(r.Class, r.Facts),
                    r.Retired,
                    r.Version
                )
            )
        );
        return (rows.ToDictionary(r => r.Id), rows);
    }

    private static IComponent Part(string kind, string facts) =>
        FactsJson.Enum<ComponentClass>(kind) switch
        {
            ComponentClass.Shaft => Kept.Read<Shaft>(facts),
            ComponentClass.Insert => Kept.Read<Insert>(facts),
            ComponentClass.Point => Kept.Read<Point>(facts),
            ComponentClass.Nock => Kept.Read<Nock>(facts),
            ComponentClass.Vane => Kept.Read<Vane>(facts),
            _ => Kept.Read<Wrap>(facts),
        };

    private static string Facts(IComponent part) =>
        part switch
        {
            Shaft s => Kept.Write(s),
            Insert i => Kept.Write(i),
            Point p => Kept.Write(p),
            Nock n => Kept.Write(n),
            Vane v => Kept.Write(v),
            _ => Kept.Write((Wrap)part),
        };
}
