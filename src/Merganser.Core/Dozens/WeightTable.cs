using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>Weights of one class as text, one a line.</summary>
internal static class WeightTable
{
    private const int MostLines = 1000;

    public static IReadOnlyList<PieceWeighed> Read(
        Dozen dozen,
        string name,
        string text,
        AllowedRange grains,
        int mostPieces
    )
    {
        var fields = new FieldReader();
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        var taken = dozen.Taken(name).ToHashSet();
        fields.Check(lines.Length is > 0 and <= MostLines, "text", "range", new LinesWanted(MostLines));
        fields.Check(DozenReading.IsWeighed(dozen, name), "class", "classes", DozenSays.ClassNotWeighed);
        fields.Check(lines.Length + taken.Count <= mostPieces, "text", "range", new PiecesAtMost(mostPieces));
        fields.ThrowIfAny();
        List<PieceWeighed> pieces = [];
        foreach (var (i, line) in lines.Index())
        {
            var (given, weight) = Cells(line);
            var number = given ?? DozenReading.FirstFree(taken);
            try
            {
                var value = Units.Entry.Parse(weight, Quantity.Weight).Value;
                fields.Check(grains.Holds(value), "text", "range", new OnLine(i + 1, new Outside(grains)));
                fields.Check(taken.Add(number), "text", "twice", new OnLine(i + 1, new WeighedAlready(name, number)));
                pieces.Add(new PieceWeighed(name, number, DozenReading.Tenth(value), "csv"));
            }
            catch (EntryException problem)
            {
                fields.Check(false, "text", problem.Code, new OnLine(i + 1, problem.Said));
            }
        }

        fields.ThrowIfAny();
        return pieces;
    }

    /// <summary>
    /// The number, where one is given, and the weight. A comma between two numbers parts them only when the second has
    /// a point: "251,3" is one weight with a decimal comma.
    /// </summary>
    private static (int? Number, string Weight) Cells(string line)
    {
        var cells = line.Split([';', '\t'], StringSplitOptions.TrimEntries);
        if (cells.Length == 2)
        {
            return (int.TryParse(cells[0], out var first) ? first : null, cells[1]);
        }

        var commas = line.Split(',', StringSplitOptions.TrimEntries);
        var pair = commas.Length == 2 && commas[1].Contains('.');
        return pair && int.TryParse(commas[0], out var number) ? (number, commas[1]) : (null, line);
    }
}
