using System.Globalization;
using System.Text.RegularExpressions;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Paper;

/// <summary>A table of hits as text, its first line the names of its columns.</summary>
public sealed record HitsTableInput(string? Id, string? Text);

/// <summary>Voids the hits of a table at once.</summary>
public sealed record VoidTableInput(string? Id);

/// <summary>Hits at targets as comma-separated text, out and in.</summary>
public static partial class HitsCsv
{
    /// <summary>Nobody shoots more into one set.</summary>
    private const int MostRows = 200;

    private static readonly string[] Extras = ["set", "stage", "shot"];

    /// <summary>Every hit of a paper at a target, from its aiming point in the archer's unit of length.</summary>
    public static string Of(PaperRow paper, Speaker speaker)
    {
        string Say(Message message) => speaker.Say(message);
        string Number(double inches) => Say(new BareAmount(Measure.Inches(inches, 3))).Replace('−', '-');
        var unit = Say(new UnitOf(Measure.Inches(0)));
        List<IReadOnlyList<string>> lines =
        [
            [
                .. Extras,
                "arrow",
                "number",
                $"right ({unit})",
                $"up ({unit})",
                "flight",
                "distance",
                "way",
                "sightFor",
                "slant",
                "void",
            ],
        ];
        foreach (var set in paper.Session.Sets.Where(s => s.Begun.Stage.AtTarget))
        {
            lines.AddRange(
                set.Shots.Select(hit =>
                {
                    var marked = hit.Marked;
                    string[] cells =
                    [
                        $"{set.Number}",
                        CsvText.Harmless(Say(set.Begun.Stage.Name)),
                        $"{hit.Number}",
                        marked.Arrow is { } kind ? FactsJson.Word(kind) : "",
                        CsvText.Harmless(hit.ArrowNumber ?? ""),
                        Number(marked.Impact.X),
                        Number(marked.Impact.Y),
                        marked.Flight is { } flight ? FactsJson.Word(flight) : "",
                        marked.Yards is { } yards ? Yards(yards) : "",
                        marked.Way is { } way ? CsvText.Harmless(set.Begun.Stage.Ways!.NameOf(way)) : "",
                        marked.SightFor is { } sight ? Yards(sight) : "",
                        marked.Slant is { } slant ? FactsJson.Word(slant) : "",
                        CsvText.Harmless(hit.VoidReason ?? ""),
                    ];
                    return (IReadOnlyList<string>)cells;
                })
            );
        }

        return CsvText.Of(lines);
    }

    /// <summary>The hits of a table, for one set.</summary>
    /// <param name="text">The table.</param>
    /// <param name="stage">What is shot in the set.</param>
    /// <exception cref="RefusedException">It has no columns <c>right</c> and <c>up</c>, too many rows, or a row that
    /// cannot be read; all of these are named by their line.</exception>
    public static IReadOnlyList<HitMarked> Read(string? text, PlannedStage stage)
    {
        using var lines = CsvText.LinesOf(text ?? "").GetEnumerator();
        var columns = lines.MoveNext() ? Columns(lines.Current) : [];
        if (!columns.ContainsKey("right") || !columns.ContainsKey("up"))
        {
            throw Refused("missing", GroupSays.ATableHasItsColumns);
        }

        List<HitMarked> hits = [];
        List<FieldProblem> problems = [];
        for (var line = 2; lines.MoveNext(); line++)
        {
            var cells = lines.Current;
            string? Cell(string column)
            {
                var known = columns.TryGetValue(column, out var at) && at.Place < cells.Length;
                var cell = known ? cells[at.Place].Trim() : "";
                return cell.Length == 0 ? null
                    : at.Unit is { } unit && !cell.Any(char.IsLetter) ? $"{cell} {unit}"
                    : cell;
            }

            if (columns.Keys.All(c => Cell(c) is null) || Cell("void") is not null)
            {
                continue;
            }

            if (hits.Count == MostRows)
            {
                throw Refused("csv-rows", new TooMany(MostRows));
            }

            try
            {
                var hit = Hit(stage, Cell);
                _ = hit.Read("", stage);
                hits.Add(hit);
            }
            catch (RefusedException refused)
            {
                var said = refused.Problems.Count > 0 ? refused.Problems[0].Message : refused.Said;
                problems.Add(new FieldProblem("text", refused.Code, new TableLine(line, said)));
            }
        }

        return problems.Count > 0 ? throw RefusedException.Of(problems)
            : hits.Count == 0 ? throw Refused("missing", GroupSays.NoHitInTheTable)
            : hits;
    }

    private static RefusedException Refused(string code, Message said) => RefusedException.At("text", code, said);

    private static HitMarked Hit(PlannedStage stage, Func<string, string?> cell)
    {
        var usual = stage.Heads ? ArrowKind.FieldPoint : ArrowKind.Fletched;
        var typed = new PlaceTyped(cell("right"), cell("up"));
        return new HitMarked(
            Word<ArrowKind>("arrow") ?? usual,
            null,
            typed,
            cell("number"),
            Word<Flight>("flight"),
            cell("distance"),
            WayOf(stage.Ways, cell("way")),
            cell("sightfor") is { } sight
                ? Demanded(
                    new FieldReader(),
                    r => r.Required("sightFor", sight, Quantity.Distance, RangeTrial.Settings)
                )
                : null
        )
        {
            Slant = Word<Slant>("slant"),
        };

        T? Word<T>(string column)
            where T : struct, Enum => cell(column) is { } word ? Guard.KnownWord.Read<T>(column, word) : null;
    }

    private static double Demanded(FieldReader fields, Func<FieldReader, Entry?> read)
    {
        var entry = read(fields);
        fields.ThrowIfAny();
        return entry!.Value;
    }

    private static WayShot? WayOf(TwoWays? ways, string? name) =>
        name is null || ways is null ? null
        : name.Equals(ways.First, StringComparison.OrdinalIgnoreCase) ? WayShot.First
        : name.Equals(ways.Second, StringComparison.OrdinalIgnoreCase) ? WayShot.Second
        : FactsJson.TryEnum<WayShot>(name);

    /// <summary>Columns by their names, each with the unit that stands in its head.</summary>
    private static Dictionary<string, (int Place, string? Unit)> Columns(string[] header)
    {
        Dictionary<string, (int, string?)> columns = [];
        for (var i = 0; i < header.Length; i++)
        {
            var head = Head().Match(header[i].Trim());
            var unit = head.Groups["unit"];
            columns.TryAdd(
                head.Groups["name"].Value.Trim().ToLowerInvariant(),
                (i, unit.Success ? unit.Value.Trim() : null)
            );
        }

        foreach (var extra in Extras)
        {
            columns.Remove(extra);
        }

        return columns;
    }

    private static string Yards(double yards) => string.Create(CultureInfo.InvariantCulture, $"{yards:0.###} yd");

    [GeneratedRegex(@"^(?<name>[^(]*)(\((?<unit>[^)]*)\))?")]
    private static partial Regex Head();
}
