using Merganser.Core.Dozens;
using static Merganser.Core.Tests.Dozens.DozenActs;

namespace Merganser.Core.Tests.Dozens;

/// <summary>What becomes of an arrow after it is built: repaired, for practice only, glued, out of use.</summary>
public class ArrowStateTests
{
    private static readonly DozenAct[] Built =
    [
        .. Acts(Matched(Weighed)),
        .. Assembly.Steps.Select(s => new StepDone(1, s.Code)),
        new ArrowWeighed(1, 380),
        new ArrowNoted(1, ArrowNote.Nock, "turn 2"),
        new ArrowNoted(1, ArrowNote.Note, "cock vane white"),
        Shot(1, 0, .1),
    ];

    /// <summary>A new pin, vane or nock: weigh, index and verify again (common practice, no source).</summary>
    [Fact]
    public void A_repaired_arrow_is_weighed_turned_and_verified_again()
    {
        Of(Built).Tray[0].State.ShouldBe(ArrowState.Verified);
        var repaired = Of([.. Built, new ArrowNoted(1, ArrowNote.Repaired, "new nock")]);
        var arrow = repaired.Tray[0];
        (arrow.State, arrow.Built, arrow.NockMark, arrow.Repaired).ShouldBe(
            (ArrowState.Fletched, null, null, "new nock")
        );
        arrow.Has(AssemblyCode.Insert).ShouldBeTrue("its insert is still in");
        arrow.Note.ShouldBe("cock vane white");
        NockRound.Of(repaired).Arrows[0].Bare.State.ShouldBe(NockState.Untried);
        DozenNext.Of(repaired).Action.ShouldBe("tick:1:weigh");
        DozenAct[] after =
        [
            new StepDone(1, AssemblyCode.Weigh),
            new ArrowWeighed(1, 381),
            new StepDone(1, AssemblyCode.Verify),
        ];
        var verified = Of([.. Acts(repaired), .. after]).Tray[0];
        (verified.State, verified.Built).ShouldBe((ArrowState.Verified, 381));
        Of(Built).Tray[0].Built.ShouldBe(380, "taken back, it is as it was");
    }

    [Fact]
    public void A_practice_arrow_gets_no_head_and_can_come_back()
    {
        DozenAct[] heads = [.. Acts(Matched(Weighed)), .. Pieces("Head", 100, 100.2, 100.4)];
        HeadPlan.Of(Of(heads)).Heads.Select(h => h.Arrow).ShouldBe([1, 2, 3], ignoreOrder: true);
        DozenAct[] practice = [.. heads, new ArrowNoted(2, ArrowNote.Practice, "fishtails")];
        HeadPlan.Of(Of(practice)).Heads.Select(h => h.Arrow).ShouldBe([1, 3], ignoreOrder: true);
        Of(practice).Tray[1].Retired.ShouldBeFalse();
        Of([.. practice, new ArrowNoted(2, ArrowNote.Practice, "")]).Tray[1].Practice.ShouldBeNull();
    }

    [Fact]
    public void A_retired_arrow_says_since_when_by_whichever_act_took_it_out()
    {
        var matched = Matched(Weighed);
        var shaft = matched.Tray[1].Pieces["Shaft"][0];
        DozenAct[] acts =
        [
            .. Acts(matched),
            new ArrowNoted(1, ArrowNote.Retired, "lost"),
            new ShaftInspected(shaft, ShaftFinding.Bent),
        ];
        var dozen = Of(acts);
        dozen.Tray.Select(a => a.RetiredSince).ShouldBe([dozen.Events[^2].At, dozen.Events[^1].At, null]);
    }

    /// <summary>A glued pair is a fact of its own: a later match needs no telling.</summary>
    [Fact]
    public void What_is_glued_stays_glued_in_every_match_until_it_is_taken_back()
    {
        DozenPlan plan = new("Glue", 2, ["Shaft", "Insert", "Point"], 0, false);
        DozenAct[] acts = [.. Pieces("Shaft", 250, 254), .. Pieces("Insert", 22, 26), .. Pieces("Point", 100, 100)];
        Pair([]).ShouldBe(2, "light with heavy");
        Pair([new InsertGlued(1)]).ShouldBe(1);
        new Dozen("d", plan, Samples.A1, Events([.. acts, new InsertGlued(1)])).Shaft(1)!.GluedId.ShouldBe("e6");
        DozenMatching
            .NewlyGlued(Built([new InsertGlued(1)]), new MatchOptions(null, false, false, 0, [1, 2, 2]))
            .ShouldBe([new InsertGlued(2)]);

        Dozen Built(DozenAct[] more) => new("d", plan, Samples.A1, Events([.. acts, .. more]));
        int Pair(DozenAct[] glued)
        {
            var found = DozenMatching.Find(Built(glued), new MatchOptions(null, false, false, 0, []));
            return found.Result.Pieces.Single(p => p[0][0] == 1)[1][0];
        }
    }
}
