using Dapper;
using Merganser.Tests;
using Microsoft.Data.Sqlite;

namespace Merganser.Web.Tests;

/// <summary>
/// What happened is only added to, whoever writes to the file: each table of history through plain SQL, without the
/// program.
/// </summary>
public partial class AddedOnlyTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("merganser-history-").FullName;
    private readonly SqliteConnection file;

    public AddedOnlyTests()
    {
        var path = Path.Combine(folder, "bench.db");
        File.Copy(Path.Combine(AppContext.BaseDirectory, "fixtures", "0010.db"), path);
        using (var database = new Data.Database(path, TimeProvider.System))
        {
            database.Migrate();
        }

        file = new SqliteConnection($"Data Source={path};Pooling=False");
        file.Open();
        file.Execute(
            """
            INSERT INTO crawl_mark (id, bow_id, ordinal, yards, crawl, distance_typed, crawl_typed, note, shot_at)
            SELECT 'c', id, 1, 20, 1.25, '20', '1 1/4', '', 'now' FROM bow LIMIT 1
            """
        );
        file.Execute(
            """
            INSERT INTO bow_sight (id, bow_id, eye_to_pin, eye_to_pin_typed, click_typed, measured_at)
            SELECT 's', id, 34, '34', '', 'now' FROM bow LIMIT 1
            """
        );
        file.Execute(
            """
            INSERT INTO sight_mark (id, paper_id, pin_right, pin_up, eye_to_pin, moved_at)
            SELECT 'h', id, 0, -0.1, 34, 'now' FROM paper LIMIT 1
            """
        );
        file.Execute(
            """
            INSERT INTO range_guess (id, archer_id, guessed, measured, guessed_typed, measured_typed, guessed_at)
            SELECT 'g', id, 30, 28, '30', '28', 'now' FROM archer LIMIT 1
            """
        );
        file.Execute(
            """
            INSERT INTO board_reading (id, bow_id, curve, mark, travel, force, source, taken_at)
            SELECT 'board', id, 1, 'force', 10, 50, 'typed', 'now' FROM bow LIMIT 1
            """
        );
        file.Execute(
            "INSERT INTO glue_sheet (id, joint, glue, note, entered_at) VALUES ('glue', 'insert', 'Epoxy', '', 'now')"
        );
        file.Execute(VisitRows);
        const string note = "INSERT INTO story_note (id, bow_id, text, happened_at, noted_at)";
        file.Execute($"{note} SELECT 'note', id, 'Hung by the stove', 'now', 'now' FROM bow LIMIT 1");
        file.Execute("INSERT INTO act (id, path, fingerprint, at) VALUES ('a', '/api/papers', 'f', 'now')");
    }

    /// <summary>Each table of history with its key, and a column that says something.</summary>
    public static TheoryData<string, string, string> History =>
        new()
        {
            { "bench", "id", "made_at" },
            { "bow_state", "id", "taken_at" },
            { "arrow_version", "id", "kept_at" },
            { "paper", "id", "started_at" },
            { "shot_set", "id", "distance_typed" },
            { "shot", "id", "shot_at" },
            { "shot_mark", "id", "reason" },
            { "move", "id", "note" },
            { "check_finding", "id", "typed" },
            { "bow_change", "id", "note" },
            { "withdrawn", "entry_id", "withdrawn_at" },
            { "shots_fired", "id", "source" },
            { "good_state", "id", "note" },
            { "dozen", "id", "started_at" },
            { "dozen_entry", "id", "at" },
            { "chronograph_shot", "id", "source" },
            { "paper_note", "id", "note" },
            { "response_reset", "id", "reason" },
            { "crawl_mark", "id", "note" },
            { "session_act", "id", "recorded_at" },
            { "bow_sight", "id", "eye_to_pin_typed" },
            { "sight_mark", "id", "moved_at" },
            { "act", "id", "path" },
            { "range_guess", "id", "guessed_typed" },
            { "glue_sheet", "id", "note" },
            { "board_reading", "id", "source" },
            { "flight_wish", "id", "circle_typed" },
            { "proven_mark", "id", "value_typed" },
            { "story_note", "id", "text" },
            { "visit", "id", "wants" },
            { "visit_state", "visit_id", "taken_at" },
            { "visit_value", "visit_id", "since" },
            { "visit_line", "id", "entered_at" },
            { "visit_end", "visit_id", "watch" },
            { "bow_owner", "id", "handed_at" },
        };

    [Theory]
    [MemberData(nameof(History))]
    public void Is_not_changed(string table, string key, string column)
    {
        var before = Rows(table, key);
        Refused($"UPDATE {table} SET {column} = {column} || '?'");
        Rows(table, key).ShouldBe(before);
    }

    [Theory]
    [MemberData(nameof(History))]
    public void Is_not_taken_away(string table, string key, string column)
    {
        column.ShouldNotBe(key);
        var before = Rows(table, key);
        Refused($"DELETE FROM {table}");
        Rows(table, key).ShouldBe(before);
    }

    [Theory]
    [MemberData(nameof(History))]
    public void Is_not_put_in_the_place_of_another(string table, string key, string column)
    {
        var before = Rows(table, key);
        var columns = file.Query<string>($"SELECT name FROM pragma_table_info('{table}')").ToArray();
        var named = string.Join(", ", columns);
        var changed = string.Join(", ", columns.Select(c => c == column ? "'replaced'" : c));
        Try($"INSERT OR REPLACE INTO {table} ({named}) SELECT {changed} FROM {table}");
        Rows(table, key).ShouldBe(before);
        var other = string.Join(", ", columns.Select(c => c == key ? $"{c} || '-other'" : c));
        Try($"INSERT OR REPLACE INTO {table} (rowid, {named}) SELECT rowid, {other} FROM {table}");
        Rows(table, key).ShouldBe(before);
    }

    [Fact]
    public void Every_table_of_history_is_among_these()
    {
        string[] changeable =
        [
            "SchemaVersions",
            "sqlite_sequence",
            "archer",
            "bow",
            "adjuster",
            "arrow",
            "component",
            "paper_day",
            "paper_learned",
            "bow_revision",
            "rack_line",
            "shots_total",
            "import_mapping",
            "reminder",
            "picture",
            "picture_bytes",
            "bin",
        ];
        file.Query<string>("SELECT name FROM sqlite_master WHERE type = 'table'")
            .Except(changeable)
            .Order()
            .ShouldBe(History.Select(row => (string)row[0]).Order());
    }

    [Fact]
    public void Has_a_row_in_each_table_of_this_test() =>
        History.Select(row => (string)row[0]).Where(t => Rows(t, "1").Count == 0).ShouldBeEmpty();

    [Theory]
    [InlineData("shot_set", "paper_id", "number")]
    [InlineData("shot", "set_id", "number")]
    [InlineData("move", "bow_id", "ordinal")]
    [InlineData("check_finding", "bow_id", "ordinal")]
    [InlineData("dozen_entry", "dozen_id", "ordinal")]
    [InlineData("arrow_version", "arrow_id", "number")]
    public void Another_row_at_the_same_place_is_refused(string table, string parent, string place)
    {
        var before = Rows(table, "id");
        var columns = file.Query<string>($"SELECT name FROM pragma_table_info('{table}')").ToArray();
        columns.ShouldContain(parent);
        columns.ShouldContain(place);
        var other = string.Join(", ", columns.Select(c => c == "id" ? "id || '-other'" : c));
        Refused($"INSERT OR REPLACE INTO {table} ({string.Join(", ", columns)}) SELECT {other} FROM {table}");
        Rows(table, "id").ShouldBe(before);
    }

    public void Dispose()
    {
        file.Dispose();
        Folders.Remove(folder);
        GC.SuppressFinalize(this);
    }

    private List<string> Rows(string table, string key) =>
        [
            .. file.Query($"SELECT * FROM {table} ORDER BY {key}")
                .Cast<IDictionary<string, object?>>()
                .Select(row => string.Join('|', row.Values)),
        ];

    private void Refused(string sql) =>
        Should.Throw<SqliteException>(() => file.Execute(sql)).Message.ShouldContain("only ever added");

    private void Try(string sql)
    {
        try
        {
            file.Execute(sql);
        }
        catch (SqliteException)
        {
            // Refused or passed over: either is well.
        }
    }

    [Fact]
    public void A_shot_names_its_kind_of_arrow_at_a_target_and_its_distance_in_a_walk_back_and_nowhere_else()
    {
        Should.Throw<SqliteException>(() => Shot("bare")).Message.ShouldContain("says what its stage asks for");
        Should.Throw<SqliteException>(() => Shot("crooked"));
        Should.Throw<SqliteException>(() => Shot(tip: "broadhead"));
        Should.Throw<SqliteException>(() => Shot(yards: 40));
        Shot().ShouldBe(1);
        file.Execute(
            """
            INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed, fletched,
              at_target, walk, purpose, after_move, started_at)
            SELECT 'walk', paper_id, 99, arrow_version_id, bow_state_id, 20, '20', 0, 1, 'own', 'session', 0, 'now'
            FROM shot_set LIMIT 1
            """
        );
        Should.Throw<SqliteException>(() => Shot("fletched", set: "walk")).Message.ShouldContain("distance");
        Should.Throw<SqliteException>(() => Shot("bare", yards: 40, set: "walk"));
        Shot("fletched", yards: 40, set: "walk").ShouldBe(1);
        file.Execute(
            """
            INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed, fletched,
              at_target, way_kind, way_first, way_second, purpose, after_move, started_at)
            SELECT 'ways', paper_id, 98, arrow_version_id, bow_state_id, 20, '20', 0, 1, 'grip', 'a', 'b', 'session',
              0, 'now'
            FROM shot_set WHERE number = 1 LIMIT 1
            """
        );
        Should.Throw<SqliteException>(() => Shot("fletched", set: "ways")).Message.ShouldContain("way");
        Should.Throw<SqliteException>(() => Shot("fletched", way: "third", set: "ways"));
        Shot("fletched", way: "first", set: "ways").ShouldBe(1);
        Should.Throw<SqliteException>(() => file.Execute("UPDATE shot_set SET range_error = 2 WHERE id = 'ways'"));
    }

    [Fact]
    public void A_guess_is_taken_back_by_its_own_archer_alone_and_once()
    {
        file.Execute(
            """
            INSERT INTO archer (id, name, facts, created_at) SELECT 'other', 'other', facts, created_at FROM archer LIMIT 1
            """
        );
        int Back(string id, string archer) =>
            file.Execute(
                """
                INSERT INTO range_guess (id, archer_id, guessed_typed, measured_typed, takes_back, guessed_at)
                VALUES (@id, @archer, '', '', 'g', 'now')
                """,
                new { id, archer }
            );
        Should.Throw<SqliteException>(() => Back("b", "other")).Message.ShouldContain("another archer");
        var own = file.QuerySingle<string>("SELECT archer_id FROM range_guess WHERE id = 'g'");
        Back("b", own).ShouldBe(1);
        Back("c", own).ShouldBe(0);
    }

    private int Shot(
        string? kind = null,
        string? tip = null,
        double? yards = null,
        string? set = null,
        string? way = null
    ) =>
        file.Execute(
            """
            INSERT INTO shot (id, set_id, number, point_x, point_y, tail_x, tail_y, side, shot_at, arrow_kind, tip, yards, way)
            SELECT 'x' || coalesce(@set, ''), coalesce(@set, set_id), 99, 0, 0, 0, 0, side, shot_at, @kind, @tip, @yards, @way
            FROM shot LIMIT 1
            """,
            new
            {
                kind,
                tip,
                yards,
                way,
                set,
            }
        );
}
