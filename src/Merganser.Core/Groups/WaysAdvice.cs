using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What two ways ask for: arrows in turn, then the tighter one kept, or neither called better.</summary>
internal static class WaysAdvice
{
    private const int Glance = 3;

    /// <summary>What is advised at the ways in work.</summary>
    public static Advice Of(TuningSession session)
    {
        var ways = session.Ways!;
        Evidence[] evidence = [.. EvidenceOf(ways, session.PaperIsClean)];
        Advice To(AdviceKind kind, Message sentence, Message reason) => Advice.To(kind, sentence, reason, evidence);
        Message Shoot(int each) => new WaysToShoot(each, ways.Ways.NameOf(ways.Next));
        if (ways.Count == 0)
        {
            return To(AdviceKind.NoShots, Shoot(TwoWays.LeastOfEach), WaySays.InTurnSameAim);
        }

        if (ways.Size is null)
        {
            var why = ways.Least >= Glance ? WaySays.ThreeCannot : WaySays.ShootInTurn;
            return To(AdviceKind.ShootMore, Shoot(TwoWays.LeastOfEach - ways.Least), why);
        }

        if (ways.Tighter is { } tighter)
        {
            var apart = ways.Apart == GroupVerdict.Clear;
            return To(
                AdviceKind.GoodEnough,
                new KeepTheWay(tighter.Name),
                apart ? WaySays.OwnMarkEach : WaySays.AnotherDayEach
            );
        }

        return ways.More == 0
            ? To(AdviceKind.GoodEnough, WaySays.NoSizeShown, Would(ways.Least))
            : To(AdviceKind.ShootMore, Shoot(ways.More), WaySays.SizesTakeMany);
    }

    private static WaysWouldShow Would(int each) =>
        new(
            each,
            new Chance(SizeTest.Power(each, TwoWays.TwiceAsWide)),
            new Chance(SizeTest.Power(each, TwoWays.HalfAgain))
        );

    private static IEnumerable<Evidence> EvidenceOf(WaysReading ways, bool? clean)
    {
        if (ways.Size is { } size)
        {
            yield return new Evidence(
                ways.Words!,
                new SizeTested(
                    new FTest(size.F, 1, size.Freedom, size.P),
                    Measure.Plain(size.Wider.Low, 1),
                    Measure.Plain(size.Wider.High, 1),
                    SizeTest.Threshold
                ),
                WaySays.MoreOfEachWay
            );
            yield return new Evidence(
                Would(ways.Least),
                new HalfAgainTakes(SizeTest.WantedForHalfAgain),
                WaySays.MoreOfEachWay
            );
        }

        if (ways is { Offset: { } offset, Least: >= Glance })
        {
            var looks = ways.Apart!.Value;
            yield return new Evidence(
                new WaysApart(
                    ways.First.Name,
                    Measure.Inches(offset.Offset.X),
                    Measure.Inches(offset.Offset.Y),
                    ways.Second.Name,
                    looks
                ),
                new OffsetTest(
                    new FTest(offset.F, 2, offset.Freedom, offset.P),
                    Measure.Inches(offset.Radius),
                    Measure.Inches(offset.Spread),
                    GroupOffset.Threshold(ways.Looks)
                ),
                WaySays.MoreOfEachWay
            );
        }

        if (ways.Strings is { } strings)
        {
            yield return new Evidence(
                new HitsStrung(strings.Strung, Measure.Plain(strings.Ratio, 1), clean),
                new StringTested(new FTest(strings.F, 1, strings.Freedom, strings.P), strings.Arrows),
                WaySays.AnotherDay
            );
        }
    }
}
