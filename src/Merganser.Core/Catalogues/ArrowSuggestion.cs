using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>An arrow to begin with: what fits this bow best out of the catalogue.</summary>
/// <param name="Draft">The build.</param>
/// <param name="Ratio">R = needed/actual spine.</param>
/// <param name="Fits">True when R lies in the good band.</param>
/// <param name="Words">The same in words.</param>
public sealed record ArrowSuggestion(ArrowDraft Draft, double Ratio, bool Fits, Message Words)
{
    /// <summary>A shaft thinner than this takes a point that is glued in, and no insert, inches (common practice, no
    /// source).</summary>
    public const double ThinShaft = 0.225;

    private const double UsualInsert = 20;
    private const double UsualNock = 9;
    private const double LightestPerPound = 6;

    /// <summary>The middle of the good band, by ratio.</summary>
    private static readonly double Middle = Math.Sqrt(SpineFit.GoodFrom * SpineFit.GoodTo);

    /// <summary>An ordinary point, grains (common practice, no source).</summary>
    public static double UsualPoint(BowKind kind) => kind == BowKind.Longbow ? 125 : ArrowCautions.FieldPoint;

    /// <summary>
    /// The build whose fit lies nearest to the middle of the good band, with an ordinary point and the first length of
    /// the bow; of those that fit, one of at least six grains a pound. Null when the catalogue has no shaft, point or
    /// nock for it.
    /// </summary>
    /// <param name="bow">The bow.</param>
    /// <param name="catalogue">Every part there is.</param>
    public static ArrowSuggestion? Of(Bow bow, Catalogue catalogue)
    {
        // What goes into one tube is found once for all shafts that have it.
        Dictionary<double, Usual> usual = [];
        foreach (var tube in catalogue.Shafts.Select(s => s.Part.InnerDiameter).Distinct())
        {
            usual[tube] = Usual.For(bow, catalogue, tube);
        }

        var built = catalogue
            .Shafts.Where(s => ShaftMaterial.Suits(bow, s.Part))
            .Select(s => (Shaft: s, Draft: Build(bow, s, usual[s.Part.InnerDiameter])))
            .Where(b => b.Draft is not null)
            .Select(b => (Draft: b.Draft!, Arrow: Read(b.Draft!, b.Shaft, usual[b.Shaft.Part.InnerDiameter])))
            .Where(b => b.Arrow is not null && b.Arrow.TubeLength <= b.Arrow.Shaft.MaxLength)
            .Select(b => (b.Draft, Arrow: b.Arrow!, On: ArrowSummary.Of(bow, b.Arrow!)))
            .ToArray();
        if (built.Length == 0)
        {
            return null;
        }

        var best = built.MinBy(b =>
            Math.Abs(Math.Log(b.On.Ratio / Middle)) + (b.On.GrainsPerPound < LightestPerPound ? 1 : 0)
        );
        var fits = best.On.Ratio is >= SpineFit.GoodFrom and <= SpineFit.GoodTo;
        var words = new ArrowSuggested(
            best.Arrow.Shaft.Name,
            Measure.Inches(best.Arrow.CutLength),
            Measure.Grains(best.Arrow.Point.Weight, 0),
            Measure.Plain(best.On.Ratio, 2),
            best.On.Words
        );
        return new ArrowSuggestion(best.Draft, best.On.Ratio, fits, words);
    }

    /// <summary>The arrow of a build; null for one that cannot be built: its shaft is sold too short.</summary>
    private static Arrow? Read(ArrowDraft draft, Stocked<Shaft> shaft, Usual usual)
    {
        try
        {
            // Of the few parts that it may have: a search through the whole catalogue for each shaft takes its square.
            return draft.Entry(usual.Parts with { Shafts = [shaft] }).Read();
        }
        catch (RefusedException)
        {
            return null;
        }
    }

    private static ArrowDraft? Build(Bow bow, Stocked<Shaft> shaft, Usual usual)
    {
        var thin = shaft.Part.OuterDiameter < ThinShaft;
        var point = thin ? usual.GlueIn : usual.Point;
        return point is null || usual.Nock is null
            ? null
            : new ArrowDraft(
                shaft.Part.Name.Length > 60 ? shaft.Part.Name[..60] : shaft.Part.Name,
                shaft.Id,
                Show.Number(bow.FirstCut, 1),
                thin || ShaftMaterial.IsWood(shaft.Part) ? null : usual.Insert?.Id,
                point.Id,
                usual.Nock.Id,
                usual.Vane?.Id,
                3,
                "",
                null,
                ""
            );
    }

    /// <summary>Length of an ordinary vane or feather, inches (common practice, no source).</summary>
    private static double UsualVane(BowKind kind) =>
        kind switch
        {
            BowKind.Compound => 2,
            BowKind.Longbow => 4,
            _ => 1.75,
        };

    /// <summary>The ordinary parts of a catalogue for a bow and a tube; null where it has none.</summary>
    private sealed record Usual(
        Stocked<Point>? Point,
        Stocked<Point>? GlueIn,
        Stocked<Insert>? Insert,
        Stocked<Nock>? Nock,
        Stocked<Vane>? Vane
    )
    {
        /// <summary>These few parts alone.</summary>
        public Catalogue Parts { get; } =
            new([], Listed(Insert), [.. Listed(Point), .. Listed(GlueIn)], Listed(Nock), Listed(Vane), [], []);

        public static Usual For(Bow bow, Catalogue catalogue, double tube) =>
            new(
                PointOf(bow, catalogue, tube, PointKind.Field, PointKind.Target),
                PointOf(bow, catalogue, tube, PointKind.GlueIn),
                catalogue
                    .Inserts.Where(i => i.Part.BreakOffSteps == 0 && !TubeFit.IsWrong(i.Part.Diameter, tube))
                    .MinBy(i => Math.Abs(i.Part.Weight - UsualInsert)),
                catalogue
                    .Nocks.Where(n => n.Part.Kind != NockKind.Lit && !TubeFit.IsWrong(n.Part.Diameter, tube))
                    .OrderBy(n => n.Part.Kind == NockKind.PressIn ? 0 : 1)
                    .ThenBy(n => Math.Abs(n.Part.Weight - UsualNock))
                    .FirstOrDefault(),
                catalogue
                    .Vanes.OrderBy(v => Math.Abs(v.Part.Length - UsualVane(bow.Kind)))
                    .ThenBy(v => v.Part.Weight)
                    .FirstOrDefault()
            );

        private static Stocked<T>[] Listed<T>(Stocked<T>? part)
            where T : class => part is null ? [] : [part];

        private static Stocked<Point>? PointOf(Bow bow, Catalogue catalogue, double tube, params PointKind[] kinds) =>
            catalogue
                .Points.Where(p =>
                    kinds.Contains(p.Part.Kind) && p.Part.BreakOffSteps == 0 && !TubeFit.IsWrong(p.Part.Diameter, tube)
                )
                .MinBy(p => Math.Abs(p.Part.Weight - UsualPoint(bow.Kind)));
    }
}
