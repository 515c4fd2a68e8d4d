using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>
/// The nock end of a bare shaft in a near target: marked as at the paper, read as the tear that it stands for.
/// </summary>
public class NockEndTests
{
    private static readonly PlannedStage Seven = new(7, false, NockEnd: true);

    private readonly SessionAtHand at = new(Seven, AdjusterKind.RestSideways) { Arrow = Samples.A1 };

    // Nock end less point for each inch of bare tear at 3 yd: 5 yd 1.55, 7 yd 2.03, 10 yd 2.52 (models, mapping: 500
    // simulated set-ups).
    [Theory]
    [InlineData(5, 1.55)]
    [InlineData(7, 2.03)]
    [InlineData(10, 2.52)]
    public void An_inch_of_tear_is_so_much_of_slant(double yards, double inches) =>
        NockEnd.PerTear(yards).ShouldBe(inches, 1e-9);

    [Fact]
    public void Between_the_distances_it_grows_and_beyond_them_it_is_not_read()
    {
        NockEnd.PerTear(6).ShouldBeInRange(1.55, 2.03);
        NockEnd.PerTear(8.5).ShouldBeInRange(2.03, 2.52);
        Should.Throw<ArgumentOutOfRangeException>(() => NockEnd.PerTear(15));
        Should.Throw<ArgumentOutOfRangeException>(() => new PlannedStage(20, false, NockEnd: true));
        Should.Throw<ArgumentException>(() => new PlannedStage(7, true, NockEnd: true));
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, true, NockEnd: true));
    }

    [Fact]
    public void What_is_seen_is_kept_and_what_it_stands_for_is_read_advised_on_and_learned()
    {
        at.Begin("set1", Seven);
        Nock(1.0);
        Nock(1.03);
        Nock(.97);
        var session = at.Session();
        session.Now.Shots[0].Marked.Tail.X.ShouldBe(1.0, "as it was seen");
        session.Now.Mean!.Mean.X.ShouldBe(1 / 2.03, 1e-9);
        session.Headline(session.Now).Said().ShouldStartWith("Tail right 0.49 in");
        session.Stage.Name.Said().ShouldBe("7 yd nock end");
        at.Move(AdjusterKind.RestSideways, 3);
        Nock(.05);
        Nock(-.03);
        Nock(.02);
        at.Session().Advice.Kind.ShouldBeOneOf(AdviceKind.GoodEnough, AdviceKind.ShootMore);
        at.Session().Learned().Fits.Single().Gains.Single().Settings.ShouldBe(2);
    }

    [Fact]
    public void A_nock_end_within_half_an_inch_at_seven_yards_is_a_quarter_inch_of_tear()
    {
        at.Begin("set1", Seven);
        Nock(.5);
        at.Session().Now.Mean!.Mean.X.ShouldBe(.25, .005);
        at.Session().Stages()[0].Shots.ShouldBe(1);
        SessionPlan.Usual.First(u => u.Code == "nockEnd").Stages.ShouldBe([Seven]);
    }

    private void Nock(double right) =>
        at.Mark(new Marked(new Hole(0, 0), new Hole(right, 0), null, SheetSide.ShootingSide));
}
