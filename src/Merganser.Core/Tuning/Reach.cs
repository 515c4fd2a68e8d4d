using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>Why an adjuster is not advised now.</summary>
public enum WithheldWhy
{
    PressWanted,
    EndOfTravel,
    NotThisTear,
    HeightFirst,
}

/// <summary>An adjuster that is not advised now, and why.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Why">Why.</param>
public sealed record Withheld(AdjusterKind Kind, WithheldWhy Why);

/// <summary>
/// What may be moved now: the school's order on each side, the press, the travel that is left, and height before sides
/// for fingers. A school prefers, it does not forbid: what it leaves for later is reached for at a price.
/// </summary>
/// <param name="Levers">What may be advised.</param>
/// <param name="InTime">What may be advised now or later: what can be reached.</param>
/// <param name="Withheld">What may not, and why.</param>
public sealed record Reach(IReadOnlyList<Lever> Levers, IReadOnlyList<Lever> InTime, IReadOnlyList<Withheld> Withheld)
{
    private const int LastClicks = 6;
    private const double HeightMatters = 0.72;

    /// <summary>The reach of a bow.</summary>
    /// <param name="adviser">Who tunes what by which school.</param>
    /// <param name="state">What is believed, and where they stand, in the engine's steps.</param>
    public static Reach Of(Adviser adviser, TuningState state)
    {
        var (prior, belief, setting) = (state.Prior, state.Belief, state.Setting);
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
                var lever = LeverOf(adjuster, index, state);
                if (!adviser.May(adjuster))
                {
                    withheld.Add(new Withheld(row.Kind, WithheldWhy.PressWanted));
                }
                else if (lever.Lower == setting[index] && lever.Upper == setting[index])
                {
                    withheld.Add(new Withheld(row.Kind, WithheldWhy.EndOfTravel));
                }
                else if (
                    open.Count > 0
                    && !TogetherWith(row.Kind)
                    && open.Any(l => Residual(prior, belief, now, setting, l) <= adviser.Tolerance / 2)
                )
                {
                    open.Add(lever with { Beyond = true });
                }
                else if (fewClicks)
                {
                    open.AddRange([LastClicksOf(lever, adjuster, setting[index]), lever with { Beyond = true }]);
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
                levers,
                [
                    .. withheld,
                    .. levers
                        .Where(l => !Height(prior, l))
                        .Select(l => new Withheld(prior.Gains[l.Index].Kind, WithheldWhy.HeightFirst)),
                ]
            )
            : new Reach(levers, levers, withheld);
    }

    /// <summary>All of a bow's adjusters, whatever school and press say: to name what lost.</summary>
    public static IReadOnlyList<Lever> Everything(Adviser adviser, TuningState state) =>
        [
            .. adviser
                .Adjusters.Where(a => state.Prior.IndexOf(a.Kind) >= 0)
                .Select(a => LeverOf(a, state.Prior.IndexOf(a.Kind), state)),
        ];

    /// <summary>The reach of somebody whom no school and no press holds back.</summary>
    public static Reach Unlimited(Adviser adviser, TuningState state)
    {
        var all = Everything(adviser, state);
        return new Reach(all, all, []);
    }

    private static bool Height(ResponsePrior prior, Lever lever) => prior.Gains[lever.Index].Axis == TearAxis.Height;

    private static bool HeightFirst(Adviser adviser, ResponsePrior prior, TearMoments now) =>
        adviser.Release == Release.Fingers
        && Math.Abs(now.Y) - Math.Sqrt(now.VarianceY) > HeightMatters * adviser.Tolerance
        && prior.Gains.Any(g => g.Axis == TearAxis.Height);

    /// <summary>Rest height and nocking point are agreed alike: both stand open.</summary>
    private static bool TogetherWith(AdjusterKind kind) => kind is AdjusterKind.RestHeight or AdjusterKind.NockingPoint;

    private static Lever LeverOf(Adjuster adjuster, int index, TuningState state)
    {
        var shift = state.Setting[index] - adjuster.Position;
        var (lower, upper) = (
            Math.Min(adjuster.Lower, adjuster.Position) + shift,
            Math.Max(adjuster.Upper, adjuster.Position) + shift
        );
        return new Lever(
            index,
            lower,
            upper,
            MostSteps(adjuster.Kind, state.Prior.Gains[index], state.MostInches),
            (int)((upper - lower) / TestsInWindow)
        );
    }

    /// <summary>
    /// One move is an inch of effect at the most; a bolt a quarter turn, a spacer one size, a point one step of the
    /// catalogue, a nocking point 3/16 in, and no finger adjuster by half its travel (common practice, no source).
    /// </summary>
    private static int MostSteps(AdjusterKind kind, GainPrior gain, double inches) =>
        Math.Min(
            MostAtOnce.GetValueOrDefault(kind, int.MaxValue),
            Math.Max(1, (int)Math.Floor((inches / gain.Nominal) + Rounding))
        );

    private static readonly Dictionary<AdjusterKind, int> MostAtOnce = new()
    {
        [AdjusterKind.BottomLimbBolt] = 1,
        [AdjusterKind.CamSpacer] = 1,
        [AdjusterKind.PointWeight] = 1,
        [AdjusterKind.NockingPoint] = 3,
        [AdjusterKind.PlungerTension] = 4,
        [AdjusterKind.PlungerPosition] = 3,
        [AdjusterKind.StrikePlate] = 2,
        [AdjusterKind.BraceHeight] = 4,
        [AdjusterKind.DrawWeight] = 2,
    };

    /// <summary>A test goes no further than this part of an adjuster's window.</summary>
    private const int TestsInWindow = 4;

    private const double Rounding = 1e-9;

    /// <summary>The rest's few clicks about the middle of its window.</summary>
    private static Lever LastClicksOf(Lever lever, Adjuster adjuster, double at)
    {
        var middle = at - adjuster.Position;
        return lever with
        {
            Lower = Math.Min(at, Math.Max(lever.Lower, middle - LastClicks)),
            Upper = Math.Max(at, Math.Min(lever.Upper, middle + LastClicks)),
        };
    }

    /// <summary>
    /// What is left along its axis after this lever's best whole step, by the way to answer that helps most.
    /// </summary>
    private static double Residual(ResponsePrior prior, Belief belief, TearMoments now, double[] setting, Lever lever)
    {
        var sideways = prior.Gains[lever.Index].Axis == TearAxis.Sideways;
        var along = sideways ? now.X : now.Y;
        return belief.Masks.Min(mask =>
        {
            var gain = belief.GainOf(mask, lever.Index).Gain;
            var (low, high) = (lever.Lower - setting[lever.Index], lever.Upper - setting[lever.Index]);
            var step = Math.Round(Math.Clamp(-along / gain, low, high));
            return Math.Abs(along + (gain * step));
        });
    }

    /// <summary>Why an adjuster lost, where it is not open at all.</summary>
    public Withheld? WhyNot(AdjusterKind kind) => Withheld.FirstOrDefault(w => w.Kind == kind);
}
