using CsCheck;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using static Merganser.Core.Tests.Dozens.DozenActs;

namespace Merganser.Core.Tests.Dozens;

/// <summary>What a match leaves as it is when the rest is matched again.</summary>
public class RematchTests
{
    [Fact]
    public void Arrows_that_are_begun_hold_their_match_and_nock_shots_do_not()
    {
        var matched = Acts(Matched(Weighed));
        Of([.. matched, Shot(1, 0, .1)]).Begun.ShouldBeEmpty();
        var begun = Of([.. matched, new StepDone(2, AssemblyCode.Cut), new ArrowWeighed(1, 360)]);
        begun.Begun.ShouldBe([1, 2]);
        var again = Matched(Acts(begun));
        again.Found!.Pieces.Take(2).ShouldBe(begun.Found!.Pieces.Take(2));
        again.Tray[1].Has(AssemblyCode.Cut).ShouldBeTrue("its tick is kept");
        again.Tray[0].Built.ShouldBe(360);
        Of([.. Acts(begun), new PiecesMatched(begun.Found)]).Begun.ShouldBeEmpty("one that keeps none begins anew");
        var all = Of([.. Acts(begun), new ArrowNoted(3, ArrowNote.Locked, "yes")]);
        Should
            .Throw<RefusedException>(() => Matched(Acts(all)))
            .Said.ShouldBeOfType<ArrowsBegun>()
            .Arrows.ShouldBe([1, 2, 3]);
        Of([.. Acts(all), new ArrowNoted(3, ArrowNote.Locked, "")]).Begun.ShouldBe([1, 2], "let go again");
    }

    /// <summary>
    /// Whatever is done in whatever order, no match takes apart an arrow that was begun, loses a tick of it, or uses a
    /// piece twice, or brings a retired one back; a damaged shaft is in none that was put together after it.
    /// </summary>
    [Fact]
    public void No_order_of_acts_takes_apart_what_was_begun() =>
        Gen.Select(Gen.Int[0, 6], Gen.Int[1, 4])
            .Array[1, 14]
            .Sample(
                steps =>
                {
                    List<DozenAct> acts = [.. Weighed, .. Pieces("Point", 100, 101, 99, 102, 103).Skip(3)];
                    foreach (var (what, n) in steps)
                    {
                        var before = Of(acts);
                        var spare = before.Taken("Shaft").Count + 1;
                        DozenAct? act = what switch
                        {
                            0 => new StepDone(n, AssemblyCode.Cut),
                            1 => new ArrowWeighed(n, 380 + n),
                            2 => new ArrowNoted(n, ArrowNote.Locked, n % 2 == 0 ? "yes" : ""),
                            3 => new ShaftInspected(n, ShaftFinding.CrackedOrSplintered),
                            6 when n > 2 => new ArrowNoted(n - 2, ArrowNote.Retired, "lost"),
                            4 when spare < 9 => new PieceWeighed("Shaft", spare, 250 + n, "scale"),
                            _ => Again(before),
                        };
                        if (act is null || (act is ArrowAct && before.Match is null))
                        {
                            continue;
                        }

                        acts.Add(act);
                        var after = Of(acts);
                        if (act is PiecesMatched)
                        {
                            foreach (var arrow in before.Begun)
                            {
                                after.Found!.Pieces[arrow - 1].ShouldBe(before.Found!.Pieces[arrow - 1]);
                                after.Tray[arrow - 1].TickIds.ShouldBe(before.Tray[arrow - 1].TickIds);
                                after.Tray[arrow - 1].Built.ShouldBe(before.Tray[arrow - 1].Built);
                            }

                            foreach (var retired in before.Tray.Where(a => a.RetiredWhy is Verbatim { Text: "lost" }))
                            {
                                after.Tray[retired.Number - 1].Retired.ShouldBeTrue("nothing brings it back");
                            }

                            var shafts = after.Tray.SelectMany(a => a.Pieces["Shaft"]).ToArray();
                            shafts.Distinct().Count().ShouldBe(shafts.Length);
                            after
                                .Tray.Where(a => !before.Begun.Contains(a.Number))
                                .ShouldAllBe(a => after.Shaft(a.Pieces["Shaft"][0]) == null || !a.Retired);
                            after.Broken.ShouldBeNull();
                        }
                    }
                },
                iter: 300
            );

    private static DozenAct? Again(Dozen dozen)
    {
        try
        {
            return DozenMatching.Find(dozen, new MatchOptions(null, false, false, 0, []));
        }
        catch (RefusedException)
        {
            return null;
        }
    }

    [Fact]
    public void What_was_built_counts_with_its_weight_and_the_rest_is_matched_to_it()
    {
        DozenAct[] acts = [.. Pieces("Shaft", 250, 251, 252, 254, 258), .. Pieces("Point", 102, 101, 100, 99, 105)];
        var matched = Of([.. acts, DozenMatching.Find(Of(acts), new MatchOptions(null, false, false, 0, []))]);
        var heavy = matched.Tray[0].Total + 57 + Samples.A1.Glue + 8;
        var again = Matched([.. Acts(matched), new ArrowWeighed(1, heavy)]);
        var loose = again.Tray.Skip(1).Average(a => a.Total);
        loose.ShouldBeGreaterThan(matched.Tray.Skip(1).Average(a => a.Total), "heavier ones stand beside a heavy one");
        again.Found!.Bound.Tenths.ShouldBeLessThanOrEqualTo(again.Found.Spread);
        Of([.. Acts(matched), new ShaftInspected(matched.Tray[1].Pieces["Shaft"][0], ShaftFinding.Bent)])
            .Stale!.Said()
            .ShouldContain("is bent: match the rest again");
    }
}
