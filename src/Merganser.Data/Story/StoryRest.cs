using Merganser.Core.Messages;
using Merganser.Core.Pictures;
using Merganser.Core.Story;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>Of a page of the story: arrows, dozens, speeds, marks and notes.</summary>
internal sealed class StoryRest(Sql sql, BowRow bow, Action<StoryEvent> tell)
{
    public void Read(Action<StoryEntry, Action<object>> each)
    {
        each(StoryEntry.Arrow, Arrows);
        each(StoryEntry.Dozen, Dozens);
        each(StoryEntry.Matched, Matches);
        each(StoryEntry.Speeds, Speeds);
        each(StoryEntry.Sight, Sights);
        each(StoryEntry.Proven, Proven);
        each(StoryEntry.Crawl, Crawls);
        each(StoryEntry.Note, Notes);
        each(StoryEntry.Picture, Pictures);
        new StoryVisits(sql, tell).Read(each);
    }

    private IEnumerable<T> Of<T>(string statement, object ids) =>
        sql.Query<T>($"{statement} WHERE e.id IN (SELECT value FROM json_each(@ids))", ids);

    private void Arrows(object ids)
    {
        foreach (var kept in ArrowStore.Versions(sql, ids))
        {
            var arrow = new StoryArrow(kept.Id, kept.Typed.Name, kept.Number, kept.Arrow);
            tell(
                new StoryEvent(kept.Id, kept.KeptAt, StorySign.Arrows, arrow.Words, arrow.On(bow.Bow))
                {
                    Opens = $"arrow?arrow={kept.ArrowId}",
                }
            );
        }
    }

    private void Dozens(object ids)
    {
        const string dozens = """
            SELECT e.id, e.started_at, v.typed ->> 'name' FROM dozen e JOIN arrow_version v ON v.id = e.arrow_version_id
            """;
        foreach (var (id, at, name) in Of<(string, string, string)>(dozens, ids))
        {
            tell(Happened(id, at, StorySign.Arrows, new DozenBegun(name)) with { Opens = $"dozen?dozen={id}" });
        }
    }

    private void Matches(object ids)
    {
        const string matches = """
            SELECT e.id, e.at, v.typed ->> 'name', json_array_length(e.facts, '$.match.pieces'), d.id
            FROM dozen_entry e JOIN dozen d ON d.id = e.dozen_id JOIN arrow_version v ON v.id = d.arrow_version_id
            """;
        foreach (var (id, at, name, arrows, dozen) in Of<(string, string, string, int, string)>(matches, ids))
        {
            tell(
                Happened(id, at, StorySign.Arrows, new DozenMatched(name, arrows)) with
                {
                    Opens = $"dozen?dozen={dozen}",
                }
            );
        }
    }

    private void Speeds(object ids)
    {
        var days = sql.Query<(string Key, double Grains, double Speed, string At)>(
                """
                SELECT k.id, e.grains, e.speed, e.shot_at
                FROM json_each(@ids) j JOIN chronograph_shot k ON k.id = j.value JOIN chronograph_shot e
                  ON e.bow_id = k.bow_id AND e.grains = k.grains
                  AND e.shot_at >= substr(k.shot_at, 1, 10) AND e.shot_at < substr(k.shot_at, 1, 10) || '~'
                WHERE NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = e.id)
                ORDER BY e.rowid
                """,
                ids
            )
            .GroupBy(s => s.Key);
        foreach (var day in days)
        {
            var last = day.Last();
            tell(
                Happened(
                    day.Key,
                    last.At,
                    StorySign.Speed,
                    SpeedThen.Of(last.Grains, [.. day.Select(s => s.Speed)]).Words,
                    new Amount(Measure.Grains(last.Grains))
                ) with
                {
                    Opens = "bow?way=speed",
                }
            );
        }
    }

    private void Sights(object ids)
    {
        const string sights = "SELECT e.id, e.moved_at, e.pin_right, e.pin_up, e.heads, e.paper_id FROM sight_mark e";
        foreach (
            var (id, at, right, up, heads, paper) in Of<(string, string, double, double, bool, string)>(sights, ids)
        )
        {
            var words = new SightWasMoved(Measure.Inches(right, 3), Measure.Inches(up, 3), heads);
            tell(Happened(id, at, StorySign.Groups, words) with { Opens = $"groups?paper={paper}" });
        }
    }

    private void Proven(object ids)
    {
        const string marks = "SELECT e.id, e.proven_at, e.kind, e.yards, e.value, e.value_typed FROM proven_mark e";
        foreach (
            var (id, at, kind, yards, value, typed) in Of<(string, string, string, double, double, string)>(marks, ids)
        )
        {
            Message words =
                kind == "mark"
                    ? new MarkProven(Measure.Yards(yards), typed)
                    : new SpeedProven(Measure.Yards(yards), Measure.Speed(value));
            tell(Happened(id, at, StorySign.Groups, words) with { Opens = "groups?way=range" });
        }
    }

    private void Crawls(object ids)
    {
        const string crawls = "SELECT e.id, e.shot_at, e.yards, e.crawl, e.note FROM crawl_mark e";
        foreach (var (id, at, yards, crawl, note) in Of<(string, string, double, double?, string)>(crawls, ids))
        {
            var words = new CrawlProven(Measure.Yards(yards), crawl is { } inches ? Measure.AsRead(inches) : null);
            tell(Happened(id, at, StorySign.Groups, words) with { Note = note, Opens = "bow?way=crawls" });
        }
    }

    private void Notes(object ids)
    {
        const string notes = """
            SELECT e.id, e.happened_at, e.text, coalesce(a.name, '') FROM story_note e LEFT JOIN archer a ON a.id = e.archer_id
            """;
        foreach (var (id, at, text, by) in Of<(string, string, string, string)>(notes, ids))
        {
            tell(
                Happened(id, at, StorySign.Notes, new Verbatim(text), new Verbatim(by)) with
                {
                    MayBeTakenBack = true,
                }
            );
        }
    }

    private void Pictures(object ids)
    {
        foreach (
            var (id, at, said) in Of<(string, string, string)>("SELECT e.id, e.added_at, e.caption FROM picture e", ids)
        )
        {
            tell(Happened(id, at, StorySign.Notes, PictureSays.Photograph) with { Note = said });
        }
    }

    internal static StoryEvent Happened(string id, string at, StorySign sign, Message words, Message? beside = null) =>
        new(id, Stamp.Read(at), sign, words, beside ?? Message.Nothing);
}
