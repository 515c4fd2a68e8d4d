using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>What is said, for every kind of advice, bow and hand: an order a technician can follow, the same words for the same thing.</summary>
public class AdviceWordingTests
{
    private static readonly Stage Three = new(3, false, "arrow");

    public static TheoryData<BowKind, Hand, School> Benches
    {
        get
        {
            var data = new TheoryData<BowKind, Hand, School>();
            foreach (var kind in Enum.GetValues<BowKind>())
            {
                foreach (var hand in Enum.GetValues<Hand>())
                {
                    foreach (var school in Enum.GetValues<School>())
                    {
                        data.Add(kind, hand, school);
                    }
                }
            }

            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Benches))]
    public void Every_advice_says_one_thing_in_few_words(BowKind kind, Hand hand, School school)
    {
        var bench = BenchOf(kind, hand, school);
        foreach (var advice in All(bench))
        {
            advice.Sentence.ShouldNotBeEmpty();
            advice.Sentence.Length.ShouldBeLessThanOrEqualTo(95, advice.Sentence);
            advice.Sentence.ShouldEndWith(".");
            advice.Reason.ShouldNotBeEmpty();
            (advice.Sentence + advice.Reason + advice.RunnerUp + advice.Disputed).ShouldNotContain("NaN");
            (advice.Sentence + advice.Reason).ShouldNotContain("!");
            advice.Evidence.ShouldAllBe(e => e.Statement.Length > 0 && e.Because.Length > 0 && e.WouldOverturn.Length > 0);
            if (advice.Move is { } move)
            {
                advice.Ghosts.ShouldNotBeEmpty();
                move.After.ShouldNotBeEmpty();
                advice.Sentence.ShouldBe($"{move.Order}, then shoot two.");
                Twists(move);
            }
            else
            {
                advice.Kind.ShouldBeOneOf(AdviceKind.NoShots, AdviceKind.ShootMore, AdviceKind.GoodEnough, AdviceKind.NotReachable);
            }
        }
    }

    [Theory]
    [InlineData(BowKind.Compound)]
    [InlineData(BowKind.Recurve)]
    [InlineData(BowKind.Barebow)]
    [InlineData(BowKind.Longbow)]
    public void The_words_of_a_finger_bow_turn_with_the_hand_and_those_of_a_compound_do_not(BowKind kind)
    {
        string Order(Hand hand) => Advise(BenchOf(kind, hand, School.CentreFirst), new Tear(.9, 0)).Move!.Order;
        var (right, left) = (Order(Hand.Right), Order(Hand.Left));
        if (kind == BowKind.Compound)
        {
            left.ShouldBe(right);
        }
        else
        {
            left.ShouldNotBe(right);
            new[] { ("softer", "stiffer"), ("heavier", "lighter"), ("lower", "higher"), ("up", "down") }
                .Any(p => (right.EndsWith(p.Item1) && left.EndsWith(p.Item2)) || (right.EndsWith(p.Item2) && left.EndsWith(p.Item1))).ShouldBeTrue($"{right} / {left}");
        }
    }

    [Theory]
    [InlineData(Hand.Right, "left (out)", "right (in)")]
    [InlineData(Hand.Left, "left (in)", "right (out)")]
    public void The_rest_is_named_both_by_side_and_by_in_and_out(Hand hand, string left, string right)
    {
        AdjusterTable.Of(AdjusterKind.RestSideways).Order(-4, hand).ShouldBe($"Rest 4 clicks {left}");
        AdjusterTable.Of(AdjusterKind.RestSideways).Order(4, hand).ShouldBe($"Rest 4 clicks {right}");
    }

    [Fact]
    public void Chances_are_never_said_as_none_or_certain()
    {
        TuningBench.Percent(0).ShouldBe("under 1 %");
        TuningBench.Percent(1).ShouldBe("over 99 %");
        TuningBench.Percent(.734).ShouldBe("73 %");
    }

    /// <summary>"In" and "out" are kept for toward and away from the riser; a twist is shorter or longer.</summary>
    private static void Twists(AdvisedMove move)
    {
        if (move.Kind == AdjusterKind.YokePair)
        {
            move.Order.ShouldContain("shorter");
            move.Order.ShouldContain("longer");
            move.Order.Split(' ').ShouldNotContain("in");
        }
    }

    private static IEnumerable<Advice> All(TuningBench bench)
    {
        Tear[] tears = [new(1, 0), new(-1, 0), new(0, 1), new(0, -1), new(.9, .9), new(.02, .01), new(.3, -.1), new(4, 4)];
        yield return bench.Advise(bench.Read(Three, []));
        foreach (var tear in tears)
        {
            yield return bench.Advise(bench.Read(Three, [Shot(bench, tear)]));
            yield return Advise(bench, tear);
        }
    }

    private static Advice Advise(TuningBench bench, Tear at) =>
        bench.Advise(bench.Read(Three, [.. new Tear[] { new(at.X - .03, at.Y), new(at.X + .03, at.Y), new(at.X, at.Y + .03), new(at.X, at.Y - .03) }.Select(t => Shot(bench, t))]));

    private static SessionShot Shot(TuningBench bench, Tear tear) => new(1, Three, bench.Positions, tear);

    private static TuningBench BenchOf(BowKind kind, Hand hand, School school)
    {
        var compound = kind == BowKind.Compound;
        Adjuster[] adjusters = [.. AdjusterTable.Usual(kind, compound ? CamSystem.TwinYoke : CamSystem.None).Select(AdjusterTable.Fresh)];
        return new TuningBench(hand, compound ? Release.ReleaseAid : Release.Fingers, school, compound, compound ? RestType.DropAwayLate : RestType.Plunger, adjusters);
    }
}
