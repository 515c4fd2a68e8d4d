using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Visits;

namespace Merganser.Data;

/// <summary>What parts that came over from other bows bring onto a bow's record.</summary>
public sealed class CarriedStore(Database database, TimeProvider clock)
{
    /// <summary>What the parts that were carried over would change on the bow, by their lines.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<CarriedFact>> Brings(string bowId, IEnumerable<VisitLine> lines)
    {
        var carried = lines.Where(l => l is { Carried: not null, FromBowId: not null }).ToArray();
        return carried.Length == 0
            ? new Dictionary<string, IReadOnlyList<CarriedFact>>()
            : database.Read(sql =>
            {
                var here = Of(sql, bowId);
                var bows = carried.Select(l => l.FromBowId!).Distinct().ToDictionary(id => id, id => Of(sql, id));
                return carried.ToDictionary(l => l.Id, l => here.Brings(l.Carried, bows[l.FromBowId!]));
            });
    }

    /// <summary>Puts a part's own facts on the bow that it went to; once more changes nothing.</summary>
    /// <exception cref="RefusedException">The visit is handed over.</exception>
    /// <exception cref="MissingException">The visit has no such line.</exception>
    public void Take(string bowId, string visitId, string lineId) =>
        database.Write(sql =>
        {
            VisitStore.Open(VisitStore.Get(sql, bowId, visitId));
            var line =
                VisitStore.Lines(sql, visitId).FirstOrDefault(l => l.Id == lineId)
                ?? throw new MissingException("visit line");
            if (line is not { Carried: { } part, FromBowId: { } from })
            {
                return 0;
            }

            var (here, there) = (Of(sql, bowId), Of(sql, from));
            if (here.Brings(part, there).Count == 0)
            {
                return 0;
            }

            var after = here.With(part, there);
            BowStore.PutEntry(sql, bowId, after.Typed);
            AdjusterRows.Put(sql, bowId, after.Adjusters);
            return after.Sight is null || after.Sight == here.Sight ? 1 : Keep(sql, after.Sight, lineId, bowId, from);
        });

    /// <summary>Keeps a sight in the words in which its figures were typed, on whichever bow.</summary>
    private int Keep(Sql sql, Sight sight, string lineId, string bowId, string from)
    {
        var there = SightStore.Of(sql, from)!;
        var eye = (SightStore.Of(sql, bowId) ?? there).EyeToPinTyped;
        return SightStore.Keep(
            sql,
            new SightRow(sight, eye, there.ClickTyped),
            $"{lineId}-sight",
            bowId,
            clock.GetUtcNow()
        );
    }

    private static Fitted Of(Sql sql, string bowId)
    {
        var bow = BowStore.Get(sql, bowId);
        return new Fitted(bow.Typed, bow.Adjusters, SightStore.Of(sql, bowId)?.Sight);
    }
}
