namespace Merganser.Core.Figures;

/// <summary>How an enum's value is written as a word, the same in the tables, on the wire and in actions.</summary>
public static class Codes
{
    /// <summary>The value's word, camel case.</summary>
    public static string Of<T>(T value)
        where T : struct, Enum
    {
        var name = value.ToString();
        return char.ToLowerInvariant(name[0]) + name[1..];
    }

    /// <summary>The value of a word, or null when it is none; numbers and lists are none.</summary>
    public static T? Read<T>(string? word)
        where T : struct, Enum =>
        Enum.GetNames<T>().FirstOrDefault(n => n.Equals(word, StringComparison.OrdinalIgnoreCase)) is { } name
            ? Enum.Parse<T>(name)
            : null;
}
