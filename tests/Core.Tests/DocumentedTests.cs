using System.Reflection;
using System.Xml.Linq;
using Merganser.Core.Messages;

namespace Merganser.Core.Tests;

/// <summary>
/// Every public type, property, method and constant of Core says what it is. The values of an enum are their own names,
/// and what is said by them stands in the words tables.
/// </summary>
public class DocumentedTests
{
    private const BindingFlags Own =
        BindingFlags.Public | BindingFlags.Instance | BindingFlags.Static | BindingFlags.DeclaredOnly;

    private static readonly Assembly Core = typeof(Message).Assembly;

    private static readonly HashSet<string> Documented =
    [
        .. XDocument
            .Load(Path.ChangeExtension(Core.Location, ".xml"))
            .Descendants("member")
            .Where(m =>
                m.Element("summary")?.Value.Trim().Length > 0
                || m.Elements("param").Any()
                || m.Elements("inheritdoc").Any()
            )
            .Select(m => m.Attribute("name")!.Value.Split('(')[0]),
    ];

    [Fact]
    public void Every_public_member_of_Core_says_what_it_is()
    {
        var types = Core.GetExportedTypes();
        types.Select(t => $"T:{Name(t)}").Where(n => !Documented.Contains(n)).ShouldBeEmpty();
        types.Where(t => !t.IsEnum).SelectMany(Members).Where(n => !Documented.Contains(n)).ShouldBeEmpty();
    }

    private static IEnumerable<string> Members(Type type)
    {
        var parameters = type.GetConstructors().SelectMany(c => c.GetParameters()).Select(p => p.Name).ToHashSet();
        var properties = type.GetProperties(Own)
            .Where(p => !parameters.Contains(p.Name) && p.Name != "EqualityContract" && p.Name != "Item")
            .Select(p => $"P:{Name(type)}.{p.Name}");
        var constants = type.GetFields(Own).Select(f => $"F:{Name(type)}.{f.Name}");
        var methods = type.GetMethods(Own)
            .Where(m => !m.IsSpecialName && m.GetBaseDefinition() == m && !Given.Contains(m.Name))
            .Select(m => $"M:{Name(type)}.{m.Name}{(m.IsGenericMethod ? $"``{m.GetGenericArguments().Length}" : "")}");
        return [.. properties, .. constants, .. methods];
    }

    /// <summary>What the compiler gives a record.</summary>
    private static readonly string[] Given = ["Deconstruct", "Equals", "GetHashCode", "ToString", "<Clone>$"];

    private static string Name(Type type) => type.FullName!.Replace('+', '.');
}
