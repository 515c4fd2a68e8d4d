using Merganser.Core.Figures;
using Merganser.Data;

namespace Merganser.Web.Guard;

/// <summary>Words of a path or a query that stand for one of a few things.</summary>
public static class KnownWord
{
    /// <summary>The meaning of a word; numbers and lists mean nothing.</summary>
    /// <exception cref="RefusedException">The word is not known; the field is named with what it may be.</exception>
    public static T Read<T>(string field, string word)
        where T : struct, Enum =>
        FactsJson.TryEnum<T>(word)
        ?? throw RefusedException.At(
            field,
            "unknown-word",
            new UseOneOf([.. Enum.GetValues<T>().Select(FactsJson.Word)])
        );

    /// <summary>A word that is one of a few.</summary>
    /// <exception cref="RefusedException">It is none of them; the field is named with what it may be.</exception>
    public static string OneOf(string field, string word, IReadOnlyList<string> known) =>
        known.Contains(word) ? word : throw RefusedException.At(field, "unknown-word", new UseOneOf(known));
}
