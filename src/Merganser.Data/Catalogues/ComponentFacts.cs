using Merganser.Core.Arrows;

namespace Merganser.Data;

/// <summary>A part as its row keeps it.</summary>
internal static class ComponentFacts
{
    public static IComponent Part(string kind, string facts) =>
        FactsJson.Enum<ComponentClass>(kind) switch
        {
            ComponentClass.Shaft => Kept.Read<Shaft>(facts),
            ComponentClass.Insert => Kept.Read<Insert>(facts),
            ComponentClass.Point => Kept.Read<Point>(facts),
            ComponentClass.Nock => Kept.Read<Nock>(facts),
            ComponentClass.EndPart => Kept.Read<EndPart>(facts),
            ComponentClass.Vane => Kept.Read<Vane>(facts),
            _ => Kept.Read<Wrap>(facts),
        };

    public static string Of(IComponent part) =>
        part switch
        {
            Shaft s => Kept.Write(s),
            Insert i => Kept.Write(i),
            Point p => Kept.Write(p),
            Nock n => Kept.Write(n),
            EndPart e => Kept.Write(e),
            Vane v => Kept.Write(v),
            _ => Kept.Write((Wrap)part),
        };
}
