using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>
/// A bow as typed: every measured field is text until it has been read. What is not known may be a range, "60 to 70".
/// The make is the archer's own word for maker and model: bows of one make share what their adjusters were seen to do.
/// The axle bolts' figure is the maker's, in the maker's own words.
/// </summary>
public sealed record BowEntry(
    string? Name,
    BowKind Kind,
    Hand Hand,
    Release Release,
    string? NominalWeight,
    string? MeasuredWeight,
    string? DrawLength,
    string? AxleToAxle,
    string? BraceHeight,
    string? RatedSpeed,
    RestType RestType,
    CamSystem CamSystem,
    CamDraw CamDraw,
    string? RestAhead,
    string? FactorSet,
    string? StringWeight,
    string? StringWeightFromTip,
    string? MaximumWeight = null,
    string? MakerAxleToAxle = null,
    string? MakerBraceHeight = null,
    string? MakerCentreShot = null,
    string? Make = null,
    string? AxleBolts = null
)
{
    private const int LongestWord = 60;

    /// <summary>The make in the form in which makes are compared; empty where none was typed.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string MakeWord =>
        string.Join(' ', (Make ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries)).ToUpperInvariant();

    /// <summary>Reads and checks every field.</summary>
    /// <exception cref="RefusedException">Some field cannot be read or is outside its range; each is named.</exception>
    public Bow Read()
    {
        var fields = new FieldReader();
        var name = fields.Name("name", Name);
        var nominal = fields.OptionalSpan("nominalWeight", NominalWeight, Quantity.DrawWeight, BowRanges.DrawWeight);
        var measured = fields.Optional("measuredWeight", MeasuredWeight, Quantity.DrawWeight, BowRanges.DrawWeight);
        var draw = fields.RequiredSpan("drawLength", DrawLength, Quantity.Length, BowRanges.DrawLength);
        var axle = fields.Optional(
            "axleToAxle",
            AxleToAxle,
            Quantity.Length,
            Kind == BowKind.Compound ? BowRanges.AxleToAxle : BowRanges.BowLength
        );
        var brace = fields.RequiredSpan("braceHeight", BraceHeight, Quantity.Length, BowRanges.BraceHeight);
        var rated = fields.Optional("ratedSpeed", RatedSpeed, Quantity.Speed, BowRanges.RatedSpeed);
        var ahead = fields.Optional("restAhead", RestAhead, Quantity.Length, BowRanges.RestAhead);
        var factor = fields.Optional("factorSet", FactorSet, Quantity.Number, BowRanges.Factor);
        var stringWeight = fields.Optional("stringWeight", StringWeight, Quantity.Weight, BowRanges.StringWeight);
        var place = fields.Optional("stringWeightFromTip", StringWeightFromTip, Quantity.Number, BowRanges.StringPlace);
        var maximum = fields.Optional("maximumWeight", MaximumWeight, Quantity.DrawWeight, BowRanges.DrawWeight);
        var makerAxle = fields.Optional(
            "makerAxleToAxle",
            MakerAxleToAxle,
            Quantity.Length,
            Kind == BowKind.Compound ? BowRanges.AxleToAxle : BowRanges.BowLength
        );
        var makerBrace = fields.Optional("makerBraceHeight", MakerBraceHeight, Quantity.Length, BowRanges.BraceHeight);
        var makerCentre = fields.Optional("makerCentreShot", MakerCentreShot, Quantity.Length, BowRanges.CentreShot);
        fields.Check(
            !string.IsNullOrWhiteSpace(NominalWeight) || !string.IsNullOrWhiteSpace(MeasuredWeight),
            "measuredWeight",
            "missing",
            BowSays.DrawWeightNeeded
        );
        if (draw is not null && brace is not null)
        {
            fields.Check(
                draw.Low - Bow.AmoAllowance - brace.High >= Bow.LeastStroke,
                "braceHeight",
                "stroke",
                new StrokeTooShort(Measure.Ruled(Bow.AmoAllowance), Measure.Ruled(Bow.LeastStroke))
            );
        }

        fields.Check((Make?.Length ?? 0) <= LongestWord, "make", "too-long", new TooLong(LongestWord));
        fields.Check((AxleBolts?.Length ?? 0) <= LongestWord, "axleBolts", "too-long", new TooLong(LongestWord));
        fields.ThrowIfAny();
        return new Bow(
            name,
            Kind,
            Hand,
            Release,
            nominal?.Middle,
            measured?.Value,
            draw!.Middle,
            axle?.Value,
            brace!.Middle,
            rated?.Value,
            RestType,
            Kind == BowKind.Compound ? CamSystem : CamSystem.None,
            CamDraw,
            ahead?.Value ?? 0,
            factor?.Value,
            stringWeight?.Value ?? 0,
            place?.Value ?? 0,
            maximum?.Value,
            makerAxle?.Value,
            makerBrace?.Value,
            makerCentre?.Value,
            NominalWeightBand: nominal?.Band ?? 0,
            DrawLengthBand: draw.Band,
            BraceHeightBand: brace.Band
        );
    }
}

/// <summary>
/// Allowed ranges of a bow's fields. Common practice, no source: wide enough for every bow in use, narrow enough to
/// catch a slip.
/// </summary>
public static class BowRanges
{
    /// <summary>Draw weight, lb.</summary>
    public static readonly AllowedRange DrawWeight = new(5, 120, Unit.Pound, Why.DrawWeightOfBows);

    /// <summary>AMO draw length, inches.</summary>
    public static readonly AllowedRange DrawLength = new(15, 36, Unit.Inch, Why.DrawLengthOfArchers);

    /// <summary>Between the axles of a compound, inches.</summary>
    public static readonly AllowedRange AxleToAxle = new(20, 50, Unit.Inch, Why.AxlesOfCompounds);

    /// <summary>Length of a bow without cams, inches.</summary>
    public static readonly AllowedRange BowLength = new(44, 84, Unit.Inch, Why.LengthOfBows);

    /// <summary>Brace height, inches.</summary>
    public static readonly AllowedRange BraceHeight = new(3, 12, Unit.Inch, Why.BraceOfBows);

    /// <summary>The maker's centre shot, riser to arrow, inches.</summary>
    public static readonly AllowedRange CentreShot = new(0.3, 1.5, Unit.Inch, Why.CentreOfBows);

    /// <summary>The maker's rating, ft/s.</summary>
    public static readonly AllowedRange RatedSpeed = new(120, 400, Unit.FootPerSecond, Why.MakersRating);

    /// <summary>Rest ahead of the pivot, inches.</summary>
    public static readonly AllowedRange RestAhead = new(-3, 4, Unit.Inch, Why.RestsOfBows);

    /// <summary>Bow factor.</summary>
    public static readonly AllowedRange Factor = new(0.6, 1.4, Unit.None, Why.AverageBow);

    /// <summary>Weight on the string, grains.</summary>
    public static readonly AllowedRange StringWeight = new(0, 200, Unit.Grain, Why.WeightOnTheString);

    /// <summary>Its place: 0 at the tip, 1 at the nocking point.</summary>
    public static readonly AllowedRange StringPlace = new(0, 1, Unit.None, Why.TipToNockingPoint);
}
