using MathNet.Numerics.Distributions;
using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The hits with the sight set for one distance.</summary>
/// <param name="Yards">What it was set for.</param>
/// <param name="Count">Hits that count.</param>
/// <param name="Up">Their mean height from the aiming point, inches; 0 for none.</param>
/// <param name="Computed">Where they should strike by the arrow's weight and speed; null where that is not
/// known.</param>
public sealed record SetForDistance(double Yards, int Count, double Up, double? Computed);

/// <summary>A range-error trial as it is read: the hits of one day with the bow and the sight as they stand.</summary>
public sealed class RangeReading
{
    private const double Interval = .975;
    private const double DiffersBelow = .01;

    private readonly IReadOnlyList<double> far;
    private readonly IReadOnlyList<double> near;

    /// <param name="sets">Sets of one stage, setting and day, the newest last.</param>
    /// <param name="flies">The arrow in flight; null where its speed is not known.</param>
    public RangeReading(IReadOnlyList<SessionSet> sets, FlatFire? flies)
    {
        var stage = sets[^1].Stage;
        (Yards, Error) = (stage.Distance, stage.RangeError ?? throw new ArgumentException("No trial.", nameof(sets)));
        Sets = [.. sets.Select(s => s.Number)];
        ShotReading[] hits =
        [
            .. sets.SelectMany(s => s.Shots).Where(s => s is { Counts: true, Marked.SightFor: not null }),
        ];
        Order = [.. hits.Select(h => h.Marked.SightFor > Yards)];
        far = [.. hits.Where(h => h.Marked.SightFor > Yards).Select(h => h.Marked.Impact.Y)];
        near = [.. hits.Where(h => h.Marked.SightFor < Yards).Select(h => h.Marked.Impact.Y)];
        Far = Of(Yards + Error, far);
        Near = Of(Yards - Error, near);
        Least = Math.Min(far.Count, near.Count);
        Count = far.Count + near.Count;
        if (Least < RangeTrial.LeastOfEach)
        {
            return;
        }

        Freedom = Count - 2;
        Spread = Math.Max(
            ArrowGroup.MarkedTo,
            Math.Sqrt((SumOfSquares.AboutMean(far) + SumOfSquares.AboutMean(near)) / Freedom)
        );
        var half = StudentT.InvCDF(0, 1, Freedom, Interval) * Standard / 2;
        Cost = ((Far.Up - Near.Up) / 2, half);
        var bent = Far.Computed is { } high && Near.Computed is { } low ? (high + low) / 2 : 0;
        Zero = (((Far.Up + Near.Up) / 2) - bent, half);

        SetForDistance Of(double set, IReadOnlyList<double> heights) =>
            new(
                set,
                heights.Count,
                heights.Count == 0 ? 0 : heights.Average(),
                flies is null ? null : RangeTrial.Strikes(flies, set, Yards)
            );
    }

    /// <summary>From where it is shot, yards.</summary>
    public double Yards { get; }

    /// <summary>How wrong the sight is set, yards.</summary>
    public double Error { get; }

    /// <summary>The numbers of the sets that are read together.</summary>
    public IReadOnlyList<int> Sets { get; }

    /// <summary>With the sight set for more.</summary>
    public SetForDistance Far { get; }

    /// <summary>With the sight set for less.</summary>
    public SetForDistance Near { get; }

    /// <summary>True for each hit with the sight set for more, in order.</summary>
    public IReadOnlyList<bool> Order { get; }

    /// <summary>The fewer of the two.</summary>
    public int Least { get; }

    /// <summary>Hits that count.</summary>
    public int Count { get; }

    /// <summary>ν of the spread.</summary>
    public int Freedom { get; }

    /// <summary>Spread of a hit in height, inches; 0 until it is read.</summary>
    public double Spread { get; }

    /// <summary>For which distance the sight is set for the next arrow.</summary>
    public double Next => InTurn.Next(Order) ? Yards + Error : Yards - Error;

    /// <summary>What the error costs in height, inches, with the half width of its 95 %; null until it is
    /// read.</summary>
    public (double Inches, double Plus)? Cost { get; }

    /// <summary>Where the zero itself strikes in height, inches, with its half width; null until it is read.</summary>
    public (double Inches, double Plus)? Zero { get; }

    /// <summary>What the error should cost by weight and speed; null where they are not known.</summary>
    public double? Computed => Far.Computed is { } high && Near.Computed is { } low ? (high - low) / 2 : null;

    /// <summary>F(1, ν) of the cost against the computed one; null where either is wanting.</summary>
    public (double F, double P)? Against
    {
        get
        {
            if (Cost is not { } cost || Computed is not { } computed)
            {
                return null;
            }

            var f = Math.Pow((cost.Inches - computed) / (Standard / 2), 2);
            return (f, NoncentralF.Chance(1, Freedom, f));
        }
    }

    /// <summary>True where it costs another than weight and speed say.</summary>
    public bool Differs => Against is { P: < DiffersBelow };

    /// <summary>
    /// The range error that uses up what is allowed, yards, by the cost and by the ends of its 95 %: longest last;
    /// null until the cost is told from nought. Straight between: a yard more costs as much as the last.
    /// </summary>
    public (double Yards, double Least, double Most)? Affords =>
        Cost is { } cost && cost.Inches > cost.Plus
            ? (Afford(cost.Inches), Afford(cost.Inches + cost.Plus), Afford(cost.Inches - cost.Plus))
            : null;

    /// <summary>Hits more with each setting that bring the half width of the cost under a quarter of it.</summary>
    public int More
    {
        get
        {
            if (Cost is not { Inches: > 0 } cost)
            {
                return Math.Max(1, RangeTrial.LeastOfEach - Least);
            }

            var wanted = 2 * Math.Pow(Spread / (cost.Inches * Sharp), 2);
            return Math.Clamp((int)Math.Ceiling(wanted) - Least, 0, Math.Max(0, RangeTrial.MostOfEach - Least));
        }
    }

    /// <summary>What is seen; null before the first hit.</summary>
    public Message? Words =>
        Count == 0 ? null
        : Cost is { } cost
            ? new RangeErrorCosts(
                Measure.Yards(Error),
                Measure.Yards(Yards),
                Measure.Inches(cost.Inches, 1),
                Measure.Inches(cost.Plus, 1)
            )
        : new RangeTooFew(
            RangeTrial.LeastOfEach,
            new HitsAt(Far.Count, Measure.Yards(Far.Yards)),
            new HitsAt(Near.Count, Measure.Yards(Near.Yards))
        );

    /// <summary>The cost is told to a quarter of itself, or as well as a dozen each tell it.</summary>
    private const double Sharp = .25;

    private double Standard => Spread * Math.Sqrt((1.0 / far.Count) + (1.0 / near.Count));

    private double Afford(double cost) => RangeTrial.Allowed / cost * Error;
}
