using Merganser.Core.Bows;

namespace Merganser.Core.Arrows;

/// <summary>What a shaft is made of, by its maker's word for it.</summary>
public static class ShaftMaterial
{
    /// <summary>True for wood: it takes its point on itself.</summary>
    public static bool IsWood(Shaft shaft) => shaft.Material.Contains("wood", StringComparison.OrdinalIgnoreCase);

    /// <summary>Wood belongs on a longbow, and aluminium or carbon on any (common practice, no source).</summary>
    public static bool Suits(Bow bow, Shaft shaft) => bow.Kind == BowKind.Longbow || !IsWood(shaft);
}
