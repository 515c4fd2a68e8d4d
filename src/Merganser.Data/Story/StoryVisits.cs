using Merganser.Core.Story;
using Merganser.Core.Visits;

namespace Merganser.Data;

/// <summary>Of a page of the story: visits, owners, and what was done as planned.</summary>
internal sealed class StoryVisits(Sql sql, Action<StoryEvent> tell)
{
    public void Read(Action<StoryEntry, Action<object>> each)
    {
        each(StoryEntry.Visit, Visits);
        each(StoryEntry.HandOver, HandOvers);
        each(StoryEntry.Owner, Owners);
        each(StoryEntry.Planned, Planned);
    }

    private void Visits(object ids)
    {
        const string visits = """
            SELECT e.id, e.arrived_at, e.number, e.wants FROM visit e
            WHERE e.id IN (SELECT value FROM json_each(@ids))
            """;
        foreach (var (id, at, number, wants) in sql.Query<(string, string, int, string)>(visits, ids))
        {
            tell(
                StoryRest.Happened(id, at, StorySign.Setup, new CameToTheBench(number, wants)) with
                {
                    Opens = $"visit?visit={id}",
                }
            );
        }
    }

    private void HandOvers(object ids)
    {
        const string ends = """
            SELECT e.id, o.handed_over_at, e.number, o.watch FROM visit e JOIN visit_end o ON o.visit_id = e.id
            WHERE e.id || '-over' IN (SELECT value FROM json_each(@ids))
            """;
        foreach (var (id, at, number, watch) in sql.Query<(string, string, int, string)>(ends, ids))
        {
            tell(
                StoryRest.Happened($"{id}-over", at, StorySign.Setup, new WasHandedOver(number)) with
                {
                    Note = watch,
                    Opens = $"visit?visit={id}",
                }
            );
        }
    }

    private void Owners(object ids)
    {
        const string owners = """
            SELECT e.id, e.handed_at, a.name FROM bow_owner e JOIN archer a ON a.id = e.to_archer_id
            WHERE e.id IN (SELECT value FROM json_each(@ids))
            """;
        foreach (var (id, at, name) in sql.Query<(string, string, string)>(owners, ids))
        {
            tell(StoryRest.Happened(id, at, StorySign.Setup, new WentToOwner(name)));
        }
    }

    private void Planned(object ids)
    {
        const string done = """
            SELECT e.id, e.ended_at, e.text FROM reminder e WHERE e.id IN (SELECT value FROM json_each(@ids))
            """;
        foreach (var (id, at, text) in sql.Query<(string, string, string)>(done, ids))
        {
            tell(StoryRest.Happened(id, at, StorySign.Notes, new PlannedAndDone(text)));
        }
    }
}
