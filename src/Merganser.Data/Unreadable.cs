using System.Collections.Concurrent;
using System.Text.Json;

namespace Merganser.Data;

/// <summary>Rows that cannot be read: each makes itself unreadable and not the list it stands in. They stay in the file as they are.</summary>
public sealed class Unreadable
{
    private readonly ConcurrentDictionary<(string Kind, string Id), bool> lost = new();

    /// <summary>What could not be read, in words.</summary>
    public IReadOnlyList<string> Words => [.. lost.Keys.Order().Select(row => $"A {row.Kind} cannot be read ({row.Id}); it is left as it is, and everything else stands.")];

    /// <summary>Reads each row of a list and leaves out those that cannot be read.</summary>
    /// <param name="kind">What a row is, in one word.</param>
    /// <param name="rows">The rows.</param>
    /// <param name="id">The id of a row.</param>
    /// <param name="read">Reads one.</param>
    public IReadOnlyList<T> Each<TRow, T>(string kind, IEnumerable<TRow> rows, Func<TRow, string> id, Func<TRow, T> read)
    {
        List<T> readable = [];
        foreach (var row in rows)
        {
            try
            {
                readable.Add(read(row));
                lost.TryRemove((kind, id(row)), out _);
            }
            catch (Exception problem) when (problem is JsonException or MissingException or InvalidOperationException or ArgumentException or FormatException or KeyNotFoundException)
            {
                lost[(kind, id(row))] = true;
            }
        }

        return readable;
    }
}
