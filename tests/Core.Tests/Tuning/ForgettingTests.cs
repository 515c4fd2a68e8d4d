using Merganser.Core.Bows;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>What a change makes doubtful of what was learned.</summary>
public class ForgettingTests
{
    private static readonly DateTimeOffset Shot = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    [Theory]
    [InlineData(BowChange.NewString, 0)]
    [InlineData(BowChange.NewRest, 2)]
    [InlineData(BowChange.NewLoop, 1)]
    public void A_change_names_the_adjusters_that_are_another_now(BowChange change, int kinds) =>
        Forgetting.Of(change)!.Kinds.Count.ShouldBe(kinds, "none named is all of them");

    [Fact]
    public void Only_changes_after_the_first_shot_and_after_the_last_reset_are_asked_about()
    {
        RecordedChange[] changes = [Change(1, -5), Change(2, 5), Change(3, 10)];
        Forgetting.After(changes, 0, Shot).Count.ShouldBe(2, "the first came before any shot");
        Forgetting.After(changes, 2, Shot).Count.ShouldBe(1);
        Forgetting.After(changes, 0, null).ShouldBeEmpty("nothing was learned yet");
    }

    [Fact]
    public void Before_any_shot_a_row_shows_the_trades_guess_and_an_open_way()
    {
        var rows = ResponseRow.All(
            ResponsePrior.Of([
                AdjusterTable.Fresh(AdjusterKind.RestSideways),
                AdjusterTable.Fresh(AdjusterKind.NockingPoint),
            ]),
            null
        );
        rows.Single(r => r.Kind == AdjusterKind.RestSideways).Open.ShouldBeTrue("right and left are equally likely");
        var nock = rows.Single(r => r.Kind == AdjusterKind.NockingPoint);
        nock.Open.ShouldBeFalse();
        nock.Now.ShouldBe(nock.Before);
        nock.Settings.ShouldBe(0);
    }

    private static RecordedChange Change(int ordinal, int minutes) =>
        new($"c{ordinal}", BowChange.NewRest, ordinal, "", 0, Shot.AddMinutes(minutes));
}
