using Merganser.Core.Simulation;

namespace Merganser.Core.Tests.Simulation;

/// <summary>
/// Sixty seeded bows tuned from the first tear to done; the whole proof is the benchmark (docs/benchmarks.md).
/// </summary>
public class ClosedLoopTests
{
    private static readonly SessionResult[] Sixty =
    [
        .. Enumerable.Range(900, 60).Select(seed => new SimulatedBow(seed)).Select(bow => ClosedLoop.Run(bow)),
    ];

    [Fact]
    public void Sixty_bows_are_tuned_in_few_moves_and_shots()
    {
        Median(Sixty.Select(r => r.Moves)).ShouldBeLessThanOrEqualTo(5);
        Median(Sixty.Select(r => r.Shots)).ShouldBeLessThanOrEqualTo(15);
    }

    [Fact]
    public void What_is_called_done_lies_inside()
    {
        var done = Sixty.Where(r => r.End == SessionEnd.Done).ToArray();
        done.Length.ShouldBeGreaterThanOrEqualTo(56);
        done.Count(r => r.TrueLength >= .25).ShouldBeLessThanOrEqualTo(3);
        done.ShouldAllBe(r => r.TrueLength < 1.5 * .25);
    }

    [Fact]
    public void The_same_seed_is_the_same_bow_and_another_is_not()
    {
        new SimulatedBow(3).Shoot(new double[5]).ShouldBe(new SimulatedBow(3).Shoot(new double[5]));
        new SimulatedBow(3).Shoot(new double[5]).ShouldNotBe(new SimulatedBow(4).Shoot(new double[5]));
    }

    [Fact]
    public void A_simulated_bow_answers_its_steps_in_a_straight_line()
    {
        var bow = new SimulatedBow(11);
        double[] two = [.. bow.Levers.Select((_, i) => i == 1 ? 2 : 0)];
        var (still, moved) = (bow.TrueMean(new double[5]), bow.TrueMean(two));
        (moved.Y - still.Y).ShouldBe(2 * bow.TrueGain(1).Y, 1e-12);
        (moved.X - still.X).ShouldBe(2 * bow.TrueGain(1).X, 1e-12);
        still.Length.ShouldBeGreaterThanOrEqualTo(.35);
    }

    [Fact]
    public void Its_rest_goes_the_one_way_as_often_as_the_other()
    {
        var right = Enumerable.Range(0, 400).Count(seed => new SimulatedBow(seed).TrueGain(0).X > 0);
        right.ShouldBeInRange(160, 240);
    }

    private static int Median(IEnumerable<int> numbers) => numbers.Order().ElementAt(30);
}
