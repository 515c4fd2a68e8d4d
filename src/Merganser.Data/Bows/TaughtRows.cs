using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>What instruments taught of a bow, kept on it.</summary>
internal static class TaughtRows
{
    /// <summary>A bow as typed with what was taught of it before.</summary>
    public static Bow On(Bow before, Bow typed) =>
        typed with
        {
            Chronograph = before.Chronograph,
            Force = before.Force,
        };

    /// <summary>Keeps a bow with what it was taught.</summary>
    public static void Put(Sql sql, string id, Bow bow) =>
        sql.Execute(
            "UPDATE bow SET facts = @facts, version = version + 1 WHERE id = @id",
            new { id, facts = Kept.Write(bow) }
        );
}
