using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Merganser.Benchmarks;

/// <summary>Five years of one bow, paper after paper.</summary>
public sealed partial class GrowthLife
{
    private const int ShotsASet = 3;
    private const int SetsAPaper = 4;
    private const double Tolerance = 0.25;

    /// <summary>What is a bow's plan that the demo never shot through paper.</summary>
    private const string UsualPlan = """
        {"schema":1,"kind":"tune","school":null,"stages":[{"distance":6,"fletched":false}],"shotsPerDecision":0,"byMachine":false,
        "dozenId":null}
        """;

    private static readonly DateTimeOffset From = new(2021, 11, 20, 9, 0, 0, TimeSpan.Zero);
    private static readonly DateTimeOffset To = new(2026, 11, 20, 9, 0, 0, TimeSpan.Zero);

    private readonly GrowthFile file;
    private readonly string bow;
    private readonly string like;
    private readonly string plan;
    private readonly string facts;
    private readonly List<Screw> screws;
    private string arrow;
    private int moves;
    private int changes;
    private int findings;
    private int shots;
    private string now = "";

    public GrowthLife(GrowthFile file, string bow, string like)
    {
        (this.file, this.bow, this.like) = (file, bow, like);
        var of = new { bow, like };
        arrow = file.Column(
            "SELECT v.id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE a.bow_id = @bow ORDER BY v.rowid",
            of
        )[0];
        plan =
            file.Column("SELECT plan FROM paper WHERE bow_id = @like AND plan IS NOT NULL ORDER BY rowid", of)
                .FirstOrDefault()
            ?? UsualPlan;
        facts = file.Column("SELECT facts FROM bow WHERE id = @bow", of)[0];
        screws =
        [
            .. file.Column(
                    "SELECT kind || ' ' || position || ' ' || lower || ' ' || upper FROM adjuster WHERE bow_id = @bow AND fitted = 1 AND kind <> 'camSpacer'",
                    of
                )
                .Select(row => new Screw(row.Split(' '))),
        ];
        moves = file.Number("SELECT count(*) FROM move WHERE bow_id = @bow", of);
        changes = file.Number("SELECT count(*) FROM bow_change WHERE bow_id = @bow", of);
        findings = file.Number("SELECT count(*) FROM check_finding WHERE bow_id = @bow", of);
        shots = file.Number("SELECT coalesce(sum(count), 0) FROM shots_fired WHERE bow_id = @bow", of);
    }

    /// <summary>Shoots so many arrows through paper, and does all that comes between.</summary>
    public void Shoot(int arrows)
    {
        var papers = arrows / ShotsASet / SetsAPaper;
        now = Written(From.AddDays(-1));
        Begin();
        for (var i = 0; i < papers; i++)
        {
            now = Written(From + ((To - From) * i / papers));
            Season(i);
            Paper(accepted: i < papers - 1);
        }

        foreach (var screw in screws)
        {
            file.Run(
                "UPDATE adjuster SET position = @Position WHERE bow_id = @bow AND kind = @Kind",
                new
                {
                    bow,
                    screw.Kind,
                    screw.Position,
                }
            );
        }
    }

    private static string Written(DateTimeOffset time) =>
        time.ToString("yyyy-MM-dd'T'HH:mm:ss.fffzzz", CultureInfo.InvariantCulture);

    private void Paper(bool accepted)
    {
        var paper = file.NewId();
        file.Insert(
            "paper",
            new
            {
                id = paper,
                bow_id = bow,
                arrow_version_id = arrow,
                tolerance = Tolerance,
                plan,
                started_at = now,
            }
        );
        var stage = JsonNode.Parse(plan)!["stages"]![0]!;
        var (state, set) = ("", "");
        for (var number = 1; number <= SetsAPaper; number++)
        {
            (state, set) = (file.NewId(), file.NewId());
            file.Insert(
                "bow_state",
                new
                {
                    id = state,
                    bow_id = bow,
                    facts,
                    positions = Positions(),
                    taken_at = now,
                }
            );
            file.Insert(
                "shot_set",
                new
                {
                    id = set,
                    paper_id = paper,
                    number,
                    arrow_version_id = arrow,
                    bow_state_id = state,
                    distance = (double)stage["distance"]!,
                    distance_typed = $"{stage["distance"]}",
                    fletched = (bool)stage["fletched"]!,
                    started_at = now,
                    purpose = "session",
                    after_move = moves,
                }
            );
            for (var shot = 1; shot <= ShotsASet; shot++)
            {
                Shot(set, number, shot);
            }

            if (number < SetsAPaper)
            {
                Move(paper, set);
            }
        }

        file.Insert(
            "paper_note",
            new
            {
                id = file.NewId(),
                paper_id = paper,
                after_set_id = set,
                note = "wind from the left",
                noted_at = now,
            }
        );
        if (accepted)
        {
            file.Insert(
                "session_act",
                new
                {
                    id = file.NewId(),
                    paper_id = paper,
                    after_set_id = set,
                    kind = "accepted",
                    recorded_at = now,
                }
            );
            file.Insert(
                "good_state",
                new
                {
                    id = file.NewId(),
                    bow_id = bow,
                    bow_state_id = state,
                    arrow_version_id = arrow,
                    readings = """{"schema":1,"items":{"braceHeight":7.1}}""",
                    note = "",
                    marked_at = now,
                }
            );
        }
    }

    private void Shot(string set, int number, int shot)
    {
        var id = file.NewId();
        file.Insert(
            "shot",
            new
            {
                id,
                set_id = set,
                number = shot,
                point_x = 0.0,
                point_y = 0.0,
                tail_x = Math.Round((.9 / number) + (file.Chance() * .3) - .15, 2),
                tail_y = Math.Round((file.Chance() * .3) - .15, 2),
                side = "shootingSide",
                shot_at = now,
            }
        );
        Fire(id, 1, "paper");
        if (file.Chance() < .05)
        {
            file.Insert(
                "shot_mark",
                new
                {
                    id = file.NewId(),
                    shot_id = id,
                    @void = 1,
                    reason = "plucked",
                    marked_at = now,
                }
            );
        }
    }

    private void Move(string paper, string set)
    {
        var screw = screws[moves % screws.Count];
        var from = screw.Position;
        screw.Turn();
        file.Insert(
            "move",
            new
            {
                id = file.NewId(),
                bow_id = bow,
                paper_id = paper,
                after_set_id = set,
                adjuster = screw.Kind,
                from_step = from,
                to_step = screw.Position,
                kind = "move",
                note = "",
                happened_at = now,
                recorded_at = now,
                ordinal = ++moves,
            }
        );
    }

    private string Positions() =>
        JsonSerializer.Serialize(
            new
            {
                schema = 2,
                items = screws.Select(s => new
                {
                    kind = s.Kind,
                    position = s.Position,
                    lower = s.Lower,
                    upper = s.Upper,
                    needsPress = false,
                    inchesPerStep = (double?)null,
                    seats = (object?)null,
                    way = "agreed",
                }),
            }
        );

    /// <summary>An adjuster: kind, position, lower, upper.</summary>
    private sealed class Screw(string[] row)
    {
        public string Kind { get; } = row[0];
        public int Position { get; private set; } = int.Parse(row[1], CultureInfo.InvariantCulture);
        public int Lower { get; } = int.Parse(row[2], CultureInfo.InvariantCulture);
        public int Upper { get; } = int.Parse(row[3], CultureInfo.InvariantCulture);

        public void Turn() => Position = Position < Upper ? Position + 1 : Position - 1;
    }
}
