using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Dozens;

/// <summary>A shot of one arrow at one turn of its nock.</summary>
public sealed record NockShotView(string Id, int Turn, Message Turned, bool Fletched, double Distance, Tear Tear)
{
    /// <summary>Length of the tear.</summary>
    public Message Length => new Amount(Measure.Inches(Tear.Length));

    /// <summary>From where it was shot.</summary>
    public Message From => new Amount(Measure.Yards(Distance));
}

/// <summary>How one arrow stands, bare and fletched.</summary>
public sealed record NockArrowView(
    int Number,
    NockReading Bare,
    NockReading Fletched,
    IReadOnlyList<NockShotView> Shots,
    Message? Mark,
    bool Retired
);

/// <summary>Nock tuning of a dozen at one distance: every arrow, how far it is, and which is next.</summary>
/// <param name="Distance">The distance that is looked at, yards.</param>
/// <param name="Distances">Every distance that was shot, and the one looked at.</param>
/// <param name="Arrows">Every arrow.</param>
/// <param name="BareTurns">Turns of a bare shaft.</param>
/// <param name="VaneTurns">Turns with vanes.</param>
/// <param name="Good">Arrows that fly inside with vanes, or bare until they have them.</param>
/// <param name="Practice">Arrows that no turn helps.</param>
/// <param name="Next">What is next.</param>
public sealed record NockTuneView(
    string DozenId,
    string Name,
    double Tolerance,
    Message ToleranceText,
    double Distance,
    IReadOnlyList<DistanceView> Distances,
    IReadOnlyList<NockArrowView> Arrows,
    int BareTurns,
    int VaneTurns,
    int Good,
    int Practice,
    NockNext Next
);

/// <summary>A distance that was shot.</summary>
public sealed record DistanceView(double Distance)
{
    /// <summary>As it is said.</summary>
    public Message Words => new Amount(Measure.Yards(Distance));
}

/// <summary>The next arrow to shoot, or null when all are done.</summary>
public sealed record NockNext(int? Number, bool Fletched, int Turn, Message Sentence, Message Reason);

/// <summary>A nock shot as typed: the tail from the point's hole, or in words.</summary>
public sealed record NockShotInput(
    string? Id,
    int Number,
    int Turn,
    bool Fletched,
    string? Right,
    string? Up,
    ShooterWords? Words = null,
    string? Distance = null
);

/// <summary>Every shaft through paper, its nock turned and marked; then all of them with vanes.</summary>
public sealed class NockDesk(DozenStore dozens, ArrowStore arrows, BowStore bows)
{
    /// <summary>Close enough for a dozen, inches.</summary>
    public const double Tolerance = Tolerances.Usual;

    private const double UsualDistance = 3;

    public NockTuneView View(string dozenId, double? wanted = null)
    {
        var row = dozens.Get(dozenId);
        var shots = row.Entries.Where(e => e.Entry.Kind == "nockShot").ToArray();
        var distance = wanted ?? shots.LastOrDefault()?.Entry.Distance ?? UsualDistance;
        var vanes = arrows.Version(row.ArrowVersionId).Arrow.VaneCount;
        var turns = NockTune.Turns(vanes, true);
        NockArrowView[] all = [.. Enumerable.Range(1, row.Plan.Arrows).Select(n => ArrowOf(row, n, vanes, distance))];
        var verified = all.Any(a => a.Fletched.State != NockState.Untried);
        bool Good(NockArrowView a) => verified ? a.Fletched.State == NockState.Good : a.Bare.State == NockState.Good;
        return new NockTuneView(
            dozenId,
            row.Plan.Name,
            Tolerance,
            new Amount(Measure.Inches(Tolerance)),
            distance,
            [
                .. shots
                    .Select(s => s.Entry.Distance ?? UsualDistance)
                    .Append(distance)
                    .Distinct()
                    .Order()
                    .Select(d => new DistanceView(d)),
            ],
            all,
            NockTune.BareTurns,
            turns,
            all.Count(Good),
            all.Count(a => a.Fletched.State == NockState.Practice),
            NextOf(all, turns)
        );
    }

    /// <summary>The best turn found, as it is marked on the arrow; vanes speak before the bare shaft.</summary>
    public static Message? MarkOf(DozenRow row, int number, int vanes)
    {
        foreach (var fletched in new[] { true, false })
        {
            var turns = NockTune.Turns(vanes, fletched);
            if (Read(row, number, vanes, fletched) is { State: NockState.Good, Best: { } best })
            {
                return new TurnMark(new TurnIs(best, turns), !fletched);
            }
        }

        return null;
    }

    /// <summary>What paper said of an arrow with vanes, once it was shot.</summary>
    public static Message? PaperOf(DozenRow row, int number, int vanes) =>
        Read(row, number, vanes, true) switch
        {
            { State: NockState.Good } => DozenSays.FliesInside,
            { State: NockState.Practice } => DozenSays.PracticeOnly,
            { State: NockState.TurnOn } => DozenSays.TearsToBeTurned,
            _ => null,
        };

    /// <summary>Reads and checks a shot.</summary>
    /// <exception cref="RefusedException">A field cannot be read, the arrow is out of use, or the bow is
    /// unsound.</exception>
    public DozenEntry Read(DozenRow row, NockShotInput input)
    {
        _ = bows.Get(row.BowId).Sound();
        var vanes = arrows.Version(row.ArrowVersionId).Arrow.VaneCount;
        var fields = new FieldReader();
        var right = fields.Optional("right", input.Right, Quantity.Length, SheetLimits.Reach);
        var up = fields.Optional("up", input.Up, Quantity.Length, SheetLimits.Reach);
        var distance = fields.Optional("distance", input.Distance, Quantity.Distance, SheetLimits.Distances);
        fields.Check(
            input.Number >= 1 && input.Number <= row.Plan.Arrows,
            "number",
            "range",
            new ArrowsNumbered(row.Plan.Arrows)
        );
        fields.Check(!DozenDesk.OutOfUse(row, input.Number), "number", "out-of-use", DozenSays.OutOfUse);
        fields.Check(
            input.Turn >= 0 && input.Turn < NockTune.Turns(vanes, input.Fletched),
            "turn",
            "range",
            new TurnsNumbered(NockTune.Turns(vanes, input.Fletched) - 1)
        );
        fields.Check(
            input.Words is not null || !string.IsNullOrWhiteSpace(input.Right) || !string.IsNullOrWhiteSpace(input.Up),
            "right",
            "missing",
            DozenSays.SayTheTear
        );
        fields.Check(input.Words is null || input.Words.Known(), "words", "unknown-word", PaperSays.SizeNotInList);
        fields.ThrowIfAny();
        var tear = input.Words?.Read() ?? new Tear(right?.Value ?? 0, up?.Value ?? 0);
        return new DozenEntry(
            "nockShot",
            Number: input.Number,
            Value: tear.X,
            Second: tear.Y,
            Word: input.Fletched ? "fletched" : "bare",
            Turn: input.Turn,
            Distance: distance?.Value ?? UsualDistance
        );
    }

    private static NockArrowView ArrowOf(DozenRow row, int number, int vanes, double distance)
    {
        var shots = row
            .Entries.Where(e => e.Entry.Kind == "nockShot" && e.Entry.Number == number)
            .Select(e => new NockShotView(
                e.Id,
                e.Entry.Turn ?? 0,
                new TurnIs(e.Entry.Turn ?? 0, NockTune.Turns(vanes, e.Entry.Word == "fletched")),
                e.Entry.Word == "fletched",
                e.Entry.Distance ?? UsualDistance,
                new Tear(e.Entry.Value ?? 0, e.Entry.Second ?? 0)
            ));
        return new NockArrowView(
            number,
            Read(row, number, vanes, false, distance),
            Read(row, number, vanes, true, distance),
            [.. shots],
            MarkOf(row, number, vanes),
            DozenDesk.OutOfUse(row, number)
        );
    }

    /// <summary>One arrow at one distance, or at all of them: then a turn counts by its worst.</summary>
    private static NockReading Read(DozenRow row, int number, int vanes, bool fletched, double? distance = null) =>
        NockTune.Of(
            [
                .. row
                    .Entries.Where(e =>
                        e.Entry.Kind == "nockShot"
                        && e.Entry.Number == number
                        && e.Entry.Word == (fletched ? "fletched" : "bare")
                        && (distance is null || (e.Entry.Distance ?? UsualDistance) == distance)
                    )
                    .Select(e => new NockShot(
                        e.Entry.Turn ?? 0,
                        new Tear(e.Entry.Value ?? 0, e.Entry.Second ?? 0),
                        fletched,
                        e.Entry.Distance ?? UsualDistance
                    )),
            ],
            NockTune.Turns(vanes, fletched),
            Tolerance
        );

    /// <summary>
    /// Bare first, arrow by arrow, each turned until it is inside or out of turns; then all with vanes.
    /// </summary>
    private static NockNext NextOf(NockArrowView[] all, int vaneTurns)
    {
        var use = all.Where(a => !a.Retired).ToArray();
        var fletched = use.Any(a => a.Fletched.State != NockState.Untried);
        NockReading Of(NockArrowView a) => fletched ? a.Fletched : a.Bare;
        if (use.FirstOrDefault(a => Of(a).State == NockState.TurnOn) is { } turn)
        {
            var to = Of(turn).Next!.Value;
            return new NockNext(
                turn.Number,
                fletched,
                to,
                new TurnTheNock(turn.Number, new TurnIs(to, fletched ? vaneTurns : NockTune.BareTurns)),
                Of(turn).Words
            );
        }

        if (use.FirstOrDefault(a => Of(a).State == NockState.Untried) is { } open)
        {
            return new NockNext(
                open.Number,
                fletched,
                0,
                new ShootAsItIs(open.Number, fletched),
                fletched ? DozenSays.VerifiedWithVanes : DozenSays.FlexFirst
            );
        }

        return fletched
            ? new NockNext(null, true, 0, DozenSays.EveryArrowVerified, DozenSays.NextDistanceOrKeep)
            : new NockNext(
                use.FirstOrDefault()?.Number,
                true,
                0,
                DozenSays.FletchThenVerify,
                DozenSays.ArrowOneWithVanes
            );
    }
}

public static class NockEndpoints
{
    public static void MapNocks(this IEndpointRouteBuilder api)
    {
        api.MapGet("/dozens/{id}/nocks", (string id, double? distance, NockDesk desk) => desk.View(id, distance));
        api.MapPost(
            "/dozens/{id}/nocks",
            (string id, NockShotInput input, DozenStore dozens, NockDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                dozens.Add(id, act, row => [(act, desk.Read(row, input))]);
                return desk.View(id);
            }
        );
        api.MapDelete(
            "/dozens/{id}/nocks/{shotId}",
            (string id, string shotId, DozenStore dozens, NockDesk desk) =>
            {
                dozens.Withdraw(id, shotId);
                return desk.View(id);
            }
        );
    }
}
