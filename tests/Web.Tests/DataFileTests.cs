using Merganser.Data;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>A data file that cannot be used is refused with a sentence, and left as it is.</summary>
public sealed class DataFileTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("merganser-file-").FullName;

    private string File_ => Path.Combine(folder, "bench.db");

    [Fact]
    public void One_that_is_not_there_yet_is_fine_and_is_free_again_afterwards()
    {
        using (DataFile.Take(File_, "http://127.0.0.1:5210")) { }
        using (DataFile.Take(File_, "http://127.0.0.1:5210")) { }
    }

    [Fact]
    public void A_second_server_on_it_is_refused_and_told_which_is_the_first()
    {
        using var first = DataFile.Take(File_, "http://127.0.0.1:5210");
        Refused(File_).ShouldContain($"in use by http://127.0.0.1:5210 (process {Environment.ProcessId})");
    }

    [Theory]
    [InlineData("")]
    [InlineData("  ")]
    public void No_name_is_no_file(string path) => Refused(path).ShouldBe("Name the data file: --data FILE.");

    [Fact]
    public void A_folder_is_no_file() => Refused(folder).ShouldContain("is a folder");

    [Fact]
    public void A_place_where_nothing_can_be_written_is_said() =>
        Refused("/proc/merganser/bench.db").ShouldContain("cannot be written");

    [Theory]
    [InlineData("name;weight\nWrackline;9.1\n")]
    [InlineData("SQLite format 3\0, and no more")]
    public void What_is_not_SQLite_is_left_as_it_is(string text)
    {
        File.WriteAllText(File_, text);
        Refused(File_).ShouldContain("it is not SQLite");
        File.ReadAllText(File_).ShouldBe(text);
    }

    [Fact]
    public void One_that_is_cut_short_is_said_with_what_is_there()
    {
        Fixture(bytes => bytes[..(bytes.Length - 4096)]);
        Refused(File_).ShouldContain("is cut short");
    }

    [Fact]
    public void One_that_is_damaged_in_the_middle_is_said()
    {
        Fixture(bytes =>
        {
            Array.Clear(bytes, bytes.Length / 2 / 4096 * 4096, 4096);
            return bytes;
        });
        Refused(File_).ShouldContain("is damaged");
    }

    [Fact]
    public void One_that_a_newer_program_wrote_is_not_opened()
    {
        Fixture(bytes => bytes);
        using (var newer = new Database(File_, TimeProvider.System).Open())
        {
            using var command = newer.CreateCommand();
            command.CommandText =
                "INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Merganser.Data.Migrations.9999-later.sql', '2030-01-01')";
            command.ExecuteNonQuery();
        }

        Refused(File_).ShouldContain("written by a newer Merganser (Merganser.Data.Migrations.9999-later.sql)");
    }

    [Fact]
    public void One_that_another_program_holds_is_said()
    {
        Fixture(bytes => bytes);
        using var other = new Database(File_, TimeProvider.System).Open();
        using var command = other.CreateCommand();
        command.CommandText = "PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE; UPDATE archer SET name = name;";
        command.ExecuteNonQuery();
        Refused(File_).ShouldContain("is locked by another program");
    }

    public void Dispose() => Folders.Remove(folder);

    private static string Refused(string path) =>
        Should.Throw<DataFileException>(() => DataFile.Take(path, "here")).Message;

    /// <summary>A whole file of an earlier shape, changed.</summary>
    private void Fixture(Func<byte[], byte[]> change) =>
        File.WriteAllBytes(
            File_,
            change(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "fixtures", "0006.db")))
        );
}
