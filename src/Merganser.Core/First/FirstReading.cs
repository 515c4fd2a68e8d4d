using Merganser.Core.Arrows;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.First;

/// <summary>A figure out of first answers: nine in ten of the arrows that they allow lie between the ends.</summary>
/// <param name="Low">Lower end.</param>
/// <param name="Middle">Middle of all of them.</param>
/// <param name="High">Upper end.</param>
public sealed record FirstBand(double Low, double Middle, double High)
{
    /// <summary>The band of some values.</summary>
    internal static FirstBand Of(IEnumerable<double> values)
    {
        double[] all = [.. values.Order()];
        var (low, high) = NotKnown.NineInTen(all);
        return new FirstBand(low, all[all.Length / 2], high);
    }
}

/// <summary>How many of the arrows that the answers allow lie in a band of the fit.</summary>
/// <param name="Band">The band.</param>
/// <param name="Share">0 to 1.</param>
public sealed record FitShare(FitBand Band, double Share);

/// <summary>How wide the fit's band would be, were something known.</summary>
/// <param name="What">What is measured or read.</param>
/// <param name="Width">Upper end less lower end.</param>
public sealed record Narrower(Message What, double Width);

/// <summary>What first answers already tell.</summary>
/// <param name="Weight">Total weight, grains.</param>
/// <param name="PerPound">Weight for each pound of the bow, gr/lb.</param>
/// <param name="Fit">R of the spine's fit.</param>
/// <param name="Shares">How likely each verdict is, the weakest first.</param>
/// <param name="Words">The verdict.</param>
/// <param name="Heavy">Whether it is heavy enough for the bow.</param>
/// <param name="LightShare">Share of the arrows under the least weight for a pound.</param>
/// <param name="Narrowers">What would narrow it most, as it is now first.</param>
/// <param name="Clash">Set where what is printed does not go together, or null.</param>
public sealed record FirstReading(
    FirstBand Weight,
    FirstBand PerPound,
    FirstBand Fit,
    IReadOnlyList<FitShare> Shares,
    Message Words,
    Message Heavy,
    double LightShare,
    IReadOnlyList<Narrower> Narrowers,
    Message? Clash
)
{
    /// <summary>Arrows that are drawn for a reading.</summary>
    private const int Draws = 4096;

    /// <summary>And for each line of what would narrow it.</summary>
    private const int Fewer = 1024;

    /// <summary>So many lines of it.</summary>
    private const int Lines = 2;

    /// <summary>A share from which a verdict stands by itself (a guess, no source).</summary>
    private const double Sure = 0.9;

    /// <summary>A share that is worth naming (a guess, no source).</summary>
    private const double WorthNaming = 0.08;

    /// <summary>A length as it is read off a rule, inches.</summary>
    private const double LengthRead = SpineFit.LengthUncertainty;

    /// <summary>Reads what the answers allow.</summary>
    public static FirstReading Of(FirstBuild build, FirstAnswers answers, IReadOnlyList<Shaft> catalogue)
    {
        var drawn = NotKnown.Draw(build.Bow, build.Arrow, Draws);
        var shares = Enum.GetValues<FitBand>()
            .Select(band => new FitShare(band, Share(d => SpineFit.BandOf(d.Fit) == band)))
            .ToArray();
        var light = Share(d => d.Numbers.GrainsPerPound < ArrowCautions.LeastGrainsPerPound);
        var least = new Measure(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0);
        return new FirstReading(
            FirstBand.Of(drawn.Select(d => d.Numbers.Balance.Grains)),
            FirstBand.Of(drawn.Select(d => d.Numbers.GrainsPerPound)),
            FirstBand.Of(drawn.Select(d => d.Fit)),
            shares,
            Said(shares),
            light > 0 ? new PartIsLight(Measure.Percent(100 * light, 0), least) : new AllHeavyEnough(least),
            light,
            Narrower(build, drawn),
            Clashes(answers, build.Arrow.Shaft, catalogue)
        );

        double Share(Func<Drawn, bool> of) => drawn.Count(of) / (double)drawn.Count;
    }

    private static Message Said(IReadOnlyList<FitShare> shares)
    {
        var likely = shares.MaxBy(s => s.Share)!;
        FitBand[] others =
        [
            .. shares
                .Where(s => s != likely && s.Share >= WorthNaming)
                .OrderByDescending(s => s.Share)
                .Select(s => s.Band),
        ];
        // Who is told of weak is not told of borderline too.
        FitBand[] named = others.Contains(FitBand.Weak) ? [.. others.Where(b => b != FitBand.BorderlineWeak)] : others;
        return new FirstFit(likely.Band, likely.Share >= Sure, likely.Share >= 0.5, named);
    }

    /// <summary>As answered, each of the two unknowns that cost most were it known, and both of them.</summary>
    private static IReadOnlyList<Narrower> Narrower(FirstBuild build, IReadOnlyList<Drawn> drawn)
    {
        var found = Knowing
            .Where(k => k.Costs(build))
            .Select(k => (k.What, k.Known, Width: Width(k.Known(build))))
            .OrderBy(k => k.Width)
            .Take(Lines)
            .ToArray();
        List<Narrower> lines = [new(FirstSays.AsAnsweredNow, Width(drawn))];
        lines.AddRange(found.Select(f => new Narrower(f.What, f.Width)));
        if (found.Length == Lines)
        {
            lines.Add(new Narrower(FirstSays.Both, Width(found[1].Known(found[0].Known(build)))));
        }

        return lines;
    }

    private static double Width(FirstBuild build) => Width(NotKnown.Draw(build.Bow, build.Arrow, Fewer));

    private static double Width(IReadOnlyList<Drawn> drawn)
    {
        var (low, high) = NotKnown.NineInTen(drawn.Select(d => d.Fit));
        return high - low;
    }

    /// <summary>What could be known, whether it is not yet, and the build where it is.</summary>
    private static readonly IReadOnlyList<(
        Message What,
        Func<FirstBuild, bool> Costs,
        Func<FirstBuild, FirstBuild> Known
    )> Knowing =
    [
        (
            FirstSays.DrawWeightMeasured,
            b => b.Bow.MeasuredWeight is null,
            b => b with { Bow = b.Bow with { MeasuredWeight = b.Bow.DrawWeight } }
        ),
        (
            FirstSays.LengthMeasured,
            b => b.Arrow.CutLengthBand > LengthRead,
            b => b with { Arrow = b.Arrow with { CutLengthBand = LengthRead } }
        ),
        (
            FirstSays.SpineRead,
            b => b.Arrow.Shaft.SpineBand > 0,
            b => b with { Arrow = b.Arrow with { Shaft = b.Arrow.Shaft with { SpineBand = 0 } } }
        ),
        (
            FirstSays.ShaftWeighed,
            b => b.Arrow.Shaft is { GrainsPerInchBand: > 0, MeasuredGrainsPerInch: null },
            b => b with { Arrow = b.Arrow with { Shaft = b.Arrow.Shaft with { GrainsPerInchBand = 0 } } }
        ),
        (
            FirstSays.PointWeighed,
            b => b.Arrow.Point.Band > 0,
            b => b with { Arrow = b.Arrow with { Point = b.Arrow.Point with { GrainsBand = 0 } } }
        ),
    ];

    /// <summary>A mass of an inch that no like shaft comes near: one of the two numbers was misread.</summary>
    private static ShaftNumbersClash? Clashes(FirstAnswers answers, Shaft shaft, IReadOnlyList<Shaft> catalogue)
    {
        if (string.IsNullOrWhiteSpace(answers.GrainsPerInch) || string.IsNullOrWhiteSpace(answers.Spine))
        {
            return null;
        }

        var like = (answers with { GrainsPerInch = null }).Read(catalogue).Arrow.Shaft;
        var (low, high) = (like.GrainsPerInch - like.GrainsPerInchBand, like.GrainsPerInch + like.GrainsPerInchBand);
        return shaft.GrainsPerInch < low * (1 - Apart) || shaft.GrainsPerInch > high * (1 + Apart)
            ? new ShaftNumbersClash(
                Measure.Spine(shaft.Spine),
                Measure.GrainsPerInch(low),
                Measure.GrainsPerInch(high),
                Measure.GrainsPerInch(shaft.GrainsPerInch)
            )
            : null;
    }

    /// <summary>Shafts differ from like ones by less than this share (a guess, no source).</summary>
    private const double Apart = 0.15;
}
