using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>
/// Where every adjuster stood at each set, read back from where it stands now: a late entry, a corrected one or one made out of order changes
/// the sets it lies between and no others.
/// </summary>
public static class SettingHistory
{
    /// <param name="now">The adjusters as they stand.</param>
    /// <param name="log">All moves of this bow from the session's first set on, each with the number of the set it came after; 0 is before the first.</param>
    /// <param name="sets">Numbers of the sets.</param>
    public static IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, int>> At(IReadOnlyList<Adjuster> now, IReadOnlyList<LoggedMove> log, IEnumerable<int> sets)
    {
        var moves = MoveHistory.Effective(log);
        return sets.ToDictionary(
            set => set,
            IReadOnlyDictionary<AdjusterKind, int> (set) => now.ToDictionary(
                a => a.Kind,
                a => a.Position - moves.Where(m => m.Kind == a.Kind && m.AfterSet >= set).Sum(m => m.To - m.From)));
    }
}
