using Merganser.Core.Figures;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Web.Guard;

/// <summary>A person's own words, as they are let in.</summary>
public static class Texts
{
    private const int LongestReason = 120;
    private const int LongestNote = 500;

    /// <summary>A reason, or null where none is given.</summary>
    /// <exception cref="RefusedException">It is empty or too long.</exception>
    public static string? Reason(string? text)
    {
        var fields = new FieldReader();
        fields.Check(
            text is null || text.Trim().Length is > 0 and <= LongestReason,
            "reason",
            "reason",
            SetupSays.VoidSaysWhy
        );
        fields.ThrowIfAny();
        return text?.Trim();
    }

    /// <summary>A note; nothing is an empty one.</summary>
    /// <exception cref="RefusedException">It is too long.</exception>
    public static string Note(string? text)
    {
        var fields = new FieldReader();
        fields.Check((text?.Length ?? 0) <= LongestNote, "note", "too-long", new TooLong(LongestNote));
        fields.ThrowIfAny();
        return text?.Trim() ?? "";
    }
}
