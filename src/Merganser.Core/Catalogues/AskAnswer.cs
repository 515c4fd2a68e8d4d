using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>What can be asked for.</summary>
public enum Wanted
{
    PointForFrontOfCenter,
    PointForWeight,
    LengthForWeight,
    SpineForFit,
}

/// <summary>
/// The exact answer in words, what is in stock next to it, and the cautions that the arrow would be given.
/// </summary>
/// <param name="Exact">The answer, in <paramref name="Unit"/>.</param>
/// <param name="Unit">gr or in.</param>
/// <param name="Words">The same in words.</param>
/// <param name="InStock">The nearest parts that can be had.</param>
/// <param name="Cautions">Of the exact answer, or of what it is rounded to.</param>
public sealed record AskAnswer(
    double Exact,
    string Unit,
    Message Words,
    IReadOnlyList<ArrowTry> InStock,
    IReadOnlyList<Caution> Cautions
)
{
    private const int Nearest = 2;
    private const int NearestShafts = 3;
    private const double Rule = 1.0 / 16;

    /// <summary>Answers what was asked.</summary>
    /// <param name="wanted">What for.</param>
    /// <param name="typed">The value as typed; a per cent sign may stand.</param>
    /// <param name="bow">The bow.</param>
    /// <param name="draft">The arrow as it is being built.</param>
    /// <param name="catalogue">What is in stock.</param>
    /// <exception cref="RefusedException">The value cannot be read, or there is no such arrow.</exception>
    public static AskAnswer Of(Wanted wanted, string? typed, Bow bow, ArrowDraft draft, Catalogue catalogue)
    {
        var arrow = draft.Entry(catalogue).Read();
        var fields = new FieldReader();
        var (range, quantity) = wanted switch
        {
            Wanted.PointForFrontOfCenter => (Ask.FrontOfCenter, Quantity.Number),
            Wanted.LengthForWeight or Wanted.PointForWeight => (Ask.TotalWeight, Quantity.Weight),
            _ => (Ask.Ratio, Quantity.Number),
        };
        var read = fields.Required("value", typed?.TrimEnd('%', ' '), quantity, range);
        fields.ThrowIfAny();
        var of = new Build(bow, arrow, draft, catalogue);
        try
        {
            return wanted switch
            {
                Wanted.PointForFrontOfCenter => PointFor(of, read!.Value),
                Wanted.PointForWeight => PointForWeight(of, read!.Value),
                Wanted.LengthForWeight => LengthFor(of, read!.Value),
                _ => SpineFor(of, read!.Value),
            };
        }
        catch (RefusedException refused) when (refused.Problems.Count == 0)
        {
            throw RefusedException.At("value", refused.Code, refused.Said);
        }
    }

    private static AskAnswer PointFor(Build of, double percent)
    {
        var exact = Ask.PointFor(of.Arrow, percent);
        return PointOf(of, exact, new PointGives(Measure.Grains(exact), Measure.Percent(percent, 1), false));
    }

    private static AskAnswer PointForWeight(Build of, double grains)
    {
        var exact = Ask.PointForWeight(of.Arrow, grains);
        return PointOf(of, exact, new PointGives(Measure.Grains(exact), Measure.Grains(grains), true));
    }

    /// <summary>A point of this weight, and the nearest in stock that are not refused.</summary>
    private static AskAnswer PointOf(Build of, double exact, Message words)
    {
        var point = of.Arrow.Point with { Grains = exact, MeasuredGrains = null };
        var cautions = Ask.Passed(of.Bow, of.Arrow with { Point = point });
        var stock = of
            .Catalogue.Points.Where(p => p.Part.Kind == of.Arrow.Point.Kind)
            .Where(p => Ask.Sound(of.Bow, of.Arrow with { Point = p.Part }))
            .OrderBy(p => Math.Abs(p.Part.Weight - exact))
            .Take(Nearest)
            .Select(p =>
                ArrowTry.Of(new InStock(p.Part.Name, Measure.Grains(p.Part.Weight, 0)), of.Bow, of.Arrow, of.Draft, p)
            );
        return new AskAnswer(exact, Units.Unit.Grain, words, [.. stock], cautions);
    }

    private static AskAnswer LengthFor(Build of, double grains)
    {
        var exact = Ask.LengthFor(of.Arrow, grains);
        var cut = Math.Round(exact / Rule) * Rule;
        var words = new LengthGives(Measure.Inches(exact, 3), Measure.Grains(grains), exact < of.Arrow.CutLength);
        var cautions = Ask.Passed(of.Bow, of.Arrow with { CutLength = Math.Min(exact, cut) });
        var ruled = ArrowTry.Of(new CutTo(Measure.Ruled(cut)), of.Bow, of.Arrow, of.Draft, cut);
        return new AskAnswer(exact, Units.Unit.Inch, words, [ruled], cautions);
    }

    private static AskAnswer SpineFor(Build of, double ratio)
    {
        var exact = Ask.SpineFor(of.Bow, of.Arrow, ratio);
        var words = new SpineGives(Measure.Spine(exact), Measure.Plain(ratio));
        var stock = of
            .Catalogue.Shafts.Where(s => s.Part.Material == of.Arrow.Shaft.Material)
            .Where(s => of.Arrow.TubeLength <= s.Part.MaxLength)
            .Where(s => Ask.Sound(of.Bow, of.Arrow with { Shaft = s.Part }))
            .Select(s =>
                ArrowTry.Of(new InStock(s.Part.Name, Measure.Spine(s.Part.SpineInUse)), of.Bow, of.Arrow, of.Draft, s)
            )
            .OrderBy(t => Math.Abs(t.Effect.Ratio - ratio))
            .Take(NearestShafts);
        return new AskAnswer(exact, Units.Unit.Inch, words, [.. stock], Ask.Passed(of.Bow, of.Arrow));
    }

    /// <summary>The arrow in work on its bow.</summary>
    private sealed record Build(Bow Bow, Arrow Arrow, ArrowDraft Draft, Catalogue Catalogue);
}
