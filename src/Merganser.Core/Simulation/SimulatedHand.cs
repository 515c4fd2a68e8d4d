namespace Merganser.Core.Simulation;

/// <summary>
/// What a hand really does at the bow when an adjuster is taken to another step: steps that are lost where it turns
/// back, moves turned too far or the other way.
/// </summary>
internal sealed class SimulatedHand(SimulatedWorld world, Random random, int adjusters)
{
    private readonly int backlash = random.Next(world.Backlash + 1);
    private readonly double[] off = new double[adjusters];
    private readonly int[] turned = new int[adjusters];
    private double[]? stands;

    /// <summary>By how many steps an adjuster stands otherwise than it is logged.</summary>
    public double Off(int adjuster) => off[adjuster];

    /// <summary>Takes every adjuster where it is wanted.</summary>
    public void Turn(IReadOnlyList<double> setting)
    {
        for (var j = 0; stands is not null && j < stands.Length; j++)
        {
            if (setting[j] != stands[j])
            {
                Turn(j, setting[j] - stands[j]);
            }
        }

        stands = [.. setting];
    }

    private void Turn(int adjuster, double steps)
    {
        var way = Math.Sign(steps);
        if (turned[adjuster] == -way)
        {
            off[adjuster] -= way * Math.Min(backlash, Math.Abs(steps));
        }

        turned[adjuster] = way;
        if (world.Misturned > 0 && random.NextDouble() < world.Misturned)
        {
            off[adjuster] += random.Next(2) == 0 ? 1 : -1;
        }

        if (world.WrongWay > 0 && random.NextDouble() < world.WrongWay)
        {
            off[adjuster] -= 2 * steps;
        }
    }
}
