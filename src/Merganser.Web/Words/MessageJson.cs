using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;
using Merganser.Core.Messages;

namespace Merganser.Web.Words;

/// <summary>Writes messages as sentences; an answer is written with the speaker of the bow that it is about.</summary>
/// <param name="speaker">Who is spoken to.</param>
public sealed class MessageJson(Speaker speaker) : JsonConverter<Message>
{
    private static readonly ConcurrentDictionary<
        (Speaker Speaker, JsonSerializerOptions Base),
        JsonSerializerOptions
    > Kept = new();

    /// <summary>The same way of writing, said to this person.</summary>
    public static JsonSerializerOptions For(Speaker speaker, JsonSerializerOptions like) =>
        Kept.GetOrAdd(
            (speaker, like),
            key =>
            {
                var options = new JsonSerializerOptions(key.Base);
                options.Converters.Insert(0, new MessageJson(key.Speaker));
                options.MakeReadOnly(populateMissingResolver: true);
                return options;
            }
        );

    /// <inheritdoc/>
    public override bool CanConvert(Type type) => typeof(Message).IsAssignableFrom(type);

    /// <inheritdoc/>
    public override Message Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
        new Verbatim(reader.GetString() ?? "");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Message value, JsonSerializerOptions options) =>
        writer.WriteStringValue(speaker.Say(value));
}
