namespace Merganser.Core.Ballistics;

/// <summary>What to set the sight for on a slope.</summary>
/// <param name="Yards">The distance along the line of sight, yards.</param>
/// <param name="Slope">Degrees, up positive.</param>
/// <param name="Set">What to set the sight for, yards.</param>
/// <param name="High">What it strikes high all the same, inches: more than 0 where no mark is low enough.</param>
/// <param name="ByCosine">What the rule of the level distance says: d cos a, yards.</param>
public sealed record SlopeShot(double Yards, double Slope, double Set, double High, double ByCosine)
{
    private const double Near = .01;
    private const double Shortest = 2;
    private const double Longest = 1.3;

    /// <summary>
    /// The level distance whose mark holds the same launch angle as the slope asks for, from the integrated path; null
    /// where the arrow does not carry so far.
    /// </summary>
    /// <param name="level">The arrow in flight on the level.</param>
    /// <param name="yards">Along the line of sight, above 0.</param>
    /// <param name="slope">Degrees, up positive, between −60 and 60.</param>
    public static SlopeShot? Of(Trajectory level, double yards, double slope) =>
        Of(level, yards, slope, Lowest(level, yards));

    /// <summary>The same for each slope at each distance; those that the arrow reaches.</summary>
    /// <param name="level">The arrow in flight on the level.</param>
    /// <param name="yards">Distances along the line of sight, at least one.</param>
    /// <param name="slopes">Degrees.</param>
    public static IReadOnlyList<SlopeShot> Table(
        Trajectory level,
        IReadOnlyList<double> yards,
        IReadOnlyList<double> slopes
    )
    {
        // Near the archer marks rise again, since the eye stands over the arrow: that place is one for all of them.
        var lowest = Lowest(level, yards.Max());
        return
        [
            .. from slope in slopes
            from distance in yards
            let shot = Of(level, distance, slope, lowest)
            where shot is not null
            select shot,
        ];
    }

    private static SlopeShot? Of(Trajectory level, double yards, double slope, double from)
    {
        var sloped = new Trajectory(level.Arrow, level.Speed, level.SightHeight, slope);
        if (sloped.Zero(yards) is not { } wanted)
        {
            return null;
        }

        var (low, high) = (from, Math.Max(from, yards * Longest));
        var lowest = level.Zero(low);
        var over = lowest > wanted ? sloped.At(lowest.Value, yards)?.Height ?? 0 : 0;
        while (over == 0 && high - low > Near)
        {
            var middle = (low + high) / 2;
            (low, high) = level.Zero(middle) < wanted ? (middle, high) : (low, middle);
        }

        return new SlopeShot(yards, slope, low, over, yards * Math.Cos(slope * Math.PI / 180));
    }

    /// <summary>The distance whose mark stands highest on the bar, by thirds.</summary>
    private static double Lowest(Trajectory level, double yards)
    {
        var (low, high) = (Shortest, yards * Longest);
        while (high - low > Near)
        {
            var third = (high - low) / 3;
            (low, high) =
                level.Zero(low + third) < level.Zero(high - third) ? (low, high - third) : (low + third, high);
        }

        return (low + high) / 2;
    }
}
