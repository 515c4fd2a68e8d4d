using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Merganser.Core.Paper;
using Merganser.Data;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>
/// Every shape that facts were ever kept in has a file in tests/vectors/kept, and is read. With MERGANSER_KEPT=write
/// the files of the present numbers are written anew: for a number that no file out there has yet.
/// </summary>
public class KeptTests
{
    private static readonly string Folder = Path.Combine(Repository.Root, "tests/vectors/kept");

    public static IEnumerable<object[]> EveryShape =>
        Kept.Shapes.SelectMany(s => Enumerable.Range(1, s.Number).Select(n => new object[] { s.Name, n }));

    /// <summary>A member that is new, gone or renamed changes what is written: it needs a number and a step.</summary>
    [Theory]
    [MemberData(nameof(EveryShape))]
    public void Each_shape_is_read_and_its_present_number_is_written_as_it_stands(string name, int number)
    {
        var (_, present, type) = Kept.Shapes.Single(s => s.Name == name);
        var file = Path.Combine(Folder, $"{name}-{number}.json");
        var text = JsonNode.Parse(File.ReadAllText(file))!;
        ((int)text["schema"]!).ShouldBe(number);
        var again = JsonNode.Parse(Written(type, Read(type, text.ToJsonString())))!;
        ((int)again["schema"]!).ShouldBe(present);
        if (number < present)
        {
            return;
        }

        if (Environment.GetEnvironmentVariable("MERGANSER_KEPT") == "write")
        {
            File.WriteAllText(file, again.ToJsonString(new JsonSerializerOptions { WriteIndented = true }) + "\n");
        }

        again
            .ToJsonString()
            .ShouldBe(
                JsonNode.Parse(File.ReadAllText(file))!.ToJsonString(),
                "what is written changed: give the shape its next number and a step (Kept.cs)"
            );
    }

    [Fact]
    public void No_shape_without_its_file_and_no_file_without_its_shape() =>
        Directory
            .GetFiles(Folder)
            .Select(Path.GetFileNameWithoutExtension)
            .ShouldBe(EveryShape.Select(s => $"{s[0]}-{s[1]}"), ignoreOrder: true);

    /// <summary>A renamed or unknown member is an error that names it, and never a 0; so is a number.</summary>
    [Theory]
    [InlineData("""{"schema":1,"range":3,"fletched":false}""", "range")]
    [InlineData("""{"schema":1,"fletched":false}""", "distance")]
    [InlineData("""{"distance":3,"fletched":false}""", "schema")]
    [InlineData("""{"schema":2,"distance":3,"fletched":false}""", "schema")]
    [InlineData("""{"schema":"1","distance":3,"fletched":false}""", "schema")]
    [InlineData("""{"schema":0,"distance":3,"fletched":false}""", "schema")]
    public void What_is_kept_is_read_strictly(string kept, string named) =>
        Should.Throw<JsonException>(() => Kept.Read<PlannedStage>(kept)).Message.ShouldContain(named);

    [Fact]
    public void The_number_may_stand_anywhere() =>
        Kept.Read<PlannedStage>("""{ "distance": 3, "fletched": false, "schema": 1 }""").Distance.ShouldBe(3);

    private static object Read(Type type, string json) => Call(nameof(Kept.Read), type, json);

    private static string Written(Type type, object value) => (string)Call(nameof(Kept.Write), type, value);

    private static object Call(string method, Type type, object given)
    {
        try
        {
            return typeof(Kept).GetMethod(method)!.MakeGenericMethod(type).Invoke(null, [given])!;
        }
        catch (TargetInvocationException thrown)
        {
            throw new JsonException($"{type.Name}: {thrown.InnerException!.Message}", thrown.InnerException);
        }
    }
}
