using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Web.Words;

/// <summary>The catalogue, and what is read into it.</summary>
public static class CatalogueWords
{
    public static FormattableString Of(CatalogueMessage message) =>
        message switch
        {
            RowSaysItIs(var word, var table) =>
                $"This row says it is a {word}: import it as that, not as a {Name(table)}.",
            SameIdInRow(var row) => $"The same id stands in row {row}: one of the two rows goes, or gets another id.",
            ColumnsOfAnother(var better, var known, var asked, var there) =>
                $"These are the columns of a {Name(better)}: {known} of them belong to it, {there} to a {Name(asked)}. Import the table as {Name(better)}s.",
            TooManyRows(var most) => $"More than {most} rows are refused: split the file.",
            NoCatalogueFile(var format) => $"This is no catalogue of Merganser: its format is \"{format}\".",
            FieldsUnread(1) => $"One field cannot be read; nothing was written.",
            FieldsUnread(var count) => $"{count} fields cannot be read; nothing was written.",
            CellsWithoutColumn(var count) =>
                $"{count:cell} more than the header has columns: a comma inside a number or a name? Write it in quotes.",
            ArrowSuggested(var shaft, var length, var point, var ratio, var fit) =>
                $"{shaft}, {length}, {point} point: fit {ratio}, {fit}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(CatalogueSays says) =>
        says switch
        {
            CatalogueSays.NoHeaderLine => $"There is no header line: the first line names the columns.",
            CatalogueSays.WholePieces => $"A count is a whole number.",
            CatalogueSays.NothingToWrite =>
                $"There is nothing to write: no row could be read, or it is not checked yet.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string Name(ComponentClass of) => Codes.Of(of);
}
