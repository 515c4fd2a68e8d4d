using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Core.Arrows;

/// <summary>What the arrow is for; asked before anything is recommended.</summary>
public enum Purpose { IndoorTarget, OutdoorTarget, Field, HuntingMechanical, HuntingFixed }

/// <summary>One weight on this bow: speed with its band, energy, momentum, grains per pound.</summary>
public sealed record WeightPoint(double Grains, double Speed, double Low, double High, double KineticEnergy, double Momentum, double GrainsPerPound);

/// <summary>A school of arrow weight with its reasons, named fairly.</summary>
/// <param name="Name">Light, middle or heavy.</param>
/// <param name="From">From so many grains.</param>
/// <param name="To">To so many.</param>
/// <param name="For">What its people say for it.</param>
/// <param name="Against">What it costs.</param>
public sealed record WeightSchool(string Name, double From, double To, string For, string Against);

/// <summary>A rule of thumb with a band, shown as such.</summary>
public sealed record RuleOfThumb(string Figure, string Unit, double From, double To, string Words);

/// <summary>Light, middle and heavy for one bow (common practice; bands from memory).</summary>
public static class WeightSchools
{
    private const double Lightest = 250;
    private const double Heaviest = 750;
    private const double Step = 10;

    /// <summary>The three schools. The light one ends below 400 gr and never under 5 gr/lb; the middle runs to 500; heavy is from 600.</summary>
    public static IReadOnlyList<WeightSchool> Schools(Bow bow)
    {
        var least = ArrowCautions.LeastGrainsPerPound * bow.DrawWeight;
        return
        [
            new("Light and fast", Math.Max(Lightest, least), Math.Max(400, least), "Flatter: a wrongly judged range costs less, and pins stand closer.", "Louder, harder on the bow, less momentum; very light with low FOC demands better form and a finer tune."),
            new("Middle", Math.Max(400, least), 520, "Ordinary builds are easier to tune and to shoot; most spines, points and vanes are made for them.", "The best of neither: neither the flattest nor the quietest."),
            new("Heavy", 600, Heaviest, "Mass first: quieter, keeps its momentum, drag takes less of it.", "Arcs more, so a shorter honest range; very heavy with high FOC demands better form and a finer tune."),
        ];
    }

    /// <summary>The bow's curve over arrow weight.</summary>
    public static IReadOnlyList<WeightPoint> Curve(Bow bow) => [.. Enumerable.Range(0, (int)((Heaviest - Lightest) / Step) + 1).Select(i => At(bow, Lightest + (i * Step)))];

    /// <summary>One weight on the curve.</summary>
    public static WeightPoint At(Bow bow, double grains)
    {
        var launch = LaunchSpeed.Of(bow, grains);
        return new WeightPoint(grains, launch.Speed, launch.Low, launch.High, LaunchSpeed.KineticEnergy(grains, launch.Speed), LaunchSpeed.Momentum(grains, launch.Speed), grains / bow.DrawWeight);
    }

    /// <summary>Rules of thumb for a purpose, from memory. Local law and the maker come first.</summary>
    public static IReadOnlyList<RuleOfThumb> Rules(Purpose purpose) => purpose switch
    {
        Purpose.IndoorTarget => [new("frontOfCenter", "%", 6, 12, "6 to 12 % indoors and for light target arrows")],
        Purpose.OutdoorTarget => [new("frontOfCenter", "%", 11, 16, "11 to 16 % for outdoor target")],
        Purpose.Field => [new("frontOfCenter", "%", 10, 15, "10 to 15 % for field, as for hunting")],
        _ =>
        [
            new("frontOfCenter", "%", 10, 15, "10 to 15 % for hunting, 15 to 20 % high, above it extreme"),
            new("kineticEnergy", "ft·lb", 0, 25, "under 25 ft·lb: small game"),
            new("kineticEnergy", "ft·lb", 25, 41, "25 to 41 ft·lb: medium game"),
            new("kineticEnergy", "ft·lb", 42, 65, "42 to 65 ft·lb: large game"),
            new("kineticEnergy", "ft·lb", 65, 200, "above 65 ft·lb: the toughest"),
            new("momentum", "slug·ft/s", 0, 2, "momentum is the other school's yardstick: it rises with arrow weight while energy hardly does"),
        ],
    };

    /// <summary>The school that a weight belongs to, or between two.</summary>
    public static string Word(Bow bow, double grains)
    {
        var school = Schools(bow).FirstOrDefault(s => grains >= s.From && grains < s.To);
        return school?.Name ?? (grains < ArrowCautions.LeastGrainsPerPound * bow.DrawWeight ? "Under 5 gr/lb" : grains > Heaviest ? "Heavier than most" : "Between middle and heavy");
    }
}
