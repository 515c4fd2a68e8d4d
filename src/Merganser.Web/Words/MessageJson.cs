using System.Collections.Concurrent;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using Merganser.Core.Messages;
using Merganser.Data;

namespace Merganser.Web.Words;

/// <summary>Writes messages as sentences; an answer is written with the speaker of the bow that it is about.</summary>
/// <param name="speaker">Who is spoken to.</param>
public sealed class MessageJson(Speaker speaker) : JsonConverter<Message>
{
    private static readonly ConcurrentDictionary<Speaker, JsonSerializerOptions> Kept = new();

    /// <summary>How answers are written, said to this person.</summary>
    public static JsonSerializerOptions For(Speaker speaker) =>
        Kept.GetOrAdd(
            speaker,
            heard =>
            {
                var options = Configure(new JsonSerializerOptions(JsonSerializerDefaults.Web), heard);
                options.MakeReadOnly(populateMissingResolver: true);
                return options;
            }
        );

    /// <summary>As on the wire, said to this person.</summary>
    public static JsonSerializerOptions Configure(JsonSerializerOptions options, Speaker speaker)
    {
        FactsJson.Configure(options);
        options.Converters.Add(new MessageJson(speaker));
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping; // JSON only, never inside a page
        return options;
    }

    /// <inheritdoc/>
    public override bool CanConvert(Type type) => typeof(Message).IsAssignableFrom(type);

    /// <inheritdoc/>
    public override Message Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
        new Verbatim(reader.GetString() ?? "");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Message value, JsonSerializerOptions options) =>
        writer.WriteStringValue(speaker.Say(value));
}
