using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Dozens;

/// <summary>What is typed at a dozen, read and refused.</summary>
public class DozenReadingTests
{
    private static readonly Dozen Empty = new("d", new DozenPlan("D", 3, ["Shaft"], 0, false), Samples.A1, []);

    [Fact]
    public void Each_kind_of_entry_becomes_its_own_act()
    {
        Read(new(null, "check", Value: "100.1", Second: "100"))
            .ShouldBe(new ScaleChecked(new ScaleCheck(100, 100.1), null));
        Read(new(null, "piece", "Shaft", Value: "250.14")).ShouldBe(new PieceWeighed("Shaft", 1, 250.1, "typed"));
        Read(new(null, "spin", Number: 2, Word: "runOut", Value: "0.002")).ShouldBe(new RunOutMeasured(2, .002));
        Read(new(null, "spin", Number: 2, Word: "grade", Note: "fair")).ShouldBe(new RunOutGraded(2, SpinGrade.Fair));
        Read(new(null, "spin", Number: 2, Word: "index", Note: " x ")).ShouldBe(new StiffSideMarked(2, "x"));
        Read(new(null, "spin", Number: 2, Word: "inspection", Note: "bent"))
            .ShouldBe(new ShaftInspected(2, ShaftFinding.Bent));
        Read(new(null, "tick", Number: 1, Word: "cut")).ShouldBe(new StepDone(1, AssemblyCode.Cut));
        Read(new(null, "made", Number: 1, Word: "built", Value: "26.5 g"))
            .ShouldBeOfType<ArrowWeighed>()
            .Grains.ShouldBe(408.96, .01);
        Read(new(null, "made", Number: 1, Word: "retired", Note: "lost"))
            .ShouldBe(new ArrowNoted(1, ArrowNote.Retired, "lost"));
    }

    [Theory]
    [InlineData("dance", null, null, null, "kind")]
    [InlineData("spin", 0, "runOut", "0.001", "number")]
    [InlineData("spin", 1, "runOut", "3", "value")]
    [InlineData("spin", 1, "twist", "1", "word")]
    [InlineData("tick", 1, "burn", null, "word")]
    [InlineData("made", 1, "sung", null, "word")]
    [InlineData("made", 1, "built", "40", "value")]
    public void What_cannot_be_names_its_field(string kind, int? number, string? word, string? value, string field) =>
        Refused(new(null, kind, Number: number, Word: word, Value: value)).ShouldContain(field);

    [Fact]
    public void A_reading_far_from_the_check_weight_is_asked_about_and_kept_when_it_is_meant()
    {
        Should
            .Throw<RefusedException>(() => Read(new(null, "check", Value: "315.2", Second: "100")))
            .Said.ShouldBe(new FarFromCheckWeight(Measure.Grains(315.2), Measure.Grains(100)));
        Read(new(null, "check", Value: "315.2", Second: "100", Sure: true))
            .ShouldBeOfType<ScaleChecked>()
            .Check.Off.ShouldBeTrue();
    }

    [Fact]
    public void A_finding_that_nobody_knows_is_refused_with_those_that_are()
    {
        var refused = Should.Throw<RefusedException>(() =>
            DozenReading.Entry(Empty, new(null, "spin", Number: 1, Word: "inspection", Note: "odd"))
        );
        refused.Problems.Single().Message.ShouldBeOfType<UseOneOf>().Known.ShouldContain("crackedOrSplintered");
    }

    [Fact]
    public void A_number_is_used_once_and_a_piece_without_one_gets_the_first_that_is_free()
    {
        DozenEvent[] events = [new("e", 1, DateTimeOffset.UnixEpoch, new PieceWeighed("Shaft", 1, 250, "scale"))];
        var dozen = new Dozen("d", Empty.Plan, Samples.A1, events);
        DozenReading
            .Entry(dozen, new(null, "piece", "Shaft", Value: "251"))
            .ShouldBe(new PieceWeighed("Shaft", 2, 251, "typed"));
        Should
            .Throw<RefusedException>(() => DozenReading.Entry(dozen, new(null, "piece", "Shaft", 1, "251")))
            .Said.ShouldBe(new WeighedAlready("Shaft", 1));
    }

    [Theory]
    [InlineData(0, 0, "0.1", "number")]
    [InlineData(4, 0, "0.1", "number")]
    [InlineData(1, 4, "0.1", "turn")]
    [InlineData(1, 0, "", "right")]
    [InlineData(1, 0, "13", "right")]
    public void A_nock_shot_names_what_is_wrong(int number, int turn, string right, string field)
    {
        var input = new NockShotInput(null, number, turn, false, right, "");
        Should
            .Throw<RefusedException>(() => DozenReading.Shot(Empty, input))
            .Problems.Select(p => p.Field)
            .ShouldContain(field);
    }

    private static DozenAct Read(EntryInput input) => DozenReading.Entry(Empty, input);

    private static string[] Refused(EntryInput input) =>
        [.. Should.Throw<RefusedException>(() => Read(input)).Problems.Select(p => p.Field)];

    /// <summary>.3000 in at 26 in is .37469 in ASTM (mid-loaded beam, ASTM F2031 span and load).</summary>
    [Fact]
    public void A_spine_on_an_own_span_is_brought_to_the_standard()
    {
        var entry = new EntryInput(null, "spin", Number: 1, Value: "0.3", Second: "26", Word: "spine");
        ((SpineMeasured)DozenReading.Entry(Empty, entry)).Inches.ShouldBe(.37469, .00001);
        ((SpineMeasured)DozenReading.Entry(Empty, entry with { Second = null })).Inches.ShouldBe(.3, 1e-9);
        Should
            .Throw<RefusedException>(() => DozenReading.Entry(Empty, entry with { Second = "3", Note = "heavy" }))
            .Problems.Select(p => p.Field)
            .ShouldBe(["second", "note"]);
        var dial = new EntryInput(null, "spin", Number: 1, Value: "0.003", Word: "runOut", Note: "point");
        DozenReading.Entry(Empty, dial).ShouldBe(new RunOutMeasured(1, .003, ShaftPlace.Point));
    }
}
