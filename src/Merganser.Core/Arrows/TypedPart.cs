using System.Globalization;
using Merganser.Core.Figures;
using Merganser.Core.Spine;

namespace Merganser.Core.Arrows;

/// <summary>
/// The fields of a part as they were typed, read by its table first and made into the part only when all of them can be
/// read.
/// </summary>
internal sealed class TypedPart
{
    private const int LongestText = 60;
    private const string SpineField = "spine";

    private static readonly Dictionary<ComponentClass, Func<TypedPart, IComponent>> Makers = new()
    {
        [ComponentClass.Shaft] = p => p.Shaft(),
        [ComponentClass.Insert] = p => new Insert(
            p.Text("maker"),
            p.Text("name"),
            p.Or0("grains"),
            p.Or0("length"),
            p.Or0("centreAhead"),
            p.Or0("breakOff"),
            (int)p.Or0("breakOffSteps"),
            p.Number("measuredGrains"),
            p.Or0("diameter"),
            GrainsBand: p.Or0("grainsBand")
        ),
        [ComponentClass.Point] = p => new Point(
            p.Text("maker"),
            p.Text("name"),
            p.Pick<PointKind>("kind"),
            p.Or0("grains"),
            p.Or0("length"),
            p.Or0("centreAhead"),
            (int)p.Or0("blades"),
            p.Or0("breakOff"),
            (int)p.Or0("breakOffSteps"),
            p.Number("measuredGrains"),
            p.Or0("diameter"),
            GrainsBand: p.Or0("grainsBand")
        ),
        [ComponentClass.Nock] = p => new Nock(
            p.Text("maker"),
            p.Text("name"),
            p.Or0("grains"),
            p.Or0("tubeStart"),
            p.Or0("centre"),
            p.Pick<NockKind>("kind"),
            p.Number("measuredGrains"),
            p.Or0("diameter"),
            GrainsBand: p.Or0("grainsBand")
        ),
        [ComponentClass.Vane] = p => new Vane(
            p.Text("maker"),
            p.Text("name"),
            p.Or0("grains"),
            p.Or0("length"),
            p.Or0("height"),
            p.Pick<VaneSetting>("setting"),
            p.Or0("glue"),
            p.Number("measuredGrains"),
            GrainsBand: p.Or0("grainsBand")
        ),
        [ComponentClass.EndPart] = p => new EndPart(
            p.Text("maker"),
            p.Text("name"),
            p.Pick<EndPartKind>("kind"),
            p.Or0("grains"),
            p.Or0("length"),
            p.Or0("centreAhead"),
            p.Number("measuredGrains"),
            p.Or0("diameter")
        ),
        [ComponentClass.Wrap] = p => new Wrap(
            p.Text("maker"),
            p.Text("name"),
            p.Or0("grains"),
            p.Or0("length"),
            p.Number("measuredGrains")
        ),
    };

    private readonly FieldReader reader = new();
    private readonly Dictionary<string, string> texts = [];
    private readonly Dictionary<string, double> numbers = [];

    private TypedPart(IReadOnlyList<ComponentField> fields, IReadOnlyDictionary<string, string?> typed)
    {
        foreach (var field in fields)
        {
            Read(field, AsSpine(field.Name, typed.GetValueOrDefault(field.Name)?.Trim() ?? ""));
        }
    }

    /// <summary>Makes the part.</summary>
    /// <exception cref="RefusedException">A field cannot be read, is missing or out of range.</exception>
    public static IComponent Make(
        ComponentClass kind,
        IReadOnlyList<ComponentField> fields,
        IReadOnlyDictionary<string, string?> typed
    )
    {
        var read = new TypedPart(fields, typed);
        if (kind == ComponentClass.Shaft)
        {
            read.CheckShaft();
        }

        read.reader.ThrowIfAny();
        return Makers[kind](read);
    }

    /// <summary>The trade writes a spine of .400 as 400 too (common practice, no source).</summary>
    private static string AsSpine(string field, string text) =>
        field == SpineField && text.Length is 3 or 4 && text.All(char.IsAsciiDigit)
            ? (int.Parse(text, CultureInfo.InvariantCulture) / 1000.0).ToString(CultureInfo.InvariantCulture)
            : text;

    private AluminiumTube? Tube { get; set; }

    private double? Spine => Number("spine") ?? Tube?.Spine;

    private double? GrainsPerInch => Number("grainsPerInch") ?? Tube?.GrainsPerInch;

    private double? OuterDiameter => Number("outerDiameter") ?? Tube?.OuterDiameter;

    private double InnerDiameter => Number("innerDiameter") ?? Tube?.InnerDiameter ?? 0;

    private void Read(ComponentField field, string text)
    {
        texts[field.Name] = text;
        switch (field.Kind)
        {
            case ComponentFieldKind.Number:
                ReadNumber(field, text);
                break;
            case ComponentFieldKind.Choice:
                var known = field.Choices.Contains(text, StringComparer.OrdinalIgnoreCase);
                reader.Check(known, field.Name, "choice", new UseOneOf(field.Choices));
                break;
            default:
                var fits = text.Length <= LongestText && (text.Length > 0 || !field.Required);
                reader.Check(fits, field.Name, "text", new NameWanted(LongestText));
                break;
        }
    }

    private void ReadNumber(ComponentField field, string text)
    {
        var entry = field.Required
            ? reader.Required(field.Name, text, field.Quantity, field.Range)
            : reader.Optional(field.Name, text, field.Quantity, field.Range);
        if (entry is null)
        {
            return;
        }

        numbers[field.Name] = entry.Value;
        var fits = field.Range.Why != Why.PartsCount || entry.Value == Math.Floor(entry.Value);
        reader.Check(fits, field.Name, "whole", ArrowSays.WholeNumber);
    }

    /// <summary>What a shaft leaves out, its tube code must say.</summary>
    private void CheckShaft()
    {
        ReadTube();
        reader.Check(Spine is not null, "spine", "missing", ArrowSays.SpineOrTubeCode);
        reader.Check(GrainsPerInch is not null, "grainsPerInch", "missing", ArrowSays.MassOrTubeCode);
        reader.Check(OuterDiameter is not null, "outerDiameter", "missing", ArrowSays.DiameterOrTubeCode);
        var narrower = OuterDiameter is not { } outer || InnerDiameter < outer;
        reader.Check(narrower, "innerDiameter", "geometry", ArrowSays.InnerNotSmaller);
    }

    private void ReadTube()
    {
        if (Text("tubeCode") is not { Length: > 0 } code)
        {
            return;
        }

        try
        {
            Tube = new AluminiumTube(code);
        }
        catch (ArgumentException)
        {
            reader.Check(false, "tubeCode", "tube-code", ArrowSays.NoSuchTube);
        }
    }

    private Shaft Shaft()
    {
        var code = Text("tubeCode");
        return new Shaft(
            Text("maker"),
            Text("name"),
            Spine!.Value,
            GrainsPerInch!.Value,
            OuterDiameter!.Value,
            Or0("maxLength"),
            Text("material"),
            InnerDiameter,
            Or0("straightness"),
            Or0("weightTolerance"),
            code.Length == 0 ? null : code,
            MeasuredSpine(),
            Number("measuredGrainsPerInch"),
            Or0("grainsPerInchBand"),
            Or0("spineBand")
        );
    }

    private double? MeasuredSpine() =>
        Number("measuredDeflection") is { } deflection
            ? StaticSpine.FromMeasured(
                deflection,
                Number("measuredSpan") ?? StaticSpine.AstmSpan,
                Number("measuredLoad") ?? StaticSpine.AstmLoad
            )
            : null;

    private string Text(string field) => texts[field];

    private double? Number(string field) => numbers.TryGetValue(field, out var value) ? value : null;

    private double Or0(string field) => Number(field) ?? 0;

    private T Pick<T>(string field)
        where T : struct, Enum => Enum.Parse<T>(Text(field), true);
}
