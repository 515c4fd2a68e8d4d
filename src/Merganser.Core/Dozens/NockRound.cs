using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>A shot of one arrow at one turn of its nock.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Turn">Steps turned.</param>
/// <param name="Turned">The same in words.</param>
/// <param name="Fletched">With vanes.</param>
/// <param name="Distance">Bow to paper, yards.</param>
/// <param name="Tear">The tear.</param>
public sealed record NockShotOf(string Id, int Turn, Message Turned, bool Fletched, double Distance, Tear Tear)
{
    /// <summary>Length of the tear.</summary>
    public Message Length => new Amount(Measure.Inches(Tear.Length));

    /// <summary>From where it was shot.</summary>
    public Message From => new Amount(Measure.Yards(Distance));
}

/// <summary>How one arrow stands, bare and fletched.</summary>
public sealed record NockArrow(
    int Number,
    NockReading Bare,
    NockReading Fletched,
    IReadOnlyList<NockShotOf> Shots,
    Message? Mark,
    bool Retired
);

/// <summary>A distance that was shot, yards.</summary>
public sealed record ShotDistance(double Distance)
{
    /// <summary>As it is said.</summary>
    public Message Words => new Amount(Measure.Yards(Distance));
}

/// <summary>The next arrow to shoot, or no number when all are done.</summary>
public sealed record NockNext(int? Number, bool Fletched, int Turn, Message Sentence, Message Reason);

/// <summary>Nock tuning of a dozen at one distance: every arrow, how far it is, and which is next.</summary>
/// <param name="DozenId">The dozen.</param>
/// <param name="Name">Its name.</param>
/// <param name="Tolerance">Close enough for a dozen, inches.</param>
/// <param name="ToleranceText">The same as it is said.</param>
/// <param name="Distance">The distance that is looked at, yards.</param>
/// <param name="Distances">Every distance that was shot, and the one looked at.</param>
/// <param name="Arrows">Every arrow.</param>
/// <param name="BareTurns">Turns of a bare shaft.</param>
/// <param name="VaneTurns">Turns with vanes.</param>
/// <param name="Good">Arrows that fly inside with vanes, or bare until they have them.</param>
/// <param name="Practice">Arrows that no turn helps.</param>
/// <param name="Next">What is next.</param>
public sealed record NockRound(
    string DozenId,
    string Name,
    double Tolerance,
    Message ToleranceText,
    double Distance,
    IReadOnlyList<ShotDistance> Distances,
    IReadOnlyList<NockArrow> Arrows,
    int BareTurns,
    int VaneTurns,
    int Good,
    int Practice,
    NockNext Next
)
{
    /// <summary>Where a dozen is shot through paper when nobody says, yards (common practice, no source).</summary>
    public const double UsualDistance = 3;

    /// <summary>The round of a dozen.</summary>
    /// <param name="dozen">The dozen.</param>
    /// <param name="wanted">The distance to look at, yards; the last one shot when null.</param>
    public static NockRound Of(Dozen dozen, double? wanted = null)
    {
        var shots = dozen.Events.Select(e => e.Act).OfType<NockShotMarked>().Select(m => m.Shot.Distance).ToArray();
        var distance = wanted ?? (shots.Length > 0 ? shots[^1] : UsualDistance);
        var turns = NockTune.Turns(dozen.Arrow.VaneCount, true);
        NockArrow[] all = [.. Enumerable.Range(1, dozen.Plan.Arrows).Select(n => ArrowOf(dozen, n, distance))];
        var verified = all.Any(a => a.Fletched.State != NockState.Untried);
        return new NockRound(
            dozen.Id,
            dozen.Plan.Name,
            Tolerances.Usual,
            new Amount(Measure.Inches(Tolerances.Usual)),
            distance,
            [.. shots.Append(distance).Distinct().Order().Select(d => new ShotDistance(d))],
            all,
            NockTune.BareTurns,
            turns,
            all.Count(a => (verified ? a.Fletched : a.Bare).State == NockState.Good),
            all.Count(a => a.Fletched.State == NockState.Practice),
            NextOf(all, turns)
        );
    }

    /// <summary>The best turn found, as it is marked on the arrow; vanes speak before the bare shaft.</summary>
    public static Message? MarkOf(Dozen dozen, int number)
    {
        foreach (var fletched in new[] { true, false })
        {
            if (Read(dozen, number, fletched) is { State: NockState.Good, Best: { } best })
            {
                return new TurnMark(new TurnIs(best, NockTune.Turns(dozen.Arrow.VaneCount, fletched)), !fletched);
            }
        }

        return null;
    }

    /// <summary>What paper said of an arrow with vanes, once it was shot.</summary>
    public static Message? PaperOf(Dozen dozen, int number) =>
        Read(dozen, number, true) switch
        {
            { State: NockState.Good } => DozenSays.FliesInside,
            { State: NockState.Practice } => DozenSays.PracticeOnly,
            { State: NockState.TurnOn } => DozenSays.TearsToBeTurned,
            _ => null,
        };

    private static IEnumerable<(string Id, NockShot Shot)> ShotsOf(Dozen dozen, int number)
    {
        var repair = dozen.RepairOf(number);
        return from done in dozen.Events
            let marked = done.Act as NockShotMarked
            where marked?.Arrow == number && done.Order > repair
            select (done.Id, marked.Shot);
    }

    private static NockArrow ArrowOf(Dozen dozen, int number, double distance) =>
        new(
            number,
            Read(dozen, number, false, distance),
            Read(dozen, number, true, distance),
            [
                .. ShotsOf(dozen, number)
                    .Select(s => new NockShotOf(
                        s.Id,
                        s.Shot.Turn,
                        new TurnIs(s.Shot.Turn, NockTune.Turns(dozen.Arrow.VaneCount, s.Shot.Fletched)),
                        s.Shot.Fletched,
                        s.Shot.Distance,
                        s.Shot.Tear
                    )),
            ],
            MarkOf(dozen, number),
            dozen.OutOfUse(number)
        );

    /// <summary>One arrow at one distance, or at all of them: then a turn counts by its worst.</summary>
    private static NockReading Read(Dozen dozen, int number, bool fletched, double? distance = null) =>
        NockTune.Of(
            [
                .. ShotsOf(dozen, number)
                    .Select(s => s.Shot)
                    .Where(s => s.Fletched == fletched && (distance is null || s.Distance == distance)),
            ],
            NockTune.Turns(dozen.Arrow.VaneCount, fletched),
            Tolerances.Usual
        );

    /// <summary>
    /// Bare first, arrow by arrow, each turned until it is inside or out of turns; then all with vanes.
    /// </summary>
    private static NockNext NextOf(NockArrow[] all, int vaneTurns)
    {
        var use = all.Where(a => !a.Retired).ToArray();
        var fletched = use.Any(a => a.Fletched.State != NockState.Untried);
        if (use.FirstOrDefault(a => Of(a).State == NockState.TurnOn) is { } turn)
        {
            var to = Of(turn).Next!.Value;
            var turns = fletched ? vaneTurns : NockTune.BareTurns;
            var act = new TurnTheNock(turn.Number, new TurnIs(to, turns));
            return new NockNext(turn.Number, fletched, to, act, Of(turn).Words);
        }

        if (use.FirstOrDefault(a => Of(a).State == NockState.Untried) is { } open)
        {
            var reason = fletched ? DozenSays.VerifiedWithVanes : DozenSays.FlexFirst;
            return new NockNext(open.Number, fletched, 0, new ShootAsItIs(open.Number, fletched), reason);
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

        NockReading Of(NockArrow arrow) => fletched ? arrow.Fletched : arrow.Bare;
    }
}
