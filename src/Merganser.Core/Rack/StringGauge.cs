using Merganser.Core.Setup;

namespace Merganser.Core.Rack;

/// <summary>A bow's string as the rack draws it: how much of it was shot, and where it is looked at.</summary>
/// <param name="Shots">Shots on this string that were read.</param>
/// <param name="Span">Shots at the gauge's other end: room beyond the shots and the last check, no claim of a life.
/// </param>
/// <param name="ChecksAt">Shots at which it is looked at, ascending; none for a pre-stretched string.</param>
/// <param name="NextCheck">The next of them that was not done; null for none.</param>
public sealed record StringGauge(int Shots, int Span, IReadOnlyList<int> ChecksAt, int? NextCheck)
{
    private const double Room = 1.2;
    private static readonly int[] Spans = [400, 600, 1000, 1500, 2000, 3000, 5000, 8000, 12_000, 24_000];

    /// <summary>True once the next check's shots are shot.</summary>
    public bool Due => NextCheck <= Shots;

    /// <summary>Reads it off a string's life.</summary>
    /// <param name="life">The string.</param>
    /// <param name="checkedAt">Its shots when it was last looked at.</param>
    public static StringGauge Of(StringLife life, int checkedAt)
    {
        IReadOnlyList<int> checks = life.Plan.School == StringSchool.BreakIn ? life.Plan.ChecksAt : [];
        var farthest = Room * Math.Max(life.Shots, checks.LastOrDefault());
        return new StringGauge(
            life.Shots,
            Spans.FirstOrDefault(s => s >= farthest, Spans[^1]),
            checks,
            checks.Where(at => at > checkedAt).Cast<int?>().FirstOrDefault()
        );
    }
}

/// <summary>How much a bow asks for a hand, the most first.</summary>
public enum RackUrgency
{
    /// <summary>It may not be shot.</summary>
    Unsound,

    /// <summary>A check is due, or asked for again.</summary>
    Due,

    /// <summary>A session or an arrow is in work.</summary>
    InWork,

    /// <summary>Nothing is open.</summary>
    Rests,
}
