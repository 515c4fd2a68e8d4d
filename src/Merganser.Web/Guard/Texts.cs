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
        FieldReader.Demand(
            text is null || text.Trim().Length is > 0 and <= LongestReason,
            "reason",
            "reason",
            SetupSays.VoidSaysWhy
        );
        return text?.Trim();
    }

    /// <summary>A note; nothing is an empty one.</summary>
    /// <exception cref="RefusedException">It is too long.</exception>
    public static string Note(string? text)
    {
        FieldReader.Demand((text?.Length ?? 0) <= LongestNote, "note", "too-long", new TooLong(LongestNote));
        return text?.Trim() ?? "";
    }
}
