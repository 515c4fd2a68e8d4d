using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Setup;

public class CrawlMarksTests
{
    private static readonly DateTimeOffset Then = new(2026, 9, 12, 10, 0, 0, TimeSpan.Zero);

    private static CrawlMark At(double yards, double crawl, int? nockingPoint = 0) =>
        new(yards, crawl, nockingPoint, Then);

    [Fact]
    public void Marks_stand_in_the_order_of_their_distances()
    {
        var table = new CrawlTable([At(30, .4), At(10, 2), At(20, 1.25)], 0);
        table.Rows.Select(r => r.Mark.Yards).ShouldBe([10, 20, 30]);
        table.Rows.ShouldAllBe(r => r.State == CrawlState.Stands);
    }

    [Fact]
    public void A_moved_nocking_point_puts_its_marks_in_doubt_and_says_by_how_much()
    {
        var table = new CrawlTable([At(10, 2, 0), At(20, 1.25, 2), At(30, .4, 2)], 2);
        table
            .Rows.Select(r => (r.State, r.Steps))
            .ShouldBe([(CrawlState.NockingPointMoved, 2), (CrawlState.Stands, 0), (CrawlState.Stands, 0)]);
        new CrawlTable([At(10, 2, 3)], 1).Rows[0].Steps.ShouldBe(-2, "it stands lower now");
        new CrawlTable([At(10, 2, null)], 1).Rows[0].State.ShouldBe(CrawlState.Stands, "nothing was counted then");
    }

    [Fact]
    public void A_crawl_that_does_not_grow_shorter_is_called_so()
    {
        var table = new CrawlTable([At(10, 1.2), At(20, 1.2), At(30, .4)], 0);
        table.Rows.Select(r => r.State).ShouldBe([CrawlState.Stands, CrawlState.OutOfOrder, CrawlState.Stands]);
    }

    [Fact]
    public void A_mark_of_another_nocking_point_says_nothing_of_its_neighbours()
    {
        var table = new CrawlTable([At(10, 1, 0), At(20, 1.25, 2)], 2);
        table.Rows[1].State.ShouldBe(CrawlState.Stands);
        table.Between(15).ShouldBeNull();
    }

    [Fact]
    public void Between_two_marks_it_is_on_the_line_at_a_mark_the_marks_own_beyond_them_nothing()
    {
        var table = new CrawlTable([At(20, 1.25), At(30, .45)], 0);
        table.Between(25)!.Crawl.ShouldBe(.85, 1e-12);
        table.Between(20)!.Crawl.ShouldBe(1.25);
        table.Between(30)!.Crawl.ShouldBe(.45);
        table.Between(19.9).ShouldBeNull();
        table.Between(31).ShouldBeNull();
    }

    /// <summary>
    /// The line against the shot itself: an arrow of 160 ft/s, its nock 4.5 in below the eye with the hand at the nock,
    /// aimed by its point 28 in ahead. Geometry and free fall in vacuum (elementary mechanics), solved here by itself:
    /// between marks 5 yd apart the line is off by less than a hundredth of an inch.
    /// </summary>
    [Theory]
    [InlineData(12.5)]
    [InlineData(17.5)]
    [InlineData(22.5)]
    [InlineData(27.5)]
    public void The_line_is_near_what_the_shot_asks_for(double yards)
    {
        var marks = new[] { 10.0, 15, 20, 25, 30 }.Select(d => At(d, Asked(d))).ToArray();
        marks.Select(m => m.Crawl).ShouldBe(marks.Select(m => m.Crawl).OrderDescending());
        var line = new CrawlTable(marks, 0).Between(yards)!.Crawl;
        line.ShouldBe(Asked(yards), .01);
    }

    /// <summary>
    /// The crawl, inches, that lets an arrow fall on the target at this distance while its point is held on it. The
    /// nock stands (4.5 - crawl) under the eye; the line of sight goes over the point; free fall takes the rest.
    /// </summary>
    private static double Asked(double yards)
    {
        const double speed = 160;
        const double eyeToNock = 4.5;
        const double point = 28;
        var inches = yards * 36;
        var seconds = yards * 3 / speed;
        var drop = 32.17405 * seconds * seconds / 2 * 12;
        // Departure from the nock at -h: height at the target is -h + inches * h / point - drop, which is to be nought.
        var nockUnderEye = drop / ((inches / point) - 1);
        return eyeToNock - nockUnderEye;
    }

    [Fact]
    public void Only_a_barebow_walks_the_string()
    {
        CrawlTable.IsFor(BowKind.Barebow).ShouldBeTrue();
        CrawlTable.IsFor(BowKind.Compound).ShouldBeFalse();
        Should.Throw<ArgumentOutOfRangeException>(() => At(0, 1));
        Should.Throw<ArgumentOutOfRangeException>(() => At(10, -1));
    }
}
