using System.Text.Json;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>What becomes of something in a document that is taken in.</summary>
public enum TakenIn
{
    /// <summary>It is new here.</summary>
    New,

    /// <summary>It stands here already, the same.</summary>
    Same,

    /// <summary>It stands here, and the document knows more of it: that is added.</summary>
    Grown,

    /// <summary>It stands here and reads otherwise: one of the two has to be chosen.</summary>
    Differs,

    /// <summary>It cannot be taken in; why is said.</summary>
    Refused,
}

/// <summary>One thing of a document.</summary>
/// <param name="Key">By which it is chosen: the table and its key.</param>
/// <param name="Kind">The table; <c>bow</c> for a bow with everything of it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="What">What becomes of it.</param>
/// <param name="Rows">Rows that it adds.</param>
/// <param name="Why">Why it is refused; nothing otherwise.</param>
public sealed record OpenThing(string Key, string Kind, string Name, TakenIn What, int Rows, Message? Why);

/// <summary>Takes a document of <see cref="OpenExport"/> in: what is new is added, nothing is lost.</summary>
public sealed class OpenImport(Database database)
{
    /// <summary>Looks at what would become of each thing, and changes nothing.</summary>
    /// <exception cref="RefusedException">It is no such document, or a newer program wrote it.</exception>
    public IReadOnlyList<OpenThing> Preview(
        JsonElement document,
        IReadOnlySet<string> take,
        Func<string, byte[]?>? files = null
    ) => Run(document, take, files, false);

    /// <summary>Takes it in.</summary>
    /// <param name="document">The document.</param>
    /// <param name="take">Of what reads otherwise here, the keys of those that are taken from the document.</param>
    /// <param name="files">The bytes of a file beside the document; null where there is none of that name.</param>
    /// <exception cref="RefusedException">It is no such document, or a newer program wrote it.</exception>
    public IReadOnlyList<OpenThing> Take(
        JsonElement document,
        IReadOnlySet<string> take,
        Func<string, byte[]?>? files = null
    ) => Run(document, take, files, true);

    private IReadOnlyList<OpenThing> Run(
        JsonElement document,
        IReadOnlySet<string> take,
        Func<string, byte[]?>? files,
        bool keep
    )
    {
        IReadOnlyList<OpenThing> things = [];
        try
        {
            database.Write(sql =>
            {
                sql.Execute("PRAGMA defer_foreign_keys = ON");
                things = new OpenReading(sql, document, take, files ?? (_ => null)).Run();
                return keep ? 0 : throw new PreviewDone();
            });
        }
        catch (PreviewDone)
        {
            // Everything is as it was.
        }
        catch (SqliteException broken) when (broken.SqliteErrorCode == SqliteCodes.Constraint)
        {
            throw RefusedException.At("file", "broken", new DocumentIsBroken(broken.Message));
        }

        return things;
    }

    private sealed class PreviewDone : Exception;
}
