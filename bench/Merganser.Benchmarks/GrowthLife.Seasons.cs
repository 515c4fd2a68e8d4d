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

    /// <summary>More than a page of a list has: a full page is held against a full page.</summary>
    private const int APage = 12;

    /// <summary>A page of versions, dozens, checks, changes and readings, from before the first paper.</summary>
    private void Begin()
    {
        for (var i = 0; i < APage; i++)
        {
            Version();
            Dozen();
            Check(i);
            Change(i);
            Reading(0);
            Reading(1);
        }
    }

    /// <summary>What happens between papers.</summary>
    private void Season(int paper)
    {
        for (var i = 0; i < 2; i++)
        {
            Check(paper + i);
            Reading(i);
        }

        Fire(file.NewId(), 24, "entered");
        if (paper % 10 == 9)
        {
            Change(paper / 10);
        }

        if (paper % 30 == 29)
        {
            Version();
            Forget();
            Dozen();
        }
    }

    private void Check(int which)
    {
        var (kind, value) = Checks[which % Checks.Length];
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
    }

    /// <summary>A reading of the chronograph, with the light arrow or the heavy one.</summary>
    private void Reading(int heavy)
    {
        var reading = file.NewId();
        file.Insert(
            "chronograph_shot",
            new
            {
                id = reading,
                bow_id = bow,
                grains = 380.0 + (heavy * 60),
                speed = 265 - (heavy * 12) + file.Chance(),
                source = "typed",
                shot_at = now,
            }
        );
        Fire(reading, 1, "chronograph");
    }

    private void Change(int which) =>
        file.Insert(
            "bow_change",
            new
            {
                id = file.NewId(),
                bow_id = bow,
                ordinal = ++changes,
                change = Changes[which % Changes.Length],
                note = "",
                after_shots = shots,
                happened_at = now,
                recorded_at = now,
            }
        );

    /// <summary>Another version of the arrow: it is shot from then on.</summary>
    private void Version()
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
    }

    /// <summary>What was learned is forgotten.</summary>
    private void Forget() =>
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

    /// <summary>A dozen like the demo's first, of the newest version.</summary>
    private void Dozen()
    {
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
