using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Data;

/// <summary>Reads the papers of one bow: the bow, its archer and its arrows once for all of them.</summary>
internal sealed class PaperReader
{
    private readonly Sql sql;
    private readonly BowRow bow;
    private readonly Archer archer;
    private readonly Dictionary<string, SessionArrow> arrows = [];
    private readonly int settlingLeft;

    /// <exception cref="MissingException">There is no such bow.</exception>
    public PaperReader(Sql sql, string bowId)
    {
        this.sql = sql;
        bow = BowStore.Get(sql, bowId);
        archer = ArcherStore.Get(sql, bow.ArcherId).Archer;
        settlingLeft = FiredRows.SettlingLeft(sql, bowId);
    }

    /// <summary>Reads the papers of the bow that a paper was shot from.</summary>
    /// <exception cref="MissingException">There is no such paper.</exception>
    public static PaperReader Of(Sql sql, string paperId) =>
        new(
            sql,
            sql.Scalar<string?>("SELECT bow_id FROM paper WHERE id = @paperId", new { paperId })
                ?? throw new MissingException("paper")
        );

    /// <summary>A paper as it stands.</summary>
    /// <param name="id">The paper.</param>
    /// <param name="known">What earlier papers taught.</param>
    public PaperRow Read(string id, Knowledge known)
    {
        var row =
            sql.First<(string Arrow, double Tolerance, string? Plan, string StartedAt, int Version, int AfterMove)?>(
                """
                SELECT arrow_version_id, tolerance, plan, started_at, version,
                  (SELECT after_move FROM shot_set s WHERE s.paper_id = p.id ORDER BY number LIMIT 1)
                FROM paper p WHERE id = @id
                """,
                new { id }
            ) ?? throw new MissingException("paper");
        var moves = MoveLog.Since(sql, bow.Id, row.AfterMove);
        var events = SessionRecord.Of(sql, id, bow.Id, moves);
        SetBegun[] begun = [.. events.Select(e => e.Act).OfType<SetBegun>()];
        var plan = row.Plan is null ? Alone(events) : Kept.Read<SessionPlan>(row.Plan);
        var sight = begun.Any(s => s.Stage.Heads || s.Stage.OfSight) ? SightStore.Of(sql, bow.Id) : null;
        var session = new TuningSession(
            new SessionBow(bow.Bow, archer, bow.Adjusters, bow.Unsound)
            {
                Worked = ChangeRows.WorkedSince(sql, bow.Id, Stamp.Read(row.StartedAt)),
                SettlingLeft = settlingLeft,
                Sight = sight?.Sight,
            },
            [.. begun.Select(s => s.Arrow).Concat(plan.Order ?? []).Distinct().Select(Arrow)],
            plan,
            row.Tolerance,
            known,
            events
        );
        return new PaperRow(id, row.Arrow, Stamp.Read(row.StartedAt), row.Version, bow, moves, session)
        {
            Sight = sight,
        };
    }

    private SessionArrow Arrow(string version)
    {
        if (!arrows.TryGetValue(version, out var arrow))
        {
            var kept = ArrowStore.Version(sql, version);
            arrows[version] = arrow = new SessionArrow(version, kept.Typed.Name, kept.Arrow);
        }

        return arrow;
    }

    /// <summary>The plan of a paper that has none: one stage, by the archer's own school.</summary>
    private static SessionPlan Alone(IReadOnlyList<SessionEvent> events)
    {
        var first = events.Select(e => e.Act).OfType<SetBegun>().First();
        return new SessionPlan(SessionKind.Tune, null, [first.Stage], SessionPlan.UntilClear, false, null);
    }
}
