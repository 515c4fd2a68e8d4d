using Merganser.Core.Groups;

namespace Merganser.Core.Sessions;

/// <summary>What a session knows of paper and target together.</summary>
public sealed partial class TuningSession
{
    /// <summary>
    /// What the newest paper of this session lets one expect of groups that were shot with the bow as it stood at it;
    /// null where none was.
    /// </summary>
    internal PaperExpectation? PaperBefore(GroupReading groups)
    {
        if (groups.Offset is null)
        {
            return null;
        }

        var paper = Sets.LastOrDefault(s =>
            s is { OfSession: true, Stage.AtTarget: false, Mean: not null }
            && s.Stage.Distance is >= PaperExpectation.Nearest and <= PaperExpectation.Farthest
            && s.Stage.Arrow == groups.Set.Stage.Arrow
            && s.Rig == groups.Set.Rig
            && AtSamePlaces(s, groups.Set)
        );
        return paper is null ? null : new PaperExpectation(paper.Mean!, paper.Stage.Fletched, groups);
    }
}
