using System.Collections.Concurrent;
using System.Text.Json;
using Merganser.Core.Rack;

namespace Merganser.Data;

/// <summary>
/// Rows that cannot be read: each makes itself unreadable and not the list it stands in. They stay in the file as they
/// are.
/// </summary>
public sealed class Unreadable
{
    private readonly ConcurrentDictionary<(string Kind, string Id), bool> lost = new();

    private long met;

    /// <summary>How often a row could not be read so far.</summary>
    public long Met => Interlocked.Read(ref met);

    /// <summary>What could not be read.</summary>
    public IReadOnlyList<CannotBeRead> Lost => [.. lost.Keys.Order().Select(row => new CannotBeRead(row.Kind, row.Id))];

    /// <summary>So many rows in front that cannot be read are passed over; no file has that many.</summary>
    public const int MostPassedOver = 20;

    /// <summary>The first row that can be read, or null.</summary>
    /// <param name="kind">What a row is, in one word.</param>
    /// <param name="ids">The rows; no more are read than are needed.</param>
    /// <param name="read">Reads one.</param>
    public T? First<T>(string kind, IEnumerable<string> ids, Func<string, T> read)
        where T : class => ids.SelectMany(id => Each(kind, [id], i => i, read)).FirstOrDefault();

    /// <summary>Reads each row of a list and leaves out those that cannot be read.</summary>
    /// <param name="kind">What a row is, in one word.</param>
    /// <param name="rows">The rows.</param>
    /// <param name="id">The id of a row.</param>
    /// <param name="read">Reads one.</param>
    public IReadOnlyList<T> Each<TRow, T>(
        string kind,
        IEnumerable<TRow> rows,
        Func<TRow, string> id,
        Func<TRow, T> read
    )
    {
        List<T> readable = [];
        foreach (var row in rows)
        {
            try
            {
                readable.Add(read(row));
                lost.TryRemove((kind, id(row)), out _);
            }
            catch (Exception problem)
                when (problem
                        is JsonException
                            or MissingException
                            or InvalidOperationException
                            or ArgumentException
                            or FormatException
                            or KeyNotFoundException
                )
            {
                lost[(kind, id(row))] = true;
                Interlocked.Increment(ref met);
            }
        }

        return readable;
    }
}
