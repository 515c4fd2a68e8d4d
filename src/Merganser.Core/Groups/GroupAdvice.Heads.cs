using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// Heads that land elsewhere: leave, a sight mark of their own, or tune. A bad flight outranks the place. The sight is
/// advised where the offset is clear and most likely straight: it hides what a tune would have cured.
/// </summary>
internal sealed partial class GroupAdvice
{
    /// <summary>
    /// Chance at which the sight answers (measured against .5, .6 and .8: docs/benchmarks.md): higher asks for more
    /// arrows, lower hides more often what the bow should answer.
    /// </summary>
    private const double SightFrom = 0.7;

    /// <summary>Chance at which heads and field points are called together, as seen without any prior.</summary>
    private const double TogetherFrom = 0.95;

    /// <summary>Chance from which the engine's move is heard.</summary>
    private const double TuneFrom = 0.4;

    /// <summary>What the heads say before the engine, or null where the engine's word stands.</summary>
    private Advice? ByTheHeads(Advice advice, IReadOnlyList<Evidence> evidence)
    {
        var straight = session.Straight;
        if (straight == StraightMiss.TuneTheBow || advice.Kind == AdviceKind.GoodEnough)
        {
            return null;
        }

        if (groups.EachHead!.FlyBadly)
        {
            var engine = ByTheEngine(advice, evidence);
            Message badly = new HeadsFlewBadly(groups.EachHead.Rough, groups.EachHead.Seen);
            return engine with { Reason = new Sentences([badly, engine.Reason]) };
        }

        if (groups.Map(straight) is not { } map)
        {
            return ToShoot(HeadMap.LeastOfEach, GroupSays.ThreeBeforeSightOrBow);
        }

        return map switch
        {
            { Sight: >= SightFrom } when groups.Verdict == GroupVerdict.Clear => MoveTheSight(advice, evidence),
            { Leave: >= TogetherFrom } => Instead(
                advice,
                AdviceKind.GoodEnough,
                TuningSays.GoodEnough,
                new ChanceAndEnough(new Chance(map.Leave), new Chance(TogetherFrom)),
                evidence
            ),
            { Tune: >= TuneFrom } => null,
            _ when advice.Kind == AdviceKind.StopAsking => null,
            _ => Instead(
                advice,
                AdviceKind.ShootMore,
                Shoot(LeastPairs, LeastPairs),
                GroupSays.SightOrBowNotDecided,
                evidence
            ),
        };
    }

    /// <summary>Another advice in the engine's place: no move beside it, its chance as the bow stands.</summary>
    private static Advice Instead(
        Advice advice,
        AdviceKind kind,
        Message sentence,
        Message reason,
        IReadOnlyList<Evidence> evidence
    ) => Advice.To(kind, sentence, reason, evidence) with { Chance = advice.Chance, Enough = advice.Enough };

    /// <summary>The pin's way for heads: the axis on which they lie, whole.</summary>
    private Advice MoveTheSight(Advice advice, IReadOnlyList<Evidence> evidence)
    {
        var (sight, pin) = (session.Bow.SightUsed, groups.SightAnswer(session.Bow.Sight)!);
        var moved = sight.Moved(pin, scale.Yards);
        return Instead(
            advice,
            AdviceKind.MoveTheSight,
            new SightForHeads(
                Measure.Inches(pin.Right, 3),
                Measure.Inches(pin.Up, 3),
                sight.ClicksOf(Math.Abs(pin.Right) + Math.Abs(pin.Up))
            ),
            new BothMarksKept(Measure.Inches(moved.X), Measure.Inches(moved.Y)),
            evidence
        );
    }

    /// <summary>What the place asks for, how the heads fly, and whether one stands apart.</summary>
    private IEnumerable<Evidence> HeadsShow()
    {
        if (groups.EachHead is not { } heads)
        {
            yield break;
        }

        if (groups.Map(session.Straight) is { } map)
        {
            yield return new Evidence(
                new HeadShares(new Chance(map.Leave), new Chance(map.Sight), new Chance(map.Tune)),
                new HeadPlaces(Measure.Inches(groups.Tolerance), HeadMap.HalfSector, session.Straight),
                GroupSays.MorePairsDecide
            );
        }

        if (heads.FlyBadly)
        {
            yield return new Evidence(
                new HeadsFlewBadly(heads.Rough, heads.Seen),
                GroupSays.SpinAndWeighIt,
                GroupSays.MorePairsDecide
            );
        }

        if (heads is { F: { } f, P: { } p })
        {
            Message test = new HeadsTest(new FTest(f, heads.Freedom.Between, heads.Freedom.Within, p));
            yield return new Evidence(
                new HeadsCompared(heads.Apart?.Number),
                heads.Apart is { } apart
                    ? new Sentences([
                        test,
                        new WithoutHead(apart.Number, groups.Without(apart) is { } without ? ShownBy(without) : null),
                    ])
                    : test,
                GroupSays.EachHeadTwice
            );
        }
    }

    private OffsetShown ShownBy(GroupOffset offset) =>
        new(
            Measure.Inches(offset.Offset.X),
            Measure.Inches(offset.Offset.Y),
            offset.Verdict(groups.Looks),
            groups.TestedKind
        );
}
