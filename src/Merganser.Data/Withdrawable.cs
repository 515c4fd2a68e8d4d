namespace Merganser.Data;

/// <summary>
/// A kind of entry that can be taken back. One rule for all of them: an entry is taken back by its kind and by whose it
/// is, it stays on record, and what is read leaves it out.
/// </summary>
/// <param name="Word">What it is called when it is not there.</param>
/// <param name="Table">Where it stands.</param>
/// <param name="Owner">The column that names its bow, paper or dozen.</param>
/// <param name="Also">What else must hold of it, in SQL.</param>
internal sealed record Withdrawable(string Word, string Table, string Owner, string Also = "TRUE")
{
    public static readonly Withdrawable Reading = new("reading", "chronograph_shot", "bow_id");
    public static readonly Withdrawable Reset = new("reset", "response_reset", "bow_id");
    public static readonly Withdrawable Note = new("note", "paper_note", "paper_id");
    public static readonly Withdrawable OfDozen = new("entry", "dozen_entry", "dozen_id");

    /// <summary>Entries of the set-up sheet.</summary>
    public static readonly Withdrawable[] OfSheet =
    [
        new("entry", "check_finding", "bow_id"),
        new("entry", "bow_change", "bow_id"),
        new("entry", "shots_fired", "bow_id", "source = 'entered'"),
        new("entry", "good_state", "bow_id"),
    ];

    /// <summary>Takes an entry back; once more changes nothing.</summary>
    /// <exception cref="MissingException">The owner has no such entry of one of these kinds.</exception>
    public static void Take(Sql sql, string owner, string id, DateTimeOffset now, params Withdrawable[] kinds)
    {
        if (!kinds.Any(kind => kind.Has(sql, owner, id)))
        {
            throw new MissingException(kinds[0].Word);
        }

        sql.Execute(
            "INSERT INTO withdrawn (entry_id, withdrawn_at) VALUES (@id, @now) ON CONFLICT DO NOTHING",
            new { id, now = Stamp.Of(now) }
        );
    }

    private bool Has(Sql sql, string owner, string id) =>
        sql.Scalar<bool>(
            $"SELECT EXISTS (SELECT 1 FROM {Table} WHERE id = @id AND {Owner} = @owner AND {Also})",
            new { id, owner }
        );
}
