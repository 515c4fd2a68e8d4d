using System.Text.Json;
using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>Whose units and hand an answer about something is said in.</summary>
public sealed class Hearers(Database database)
{
    private static readonly Dictionary<string, string> Owners = new(StringComparer.Ordinal)
    {
        ["bows"] = "SELECT id FROM bow WHERE id = @id",
        ["papers"] = "SELECT bow_id FROM paper WHERE id = @id",
        ["sets"] = "SELECT p.bow_id FROM shot_set s JOIN paper p ON p.id = s.paper_id WHERE s.id = @id",
        ["shots"] = """
            SELECT p.bow_id FROM shot h JOIN shot_set s ON s.id = h.set_id JOIN paper p ON p.id = s.paper_id
            WHERE h.id = @id
            """,
        ["dozens"] = "SELECT bow_id FROM dozen WHERE id = @id",
        ["arrows"] = "SELECT bow_id FROM arrow WHERE id = @id",
    };

    /// <summary>The bow that a thing belongs to, or null.</summary>
    /// <param name="kind">What it is, as in the API's paths: bows, papers, sets, shots, dozens or arrows.</param>
    /// <param name="id">Its id.</param>
    public string? BowOf(string kind, string id) =>
        Owners.TryGetValue(kind, out var query) ? database.Read(sql => sql.Scalar<string?>(query, new { id })) : null;

    /// <summary>
    /// The units of a bow's archer and the hand that draws it; null where there is no such bow, or it cannot be read.
    /// </summary>
    public (DisplayUnits Units, Hand Hand)? Of(string bowId)
    {
        var row = database.Read(sql =>
            sql.First<(string Bow, string Archer)?>(
                "SELECT b.facts, a.facts FROM bow b JOIN archer a ON a.id = b.archer_id WHERE b.id = @bowId",
                new { bowId }
            )
        );
        try
        {
            return row is { } found
                ? (Kept.Read<Archer>(found.Archer).Units ?? DisplayUnits.Trade, Kept.Read<Bow>(found.Bow).Hand)
                : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
