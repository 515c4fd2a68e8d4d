using System.Text.Json;
using System.Text.Json.Serialization;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Messages;

/// <summary>
/// Quantities as they are said, against <c>tests/vectors/quantities.json</c>: made with decimal arithmetic from the
/// exact factors of the international yard and pound of 1959 and standard gravity (NIST SP 811, Appendix B). The
/// browser runs the same file.
/// </summary>
public class QuantityVectorTests
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    public static IEnumerable<object[]> Cases =>
        JsonSerializer
            .Deserialize<Vectors>(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "quantities.json")), Json)!
            .Cases.Select(c => new object[] { c });

    [Theory]
    [MemberData(nameof(Cases))]
    public void A_quantity_is_said_alike_on_both_sides(Vector vector)
    {
        var measure = new Measure(vector.Value, vector.Unit, vector.Decimals, vector.Fraction ?? false);
        Display.Text(measure, vector.Units).ShouldBe(vector.Text);
    }

    public sealed record Vectors(IReadOnlyList<Vector> Cases);

    public sealed record Vector(
        double Value,
        string Unit,
        int Decimals,
        bool? Fraction,
        DisplayUnits Units,
        string Text
    );
}
