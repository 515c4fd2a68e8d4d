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
/// <param name="OverNominal">The mean over what the bow's rating, else its estimate, says, per cent.</param>
/// <param name="Energy">Kinetic energy at the mean, ft·lb.</param>
/// <param name="Efficiency">Of <see cref="LaunchSpeed.StoredEnergy"/>, per cent.</param>
/// <param name="Momentum">Momentum at the mean, slug·ft/s.</param>
/// <param name="Shots">The readings, in order; unless all are asked for, the newest <see cref="Listed"/> and odd ones.
/// </param>
/// <param name="Odd">Ids of those that stand apart, see <see cref="Outliers"/>.</param>
public sealed record SpeedString(
    double Grains,
    int Count,
    double Mean,
    double? Spread,
    double OverNominal,
    double Energy,
    double Efficiency,
    double Momentum,
    IReadOnlyList<SpeedShot> Shots,
    IReadOnlyList<string> Odd
)
{
    /// <summary>A slip is noticed in the newest, so many are listed without being asked for.</summary>
    public const int Listed = 10;

    /// <summary>Readings of one mass, at least one.</summary>
    /// <param name="shots">The readings, in order.</param>
    /// <param name="bow">The bow that shot them.</param>
    /// <param name="all">True to list every reading.</param>
    public static SpeedString Of(IReadOnlyList<SpeedShot> shots, Bow bow, bool all = false)
    {
        double[] speeds = [.. shots.Select(s => s.Speed)];
        var (grains, mean) = (ChronographLog.Tenth(shots[0].Grains), speeds.Average());
        var nominal = LaunchSpeed.Of(bow with { Chronograph = null }, grains);
        var odd = Outliers.Of(speeds);
        var energy = LaunchSpeed.KineticEnergy(grains, mean);
        return new SpeedString(
            grains,
            speeds.Length,
            mean,
            speeds.Length > 1 ? Math.Sqrt(speeds.Sum(v => (v - mean) * (v - mean)) / (speeds.Length - 1)) : null,
            100 * ((mean / nominal.Bare) - 1),
            energy,
            100 * energy / LaunchSpeed.StoredEnergy(bow),
            LaunchSpeed.Momentum(grains, mean),
            [.. shots.Where((_, i) => all || i >= shots.Count - Listed || odd.Contains(i))],
            [.. odd.Select(i => shots[i].Id)]
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
/// <param name="LastGrains">Mass of the arrow that was shot last; null without readings.</param>
/// <param name="NominalWords">What nominal and efficiency are reckoned from; null without readings.</param>
public sealed record ChronographReading(
    IReadOnlyList<SpeedString> Strings,
    double? VirtualMass,
    double? VirtualMassError,
    double? Energy,
    double? EnergyError,
    Message Words,
    double? LastGrains,
    Message? NominalWords
);

/// <summary>A bow's newest chronograph readings as they were shot, without those that were taken back.</summary>
/// <param name="shots">The readings, in order.</param>
/// <param name="bow">The bow that shot them.</param>
public sealed class ChronographLog(IReadOnlyList<SpeedShot> shots, Bow bow)
{
    /// <summary>
    /// Standard deviation of one reading when the shots do not tell it, and the least that an instrument has, ft/s
    /// (trade-like guess, no source).
    /// </summary>
    public const double UsualSpread = 1;

    /// <summary>So many of them tell what the bow does; older ones stay on record (a guess, no source).</summary>
    public const int Newest = 100;

    /// <summary>
    /// Farther from what is expected, in standard deviations, is asked about: one good reading in sixteen thousand
    /// (normal distribution).
    /// </summary>
    public const double AskedBeyond = 4;

    /// <summary>
    /// Strings and limbs that weigh more than this, as seen by the arrow, do not exist, grains (trade-like guess, no
    /// source).
    /// </summary>
    public const double MostVirtualMass = 500;

    /// <summary>What a reading may be, ft/s.</summary>
    public static AllowedRange Speeds { get; } = new(50, 500, Unit.FootPerSecond, Why.WhatAnArrowFlies);

    /// <summary>
    /// The most energy that a bow can take up, ft·lb: its peak weight held over the whole stroke. No force-draw curve
    /// lies above that.
    /// </summary>
    public static double MostEnergy(Bow bow) => bow.DrawWeight * bow.PowerStroke / 12;

    /// <summary>
    /// Standard deviation of one reading, ft/s: pooled over the masses (NIST/SEMATECH e-Handbook 7.4.2.3), never under
    /// <see cref="UsualSpread"/>.
    /// </summary>
    public double ReadingSpread
    {
        get
        {
            var groups = shots.GroupBy(s => Tenth(s.Grains)).Select(g => g.Select(s => s.Speed).ToArray()).ToArray();
            var free = groups.Sum(g => g.Length - 1);
            var squares = groups.Sum(g => g.Sum(v => Math.Pow(v - g.Average(), 2)));
            return free < 1 ? UsualSpread : Math.Max(UsualSpread, Math.Sqrt(squares / free));
        }
    }

    /// <summary>
    /// What the readings teach: null without readings, when a heavier arrow was not slower, or when virtual mass or
    /// energy came out as no bow has them.
    /// </summary>
    public SpeedFit? Fit() => Fitted() is { } fit && Impossible(fit) is null ? fit : null;

    /// <summary>What speed the readings so far let one expect of an arrow, and its standard error, ft/s; null before
    /// the first.</summary>
    public (double Speed, double Error)? Expected(double grains)
    {
        if (shots.Count == 0)
        {
            return null;
        }

        if (Fit() is { } fit)
        {
            return new SpeedCalibration(fit).Predict(Tenth(grains));
        }

        double[] same = [.. shots.Where(s => Tenth(s.Grains) == Tenth(grains)).Select(s => s.Speed)];
        return same.Length == 0 ? null : (same.Average(), ReadingSpread / Math.Sqrt(same.Length));
    }

    /// <summary>A reading far from what is expected is asked about before it is kept.</summary>
    /// <exception cref="RefusedException">It is far.</exception>
    public void DemandLikely(double grains, double speed)
    {
        if (Expected(grains) is not { } about)
        {
            return;
        }

        var room = AskedBeyond * Math.Sqrt(Square(about.Error) + Square(ReadingSpread));
        if (Math.Abs(speed - about.Speed) > room)
        {
            var far = new SpeedFarFrom(Measure.Speed(speed, 1), Measure.Speed(about.Speed, 1), Measure.Speed(room, 1));
            throw RefusedException.At("speed", RefusedException.Far, far);
        }
    }

    /// <summary>The readings with what they teach.</summary>
    /// <param name="all">True to list every reading, not the newest alone.</param>
    public ChronographReading Read(bool all = false)
    {
        SpeedString[] strings =
        [
            .. shots.GroupBy(s => Tenth(s.Grains)).OrderBy(g => g.Key).Select(g => SpeedString.Of([.. g], bow, all)),
        ];
        var last = shots.Count == 0 ? (double?)null : Tenth(shots[^1].Grains);
        var nominal = shots.Count == 0 ? null : new NominalIs(bow.RatedSpeed is not null, bow.Force is not null);
        var fitted = Fitted();
        Message? nothing =
            shots.Count == 0 ? DozenSays.NoChronographShot
            : fitted is null ? DozenSays.HeavierNotSlower
            : Impossible(fitted);
        if (fitted is not { } fit || nothing is not null)
        {
            return new ChronographReading(strings, null, null, null, null, nothing!, last, nominal);
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
            ),
            last,
            nominal
        );
    }

    private SpeedFit? Fitted()
    {
        try
        {
            var spread = ReadingSpread;
            return shots.Count == 0
                ? null
                : SpeedCalibration.Fit([.. shots.Select(s => new ChronographShot(Tenth(s.Grains), s.Speed, spread))]);
        }
        catch (ArgumentException)
        {
            return null;
        }
    }

    /// <summary>Why no bow has such a virtual mass or gives such an energy; null for one that can be.</summary>
    private DozenMessage? Impossible(SpeedFit fit)
    {
        var line = new SpeedCalibration(fit);
        return line.VirtualMass is < 0 or > MostVirtualMass
                ? new VirtualMassCannotBe(Measure.Grains(line.VirtualMass, 0), Measure.Grains(MostVirtualMass, 0))
            : line.Energy > MostEnergy(bow)
                ? new EnergyCannotBe(Measure.Energy(line.Energy), Measure.Energy(MostEnergy(bow)))
            : null;
    }

    private static double Square(double x) => x * x;

    /// <summary>Masses are told apart to a tenth of a grain.</summary>
    internal static double Tenth(double grains) => Math.Round(grains, 1);
}
