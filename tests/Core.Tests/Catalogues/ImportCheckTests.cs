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
        var before = new ComponentRow("mine", ComponentClass.Wrap, new Wrap("Own", "A", 4, 4), false, 1, Stock.None);
        var check = Check([before], ["mine", "Own", "A", "4.5", "4"]);
        check.Changes.Single().Fields.Single().ShouldBe(new ImportDifference("grains", "4", "4.5"));
        Check([before], ["mine", "Own", "A", "4", "4"]).Changes.ShouldBeEmpty();
    }

    [Fact]
    public void An_id_of_another_class_stays_what_it_is()
    {
        var nock = new ComponentRow(
            "mine",
            ComponentClass.Nock,
            new Nock("Own", "N", 9, 0.5, 0.6),
            false,
            1,
            Stock.None
        );
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
                ImportMapping.Of(Mapping),
                new Dictionary<string, ComponentRow>(),
                () => throw new OperationCanceledException()
            )
        );
    }

    /// <summary>The same supplier's file again, without ids: its parts are known by maker, name and size.</summary>
    [Fact]
    public void The_same_table_again_changes_nothing()
    {
        var first = Check(["", "Own", "A", "4", "4"], ["", "Own", "A", "6", "7"], ["", "Own", "B", "5", "4"]);
        first.Parts.Count.ShouldBe(3);
        ComponentRow[] known =
        [
            .. first.Parts.Select(p => new ComponentRow(p.Id, ComponentClass.Wrap, p.Part, false, 1, p.Stock)),
        ];
        var again = Of(
            new ComponentTexts(
                Header,
                [
                    ["", "Own", "A", "4", "4"],
                    ["", "OWN", "a", "6", "7"],
                    ["", "Own", "B", "5.5", "4"],
                ]
            ),
            known
        );
        again.Same.ShouldBe(1);
        again.Changes.Select(c => c.Row).ShouldBe([3, 4]);
        again.Parts.Select(p => p.Id).ShouldBe([known[1].Id, known[2].Id]);
        again.ProblemCount.ShouldBe(0);
    }

    /// <summary>What the table says nothing of stays: a measured weight, what is owned.</summary>
    [Fact]
    public void What_a_table_is_silent_of_stays()
    {
        var mine = new ComponentRow(
            "mine",
            ComponentClass.Wrap,
            new Wrap("Own", "A", 4, 4, 4.2),
            false,
            1,
            new Stock(7, 1.5, "W-4")
        );
        Check([mine], ["", "Own", "A", "4", "4"]).Same.ShouldBe(1);
        var heavier = Check([mine], ["", "Own", "A", "5", "4"]).Parts.Single();
        heavier.ShouldBe(new StockedPart("mine", new Wrap("Own", "A", 5, 4, 4.2), new Stock(7, 1.5, "W-4")));
    }

    [Fact]
    public void A_part_is_known_by_its_order_number_when_its_name_changed()
    {
        var mine = new ComponentRow(
            "mine",
            ComponentClass.Wrap,
            new Wrap("Own", "A", 4, 4),
            false,
            1,
            new Stock(OrderNumber: "W-4")
        );
        string[] header = [.. Header, "Order number"];
        var table = new ComponentTexts(
            header,
            [
                ["", "Own", "A, new", "4", "4", "W-4"],
            ]
        );
        var mapping = ImportMapping.Of(Guess(ComponentClass.Wrap, header));
        var check = ImportCheck.Of(ComponentClass.Wrap, table, mapping, Known(mine), () => { });
        check.Changes.Single().Fields.Single().ShouldBe(new ImportDifference("name", "A", "A, new"));
    }

    [Fact]
    public void An_empty_row_is_passed_over_and_cells_too_many_are_said()
    {
        var check = Check(
            ["", "Own", "A", "4", "4"],
            ["", " ", "", "", ""],
            ["", "Own", "B", "4", "5", "1"],
            ["", "Own", "C", "4", "4", ""]
        );
        check.Empty.ShouldBe(1);
        check.Parts.Select(p => p.Part.Name).ShouldBe(["A", "C"]);
        check.Problems.Single().ShouldBe(new ImportProblem(4, "", new CellsWithoutColumn(1)));
    }

    [Fact]
    public void One_text_stands_for_all_rows_where_a_column_is_missing()
    {
        var table = new ComponentTexts(
            ["name", "weight"],
            [
                ["A", "4"],
                ["B", "5"],
            ]
        );
        var mapping = new ImportMapping(
            Guess(ComponentClass.Wrap, ["name", "weight"]),
            new Dictionary<string, string>
            {
                ["maker"] = "Own",
                ["length"] = "10 cm",
                ["name"] = "not this",
            }
        );
        var parts = ImportCheck.Of(ComponentClass.Wrap, table, mapping, Known(), () => { }).Parts;
        parts.Select(p => p.Part.Name).ShouldBe(["A", "B"]);
        parts.ShouldAllBe(p => p.Part.Maker == "Own" && Math.Abs(((Wrap)p.Part).Length - 3.937) < 1e-3);
    }

    private static Dictionary<string, ComponentRow> Known(params ComponentRow[] rows) => rows.ToDictionary(r => r.Id);

    private static Dictionary<string, string> Guess(ComponentClass kind, string[] columns) =>
        ImportCheck.Guess(kind, columns, m => m.Said());

    private static ImportCheck Check(params string[][] rows) => Of(new ComponentTexts(Header, rows), []);

    private static ImportCheck Check(ComponentRow[] known, string[] row) =>
        Of(new ComponentTexts(Header, [row]), known);

    private static ImportCheck Of(ComponentTexts table, ComponentRow[] known) =>
        ImportCheck.Of(ComponentClass.Wrap, table, ImportMapping.Of(Mapping), known.ToDictionary(k => k.Id), () => { });
}
