using System.Collections.Concurrent;

namespace Merganser.Data;

/// <summary>
/// What was read of bows, kept in memory as long as nothing is written about them: what goes through years of a history
/// is read once for a revision of the bow.
/// </summary>
/// <param name="most">Of so many bows; a bench looks at few in one evening.</param>
internal sealed class ByRevision<T>(int most)
{
    private readonly ConcurrentDictionary<string, (long Revision, T Read)> kept = new();

    /// <summary>As it was kept, or read anew.</summary>
    /// <param name="sql">The file, within one reading of it.</param>
    /// <param name="bowId">The bow.</param>
    /// <param name="read">Reads it.</param>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public T Of(Sql sql, string bowId, Func<T> read)
    {
        var revision =
            sql.Scalar<long?>("SELECT number FROM bow_revision WHERE bow_id = @bowId", new { bowId })
            ?? throw new MissingException("bow");
        if (kept.TryGetValue(bowId, out var before) && before.Revision == revision)
        {
            return before.Read;
        }

        var now = read();
        if (kept.Count >= most)
        {
            kept.Clear();
        }

        kept[bowId] = (revision, now);
        return now;
    }
}
