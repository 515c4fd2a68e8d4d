using Dapper;
using Microsoft.Data.Sqlite;

namespace Merganser.Benchmarks;

/// <summary>
/// Five years of a shop in one file: forty bows, cloned from those of the demo, each with papers, moves, checks,
/// changes, dozens and readings. Written by plain SQL, since by the API it would take hours.
/// </summary>
public sealed class GrowthFile : IDisposable
{
    public const int Bows = 40;

    private readonly SqliteConnection file;
    private readonly SqliteTransaction all;
    private readonly Random random = new(20261127);

    private GrowthFile(string path)
    {
        file = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = path,
                Pooling = false,
                ForeignKeys = true,
            }.ToString()
        );
        file.Open();
        all = file.BeginTransaction();
    }

    /// <summary>Fills a file of the demo with so many shots on paper.</summary>
    /// <returns>The bows that are not the demo's own: the papers of those are of another time than the rest of their
    /// history.</returns>
    public static IReadOnlyList<string> Fill(string path, int shots)
    {
        using var filling = new GrowthFile(path);
        var demo = filling.Column("SELECT id FROM bow ORDER BY created_at, id", new { });
        List<string> bows = [.. demo];
        while (bows.Count < Bows)
        {
            bows.Add(filling.Clone(demo[bows.Count % demo.Count], bows.Count));
        }

        for (var i = 0; i < Bows; i++)
        {
            new GrowthLife(filling, bows[i], demo[i % demo.Count]).Shoot(shots / Bows);
        }

        filling.all.Commit();
        return bows[demo.Count..];
    }

    /// <summary>An id that no other row has.</summary>
    public string NewId()
    {
        var bytes = new byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes).ToString();
    }

    /// <summary>A number between 0 and 1.</summary>
    public double Chance() => random.NextDouble();

    /// <summary>Adds a row; its members are its columns.</summary>
    public void Insert(string table, object row)
    {
        string[] columns = [.. row.GetType().GetProperties().Select(p => p.Name)];
        Run(
            $"INSERT INTO {table} ({string.Join(", ", columns)}) VALUES ({string.Join(", ", columns.Select(c => $"@{c}"))})",
            row
        );
    }

    /// <summary>Adds a row that is like another but for some columns.</summary>
    /// <param name="table">The table.</param>
    /// <param name="like">Names the other, in SQL.</param>
    /// <param name="same">The columns that are the same.</param>
    /// <param name="other">The columns that are not.</param>
    public void Copy(string table, string like, string same, object other)
    {
        string[] columns = [.. other.GetType().GetProperties().Select(p => p.Name)];
        Run(
            $"""
            INSERT INTO {table} ({string.Join(", ", columns)}, {same})
            SELECT {string.Join(", ", columns.Select(c => $"@{c}"))}, {same} FROM {table} WHERE {like}
            """,
            other
        );
    }

    public void Run(string statement, object values) => file.Execute(statement, values, all);

    public List<string> Column(string statement, object values) => [.. file.Query<string>(statement, values, all)];

    public int Number(string statement, object values) => (int)file.ExecuteScalar<long>(statement, values, all);

    public void Dispose()
    {
        all.Dispose();
        file.Dispose();
    }

    private string Clone(string of, int number)
    {
        var (archer, bow, arrow) = (NewId(), NewId(), NewId());
        var from = $"'{of}'";
        Copy(
            "archer",
            $"id = (SELECT archer_id FROM bow WHERE id = {from})",
            "facts, created_at",
            new { id = archer, name = $"Archer {number}" }
        );
        Copy(
            "bow",
            $"id = {from}",
            "facts, typed, created_at, string_plan",
            new
            {
                id = bow,
                archer_id = archer,
                name = $"Bow {number}",
            }
        );
        Copy(
            "adjuster",
            $"bow_id = {from}",
            "kind, position, lower, upper, needs_press, fitted, inches_per_step, seats",
            new { bow_id = bow }
        );
        var kept = Column(
            "SELECT v.id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE a.bow_id = @of ORDER BY v.rowid",
            new { of }
        )[0];
        Copy(
            "arrow",
            $"id = (SELECT arrow_id FROM arrow_version WHERE id = '{kept}')",
            "name, draft, created_at, changed_at",
            new { id = arrow, bow_id = bow }
        );
        Copy(
            "arrow_version",
            $"id = '{kept}'",
            "facts, typed, kept_at",
            new
            {
                id = NewId(),
                arrow_id = arrow,
                number = 1,
            }
        );
        return bow;
    }
}
