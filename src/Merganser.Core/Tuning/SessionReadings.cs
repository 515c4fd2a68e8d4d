using MathNet.Numerics.Distributions;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Tuning;

/// <summary>What a record points to, beside the bow's adjusters.</summary>
public enum Cause
{
    Form,
    Arrow,
    Clearance,
    Spine,
    Travel,
}

/// <summary>One reading of the record, with the test behind it.</summary>
/// <param name="Cause">What it bears on.</param>
/// <param name="Suspected">True when the test points to it; false when it is only not cleared.</param>
/// <param name="Evidence">The statement with its evidence and what would overturn it.</param>
/// <param name="Test">The name of the test.</param>
public sealed record Reading(Cause Cause, bool Suspected, Evidence Evidence, Message Test);

/// <summary>How widely an archer's shots usually stray.</summary>
/// <param name="Spread">Inches per axis.</param>
/// <param name="Freedom">Degrees of freedom behind it.</param>
/// <param name="Own">True when it is this archer's own.</param>
public sealed record UsualSpread(double Spread, double Freedom, bool Own)
{
    /// <summary>Before an archer is known: the trade-like guess, worth what a log sd of .40 is worth.</summary>
    public static UsualSpread Unknown { get; } = new(MeanTear.UsualSpread, 3, false);

    /// <summary>From earlier stages of this archer's; the guess counts with it.</summary>
    public static UsualSpread Of(IReadOnlyList<StageFit> earlier)
    {
        StageFit[] mine = [.. earlier.Where(f => f.OfBow is null && !f.Stage.AtTarget)];
        var own = mine.Sum(FreedomOf);
        if (own <= 0)
        {
            return Unknown;
        }

        var guessed = Unknown.Spread * Unknown.Spread * Unknown.Freedom;
        var freedom = own + Unknown.Freedom;
        var squares = guessed + mine.Sum(f => f.Spread * f.Spread * FreedomOf(f));
        return new UsualSpread(Math.Sqrt(squares / freedom), freedom, true);
    }

    private static double FreedomOf(StageFit fit) => 2.0 * Math.Max(0, fit.Shots - 1);
}

/// <summary>
/// Is it the bow, the arrow or the archer: readings of the same record beside the engine's. Each is a named test at p
/// &lt; .05, critical values by the F distribution (NIST/SEMATECH e-Handbook 1.3.5.9 and 1.3.6.7.3). Equal holes never
/// clear grip, face pressure or spine.
/// </summary>
public static class SessionReadings
{
    /// <summary>Below this a test speaks.</summary>
    public const double Significant = 0.05;

    /// <summary>
    /// So many moves without an answer point to something that no adjuster moves (common practice, no source).
    /// </summary>
    private const int IgnoredMoves = 2;

    /// <summary>Shots of one arrow from which it can stand apart.</summary>
    private const int ShotsOfAnArrow = 2;

    /// <summary>The readings of one stage and, for the spine, of the others beside it.</summary>
    /// <param name="here">The stage's shots that count.</param>
    /// <param name="session">All shots of the session that count.</param>
    /// <param name="made">Moves with the mean before and after.</param>
    /// <param name="adjusters">The adjusters as they stand.</param>
    /// <param name="usual">This archer's usual spread.</param>
    public static IReadOnlyList<Reading> Of(
        IReadOnlyList<ShotReading> here,
        IReadOnlyList<ShotReading> session,
        IReadOnlyList<MadeMove> made,
        IReadOnlyList<Adjuster> adjusters,
        UsualSpread usual
    )
    {
        var single = new[] { Form(here, usual), MeanShift.Of(here), ArrowApart(here) };
        var spine = session.Count == 0 ? null : SpineByDistance(session);
        return
        [
            .. single.OfType<Reading>(),
            .. Clearance(made),
            .. new[] { spine }.OfType<Reading>(),
            .. AtLimit(here, adjusters),
        ];
    }

    /// <summary>
    /// Spread of the holes against the usual: F(ν, ν_usual), one-sided; null while no setting has two shots.
    /// </summary>
    public static Reading? Form(IReadOnlyList<ShotReading> here, UsualSpread usual)
    {
        var sets = here.GroupBy(s => s.Setting).ToArray();
        var freedom = 2.0 * (here.Count - sets.Length);
        if (freedom <= 0)
        {
            return null;
        }

        var squares = sets.Sum(g => SquaresAboutMean([.. g.Select(s => s.Tear)]));
        var spread = Math.Sqrt(squares / freedom);
        var f = spread * spread / (usual.Spread * usual.Spread);
        var p = 1 - FisherSnedecor.CDF(freedom, usual.Freedom, f);
        var differs = p < Significant;
        var because = new SpreadAgainst(
            Measure.Inches(spread),
            differs ? null : here.Count,
            Measure.Inches(usual.Spread),
            usual.Own,
            new FTest(f, freedom, usual.Freedom, p),
            differs
        );
        var evidence = differs
            ? new Evidence(TuningSays.HolesDiffer, because, TuningSays.FiveHolesAlike)
            : new Evidence(TuningSays.HolesAlike, because, TuningSays.ControlThatTearsOtherwise);
        return new Reading(Cause.Form, differs, evidence, TuningSays.TestSpread);
    }

    /// <summary>
    /// One arrow apart: one-way F on both axes, what each set shares taken out; wants two shots of two arrows.
    /// </summary>
    public static Reading? ArrowApart(IReadOnlyList<ShotReading> here)
    {
        var sets = here.Where(s => s.ArrowNumber is not null)
            .GroupBy(s => (s.Set, s.Setting))
            .Where(g => g.Select(s => s.ArrowNumber).Distinct().Count() > 1)
            .ToArray();
        var left = sets.SelectMany(AboutMean);
        var arrows = left.GroupBy(s => s.Arrow, s => s.Tear)
            .Where(g => g.Count() >= ShotsOfAnArrow)
            .Select(g => (Number: g.Key, Tears: (Tear[])[.. g]))
            .ToArray();
        if (arrows.Length < ShotsOfAnArrow || arrows.Sum(a => a.Tears.Length) <= arrows.Length + sets.Length - 1)
        {
            return null;
        }

        var test = OneWay.Of([.. arrows.Select(a => a.Tears)], new Tear(0, 0), sets.Length - 1);
        if (test.P >= Significant)
        {
            return null;
        }

        var (number, tears) = arrows.MaxBy(a => Tear.Mean(a.Tears).Length);
        var evidence = new Evidence(
            new ArrowApart(number),
            new ApartBy(Tear.Mean(tears).Place, tears.Length, test.Line),
            TuningSays.LikeTheOthersAfterTurning
        );
        return new Reading(Cause.Arrow, true, evidence, TuningSays.TestArrows);
    }

    /// <summary>Two moves or more that each should have shown and did not.</summary>
    public static IEnumerable<Reading> Clearance(IReadOnlyList<MadeMove> made)
    {
        foreach (var axis in made.GroupBy(m => AdjusterTable.Of(m.Kind).Axis))
        {
            var ignored = axis.Where(m => Ignored(m, axis.Key)).ToArray();
            if (ignored.Length >= IgnoredMoves && ignored.Length == axis.Count())
            {
                var evidence = new Evidence(
                    new IgnoresMoves(ignored.Length),
                    new IgnoredBecause([.. ignored.Select(m => IgnoredOf(m, axis.Key))]),
                    TuningSays.PowderCleanAndTimingRight
                );
                yield return new Reading(Cause.Clearance, true, evidence, TuningSays.TestIgnored);
            }
        }
    }

    /// <summary>
    /// A bare shaft whose side or size changes with the distance, beyond both regions, the bow untouched.
    /// </summary>
    /// <param name="session">All shots of the session that count.</param>
    public static Reading SpineByDistance(IReadOnlyList<ShotReading> session)
    {
        var bare = session
            .Where(s => !s.Stage.Fletched)
            .GroupBy(s => (s.Stage.Arrow, s.Places))
            .Select(ByDistance)
            .LastOrDefault(m => m.Length >= 2);
        if (bare is null)
        {
            var none = new Evidence(
                TuningSays.SpineNotJudged,
                TuningSays.OneDistanceCannotTell,
                TuningSays.BareChangesAtAnotherDistance
            );
            return new Reading(Cause.Spine, false, none, TuningSays.TestOneDistance);
        }

        var (near, far) = (bare[0], bare[^1]);
        var change = far.Mean.Mean.X - near.Mean.Mean.X;
        var region = Both(near.Mean, far.Mean);
        var because = new BareByDistance(
            new TailSideways(Measure.Inches(near.Mean.Mean.X)),
            Measure.Yards(near.Distance),
            new TailSideways(Measure.Inches(far.Mean.Mean.X)),
            Measure.Yards(far.Distance),
            Measure.Inches(Math.Abs(change)),
            Measure.Inches(region)
        );
        if (Math.Abs(change) <= region)
        {
            var steady = new Evidence(TuningSays.BareSteady, because, TuningSays.MoreShotsFarther);
            return new Reading(Cause.Spine, false, steady, TuningSays.TestByDistance);
        }

        var swings = Math.Sign(near.Mean.Mean.X) != Math.Sign(far.Mean.Mean.X);
        var weak = new Evidence(
            swings ? TuningSays.BareChangesSide : TuningSays.BareChanges,
            because,
            TuningSays.StifferShaftDoesTheSame
        );
        return new Reading(Cause.Spine, true, weak, TuningSays.TestByDistance);
    }

    /// <summary>An adjuster at the end of its travel while its axis is not level.</summary>
    public static IEnumerable<Reading> AtLimit(IReadOnlyList<ShotReading> here, IReadOnlyList<Adjuster> adjusters)
    {
        if (here.Count == 0)
        {
            yield break;
        }

        var mean = new MeanTear([.. here.Where(s => s.Setting == here[^1].Setting).Select(s => s.Tear)]);
        foreach (
            var adjuster in adjusters.Where(a =>
                a.AtEnd && Limited(a.Kind) && !mean.Level(AdjusterTable.Of(a.Kind).Axis)
            )
        )
        {
            var evidence = new Evidence(
                new EndOfTravel(new AdjusterName(adjuster.Kind)),
                new EndOfTravelMeans(adjuster.Kind),
                TuningSays.OtherMovedThisBack
            );
            yield return new Reading(Cause.Travel, true, evidence, TuningSays.TestLimits);
        }
    }

    private static bool Limited(AdjusterKind kind) =>
        kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight or AdjusterKind.NockingPoint;

    private static double SquaresAboutMean(Tear[] tears)
    {
        var mean = Tear.Mean(tears);
        return tears.Sum(t => t.SquareTo(mean));
    }

    /// <summary>What is left of each arrow's tears after what its set shares is taken out.</summary>
    private static IEnumerable<(string Arrow, Tear Tear)> AboutMean(IEnumerable<ShotReading> set)
    {
        ShotReading[] shots = [.. set];
        var mean = Tear.Mean([.. shots.Select(s => s.Tear)]);
        return shots.Select(s => (s.ArrowNumber!, new Tear(s.Tear.X - mean.X, s.Tear.Y - mean.Y)));
    }

    private static (double Distance, MeanTear Mean)[] ByDistance(IEnumerable<ShotReading> setting) =>
        [
            .. setting
                .GroupBy(s => s.Stage.Distance)
                .OrderBy(g => g.Key)
                .Select(g => (g.Key, new MeanTear([.. g.Select(s => s.Tear)]))),
        ];

    private static IgnoredMove IgnoredOf(MadeMove move, TearAxis axis) =>
        new(
            new AdjusterName(move.Kind),
            new Steps(move.Kind, Math.Abs(move.Steps)),
            Measure.Inches(Math.Abs(Change(move, axis))),
            Measure.Inches(ExpectedOf(move))
        );

    private static bool Ignored(MadeMove move, TearAxis axis)
    {
        var (expected, region) = (ExpectedOf(move), Both(move.Before, move.After));
        return expected > region && Math.Abs(Change(move, axis)) < Math.Min(region, expected / 2);
    }

    private static double ExpectedOf(MadeMove move) => Math.Abs(move.Steps) * AdjusterTable.Of(move.Kind).NominalGain;

    private static double Both(MeanTear one, MeanTear two) =>
        Math.Sqrt((one.Radius * one.Radius) + (two.Radius * two.Radius));

    private static double Change(MadeMove move, TearAxis axis) =>
        move.After.Mean.Along(axis) - move.Before.Mean.Along(axis);
}
