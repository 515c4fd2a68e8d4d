using System.Globalization;

namespace Merganser.Benchmarks;

/// <content>What happens between papers.</content>
public sealed partial class GrowthLife
{
    private static readonly string[] Changes = ["newString", "newServing", "newLoop", "newRest", "sight"];
    private static readonly (string Kind, double Value)[] Checks =
    [
        ("braceHeight", 7.1),
        ("axleToAxle", 33),
        ("drawWeight", 52),
    ];

    /// <summary>What happens between papers.</summary>
    private void Season(int paper)
    {
        for (var i = 0; i < 2; i++)
        {
            var (kind, value) = Checks[(paper + i) % Checks.Length];
            file.Insert(
                "check_finding",
                new
                {
                    id = file.NewId(),
                    bow_id = bow,
                    ordinal = ++findings,
                    kind,
                    value,
                    typed = value.ToString(CultureInfo.InvariantCulture),
                    after_move = moves,
                    after_change = changes,
                    after_shots = shots,
                    found_at = now,
                }
            );
            var reading = file.NewId();
            file.Insert(
                "chronograph_shot",
                new
                {
                    id = reading,
                    bow_id = bow,
                    grains = 380.0 + (i * 60),
                    speed = 265 - (i * 12) + file.Chance(),
                    source = "typed",
                    shot_at = now,
                }
            );
            Fire(reading, 1, "chronograph");
        }

        Fire(file.NewId(), 24, "entered");
        if (paper % 10 == 9)
        {
            file.Insert(
                "bow_change",
                new
                {
                    id = file.NewId(),
                    bow_id = bow,
                    ordinal = ++changes,
                    change = Changes[paper / 10 % Changes.Length],
                    note = "",
                    after_shots = shots,
                    happened_at = now,
                    recorded_at = now,
                }
            );
        }

        if (paper % 30 == 29)
        {
            Arrow();
        }
    }

    /// <summary>Another version of the arrow, a dozen of it, and what was learned forgotten.</summary>
    private void Arrow()
    {
        var version = file.NewId();
        var number = file.Number(
            "SELECT max(number) FROM arrow_version WHERE arrow_id = (SELECT arrow_id FROM arrow_version WHERE id = @arrow)",
            new { arrow }
        );
        file.Copy(
            "arrow_version",
            $"id = '{arrow}'",
            "arrow_id, facts, typed",
            new
            {
                id = version,
                number = number + 1,
                kept_at = now,
            }
        );
        arrow = version;
        file.Insert(
            "response_reset",
            new
            {
                id = file.NewId(),
                bow_id = bow,
                kinds = """{"schema":1,"items":[]}""",
                reason = "a new string",
                after_change = changes,
                after_paper = file.Number("SELECT count(*) FROM paper WHERE bow_id = @bow", new { bow }),
                after_shot = ShotsASet * SetsAPaper,
                reset_at = now,
            }
        );
        if (
            file.Column("SELECT id FROM dozen WHERE bow_id = @like ORDER BY rowid", new { like }).FirstOrDefault()
            is not { } of
        )
        {
            return;
        }

        var dozen = file.NewId();
        file.Copy(
            "dozen",
            $"id = '{of}'",
            "plan",
            new
            {
                id = dozen,
                bow_id = bow,
                arrow_version_id = arrow,
                started_at = now,
            }
        );
        file.Run(
            "INSERT INTO dozen_entry (id, dozen_id, ordinal, kind, facts, at) SELECT @dozen || '-' || ordinal, @dozen, ordinal, kind, facts, @now FROM dozen_entry WHERE dozen_id = @of",
            new
            {
                dozen,
                now,
                of,
            }
        );
    }

    private void Fire(string id, int count, string source)
    {
        file.Insert(
            "shots_fired",
            new
            {
                id,
                bow_id = bow,
                count,
                settling = 0,
                source,
                after_move = moves,
                after_change = changes,
                fired_at = now,
            }
        );
        shots += count;
    }
}
