using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Catalogues;

public class ImportCheckTests
{
    private static readonly string[] Header = ["id", "maker", "name", "Weight", "length"];
    private static readonly Dictionary<string, string> Mapping = Guess(ComponentClass.Wrap, Header);

    [Fact]
    public void A_column_is_known_by_name_or_label_whatever_its_case_and_signs()
    {
        Mapping.ShouldContainKeyAndValue("grains", "Weight");
        Mapping.ShouldContainKeyAndValue("id", "id");
        Guess(ComponentClass.Wrap, ["MAKER", " Name ", "wEi-ght"]).Keys.ShouldBe(["maker", "name", "grains"], true);
    }

    [Fact]
    public void Good_rows_are_read_and_every_bad_cell_is_named_with_its_line()
    {
        var check = Check(["", "Own", "Band 4", "4.4", "4"], ["", "Own", "", "heavy", "4"]);
        check.Parts.Single().Part.Name.ShouldBe("Band 4");
        check.Parts.Single().Id.ShouldStartWith("wrap-");
        check.Problems.ShouldAllBe(p => p.Row == 3);
        check.Problems.Select(p => p.Column).ShouldBe(["name", "Weight"], ignoreOrder: true);
    }

    [Fact]
    public void The_same_id_twice_is_one_too_many()
    {
        var check = Check(["mine", "Own", "A", "4", "4"], ["mine", "Own", "B", "5", "4"]);
        check.Parts.Count.ShouldBe(1);
        check.Problems.Single().Message.ShouldBe(new SameIdInRow(2));
    }

    [Fact]
    public void A_part_that_would_change_is_shown_field_by_field()
    {
        var before = new ComponentRow("mine", ComponentClass.Wrap, new Wrap("Own", "A", 4, 4), false, 1);
        var check = Check([before], ["mine", "Own", "A", "4.5", "4"]);
        check.Changes.Single().Fields.Single().ShouldBe(new ImportDifference("grains", "4", "4.5"));
        Check([before], ["mine", "Own", "A", "4", "4"]).Changes.ShouldBeEmpty();
    }

    [Fact]
    public void An_id_of_another_class_stays_what_it_is()
    {
        var nock = new ComponentRow("mine", ComponentClass.Nock, new Nock("Own", "N", 9, 0.5, 0.6), false, 1);
        var check = Check([nock], ["mine", "Own", "A", "4", "4"]);
        check.Parts.ShouldBeEmpty();
        check.Problems.Single().Message.ShouldBe(new IdOfAnother("mine", ComponentClass.Nock));
    }

    [Theory]
    [InlineData("wrap", 1)]
    [InlineData("WRAP", 1)]
    [InlineData("", 1)]
    [InlineData("shaft", 0)]
    [InlineData("5", 0)]
    public void A_row_that_says_it_is_something_else_is_not_read(string said, int parts)
    {
        string[] header = [.. Header, "Class"];
        var table = new ComponentTexts(
            header,
            [
                ["", "Own", "A", "4", "4", said],
            ]
        );
        Of(table, []).Parts.Count.ShouldBe(parts);
    }

    [Fact]
    public void A_table_of_another_class_is_refused_whole()
    {
        string[] shafts = ["maker", "name", "spine", "grainsPerInch", "outerDiameter"];
        Should
            .Throw<RefusedException>(() => ImportCheck.CheckClass(ComponentClass.Wrap, shafts, m => m.Said()))
            .Said.ShouldBeOfType<ColumnsOfAnother>()
            .Better.ShouldBe(ComponentClass.Shaft);
        Should.NotThrow(() => ImportCheck.CheckClass(ComponentClass.Wrap, Header, m => m.Said()));
    }

    [Fact]
    public void It_can_be_ended_between_two_rows()
    {
        var table = new ComponentTexts(
            Header,
            [
                ["", "Own", "A", "4", "4"],
                ["", "Own", "B", "4", "4"],
            ]
        );
        Should.Throw<OperationCanceledException>(() =>
            ImportCheck.Of(
                ComponentClass.Wrap,
                table,
                Mapping,
                new Dictionary<string, ComponentRow>(),
                () => throw new OperationCanceledException()
            )
        );
    }

    private static Dictionary<string, string> Guess(ComponentClass kind, string[] columns) =>
        ImportCheck.Guess(kind, columns, m => m.Said());

    private static ImportCheck Check(params string[][] rows) => Of(new ComponentTexts(Header, rows), []);

    private static ImportCheck Check(ComponentRow[] known, string[] row) =>
        Of(new ComponentTexts(Header, [row]), known);

    private static ImportCheck Of(ComponentTexts table, ComponentRow[] known) =>
        ImportCheck.Of(ComponentClass.Wrap, table, Mapping, known.ToDictionary(k => k.Id), () => { });
}
