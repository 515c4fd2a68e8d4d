using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Story;

/// <summary>What two dates showed: tear, spread and speed.</summary>
internal static class ResultRows
{
    /// <summary>Spreads of unlike distances are held against each other as if shot from here, yards.</summary>
    private const double Reference = 20;

    public static IEnumerable<DifferenceRow> Of(StateThen then, StateThen now)
    {
        if (then.Bare is not null || now.Bare is not null)
        {
            var (a, b) = (then.Bare, now.Bare);
            var unlike = a is not null && b is not null && a.Stage.Distance != b.Stage.Distance;
            yield return new DifferenceRow(
                DifferenceSection.Results,
                StorySays.TearBare,
                TearOf(a),
                TearOf(b),
                a is null || b is null || unlike
                    ? Message.Nothing
                    : new Amount(Measure.Inches(Math.Sqrt(b.Mean!.Mean.SquareTo(a.Mean!.Mean)))),
                a?.Id != b?.Id,
                CanDo.NotAsked,
                // Tears at unlike distances stand side by side, without a difference.
                unlike
                    ? new TearsFrom(Measure.Yards(a!.Stage.Distance), Measure.Yards(b!.Stage.Distance))
                    : Message.Nothing
            );
        }

        if (then.Group?.Group is not null || now.Group?.Group is not null)
        {
            var (a, b) = (then.Group?.Group, now.Group?.Group);
            yield return new DifferenceRow(
                DifferenceSection.Results,
                new SpreadAt(Measure.Yards(Reference)),
                SpreadOf(then.Group),
                SpreadOf(now.Group),
                Message.Nothing,
                then.Group?.Id != now.Group?.Id,
                CanDo.NotAsked,
                a is null || b is null || then.Group!.Id == now.Group!.Id ? Message.Nothing
                    : WithinChance(then.Group!, now.Group!) ? StorySays.WithinChance
                    : StorySays.BeyondChance
            );
        }

        if (then.Speed is not null || now.Speed is not null)
        {
            var (a, b) = (then.Speed, now.Speed);
            yield return new DifferenceRow(
                DifferenceSection.Results,
                StorySays.Speed,
                a is null ? StorySays.NotSaid : new Amount(Measure.Speed(a.Mean)),
                b is null ? StorySays.NotSaid : new Amount(Measure.Speed(b.Mean)),
                a is null || b is null ? Message.Nothing : new Difference(Measure.Speed(b.Mean - a.Mean)),
                a != b,
                CanDo.NotAsked,
                a is null || b is null || Math.Abs(a.Grains - b.Grains) < 1 ? Message.Nothing : StorySays.OtherWeight
            );
        }
    }

    private static Message TearOf(StorySet? set) =>
        set?.Mean is { } mean
            ? new TearShort(Measure.Inches(mean.Mean.X), Measure.Inches(mean.Mean.Y))
            : StorySays.NotSaid;

    private static Message SpreadOf(StorySet? set) =>
        set?.Group is { } group
            ? new Amount(Measure.Inches(group.Spread * Reference / set.Stage.Distance))
            : StorySays.NotSaid;

    /// <summary>True where each spread, by the yard, lies in the other's 95 % band.</summary>
    private static bool WithinChance(StorySet a, StorySet b)
    {
        var (one, other) = (a.Group!, b.Group!);
        var (near, far) = (a.Stage.Distance, b.Stage.Distance);
        return one.SpreadBand.Low / near <= other.SpreadBand.High / far
            && other.SpreadBand.Low / far <= one.SpreadBand.High / near;
    }
}
