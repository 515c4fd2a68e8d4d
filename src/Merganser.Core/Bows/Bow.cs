using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>Kinds of bow.</summary>
public enum BowKind
{
    Compound,
    Recurve,
    Barebow,
    Longbow,
}

/// <summary>How the string is let go.</summary>
public enum Release
{
    ReleaseAid,
    Fingers,
}

/// <summary>
/// How the rest lets the arrow go; it bears on which way a sideways move of the rest drives the tail.
/// </summary>
public enum RestType
{
    DropAwayEarly,
    DropAwayLate,
    Containment,
    Launcher,
    Plunger,
    Shelf,
}

/// <summary>How the cams of a compound are tied to each other.</summary>
public enum CamSystem
{
    None,
    Single,
    Hybrid,
    Binary,
    TwinYoke,
}

/// <summary>How hard the cams store energy: a stated correction to the draw weight in the spine rule.</summary>
public enum CamDraw
{
    Soft,
    Medium,
    Hard,
}

/// <summary>A bow as measured on the bench. Weights in lb, lengths in inches, speeds in ft/s.</summary>
/// <param name="Name">As the bench calls it.</param>
/// <param name="Kind">Compound, recurve, barebow or longbow.</param>
/// <param name="Hand">The hand that draws it.</param>
/// <param name="Release">Release aid or fingers.</param>
/// <param name="NominalWeight">Marked draw weight, or null where only a measured one is known.</param>
/// <param name="MeasuredWeight">Draw weight on a scale at the archer's draw, or null.</param>
/// <param name="DrawLength">AMO draw length: pivot point plus 1.75 in.</param>
/// <param name="AxleToAxle">Axle to axle, or bow length without cams; null until it is measured.</param>
/// <param name="BraceHeight">Brace height.</param>
/// <param name="RatedSpeed">The maker's speed at 350 gr, 70 lb, 30 in, or null.</param>
/// <param name="RestType">How the rest lets go.</param>
/// <param name="CamSystem">Cams, or none.</param>
/// <param name="CamDraw">Soft, medium or hard cams.</param>
/// <param name="RestAhead">Rest ahead of the pivot point; negative behind it.</param>
/// <param name="FactorSet">A bow factor set by the user or learned, or null for the stated default.</param>
/// <param name="StringWeight">Weight fixed on the string (peep, loop, silencers), grains.</param>
/// <param name="StringWeightFromTip">Its distance from the string's nearer tip, as a share of half the string, 0 to
/// 1.</param>
/// <param name="MaximumWeight">The maker's rated maximum weight, or null.</param>
/// <param name="MakerAxleToAxle">The maker's axle to axle, or null.</param>
/// <param name="MakerBraceHeight">The maker's brace height, or null.</param>
/// <param name="MakerCentreShot">The maker's centre shot, or null.</param>
/// <param name="Chronograph">What a chronograph taught of this bow's speed, or null; it wins over rating and
/// estimate.</param>
/// <param name="Force">What its draw-force curve taught, or null; it stands in place of the estimate.</param>
/// <param name="NominalWeightBand">Half the range of a marked weight that is a range, lb; 0 for one weight.</param>
/// <param name="DrawLengthBand">Half the range of a draw length nobody measured, inches; 0 for a known one.</param>
/// <param name="BraceHeightBand">Half the range of a brace height that nobody measured, inches; 0 for a known
/// one.</param>
public sealed record Bow(
    string Name,
    BowKind Kind,
    Hand Hand,
    Release Release,
    double? NominalWeight,
    double? MeasuredWeight,
    double DrawLength,
    double? AxleToAxle,
    double BraceHeight,
    double? RatedSpeed,
    RestType RestType,
    CamSystem CamSystem,
    CamDraw CamDraw,
    double RestAhead,
    double? FactorSet = null,
    double StringWeight = 0,
    double StringWeightFromTip = 0,
    double? MaximumWeight = null,
    double? MakerAxleToAxle = null,
    double? MakerBraceHeight = null,
    double? MakerCentreShot = null,
    SpeedFit? Chronograph = null,
    [property: System.Text.Json.Serialization.JsonIgnore(
        Condition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingNull
    )]
        Speed.ForceFit? Force = null,
    [property: System.Text.Json.Serialization.JsonIgnore(
        Condition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingDefault
    )]
        double NominalWeightBand = 0,
    [property: System.Text.Json.Serialization.JsonIgnore(
        Condition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingDefault
    )]
        double DrawLengthBand = 0,
    [property: System.Text.Json.Serialization.JsonIgnore(
        Condition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingDefault
    )]
        double BraceHeightBand = 0
)
{
    /// <summary>Half the range of the draw weight, lb: a measured one has none.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double DrawWeightBand => MeasuredWeight is null ? NominalWeightBand : 0;

    /// <summary>True for a kind that is shot with a sight.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool HasSight => Kind is BowKind.Compound or BowKind.Recurve;

    /// <summary>The maker's centre shot, riser to arrow, or null.</summary>
    public double? MakerCentreShot
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MakerCentreShot);

    /// <summary>Marked draw weight, or null where only a measured one is known.</summary>
    public double? NominalWeight
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(NominalWeight);

    /// <summary>Draw weight on a scale at the archer's draw, or null.</summary>
    public double? MeasuredWeight
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MeasuredWeight);

    /// <summary>AMO draw length: pivot point plus 1.75 in.</summary>
    public double DrawLength
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(DrawLength);

    /// <summary>Axle to axle, or bow length without cams; null until it is measured.</summary>
    public double? AxleToAxle
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(AxleToAxle);

    /// <summary>Brace height.</summary>
    public double BraceHeight
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(BraceHeight);

    /// <summary>The maker's speed at 350 gr, 70 lb, 30 in, or null.</summary>
    public double? RatedSpeed
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(RatedSpeed);

    /// <summary>Rest ahead of the pivot point; negative behind it.</summary>
    public double RestAhead
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(RestAhead);

    /// <summary>A bow factor set by the user or learned, or null for the stated default.</summary>
    public double? FactorSet
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(FactorSet);

    /// <summary>Weight fixed on the string (peep, loop, silencers), grains.</summary>
    public double StringWeight
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(StringWeight);

    /// <summary>Its distance from the string's nearer tip, as a share of half the string, 0 to 1.</summary>
    public double StringWeightFromTip
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(StringWeightFromTip);

    /// <summary>The maker's rated maximum weight, or null.</summary>
    public double? MaximumWeight
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MaximumWeight);

    /// <summary>The maker's axle to axle, or null.</summary>
    public double? MakerAxleToAxle
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MakerAxleToAxle);

    /// <summary>The maker's brace height, or null.</summary>
    public double? MakerBraceHeight
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MakerBraceHeight);

    /// <summary>AMO draw length less the draw to the pivot point, inches (AMO standard).</summary>
    public const double AmoAllowance = 1.75;

    /// <summary>How far ahead of the pivot point a first arrow ends, inches (common practice, no source).</summary>
    private const double BeyondTheRest = 1.25;

    /// <summary>Least power stroke of a bow that is drawn, inches (common practice, no source).</summary>
    public const double LeastStroke = 6;

    /// <summary>The measured weight where there is one, else the nominal.</summary>
    public double DrawWeight =>
        MeasuredWeight
        ?? NominalWeight
        ?? throw new InvalidOperationException("A bow has a marked or a measured weight.");

    /// <summary>Where the rest stands at full draw, inches from the nock throat.</summary>
    public double RestAtFullDraw => DrawLength - AmoAllowance + RestAhead;

    /// <summary>The same bow turned up or down by so many pounds.</summary>
    public Bow By(double pounds) =>
        this with
        {
            NominalWeight = NominalWeight + pounds,
            MeasuredWeight = MeasuredWeight + pounds,
        };

    /// <summary>
    /// A safe length to begin an arrow with: well ahead of the rest at full draw, to the half inch above.
    /// </summary>
    public double FirstCut => Math.Ceiling((DrawLength - AmoAllowance + BeyondTheRest) * 2) / 2;

    /// <summary>Power stroke S = draw − 1.75 − brace, inches.</summary>
    public double PowerStroke => DrawLength - AmoAllowance - BraceHeight;
}

/// <summary>
/// This bow's own line 1/v² = a + b·m from chronograph readings, with the variances that its ± comes from.
/// </summary>
/// <param name="A">a, (s/ft)².</param>
/// <param name="B">b, (s/ft)² per grain.</param>
/// <param name="VarianceA">Variance of a.</param>
/// <param name="VarianceB">Variance of b.</param>
/// <param name="Covariance">Their covariance.</param>
/// <param name="Shots">Shots it rests on.</param>
/// <param name="Masses">Different arrow masses among them.</param>
public sealed record SpeedFit(
    double A,
    double B,
    double VarianceA,
    double VarianceB,
    double Covariance,
    int Shots,
    int Masses
);
