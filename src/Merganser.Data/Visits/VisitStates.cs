using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Visits;

namespace Merganser.Data;

/// <summary>How a bow stood as it came and as it left, in columns: what is entered later changes none of it.</summary>
internal static class VisitStates
{
    /// <summary>How a bow stands now.</summary>
    public static VisitState Now(Sql sql, string bowId, DateTimeOffset now) =>
        VisitState.Of(
            StateReader.Of(sql, bowId, now),
            SetupReader.String(sql, bowId),
            BowStore.Get(sql, bowId).Unsound
        );

    /// <summary>Keeps a state.</summary>
    public static int Keep(Sql sql, string visitId, string moment, VisitState kept)
    {
        var state = kept.State;
        sql.Execute(
            """
            INSERT INTO visit_state (visit_id, moment, taken_at, string_shots, string_put_on, arrow_version_id, arrow_since,
              settling_left, check_in, unsound)
            VALUES (@visitId, @moment, @at, @StringShots, @putOn, @arrow, @since, @SettlingLeft, @CheckIn, @IsUnsound)
            """,
            new
            {
                visitId,
                moment,
                at = Stamp.Of(state.At),
                state.StringShots,
                putOn = state.StringPutOn is { } on ? Stamp.Of(on) : null,
                arrow = state.Arrow?.VersionId,
                since = state.ArrowSince is { } since ? Stamp.Of(since) : null,
                kept.SettlingLeft,
                kept.CheckIn,
                kept.IsUnsound,
            }
        );
        var checks = state
            .Findings.Values.Where(f => f.Finding.Value is not null || f.Finding.Choice is not null)
            .Select(f => new
            {
                visitId,
                moment,
                part = "check",
                kind = FactsJson.Word(f.Finding.Kind),
                value = f.Finding.Value,
                choice = f.Finding.Choice,
                since = (string?)Stamp.Of(f.At),
            });
        var adjusters = state.Positions.Select(p => new
        {
            visitId,
            moment,
            part = "adjuster",
            kind = FactsJson.Word(p.Key),
            value = (double?)p.Value.Position,
            choice = (string?)null,
            since = p.Value.MovedAt is { } moved ? Stamp.Of(moved) : null,
        });
        return sql.Execute(
            """
            INSERT INTO visit_value (visit_id, moment, part, kind, value, choice, since)
            VALUES (@visitId, @moment, @part, @kind, @value, @choice, @since)
            """,
            checks.Concat(adjusters)
        );
    }

    /// <summary>Reads a state as it was kept; tears, groups and speeds are those of the record until then.</summary>
    public static VisitState Of(Sql sql, string bowId, string visitId, string moment)
    {
        var of = new { visitId, moment };
        var (at, shots, putOn, arrow, since, settling, checkIn, unsound) = sql.First<(
            string,
            long,
            string?,
            string?,
            string?,
            long,
            long?,
            bool
        )>(
            """
            SELECT taken_at, string_shots, string_put_on, arrow_version_id, arrow_since, settling_left, check_in, unsound
            FROM visit_state WHERE visit_id = @visitId AND moment = @moment
            """,
            of
        );
        var values = sql.Query<(string Part, string Kind, double? Value, string? Choice, string? Since)>(
                """
                SELECT part, kind, value, choice, since FROM visit_value WHERE visit_id = @visitId AND moment = @moment
                """,
                of
            )
            .ToLookup(v => v.Part);
        var results = StateReader.Of(sql, bowId, Stamp.Read(at));
        var state = results with
        {
            StringShots = (int)shots,
            StringPutOn = putOn is null ? null : Stamp.Read(putOn),
            Arrow = arrow is null ? null : StateReader.ArrowAs(sql, arrow),
            ArrowSince = since is null ? null : Stamp.Read(since),
            Positions = values["adjuster"]
                .ToDictionary(
                    v => FactsJson.Enum<AdjusterKind>(v.Kind),
                    v => new StoodThen(v.Value!.Value, v.Since is null ? null : Stamp.Read(v.Since))
                ),
            Findings = values["check"]
                .ToDictionary(
                    v => FactsJson.Enum<CheckKind>(v.Kind),
                    v => new FoundThen(
                        new StoryFinding(FactsJson.Enum<CheckKind>(v.Kind), v.Value, v.Choice, null),
                        Stamp.Read(v.Since!)
                    )
                ),
        };
        return new VisitState(state, (int)settling, (int?)checkIn, unsound);
    }
}
