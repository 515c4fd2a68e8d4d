namespace Merganser.Data;

/// <summary>
/// The act that a request asks for. It is written down in the transaction that carries it out: the same act again is
/// the same, another act under its id is refused, and one that was refused or failed is not written down.
/// </summary>
/// <param name="Id">The id that the client made for it.</param>
/// <param name="Path">Where it was asked for.</param>
/// <param name="Fingerprint">Of all that was asked.</param>
public sealed record AskedAct(string Id, string Path, string Fingerprint)
{
    private static readonly AsyncLocal<AskedAct?> Running = new();

    private bool isDone;

    /// <summary>What is written next in this flow of work is this act.</summary>
    public static void Begin(AskedAct act) => Running.Value = act;

    /// <summary>Writes down the act that is asked for, once.</summary>
    /// <exception cref="IdTakenException">Its id is already that of another act.</exception>
    internal static void Enter(Sql sql, DateTimeOffset now)
    {
        if (Running.Value is not { isDone: false } act)
        {
            return;
        }

        act.isDone = true;
        var known = sql.First<(string Path, string Fingerprint, string At)?>(
            "SELECT path, fingerprint, at FROM act WHERE id = @Id",
            new { act.Id }
        );
        if (known is { } before)
        {
            if (before.Path != act.Path || before.Fingerprint != act.Fingerprint)
            {
                throw new IdTakenException("act", new KeptAct(act.Id, before.Path, Stamp.Read(before.At)));
            }

            return;
        }

        sql.Execute(
            "INSERT INTO act (id, path, fingerprint, at) VALUES (@Id, @Path, @Fingerprint, @at)",
            new
            {
                act.Id,
                act.Path,
                act.Fingerprint,
                at = Stamp.Of(now),
            }
        );
    }
}

/// <summary>What is kept under an id that was asked for again with something else.</summary>
public sealed record KeptAct(string Id, string Path, DateTimeOffset At);
