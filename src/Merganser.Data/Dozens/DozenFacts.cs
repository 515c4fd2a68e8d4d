using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Paper;

namespace Merganser.Data;

/// <summary>A dozen's act as its row keeps it; which fields are set depends on the kind.</summary>
/// <param name="Kind">check, piece, spin, match, tick, made, nockShot, plan.</param>
/// <param name="Class">The class of a piece.</param>
/// <param name="Number">Number of the piece, shaft or arrow.</param>
/// <param name="Value">A measured value in the trade unit.</param>
/// <param name="Second">A second value: the check weight's nominal, how far up a tear goes.</param>
/// <param name="Word">The source, what was spun, the step or what was made.</param>
/// <param name="Note">A grade, a finding, or words of the person.</param>
/// <param name="Match">An assignment that was found.</param>
/// <param name="Turn">Steps the nock was turned.</param>
/// <param name="Distance">From where that shot was made, yards.</param>
/// <param name="Kept">Arrows that an assignment left as they were.</param>
internal sealed record DozenFacts(
    string Kind,
    string? Class = null,
    int? Number = null,
    double? Value = null,
    double? Second = null,
    string? Word = null,
    string? Note = null,
    MatchResult? Match = null,
    int? Turn = null,
    double? Distance = null,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] IReadOnlyList<int>? Kept = null
)
{
    private const string Cracked = "cracked or splintered";
    private const string Fletched = "fletched";

    public static DozenFacts Of(DozenAct act) =>
        act switch
        {
            ScaleChecked(var check, var source) => new(
                "check",
                Value: check.Reading,
                Second: check.Nominal,
                Word: source
            ),
            PieceWeighed(var name, var number, var grains, var source) => new(
                "piece",
                name,
                number,
                grains,
                Word: source
            ),
            RunOutMeasured(var shaft, var inches, var place) => new(
                "spin",
                Number: shaft,
                Value: inches,
                Word: "runOut",
                Note: place is { } at ? Codes.Of(at) : null
            ),
            RunOutGraded(var shaft, var grade) => new("spin", Number: shaft, Word: "grade", Note: Codes.Of(grade)),
            SpineMeasured(var shaft, var inches) => new("spin", Number: shaft, Value: inches, Word: "spine"),
            StiffSideMarked(var shaft, var mark) => new("spin", Number: shaft, Word: "index", Note: mark),
            ShaftInspected(var shaft, var finding) => new(
                "spin",
                Number: shaft,
                Word: "inspection",
                Note: Codes.Of(finding)
            ),
            InsertGlued(var shaft) => new("spin", Number: shaft, Word: "glued"),
            DozenRenamed(var name) => new("plan", Word: "name", Note: name),
            JigTurned(var degrees) => new("plan", Word: "jig", Value: degrees),
            DozenArchived(var archived) => new("plan", Word: "archived", Value: archived ? 1 : 0),
            PiecesMatched(var result, var kept) => new("match", Match: result, Kept: kept),
            StepDone(var arrow, var step) => new("tick", Number: arrow, Word: Codes.Of(step)),
            ArrowWeighed(var arrow, var grains) => new("made", Number: arrow, Value: grains, Word: "built"),
            ArrowBalanced(var arrow, var inches) => new("made", Number: arrow, Value: inches, Word: "balance"),
            ArrowNoted(var arrow, var what, var words) => new("made", Number: arrow, Word: Codes.Of(what), Note: words),
            NockShotMarked(var arrow, var shot) => new(
                "nockShot",
                Number: arrow,
                Value: shot.Tear.X,
                Second: shot.Tear.Y,
                Word: shot.Fletched ? Fletched : "bare",
                Turn: shot.Turn,
                Distance: shot.Distance
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No row keeps it."),
        };

    /// <exception cref="JsonException">The row is no act of a dozen.</exception>
    public DozenAct Act() =>
        (Kind, Word) switch
        {
            ("check", _) => new ScaleChecked(new ScaleCheck(Of(Second), Of(Value)), Word),
            ("piece", _) => new PieceWeighed(Of(Class), Of(Number), Of(Value), Word ?? "typed"),
            ("spin", "runOut") => new RunOutMeasured(
                Of(Number),
                Of(Value),
                Note is { } place ? FactsJson.Enum<ShaftPlace>(place) : null
            ),
            ("spin", "grade") => new RunOutGraded(Of(Number), FactsJson.Enum<SpinGrade>(Of(Note))),
            ("spin", "spine") => new SpineMeasured(Of(Number), Of(Value)),
            ("spin", "index") => new StiffSideMarked(Of(Number), Note),
            ("spin", "inspection") => new ShaftInspected(Of(Number), FactsJson.Enum<ShaftFinding>(Of(Note))),
            ("spin", "glued") => new InsertGlued(Of(Number)),
            ("plan", "name") => new DozenRenamed(Of(Note)),
            ("plan", "jig") => new JigTurned(Of(Value)),
            ("plan", "archived") => new DozenArchived(Of(Value) > 0),
            ("match", _) => new PiecesMatched(Of(Match), Kept),
            ("tick", _) => new StepDone(Of(Number), FactsJson.Enum<AssemblyCode>(Of(Word))),
            ("made", "built") => new ArrowWeighed(Of(Number), Of(Value)),
            ("made", "balance") => new ArrowBalanced(Of(Number), Of(Value)),
            ("made", _) => new ArrowNoted(Of(Number), FactsJson.Enum<ArrowNote>(Of(Word)), Note ?? ""),
            ("nockShot", _) => new NockShotMarked(Of(Number), Shot()),
            _ => throw new JsonException($"\"{Kind}\" is no act of a dozen."),
        };

    private NockShot Shot() =>
        new(Turn ?? 0, new Tear(Value ?? 0, Second ?? 0), Word == Fletched, Distance ?? NockRound.UsualDistance);

    /// <summary>From number 1 to 2: findings had been kept in words; any words but these were a damage.</summary>
    public static void FindingsGotCodes(JsonObject facts)
    {
        if ((string?)facts["kind"] == "spin" && (string?)facts["word"] == "inspection")
        {
            var note = (string?)facts["note"] ?? "";
            facts["note"] = Codes.Of(
                note == Cracked
                    ? ShaftFinding.CrackedOrSplintered
                    : FactsJson.TryEnum<ShaftFinding>(note) ?? ShaftFinding.EndsNotSquare
            );
        }
    }

    private static T Of<T>(T? value)
        where T : struct => value ?? throw new JsonException("A field is missing.");

    private static T Of<T>(T? value)
        where T : class => value ?? throw new JsonException("A field is missing.");
}
