using System.Reflection;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Web.Words;

namespace Merganser.Core.Tests.Messages;

/// <summary>
/// Messages of every kind that Core has, made from its types: a new one is among them without being named here.
/// </summary>
internal static class Samples
{
    private static readonly Type[] Wrappers = [typeof(Says), typeof(Verbatim), typeof(Sentences)];

    private static readonly Assembly Core = typeof(Message).Assembly;

    /// <summary>Every kind of message.</summary>
    public static IEnumerable<Type> Kinds =>
        Core.GetTypes().Where(t => t.IsSubclassOf(typeof(Message)) && !t.IsAbstract && !Wrappers.Contains(t));

    /// <summary>Every list of what is said without a quantity.</summary>
    public static IEnumerable<Type> Lists =>
        typeof(Message)
            .GetMethods()
            .Where(m => m.Name == "op_Implicit")
            .Select(m => m.GetParameters()[0].ParameterType);

    /// <summary>Everything that is said without a quantity.</summary>
    public static IEnumerable<Message> Codes =>
        Lists.SelectMany(list => Enum.GetValues(list).Cast<Enum>()).Select(code => new Says(code));

    /// <summary>Messages of one kind: each argument through all its samples, the others at their first.</summary>
    public static IEnumerable<Message> Of(Type kind) =>
        kind.Name switch
        {
            nameof(ChoiceLabel) => CheckTable.All.SelectMany(c => c.Choices).Select(c => c.Label),
            nameof(CheckStep) => from bow in Enum.GetValues<BowKind>()
            from check in CheckTable.All
            from line in Enumerable.Range(0, HowToWords.Of(check.Kind, bow).Count)
            select new CheckStep(check.Kind, bow, line),
            nameof(ChoiceToDo) => CheckTable.All.SelectMany(c => c.Choices).Select(c => c.ToDo),
            nameof(ComponentFieldName) => Enum.GetValues<ComponentClass>()
                .SelectMany(ComponentTable.Fields)
                .Select(f => f.Label),
            _ => Through(kind),
        };

    private static IEnumerable<Message> Through(Type kind)
    {
        var constructor = kind.GetConstructors().MaxBy(c => c.GetParameters().Length)!;
        var choices = constructor.GetParameters().Select(p => Values(p.ParameterType, p.Name!, kind)).ToArray();
        var first = choices.Select(c => c[0]).ToArray();
        yield return Make(constructor, first);
        for (var at = 0; at < choices.Length; at++)
        {
            foreach (var value in choices[at].Skip(1))
            {
                object?[] arguments = [.. first];
                arguments[at] = value;
                yield return Make(constructor, arguments);
            }
        }
    }

    private static Message Make(ConstructorInfo constructor, object?[] arguments) =>
        (Message)constructor.Invoke(arguments);

    private static object?[] Values(Type type, string name, Type of) =>
        Nullable.GetUnderlyingType(type) is { } inner ? [.. Values(inner, name, of), null] : Plain(type, name, of);

    private static object?[] Plain(Type type, string name, Type of)
    {
        if (type.IsEnum)
        {
            return [.. Enum.GetValues(type).Cast<object>()];
        }

        if (type == typeof(Measure))
        {
            return
            [
                Measure.Inches(0.8),
                Measure.Inches(-0.3),
                Measure.Ruled(0.0625),
                Measure.Grains(25),
                Measure.Pounds(54.5),
                Measure.Yards(3),
                Measure.Speed(280),
                Measure.Energy(61),
            ];
        }

        if (type == typeof(int))
        {
            return Signed(name) ? [2, -2, 1, -1] : [3, 1];
        }

        if (type == typeof(AllowedRange))
        {
            return [.. Enum.GetValues<Why>().Select(why => (object)new AllowedRange(1.5, 30, Unit.Inch, why))];
        }

        if (type == typeof(Formula))
        {
            return [new Formula($"g × {Measure.Inches(28.5):bare}", $"{Measure.Grains(409)} × L")];
        }

        return Class(type, of);
    }

    private static object?[] Class(Type type, Type of)
    {
        if (
            type.IsGenericType
            && type.GetInterfaces().Append(type).Any(i => i == typeof(System.Collections.IEnumerable))
        )
        {
            var item = type.GetGenericArguments()[0];
            var items = Plain(item, "item", of);
            return [List(item, items.Take(2)), List(item, items.Take(1))];
        }

        return type switch
        {
            _ when type == typeof(string) => ["Wrackline"],
            _ when type == typeof(FormattableString) => [(FormattableString)$"g × {Measure.Inches(28.5)}"],
            _ when type == typeof(bool) => [true, false],
            _ when type == typeof(long) => [0L, 830L, 57_400_000L],
            _ when type == typeof(double) => [0.72, 0.0001, 0.9999],
            _ when type == typeof(DateTimeOffset) => [new DateTimeOffset(2026, 11, 23, 18, 34, 0, TimeSpan.Zero)],
            _ when type == typeof(DateOnly) => [new DateOnly(2026, 11, 23)],
            _ when type == typeof(Message) => [new Verbatim("Wrackline"), new Amount(Measure.Inches(0.8))],
            _ when type.IsSubclassOf(typeof(Message)) => [.. Of(type)],
            _ => throw new NotSupportedException($"{of.Name} has a {type.Name}: say here what one looks like."),
        };
    }

    private static object List(Type item, IEnumerable<object?> items)
    {
        var from = items.ToArray();
        var list = Array.CreateInstance(item, from.Length);
        from.CopyTo(list, 0);
        return list;
    }

    /// <summary>Counts of steps have a sign; shots, bows and arrows have none.</summary>
    private static bool Signed(string name) => name is "Count" or "Position" or "From" or "To" or "Lower" or "Upper";
}
