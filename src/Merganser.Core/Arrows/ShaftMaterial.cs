namespace Merganser.Core.Arrows;

/// <summary>What a shaft is made of, by its maker's word for it.</summary>
public static class ShaftMaterial
{
    /// <summary>True for wood: it takes its point on itself.</summary>
    public static bool IsWood(Shaft shaft) => shaft.Material.Contains("wood", StringComparison.OrdinalIgnoreCase);
}
