namespace Merganser.Core.Catalogues;

/// <summary>What the bench has of a part, and where more is bought; all of it optional.</summary>
/// <param name="Owned">Pieces owned, 0 to 9 999; null for not counted.</param>
/// <param name="Price">Of one piece, in the bench's own money; null for not known.</param>
/// <param name="OrderNumber">The supplier's number, up to 40 letters; null for none.</param>
public sealed record Stock(int? Owned = null, double? Price = null, string? OrderNumber = null)
{
    /// <summary>Nothing is known.</summary>
    public static Stock None { get; } = new();
}

/// <summary>A part to be written into the catalogue.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Part">The part.</param>
/// <param name="Stock">What the bench has of it.</param>
public sealed record StockedPart(string Id, Arrows.IComponent Part, Stock Stock);
