using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>What earlier papers of a bow have taught: one fit for each of their stages, the oldest first.</summary>
/// <param name="Fits">The fits.</param>
public sealed record Knowledge(IReadOnlyList<StageFit> Fits)
{
    /// <summary>
    /// So many earlier papers are remembered (trade-like guess, no source): older ones were shot from another bow in
    /// all but name.
    /// </summary>
    public const int EarlierPapers = 6;

    /// <summary>So many other bows of the same make are asked, the last ones that were shot (no source).</summary>
    public const int BowsOfMake = 3;

    /// <summary>The model's own version: after a change of it every paper is read anew.</summary>
    public const string Model = "response-5";

    /// <summary>Nothing was shot before.</summary>
    public static Knowledge None { get; } = new([]);

    /// <summary>The same as another bow taught it.</summary>
    /// <param name="bow">The bow's name.</param>
    public Knowledge Of(string bow) => new([.. Fits.Select(f => f with { OfBow = bow })]);

    /// <summary>What several papers taught together.</summary>
    public static Knowledge Of(IEnumerable<Knowledge> papers) => new([.. papers.SelectMany(p => p.Fits)]);
}
