using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Merganser.Web.Words;

/// <summary>
/// How inputs are read and answers written, worked out for each type when it is first used. The endpoints ask for all
/// of their types before the first answer: worked out then, they were most of the wait for it.
/// </summary>
/// <param name="asked">The options that the endpoints hold; copies of them work types out at once, as for the API's own
/// document.</param>
/// <param name="whole">The same options with every type worked out when used; shared, so that it is done once.</param>
public sealed class LateJson(JsonSerializerOptions asked, JsonSerializerOptions whole) : DefaultJsonTypeInfoResolver
{
    private static readonly MethodInfo Making = typeof(LateJson).GetMethod(
        nameof(Made),
        BindingFlags.NonPublic | BindingFlags.Static
    )!;

    /// <inheritdoc/>
    public override JsonTypeInfo GetTypeInfo(Type type, JsonSerializerOptions options) =>
        ReferenceEquals(options, asked) && type.Assembly != typeof(object).Assembly
            ? (JsonTypeInfo)Making.MakeGenericMethod(type).Invoke(null, [options, whole])!
            : base.GetTypeInfo(type, options);

    private static JsonTypeInfo<T> Made<T>(JsonSerializerOptions options, JsonSerializerOptions whole) =>
        JsonMetadataServices.CreateValueInfo<T>(options, new Late<T>(whole));

    private sealed class Late<T>(JsonSerializerOptions whole) : JsonConverter<T>
    {
        public override bool HandleNull => true;

        public override T? Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            JsonSerializer.Deserialize<T>(ref reader, whole);

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, value, whole);
    }
}
