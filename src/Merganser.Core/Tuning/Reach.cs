using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>Why an adjuster is not advised now.</summary>
public enum WithheldWhy
{
    PressWanted,
    OnlyLastClicks,
    EndOfTravel,
    LaterInSchool,
    NotThisTear,
    HeightFirst,
}

/// <summary>An adjuster that is not advised now, and why.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Why">Why.</param>
/// <param name="Reason">The trade's reason, for one that comes later in its school.</param>
public sealed record Withheld(AdjusterKind Kind, WithheldWhy Why, DirectionReason? Reason = null);

/// <summary>
/// What may be moved now: the school's order on each side, the press, the travel that is left, and height before sides
/// for fingers. A later adjuster of a school is opened only when the earlier ones cannot bring the tear inside.
/// </summary>
/// <param name="Levers">What may be advised.</param>
/// <param name="Withheld">What may not, and why.</param>
public sealed record Reach(IReadOnlyList<Lever> Levers, IReadOnlyList<Withheld> Withheld)
{
    private const int LastClicks = 6;
    private const double HeightMatters = 0.72;

    /// <summary>The reach of a bow.</summary>
    /// <param name="adviser">Who tunes what by which school.</param>
    /// <param name="prior">The engine's adjusters.</param>
    /// <param name="belief">What is believed.</param>
    /// <param name="setting">Where they stand, in the engine's steps.</param>
    public static Reach Of(Adviser adviser, ResponsePrior prior, Belief belief, int[] setting)
    {
        var now = belief.At(setting);
        List<Lever> levers = [];
        List<Withheld> withheld = [];
        foreach (var axis in new[] { TearAxis.Height, TearAxis.Sideways })
        {
            var rows = DirectionTable.For(adviser.Release, adviser.School, axis, now.Y < 0).ToArray();
            var others = adviser.Adjusters.Any(a =>
                a.Kind != AdjusterKind.RestSideways
                && rows.Any(r => r.Kind == a.Kind)
                && adviser.May(a)
                && a.Lower < a.Upper
            );
            List<Lever> open = [];
            foreach (var row in rows)
            {
                var index = prior.IndexOf(row.Kind);
                if (index < 0 || adviser.Adjusters.FirstOrDefault(a => a.Kind == row.Kind) is not { } adjuster)
                {
                    continue;
                }

                var fewClicks =
                    row.Kind == AdjusterKind.RestSideways
                    && adviser.School == School.CentreFirst
                    && adviser.Release == Release.ReleaseAid
                    && others;
                var lever = LeverOf(adjuster, index, setting, fewClicks);
                if (!adviser.May(adjuster))
                {
                    withheld.Add(new Withheld(row.Kind, WithheldWhy.PressWanted));
                }
                else if (lever.Lower == setting[index] && lever.Upper == setting[index])
                {
                    withheld.Add(
                        new Withheld(row.Kind, fewClicks ? WithheldWhy.OnlyLastClicks : WithheldWhy.EndOfTravel)
                    );
                }
                else if (
                    open.Count > 0
                    && !TogetherWith(row.Kind)
                    && open.Any(l => Residual(prior, belief, now, setting, l) <= adviser.Tolerance / 2)
                )
                {
                    withheld.Add(new Withheld(row.Kind, WithheldWhy.LaterInSchool, row.Reason));
                }
                else
                {
                    open.Add(lever);
                }
            }

            levers.AddRange(open);
        }

        foreach (
            var adjuster in adviser.Adjusters.Where(a =>
                prior.IndexOf(a.Kind) >= 0
                && levers.All(l => l.Index != prior.IndexOf(a.Kind))
                && withheld.All(w => w.Kind != a.Kind)
            )
        )
        {
            withheld.Add(new Withheld(adjuster.Kind, WithheldWhy.NotThisTear));
        }

        return HeightFirst(adviser, prior, now) && levers.Any(l => Height(prior, l))
            ? new Reach(
                [.. levers.Where(l => Height(prior, l))],
                [
                    .. withheld,
                    .. levers
                        .Where(l => !Height(prior, l))
                        .Select(l => new Withheld(prior.Gains[l.Index].Kind, WithheldWhy.HeightFirst)),
                ]
            )
            : new Reach(levers, withheld);
    }

    /// <summary>All of a bow's adjusters, whatever school and press say: to name what lost.</summary>
    public static IReadOnlyList<Lever> Everything(Adviser adviser, ResponsePrior prior, int[] setting) =>
        [
            .. adviser
                .Adjusters.Where(a => prior.IndexOf(a.Kind) >= 0)
                .Select(a => LeverOf(a, prior.IndexOf(a.Kind), setting, false)),
        ];

    private static bool Height(ResponsePrior prior, Lever lever) => prior.Gains[lever.Index].Axis == TearAxis.Height;

    private static bool HeightFirst(Adviser adviser, ResponsePrior prior, TearMoments now) =>
        adviser.Release == Release.Fingers
        && Math.Abs(now.Y) - Math.Sqrt(now.VarianceY) > HeightMatters * adviser.Tolerance
        && prior.Gains.Any(g => g.Axis == TearAxis.Height);

    /// <summary>Rest height and nocking point are agreed alike: both stand open.</summary>
    private static bool TogetherWith(AdjusterKind kind) => kind is AdjusterKind.RestHeight or AdjusterKind.NockingPoint;

    private static Lever LeverOf(Adjuster adjuster, int index, int[] setting, bool fewClicks)
    {
        var (lower, upper) = fewClicks
            ? (Math.Max(adjuster.Lower, -LastClicks), Math.Min(adjuster.Upper, LastClicks))
            : (adjuster.Lower, adjuster.Upper);
        var shift = setting[index] - adjuster.Position;
        return new Lever(index, Math.Min(lower, adjuster.Position) + shift, Math.Max(upper, adjuster.Position) + shift);
    }

    /// <summary>
    /// What is left along its axis after this lever's best whole step, the disputed one taken the way that helps.
    /// </summary>
    private static double Residual(ResponsePrior prior, Belief belief, TearMoments now, int[] setting, Lever lever)
    {
        var sideways = prior.Gains[lever.Index].Axis == TearAxis.Sideways;
        var along = sideways ? now.X : now.Y;
        return belief.Signs.Min(sign =>
        {
            var gain = belief.GainOf(sign, lever.Index).Gain;
            var (low, high) = (lever.Lower - setting[lever.Index], lever.Upper - setting[lever.Index]);
            var step = (int)Math.Round(Math.Clamp(-along / gain, low, high));
            return Math.Abs(along + (gain * step));
        });
    }

    /// <summary>Why an adjuster lost, where it is not open at all.</summary>
    public Withheld? WhyNot(AdjusterKind kind) => Withheld.FirstOrDefault(w => w.Kind == kind);
}
