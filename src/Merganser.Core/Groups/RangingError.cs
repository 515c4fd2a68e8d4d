using MathNet.Numerics.Distributions;
using MathNet.Numerics.RootFinding;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>A distance that was guessed, and what it was when it was measured, yards.</summary>
/// <param name="Guessed">Guessed.</param>
/// <param name="Measured">Measured.</param>
public sealed record RangeGuess(double Guessed, double Measured)
{
    /// <summary>What can be guessed and measured.</summary>
    public static AllowedRange Distances { get; } = new(3, 150, Unit.Yard, Why.GuessedDistance);

    /// <summary>How far off, as a share of the distance: more guessed than it is, positive.</summary>
    public double Share => (Guessed - Measured) / Measured;

    /// <summary>How far off, yards.</summary>
    public double Off => Guessed - Measured;
}

/// <summary>Guesses between two distances.</summary>
/// <param name="From">From here, yards.</param>
/// <param name="To">To here; null without end.</param>
/// <param name="Count">How many.</param>
/// <param name="Mean">Mean error, yards.</param>
/// <param name="Spread">Its sd, yards; null below two.</param>
public sealed record GuessesBetween(double From, double? To, int Count, double Mean, double? Spread);

/// <summary>
/// An archer's own ranging error: guessed, then measured. An error grows with the distance, so it is a share of it: a
/// lean and a spread, normal.
/// </summary>
public sealed class RangingError
{
    private static readonly double[] Ends = [20, 30, 40];

    private readonly IReadOnlyList<RangeGuess> guesses;

    /// <param name="guesses">In any order.</param>
    public RangingError(IReadOnlyList<RangeGuess> guesses)
    {
        this.guesses = guesses;
        Count = guesses.Count;
        Lean = Count == 0 ? 0 : guesses.Average(g => g.Share);
        squares = Count == 0 ? 0 : SumOfSquares.AboutMean([.. guesses.Select(g => g.Share)]);
        Spread = Count < 2 ? 0 : Math.Max(LeastSpread, Math.Sqrt(squares / (Count - 1)));
    }

    /// <summary>Guesses before anything is told.</summary>
    public const int Least = 5;

    /// <summary>Guesses that are advised: the spread is then known to a third (χ²).</summary>
    public const int Advised = 20;

    /// <summary>How many.</summary>
    public int Count { get; }

    /// <summary>True where there are enough.</summary>
    public bool Told => Count >= Least;

    /// <summary>Mean error as a share of the distance.</summary>
    public double Lean { get; }

    /// <summary>Its sd, as a share.</summary>
    public double Spread { get; }

    /// <summary>The true sd lies here with 95 %: √(SS/χ²).</summary>
    public (double Low, double High) SpreadBand =>
        ArrowGroup.BandOf(Math.Max(squares, LeastSpread * LeastSpread), Count - 1);

    /// <summary>Nine guesses in ten stay within this share: Φ((x − b)/s) − Φ((−x − b)/s) = .9.</summary>
    public double NineInTen => Brent.FindRoot(x => Within(x) - Nine, 0, Math.Abs(Lean) + (Far * Spread));

    /// <summary>Chance that a guess is off by no more than so many yards at a distance.</summary>
    public double ChanceWithin(double yards, double at) => Within(yards / at);

    /// <summary>The guesses by distance, those that there are.</summary>
    public IReadOnlyList<GuessesBetween> ByDistance =>
        [
            .. from place in Enumerable.Range(0, Ends.Length + 1)
            let @from = place == 0 ? 0 : Ends[place - 1]
            let to = place == Ends.Length ? (double?)null : Ends[place]
            let own = guesses.Where(g => g.Measured >= @from && (to is null || g.Measured < to)).ToArray()
            where own.Length > 0
            let spread = own.Length < 2
                ? (double?)null
                : Math.Sqrt(SumOfSquares.AboutMean([.. own.Select(g => g.Off)]) / (own.Length - 1))
            select new GuessesBetween(@from, to, own.Length, own.Average(g => g.Off), spread),
        ];

    /// <summary>What is known of it, or how many are wanting.</summary>
    /// <param name="yards">At this distance.</param>
    public Message WordsAt(double yards) =>
        Told
            ? new GuessesStayWithin(Measure.Yards(NineInTen * yards), Measure.Yards(yards), Count)
            : new GuessesToGo(Least - Count);

    private double Within(double share) => Normal.CDF(Lean, Spread, share) - Normal.CDF(Lean, Spread, -share);

    private const double Nine = .9;
    private const double Far = 6;

    /// <summary>Nobody guesses nearer than this, as a share.</summary>
    private const double LeastSpread = .005;

    private readonly double squares;
}
