namespace Merganser.Web.Printing;

/// <summary>A cell of a row on paper.</summary>
/// <param name="Text">What stands in it, wrapped.</param>
/// <param name="Width">Its column's width, points.</param>
/// <param name="Right">True for figures, which stand at the right, on one line.</param>
/// <param name="Bold">True for what is looked for first.</param>
/// <param name="IsBox">True for a box to tick.</param>
public sealed record PrintedCell(string Text, float Width, bool Right = false, bool Bold = false, bool IsBox = false)
{
    /// <summary>Between two columns, points.</summary>
    public const float Gap = 8;
}
