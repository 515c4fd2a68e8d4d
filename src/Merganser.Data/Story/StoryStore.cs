using System.Collections.Concurrent;
using Merganser.Core.Setup;
using Merganser.Core.Story;

namespace Merganser.Data;

/// <summary>A page of a bow's story, the newest first.</summary>
/// <param name="Events">They.</param>
/// <param name="Last">Where the page ends: asked for with it, the page before this one.</param>
/// <param name="More">True where there is one.</param>
public sealed record StoryPage(IReadOnlyList<StoryEvent> Events, StoryPlace? Last, bool More);

/// <summary>A place in a story.</summary>
public sealed record StoryPlace(string At, string Id);

/// <summary>A session as it went: its sets in order.</summary>
/// <param name="Sets">They.</param>
/// <param name="AcceptedAt">When it was accepted; null while it is open.</param>
/// <param name="Moves">Moves made in it.</param>
public sealed record StorySession(IReadOnlyList<StorySet> Sets, DateTimeOffset? AcceptedAt, int Moves);

/// <summary>What all of a story says in one go: how much there is, its tears over days, and its days.</summary>
public sealed record StoryWhole(
    IReadOnlyDictionary<string, int> Counts,
    TearStrip Strip,
    IReadOnlyList<StorySet> BareSets,
    IReadOnlyList<DateTimeOffset> Days,
    IReadOnlyList<StorySession> Sessions
);

/// <summary>Reads the story of a bow: everything that was entered of it, in the order in which it happened.</summary>
public sealed class StoryStore(Database database, TimeProvider clock)
{
    private readonly ByRevision<StoryWhole> wholes = new(most: 16);
    private readonly ByRevision<StateThen?> firsts = new(most: 64);
    private readonly ByRevision<ConcurrentDictionary<DateTimeOffset, StateThen>> states = new(most: 16);

    private const int DaysToPick = 90;

    /// <summary>After every id.</summary>
    private const string Last = "~";

    /// <summary>A page of it.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="signs">What alone is told; none for everything.</param>
    /// <param name="before">Where the page after this one ended; null for the newest.</param>
    /// <param name="most">Things on it.</param>
    public StoryPage Page(string bowId, IReadOnlyList<StorySign> signs, StoryPlace? before, int most) =>
        database.Read(sql =>
        {
            var bow = BowStore.Get(sql, bowId);
            string[] words = [.. signs.Select(FactsJson.Word)];
            var found = StoryKeys.Page(
                sql,
                bowId,
                words,
                before is null ? null : (before.At, before.Id),
                most + 1,
                clock.GetUtcNow()
            );
            var keys = found.Take(most).ToArray();
            var events = WithString(sql, bow, new StoryReader(sql, bow, keys).Read(), signs);
            return new StoryPage(
                events,
                keys.Length > 0 ? new StoryPlace(keys[^1].At, keys[^1].Id) : null,
                found.Length > most
            );
        });

    /// <summary>Between two times, the newest first.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="from">The first.</param>
    /// <param name="to">The second.</param>
    /// <param name="most">At most so many.</param>
    public IReadOnlyList<StoryEvent> Between(string bowId, DateTimeOffset from, DateTimeOffset to, int most) =>
        [.. Page(bowId, [], new StoryPlace(Stamp.Of(to), Last), most).Events.Where(e => e.At >= from && e.At <= to)];

    /// <summary>What the whole of it says.</summary>
    public StoryWhole Whole(string bowId) => database.Read(sql => wholes.Of(sql, bowId, () => Whole(sql, bowId)));

    private static StoryWhole Whole(Sql sql, string bowId)
    {
        var sets = StorySets.BarePapers(sql, bowId, DateTimeOffset.MaxValue, TearStrip.Most);
        return new StoryWhole(
            StoryKeys.Counts(sql, bowId),
            TearStrip.Of(sets, (from, to) => Fired(sql, bowId, from, to).Sum(f => f.Count)),
            sets,
            [.. StoryKeys.Days(sql, bowId, DaysToPick).Select(Stamp.Read)],
            SessionRows.Newest(sql, bowId)
        );
    }

    /// <summary>When the last thing happened; null for nothing yet.</summary>
    public DateTimeOffset? LastAt(string bowId) =>
        database.Read(sql =>
            StoryKeys.Page(sql, bowId, [], null, 1, clock.GetUtcNow()) is [var last]
                ? Stamp.Read(last.At)
                : (DateTimeOffset?)null
        );

    /// <summary>How it stood at the end of the first day on record; null for nothing yet.</summary>
    public StateThen? First(string bowId) =>
        database.Read(sql =>
            firsts.Of(
                sql,
                bowId,
                () => StoryKeys.FirstDay(sql, bowId) is { } day ? StateReader.Of(sql, bowId, Stamp.Read(day)) : null
            )
        );

    /// <summary>What stood on record at two times, and how the string is looked after.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="then">The first.</param>
    /// <param name="now">The second; null for all that is on record.</param>
    public (BowRow Bow, StringPlan Plan, StateThen Then, StateThen Now) Two(
        string bowId,
        DateTimeOffset then,
        DateTimeOffset? now
    ) =>
        database.Read(sql =>
        {
            var known = states.Of(sql, bowId, () => []);
            if (known.Count > DaysToPick)
            {
                known.Clear();
            }

            StateThen At(DateTimeOffset at) => known.GetOrAdd(at, _ => StateReader.Of(sql, bowId, at));
            return (
                BowStore.Get(sql, bowId),
                SetupReader.PlanOf(sql, bowId),
                At(then),
                now is { } second ? At(second) : At(DateTimeOffset.MaxValue) with { At = clock.GetUtcNow() }
            );
        });

    /// <summary>Shots on the string beside each thing, and its checks that fell due among them.</summary>
    private static IReadOnlyList<StoryEvent> WithString(
        Sql sql,
        BowRow bow,
        IReadOnlyList<StoryEvent> events,
        IReadOnlyList<StorySign> signs
    )
    {
        if (events.Count == 0)
        {
            return events;
        }

        var (from, to) = (events.Min(e => e.At), events.Max(e => e.At));
        var before = StateReader.StringOf(sql, bow.Id, from.AddTicks(-1));
        var count = new StringCount(before.Shots, Fired(sql, bow.Id, from, to), PutOn(sql, bow.Id, from, to));
        var counted = events.Select(e => e with { Shots = count.At(e.At) });
        if (signs.Count > 0 && !signs.Contains(StorySign.Setup))
        {
            return [.. counted];
        }

        var looked = sql.Scalar<string?>(
            """
            SELECT max(f.found_at) FROM check_finding f WHERE f.bow_id = @Id AND f.kind IN ('camTiming', 'braceHeight')
              AND f.skip_reason IS NULL AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)
            """,
            new { bow.Id }
        );
        var due = count
            .FellDue(SetupReader.PlanOf(sql, bow.Id))
            .Select(d =>
            {
                var done = looked is not null && Stamp.Read(looked) >= d.At;
                return new StoryEvent(
                    FormattableString.Invariant($"due-{d.Shots}-{d.At.UtcTicks}"),
                    d.At,
                    StorySign.Setup,
                    new CheckFellDue(d.Shots),
                    done ? StorySays.DoneSince : StorySays.NotDone
                )
                {
                    Tone = done ? StoryTone.Plain : StoryTone.Due,
                    Shots = d.Shots,
                    Opens = "bow?way=string",
                };
            });
        return [.. counted.Concat(due).OrderByDescending(e => e.At)];
    }

    private static FiredAt[] Fired(Sql sql, string bowId, DateTimeOffset from, DateTimeOffset to) =>
        [
            .. sql.Query<(string At, int Count)>(
                    """
                    SELECT f.fired_at, f.count FROM shots_fired f
                    WHERE f.bow_id = @bowId AND f.settling = 0 AND f.fired_at >= @from AND f.fired_at <= @to
                      AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)
                    ORDER BY f.fired_at, f.rowid
                    """,
                    new
                    {
                        bowId,
                        from = Stamp.Of(from),
                        to = Stamp.Of(to),
                    }
                )
                .Select(f => new FiredAt(Stamp.Read(f.At), f.Count)),
        ];

    private static DateTimeOffset[] PutOn(Sql sql, string bowId, DateTimeOffset from, DateTimeOffset to) =>
        [
            .. sql.Query<string>(
                    """
                    SELECT c.happened_at FROM bow_change c
                    WHERE c.bow_id = @bowId AND c.change = 'newString' AND c.happened_at >= @from AND c.happened_at <= @to
                      AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id)
                    ORDER BY c.happened_at
                    """,
                    new
                    {
                        bowId,
                        from = Stamp.Of(from),
                        to = Stamp.Of(to),
                    }
                )
                .Select(Stamp.Read),
        ];
}
