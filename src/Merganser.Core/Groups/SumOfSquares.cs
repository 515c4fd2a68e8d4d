namespace Merganser.Core.Groups;

/// <summary>Squares as spreads are made of.</summary>
internal static class SumOfSquares
{
    /// <summary>Σ (x − x̄)².</summary>
    /// <param name="values">One at least.</param>
    public static double AboutMean(IReadOnlyCollection<double> values)
    {
        var mean = values.Average();
        return values.Sum(x => (x - mean) * (x - mean));
    }
}
