using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Speed;

namespace Merganser.Data;

/// <summary>What a dozen is to be.</summary>
/// <param name="Name">As the bench calls it.</param>
/// <param name="Arrows">How many arrows.</param>
/// <param name="Classes">Which classes are weighed.</param>
/// <param name="Spare">Spare pieces of each class.</param>
/// <param name="VanesInSets">True when the vanes of one arrow are weighed together.</param>
public sealed record DozenPlan(string Name, int Arrows, IReadOnlyList<string> Classes, int Spare, bool VanesInSets);

/// <summary>Something that was done for a dozen; which fields are set depends on the kind.</summary>
/// <param name="Kind">check, piece, spin, match, tick, made, nockShot.</param>
/// <param name="Class">The class of a piece.</param>
/// <param name="Number">Number of the piece or arrow.</param>
/// <param name="Value">A measured value in the trade unit.</param>
/// <param name="Second">A second value: the check weight's nominal, a span.</param>
/// <param name="Word">A word: source, grade, step, what.</param>
/// <param name="Note">Words of the person.</param>
/// <param name="Match">An assignment that was found.</param>
/// <param name="Turn">Steps the nock was turned, for a shot that tunes it.</param>
/// <param name="Distance">From where that shot was made, yards.</param>
public sealed record DozenEntry(
    string Kind,
    string? Class = null,
    int? Number = null,
    double? Value = null,
    double? Second = null,
    string? Word = null,
    string? Note = null,
    MatchResult? Match = null,
    int? Turn = null,
    double? Distance = null
);

/// <summary>An entry with its id and time.</summary>
public sealed record DozenEntryRow(string Id, int Ordinal, DozenEntry Entry, DateTimeOffset At);

/// <summary>A dozen with everything that was entered for it; withdrawn entries are left out.</summary>
public sealed record DozenRow(
    string Id,
    string BowId,
    string ArrowVersionId,
    DozenPlan Plan,
    DateTimeOffset StartedAt,
    IReadOnlyList<DozenEntryRow> Entries
);

/// <summary>A chronograph reading.</summary>
public sealed record ChronographRow(string Id, double Grains, double Speed, string Source, DateTimeOffset ShotAt);

public sealed class DozenStore(Database database, TimeProvider clock)
{
    /// <summary>
    /// Standard deviation of one chronograph reading when the shots do not tell it, ft/s (trade-like guess, no source).
    /// </summary>
    public const double UsualSpread = 1;

    public IReadOnlyList<DozenRow> Of(string bowId) =>
        database.Read(c =>
            database.Unreadable.Each(
                "dozen",
                c.Query<string>(
                    "SELECT id FROM dozen WHERE bow_id = @bowId ORDER BY started_at DESC, rowid DESC",
                    new { bowId }
                ),
                id => id,
                id => Get(c, null, id)
            )
        );

    public DozenRow Get(string id) => database.Read(c => Get(c, null, id));

    /// <summary>Starts a dozen; the same id again changes nothing.</summary>
    public DozenRow Start(string id, string bowId, string arrowVersionId, DozenPlan plan) =>
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, bowId);
                ArrowStore.CheckOfBow(c, t, arrowVersionId, bowId);
                c.Execute(
                    "INSERT INTO dozen (id, bow_id, arrow_version_id, plan, started_at) VALUES (@id, @bowId, @arrowVersionId, @plan, @now) ON CONFLICT (id) DO NOTHING",
                    new
                    {
                        id,
                        bowId,
                        arrowVersionId,
                        plan = FactsJson.Write(plan),
                        now = Stamp.Of(clock.GetUtcNow()),
                    },
                    t
                );
                return Get(c, t, id);
            }
        );

    /// <summary>Adds entries, all or none; an id that is there already is passed over.</summary>
    public DozenRow Add(string dozenId, IReadOnlyList<(string Id, DozenEntry Entry)> entries) =>
        Add(dozenId, entries[0].Id, _ => entries);

    /// <summary>
    /// Adds what is made of the dozen as it stands, in the same transaction: nothing comes between the check and the
    /// writing. All or none; when the act was done before, by its id, nothing is made.
    /// </summary>
    /// <param name="dozenId">The dozen.</param>
    /// <param name="actId">The act's own id, that of its first entry.</param>
    /// <param name="make">Checks the dozen as it stands and makes the entries.</param>
    /// <exception cref="IdTakenException">The id is already that of an entry of another dozen.</exception>
    public DozenRow Add(
        string dozenId,
        string actId,
        Func<DozenRow, IReadOnlyList<(string Id, DozenEntry Entry)>> make
    ) =>
        database.Write(
            (c, t) =>
            {
                var row = Get(c, t, dozenId);
                if (
                    c.ExecuteScalar<string?>("SELECT dozen_id FROM dozen_entry WHERE id = @actId", new { actId }, t) is
                    { } known
                )
                {
                    return known == dozenId ? row : throw new IdTakenException("entry");
                }

                foreach (var (id, entry) in make(row))
                {
                    c.Execute(
                        """
                        INSERT INTO dozen_entry (id, dozen_id, ordinal, kind, facts, at)
                        VALUES (@id, @dozenId, 1 + (SELECT count(*) FROM dozen_entry WHERE dozen_id = @dozenId), @Kind,
                        @facts, @now) ON CONFLICT (id) DO NOTHING
                        """,
                        new
                        {
                            id,
                            dozenId,
                            entry.Kind,
                            facts = FactsJson.Write(entry),
                            now = Stamp.Of(clock.GetUtcNow()),
                        },
                        t
                    );
                }

                return Get(c, t, dozenId);
            }
        );

    /// <summary>Takes back an entry; it stays on record.</summary>
    public DozenRow Withdraw(string dozenId, string entryId) =>
        database.Write(
            (c, t) =>
            {
                Withdrawable.Take(c, t, dozenId, entryId, clock.GetUtcNow(), Withdrawable.OfDozen);
                return Get(c, t, dozenId);
            }
        );

    public IReadOnlyList<ChronographRow> Shots(string bowId) => database.Read(c => Shots(c, null, bowId));

    /// <summary>Adds a chronograph reading; the bow's speed follows, and its string has one shot more.</summary>
    public IReadOnlyList<ChronographRow> Shoot(string bowId, string id, double grains, double speed, string source) =>
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, bowId).Sound();
                var added = c.Execute(
                    "INSERT INTO chronograph_shot (id, bow_id, grains, speed, source, shot_at) VALUES (@id, @bowId, @grains, @speed, @source, @now) ON CONFLICT (id) DO NOTHING",
                    new
                    {
                        id,
                        bowId,
                        grains,
                        speed,
                        source,
                        now = Stamp.Of(clock.GetUtcNow()),
                    },
                    t
                );
                if (added == 1)
                {
                    var settling = SetupStore.Life(c, t, bowId).SettlingLeft > 0;
                    SetupStore.Fire(c, t, bowId, id, 1, settling, "chronograph", clock.GetUtcNow());
                    Recalibrate(c, t, bowId);
                }

                return Shots(c, t, bowId);
            }
        );

    /// <exception cref="MissingException">This bow has no such reading.</exception>
    public IReadOnlyList<ChronographRow> WithdrawShot(string bowId, string id) =>
        database.Write(
            (c, t) =>
            {
                Withdrawable.Take(c, t, bowId, id, clock.GetUtcNow(), Withdrawable.Reading);
                Recalibrate(c, t, bowId);
                return Shots(c, t, bowId);
            }
        );

    private static void Recalibrate(IDbConnection c, IDbTransaction t, string bowId)
    {
        var shots = Shots(c, t, bowId)
            .Select(s => new ChronographShot(Math.Round(s.Grains, 1), s.Speed, UsualSpread))
            .ToArray();
        BowStore.PutSpeed(c, t, bowId, Fitted(shots));
    }

    private static SpeedFit? Fitted(ChronographShot[] shots)
    {
        try
        {
            return shots.Length == 0 ? null : SpeedCalibration.Fit(shots);
        }
        catch (ArgumentException)
        {
            // A heavier arrow was not slower: the readings are kept, but teach nothing yet.
            return null;
        }
    }

    private static ChronographRow[] Shots(IDbConnection c, IDbTransaction? t, string bowId) =>
        [
            .. c.Query<(string Id, double Grains, double Speed, string Source, string At)>(
                    "SELECT id, grains, speed, source, shot_at FROM chronograph_shot WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY rowid",
                    new { bowId },
                    t
                )
                .Select(s => new ChronographRow(s.Id, s.Grains, s.Speed, s.Source, Stamp.Read(s.At))),
        ];

    private static DozenRow Get(IDbConnection c, IDbTransaction? t, string id)
    {
        var row =
            c.QueryFirstOrDefault<(string BowId, string Version, string Plan, string At)?>(
                "SELECT bow_id, arrow_version_id, plan, started_at FROM dozen WHERE id = @id",
                new { id },
                t
            ) ?? throw new MissingException("dozen");
        var entries = c.Query<(string Id, int Ordinal, string Facts, string At)>(
                "SELECT id, ordinal, facts, at FROM dozen_entry WHERE dozen_id = @id AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY ordinal",
                new { id },
                t
            )
            .Select(e => new DozenEntryRow(e.Id, e.Ordinal, FactsJson.Read<DozenEntry>(e.Facts), Stamp.Read(e.At)));
        return new DozenRow(
            id,
            row.BowId,
            row.Version,
            FactsJson.Read<DozenPlan>(row.Plan),
            Stamp.Read(row.At),
            [.. entries]
        );
    }
}
