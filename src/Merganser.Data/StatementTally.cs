namespace Merganser.Data;

/// <summary>Counts the statements of one piece of work: what a request costs the file.</summary>
public sealed class StatementTally
{
    private static readonly AsyncLocal<StatementTally?> Running = new();

    private long count;

    /// <summary>Statements so far.</summary>
    public long Count => Interlocked.Read(ref count);

    /// <summary>Begins to count what is done from here on, in this flow of work.</summary>
    public static StatementTally Begin() => Running.Value = new StatementTally();

    internal static void CountOne()
    {
        if (Running.Value is { } tally)
        {
            Interlocked.Increment(ref tally.count);
        }
    }
}
