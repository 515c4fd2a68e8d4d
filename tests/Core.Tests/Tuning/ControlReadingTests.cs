using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// Two sets against each other, checked with the worked example of two groups: d = (2.95, .30), F = 12.54578, p =
/// .0011467.
/// </summary>
public class ControlReadingTests
{
    private static readonly Tear[] One = [new(-.8, .6), new(.9, -.4), new(.2, 1.1), new(-.5, -.7)];
    private static readonly Tear[] Two = [new(2.6, .9), new(3.9, -.6), new(1.8, .2), new(3.3, 1.3)];

    [Fact]
    public void The_isotropic_test_is_the_worked_example()
    {
        var (f, _, _, p) = ControlReading.Test(One, Two);
        f.ShouldBe(12.54578, 5e-6);
        p.ShouldBe(.0011467, 5e-8);
        ControlReading.Test(Two, One).F.ShouldBe(f, 1e-9);
    }

    [Fact]
    public void Its_p_is_the_F_distributions_own() =>
        ControlReading
            .Test(One, Two)
            .P.ShouldBe(1 - MathNet.Numerics.Distributions.FisherSnedecor.CDF(2, 12, 12.545780), 1e-7);

    [Theory]
    [InlineData(SetPurpose.ControlArrow, Cause.Arrow, "look at the arrow")]
    [InlineData(SetPurpose.ChangedGrip, Cause.Form, "look at the archer")]
    [InlineData(SetPurpose.OtherArcher, Cause.Form, "look at the archer")]
    [InlineData(SetPurpose.Machine, Cause.Form, "look at the archer")]
    public void A_control_that_tears_otherwise_says_where_to_look(SetPurpose purpose, Cause cause, string words)
    {
        var reading = ControlReading.Of(purpose, One, Two)!;
        reading.Cause.ShouldBe(cause);
        reading.Suspected.ShouldBeTrue();
        reading.Evidence.Statement.Said().ShouldContain(words);
    }

    [Fact]
    public void One_that_tears_alike_clears_that_alone_and_too_little_says_nothing()
    {
        var alike = ControlReading.Of(SetPurpose.ControlArrow, One, One)!;
        alike.Suspected.ShouldBeFalse();
        alike.Evidence.Statement.Said().ShouldContain("not this arrow alone");
        ControlReading.Of(SetPurpose.ControlArrow, One, [new(0, 0)]).ShouldBeNull();
        Should.Throw<ArgumentException>(() => ControlReading.Test([new(0, 0)], [new(1, 1)]));
    }
}
