using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>What paper lets one expect at the target, and what is said where the target shows the other side.</summary>
public class PaperAndTargetTests
{
    private static readonly PlannedStage Paper = new(3, false);
    private static readonly PlannedStage Target = new(20, false, true);

    private readonly SessionAtHand at = new(Paper, AdjusterKind.RestSideways) { Arrow = Samples.A1 };

    [Fact]
    public void A_tail_right_is_bare_shafts_to_the_left_and_is_told_so()
    {
        Tear(.6);
        at.Begin("set2", Target);
        at.Groups(-1.9, 0);
        // 2.8 in at 20 yd for each inch of bare tear at 3 yd (models, mapping): .6 in right is 1.68 in left.
        var said = at.Session().Advice.Evidence.Select(e => e.Statement.Said()).ToArray();
        said[1].ShouldStartWith("Paper with the bow as it stands lets bare shafts land 1.7 in left");
        said[1].ShouldEndWith("so they do, as far as is shown.");
        at.Session()
            .Advice.Evidence[1]
            .Because.Said()
            .ShouldStartWith("At 20 yd an offset is about 2.8 times the tear");
        at.Session().Advice.Kind.ShouldNotBe(AdviceKind.Contradiction);
    }

    [Fact]
    public void Bare_shafts_on_the_other_side_move_nothing_until_the_target_decides()
    {
        Tear(1);
        at.Begin("set2", Target);
        at.Groups(5, 0);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.Contradiction);
        advice.Sentence.Said().ShouldBe("Paper and target disagree: move nothing yet.");
        advice.Evidence[1].Statement.Said().ShouldEndWith("they land on the other side.");
        advice.Move.ShouldBeNull();
        at.Session().Next.Action.ShouldBe("mark");
        at.Groups(5, 0);
        at.Session().Advice.Kind.ShouldNotBe(AdviceKind.Contradiction, "eight pairs: the target is believed");
    }

    [Fact]
    public void A_paper_of_another_setting_says_nothing_here()
    {
        Tear(1);
        at.Move(AdjusterKind.RestSideways, 2);
        at.Begin("set3", Target);
        at.Groups(5, 0);
        at.Session().Advice.Kind.ShouldNotBe(AdviceKind.Contradiction);
        at.Session().Advice.Evidence.ShouldNotContain(e => e.Statement is PaperExpects);
    }

    [Theory]
    [InlineData(-1, -5)]
    [InlineData(1, 5)]
    public void It_is_the_same_from_the_other_side(double tail, double bare)
    {
        Tear(tail);
        at.Begin("set2", Target);
        at.Groups(bare, 0);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.Contradiction);
    }

    private void Tear(double right)
    {
        at.Begin("set1", Paper);
        foreach (var stray in new[] { -.05, .03, .02 })
        {
            at.Mark(
                new Merganser.Core.Sessions.Marked(
                    new Hole(0, 0),
                    new Hole(right + stray, stray),
                    null,
                    SheetSide.ShootingSide
                )
            );
        }
    }
}
