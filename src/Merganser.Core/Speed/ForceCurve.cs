using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>What was read on a draw board.</summary>
public enum BoardMark
{
    /// <summary>Force at a travel of the string.</summary>
    Force,

    /// <summary>The top cam's stop touches.</summary>
    TopStop,

    /// <summary>The bottom cam's stop touches.</summary>
    BottomStop,
}

/// <summary>One reading of a draw board.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Mark">What was read.</param>
/// <param name="Travel">How far the string was drawn from rest, inches.</param>
/// <param name="Force">On the string, lb; null for a stop.</param>
/// <param name="Source">Typed or from the board.</param>
public sealed record BoardReading(string Id, BoardMark Mark, double Travel, double? Force, string Source);

/// <summary>What a draw-force curve taught of a bow; kept on the bow.</summary>
/// <param name="Energy">Stored energy, ft·lb.</param>
/// <param name="Peak">Peak weight, lb.</param>
/// <param name="Holding">Weight at full draw, lb.</param>
/// <param name="Travel">Travel of the string from rest to full draw, inches.</param>
public sealed record ForceFit(double Energy, double Peak, double Holding, double Travel);

/// <summary>
/// A draw-force curve. The stored energy is its integral by trapezoids, ∫F dx/12 in ft·lb (definition of work).
/// </summary>
/// <param name="readings">The readings of one curve, in any order.</param>
/// <param name="bow">The bow.</param>
public sealed class ForceCurve(IReadOnlyList<BoardReading> readings, Bow bow)
{
    /// <summary>Points from which an integral is worth its name; between them the force turns (a guess, no source).
    /// </summary>
    public const int LeastPoints = 8;

    /// <summary>A gap between two points that hides a turn of the curve, inches (a guess, no source).</summary>
    public const double WidestGap = 3;

    /// <summary>How near to the end of its power stroke a curve must go, inches (a guess, no source).</summary>
    public const double NearTheEnd = 1;

    /// <summary>Rotation of a cam over the stroke, degrees (trade-like guess, no source).</summary>
    public const double CamTurns = 210;

    /// <summary>Share of the stored energy that comes back to arrow and string: static hysteresis takes a few per cent
    /// (from memory).</summary>
    public const double Returned = 0.94;

    /// <summary>What a travel may be, inches.</summary>
    public static AllowedRange Travels { get; } = new(0, 40, Unit.Inch, Why.DrawLengthOfArchers);

    /// <summary>What a force may be, lb.</summary>
    public static AllowedRange Forces { get; } = new(0, 120, Unit.Pound, Why.DrawWeightOfBows);

    /// <summary>The curve's points by travel, from the string at rest, which pulls with nothing.</summary>
    public IReadOnlyList<(double Travel, double Force)> Points { get; } =
    [
        (0, 0),
        .. readings
            .Where(r => r.Mark == BoardMark.Force && r.Travel > 0)
            .GroupBy(r => r.Travel, r => r.Force!.Value)
            .OrderBy(g => g.Key)
            .Select(g => (g.Key, g.Average())),
    ];

    /// <summary>Peak weight, lb.</summary>
    public double Peak => Points.Max(p => p.Force);

    /// <summary>Weight at the end of the curve, lb.</summary>
    public double Holding => Points[^1].Force;

    /// <summary>The bow's power stroke, inches.</summary>
    public double Stroke => bow.PowerStroke;

    /// <summary>True for a bow whose cams take weight off.</summary>
    public bool HasLetOff => bow.Kind == BowKind.Compound;

    /// <summary>Let-off, per cent of the peak.</summary>
    public double LetOff => Peak > 0 ? 100 * (1 - (Holding / Peak)) : 0;

    /// <summary>Energy under the curve, ft·lb.</summary>
    public double Energy =>
        Points.Zip(Points.Skip(1), (a, b) => (b.Travel - a.Travel) * (a.Force + b.Force) / 2).Sum() / 12;

    /// <summary>The bottom stop's travel less the top one's, inches; null until both touched.</summary>
    public double? StopsApart => Stop(BoardMark.BottomStop) - Stop(BoardMark.TopStop);

    /// <summary>The same as a turn of the cams, degrees.</summary>
    public double? StopsApartDegrees => StopsApart * CamTurns / bow.PowerStroke;

    /// <summary>What it teaches: null until it is whole.</summary>
    public ForceFit? Fit() => Missing is null ? new ForceFit(Energy, Peak, Holding, Points[^1].Travel) : null;

    /// <summary>What the curve still needs; null for a whole one.</summary>
    public Message? Missing
    {
        get
        {
            if (Points.Count - 1 < LeastPoints)
            {
                return new BoardNeedsPoints(LeastPoints - (Points.Count - 1));
            }

            var gap = Points.Zip(Points.Skip(1)).FirstOrDefault(p => p.Second.Travel - p.First.Travel > WidestGap);
            return gap.Second.Travel > 0
                    ? new BoardHasGap(Measure.Inches(gap.First.Travel, 1), Measure.Inches(gap.Second.Travel, 1))
                : bow.PowerStroke - Points[^1].Travel > NearTheEnd
                    ? new BoardEndsEarly(Measure.Inches(Points[^1].Travel, 1), Measure.Inches(bow.PowerStroke, 1))
                : null;
        }
    }

    /// <summary>The curve as it is told.</summary>
    public Message Words =>
        Points.Count == 1 ? SpeedSays.NoCurve : Missing ?? new BoardTaught(Measure.Energy(Energy), Share());

    private Measure Share() => Measure.Percent(1200 * Energy / (Peak * Points[^1].Travel));

    private double? Stop(BoardMark mark) => readings.LastOrDefault(r => r.Mark == mark)?.Travel;
}
