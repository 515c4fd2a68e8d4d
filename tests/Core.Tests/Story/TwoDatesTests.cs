using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Story;

namespace Merganser.Core.Tests.Story;

/// <summary>
/// Two dates compared. Directions are the trade's (common practice, no source): a + step drives the tail right or up, a
/// rest's way is disputed, a stiff arrow from fingers tears right on a right-handed bow.
/// </summary>
public class TwoDatesTests
{
    private static readonly DateTimeOffset Then = new(2026, 9, 12, 18, 0, 0, TimeSpan.Zero);
    private static readonly DateTimeOffset Later = Then.AddDays(40);
    private static readonly DateTimeOffset Now = Then.AddDays(70);

    private static StateThen State(DateTimeOffset at) =>
        new(
            at,
            new Dictionary<AdjusterKind, StoodThen>(),
            new Dictionary<CheckKind, FoundThen>(),
            0,
            null,
            null,
            null,
            null,
            null,
            null
        );

    private static Dictionary<AdjusterKind, StoodThen> At(AdjusterKind kind, double position) =>
        new() { [kind] = new StoodThen(position, Later) };

    private static StorySet Bare(double x, double y, DateTimeOffset at, double yards = 3) =>
        new(
            $"set {at:O}",
            1,
            "paper",
            new PlannedStage(yards, false),
            "Island",
            1,
            at,
            3,
            [new Tear(x - .05, y), new Tear(x, y + .04), new Tear(x + .05, y - .04)],
            [],
            []
        );

    private static StorySet Group(double spread, double yards, DateTimeOffset at) =>
        new(
            $"group {at:O}",
            1,
            "paper",
            new PlannedStage(yards, false, true, Sighting: true),
            "Island",
            1,
            at,
            6,
            [],
            [
                .. new[] { (1, 0), (-1, 0), (0, 1), (0, -1), (.7, .7), (-.7, -.7) }.Select(p => new Impact(
                    spread * p.Item1,
                    spread * p.Item2
                )),
            ],
            []
        );

    private static TwoDates Compared(StateThen then, StateThen now, Bow? bow = null) =>
        new(bow ?? Samples.Compound, StringPlan.Usual, then, now);

    private static DifferenceRow Row(TwoDates two, Message name) => two.Rows.Single(r => r.Name == name);

    [Theory]
    [InlineData(AdjusterKind.YokePair, -1, CanDo.Can)]
    [InlineData(AdjusterKind.YokePair, 1, CanDo.Against)]
    [InlineData(AdjusterKind.RestSideways, 2, CanDo.May)]
    [InlineData(AdjusterKind.LimbPocket, 1, CanDo.May)]
    [InlineData(AdjusterKind.RestHeight, 2, CanDo.OtherAxis)]
    [InlineData(AdjusterKind.NockingPoint, -1, CanDo.OtherAxis)]
    public void A_move_is_held_against_a_tail_left_by_the_direction_table(AdjusterKind kind, int moved, CanDo can)
    {
        var two = Compared(
            State(Then) with
            {
                Positions = At(kind, 0),
            },
            State(Now) with
            {
                Positions = At(kind, moved),
                Bare = Bare(-.8, 0, Now),
            }
        );
        two.Side.ShouldBe(TearSide.Left);
        Row(two, new AdjusterName(kind)).Can.ShouldBe(can);
    }

    [Fact]
    public void A_paper_shot_before_the_first_date_asks_nothing()
    {
        var two = Compared(
            State(Then) with
            {
                Positions = At(AdjusterKind.YokePair, 0),
                Bare = Bare(-.8, 0, Then.AddDays(-1)),
            },
            State(Now) with
            {
                Positions = At(AdjusterKind.YokePair, -1),
                Bare = Bare(-.8, 0, Then.AddDays(-1)),
            }
        );
        two.Side.ShouldBeNull();
        two.Suspects.ShouldBeEmpty();
        two.Verdict.ShouldBe(new DiffersUnread(1));
    }

    [Fact]
    public void A_level_paper_is_said_and_blames_nothing()
    {
        var two = Compared(
            State(Then) with
            {
                Positions = At(AdjusterKind.YokePair, 0),
            },
            State(Now) with
            {
                Positions = At(AdjusterKind.YokePair, -1),
                Bare = Bare(.02, .01, Now),
            }
        );
        two.Verdict.ShouldBe(new DiffersAndLevel(1));
    }

    [Fact]
    public void Two_suspects_with_no_paper_between_them_cannot_be_told_apart()
    {
        var (lean, more) = (Found(CheckKind.CamLean, -.0625, Then), Found(CheckKind.CamLean, -.1875, Now.AddDays(-1)));
        var two = Compared(
            State(Then) with
            {
                Positions = At(AdjusterKind.YokePair, 0),
                Findings = lean,
            },
            State(Now) with
            {
                Positions = At(AdjusterKind.YokePair, -1),
                Findings = more,
                Bare = Bare(-.8, 0, Now),
            }
        );
        two.Suspects.Count.ShouldBe(2);
        two.CannotTell([Then, Now]).ShouldBeTrue();
        two.CannotTell([Then, Later.AddDays(3), Now]).ShouldBeFalse("a paper came between them");
        var verdict = two.Verdict.ShouldBeOfType<ChangesCan>();
        (verdict.Of, verdict.Can.Count, verdict.Side).ShouldBe((2, 2, TearSide.Left));
    }

    private static Dictionary<CheckKind, FoundThen> Found(CheckKind kind, double value, DateTimeOffset at) =>
        new() { [kind] = new FoundThen(new StoryFinding(kind, value, null, null), at) };

    [Fact]
    public void What_a_rule_cannot_tell_apart_is_the_same()
    {
        var two = Compared(
            State(Then) with
            {
                Findings = Found(CheckKind.BraceHeight, 6.5, Then),
            },
            State(Now) with
            {
                Findings = Found(CheckKind.BraceHeight, 6.51, Now),
            }
        );
        Row(two, new CheckTitle(CheckKind.BraceHeight)).Differs.ShouldBeFalse();
        two.Verdict.ShouldBe(new NothingDiffers(2));
    }

    /// <summary>
    /// From memory of long-published tuning practice: stiff tears right, weak left; mirrored for the left hand.
    /// </summary>
    [Theory]
    [InlineData(Hand.Right, .9, CanDo.Can)]
    [InlineData(Hand.Right, -.9, CanDo.Against)]
    [InlineData(Hand.Left, -.9, CanDo.Can)]
    public void A_stiffer_arrow_from_fingers_drives_the_tail_by_the_hand(Hand hand, double tail, CanDo can)
    {
        var bow = Samples.Compound with { Release = Release.Fingers, Hand = hand };
        var soft = new StoryArrow("1", "Island", 1, Samples.A1);
        var stiff = new StoryArrow("2", "Island", 2, Samples.A1 with { CutLength = Samples.A1.CutLength - 2 });
        var two = Compared(
            State(Then) with
            {
                Arrow = soft,
            },
            State(Now) with
            {
                Arrow = stiff,
                ArrowSince = Later,
                Bare = Bare(tail, 0, Now),
            },
            bow
        );
        Row(two, StorySays.Fit).Can.ShouldBe(can);
    }

    [Fact]
    public void Tears_at_unlike_distances_stand_side_by_side_without_a_difference()
    {
        var two = Compared(
            State(Then) with
            {
                Bare = Bare(-.1, 0, Then, yards: 6),
            },
            State(Now) with
            {
                Bare = Bare(-.8, 0, Now),
            }
        );
        var row = Row(two, StorySays.TearBare);
        row.Change.ShouldBe(Message.Nothing);
        row.Beside.Said().ShouldBe("at 6 yd, 3 yd");
        var alike = Compared(
            State(Then) with
            {
                Bare = Bare(-.1, 0, Then),
            },
            State(Now) with
            {
                Bare = Bare(-.8, 0, Now),
            }
        );
        Row(alike, StorySays.TearBare).Change.Said().ShouldBe("0.70 in");
    }

    /// <summary>Six arrows know their spread within a factor of two: half as much again is within chance.</summary>
    [Theory]
    [InlineData(1.5, 20, "within chance")]
    [InlineData(3, 40, "within chance")]
    [InlineData(4, 20, "more than chance")]
    public void Spreads_are_held_against_each_other_by_distance(double spread, double yards, string said)
    {
        var two = Compared(
            State(Then) with
            {
                Group = Group(1, 20, Then),
            },
            State(Now) with
            {
                Group = Group(spread, yards, Now),
            }
        );
        two.Rows.Single(r => r.Name is SpreadAt).Beside.Said().ShouldBe(said);
    }

    [Fact]
    public void A_string_check_that_was_passed_over_is_said()
    {
        var two = Compared(State(Then) with { StringShots = 80 }, State(Now) with { StringShots = 340 });
        Row(two, StorySays.String).Beside.ShouldBe((Message)StorySays.CheckMissed);
        var looked = State(Now) with { StringShots = 340, Findings = Found(CheckKind.BraceHeight, 6.5, Later) };
        Row(Compared(State(Then) with { StringShots = 80 }, looked), StorySays.String).Beside.ShouldBe(Message.Nothing);
    }

    [Fact]
    public void What_is_next_goes_by_what_the_record_can_tell()
    {
        var none = Compared(State(Then), State(Now));
        StoryNext.Of(0, false, none, false, 0).Action.ShouldBe("bow");
        StoryNext.Of(4, false, none, false, 0).Action.ShouldBe("bow?way=history");
        var moved = Compared(
            State(Then) with
            {
                Positions = At(AdjusterKind.YokePair, 0),
            },
            State(Now) with
            {
                Positions = At(AdjusterKind.YokePair, -1),
                Bare = Bare(-.8, 0, Now),
            }
        );
        StoryNext.Of(4, true, moved, false, 1).Action.ShouldBe("back");
        StoryNext.Of(4, true, moved, false, 0).Action.ShouldBe("paper");
    }
}
