using System.Text.Json.Serialization;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>
/// A built arrow with its components' own values, so that a later change in the catalogue leaves it as it was.
/// </summary>
/// <param name="Shaft">Shaft.</param>
/// <param name="CutLength">Nock throat to the end of the shaft, point left out (L), inches.</param>
/// <param name="Insert">Insert, or none.</param>
/// <param name="Point">Point or head.</param>
/// <param name="Nock">Nock.</param>
/// <param name="Vane">Vane, or none for an arrow without.</param>
/// <param name="VaneCount">How many vanes.</param>
/// <param name="VaneFront">Front edge of the vanes from the throat, inches.</param>
/// <param name="Wrap">Wrap, or none.</param>
/// <param name="Glue">Glue at the vanes, grains.</param>
/// <param name="CutLengthBand">Half the band of a length that was not measured, inches; 0 for a measured one.</param>
/// <param name="EndParts">What stands at its ends besides, in the order of its list; null for nothing.</param>
public sealed record Arrow(
    Shaft Shaft,
    double CutLength,
    Insert? Insert,
    Point Point,
    Nock Nock,
    Vane? Vane,
    int VaneCount,
    double VaneFront,
    Wrap? Wrap,
    double Glue,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double CutLengthBand = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] IReadOnlyList<EndPart>? EndParts = null
)
{
    /// <summary>Most parts at its ends besides insert, point and nock.</summary>
    public const int MostEndParts = 8;

    /// <summary>What stands at its ends besides; none where there is no list.</summary>
    [JsonIgnore]
    public IReadOnlyList<EndPart> AtEnds => EndParts ?? [];

    /// <summary>The centre of a part at one of its ends, inches from the nock throat.</summary>
    public double CentreOf(EndPart part) => (part.InFront ? CutLength : Nock.TubeStart) + part.CentreAhead;

    /// <summary>The shaft tube's own length, inches.</summary>
    public double TubeLength => CutLength - Nock.TubeStart;

    /// <summary>The shaft's mass g(L − x₀), grains.</summary>
    public double ShaftGrains => Shaft.GrainsPerInchInUse * TubeLength;

    /// <summary>Everything at the front end: insert, point and what else stands there, grains.</summary>
    public double FrontGrains => (Insert?.Weight ?? 0) + Point.Weight + AtEnds.Where(p => p.InFront).Sum(p => p.Weight);

    /// <summary>Every mass with its place, by each component's own centre rule.</summary>
    public IReadOnlyList<PlacedMass> Masses()
    {
        List<PlacedMass> masses = [new("Shaft", ShaftGrains, (CutLength + Nock.TubeStart) / 2)];
        Add("Insert", Insert?.Weight ?? 0, CutLength + (Insert?.CentreAhead ?? 0));
        Add("Point", Point.Weight, CutLength + Point.CentreAhead);
        Add("Nock", Nock.Weight, Nock.Centre);
        Add("Wrap", Wrap?.Weight ?? 0, Nock.TubeStart + ((Wrap?.Length ?? 0) / 2));
        Add("Vanes", (Vane?.Weight ?? 0) * VaneCount, VaneFront - ((Vane?.Length ?? 0) / 2));
        Add("Glue", Glue, VaneFront - ((Vane?.Length ?? 0) / 2));
        foreach (var (name, part) in EndPart.NamesOf(AtEnds).Zip(AtEnds))
        {
            Add(name, part.Weight, CentreOf(part));
        }

        return masses;

        void Add(string name, double grains, double position)
        {
            if (grains > 0)
            {
                masses.Add(new PlacedMass(name, grains, position));
            }
        }
    }

    /// <summary>The arrow's mass and balance.</summary>
    public Balance Balance() => new(CutLength, Masses());
}

/// <summary>Allowed ranges of an arrow's fields. Common practice, no source.</summary>
public static class ArrowRanges
{
    /// <summary>Nock throat to the end of the shaft, inches.</summary>
    public static readonly AllowedRange CutLength = new(15, 36, Unit.Inch, Why.ShaftsAreCut);

    /// <summary>Nock throat to the front of the vanes, inches.</summary>
    public static readonly AllowedRange VaneFront = new(1, 12, Unit.Inch, Why.VaneOnTheShaft);

    /// <summary>Glue of a whole arrow, grains.</summary>
    public static readonly AllowedRange Glue = new(0, 60, Unit.Grain, Why.GlueOfAnArrow);

    /// <summary>Vanes on an arrow.</summary>
    public static readonly AllowedRange VaneCount = new(0, 6, Unit.None, Why.FewOrManyVanes);
}

/// <summary>An arrow as typed, with its components already looked up.</summary>
public sealed record ArrowEntry(
    Shaft? Shaft,
    string? CutLength,
    Insert? Insert,
    Point? Point,
    Nock? Nock,
    Vane? Vane,
    int VaneCount,
    string? VaneFront,
    Wrap? Wrap,
    string? Glue,
    int InsertBroken = 0,
    int PointBroken = 0,
    IReadOnlyList<EndPart?>? EndParts = null
)
{
    private const double UsualVaneGap = 1.0;
    private const string About = "about ";

    /// <summary>A length that was not measured is this far off at the most, inches (a guess, no source).</summary>
    public const double UnmeasuredBand = 1;

    /// <summary>"about 28" is a length that nobody measured, as "28 to 29 1/2" is.</summary>
    private static (string? Text, double Band) Length(string? typed) =>
        typed?.TrimStart() is { } text && text.StartsWith(About, StringComparison.OrdinalIgnoreCase)
            ? (text[About.Length..], UnmeasuredBand)
            : (typed, 0);

    /// <summary>Reads and checks the build.</summary>
    /// <exception cref="RefusedException">A part is missing, a text cannot be read, or the geometry is
    /// impossible.</exception>
    public Arrow Read()
    {
        var fields = new FieldReader();
        fields.Check(Shaft is not null, "shaft", "missing", ArrowSays.PickShaft);
        fields.Check(Point is not null, "point", "missing", ArrowSays.PickPoint);
        fields.Check(Nock is not null, "nock", "missing", ArrowSays.PickNock);
        var ends = EndParts ?? [];
        fields.Check(ends.Count <= Arrow.MostEndParts, "endParts", "range", new EndPartsAtMost(Arrow.MostEndParts));
        fields.Check(ends.All(p => p is not null), "endParts", "missing", ArrowSays.EndPartIsGone);
        fields.Inside("vaneCount", VaneCount, ArrowRanges.VaneCount);
        fields.Check(Vane is null || VaneCount > 0, "vaneCount", "range", ArrowSays.NoVaneCount);
        var (measured, band) = Length(CutLength);
        var length = fields.RequiredSpan("cutLength", measured, Quantity.Length, ArrowRanges.CutLength);
        var front = fields.Optional("vaneFront", VaneFront, Quantity.Length, ArrowRanges.VaneFront);
        var glue = fields.Optional("glue", Glue, Quantity.Weight, ArrowRanges.Glue);
        var insert = Insert is null
            ? null
            : Insert with
            {
                Grains = Broken("insertBroken", Insert.Weight, Insert.BreakOff, Insert.BreakOffSteps, InsertBroken),
                MeasuredGrains = null,
            };
        var point = Point is null
            ? null
            : Point with
            {
                Grains = Broken("pointBroken", Point.Weight, Point.BreakOff, Point.BreakOffSteps, PointBroken),
                MeasuredGrains = null,
            };
        var start = Nock?.TubeStart ?? 0;
        var vaneFront = front?.Value ?? start + UsualVaneGap + (Vane?.Length ?? 0);
        if (length is not null && Shaft is not null)
        {
            fields.Check(
                length.Middle - start <= Shaft.MaxLength,
                "cutLength",
                "too-long",
                new ShaftSoldAt(Measure.Inches(Shaft.MaxLength), Measure.Inches(Shaft.MaxLength + start))
            );
            fields.Check((Insert?.Length ?? 0) < length.Low - start, "insert", "geometry", ArrowSays.InsertTooLong);
            fields.Check(vaneFront < length.Low, "vaneFront", "geometry", ArrowSays.VanesAheadOfEnd);
        }

        fields.Check(
            vaneFront - (Vane?.Length ?? 0) >= start,
            "vaneFront",
            "geometry",
            new VanesBehindShaft(Measure.Inches(start + (Vane?.Length ?? 0)))
        );
        fields.ThrowIfAny();
        return new Arrow(
            Shaft!,
            length!.Middle,
            InsertBroken > 0 ? insert : Insert,
            PointBroken > 0 ? point! : Point!,
            Nock!,
            Vane,
            Vane is null ? 0 : VaneCount,
            vaneFront,
            Wrap,
            glue?.Value ?? (Vane?.Glue ?? 0) * VaneCount,
            band + length.Band,
            ends.Count == 0 ? null : [.. ends.OfType<EndPart>()]
        );

        double Broken(string field, double whole, double step, int steps, int broken)
        {
            fields.Check(broken >= 0 && broken <= steps, field, "range", new BreaksOff(steps, Measure.Grains(step, 0)));
            return whole - (Math.Clamp(broken, 0, steps) * step);
        }
    }
}
