using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>
/// Tells the things of a page: of each kind that is there its entries are read in one statement, however many.
/// </summary>
internal sealed class StoryReader(Sql sql, BowRow bow, StoryKey[] keys)
{
    private const int InWords = 2;

    private readonly string bowId = bow.Id;
    private readonly Dictionary<string, StoryEvent> told = [];

    /// <summary>The things of some keys, in their order; one that cannot be told is left out.</summary>
    public IReadOnlyList<StoryEvent> Read()
    {
        Each(StoryEntry.Findings, Findings);
        Each(StoryEntry.Change, Changes);
        Each(StoryEntry.Fired, Fired);
        Each(StoryEntry.Good, Good);
        MovesAndSets();
        Each(StoryEntry.Act, Acts);
        Each(StoryEntry.Remark, Remarks);
        new StoryRest(sql, bow, Tell).Read(Each);
        return new StoryPictures(sql).Beside([.. keys.Where(k => told.ContainsKey(k.Id)).Select(k => (k, told[k.Id]))]);
    }

    private void Tell(StoryEvent happened) => told[happened.Id] = happened;

    /// <summary>Reads what is on the page of one kind; nothing is asked for where there is none.</summary>
    private void Each(StoryEntry entry, Action<object> read)
    {
        if (keys.Any(k => k.Entry == entry))
        {
            read(IdsOf(entry));
        }
    }

    private object IdsOf(StoryEntry entry) =>
        new { bowId, ids = FactsJson.Write(keys.Where(k => k.Entry == entry).Select(k => k.Id)) };

    private void Findings(object ids)
    {
        var found = sql.Query<(
            string Key,
            string Kind,
            double? Value,
            string? Choice,
            string? Skip,
            string Note,
            string At
        )>(
                $"""
                SELECT k.id, e.kind, e.value, e.choice, e.skip_reason, e.note, e.found_at
                FROM json_each(@ids) j JOIN check_finding k ON k.id = j.value JOIN check_finding e
                  ON {StoryKeys.OneGo}
                WHERE e.kind <> 'paper' AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = e.id)
                ORDER BY e.ordinal
                """,
                ids
            )
            .GroupBy(f => f.Key);
        foreach (var go in found)
        {
            var checks = go.Select(f => new StoryFinding(FactsJson.Enum<CheckKind>(f.Kind), f.Value, f.Choice, f.Skip))
                .ToArray();
            CheckFound[] words = [.. checks.Select(c => c.Told(bow.Bow.Kind))];
            Tell(
                new StoryEvent(
                    go.Key,
                    go.Max(f => Stamp.Read(f.At)),
                    StorySign.Setup,
                    new ChecksFound([.. words.Take(InWords)], Math.Max(0, words.Length - InWords)),
                    new ChecksMade(words.Length)
                )
                {
                    Note = string.Join(' ', go.Select(f => f.Note).Where(n => n.Length > 0)),
                    Opens = $"bow?check={FactsJson.Word(checks[^1].Kind)}",
                    Details =
                    [
                        .. words
                            .Skip(words.Length > InWords ? 0 : words.Length)
                            .Select(w => new StoryDetail(w.Check, w.Found)),
                    ],
                }
            );
        }
    }

    private void Changes(object ids)
    {
        foreach (
            var (id, change, note, at) in sql.Query<(string, string, string, string)>(
                "SELECT id, change, note, happened_at FROM bow_change WHERE id IN (SELECT value FROM json_each(@ids))",
                ids
            )
        )
        {
            Tell(
                new StoryEvent(
                    id,
                    Stamp.Read(at),
                    StorySign.Setup,
                    new ChangeName(FactsJson.Enum<BowChange>(change)),
                    Message.Nothing
                )
                {
                    Note = note,
                    Opens = "bow?way=history",
                }
            );
        }
    }

    private void Fired(object ids)
    {
        foreach (
            var (id, count, at) in sql.Query<(string, int, string)>(
                "SELECT id, count, fired_at FROM shots_fired WHERE id IN (SELECT value FROM json_each(@ids))",
                ids
            )
        )
        {
            Tell(
                new StoryEvent(id, Stamp.Read(at), StorySign.Setup, new ShotAway(count), Message.Nothing)
                {
                    Opens = "bow?way=string",
                }
            );
        }
    }

    private void Good(object ids)
    {
        foreach (
            var (id, note, at, arrow, version) in sql.Query<(string, string, string, string?, int)>(
                """
                SELECT g.id, g.note, g.marked_at, v.typed ->> 'name', coalesce(v.number, 0)
                FROM good_state g LEFT JOIN arrow_version v ON v.id = g.arrow_version_id
                WHERE g.id IN (SELECT value FROM json_each(@ids))
                """,
                ids
            )
        )
        {
            Tell(
                new StoryEvent(
                    id,
                    Stamp.Read(at),
                    StorySign.Setup,
                    new MarkedAsWell(arrow, version),
                    StorySays.ShotWell
                )
                {
                    Tone = StoryTone.Well,
                    Note = note,
                    Opens = "bow?way=history",
                }
            );
        }
    }

    /// <summary>A move tells what the set before it showed, and the one after it.</summary>
    private void MovesAndSets()
    {
        var moves = sql.Query<MoveOfStory>(
                """
                SELECT m.id, m.adjuster, m.from_step + m.from_half / 2.0 AS "from", m.to_step + m.to_half / 2.0 AS "to",
                  m.corrects, m.note, m.happened_at AS at, m.paper_id AS paperId, m.after_set_id AS "before",
                  (SELECT n.id FROM shot_set x JOIN shot_set n ON n.paper_id = x.paper_id AND n.number = x.number + 1
                    WHERE x.id = m.after_set_id) AS "after"
                FROM move m WHERE m.id IN (SELECT value FROM json_each(@ids))
                """,
                IdsOf(StoryEntry.Move)
            )
            .ToArray();
        var sets = StorySets.Of(
            sql,
            [
                .. keys.Where(k => k.Entry == StoryEntry.Set)
                    .Select(k => k.Id)
                    .Concat(moves.SelectMany(m => new[] { m.Before, m.After }).OfType<string>())
                    .Distinct(),
            ]
        );
        foreach (var set in sets.Values)
        {
            Tell(set.Told);
        }

        foreach (var move in moves)
        {
            Tell(
                move.Told(
                    move.Before is null ? null : sets.GetValueOrDefault(move.Before),
                    move.After is null ? null : sets.GetValueOrDefault(move.After)
                )
            );
        }
    }

    private void Acts(object ids)
    {
        foreach (
            var (id, kind, at, paper, atTarget) in sql.Query<(string, string, string, string, bool)>(
                """
                SELECT a.id, a.kind, a.recorded_at, a.paper_id, coalesce(s.at_target, 0)
                FROM session_act a LEFT JOIN shot_set s ON s.id = a.after_set_id
                WHERE a.id IN (SELECT value FROM json_each(@ids))
                """,
                ids
            )
        )
        {
            var accepted = kind == "accepted";
            Tell(
                new StoryEvent(
                    id,
                    Stamp.Read(at),
                    atTarget ? StorySign.Groups : StorySign.Paper,
                    accepted ? new AcceptedAs(atTarget) : new OpenedAgain(atTarget),
                    Message.Nothing
                )
                {
                    Tone = accepted ? StoryTone.Well : StoryTone.Plain,
                    Opens = $"{(atTarget ? "groups" : "paper")}?paper={paper}",
                }
            );
        }
    }

    private void Remarks(object ids)
    {
        foreach (
            var (id, rung, outcome, note, at, paper) in sql.Query<(string, string?, string?, string, string, string)>(
                """
                SELECT id, rung, outcome, note, noted_at, paper_id FROM paper_note
                WHERE id IN (SELECT value FROM json_each(@ids))
                """,
                ids
            )
        )
        {
            Tell(
                new StoryEvent(
                    id,
                    Stamp.Read(at),
                    StorySign.Notes,
                    rung is not null && FactsJson.TryEnum<RungKind>(rung) is { } of
                        ? new RungWasAnswered(new RungTitle(of), outcome ?? "")
                        : new Verbatim(note),
                    Message.Nothing
                )
                {
                    Note = rung is null ? "" : note,
                    Opens = $"paper?paper={paper}",
                }
            );
        }
    }
}
