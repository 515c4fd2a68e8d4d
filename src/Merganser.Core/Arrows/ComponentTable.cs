using Merganser.Core.Figures;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

public enum ComponentFieldKind { Text, Number, Choice }

/// <summary>One field of a component: the column of a table, the field of a form.</summary>
/// <param name="Name">Stable name, the header of its column.</param>
/// <param name="Label">Its words.</param>
/// <param name="Kind">Text, number or choice.</param>
/// <param name="Quantity">What a number measures.</param>
/// <param name="Range">What a number may be.</param>
/// <param name="Required">True when it may not be empty.</param>
/// <param name="Choices">The words of a choice.</param>
public sealed record ComponentField(string Name, string Label, ComponentFieldKind Kind, Quantity Quantity, AllowedRange Range, bool Required, IReadOnlyList<string> Choices);

/// <summary>The fields of each class of component, and the way between typed texts and the part.</summary>
public static class ComponentTable
{
    private const int LongestText = 60;

    private static readonly AllowedRange None = new(0, 0, "", "");
    private static readonly AllowedRange Spine = new(0.1, 2, "in", "from the stiffest hunting shaft to a child's");
    private static readonly AllowedRange PerInch = new(2, 30, "gr/in", "from the lightest carbon to solid wood");
    private static readonly AllowedRange Diameter = new(0.1, 0.6, "in", "shafts run from 0.16 to 0.43 in");
    private static readonly AllowedRange Inner = new(0, 0.6, "in", "0 for a solid shaft");
    private static readonly AllowedRange Sold = new(15, 36, "in", "shafts are sold from 15 to 36 in long");
    private static readonly AllowedRange Small = new(0, 0.2, "in", "straightness is a few thousandths");
    private static readonly AllowedRange Grains = new(0, 600, "gr", "the heaviest heads weigh a few hundred grains");
    private static readonly AllowedRange Light = new(0, 60, "gr", "a few grains each");
    private static readonly AllowedRange Short = new(0, 8, "in", "longer than 8 in is a shaft");
    private static readonly AllowedRange Ahead = new(-4, 4, "in", "ahead of the shaft's end, negative inside it");
    private static readonly AllowedRange Count = new(0, 12, "", "more than 12 is no part of an arrow");
    private static readonly AllowedRange Span = new(10, 40, "in", "between the supports");
    private static readonly AllowedRange Load = new(0.5, 10, "lb", "the weight hung in the middle");

    private static readonly Dictionary<ComponentClass, IReadOnlyList<ComponentField>> Tables = Enum.GetValues<ComponentClass>().ToDictionary(k => k, Table);
    private static readonly Dictionary<ComponentClass, Dictionary<string, ComponentField>> ByName = Tables.ToDictionary(t => t.Key, t => t.Value.ToDictionary(f => f.Name));

    /// <summary>The fields of a class, in the order of its table.</summary>
    public static IReadOnlyList<ComponentField> Fields(ComponentClass kind) => Tables[kind];

    private static IReadOnlyList<ComponentField> Table(ComponentClass kind) => kind switch
    {
        ComponentClass.Shaft =>
        [
            Text("maker", "Maker"), Text("name", "Family and size"), Optional("tubeCode", "Tube code"), Number("spine", "Spine", Quantity.Length, Spine), Number("grainsPerInch", "Grains per inch", Quantity.Number, PerInch),
            Number("outerDiameter", "Outer diameter", Quantity.Length, Diameter), Number("innerDiameter", "Inner diameter", Quantity.Length, Inner), Number("maxLength", "Length as sold", Quantity.Length, Sold, true),
            Number("straightness", "Straightness", Quantity.Length, Small), Number("weightTolerance", "Weight tolerance", Quantity.Weight, Light), Text("material", "Material"),
            Number("measuredDeflection", "Measured deflection", Quantity.Length, new(0.05, 4, "in", "what the middle gave")), Number("measuredSpan", "on a span of", Quantity.Length, Span),
            Number("measuredLoad", "under", Quantity.DrawWeight, Load), Number("measuredGrainsPerInch", "Measured grains per inch", Quantity.Number, PerInch),
        ],
        ComponentClass.Insert =>
        [
            Text("maker", "Maker"), Text("name", "Name"), Number("grains", "Weight", Quantity.Weight, Grains, true), Number("length", "Length", Quantity.Length, Short, true), Number("centreAhead", "Centre ahead of the shaft's end", Quantity.Length, Ahead, true),
            Number("breakOff", "Break-off step", Quantity.Weight, Light), Number("breakOffSteps", "Steps", Quantity.Number, Count), Number("measuredGrains", "Measured weight", Quantity.Weight, Grains),
        ],
        ComponentClass.Point =>
        [
            Text("maker", "Maker"), Text("name", "Name"), Choice<PointKind>("kind", "Kind"), Number("grains", "Weight", Quantity.Weight, Grains, true), Number("length", "Length ahead of the shaft", Quantity.Length, Short, true),
            Number("centreAhead", "Centre ahead of the shaft's end", Quantity.Length, Ahead, true), Number("blades", "Blades", Quantity.Number, Count), Number("breakOff", "Break-off step", Quantity.Weight, Light),
            Number("breakOffSteps", "Steps", Quantity.Number, Count), Number("measuredGrains", "Measured weight", Quantity.Weight, Grains),
        ],
        ComponentClass.Nock =>
        [
            Text("maker", "Maker"), Text("name", "Name"), Choice<NockKind>("kind", "Kind"), Number("grains", "Weight, with pin or bushing", Quantity.Weight, Light, true), Number("tubeStart", "Throat to the tube", Quantity.Length, Short, true),
            Number("centre", "Throat to its centre", Quantity.Length, Short, true), Number("measuredGrains", "Measured weight", Quantity.Weight, Light),
        ],
        ComponentClass.Vane =>
        [
            Text("maker", "Maker"), Text("name", "Name"), Number("grains", "Weight of one", Quantity.Weight, Light, true), Number("length", "Length", Quantity.Length, Short, true), Number("height", "Height", Quantity.Length, Short, true),
            Choice<VaneSetting>("setting", "Set"), Number("glue", "Glue for one", Quantity.Weight, Light), Number("measuredGrains", "Measured weight", Quantity.Weight, Light),
        ],
        _ =>
        [
            Text("maker", "Maker"), Text("name", "Name"), Number("grains", "Weight", Quantity.Weight, Light, true), Number("length", "Length", Quantity.Length, new(0.5, 14, "in", "wraps cover the vanes and a little more"), true),
            Number("measuredGrains", "Measured weight", Quantity.Weight, Light),
        ],
    };

    /// <summary>Reads a part from its typed fields.</summary>
    /// <exception cref="RefusedException">A field cannot be read, is missing or out of range; each is named.</exception>
    public static IComponent Read(ComponentClass kind, IReadOnlyDictionary<string, string?> typed)
    {
        var reader = new FieldReader();
        var known = ByName[kind];
        var maker = Words("maker");
        var name = Words("name");
        IComponent? part = kind switch
        {
            ComponentClass.Shaft => ReadShaft(maker, name),
            ComponentClass.Insert => new Insert(maker, name, Value("grains"), Value("length"), Value("centreAhead"), Value("breakOff"), Whole("breakOffSteps"), Maybe("measuredGrains")),
            ComponentClass.Point => new Point(maker, name, Pick<PointKind>("kind"), Value("grains"), Value("length"), Value("centreAhead"), Whole("blades"), Value("breakOff"), Whole("breakOffSteps"), Maybe("measuredGrains")),
            ComponentClass.Nock => new Nock(maker, name, Value("grains"), Value("tubeStart"), Value("centre"), Pick<NockKind>("kind"), Maybe("measuredGrains")),
            ComponentClass.Vane => new Vane(maker, name, Value("grains"), Value("length"), Value("height"), Pick<VaneSetting>("setting"), Value("glue"), Maybe("measuredGrains")),
            _ => new Wrap(maker, name, Value("grains"), Value("length"), Maybe("measuredGrains")),
        };
        reader.ThrowIfAny();
        return part!;

        Shaft? ReadShaft(string by, string called)
        {
            var code = typed.GetValueOrDefault("tubeCode")?.Trim();
            AluminiumTube? tube = null;
            if (!string.IsNullOrEmpty(code))
            {
                try
                {
                    tube = new AluminiumTube(code);
                }
                catch (ArgumentException problem)
                {
                    reader.Check(false, "tubeCode", "tube-code", problem.Message.Split(" (Parameter")[0]);
                }
            }

            var spine = Maybe("spine") ?? tube?.Spine;
            var perInch = Maybe("grainsPerInch") ?? tube?.GrainsPerInch;
            var outer = Maybe("outerDiameter") ?? tube?.OuterDiameter;
            reader.Check(spine is not null, "spine", "missing", "A spine, or a tube code to compute it from, is needed.");
            reader.Check(perInch is not null, "grainsPerInch", "missing", "Grains per inch, or a tube code, are needed.");
            reader.Check(outer is not null, "outerDiameter", "missing", "An outer diameter, or a tube code, is needed.");
            var inner = Maybe("innerDiameter") ?? tube?.InnerDiameter ?? 0;
            reader.Check(outer is null || inner < outer, "innerDiameter", "geometry", "The inner diameter is not smaller than the outer one.");
            var deflection = Maybe("measuredDeflection");
            double? measured = deflection is null ? null : StaticSpine.FromMeasured(deflection.Value, Maybe("measuredSpan") ?? StaticSpine.AstmSpan, Maybe("measuredLoad") ?? StaticSpine.AstmLoad);
            var length = Value("maxLength");
            var material = Words("material");
            return new Shaft(by, called, spine ?? 0, perInch ?? 0, outer ?? 0, length, material, inner, Value("straightness"), Value("weightTolerance"), string.IsNullOrEmpty(code) ? null : code, measured, Maybe("measuredGrainsPerInch"));
        }

        string Words(string field)
        {
            var text = typed.GetValueOrDefault(field)?.Trim() ?? "";
            reader.Check(text.Length is > 0 and <= LongestText, field, "text", $"1 to {LongestText} characters are needed.");
            return text;
        }

        double? Maybe(string field)
        {
            var text = typed.GetValueOrDefault(field);
            var spec = known[field];
            return spec.Required ? reader.Required(field, text, spec.Quantity, spec.Range)?.Value : reader.Optional(field, text, spec.Quantity, spec.Range)?.Value;
        }

        double Value(string field) => Maybe(field) ?? 0;

        int Whole(string field)
        {
            var value = Value(field);
            reader.Check(value == Math.Floor(value), field, "whole", "A whole number is needed.");
            return (int)value;
        }

        T Pick<T>(string field) where T : struct, Enum
        {
            var text = typed.GetValueOrDefault(field)?.Trim() ?? "";
            var found = Enum.TryParse<T>(text, true, out var value) && Enum.IsDefined(value) && !char.IsDigit(text[0]);
            reader.Check(found, field, "choice", $"Use one of: {string.Join(", ", known[field].Choices)}.");
            return value;
        }
    }

    /// <summary>The typed fields of a part: what <see cref="Read"/> reads back as the same part.</summary>
    public static IReadOnlyDictionary<string, string> Write(IComponent part) => part switch
    {
        Shaft s => Texts(("maker", s.Maker), ("name", s.Name), ("tubeCode", s.TubeCode ?? ""), ("spine", Exact(s.Spine)), ("grainsPerInch", Exact(s.GrainsPerInch)), ("outerDiameter", Exact(s.OuterDiameter)),
            ("innerDiameter", Some(s.InnerDiameter)), ("maxLength", Exact(s.MaxLength)), ("straightness", Some(s.Straightness)), ("weightTolerance", Some(s.WeightTolerance)), ("material", s.Material),
            ("measuredDeflection", Exact(s.MeasuredSpine)), ("measuredSpan", ""), ("measuredLoad", ""), ("measuredGrainsPerInch", Exact(s.MeasuredGrainsPerInch))),
        Insert i => Texts(("maker", i.Maker), ("name", i.Name), ("grains", Exact(i.Grains)), ("length", Exact(i.Length)), ("centreAhead", Exact(i.CentreAhead)), ("breakOff", Some(i.BreakOff)), ("breakOffSteps", Some(i.BreakOffSteps)), ("measuredGrains", Exact(i.MeasuredGrains))),
        Point p => Texts(("maker", p.Maker), ("name", p.Name), ("kind", Word(p.Kind)), ("grains", Exact(p.Grains)), ("length", Exact(p.Length)), ("centreAhead", Exact(p.CentreAhead)), ("blades", Some(p.Blades)), ("breakOff", Some(p.BreakOff)),
            ("breakOffSteps", Some(p.BreakOffSteps)), ("measuredGrains", Exact(p.MeasuredGrains))),
        Nock n => Texts(("maker", n.Maker), ("name", n.Name), ("kind", Word(n.Kind)), ("grains", Exact(n.Grains)), ("tubeStart", Exact(n.TubeStart)), ("centre", Exact(n.Centre)), ("measuredGrains", Exact(n.MeasuredGrains))),
        Vane v => Texts(("maker", v.Maker), ("name", v.Name), ("grains", Exact(v.Grains)), ("length", Exact(v.Length)), ("height", Exact(v.Height)), ("setting", Word(v.Setting)), ("glue", Some(v.Glue)), ("measuredGrains", Exact(v.MeasuredGrains))),
        Wrap w => Texts(("maker", w.Maker), ("name", w.Name), ("grains", Exact(w.Grains)), ("length", Exact(w.Length)), ("measuredGrains", Exact(w.MeasuredGrains))),
        _ => throw new ArgumentOutOfRangeException(nameof(part)),
    };

    /// <summary>The class of a part.</summary>
    public static ComponentClass ClassOf(IComponent part) => Enum.Parse<ComponentClass>(part.GetType().Name);

    private static Dictionary<string, string> Texts(params (string Name, string Text)[] texts) => texts.ToDictionary(t => t.Name, t => t.Text);

    /// <summary>The shortest text that reads back as the same number.</summary>
    private static string Exact(double? value) => value is { } number ? number.ToString("0.#########", System.Globalization.CultureInfo.InvariantCulture) : "";

    private static string Some(double value) => value == 0 ? "" : Exact(value);

    private static string Word<T>(T value) where T : struct, Enum => char.ToLowerInvariant(value.ToString()[0]) + value.ToString()[1..];

    private static ComponentField Text(string name, string label) => new(name, label, ComponentFieldKind.Text, Quantity.Number, None, true, []);

    private static ComponentField Optional(string name, string label) => new(name, label, ComponentFieldKind.Text, Quantity.Number, None, false, []);

    private static ComponentField Number(string name, string label, Quantity quantity, AllowedRange range, bool required = false) => new(name, label, ComponentFieldKind.Number, quantity, range, required, []);

    private static ComponentField Choice<T>(string name, string label) where T : struct, Enum =>
        new(name, label, ComponentFieldKind.Choice, Quantity.Number, None, true, [.. Enum.GetValues<T>().Select(Word)]);
}
