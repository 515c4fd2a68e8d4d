using MathNet.Numerics.Distributions;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Tuning;

/// <summary>What a record points to, beside the bow's adjusters.</summary>
public enum Cause { Form, Arrow, Clearance, Spine, Travel }

/// <summary>One reading of the record, with the test behind it.</summary>
/// <param name="Cause">What it bears on.</param>
/// <param name="Suspected">True when the test points to it; false when it is only not cleared.</param>
/// <param name="Evidence">The statement with its evidence and what would overturn it.</param>
/// <param name="Test">The name of the test.</param>
public sealed record Reading(Cause Cause, bool Suspected, Evidence Evidence, string Test);

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
        var freedom = earlier.Sum(f => 2.0 * Math.Max(0, f.Shots - 1));
        if (freedom <= 0)
        {
            return Unknown;
        }

        var squares = (Unknown.Spread * Unknown.Spread * Unknown.Freedom) + earlier.Sum(f => f.Spread * f.Spread * 2 * Math.Max(0, f.Shots - 1));
        return new UsualSpread(Math.Sqrt(squares / (freedom + Unknown.Freedom)), freedom + Unknown.Freedom, true);
    }
}

/// <summary>
/// Is it the bow, the arrow or the archer: readings of the same record beside the engine's. Each is a named test at p &lt; .05, critical values by
/// the F distribution (NIST/SEMATECH e-Handbook 1.3.5.9 and 1.3.6.7.3). Equal holes never clear grip, face pressure or spine.
/// </summary>
public static class SessionReadings
{
    /// <summary>Below this a test speaks.</summary>
    public const double Significant = 0.05;

    private const int IgnoredMoves = 2;

    /// <summary>The readings of one stage and, for the spine, of the others beside it.</summary>
    /// <param name="here">The stage's shots that count.</param>
    /// <param name="session">All shots of the session that count.</param>
    /// <param name="made">Moves with the mean before and after.</param>
    /// <param name="adjusters">The adjusters as they stand.</param>
    /// <param name="usual">This archer's usual spread.</param>
    public static IReadOnlyList<Reading> Of(
        IReadOnlyList<SessionShot> here, IReadOnlyList<SessionShot> session, IReadOnlyList<MadeMove> made, IReadOnlyList<Adjuster> adjusters, UsualSpread usual) =>
        [.. Form(here, usual), .. ArrowApart(here), .. Clearance(made), .. SpineByDistance(session), .. AtLimit(here, adjusters)];

    /// <summary>Spread of the holes against the usual: F(ν, ν_usual), one-sided.</summary>
    private static IEnumerable<Reading> Form(IReadOnlyList<SessionShot> here, UsualSpread usual)
    {
        var (squares, freedom) = Within(here);
        if (freedom <= 0)
        {
            yield break;
        }

        var spread = Math.Sqrt(squares / freedom);
        var f = spread * spread / (usual.Spread * usual.Spread);
        var p = 1 - FisherSnedecor.CDF(freedom, usual.Freedom, f);
        var test = $"F({Number(freedom, 0)}, {Number(usual.Freedom, 0)}) = {Number(f, 2)}, {Probability(p)}";
        var whose = usual.Own ? "this archer's usual" : "usual about";
        yield return p < Significant
            ? new Reading(Cause.Form, true, new Evidence("Holes differ from shot to shot.", $"Spread {Number(spread, 2)} in, {whose} {Number(usual.Spread, 2)}: {test}. That points to the archer or the arrows.", "Five holes alike"), "spread against usual, F test")
            : new Reading(Cause.Form, false, new Evidence("Holes are alike.", $"Spread {Number(spread, 2)} in over {Count(here.Count, "shot")}, {whose} {Number(usual.Spread, 2)}: not chance or one bad arrow. Grip, face and spine are not cleared.", "A changed grip, another archer or a control arrow that tears otherwise"), "spread against usual, F test");
    }

    /// <summary>One arrow apart: one-way F on both axes, what each set shares taken out; wants two shots of two arrows.</summary>
    private static IEnumerable<Reading> ArrowApart(IReadOnlyList<SessionShot> here)
    {
        var sets = here.Where(s => s.ArrowNumber is not null).GroupBy(s => (s.Set, Key(s))).Where(g => g.Select(s => s.ArrowNumber).Distinct().Count() > 1).ToArray();
        var left = sets.SelectMany(g => g.Select(s => (Arrow: s.ArrowNumber!, Tear: new Tear(s.Tear.X - g.Average(o => o.Tear.X), s.Tear.Y - g.Average(o => o.Tear.Y)))));
        var arrows = left.GroupBy(s => s.Arrow, s => s.Tear).Where(g => g.Count() >= 2).Select(g => (Number: g.Key, Tears: (Tear[])[.. g])).ToArray();
        if (arrows.Length < 2 || arrows.Sum(a => a.Tears.Length) <= arrows.Length + sets.Length - 1)
        {
            yield break;
        }

        var test = OneWay.Of([.. arrows.Select(a => a.Tears)], new Tear(0, 0), sets.Length - 1);
        if (test.P >= Significant)
        {
            yield break;
        }

        var (number, tears) = arrows.MaxBy(a => OneWay.Mean(a.Tears).Length);
        var mean = OneWay.Mean(tears);
        yield return new Reading(Cause.Arrow, true, new Evidence(
            $"Arrow {number} tears apart from the others.",
            $"{mean.Words} of their mean over {Count(tears.Length, "shot")}: {test.Words}.",
            "The same arrow like the others after its nock is turned"), "one-way F between arrows");
    }

    /// <summary>Two moves or more that each should have shown and did not.</summary>
    private static IEnumerable<Reading> Clearance(IReadOnlyList<MadeMove> made)
    {
        foreach (var axis in made.GroupBy(m => AdjusterTable.Of(m.Kind).Axis))
        {
            var ignored = axis.Where(m => Ignored(m, axis.Key)).ToArray();
            if (ignored.Length >= IgnoredMoves && ignored.Length == axis.Count())
            {
                yield return new Reading(Cause.Clearance, true, new Evidence(
                    $"The tear ignores {Count(ignored.Length, "move")}.",
                    $"{string.Join("; ", ignored.Select(m => $"{AdjusterTable.Of(m.Kind).Name} by {AdjusterTable.Of(m.Kind).Steps(Math.Abs(m.Steps))}: {Number(Math.Abs(Change(m, axis.Key)), 2)} in, about {Number(Math.Abs(m.Steps) * AdjusterTable.Of(m.Kind).NominalGain, 2)} in expected"))}. That points to clearance, timing or a rest that does not drop.",
                    "No mark in powder on the vanes, and timing found right"), "no answer to moves, beyond both regions");
            }
        }
    }

    /// <summary>A bare shaft whose side or size changes with the distance, beyond both regions, the bow untouched.</summary>
    private static IEnumerable<Reading> SpineByDistance(IReadOnlyList<SessionShot> session)
    {
        var bare = session.Where(s => !s.Stage.Fletched).GroupBy(s => (s.Stage.Arrow, Places(s))).Select(setting => setting.GroupBy(s => s.Stage.Distance).OrderBy(g => g.Key)
            .Select(g => (Distance: g.Key, Mean: new MeanTear([.. g.Select(s => s.Tear)]))).ToArray()).LastOrDefault(m => m.Length >= 2);
        if (bare is null)
        {
            if (session.Count > 0)
            {
                yield return new Reading(Cause.Spine, false, new Evidence("Spine not judged.", "One distance cannot tell it.", "A bare tear that changes side or size at another distance"), "bare tear by distance");
            }

            yield break;
        }

        var (near, far) = (bare[0], bare[^1]);
        var change = far.Mean.Mean.X - near.Mean.Mean.X;
        var region = Math.Sqrt((near.Mean.Radius * near.Mean.Radius) + (far.Mean.Radius * far.Mean.Radius));
        var words = $"{near.Mean.Mean.Sideways} at {Number(near.Distance, 0)} yd, {far.Mean.Mean.Sideways} at {Number(far.Distance, 0)} yd; the change is {Number(Math.Abs(change), 2)} in, chance alone gives up to {Number(region, 2)} in.";
        var swings = Math.Sign(near.Mean.Mean.X) != Math.Sign(far.Mean.Mean.X);
        yield return Math.Abs(change) > region
            ? new Reading(Cause.Spine, true, new Evidence(swings ? "The bare tear changes side with the distance: a weak shaft is suspected." : "The bare tear changes with the distance: a weak shaft is suspected.", words, "A stiffer shaft that does the same"), "bare tear by distance, both regions")
            : new Reading(Cause.Spine, false, new Evidence("No clear change of the bare tear with the distance.", words, "More shots at the longer distance"), "bare tear by distance, both regions");
    }

    /// <summary>An adjuster at the end of its travel while its axis is not level.</summary>
    private static IEnumerable<Reading> AtLimit(IReadOnlyList<SessionShot> here, IReadOnlyList<Adjuster> adjusters)
    {
        if (here.Count == 0)
        {
            yield break;
        }

        var last = here.Where(s => Key(s) == Key(here[^1])).Select(s => s.Tear).ToArray();
        var mean = new MeanTear(last);
        foreach (var adjuster in adjusters.Where(a => a.Lower < a.Upper && (a.Position == a.Lower || a.Position == a.Upper) && a.Kind is AdjusterKind.RestSideways or AdjusterKind.RestHeight or AdjusterKind.NockingPoint))
        {
            var fact = AdjusterTable.Of(adjuster.Kind);
            if (!mean.Level(fact.Axis))
            {
                yield return new Reading(Cause.Travel, true, new Evidence(
                    $"{fact.Name} is at the end of its travel.",
                    adjuster.Kind == AdjusterKind.RestHeight ? "When the rest runs out of travel the nocking point is wrong." : adjuster.Kind == AdjusterKind.NockingPoint ? "When the nocking point runs out of travel look at the rest's height and at timing." : "The centre-shot window is used up: cams, spine or form.",
                    "The other one moved, and this one back toward its middle"), "position against limits");
            }
        }
    }

    private static (double Squares, double Freedom) Within(IReadOnlyList<SessionShot> shots)
    {
        var sets = shots.GroupBy(Key).ToArray();
        return (sets.Sum(g => g.Sum(s => Math.Pow(s.Tear.X - g.Average(o => o.Tear.X), 2) + Math.Pow(s.Tear.Y - g.Average(o => o.Tear.Y), 2))), 2.0 * (shots.Count - sets.Length));
    }

    private static bool Ignored(MadeMove move, TearAxis axis)
    {
        var expected = Math.Abs(move.Steps) * AdjusterTable.Of(move.Kind).NominalGain;
        var region = Math.Sqrt((move.Before.Radius * move.Before.Radius) + (move.After.Radius * move.After.Radius));
        return expected > region && Math.Abs(Change(move, axis)) < Math.Min(region, expected / 2);
    }

    private static double Change(MadeMove move, TearAxis axis) => move.After.Mean.Along(axis) - move.Before.Mean.Along(axis);

    /// <summary>Where the bow stood, as one word: shots with the same word are at one setting.</summary>
    private static string Key(SessionShot shot) => $"{shot.Stage}|{Places(shot)}";

    private static string Places(SessionShot shot) => string.Join(',', shot.Positions.OrderBy(p => p.Key).Select(p => p.Value));
}
