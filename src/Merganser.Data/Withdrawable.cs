namespace Merganser.Data;

/// <summary>
/// A kind of entry that can be taken back. One rule for all of them: an entry is taken back by its kind and by whose it
/// is, it stays on record, and what is read leaves it out.
/// </summary>
/// <param name="Kind">What the withdrawal says it takes back.</param>
/// <param name="Word">What it is called when it is not there.</param>
/// <param name="Table">Where it stands.</param>
/// <param name="Owner">The column that names its bow, paper or dozen.</param>
/// <param name="Also">What else must hold of it, in SQL.</param>
internal sealed record Withdrawable(string Kind, string Word, string Table, string Owner, string Also = "TRUE")
{
    public static readonly Withdrawable Reading = new("reading", "reading", "chronograph_shot", "bow_id");
    public static readonly Withdrawable Reset = new("reset", "reset", "response_reset", "bow_id");
    public static readonly Withdrawable Note = new("note", "note", "paper_note", "paper_id");
    public static readonly Withdrawable OfDozen = new("dozenEntry", "entry", "dozen_entry", "dozen_id");

    /// <summary>Entries of the set-up sheet.</summary>
    public static readonly Withdrawable[] OfSheet =
    [
        new("finding", "entry", "check_finding", "bow_id"),
        new("change", "entry", "bow_change", "bow_id"),
        new("shots", "entry", "shots_fired", "bow_id", "source = 'entered'"),
        new("goodState", "entry", "good_state", "bow_id"),
    ];

    /// <summary>Takes an entry back; once more changes nothing.</summary>
    /// <exception cref="MissingException">The owner has no such entry of one of these kinds.</exception>
    public static void Take(Sql sql, string owner, string id, DateTimeOffset now, params Withdrawable[] kinds)
    {
        var found = kinds.FirstOrDefault(kind => kind.Has(sql, owner, id)) ?? throw new MissingException(kinds[0].Word);
        sql.Execute(
            "INSERT INTO withdrawn (entry_id, kind, withdrawn_at) VALUES (@id, @Kind, @now) ON CONFLICT DO NOTHING",
            new
            {
                id,
                found.Kind,
                now = Stamp.Of(now),
            }
        );
    }

    private bool Has(Sql sql, string owner, string id) =>
        sql.Scalar<bool>(
            $"SELECT EXISTS (SELECT 1 FROM {Table} WHERE id = @id AND {Owner} = @owner AND {Also})",
            new { id, owner }
        );
}
