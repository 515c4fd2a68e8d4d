using Merganser.Core.Arrows;

namespace Merganser.Core.Catalogues;

/// <summary>A row of the catalogue.</summary>
public sealed record ComponentRow(
    string Id,
    ComponentClass Class,
    IComponent Part,
    bool Retired,
    int Version,
    Stock Stock
)
{
    private readonly string words = string.Join(' ', WordsOf(Part)).ToUpperInvariant();

    /// <summary>True when maker, name, material or spine hold the word, given in upper case.</summary>
    public bool Holds(string upper) => words.Contains(upper, StringComparison.Ordinal);

    private static string[] WordsOf(IComponent part) =>
        part is Shaft shaft
            ? [part.Maker, part.Name, $"{shaft.Material}", Units.Show.Spine(shaft.SpineInUse)]
            : [part.Maker, part.Name];
}
