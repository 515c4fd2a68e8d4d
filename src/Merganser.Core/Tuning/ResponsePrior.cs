using Merganser.Core.Bows;

namespace Merganser.Core.Tuning;

/// <summary>Where what is believed of a gain comes from.</summary>
public enum GainSource
{
    /// <summary>The trade's guess.</summary>
    Trade,

    /// <summary>Other bows of the same make.</summary>
    Make,

    /// <summary>Other stages and papers of this bow, others perhaps beside them.</summary>
    ThisBow,
}

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
/// <param name="LogMean">Mean of x: ln ½ until this bow's history has spoken. With a wide x the first step would be
/// too small to learn from; from half the gain it comes out near the nominal step and brackets the answer (measured,
/// docs/decisions/0013).</param>
/// <param name="PlusChance">Chance that + steps drive the tail right, or up: .97 where the trade agrees, .5 where it is
/// not known, 1 where it is closed.</param>
/// <param name="Free">True where the way is a property of the bow and not known: both are weighed from the first shot
/// on. Another way than the agreed one is weighed once the adjuster was moved.</param>
public sealed record GainPrior(
    AdjusterKind Kind,
    TearAxis Axis,
    double Nominal,
    double LogSd = GainPrior.UsualSd,
    double SharedSd = GainPrior.UsualShared,
    double LogMean = 0,
    double PlusChance = 1,
    bool Free = false
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

    /// <summary>
    /// A way that is agreed is firm, but not closed: entries are logged the other way, pockets built the other way
    /// (trade-like guess, no source).
    /// </summary>
    public const double Firm = 0.97;

    /// <summary>Share of the nominal gain that is believed at first.</summary>
    private const double BelievedShare = 0.5;

    /// <summary>Who says it.</summary>
    public GainSource From { get; init; }

    /// <summary>The likelier way: 1 where + drives the tail right, or up, else −1.</summary>
    public int AgreedWay => PlusChance >= 0.5 ? 1 : -1;

    /// <summary>Chance of the likelier way.</summary>
    public double AgreedChance => Math.Max(PlusChance, 1 - PlusChance);

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
                or AdjusterKind.PointWeight
                or AdjusterKind.StrikePlate;
        return new GainPrior(
            adjuster.Kind,
            fact.Axis,
            nominal,
            unsure ? WideSd : UsualSd,
            unsure ? WideShared : UsualShared,
            Math.Log(BelievedShare),
            PlusChanceOf(adjuster),
            Free: IsFree(adjuster)
        );
    }

    private static bool IsFree(Adjuster adjuster) =>
        adjuster.Kind == AdjusterKind.RestSideways || adjuster.Way == AdjusterWay.NotKnown;

    private static double PlusChanceOf(Adjuster adjuster) =>
        IsFree(adjuster) ? 0.5
        : adjuster.Way == AdjusterWay.Reversed ? 1 - Firm
        : Firm;
}

/// <summary>
/// All that is believed before the first shot: the tear as it stands, a gain for each adjuster, and how widely this
/// archer's shots stray.
/// </summary>
/// <param name="Gains">One for each adjuster of the bow.</param>
/// <param name="TearSd">Sd of the tear before anything is moved, inches per axis.</param>
/// <param name="CrossShare">Sd of the gain on the other axis, as a share of m.</param>
/// <param name="SpreadCentre">Shot spread about which the hypotheses stand, inches: this archer's own once it is
/// known.</param>
/// <param name="SpreadLogSd">How sure that is, in logs.</param>
/// <param name="FlyerShare">Share of flyers that is expected, 0 to 1.</param>
/// <param name="DeafChance">Chance that the tear answers no adjuster, with a tenth of every gain: an arrow, a grip or a
/// clearance that moves do not help. High, so that it is told soon (measured, docs/decisions/0013); 0 leaves it out.
/// </param>
/// <param name="DaySd">Sd of what one day's shooting adds to every tear of it, inches per axis (trade-like guess, no
/// source; measured in docs/benchmarks.md).</param>
public sealed record ResponsePrior(
    IReadOnlyList<GainPrior> Gains,
    double TearSd = 0.9,
    double CrossShare = 0.08,
    double SpreadCentre = 0.18,
    double SpreadLogSd = 0.40,
    double FlyerShare = 0.1,
    double DeafChance = 0.3,
    double DaySd = 0.08
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

    /// <summary>
    /// What was believed when the rule was first written down: nominal gains, agreed ways closed, no bow deaf. The
    /// check session is told in it.
    /// </summary>
    public ResponsePrior AsFirstWritten =>
        this with
        {
            DeafChance = 0,
            Gains =
            [
                .. Gains.Select(g =>
                    g with
                    {
                        LogSd = 0.50,
                        SharedSd = 0.25,
                        LogMean = 0,
                        PlusChance = g.Free ? g.PlusChance : 1,
                    }
                ),
            ],
        };

    /// <summary>
    /// What somebody believes who knows every gain on its own axis to a percent, and its way; not the tear.
    /// </summary>
    /// <param name="own">The gain of an adjuster on its own axis by its index, inches a step.</param>
    public ResponsePrior Knowing(Func<int, double> own) =>
        this with
        {
            DeafChance = 0,
            Gains =
            [
                .. Gains.Select(
                    (g, i) =>
                        g with
                        {
                            LogMean = Math.Log(Math.Abs(own(i)) / g.Nominal),
                            LogSd = KnownSd,
                            SharedSd = 0,
                            PlusChance = own(i) > 0 ? 1 : 0,
                            Free = false,
                        }
                ),
            ],
        };

    /// <summary>Sd of a log gain that is known.</summary>
    private const double KnownSd = 0.01;

    /// <summary>Index of an adjuster, or −1.</summary>
    public int IndexOf(AdjusterKind kind) => Gains.ToList().FindIndex(g => g.Kind == kind);
}

/// <summary>One shot as the engine sees it.</summary>
/// <param name="Setting">Steps of every adjuster from where the session began, in the order of the prior.</param>
/// <param name="X">Tear to the right, inches.</param>
/// <param name="Y">Tear upward, inches.</param>
/// <param name="Doubtful">True for a shot the shooter doubts: it starts as likely a flyer as not.</param>
/// <param name="Rig">0 where the rest of the bow was as it is now; else which other rig it was shot with, from 1. The
/// tear that it began from is then another one, the gains are the same.</param>
/// <param name="DaysAgo">Days of shooting between it and the last one.</param>
/// <param name="ReadWithin">How far off it was read, inches per axis and one sd.</param>
public sealed record Observation(
    double[] Setting,
    double X,
    double Y,
    bool Doubtful = false,
    int Rig = 0,
    int DaysAgo = 0,
    double ReadWithin = 0
)
{
    /// <summary>The square of how far off it was read, in².</summary>
    public double ReadVariance => ReadWithin * ReadWithin;

    /// <summary>True for the same setting of the same rig: the same mean but for the day.</summary>
    public bool StandsAs(Observation other) => Rig == other.Rig && Setting.AsSpan().SequenceEqual(other.Setting);
}
