using System.Collections;
using System.Collections.Concurrent;
using System.Globalization;
using System.Reflection;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Web.Guard;

/// <summary>
/// Lists and tables of a request have no holes, and its numbers are finite: the serializer refuses null where a member
/// may not be null, but not within a list, and a query takes NaN for a number. The place is named.
/// </summary>
public static class NoHoles
{
    private static readonly ConcurrentDictionary<Type, PropertyInfo[]> Members = [];
    private static readonly ConcurrentDictionary<Type, bool> Records = [];

    /// <summary>Looks at what came with the request before the endpoint does.</summary>
    /// <exception cref="RefusedException">A list has null in it.</exception>
    public static ValueTask<object?> Look(EndpointFilterInvocationContext call, EndpointFilterDelegate next)
    {
        if (call.Arguments.Any(a => a is double number && !double.IsFinite(number)))
        {
            var (name, value) = call.HttpContext.Request.Query.First(q => IsEndless(q.Value.ToString()));
            throw RefusedException.At(name, "not-a-number", new NotANumber(value.ToString()));
        }

        foreach (var sent in call.Arguments.Where(a => a is not null && IsRecord(a.GetType())))
        {
            Look(sent!, "");
        }

        return next(call);
    }

    private static bool IsEndless(string text) =>
        double.TryParse(text, CultureInfo.InvariantCulture, out var number) && !double.IsFinite(number);

    private static void Look(object thing, string place)
    {
        foreach (var member in Members.GetOrAdd(thing.GetType(), MembersOf))
        {
            var name = place + char.ToLowerInvariant(member.Name[0]) + member.Name[1..];
            switch (member.GetValue(thing))
            {
                case string or null:
                    break;
                case IDictionary table:
                    foreach (DictionaryEntry entry in table)
                    {
                        LookAt(entry.Value, $"{name}.{entry.Key}");
                    }

                    break;
                case IEnumerable list:
                    var at = 0;
                    foreach (var item in list)
                    {
                        LookAt(item, $"{name}[{at++}]");
                    }

                    break;
                case { } part when IsRecord(part.GetType()):
                    Look(part, name + ".");
                    break;
            }
        }
    }

    private static void LookAt(object? item, string place)
    {
        if (item is null)
        {
            throw RefusedException.At(place, "missing", new UnreadableAt(place));
        }

        if (IsRecord(item.GetType()))
        {
            Look(item, place + ".");
        }
    }

    /// <summary>Only what was read from JSON: a record of ours, and no store or desk.</summary>
    private static bool IsRecord(Type type) =>
        Records.GetOrAdd(
            type,
            t =>
                t.Namespace?.StartsWith("Merganser", StringComparison.Ordinal) == true
                && t.GetMethod("<Clone>$") is not null
        );

    private static PropertyInfo[] MembersOf(Type type) =>
        [
            .. type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                .Where(p => p.CanWrite && p.GetIndexParameters().Length == 0 && !p.PropertyType.IsValueType),
        ];
}
