using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What the arrow is for; asked before anything is recommended.</summary>
public enum Purpose
{
    IndoorTarget,
    OutdoorTarget,
    Field,
    HuntingMechanical,
    HuntingFixed,
}

/// <summary>One weight on this bow: speed with its band, energy, momentum, grains per pound.</summary>
public sealed record WeightPoint(
    double Grains,
    double Speed,
    double Low,
    double High,
    double KineticEnergy,
    double Momentum,
    double GrainsPerPound
);

/// <summary>A school of arrow weight with its reasons, named fairly.</summary>
/// <param name="Kind">Light, middle or heavy.</param>
/// <param name="From">From so many grains.</param>
/// <param name="To">To so many.</param>
public sealed record WeightSchool(WeightKind Kind, double From, double To)
{
    /// <summary>Its name.</summary>
    public Message Name => new SchoolName(Kind);

    /// <summary>Where it begins.</summary>
    public Message FromText => new BareAmount(Measure.Grains(From, 0));

    /// <summary>Where it ends.</summary>
    public Message ToText => new Amount(Measure.Grains(To, 0));

    /// <summary>What its people say for it.</summary>
    public Message For => new SchoolFor(Kind);

    /// <summary>What it costs.</summary>
    public Message Against => new SchoolAgainst(Kind);
}

/// <summary>A rule of thumb with a band, shown as such.</summary>
public sealed record RuleOfThumb(string Figure, RuleKind Kind, string Unit, double From, double To)
{
    /// <summary>The rule in words.</summary>
    public Message Words => new ThumbRule(Kind, new Measure(From, Unit, 0), new Measure(To, Unit, 0));
}

/// <summary>Light, middle and heavy for one bow (common practice; bands from memory).</summary>
public static class WeightSchools
{
    private const double Lightest = 250;
    private const double Heaviest = 750;
    private const double Step = 10;
    private const double MiddleFrom = 400;
    private const double MiddleTo = 520;
    private const double HeavyFrom = 600;

    /// <summary>
    /// The three schools. The light one ends below 400 gr and never under 5 gr/lb; the middle runs to 500; heavy is
    /// from 600.
    /// </summary>
    public static IReadOnlyList<WeightSchool> Schools(Bow bow)
    {
        var least = ArrowCautions.LeastGrainsPerPound * bow.DrawWeight;
        return
        [
            new(WeightKind.Light, Math.Max(Lightest, least), Math.Max(MiddleFrom, least)),
            new(WeightKind.Middle, Math.Max(MiddleFrom, least), MiddleTo),
            new(WeightKind.Heavy, HeavyFrom, Heaviest),
        ];
    }

    /// <summary>The bow's curve over arrow weight.</summary>
    public static IReadOnlyList<WeightPoint> Curve(Bow bow) =>
        [.. Enumerable.Range(0, (int)((Heaviest - Lightest) / Step) + 1).Select(i => At(bow, Lightest + (i * Step)))];

    /// <summary>One weight on the curve.</summary>
    public static WeightPoint At(Bow bow, double grains)
    {
        var launch = LaunchSpeed.Of(bow, grains);
        return new WeightPoint(
            grains,
            launch.Speed,
            launch.Low,
            launch.High,
            LaunchSpeed.KineticEnergy(grains, launch.Speed),
            LaunchSpeed.Momentum(grains, launch.Speed),
            grains / bow.DrawWeight
        );
    }

    /// <summary>Rules of thumb for a purpose, from memory. Local law and the maker come first.</summary>
    public static IReadOnlyList<RuleOfThumb> Rules(Purpose purpose) =>
        purpose switch
        {
            Purpose.IndoorTarget => [Foc(RuleKind.IndoorFoc, 6, 12)],
            Purpose.OutdoorTarget => [Foc(RuleKind.OutdoorFoc, 11, 16)],
            Purpose.Field => [Foc(RuleKind.FieldFoc, 10, 15)],
            _ =>
            [
                Foc(RuleKind.HuntingFoc, 10, 15),
                Energy(RuleKind.SmallGame, 0, 25),
                Energy(RuleKind.MediumGame, 25, 41),
                Energy(RuleKind.LargeGame, 42, 65),
                Energy(RuleKind.Toughest, 65, 200),
                new("momentum", RuleKind.Momentum, Unit.SlugFootPerSecond, 0, 2),
            ],
        };

    private static RuleOfThumb Foc(RuleKind kind, double from, double to) =>
        new("frontOfCenter", kind, Unit.Percent, from, to);

    private static RuleOfThumb Energy(RuleKind kind, double from, double to) =>
        new("kineticEnergy", kind, Unit.FootPound, from, to);

    /// <summary>The school that a weight belongs to, or between two.</summary>
    public static Message Word(Bow bow, double grains)
    {
        if (Schools(bow).FirstOrDefault(s => grains >= s.From && grains < s.To) is { } school)
        {
            return school.Name;
        }

        if (grains < ArrowCautions.LeastGrainsPerPound * bow.DrawWeight)
        {
            return new UnderLeast(new Measure(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0));
        }

        return grains > Heaviest ? ArrowSays.HeavierThanMost : ArrowSays.BetweenMiddleAndHeavy;
    }
}
