using System.Text.RegularExpressions;
using Dapper;
using Merganser.Data;
using Merganser.Tests;
using Microsoft.Data.Sqlite;

namespace Merganser.Web.Tests;

public class DatabaseTests
{
    [Fact]
    public void Every_connection_keeps_what_it_is_told()
    {
        using var app = new App();
        using var connection = app.Database.Open();
        connection.ExecuteScalar<string>("PRAGMA journal_mode").ShouldBe("wal");
        connection.ExecuteScalar<long>("PRAGMA synchronous").ShouldBe(2, "FULL is 2");
        connection.ExecuteScalar<long>("PRAGMA foreign_keys").ShouldBe(1);
    }

    [Theory]
    [InlineData("UPDATE shot SET tail_x = 0")]
    [InlineData("DELETE FROM shot")]
    [InlineData("UPDATE arrow_version SET facts = '{}'")]
    [InlineData("UPDATE move SET to_step = 0")]
    public void History_cannot_be_rewritten(string sql)
    {
        using var app = new App();
        using var connection = app.Database.Open();
        Should.Throw<SqliteException>(() => connection.Execute(sql));
    }

    [Fact]
    public void A_command_that_fails_half_way_leaves_nothing()
    {
        using var app = new App();
        Should.Throw<SqliteException>(() =>
            app.Database.Write(sql =>
            {
                sql.Execute("INSERT INTO archer (id, name, facts, created_at) VALUES ('x', 'x', '{}', 'now')");
                return sql.Execute(
                    "INSERT INTO bow (id, archer_id, name, facts, typed, created_at) VALUES ('y', 'nobody', 'y', '{}', '{}', 'now')"
                );
            })
        );
        app.Database.Read(sql => sql.Scalar<long>("SELECT count(*) FROM archer WHERE id = 'x'")).ShouldBe(0);
    }

    /// <summary>One fixture for each migration: a file as that version left it.</summary>
    [Theory]
    [InlineData("0001.db")]
    [InlineData("0002.db")]
    [InlineData("0003.db")]
    [InlineData("0004.db")]
    [InlineData("0005.db")]
    [InlineData("0006.db")]
    [InlineData("0007.db")]
    [InlineData("0008.db")]
    [InlineData("0009.db")]
    [InlineData("0010.db")]
    [InlineData("0012.db")]
    [InlineData("0017.db")]
    [InlineData("0018.db")]
    [InlineData("0019.db")]
    [InlineData("0021.db")]
    [InlineData("0022.db")]
    [InlineData("0023.db")]
    [InlineData("0024.db")]
    [InlineData("0025.db")]
    [InlineData("0026.db")]
    [InlineData("0027.db")]
    [InlineData("0028.db")]
    [InlineData("0029.db")]
    [InlineData("0030.db")]
    public void An_older_file_is_brought_up_to_date_and_reads_the_same(string fixture)
    {
        var folder = Directory.CreateTempSubdirectory("merganser-fixture-").FullName;
        var path = Path.Combine(folder, "old.db");
        File.Copy(Path.Combine(AppContext.BaseDirectory, "fixtures", fixture), path);
        var before = Everything(path);
        using var database = new Database(path, TimeProvider.System);
        database.Migrate();
        Kept(before, Everything(path)).ShouldBeEmpty();
        var bow = new BowStore(database, TimeProvider.System).All().First(b => b.Bow.Name == "Brindle");
        bow.Bow.DrawLength.ShouldBe(29);
        var paper = new PaperStore(database, TimeProvider.System).Newest(bow.Id)!;
        paper.Session.Sets.Count.ShouldBe(2);
        paper.Session.Sets[1].Shots.Count(s => s.Counts).ShouldBe(5);
        database.Dispose();
        File.Exists($"{path}-wal").ShouldBeFalse("who closes a file leaves no log beside it");
        Folders.Remove(folder);
    }

    /// <summary>
    /// Each table with its rows, each row by column; what is said about the tables themselves left out.
    /// </summary>
    private static Dictionary<string, List<IDictionary<string, object?>>> Everything(string path)
    {
        using var file = new SqliteConnection($"Data Source={path};Pooling=False");
        return file.Query<string>("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
            .Where(table => table != "SchemaVersions")
            .ToDictionary(
                table => table,
                table =>
                    file.Query($"SELECT * FROM {table} ORDER BY rowid").Cast<IDictionary<string, object?>>().ToList()
            );
    }

    /// <summary>Tables that got another name since.</summary>
    private static readonly Dictionary<string, string> Renamed = new() { ["head_mark"] = "sight_mark" };

    /// <summary>
    /// What a migration lost or changed of what was there, but for columns that it drops or counts on.
    /// </summary>
    private static IEnumerable<string> Kept(
        Dictionary<string, List<IDictionary<string, object?>>> before,
        Dictionary<string, List<IDictionary<string, object?>>> after
    )
    {
        string[] moved = ["paper.accepted_at", "bow_revision.number"];
        foreach (var (table, rows) in before)
        {
            var now = after[Renamed.GetValueOrDefault(table, table)];
            if (now.Count < rows.Count)
            {
                yield return $"{table}: {now.Count} of {rows.Count} rows";
                continue;
            }

            foreach (var (row, at) in rows.Select((row, at) => (row, at)))
            {
                foreach (var (column, value) in row.Where(c => !moved.Contains($"{table}.{c.Key}")))
                {
                    if (
                        !now[at].TryGetValue(column, out var kept)
                        || !Equals(Unnumbered(kept), Unnumbered(Unworded(table, value)))
                    )
                    {
                        yield return $"{table}.{column} of row {at + 1}: {value} became {kept}";
                    }
                }
            }
        }
    }

    /// <summary>A plan's stages were once kept with their words: those are dropped on purpose.</summary>
    private static object? Unworded(string table, object? value) =>
        table == "paper" && value is string text ? Regex.Replace(text, ",\"words\":\"[^\"]*\"", "") : value;

    /// <summary>Facts were once kept without the number of their shape.</summary>
    private static object? Unnumbered(object? value) =>
        value switch
        {
            string text => Regex.Replace(
                Regex.Replace(text, "^{\"schema\":1,\"items\":(.*)}$", "$1"),
                "^{\"schema\":1,",
                "{"
            ),
            byte[] bytes => Convert.ToHexString(bytes),
            _ => value,
        };

    [Fact]
    public void A_file_with_data_is_copied_before_it_is_migrated()
    {
        var folder = Directory.CreateTempSubdirectory("merganser-copy-").FullName;
        var path = Path.Combine(folder, "old.db");
        using (var connection = new SqliteConnection($"Data Source={path};Pooling=False"))
        {
            connection.Open();
            connection.Execute("CREATE TABLE keepsake (words TEXT); INSERT INTO keepsake VALUES ('kept')");
        }

        using var database = new Database(path, TimeProvider.System);
        var copy = database.Migrate();
        copy.ShouldNotBeNull();
        using (var connection = new SqliteConnection($"Data Source={copy};Pooling=False"))
        {
            connection.ExecuteScalar<string>("SELECT words FROM keepsake").ShouldBe("kept");
            connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'bow'").ShouldBe(0);
        }

        database.Dispose();
        Folders.Remove(folder);
    }
}
