using Merganser.Core.Pictures;
using Merganser.Core.Story;

namespace Merganser.Data;

/// <summary>Photographs beside the things of a page of the story, in one statement.</summary>
internal sealed class StoryPictures(Sql sql)
{
    private const string All = $"""
        SELECT j.value AS id, p.id AS picture, p.rowid AS place FROM json_each(@ids) j
          JOIN picture p ON p.set_id = j.value
        UNION ALL SELECT j.value, p.id, p.rowid FROM json_each(@ids) j JOIN check_finding k ON k.id = j.value
          JOIN check_finding e ON {StoryKeys.OneGo}
          JOIN picture p ON p.check_id = e.id
        UNION ALL SELECT j.value, p.id, p.rowid FROM json_each(@ids) j
          JOIN picture p ON p.note_id IN (j.value, replace(j.value, '{BinStore.Again}', ''))
        UNION ALL SELECT j.value, p.id, p.rowid FROM json_each(@ids) j JOIN picture p ON p.visit_id = j.value
        UNION ALL SELECT j.value, p.id, p.rowid FROM json_each(@ids) j JOIN picture p ON p.id = j.value
        ORDER BY 3
        """;

    /// <summary>The same things with their photographs.</summary>
    public IReadOnlyList<StoryEvent> Beside(IReadOnlyList<(StoryKey Key, StoryEvent Told)> things)
    {
        if (things.Count == 0)
        {
            return [];
        }

        var found = sql.Query<(string Id, string Picture, long Place)>(
                All,
                new { ids = FactsJson.Write(things.Select(t => t.Key.Id)) }
            )
            .ToLookup(p => p.Id, p => p.Picture);
        return
        [
            .. things.Select(t =>
                t.Told with
                {
                    Pictures = [.. found[t.Key.Id].Distinct()],
                    PicturedAs = t.Key.Entry switch
                    {
                        StoryEntry.Set => PictureOf.Set,
                        StoryEntry.Findings => PictureOf.Check,
                        StoryEntry.Note => PictureOf.Note,
                        StoryEntry.Visit => PictureOf.Visit,
                        _ => null,
                    },
                }
            ),
        ];
    }
}
