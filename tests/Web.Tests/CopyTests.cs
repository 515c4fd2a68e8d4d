using System.Text.Json.Nodes;
using Merganser.Data;
using Merganser.Tests;
using Merganser.Web.Copies;
using Microsoft.Data.Sqlite;

namespace Merganser.Web.Tests;

/// <summary>Copies of the data file: made under load, looked over, put back.</summary>
public class CopyTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("merganser-copy-").FullName;

    private string In(string name) => Path.Combine(folder, name);

    private (int Status, string Said) Run(params string[] args)
    {
        var said = new StringWriter();
        return (CopyCommands.Run(args, TimeProvider.System, said), said.ToString());
    }

    [Fact]
    public async Task A_copy_made_while_shots_are_marked_is_whole_and_reads_the_same()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        var shooting = Task.Run(async () =>
        {
            for (var i = 0; i < 40; i++)
            {
                await app.Shoot(paper, .1, .2);
            }
        });
        var made = new List<string>();
        for (var i = 0; i < 5; i++)
        {
            Run("backup", In($"{i}.db"), "--data", app.File).Status.ShouldBe(0);
            made.Add(In($"{i}.db"));
        }

        await shooting;
        var shots = made.Select(m => CopyFile.Check(m).Shots).ToArray();
        shots.ShouldBe([.. shots.Order()], "a later copy has no fewer shots");
        shots[0].ShouldBeGreaterThan(100);
    }

    [Fact]
    public async Task A_copy_put_back_is_as_it_was_and_what_was_there_is_kept()
    {
        string file;
        using (var app = new App())
        {
            Run("backup", In("copy.db"), "--data", app.File).Status.ShouldBe(0);
            await app.Post($"/api/bows/{App.Brindle}/story/notes", new { id = App.NewId(), text = "after the copy" });
            Run("restore", In("copy.db"), "--data", app.File).Said.ShouldContain("in use");
            file = In("bench.db");
            Run("backup", file, "--data", app.File).Status.ShouldBe(0);
        }

        var (status, said) = Run("restore", In("copy.db"), "--data", file);
        (status, Notes(file)).ShouldBe((0, 0));
        var kept = said.Split("What was there is ")[1].Trim();
        Notes(kept).ShouldBe(1);
    }

    [Theory]
    [InlineData("cut")]
    [InlineData("damaged")]
    [InlineData("text")]
    [InlineData("other")]
    [InlineData("none")]
    public void What_is_no_whole_copy_is_refused_and_the_data_stay(string how)
    {
        using (var app = new App())
        {
            Run("backup", In("bench.db"), "--data", app.File).Status.ShouldBe(0);
        }

        var (bad, before) = (In("bad.db"), File.ReadAllBytes(In("bench.db")));
        byte[] bytes = [.. before];
        switch (how)
        {
            case "cut":
                File.WriteAllBytes(bad, bytes[..(bytes.Length / 2)]);
                break;
            case "damaged":
                // The first bytes of every page but the first: each says what the page is.
                for (var page = 4096; page < bytes.Length; page += 4096)
                {
                    bytes.AsSpan(page, 64).Fill(0xA5);
                }

                File.WriteAllBytes(bad, bytes);
                break;
            case "text":
                File.WriteAllText(bad, "no data at all");
                break;
            case "other":
                using (var other = new SqliteConnection($"Data Source={bad};Pooling=False"))
                {
                    other.Open();
                    using var command = other.CreateCommand();
                    command.CommandText = "CREATE TABLE cups (id TEXT)";
                    command.ExecuteNonQuery();
                }

                break;
        }

        var (status, said) = Run("restore", bad, "--data", In("bench.db"));
        status.ShouldBe(2);
        said.Trim().ShouldNotBeEmpty();
        File.ReadAllBytes(In("bench.db")).ShouldBe(before);
        Run("check", bad).Status.ShouldBe(2);
        Run("check", "--data", In("bench.db")).Status.ShouldBe(0);
    }

    [Fact]
    public void A_damaged_file_can_be_replaced_by_its_copy()
    {
        using (var app = new App())
        {
            Run("backup", In("copy.db"), "--data", app.File).Status.ShouldBe(0);
        }

        File.WriteAllText(In("bench.db"), "the disk ate it");
        var (status, said) = Run("restore", In("copy.db"), "--data", In("bench.db"));
        status.ShouldBe(0);
        File.ReadAllText(said.Split("What was there is ")[1].Trim()).ShouldBe("the disk ate it");
        Run("check", "--data", In("bench.db")).Status.ShouldBe(0);
    }

    [Fact]
    public void One_daily_copy_a_day_and_the_newest_of_them_are_kept()
    {
        using var app = new App();
        var clock = new Calendar { Now = new DateTimeOffset(2026, 11, 1, 9, 0, 0, TimeSpan.Zero) };
        var copies = new DataCopies(app.Database, clock);
        copies.MakeDaily().ShouldNotBeNull();
        clock.Now += TimeSpan.FromHours(6);
        copies.MakeDaily().ShouldBeNull("today has one");
        copies.Make().Daily.ShouldBeFalse();
        for (var day = 0; day < 20; day++)
        {
            clock.Now += TimeSpan.FromDays(1);
            copies.MakeDaily().ShouldNotBeNull();
        }

        var all = copies.All();
        all.Count(c => c.Daily).ShouldBe(DataCopies.DailyKept);
        all.Count(c => !c.Daily).ShouldBe(1, "what was made by hand stays");
        all[0].At.ShouldBe(clock.GetUtcNow());
    }

    [Fact]
    public async Task The_screen_makes_a_copy_and_hands_it_out()
    {
        using var app = new App();
        ((JsonArray)(await app.Get("/api/copies"))["copies"]!).ShouldBeEmpty();
        var (status, view) = await app.Post("/api/copies", "");
        status.ShouldBe(200);
        var name = (string)view["copies"]!.AsArray().ShouldHaveSingleItem()!["name"]!;
        ((string)view["file"]!).ShouldBe(app.File);
        var bytes = await app.Http.GetByteArrayAsync($"/api/copies/{name}");
        File.WriteAllBytes(In("taken.db"), bytes);
        CopyFile.Check(In("taken.db")).Bows.ShouldBe(6);
        using var missing = await app.Http.GetAsync("/api/copies/..%2F..%2Fetc%2Fpasswd");
        ((int)missing.StatusCode).ShouldBeOneOf(400, 404);
    }

    private sealed class Calendar : TimeProvider
    {
        public DateTimeOffset Now { get; set; }

        public override DateTimeOffset GetUtcNow() => Now;
    }

    private static int Notes(string file)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT count(*) FROM story_note WHERE text = 'after the copy'";
        return Convert.ToInt32(command.ExecuteScalar(), System.Globalization.CultureInfo.InvariantCulture);
    }

    public void Dispose()
    {
        Folders.Remove(folder);
    }
}
