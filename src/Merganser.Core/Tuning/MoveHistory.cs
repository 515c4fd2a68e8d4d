using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>Pairs moves with the sets before and after them.</summary>
public static class MoveHistory
{
    /// <summary>The moves as they really were: corrections put in, entries that were no move left out.</summary>
    public static IReadOnlyList<SessionMove> Effective(IReadOnlyList<SessionMove> log)
    {
        var corrected = log.Where(m => m.Corrects is not null)
            .GroupBy(m => m.Corrects!)
            .ToDictionary(m => m.Key, m => m.Last());
        return
        [
            .. log.Where(m => m.Corrects is null)
                .Select(m =>
                    corrected.GetValueOrDefault(m.Id) is { } right ? m with { To = right.To, Seats = right.Seats } : m
                )
                .Where(m => m.To != m.From || m.Seats is not null),
        ];
    }

    /// <summary>
    /// Each move with the mean before and after it; moves made together on one axis cannot be told apart and are left
    /// out.
    /// </summary>
    /// <param name="log">The log in order.</param>
    /// <param name="means">The mean of each set by its number, null while it has no shots that count.</param>
    public static IReadOnlyList<MadeMove> Made(
        IReadOnlyList<SessionMove> log,
        IReadOnlyDictionary<int, MeanTear?> means
    )
    {
        List<MadeMove> made = [];
        foreach (var gap in Effective(log).Where(m => m.To != m.From).GroupBy(m => m.AfterSet).OrderBy(g => g.Key))
        {
            var before = means
                .Where(m => m.Key <= gap.Key && m.Value is not null)
                .OrderBy(m => m.Key)
                .LastOrDefault()
                .Value;
            var after = means
                .Where(m => m.Key > gap.Key && m.Value is not null)
                .OrderBy(m => m.Key)
                .FirstOrDefault()
                .Value;
            if (before is null || after is null)
            {
                continue;
            }

            made.AddRange(
                gap.GroupBy(m => AdjusterTable.Of(m.Kind).Axis)
                    .Where(axis => axis.Select(m => m.Kind).Distinct().Count() == 1)
                    .Select(axis => new MadeMove(axis.First().Kind, axis.Last().To - axis.First().From, before, after))
            );
        }

        return made;
    }
}
