using System.Text.RegularExpressions;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>One line of a table of weights.</summary>
/// <param name="Line">Its number, from 1.</param>
/// <param name="Text">The weight as it stands there.</param>
/// <param name="Number">The piece's number; null where the line cannot be read.</param>
/// <param name="Grains">Its weight; null where it cannot be read.</param>
/// <param name="Problem">Why it cannot be taken; null when it can.</param>
/// <param name="Far">Why it is asked about; null when it is like the others.</param>
public sealed record WeightLine(int Line, string Text, int? Number, double? Grains, Message? Problem, Message? Far);

/// <summary>
/// Weights of one class as text: one a line, alone or in columns, with a header line or without. A header names the
/// columns of the weight, its unit and the piece's number; without one the weights are the column that reads as such,
/// the last of several.
/// </summary>
/// <param name="Class">The class.</param>
/// <param name="Lines">Every line but the header.</param>
/// <param name="Words">How it is read.</param>
public sealed partial record WeightTable(string Class, IReadOnlyList<WeightLine> Lines, Message Words)
{
    private const int MostLines = 1000;
    private static readonly string[] WeightWords = ["weight", "mass", "grains", "grain", "gr", "grams", "gram", "g"];
    private static readonly string[] NumberWords = ["number", "no", "nr", "n", "piece", "item", "id"];
    private static readonly Dictionary<string, string> UnitWords = new()
    {
        ["g"] = "g",
        ["gram"] = "g",
        ["grams"] = "g",
        ["gr"] = "gr",
        ["grain"] = "gr",
        ["grains"] = "gr",
        ["oz"] = "oz",
    };

    internal static WeightTable Read(Dozen dozen, string name, string text, AllowedRange grains, int mostPieces)
    {
        var fields = new FieldReader();
        (int At, string[] Cells)[] lines = [.. Split(text)];
        var taken = dozen.Taken(name).ToHashSet();
        var header = lines is [var first, ..] && IsHeader(first.Cells, grains) ? first.Cells : null;
        lines = header is null ? lines : lines[1..];
        fields.Check(lines.Length is > 0 and <= MostLines, "text", "range", new LinesWanted(MostLines));
        fields.Check(DozenReading.IsWeighed(dozen, name), "class", "classes", DozenSays.ClassNotWeighed);
        fields.Check(lines.Length + taken.Count <= mostPieces, "text", "range", new PiecesAtMost(mostPieces));
        fields.ThrowIfAny();
        var columns = Columns.Of(header, [.. lines.Select(l => l.Cells)], grains);
        var about = ExpectedWeight.Of(dozen, name);
        List<WeightLine> read = [];
        foreach (var (at, cells) in lines)
        {
            read.Add(Line(name, at, columns.Number(cells), columns.Weight(cells), taken, grains, about));
        }

        var weights = read.Count(l => l.Problem is null);
        return new WeightTable(name, read, new WeightsReadAs(weights, columns.Name, columns.Unread));
    }

    /// <summary>The pieces to take.</summary>
    /// <param name="sure">True when those that are asked about are kept too.</param>
    /// <exception cref="RefusedException">A line cannot be read, is asked about, or its number is taken.</exception>
    internal IReadOnlyList<PieceWeighed> Taken(bool sure)
    {
        if (Problems("line", l => l.Problem) is { Length: > 0 } bad)
        {
            throw RefusedException.Of(bad);
        }

        if (!sure && Problems(RefusedException.Far, l => l.Far) is { Length: > 0 } far)
        {
            throw new RefusedException(RefusedException.Far, far[0].Message, far);
        }

        return
        [
            .. Lines.Select(l => new PieceWeighed(Class, l.Number!.Value, DozenReading.Tenth(l.Grains!.Value), "csv")),
        ];

        FieldProblem[] Problems(string code, Func<WeightLine, Message?> of) =>
            [
                .. Lines
                    .Where(l => of(l) is not null)
                    .Select(l => new FieldProblem("text", code, new OnLine(l.Line, of(l)!))),
            ];
    }

    private static WeightLine Line(
        string name,
        int at,
        int? given,
        string weight,
        HashSet<int> taken,
        AllowedRange grains,
        double? about
    )
    {
        var number = given ?? DozenReading.FirstFree(taken);
        try
        {
            var value = Units.Entry.Parse(weight, Quantity.Weight).Value;
            Message? problem =
                !grains.Holds(value) ? new Outside(grains)
                : number is < 1 or > DozenReading.MostPieces ? new PiecesNumbered(DozenReading.MostPieces)
                : taken.Add(number) ? null
                : new WeighedAlready(name, number);
            Message? far = ExpectedWeight.IsFar(value, about)
                ? new FarFrom(name, Measure.Grains(value), Measure.Grains(about!.Value))
                : null;
            return new WeightLine(at, weight, number, value, problem, far);
        }
        catch (EntryException problem)
        {
            return new WeightLine(at, weight, null, null, problem.Said, null);
        }
    }

    /// <summary>Lines that hold something, each by its cells.</summary>
    private static IEnumerable<(int At, string[] Cells)> Split(string text)
    {
        var lines = text.ReplaceLineEndings("\n").Split('\n');
        var held = lines.Where(l => !string.IsNullOrWhiteSpace(l)).ToArray();
        char? parts =
            held.Any(l => l.Contains('\t')) ? '\t'
            : held.Any(l => l.Contains(';')) ? ';'
            : held.Any(CommaParts) ? ','
            : null;
        foreach (var (i, line) in lines.Index().Where(l => !string.IsNullOrWhiteSpace(l.Item)))
        {
            var cells = parts is { } by ? line.Split(by) : [line];
            yield return (i + 1, [.. cells.Select(c => c.Trim().Trim('"').Trim())]);
        }
    }

    /// <summary>
    /// A comma parts cells in a header, where there are several, or where a point stands after it: "251,3" is one
    /// weight with a decimal comma.
    /// </summary>
    private static bool CommaParts(string line) =>
        line.Split(',') is var cells
        && (cells.Length > 2 || (cells.Length == 2 && (cells[1].Contains('.') || !line.Any(char.IsDigit))));

    /// <summary>A header holds no weight: words without a digit, or a word for a weight or a number.</summary>
    private static bool IsHeader(string[] cells, AllowedRange grains) =>
        !cells.Any(c => IsWeight(c, grains))
        && cells.Any(c => c.Any(char.IsLetter))
        && (!cells.Any(c => c.Any(char.IsDigit)) || cells.Any(c => Has(c, WeightWords)));

    private static bool IsWeight(string cell, AllowedRange grains)
    {
        try
        {
            return grains.Holds(Units.Entry.Parse(cell, Quantity.Weight).Value);
        }
        catch (EntryException)
        {
            return false;
        }
    }

    private static bool Has(string cell, string[] words) => WordsOf(cell).Any(words.Contains);

    private static IEnumerable<string> WordsOf(string cell) =>
        Letters().Matches(cell).Select(m => m.Value.ToLowerInvariant());

    [GeneratedRegex(@"\p{L}+")]
    private static partial Regex Letters();

    /// <summary>Which columns hold what.</summary>
    /// <param name="At">The weights'.</param>
    /// <param name="NumberAt">The numbers'; null without one.</param>
    /// <param name="Name">The header's word for the weights.</param>
    /// <param name="Unit">Their unit by the header, or null.</param>
    /// <param name="Unread">What is not read.</param>
    private sealed record Columns(int At, int? NumberAt, string? Name, string? Unit, IReadOnlyList<string> Unread)
    {
        public static Columns Of(string[]? header, string[][] rows, AllowedRange grains)
        {
            var width = rows.Append(header ?? []).Max(r => r.Length);
            var at =
                First(width, c => Has(Head(c), WeightWords)) ?? Enumerable.Range(0, width).Reverse().MaxBy(Weights);
            var number =
                First(width, c => c != at && (Head(c) == "#" || Has(Head(c), NumberWords)))
                ?? First(width, c => c != at && Numbers(rows, c));
            var unit = WordsOf(Head(at)).Select(UnitWords.GetValueOrDefault).LastOrDefault(u => u is not null);
            var unread = Enumerable.Range(0, width).Where(c => c != at && c != number);
            return new Columns(
                at,
                number,
                header is null ? null : Head(at),
                unit,
                [.. unread.Select(c => Head(c) is { Length: > 0 } words ? words : $"{c + 1}")]
            );

            int Weights(int column) => rows.Count(r => r.Length > 1 && IsWeight(Cell(r, column), grains));
            string Head(int column) => header is null ? "" : Cell(header, column);
        }

        private static int? First(int width, Func<int, bool> fits) =>
            Enumerable.Range(0, width).Where(fits).Cast<int?>().FirstOrDefault();

        private static string Cell(string[] cells, int at) => at < cells.Length ? cells[at] : "";

        public int? Number(string[] cells) =>
            NumberAt is { } at && cells.Length > 1 && int.TryParse(Cell(cells, at), out var number) ? number : null;

        /// <summary>The weight as it stands there, with the header's unit where it has none.</summary>
        public string Weight(string[] cells)
        {
            var cell = Cell(cells, cells.Length == 1 ? 0 : At);
            return Unit is { } unit && cell.Length > 0 && !cell.Any(char.IsLetter) ? $"{cell} {unit}" : cell;
        }

        /// <summary>True for a column of whole numbers, each once.</summary>
        private static bool Numbers(string[][] rows, int at)
        {
            int?[] numbers =
            [
                .. rows.Where(r => r.Length > 1).Select(r => int.TryParse(Cell(r, at), out var n) ? n : (int?)null),
            ];
            return numbers.All(n => n is >= 1 and <= DozenReading.MostPieces)
                && numbers.Distinct().Count() == numbers.Length;
        }
    }
}
