using Merganser.Core.Catalogues;

namespace Merganser.Data.Starter;

/// <summary>
/// The parts that ship with the application: invented makers, plausible figures, for the demo and for a first arrow.
/// </summary>
public static class StarterCatalogue
{
    public static Catalogue Read()
    {
        using var stream = typeof(StarterCatalogue).Assembly.GetManifestResourceStream(
            "Merganser.Data.Starter.catalogue.json"
        )!;
        using var reader = new StreamReader(stream);
        return FactsJson.Read<Catalogue>(reader.ReadToEnd());
    }
}
