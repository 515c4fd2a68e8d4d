using Merganser.Core.Bows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Bows;

public class BowEntryTests
{
    private static readonly BowEntry Good = new(
        "Brindle",
        BowKind.Compound,
        Hand.Right,
        Release.ReleaseAid,
        "65",
        "65.5",
        "29",
        "33",
        "6 1/2",
        "330",
        RestType.DropAwayLate,
        CamSystem.TwinYoke,
        CamDraw.Medium,
        "",
        "",
        "",
        ""
    );

    [Fact]
    public void A_bow_reads_as_typed()
    {
        var bow = Good.Read();
        bow.BraceHeight.ShouldBe(6.5);
        bow.DrawWeight.ShouldBe(65.5);
        bow.PowerStroke.ShouldBe(20.75);
        bow.RestAtFullDraw.ShouldBe(27.25);
    }

    public static TheoryData<string, BowEntry> Bad =>
        new()
        {
            { "name", Good with { Name = " " } },
            { "measuredWeight", Good with { NominalWeight = "", MeasuredWeight = "" } },
            { "nominalWeight", Good with { NominalWeight = "4.9" } },
            { "measuredWeight", Good with { MeasuredWeight = "121" } },
            { "drawLength", Good with { DrawLength = "14" } },
            { "drawLength", Good with { DrawLength = "29 lb" } },
            { "axleToAxle", Good with { AxleToAxle = "66" } },
            { "braceHeight", Good with { BraceHeight = "2.9" } },
            { "braceHeight", Good with { BraceHeight = "12", DrawLength = "16" } },
            { "ratedSpeed", Good with { RatedSpeed = "401" } },
            { "restAhead", Good with { RestAhead = "5" } },
            { "factorSet", Good with { FactorSet = "2" } },
            { "stringWeight", Good with { StringWeight = "300" } },
            { "stringWeightFromTip", Good with { StringWeightFromTip = "1.1" } },
        };

    [Theory]
    [MemberData(nameof(Bad))]
    public void A_value_outside_its_range_is_refused_with_the_reason_at_its_field(string field, BowEntry entry)
    {
        var problem = Should.Throw<RefusedException>(entry.Read).Problems.ShouldHaveSingleItem();
        problem.Field.ShouldBe(field);
        problem.Message.Said().Length.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void All_problems_are_told_at_once() =>
        Should
            .Throw<RefusedException>((Good with { DrawLength = "x", BraceHeight = "99", Name = "" }).Read)
            .Problems.Count.ShouldBe(3);

    [Fact]
    public void A_longbow_may_be_longer_than_any_compound() =>
        (Good with { Kind = BowKind.Longbow, AxleToAxle = "66" }).Read().CamSystem.ShouldBe(CamSystem.None);

    /// <summary>Stated defaults, from memory of common practice.</summary>
    [Theory]
    [InlineData(BowKind.Compound, Release.ReleaseAid, CamDraw.Medium, 1.0)]
    [InlineData(BowKind.Compound, Release.ReleaseAid, CamDraw.Hard, 1.05)]
    [InlineData(BowKind.Compound, Release.ReleaseAid, CamDraw.Soft, .95)]
    [InlineData(BowKind.Compound, Release.Fingers, CamDraw.Medium, 55.0 / 50)]
    [InlineData(BowKind.Recurve, Release.Fingers, CamDraw.Medium, 1.0)]
    [InlineData(BowKind.Longbow, Release.Fingers, CamDraw.Medium, .85)]
    public void The_bow_factor_has_stated_defaults(BowKind kind, Release release, CamDraw cams, double factor) =>
        BowFactor
            .For(Samples.Compound with { Kind = kind, Release = release, CamDraw = cams, MeasuredWeight = 50 })
            .Factor.ShouldBe(factor, 1e-12);

    [Fact]
    public void A_factor_set_on_the_bow_wins() =>
        BowFactor.For(Samples.Compound with { FactorSet = 1.1 }).Factor.ShouldBe(1.1);
}
