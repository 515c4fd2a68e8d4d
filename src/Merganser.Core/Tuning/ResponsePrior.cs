using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>
/// What is believed of one adjuster before a shot: its gain is m·eˣ inches of tear a step on its own axis, x ~
/// N(LogMean, LogSd²), and a little, N(0, (cross·m)²), on the other. Positive moves the tail right, or up.
/// </summary>
/// <param name="Kind">The adjuster.</param>
/// <param name="Axis">What it steers.</param>
/// <param name="Nominal">m, inches a step.</param>
/// <param name="LogSd">Sd of x: .55 as a rule (measured, docs/decisions/0009), .65 where the size of a step is
/// unsure.</param>
/// <param name="SharedSd">The part of x that the adjusters of one bow share: .30, or .45 where unsure.</param>
/// <param name="LogMean">Mean of x: 0, until this bow's history has spoken.</param>
/// <param name="PlusChance">Chance that + steps drive the tail right: 1 where agreed, .5 where disputed.</param>
public sealed record GainPrior(
    AdjusterKind Kind,
    TearAxis Axis,
    double Nominal,
    double LogSd = GainPrior.UsualSd,
    double SharedSd = GainPrior.UsualShared,
    double LogMean = 0,
    double PlusChance = 1
)
{
    /// <summary>Sd of the log gain as a rule (measured, docs/decisions/0009).</summary>
    public const double UsualSd = 0.55;

    /// <summary>The part that the adjusters of one bow share (trade-like guess, no source).</summary>
    public const double UsualShared = 0.30;

    /// <summary>Sd where the size of a step is unsure (trade-like guess, no source).</summary>
    public const double WideSd = 0.65;

    /// <summary>The shared part there.</summary>
    public const double WideShared = 0.45;

    /// <summary>Inches of tear a step, as expected.</summary>
    public double Expected => Nominal * Math.Exp(LogMean);

    /// <summary>True where the sign is a property of the bow and not agreed.</summary>
    public bool Disputed => PlusChance is > 0 and < 1;

    /// <summary>The prior of an adjuster as it stands on a bow; trade-like guesses, no source.</summary>
    /// <exception cref="ArgumentException">An adjuster that no tear is answered with.</exception>
    public static GainPrior Of(Adjuster adjuster)
    {
        var fact = AdjusterTable.Of(adjuster.Kind);
        if (fact.NominalGain <= 0)
        {
            throw new ArgumentException($"{adjuster.Kind} has no gain: no tear is answered with it.", nameof(adjuster));
        }

        var rest = adjuster.Kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight;
        var measured = rest && adjuster.InchesPerStep is > 0;
        var nominal = measured
            ? fact.NominalGain * adjuster.InchesPerStep!.Value / AdjusterTable.RestClickInches
            : fact.NominalGain;
        var unsure =
            adjuster.Kind
            is AdjusterKind.PlungerTension
                or AdjusterKind.PlungerPosition
                or AdjusterKind.BraceHeight
                or AdjusterKind.DrawWeight
                or AdjusterKind.PointWeight;
        return new GainPrior(
            adjuster.Kind,
            fact.Axis,
            nominal,
            unsure ? WideSd : UsualSd,
            unsure ? WideShared : UsualShared,
            PlusChance: adjuster.Kind == AdjusterKind.RestSideways ? 0.5 : 1
        );
    }
}

/// <summary>
/// All that is believed before the first shot: the tear as it stands, a gain for each adjuster, and how widely this
/// archer's shots stray. At most one adjuster may have a disputed sign.
/// </summary>
/// <param name="Gains">One for each adjuster of the bow.</param>
/// <param name="TearSd">Sd of the tear before anything is moved, inches per axis.</param>
/// <param name="CrossShare">Sd of the gain on the other axis, as a share of m.</param>
/// <param name="SpreadCentre">Shot spread about which the hypotheses stand, inches: this archer's own once it is
/// known.</param>
/// <param name="SpreadLogSd">How sure that is, in logs.</param>
/// <param name="FlyerShare">Share of flyers that is expected, 0 to 1.</param>
public sealed record ResponsePrior(
    IReadOnlyList<GainPrior> Gains,
    double TearSd = 0.9,
    double CrossShare = 0.08,
    double SpreadCentre = 0.18,
    double SpreadLogSd = 0.40,
    double FlyerShare = 0.1
)
{
    /// <summary>The shot spreads that are weighed against each other, inches.</summary>
    public static IReadOnlyList<double> Spreads { get; } = [0.09, 0.12, 0.155, 0.20, 0.26, 0.34, 0.45];

    /// <summary>The prior of a bow's adjusters, leaving out those that no tear is answered with.</summary>
    public static ResponsePrior Of(IEnumerable<Adjuster> adjusters) =>
        new([
            .. adjusters
                .Where(a => AdjusterTable.Of(a.Kind).NominalGain > 0 && a.Kind != AdjusterKind.Tiller)
                .Select(GainPrior.Of),
        ]);

    /// <summary>Index of the adjuster whose sign is disputed, or −1.</summary>
    public int DisputedIndex => Gains.ToList().FindIndex(g => g.Disputed);

    /// <summary>Index of an adjuster, or −1.</summary>
    public int IndexOf(AdjusterKind kind) => Gains.ToList().FindIndex(g => g.Kind == kind);
}

/// <summary>One shot as the engine sees it.</summary>
/// <param name="Setting">Steps of every adjuster from where the session began, in the order of the prior.</param>
/// <param name="X">Tear to the right, inches.</param>
/// <param name="Y">Tear upward, inches.</param>
/// <param name="Doubtful">True for a shot the shooter doubts: it starts as likely a flyer as not.</param>
public sealed record Observation(int[] Setting, double X, double Y, bool Doubtful = false);
