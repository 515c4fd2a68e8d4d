using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>A chronograph reading as it was entered.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Grains">Mass of the arrow.</param>
/// <param name="Speed">ft/s.</param>
/// <param name="Source">Typed or from the chronograph.</param>
/// <param name="ShotAt">When.</param>
public sealed record SpeedShot(string Id, double Grains, double Speed, string Source, DateTimeOffset ShotAt);

/// <summary>Readings of one arrow mass.</summary>
/// <param name="Grains">The mass.</param>
/// <param name="Count">How many readings.</param>
/// <param name="Mean">ft/s.</param>
/// <param name="Spread">Their standard deviation, ft/s; null for one.</param>
/// <param name="Energy">Kinetic energy at the mean, ft·lb.</param>
/// <param name="Momentum">Momentum at the mean, slug·ft/s.</param>
/// <param name="Shots">The readings.</param>
/// <param name="Odd">Ids of those that stand apart, see <see cref="Outliers"/>.</param>
public sealed record SpeedString(
    double Grains,
    int Count,
    double Mean,
    double? Spread,
    double Energy,
    double Momentum,
    IReadOnlyList<SpeedShot> Shots,
    IReadOnlyList<string> Odd
)
{
    /// <summary>Readings of one mass, at least one.</summary>
    public static SpeedString Of(IReadOnlyList<SpeedShot> shots)
    {
        double[] speeds = [.. shots.Select(s => s.Speed)];
        var (grains, mean) = (ChronographLog.Tenth(shots[0].Grains), speeds.Average());
        return new SpeedString(
            grains,
            speeds.Length,
            mean,
            speeds.Length > 1 ? Math.Sqrt(speeds.Sum(v => (v - mean) * (v - mean)) / (speeds.Length - 1)) : null,
            LaunchSpeed.KineticEnergy(grains, mean),
            LaunchSpeed.Momentum(grains, mean),
            shots,
            [.. Outliers.Of(speeds).Select(i => shots[i].Id)]
        );
    }
}

/// <summary>What the chronograph taught of a bow.</summary>
/// <param name="Strings">Readings by arrow mass, the lightest first.</param>
/// <param name="VirtualMass">K, grains; null until readings fit.</param>
/// <param name="VirtualMassError">Its standard error, grains.</param>
/// <param name="Energy">E, ft·lb.</param>
/// <param name="EnergyError">Its standard error, ft·lb.</param>
/// <param name="Words">The same in words.</param>
public sealed record ChronographReading(
    IReadOnlyList<SpeedString> Strings,
    double? VirtualMass,
    double? VirtualMassError,
    double? Energy,
    double? EnergyError,
    Message Words
);

/// <summary>A bow's newest chronograph readings as they were shot, without those that were taken back.</summary>
public sealed class ChronographLog(IReadOnlyList<SpeedShot> shots)
{
    /// <summary>
    /// Standard deviation of one reading when the shots do not tell it, ft/s (trade-like guess, no source).
    /// </summary>
    public const double UsualSpread = 1;

    /// <summary>So many of them tell what the bow does; older ones stay on record (a guess, no source).</summary>
    public const int Newest = 100;

    /// <summary>What a reading may be, ft/s.</summary>
    public static AllowedRange Speeds { get; } = new(50, 500, Unit.FootPerSecond, Why.WhatAnArrowFlies);

    /// <summary>What the readings teach: null without readings, or when a heavier arrow was not slower.</summary>
    public SpeedFit? Fit()
    {
        try
        {
            return shots.Count == 0
                ? null
                : SpeedCalibration.Fit([
                    .. shots.Select(s => new ChronographShot(Tenth(s.Grains), s.Speed, UsualSpread)),
                ]);
        }
        catch (ArgumentException)
        {
            return null;
        }
    }

    /// <summary>The readings with what they teach.</summary>
    public ChronographReading Read()
    {
        SpeedString[] strings =
        [
            .. shots.GroupBy(s => Tenth(s.Grains)).OrderBy(g => g.Key).Select(g => SpeedString.Of([.. g])),
        ];
        if (Fit() is not { } fit)
        {
            var wait = shots.Count == 0 ? DozenSays.NoChronographShot : DozenSays.HeavierNotSlower;
            return new ChronographReading(strings, null, null, null, null, wait);
        }

        var line = new SpeedCalibration(fit);
        return new ChronographReading(
            strings,
            line.VirtualMass,
            fit.Masses == 1 ? SpeedCalibration.PriorSpread : line.VirtualMassError,
            line.Energy,
            line.EnergyError,
            new TaughtBy(
                fit.Shots,
                fit.Masses,
                Measure.Grains(SpeedCalibration.PriorVirtualMass, 0),
                Measure.Grains(SpeedCalibration.PriorSpread, 0)
            )
        );
    }

    /// <summary>Masses are told apart to a tenth of a grain.</summary>
    internal static double Tenth(double grains) => Math.Round(grains, 1);
}
