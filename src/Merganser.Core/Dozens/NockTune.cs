using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>One arrow's shot at one turn of its nock.</summary>
/// <param name="Turn">Steps turned from its first index, clockwise from behind: 0 is as it came.</param>
/// <param name="Tear">The tear.</param>
/// <param name="Fletched">With vanes.</param>
/// <param name="Distance">Bow to paper, yards.</param>
public sealed record NockShot(int Turn, Tear Tear, bool Fletched, double Distance = NockRound.UsualDistance);

/// <summary>How an arrow stands in nock tuning.</summary>
public enum NockState
{
    Untried,
    TurnOn,
    Good,
    Practice,
}

/// <summary>How one arrow stands in nock tuning.</summary>
/// <param name="State">Untried, to be turned on, good, or practice only.</param>
/// <param name="Best">The best turn so far.</param>
/// <param name="Next">The next turn to try, or null.</param>
/// <param name="Words">The same in words.</param>
public sealed record NockReading(NockState State, int? Best, int? Next, Message Words);

/// <summary>
/// Nock tuning (common practice, no source): a shaft that tears is turned on its nock one vane step at a time, until a
/// turn flies inside; one that never does is for practice. Bare shafts are turned by quarters and marked before they
/// are fletched.
/// </summary>
public static class NockTune
{
    /// <summary>Turns of a bare shaft.</summary>
    public const int BareTurns = 4;

    /// <summary>How many turns there are: as many as vanes, or quarters of a bare shaft.</summary>
    public static int Turns(int vanes, bool fletched) => fletched ? Math.Max(2, vanes) : BareTurns;

    /// <summary>Reads one arrow.</summary>
    /// <param name="shots">Its shots, in order, bare or fletched as asked for.</param>
    /// <param name="turns">How many turns there are.</param>
    /// <param name="tolerance">Good enough, inches.</param>
    public static NockReading Of(IReadOnlyList<NockShot> shots, int turns, double tolerance)
    {
        if (shots.Count == 0)
        {
            return new NockReading(NockState.Untried, null, 0, DozenSays.NotShotYet);
        }

        var means = shots.GroupBy(s => s.Turn).Select(g => (Turn: g.Key, Length: WorstOf(g))).ToArray();
        var best = means.MinBy(m => m.Length);
        var (at, by) = (new TurnIs(best.Turn, turns), Measure.Inches(best.Length));
        if (best.Length <= tolerance)
        {
            return new NockReading(NockState.Good, best.Turn, null, new InsideAt(at, by));
        }

        var open = Enumerable
            .Range(0, turns)
            .Where(t => means.All(m => m.Turn != t))
            .Select(t => (int?)t)
            .FirstOrDefault();
        return open is { } next
            ? new NockReading(NockState.TurnOn, best.Turn, next, new TurnOn(at, by, new TurnIs(next, turns)))
            : new NockReading(NockState.Practice, best.Turn, null, new NoTurnInside(at, by));
    }

    /// <summary>The mean tear of one turn, inches; over several distances the worst counts.</summary>
    private static double WorstOf(IEnumerable<NockShot> turn) =>
        turn.GroupBy(s => s.Distance).Max(d => Tear.Mean([.. d.Select(s => s.Tear)]).Length);
}
