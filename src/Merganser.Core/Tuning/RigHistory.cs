using Merganser.Core.Bows;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>
/// How everything else of the bow was that no tear is answered with: single legs, cables, string twists, both bolts,
/// modules, spacers of one cam alone, and the work done by hand. Shots pool only over the same rig: another one begins
/// from another tear.
/// </summary>
/// <param name="now">The adjusters as they stand now.</param>
/// <param name="log">The moves that bear on the session, in order.</param>
/// <param name="worked">When work was done by hand, in order.</param>
public sealed class RigHistory(
    IReadOnlyList<Adjuster> now,
    IReadOnlyList<SessionMove> log,
    IReadOnlyList<DateTimeOffset> worked
)
{
    private readonly IReadOnlyList<SessionMove> moves = MoveHistory.Effective(log);

    /// <summary>True for an adjuster that makes another rig.</summary>
    public static bool MakesAnother(AdjusterKind kind) => AdjusterTable.Of(kind).NominalGain <= 0;

    /// <summary>The rig of a set, as one word.</summary>
    /// <param name="set">Its number.</param>
    /// <param name="positions">Where the adjusters stood.</param>
    /// <param name="shot">When its first shot was, or null before that.</param>
    public string Of(int set, IReadOnlyDictionary<AdjusterKind, double> positions, DateTimeOffset? shot)
    {
        var others = positions.Where(p => MakesAnother(p.Key)).OrderBy(p => p.Key).Select(p => p.Value);
        var works = shot is { } at ? worked.Count(w => w <= at) : worked.Count;
        return $"{string.Join(',', others)}|{Uneven(set)}|{works}";
    }

    /// <summary>Sizes by which the top cam stands farther left than the bottom one, when a set was shot.</summary>
    private int? Uneven(int set)
    {
        var spacers = moves.Where(m => m is { Kind: AdjusterKind.CamSpacer, Seats: not null }).ToArray();
        var seats =
            spacers.LastOrDefault(m => m.AfterSet < set)?.Seats
            ?? spacers.FirstOrDefault()?.SeatsBefore
            ?? (spacers.Length == 0 ? now.FirstOrDefault(a => a.Kind == AdjusterKind.CamSpacer)?.Seats : null);
        return seats is null ? null : seats.TopShift - seats.BottomShift;
    }
}
