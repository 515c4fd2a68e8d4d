using Merganser.Core.Groups;
using Merganser.Core.Messages;

namespace Merganser.Core.Sessions;

/// <summary>What a session knows of two ways compared, and of a range error.</summary>
public sealed partial class TuningSession
{
    private readonly Dictionary<int, WaysReading> ways = [];
    private readonly Dictionary<int, RangeReading> trials = [];

    /// <summary>The ways in work, or null where none are compared.</summary>
    public WaysReading? Ways => WaysOf(Now.Stage.Ways is null ? LastOfStage : Now);

    /// <summary>The range-error trial in work, or null where none is shot.</summary>
    public RangeReading? RangeTrial => RangeTrialOf(Now.Stage.RangeError is null ? LastOfStage : Now);

    /// <summary>
    /// A set's ways with those before it of the same day with the bow as it stood; null for other stages.
    /// </summary>
    public WaysReading? WaysOf(SessionSet set)
    {
        if (set.Stage.Ways is not null && !ways.ContainsKey(set.Number))
        {
            ways[set.Number] = new WaysReading(OfThisDay(set));
        }

        return ways.GetValueOrDefault(set.Number);
    }

    /// <summary>A set's range error with those before it, as with ways; null for other stages.</summary>
    public RangeReading? RangeTrialOf(SessionSet set)
    {
        if (set.Stage.RangeError is not null && !trials.ContainsKey(set.Number))
        {
            trials[set.Number] = new RangeReading(OfThisDay(set), FlightOf(set));
        }

        return trials.GetValueOrDefault(set.Number);
    }

    /// <summary>True where a bare paper of this session was left inside; null where none was shot.</summary>
    internal bool? PaperIsClean
    {
        get
        {
            var papers = Stages().Where(s => s is { Stage.AtTarget: false, Shots: > 0 }).ToArray();
            return papers.Length == 0 ? null : papers.All(s => s.Chance >= Clean);
        }
    }

    private const double Clean = .9;

    /// <summary>What a set shows that fletched arrows alone were shot for; null for another, and before the
    /// first.</summary>
    private Message? WordsOf(SessionSet set) =>
        WalkOf(set)?.Words ?? SightingOf(set)?.Words ?? WaysOf(set)?.Words ?? RangeTrialOf(set)?.Words;
}
