using System.Collections.Concurrent;
using System.Reflection;
using System.Security.Cryptography;
using System.Text.Json;
using Merganser.Data;

namespace Merganser.Web.Guard;

/// <summary>
/// An act has the id that its client made: what is asked under it is noted before the endpoint carries it out, so that
/// the same again is the same and anything else under that id is refused.
/// </summary>
public static class OneAct
{
    private static readonly ConcurrentDictionary<Type, PropertyInfo?> Ids = [];

    /// <summary>
    /// Notes the act of a request that has one. It is a method that waits, so that what it notes ends with the request.
    /// </summary>
    public static async ValueTask<object?> Note(EndpointFilterInvocationContext call, EndpointFilterDelegate next)
    {
        var request = call.HttpContext.Request;
        if (HttpMethods.IsPost(request.Method) && call.Arguments.FirstOrDefault(a => IdOf(a) is not null) is { } input)
        {
            var path = request.Path.Value!;
            var asked = JsonSerializer.SerializeToUtf8Bytes(input, input.GetType(), FactsJson.Options);
            AskedAct.Begin(new AskedAct(IdOf(input)!, path, Convert.ToHexString(SHA256.HashData(asked))));
        }

        return await next(call);
    }

    /// <summary>The id that an input has, when it is one that a client may make.</summary>
    private static string? IdOf(object? input) =>
        input is not null
        && Ids.GetOrAdd(input.GetType(), IdProperty)?.GetValue(input) is string text
        && Guid.TryParse(text, out var id)
            ? id.ToString()
            : null;

    private static PropertyInfo? IdProperty(Type type) =>
        type.Name.EndsWith("Input", StringComparison.Ordinal) || type.Name.EndsWith("Options", StringComparison.Ordinal)
            ? type.GetProperty("Id", typeof(string))
            : null;
}
