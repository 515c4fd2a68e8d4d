using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using static Merganser.Core.Tests.Dozens.DozenActs;

namespace Merganser.Core.Tests.Dozens;

/// <summary>Weights as a table: what scales and spreadsheets write.</summary>
public class WeightTableTests
{
    [Theory]
    [InlineData("250.1\n251,3\n249.8\n4;250.6", "1:250.1 2:251.3 3:249.8 4:250.6")]
    [InlineData("7,250.14", "7:250.1")]
    [InlineData("9\t250\n251", "9:250 1:251")]
    [InlineData("Weight\r\n250.1\r\n251.3\r\n", "1:250.1 2:251.3")]
    [InlineData("no;weight (g)\n3;16.2\n5;16.25", "3:250 5:250.8")]
    [InlineData("shaft,Weight gr,spine\n2,250.5,340\n4,251,342", "2:250.5 4:251")]
    [InlineData("date,no,gr\n2026-11-28,1,250.5\n2026-11-28,2,251", "1:250.5 2:251")]
    [InlineData("1;250.5;good\n2;251;bent", "1:250.5 2:251")]
    [InlineData("\"piece\";\"mass\"\n\"1\";\"16,2 g\"", "1:250")]
    public void Weights_are_read_from_a_table(string text, string expected)
    {
        var read = DozenReading.Weights(Of([]), "Shaft", text, false);
        string.Join(' ', read.Select(p => FormattableString.Invariant($"{p.Number}:{p.Grains}"))).ShouldBe(expected);
    }

    [Fact]
    public void Every_bad_line_of_a_table_is_named_by_its_place_in_the_file()
    {
        var refused = Should.Throw<RefusedException>(() =>
            DozenReading.Weights(Of([.. Pieces("Shaft", 250)]), "Shaft", "no;grains\n\n1;250\n2;9999\nx\n5;251", false)
        );
        refused.Problems.Select(p => ((OnLine)p.Message).Line).ShouldBe([3, 4, 5]);
    }

    [Fact]
    public void A_look_at_it_says_what_is_not_read_and_what_is_asked_about()
    {
        var table = DozenReading.Table(Of([]), "Shaft", "no,grains,who\n1,250,Ann\n2,9,Bob");
        table.Words.ShouldBe(new WeightsReadAs(2, "grains", table.Unread()));
        table.Unread().ShouldBe(["who"]);
        table.Lines.Select(l => (l.Line, l.Number, l.Far is null)).ShouldBe([(2, 1, true), (3, 2, false)]);
        Should
            .Throw<RefusedException>(() => DozenReading.Weights(Of([]), "Shaft", "250\n9", false))
            .Code.ShouldBe(RefusedException.Far);
        DozenReading.Weights(Of([]), "Shaft", "250\n9", true).Count.ShouldBe(2);
    }
}

internal static class TableWords
{
    public static IReadOnlyList<string> Unread(this WeightTable table) => ((WeightsReadAs)table.Words).Unread;
}
