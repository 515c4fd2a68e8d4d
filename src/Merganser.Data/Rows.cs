using System.Text.Json;
using System.Text.Json.Serialization;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Data;

/// <summary>How facts are written, the same in the tables and on the wire: camel case, words for enums.</summary>
public static class FactsJson
{
    public static JsonSerializerOptions Options { get; } =
        Configure(new JsonSerializerOptions(JsonSerializerDefaults.Web));

    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        return options;
    }

    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    /// <summary>Reads what this program wrote.</summary>
    public static T Read<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Options) ?? throw new JsonException("Empty facts.");

    /// <summary>An enum's word, as in the tables.</summary>
    public static string Word<T>(T value)
        where T : struct, Enum => Codes.Of(value);

    /// <summary>The enum of a word in the tables.</summary>
    /// <exception cref="JsonException">It is no word of this enum; a number never is.</exception>
    public static T Enum<T>(string word)
        where T : struct, Enum => TryEnum<T>(word) ?? throw new JsonException($"\"{word}\" is no {typeof(T).Name}.");

    /// <summary>The enum of a word, or null when it is none; numbers and lists are none.</summary>
    public static T? TryEnum<T>(string word)
        where T : struct, Enum => Codes.Read<T>(word);
}

/// <summary>Someone else changed the row first.</summary>
public sealed class ChangedException(string what, object current) : Exception(what)
{
    /// <summary>What is said of it.</summary>
    public Message Said { get; } = new ChangedMeanwhile(what);

    /// <summary>The row as it is now.</summary>
    public object Current { get; } = current;
}

/// <summary>There is no such row.</summary>
public sealed class MissingException(string what) : Exception(what)
{
    /// <summary>What is said of it.</summary>
    public Message Said { get; } = new NoSuchThing(what);
}

/// <summary>An id made by the client was already used for something else.</summary>
public sealed class IdTakenException(string what, KeptAct? kept = null) : Exception(what)
{
    /// <summary>What is kept under it, where it is known.</summary>
    public KeptAct? Kept { get; } = kept;

    /// <summary>What is said of it.</summary>
    public Message Said { get; } = new IdIsTaken(what);
}

/// <summary>Times in the tables: ISO 8601 with offset.</summary>
internal static class Stamp
{
    public static string Of(DateTimeOffset time) => time.ToString("yyyy-MM-dd'T'HH:mm:ss.fffzzz");

    public static DateTimeOffset Read(string text) =>
        DateTimeOffset.Parse(text, System.Globalization.CultureInfo.InvariantCulture);

    public static string? Of(DateOnly? day) =>
        day?.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    public static DateOnly? ReadDay(string? text) =>
        text is null ? null : DateOnly.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
}
