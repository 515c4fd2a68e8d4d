using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// What is said, for every kind of advice, bow and hand: an order a technician can follow, the same words for the same
/// thing.
/// </summary>
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
        var adviser = AdviserOf(kind, school);
        foreach (var advice in All(adviser))
        {
            var (sentence, reason) = (advice.Sentence.Said(hand), advice.Reason.Said(hand));
            sentence.Length.ShouldBeInRange(1, 95, sentence);
            sentence.ShouldEndWith(".");
            reason.ShouldNotBeEmpty();
            (sentence + reason + advice.RunnerUp?.Said(hand) + advice.Disputed?.Said(hand)).ShouldNotContain("NaN");
            (sentence + reason).ShouldNotContain("!");
            advice
                .Evidence.SelectMany(e => new[] { e.Statement, e.Because, e.WouldOverturn })
                .ShouldAllBe(m => m.Said(hand).Length > 0);
            if (advice.Move is { } move)
            {
                advice.Ghosts.ShouldNotBeEmpty();
                move.After.Said(hand).ShouldNotBeEmpty();
                sentence.ShouldBe($"{move.Order.Said(hand)}, then shoot two.");
                Twists(move.Kind, move.Order.Said(hand));
            }
            else
            {
                advice.Kind.ShouldBeOneOf(
                    AdviceKind.NoShots,
                    AdviceKind.ShootMore,
                    AdviceKind.GoodEnough,
                    AdviceKind.NotReachable,
                    AdviceKind.StopAsking
                );
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
        string Order(Hand hand) => Advise(AdviserOf(kind, School.CentreFirst), new Tear(.9, 0)).Move!.Order.Said(hand);
        var (right, left) = (Order(Hand.Right), Order(Hand.Left));
        if (kind == BowKind.Compound)
        {
            left.ShouldBe(right);
        }
        else
        {
            left.ShouldNotBe(right);
            new[] { ("softer", "stiffer"), ("heavier", "lighter"), ("lower", "higher"), ("up", "down") }
                .Any(p =>
                    (right.EndsWith(p.Item1) && left.EndsWith(p.Item2))
                    || (right.EndsWith(p.Item2) && left.EndsWith(p.Item1))
                )
                .ShouldBeTrue($"{right} / {left}");
        }
    }

    [Theory]
    [InlineData(Hand.Right, "left (out)", "right (in)")]
    [InlineData(Hand.Left, "left (in)", "right (out)")]
    public void The_rest_is_named_both_by_side_and_by_in_and_out(Hand hand, string left, string right)
    {
        new Order(AdjusterKind.RestSideways, -4).Said(hand).ShouldBe($"Rest 4 clicks {left}");
        new Order(AdjusterKind.RestSideways, 4).Said(hand).ShouldBe($"Rest 4 clicks {right}");
    }

    [Fact]
    public void Chances_are_never_said_as_none_or_certain()
    {
        new Chance(0).Said().ShouldBe("under 1 %");
        new Chance(1).Said().ShouldBe("over 99 %");
        new Chance(.734).Said().ShouldBe("73 %");
        new ChanceAndEnough(new Chance(.934), new Chance(.97))
            .Said()
            .ShouldBe("Chance of being inside 93 %; done at 97 %.");
        new ChanceAndEnough(new Chance(.967), new Chance(.97))
            .Said()
            .ShouldBe("Chance of being inside just under 97 %; done at 97 %.");
    }

    /// <summary>"In" and "out" are kept for toward and away from the riser; a twist is shorter or longer.</summary>
    private static void Twists(AdjusterKind kind, string order)
    {
        if (kind == AdjusterKind.YokePair)
        {
            order.ShouldContain("shorter");
            order.ShouldContain("longer");
            order.Split(' ').ShouldNotContain("in");
        }
    }

    private static IEnumerable<Advice> All(Adviser adviser)
    {
        Tear[] tears =
        [
            new(1, 0),
            new(-1, 0),
            new(0, 1),
            new(0, -1),
            new(.9, .9),
            new(.02, .01),
            new(.3, -.1),
            new(4, 4),
        ];
        yield return adviser.Advise(adviser.Read(Three, []));
        foreach (var tear in tears)
        {
            yield return adviser.Advise(adviser.Read(Three, [Shot(adviser, tear)]));
            yield return Advise(adviser, tear);
        }
    }

    private static Advice Advise(Adviser adviser, Tear at) =>
        adviser.Advise(
            adviser.Read(
                Three,
                [
                    .. new Tear[]
                    {
                        new(at.X - .03, at.Y),
                        new(at.X + .03, at.Y),
                        new(at.X, at.Y + .03),
                        new(at.X, at.Y - .03),
                    }.Select(t => Shot(adviser, t)),
                ]
            )
        );

    private static ShotReading Shot(Adviser adviser, Tear tear) => Shots.Of(Three, adviser.Positions, tear);

    private static Adviser AdviserOf(BowKind kind, School school)
    {
        var compound = kind == BowKind.Compound;
        Adjuster[] adjusters =
        [
            .. AdjusterTable.Usual(kind, compound ? CamSystem.TwinYoke : CamSystem.None).Select(AdjusterTable.Fresh),
        ];
        return new Adviser(
            compound ? Release.ReleaseAid : Release.Fingers,
            school,
            compound,
            compound ? RestType.DropAwayLate : RestType.Plunger,
            adjusters
        );
    }
}
