namespace Merganser.Core.Finder;

/// <summary>How far a search is.</summary>
/// <param name="Looked">Builds looked at.</param>
/// <param name="Total">Of so many.</param>
/// <param name="Inside">Of them inside all that is wanted.</param>
/// <param name="Seconds">Since it began.</param>
public readonly record struct FinderProgress(long Looked, long Total, long Inside, double Seconds)
{
    /// <summary>Builds a second.</summary>
    public double Rate => Seconds > 0 ? Looked / Seconds : 0;

    /// <summary>What is left at this rate, seconds.</summary>
    public double Left => Rate > 0 ? (Total - Looked) / Rate : 0;
}
