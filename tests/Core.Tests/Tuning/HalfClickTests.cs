using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>A rest between two clicks: advised by whole clicks from there, never beyond its travel.</summary>
public class HalfClickTests
{
    [Fact]
    public void A_move_is_whole_clicks_from_where_the_rest_stands() =>
        Gen.Select(Gen.Int[-50, 50], Gen.Double[-1, 1])
            .Sample(
                (halves, right) =>
                {
                    Adjuster[] rest = [AdjusterTable.Fresh(AdjusterKind.RestSideways) with { Position = halves / 2.0 }];
                    var adviser = Advising.AdviserOf(rest, School.RestOnly);
                    var move = Advising.Advise(adviser, new Tear(right, 0)).Move;
                    if (move is not null)
                    {
                        move.From.ShouldBe(halves / 2.0);
                        ((move.To - move.From) % 1).ShouldBe(0);
                        rest[0].Reaches(move.To).ShouldBeTrue($"from {move.From} to {move.To}");
                        move.To.ShouldNotBe(move.From);
                    }
                }
            );

    /// <summary>
    /// Clicks from any origin: a session that began between two clicks is the same session, half a click over.
    /// </summary>
    [Fact]
    public void Where_it_began_changes_nothing_in_the_advice()
    {
        AdvisedMove From(double began, double tear)
        {
            Adjuster[] rest =
            [
                AdjusterTable.Fresh(AdjusterKind.RestSideways) with
                {
                    Position = began,
                },
                AdjusterTable.Fresh(AdjusterKind.NockingPoint),
            ];
            return Advising.Advise(Advising.AdviserOf(rest, School.RestOnly), new Tear(tear, 0)).Move.ShouldNotBeNull();
        }

        var (whole, half) = (From(0, .6), From(.5, .6));
        (half.To - half.From).ShouldBe(whole.To - whole.From);
        half.Kind.ShouldBe(whole.Kind);
    }
}
