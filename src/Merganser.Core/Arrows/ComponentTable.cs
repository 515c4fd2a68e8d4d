using System.Text.Json.Serialization;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What a field of a component holds.</summary>
public enum ComponentFieldKind
{
    Text,
    Number,
    Choice,
}

/// <summary>One field of a component: the column of a table, the field of a form.</summary>
/// <param name="Class">Of which class.</param>
/// <param name="Name">Stable name, the header of its column.</param>
/// <param name="Kind">Text, number or choice.</param>
/// <param name="Quantity">What a number measures.</param>
/// <param name="Range">What a number may be.</param>
/// <param name="Required">True when it may not be empty.</param>
/// <param name="Choices">The words of a choice.</param>
public sealed record ComponentField(
    [property: JsonIgnore] ComponentClass Class,
    string Name,
    ComponentFieldKind Kind,
    Quantity Quantity,
    AllowedRange Range,
    bool Required,
    IReadOnlyList<string> Choices
)
{
    /// <summary>Its words.</summary>
    public Message Label => new ComponentFieldName(Class, Name);
}

/// <summary>The fields of each class of component, and the way between typed texts and the part.</summary>
public static class ComponentTable
{
    private static readonly AllowedRange None = new(0, 0, Unit.None, Why.Nothing);
    private static readonly AllowedRange Spine = new(0.1, 2, Unit.Inch, Why.ShaftSpines);
    private static readonly AllowedRange SpineBand = new(0, 1, Unit.Inch, Why.ShaftSpines);
    private static readonly AllowedRange PerInch = new(2, 30, Unit.GrainPerInch, Why.ShaftMass);
    private static readonly AllowedRange PerInchBand = new(0, 10, Unit.GrainPerInch, Why.ShaftMass);
    private static readonly AllowedRange Diameter = new(0.1, 0.6, Unit.Inch, Why.ShaftDiameters);
    private static readonly AllowedRange Inner = new(0, 0.6, Unit.Inch, Why.SolidShaft);
    private static readonly AllowedRange Sold = new(15, 36, Unit.Inch, Why.ShaftsSold);
    private static readonly AllowedRange Small = new(0, 0.2, Unit.Inch, Why.Straightness);

    /// <summary>Of a point or an insert, grains.</summary>
    internal static readonly AllowedRange Grains = new(0, 600, Unit.Grain, Why.HeadWeights);
    private static readonly AllowedRange Light = new(0, 60, Unit.Grain, Why.FewGrainsEach);
    private static readonly AllowedRange Short = new(0, 8, Unit.Inch, Why.LongerIsAShaft);
    private static readonly AllowedRange Ahead = new(-4, 4, Unit.Inch, Why.AheadOfTheEnd);
    private static readonly AllowedRange Count = new(0, 12, Unit.None, Why.PartsCount);

    /// <summary>Between the supports of a spine tester, inches.</summary>
    internal static readonly AllowedRange Span = new(10, 40, Unit.Inch, Why.BetweenSupports);

    /// <summary>What hangs in the middle, lb.</summary>
    internal static readonly AllowedRange Load = new(0.5, 10, Unit.Pound, Why.HungInTheMiddle);

    /// <summary>What the middle gives, inches.</summary>
    internal static readonly AllowedRange Gave = new(0.05, 4, Unit.Inch, Why.WhatTheMiddleGave);
    private static readonly AllowedRange Wraps = new(0.5, 14, Unit.Inch, Why.WrapLength);

    private static readonly Dictionary<ComponentClass, IReadOnlyList<ComponentField>> Tables =
        Enum.GetValues<ComponentClass>()
            .ToDictionary(k => k, k => (IReadOnlyList<ComponentField>)[.. Table(k).Select(f => f with { Class = k })]);

    /// <summary>The fields of a class, in the order of its table.</summary>
    public static IReadOnlyList<ComponentField> Fields(ComponentClass kind) => Tables[kind];

    private static IReadOnlyList<ComponentField> Table(ComponentClass kind) =>
        kind switch
        {
            ComponentClass.Shaft =>
            [
                Text("maker"),
                Text("name"),
                Text("tubeCode") with
                {
                    Required = false,
                },
                Number("spine", Quantity.Length, Spine),
                Number("grainsPerInch", Quantity.MassPerLength, PerInch),
                Number("outerDiameter", Quantity.Length, Diameter),
                Number("innerDiameter", Quantity.Length, Inner),
                Number("maxLength", Quantity.Length, Sold, true),
                Number("straightness", Quantity.Length, Small),
                Number("weightTolerance", Quantity.Weight, Light),
                Text("material"),
                Number("measuredDeflection", Quantity.Length, Gave),
                Number("measuredSpan", Quantity.Length, Span),
                Number("measuredLoad", Quantity.DrawWeight, Load),
                Number("measuredGrainsPerInch", Quantity.MassPerLength, PerInch),
                Number("grainsPerInchBand", Quantity.MassPerLength, PerInchBand),
                Number("spineBand", Quantity.Length, SpineBand),
            ],
            ComponentClass.Insert =>
            [
                Text("maker"),
                Text("name"),
                Number("grains", Quantity.Weight, Grains, true),
                Number("length", Quantity.Length, Short, true),
                Number("centreAhead", Quantity.Length, Ahead, true),
                Number("diameter", Quantity.Length, Inner),
                Number("breakOff", Quantity.Weight, Light),
                Number("breakOffSteps", Quantity.Number, Count),
                Number("measuredGrains", Quantity.Weight, Grains),
                Number("grainsBand", Quantity.Weight, Light),
            ],
            ComponentClass.Point =>
            [
                Text("maker"),
                Text("name"),
                Choice<PointKind>("kind"),
                Number("grains", Quantity.Weight, Grains, true),
                Number("length", Quantity.Length, Short, true),
                Number("centreAhead", Quantity.Length, Ahead, true),
                Number("diameter", Quantity.Length, Inner),
                Number("blades", Quantity.Number, Count),
                Number("breakOff", Quantity.Weight, Light),
                Number("breakOffSteps", Quantity.Number, Count),
                Number("measuredGrains", Quantity.Weight, Grains),
                Number("grainsBand", Quantity.Weight, Light),
            ],
            ComponentClass.Nock =>
            [
                Text("maker"),
                Text("name"),
                Choice<NockKind>("kind"),
                Number("grains", Quantity.Weight, Light, true),
                Number("tubeStart", Quantity.Length, Short, true),
                Number("centre", Quantity.Length, Short, true),
                Number("diameter", Quantity.Length, Inner),
                Number("measuredGrains", Quantity.Weight, Light),
                Number("grainsBand", Quantity.Weight, Light),
            ],
            ComponentClass.EndPart =>
            [
                Text("maker"),
                Text("name"),
                Choice<EndPartKind>("kind"),
                Number("grains", Quantity.Weight, Grains, true),
                Number("length", Quantity.Length, Short, true),
                Number("centreAhead", Quantity.Length, Ahead, true),
                Number("diameter", Quantity.Length, Inner),
                Number("measuredGrains", Quantity.Weight, Grains),
            ],
            ComponentClass.Vane =>
            [
                Text("maker"),
                Text("name"),
                Number("grains", Quantity.Weight, Light, true),
                Number("length", Quantity.Length, Short, true),
                Number("height", Quantity.Length, Short, true),
                Choice<VaneSetting>("setting"),
                Number("glue", Quantity.Weight, Light),
                Number("measuredGrains", Quantity.Weight, Light),
                Number("grainsBand", Quantity.Weight, Light),
            ],
            _ =>
            [
                Text("maker"),
                Text("name"),
                Number("grains", Quantity.Weight, Light, true),
                Number("length", Quantity.Length, Wraps, true),
                Number("measuredGrains", Quantity.Weight, Light),
            ],
        };

    /// <summary>Reads a part from its typed fields.</summary>
    /// <exception cref="RefusedException">A field cannot be read, is missing or out of range; each is
    /// named.</exception>
    public static IComponent Read(ComponentClass kind, IReadOnlyDictionary<string, string?> typed) =>
        TypedPart.Make(kind, Tables[kind], typed);

    /// <summary>The typed fields of a part: what <see cref="Read"/> reads back as the same part.</summary>
    public static IReadOnlyDictionary<string, string> Write(IComponent part) =>
        part switch
        {
            Shaft s => Texts(
                ("maker", s.Maker),
                ("name", s.Name),
                ("tubeCode", s.TubeCode ?? ""),
                ("spine", Exact(s.Spine)),
                ("grainsPerInch", Exact(s.GrainsPerInch)),
                ("outerDiameter", Exact(s.OuterDiameter)),
                ("innerDiameter", Some(s.InnerDiameter)),
                ("maxLength", Exact(s.MaxLength)),
                ("straightness", Some(s.Straightness)),
                ("weightTolerance", Some(s.WeightTolerance)),
                ("material", s.Material),
                ("measuredDeflection", Exact(s.MeasuredSpine)),
                ("measuredSpan", ""),
                ("measuredLoad", ""),
                ("measuredGrainsPerInch", Exact(s.MeasuredGrainsPerInch)),
                ("grainsPerInchBand", Some(s.GrainsPerInchBand)),
                ("spineBand", Some(s.SpineBand))
            ),
            Insert i => Texts(
                ("maker", i.Maker),
                ("name", i.Name),
                ("grains", Exact(i.Grains)),
                ("length", Exact(i.Length)),
                ("centreAhead", Exact(i.CentreAhead)),
                ("diameter", Some(i.Diameter)),
                ("breakOff", Some(i.BreakOff)),
                ("breakOffSteps", Some(i.BreakOffSteps)),
                ("measuredGrains", Exact(i.MeasuredGrains)),
                ("grainsBand", Some(i.GrainsBand))
            ),
            Point p => Texts(
                ("maker", p.Maker),
                ("name", p.Name),
                ("kind", Codes.Of(p.Kind)),
                ("grains", Exact(p.Grains)),
                ("length", Exact(p.Length)),
                ("centreAhead", Exact(p.CentreAhead)),
                ("diameter", Some(p.Diameter)),
                ("blades", Some(p.Blades)),
                ("breakOff", Some(p.BreakOff)),
                ("breakOffSteps", Some(p.BreakOffSteps)),
                ("measuredGrains", Exact(p.MeasuredGrains)),
                ("grainsBand", Some(p.GrainsBand))
            ),
            Nock n => Texts(
                ("maker", n.Maker),
                ("name", n.Name),
                ("kind", Codes.Of(n.Kind)),
                ("grains", Exact(n.Grains)),
                ("tubeStart", Exact(n.TubeStart)),
                ("centre", Exact(n.Centre)),
                ("diameter", Some(n.Diameter)),
                ("measuredGrains", Exact(n.MeasuredGrains)),
                ("grainsBand", Some(n.GrainsBand))
            ),
            EndPart e => Texts(
                ("maker", e.Maker),
                ("name", e.Name),
                ("kind", Codes.Of(e.Kind)),
                ("grains", Exact(e.Grains)),
                ("length", Exact(e.Length)),
                ("centreAhead", Exact(e.CentreAhead)),
                ("diameter", Some(e.Diameter)),
                ("measuredGrains", Exact(e.MeasuredGrains))
            ),
            Vane v => Texts(
                ("maker", v.Maker),
                ("name", v.Name),
                ("grains", Exact(v.Grains)),
                ("length", Exact(v.Length)),
                ("height", Exact(v.Height)),
                ("setting", Codes.Of(v.Setting)),
                ("glue", Some(v.Glue)),
                ("measuredGrains", Exact(v.MeasuredGrains)),
                ("grainsBand", Some(v.GrainsBand))
            ),
            Wrap w => Texts(
                ("maker", w.Maker),
                ("name", w.Name),
                ("grains", Exact(w.Grains)),
                ("length", Exact(w.Length)),
                ("measuredGrains", Exact(w.MeasuredGrains))
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(part)),
        };

    /// <summary>The class of a part.</summary>
    public static ComponentClass ClassOf(IComponent part) => Enum.Parse<ComponentClass>(part.GetType().Name);

    private static Dictionary<string, string> Texts(params (string Name, string Text)[] texts) =>
        texts.ToDictionary(t => t.Name, t => t.Text);

    /// <summary>The shortest text that reads back as the same number.</summary>
    private static string Exact(double? value) =>
        value is { } number ? number.ToString("0.#########", System.Globalization.CultureInfo.InvariantCulture) : "";

    private static string Some(double value) => value == 0 ? "" : Exact(value);

    private static ComponentField Text(string name) =>
        new(default, name, ComponentFieldKind.Text, Quantity.Number, None, true, []);

    private static ComponentField Number(string name, Quantity quantity, AllowedRange range, bool required = false) =>
        new(default, name, ComponentFieldKind.Number, quantity, range, required, []);

    private static ComponentField Choice<T>(string name)
        where T : struct, Enum =>
        new(
            default,
            name,
            ComponentFieldKind.Choice,
            Quantity.Number,
            None,
            true,
            [.. Enum.GetValues<T>().Select(Codes.Of)]
        );
}
