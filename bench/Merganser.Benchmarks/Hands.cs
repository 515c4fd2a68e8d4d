using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Benchmarks;

/// <summary>
/// How it is done without the engine: the trade's fixed step, and a practised hand with a notebook (common practice, no
/// source).
/// </summary>
public static class Hands
{
    private const int Look = 18;
    private const int RestStep = 4;

    /// <summary>
    /// One fixed step on the worse axis, the mean of three shots, flipped when it got worse; the next adjuster at the
    /// end of travel.
    /// </summary>
    public static SessionResult FixedStep(Handled bow, double tolerance)
    {
        var session = new Session(bow);
        var way = new[] { 1, 1 };
        var last = new double?[2];
        while (session.Shots < bow.MostShots)
        {
            var mean = session.Mean(3);
            if (mean.Length < tolerance)
            {
                return session.End(SessionEnd.Done);
            }

            var axis = Math.Abs(mean.X) >= Math.Abs(mean.Y) ? TearAxis.Sideways : TearAxis.Height;
            var i = (int)axis;
            var size = Math.Abs(mean.Along(axis));
            if (last[i] is { } before && size > before)
            {
                way[i] = -way[i];
            }

            last[i] = size;
            var step = -Math.Sign(mean.Along(axis)) * way[i];
            if (!session.Of(axis).Any(a => session.Step(a, step * (IsRest(bow.Kinds[a]) ? RestStep : 1))))
            {
                return session.End(SessionEnd.NotReachable);
            }
        }

        return session.End(SessionEnd.OutOfShots);
    }

    /// <summary>
    /// In proportion to the tear by the usual size of a step; halves what it turns after an overshoot, turns round
    /// after a wrong way.
    /// </summary>
    public static SessionResult Practised(Handled bow, double tolerance, int shots, bool confirm)
    {
        var session = new Session(bow);
        var factor = bow.Kinds.Select(_ => 1.0).ToArray();
        (int Adjuster, double Before)? last = null;
        while (session.Shots < bow.MostShots)
        {
            var mean = session.Mean(shots);
            if (mean.Length < tolerance && (!confirm || session.Mean(1).Length < tolerance))
            {
                return session.End(SessionEnd.Done);
            }

            if (last is { } made)
            {
                var now = mean.Along(AdjusterTable.Of(bow.Kinds[made.Adjuster]).Axis);
                var wrongWay = Math.Abs(now) > Math.Abs(made.Before) * 1.2 ? -1 : 1;
                factor[made.Adjuster] *= Math.Sign(now) != Math.Sign(made.Before) ? 0.5 : wrongWay;
            }

            var axis = Math.Abs(mean.X) >= Math.Abs(mean.Y) ? TearAxis.Sideways : TearAxis.Height;
            var wanted = -mean.Along(axis);
            var moved = session
                .Of(axis)
                .OrderBy(a => Math.Abs(wanted) < 0.6 * AdjusterTable.Of(bow.Kinds[a]).NominalGain)
                .Cast<int?>()
                .FirstOrDefault(a =>
                    session.Step(
                        a!.Value,
                        AtLeastOne(wanted * factor[a.Value] / AdjusterTable.Of(bow.Kinds[a.Value]).NominalGain)
                    )
                );
            if (moved is null)
            {
                return session.End(SessionEnd.NotReachable);
            }

            last = (moved.Value, mean.Along(axis));
        }

        return session.End(SessionEnd.OutOfShots);
    }

    private static bool IsRest(AdjusterKind kind) => kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight;

    private static int AtLeastOne(double steps) => Math.Sign(steps) * Math.Max(1, (int)Math.Round(Math.Abs(steps)));

    private sealed class Session(Handled bow)
    {
        private readonly double[] setting = new double[bow.Levers.Count];
        private double? after18;
        private int moves;

        public int Shots { get; private set; }

        /// <summary>
        /// The adjusters of an axis: what the school reaches for first, the rest for the fine end and the height.
        /// </summary>
        public IEnumerable<int> Of(TearAxis axis) =>
            Enumerable
                .Range(0, setting.Length)
                .Where(i => AdjusterTable.Of(bow.Kinds[i]).Axis == axis && bow.Kinds[i] != AdjusterKind.BottomLimbBolt)
                .OrderBy(i => bow.Kinds[i] == AdjusterKind.RestSideways);

        public Tear Mean(int count)
        {
            var (x, y) = (0.0, 0.0);
            for (var i = 0; i < count; i++)
            {
                var tear = bow.Shoot(setting);
                (x, y) = (x + tear.X, y + tear.Y);
                if (++Shots == Look)
                {
                    after18 = bow.TrueMean(setting).Length;
                }
            }

            return new Tear(x / count, y / count);
        }

        /// <summary>Turns an adjuster as far as its travel lets it; false when it does not move.</summary>
        public bool Step(int adjuster, int steps)
        {
            var to = Math.Clamp(setting[adjuster] + steps, bow.Levers[adjuster].Lower, bow.Levers[adjuster].Upper);
            if (to == setting[adjuster])
            {
                return false;
            }

            setting[adjuster] = to;
            moves++;
            return true;
        }

        public SessionResult End(SessionEnd end)
        {
            var length = bow.TrueMean(setting).Length;
            return new SessionResult(end, moves, Shots, length, after18 ?? length, 0);
        }
    }
}

/// <summary>What a hand meets: adjusters with their travel, a shot, and the mean that nobody sees.</summary>
public sealed record Handled(
    IReadOnlyList<AdjusterKind> Kinds,
    IReadOnlyList<Lever> Levers,
    Func<IReadOnlyList<double>, Tear> Shoot,
    Func<IReadOnlyList<double>, Tear> TrueMean,
    int MostShots
)
{
    private const int Most = 300;

    /// <summary>Arrows of one pair.</summary>
    public const int ArrowsOfPair = 2;

    /// <summary>A bow before its paper.</summary>
    public static Handled Of(SimulatedBow bow) => new(bow.Kinds, bow.Levers, bow.Shoot, bow.TrueMean, Most);

    /// <summary>
    /// A bow before its target, one pair a shot: the hand divides what it sees by what the trade says an inch of tear
    /// makes there.
    /// </summary>
    public static Handled Of(SimulatedTarget target)
    {
        var (tested, reference) = target.World.Kinds;
        var factor = target.World.Scale.Factor;
        Tear Seen(Impact offset) => new(-offset.X / factor, -offset.Y / factor);
        return new(
            target.Bow.Kinds,
            target.Bow.Levers,
            setting => Seen(target.Shoot(tested, setting) - target.Shoot(reference, setting)),
            setting => Seen(target.TrueOffset(setting)),
            Most / ArrowsOfPair
        );
    }
}
