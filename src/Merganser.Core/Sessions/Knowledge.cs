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

    /// <summary>Nothing was shot before.</summary>
    public static Knowledge None { get; } = new([]);

    /// <summary>What several papers taught together.</summary>
    public static Knowledge Of(IEnumerable<Knowledge> papers) => new([.. papers.SelectMany(p => p.Fits)]);
}

/// <summary>
/// All that a paper's knowledge is computed from: the same inputs give the same knowledge, and any other gives another
/// fingerprint.
/// </summary>
/// <param name="Adjusters">The bow's adjusters with their travel and the size of a step.</param>
/// <param name="Forgotten">Shots that teach nothing any more.</param>
/// <param name="Lost">Adjusters whose answers were forgotten.</param>
/// <param name="Shots">The shots that count, each with its setting.</param>
public sealed record KnowledgeInputs(
    IReadOnlyList<string> Adjusters,
    int Forgotten,
    IReadOnlyList<string> Lost,
    IReadOnlyList<string> Shots
)
{
    /// <summary>The engine's own version: a changed model reads every paper anew.</summary>
    private const string Model = "response-1";

    /// <summary>One word for all of them.</summary>
    public string Fingerprint()
    {
        var text = string.Join(
            '\n',
            [Model, .. Adjusters, $"forgotten {Forgotten}", .. Lost.Order(StringComparer.Ordinal), .. Shots]
        );
        return Convert.ToHexString(
            System.Security.Cryptography.SHA256.HashData(System.Text.Encoding.UTF8.GetBytes(text))
        );
    }
}
