using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Visits;

namespace Merganser.Core.Tests.Visits;

/// <summary>What goes home with a bow follows from what differs; what slips and settles is trade practice.</summary>
public class HandOverTests
{
    private static readonly DateTimeOffset Came = new(2026, 7, 19, 18, 0, 0, TimeSpan.Zero);
    private static readonly DateTimeOffset Went = Came.AddDays(4);

    private static StateThen State(DateTimeOffset at, params (AdjusterKind Kind, double Position)[] positions) =>
        new(
            at,
            positions.ToDictionary(p => p.Kind, p => new StoodThen(p.Position, null)),
            new Dictionary<CheckKind, FoundThen>(),
            0,
            null,
            null,
            null,
            null,
            null,
            null
        );

    private static HandOver Card(StateThen found, VisitState left, Bow? bow = null)
    {
        var of = bow ?? Samples.Compound;
        return HandOver.Of(of, new TwoDates(of, StringPlan.Usual, found, left.State), left);
    }

    private static string[] Said(IEnumerable<Message> lines) => [.. lines.Select(l => l.Said())];

    [Fact]
    public void A_rest_that_was_moved_is_told_and_marked_with_a_pencil()
    {
        var left = new VisitState(
            State(Went, (AdjusterKind.RestSideways, 4), (AdjusterKind.YokePair, 1)),
            0,
            66,
            false
        );
        var card = Card(State(Came, (AdjusterKind.RestSideways, 2), (AdjusterKind.YokePair, 1)), left);
        Said(card.Done).ShouldBe(["Rest in/out: was 2 clicks right (in), is now 4 clicks right (in)."]);
        Said(card.Watch)
            .ShouldBe([
                "Look at the string in 66 shots: timing marks, peep, then one paper. Coming in for it is quick.",
                "Rest in/out stands at 4 clicks right (in). Put a pencil mark beside it: when it has left the mark, it has slipped.",
                "If the peep turns away at full draw, come in; do not twist the string at home.",
            ]);
    }

    [Fact]
    public void A_new_string_settles_and_is_looked_at()
    {
        var left = new VisitState(State(Went) with { StringPutOn = Went.AddDays(-1) }, 5, 100, false);
        var card = Card(State(Came) with { StringShots = 900 }, left);
        Said(card.Done).ShouldBe(["A new string was put on."]);
        Said(card.Watch)[..3]
            .ShouldBe([
                "The string is new and still grows longer: marks, peep and brace height move with it.",
                "The string settles first: 5 shots before any tear is read.",
                "Look at the string in 100 shots: timing marks, peep, then one paper. Coming in for it is quick.",
            ]);
    }

    [Fact]
    public void Nothing_changed_says_nothing_was_done_and_keeps_its_cautions()
    {
        var card = Card(
            State(Came),
            new VisitState(State(Went), 0, null, false),
            Samples.Compound with
            {
                Kind = BowKind.Recurve,
            }
        );
        card.Done.ShouldBeEmpty();
        card.Watch.ShouldBeEmpty();
        Said(card.Cautions)
            .ShouldBe([
                "Never let the string go without an arrow on it.",
                "Before each use look at limbs, string and shafts; a damaged one is not shot, not even once.",
                "String it with a stringer; a twisted limb is the price of a step-through.",
                "The maker’s manual comes first.",
            ]);
    }

    [Fact]
    public void An_unsound_bow_goes_home_with_the_word_first()
    {
        var card = Card(State(Came), new VisitState(State(Went), 0, 40, true));
        card.Watch[0].Said().ShouldStartWith("Do not shoot it");
        Said(card.Cautions).ShouldContain(c => c.Contains("right press"));
    }

    [Fact]
    public void A_string_without_checks_is_looked_at_never()
    {
        var life = new StringLife(40, 0, 40, StringPlan.Usual with { School = StringSchool.PreStretched });
        VisitState.Of(State(Went), life, null).CheckIn.ShouldBeNull();
        VisitState.Of(State(Went), life with { Plan = StringPlan.Usual }, null).CheckIn.ShouldBe(60);
    }

    /// <summary>96 + 11.50 + 1.5 h at 32 is 155.50, by hand.</summary>
    [Fact]
    public void Lines_come_to_their_sum_and_without_any_price_to_none()
    {
        VisitLine[] lines =
        [
            new("a", VisitLineKind.Part, "String", 1, 96),
            new("b", VisitLineKind.Part, "Peep", 1, 11.5),
            new("c", VisitLineKind.Labour, "Bench", 1.5, 32),
            new("d", VisitLineKind.Carried, "Rest", 1, null),
        ];
        VisitLine.SumOf(lines).ShouldBe(155.5);
        VisitLine.SumOf([lines[3]]).ShouldBeNull();
    }

    [Theory]
    [InlineData("", "1", null, "text")]
    [InlineData("String", "0", null, "quantity")]
    [InlineData("String", "", null, "quantity")]
    [InlineData("String", "1", "-1", "price")]
    [InlineData("String", "two", "99999999", "quantity price")]
    public void A_line_that_cannot_be_is_refused(string text, string quantity, string? price, string fields) =>
        Should
            .Throw<RefusedException>(() => VisitLine.Read(text, quantity, price))
            .Problems.Select(p => p.Field)
            .ShouldBe(fields.Split(' '));

    [Theory]
    [InlineData("1 1/2", "3,25", 1.5, 3.25)]
    [InlineData(" 2 ", "", 2, null)]
    [InlineData("٣", "0", 3, 0.0)]
    public void A_line_is_read_as_it_is_typed(string quantity, string price, double many, double? each) =>
        VisitLine.Read("String", quantity, price).ShouldBe((many, each));

    [Fact]
    public void The_next_step_of_a_visit_is_the_bench_then_the_hand_over()
    {
        var bench = new Next(SetupSays.SettlingRange, Message.Nothing, "check:peep", SetupSays.ToTheCheck);
        VisitNext.Of(null, 0, bench).Action.ShouldBe("begin");
        var work = VisitNext.Of(true, 0, bench);
        (work.Action, work.Sentence, work.AlternativeAction).ShouldBe(("stop:bow", bench.Sentence, "handover"));
        VisitNext.Of(true, 2, bench).Action.ShouldBe("handover");
        VisitNext.Of(false, 2, bench).AlternativeAction.ShouldBe("begin");
    }
}
