using Merganser.Core.Bows;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>Where every adjuster stood at each set, read back from where it stands now.</summary>
public static class SettingHistory
{
    /// <param name="now">The adjusters as they stand.</param>
    /// <param name="log">All moves of this bow, each with the number of the set it came after; 0 is before the
    /// first.</param>
    /// <param name="sets">Numbers of the sets.</param>
    public static IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, double>> At(
        IReadOnlyList<Adjuster> now,
        IReadOnlyList<SessionMove> log,
        IEnumerable<int> sets
    )
    {
        var moves = MoveHistory.Effective(log);
        return sets.ToDictionary(
            set => set,
            IReadOnlyDictionary<AdjusterKind, double> (set) => now.ToDictionary(a => a.Kind, a => StoodAt(a, set))
        );

        double StoodAt(Adjuster adjuster, int set) =>
            adjuster.Position - moves.Where(m => m.Kind == adjuster.Kind && m.AfterSet >= set).Sum(m => m.To - m.From);
    }
}
